import { useOnline } from '@vueuse/core';
import { proxy } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  type Answer,
  type Fastener,
  type GarageDocument,
  type KitHint,
  type PackingHint,
  type Phase,
  type Question,
} from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import { useNotice } from '../shell/notice';
import { today } from '../ui/day';
import { notFetched, type Called } from '../workers/called';
import type { AnswerWorker } from '../workers/answer.worker';
import { figuresOf, type Figures } from './answer/figures';
import { answerOf, keepAnswer, lastAnswer } from './answer/lastAnswer';
import { answerWorker } from './answer/worker';
import { useGarage } from './garage';
import { useView } from './view';

export type { FigureKey, Figures } from './answer/figures';

/** A run that is stale and has taken this long is cut off; a shorter one ends by itself sooner than a new worker starts. */
const CUT_AFTER = 600;
const PROGRESS_AFTER = 500;

/** The computed answer to the open garage, bike and trip; recomputed in a worker on every change, the stale run cancelled. */
export const useAnswer = defineStore('answer', () => {
  const garage = useGarage();
  const view = useView();
  const online = useOnline();
  const answer = shallowRef<Answer | null>(null);
  const figures = shallowRef<Figures | null>(null);
  /** Figures before the last change, for showing what it did. */
  const before = shallowRef<Figures | null>(null);
  /** Figures of a kit that is only looked at, such as while a limit is dragged; they stand in the readout meanwhile. */
  const preview = shallowRef<Partial<Figures> | null>(null);
  const shown = computed<Figures | null>(() =>
    figures.value && preview.value ? { ...figures.value, ...preview.value } : figures.value,
  );
  const shownBefore = computed(() => (preview.value ? figures.value : before.value));
  const phase = ref<Phase | null>(null);
  const slow = ref(false);
  /** Whether what is shown is about to be replaced. */
  const busy = ref(false);
  const failed = ref<string | null>(null);
  /** Whether it failed only because a part of the program was not fetched: it is tried again when the server answers. */
  let lacking = false;
  /** Whether what is shown is from before: of the last visit, or of an entry that could not be answered. */
  const old = ref(false);
  /** A fastener still being typed: counted as if it were added, and marked as such in the readout. */
  const draft = shallowRef<Fastener | null>(null);
  const draftShown = ref(false);

  /** Where a kit for a limit may be known already. */
  let hint: ((mass: number) => KitHint | null) | null = null;
  /** The last packing that a longer search found. */
  let packed: PackingHint | null = null;
  const worker = answerWorker();
  let running: { since: number; stale: boolean } | null = null;
  let again = false;
  let subject = '';

  function cut() {
    worker.cut();
    running = null;
  }

  function withDraft(doc: GarageDocument): GarageDocument {
    const d = draft.value;
    if (!d) return doc;
    const known = doc.fasteners.some((f) => f.id === d.id);
    return {
      ...doc,
      fasteners: known ? doc.fasteners.map((f) => (f.id === d.id ? d : f)) : [...doc.fasteners, d],
    };
  }

  /** Nothing is shown any more, and what is still being worked out is of no use. */
  function clear() {
    if (running) cut();
    again = false;
    answer.value = null;
    figures.value = null;
    before.value = null;
    preview.value = null;
    failed.value = null;
    old.value = false;
    busy.value = false;
    slow.value = false;
    phase.value = null;
  }
  /** Shows an answer, beside the one before where both are of the same bike and trip: no difference is shown between two questions. */
  function show(made: Answer, asked: string) {
    const now = figuresOf(made);
    before.value = asked === subject ? figures.value : null;
    subject = asked;
    answer.value = made;
    figures.value = now;
    failed.value = null;
    old.value = false;
  }
  /** Shows what was answered at the last visit. True where it is the answer: of this very document, question and program. Another program's stands dimmed. */
  async function showLast(of: string, asked: string, mine: object): Promise<boolean> {
    // The page is painted first.
    await new Promise((painted) => setTimeout(painted));
    const kept = await lastAnswer(ownerId ?? '', of);
    if (!kept || running !== mine || answer.value) return false;
    show(kept.answer, asked);
    if (kept.build === __BUILD__) return true;
    old.value = true;
    // Two programs are not compared.
    subject = '';
    return false;
  }

  /** Garage that the shown answer is of: it is shown for no other. */
  let ownerId: string | null = null;
  async function run() {
    const { doc, bike, trip } = garage;
    const garageId = view.garageId;
    if (garageId !== ownerId) {
      clear();
      ownerId = garageId;
    }
    if (!doc || !bike || !garageId) {
      clear();
      return;
    }
    if (running) {
      running.stale = true;
      again = true;
      if (performance.now() - running.since < CUT_AFTER) return;
      cut();
    }
    again = false;
    busy.value = true;
    const mine = { since: performance.now(), stale: false };
    running = mine;
    const question: Question = {
      bikeId: bike.id,
      tripId: trip?.id ?? null,
      today: today(),
      hint: trip?.kit.ask === 'most' ? hint?.(trip.kit.mass) : null,
      packed,
    };
    const asked = `${bike.id} ${trip?.id ?? ''}`;
    const of = answerOf(doc, { bikeId: bike.id, tripId: trip?.id ?? null, today: question.today });
    const typed = draft.value !== null;
    const timer = setTimeout(() => (slow.value = true), PROGRESS_AFTER);
    try {
      if (answer.value === null && !typed && (await showLast(of, asked, mine))) return;
      if (running !== mine || mine.stale) return;
      const made = await worker.ask((w) =>
        w.answer(
          withDraft(doc),
          question,
          proxy((p: Phase) => {
            if (running === mine) phase.value = p;
          }),
        ),
      );
      if (!made || running !== mine || view.garageId !== garageId || mine.stale) return;
      show(made, asked);
      draftShown.value = typed;
      // What is only typed so far is no answer to come back to.
      if (!typed) void keepAnswer(garageId, of, made);
    } catch (error) {
      if (running === mine) {
        failed.value = failureWords(error);
        lacking = notFetched(error);
        old.value = true;
        console.error(error);
      }
    } finally {
      clearTimeout(timer);
      if (running === mine) {
        running = null;
        phase.value = null;
        slow.value = false;
        if (again) void run();
        else busy.value = false;
      }
    }
  }

  watch(
    () => [garage.version, view.garageId, garage.bike?.id, garage.trip?.id, draft.value] as const,
    () => void run(),
    { immediate: true },
  );

  /** Asks something beside the answer; null when it was ended meanwhile, because what was asked of is stale, or when it failed, which is said. */
  const ask: Called<AnswerWorker>['ask'] = (question) =>
    worker.ask(question).catch((error: unknown) => {
      console.error(error);
      useNotice().say(failureWords(error));
      return null;
    });
  watch(
    () => [garage.trouble, online.value] as const,
    ([trouble, up]) => {
      if (lacking && failed.value !== null && trouble === null && up) void run();
    },
  );

  const byFastener = computed(() => new Map(answer.value?.fasteners.map((f) => [f.id, f]) ?? []));
  const takeHints = (from: typeof hint) => (hint = from);
  /** A packing that was searched longer: the answer is given again with it. */
  function takePacking(found: PackingHint | null) {
    packed = found;
    void run();
  }
  return {
    takeHints,
    takePacking,
    preview,
    shown,
    shownBefore,
    answer,
    figures,
    before,
    phase,
    slow,
    busy,
    failed,
    old,
    draft,
    draftShown,
    byFastener,
    ask,
  };
});

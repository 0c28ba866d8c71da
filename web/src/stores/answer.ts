import { proxy, releaseProxy, wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  inWords,
  type Answer,
  type Fastener,
  type GarageDocument,
  type KitHint,
  type Missing,
  type PackingHint,
  type Phase,
  type Question,
} from '@necessaire/core';
import type { AnswerWorker } from '../workers/answer.worker';
import { today } from '../ui/day';
import { useGarage } from './garage';
import { answerOf, keepAnswer, lastAnswer } from './lastAnswer';
import { useView } from './view';

/** The figures of the readout, kept apart so that two answers can be compared. */
export interface Figures {
  reached: number;
  chosen: number;
  gaps: number;
  mass: number;
  bulk: number;
  home: number;
  atStake: number;
  /** Share of the hours at stake that is saved by proven repairs. */
  ready: number;
  /** Fasteners that the kit itself turns. */
  carried: number;
  /** What each figure still wants before it can be known; null where it is known. */
  missing: Record<FigureKey, Missing | null>;
}
/** Figures that the readout shows. */
export type FigureKey = 'reached' | 'gaps' | 'mass' | 'bulk' | 'home' | 'atStake' | 'ready';

const figuresOf = (a: Answer): Figures => ({
  reached: a.reached,
  chosen: a.chosen,
  gaps: a.chosen - a.reached,
  mass: a.kit.mass,
  bulk: a.kit.bulk,
  home: a.kit.home,
  atStake: a.kit.atStake,
  ready: a.ready ?? 0,
  carried: new Set(a.fasteners.map((f) => f.id).filter((id) => a.kit.reached.includes(id))).size,
  missing: {
    reached: a.unknown.reached,
    gaps: a.unknown.reached,
    ready: a.unknown.home,
    mass: a.unknown.mass,
    bulk: a.unknown.mass,
    home: a.unknown.home,
    atStake: a.unknown.home,
  },
});

/** A run that is stale and has taken this long is cut off; a shorter one ends by itself sooner than a new worker starts. */
const CUT_AFTER = 600;
const PROGRESS_AFTER = 500;

/** The computed answer to the open garage, bike and trip; recomputed in a worker on every change, the stale run cancelled. */
export const useAnswer = defineStore('answer', () => {
  const garage = useGarage();
  const view = useView();
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
  /** Whether what is shown is from before: of the last visit, or of an entry that could not be answered. */
  const old = ref(false);
  /** A fastener still being typed: counted as if it were added, and marked as such in the readout. */
  const draft = shallowRef<Fastener | null>(null);
  const draftShown = ref(false);

  /** Where a kit for a limit may be known already. */
  let hint: ((mass: number) => KitHint | null) | null = null;
  /** The last packing that a longer search found. */
  let packed: PackingHint | null = null;
  let worker: Worker | null = null;
  let remote: Remote<AnswerWorker> | null = null;
  let running: { since: number; stale: boolean } | null = null;
  let again = false;
  let subject = '';

  function spawn() {
    worker = new Worker(new URL('../workers/answer.worker.ts', import.meta.url), { type: 'module' });
    remote = wrap<AnswerWorker>(worker);
  }
  let onCut = () => {};
  function cut() {
    onCut();
    remote?.[releaseProxy]();
    worker?.terminate();
    worker = null;
    remote = null;
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
  /** The answer of the last visit stands, dimmed, until this one's is there. */
  async function showLast(doc: GarageDocument, question: Question, garageId: string) {
    // The page is painted first.
    await new Promise((painted) => setTimeout(painted));
    const kept = await lastAnswer(garageId, answerOf(doc, question));
    if (!kept || answer.value || view.garageId !== garageId) return;
    answer.value = kept;
    figures.value = figuresOf(kept);
    old.value = true;
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
    if (!remote) spawn();
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
    const plain = { bikeId: bike.id, tripId: trip?.id ?? null, today: question.today };
    if (answer.value === null) void showLast(doc, plain as Question, garageId);
    const typed = draft.value !== null;
    const timer = setTimeout(() => (slow.value = true), PROGRESS_AFTER);
    try {
      const made = await remote!.answer(
        withDraft(doc),
        question,
        proxy((p: Phase) => {
          if (running === mine) phase.value = p;
        }),
      );
      if (running !== mine || view.garageId !== garageId) return;
      if (!mine.stale) {
        const now = figuresOf(made);
        // Another bike or trip is another question: no difference is shown between two of them.
        before.value = asked === subject ? figures.value : null;
        subject = asked;
        answer.value = made;
        figures.value = now;
        draftShown.value = typed;
        failed.value = null;
        old.value = false;
        // What is only typed so far is no answer to come back to.
        if (!typed) void keepAnswer(garageId, answerOf(doc, plain), made);
      }
    } catch (error) {
      if (running === mine) {
        failed.value = inWords(error);
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

  /** Asks the worker for something beside the answer; null when the worker was ended meanwhile, because what was asked of is stale. */
  async function ask<T>(question: (worker: Remote<AnswerWorker>) => Promise<T>): Promise<T | null> {
    if (!remote) spawn();
    const asked = remote!;
    const ended = new Promise<null>((resolve) => (onCut = () => resolve(null)));
    return Promise.race([question(asked), ended]);
  }

  const byFastener = computed(() => new Map(answer.value?.fasteners.map((f) => [f.id, f]) ?? []));
  const takeHints = (from: typeof hint) => (hint = from);
  /** A packing that was searched longer: the answer is given again with it. */
  function takePacking(found: PackingHint) {
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

import { useOnline } from '@vueuse/core';
import { proxy } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import type { KitHint, PackingHint, Phase, Question } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import { useNotice } from '../shell/notice';
import { today } from '../ui/day';
import { notFetched, type Called } from '../workers/called';
import type { AnswerWorker } from '../workers/answer.worker';
import { useDraft } from './answer/draft';
import { answerOf, keepAnswer, lastAnswer } from './answer/lastAnswer';
import { useLatestRun, type Run } from './answer/latestRun';
import { useShown } from './answer/shown';
import { answerWorker } from './answer/worker';
import { useGarage } from './garage';
import { useView } from './view';

export type { FigureKey, Figures } from './answer/figures';

/** The computed answer to the open garage, bike and trip; recomputed in a worker on every change, the stale run cancelled. */
export const useAnswer = defineStore('answer', () => {
  const garage = useGarage();
  const view = useView();
  const online = useOnline();
  const { show, showKept, clear: showNothing, ...shown } = useShown();
  const { draft, draftShown, withDraft } = useDraft();
  const worker = answerWorker();
  const runs = useLatestRun(worker.cut, () => run());
  const phase = ref<Phase | null>(null);
  const failed = ref<string | null>(null);
  /** Whether it failed only because a part of the program was not fetched: it is tried again when the server answers. */
  let lacking = false;
  /** Where a kit for a limit may be known already. */
  let hint: ((mass: number) => KitHint | null) | null = null;
  /** The last packing that a longer search found. */
  let packed: PackingHint | null = null;
  /** Garage that the shown answer is of: it is shown for no other. */
  let ownerId: string | null = null;

  /** Nothing is shown any more, and what is still being worked out is of no use. */
  function clear() {
    runs.stop();
    showNothing();
    failed.value = null;
    phase.value = null;
  }
  /** Shows what was answered at the last visit. True where it is the answer: of this very document, question and program. */
  async function showLast(garageId: string, of: string, asked: string, mine: Run): Promise<boolean> {
    // The page is painted first.
    await new Promise((painted) => setTimeout(painted));
    const kept = await lastAnswer(garageId, of);
    if (!kept || !runs.current(mine) || shown.answer.value) return false;
    failed.value = null;
    return showKept(kept, asked);
  }

  /** Works the answer out, unless that of the last visit is it. */
  async function answerNow(mine: Run): Promise<void> {
    const { doc, bike, trip } = garage;
    const { garageId } = view;
    if (!doc || !bike || !garageId) return;
    const on = { bikeId: bike.id, tripId: trip?.id ?? null, today: today() };
    const question: Question = { ...on, hint: trip?.kit.ask === 'most' ? hint?.(trip.kit.mass) : null, packed };
    const asked = `${bike.id} ${trip?.id ?? ''}`;
    const of = answerOf(doc, on);
    const typed = draft.value !== null;
    if (shown.answer.value === null && !typed && (await showLast(garageId, of, asked, mine))) return;
    if (!runs.current(mine) || mine.stale) return;
    const tell = proxy((p: Phase) => {
      if (runs.current(mine)) phase.value = p;
    });
    const made = await worker.ask((w) => w.answer(withDraft(doc), question, tell));
    if (!made || !runs.current(mine) || view.garageId !== garageId || mine.stale) return;
    show(made, asked);
    failed.value = null;
    draftShown.value = typed;
    // What is only typed so far is no answer to come back to.
    if (!typed) void keepAnswer(garageId, of, made);
  }
  function run() {
    if (view.garageId !== ownerId) {
      clear();
      ownerId = view.garageId;
    }
    if (!garage.doc || !garage.bike || !ownerId) return clear();
    void runs.start(async (mine) => {
      try {
        await answerNow(mine);
      } catch (error) {
        if (!runs.current(mine)) return;
        failed.value = failureWords(error);
        lacking = notFetched(error);
        shown.old.value = true;
        console.error(error);
      } finally {
        if (runs.current(mine)) phase.value = null;
      }
    });
  }

  watch(() => [garage.version, view.garageId, garage.bike?.id, garage.trip?.id, draft.value] as const, run, {
    immediate: true,
  });
  watch(
    () => [garage.trouble, online.value] as const,
    ([trouble, up]) => {
      if (lacking && failed.value !== null && trouble === null && up) run();
    },
  );

  /** Asks something beside the answer; null when it was ended meanwhile, because what was asked of is stale, or when it failed, which is said. */
  const ask: Called<AnswerWorker>['ask'] = (question) =>
    worker.ask(question).catch((error: unknown) => {
      console.error(error);
      useNotice().say(failureWords(error));
      return null;
    });
  const byFastener = computed(() => new Map(shown.answer.value?.fasteners.map((f) => [f.id, f]) ?? []));
  const takeHints = (from: typeof hint) => (hint = from);
  /** A packing that was searched longer: the answer is given again with it. */
  function takePacking(found: PackingHint | null) {
    packed = found;
    run();
  }
  const { busy, slow } = runs;
  return { ...shown, takeHints, takePacking, phase, slow, busy, failed, draft, draftShown, byFastener, ask };
});

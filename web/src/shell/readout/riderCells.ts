import { computed } from 'vue';
import { figure, unitOf, type Missing, type Quantity } from '@necessaire/core';
import { useAnswer, type FigureKey } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { RIDER_FIGURES, type RiderCell } from './riderFigures';
import * as texts from '../../words/shell/readout/riderCells';

/** What a figure still wants, in a word under its dash, and the next step. */
const WANTS: Record<Missing, { short: string; say: string; to: { path: string; label: string } }> = {
  'no fasteners': {
    short: texts.noFastenerYet,
    say: texts.measureAFastenerFirst,
    to: { path: '/walk', label: texts.openWalk },
  },
  'no trip': { short: texts.noTripYet, say: texts.planATripFirst, to: { path: '/trip', label: texts.openTrip } },
  'no legs': { short: texts.noLegsYet, say: texts.addLegsToTheTrip, to: { path: '/trip', label: texts.openTrip } },
};

/** The figures of the open bike and trip, each with what it says when asked. */
export function useRiderCells() {
  const answers = useAnswer();
  const garage = useGarage();
  const view = useView();
  const explain = useExplain();

  /** Difference of a figure as text; empty when it did not move by what is shown. */
  function difference(key: FigureKey | 'carried', quantity: Quantity | null, digits?: number): string {
    // What was not known before did not change.
    if (key !== 'carried' && (answers.shown?.missing[key] || answers.shownBefore?.missing[key])) return '';
    const [was, now] = [answers.shownBefore?.[key], answers.shown?.[key]];
    if (was === undefined || now === undefined || was === now) return '';
    const text = quantity ? figure(view.units, quantity, Math.abs(now - was), digits) : String(Math.abs(now - was));
    return Number(text) === 0 ? '' : `${now > was ? '+' : '−'}${text}`;
  }

  const cells = computed<RiderCell[]>(() =>
    known.value.map((c) => {
      const wants = answers.shown?.missing[c.key];
      if (!wants) return c;
      const { short, say, to } = WANTS[wants];
      return {
        ...c,
        value: '–',
        unit: '',
        diff: '',
        bad: false,
        wants: short,
        explain: () =>
          explain.show({ title: c.label, value: '–', formula: texts.notKnownYet(say), inputs: [], source: '', to }),
      };
    }),
  );
  const known = computed<RiderCell[]>(() => {
    const f = answers.shown;
    const a = answers.answer;
    const u = view.units;
    const q = (quantity: Quantity, value: number) => figure(u, quantity, value);
    const rose = (key: FigureKey | 'carried') => (f && answers.shownBefore ? f[key] > answers.shownBefore[key] : false);
    const value = (text: string) => (f ? text : '–');
    const kitBy = (mass: number) => `${q('weight', mass)} ${unitOf(u, 'weight')}`;
    const told = { f, a, u, q, value, kitBy, rose, difference, explain, fasteners: garage.fasteners.length };
    return RIDER_FIGURES.map((of) => of(told));
  });
  return cells;
}

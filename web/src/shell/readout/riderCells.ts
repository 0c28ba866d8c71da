import { computed } from 'vue';
import { figure, unitOf, type Missing, type Quantity } from '@necessaire/core';
import { useAnswer, type FigureKey } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { readyWhy } from '../../words/prove';
import type { Cell } from './cell';

/** A figure of one rider's kit. */
interface RiderCell extends Cell {
  key: FigureKey;
}

/** What a figure still wants, in a word under its dash, and the next step. */
const WANTS: Record<Missing, { short: string; say: string; to: { path: string; label: string } }> = {
  'no fasteners': {
    short: 'no fastener yet',
    say: 'Measure a fastener first.',
    to: { path: '/walk', label: 'Open Walk' },
  },
  'no trip': { short: 'no trip yet', say: 'Plan a trip first.', to: { path: '/trip', label: 'Open Trip' } },
  'no legs': { short: 'no legs yet', say: 'Add legs to the trip first.', to: { path: '/trip', label: 'Open Trip' } },
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
          explain.show({ title: c.label, value: '–', formula: `Not known yet. ${say}`, inputs: [], source: '', to }),
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
    return [
      {
        key: 'reached',
        label: 'Kit reaches',
        value: value(String(f?.carried)),
        unit: f ? `/${f.chosen}` : '',
        diff: difference('carried', null),
        good: rose('carried'),
        explain: () =>
          explain.show({
            title: 'Fasteners that this kit reaches',
            value: `${f?.carried} of ${f?.chosen}`,
            formula:
              'A fastener is reached when at each end a chain of carried tools goes from the hand to the head: every coupling fits by free play, length ≥ recess, width ≤ what is free, every tool bears the break-loose torque, and arm × allowed force gives it. The two ends share no tool, and one of them turns.',
            inputs: [
              { name: 'chosen fasteners', value: String(f?.chosen) },
              { name: 'reached with everything that you own', value: String(f?.reached) },
              { name: 'left out, with a reason', value: String(garage.fasteners.length - (f?.chosen ?? 0)) },
            ],
            source: 'your tools and your survey; limits of tools are typical values unless you changed them',
            to: { path: '/match', label: 'See each one in Match' },
          }),
      },
      {
        key: 'gaps',
        label: 'Gaps',
        value: value(String(f?.gaps)),
        unit: '',
        diff: difference('gaps', null),
        good: !rose('gaps'),
        bad: (f?.gaps ?? 0) > 0,
        explain: () =>
          explain.show({
            title: 'Gaps',
            value: String(f?.gaps),
            formula: 'chosen fasteners − those that anything you own reaches',
            inputs: [
              { name: 'chosen', value: String(f?.chosen) },
              { name: 'reached with everything that you own', value: String(f?.reached) },
            ],
            source: 'your toolbox and your survey',
            to: { path: '/match', label: 'See why, and what would cure each' },
          }),
      },
      {
        key: 'mass',
        label: 'Kit',
        value: value(q('weight', f?.mass ?? 0)),
        unit: unitOf(u, 'weight'),
        diff: difference('mass', 'mass'),
        good: !rose('mass'),
        explain: () =>
          explain.show({
            title: 'Mass of the kit',
            value: kitBy(f?.mass ?? 0),
            formula: {
              worth:
                'tools + spares + what was fitted beforehand: the kit in which each further 100 g would save less than the trip asks of them',
              lightest:
                'tools + spares + what was fitted beforehand: the lightest that reaches what your tools reach and fixes each likely problem',
              most: 'tools + spares + what was fitted beforehand: what saves most under your weight limit',
              kept: 'tools + spares of the saved kit',
            }[a?.kit.as ?? 'worth'],
            inputs: [
              { name: 'tools', value: kitBy(a?.kit.toolMass ?? 0) },
              { name: 'spares', value: kitBy(a?.kit.spareMass ?? 0) },
              ...(a?.kit.as === 'kept'
                ? []
                : [
                    {
                      name: 'proof',
                      value: a?.kit.proven
                        ? 'optimal, proven'
                        : `within ${((a?.kit.gap ?? 0) * 100).toFixed(1)} % of the best`,
                    },
                  ]),
            ],
            source: 'masses: typical values by size unless you weighed them',
            to: { path: '/kit', label: 'See each item and why' },
          }),
      },
      {
        key: 'bulk',
        label: 'Bulk',
        value: value(q('volume', f?.bulk ?? 0)),
        unit: unitOf(u, 'volume'),
        diff: difference('bulk', 'volume'),
        good: !rose('bulk'),
        explain: () =>
          explain.show({
            title: 'Bulk',
            value: `${q('volume', f?.bulk ?? 0)} ${unitOf(u, 'volume')}`,
            formula: 'Σ length × width × height of every tool and spare ÷ 0.65 fill',
            inputs: [{ name: 'usable share for odd items', value: '0.65 (typical value)' }],
            source: 'measures: typical values by size',
            to: { path: '/stow', label: 'See where it goes' },
          }),
      },
      {
        key: 'home',
        label: 'Gets home unaided',
        value: value(q('share', f?.home ?? 0)),
        unit: '%',
        diff: difference('home', 'share'),
        good: rose('home'),
        explain: () =>
          explain.show({
            title: 'Gets home unaided',
            value: `${q('share', f?.home ?? 0)} %`,
            formula: 'Π over problems that end the ride of P(N ≤ repairs at ride-out or better), N Poisson with mean Λ',
            inputs: (a?.kit.mends ?? [])
              .filter((m) => m.covered < 0.995)
              .sort((x, y) => x.covered - y.covered)
              .slice(0, 8)
              .map((m) => ({
                name: m.name,
                value: `${(m.covered * 100).toFixed(1)} %`,
              })),
            source: 'rates per 1000 km: typical values. Exact for stocks that no two troubles share.',
            to: { path: '/trip', label: 'See each problem' },
          }),
      },
      {
        key: 'atStake',
        label: 'Hours at risk',
        value: value(q('hours', f?.atStake ?? 0)),
        unit: 'h',
        diff: difference('atStake', 'hours'),
        good: !rose('atStake'),
        explain: () =>
          explain.show({
            title: 'Hours at risk with this kit',
            value: `${q('hours', f?.atStake ?? 0)} h`,
            formula: 'Σ over problems of Λ × the most that any way saves, less what this kit’s ways save',
            inputs: [
              {
                name: 'at risk without any kit',
                value: `${q('hours', (a?.kit.atStake ?? 0) + (a?.kit.saved ?? 0))} h`,
              },
              { name: 'saved by this kit', value: `${q('hours', a?.kit.saved ?? 0)} h` },
            ],
            source: 'rates and hours stranded: typical values and your legs',
            to: { path: '/trip', label: 'See each problem' },
          }),
      },
      {
        key: 'ready',
        label: 'Ready',
        value: value(q('share', f?.ready ?? 0).replace(/\.\d$/, '')),
        unit: '%',
        diff: difference('ready', 'share', 0),
        good: rose('ready'),
        // What it is made of is worked out when it is asked for.
        explain: () => void import('../../stores/proof').then((p) => explain.show(readyWhy(p.useProof().told))),
      },
    ];
  });
  return cells;
}

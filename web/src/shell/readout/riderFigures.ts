import { unitOf, type Quantity, type UnitSystem } from '@necessaire/core';
import type { FigureKey, useAnswer } from '../../stores/answer';
import type { useExplain } from '../../stores/explain';
import { readyWhy } from '../../words/prove';
import type { Cell } from './cell';

/** A figure of one rider's kit. */
export interface RiderCell extends Cell {
  key: FigureKey;
}
/** What the figures are told from. */
export interface Told {
  f: ReturnType<typeof useAnswer>['shown'];
  a: ReturnType<typeof useAnswer>['answer'];
  u: UnitSystem;
  /** A quantity in the rider's units, without its unit. */
  q: (quantity: Quantity, value: number) => string;
  /** A text, or a dash where nothing is known yet. */
  value: (text: string) => string;
  /** A mass with its unit. */
  kitBy: (mass: number) => string;
  /** Whether a figure rose by the last change. */
  rose: (key: FigureKey | 'carried') => boolean;
  difference: (key: FigureKey | 'carried', quantity: Quantity | null, digits?: number) => string;
  explain: ReturnType<typeof useExplain>;
  /** Fasteners of the bike, those left out counted too. */
  fasteners: number;
}

/** Fasteners that the kit reaches. */
const reached = ({ f, value, rose, difference, explain, fasteners }: Told): RiderCell => ({
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
        { name: 'left out, with a reason', value: String(fasteners - (f?.chosen ?? 0)) },
      ],
      source: 'your tools and your survey; limits of tools are typical values unless you changed them',
      to: { path: '/match', label: 'See each one in Match' },
    }),
});

/** Fasteners that nothing in the toolbox reaches. */
const gaps = ({ f, value, rose, difference, explain }: Told): RiderCell => ({
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
});

/** What the kit weighs. */
const mass = ({ f, a, u, q, value, kitBy, rose, difference, explain }: Told): RiderCell => ({
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
});

/** How much room it takes. */
const bulk = ({ f, u, q, value, rose, difference, explain }: Told): RiderCell => ({
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
});

/** How likely it is to get home without being fetched. */
const home = ({ f, a, q, value, rose, difference, explain }: Told): RiderCell => ({
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
});

/** Hours that problems may still cost. */
const atStake = ({ f, a, q, value, rose, difference, explain }: Told): RiderCell => ({
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
});

/** How much of what is carried is proven. */
const ready = ({ f, q, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'ready',
  label: 'Ready',
  value: value(q('share', f?.ready ?? 0).replace(/\.\d$/, '')),
  unit: '%',
  diff: difference('ready', 'share', 0),
  good: rose('ready'),
  // What it is made of is worked out when it is asked for.
  explain: () => void import('../../stores/proof').then((p) => explain.show(readyWhy(p.useProof().told))),
});

/** The figures in the order of the readout. */
export const RIDER_FIGURES: readonly ((told: Told) => RiderCell)[] = [reached, gaps, mass, bulk, home, atStake, ready];

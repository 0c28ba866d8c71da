import { unitOf, type Quantity, type UnitSystem } from '@necessaire/core';
import type { FigureKey, useAnswer } from '../../stores/answer';
import type { useExplain } from '../../stores/explain';
import { readyWhy } from '../../words/prove';
import type { Cell } from './cell';
import * as texts from '../../words/shell/readout/riderFigures';

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
  label: texts.kitReaches,
  value: value(String(f?.carried)),
  unit: f ? `/${f.chosen}` : '',
  diff: difference('carried', null),
  good: rose('carried'),
  explain: () =>
    explain.show({
      title: texts.fastenersThatThisKitReaches,
      value: `${f?.carried} of ${f?.chosen}`,
      formula: texts.reachedWhen,
      inputs: [
        { name: texts.chosenFasteners, value: String(f?.chosen) },
        { name: texts.reachedWithEverythingThatYou, value: String(f?.reached) },
        { name: texts.leftOutWithAReason, value: String(fasteners - (f?.chosen ?? 0)) },
      ],
      source: texts.yourToolsAndYourSurvey,
      to: { path: '/match', label: texts.seeEachOneInMatch },
    }),
});

/** Fasteners that nothing in the toolbox reaches. */
const gaps = ({ f, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'gaps',
  label: texts.gaps,
  value: value(String(f?.gaps)),
  unit: '',
  diff: difference('gaps', null),
  good: !rose('gaps'),
  bad: (f?.gaps ?? 0) > 0,
  explain: () =>
    explain.show({
      title: texts.gaps,
      value: String(f?.gaps),
      formula: texts.chosenFastenersThoseThatAnything,
      inputs: [
        { name: 'chosen', value: String(f?.chosen) },
        { name: texts.reachedWithEverythingThatYou, value: String(f?.reached) },
      ],
      source: texts.yourToolboxAndYourSurvey,
      to: { path: '/match', label: texts.seeWhyAndWhatWould },
    }),
});

/** What the kit weighs. */
const mass = ({ f, a, u, q, value, kitBy, rose, difference, explain }: Told): RiderCell => ({
  key: 'mass',
  label: texts.kit,
  value: value(q('weight', f?.mass ?? 0)),
  unit: unitOf(u, 'weight'),
  diff: difference('mass', 'mass'),
  good: !rose('mass'),
  explain: () =>
    explain.show({
      title: texts.massOfTheKit,
      value: kitBy(f?.mass ?? 0),
      formula: {
        worth: texts.toolsSparesWhatWasFitted,
        lightest: texts.toolsSparesWhatWasFittedBeforehand,
        most: texts.toolsSparesWhatWasFittedBeforehandWhat,
        kept: texts.toolsSparesOfTheSaved,
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
                  ? texts.optimalProven
                  : texts.withinOfTheBest(((a?.kit.gap ?? 0) * 100).toFixed(1)),
              },
            ]),
      ],
      source: texts.massesTypicalValuesBySize,
      to: { path: '/kit', label: texts.seeEachItemAndWhy },
    }),
});

/** How much room it takes. */
const bulk = ({ f, u, q, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'bulk',
  label: texts.bulk,
  value: value(q('volume', f?.bulk ?? 0)),
  unit: unitOf(u, 'volume'),
  diff: difference('bulk', 'volume'),
  good: !rose('bulk'),
  explain: () =>
    explain.show({
      title: texts.bulk,
      value: `${q('volume', f?.bulk ?? 0)} ${unitOf(u, 'volume')}`,
      formula: texts.lengthWidthHeightOfEvery,
      inputs: [{ name: texts.usableShareForOddItems, value: texts.n065TypicalValue }],
      source: texts.measuresTypicalValuesBySize,
      to: { path: '/stow', label: texts.seeWhereItGoes },
    }),
});

/** How likely it is to get home without being fetched. */
const home = ({ f, a, q, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'home',
  label: texts.getsHomeUnaided,
  value: value(q('share', f?.home ?? 0)),
  unit: '%',
  diff: difference('home', 'share'),
  good: rose('home'),
  explain: () =>
    explain.show({
      title: texts.getsHomeUnaided,
      value: `${q('share', f?.home ?? 0)} %`,
      formula: texts.overProblemsThatEndThe,
      inputs: (a?.kit.mends ?? [])
        .filter((m) => m.covered < 0.995)
        .sort((x, y) => x.covered - y.covered)
        .slice(0, 8)
        .map((m) => ({
          name: m.name,
          value: `${(m.covered * 100).toFixed(1)} %`,
        })),
      source: texts.ratesPer1000KmTypical,
      to: { path: '/trip', label: texts.seeEachProblem },
    }),
});

/** Hours that problems may still cost. */
const atStake = ({ f, a, q, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'atStake',
  label: texts.hoursAtRisk,
  value: value(q('hours', f?.atStake ?? 0)),
  unit: 'h',
  diff: difference('atStake', 'hours'),
  good: !rose('atStake'),
  explain: () =>
    explain.show({
      title: texts.hoursAtRiskWithThis,
      value: `${q('hours', f?.atStake ?? 0)} h`,
      formula: texts.overProblemsOfTheMost,
      inputs: [
        {
          name: texts.atRiskWithoutAnyKit,
          value: `${q('hours', (a?.kit.atStake ?? 0) + (a?.kit.saved ?? 0))} h`,
        },
        { name: texts.savedByThisKit, value: `${q('hours', a?.kit.saved ?? 0)} h` },
      ],
      source: texts.ratesAndHoursStrandedTypical,
      to: { path: '/trip', label: texts.seeEachProblem },
    }),
});

/** How much of what is carried is proven. */
const ready = ({ f, q, value, rose, difference, explain }: Told): RiderCell => ({
  key: 'ready',
  label: texts.ready,
  value: value(q('share', f?.ready ?? 0).replace(/\.\d$/, '')),
  unit: '%',
  diff: difference('ready', 'share', 0),
  good: rose('ready'),
  // What it is made of is worked out when it is asked for.
  explain: () => void import('../../stores/proof').then((p) => explain.show(readyWhy(p.useProof().told))),
});

/** The figures in the order of the readout. */
export const RIDER_FIGURES: readonly ((told: Told) => RiderCell)[] = [reached, gaps, mass, bulk, home, atStake, ready];

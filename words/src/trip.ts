import type { CountFact, DueFact, FuelFact, StockFact, StrandedFact } from '@necessaire/core';
import { asTyped, measure, say, together, type Saying } from './saying.js';
import type { WordsOf } from './wordsOf.js';

const h = (value: number) => measure('hours', value);
const distance = (value: number) => measure('distance', value);
/** A tenth of a km counts near the road and nowhere else. */
const km = (value: number) => measure('distance', value, value < 10 && value % 1 > 0.05 ? 1 : 0);
const speed = (value: number) => measure('speed', value, value % 1 === 0 ? 0 : 1);

/** How help is raised. */
const raised = ({ by, helpKm, helpSpeed }: StrandedFact): Saying =>
  by === 'signal'
    ? say`call with signal`
    : by === 'companion'
      ? say`companion rides ${km(helpKm)} at ${speed(helpSpeed)}`
      : say`walk ${km(helpKm)} at ${speed(helpSpeed)}`;

/** What hours stranded are made of. */
export const STRANDED_WORDS: WordsOf<StrandedFact> = {
  'stranded.no-rescue': (f) =>
    say`${h(f.raise)} ${raised(f)} + ${h(f.wait)} wait${f.beyondCover ? ' (beyond the cover)' : ''} + ${km(f.workshopKm)} ${f.onTow ? 'on tow' : 'hitching'} at ${speed(f.speed)}`,
  'stranded.rescued': (f) =>
    say`${h(f.raise)} ${raised(f)} + ${h(f.arrive)} until the ${f.recovery} is there + ${h(f.transport)} back over ${km(f.workshopKm)} at ${speed(f.speed)}`,
};

/** What of an interval is gone. */
export const intervalWords = ({ km: byKm, hours, days }: DueFact): Saying =>
  together([
    ...(byKm
      ? [
          say`every ${distance(byKm.every)}, ${distance(byKm.gone)} gone; dust counts a distance on gravel or track ${byKm.dust.toFixed(1)} times`,
        ]
      : []),
    ...(hours ? [say`every ${hours.every} engine hours, ${hours.gone} gone`] : []),
    ...(days ? [say`every ${days.every} days, last ${days.last ?? 'not known'}`] : []),
  ]);

/** Services that fall due, fuel between pumps, and stocks. */
export const TRIP_WORDS: WordsOf<DueFact | FuelFact | StockFact> = {
  'due.interval': intervalWords,
  'fuel.range': (f) =>
    say`${measure('capacity', f.tank)} × (1 − ${f.reserve}) ÷ (${measure('consumption', f.consumption)} × ${f.factor.toFixed(2)} for the ground) = ${distance(f.range)}; spare = (${f.gap === null ? 'a gap not known' : distance(f.gap)} × ${f.detour} − range) × ${measure('consumption', f.per100)}`,
  'stock.level': ({ asked, quantity, enough }) => {
    const parts = asked.map((a) => say`${a.trouble}: Λ ${a.lambda.toFixed(3)} × ${a.units}`);
    return say`${together(parts)}. P(demand ≤ ${quantity}) = ${(100 * enough).toFixed(1)} %`;
  },
};

/** How often a trouble comes. */
export const COUNT_WORDS: WordsOf<CountFact> = {
  'count.lambda': ({ ridden, crossings, factor, weak, record, lambda }) => {
    const parts = [
      ...ridden.map((r) => say`${asTyped('rate', r.rate)} × ${distance(r.km)} ${r.on}`),
      ...(crossings ? [say`${crossings.rate} × ${crossings.times} crossings`] : []),
    ];
    const also = [
      weak === 1 ? '' : ` × ${weak} as a weak point of this bike`,
      record
        ? ` × ${record.factor.toFixed(2)} by your record ((2 + ${record.events}) ÷ (2 + ${record.expected.toFixed(2)}))`
        : '',
    ].join('');
    return say`Λ = (${parts.length > 0 ? together(parts, ' + ') : '0'}) × ${factor.toFixed(2)} for age, load and care${also} = ${lambda.toFixed(3)}`;
  },
  'count.due': ({ services }) =>
    together(
      services.map((s) => say`${s.name}: ${intervalWords(s.due)}`),
      '. ',
    ),
  'count.aired': ({ times, low, high }) =>
    say`${times} times between ${measure('pressure', low)} and ${measure('pressure', high)}, as the trip says`,
};

import { at } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { chosenKit } from '../kit/withMeasures.js';
import type { Kit } from '../kit/kit.js';
import { kitCase } from '../kit/toolCase.js';
import { RATE_CELLS, rateIn, SUBJECTS, type OwnRates, type Subject } from '../repairs/index.js';
import { exposuresIn, troublesIn } from '../trip/odds/index.js';
import { stockOf } from '../repairs/supplies/index.js';
import type { Question } from './question.js';

/** How many times smaller or greater a typical rate may be in truth (docs/model.md, ranges). */
export const RATE_RANGE = 3;

/** One look at the kit with some rates at an end of their range. */
export interface RatesAt {
  /** Whose rates: those of a subject, or all. */
  of: Subject | 'all';
  factor: number;
  /** Grams, and hours saved, of the kit chosen then. */
  mass: number;
  saved: number;
  proven: boolean;
}
/** One thing of a kit, and in how many of the looks it stays. */
export interface Sureness {
  name: string;
  /** A tool, or a spare. */
  by: 'tool' | 'spare';
  /** How many there are now, and the least and most over all looks. */
  now: number;
  least: number;
  most: number;
  /** Looks in which there is none of it, though now there is, or some though now there is none. */
  flips: { of: Subject | 'all'; factor: number }[];
}
export interface HowSure {
  looks: RatesAt[];
  /** Things of the kit now that stay over the whole range. */
  robust: Sureness[];
  /** Things that leave or come somewhere in it, those that flip most often first. */
  flipping: Sureness[];
}

/** The rates of some troubles times a factor, as if the rider had written them. */
function ratesTimes(doc: GarageDocument, of: Subject | 'all', factor: number): OwnRates {
  return troublesIn(doc)
    .filter((t) => (of === 'all' || t.subject === of) && t.service === null)
    .flatMap((t) =>
      RATE_CELLS.filter((on) => rateIn(t, on) > 0).map((on) => ({
        trouble: t.id,
        on,
        rate: Math.min(100, rateIn(t, on) * factor),
      })),
    );
}

const things = (kit: Kit): Map<string, { name: string; by: 'tool' | 'spare'; n: number }> =>
  new Map<string, { name: string; by: 'tool' | 'spare'; n: number }>([
    ...kit.pieces.map((p) => [`tool ${p.piece.id}`, { name: p.piece.name, by: 'tool', n: p.count }] as const),
    ...kit.spares
      .filter((s) => s.quantity > s.fitted)
      .map((s) => [`spare ${s.kind}`, { name: s.name, by: 'spare', n: s.quantity - s.fitted }] as const),
  ]);

/**
 * What of a kit hangs on how good the rates are: the kit is chosen anew with all rates, and with those of each subject, at both ends of their
 * range, all else alike. Tools and spares that are in every one of these kits are robust; the others flip.
 * @param onProgress told the share done, 0 to 1
 * @throws RangeError when the bike is not in the garage
 */
export function howSure(
  doc: GarageDocument,
  question: Question,
  solve: Solve,
  onProgress: (share: number) => void = () => {},
): HowSure {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const plain = { ...question, hint: null, packed: null };
  const { owned } = stockOf(doc.supplies, bike, question.today ?? null, doc.kinds);
  const kitAt = (rates: OwnRates): Kit => {
    const then = { ...doc, garage: { ...doc.garage, rates: [...doc.garage.rates, ...rates] } };
    return chosenKit(then, plain, kitCase(then, plain).problem, solve, owned).kit;
  };
  const asked = new Set(exposuresIn(doc, plain).map((e) => e.trouble.subject));
  const looked = (['all', ...SUBJECTS.filter((s) => s !== 'service' && asked.has(s))] as const).flatMap((of) =>
    [1 / RATE_RANGE, RATE_RANGE].map((factor) => ({ of, factor })),
  );
  const now = things(kitAt([]));
  const looks: RatesAt[] = [];
  const found = looked.map(({ of, factor }, i) => {
    onProgress((i + 1) / (looked.length + 1));
    const kit = kitAt(ratesTimes(doc, of, factor));
    looks.push({ of, factor, mass: kit.mass, saved: kit.saved, proven: kit.proven });
    return { of, factor, has: things(kit) };
  });
  const names = new Map([...found.flatMap((f) => [...f.has]), ...now]);
  const all = [...names].map(([key, { name, by }]): Sureness => {
    const n = now.get(key)?.n ?? 0;
    const counts = found.map((f) => f.has.get(key)?.n ?? 0);
    return {
      name,
      by,
      now: n,
      least: Math.min(n, ...counts),
      most: Math.max(n, ...counts),
      flips: found.filter((_, i) => at(counts, i) > 0 !== n > 0).map(({ of, factor }) => ({ of, factor })),
    };
  });
  const byName = (a: Sureness, b: Sureness) => (a.name < b.name ? -1 : 1);
  return {
    looks,
    robust: all.filter((s) => s.now > 0 && s.flips.length === 0).sort(byName),
    flipping: all
      .filter((s) => s.flips.length > 0)
      .sort((a, b) => b.now - a.now || b.flips.length - a.flips.length || byName(a, b)),
  };
}

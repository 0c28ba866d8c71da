import { at } from '../../ground/numbers.js';
import type { Bike } from '../../bike/bike.js';
import type { OwnKind } from './book.js';
import type { SupplyFact } from './facts.js';
import { differs, tubeMismatch } from './fitCheck.js';
import { FIT_SLOTS, type FitSlot } from './fitSlots.js';

export { FIT_SLOTS, type FitSlot };

/** One line of the fit sheet: what to read and where, and which supplies it decides. */
export interface FitLine {
  /** A slot, or the name of a kind of the rider's own. */
  slot: FitSlot | (string & {});
  /** What to read, with an example. */
  ask: string;
  /** Kinds of supply that must match it; empty where nothing is carried for it. */
  decides: readonly string[];
  on?: (bike: Bike) => boolean;
  caution?: string;
}
const chain = (b: Bike) => b.drive === 'chain';
const liquid = (b: Bike) => b.cooling === 'liquid';

export const FIT_LINES: readonly FitLine[] = [
  { slot: 'plug', ask: 'code, reach and gap: M10, 26.5 mm, 0.8 mm', decides: ['spark plug'] },
  { slot: 'bulb main', ask: 'base and watts: two-filament, 35/35 W', decides: ['bulb'] },
  { slot: 'bulb tail', ask: 'base and watts: 5/21 W', decides: ['tail bulb'] },
  {
    slot: 'fuses',
    ask: 'format and ratings: small blade, 10 15 20 A',
    decides: ['fuse'],
    caution: 'A blade of the small format sits loose in the larger holder and burns.',
  },
  { slot: 'chain', ask: 'size, links, kind of link: 520, 112, clip', decides: ['chain link'], on: chain },
  { slot: 'chain tool', ask: 'largest chain that the tool opens and rivets: 525', decides: [], on: chain },
  { slot: 'coolant hose', ask: 'bore: 19 mm', decides: ['hose piece', 'hose splice'], on: liquid },
  { slot: 'fuel hose', ask: 'bore, and whether it bears the pump’s pressure: 8 mm, injection', decides: ['fuel hose'] },
  {
    slot: 'tube front',
    ask: 'size and valve: 80/100-21, straight',
    decides: ['front tube'],
    on: (b) => b.tyres === 'tubed',
  },
  {
    slot: 'tube rear',
    ask: 'size and valve: 120/90-18, straight',
    decides: ['rear tube'],
    on: (b) => b.tyres === 'tubed',
  },
  { slot: 'valve', ask: 'core: short or long', decides: ['valve core'] },
  { slot: 'oil filter', ask: 'measure and ring: 38 × 46 mm, O-ring 40', decides: ['oil filter'] },
  { slot: 'air filter', ask: 'part or outline: foam, this bike’s', decides: ['air filter'] },
  { slot: 'fuel filter', ask: 'bore and way: 8 mm, in line', decides: ['fuel filter'] },
  { slot: 'pads front', ask: 'shape: outline and pin', decides: ['brake pads'], on: (b) => b.brakeFront !== 'drum' },
  { slot: 'pads rear', ask: 'shape: outline and pin', decides: ['brake pads'], on: (b) => b.brakeRear !== 'drum' },
  {
    slot: 'brake fluid',
    ask: 'the grade on the cap',
    decides: ['brake fluid'],
    caution: 'The wrong brake fluid ruins the seals: use the grade on the cap, from a sealed bottle only.',
  },
  { slot: 'engine oil', ask: 'grade and volume: 10W-40, 1.1 L', decides: ['engine oil'] },
  { slot: 'coolant', ask: 'kind and volume: silicate-free, 0.9 L', decides: ['coolant'], on: liquid },
  { slot: 'clutch cable', ask: 'ends and length: barrel 8, pear 5, 1100 mm', decides: ['cable inner'] },
  { slot: 'throttle cable', ask: 'ends and length', decides: ['cable inner'] },
  { slot: 'clutch lever', ask: 'part or outline', decides: ['clutch lever'] },
  { slot: 'brake lever', ask: 'part or outline', decides: ['brake lever'] },
  { slot: 'wheel bearing front', ask: 'number on the ring: 20 × 42 × 12', decides: ['wheel bearing'] },
  { slot: 'wheel bearing rear', ask: 'number on the ring: 20 × 47 × 14', decides: ['wheel bearing'] },
  { slot: 'spokes', ask: 'gauge and length', decides: ['spoke'], on: (b) => b.wheels === 'spoked' },
  { slot: 'axle nut', ask: 'thread: M16 × 1.5', decides: ['axle nut'] },
  {
    slot: 'power socket',
    ask: 'connector and fuse: ring ends, 10 A',
    decides: ['charging lead'],
    caution: 'Jump currents do not go through a thin accessory lead.',
  },
  { slot: 'cut-outs', ask: 'what stops the engine: side stand, low oil, fall sensor', decides: [] },
  {
    slot: 'starter cord',
    ask: 'thickness and length: 5 mm, 1.6 m',
    decides: ['starter cord'],
    on: (b) => b.starter === 'pull cord',
  },
];

/** Lines of the rider's own kinds that must match the bike. */
const ownLines = (own: readonly OwnKind[]): FitLine[] =>
  own.filter((k) => k.matches).map((k) => ({ slot: k.name, ask: 'what it must match', decides: [k.name] }));
/** The lines that a bike has, those of the rider's own kinds behind. */
export const fitLinesOf = (bike: Bike, own: readonly OwnKind[] = []): FitLine[] => [
  ...FIT_LINES.filter((l) => l.on?.(bike) ?? true),
  ...ownLines(own),
];

/** Two readings say the same when they differ in spaces and letter case alone. */
const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[\s,;.×x·-]+/gu, ' ')
    .trim();
/** Whether two readings say the same but for spaces, signs and letter case. */
export const sameFit = (a: string, b: string): boolean => plain(a) === plain(b);

/** Whether a supply marked for something serves a bike: it does, it is for another, or nobody wrote down enough to say. */
export type FitVerdict = 'fits' | 'not known' | 'another';
export interface FitJudged {
  verdict: FitVerdict;
  /** What differs, where it is for another. */
  why: SupplyFact[];
}
const judged = (verdict: FitVerdict, why: SupplyFact[] = []): FitJudged => ({ verdict, why });

/**
 * Whether a supply serves a bike, and what differs. Readings are compared by their figures where they have any (bore, rim, thread, chain), else
 * word by word.
 */
export function judgeFit(supply: { kind: string; fits: string }, bike: Bike, own: readonly OwnKind[] = []): FitJudged {
  const every = [...FIT_LINES, ...ownLines(own)];
  const lines = fitLinesOf(bike, own).filter((l) => l.decides.includes(supply.kind));
  // Nothing decides it, or only what this bike has not: then no bike like it takes any.
  if (lines.length === 0)
    return every.some((l) => l.decides.includes(supply.kind))
      ? judged('another', [{ code: 'supply.takes-none' }])
      : judged('fits');
  const wrong = tubeMismatch(supply.kind, supply.fits, bike);
  if (wrong) return judged('another', [wrong]);
  const read = lines.flatMap((l) => {
    const reading = bike.fit[l.slot] ?? '';
    return reading === '' ? [] : [{ slot: l.slot, reading }];
  });
  if (supply.fits === '' || read.length === 0) return judged('not known');
  const compared = read.map(({ slot, reading }) => {
    const why = sameFit(reading, supply.fits) ? [] : differs(slot, reading, supply.fits);
    return { same: why?.length === 0, why: why ?? [] };
  });
  if (compared.some((c) => c.same)) return judged('fits');
  return read.length < lines.length ? judged('not known') : judged('another', at(compared, 0).why);
}
/** Whether a supply serves a bike, without what differs. */
export const fitVerdict = (
  supply: { kind: string; fits: string },
  bike: Bike,
  own: readonly OwnKind[] = [],
): FitVerdict => judgeFit(supply, bike, own).verdict;

/** One line over several bikes: what each sheet says, and whether one spare serves them all. */
export interface FitCompared {
  line: FitLine;
  says: { bikeId: string; reading: string }[];
  /** All that wrote something down wrote the same. */
  same: boolean;
}
/** Every line of the fit sheet over several bikes that have it, with what each says. */
export function compareFits(bikes: readonly Bike[], own: readonly OwnKind[] = []): FitCompared[] {
  return [...FIT_LINES, ...ownLines(own)].flatMap((line) => {
    const having = bikes.filter((b) => line.on?.(b) ?? true);
    if (having.length === 0) return [];
    const says = having.map((b) => ({ bikeId: b.id, reading: b.fit[line.slot] ?? '' }));
    const read = says.filter((s) => s.reading !== '');
    return [{ line, says, same: read.length > 1 && read.every((s) => sameFit(s.reading, at(read, 0).reading)) }];
  });
}

import { at, entry } from '../../ground/numbers.js';
import { tyreMeasures, type Bike } from '../../bike/bike.js';
import type { ChainToolFact, SheetFact, SupplyFact } from './facts.js';
import type { FitSlot } from './fitSlots.js';

/** What a reading says in figures and words that can be compared one by one. */
type Facts = Readonly<Record<string, number | string>>;

const numberIn = (text: string, re: RegExp): number | null => {
  const m = re.exec(text);
  return m ? Number(at(m, 1).replace(',', '.')) : null;
};
const put = (facts: Record<string, number | string>, key: string, value: number | string | null) => {
  if (value !== null) facts[key] = value;
};

const chainFacts = (text: string): Facts => {
  const f: Record<string, number | string> = {};
  put(f, 'size', numberIn(text, /\b([245]\d\d)\b/u));
  put(f, 'kind of link', /\b(clip|rivet)\b/iu.exec(text)?.[1]?.toLowerCase() ?? null);
  return f;
};
const tubeFacts = (text: string): Facts => {
  const f: Record<string, number | string> = {};
  const mark = /(\d{2,3}(?:\/\d{2,3})? ?-? ?[A-Z]{0,2}-? ?\d{2}|\d\.\d{1,2} ?- ?\d{2})/iu.exec(text)?.[1] ?? null;
  put(f, 'rim', mark === null ? null : Number(/(\d{2})$/u.exec(mark)?.[1]));
  put(f, 'valve', /\b(straight|angled|bent)\b/iu.exec(text)?.[1]?.toLowerCase().replace('bent', 'angled') ?? null);
  return f;
};
const plugFacts = (text: string): Facts => {
  const f: Record<string, number | string> = {};
  put(f, 'thread', numberIn(text, /\bM(\d{1,2})\b/iu));
  put(f, 'reach', numberIn(text, /\b(\d{2}(?:[.,]\d)?) ?mm\b/iu));
  return f;
};
const boreFacts = (text: string): Facts => {
  const f: Record<string, number | string> = {};
  put(f, 'bore', numberIn(text, /\b(\d{1,2}(?:[.,]\d)?) ?mm\b/iu));
  return f;
};
const fuseFacts = (text: string): Facts => {
  const f: Record<string, number | string> = {};
  put(f, 'format', /\b(small blade|large blade|blade|glass)\b/iu.exec(text)?.[1]?.toLowerCase() ?? null);
  return f;
};

const FACTS: Readonly<Partial<Record<FitSlot, (text: string) => Facts>>> = {
  chain: chainFacts,
  'tube front': tubeFacts,
  'tube rear': tubeFacts,
  plug: plugFacts,
  fuses: fuseFacts,
  'coolant hose': boreFacts,
  'fuel hose': boreFacts,
  'fuel filter': boreFacts,
};
/** mm that two measures of one part may differ by, as read with a rule. Planning value. */
const SAME_MM = 0.6;
const same = (a: number | string, b: number | string): boolean =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= SAME_MM : a === b;

/**
 * Whether two readings of one line speak of the same part, by what both say: size, bore, thread, reach, format. Null where they have nothing
 * in common that can be compared; else what differs, empty where nothing does.
 */
export function differs(slot: string, reading: string, fits: string): SupplyFact[] | null {
  const facts = FACTS[slot as FitSlot];
  if (!facts) return null;
  const [a, b] = [facts(reading), facts(fits)];
  const both = Object.keys(a).filter((k) => k in b);
  if (both.length === 0) return null;
  return both
    .filter((k) => !same(entry(a, k), entry(b, k)))
    .map((what) => ({
      code: 'supply.differs',
      what,
      there: entry(b, what),
      here: entry(a, what),
    }));
}

/** Rim of a tyre mark, inches. */
const rimOf = (mark: string): number => tyreMeasures(mark).rim;

/** Something read off a bike that does not go with something else of it. */
export interface FitFault {
  slot: FitSlot;
  why: SheetFact;
}
/** What on a bike's fit sheet does not go together: a tube for another rim, a chain tool that is too small. */
export function fitFaults(bike: Bike): FitFault[] {
  const out: FitFault[] = [];
  for (const [slot, tyre] of [
    ['tube front', bike.tyreFront],
    ['tube rear', bike.tyreRear],
  ] as const) {
    const rim = tubeFacts(bike.fit[slot] ?? '')['rim'];
    if (rim !== undefined && rim !== rimOf(tyre)) out.push({ slot, why: { code: 'sheet.tube', rim, tyre } });
  }
  const small = chainToolTooSmall(bike);
  if (small) out.push({ slot: 'chain tool', why: small });
  return out;
}

/** Why a bike's chain tool does not open its chain; null where it does, or nobody wrote both down. */
export function chainToolTooSmall(bike: Pick<Bike, 'fit'>): ChainToolFact | null {
  const [chain, tool] = [bike.fit['chain'], bike.fit['chain tool']].map((t) => chainFacts(t ?? '')['size']);
  return typeof chain === 'number' && typeof tool === 'number' && tool < chain
    ? { code: 'sheet.chain-tool', opens: tool, chain }
    : null;
}

/** Why a tube does not go into the bike's tyre, whatever the sheet says; null where it does or nothing is said. */
export function tubeMismatch(kind: string, fits: string, bike: Bike): SupplyFact | null {
  const tyre = kind === 'front tube' ? bike.tyreFront : kind === 'rear tube' ? bike.tyreRear : null;
  if (tyre === null || bike.tyres !== 'tubed') return null;
  const rim = tubeFacts(fits)['rim'];
  return rim !== undefined && rim !== rimOf(tyre) ? { code: 'supply.rim', rim, tyre } : null;
}

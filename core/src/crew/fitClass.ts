import { tyreMeasures, type Bike } from '../bike/bike.js';
import {
  FIT_LINES,
  fitVerdict,
  type OwnKind,
  type Supply,
  type SupplyBook,
  type SupplyKind,
} from '../repairs/supplies/index.js';

/** Spares of one kind that serve the same bikes: one stock of them serves all of these, and none of the others. */
export interface FitClass {
  key: string;
  kind: string;
  /** What it is made for, as the sheets read; empty where it fits anything. */
  fits: string;
  bikes: string[];
}

const TYRE_OF: Readonly<Record<string, 'tyreFront' | 'tyreRear'>> = {
  'front tube': 'tyreFront',
  'rear tube': 'tyreRear',
};

/** What a bike's sheet says of a kind; null where nothing decides it on any bike, empty where nobody has read it. */
export function readingOf(bike: Bike, kind: string, own: readonly OwnKind[] = []): string | null {
  const lines = FIT_LINES.filter((l) => l.decides.includes(kind));
  const mine = own.some((k) => k.matches && k.name === kind) ? [kind] : [];
  const slots = [...lines.filter((l) => l.on?.(bike) ?? true).map((l) => l.slot), ...mine];
  if (lines.length + mine.length === 0) return null;
  const read = slots.map((s) => bike.fit[s] ?? '').find((r) => r !== '');
  if (read) return read;
  // A tube's rim is known from the tyre.
  const tyre = TYRE_OF[kind];
  return tyre ? bike[tyre] : '';
}

/** The rim that a tube is made for, inches; null where its marking does not say. */
function tubeRim(fits: string): number | null {
  const found = /(\d{2})(?=,| |$)/u.exec(fits.replace(/ ?M\/C.*$/u, ''))?.[1];
  return found === undefined ? null : Number(found);
}

/** Whether a spare bought for one bike serves another. */
function serves(kind: string, fits: string, bike: Bike, own: readonly OwnKind[]): boolean {
  const tyre = TYRE_OF[kind];
  // A tube stretches over widths: the rim decides, and the valve where both say it.
  if (tyre && tubeRim(fits) !== tyreMeasures(bike[tyre]).rim) return false;
  const verdict = fitVerdict({ kind, fits }, bike, own);
  return tyre && bike.tyres === 'tubed'
    ? verdict !== 'another'
    : verdict === 'fits' || (tyre !== undefined && fits === bike[tyre]);
}

/**
 * The stocks of one kind over several bikes: bikes whose sheets read alike share one. Where nobody has read what a kind must match, each bike has a
 * stock of its own, since nobody knows that another's would fit.
 */
export function fitClasses(kind: string, bikes: readonly Bike[], own: readonly OwnKind[] = []): FitClass[] {
  const out: FitClass[] = [];
  for (const bike of bikes) {
    const fits = readingOf(bike, kind, own);
    if (fits === null) {
      const every = out.find((c) => c.fits === '' && c.key === kind);
      if (every) every.bikes.push(bike.id);
      else out.push({ key: kind, kind, fits: '', bikes: [bike.id] });
      continue;
    }
    if (fits === '') {
      out.push({ key: `${kind} for ${bike.name} ${bike.id.slice(-4)}`, kind, fits: '', bikes: [bike.id] });
      continue;
    }
    const alike = out.find((c) => c.fits !== '' && serves(kind, c.fits, bike, own));
    if (alike) alike.bikes.push(bike.id);
    else out.push({ key: `${kind} · ${fits}`, kind, fits, bikes: [bike.id] });
  }
  return out;
}

/** Whether a spare that somebody owns belongs to a stock: it may serve one of its bikes at least. */
export const belongsTo = (
  supply: Pick<Supply, 'kind' | 'fits'>,
  c: FitClass,
  bikes: readonly Bike[],
  own: readonly OwnKind[] = [],
): boolean =>
  supply.kind === c.kind &&
  bikes.some((b) => c.bikes.includes(b.id) && fitVerdict({ ...supply }, b, own) !== 'another');

/** The book with a line for every stock, named by what it must match. */
export function bookWith(book: SupplyBook, classes: ReadonlyMap<string, FitClass>, bikes: readonly Bike[]): SupplyBook {
  const named = (key: string): SupplyKind => {
    const c = classes.get(key);
    if (!c) return book.of(key);
    const of = book.of(c.kind);
    const one = c.bikes.length === 1 ? bikes.find((b) => b.id === c.bikes[0])?.name : undefined;
    const suffix = c.fits !== '' ? ` ${c.fits}` : c.key === c.kind || !one ? '' : ` (${one})`;
    return { ...of, kind: key, name: `${of.name}${suffix}` };
  };
  return { all: book.all, has: (key) => classes.has(key) || book.has(key), of: named };
}

import { at } from '../../ground/numbers.js';
import { z } from 'zod';
import { line } from '../../ground/text.js';
import type { Bike } from '../../bike/bike.js';
import { id, note } from '../../ground/fields.js';
import type { OwnKind } from './book.js';
import type { SupplyFact } from './facts.js';
import { judgeFit } from './fitSheet.js';

/** What a rider owns of one kind of spare. */
export const supplySchema = z.strictObject({
  id,
  /** One of the kinds known, or the name of one of the rider's own. */
  kind: line(120).min(1),
  quantity: z.int().min(0).max(1000),
  /** What it is made for, as the bike's fit sheet reads; empty where it fits anything, or nobody looked. */
  fits: line(120),
  /** When it was bought, and opened; null where it was not, or nobody knows. */
  bought: z.iso.date().nullable(),
  opened: z.iso.date().nullable(),
  condition: z.enum(['new', 'used, known good', 'spent']),
  /** The bike on which it sits beside the live part already; null when it lies in the toolbox. */
  fittedOn: id.nullable(),
  /** `always` is packed whatever it is good for, `never` stays at home. */
  mark: z.enum(['always', 'never']).nullable(),
  note,
});
export type Supply = z.infer<typeof supplySchema>;

/** A supply from what differs from a new one that fits anything. */
export const newSupply = (given: Pick<Supply, 'id' | 'kind' | 'quantity'> & Partial<Supply>): Supply => ({
  fits: '',
  bought: null,
  opened: null,
  condition: 'new',
  fittedOn: null,
  mark: null,
  note: '',
  ...given,
});

/** Months that a kind keeps from the day it was bought, and once opened. Planning values; what is not here keeps. */
const KEEPS: Readonly<Record<string, { shut: number; open: number }>> = {
  patch: { shut: 36, open: 6 },
  'plug string': { shut: 48, open: 48 },
  'metal putty': { shut: 36, open: 24 },
  'brake fluid': { shut: 36, open: 0 },
  dressing: { shut: 60, open: 0 },
  'burn dressing': { shut: 48, open: 0 },
  'water tablet': { shut: 48, open: 3 },
  threadlocker: { shut: 36, open: 24 },
  'liquid gasket': { shut: 24, open: 12 },
  'stop-leak powder': { shut: 60, open: 3 },
  'self-fusing tape': { shut: 60, open: 36 },
  'front tube': { shut: 96, open: 96 },
  'rear tube': { shut: 96, open: 96 },
  'engine oil': { shut: 60, open: 24 },
  coolant: { shut: 60, open: 24 },
};

/** ISO date some months after another. */
function after(date: string, months: number): string {
  const [y, m, d] = date.split('-').map(Number) as [number, number, number];
  const month = m - 1 + months;
  const year = y + Math.floor(month / 12);
  const last = new Date(Date.UTC(year, (month % 12) + 1, 0)).getUTCDate();
  return `${String(year).padStart(4, '0')}-${String((month % 12) + 1).padStart(2, '0')}-${String(Math.min(d, last)).padStart(2, '0')}`;
}

/** The day until which a supply keeps: the earlier of shut and opened life; null when it keeps, or no date is known. */
export function goodUntil(supply: Pick<Supply, 'kind' | 'bought' | 'opened'>): string | null {
  const keeps = KEEPS[supply.kind];
  if (!keeps) return null;
  const ends = [
    ...(supply.bought ? [after(supply.bought, keeps.shut)] : []),
    ...(supply.opened ? [after(supply.opened, keeps.open)] : []),
  ].sort();
  return ends[0] ?? null;
}

/** Why a supply does not count for a bike; null when it does. */
export function whyNot(
  supply: Supply,
  bike: Bike,
  today: string | null,
  own: readonly OwnKind[] = [],
): SupplyFact | null {
  if (supply.condition === 'spent') return { code: 'supply.spent' };
  if (supply.mark === 'never') return { code: 'supply.stays-home' };
  const until = goodUntil(supply);
  if (until !== null && today !== null && until < today) return { code: 'supply.past-date', until };
  if (supply.fittedOn !== null && supply.fittedOn !== bike.id) return { code: 'supply.other-bike' };
  const { verdict, why } = judgeFit(supply, bike, own);
  if (verdict !== 'another') return null;
  return supply.fits === '' ? at(why, 0) : { code: 'supply.made-for', fits: supply.fits, because: why };
}

/** What of each kind there is for a bike: in the toolbox, and fitted beside the live part, which weighs nothing in the kit. */
export function stockOf(
  supplies: readonly Supply[],
  bike: Bike,
  today: string | null,
  own: readonly OwnKind[] = [],
): { owned: Map<string, number>; fitted: Map<string, number> } {
  const [owned, fitted] = [new Map<string, number>(), new Map<string, number>()];
  for (const s of supplies) {
    if (whyNot(s, bike, today, own) !== null) continue;
    const into = s.fittedOn === null ? owned : fitted;
    into.set(s.kind, (into.get(s.kind) ?? 0) + s.quantity);
  }
  return { owned, fitted };
}

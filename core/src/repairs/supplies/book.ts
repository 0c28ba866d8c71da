import { z } from 'zod';
import { measures } from '../../bike/bike.js';
import { euros, grams, id, name, note } from '../../ground/fields.js';
import { line } from '../../ground/text.js';
import { TRAITS } from '../../toolbox/tools/piece.js';
import { SUPPLIES, type SupplyKind } from './kinds.js';

/** A kind of spare that the rider adds: what a trouble or a way of the rider's own uses up, or what is simply carried. */
export const ownKindSchema = z.strictObject({
  id,
  /** What it is called; steps name it so, and it is told apart by it. */
  name,
  /** What one of it is called: `piece`, `metre`. */
  unit: line(30).min(1),
  /** Grams of one. */
  mass: grams,
  size: measures,
  price: euros,
  traits: z.array(z.enum(TRAITS)).max(TRAITS.length),
  /** Whether it must match the bike: then the fit sheet has a line for it. */
  matches: z.boolean(),
  note,
});
export type OwnKind = z.infer<typeof ownKindSchema>;

/** All kinds of spare in a garage's eyes: those known, and the rider's own. */
export interface SupplyBook {
  all: readonly SupplyKind[];
  /** Whether a step may name that kind; `bolt` stands for the bike's own threads. */
  has: (kind: string) => boolean;
  /** What is said of a kind; of one that is in no list only its name. */
  of: (kind: string) => SupplyKind;
}

const nameless = (kind: string): SupplyKind => ({
  kind,
  name: kind,
  unit: 'piece',
  mass: 0,
  size: { length: 10, width: 10, height: 10 },
  price: 0,
  traits: [],
});

/** The book of a garage. What is known keeps its name: an own kind of the same name is passed over. */
export function bookOf(own: readonly OwnKind[]): SupplyBook {
  const known = new Map(SUPPLIES.map((k) => [k.kind, k]));
  const mine = own
    .filter((k) => !known.has(k.name))
    .map(({ name: kind, unit, mass, size, price, traits }): SupplyKind => ({
      kind,
      name: kind,
      unit,
      mass,
      size,
      price,
      traits,
    }));
  const all = new Map([...known, ...mine.map((k) => [k.kind, k] as const)]);
  return {
    all: [...all.values()],
    has: (kind) => kind === 'bolt' || all.has(kind),
    of: (kind) => all.get(kind) ?? nameless(kind),
  };
}

/** The book of a garage without kinds of its own. */
export const KNOWN: SupplyBook = bookOf([]);

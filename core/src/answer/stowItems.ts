import type { Kit } from '../kit/index.js';
import { itemOfPiece, itemOfSpare, type Pin, type StowItem } from '../stow/index.js';
import type { Exposure } from '../trip/odds/index.js';

/** Subjects whose things make a pouch of their own; tools for whatever is loose or due serve everywhere. */
const POUCHES: ReadonlySet<string> = new Set([
  'wheels',
  'drive',
  'controls',
  'electrics',
  'engine and fuel',
  'brakes',
  'people',
  'getting out',
]);
/** Share of its expected uses that must fall to one subject for an item to lie with the like. Planning value. */
const MOSTLY = 0.6;

/**
 * Key of so many units of a kind that lie apart from the rest.
 * @param units how many of them, from 1
 */
export const partKey = (kind: string, units: number): string => `supply ${kind} part ${units}`;
/** Splits a stock where the rider put some of it elsewhere: ties here and there. A part that is as large as the stock is no part. */
function inParts(spare: Kit['spares'][number], packed: number, pins: readonly Pin[]) {
  const whole = `supply ${spare.kind}`;
  const parts = pins.flatMap((p) => {
    const units = p.item.startsWith(`${whole} part `) ? Number(p.item.slice(whole.length + 6)) : 0;
    return Number.isInteger(units) && units > 0 && units < packed ? [{ spare, packed: units, key: p.item }] : [];
  });
  const [part] = parts;
  return part ? [{ spare, packed: packed - part.packed, key: whole }, part] : [{ spare, packed, key: whole }];
}

/** Things to be stowed: each copy of a piece, each stock as one packet, with the subject of the mends that it mostly serves. */
export function stowItems(kit: Kit, exposures: readonly Exposure[], pins: readonly Pin[] = []): StowItem[] {
  const known = new Map<string, { subject: string; lambda: number }>();
  for (const e of exposures) {
    const lambda = (known.get(e.trouble.id)?.lambda ?? 0) + e.lambda;
    known.set(e.trouble.id, { subject: e.trouble.subject, lambda });
  }
  const groupOf = (ids: readonly string[]): string | null => {
    const by = new Map<string, number>();
    for (const id of new Set(ids)) {
      const k = known.get(id);
      if (k) by.set(k.subject, (by.get(k.subject) ?? 0) + k.lambda);
    }
    const sum = [...by.values()].reduce((s, n) => s + n, 0);
    const [first] = [...by].sort((a, b) => b[1] - a[1]);
    return first && POUCHES.has(first[0]) && first[1] >= MOSTLY * sum ? first[0] : null;
  };
  const pieces = kit.pieces.flatMap(({ piece, count, uses, serves, turnsFor }) =>
    Array.from({ length: count }, (_, copy) =>
      itemOfPiece(piece, copy + 1, count, { uses, group: groupOf([...serves, ...turnsFor].map((t) => t.id)) }),
    ),
  );
  const spares = kit.spares
    .filter((s) => s.quantity > s.fitted)
    .flatMap((spare) => inParts(spare, spare.quantity - spare.fitted, pins))
    .map(({ spare, packed, key }) =>
      itemOfSpare({ ...spare.of, name: spare.name, kind: spare.kind }, packed, key, {
        uses: (spare.expected * packed) / (spare.quantity - spare.fitted),
        group: groupOf(spare.for.map((f) => f.troubleId)),
      }),
    );
  return [...pieces, ...spares];
}

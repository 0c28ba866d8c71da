import type { Packing, Stowed } from '../packing.js';
import type { Place } from '../place.js';
import { silhouette } from './silhouette.js';

/** Cloth beside the slots and between them, and the strip for labels under them, mm. */
export const HEM = 12;
export const SEAM = 4;
export const LABELS = 22;

/** A roll laid open at true scale, mm: slots from left to right, what is in each, and its label. */
export interface RollLayout {
  name: string;
  width: number;
  height: number;
  /** Height of the slots' openings from the top. */
  top: number;
  slots: RollSlot[];
  taken: number;
  /** Grams in it. */
  mass: number;
  /** Whether the slots are wider together than the roll. */
  over: boolean;
}
export interface RollSlot {
  index: number;
  x: number;
  width: number;
  length: number;
  label: string;
  piece: { key: string; name: string; x: number; y: number; width: number; length: number; d: string } | null;
  /** What is wound round it or lies inside it. */
  with: string[];
}

/** What is sewn or written under a slot: the size where the kind is told by the outline, else the name. */
export function slotLabel(item: { name: string; kind: string }): string {
  const name = item.name.replace(/\s*\(\d+ of \d+\)$/u, '').replace(/\s*×\d+$/u, '');
  const short = name
    .replace(/^(Combination spanner|Ring spanner|Open spanner|Bit socket|Socket|Bit|L-key|Plug spanner)\s+/u, '')
    .replace(/ in, /u, '·')
    .replace(/inside hex /gu, 'i')
    .replace(/ and /u, '/');
  return short.length > 26 ? `${short.slice(0, 25)}…` : short;
}

/** Lays a roll open. @returns null for a place without slots */
export function rollLayout(place: Place, packing: Pick<Packing, 'stowed'>): RollLayout | null {
  if (!place.slots) return null;
  const here = packing.stowed.filter((s) => s.placeId === place.id);
  const bySlot = new Map<number, Stowed>(
    here.flatMap((s) => (s.slot !== null && s.on === null ? [[s.slot, s] as const] : [])),
  );
  const tallest = Math.max(...place.slots.map((s) => s.length));
  const slots: RollSlot[] = [];
  let x = HEM;
  for (const { count, width, length } of place.slots)
    for (let i = 0; i < count; i++) {
      const index = slots.length;
      const stowed = bySlot.get(index);
      slots.push({
        index,
        x,
        width,
        length,
        label: stowed ? slotLabel(stowed.item) : '',
        piece: stowed ? pieceIn(stowed, x, width, HEM + tallest) : null,
        with: stowed ? here.filter((s) => s.on?.key === stowed.item.key).map((s) => s.item.name) : [],
      });
      x += width + SEAM;
    }
  const width = x - SEAM + HEM;
  return {
    name: place.name,
    width,
    height: HEM + tallest + LABELS,
    top: HEM,
    slots,
    taken: slots.filter((s) => s.piece).length,
    mass: here.reduce((s, h) => s + h.item.mass, 0),
    over: width > place.inside.width + 1e-9 && place.inside.width > 0,
  };
}

/** A piece stands in the middle of its slot, its long side up, on the bottom seam. */
function pieceIn({ item }: Stowed, x: number, slotWidth: number, bottom: number): RollSlot['piece'] {
  const [long, wide] = [item.size.length, item.size.width, item.size.height].sort((a, b) => b - a) as [number, number];
  return {
    key: item.key,
    name: item.name,
    x: x + (slotWidth - wide) / 2,
    y: bottom - long,
    width: wide,
    length: long,
    d: silhouette(item.kind, wide, long).d,
  };
}

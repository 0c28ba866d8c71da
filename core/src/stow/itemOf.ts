import type { SupplyKind } from '../repairs/supplies/index.js';
import { boxVolume, type Piece } from '../toolbox/tools/index.js';
import type { StowItem } from './item.js';

/** What a thing is used for on the trip. */
export type ItemUse = Pick<StowItem, 'uses' | 'group'>;

/**
 * One copy of a tool as a thing to be stowed; copies are told apart by number, from 1 of so many.
 * @param copy from 1
 * @param of copies in all
 */
export const itemOfPiece = (piece: Piece, copy: number, of: number, use: ItemUse): StowItem => ({
  key: `piece ${piece.id} ${copy}`,
  name: of > 1 ? `${piece.name} (${copy} of ${of})` : piece.name,
  kind: piece.kind,
  mass: piece.mass,
  size: piece.size,
  volume: boxVolume(piece),
  traits: piece.traits,
  hollow: piece.hollow,
  holds: piece.functions.includes('hold things')
    ? { pads: piece.functions.includes('pad'), dry: piece.functions.includes('keep dry') }
    : null,
  cuts: piece.functions.includes('cut'),
  ...use,
});

/**
 * So many of a kind of spare as one packet.
 * @param packed units
 */
export const itemOfSpare = (
  of: Pick<SupplyKind, 'kind' | 'name' | 'mass' | 'size' | 'traits'>,
  packed: number,
  key: string,
  use: ItemUse,
): StowItem => ({
  key,
  name: packed > 1 ? `${of.name} ×${packed}` : of.name,
  kind: of.kind,
  mass: of.mass * packed,
  // A packet grows in its thinnest direction.
  size: packet(of.size, packed),
  volume: boxVolume({ size: of.size }) * packed,
  traits: of.traits,
  hollow: null,
  holds: null,
  cuts: false,
  ...use,
});

/** Outer measures of n equal units laid into a compact packet: the thinnest direction is doubled up until it is not the thinnest. */
function packet(size: StowItem['size'], n: number): StowItem['size'] {
  let [length, width, height] = [size.length, size.width, size.height];
  let left = n;
  while (left > 1) {
    const step = Math.min(left, 2);
    if (height <= width) height *= step;
    else if (width <= length) width *= step;
    else length *= step;
    left = Math.ceil(left / 2);
  }
  return { length, width, height };
}

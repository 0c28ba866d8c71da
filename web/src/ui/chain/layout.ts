import {
  at,
  last as lastOf,
  present,
  HOOK_OVERLAP,
  isHooked,
  millimetres,
  type Access,
  type Chain,
  type Head,
  type Link,
} from '@necessaire/core';

/** One piece of a chain as it is drawn: a block along the axis, with a handle across or in line where a hand holds it. */
export interface Block {
  name: string;
  kind: string;
  /** Top and bottom along the axis, px from the top of the drawing. */
  y0: number;
  y1: number;
  /** Half width, px. */
  half: number;
  /** Handle across the axis: its ends' x relative to the axis; null when there is none. */
  handle: { left: number; right: number; thick: number } | null;
  /** Grip in line with the axis, px upwards; 0 when there is none. */
  grip: number;
  /** A jaw that closes round the handle below it: its ends' x relative to the axis. */
  jaw?: { left: number; right: number };
  round: boolean;
}
export interface ChainLayout {
  blocks: Block[];
  axisX: number;
  height: number;
  scale: number;
  head: { y: number; half: number; depth: number };
  well: { half: number; top: number } | null;
  /** Bottom of the drawing under the head. */
  floor: number;
}

const DRIVER_GRIP = 90;
/** A driver bit or a spanner's opening overlaps the head by this, mm. */
const HEAD_HEIGHT = 9;

const armOf = ({ mode }: Link): number => (mode.offer.by === 'hand' ? mode.offer.arm : 0);

const headWidth = (head: Head) => {
  const s = millimetres(head.size);
  switch (head.form) {
    case 'hex':
    case 'hex12':
    case 'plug':
      return Number.isFinite(s) ? s * 1.15 : 12;
    case 'key':
      return s * 1.7;
    case 'hook':
      return s;
    default:
      return 12;
  }
};

/**
 * Sets a chain to scale: the head at the foot, the pieces upwards to the hand, handles lying across.
 * @param width px that the drawing may take; @param most px that its height may take
 */
export function chainLayout(chain: Chain, head: Head, access: Access, width: number, most: number): ChainLayout {
  const links = [...chain.links].reverse();
  const pipe = links.find((l) => l.mode.turns.form === 'bar');
  const hook = isHooked(chain) ? at(links, 1) : null;
  const drawn = links.filter((l) => l !== pipe && l !== hook);
  const axial = drawn.reduce((s, l) => s + Math.max(l.mode.length, l.mode.thickness, 10), 0);
  const hand = lastOf(drawn);
  /** Where the handle of the piece on top ends: the hook takes over there. */
  const reach = hook ? armOf(hand) : chain.arm;
  const offer = hand.mode.offer;
  const inLine = offer.by === 'hand' && (offer.hold === 'driver' || offer.hold === 'thumb');
  const arm = chain.arm > 0 ? chain.arm + 45 : 0;
  const twoSided = hand.piece.name.startsWith('T-handle');
  const span = twoSided ? arm * 2 : arm + 40;
  const tall = axial + (inLine ? (offer.hold === 'driver' ? DRIVER_GRIP : 20) : 26) + HEAD_HEIGHT + 24;
  const scale = Math.min(1.6, (width - 30) / Math.max(span, 90), (most - 20) / tall);
  const height = Math.max(90, tall * scale + 16);
  const floor = height - 16 * Math.min(1, scale);
  const headY = floor - HEAD_HEIGHT * scale;
  const axisX = twoSided
    ? width / 2
    : Math.max(34, (headWidth(head) / 2) * scale + 14, Math.min(90, (width - arm * scale) / 2));
  let y = headY;
  const blocks = drawn.map((link): Block => {
    const { mode, piece } = link;
    const length = Math.max(mode.length, mode.thickness, 10) * scale;
    const last = link === hand && offer.by === 'hand';
    const thick = Math.max(5, (mode.thickness > 0 ? mode.thickness : 12) * scale);
    const block: Block = {
      name: piece.name,
      kind: piece.kind,
      y0: y - length,
      y1: y,
      half: Math.max(4, (mode.width / 2) * scale),
      handle:
        last && !inLine
          ? { left: twoSided ? -(arm * scale) : 0, right: (reach + (hook ? 12 : 45)) * scale, thick }
          : null,
      grip: last && inLine ? (offer.hold === 'driver' ? DRIVER_GRIP : 14) * scale : 0,
      round: piece.kind === 'joint' || piece.kind === 'ratchet',
    };
    y -= length;
    return block;
  });
  if (hook) {
    // It lies on the other's handle, its jaw round the free end: the same scale, a step higher.
    const on = lastOf(blocks);
    const thick = Math.max(5, hook.mode.thickness * scale);
    const middle = (on.y0 + on.y1) / 2 - (present(on.handle).thick + thick) / 2;
    blocks.push({
      name: hook.piece.name,
      kind: 'hook',
      y0: middle - thick / 2 - 3 * scale,
      y1: (on.y0 + on.y1) / 2 + present(on.handle).thick / 2 + 3 * scale,
      half: 0,
      handle: { left: (reach - HOOK_OVERLAP) * scale, right: (chain.arm + 45) * scale, thick },
      jaw: { left: (reach - HOOK_OVERLAP - 8) * scale, right: (reach - HOOK_OVERLAP + 14) * scale },
      grip: 0,
      round: false,
    });
  }
  if (pipe)
    blocks.push({
      name: pipe.piece.name,
      kind: 'pipe',
      y0: lastOf(blocks).y0,
      y1: lastOf(blocks).y1,
      half: 0,
      handle: {
        left: (chain.arm - pipe.mode.length - (pipe.mode.offer.by === 'hand' ? pipe.mode.offer.arm : 0)) * scale,
        right: (chain.arm + 50) * scale,
        thick: Math.max(8, 27 * scale),
      },
      grip: 0,
      round: false,
    });
  return {
    blocks,
    axisX,
    height,
    scale,
    head: { y: headY, half: Math.max(5, (headWidth(head) / 2) * scale), depth: HEAD_HEIGHT * scale },
    well:
      access.recess > 0
        ? {
            half: ((access.clearance ?? headWidth(head) + 16) / 2) * scale,
            top: floor - (access.recess + HEAD_HEIGHT) * scale,
          }
        : null,
    floor,
  };
}

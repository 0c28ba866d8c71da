import { at, present } from '@necessaire/core';
import { spread } from '../bike/labels';

/** A label over its mark, and where it ends when labels are kept from lying on each other. */
export interface PlaceLabel {
  x: number;
  y: number;
  width: number;
  /** The mark that it names; a label does not lie over the mark of another. */
  mark?: { left: number; right: number; top: number; bottom: number };
}
const HIGH = 16;
/** How far a label's letters reach over their line, and a label under its mark lies below it. */
const [OVER, UNDER] = [11, 14];
/** Widths are reckoned for the widest letters: most names end sooner, and a corner that is touched hides nothing. */
const SURELY = 0.6;

/**
 * Moves labels apart: under the mark where another mark lies over it, else upwards, and back into the picture sideways; each stays as near its mark
 * as it can. px.
 * @param width of the picture
 */
export function apart(labels: readonly PlaceLabel[], width: number): { x: number; y: number; shifted: boolean }[] {
  const put: PlaceLabel[] = [];
  const out: { x: number; y: number; shifted: boolean }[] = [];
  // The lowest first, so that those over it make way.
  const order = labels.map((_, i) => i).sort((a, b) => present(labels[b]).y - present(labels[a]).y);
  for (const i of order) {
    const label = at(labels, i);
    const half = label.width / 2;
    const x = Math.max(half + 2, Math.min(width - half - 2, label.x));
    const hitAt = (y: number) =>
      put.find((p) => Math.abs(p.x - x) < (p.width + label.width) / 2 + 4 && Math.abs(p.y - y) < HIGH);
    const overAnother = (y: number) =>
      labels.some(
        ({ mark }, k) =>
          k !== i &&
          mark !== undefined &&
          mark.left < x + half * SURELY &&
          mark.right > x - half * SURELY &&
          mark.top < y &&
          mark.bottom > y - OVER,
      );
    const under = label.mark ? label.mark.bottom + UNDER : null;
    let y = label.y;
    if (under !== null && (overAnother(y) || hitAt(y)) && !overAnother(under) && !hitAt(under)) y = under;
    else for (let hit = hitAt(y); hit && y > HIGH; hit = hitAt(y)) y = hit.y - HIGH;
    put.push({ x, y, width: label.width });
    out[i] = { x, y, shifted: y !== under && Math.abs(y - label.y) > 2 };
  }
  return out;
}

/** A label in a column beside the picture, with the end of its mark that a line leads from. px */
export interface BesideLabel {
  x: number;
  y: number;
  anchor: 'start' | 'end';
  from: { x: number; y: number };
  /** Whether the column has room for the whole name. */
  fits: boolean;
}
/** Rows of a column stand this far apart, and this far from the picture's edges, px. */
const [ROW, EDGE] = [18, 14];
/** A mark nearer to the middle than this may be named on either side, px. */
const CENTRAL = 12;
/** How far the columns stand from what they name, px. */
const AWAY = 16;

/**
 * Names in a column on either side of a narrow picture: none lies over a mark, and lines of one side never cross. px.
 * @param middle of the picture, across
 * @param reach of all that is drawn, from the middle to either side
 */
export function beside(
  labels: readonly Required<PlaceLabel>[],
  size: { width: number; height: number },
  middle: number,
  reach: number,
): BesideLabel[] {
  const across = (l: Required<PlaceLabel>) => (l.mark.left + l.mark.right) / 2 - middle;
  const down = (l: Required<PlaceLabel>) => (l.mark.top + l.mark.bottom) / 2;
  const sides: { left: number[]; right: number[] } = { left: [], right: [] };
  const order = labels.map((_, i) => i).sort((a, b) => down(at(labels, a)) - down(at(labels, b)));
  for (const i of order)
    if (Math.abs(across(at(labels, i))) >= CENTRAL) sides[across(at(labels, i)) < 0 ? 'left' : 'right'].push(i);
  for (const i of order)
    if (Math.abs(across(at(labels, i))) < CENTRAL)
      sides[sides.left.length < sides.right.length ? 'left' : 'right'].push(i);
  const out: BesideLabel[] = [];
  for (const side of ['left', 'right'] as const) {
    const list = order.filter((i) => sides[side].includes(i));
    // Down a column rows spread as names do along a line.
    const rows = spread(
      list.map((i) => ({ key: String(i), anchorX: down(at(labels, i)) + 5, width: ROW })),
      EDGE - ROW / 2,
      size.height - EDGE + ROW / 2,
      0,
    );
    const x = side === 'left' ? middle - reach - AWAY : middle + reach + AWAY;
    for (const i of list) {
      const label = at(labels, i);
      out[i] = {
        x,
        y: present(rows.get(String(i))),
        anchor: side === 'left' ? 'end' : 'start',
        from: { x: side === 'left' ? label.mark.left : label.mark.right, y: down(label) },
        fits: label.width <= (side === 'left' ? x : size.width - x) - 2,
      };
    }
  }
  return out;
}

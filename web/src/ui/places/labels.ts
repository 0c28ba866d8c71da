import { at, present } from '@necessaire/core';
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

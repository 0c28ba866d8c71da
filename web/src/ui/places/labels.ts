/** A label over its mark, and where it ends when labels are kept from lying on each other. */
export interface PlaceLabel {
  x: number;
  y: number;
  width: number;
}
const HIGH = 16;

/**
 * Moves labels apart upwards, and back into the picture sideways; each stays as near its mark as it can. px.
 * @param width of the picture
 */
export function apart(labels: readonly PlaceLabel[], width: number): { x: number; y: number; shifted: boolean }[] {
  const put: PlaceLabel[] = [];
  const out: { x: number; y: number; shifted: boolean }[] = [];
  // The lowest first, so that those over it make way.
  const order = labels.map((_, i) => i).sort((a, b) => labels[b]!.y - labels[a]!.y);
  for (const i of order) {
    const label = labels[i]!;
    const half = label.width / 2;
    const x = Math.max(half + 2, Math.min(width - half - 2, label.x));
    let y = label.y;
    const hits = () => put.find((p) => Math.abs(p.x - x) < (p.width + label.width) / 2 + 4 && Math.abs(p.y - y) < HIGH);
    for (let hit = hits(); hit && y > HIGH; hit = hits()) y = hit.y - HIGH;
    put.push({ x, y, width: label.width });
    out[i] = { x, y, shifted: Math.abs(y - label.y) > 2 };
  }
  return out;
}

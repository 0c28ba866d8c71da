import type { Measures, Rigid } from '@necessaire/core';

/**
 * The simple way to pack a box: the tallest first, side by side in rows, rows behind each other in layers, layers on top of each other. A
 * bar to measure the real packing against.
 */
export function shelfPack(inside: Measures, pieces: readonly Rigid[]): boolean {
  const flat = pieces
    .map(({ size }) => [size.length, size.width, size.height].sort((a, b) => b - a) as [number, number, number])
    .sort((a, b) => b[2] - a[2] || b[1] - a[1]);
  let [x, y, z, row, layer] = [0, 0, 0, 0, 0];
  for (const [l, w, h] of flat) {
    if (l > inside.length) return false;
    if (x + l > inside.length) {
      x = 0;
      y += row;
      row = 0;
    }
    if (y + w > inside.width) {
      x = 0;
      y = 0;
      row = 0;
      z += layer;
      layer = 0;
    }
    if (w > inside.width || z + h > inside.height) return false;
    x += l;
    row = Math.max(row, w);
    layer = Math.max(layer, h);
  }
  return true;
}

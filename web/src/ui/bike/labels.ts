import { at } from '@necessaire/core';
/** One label to be set above or below the drawing, at its mark's x as far as its neighbours let it. */
export interface Label {
  key: string;
  text: string;
  anchorX: number;
  width: number;
}

/**
 * Spreads labels along a line so that none overlap: each as near to its mark as its neighbours allow, all within the width.
 * @returns middle x of each label by key; when they cannot all fit they stay in order and run over the left end
 */
export function spread(
  labels: readonly Omit<Label, 'text'>[],
  from: number,
  to: number,
  gap: number,
): Map<string, number> {
  const sorted = [...labels].sort((a, b) => a.anchorX - b.anchorX || (a.key < b.key ? -1 : 1));
  const lefts = sorted.map((l) => l.anchorX - l.width / 2);
  for (let i = 0; i < sorted.length; i++) {
    const least = i === 0 ? from : at(lefts, i - 1) + at(sorted, i - 1).width + gap;
    lefts[i] = Math.max(at(lefts, i), least);
  }
  for (let i = sorted.length - 1; i >= 0; i--) {
    const most = (i === sorted.length - 1 ? to : at(lefts, i + 1) - gap) - at(sorted, i).width;
    lefts[i] = Math.min(at(lefts, i), most);
  }
  return new Map(sorted.map((l, i) => [l.key, at(lefts, i) + l.width / 2]));
}

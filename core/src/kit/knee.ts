import { at } from '../ground/numbers.js';
import type { KitQuestion } from '../trip/kitQuestion.js';
import { concaveHull } from './points.js';

/** A kit on the curve as the knee sees it: grams, and what it saves in the question's value. */
export interface OnCurve {
  mass: number;
  value: number;
}
/** Minutes for 100 g of a price in the question's value for each gram, within what the question allows. */
const minutesOf = (price: number, question: Pick<KitQuestion, 'value' | 'hourEuros'>) =>
  Math.min(600, Math.max(0.01, (price * 6000) / (question.value === 'money' ? Math.max(question.hourEuros, 0.01) : 1)));

/**
 * The kit of the concave hull nearest to a weight, and a knee at which it is the best for its weight: between the slopes of the hull on either
 * side of it, at their geometric middle (docs/model.md, section 4).
 * @param points the curve, by rising mass
 * @returns null where the curve has no point
 */
export function kneeAt(
  points: readonly OnCurve[],
  grams: number,
  question: Pick<KitQuestion, 'value' | 'hourEuros'>,
): { mass: number; value: number; minutes: number } | null {
  const hull = concaveHull(points);
  if (hull.length === 0) return null;
  let nearest = 0;
  hull.forEach((h, i) => Math.abs(h.mass - grams) < Math.abs(at(hull, nearest).mass - grams) && (nearest = i));
  const slope = (a: OnCurve | undefined, b: OnCurve | undefined) =>
    a && b ? (b.value - a.value) / (b.mass - a.mass) : null;
  const before = slope(hull[nearest - 1], hull[nearest]);
  const after = slope(hull[nearest], hull[nearest + 1]);
  const price =
    before !== null && after !== null
      ? Math.sqrt(Math.max(before, 0) * Math.max(after, 0))
      : before !== null
        ? before / 2
        : after !== null
          ? after * 2
          : 0;
  return { ...at(hull, nearest), minutes: minutesOf(price, question) };
}

/**
 * The kit of the curve that a knee asks for: the one that saves most over the price of its grams; null where the curve has none.
 * @param pricePerGram what a gram must save, in the curve’s measure
 */
export function kneePoint(points: readonly OnCurve[], pricePerGram: number): OnCurve | null {
  let best: OnCurve | null = null;
  for (const p of points)
    if (best === null || p.value - pricePerGram * p.mass > best.value - pricePerGram * best.mass + 1e-12) best = p;
  return best;
}

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { priceOfGram } from './optimum/worth.js';
import { newKitQuestion } from '../trip/kitQuestion.js';
import { kneeAt, kneePoint } from './knee.js';
import { concaveHull } from './points.js';

const question = newKitQuestion();
const priceOf = (minutes: number) => priceOfGram({ question: { ...question, knee: minutes } });

describe('the knee of the curve', () => {
  test('between the slopes on either side: 6 min and 0.6 min for 100 g meet at 1.9 min', () => {
    const points = [
      { mass: 0, value: 0 },
      { mass: 1000, value: 1 },
      { mass: 2000, value: 1.1 },
    ];
    expect(kneeAt(points, 1200, question)).toEqual({ mass: 1000, value: 1, minutes: expect.closeTo(1.897, 3) });
    expect(kneePoint(points, priceOf(1.2))).toEqual({ mass: 1000, value: 1 });
    expect(kneePoint(points, priceOf(0.5))).toEqual({ mass: 2000, value: 1.1 });
    expect(kneePoint(points, priceOf(10))).toEqual({ mass: 0, value: 0 });
  });
  test('of two kits that are worth the same the first', () => {
    const points = [
      { mass: 0, value: 0 },
      { mass: 1000, value: 1 },
    ];
    expect(kneePoint(points, 0.001)).toEqual(points[0]);
    expect(kneePoint(points, 0.00099)).toEqual(points[1]);
    // Less than any rounding makes of it is no difference.
    expect(kneePoint([points[0]!, { mass: 1000, value: 1 + 5e-13 }], 0.001)).toEqual(points[0]);
  });
  test('at either end of the curve: twice the slope beyond it, half the slope before it; of one kit alone nothing', () => {
    const points = [
      { mass: 0, value: 0 },
      { mass: 1000, value: 1 },
    ];
    expect(kneeAt(points, 0, question)).toMatchObject({ mass: 0, minutes: expect.closeTo(12, 9) });
    expect(kneeAt(points, 1000, question)).toMatchObject({ mass: 1000, minutes: expect.closeTo(3, 9) });
    expect(kneeAt(points.slice(1), 400, question)).toEqual({ mass: 1000, value: 1, minutes: 0.01 });
    // Halfway between two the first is nearest.
    expect(kneeAt(points, 500, question)!.mass).toBe(0);
  });
  test('in money an hour costs what the rider says', () => {
    const points = [
      { mass: 0, value: 0 },
      { mass: 1000, value: 20 },
    ];
    expect(kneeAt(points, 1000, { value: 'money', hourEuros: 20 })).toMatchObject({ mass: 1000, minutes: 3 });
  });
  test('the knee of a dragged weight gives the kit of the hull nearest to it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 10, max: 900 }), fc.integer({ min: 1, max: 60 })), {
          minLength: 1,
          maxLength: 12,
        }),
        fc.integer({ min: 0, max: 9000 }),
        (steps, grams) => {
          let [mass, value] = [0, 0];
          const points = steps.map(([m, minutes]) => ({ mass: (mass += m), value: (value += minutes / 60) }));
          const hull = concaveHull(points);
          const at = kneeAt(points, grams, question)!;
          const nearest = Math.min(...hull.map((h) => Math.abs(h.mass - grams)));
          expect(Math.abs(at.mass - grams)).toBe(nearest);
          // The limits of the question may hold a very steep or flat end back.
          if (at.minutes > 0.01 && at.minutes < 600)
            expect(kneePoint(points, priceOf(at.minutes))!.mass).toBeCloseTo(at.mass, 6);
        },
      ),
    );
  });
  test('a curve without points has none', () => {
    expect(kneeAt([], 500, question)).toBeNull();
    expect(kneePoint([], 1)).toBeNull();
  });
});

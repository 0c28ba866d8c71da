import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { demandedMends, stockCurve, stockedAt, type Slot } from './slots.js';

/** Slots whose options weigh and save more than the base, each more than the one before. */
const someSlots = fc
  .array(
    fc.record({
      base: fc.integer({ min: 0, max: 20 }),
      demanded: fc.boolean(),
      steps: fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 40 })), { maxLength: 3 }),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((list) =>
    list.map(({ base, demanded, steps }, i): Slot => {
      const baseMass = demanded ? 5.5 : 0;
      let [mass, gain] = [baseMass, base];
      const options = steps.map(([g, more], way) => {
        mass += g / 10;
        gain += more;
        return { way: way + 1, mass, gain };
      });
      return { ask: i, mend: 0, base, baseWay: 0, baseMass, options };
    }),
  );
/** Whole grams that an option takes beyond the base. */
const grams = (s: Slot, o: number) => Math.ceil(s.options[o]!.mass - s.baseMass);

/** Oracle: the most that any choice of one option or none for each slot saves beyond the bases, within so many grams. */
function mostSaved(slots: readonly Slot[], limit: number): number {
  const [first, ...rest] = slots;
  if (!first) return 0;
  const without = mostSaved(rest, limit);
  return first.options.reduce((best, { gain }, o) => {
    const left = limit - grams(first, o);
    return left < 0 ? best : Math.max(best, gain - first.base + mostSaved(rest, left));
  }, without);
}

describe('stocks of so many grams', () => {
  test('save what trying every choice saves, at every gram; the mends behind it weigh no more and save as much', () => {
    fc.assert(
      fc.property(someSlots, fc.integer({ min: 0, max: 40 }), (slots, most) => {
        const curve = stockCurve(slots, most);
        const limits = Array.from({ length: most + 1 }, (_, m) => m);
        expect([...curve]).toEqual(limits.map((m) => mostSaved(slots, m)));
        stockedAt(slots, limits).forEach((mends, m) => {
          const chosen = mends.filter((t) => t.way > 0);
          const weighs = chosen.reduce((s, t) => s + grams(slots[t.ask]!, t.way - 1), 0);
          const saves = chosen.reduce((s, t) => s + slots[t.ask]!.options[t.way - 1]!.gain - slots[t.ask]!.base, 0);
          expect(weighs).toBeLessThanOrEqual(m);
          expect(saves).toBe(curve[m]);
          // What is demanded is there once, by its own way or by a better one; nothing else is.
          const asks = mends.map((t) => t.ask);
          expect(new Set(asks).size).toBe(asks.length);
          for (const s of slots) if (s.baseMass > 0) expect(asks).toContain(s.ask);
          for (const t of mends) if (t.way === 0) expect(slots[t.ask]!.baseMass).toBeGreaterThan(0);
        });
      }),
      { numRuns: 150 },
    );
  });
  test('a demand that something better was taken for is met by it alone', () => {
    const slot = (ask: number, mend: number, baseMass: number): Slot => ({
      ask,
      mend,
      base: 1,
      baseWay: 7,
      baseMass,
      options: [],
    });
    const slots = [slot(0, 0, 5), slot(0, 1, 5), slot(1, 0, 5), slot(2, 0, 0)];
    expect(demandedMends(slots, [{ ask: 0, mend: 0, way: 3 }])).toEqual([
      { ask: 0, mend: 1, way: 7 },
      { ask: 1, mend: 0, way: 7 },
    ]);
    expect(demandedMends(slots)).toHaveLength(3);
  });
});

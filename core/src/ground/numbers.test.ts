import fc from 'fast-check';
import { at, figureAt, Matrix, under, Vector } from './numbers.js';

describe('lists and tables of numbers', () => {
  test('a table is a list of lists; what lies outside is refused, not undefined', () => {
    const size = fc.integer({ min: 1, max: 5 });
    fc.assert(
      fc.property(size, size, fc.array(fc.tuple(fc.nat(4), fc.nat(4), fc.double({ noNaN: true }))), (r, c, writes) => {
        const table = new Matrix(r, c, 7);
        const plain = Array.from({ length: r }, () => Array.from({ length: c }, () => 7));
        for (const [i, k, v] of writes) {
          if (i < r && k < c) {
            table.add(i, k, v);
            plain[i]![k]! += v;
          } else {
            expect(() => table.set(i, k, v)).toThrow(RangeError);
            expect(() => table.at(i, k)).toThrow(/fault of the program/);
          }
        }
        plain.forEach((row, i) => expect(table.row(i)).toEqual(row));
        expect(Matrix.of(plain).row(r - 1)).toEqual(plain[r - 1]);
        table.fillRow(0, 3);
        expect(table.row(0)).toEqual(plain[0]!.map(() => 3));
        expect(r === 1 || table.row(1).every((v, k) => Object.is(v, plain[1]![k]))).toBe(true);
      }),
      { seed: 7, numRuns: 60 },
    );
  });
  test('edges: one before the first and one behind the last', () => {
    const v = Vector.of([4, 5]);
    expect([v.at(0), v.at(1), v.length]).toEqual([4, 5, 2]);
    for (const i of [-1, 2, NaN]) {
      expect(() => v.at(i)).toThrow(RangeError);
      expect(() => v.set(i, 1)).toThrow(RangeError);
      expect(() => figureAt(Float64Array.of(4, 5), i)).toThrow(RangeError);
      expect(() => at([4, 5], i)).toThrow(`Nothing stands at ${i} of 2`);
      expect(() => new Matrix(2, 2).at(i, 0)).toThrow(RangeError);
      expect(() => new Matrix(2, 2).at(0, i)).toThrow(RangeError);
      expect(() => new Matrix(2, 2).row(i)).toThrow(RangeError);
    }
    const other = v.copy();
    other.add(0, 10);
    expect([v.toArray(), other.toArray()]).toEqual([
      [4, 5],
      [14, 5],
    ]);
    expect(v.map((x, i) => x * 2 + i).toArray()).toEqual([8, 11]);
    expect([figureAt(Float64Array.of(4, 5), 0), figureAt(Float64Array.of(4, 5), 1)]).toEqual([4, 5]);
    expect(v.sum((x, i) => x + i)).toBe(10);
    expect(Vector.filled(2).toArray()).toEqual([0, 0]);
    expect([at(['a', undefined], 0), at(['a', undefined], 1)]).toEqual(['a', undefined]);
    expect(under(new Map([['a', undefined]]), 'a')).toBeUndefined();
    expect(() => under(new Map([['a', 1]]), 'b')).toThrow('Nothing stands at b');
    const none = Matrix.of([]);
    expect([none.rows, none.columns]).toEqual([0, 0]);
    new Matrix(1, 0).fillRow(0, 1);
  });
});

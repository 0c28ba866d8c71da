/** Lists and tables of numbers that are read and written inside their edges alone: no figure in them can be missing. */

const outside = (where: string): never => {
  throw new RangeError(`Nothing stands at ${where}: this is a fault of the program.`);
};

/**
 * What stands at a place of a list.
 * @param i from 0, less than the list's length
 * @throws RangeError where the list has no such place
 */
export function at<T>(list: ArrayLike<T>, i: number): T {
  if (!(i >= 0 && i < list.length)) outside(`${i} of ${list.length}`);
  return list[i] as T;
}

/**
 * The same of a list of figures alone: the innermost loops read through it, since what reads every kind of list is several times slower there.
 * @param i from 0, less than the list’s length
 * @throws RangeError where the list has no such place
 */
export function figureAt(list: Float64Array, i: number): number {
  const value = list[i];
  return value === undefined ? outside(`${i} of ${list.length}`) : value;
}

/**
 * A value that is there.
 * @throws RangeError where it is not
 */
export function present<T>(value: T | null | undefined): T {
  return value === null || value === undefined ? outside('a place that must have something') : value;
}

/**
 * The last of a list that has some.
 * @throws RangeError where it is empty
 */
export const last = <T>(list: ArrayLike<T>): T => at(list, list.length - 1);

/**
 * What a table has under a key that was put into it.
 * @throws RangeError where it has nothing there
 */
export function under<K, T>(table: ReadonlyMap<K, T>, key: K): T {
  const value = table.get(key);
  if (value === undefined && !table.has(key)) outside(String(key));
  return value as T;
}

/**
 * What a table of fixed values says of a key that it has.
 * @param key text or number by which the table is kept
 * @throws RangeError where it says nothing
 */
export function entry<T>(table: { readonly [key: string | number]: T | undefined }, key: string | number): T {
  const value = table[key];
  return value === undefined ? outside(String(key)) : value;
}

/** A list of numbers of a fixed length. */
export class Vector {
  private constructor(private readonly cells: Float64Array) {}
  static of(values: readonly number[]): Vector {
    return new Vector(Float64Array.from(values));
  }
  static filled(length: number, value = 0): Vector {
    return new Vector(new Float64Array(length).fill(value));
  }
  get length(): number {
    return this.cells.length;
  }
  at(i: number): number {
    const value = this.cells[i];
    return value === undefined ? outside(`${i} of ${this.length}`) : value;
  }
  set(i: number, value: number): void {
    if (!(i >= 0 && i < this.cells.length)) outside(`${i} of ${this.length}`);
    this.cells[i] = value;
  }
  add(i: number, by: number): void {
    this.set(i, this.at(i) + by);
  }
  copy(): Vector {
    return new Vector(this.cells.slice());
  }
  map(of: (value: number, i: number) => number): Vector {
    return new Vector(this.cells.map(of));
  }
  /** The sum of a figure of each of its numbers, from the first to the last. */
  sum(of: (value: number, i: number) => number): number {
    let sum = 0;
    for (let i = 0; i < this.cells.length; i++) sum += of(this.at(i), i);
    return sum;
  }
  toArray(): number[] {
    return [...this.cells];
  }
}

/** A table of numbers by row and column. */
export class Matrix {
  private readonly cells: Float64Array;
  constructor(
    readonly rows: number,
    readonly columns: number,
    value = 0,
  ) {
    this.cells = new Float64Array(rows * columns).fill(value);
  }
  /** @param rows all of one length; none of them makes a table without cells */
  static of(rows: readonly (readonly number[])[]): Matrix {
    const table = new Matrix(rows.length, rows[0]?.length ?? 0);
    rows.forEach((row, r) => row.forEach((value, c) => table.set(r, c, value)));
    return table;
  }
  private index(row: number, column: number): number {
    if (!(row >= 0 && row < this.rows && column >= 0 && column < this.columns))
      outside(`row ${row}, column ${column} of ${this.rows} by ${this.columns}`);
    return row * this.columns + column;
  }
  at(row: number, column: number): number {
    return this.cells[this.index(row, column)] as number;
  }
  set(row: number, column: number, value: number): void {
    this.cells[this.index(row, column)] = value;
  }
  add(row: number, column: number, by: number): void {
    this.set(row, column, this.at(row, column) + by);
  }
  /** One row, to be read. */
  row(row: number): number[] {
    return row >= 0 && row < this.rows
      ? [...this.cells.subarray(row * this.columns, (row + 1) * this.columns)]
      : outside(`row ${row} of ${this.rows}`);
  }
  fillRow(row: number, value: number): void {
    if (this.columns > 0) this.cells.fill(value, this.index(row, 0), (row + 1) * this.columns);
  }
}

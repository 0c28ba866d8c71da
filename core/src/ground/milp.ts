/** A mixed-integer linear programme as plain data, so that the core states it and any solver may answer. Always minimised. */
export interface Milp {
  columns: { cost: number; upper: number; lower: number; integer: boolean }[];
  rows: { terms: [column: number, coefficient: number][]; lower: number; upper: number }[];
  /** How far from the least a proven answer may be, in the objective's measure; 0.5 where nothing is said. */
  within?: number;
}
export interface MilpAnswer {
  /**
   * `optimal` and `infeasible` are proven; `best found` comes with values and a bound; `unknown` has neither: the solver stopped, and nobody may
   * conclude anything from it.
   */
  status: 'optimal' | 'best found' | 'infeasible' | 'unknown';
  values: number[];
  objective: number;
  /** Proven lower bound of the objective; −∞ where there is none. */
  bound: number;
}
/** Solves a programme. Synchronous: callers that must stay responsive run it in a worker. */
export type Solve = (model: Milp) => MilpAnswer;

/** Builds a programme column by column and row by row. */
export class MilpBuilder {
  readonly model: Milp = { columns: [], rows: [] };
  column(cost: number, upper: number, integer: boolean, lower = 0): number {
    return this.model.columns.push({ cost, upper, lower, integer }) - 1;
  }
  row(terms: [number, number][], lower: number, upper = Infinity): void {
    // A column that occurs twice in a row is refused by solvers, so its coefficients are added up.
    const sums = new Map<number, number>();
    for (const [column, coefficient] of terms) sums.set(column, (sums.get(column) ?? 0) + coefficient);
    const clean = [...sums].filter(([, c]) => c !== 0);
    if (clean.length > 0) this.model.rows.push({ terms: clean, lower, upper });
  }
}

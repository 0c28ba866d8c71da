import loadHighs from 'highs';
import type { Milp, MilpAnswer, Solve } from '@necessaire/core';

/** Seconds after which the solver stops with its best and a bound. */
const LIMIT = 8;

const number = (value: number) => (value === Infinity ? '+inf' : value === -Infinity ? '-inf' : String(value));

/** Sum of terms in the LP format, broken into short lines because the reader limits their length. */
function terms(list: readonly (readonly [number, number])[]): string {
  return list
    .map(([column, c], i) => `${c < 0 ? '-' : '+'} ${Math.abs(c)} x${column}${i % 12 === 11 ? '\n' : ''}`)
    .join(' ');
}

/** The programme in the LP format. Rows with two bounds become two constraints. */
export function lpText(model: Milp): string {
  const costs = model.columns.map((c, i) => [i, c.cost] as const).filter(([, c]) => c !== 0);
  const rows: string[] = [];
  for (const { terms: t, lower, upper } of model.rows) {
    if (lower === upper) rows.push(`${terms(t)} = ${lower}`);
    else {
      if (lower !== -Infinity) rows.push(`${terms(t)} >= ${lower}`);
      if (upper !== Infinity) rows.push(`${terms(t)} <= ${upper}`);
    }
  }
  const bounds = model.columns.map((c, i) => `${number(c.lower)} <= x${i} <= ${number(c.upper)}`);
  const whole = model.columns.flatMap((c, i) => (c.integer ? [`x${i}`] : []));
  return [
    'Minimize',
    ` obj: ${terms(costs.length > 0 ? costs : [[0, 0]])}`,
    'Subject To',
    ...rows.map((r, i) => ` r${i}: ${r}`),
    'Bounds',
    ...bounds,
    'General',
    ...whole,
    'End',
  ].join('\n');
}

/**
 * Loads the solver once; the function it gives answers synchronously.
 * @param locateFile where the solver's WASM lies; needed in the browser only
 */
export async function loadSolver(locateFile?: () => string): Promise<Solve> {
  const highs = await loadHighs(locateFile ? { locateFile } : {});
  return (model: Milp): MilpAnswer => {
    if (model.columns.length === 0) return { status: 'optimal', values: [], objective: 0, bound: 0 };
    const result = highs.solve(lpText(model), {
      output_flag: false,
      mip_rel_gap: 0,
      mip_abs_gap: 0.5,
      time_limit: LIMIT,
      random_seed: 0,
    });
    const columns = result.Columns as Record<string, { Primal?: number }>;
    const values = model.columns.map((_, i) => columns[`x${i}`]?.Primal ?? 0);
    const objective = result.ObjectiveValue;
    if (result.Status === 'Optimal') return { status: 'optimal', values, objective, bound: objective };
    if (result.Status === 'Time limit reached' && Number.isFinite(objective))
      return { status: 'best found', values, objective, bound: 0 };
    return { status: 'infeasible', values: [], objective: Infinity, bound: Infinity };
  };
}

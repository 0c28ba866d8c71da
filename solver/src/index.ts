import { at } from '@necessaire/core';
import loadHighs from 'highs';
import type { Milp, MilpAnswer, Solve } from '@necessaire/core';

/** Seconds after which the solver stops with its best, whatever it has done: no machine that is asked what it can bear comes here. */
const LIMIT = 60;
/**
 * Nodes of the search tree times columns after which the solver stops with its best. It is counted, not timed, so that a slow or busy machine
 * answers the same as a fast one: some ten seconds on a laptop.
 */
const WORK = 2_000_000;

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

/** What the solver reports, as far as it is read. */
interface Reported {
  Status: string;
  ObjectiveValue: number;
  Columns: Record<string, { Primal?: number }>;
}

/** The answer behind a report; null where it proves nothing and holds nothing. Only a proven status counts as a proof. */
export function answerOf(reported: object, model: Milp): MilpAnswer | null {
  const { Status, ObjectiveValue: objective, Columns } = reported as Reported;
  if (Status === 'Infeasible') return { status: 'infeasible', values: [], objective: Infinity, bound: Infinity };
  const values = model.columns.map((_, i) => Columns[`x${i}`]?.Primal ?? Number.NaN);
  // Stopped early it may report numbers that are no solution at all.
  if (!Number.isFinite(objective) || !keeps(model, values)) return null;
  return Status === 'Optimal'
    ? { status: 'optimal', values, objective, bound: objective }
    : { status: 'best found', values, objective, bound: -Infinity };
}

/** Whether values keep to the bounds and rows of a programme, and are whole where they have to be. */
function keeps(model: Milp, values: readonly number[]): boolean {
  const near = (size: number) => 1e-5 * Math.max(1, Math.abs(size));
  return (
    model.columns.every((c, i) => {
      const v = at(values, i);
      const whole = !c.integer || Math.abs(v - Math.round(v)) < 1e-4;
      return v >= c.lower - 1e-5 && v <= c.upper + 1e-5 && whole;
    }) &&
    model.rows.every(({ terms: t, lower, upper }) => {
      const sum = t.reduce((s, [i, c]) => s + c * at(values, i), 0);
      return sum >= lower - near(lower) && sum <= upper + near(upper);
    })
  );
}

/**
 * Loads the solver once; the function it gives answers synchronously.
 * @param compiled gives the solver's WASM; needed in the browser only, where it is fetched. The solver's own loader would report a fetch that failed
 * as a fault of the page.
 * @param work nodes times columns after which a search stops with what it has
 * @throws what `compiled` throws
 */
export async function loadSolver(compiled?: () => Promise<WebAssembly.Module>, work = WORK): Promise<Solve> {
  const program = await compiled?.();
  const instantiateWasm = (imports: WebAssembly.Imports, done: (made: WebAssembly.Instance) => void) => {
    if (program) void WebAssembly.instantiate(program, imports).then(done);
  };
  const how: object = program ? { instantiateWasm } : {};
  const highs = await loadHighs(how);
  return (model: Milp): MilpAnswer => {
    if (model.columns.length === 0) return { status: 'optimal', values: [], objective: 0, bound: 0 };
    const nothing: MilpAnswer = { status: 'unknown', values: [], objective: Infinity, bound: -Infinity };
    let result: ReturnType<typeof highs.solve>;
    try {
      result = highs.solve(lpText(model), {
        output_flag: false,
        mip_rel_gap: 0,
        mip_abs_gap: model.within ?? 0.5,
        time_limit: LIMIT,
        mip_max_nodes: Math.ceil(work / model.columns.length),
        random_seed: 0,
      });
    } catch {
      // Out of memory or a fault inside says nothing of the programme.
      return nothing;
    }
    return answerOf(result, model) ?? nothing;
  };
}

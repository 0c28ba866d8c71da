import type { Solve } from '../../ground/milp.js';
import { coverProblem, lightestSet, type Choice, type FunctionNeed, type Lightest } from '../../toolbox/cover/index.js';
import type { KitProblem } from './kitProblem.js';
import { planOf, TENTHS, type Option, type Plan } from './plan.js';
import { leastMends, priceOfService, type Ladder } from './service.js';
import type { StockedMend } from './slots.js';

/** The lightest kit that gives each wanted trouble the grade, and all of them together the service level. */
export interface LightestKit {
  set: Lightest;
  /** The way of each wanted trouble and how often the kit can go it. */
  stocked: StockedMend[];
  ways: { ask: number; way: number; mends: number }[];
  /** In the measure: grams, mL or euros. */
  total: number;
  proven: boolean;
  gap: number;
  /** Whether the service level is met at all. */
  served: boolean;
  plan: Plan;
}

/** Parts of the search at most; beyond, the answer says how far from proven it is. */
const MOST_PARTS = 80;
/** With so many jobs every part takes the solver its while: then only a few are looked at. */
const MANY_JOBS = 150;
const FEW_PARTS = 3;

/** Functions that all of some needs ask for: for each the greatest count. */
function together(needs: readonly FunctionNeed[]): FunctionNeed[] {
  const most = new Map<FunctionNeed['does'], number>();
  for (const { does, count } of needs) most.set(does, Math.max(most.get(does) ?? 0, count));
  return [...most].map(([does, count]) => ({ does, count })).sort((a, b) => (a.does < b.does ? -1 : 1));
}

/** What the kit's tools must do and may choose between, at a price of service: for whoever weighs other sets of tools. */
export function choicesOf(problem: KitProblem): { functions: FunctionNeed[]; choices: Choice[] } {
  const plan = planOf(problem);
  const room = -Math.log(problem.question.service);
  const { theta } = firstPrices(plan, room);
  const fixed = plan.wanted.filter((w) => w.options.length === 1).flatMap((w) => w.options[0]!.functions);
  return {
    functions: together(fixed),
    choices: plan.wanted
      .filter((w) => w.options.length > 1)
      .map((w) => ({
        options: w.options.map((o) => ({ functions: o.functions, cost: priced(o.ladder, theta) / TENTHS })),
      })),
  };
}

/** The least that a ladder costs with what it leaves at a price. */
const priced = (l: Ladder, theta: number): number =>
  l.costs.reduce((m, c, k) => Math.min(m, c + theta * l.left[k]!), Infinity);

/** Price of service when each trouble takes its cheapest way. */
function firstPrices(plan: Plan, room: number): { theta: number } {
  const cheapest = plan.wanted.map(
    (w) => w.options.reduce((a, b) => (b.ladder.costs[0]! < a.ladder.costs[0]! ? b : a)).ladder,
  );
  return { theta: priceOfService(cheapest, room) };
}

/** A part of the search: for each wanted trouble the options that are still open. */
interface Part {
  open: number[][];
  bound: number;
}

/**
 * Branch and bound over the ways: the tools are an exact cover with the ways as choices, the stocks an exact knapsack. A price on what the
 * stocks leave of the service level makes the two one problem that bounds both from below; a way that is left open is branched on.
 * @throws RangeError when the marks leave no set of tools
 */
export function lightestJoint(problem: KitProblem, solve: Solve): LightestKit {
  const { tools, question } = problem;
  const plan = planOf(problem);
  const room = -Math.log(question.service);
  const { theta } = firstPrices(plan, room);
  const { practice } = problem;
  let best: LightestKit | null = null;
  // Every option can be had, so that its functions are there as often as it asks.
  const base = coverProblem(tools.reaches, tools.pieces, [], tools.losable);

  const evaluate = (set: Lightest, chosen: Option[], toolTotal: number): LightestKit => {
    const ladders = chosen.map((o) => o.ladder);
    const stock = leastMends(ladders, room);
    const mends = stock?.mends ?? ladders.map((l) => l.from + l.costs.length - 1);
    const cost = stock?.cost ?? ladders.reduce((s, l) => s + l.costs.at(-1)!, 0);
    const ways = plan.wanted.map((w, i) => ({
      ask: w.ask,
      way: chosen[i]!.way,
      mends: problem.asks[w.ask]!.ways[chosen[i]!.way]!.supplies.length === 0 ? Infinity : mends[i]!,
    }));
    return {
      set,
      ways,
      stocked: ways.flatMap(({ ask, way, mends: n }) =>
        n === Infinity ? [] : Array.from({ length: n }, (_, mend) => ({ ask, mend, way })),
      ),
      total: toolTotal + cost / TENTHS,
      proven: true,
      gap: 0,
      served: stock !== null,
      plan,
    };
  };

  /** Tools for some open options at the price, the bound that follows, and the kit that comes of it. */
  const look = (open: readonly number[][]): { bound: number; chosen: number[]; exact: boolean } => {
    const fixed: FunctionNeed[] = [];
    const choices: Choice[] = [];
    const at: number[] = [];
    let constant = -theta * room;
    plan.wanted.forEach((w, i) => {
      const list = open[i]!;
      if (list.length === 1) {
        const o = w.options[list[0]!]!;
        fixed.push(...o.functions);
        constant += priced(o.ladder, theta);
      } else {
        at.push(i);
        // Rounded down to whole tenths, so that the bound holds.
        choices.push({
          options: list.map((k) => ({
            functions: w.options[k]!.functions,
            cost: Math.floor(priced(w.options[k]!.ladder, theta)) / TENTHS,
          })),
        });
      }
    });
    const set = lightestSet(
      { ...base, functions: together(fixed), choices },
      solve,
      practice.least,
      'search',
      practice.worth,
    );
    const chosen = open.map((list) => list[0]!);
    let optionCost = 0;
    at.forEach((i, c) => {
      chosen[i] = open[i]![set.options[c]!]!;
      optionCost += choices[c]!.options[set.options[c]!]!.cost;
    });
    const kit = evaluate(
      set,
      plan.wanted.map((w, i) => w.options[chosen[i]!]!),
      set.total - optionCost,
    );
    if (!best || kit.total < best.total - 1e-9 || (kit.served && !best.served)) best = kit;
    return { bound: set.total * (set.proven ? 1 : 1 - set.gap) + constant / TENTHS, chosen, exact: set.proven };
  };

  const whole = plan.wanted.map((w) => w.options.map((_, k) => k));
  const parts: Part[] = [{ open: whole, bound: -Infinity }];
  let looked = 0;
  let exact = true;
  let given = Infinity;
  while (parts.length > 0) {
    const part = parts.shift()!;
    if (best && part.bound >= (best as LightestKit).total - 1e-6) continue;
    if (looked >= (base.tasks.length > MANY_JOBS ? FEW_PARTS : MOST_PARTS)) {
      given = Math.min(given, part.bound);
      continue;
    }
    looked++;
    const { bound, chosen, exact: proven } = look(part.open);
    exact &&= proven;
    const branch = part.open.findIndex((list) => list.length > 1);
    // With every way settled the tools and the stocks were each solved exactly.
    if (branch < 0 || bound >= (best as unknown as LightestKit).total - 1e-6) continue;
    // The way taken last, on its own, and all the others.
    const only = part.open.map((list, i) => (i === branch ? [chosen[i]!] : list));
    const rest = part.open.map((list, i) => (i === branch ? list.filter((k) => k !== chosen[i]) : list));
    parts.push({ open: only, bound }, { open: rest, bound });
    parts.sort((a, b) => a.bound - b.bound);
  }
  const kit = best as unknown as LightestKit;
  const bound = Math.min(given, kit.total);
  const gap = Math.max(kit.set.proven ? 0 : kit.set.gap, (kit.total - bound) / Math.max(1, kit.total));
  return { ...kit, proven: exact && gap < 1e-9, gap };
}

import { at, last } from '../../ground/numbers.js';
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
  const fixed = plan.wanted.filter((w) => w.options.length === 1).flatMap((w) => at(w.options, 0).functions);
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
  l.costs.reduce((m, c, k) => Math.min(m, c + theta * at(l.left, k)), Infinity);

/** Price of service when each trouble takes its cheapest way. */
function firstPrices(plan: Plan, room: number): { theta: number } {
  const cheapest = plan.wanted.map(
    (w) => w.options.reduce((a, b) => (at(b.ladder.costs, 0) < at(a.ladder.costs, 0) ? b : a)).ladder,
  );
  return { theta: priceOfService(cheapest, room) };
}

/** A part of the search: for each wanted trouble the options that are still open. */
interface Part {
  open: number[][];
  bound: number;
}

/** What one look at a part came to. */
interface Look {
  /** What no kit of the part weighs less than. */
  bound: number;
  /** The option of each wanted trouble that its kit takes. */
  chosen: number[];
  kit: LightestKit;
}

/** The search for the lightest kit: tools over some open options at a price of service, and the stocks that go with them. */
class JointSearch {
  readonly plan: Plan;
  private readonly room: number;
  private readonly theta: number;
  private readonly base: ReturnType<typeof coverProblem>;
  constructor(
    private readonly problem: KitProblem,
    private readonly solve: Solve,
  ) {
    const { tools, question } = problem;
    this.plan = planOf(problem);
    this.room = -Math.log(question.service);
    this.theta = firstPrices(this.plan, this.room).theta;
    // Every option can be had, so that its functions are there as often as it asks.
    this.base = coverProblem(tools.reaches, tools.pieces, [], tools.losable);
  }
  /** Parts that are looked at, at most. */
  get mostParts(): number {
    return this.base.tasks.length > MANY_JOBS ? FEW_PARTS : MOST_PARTS;
  }

  /** The kit of a set of tools and of one option for each wanted trouble, stocked at the least. */
  private evaluate(set: Lightest, chosen: readonly Option[], toolTotal: number): LightestKit {
    const { plan, problem } = this;
    const ladders = chosen.map((o) => o.ladder);
    const stock = leastMends(ladders, this.room);
    const mends = stock?.mends ?? ladders.map((l) => l.from + l.costs.length - 1);
    const cost = stock?.cost ?? ladders.reduce((s, l) => s + last(l.costs), 0);
    const ways = plan.wanted.map((w, i) => {
      const { way } = at(chosen, i);
      const endless = at(at(problem.asks, w.ask).ways, way).supplies.length === 0;
      return { ask: w.ask, way, mends: endless ? Infinity : at(mends, i) };
    });
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
  }

  /** Tools for some open options at the price, the bound that follows, and the kit that comes of it. */
  look(open: readonly number[][]): Look {
    const { plan, theta, problem } = this;
    const fixed: FunctionNeed[] = [];
    const choices: Choice[] = [];
    const columns: number[] = [];
    let constant = -theta * this.room;
    plan.wanted.forEach((w, i) => {
      const list = at(open, i);
      if (list.length === 1) {
        const o = at(w.options, at(list, 0));
        fixed.push(...o.functions);
        constant += priced(o.ladder, theta);
        return;
      }
      columns.push(i);
      // Rounded down to whole tenths, so that the bound holds.
      choices.push({
        options: list.map((k) => ({
          functions: at(w.options, k).functions,
          cost: Math.floor(priced(at(w.options, k).ladder, theta)) / TENTHS,
        })),
      });
    });
    const { least, worth } = problem.practice;
    const set = lightestSet({ ...this.base, functions: together(fixed), choices }, this.solve, least, 'search', worth);
    const chosen = open.map((list) => at(list, 0));
    let optionCost = 0;
    columns.forEach((i, c) => {
      chosen[i] = at(at(open, i), at(set.options, c));
      optionCost += at(at(choices, c).options, at(set.options, c)).cost;
    });
    const options = plan.wanted.map((w, i) => at(w.options, at(chosen, i)));
    return {
      bound: set.total * (set.proven ? 1 : 1 - set.gap) + constant / TENTHS,
      chosen,
      kit: this.evaluate(set, options, set.total - optionCost),
    };
  }
}

/** Whether a kit is the better one: lighter, or at the service level where the other is not. */
const beats = (kit: LightestKit, best: LightestKit): boolean =>
  kit.total < best.total - 1e-9 || (kit.served && !best.served);

/**
 * Branch and bound over the ways: the tools are an exact cover with the ways as choices, the stocks an exact knapsack. A price on what the
 * stocks leave of the service level makes the two one problem that bounds both from below; a way that is left open is branched on.
 * @throws RangeError when the marks leave no set of tools
 */
export function lightestJoint(problem: KitProblem, solve: Solve): LightestKit {
  const search = new JointSearch(problem, solve);
  const whole = search.plan.wanted.map((w) => w.options.map((_, k) => k));
  const parts: Part[] = [];
  let given = Infinity;
  let looked = 1;
  /** Looks at a part, and lays what of it is left open into the list: the way taken last on its own, and all the others. */
  const lookAt = (open: number[][], best: LightestKit | null): { best: LightestKit; exact: boolean } => {
    const { bound, chosen, kit } = search.look(open);
    const now = best === null || beats(kit, best) ? kit : best;
    const branch = open.findIndex((list) => list.length > 1);
    // With every way settled the tools and the stocks were each solved exactly.
    if (branch >= 0 && bound < now.total - 1e-6) {
      const with_ = (f: (list: number[], i: number) => number[]) =>
        open.map((list, i) => (i === branch ? f(list, i) : list));
      parts.push(
        { open: with_((_, i) => [at(chosen, i)]), bound },
        { open: with_((list, i) => list.filter((k) => k !== chosen[i])), bound },
      );
      parts.sort((a, b) => a.bound - b.bound);
    }
    return { best: now, exact: kit.set.proven };
  };
  let { best, exact } = lookAt(whole, null);
  for (let part = parts.shift(); part; part = parts.shift()) {
    if (part.bound >= best.total - 1e-6) continue;
    if (looked >= search.mostParts) {
      given = Math.min(given, part.bound);
      continue;
    }
    looked++;
    const next = lookAt(part.open, best);
    best = next.best;
    exact &&= next.exact;
  }
  const bound = Math.min(given, best.total);
  const gap = Math.max(best.set.proven ? 0 : best.set.gap, (best.total - bound) / Math.max(1, best.total));
  return { ...best, proven: exact && gap < 1e-9, gap };
}

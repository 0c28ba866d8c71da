import { MilpBuilder, type Solve } from '../ground/milp.js';
import { at } from '../ground/numbers.js';
import { mayGo, ownCost, type Cut, type StowProblem } from './stowProblem.js';

type Terms = [column: number, coefficient: number][];

/** The assignment as a whole-number programme while it is being stated: a column for each bin that a free unit may go into. */
class StowProgramme {
  readonly m = new MilpBuilder();
  readonly free: number[];
  private readonly fixed: number[];
  private readonly columns: { bin: number; column: number }[][];
  /** What the rider's own choices cost, which no column stands for. */
  constant: number;

  constructor(
    readonly p: StowProblem,
    open: readonly (readonly boolean[])[],
  ) {
    const all = p.units.map((_, u) => u);
    this.free = all.filter((u) => p.fixed.at(u) < 0);
    this.fixed = all.filter((u) => p.fixed.at(u) >= 0);
    this.constant = this.fixed.reduce((s, u) => s + ownCost(p, u, p.fixed.at(u)), 0);
    const bins = [...p.bins.keys(), p.loose];
    this.columns = all.map((u) =>
      p.fixed.at(u) >= 0
        ? []
        : bins
            .filter((bin) => mayGo(p, u, bin) && (bin === p.loose || at(open, u)[bin]))
            .map((bin) => ({ bin, column: this.m.column(p.cost.at(u, bin), 1, true) })),
    );
  }
  columnsOf(u: number): readonly { bin: number; column: number }[] {
    return at(this.columns, u);
  }
  /** Units that the rider put into a place. */
  fixedIn(place: number): number[] {
    return this.fixed.filter((u) => this.p.placeOf.at(this.p.fixed.at(u)) === place);
  }
  fixedOf(group: number): number[] {
    return this.fixed.filter((u) => this.p.group.at(u) === group);
  }
  /** Terms of some free units in a place, each with a figure of its own; without those whose figure is 0. */
  inPlace(place: number, of: (u: number) => number, units: readonly number[] = this.free): Terms {
    return units.flatMap((u) =>
      of(u) === 0
        ? []
        : this.columnsOf(u)
            .filter((c) => this.p.placeOf.at(c.bin) === place)
            .map((c): [number, number] => [c.column, of(u)]),
    );
  }
  inBin(bin: number): Terms {
    return this.free.flatMap((u) =>
      this.columnsOf(u)
        .filter((c) => c.bin === bin)
        .map((c): [number, number] => [c.column, 1]),
    );
  }
  /** A column that is 1 as soon as one of the terms is. */
  anyOf(terms: Terms): number {
    const any = this.m.column(0, 1, true);
    for (const [column] of terms) this.atMost(column, any);
    return any;
  }
  /** States that one column is 1 only where the other is. */
  atMost(column: number, other: number): void {
    const terms: Terms = [
      [column, 1],
      [other, -1],
    ];
    this.m.row(terms, -Infinity, 0);
  }
  /** States that two columns are not 1 together. */
  notBoth(column: number, other: number): void {
    const terms: Terms = [
      [column, 1],
      [other, 1],
    ];
    this.m.row(terms, -Infinity, 1);
  }
}

/** Every unit in one bin, or loose. */
function eachSomewhere(q: StowProgramme): void {
  for (const u of q.free)
    q.m.row(
      q.columnsOf(u).map((c) => [c.column, 1]),
      1,
      1,
    );
}

/** Weight and room of each place, less what the rider put there. */
function placesBear(q: StowProgramme): void {
  const { p, m } = q;
  p.places.forEach((_, k) => {
    const here = q.fixedIn(k);
    const limit = (has: number, of: (u: number) => number) => {
      if (!Number.isFinite(has)) return;
      const taken = here.reduce((s, u) => s + of(u), 0);
      m.row(q.inPlace(k, of), -Infinity, Math.max(0, has - taken) + 1e-6);
    };
    limit(p.bears.at(k), (u) => p.mass.at(u));
    limit(p.roomIn.at(k), (u) => p.room.at(u, k));
  });
}

/** What cuts lies apart from what is pierced, where nothing parts them: either the one kind or the other. */
function sharpApart(q: StowProgramme): void {
  const { p, m } = q;
  p.places.forEach((_, k) => {
    if (p.parted[k]) return;
    const here = q.fixedIn(k);
    const sharp = q.inPlace(k, (u) => Number(p.sharp[u]));
    const pierced = q.inPlace(k, (u) => Number(p.pierced[u]));
    if (here.some((u) => p.sharp[u])) for (const t of pierced) m.row([t], -Infinity, 0);
    if (here.some((u) => p.pierced[u])) for (const t of sharp) m.row([t], -Infinity, 0);
    if (sharp.length === 0 || pierced.length === 0) return;
    const blades = q.anyOf(sharp);
    for (const [column] of pierced) q.notBoth(column, blades);
  });
}

/** Slots that are left in each roll. */
function slotsHold(q: StowProgramme): void {
  q.p.bins.forEach((b, bin) => {
    if (!Number.isFinite(b.count)) return;
    const taken = q.p.units.filter((_, u) => q.p.fixed.at(u) === bin).length;
    q.m.row(q.inBin(bin), -Infinity, Math.max(0, b.count - taken));
  });
}

/** |moment to the left| as two columns, of which one is 0. */
function balanced(q: StowProgramme): void {
  const { p, m } = q;
  if (!(p.sideCost > 0)) return;
  const moment = (u: number, k: number) => p.mass.at(u) * p.y.at(k);
  const before = p.places.reduce((s, _, k) => q.fixedIn(k).reduce((t, u) => t + moment(u, k), s), p.sideBefore);
  const [left, right] = [m.column(p.sideCost, Infinity, false), m.column(p.sideCost, Infinity, false)];
  const terms = p.places.flatMap((_, k) => q.inPlace(k, (u) => moment(u, k)));
  m.row([...terms, [left, -1], [right, 1]], -before, -before);
}

/** Further places of a group: all but the first, or all where the rider's own choices opened one already. */
function groupsTogether(q: StowProgramme): void {
  const { p, m } = q;
  p.groupNames.forEach((_, g) => {
    const cost = p.spread.at(g);
    if (cost === 0) return;
    const members = q.free.filter((u) => p.group.at(u) === g);
    const begun = new Set(q.fixedOf(g).map((u) => p.placeOf.at(p.fixed.at(u))));
    if (members.length + begun.size < 2) return;
    q.constant += cost * Math.max(0, begun.size - 1);
    const used = p.places.flatMap((_place, k) => {
      const terms = begun.has(k) ? [] : q.inPlace(k, () => 1, members);
      return terms.length > 0 ? [q.anyOf(terms)] : [];
    });
    if (used.length === 0) return;
    const further = m.column(cost, Infinity, false);
    m.row([[further, 1], ...used.map((y): [number, number] => [y, -1])], begun.size > 0 ? 0 : -1);
  });
}

/** Sets that do not pack: one of each lies elsewhere. */
function cutOff(q: StowProgramme, cuts: readonly Cut[]): void {
  for (const { place, units } of cuts) {
    const there = new Set(q.fixedIn(place));
    const already = units.filter((u) => there.has(u)).length;
    const may = units.filter((u) => q.p.fixed.at(u) < 0);
    q.m.row(
      q.inPlace(place, () => 1, may),
      -Infinity,
      units.length - 1 - already,
    );
  }
}

/**
 * The assignment as a whole-number programme, over the bins that are still open: every unit in one bin or loose; weight, room and slots; sharp
 * apart from what is pierced; sets that do not pack; |side| and further places of a group as columns of their own.
 * @returns `infeasible` where nothing is left in the open bins; null where the solver stopped with nothing, which proves nothing
 */
export function solveStow(
  p: StowProblem,
  open: readonly (readonly boolean[])[],
  cuts: readonly Cut[],
  solve: Solve,
): { where: number[]; bound: number; proven: boolean } | 'infeasible' | null {
  const q = new StowProgramme(p, open);
  eachSomewhere(q);
  placesBear(q);
  sharpApart(q);
  slotsHold(q);
  balanced(q);
  groupsTogether(q);
  cutOff(q, cuts);
  const answer = solve(q.m.model);
  if (answer.status === 'infeasible') return 'infeasible';
  if (answer.status === 'unknown') return null;
  const where = p.units.map((_, u) =>
    p.fixed.at(u) >= 0
      ? p.fixed.at(u)
      : (q.columnsOf(u).find((c) => at(answer.values, c.column) > 0.5)?.bin ?? p.loose),
  );
  return { where, bound: answer.bound + q.constant, proven: answer.status === 'optimal' };
}

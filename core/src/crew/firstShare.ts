import { at } from '../ground/numbers.js';
import { setsOfEnds, setsOfTask } from '../kit/optimum/items.js';
import { taskDone } from '../toolbox/cover/index.js';
import { blended, carriedCounts, loads, type Assignment } from './assignment.js';
import { atHome, forced, mostCopies, type Floor } from './forced.js';
import { canHold } from './canHold.js';
import type { CrewCase } from './crewCase.js';
import type { Shared } from './assignment.js';
import type { Group, GroupOption } from './groups.js';
import { ableOf, chosenOptions, drawsOf, gapsOf, optionOf } from './judge.js';
import { leastUnits, levelsOf } from './stockRule.js';

/** A sharing that is being built. */
class Draft {
  readonly pieces: number[][];
  readonly stock = new Map<string, number[]>();
  private readonly masses: number[];

  constructor(readonly c: CrewCase) {
    this.pieces = c.problem.pieces.map(() => c.carriers.map(() => 0));
    this.masses = c.carriers.map(() => 0);
  }
  get assignment(): Assignment {
    return { pieces: this.pieces, stock: this.stock, ways: new Map() };
  }
  /** Copies of a piece that nobody carries yet. */
  left(p: number): number {
    const home = atHome(this.c, `piece ${at(this.c.problem.pieces, p).id}`);
    return mostCopies(this.c, p) - home - at(this.pieces, p).reduce((s, n) => s + n, 0);
  }
  /** Of some carriers the one whose share stays least with so many grams more, the owner first where it is near. */
  private lightest(carriers: readonly number[], mass: number, owners: readonly number[] = []): number {
    const share = (r: number) =>
      (at(this.masses, r) + mass) / Math.max(1, at(this.c.carriers, r).limit) - (owners.includes(r) ? 0.04 : 0);
    return at(
      [...carriers].sort((a, b) => share(a) - share(b) || a - b),
      0,
    );
  }
  /** What somebody carries in any case. */
  begin({ pieces, stock }: Floor): void {
    pieces.forEach((by, p) =>
      by.forEach((n, r) => {
        at(this.pieces, p)[r] = n;
        this.masses[r] = at(this.masses, r) + n * at(this.c.problem.pieces, p).mass;
      }),
    );
    for (const [kind, by] of stock) {
      this.stock.set(kind, [...by]);
      by.forEach((n, r) => (this.masses[r] = at(this.masses, r) + n * this.c.problem.book.of(kind).mass));
    }
  }
  addPiece(p: number, carriers: readonly number[]): void {
    const piece = at(this.c.problem.pieces, p);
    const { mass } = piece;
    const able = carriers.filter((k) => canHold(at(this.c.carriers, k), piece));
    const r = this.lightest(
      able.length > 0 ? able : carriers,
      mass,
      (this.c.of[p] ?? []).map((o) => o.member),
    );
    at(this.pieces, p)[r] = at(at(this.pieces, p), r) + 1;
    this.masses[r] = at(this.masses, r) + mass;
  }
  addUnits(kind: string, units: number, carriers: readonly number[]): void {
    const { mass } = this.c.problem.book.of(kind);
    const by = this.stock.get(kind) ?? this.c.carriers.map(() => 0);
    this.stock.set(kind, by);
    for (let n = 0; n < units; n++) {
      const r = this.lightest(carriers, mass);
      by[r] = at(by, r) + 1;
      this.masses[r] = at(this.masses, r) + mass;
    }
  }

  /** Copies that a set of items wants beyond what a group has, with their grams; null where nobody has so many. */
  private wants(set: readonly number[], have: readonly number[]): { pieces: number[]; mass: number } | null {
    const need = new Map<number, number>();
    for (const i of set) {
      const p = at(this.c.problem.items.owner, i);
      need.set(p, (need.get(p) ?? 0) + 1);
    }
    const pieces: number[] = [];
    let mass = 0;
    for (const [p, n] of need) {
      const more = n - at(have, p);
      if (more <= 0) continue;
      if (more > this.left(p)) return null;
      for (let k = 0; k < more; k++) pieces.push(p);
      mass += more * at(this.c.problem.pieces, p).mass;
    }
    return { pieces, mass };
  }
  /** The lightest that one of some sets wants. */
  least(sets: readonly (readonly number[])[], have: readonly number[]): { pieces: number[]; mass: number } | null {
    let best: { pieces: number[]; mass: number } | null = null;
    for (const set of sets) {
      const w = this.wants(set, have);
      if (w && (!best || w.mass < best.mass)) best = w;
    }
    return best;
  }
}

/** What an option wants beyond what a group carries. */
function optionWants(
  d: Draft,
  g: Group,
  o: GroupOption,
  have: readonly number[],
): { pieces: number[]; mass: number } | null {
  const { c } = d;
  const able = ableOf(c, d.assignment, g);
  const pieces: number[] = [];
  let mass = 0;
  for (const n of o.requires) {
    if (able.met(n)) continue;
    const w = d.least(at(c.problem.requirements, n).sets, have);
    if (!w) return null;
    pieces.push(...w.pieces);
    mass += w.mass;
  }
  for (const s of o.supplies)
    mass += Math.max(0, s.units - (able.stock.get(s.kind) ?? 0)) * c.problem.book.of(s.kind).mass;
  return { pieces, mass };
}

function serve(d: Draft, g: Group): void {
  const { c } = d;
  const have = () => carriedCounts(d.assignment, g.carriers);
  const put = (pieces: readonly number[]) => {
    for (const p of pieces) if (d.left(p) > 0) d.addPiece(p, g.carriers);
  };
  for (const t of g.tasks) {
    if (taskDone(t, have())) continue;
    const sets = setsOfTask(t, c.problem.items) ?? setsOfEnds(t, c.problem.items).flat();
    const w = d.least(sets, have());
    if (w) put(w.pieces);
  }
  for (const l of g.loose)
    for (const s of l.shares) {
      if (ableOf(c, d.assignment, g).met(s.requires)) continue;
      const w = d.least(at(c.problem.requirements, s.requires).sets, have());
      if (w) put(w.pieces);
    }
  for (const demand of g.demands) {
    if (optionOf(demand, ableOf(c, d.assignment, g))) continue;
    let best: { option: GroupOption; pieces: number[]; mass: number } | null = null;
    for (const option of demand.options) {
      const w = optionWants(d, g, option, have());
      if (w && (!best || w.mass < best.mass)) best = { option, ...w };
    }
    if (!best) continue;
    put(best.pieces);
    const { stock } = ableOf(c, d.assignment, g);
    for (const s of best.option.supplies)
      d.addUnits(s.kind, Math.max(0, s.units - (stock.get(s.kind) ?? 0)), g.carriers);
  }
  if (g.kind !== 'all') return;
  const able = ableOf(c, d.assignment, g);
  const level = levelsOf(c.problem, g);
  for (const [kind, draws] of drawsOf(c, g, chosenOptions(g, able)))
    d.addUnits(kind, Math.max(0, leastUnits(draws, level(kind)) - (able.stock.get(kind) ?? 0)), g.carriers);
}

/**
 * A sharing that is found at once: group by group the lightest that is wanting, given to whoever carries the least share; then what is not needed
 * after all goes. It is good enough to look at while the exact one is worked out, and nothing is proven of it.
 */
export function firstShare(c: CrewCase): Shared {
  const d = new Draft(c);
  const stays = forced(c, null);
  d.begin(stays);
  const order = { alone: 0, part: 1, all: 2 } as const;
  for (const g of [...c.groups].sort((a, b) => order[a.kind] - order[b.kind])) serve(d, g);
  const byMass = c.problem.pieces.map((p, i) => ({ i, mass: p.mass })).sort((a, b) => b.mass - a.mass);
  const gapsAt = (r: number) =>
    c.groups.reduce((n, g) => n + (g.carriers.includes(r) ? gapsOf(c, d.assignment, g).length : 0), 0);
  for (const { i } of byMass)
    for (let r = 0; r < c.carriers.length; r++) {
      const by = at(d.pieces, i);
      if (at(by, r) <= at(at(stays.pieces, i), r)) continue;
      const before = gapsAt(r);
      by[r] = at(by, r) - 1;
      if (gapsAt(r) > before) by[r] = at(by, r) + 1;
    }
  const a = d.assignment;
  const masses = loads(c, a).reduce((s, l) => s + l.mass, 0);
  return { ...a, cost: blended(c, a), bound: 0, proven: false, gap: masses > 0 ? 1 : 0 };
}

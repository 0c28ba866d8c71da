import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../ground/milp.js';
import { unitsTogether } from '../trip/odds/index.js';
import { handOuts, smallCrew } from '../testing/smallCrews.js';
import { runs } from '../testing/thorough.js';
import { greatestShare, loads, type Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';
import { shareOut, strongestOf } from './crewMilp.js';
import { firstShare } from './firstShare.js';
import type { Group } from './groups.js';
import { gapsOf, judgeCrew } from './judge.js';
import { leastUnits, levelsOf } from './stockRule.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

/** What the search counts for a repair left undone. */
const UNDONE = 60_000;

/** Repairs that a group leaves undone at best, every choice of its options tried: looks at nothing that the search made. */
function undone(c: CrewCase, g: Group, counts: readonly number[], stock: ReadonlyMap<string, number>): number {
  const has = (set: readonly number[]) => {
    const need = new Map<number, number>();
    for (const i of set) need.set(c.problem.items.owner[i]!, (need.get(c.problem.items.owner[i]!) ?? 0) + 1);
    return [...need].every(([p, n]) => counts[p]! >= n);
  };
  const met = c.problem.requirements.map((r) => r.sets.some(has));
  const level = levelsOf(c.problem, g);
  const go = (d: number, chosen: (number | null)[]): number => {
    if (d === g.demands.length) {
      const missing = chosen.filter((o) => o === null).length;
      if (g.kind !== 'all') return missing;
      // All that draws on a stock together must be served at its level.
      const draws = new Map<string, { law: { mean: number; shape: number | null }; units: number }[]>();
      chosen.forEach((o, i) => {
        if (o === null) return;
        const { ask, options } = g.demands[i]!;
        for (const s of options[o]!.supplies)
          draws.set(s.kind, [...(draws.get(s.kind) ?? []), { law: c.problem.asks[ask]!.law, units: s.units }]);
      });
      for (const [kind, list] of draws) {
        let sum = 0;
        const pmf = unitsTogether(list, 60);
        for (let n = 0; n <= (stock.get(kind) ?? 0); n++) sum += pmf[n]!;
        if (sum < level(kind) - 1e-12) return Infinity;
      }
      return missing;
    }
    let best = go(d + 1, [...chosen, null]);
    g.demands[d]!.options.forEach((o, k) => {
      if (o.requires.every((n) => met[n]) && o.supplies.every((s) => (stock.get(s.kind) ?? 0) >= s.units))
        best = Math.min(best, go(d + 1, [...chosen, k]));
    });
    return best;
  };
  return go(0, []);
}

/** The objective of a sharing, worked out from nothing but the case. */
function objective(c: CrewCase, a: Assignment): number {
  const masses = c.carriers.map((_, r) => {
    const tools = c.problem.pieces.reduce((s, p, i) => s + a.pieces[i]![r]! * p.mass, 0);
    return [...a.stock].reduce((s, [kind, by]) => s + by[r]! * c.problem.book.of(kind).mass, tools);
  });
  const over = masses.reduce((s, m, r) => s + Math.max(0, m - c.carriers[r]!.limit), 0);
  const share = Math.max(...masses.map((m, r) => m / c.carriers[r]!.limit));
  const may = c.carriers.reduce((s, k) => s + k.limit, 0);
  if (over > 1e-6) return Infinity;
  const left = c.groups.reduce((s, g) => {
    const counts = a.pieces.map((by) => g.carriers.reduce((n, r) => n + by[r]!, 0));
    const stock = new Map([...a.stock].map(([kind, by]) => [kind, g.carriers.reduce((n, r) => n + by[r]!, 0)]));
    return s + undone(c, g, counts, stock);
  }, 0);
  const all = masses.reduce((s, m) => s + m, 0);
  return UNDONE * left + (1 - c.crew.fair) * all + c.crew.fair * may * share;
}

/** Every way to hand out every copy and up to so many units: the least objective. */
function bruteForce(c: CrewCase, units: number): number {
  const kinds = [...new Set(c.problem.asks.flatMap((a) => a.ways.flatMap((w) => w.supplies.map((s) => s.kind))))];
  const n = c.carriers.length;
  let best = Infinity;
  const stocks = kinds.length === 0 ? [[]] : handOuts(units, n);
  const go = (pieces: number[][]) => {
    const next = c.problem.pieces[pieces.length];
    if (next) {
      for (const by of handOuts(next.count, n)) go([...pieces, by]);
      return;
    }
    for (const by of stocks)
      best = Math.min(best, objective(c, { pieces, stock: new Map(kinds.map((k) => [k, by])), ways: new Map() }));
  };
  go([]);
  return best;
}

describe('sharing out a crew’s kit', () => {
  test('the least of all sharings, by brute force over who carries what', () => {
    fc.assert(
      fc.property(
        smallCrew.filter((c) => c.carriers.length === 2),
        (c) => {
          const found = shareOut(c, solve, { within: 0.01 })!;
          const units = Math.max(3, ...[...found.stock.values()].map((by) => by.reduce((s, x) => s + x, 0)));
          fc.pre(units <= 7);
          const least = bruteForce(c, units);
          const mine = objective(c, found);
          expect(mine).toBeLessThanOrEqual(least + 1);
          expect(mine).toBeGreaterThanOrEqual(least - 1e-6);
          if (found.proven) expect(found.cost - found.bound).toBeLessThanOrEqual(0.02);
        },
      ),
      runs(120, 15),
    );
  });

  test('what is found at once keeps the limits’ order and does all that the exact one does, never for less', () => {
    fc.assert(
      fc.property(smallCrew, (c) => {
        // With room for all, so that only the weight is compared.
        const wide = { ...c, carriers: c.carriers.map((k) => ({ ...k, limit: 20_000 })) };
        const exact = shareOut(wide, solve, { within: 0.01 })!;
        const quick = firstShare(wide);
        const undoneOf = (a: Assignment) => judgeCrew(wide, a).gaps.filter((g) => g.kind === 'mend').length;
        if (undoneOf(quick) === undoneOf(exact)) expect(quick.cost).toBeGreaterThanOrEqual(exact.cost - 1);
        else expect(undoneOf(quick)).toBeGreaterThan(undoneOf(exact));
      }),
      runs(150, 25),
    );
  });

  test('nobody is over a limit that can be kept', () => {
    fc.assert(
      fc.property(smallCrew, (c) => {
        const found = shareOut(c, solve, { within: 0.01 })!;
        // Nothing has to be carried here, so that every limit can be kept.
        loads(c, found).forEach((l, r) => expect(l.mass).toBeLessThanOrEqual(c.carriers[r]!.limit + 1e-6));
        expect(judgeCrew(c, found).over).toEqual([]);
      }),
      runs(100, 20),
    );
  });

  test('the greatest share never grows as fairness counts more', () => {
    fc.assert(
      fc.property(smallCrew, (c) => {
        const shares = [0, 0.5, 1].map((fair) => {
          const of = { ...c, crew: { ...c.crew, fair } };
          const found = shareOut(of, solve, { within: 0.01 })!;
          return {
            undone: objective({ ...of, crew: { ...of.crew, fair: 0 } }, found) >= UNDONE,
            share: greatestShare(
              of,
              loads(of, found).map((l) => l.mass),
            ),
          };
        });
        // With a repair left undone two sharings may leave different ones.
        if (shares.some((s) => s.undone)) return;
        expect(shares[1]!.share).toBeLessThanOrEqual(shares[0]!.share + 0.01);
        expect(shares[2]!.share).toBeLessThanOrEqual(shares[1]!.share + 0.01);
      }),
      runs(80, 10),
    );
  });

  test('somebody more who may carry nothing and needs nothing changes nothing', () => {
    fc.assert(
      fc.property(
        smallCrew.filter((c) => c.carriers.length === 2),
        (c) => {
          const before = shareOut(c, solve, { within: 0.01 })!;
          const idle = {
            ...c.carriers[1]!,
            key: '00000000-0000-4000-8000-0000000000aa',
            limit: 0,
            member: c.members[1]!,
          };
          const more: CrewCase = {
            ...c,
            crew: { ...c.crew, fair: 0 },
            carriers: [...c.carriers, idle],
            groups: c.groups.map((g) => (g.kind === 'all' ? { ...g, carriers: [...g.carriers, 2] } : g)),
          };
          const plain = shareOut({ ...c, crew: { ...c.crew, fair: 0 } }, solve, { within: 0.01 })!;
          const after = shareOut(more, solve, { within: 0.01 })!;
          expect(after.cost).toBeCloseTo(plain.cost, 0);
          expect(judgeCrew(more, after).gaps.length).toBe(judgeCrew(c, plain).gaps.length);
          expect(before.cost).toBeGreaterThanOrEqual(0);
        },
      ),
      runs(60, 15),
    );
  });

  test('a part that is everybody asks for no more than the whole crew', () => {
    fc.assert(
      fc.property(smallCrew, (c) => {
        const all = c.groups.find((g) => g.kind === 'all')!;
        const one = { ...c, groups: [...c.groups, { ...all, key: 'part of all', kind: 'part' as const }] };
        const a = shareOut(c, solve, { within: 0.01 })!;
        const b = shareOut(one, solve, { within: 0.01 })!;
        const gaps = (of: CrewCase, x: Assignment) => gapsOf(of, x, all, false).length;
        if (gaps(c, a) === 0 && gaps(one, b) === 0) expect(b.cost).toBeCloseTo(a.cost, 0);
      }),
      runs(60, 15),
    );
  });

  test('what rider and bike are asked to carry more is carried: mechanic’s tools, and the strongest’s weight', () => {
    fc.assert(
      fc.property(smallCrew, (c) => {
        const strong = { ...c, crew: { ...c.crew, strong: true, fair: 0 } };
        const found = shareOut(strong, solve, { within: 0.01 })!;
        const masses = loads(strong, found).map((l) => l.mass);
        const lead = strongestOf(strong);
        for (const m of masses) expect(masses[lead]!).toBeGreaterThanOrEqual(m - 1e-6);
        const free = shareOut({ ...c, crew: { ...c.crew, fair: 0 } }, solve, { within: 0.01 })!;
        expect(objective(strong, found)).toBeGreaterThanOrEqual(objective(strong, free) - 1);
      }),
      runs(60, 10),
    );
  });
});

describe('stocks', () => {
  test('the least units for the compound demand: closed form of one Poisson source, and never fewer for more sources', () => {
    // P(N ≤ 2) = e^−0.6·(1 + 0.6 + 0.18) = 0.9769, P(N ≤ 1) = 0.8781.
    const draw = { law: { mean: 0.6, shape: null }, units: 1 };
    expect(leastUnits([draw], 0.95)).toBe(2);
    expect(leastUnits([draw], 0.87)).toBe(1);
    expect(leastUnits([{ ...draw, units: 2 }], 0.95)).toBe(4);
    expect(leastUnits([], 0.99)).toBe(0);
    // Four bikes of 0.6: Λ = 2.4, one stock of 5 at 0.95 instead of four of 2.
    expect(leastUnits([draw, draw, draw, draw], 0.95)).toBe(5);
  });
});

import type { Solve } from '../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { ChainFinder, endsOf, failsOf, modeFit, reachOf } from '../toolbox/chains/index.js';
import { reachedBy } from '../toolbox/cover/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { countPmf } from '../trip/odds/index.js';
import { newBike } from '../bike/index.js';
import { uuid } from '../testing/make.js';
import { answerFor, type Answer, type Phase } from './answer.js';
import { stowItems } from './stowItems.js';

let solve: Solve;
let doc: GarageDocument;
let answers: Answer[];
beforeAll(async () => {
  solve = await loadSolver();
  doc = demoGarage('lightest');
  answers = doc.bikes.map((b) => answerFor(doc, { bikeId: b.id, tripId: doc.trips[0]!.id }, solve));
});

describe('the demo', () => {
  test('is as large as it is meant to be', () => {
    const [dual, tourer] = doc.bikes;
    const count = (id: string) => doc.fasteners.filter((f) => f.bikeId === id).length;
    expect(count(dual!.id)).toBeGreaterThanOrEqual(60);
    expect(count(tourer!.id)).toBeGreaterThanOrEqual(45);
    expect(doc.pieces.length).toBeGreaterThanOrEqual(80);
    expect(doc.pieces.filter((p) => p.kind === 'home-made').length).toBeGreaterThanOrEqual(2);
    expect(doc.fasteners.some((f) => f.accessory && f.head.size.endsWith('in'))).toBe(true);
  });
  test('same input, same output', () => {
    const again = answerFor(doc, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id }, solve);
    expect(JSON.stringify(again)).toBe(JSON.stringify(answers[0]));
  });
  test('every chain shown passes every check by itself', () => {
    for (const a of answers)
      for (const f of a.fasteners.filter((x) => x.reached)) {
        const fastener = doc.fasteners.find((x) => x.id === f.id)!;
        endsOf(fastener).forEach((end, i) => {
          const chain = f.best[i]!;
          expect(failsOf(chain, end, doc.garage.practice)).toEqual([]);
          expect(modeFit(chain.links.at(-1)!.mode, end.head).verdict).toBe('fits');
          chain.links.forEach((link, j) => {
            const next = chain.links[j + 1];
            if (next?.mode.offer.by === 'shape') expect(modeFit(link.mode, next.mode.offer.shape).verdict).toBe('fits');
          });
        });
      }
  });
  test('the kit alone reaches what the toolbox reaches, and loses just what it says without each piece', () => {
    answers.forEach((a, b) => {
      const finder = new ChainFinder(doc.pieces, doc.garage.practice);
      const reaches = doc.fasteners
        .filter((f) => f.bikeId === doc.bikes[b]!.id && !f.leftOut)
        .map((f) => reachOf(f, finder));
      const carried = new Map(a.kit.pieces.map((p) => [p.piece.id, p.count]));
      const reached = (m: Map<string, number>) => reaches.filter((r) => reachedBy(r, m)).map((r) => r.fastener.id);
      expect(reached(carried).sort()).toEqual(
        a.fasteners
          .filter((f) => f.reached)
          .map((f) => f.id)
          .sort(),
      );
      for (const p of a.kit.pieces) {
        const left = new Set(reached(new Map(carried).set(p.piece.id, p.count - 1)));
        expect([...p.needed].sort()).toEqual(a.kit.reached.filter((id) => !left.has(id)).sort());
        expect(
          p.needed.length + p.serves.length + (p.piece.mark === 'always' ? 1 : 0) + p.standsInFor.length,
        ).toBeGreaterThan(0);
      }
      expect(a.kit.proven).toBe(true);
      expect(a.kit.toolMass).toBe(a.kit.pieces.reduce((s, p) => s + p.piece.mass * p.count, 0));
    });
  });
  test('gaps have a reason, and the cure cures', () => {
    for (const [b, a] of answers.entries())
      for (const f of a.fasteners.filter((x) => !x.reached)) {
        expect(f.fails[0]!.fail.message.code).toMatch(/^reach\./u);
        if (!f.cure) continue;
        const bought = f.cure.buy.map((p, i) => ({ ...p, id: uuid(9000 + i), count: 1 }));
        const again = answerFor(
          { ...doc, pieces: [...doc.pieces, ...bought] },
          { bikeId: doc.bikes[b]!.id, tripId: null },
          solve,
        );
        expect(again.fasteners.find((x) => x.id === f.id)!.reached).toBe(true);
      }
  });
  test('home and hours by their formulas, recomputed', () => {
    for (const { kit, ridden } of answers) {
      let home = 1;
      let saved = 0;
      ridden.forEach(({ exposure: e, law }, i) => {
        const m = kit.mends[i]!;
        expect(m.troubleId).toBe(e.trouble.id);
        // Straight sums over how often it happens, far beyond where anything is left.
        const n = Array.from({ length: 400 }, (_, j) => countPmf(j, law));
        if (e.trouble.stops && m.mends !== Infinity) home *= n.reduce((s, p, j) => (j <= m.mends ? s + p : s), 0);
        // What each mend of a run of so many is worth: the stock set aside for it, then what uses nothing up.
        const stock = kit.spares.flatMap((x) => x.for.filter((f) => f.trouble === m.name).map((f) => f.mends));
        // When it holds, the hours less its own times its worth; when it does not, its own hours are lost on top.
        const worth = (w: (typeof m.ways)[number]) =>
          Math.max(0, w.holds * w.worth * (e.without - w.hours) - (1 - w.holds) * w.hours);
        const free = Math.max(0, ...m.ways.filter((w) => w.supplies.length === 0).map(worth));
        if (stock.length === 0 && m.ways.every((w) => w.supplies.length === 0)) {
          expect(m.hoursSaved).toBeCloseTo(law.mean * free, 6);
          saved += law.mean * free;
        } else {
          expect(m.hoursSaved).toBeGreaterThanOrEqual(law.mean * free - 1e-9);
          expect(m.hoursSaved).toBeLessThanOrEqual(law.mean * Math.max(free, ...m.ways.map(worth)) + 1e-9);
          saved += m.hoursSaved;
        }
      });
      expect(kit.home).toBeCloseTo(home, 9);
      expect(kit.saved).toBeCloseTo(saved, 6);
    }
  });
  test('everything in the kit is stowed once', () => {
    for (const a of answers) {
      const things =
        a.kit.pieces.reduce((n, p) => n + p.count, 0) + a.kit.spares.filter((x) => x.quantity > x.fitted).length;
      expect(a.packing.stowed).toHaveLength(things);
      expect(a.packing.stowed.reduce((s, x) => s + x.item.mass, 0)).toBeCloseTo(a.kit.mass, 6);
      expect(
        stowItems(a.kit, a.exposures)
          .map((i) => i.key)
          .sort(),
      ).toEqual(a.packing.stowed.map((s) => s.item.key).sort());
    }
  });
});

describe('small garages', () => {
  const practice = () => doc.garage.practice;
  test('a bike with nothing measured and nothing owned', () => {
    const empty = { ...emptyDocument({ name: 'New', practice: practice() }), bikes: [newBike(uuid(1), 'First')] };
    const phases: Phase[] = [];
    const a = answerFor(empty, { bikeId: uuid(1), tripId: null }, solve, (p) => phases.push(p));
    expect(a).toMatchObject({ chosen: 0, reached: 0, kit: { mass: 0, proven: true, home: 1 } });
    expect(phases).toEqual(['chains', 'odds', 'kit', 'stow', 'cures']);
  });
  test('another garage’s bike is refused', () => {
    expect(() => answerFor(doc, { bikeId: uuid(77), tripId: null }, solve)).toThrow(RangeError);
  });
  test('a heavier practice costs grams, never fewer heads than it should', () => {
    const never = {
      ...doc,
      garage: { ...doc.garage, practice: { ...practice(), ratchet: 'never' as const } },
    };
    const a = answerFor(never, { bikeId: doc.bikes[0]!.id, tripId: null }, solve);
    expect(a.reached).toBeLessThanOrEqual(answers[0]!.reached);
  });
});

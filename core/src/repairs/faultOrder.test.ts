import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FAULT_TREES } from './faultSearches.js';
import type { FaultTree, Test } from './faultTree.js';
import {
  bestOrder,
  causesOf,
  leftAfter,
  mayTest,
  shows,
  testMinutes,
  type Cause,
  type FaultSearch,
} from './faultOrder.js';
import { TROUBLES } from './known.js';
import { readStep } from './way.js';

const even = (tree: FaultTree): Cause[] => causesOf(tree, () => 1);
const search = (tree: FaultTree, causes = even(tree), without: string[] = []): FaultSearch => ({
  tree,
  causes,
  without: new Set(without),
});
const ids = (list: readonly Cause[]) => list.map((c) => c.id);

describe('what tests show', () => {
  test.each(FAULT_TREES.map((t) => [t.symptom, t] as const))(
    '%s: each cause is reached by its own answers',
    (_, tree) => {
      const shown = shows(tree);
      for (const cause of even(tree)) {
        // The tree walked as it is written ends at the cause.
        let at = tree.tests[0]!;
        for (let i = 0; i < tree.tests.length; i++) {
          const answer = at.answers[shown(at.id, cause.id)]!;
          if ('trouble' in answer.then) {
            expect([cause.id, `${at.id} ${shown(at.id, cause.id)}`]).toEqual([cause.id, cause.id]);
            break;
          }
          const { test: next } = answer.then;
          at = tree.tests.find((t) => t.id === next)!;
        }
      }
      // Every test that a cause does not lie behind shows what a sound bike shows, or what is said of that very cause.
      for (const t of tree.tests) expect(t.answers[t.sound]).toBeDefined();
    },
  );
  test('a lamp that is whole says that its fuse is not, wherever one measures first', () => {
    const tree = FAULT_TREES.find((t) => t.id === 'no-light')!;
    expect(shows(tree)('earth', 'fuseseen 0')).toBe(1);
    expect(shows(tree)('earth', 'bulbseen 0')).toBe(0);
  });
  test('causes share out how likely their trouble is, and what a bike cannot have is none', () => {
    const tree = FAULT_TREES.find((t) => t.id === 'no-crank')!;
    const causes = causesOf(tree, (t) => (t === 'battery' ? 6 : t === 'starter' ? 1 : 0));
    const battery = causes.filter((c) => c.trouble === 'battery');
    expect(battery).toHaveLength(2);
    expect(battery.map((c) => c.weight)).toEqual([3, 3]);
    expect(new Set(causes.map((c) => c.trouble))).toEqual(new Set(['battery', 'starter']));
    expect(causes.reduce((s, c) => s + c.weight, 0)).toBe(7);
  });
  test('all troubles that they end in are known', () => {
    const known = new Set(TROUBLES.map((t) => t.id));
    for (const tree of FAULT_TREES)
      for (const t of tree.tests) {
        for (const a of t.answers) if ('trouble' in a.then) expect(known).toContain(a.then.trouble);
        for (const n of t.never) expect(known).toContain(n);
        for (const c of Object.keys(t.instead)) expect(ids(even(tree))).toContain(c);
      }
  });
});

/** A small made-up tree: tests with answers of which some end in troubles. */
const small: fc.Arbitrary<FaultTree> = fc
  .array(
    fc.record({
      heads: fc.nat(2),
      ends: fc.array(fc.nat(3), { minLength: 1, maxLength: 2 }),
      never: fc.option(fc.nat(3)),
    }),
    { minLength: 2, maxLength: 4 },
  )
  .map((list) => ({
    id: 'made',
    symptom: 'made up',
    words: '',
    inOrder: false,
    first: '',
    tests: list.map(({ heads, ends, never }, i): Test => ({
      id: `t${i}`,
      caution: '',
      step: readStep(`Look ${'{seat} '.repeat(heads)}`),
      answers: [
        ...ends.map((e) => ({ seen: `e${e}`, then: { trouble: `T${e}` } })),
        i + 1 < list.length ? { seen: 'on', then: { test: `t${i + 1}` } } : { seen: 'rest', then: { trouble: 'T9' } },
      ],
      sound: ends.length,
      instead: {},
      never: never === null || i === 0 ? [] : [`T${never}`],
    })),
  }));

/** Expected minutes of the best order, by trying every order: slow and plain. */
function byTrying(s: FaultSearch, left: readonly Cause[]): number {
  if (new Set(left.map((c) => c.trouble)).size <= 1) return 0;
  const all = left.reduce((w, c) => w + c.weight, 0);
  const shown = shows(s.tree);
  const tried = s.tree.tests.flatMap((t) => {
    if (s.without.has(t.id) || left.some((c) => t.never.includes(c.trouble))) return [];
    const answers = [...new Set(left.map((c) => shown(t.id, c.id)))];
    if (answers.length < 2) return [];
    return [
      testMinutes(t) +
        answers
          .map((a) => left.filter((c) => shown(t.id, c.id) === a))
          .reduce((w, part) => w + (part.reduce((x, c) => x + c.weight, 0) / all) * byTrying(s, part), 0),
    ];
  });
  return tried.length === 0 ? 0 : Math.min(...tried);
}

describe('the best order of tests', () => {
  test('is as good as trying every order', () => {
    fc.assert(
      fc.property(
        small,
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 12, maxLength: 12 }),
        (tree, weights) => {
          const causes = even(tree).map((c, i) => ({ ...c, weight: weights[i % 12]! }));
          const s = search(tree, causes);
          expect(bestOrder(s)(ids(causes)).minutes).toBeCloseTo(byTrying(s, causes), 9);
        },
      ),
      { numRuns: 150 },
    );
  });
  test.each(FAULT_TREES.map((t) => [t.symptom, t] as const))(
    '%s: never worse than the tree as it is written',
    (_, tree) => {
      const causes = even(tree);
      const s = search(tree, causes);
      const shown = shows(tree);
      const written = causes.reduce((sum, cause) => {
        let [at, minutes] = [tree.tests[0]!, 0];
        for (;;) {
          minutes += testMinutes(at);
          const { then } = at.answers[shown(at.id, cause.id)]!;
          if ('trouble' in then) return sum + (minutes * cause.weight) / causes.reduce((w, c) => w + c.weight, 0);
          at = tree.tests.find((t) => t.id === then.test)!;
        }
      }, 0);
      const best = bestOrder(s)(ids(causes));
      expect(best.minutes).toBeLessThanOrEqual(written + 1e-9);
      expect(best.test).not.toBeNull();
    },
  );
  test('looks first at what is quick and likely', () => {
    const tree = FAULT_TREES.find((t) => t.id === 'wobble')!;
    const causes = causesOf(tree, (t) => (t === 'puncture-tube' ? 100 : 1)).filter(
      (c) => c.trouble !== 'puncture-tubeless',
    );
    expect(bestOrder(search(tree, causes))(ids(causes)).test).toBe('tyre');
  });
  test('does not do without a tool what needs one, and says when nothing tells more', () => {
    const tree = FAULT_TREES.find((t) => t.id === 'no-light')!;
    const causes = even(tree).filter((c) => c.id.startsWith('earth'));
    expect(bestOrder(search(tree, causes))(ids(causes)).test).toBe('earth');
    expect(bestOrder(search(tree, causes, ['earth']))(ids(causes))).toEqual({ test: null, minutes: 0 });
    expect(mayTest(search(tree, causes, ['earth']), 'earth', causes)).toBe('no tool');
    expect(mayTest(search(tree, causes), 'nothing', causes)).toBe('no tool');
  });
  test('never presses the starter while there may be water in the cylinder', () => {
    const tree = FAULT_TREES.find((t) => t.id === 'no-spark')!;
    const s = search(tree);
    expect(mayTest(s, 'spark', s.causes)).toBe('not yet');
    const dry = leftAfter(tree, s.causes, 'wet', 1);
    expect(dry.some((c) => c.trouble === 'drowned')).toBe(false);
    expect(mayTest(s, 'spark', dry)).toBe('yes');
    // Nor does the best order, wherever it stands.
    const next = bestOrder(s);
    const walk = (left: readonly Cause[], depth: number): void => {
      const { test: id } = next(ids(left));
      if (id === null || depth > 9) return;
      expect(mayTest(s, id, left)).toBe('yes');
      const shown = shows(tree);
      for (const a of new Set(left.map((c) => shown(id, c.id)))) walk(leftAfter(tree, left, id, a), depth + 1);
    };
    walk(s.causes, 0);
  });
  test('minutes: a look, a head undone, a tool used', () => {
    const of = (line: string) => testMinutes({ step: readStep(line) });
    expect(of('Look')).toBe(1);
    expect(of('Look {seat}')).toBe(5);
    expect(of('Measure [measure current]')).toBe(3);
    expect(of('Measure {seat} [grip ×2]')).toBe(9);
  });
  test('refuses a tree of too many causes', () => {
    const tree = FAULT_TREES[0]!;
    const many = Array.from({ length: 17 }, (_, i): Cause => ({ id: `x ${i}`, trouble: `T${i}`, seen: '', weight: 1 }));
    expect(() => bestOrder(search(tree, many))).toThrow('up to 16');
  });
});

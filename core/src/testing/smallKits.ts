import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import fc from 'fast-check';
import { gradeMeets, TROUBLES, way } from '../repairs/index.js';
import { certain, poisson } from '../trip/odds/index.js';
import { Items } from '../kit/optimum/items.js';
import { tailsOf, type Ask, type AskWay, type KitProblem } from '../kit/optimum/kitProblem.js';
import { KNOWN, supplyKind } from '../repairs/supplies/index.js';
import { functional, type Piece } from '../toolbox/tools/index.js';
import { newKitQuestion } from '../trip/index.js';
import { figure } from './figure.js';
import { owned } from './make.js';

const KINDS = ['patch', 'fuse', 'clutch lever', 'engine oil'];
const plain = way('a way', 'proper', 0, 1, ['Do it']);

/** A problem with nothing but pieces: nothing is asked of them, marked or demanded. */
export const bareProblem = (pieces: readonly Piece[], service = 0.9, practice = DEFAULT_PRACTICE): KitProblem => ({
  tools: {
    reaches: [],
    pieces,
    functions: [],
    choices: [],
    losable: () => false,
    practice,
    offered: new Set(),
  },
  pieces,
  items: new Items(pieces),
  requirements: [],
  asks: [],
  marked: [],
  required: [],
  unmet: [],
  fitted: new Map(),
  others: [],
  slack: 0,
  slackMass: 0,
  book: KNOWN,
  always: [],
  question: { ...newKitQuestion(), service },
  practice,
  prevention: [],
});

/** A way that takes nothing and saves nothing, but for what is given. */
export const bareWay = (given: Partial<AskWay> = {}): AskWay => ({
  way: plain,
  grade: 'proper',
  requires: [],
  supplies: [],
  mass: (given.supplies ?? []).reduce((s, x) => s + x.units * x.grams, 0),
  gain: 0,
  hours: given.gain ?? 0,
  time: 0,
  ...given,
});
/** So many units of a kind, with the grams of one. */
export const unitsOfKind = (kind: string, units: number) => ({ kind, units, grams: supplyKind(kind).mass });
/** A trouble with the given chances of a first, second, … repair; nothing beyond them. */
export const bareAsk = (key: string, tails: readonly number[], ways: AskWay[], given: Partial<Ask> = {}): Ask => ({
  key,
  name: key,
  bikeId: '',
  exposure: certain(TROUBLES[0]!, 1, { code: 'count.due', services: [] }),
  law: poisson(tails.reduce((s, p) => s + p, 0)),
  tails: [...tails],
  rest: 0,
  barred: [],
  fitted: new Map(),
  must: null,
  ways,
  ...given,
});

/** One tool that does what the first of three troubles asks for, and spares for two: all of it worked out in one's head. */
export function lampAndSpares(pieces: readonly Piece[]): KitProblem {
  const spare = (kind: string, gain: number) => bareWay({ supplies: [unitsOfKind(kind, 1)], gain });
  return {
    ...bareProblem(pieces),
    asks: [
      bareAsk('dark', [0.5], [bareWay({ requires: [0], gain: 4 })]),
      bareAsk('flat', [0.6, 0.3], [spare('patch', 2)]),
      bareAsk('blown', [0.4], [spare('fuse', 1)]),
    ],
    requirements: [
      {
        label: 'light',
        by: { does: 'light', count: 1 },
        sets: pieces.flatMap((p, i) => (p.functions.includes('light') ? [[i]] : [])),
        loose: false,
      },
    ],
  };
}

/** Small problems of every shape: pieces, sets of them that ways hang on, troubles with ways that use things up. */
export const small: fc.Arbitrary<KitProblem> = fc
  .record({
    masses: fc.array(fc.integer({ min: 5, max: 300 }), { minLength: 2, maxLength: 6 }),
    requirements: fc.array(fc.array(fc.integer({ min: 1, max: 63 }), { minLength: 1, maxLength: 3 }), {
      minLength: 1,
      maxLength: 4,
    }),
    asks: fc.array(
      fc.record({
        mean: figure(0.05, 1.5),
        ways: fc.array(
          fc.record({
            requires: fc.integer({ min: 0, max: 15 }),
            kind: fc.option(fc.integer({ min: 0, max: 3 })),
            units: fc.integer({ min: 1, max: 2 }),
            gain: figure(0, 9),
          }),
          { minLength: 1, maxLength: 3 },
        ),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ masses, requirements, asks }): KitProblem => {
    const pieces = masses.map((mass, i) => owned(functional(`Piece ${i}`, [], mass, [10, 10, 10], 1)));
    const sets = requirements.map((list) =>
      list.map((bits) => masses.flatMap((_, i) => (bits & (1 << i) ? [i] : []))).filter((s) => s.length > 0),
    );
    const exposure = certain(TROUBLES[0]!, 1, { code: 'count.due', services: [] });
    return {
      ...bareProblem(pieces),
      requirements: sets.map((s, i) => ({
        label: `requirement ${i}`,
        by: { head: { fasteners: [], ends: [], lost: null }, fasteners: [], any: true },
        sets: s,
        loose: false,
      })),
      asks: asks.map((a, i): Ask => {
        const law = poisson(a.mean);
        const { tails, rest } = tailsOf(law);
        // Two mends looked at one by one keep the oracle's work small; what is beyond is left as it is.
        const beyond = tails.slice(2).reduce((x, y) => x + y, rest);
        return {
          key: `ask ${i}`,
          name: `ask ${i}`,
          bikeId: '',
          exposure,
          law,
          tails: tails.slice(0, 2),
          rest: beyond,
          barred: [],
          fitted: new Map(),
          must: null,
          ways: a.ways.map((w) => {
            const supplies =
              w.kind === null ? [] : [{ kind: KINDS[w.kind]!, units: w.units, grams: supplyKind(KINDS[w.kind]!).mass }];
            return {
              way: plain,
              grade: 'proper' as const,
              requires: sets.map((_, r) => r).filter((r) => w.requires & (1 << r)),
              supplies,
              mass: supplies.reduce((s, x) => s + supplyKind(x.kind).mass * x.units, 0),
              gain: w.gain,
              hours: w.gain,
              time: 0,
            };
          }),
        };
      }),
    };
  });

/** Limits looked at, grams. */
export const MOST = 900;
/**
 * Every selection of pieces with every selection of stocked mends: the most for each limit; −1 where nothing of that weight does what is demanded.
 */
export function bruteForce(problem: KitProblem): number[] {
  const best = new Array<number>(MOST + 1).fill(-1);
  const n = problem.pieces.length;
  for (let bits = 0; bits < 2 ** n; bits++) {
    const mass = problem.pieces.reduce((s, p, i) => s + (bits & (1 << i) ? p.mass : 0), 0);
    if (mass > MOST) continue;
    const has = (set: readonly number[]) => set.every((i) => bits & (1 << i));
    const met = problem.requirements.map((r) => r.sets.some(has));
    if (!problem.required.every((r) => met[r])) continue;
    let states = new Map<number, number>([[mass, 0]]);
    for (const ask of problem.asks) {
      const ways = ask.ways.filter((w) => w.requires.every((r) => met[r]));
      const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
      [...ask.tails, ask.rest].forEach((p, j) => {
        const beyond = j === ask.tails.length;
        const next = new Map<number, number>();
        const put = (m: number, v: number) => {
          if (m <= MOST && v > (next.get(m) ?? -1)) next.set(m, v);
        };
        for (const [m, v] of states) {
          // What is demanded of the first mend: one of the ways of its grade is carried, and the best of all that is there is gone.
          if (j === 0 && ask.must !== null) {
            const demanded = ways.filter((x) => gradeMeets(x.grade, ask.must!));
            for (const w of demanded) put(m + (w.supplies.length > 0 ? w.mass : 0), v + p * Math.max(free, w.gain));
            // One that takes nothing is there whatever else is carried, so that any way may be the first.
            if (!demanded.some((w) => w.supplies.length === 0)) continue;
          }
          put(m, v + p * free);
          if (!beyond) for (const w of ways) if (w.supplies.length > 0) put(m + w.mass, v + p * w.gain);
        }
        states = next;
      });
    }
    for (const [m, v] of states) best[m] = Math.max(best[m]!, v);
  }
  for (let m = 1; m <= MOST; m++) best[m] = Math.max(best[m]!, best[m - 1]!);
  return best;
}

/** The same with demands on some troubles and some requirements, and with ways of different grades. */
export const demanding: fc.Arbitrary<KitProblem> = fc
  .record({
    problem: small,
    musts: fc.array(fc.option(fc.constantFrom('proper' as const, 'ride-out' as const)), { minLength: 3, maxLength: 3 }),
    grades: fc.array(fc.constantFrom('proper' as const, 'ride-out' as const, 'limp' as const), {
      minLength: 9,
      maxLength: 9,
    }),
    required: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
  })
  .map(({ problem, musts, grades, required }) => ({
    ...problem,
    required: problem.requirements.flatMap((r, i) => (required[i] && r.sets.length > 0 ? [i] : [])),
    asks: problem.asks.map((a, i) => {
      const ways = a.ways.map((w, k) => ({ ...w, grade: grades[3 * i + k]! }));
      const must = musts[i] ?? null;
      return { ...a, ways, must: must && ways.some((w) => gradeMeets(w.grade, must)) ? must : null };
    }),
  }));

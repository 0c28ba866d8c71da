import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FREE_ACCESS, type Fastener } from '../../bike/index.js';
import type { HeadForm } from '../../ground/sizes/index.js';
import { fastener, owned } from '../../testing/make.js';
import { DEFAULT_PRACTICE } from '../practice.js';
import {
  adapter,
  adjustable,
  asOffered,
  combinationSpanner,
  extension,
  joint,
  openSpanner,
  ratchet,
  socket,
  type Piece,
} from '../tools/index.js';
import { modeFit } from './fails.js';
import { cureOf, reachWithOffer } from './cure.js';
import { ChainFinder } from './find.js';
import { reachOf } from './operation.js';

const hex = (size: string) => ({ form: 'hex' as const, size });
const offer = [
  ratchet('3/8in'),
  socket('3/8in', '13'),
  extension('3/8in', 150),
  joint('3/8in'),
  adapter('1/2in', '3/8in'),
  combinationSpanner('13'),
  openSpanner('13', '17'),
].map((m, i) => asOffered(m, i));
const drawers = [
  [],
  [owned(ratchet('3/8in'))],
  [owned(combinationSpanner('13'))],
  [owned(ratchet('1/2in')), owned(socket('3/8in', '13'))],
  [owned(ratchet('3/8in')), owned(socket('3/8in', '13'))],
];
const bolts: Fastener[] = [
  fastener({ head: hex('13'), torque: { value: 20, source: 'manual' } }),
  fastener({ head: hex('13'), access: { ...FREE_ACCESS, recess: 120, clearance: 24 } }),
  fastener({ head: hex('13'), access: { ...FREE_ACCESS, approach: 'out of line' } }),
  fastener({ head: hex('13'), far: hex('13'), torque: { value: 20, source: 'manual' } }),
  fastener({ head: hex('13'), far: hex('17'), torque: { value: 20, source: 'manual' } }),
  fastener({ head: hex('30') }),
];

/** A toolbox with so many more of each piece. */
function withMore(drawer: readonly Piece[], more: readonly Piece[]): Piece[] {
  const all = new Map(drawer.map((p) => [p.id, { ...p }]));
  for (const p of more) {
    const has = all.get(p.id);
    if (has) has.count++;
    else all.set(p.id, { ...p, count: 1 });
  }
  return [...all.values()];
}
const reached = (f: Fastener, pieces: readonly Piece[]) =>
  reachOf(f, new ChainFinder(pieces, DEFAULT_PRACTICE)).best.length > 0;
const mass = (list: readonly Piece[]) => list.reduce((s, p) => s + p.mass, 0);

/** Oracle: the least weight of up to four pieces, offered ones and further copies of owned ones, with which the bolt is turned. */
function leastBought(f: Fastener, drawer: readonly Piece[]): number | null {
  const pool = [...drawer, ...offer];
  let best: number | null = null;
  const every = (from: number, list: Piece[]) => {
    if (best !== null && mass(list) >= best) return;
    if (reached(f, withMore(drawer, list))) {
      best = mass(list);
      return;
    }
    if (list.length === 4) return;
    for (let i = from; i < pool.length; i++) every(i, [...list, pool[i]!]);
  };
  every(0, []);
  return best;
}

describe('ways to buy what a bolt lacks', () => {
  test('the least of them is the lightest set that there is, all of them reach, the least come first', () => {
    for (const f of bolts)
      for (const drawer of drawers) {
        const ways = reachWithOffer(f, drawer, offer, DEFAULT_PRACTICE, (p) => p.mass);
        const least = leastBought(f, drawer);
        expect(ways[0] ? mass(ways[0]) : null).toBe(least);
        expect(ways.map(mass)).toEqual(ways.map(mass).sort((a, b) => a - b));
        expect(ways.length).toBeLessThanOrEqual(60);
        for (const way of ways) expect(reached(f, withMore(drawer, way))).toBe(true);
      }
  });
  test('least is what is asked for: by price, or by count', () => {
    fc.assert(
      fc.property(fc.constantFrom(...bolts), fc.constantFrom(...drawers), (f, drawer) => {
        for (const cost of [(p: Piece) => p.price, () => 1]) {
          const costs = reachWithOffer(f, drawer, offer, DEFAULT_PRACTICE, cost).map((w) =>
            w.reduce((s, p) => s + cost(p), 0),
          );
          expect(costs).toEqual([...costs].sort((a, b) => a - b));
        }
      }),
    );
  });
  test('the cure is the lightest of those that suit the head best: a ring before an open jaw', () => {
    const jaw = asOffered(openSpanner('13', '17'), 0);
    const ring = asOffered(combinationSpanner('13'), 1);
    const heavy = { ...ring, mass: jaw.mass * 5 };
    const cure = cureOf(bolts[0]!, [], [jaw, heavy], DEFAULT_PRACTICE)!;
    expect([cure.buy.map((p) => p.id), cure.mass, cure.warning]).toEqual([[heavy.id], heavy.mass, null]);
    expect(cureOf(bolts[0]!, [], [jaw], DEFAULT_PRACTICE)!.buy.map((p) => p.id)).toEqual([jaw.id]);
    expect(cureOf(bolts[5]!, [], offer, DEFAULT_PRACTICE)).toBeNull();
  });
});

test('an adjustable spanner fits flats within its span, both ends of it counted, and nothing else', () => {
  const mode = asOffered(adjustable(250, 30, 370), 0).modes[0]!;
  const fits = (form: HeadForm, size: string) => modeFit(mode, { form, size });
  for (const size of ['6', '13', '30', '1/2in'])
    expect(fits('hex', size)).toMatchObject({ verdict: 'fits', goesOn: 1 });
  expect(fits('plug', '16')).toMatchObject({ verdict: 'fits', odds: { fits: 1, loose: 0, rounds: 0, no: 0 } });
  for (const size of ['5.5', '32'])
    expect(fits('hex', size)).toMatchObject({ verdict: 'no', goesOn: 0, odds: { fits: 0, no: 1 } });
  expect(fits('key', '8')).toMatchObject({ verdict: 'no', reason: { code: 'fit.outside-span' } });
  expect(fits('lobe', 'T30').verdict).toBe('no');
});

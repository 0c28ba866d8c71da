import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { bikeSchema, fastenerSchema, newBike, STATIONS, type Bike, type Fastener } from '../index.js';
import { anyBike } from '../../testing/bikes.js';
import { uuid } from '../../testing/make.js';
import { compareBikes, copyBike } from './copy.js';
import { guideOf, looksOf, proposal } from './guide.js';
import { LOOKS } from './looks.js';

const keys = (bike: Bike) => looksOf(bike).map((l) => l.key);
const bike = newBike(uuid(1), 'Test');

describe('the guided walk', () => {
  test('every proposal of every bike is a valid fastener, assumed, at its own station', () => {
    fc.assert(
      fc.property(anyBike, (b) => {
        expect(bikeSchema.safeParse(b).success).toBe(true);
        const looks = looksOf(b);
        expect(looks.length).toBeGreaterThan(40);
        looks.forEach((look, i) => {
          const row = proposal(look, b, uuid(10 + i));
          expect(fastenerSchema.safeParse(row).error?.issues ?? []).toEqual([]);
          expect(row).toMatchObject({ evidence: 'assumed', station: look.station, look: look.key, bikeId: b.id });
        });
      }),
      { numRuns: 60 },
    );
  });
  test('looks have keys of their own and go round the bike in order', () => {
    expect(new Set(LOOKS.map((l) => l.key)).size).toBe(LOOKS.length);
    const at = looksOf(bike).map((l) => STATIONS.indexOf(l.station));
    expect(at).toEqual([...at].sort((a, b) => a - b));
  });
  test('traits of the bike decide', () => {
    expect(keys({ ...bike, drive: 'shaft' })).toEqual(expect.arrayContaining(['final-drive-oil', 'rear-wheel-bolts']));
    expect(keys({ ...bike, drive: 'shaft' })).not.toContain('sprocket');
    expect(keys({ ...bike, drive: 'chain' })).toContain('sprocket');
    expect(keys({ ...bike, fuelling: 'carburettor' })).toContain('float-bowl');
    expect(keys({ ...bike, fuelling: 'injection' })).not.toContain('float-bowl');
    expect(keys({ ...bike, starter: 'kick' })).toContain('kick');
    expect(keys({ ...bike, starter: 'kick' })).not.toContain('starter-relay');
    expect(keys({ ...bike, wheels: 'cast' })).not.toContain('front-spokes');
    expect(keys({ ...bike, brakeRear: 'drum' })).toContain('rear-drum');
    expect(keys({ ...bike, cooling: 'air' })).not.toContain('radiator');
    for (const fitting of ['crash bars', 'side racks', 'screen', 'centre stand'] as const)
      expect(keys({ ...bike, fitted: [fitting] }).length).toBe(keys(bike).length + 1);
    const plugs = LOOKS.find((l) => l.key === 'plug')!;
    expect(proposal(plugs, { ...bike, engine: 'v-twin', plugs: 2 }, uuid(2)).count).toBe(4);
  });
  test('goes from one thing to the next, can be left, and is taken up where it was', () => {
    let rows: Fastener[] = [];
    const order: string[] = [];
    for (let i = 0; i < 200; i++) {
      const { next } = guideOf(bike, rows);
      if (!next || next.state !== 'to do') break;
      order.push(next.look.key);
      rows = [...rows, { ...proposal(next.look, bike, uuid(100 + i)), evidence: 'measured' }];
    }
    expect(order).toEqual(keys(bike));
    const half = rows.slice(0, 20);
    expect(guideOf(bike, half).next!.look.key).toBe(order[20]);
    expect(guideOf(bike, rows)).toMatchObject({ next: null, done: order.length });
    // In any order of the rows, as another machine may hold them.
    expect(guideOf(bike, [...half].reverse()).next!.look.key).toBe(order[20]);
  });
  test('assumed rows come up again after everything was looked at; left-out ones do not', () => {
    const rows = looksOf(bike).map((l, i) => proposal(l, bike, uuid(100 + i)));
    expect(guideOf(bike, rows).next).toMatchObject({ state: 'assumed' });
    const out = rows.map((r) => ({ ...r, leftOut: 'not on this bike' }));
    expect(guideOf(bike, out)).toMatchObject({ next: null, done: rows.length });
  });
  test('the station that the rider stands at comes first', () => {
    expect(guideOf(bike, [], 'exhaust').next!.look.station).toBe('exhaust');
  });
  test('rows that were typed without the walk answer it by job or by name', () => {
    const demo = demoGarage();
    const guide = guideOf(demo.bikes[0]!, demo.fasteners);
    const state = (key: string) => guide.visits.find((v) => v.look.key === key)!.state;
    expect(state('front-axle')).toBe('done');
    expect(state('plug')).toBe('done');
    expect(state('front-rim-lock')).toBe('done');
    expect(state('rear-spokes')).toBe('to do');
    expect(guide.done).toBeGreaterThan(35);
  });
});

describe('copy and compare', () => {
  const demo = demoGarage();
  const [here, there] = demo.bikes as [Bike, Bike];
  const of = (b: Bike) => demo.fasteners.filter((f) => f.bikeId === b.id);
  test('a copy has ids of its own, knows nothing for sure, and says where it is from', () => {
    let n = 0;
    const copy = copyBike(here, demo.fasteners, 'Spare Quarrel', () => uuid(7000 + n++), '2026-05-01T10:00:00Z');
    expect(copy.bike).toEqual({ ...here, id: uuid(7000), name: 'Spare Quarrel' });
    expect(copy.fasteners).toHaveLength(of(here).length);
    expect(new Set(copy.fasteners.map((f) => f.id)).size).toBe(copy.fasteners.length);
    for (const f of copy.fasteners) {
      expect(fastenerSchema.safeParse(f).success).toBe(true);
      expect(f).toMatchObject({ bikeId: uuid(7000), evidence: 'assumed' });
      expect(f.trail).toEqual([
        { evidence: 'assumed', who: '', when: '2026-05-01T10:00:00Z', how: 'copied from Quarrel 450' },
      ]);
    }
  });
  test('every counted head of both bikes stands in exactly one list', () => {
    const { common, onlyHere, onlyThere } = compareBikes(of(here), of(there));
    const sizes = [...common, ...onlyHere, ...onlyThere].map((r) => r.size);
    expect(new Set(sizes).size).toBe(sizes.length);
    const text = (f: Fastener['head']) => `${f.form} ${f.size}`;
    const heads = (b: Bike) =>
      new Set(
        of(b)
          .filter((f) => f.leftOut === null)
          .flatMap((f) => [f.head, ...(f.far ? [f.far] : [])])
          .map(text),
      );
    const [a, b] = [heads(here), heads(there)];
    expect(common.map((r) => text(r.head)).sort()).toEqual([...a].filter((s) => b.has(s)).sort());
    expect(onlyHere.map((r) => text(r.head)).sort()).toEqual([...a].filter((s) => !b.has(s)).sort());
    expect(onlyThere.map((r) => text(r.head)).sort()).toEqual([...b].filter((s) => !a.has(s)).sort());
  });
});

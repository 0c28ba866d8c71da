import { long } from '../../testing/long.js';
import { DEFAULT_PRACTICE } from '../../toolbox/practice.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { DRIVES, newBike, newFastener, roleOf, type Bike, type Role, type Station } from '../index.js';
import { readFasteners } from '../../garage/csv/index.js';
import { appliesTo, hasTraits, needsOf, TROUBLES } from '../../repairs/index.js';
import { catalogue, newPiece } from '../../toolbox/tools/index.js';
import { ChainFinder, reachOf } from '../../toolbox/chains/index.js';
import { parseShape } from '../../ground/line/index.js';
import { anyBike } from '../../testing/bikes.js';
import { uuid } from '../../testing/make.js';
import { answered } from './answered.js';
import { guideOf, looksOf, proposal } from './guide.js';
import { LOOKS } from './looks.js';

describe('jobs that the walk gives', () => {
  long('each kind of bike gets every job that its repairs need', () => {
    fc.assert(
      fc.property(anyBike, (bike) => {
        const given = new Set(looksOf(bike).map((l) => proposal(l, bike, uuid(2)).role));
        const missing = TROUBLES.filter((x) => appliesTo(x, bike)).flatMap((t) =>
          t.ways
            .filter((x) => hasTraits(x.only, bike))
            .flatMap((w) => needsOf(w).heads.filter((h) => !h.ifAny && !given.has(h.role)))
            .map((h) => [t.id, h.role]),
        );
        expect(missing).toEqual([]);
      }),
      { numRuns: 400 },
    );
  });

  long(
    'a tool of the catalogue turns whatever the walk proposes, as dirty as it usually is',
    () => {
      const finder = new ChainFinder(
        catalogue().map((m, i) => newPiece(m, { id: uuid(5000 + i), count: 2 })),
        DEFAULT_PRACTICE,
      );
      for (const mass of [120_000, 240_000])
        for (const drive of DRIVES)
          for (const more of [
            { starter: 'kick' as const, brakeFront: 'drum' as const },
            { starter: 'electric' as const },
          ]) {
            const bike: Bike = { ...newBike(uuid(1), 'Any'), mass, drive, ...more };
            for (const look of looksOf(bike)) {
              const reach = reachOf(proposal(look, bike, uuid(2)), finder);
              expect([look.key, mass, reach.fails]).toEqual([look.key, mass, []]);
            }
          }
    },
    120_000,
  );

  test('axles offer the sizes that axles have, and each offered size can be read', () => {
    for (const key of ['front-axle', 'rear-axle']) {
      const look = LOOKS.find((l) => l.key === key)!;
      for (const list of [look.sizes!, look.farSizes!]) {
        expect(list).toEqual(expect.arrayContaining(['22', '24', '27', '30', '32', 'i10', 'i14', 'i17', 'i24']));
        for (const size of list) expect([size, 'head' in parseShape(size)]).toEqual([size, true]);
      }
    }
  });
});

describe('jobs from names', () => {
  const said: [name: string, at: Station, role: Role | null][] = [
    ['Axle nut', 'rear-wheel', 'rear axle'],
    ['Axle nut', 'front-wheel', 'front axle'],
    ['Rear axle nut', 'front-wheel', 'rear axle'],
    ['Front axle pinch bolt', 'cockpit', 'front axle pinch'],
    ['Valve core', 'rear-wheel', 'valve core'],
    ['Air filter', 'tank-seat', 'air filter'],
    ['Air box lid', 'tank-seat', null],
    ['Oil drain plug', 'engine', 'oil drain'],
    ['Oil filter cover', 'engine', 'oil filter'],
    ['Foot peg mount', 'controls', 'foot peg'],
    ['Subframe bolt', 'tank-seat', 'subframe'],
    ['Coolant hose clamp', 'tank-seat', 'hose clamp'],
    ['Mirror stem', 'cockpit', 'mirror'],
    ['Steering stem nut', 'front-end', 'steering'],
    ['Front sprocket cover', 'rear-wheel', null],
    ['Heat shield', 'exhaust', null],
    ['Wheel sensor screw', 'front-wheel', null],
    ['Banjo bolt', 'front-wheel', 'brake union'],
  ];
  test.each(said)('%s at %s is %s', (name, at, role) => expect(roleOf(name, at)).toBe(role));
  test('a head that serves one job only says it too', () => {
    expect(roleOf('Fastener', 'front-wheel', { form: 'spoke', size: '6' })).toBe('spoke');
    expect(roleOf('Fastener', 'plug-top', { form: 'plug', size: '16' })).toBe('plug');
  });
  test('the vocabulary agrees with what the walk itself proposes', () => {
    for (const look of LOOKS) {
      const said = roleOf(look.name, look.station);
      if (said) expect([look.name, said]).toEqual([look.name, look.role]);
    }
  });
});

describe('a row typed by name', () => {
  const bike = newBike(uuid(1), 'Any');
  const typed = (name: string, size: string, station: Station = 'front-wheel', atStation = false) =>
    answered(
      newFastener({ id: uuid(2), bikeId: bike.id, name, station, head: { form: 'hex', size } }),
      bike,
      [],
      atStation,
    );
  test('takes job, place on the walk and station from its name', () => {
    expect(typed('Rear axle nut', '32')).toMatchObject({ role: 'rear axle', look: 'rear-axle', station: 'rear-wheel' });
    expect(typed('Axle nut', '24')).toMatchObject({ role: 'front axle', look: 'front-axle', thread: 'M16' });
    // Another size than that thread carries says nothing of the thread.
    expect(typed('Axle nut', '17')).toMatchObject({ role: 'front axle', look: 'front-axle', thread: null });
    // Of another form than usual, and yet a head that the thread carries; the same figure of a form that it does not.
    const key = (size: string) =>
      answered(
        newFastener({
          id: uuid(2),
          bikeId: bike.id,
          name: 'Axle',
          station: 'front-wheel',
          head: { form: 'key', size },
        }),
        bike,
        [],
        false,
      );
    expect(key('14')).toMatchObject({ look: 'front-axle', thread: 'M16' });
    expect(key('24')).toMatchObject({ look: 'front-axle', thread: null });
    expect(typed('Axle nut', '14')).toMatchObject({ thread: null });
    expect(typed('Rear axle nut', '32', 'front-wheel', true)).toMatchObject({ station: 'front-wheel', look: null });
  });
  test('a thing that was answered already is not answered again, and a job that is said stays', () => {
    const first = typed('Axle nut', '24');
    const again = answered({ ...first, id: uuid(3), look: null, role: null, thread: null }, bike, [first], false);
    expect(again).toMatchObject({ look: null, thread: null });
    const none = answered({ ...first, id: uuid(3), look: null, role: null }, bike, [], false, true);
    expect(none).toMatchObject({ role: null, look: 'front-axle' });
    const other = answered({ ...first, id: uuid(3), look: null, role: 'mirror' }, bike, [], false, true);
    expect(other).toMatchObject({ role: 'mirror', look: null });
  });
  test('works on a bike of inch heads, and ticks the walk', () => {
    const rows = [typed('Mirror stem', '9/16in', 'cockpit'), typed('Seat bolt', '7/16in', 'tank-seat')];
    expect(rows.map((r) => r.role)).toEqual(['mirror', 'seat']);
    const guide = guideOf(bike, rows);
    expect(guide.visits.find((v) => v.look.key === 'mirror')!.state).toBe('done');
  });
  test('a table without a column of jobs gets them from its names', () => {
    let n = 10;
    const read = readFasteners(
      'name,head,station\nRear axle nut,32,rear-wheel\nHeat shield,i5,exhaust\n',
      bike.id,
      [],
      () => uuid(n++),
    );
    expect(read.ok && read.preview.rows.map((r) => r.role)).toEqual(['rear axle', null]);
  });
});

import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { GarageDocument } from '../garage/index.js';
import type { Solve } from '../ground/milp.js';
import { preventionsFor } from '../repairs/index.js';
import { uuid } from '../testing/make.js';
import { tinyGarage } from '../testing/tinyGarage.js';
import { adjustable, combinationSpanner, newPiece } from '../toolbox/tools/index.js';
import { exposuresIn, pooled, stockDemands } from '../trip/odds/index.js';
import { answerFor, evidenceOf } from './answer.js';
import { fromHere } from './fromHere.js';
import { preventionCosts } from './preventionCosts.js';
import { proofTold, proveCaseOf, readyShare } from './proof.js';
import { partKey, stowItems } from './stowItems.js';
import { COMPARED, switchCosts } from './switchCosts.js';
import { ridesTracks, stowInput } from './stowInputOf.js';
import { wholeAnswer } from './whole.js';
import type { Kit } from '../kit/index.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const doc = tinyGarage();
const [bike, trip] = [doc.bikes[0]!, doc.trips[0]!];
const question = { bikeId: bike.id, tripId: trip.id, today: '2026-12-01' };
const answer = (d: GarageDocument = doc, q: Parameters<typeof answerFor>[1] = question) => answerFor(d, q, solve);

describe('what is told of a garage', () => {
  test('heads in all and reached, each with its ways, its cure or why there is none', () => {
    const a = answer();
    expect([a.chosen, a.reached]).toEqual([3, 2]);
    expect(a.fasteners.map((f) => [f.id, f.reached, f.cure !== null])).toEqual([
      [uuid(2), true, false],
      [uuid(3), true, false],
      [uuid(4), false, true],
    ]);
    // The spanner and the ratchet with its socket: one is preferred, the other a second way.
    expect(a.fasteners[0]!.others).toHaveLength(1);
    expect(a.fasteners[0]!.others[0]![0]).not.toBe(a.fasteners[0]!.best[0]);
    expect(a.fasteners[1]!.others).toEqual([]);
    expect(a.fasteners[2]!).toMatchObject({ best: [], others: [], barred: [] });
    expect(a.fasteners[2]!.fails.length).toBeGreaterThan(0);
    expect(Object.keys(a.kitUse).sort()).toEqual([...a.kit.reached].sort());
    expect(a.kitChains[uuid(2)]).toEqual([['Combination spanner 10']]);
    expect(a.kitUse[uuid(2)]!.map((c) => c.links.map((l) => l.piece.id))).toEqual([[uuid(5)]]);
  });
  test('what is left out counts nowhere; a mark that bars a head is named', () => {
    const out = { ...doc, fasteners: doc.fasteners.map((f, i) => (i === 2 ? { ...f, leftOut: 'workshop' } : f)) };
    expect([answer(out).chosen, answer(out).reached, answer(out).fasteners.length]).toEqual([2, 2, 2]);
    const never = { ...doc, pieces: doc.pieces.map((p) => (p.id === uuid(6) ? { ...p, mark: 'never' as const } : p)) };
    const a = answer(never);
    expect(a.fasteners.map((f) => f.barred)).toEqual([[], ['Combination spanner 13'], []]);
    expect(a.reached).toBe(1);
  });
  test('what is lent is missing once: of three, one lent, two can be packed', () => {
    const lent = {
      item: `piece ${uuid(5)}`,
      name: 'x',
      count: 1,
      to: 'Oke',
      date: '2026-11-01',
      settled: null,
      note: '',
    };
    const pieces = doc.pieces.map((p) => (p.id === uuid(5) ? { ...p, count: 3, mark: 'twice' as const } : p));
    const packed = (count: number) =>
      answer({ ...doc, pieces, loans: [{ id: uuid(130), ...lent, count }] }).kit.pieces.find(
        (k) => k.piece.id === uuid(5),
      )?.count;
    expect([packed(1), packed(2), packed(3)]).toEqual([2, 1, undefined]);
  });
  test('what is not known yet says what is missing', () => {
    const unknown = (d: GarageDocument, tripId: string | null = trip.id) => answer(d, { ...question, tripId }).unknown;
    const none = { ...doc, fasteners: [] };
    const noLegs = { ...doc, trips: [{ ...trip, legs: [] }] };
    expect(unknown(doc)).toEqual({ reached: null, home: null, mass: null });
    expect(unknown(none)).toEqual({ reached: 'no fasteners', home: null, mass: null });
    expect(unknown(doc, null)).toEqual({ reached: null, home: 'no trip', mass: null });
    expect(unknown(none, null)).toEqual({ reached: 'no fasteners', home: 'no trip', mass: 'no fasteners' });
    expect(unknown(noLegs)).toEqual({ reached: null, home: 'no legs', mass: null });
    const still = {
      ...trip,
      legs: trip.legs.map((l) => ({ ...l, days: 0, hours: 0, km: { paved: 0, gravel: 0, track: 0 } })),
    };
    expect(unknown({ ...doc, trips: [still] }).home).toBe('no legs');
  });
  test('stocks and what a company pools are those of the trip', () => {
    expect(answer().stocks.length).toBeGreaterThan(0);
    expect(answer().pooled).toEqual([]);
    expect(answer(doc, { ...question, tripId: null })).toMatchObject({ stocks: [], pooled: [], exposures: [] });
    const three = answer({ ...doc, trips: [{ ...trip, companions: 2 }] }).pooled;
    expect(three.length).toBeGreaterThan(0);
    const demands = stockDemands(answer().exposures, doc.fasteners, doc.garage.practice.tubes);
    expect(three).toEqual(pooled(demands, 3, trip.serviceLevel));
    expect(three).not.toEqual(pooled(demands, 2, trip.serviceLevel));
  });
  test('ready is nothing where nothing is at stake, and nought where nobody practised', () => {
    expect(answer().ready).toBe(0);
    expect(answer(doc, { ...question, tripId: null }).ready).toBeNull();
    const a = answer();
    const c = proveCaseOf(doc, question, a, question.today);
    expect(readyShare(doc, c)).toBe(0);
    expect(proofTold(doc, c).ready.share).toBe(readyShare(doc, c));
    expect(() => proveCaseOf(doc, { ...question, bikeId: uuid(77) }, a, question.today)).toThrow(/not in this garage/);
  });
  test('evidence is counted rung by rung', () => {
    const of = (evidence: 'assumed' | 'measured' | 'tried' | 'proven') => ({ evidence });
    expect(evidenceOf([of('assumed'), of('tried'), of('assumed')])).toEqual({
      assumed: 2,
      measured: 0,
      tried: 1,
      proven: 0,
    });
  });
});

describe('what is to be stowed', () => {
  const leg = (track: number) => ({ ...trip.legs[0]!, km: { paved: 10, gravel: 0, track } });
  test('on rough ground as soon as one leg rides a track', () => {
    expect(ridesTracks({ ...trip, legs: [leg(0), leg(1)] })).toBe(true);
    expect(ridesTracks({ ...trip, legs: [leg(0), leg(0)] })).toBe(false);
    expect(ridesTracks({ ...trip, legs: [] })).toBe(false);
    expect(ridesTracks(undefined)).toBe(false);
  });
  test('things, places and pins of this bike, by the rider’s wishes', () => {
    const { kit, exposures } = answer();
    const pin = (n: number, bikeId: string) => ({
      id: uuid(80 + n),
      bikeId,
      item: `piece ${uuid(5)} 1`,
      placeId: uuid(11),
    });
    const more = {
      ...doc,
      places: [...doc.places, { ...doc.places[0]!, id: uuid(90), bikeId: uuid(91) }],
      pins: [pin(0, bike.id), pin(1, uuid(91))] as GarageDocument['pins'],
    };
    const input = stowInput(more, question, kit, exposures);
    expect(input.places.map((p) => p.id)).toEqual([uuid(11)]);
    expect(input.pins.map((p) => p.id)).toEqual([uuid(80)]);
    expect(input).toMatchObject({ bike, goals: doc.garage.goals, rough: true });
    const body = {
      ...more,
      garage: { ...doc.garage, practice: { ...doc.garage.practice, lives: 'back' as const } },
    };
    expect(stowInput(body, question, kit, exposures).places).toEqual([]);
    expect(() => stowInput(doc, { ...question, bikeId: uuid(77) }, kit, exposures)).toThrow(/not in this garage/);
    expect(stowInput(doc, { ...question, tripId: null }, kit, exposures).rough).toBe(false);
  });
  test('copies one by one, a stock as a packet, in the pouch of what it mostly serves', () => {
    const { kit, exposures } = answer();
    const [piece] = kit.pieces;
    const lambda = (id: string, n: number) => ({
      ...exposures[0]!,
      lambda: n,
      trouble: { ...exposures[0]!.trouble, ...TROUBLE[id]! },
    });
    const TROUBLE: Record<string, object> = {
      wheel: { id: 'wheel', subject: 'wheels' },
      drive: { id: 'drive', subject: 'drive' },
      any: { id: 'any', subject: 'loose and lost' },
    };
    const serving = (...ids: string[]) => ({
      ...piece!,
      count: 2,
      serves: ids.map((id) => ({ id, name: id })),
      turnsFor: [],
    });
    const groups = (list: [string, number][], serves = list.map(([id]) => id)) =>
      stowItems(
        { ...kit, pieces: [serving(...serves)], spares: [] },
        list.map(([id, n]) => lambda(id, n)),
      ).map((i) => i.group);
    expect(groups([['wheel', 1]])).toEqual(['wheels', 'wheels']);
    // Six tenths of its uses are enough, less is not.
    expect(
      groups([
        ['wheel', 6],
        ['drive', 4],
      ]),
    ).toEqual(['wheels', 'wheels']);
    expect(
      groups([
        ['wheel', 5.9],
        ['drive', 4.1],
      ]),
    ).toEqual([null, null]);
    expect(
      groups([
        ['drive', 4],
        ['wheel', 6],
      ]),
    ).toEqual(['wheels', 'wheels']);
    const copies = stowItems({ ...kit, pieces: [serving('wheel')], spares: [] }, []).map((i) => i.key);
    expect(copies).toEqual([1, 2].map((n) => `piece ${piece!.piece.id} ${n}`));
    // The same trouble on several bikes adds up.
    expect(
      groups(
        [
          ['wheel', 3],
          ['wheel', 3],
          ['drive', 4],
        ],
        ['wheel', 'drive'],
      ),
    ).toEqual(['wheels', 'wheels']);
    // What serves anything that comes loose lies with no pouch.
    expect(groups([['any', 1]])).toEqual([null, null]);
    expect(groups([['wheel', 1]], [])).toEqual([null, null]);
    const [spare] = kit.spares.filter((s) => s.quantity > s.fitted);
    const stocked = (quantity: number, fitted: number, pins: string[] = []) =>
      stowItems(
        { ...kit, pieces: [], spares: [{ ...spare!, quantity, fitted, expected: 6 }] } as Kit,
        [],
        pins.map(
          (item) => ({ id: uuid(80), bikeId: bike.id, item, placeId: uuid(11) }) as GarageDocument['pins'][number],
        ),
      ).map((i) => [i.key, i.uses]);
    const key = `supply ${spare!.kind}`;
    expect(stocked(3, 0)).toEqual([[key, 6]]);
    expect(stocked(3, 1)).toEqual([[key, 6]]);
    expect(stocked(2, 2)).toEqual([]);
    // The rider puts one of three elsewhere: two packets.
    expect(partKey(spare!.kind, 1)).toBe(`${key} part 1`);
    expect(stocked(3, 0, [partKey(spare!.kind, 1)])).toEqual([
      [key, 4],
      [`${key} part 1`, 2],
    ]);
    expect(stocked(4, 1, [partKey(spare!.kind, 2)])).toEqual([
      [key, 2],
      [`${key} part 2`, 4],
    ]);
    for (const no of [
      partKey(spare!.kind, 3),
      partKey(spare!.kind, 0),
      `${key} part 1.5`,
      `${key} part x`,
      'supply other part 1',
    ])
      expect([no, stocked(3, 0, [no])]).toEqual([no, [[key, 6]]]);
  });
});

describe('what a change would do', () => {
  test('each measure that is not done: the kit with it against the kit now', () => {
    const given = {
      ...doc,
      bikes: [
        {
          ...bike,
          prevention: [
            { id: 'threadlocker', state: 'done' as const },
            { id: 'new-cables', state: 'may' as const },
          ],
        },
      ],
    };
    const shares: number[] = [];
    const costs = preventionCosts(given, question, solve, (s) => shares.push(s));
    const open = preventionsFor(bike).filter((p) => p.id !== 'threadlocker');
    expect(costs.map((c) => c.id)).toEqual(open.map((p) => p.id));
    expect(shares).toEqual(open.map((_, i) => i / open.length));
    const done = (...ids: string[]) =>
      answer({ ...given, bikes: [{ ...bike, prevention: ids.map((id) => ({ id, state: 'done' as const })) }] });
    // What is lost without any kit, as often as the measures leave it, less what the kit saves.
    const lost = (a: ReturnType<typeof answer>) => {
      const list = exposuresIn(doc, question);
      const factor = (id: string) => a.kit.prevention.reduce((f, p) => f * (p.factors[id] ?? 1), 1);
      return list.reduce((s, e) => s + e.lambda * factor(e.trouble.id) * e.without, 0) - a.kit.saved;
    };
    const now = done('threadlocker');
    for (const id of ['new-cables', 'heavy-tubes', 'hand-guards']) {
      const then = done('threadlocker', id);
      const cost = costs.find((c) => c.id === id)!;
      expect(cost.grams).toBeCloseTo(then.kit.mass - now.kit.mass, 1);
      expect(cost.home).toBeCloseTo(then.kit.home - now.kit.home, 12);
      expect(cost.hours).toBeCloseTo(lost(now) - lost(then), 6);
      expect(cost.hours).toBeGreaterThan(0);
    }
    expect(() => preventionCosts(doc, { ...question, bikeId: uuid(77) }, solve)).toThrow(/not in this garage/);
  });
  test('each other position of each switch: the kit with it against the kit now', () => {
    const asked = { ...question, tripId: null };
    const shares: number[] = [];
    const given = {
      ...doc,
      pieces: [
        ...doc.pieces,
        newPiece(combinationSpanner('24'), { id: uuid(120), mass: 900 }),
        newPiece(adjustable(250, 30, 370), { id: uuid(121) }),
      ],
    };
    const costs = switchCosts(given, asked, solve, (share) => shares.push(share));
    expect(new Set(costs.map((x) => x.key))).toEqual(new Set(COMPARED));
    expect(shares).toEqual(costs.map((_, i) => i / costs.length));
    const with_ = (change: object) =>
      answer({ ...given, garage: { ...doc.garage, practice: { ...doc.garage.practice, ...change } } }, asked);
    const loose = (a: ReturnType<typeof answer>) => a.packing.stowed.filter((x) => x.placeId === null).length;
    const now = with_({});
    for (const { key, position, ...cost } of costs) {
      expect(position).not.toBe(doc.garage.practice[key]);
      const then = with_({ [key]: position });
      expect([key, position, cost]).toEqual([
        key,
        position,
        {
          grams: expect.closeTo(then.kit.mass - now.kit.mass, 6),
          hours: 0,
          home: 0,
          reached: then.kit.reached.length - now.kit.reached.length,
          loose: loose(then) - loose(now),
          proven: true,
        },
      ]);
    }
    // Some of them weigh something, some reach less, some leave a thing without a place.
    expect(costs.some((x) => x.grams !== 0)).toBe(true);
    expect(costs.some((x) => x.loose > 0)).toBe(true);
  });
  test('from a leg on: with what is left of the spares, against the kit as it was packed', () => {
    const { kit } = answer();
    const packed = kit.spares.filter((s) => s.quantity > s.fitted);
    expect(packed.length).toBeGreaterThan(2);
    const supplies = packed.map((s, i) => ({
      ...doc.supplies[0]!,
      id: uuid(100 + i),
      kind: s.kind,
      quantity: s.quantity - s.fitted,
    }));
    const asked = { ...question, tripId: trip.id };
    const full = fromHere({ ...doc, supplies }, asked, kit, 0, solve);
    expect(full.less).toEqual([]);
    expect(full.home).toBeCloseTo(full.packed.home, 12);
    expect(full.atStake).toBeCloseTo(full.packed.atStake, 9);
    expect(full.packed.atStake).toBeCloseTo(kit.atStake, 2);
    const none = fromHere({ ...doc, supplies: supplies.slice(1) }, asked, kit, 0, solve);
    expect(none.less).toEqual([{ name: packed[0]!.name, left: 0, packed: packed[0]!.quantity - packed[0]!.fitted }]);
    const all = fromHere({ ...doc, supplies: [] }, asked, kit, 0, solve);
    expect(all.less.map((l) => l.left)).toEqual(packed.map(() => 0));
    expect(all.atStake).toBeGreaterThan(full.atStake);
    expect(all.packed).toEqual(full.packed);
    // The second leg is on roads: less can happen there than on both.
    const later = fromHere({ ...doc, supplies }, asked, kit, 1, solve);
    expect(later.packed.atStake).toBeLessThan(full.packed.atStake);
    for (const leg of [-1, 2]) expect(() => fromHere(doc, asked, kit, leg, solve)).toThrow('not on this trip');
    expect(() => fromHere(doc, { ...asked, bikeId: uuid(77) }, kit, 0, solve)).toThrow('not on this trip');
  });
  test('searched to the end the packing is proven, and all else is the same', () => {
    const whole = wholeAnswer(doc, question, solve);
    expect(whole.packing.proven).toBe(true);
    expect({ ...whole, packing: null }).toEqual({ ...answer(), packing: null });
    expect(whole.packing.stowed).toHaveLength(answer().packing.stowed.length);
  });
});

import { DEFAULT_PRACTICE, type Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import { answerFor } from '../answer/index.js';
import { newBike } from '../bike/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { TROUBLES } from '../repairs/index.js';
import { certain, countCdf, exposures, exposuresIn } from '../trip/odds/index.js';
import { askLightest, fastener, owned, uuid } from '../testing/make.js';
import {
  adjustable,
  combinationSpanner,
  functional,
  ratchet,
  socket,
  tyreLever,
  type Piece,
} from '../toolbox/tools/index.js';
import { newLeg, newTrip, type KitQuestion } from '../trip/index.js';
import { byTrouble } from './byTrouble.js';
import { functionNeeds } from './needs.js';
import type { Kit } from './kit.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const bike = newBike(uuid(1), 'Test');
const trip = {
  ...newTrip(uuid(2), 'Trip'),
  kit: askLightest(),
  legs: [{ ...newLeg(uuid(3), 'a'), days: 1, km: { paved: 0, gravel: 0, track: 600 } }],
};
const hex = (size: string, role: Parameters<typeof fastener>[0]['role'] = null) =>
  fastener({ head: { form: 'hex', size }, torque: { value: 8, source: 'manual' }, role, bikeId: bike.id });
const pump = () => owned(functional('Pump', ['inflate', 'hand air'], 130, [200, 30, 30], 20));

function garage(pieces: Piece[], more: Partial<GarageDocument> = {}, practice: Partial<Practice> = {}): GarageDocument {
  return {
    ...emptyDocument({ name: 'Test', practice: { ...DEFAULT_PRACTICE, doubles: 'none', ...practice } }),
    bikes: [bike],
    trips: [trip],
    fasteners: [hex('10')],
    pieces,
    ...more,
  };
}
const kitOf = (doc: GarageDocument, question: Partial<KitQuestion> = {}, withTrip = true): Kit =>
  answerFor(
    { ...doc, trips: doc.trips.map((t) => ({ ...t, kit: { ...t.kit, ...question } })) },
    { bikeId: bike.id, tripId: withTrip ? trip.id : null },
    solve,
  ).kit;

describe('functions that troubles ask for', () => {
  test('only from two trips in a hundred, and one pair of levers serves every flat', () => {
    const of = (id: string, times: number) =>
      certain(
        TROUBLES.find((t) => t.id === id)!,
        times,
        { code: 'count.due', services: [] },
      );
    const rare = exposures(bike, trip).filter((e) => e.odds < 0.02 && e.odds > 0);
    expect(rare.length).toBeGreaterThan(3);
    expect(functionNeeds([of('puncture-tube', 1), of('tube-torn-front', 1), ...rare])).toEqual([
      { does: 'inflate', count: 1 },
      { does: 'lever tyre', count: 2 },
    ]);
  });
});

describe('the lightest kit', () => {
  test('takes the lighter of two ways to turn a head, and what a trouble asks for', () => {
    const spanner = owned(combinationSpanner('10'));
    const set = [owned(ratchet('1/4in')), owned(socket('1/4in', '10'))];
    expect(kitOf(garage([spanner, ...set, pump()]), {}, false).pieces.map((p) => p.piece.name)).toEqual([
      'Combination spanner 10',
    ]);
    const kit = kitOf(garage([spanner, ...set, pump()]));
    expect(kit.pieces.map((p) => p.piece.name)).toEqual(['Combination spanner 10', 'Pump']);
    expect(kit.pieces[1]!.serves).toContainEqual({ id: 'slow-leak', name: 'Slow leak' });
    expect(kit.pieces[0]!.needed).toHaveLength(1);
  });
  test('a trouble with no way of the grade is named, with what nothing in the toolbox does', () => {
    const role = hex('17', 'battery');
    const lacking = garage([owned(combinationSpanner('10')), owned(combinationSpanner('17'))], {
      fasteners: [hex('10'), role],
    });
    const kit = kitOf(lacking, { likely: 0.005 });
    expect(kit.missing).toEqual(expect.arrayContaining([{ does: 'jump-start', count: 1 }]));
    const flat = byTrouble(kit, bike.id).get('battery')!;
    expect(flat).toMatchObject({ below: true, grade: null, hoursSaved: 0 });
    expect(flat.lacks).toContainEqual({ code: 'lack.tools', does: 'jump-start', count: 1 });
    // A bike that starts by pushing needs nothing for it.
    const pushes = kitOf({ ...lacking, bikes: [{ ...bike, pushStarts: true }] }, { likely: 0.005 });
    expect(byTrouble(pushes, bike.id).get('battery')).toMatchObject({ below: false, grade: 'proper', mends: Infinity });
    expect(pushes.missing.map((m) => m.does)).not.toContain('jump-start');
  });
  test('a head that nobody measured is a gap, not a guess', () => {
    const kit = kitOf(garage([owned(combinationSpanner('10')), pump(), owned(tyreLever(null, true), { count: 2 })]));
    const flat = byTrouble(kit, bike.id).get('puncture-tube')!;
    expect(flat.lacks).toContainEqual({ code: 'lack.unmarked', role: 'rear axle' });
    expect(flat.grade).toBe('limp');
    expect(flat.below).toBe(true);
  });
  test('a piece marked always comes along', () => {
    const kit = kitOf(
      garage([
        owned(combinationSpanner('10')),
        owned(functional('Charm', ['light'], 5, [10, 10, 10], 0), { mark: 'always' }),
      ]),
      {},
      false,
    );
    expect(kit.pieces.map((p) => [p.piece.name, p.needed.length])).toEqual([
      ['Combination spanner 10', 1],
      ['Charm', 0],
    ]);
  });
  test('a stranger’s heads count where the practice says so', () => {
    const pieces = [owned(combinationSpanner('10')), owned(adjustable(250, 30, 370)), owned(combinationSpanner('24'))];
    const names = (others: Practice['others']) =>
      kitOf(garage(pieces, {}, { others }), {}, false).pieces.map((p) => p.piece.name);
    expect(names('own')).toEqual(['Combination spanner 10']);
    expect(names('any').length).toBeGreaterThan(1);
  });
});

describe('spares follow the odds', () => {
  const spanner = owned(combinationSpanner('10'));
  test('all suffice together at the service level, none is asked for that sits beside the live part', () => {
    const doc = garage([spanner, pump()]);
    const kit = kitOf(doc, { likely: 0 });
    const enough = kit.mends
      .filter((m) => m.mends < Infinity && kit.spares.some((s) => s.for.some((f) => f.trouble === m.name)))
      .reduce(
        (p, m) =>
          p * countCdf(kit.spares.flatMap((s) => s.for).find((f) => f.trouble === m.name)!.mends, lawOf(doc, m.key)),
        1,
      );
    expect(kit.served).toBe(true);
    expect(enough).toBeGreaterThanOrEqual(trip.serviceLevel - 1e-9);
    const lever = {
      id: uuid(90),
      kind: 'clutch lever' as const,
      quantity: 9,
      fits: '',
      bought: null,
      opened: null,
      condition: 'new' as const,
      mark: null,
      note: '',
    };
    const boxed = kitOf(
      { ...doc, fasteners: [hex('10', 'clutch lever')], supplies: [{ ...lever, fittedOn: null }] },
      { likely: 0, grade: 'proper' },
    );
    const onBike = kitOf(
      { ...doc, fasteners: [hex('10', 'clutch lever')], supplies: [{ ...lever, fittedOn: bike.id }] },
      { likely: 0, grade: 'proper' },
    );
    const levers = (k: Kit) => k.spares.find((s) => s.kind === 'clutch lever')!;
    expect(levers(boxed)).toMatchObject({ fitted: 0, buy: 0 });
    expect(levers(onBike).fitted).toBe(levers(onBike).quantity);
    expect(levers(onBike).mass).toBe(0);
    expect(onBike.mass).toBeLessThan(boxed.mass);
  });
  test('what is worn out, past its date or made for another bike does not count as owned', () => {
    const put = (fields: object) =>
      answerFor(
        {
          ...garage([spanner, owned(functional('First aid', ['bandage'], 110, [110, 80, 35], 12))]),
          supplies: [
            {
              id: uuid(90),
              kind: 'dressing',
              quantity: 9,
              fits: '',
              bought: null,
              opened: null,
              condition: 'new',
              fittedOn: null,
              mark: null,
              note: '',
              ...fields,
            },
          ],
          trips: [{ ...trip, kit: { ...trip.kit, likely: 0, grade: 'proper' } }],
        },
        { bikeId: bike.id, tripId: trip.id, today: '2026-11-25' },
        solve,
      ).kit.spares.find((s) => s.kind === 'dressing')!.owned;
    expect(put({})).toBe(9);
    expect(put({ condition: 'spent' })).toBe(0);
    expect(put({ bought: '2020-01-01' })).toBe(0);
    expect(put({ bought: '2026-01-01' })).toBe(9);
  });
});
/** Law of an ask by its key, worked out anew. */
function lawOf(doc: GarageDocument, key: string) {
  const all = answerFor(
    { ...doc, trips: [{ ...trip, kit: { ...trip.kit, likely: 0 } }] },
    { bikeId: bike.id, tripId: trip.id },
    solve,
  );
  return all.ridden.find((r) => r.key === key)!.law;
}

describe('the most under a limit', () => {
  const pieces = () => [
    owned(combinationSpanner('10')),
    pump(),
    owned(functional('Strap', ['tow'], 260, [100, 60, 40], 9)),
  ];
  test('keeps to the limit, saves more with more, and what was left out costs nothing', () => {
    const at = (mass: number) => kitOf(garage(pieces()), { ask: 'most', mass });
    const kits = [0, 100, 300, 800, 2500, 8000].map(at);
    kits.forEach((k, i) => {
      expect(k.mass).toBeLessThanOrEqual([0, 100, 300, 800, 2500, 8000][i]! + 1e-9);
      if (i > 0) expect(k.saved).toBeGreaterThanOrEqual(kits[i - 1]!.saved - 1e-9);
    });
    expect(kits[0]!.saved).toBeGreaterThan(0);
  });
  test('limits of room and price hold too', () => {
    const kit = kitOf(garage(pieces()), { ask: 'most', mass: 3000, bulk: 700, price: 40 });
    expect(kit.bulk).toBeLessThanOrEqual(700 + 1e-6);
    expect(kit.price).toBeLessThanOrEqual(40 + 1e-6);
    expect(kit.saved).toBeLessThanOrEqual(kitOf(garage(pieces()), { ask: 'most', mass: 3000 }).saved + 1e-9);
  });
  test('in money being fetched weighs in', () => {
    const hours = kitOf(garage(pieces()), { ask: 'most', mass: 900 });
    const money = kitOf(garage(pieces()), { ask: 'most', mass: 900, value: 'money', hourEuros: 0, fetchEuros: 500 });
    expect(hours.value).toBeCloseTo(hours.saved, 9);
    expect(money.value).not.toBeCloseTo(money.saved, 3);
  });
});

describe('measures taken before leaving', () => {
  test('one that is done lowers its rates; one that might be is taken where it makes the kit lighter', () => {
    const doc = garage([owned(combinationSpanner('10')), pump()], { fasteners: [hex('10', 'exhaust fixing')] });
    const with_ = (state: 'done' | 'may' | null) =>
      kitOf(
        { ...doc, bikes: [{ ...bike, prevention: state ? [{ id: 'threadlocker', state }] : [] }] },
        { likely: 0.01 },
      );
    const [none, done, may] = [with_(null), with_('done'), with_('may')];
    expect(done.mass).toBeLessThanOrEqual(none.mass);
    expect(done.prevention.map((p) => p.id)).toEqual(['threadlocker']);
    expect(may.mass).toBe(Math.min(none.mass, done.mass));
    expect(may.prevention.map((p) => p.id)).toEqual(
      may.mass < none.mass || may.saved > none.saved ? ['threadlocker'] : [],
    );
  });
  test('of those that might be, the ones with which least is lost, each looked at with and without', () => {
    const doc = garage([owned(combinationSpanner('10')), pump()], { fasteners: [hex('10', 'exhaust fixing')] });
    const other = { ...newBike(uuid(9), 'Other'), prevention: [{ id: 'new-battery', state: 'may' as const }] };
    type Measures = (typeof bike)['prevention'];
    const kitWith = (prevention: Measures, question: Partial<KitQuestion> = { ask: 'most', mass: 1500 }) =>
      kitOf({ ...doc, bikes: [other, { ...bike, prevention }] }, question);
    const may = (...ids: string[]) => ids.map((id) => ({ id, state: 'may' as const }));
    const done = (...ids: string[]) => ids.map((id) => ({ id, state: 'done' as const }));
    const ids = (kit: Kit) => kit.prevention.map((p) => p.id).sort();
    // Work that weighs nothing and makes troubles rarer is always taken; what another bike might have is not looked at.
    expect(ids(kitWith(may('threadlocker', 'new-battery')))).toEqual(['new-battery', 'threadlocker']);
    expect(ids(kitWith([...done('threadlocker'), ...may('new-cables')]))).toEqual(['new-cables', 'threadlocker']);
    expect(ids(kitWith([]))).toEqual([]);
    // Five are more than are weighed: the fifth is left.
    expect(ids(kitWith(may('threadlocker', 'new-battery', 'new-cables', 'new-pads', 'fresh-plug')))).toEqual(
      ['threadlocker', 'new-battery', 'new-cables', 'new-pads'].sort(),
    );
    // A heavy one competes with the tools under a limit, and with the price of its grams.
    for (const question of [
      { ask: 'most', mass: 1500 },
      { ask: 'most', mass: 300 },
      { ask: 'worth', knee: 1 },
      { ask: 'worth', knee: 0.05 },
      { ask: 'worth', knee: 60 },
    ] as const) {
      // What is lost without any kit, as often as the measures leave it, less what the kit saves; and the price of its grams.
      const lost = (kit: Kit) =>
        exposuresIn(doc, { bikeId: bike.id, tripId: trip.id }).reduce(
          (s, e) => s + kit.prevention.reduce((f, p) => f * (p.factors[e.trouble.id] ?? 1), e.lambda * e.without),
          0,
        ) -
        kit.saved +
        (question.ask === 'worth' ? (question.knee / 60 / 100) * kit.mass : 0);
      const kit = kitWith(may('threadlocker', 'heavy-tubes'), question);
      const each = [[], ['threadlocker'], ['heavy-tubes'], ['threadlocker', 'heavy-tubes']]
        .map((list) => kitWith(done(...list), question))
        .filter((k) => question.ask === 'worth' || k.mass <= question.mass);
      expect(lost(kit)).toBeCloseTo(Math.min(...each.map(lost)), 2);
      expect(ids(kit)).toContain('threadlocker');
      if (question.ask === 'most') expect(kit.mass).toBeLessThanOrEqual(question.mass);
    }
    expect(ids(kitWith(may('heavy-tubes'), { ask: 'worth', knee: 60 }))).toEqual([]);
    expect(ids(kitWith(may('heavy-tubes'), { ask: 'worth', knee: 0.05 }))).toEqual(['heavy-tubes']);
  });
});

import { describe, expect, test } from '@jest/globals';
import { TROUBLES, way, type Grade, type Trouble } from '../repairs/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { bareCrew, bareMember } from '../testing/smallCrews.js';
import { bareAsk, bareProblem, bareWay, unitsOfKind } from '../testing/smallKits.js';
import { ChainFinder, reachOf } from '../toolbox/chains/index.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import { combinationSpanner } from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { certain, countPmf, poisson } from '../trip/odds/index.js';
import type { Ask, AskWay, KitProblem } from '../kit/optimum/kitProblem.js';
import { STRANGERS_BIKE } from '../kit/strangers.js';
import type { Crew } from './crew.js';
import { canGo, groupsOf, oddsOn, LOOSE_SHARE } from './groups.js';
import { hoursWith } from './hours.js';
import { newPerson } from './person.js';
import { lawOn, leastUnits, levelsOf } from './stockRule.js';
import type { Assignment } from './assignment.js';

const flat = TROUBLES.find((t) => t.id === 'puncture-tube')!;
const seen = (trouble: Partial<Trouble>, byLeg: number[] = []): Ask['exposure'] => ({
  ...certain({ ...flat, ...trouble }, 1, { code: 'count.due', services: [] }),
  byLeg,
});
const legs = ['a', 'b', 'c'].map((name, i) => ({ ...newLeg(uuid(20 + i), name), days: 1 }));
const trip = { ...newTrip(uuid(2), 'A trip'), legs };
const tool = (requires: number[], more: Partial<AskWay> = {}) => bareWay({ requires, gain: 1, ...more });
const uses = (kind: string, units: number, more: Partial<AskWay> = {}) =>
  bareWay({ supplies: [unitsOfKind(kind, units)], gain: 1, ...more });
const ask = (trouble: string, bike: number, ways: AskWay[], more: Partial<Ask> = {}) =>
  bareAsk(trouble, [0.5], ways, { bikeId: uuid(bike), exposure: seen({ id: trouble }), ...more });

interface Setting {
  asks?: Ask[];
  crew?: Partial<Crew>;
  question?: Partial<KitProblem['question']>;
  anyHelp?: boolean;
  absent?: number[];
  hands?: (1 | 2 | 3)[];
  car?: string[] | null;
  fasteners?: ReturnType<typeof fastener>[];
}
/** Three riders, and a car on some of the legs where one is given. */
function groups({
  asks = [],
  crew,
  question,
  anyHelp = true,
  absent = [],
  hands = [],
  car = null,
  fasteners = [],
}: Setting) {
  const base = bareProblem([owned(combinationSpanner('10'))]);
  const finder = new ChainFinder(base.pieces, DEFAULT_PRACTICE);
  const problem: KitProblem = {
    ...base,
    asks,
    question: { ...base.question, likely: 0, ...question },
    tools: { ...base.tools, reaches: fasteners.map((f) => reachOf(f, finder)) },
    requirements: fasteners.map((f) => ({
      label: f.name,
      by: { head: { fasteners: [f.id], ends: [], lost: null }, fasteners: [f.id], any: false },
      sets: [],
      loose: false,
    })),
  };
  const members = [0, 1, 2].map((i) => bareMember(i, 1000, { person: newPerson({ hand: hands[i] ?? 3 }) }));
  const c = bareCrew(problem, members, { alone: [], ...crew });
  const vehicle = { id: uuid(60), name: 'Van', kind: 'van' as const, legs: car ?? [], limit: 9000, litres: 50 };
  return groupsOf({
    ...c,
    trip,
    carriers: car
      ? [...c.carriers, { key: vehicle.id, name: vehicle.name, limit: 9000, room: 50_000, member: null, vehicle }]
      : c.carriers,
    anyHelp,
    absent: new Set(absent),
  });
}
const names = (setting: Setting) => groups(setting).map((g) => [g.kind, g.name, g.carriers, g.members, g.legs]);
const ALL = [true, true, true];
const who = (i: number) => (i === 0 ? 'me' : uuid(900 + i));

describe('who has to get home together', () => {
  test('everybody, on all legs', () => {
    expect(names({})).toEqual([['all', 'everybody', [0, 1, 2], [0, 1, 2], ALL]]);
    expect(names({ absent: [1] })).toEqual([['all', 'everybody', [0, 2], [0, 2], ALL]]);
    expect(groups({ absent: [0, 1, 2] })).toEqual([]);
  });
  test('with a car where it is there, without it on the other legs', () => {
    expect(names({ car: [legs[1]!.id] })).toEqual([
      ['all', 'everybody', [0, 1, 2], [0, 1, 2], [true, false, true]],
      ['all', 'with Van', [0, 1, 2, 3], [0, 1, 2], [false, true, false]],
    ]);
    expect(names({ car: [] })).toEqual([['all', 'with Van', [0, 1, 2, 3], [0, 1, 2], ALL]]);
    expect(names({ car: [legs[1]!.id], absent: [3] })).toEqual([['all', 'everybody', [0, 1, 2], [0, 1, 2], ALL]]);
  });
  test('each part of a split, whoever is in none of them alone, on its legs', () => {
    const split = (list: string[][], on: string[] = []) => ({ id: uuid(70), name: 'Halves', groups: list, legs: on });
    const parts = (setting: Setting) => names(setting).filter(([kind]) => kind === 'part');
    expect(parts({ crew: { splits: [split([[who(2), who(0)]], [legs[2]!.id])] } })).toEqual([
      ['part', 'Rider 2, Rider 0', [0, 2], [0, 2], [false, false, true]],
      ['part', 'Rider 1', [1], [1], [false, false, true]],
    ]);
    // A car is no rider: a part of cars alone has nobody to get home.
    const withCar = {
      crew: {
        splits: [
          split([
            [who(0), uuid(60)],
            [who(1), who(2)],
          ]),
        ],
      },
      car: [],
    };
    expect(parts(withCar).map(([, , carriers, members]) => [carriers, members])).toEqual([
      [[0, 3], [0]],
      [
        [1, 2],
        [1, 2],
      ],
    ]);
    expect(parts({ crew: { splits: [split([[uuid(60)], [who(0), who(1), who(2)]])] }, car: [] })).toHaveLength(1);
    // Whoever is gone or unknown is in no part.
    expect(parts({ crew: { splits: [split([[who(0), who(1), uuid(99)]])] }, absent: [1] }).map((p) => p[2])).toEqual([
      [0],
      [2],
    ]);
    expect(groups({ crew: { splits: [split([[who(0)]])] } }).map((g) => g.splitId)).toEqual([
      null,
      uuid(70),
      uuid(70),
      uuid(70),
    ]);
  });
  test('each alone where the crew says so, and there is more than one', () => {
    const alone = (setting: Setting) => names(setting).filter(([kind]) => kind === 'alone');
    expect(alone({ crew: { alone: ['bulb'] } })).toEqual([
      ['alone', 'Rider 0', [0], [0], ALL],
      ['alone', 'Rider 1', [1], [1], ALL],
      ['alone', 'Rider 2', [2], [2], ALL],
    ]);
    expect(alone({ crew: { alone: [] } })).toEqual([]);
    expect(alone({ crew: { alone: ['bulb'] }, absent: [1, 2] })).toEqual([]);
    expect(alone({ crew: { alone: ['bulb'] }, absent: [2] })).toHaveLength(2);
  });
});

describe('what they have to be able to mend', () => {
  const demands = (setting: Setting, kind = 'all') =>
    groups(setting)
      .filter((g) => g.kind === kind)
      .map((g) => g.demands.map((d) => [d.ask, d.grade, d.options.map((o) => o.way)]));
  test('troubles of their own bikes that are likely enough, or demanded, and not left out', () => {
    const law = (mean: number) => ({ law: poisson(mean) });
    const asks = [
      ask('x', 0, [tool([0])], law(0.5)),
      ask('y', 1, [tool([0])], law(0.01)),
      ask('z', 9, [tool([0])], law(0.5)),
      ask('left', 0, [tool([0])], law(0.5)),
      ask('must', 0, [tool([0])], { ...law(0), must: 'proper' }),
    ];
    expect(demands({ asks, question: { likely: 0.05, leftOut: ['left', 'must'] } })[0]!.map(([a]) => a)).toEqual([
      0, 4,
    ]);
    expect(demands({ asks, question: { likely: 1 - Math.exp(-0.01) } })[0]!.map(([a]) => a)).toEqual([0, 1, 3, 4]);
  });
  test('apart from the others at ride-out, alone what the crew says', () => {
    const asks = [ask('x', 0, [tool([0], { grade: 'ride-out' }), uses('fuse', 1)]), ask('bulb', 0, [tool([0])])];
    const split = { id: uuid(70), name: 'Halves', groups: [[who(0)], [who(1), who(2)]], legs: [] };
    const crew = { splits: [split], alone: ['bulb'] };
    const question = { grade: 'proper' as Grade };
    expect(demands({ asks, crew, question })).toEqual([
      [
        [0, 'proper', [1]],
        [1, 'proper', [0]],
      ],
    ]);
    expect(demands({ asks, crew, question }, 'part')[0]).toEqual([
      [0, 'ride-out', [0, 1]],
      [1, 'ride-out', [0]],
    ]);
    expect(demands({ asks, crew, question }, 'part')[1]).toEqual([]);
    expect(demands({ asks, crew, question }, 'alone')).toEqual([[[1, 'ride-out', [0]]], [], []]);
  });
  test('at the best grade that is known, where the one asked for is not', () => {
    const limps = { grade: 'limp' as const };
    const way_ = way('w', 'ride-out', 0, 1, ['Do it']);
    expect(demands({ asks: [ask('x', 0, [tool([0], limps)])] })).toEqual([[[0, 'limp', [0]]]]);
    const barred = [{ way: way_, why: [{ code: 'lack.no-push-start' as const }], lacks: [] }];
    const given = { asks: [ask('x', 0, [tool([0], limps)], { barred })], question: { grade: 'proper' as Grade } };
    expect(demands(given)).toEqual([[]]);
    expect(groups(given)[0]!.never).toEqual([{ ask: 0, why: [{ code: 'lack.no-push-start' }] }]);
  });
  test('an option that asks for no more than another stands for both; of two alike the first', () => {
    const [both, one] = [tool([0, 1]), tool([0])];
    expect(demands({ asks: [ask('x', 0, [both, one])] })).toEqual([[[0, 'ride-out', [1]]]]);
    expect(demands({ asks: [ask('x', 0, [one, tool([0])])] })).toEqual([[[0, 'ride-out', [0]]]]);
    expect(demands({ asks: [ask('x', 0, [uses('fuse', 2), uses('fuse', 1), uses('patch', 1)])] })).toEqual([
      [[0, 'ride-out', [1, 2]]],
    ]);
    expect(demands({ asks: [ask('x', 0, [uses('fuse', 1), tool([0])])] })).toEqual([[[0, 'ride-out', [0, 1]]]]);
  });
  test('nothing where some option takes nothing, or all that it takes sits on the bike', () => {
    expect(demands({ asks: [ask('x', 0, [tool([]), tool([0])])] })).toEqual([[]]);
    const fitted = { fitted: new Map([['clutch lever', 1]]) };
    expect(demands({ asks: [ask('x', 0, [uses('clutch lever', 1)], fitted)] })).toEqual([[]]);
    const two = groups({ asks: [ask('x', 0, [uses('clutch lever', 3, { requires: [0] })], fitted)] })[0]!;
    expect(two.demands[0]!.options).toEqual([
      { way: 0, requires: [0], supplies: [{ kind: 'clutch lever', units: 2 }] },
    ]);
  });
  test('never what nobody of them can do', () => {
    const hard = tool([0], { way: { ...way('hard', 'proper', 0, 1, ['Do it']), skill: 3 } });
    const given = { asks: [ask('x', 0, [hard])], hands: [1, 1, 3] as (1 | 2 | 3)[], anyHelp: false };
    const split = { id: uuid(70), name: 'Halves', groups: [[who(0), who(1)], [who(2)]], legs: [] };
    const made = groups({ ...given, crew: { splits: [split] } });
    expect(made.map((g) => [g.kind, g.demands.length, g.never])).toEqual([
      ['all', 1, []],
      ['part', 0, [{ ask: 0, why: [{ code: 'lack.nobody-here' }] }]],
      ['part', 0, []],
    ]);
    expect(groups({ ...given, hands: [1, 1, 1] })[0]!.never).toHaveLength(1);
    expect(groups({ ...given, hands: [1, 1, 1], anyHelp: true })[0]!.never).toEqual([]);
  });
  test('by whoever rides for what is missing, where that is soon enough and the ride is over without', () => {
    const away = (workshopKm: number, trouble: Partial<Trouble> = { id: 'x', stops: true, subject: 'wheels' }) => {
      const exposure = seen(trouble);
      return ask('x', 0, [tool([0])], { exposure: { ...exposure, away: { ...exposure.away, workshopKm } } });
    };
    // 30 km there and back at the companion’s speed, and half an hour at the shop.
    const hours = 60 / trip.speeds.companionRiding + 0.5;
    const fetched = (fetch: number, a = away(30), more: Setting = {}) =>
      groups({ asks: [a], crew: { fetch }, ...more })[0]!.fetched;
    expect(fetched(hours)).toEqual([0]);
    expect(fetched(hours - 0.01)).toEqual([]);
    expect(fetched(0, away(0))).toEqual([]);
    expect(fetched(99, away(30, { id: 'x', stops: false, subject: 'wheels' }))).toEqual([]);
    for (const subject of ['people', 'getting out', 'service', 'luggage'] as const)
      expect([subject, fetched(99, away(30, { id: 'x', stops: true, subject }))]).toEqual([subject, []]);
    expect(fetched(99, away(30), { absent: [1, 2] })).toEqual([]);
    expect(groups({ asks: [away(30)], crew: { fetch: 99 } })[0]!.demands).toEqual([]);
  });
});

describe('what comes loose', () => {
  const bolt = (name: string, form: 'hex' | 'spoke' = 'hex') =>
    fastener({ head: { form, size: form === 'hex' ? '10' : '6' }, name, bikeId: uuid(0) });
  const bolts = [bolt('often'), bolt('seldom'), bolt('third'), bolt('spoke', 'spoke')];
  const loose = (n: number, mean: number, bike = 0) =>
    ask('fastener-loose', bike, [tool([n])], { key: `loose ${n}`, law: poisson(mean) });
  const shares = (asks: Ask[], crew: Partial<Crew> = { alone: ['fastener-loose'] }, kind = 'alone') =>
    groups({ asks, crew, fasteners: bolts })
      .filter((g) => g.kind === kind && g.carriers.includes(0))
      .map((g) => g.loose.map((l) => [l.bikeId, l.shares.map((s) => [s.ask, s.requires, s.share])]));
  test('of each bike the heads that do so most, up to half of all', () => {
    expect(LOOSE_SHARE).toBe(0.5);
    expect(shares([loose(0, 0.6), loose(1, 0.1), loose(2, 0.3)])).toEqual([[[uuid(0), [[0, 0, 0.6]]]]]);
    expect(shares([loose(1, 0.1), loose(0, 0.45), loose(2, 0.45)])).toEqual([
      [
        [
          uuid(0),
          [
            [1, 0, 0.45],
            [2, 2, 0.45],
          ].map(([a, r, s]) => [a, r, expect.closeTo(s!, 12)]),
        ],
      ],
    ]);
    expect(shares([loose(1, 0.5), loose(0, 0.5)])).toEqual([[[uuid(0), [[0, 1, 0.5]]]]]);
  });
  test('bolts and nuts alone: spokes are seen to in the evening', () => {
    expect(shares([loose(3, 0.9), loose(0, 0.1)])).toEqual([[[uuid(0), [[1, 0, expect.closeTo(0.1, 12)]]]]]);
    expect(shares([loose(3, 0.9)])).toEqual([[]]);
    expect(shares([loose(0, 0.9, 1)])).toEqual([[]]);
  });
  test('of parts of a split always, of whoever is alone where the crew says so, of all together never', () => {
    const asks = [loose(0, 1)];
    const split = { id: uuid(70), name: 'Halves', groups: [[who(0)]], legs: [] };
    expect(shares(asks, { alone: ['bulb'] })).toEqual([[]]);
    expect(shares(asks, { splits: [split], alone: [] }, 'part')[0]).toHaveLength(1);
    expect(shares(asks, { alone: ['fastener-loose'] }, 'all')).toEqual([[]]);
    // All together mend it as any trouble; apart it is looked at by its heads.
    const made = groups({ asks, crew: { splits: [split], alone: ['fastener-loose'] }, fasteners: bolts });
    expect(made.map((g) => [g.kind, g.demands.length])).toEqual([
      ['all', 1],
      ['part', 0],
      ['part', 0],
      ['part', 0],
      ['alone', 0],
      ['alone', 0],
      ['alone', 0],
    ]);
  });
  test('heads to be turned: of the bikes that are there and of strangers, by all together', () => {
    const heads = [0, 1, 9].map((i) =>
      fastener({ head: { form: 'hex', size: '10' }, bikeId: uuid(i), torque: { value: 8, source: 'manual' } }),
    );
    const stranger = fastener({
      head: { form: 'hex', size: '10' },
      bikeId: STRANGERS_BIKE,
      torque: { value: 8, source: 'manual' },
    });
    const made = groups({ fasteners: [...heads, stranger], crew: { alone: ['bulb'] } });
    const turned = made.map((g) => g.tasks.flatMap((t) => t.fasteners).sort());
    expect(turned[0]).toEqual([heads[0]!.id, heads[1]!.id, stranger.id].sort());
    expect(turned.slice(1).flat()).toEqual([]);
    const less = groups({ fasteners: [...heads, stranger], absent: [1] })[0]!;
    expect(less.tasks.flatMap((t) => t.fasteners).sort()).toEqual([heads[0]!.id, stranger.id].sort());
  });
});

describe('on some of the legs', () => {
  const law = { mean: 0.8, shape: null };
  const on = (byLeg: number[], which: boolean[]) =>
    oddsOn(bareAsk('x', [], [], { law, exposure: seen({}, byLeg) }), which);
  test('a trouble comes by the share of its legs', () => {
    expect(on([0.5, 0.25, 0.25], [true, false, false])).toBeCloseTo(1 - Math.exp(-0.4), 12);
    expect(on([0.5, 0.25, 0.25], [true, true, true])).toBeCloseTo(1 - Math.exp(-0.8), 12);
    expect(on([0.5, 0.25, 0.25], [false, false, false])).toBe(0);
    expect(on([], [false])).toBeCloseTo(1 - countPmf(0, law), 12);
    const a = bareAsk('x', [], [], { law: { mean: 0.8, shape: 3 }, exposure: seen({}, [0.5, 0.5]) });
    expect(lawOn(a, [true, false])).toEqual({ mean: 0.4, shape: 3 });
    expect(lawOn(a, [true, true])).toBe(a.law);
    expect(lawOn({ ...a, exposure: seen({}) }, [false])).toBe(a.law);
  });
});

describe('who can go a way', () => {
  const [hard, together] = [3, 1].map((skill) => ({
    way: { ...way('w', 'proper', 0, 1, ['Do it']), skill: skill as 1 | 3 },
  }));
  const of = { exposure: seen({ subject: 'wheels' }) };
  const person = (hand: 1 | 2 | 3, skills = {}) => ({ person: newPerson({ hand, skills }) });
  test('whoever has the skill in its subject, and anybody where somebody may help', () => {
    expect(canGo(hard!, of, [person(1), person(3)], false)).toBe(true);
    expect(canGo(hard!, of, [person(1), person(2)], false)).toBe(false);
    expect(canGo(hard!, of, [person(1, { wheels: 3 })], false)).toBe(true);
    expect(canGo(hard!, of, [person(3, { wheels: 2 })], false)).toBe(false);
    expect(canGo(hard!, of, [person(1)], true)).toBe(true);
  });
  test('with company where it takes company', () => {
    const pair = { way: { ...together!.way, when: ['company'] as const } } as never;
    expect(
      [1, 2].map((n) =>
        canGo(
          pair,
          of,
          Array.from({ length: n }, () => person(3)),
          true,
        ),
      ),
    ).toEqual([false, true]);
    expect(canGo(pair, of, [person(3), person(3)], false)).toBe(true);
  });
});

describe('stocks', () => {
  test('the least that is enough, at the level itself too', () => {
    // P(N ≤ 1) of a mean of one half: e^−0.5 × 1.5 = 0.9098.
    const draw = { law: poisson(0.5), units: 1 };
    expect(leastUnits([draw], Math.exp(-0.5) * 1.5)).toBe(1);
    expect(leastUnits([draw], Math.exp(-0.5) * 1.5 + 1e-9)).toBe(2);
    expect(leastUnits([draw], Math.exp(-0.5))).toBe(0);
    // A level that nothing reaches ends where nobody would carry more.
    expect(leastUnits([draw], 2)).toBe(31);
    expect(leastUnits([{ law: poisson(300), units: 1 }], 2)).toBe(400);
  });
  test('a stock that nothing draws on is asked for the whole level, the others for their part of it', () => {
    const asks = [
      ask('x', 0, [uses('patch', 1)], { law: poisson(0.6) }),
      ask('y', 0, [uses('fuse', 1)], { law: poisson(0.4) }),
    ];
    const [all] = groups({ asks, question: { service: 0.9 } });
    const problem = { ...bareProblem([]), asks, question: { ...bareProblem([]).question, service: 0.9 } };
    const level = levelsOf(problem, all!);
    expect(level('clutch lever')).toBe(0.9);
    expect(level('patch') * level('fuse')).toBeGreaterThanOrEqual(0.9);
    expect(level('patch')).toBeLessThanOrEqual(0.999);
    expect(levelsOf(problem, all!)).toBe(level);
  });
});

describe('hours that a sharing saves', () => {
  const asks = [
    ask('x', 0, [uses('patch', 1, { gain: 4, hours: 4 })], { tails: [0.5], law: poisson(0.5) }),
    ask(
      'y',
      1,
      [uses('fuse', 1, { gain: 2, hours: 2, way: { ...way('hard', 'proper', 0, 1, ['Do it']), skill: 3 } })],
      {
        tails: [0.4],
        law: poisson(0.4),
      },
    ),
  ].map((a) => ({ ...a, exposure: { ...a.exposure, without: 10 } }));
  const members = [bareMember(0, 1000, { person: newPerson({ hand: 1 }) }), bareMember(1, 1000)];
  const c = { ...bareCrew({ ...bareProblem([]), asks }, members), anyHelp: false };
  const a: Assignment = {
    pieces: [],
    stock: new Map([
      ['patch', [1, 0]],
      ['fuse', [1, 0]],
    ]),
    ways: new Map(),
  };
  test('by bike and in all: what is carried counts, and what those can do who are there', () => {
    const both = hoursWith(c, a, [0, 1]);
    expect(both.bikes.get(uuid(0))).toMatchObject({ saved: 2, left: 3 });
    expect(both.bikes.get(uuid(1))!.saved).toBeCloseTo(0.8, 12);
    expect(both).toMatchObject({ saved: expect.closeTo(2.8, 12), left: expect.closeTo(3 + 3.2, 12) });
    // Without whoever can do it, the second saves nothing; without what is carried neither does.
    expect(hoursWith(c, a, [0], new Set([uuid(0), uuid(1)])).bikes.get(uuid(1))).toMatchObject({ saved: 0, left: 4 });
    expect(hoursWith(c, a, [1]).saved).toBe(0);
    expect([...hoursWith(c, a, [0]).bikes.keys()]).toEqual([uuid(0)]);
    expect(hoursWith({ ...c, absent: new Set([1]) }, a, [0, 1]).saved).toBe(2);
    expect(hoursWith({ ...c, absent: new Set([0]) }, a, [0, 1]).saved).toBe(0);
    expect(hoursWith({ ...c, anyHelp: true }, a, [0], new Set([uuid(1)])).saved).toBeCloseTo(0.8, 12);
  });
  test('home is the chance that no trouble that ends a ride comes oftener than it is mended', () => {
    const stopping = (stops: boolean) => ({
      ...c,
      problem: {
        ...c.problem,
        asks: asks.map((x) => ({ ...x, exposure: { ...x.exposure, trouble: { ...x.exposure.trouble, stops } } })),
      },
    });
    const none: Assignment = { pieces: [], stock: new Map(), ways: new Map() };
    expect(hoursWith(stopping(true), none, [0, 1]).home).toBeCloseTo(Math.exp(-0.9), 12);
    expect(hoursWith(stopping(true), a, [0, 1]).home).toBeCloseTo(Math.exp(-0.5) * 1.5 * Math.exp(-0.4) * 1.4, 12);
    expect(hoursWith(stopping(false), none, [0, 1]).home).toBe(1);
  });
});

import { long } from '../testing/long.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import type { GarageDocument } from '../garage/index.js';
import { THOROUGH } from '../testing/thorough.js';
import type { Solve } from '../ground/milp.js';
import { answerFor } from '../answer/index.js';
import { newSupply } from '../repairs/supplies/index.js';
import { uuid } from '../testing/make.js';
import { loads, nothing, totalMass, type Shared } from './assignment.js';
import { ME, newCrew, type Crew } from './crew.js';
import { doublesOf } from './doublesOf.js';
import { bareMember } from '../testing/smallCrews.js';
import { crewCase, mergedRows, without, type CrewCase } from './crewCase.js';
import { shareOut } from './crewMilp.js';
import { effectOf, moved } from './effect.js';
import { fetchHours } from './fetch.js';
import { firstShare } from './firstShare.js';
import { hoursWith } from './hours.js';
import { gapsOf, judgeCrew, leftUndone } from './judge.js';
import { crewCsv, listOfCarrier } from './lists.js';
import { matchingOf } from './matching.js';
import { carryLimit, USUAL_LIMIT } from './member.js';
import { newPerson } from './person.js';
import { canHold } from './canHold.js';
import { stowOfRider } from './stowed.js';
import { filling } from '../trip/air/index.js';
import { legNeeds } from '../trip/services/index.js';
import { rideNeeds } from './rideNeeds.js';
import { crewSwitchCosts, swapsOf } from './crewSwitches.js';
import { crewAnswer, type CrewAnswer } from './told.js';
import { absenceOf, aloneMass, cureOfGaps, leaning, riderAdds, withMore } from './whatIf.js';

let solve: Solve;
/** By day with each fourth of the fasteners that no repair asks for: all that is shared out hangs on them. */
const doc = THOROUGH ? demoGarage() : thinned(demoGarage());
function thinned(whole: GarageDocument): GarageDocument {
  const few = <F extends { role: unknown }>(all: readonly F[]) => all.filter((f, i) => f.role !== null || i % 4 === 0);
  return {
    ...whole,
    fasteners: few(whole.fasteners),
    companions: whole.companions.map((x) => ({ ...x, fasteners: few(x.fasteners) })),
  };
}
const crew = doc.crews[0]!;
let c: CrewCase;
let shared: Shared;
let answer: CrewAnswer;
beforeAll(async () => {
  solve = await loadSolver();
  c = crewCase(doc, crew)!;
  shared = shareOut(c, solve)!;
  answer = crewAnswer(c, shared);
});
/** The rider and Oke alone: what does not hang on how many ride is looked at with two, in a fraction of the time. */
const two: Crew = { ...crew, members: crew.members.slice(0, 2), splits: [], vehicles: [] };
const shareWith = (fields: Partial<Crew>, base = crew) => {
  const of = crewCase(doc, { ...base, ...fields })!;
  return { of, found: shareOut(of, solve)! };
};
const number = (name: string) => c.carriers.findIndex((k) => k.name === name);

describe('four people on unlike bikes', () => {
  test('each list sums to what the screen says, and all lists to the whole', () => {
    const sums = answer.carriers.map((_, r) => listOfCarrier(answer, r).reduce((s, l) => s + l.mass, 0));
    sums.forEach((s, r) => expect(s).toBeCloseTo(answer.carriers[r]!.mass, 6));
    expect(sums.reduce((s, m) => s + m, 0)).toBeCloseTo(answer.mass, 6);
    expect(answer.mass).toBeCloseTo(totalMass(c, shared), 6);
    // The CSV has a head and a line for each thing.
    const rows = crewCsv(answer, [0, 1]).trim().split('\r\n');
    expect(rows).toHaveLength(1 + answer.carriers[0]!.tokens.length + answer.carriers[1]!.tokens.length);
    expect(rows[1]).toMatch(/^Mirel,/u);
  });

  test('it is proven, within limits, and lighter than what each would carry alone', () => {
    expect(shared.proven).toBe(true);
    expect(judgeCrew(c, shared).over).toEqual([]);
    const alone = c.members.map((_, i) => aloneMass(c, i, solve));
    expect(alone.every((m) => m !== null && m > 0)).toBe(true);
    const all = alone.reduce<number>((s, m) => s + m!, 0);
    expect(answer.mass).toBeLessThan(all);
    // Nobody alone needs more than the whole crew has.
    for (const m of alone) expect(m!).toBeLessThanOrEqual(answer.mass + 40);
  });

  test('a first sharing is there at once, no lighter, with no more left undone', () => {
    const first = firstShare(c);
    // What is left undone comes first: only where that is the same is the weight compared.
    expect(leftUndone(c, first)).toBeGreaterThanOrEqual(leftUndone(c, shared) - 1e-9);
    if (leftUndone(c, first) <= leftUndone(c, shared) + 1e-9) expect(first.cost).toBeGreaterThanOrEqual(shared.bound);
    expect(first.cost).toBeLessThan(shared.cost * 1.15);
  });

  test('what is left undone counts repairs and heads one by one, what comes loose by its share', () => {
    const gaps = judgeCrew(c, shared).gaps;
    const whole = gaps.filter((g) => g.kind === 'mend' || g.kind === 'turn').length;
    const left = leftUndone(c, shared);
    expect(left).toBeGreaterThanOrEqual(whole);
    expect(left).toBeLessThanOrEqual(whole + gaps.filter((g) => g.kind === 'loose').length);
    // Nobody carries anything: all that is asked is undone.
    const nobody = leftUndone(c, nothing(c));
    const asked = c.groups.reduce(
      (s, g) =>
        s +
        g.demands.length +
        g.tasks.length +
        g.loose.reduce((n, l) => n + l.shares.reduce((x, z) => x + z.share, 0), 0),
      0,
    );
    expect(nobody).toBeCloseTo(asked, 9);
  });

  test('whose a thing is: their own first, then what others own, the rest is bought', () => {
    for (const carrier of answer.carriers)
      for (const t of carrier.tokens) {
        expect(t.of.reduce((s, o) => s + o.count, 0) + t.buy).toBe(t.count);
        const p = c.problem.pieces.findIndex((x) => t.item === `piece ${x.id}`);
        const mine = p < 0 ? 0 : (c.of[p]!.find((o) => o.member === carrier.number)?.count ?? 0);
        if (p >= 0) expect(t.of.find((o) => o.member === carrier.number)?.count ?? 0).toBe(Math.min(t.count, mine));
      }
    // No owner lends more copies than they have.
    c.problem.pieces.forEach((p, i) => {
      for (const o of c.of[i]!) {
        const lent = answer.carriers.flatMap((k) =>
          k.tokens.filter((t) => t.item === `piece ${p.id}`).flatMap((t) => t.of),
        );
        const n = lent.filter((x) => x.member === o.member).reduce((s, x) => s + x.count, 0);
        expect(n).toBeLessThanOrEqual(o.count);
      }
    });
  });

  test('a reason is what is really lost without the thing', () => {
    const bar = answer.carriers[number('Mirel')]!.tokens.find((t) => t.why.some((g) => g.kind === 'turn'))!;
    const less = moved(c, shared, bar.item, number('Mirel'), -1);
    const now = c.groups.flatMap((g) => gapsOf(c, less, g)).length;
    expect(now).toBe(judgeCrew(c, shared).gaps.length + bar.why.length);
  });

  test('what is carried twice: why each has one, and which of them can go', () => {
    const doubles = doublesOf(answer);
    for (const d of doubles) {
      expect(d.by.reduce((n, x) => n + x.count, 0)).toBeGreaterThan(1);
      // A double on which nothing hangs could go without a gap more.
      const idle = d.by.find((b) => b.for.length === 0);
      expect(d.canGo).toBe(idle !== undefined);
      const one = idle ?? d.by[0]!;
      const less = judgeCrew(c, moved(c, shared, d.item, one.carrier, -1)).gaps.length;
      if (idle) expect(less).toBe(judgeCrew(c, shared).gaps.length);
      else expect(less).toBeGreaterThan(judgeCrew(c, shared).gaps.length);
    }
    for (let i = 1; i < doubles.length; i++) expect(doubles[i]!.mass).toBeLessThanOrEqual(doubles[i - 1]!.mass);
  });

  test('a car that comes to the last leg carries nothing that an earlier leg needs', () => {
    const car = number('The car');
    const groups = c.groups.filter((g) => g.kind === 'all');
    expect(groups.map((g) => g.carriers.includes(car)).sort()).toEqual([false, true]);
    // All heads must be turned on the first legs too, so that no tool rides in it.
    expect(answer.carriers[car]!.tokens.filter((t) => t.item.startsWith('piece '))).toEqual([]);
    // There on all legs it takes what nobody needs alone or apart.
    const { of, found } = shareWith({
      vehicles: crew.vehicles.map((v) => ({ ...v, legs: [] })),
      fair: 1,
      splits: [],
      alone: [],
    });
    expect(of.groups.filter((g) => g.kind === 'all')).toHaveLength(1);
    const by = loads(of, found);
    expect(by[car]!.mass).toBeGreaterThan(0.9 * by.reduce((s, l) => s + l.mass, 0));
  });

  test('a split costs weight or nothing; without splits and alone-kits the crew needs no more than before', () => {
    const whole = shareWith({ splits: [], alone: [], fair: 0 });
    const split = shareWith({ alone: [], fair: 0 });
    expect(totalMass(whole.of, whole.found)).toBeLessThanOrEqual(totalMass(split.of, split.found) + 20);
  });

  test('skill: what nobody of a part has done is said of the part, and counts where somebody who has is with it', () => {
    const tal = c.groups.find((g) => g.kind === 'part' && g.name.includes('Tal'))!;
    const said = tal.never.map((n) => ({ what: c.problem.asks[n.ask]!.name, why: n.why }));
    expect(said).toContainEqual({ what: 'Puncture, tubed', why: [{ code: 'lack.nobody-here' }] });
    const all = c.groups.find((g) => g.kind === 'all')!;
    expect(all.never.some((n) => n.why.some((w) => w.code === 'lack.nobody-here'))).toBe(false);
    // With Tal handy the part can.
    const able = {
      ...doc,
      companions: doc.companions.map((x) => ({ ...x, person: { ...x.person, hand: 3 as const } })),
    };
    const again = crewCase(able, crew)!.groups.find((g) => g.key === tal.key)!;
    expect(again.never.filter((n) => n.why.some((w) => w.code === 'lack.nobody-here'))).toEqual([]);
  });

  test('what the rider decides is kept: given to somebody, or left at home', () => {
    const token = answer.carriers[0]!.tokens.find((t) => t.item.startsWith('piece '))!;
    const oke = two.members[1]!.who;
    const given = shareWith({ fixed: [{ item: token.item, by: oke, count: 1 }] }, two);
    const at = (of: CrewCase) => of.problem.pieces.findIndex((x) => token.item === `piece ${x.id}`);
    expect(given.found.pieces[at(given.of)]![1]).toBeGreaterThanOrEqual(1);
    expect(firstShare(given.of).pieces[at(given.of)]![1]).toBeGreaterThanOrEqual(1);
    const home = shareWith({ fixed: [{ item: token.item, by: 'home', count: 200 }] }, two);
    expect(home.found.pieces[at(home.of)]!.every((n) => n === 0)).toBe(true);
    expect(firstShare(home.of).pieces[at(home.of)]!.every((n) => n === 0)).toBe(true);
    const [stock] = [...given.found.stock.keys()];
    const spare = shareWith({ fixed: [{ item: `spare ${stock}`, by: oke, count: 3 }] }, two);
    expect(spare.found.stock.get(stock!)![1]).toBeGreaterThanOrEqual(3);
  });

  test('what somebody always brings they carry themselves, tool or spare, whatever it is good for', () => {
    const companions = doc.companions.map((x, i) =>
      i === 0
        ? {
            ...x,
            pieces: x.pieces.map((p) => (p.name.startsWith('Jump leads') ? { ...p, mark: 'always' as const } : p)),
            supplies: [newSupply({ id: uuid(4000), kind: 'patch', quantity: 5, mark: 'always' })],
          }
        : x,
    );
    const of = crewCase({ ...doc, companions }, two)!;
    const found = shareOut(of, solve)!;
    for (const a of [found, firstShare(of)]) {
      expect(a.stock.get('patch')![1]).toBeGreaterThanOrEqual(5);
      const leads = of.problem.pieces.findIndex((p) => p.mark === 'always' && p.name.startsWith('Jump leads'));
      expect(a.pieces[leads]![1]).toBe(1);
    }
    // In Oke's hands they are nobody else's: alone Mirel needs patches of her own all the same.
    const mirel = of.groups.find((g) => g.kind === 'alone' && g.members.includes(0))!;
    expect(mirel.demands.some((d) => d.options.some((o) => o.supplies.some((s) => s.kind === 'patch')))).toBe(true);
    expect(found.stock.get('patch')![0]).toBeGreaterThan(0);
  });

  test('the effect of handing a thing on is the difference of the two', () => {
    const token = answer.carriers[0]!.tokens[0]!;
    const after = moved(c, shared, token.item, 0, 2);
    const e = effectOf(c, shared, after);
    expect(e.mass).toBeCloseTo(0, 9);
    const share = (a: typeof shared) =>
      Math.max(
        ...loads(c, a)
          .slice(0, 4)
          .map((l, r) => l.mass / c.carriers[r]!.limit),
      );
    expect(e.share).toBeCloseTo(share(after as typeof shared) - share(shared), 9);
    expect(e.lost.length - e.won.length).toBe(judgeCrew(c, after).gaps.length - judgeCrew(c, shared).gaps.length);
    // Back again nothing changed.
    expect(effectOf(c, shared, moved(c, after, token.item, 2, 0))).toMatchObject({ lost: [], won: [], over: [] });
    const home = effectOf(c, shared, moved(c, shared, token.item, 0, -1));
    expect(home.mass).toBeCloseTo(-token.mass / token.count, 6);
  });
});

describe('what if', () => {
  test('without somebody the others lose what was theirs, and the cure closes what can be closed', () => {
    const gone = number('Mirel');
    const absent = absenceOf(c, shared, gone);
    expect(absent.hours).toBeGreaterThan(0);
    expect(absent.gaps.length).toBeGreaterThan(0);
    expect(absent.gaps.every((g) => g.bikeId !== crew.members[0]!.bikeId)).toBe(true);
    const less = without(c, [gone]);
    const cure = cureOfGaps(less, shared, solve)!;
    expect(cure.additions.length).toBeGreaterThan(0);
    expect(cure.additions.every((a) => a.by !== gone)).toBe(true);
    expect(cure.left.length).toBeLessThan(absent.gaps.length);
    // Carried as it says, just what it leaves is left.
    let a = shared as Parameters<typeof moved>[1];
    for (const x of cure.additions) a = moved(c, a, x.item, -1, x.by, x.count);
    expect(less.groups.flatMap((g) => gapsOf(less, a, g)).length).toBe(cure.left.length);
    expect(cure.mass).toBeCloseTo(
      cure.additions.reduce((s, x) => s + x.mass, 0),
      9,
    );
  });

  test('with more of what is owned the gaps that hang on copies close, and nothing is taken from anybody', () => {
    const more = withMore(c);
    const cure = cureOfGaps(more, shared, solve)!;
    const open = judgeCrew(c, shared).gaps.length;
    expect(open).toBeGreaterThan(0);
    expect(cure.left.length).toBeLessThan(open);
    for (const x of cure.additions) expect(x.count).toBeGreaterThan(0);
  });

  test('nothing of an absent one counts', () => {
    const less = without(c, [0]);
    const found = shareOut(less, solve)!;
    expect(found.pieces.every((by) => by[0] === 0)).toBe(true);
    expect([...found.stock.values()].every((by) => by[0] === 0)).toBe(true);
    expect(less.groups.every((g) => !g.carriers.includes(0))).toBe(true);
    expect(
      without(
        c,
        c.carriers.map((_, i) => i),
      ).groups,
    ).toEqual([]);
  });

  test('hours that a bike leans on another are what it saves less without them', () => {
    const lean = leaning(c, shared);
    const every = c.carriers.map((_, i) => i);
    const all = hoursWith(c, shared, every);
    lean.forEach((row, i) => {
      expect(row[i]).toBe(0);
      const mine = all.bikes.get(c.members[i]!.bike.id)!;
      row.forEach((h) => expect(h).toBeLessThanOrEqual(mine.saved + 1e-9));
    });
    expect(lean.flat().some((h) => h > 0)).toBe(true);
    expect(all.home).toBeCloseTo(
      [...all.bikes.values()].reduce((p, b) => p * b.home, 1),
      12,
    );
    // Nobody saves more with fewer.
    const few = hoursWith(c, shared, [0], new Set([c.members[0]!.bike.id]));
    expect(few.saved).toBeLessThanOrEqual(all.bikes.get(c.members[0]!.bike.id)!.saved + 1e-9);
  });

  long('what one rider adds is the difference of two whole sharings', () => {
    const bo = number('Bo');
    const adds = riderAdds(c, shared, bo, solve)!;
    const less = without(c, [bo]);
    const alone = shareOut(less, solve)!;
    expect(adds.mass).toBeCloseTo(totalMass(c, shared) - totalMass(less, alone), 6);
    const others = new Set(c.members.filter((_, i) => i !== bo).map((m) => m.bike.id));
    const every = c.carriers.map((_, i) => i);
    expect(adds.hours).toBeCloseTo(
      hoursWith(c, shared, every, others).saved - hoursWith(less, alone, every, others).saved,
      9,
    );
  });

  test('each rider’s part is stowed by the rules of Stow, on their own bike', () => {
    const mine = stowOfRider(c, shared, 0)!;
    expect(mine.known).toBe(true);
    // Every gram of the part is on the axles, or fits nowhere.
    const loose = answer.carriers[0]!.tokens.filter((t) => mine.loose.some((n) => n.startsWith(t.name)));
    const bike = doc.bikes[0]!;
    const taken = c.members[0]!.places.reduce((s, p) => s + p.takenMass, 0);
    expect(mine.front + mine.rear).toBeCloseTo(
      bike.mass + doc.garage.rider.mass + taken + answer.carriers[0]!.mass - loose.reduce((s, t) => s + t.mass, 0),
      3,
    );
    // Nobody knows the places of a bike from one line: nothing is stowed, the payload is looked at all the same.
    expect(stowOfRider(c, shared, 1)).toMatchObject({ known: false, loose: [], broken: [] });
    expect(stowOfRider(c, shared, number('The car'))).toBeNull();
  });

  test('a thing that is longer than every place of somebody is not given to them', () => {
    const long = doc.pieces.find((p) => p.name === 'Pipe 300 mm')!;
    const [place] = doc.places;
    const short = {
      ...place!,
      kind: 'box' as const,
      inside: { length: 100, width: 60, height: 50 },
      slots: null,
      bikeId: doc.companions[0]!.bikes[0]!.id,
    };
    const of = crewCase(
      { ...doc, companions: doc.companions.map((x, i) => (i === 0 ? { ...x, places: [short] } : x)) },
      { ...two, fair: 1 },
    )!;
    const oke = 1;
    expect(canHold(of.carriers[oke]!, long)).toBe(false);
    expect(canHold(of.carriers[0]!, long)).toBe(true);
    const found = shareOut(of, solve)!;
    of.problem.pieces.forEach((p, i) => {
      if (!canHold(of.carriers[oke]!, p)) expect(found.pieces[i]![oke]).toBe(0);
    });
  });

  test('strangers’ bikes are met by everybody together, where the practice says so', () => {
    const practice = { ...doc.garage.practice, others: 'any' as const };
    const of = crewCase({ ...doc, garage: { ...doc.garage, practice } }, crew)!;
    const tasks = (x: CrewCase) => x.groups.find((g) => g.kind === 'all')!.tasks.flatMap((t) => t.fasteners).length;
    expect(tasks(of)).toBeGreaterThan(tasks(c));
  });

  long('a switch costs what the two sharings differ by', () => {
    const plain = { alone: [] };
    const costs = crewSwitchCosts(doc, { ...two, ...plain }, null, solve);
    expect(costs.map((x) => x.name)).toEqual(['mechanic', 'strong', 'fluids']);
    const now = shareWith(plain, two);
    const mechanic = shareWith({ ...plain, mechanic: true }, two);
    expect(costs[0]!.mass).toBeCloseTo(totalMass(mechanic.of, mechanic.found) - totalMass(now.of, now.found), 6);
    const tools = mechanic.of.carriers.map((_, r) =>
      mechanic.of.problem.pieces.reduce((s, p, i) => s + mechanic.found.pieces[i]![r]! * p.mass, 0),
    );
    expect(tools[0]!).toBeGreaterThanOrEqual(tools[1]! - 1e-6);
    const fluids = shareWith({ ...plain, fluids: true }, two);
    fluids.of.carriers.forEach((_, r) => {
      const wet = [...fluids.found.stock].some(
        ([k, by]) => by[r]! > 0 && fluids.of.problem.book.of(k).traits.includes('leaks'),
      );
      const dry = fluids.of.problem.pieces.some(
        (p, i) => fluids.found.pieces[i]![r]! > 0 && !p.traits.includes('leaks') && p.mark === null,
      );
      expect(wet && dry).toBe(false);
    });
  });

  test('fetching: so far there and back and a while at the shop; what it covers is not carried for', () => {
    // 2 × 60 km at 30 km/h and half an hour.
    expect(fetchHours(c.trip, 60)).toBeCloseTo(4.5, 12);
    const far = crewCase(doc, { ...crew, fetch: 200 })!;
    const all = far.groups.find((g) => g.kind === 'all')!;
    expect(all.fetched.length).toBeGreaterThan(0);
    expect(all.demands.length).toBeLessThan(c.groups.find((g) => g.key === all.key)!.demands.length);
    // Nobody waits for somebody hurt, and nobody alone has anybody to send.
    expect(all.fetched.every((a) => c.problem.asks[a]!.exposure.trouble.subject !== 'people')).toBe(true);
    expect(far.groups.filter((g) => g.members.length === 1).every((g) => g.fetched.length === 0)).toBe(true);
  });

  long('the best swap frees what the lightest set for all bikes weighs less without that bolt', () => {
    const [best, ...others] = swapsOf(c, solve);
    expect(best!.grams).toBeGreaterThan(0);
    for (const s of others) expect(s.grams).toBeLessThanOrEqual(best!.grams);
  });
});

describe('rates', () => {
  test('the rider’s own record is of the rider’s own bike, and says nothing of what others ride', () => {
    const mine = c.problem.asks.filter((a) => a.bikeId === doc.bikes[0]!.id);
    const theirs = c.problem.asks.filter((a) => a.bikeId !== doc.bikes[0]!.id);
    expect(doc.rides.length).toBeGreaterThan(0);
    expect(mine.some((a) => a.exposure.experience !== null)).toBe(true);
    expect(theirs.every((a) => a.exposure.experience === null)).toBe(true);
    for (const a of theirs) expect(a.exposure.lambda).toBeCloseTo(a.exposure.planned, 12);
  });
});

describe('fuel, water and air', () => {
  test('the least over the legs of what a leg’s own figures say, for each bike', () => {
    const needs = rideNeeds(c.members, c.trip);
    c.members.forEach((m, i) => {
      const legs = c.trip.legs.map((l) => legNeeds(m.bike, l));
      expect(needs[i]!.range).toBe(Math.min(...legs.map((l) => l.range)));
      expect(needs[i]!.water).toBe(Math.max(...legs.map((l) => l.water)));
      expect(needs[i]!.spareFuel).toBeNull();
      expect(needs[i]!.rear.litres).toBeCloseTo(filling(m.bike.tyreRear, 0, 200).litres, 9);
    });
    const far = { ...c.trip, legs: c.trip.legs.map((l, i) => ({ ...l, fuelGapKm: i === 0 ? 900 : 50 })) };
    const asked = rideNeeds(c.members, far);
    expect(asked[0]!.spareFuel).toBe(legNeeds(c.members[0]!.bike, far.legs[0]!).spareFuel);
    expect(asked[0]!.spareFuel).toBeGreaterThan(10);
    expect(rideNeeds(c.members, { ...c.trip, legs: [] })[0]).toMatchObject({ range: null, spareFuel: null, water: 0 });
  });
});

describe('people and their limits', () => {
  test('the payload is the last word; places come before a typical value, and what is entered before places', () => {
    const bike = { ...doc.bikes[0]!, payload: 120_000 };
    const person = newPerson({ mass: 90_000 });
    expect(carryLimit(bike, person, [], null)).toEqual({ limit: USUAL_LIMIT, room: null, limitBy: 'typical' });
    expect(carryLimit(bike, newPerson({ mass: 115_000 }), [], null)).toMatchObject({ limit: 5000, limitBy: 'payload' });
    expect(carryLimit(bike, { ...person, mayCarry: 3000, onBody: 500 }, [], null)).toMatchObject({
      limit: 3500,
      limitBy: 'given',
    });
    const [place] = doc.places.filter((p) => p.kind !== 'body');
    const one = { ...place!, limit: 4000, roughLimit: 2500, takenMass: 500 };
    // What is worn is no part of the bike: its place bears nothing there, but what lies in it is on the payload all the same.
    const worn = { ...one, kind: 'body' as const, takenMass: 29_000 };
    expect(carryLimit(bike, person, [worn], null)).toMatchObject({ limit: 1000, room: null, limitBy: 'payload' });
    expect(carryLimit(bike, person, [{ ...worn, takenMass: 0 }], null)).toMatchObject({
      limit: USUAL_LIMIT,
      limitBy: 'typical',
    });
    const roomy = carryLimit(bike, { ...person, bodyLitres: 2 }, [one], null).room!;
    expect(roomy - carryLimit(bike, person, [one], null).room!).toBe(2000);
    const rough = { pillion: 0, legs: [{ ...doc.trips[0]!.legs[0]!, km: { paved: 0, gravel: 0, track: 5 } }] };
    expect(carryLimit(bike, person, [one], null)).toMatchObject({ limit: 3500, limitBy: 'places' });
    expect(carryLimit(bike, person, [one], rough)).toMatchObject({ limit: 2000, limitBy: 'places' });
    expect(carryLimit(bike, person, [one], { ...rough, pillion: 28_500 })).toMatchObject({
      limit: 1000,
      limitBy: 'payload',
    });
  });

  test('whoever is gone from the garage is left away; nobody at all is no crew', () => {
    const less = { ...doc, companions: doc.companions.slice(1) };
    expect(crewCase(less, crew)!.members.map((m) => m.name)).toEqual(['Mirel', 'Tal', 'Bo']);
    expect(crewCase(doc, { ...crew, tripId: uuid(77) })).toBeNull();
    expect(crewCase(doc, { ...crew, members: [{ who: uuid(5), bikeId: uuid(6) }] })).toBeNull();
    // A bike that is gone: the first of theirs stands in.
    const other = crewCase(doc, { ...crew, members: crew.members.map((m) => ({ ...m, bikeId: uuid(6) })) })!;
    expect(other.members.map((m) => m.bike.name)).toEqual([
      'Quarrel 450',
      'Haldane 900',
      'Mariner 1200',
      'Bo’s trail 200',
    ]);
  });

  test('a crew of one on one’s own bike carries what the lightest kit of that rule weighs, or less', () => {
    const trip = { ...doc.trips[1]!, companions: 0, kit: { ...doc.trips[1]!.kit, ask: 'lightest' as const } };
    const mine = { ...doc, trips: [trip] };
    const one = crewCase(
      mine,
      newCrew({ id: uuid(1), tripId: trip.id, members: [{ who: ME, bikeId: doc.bikes[0]!.id }], fair: 0, alone: [] }),
    )!;
    const found = shareOut(one, solve, { within: 1 })!;
    const { kit } = answerFor(
      { ...mine, garage: { ...mine.garage, practice: { ...mine.garage.practice, doubles: 'none' } } },
      { bikeId: doc.bikes[0]!.id, tripId: trip.id },
      solve,
    );
    // Tools are an exact cover of the same heads and functions; stocks are pooled here and by trouble there.
    const tools = one.problem.pieces.reduce((s, p, i) => s + found.pieces[i]![0]! * p.mass, 0);
    expect(totalMass(one, found)).toBeLessThanOrEqual(kit.mass + 5);
    expect(tools).toBeGreaterThan(0.8 * kit.toolMass);
  });

  test('sizes and fits side by side: common ones first, each bike counted', () => {
    const { sizes, fits } = matchingOf(c.members);
    for (const row of sizes) {
      expect(row.counts).toHaveLength(4);
      expect(row.bikes).toBe(row.counts.filter((n) => n > 0).length);
    }
    for (let i = 1; i < sizes.length; i++) expect(sizes[i]!.bikes).toBeLessThanOrEqual(sizes[i - 1]!.bikes);
    const own = doc.fasteners.filter((f) => f.bikeId === doc.bikes[0]!.id && f.leftOut === null);
    const ends = own.reduce((s, f) => s + f.count * (f.far ? 2 : 1), 0);
    expect(sizes.reduce((s, r) => s + r.counts[0]!, 0)).toBe(ends);
    expect(fits.find((f) => f.slot === 'valve')).toMatchObject({ same: true });
    expect(fits.find((f) => f.slot === 'chain')).toMatchObject({ same: false });
  });
});

test('kinds of one’s own are everybody’s; the first who uses a name says what it is', () => {
  const kind = (i: number, name: string, mass: number) => ({
    ...{ id: uuid(6000 + i), name, unit: 'piece', mass, size: { length: 1, width: 1, height: 1 }, price: 1 },
    ...{ traits: [], matches: false, note: '' },
  });
  const members = [
    [kind(0, 'seal', 5), kind(1, 'gasket', 6)],
    [kind(2, 'seal', 50), kind(3, 'reed', 7)],
  ].map((kinds, i) => bareMember(i, 1000, { kinds }));
  const rows = mergedRows(doc, members, [], doc.trips[0]!);
  expect(rows.kinds.map((k) => [k.name, k.mass])).toEqual([
    ['seal', 5],
    ['gasket', 6],
    ['reed', 7],
  ]);
  expect(rows.trips[0]).toMatchObject({ companions: 1, along: [uuid(1)] });
  expect([...rows.othersRide!]).toEqual([uuid(1)]);
});

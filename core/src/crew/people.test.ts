import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { newBike } from '../bike/index.js';
import { atHand, lentOut, type Loan } from '../toolbox/loan.js';
import { uuid } from '../testing/make.js';
import { alike } from './alike.js';
import { fitClasses, readingOf } from './fitClass.js';
import { membersOf } from './member.js';
import { newPerson, personSchema, skillIn } from './person.js';
import { companionSchema } from './companion.js';
import { readCompanion } from './oneLine.js';
import { axleGuesses, settleSize, templateBike, templateFasteners, unknownJobs } from './template.js';

let n = 100;
const nextId = () => uuid(n++);

describe('a companion in one line', () => {
  test('name, bike, tyres and skill, in any order after the name', () => {
    const { companion, parts, unread } = readCompanion('Ada, enduro 250, tubes, handy', nextId);
    expect(unread).toEqual([]);
    expect(parts.map((p) => p.as)).toEqual(['name', 'bike', 'tyres with tubes', 'what they can do']);
    expect(companion.person).toMatchObject({ name: 'Ada', hand: 2 });
    expect(companion.bikes[0]).toMatchObject({
      name: 'Ada’s enduro 250',
      tyres: 'tubed',
      starter: 'electric and kick',
    });
    expect(companionSchema.safeParse(companion).success).toBe(true);
    const other = readCompanion('Ada, handy, tubes, enduro 250', nextId).companion;
    expect(other.bikes[0]).toMatchObject({ name: 'Ada’s enduro 250', mass: companion.bikes[0]!.mass });
  });
  test.each([
    [
      'Bo, adventure, 95 kg, first aid',
      { mass: 95_000, firstAid: true, hand: 1 },
      { tyres: 'tubeless', drive: 'chain' },
    ],
    ['Cy, touring, belt, mechanic', { hand: 3 }, { drive: 'belt', engine: 'in-line four' }],
    ['Di, trail, kick, two-stroke, carries 2.5 kg', { mayCarry: 2500 }, { starter: 'kick', strokes: 2 }],
    ['Ed, scooter, tank 6', {}, { tank: 6, drive: 'belt' }],
    ['Flo', { name: 'Flo' }, { name: 'Flo’s bike' }],
  ])('%s', (line, person, bike) => {
    const made = readCompanion(line, nextId);
    expect(made.unread).toEqual([]);
    expect(made.companion.person).toMatchObject(person);
    expect(made.companion.bikes[0]).toMatchObject(bike);
  });
  test('what is not understood is named and nothing is guessed from it', () => {
    const made = readCompanion('Gus, hovercraft, 900 kg, tank 80', nextId);
    expect(made.unread).toEqual(['hovercraft', '900 kg', 'tank 80']);
    expect(made.companion.person.mass).toBe(newPerson().mass);
    expect(made.companion.bikes[0]!.tank).toBe(newBike(uuid(1), 'x').tank);
  });
});

describe('what nobody has measured', () => {
  test('an axle nut is each size that is likely, the likeliest first, over most bikes', () => {
    for (const kind of ['trail', 'dual-sport', 'adventure'] as const) {
      const guesses = axleGuesses(templateBike(uuid(1), 'x', kind));
      const sum = guesses.reduce((s, g) => s + g.odds, 0);
      expect(sum).toBeGreaterThanOrEqual(0.8);
      expect(sum - guesses.at(-1)!.odds).toBeLessThan(0.8);
      for (let i = 1; i < guesses.length; i++) expect(guesses[i]!.odds).toBeLessThanOrEqual(guesses[i - 1]!.odds);
    }
    // A heavy bike's is larger than a light one's.
    const first = (kind: 'trail' | 'adventure') => Number(axleGuesses(templateBike(uuid(1), 'x', kind))[0]!.size);
    expect(first('adventure')).toBeGreaterThan(first('trail'));
  });
  test('a fact replaces the guesses of its job alone', () => {
    const bike = templateBike(uuid(1), 'x', 'trail');
    const rows = templateFasteners(bike, nextId);
    expect(rows.every((f) => f.evidence === 'assumed')).toBe(true);
    expect(unknownJobs(rows).map((u) => u.role)).toEqual(['front axle', 'rear axle']);
    const after = settleSize(rows, 'rear axle', '27');
    expect(unknownJobs(after).map((u) => u.role)).toEqual(['front axle']);
    const rear = after.filter((f) => f.role === 'rear axle');
    expect(rear).toHaveLength(1);
    expect(rear[0]).toMatchObject({ head: { form: 'hex', size: '27' }, evidence: 'measured', name: 'Rear axle nut' });
    expect(settleSize(after, 'rear axle', '30')).toEqual(after);
  });
});

describe('which spare serves which bike', () => {
  const bike = (i: number, fields: object) => ({ ...newBike(uuid(i), `Bike ${i}`), ...fields });
  test('one front tube for three bikes of one rim, another for the fourth', () => {
    const bikes = [
      bike(1, {}),
      bike(2, { tyreFront: '80/100-21' }),
      bike(3, { fit: { 'tube front': '3.00-21, straight' } }),
      bike(4, { tyreFront: '110/80-19' }),
    ];
    const classes = fitClasses('front tube', bikes);
    expect(classes.map((c) => c.bikes)).toEqual([[uuid(1), uuid(2), uuid(3)], [uuid(4)]]);
  });
  test('what nothing decides is one stock for all', () => {
    expect(fitClasses('patch', [bike(1, {}), bike(2, {})])).toEqual([
      { key: 'patch', kind: 'patch', fits: '', bikes: [uuid(1), uuid(2)] },
    ]);
  });
  test('sheets that read alike share; unread ones share with nobody', () => {
    const bikes = [
      bike(1, { fit: { chain: '520, 112, clip' } }),
      bike(2, { fit: { chain: '520, 118, clip' } }),
      bike(3, { fit: { chain: '525, 118, rivet' } }),
      bike(4, {}),
      bike(5, {}),
    ];
    expect(fitClasses('chain link', bikes).map((c) => c.bikes)).toEqual([
      [uuid(1), uuid(2)],
      [uuid(3)],
      [uuid(4)],
      [uuid(5)],
    ]);
    expect(readingOf(bikes[3]!, 'chain link')).toBe('');
    expect(readingOf(bikes[3]!, 'patch')).toBeNull();
  });
  test('a kind of the rider’s own that must match has classes of its own', () => {
    const own = [
      {
        id: uuid(9),
        name: 'gear cable',
        unit: 'piece',
        mass: 20,
        size: { length: 1, width: 1, height: 1 },
        price: 1,
        traits: [],
        matches: true,
        note: '',
      },
    ];
    const bikes = [
      bike(1, { fit: { 'gear cable': 'long' } }),
      bike(2, { fit: { 'gear cable': 'Long' } }),
      bike(3, { fit: { 'gear cable': 'short' } }),
    ];
    expect(fitClasses('gear cable', bikes, own).map((c) => c.bikes)).toEqual([[uuid(1), uuid(2)], [uuid(3)]]);
  });
});

describe('people', () => {
  test('what somebody can do in a subject, else in general; nobody is more than has done it before', () => {
    const p = newPerson({ hand: 1, skills: { people: 3 } });
    expect([skillIn(p, 'people'), skillIn(p, 'wheels')]).toEqual([3, 1]);
    expect(personSchema.safeParse({ ...p, hand: 4 }).success).toBe(false);
    expect(personSchema.safeParse({ ...p, mayCarry: Number.NaN }).success).toBe(false);
    expect(personSchema.safeParse({ ...p, skills: { cooking: 2 } }).success).toBe(false);
  });
  test('tools that are the same thing count together, what is marked stays somebody’s', () => {
    const doc = demoGarage();
    const members = membersOf(doc, doc.crews[0]!);
    const mine = members[0]!;
    const twin = {
      ...mine,
      pieces: mine.pieces.slice(0, 3).map((p, i) => ({ ...p, id: uuid(700 + i), name: `Twin ${i}`, price: 99 })),
    };
    const both = alike([mine, twin]);
    expect(both).toHaveLength(alike([mine]).length);
    const first = both.find((a) => a.of.some((o) => o.id === uuid(700)))!;
    expect(first.of.map((o) => o.member)).toEqual([0, 1]);
    expect(first.piece.count).toBe(mine.pieces[0]!.count * 2);
    const marked = { ...twin, pieces: twin.pieces.map((p) => ({ ...p, mark: 'always' as const })) };
    expect(alike([mine, marked])).toHaveLength(alike([mine]).length + 3);
    const worn = { ...twin, pieces: twin.pieces.map((p) => ({ ...p, condition: 'worn' as const })) };
    expect(alike([mine, worn])).toHaveLength(alike([mine]).length + 3);
  });
});

describe('what is lent', () => {
  const doc = demoGarage();
  const loan = (item: string, count: number, settled: Loan['settled'] = null): Loan => ({
    ...{ id: nextId(), item, name: 'x', count, to: 'Oke', date: '2026-11-01', settled, note: '' },
  });
  test('nothing lent is the very same garage', () => {
    expect(atHand(doc)).toBe(doc);
    const back = { ...doc, loans: [loan(`piece ${doc.pieces[0]!.id}`, 1, { how: 'back', date: '2026-11-02' })] };
    expect(atHand(back)).toBe(back);
  });
  test('a tool is gone until it is back, a spare by so many', () => {
    const piece = doc.pieces.find((p) => p.count === 1)!;
    const spare = doc.supplies.find((s) => s.quantity > 3)!;
    const lent = {
      ...doc,
      loans: [loan(`piece ${piece.id}`, 1), loan(`spare ${spare.id}`, 2), loan(`spare ${spare.id}`, 1)],
    };
    expect(lentOut(lent.loans).get(`spare ${spare.id}`)).toBe(3);
    const left = atHand(lent);
    expect(left.pieces.map((p) => p.id)).not.toContain(piece.id);
    expect(left.supplies.find((s) => s.id === spare.id)!.quantity).toBe(spare.quantity - 3);
    // More than there is leaves none.
    const all = atHand({ ...doc, loans: [loan(`spare ${spare.id}`, 999)] });
    expect(all.supplies.find((s) => s.id === spare.id)!.quantity).toBe(0);
  });
});

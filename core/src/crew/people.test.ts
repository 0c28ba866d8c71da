import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { newBike } from '../bike/index.js';
import { emptyDocument } from '../garage/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import { combinationSpanner } from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { ME, newCrew } from './crew.js';
import { bareMember } from '../testing/smallCrews.js';
import { matchingOf } from './matching.js';
import { alike } from './alike.js';
import { KNOWN } from '../repairs/supplies/index.js';
import { belongsTo, bookWith, fitClasses, readingOf } from './fitClass.js';
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
  test.each([
    ['hard enduro 300', { starter: 'electric and kick', mass: 118_000 }],
    ['small trail', { wheelbase: 1380 }],
    ['trials', { wheelbase: 1380 }],
    ['dual sport', { wheelbase: 1470 }],
    ['dirt bike', { wheelbase: 1470 }],
    ['off-road 450', { wheelbase: 1470 }],
    ['big twin', { wheelbase: 1550 }],
    ['adv', { wheelbase: 1550 }],
    ['tourer', { wheelbase: 1510 }],
    ['cruiser', { wheelbase: 1640 }],
    ['naked', { wheelbase: 1420 }],
    ['sport', { wheelbase: 1420 }],
    ['scooter', { wheelbase: 1340 }],
    ['tubed', { tyres: 'tubed', wheels: 'spoked' }],
    ['tubeless', { tyres: 'tubeless' }],
    ['chain', { drive: 'chain' }],
    ['shaft', { drive: 'shaft' }],
    ['kick starter', { starter: 'kick' }],
    ['kickstart', { starter: 'kick' }],
    ['carb', { fuelling: 'carburettor' }],
    ['carburettor', { fuelling: 'carburettor' }],
    ['2-stroke', null],
    ['two stroke', { strokes: 2 }],
    ['air-cooled', { cooling: 'air' }],
    ['tank 2', { tank: 2 }],
    ['tank 45 l', { tank: 45 }],
    ['tank 1.9', null],
    ['tank 46', null],
    ['entourage', null],
  ])('of the bike: %s', (words, bike) => {
    const made = readCompanion(`Ada, ${words}`, nextId);
    expect(made.unread).toEqual(bike ? [] : [words]);
    if (bike) expect(made.companion.bikes[0]).toMatchObject(bike);
  });
  test.each([
    ['has done it before', { hand: 3 }],
    ['skilled', { hand: 3 }],
    ['experienced', { hand: 3 }],
    ['some skill', { hand: 2 }],
    ['beginner', { hand: 1 }],
    ['not handy', { hand: 1 }],
    ['35 kg', { mass: 35_000 }],
    ['250kg', { mass: 250_000 }],
    ['92.5 kg', { mass: 92_500 }],
    ['34 kg', null],
    ['251 kg', null],
    ['first-aid', { firstAid: true }],
    ['carries 12 kg', { mayCarry: 12_000 }],
    ['very handy', null],
    ['handyman', null],
    ['unskilled', null],
    ['skilled welder', null],
    ['brand new', null],
    ['new to it', null],
  ])('of the person: %s', (words, person) => {
    const made = readCompanion(`Ada, ${words}`, nextId);
    expect(made.unread).toEqual(person ? [] : [words]);
    if (person) expect(made.companion.person).toMatchObject(person);
    expect(made.companion.person).toMatchObject({ name: 'Ada', onBody: 0, bodyLitres: 0 });
  });
  test('nothing but commas is somebody without a name; what is too long is cut', () => {
    const made = readCompanion(' , , ', nextId);
    expect(made).toMatchObject({
      unread: [],
      companion: { person: { name: '' }, bikes: [{ name: 'Companion’s bike' }] },
    });
    const long = readCompanion('x'.repeat(300), nextId).companion;
    expect([long.person.name.length, long.bikes[0]!.name.length]).toEqual([120, 120]);
    expect(long.from).toEqual({ by: 'line', line: 'x'.repeat(200) });
    expect(companionSchema.safeParse(long).success).toBe(true);
    expect(readCompanion('Ada, Enduro 250', nextId).companion.bikes[0]!.name).toBe('Ada’s Enduro 250');
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
  test('how likely a size is hangs on the bike’s weight: from 130 and from 170 kg on larger ones', () => {
    const ratio = (mass: number, a: string, b: string) => {
      const of = axleGuesses({ ...newBike(uuid(1), 'x'), mass });
      return of.find((g) => g.size === a)!.odds / of.find((g) => g.size === b)!.odds;
    };
    // One step of 4 mm from what is usual halves it: 19 mm, 24 mm, 27 mm.
    expect(ratio(130_000, '22', '19') / ratio(129_999, '22', '19')).toBeCloseTo(2 ** ((3 + 3) / 4), 9);
    expect(ratio(169_999, '24', '27') / ratio(170_000, '24', '27')).toBeCloseTo(2 ** ((3 - -3) / 4), 9);
    expect(ratio(100_000, '22', '19')).toBeCloseTo(ratio(129_999, '22', '19'), 12);
    expect(ratio(300_000, '24', '27')).toBeCloseTo(ratio(170_000, '24', '27'), 12);
  });
  test('a template has the heads of a job and those that shake loose; each guess says what it is', () => {
    const bike = templateBike(uuid(1), 'x', 'trail');
    const rows = templateFasteners(bike, nextId);
    expect(rows.every((f) => f.role !== null || f.shakesLoose)).toBe(true);
    expect(new Set(rows.map((f) => f.id)).size).toBe(rows.length);
    const [rear] = unknownJobs(rows).filter((u) => u.role === 'rear axle');
    const guesses = axleGuesses(bike);
    expect(rear!.rows.map((f) => [f.head, f.far, f.look])).toEqual(
      guesses.map((g) => [{ form: 'hex', size: g.size }, null, null]),
    );
    expect(rear!.rows[0]!.name).toBe(`Rear axle nut, if ${guesses[0]!.size} mm`);
    expect(rear!.rows[0]!.note).toBe(
      `Not known: ${Math.round(100 * guesses[0]!.odds)} % of such bikes. Typical value.`,
    );
    // Another job’s row of a like name is none.
    expect(
      unknownJobs([
        { ...rear!.rows[0]!, role: 'battery' },
        { ...rear!.rows[0]!, name: 'Rear axle nut' },
      ]),
    ).toEqual([]);
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
  test('a tube is one of its rim; a tubeless bike takes it where it is made for it, or its tyre reads the same', () => {
    const tyre = (i: number, tyreFront: string, more: object = {}) => bike(i, { tyreFront, ...more });
    const of = (...bikes: ReturnType<typeof bike>[]) => fitClasses('front tube', bikes).map((c) => c.bikes);
    expect(of(tyre(1, '90/90-21'), tyre(2, '80/100-21'))).toEqual([[uuid(1), uuid(2)]]);
    expect(of(tyre(1, '90/90-21'), tyre(2, '90/90-19'))).toEqual([[uuid(1)], [uuid(2)]]);
    const tubeless = { tyres: 'tubeless' };
    expect(of(tyre(1, '90/90-21'), tyre(2, '80/100-21', tubeless))).toEqual([[uuid(1)], [uuid(2)]]);
    expect(of(tyre(1, '90/90-21'), tyre(2, '90/90-21', tubeless))).toEqual([[uuid(1), uuid(2)]]);
    expect(of(tyre(1, '90/90-21 M/C 54H'), tyre(2, '90/90-21'))).toEqual([[uuid(1), uuid(2)]]);
  });
  test('a stock is called by what it must match, or by the one bike that it is for', () => {
    const bikes = [bike(1, { fit: { chain: '520, 112, clip' } }), bike(2, {}), bike(3, {})];
    const classes = new Map(['chain link', 'patch'].flatMap((k) => fitClasses(k, bikes)).map((c) => [c.key, c]));
    const book = bookWith(KNOWN, classes, bikes);
    const names = [...classes.keys()].map((key) => book.of(key).name);
    const [link, patch] = ['chain link', 'patch'].map((k) => KNOWN.of(k).name);
    expect(names).toEqual([`${link} 520, 112, clip`, `${link} (Bike 2)`, `${link} (Bike 3)`, patch]);
    expect([...classes.keys()].map((key) => [book.has(key), book.of(key).kind === key])).toEqual(
      names.map(() => [true, true]),
    );
    expect([book.has('fuse'), book.has('nothing known'), book.of('fuse')]).toEqual([true, false, KNOWN.of('fuse')]);
    // A spare that somebody owns belongs to it where it may serve one of its bikes.
    const [of520, of2] = [...classes.values()];
    const link520 = { kind: 'chain link', fits: '520, 112, clip' };
    expect([
      belongsTo(link520, of520!, bikes),
      belongsTo({ ...link520, fits: '428, 112, clip' }, of520!, bikes),
    ]).toEqual([true, false]);
    expect(belongsTo({ kind: 'patch', fits: '' }, of520!, bikes)).toBe(false);
    expect(belongsTo(link520, of2!, [bikes[0]!])).toBe(false);
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

describe('sizes and sheets side by side', () => {
  const f = (size: string, more: object = {}) => fastener({ head: { form: 'hex', size }, ...more });
  const rider = (i: number, fasteners: ReturnType<typeof f>[], fit: Record<string, string> = {}) => {
    const member = bareMember(i, 1000, { fasteners });
    return { ...member, bike: { ...member.bike, fit } };
  };
  test('common sizes first, then the more fasteners, then by name; what is left out counts nowhere', () => {
    const members = [
      rider(0, [f('10', { count: 4 }), f('8', { count: 2 }), f('12', { leftOut: 'workshop' }), f('14')]),
      rider(1, [f('8'), f('17', { far: { form: 'key', size: '6' }, count: 2 })]),
    ];
    const { sizes } = matchingOf(members);
    expect(sizes.map((r) => [r.form, r.counts, r.bikes])).toEqual([
      ['hex', [2, 1], 2],
      ['hex', [4, 0], 1],
      ['hex', [0, 2], 1],
      ['key', [0, 2], 1],
      ['hex', [1, 0], 1],
    ]);
    expect(new Set(sizes.map((r) => r.size)).size).toBe(5);
  });
  test('lines of the sheets that anybody has read, and whether they read the same', () => {
    const chain = (text: string) => ({ chain: text });
    const of = (...sheets: Record<string, string>[]) => matchingOf(sheets.map((s, i) => rider(i, [], s))).fits;
    expect(of({}, {}).some((r) => r.slot === 'chain')).toBe(false);
    expect(
      of(chain('520, 112, clip'), {})
        .find((r) => r.slot === 'chain')!
        .says.map((s) => s.reading),
    ).toEqual(['520, 112, clip', '']);
    expect(of(chain('520, 112, clip'), chain('520, 112, clip')).find((r) => r.slot === 'chain')!.same).toBe(true);
    expect(of(chain('520, 112, clip'), chain('428, 112, clip')).find((r) => r.slot === 'chain')!.same).toBe(false);
  });
});

describe('whose what is', () => {
  const spanner = (size: string, onlyBike: string | null) => owned(combinationSpanner(size), { onlyBike });
  const bolt = (size: string, bikeId: string) => fastener({ head: { form: 'hex', size }, bikeId });
  const person = newPerson({ name: 'Oke' });
  const place = { ...demoGarage().places[0]!, limit: 5000, roughLimit: 3000, takenMass: 0, kind: 'box' as const };
  const theirs = {
    ...{ id: uuid(50), person, bikes: [newBike(uuid(51), 'First'), newBike(uuid(52), 'Second')] },
    fasteners: [bolt('10', uuid(51)), bolt('12', uuid(52))],
    pieces: [spanner('10', null), spanner('12', uuid(52)), spanner('13', uuid(51))],
    ...{ supplies: [], kinds: [], note: '', from: { by: 'line' as const, line: '' } },
    places: [
      { ...place, id: uuid(53), bikeId: uuid(51) },
      { ...place, id: uuid(54), bikeId: uuid(52), limit: 7000 },
    ],
  };
  const trip = {
    ...newTrip(uuid(60), 'Rough'),
    pillion: 60_000,
    legs: [{ ...newLeg(uuid(61), 'a'), km: { paved: 0, gravel: 0, track: 9 } }],
  };
  const doc = {
    ...emptyDocument({ name: 'Test', practice: DEFAULT_PRACTICE }),
    bikes: [newBike(uuid(1), 'Mine'), { ...newBike(uuid(2), 'Other'), payload: 160_000 }],
    fasteners: [bolt('8', uuid(1)), bolt('14', uuid(2))],
    pieces: [spanner('8', null), spanner('14', uuid(2)), spanner('17', uuid(1))],
    places: [{ ...place, bikeId: uuid(2) }],
    trips: [{ ...newTrip(uuid(62), 'Smooth') }, trip],
    companions: [theirs],
  };
  const members = (list: [string, string][], of = doc, tripId = uuid(62)) =>
    membersOf(of, newCrew({ id: uuid(70), tripId, members: list.map(([who, bikeId]) => ({ who, bikeId })) }));
  const told = (m: ReturnType<typeof members>[number]) => [
    m.bike.name,
    m.fasteners.map((f) => f.head.size),
    m.pieces.map((p) => p.name.replace('Combination spanner ', '')),
    m.places.length,
  ];
  test('the rider’s: what is of the bike that they ride, and the tools that may come with it', () => {
    expect(told(members([[ME, uuid(1)]])[0]!)).toEqual(['Mine', ['8'], ['8', '17'], 0]);
    expect(told(members([[ME, uuid(2)]])[0]!)).toEqual(['Other', ['14'], ['8', '14'], 1]);
    expect(told(members([[ME, uuid(99)]])[0]!)[0]).toBe('Mine');
    expect(members([[ME, uuid(1)]], { ...doc, bikes: [] })).toEqual([]);
    expect(members([[ME, uuid(1)]])[0]!.name).toBe('You');
    const named = { ...doc, garage: { ...doc.garage, rider: { ...doc.garage.rider, name: 'Mirel' } } };
    expect(members([[ME, uuid(1)]], named)[0]!.name).toBe('Mirel');
  });
  test('a companion’s: the same of theirs', () => {
    expect(told(members([[theirs.id, uuid(51)]])[0]!)).toEqual(['First', ['10'], ['10', '13'], 1]);
    expect(told(members([[theirs.id, uuid(52)]])[0]!)).toEqual(['Second', ['12'], ['10', '12'], 1]);
    expect(members([[theirs.id, uuid(99)]])[0]!.bike.name).toBe('First');
    expect(members([[uuid(98), uuid(51)]])).toEqual([]);
    expect(members([[theirs.id, uuid(51)]], { ...doc, companions: [{ ...theirs, bikes: [] }] })).toEqual([]);
    const nameless = { ...doc, companions: [{ ...theirs, person: { ...person, name: '' } }] };
    expect(members([[theirs.id, uuid(51)]], nameless)[0]!.name).toBe('Companion');
  });
  test('limits are of the crew’s own trip: its ground, and who rides behind the rider and nobody else', () => {
    const limits = (tripId: string) =>
      members(
        [
          [ME, uuid(2)],
          [theirs.id, uuid(52)],
        ],
        doc,
        tripId,
      ).map((m) => [m.limit, m.limitBy]);
    expect(limits(uuid(62))).toEqual([
      [5000, 'places'],
      [7000, 'places'],
    ]);
    expect(limits(uuid(60))).toEqual([
      [3000, 'places'],
      [3000, 'places'],
    ]);
    expect(limits(uuid(97))).toEqual([
      [5000, 'places'],
      [7000, 'places'],
    ]);
    const heavy = { ...trip, pillion: 160_000 - doc.garage.rider.mass - 1000 };
    const [me, other] = members(
      [
        [ME, uuid(2)],
        [theirs.id, uuid(52)],
      ],
      { ...doc, trips: [heavy] },
      uuid(60),
    );
    expect([me!.limit, me!.limitBy, other!.limitBy]).toEqual([1000, 'payload', 'places']);
  });
});

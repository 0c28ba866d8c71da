import { long } from '../testing/long.js';
import { THOROUGH } from '../testing/thorough.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { bikeSchema, fastenerSchema } from '../bike/index.js';
import { readGarageFile, writeGarageFile, type GarageDocument } from '../garage/index.js';
import { loanSchema } from '../toolbox/loan.js';
import { pieceSchema } from '../toolbox/tools/index.js';
import {
  isEither,
  learned,
  ownMendSchema,
  paceFrom,
  savedByWay,
  TROUBLES,
  wayKey,
  type Trouble,
} from '../repairs/index.js';
import { exposuresIn } from '../trip/odds/index.js';
import { newPerson } from '../crew/index.js';
import { TIERS } from '../stow/index.js';
import { demoCase, doneDrill, TODAY } from '../testing/proveCase.js';
import { uuid } from '../testing/make.js';
import { answerFor, proofTold, proveCaseOf, type Answer } from '../answer/index.js';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../ground/milp.js';
import { bestMinutes, drawFault, faultSearch, isFound, testFault } from './faultDrill.js';
import { cannotDo, cannotReach, doesNotFit, missing, stepLine, tooWeak, turnedIn, withOwnStep } from './facts.js';
import { answerGrade, findCards, nextCard, nextDue, remembered, rightAnswers, thingsToChoose } from './findIt.js';
import { AROUND, drillOffers, UNTRIED_FAILS } from './nextDrill.js';
import { pocketCard } from './pocketCard.js';
import { baseWay, plannedMinutes, type ProveCase } from './proveCase.js';
import { noProof, PROOF_DAYS, readiness } from './proven.js';
import { cautionsAt, dryWhy, practiseOn, rehearsal } from './rehearsal.js';
import { memorySchema } from './memory.js';
import { watchFor, watchState } from './watchFor.js';
import { watchSchema } from './watch.js';
import { bestOrder } from '../repairs/faultOrder.js';
import { FAULT_TREES } from '../repairs/faultSearches.js';

let c: ProveCase;
let doc: GarageDocument;
let answer: Answer;
let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
  ({ c, doc, answer } = await demoCase());
});
const exposure = (id: string) => c.exposures.find((e) => e.trouble.id === id)!;
const mend = (id: string) => c.kit.mends.find((m) => m.troubleId === id && m.bikeId === c.bike.id)!;
const shown = { who: 'Mirel', when: `${TODAY}T10:00:00.000Z`, drill: 'Puncture, tubed' };
const trouble = (id: string): Trouble => TROUBLES.find((t) => t.id === id)!;

describe('a rehearsal', () => {
  test('first takes everything out, in the order in which one unpacks, and then goes through the steps of this bike', () => {
    const r = rehearsal(c, 'puncture-tube', mend('puncture-tube').wayName, 'front')!;
    expect(r.steps[0]!.part).toBe('get out');
    const lies = r.steps[0]!.needs[0]!.lies;
    expect(lies.length).toBeGreaterThan(4);
    const ranks = lies.map((l) => l.soon);
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(new Set(lies.map((l) => l.key)).size).toBe(lies.length);
    for (const l of lies) {
      const stowed = c.packing.stowed.find((s) => s.item.key === l.key)!;
      const place = c.places.find((p) => p.id === stowed.placeId)!;
      expect([l.place, l.soon]).toEqual([place.name, TIERS.indexOf(place.tier)]);
    }
    // All that any step takes is in what is got out.
    const got = new Set(lies.map((l) => l.key));
    for (const s of r.steps) for (const n of s.needs) for (const l of n.lies) expect(got).toContain(l.key);
    expect(r.steps.map((s) => s.part)).toEqual(
      [...r.steps.map((s) => s.part)].sort(
        (a, b) => ['get out', 'out', 'back'].indexOf(a) - ['get out', 'out', 'back'].indexOf(b),
      ),
    );
  });
  test('of a way for either wheel is of one of them, its own heads and words alone', () => {
    const name = mend('puncture-tube').wayName;
    const heads = (w: 'front' | 'rear' | null) =>
      new Set(
        rehearsal(c, 'puncture-tube', name, w)!.steps.flatMap((s) =>
          s.needs.flatMap((n) => n.heads.map((h) => h.fastener.role)),
        ),
      );
    expect(heads('front')).toContain('front axle');
    expect(heads('front')).not.toContain('rear axle');
    expect(heads('front')).not.toContain('chain adjuster');
    expect(heads('rear')).toContain('rear axle');
    expect(heads('rear')).not.toContain('front axle');
    expect(heads('rear')).not.toContain('front axle pinch');
    expect(heads(null)).toContain('front axle');
    expect(heads(null)).toContain('rear axle');
    for (const w of ['front', 'rear'] as const)
      for (const s of rehearsal(c, 'puncture-tube', name, w)!.steps)
        expect(s.text).not.toMatch(/^(?:front|rear) wheel:/iu);
    const both = rehearsal(c, 'puncture-tube', name)!;
    expect(both.wheel).toBeNull();
    expect(both.steps.length).toBeGreaterThan(rehearsal(c, 'puncture-tube', name, 'front')!.steps.length);
    // Other ways know no wheel.
    expect(rehearsal(c, 'clutch-lever', mend('clutch-lever').wayName, 'front')!.wheel).toBeNull();
    expect(isEither(trouble('tube-torn-front').ways[0]!)).toBe(false);
  });
  test('names heads with size, torque and tools from hand to head, and each caution once', () => {
    const r = rehearsal(c, 'puncture-tube', mend('puncture-tube').wayName, 'front')!;
    const axle = r.steps.flatMap((s) => s.needs.flatMap((n) => n.heads)).find((h) => h.fastener.role === 'front axle')!;
    expect(axle.chains).toEqual(c.kitUse[axle.fastener.id]!.map((ch) => ch.links.map((l) => l.piece.name)));
    expect(r.turned).toContain(axle.fastener.id);
    expect(new Set(r.cautions).size).toBe(r.cautions.length);
    expect(r.cautions.join(' ')).toContain('lifted bike');
    expect(r.tools.every((id) => c.kit.pieces.some((p) => p.piece.id === id))).toBe(true);
    expect(r.tools.length).toBeGreaterThan(3);
    expect([r.tools, r.turned]).toEqual([[...r.tools].sort(), [...r.turned].sort()]);
    // All is packed; where nothing is, it is not.
    expect(r.steps[0]!.needs[0]!.ok).toBe(true);
    const loose = c.packing.stowed.map((x) => ({ ...x, placeId: null }));
    const bare = rehearsal({ ...c, packing: { stowed: loose } }, 'puncture-tube', r.way.name, 'front')!;
    expect(bare.steps[0]!.needs[0]!.ok).toBe(false);
    // What takes nothing has nothing to be got out.
    const free = c.troubles
      .flatMap((t) => t.ways.map((w) => rehearsal(c, t.id, w.name)!))
      .filter((x) => !x.tools.length);
    expect(free.length).toBeGreaterThan(0);
    for (const x of free)
      expect([x.way.name, x.steps[0]?.part === 'get out']).toEqual([
        x.way.name,
        x.steps.some((s) => s.part !== 'get out' && s.needs.some((n) => n.lies.length > 0)),
      ]);
  });
  test('is unpacked in the order of the hand: what is soon at hand first, place by place, by name within one', () => {
    const text = (l: { soon: number; place: string; name: string }) => `${l.soon} ${l.place} ${l.name}`;
    let [places, names] = [0, 0];
    for (const t of c.troubles)
      for (const w of t.ways) {
        const lies = rehearsal(c, t.id, w.name)?.steps[0]?.needs[0]?.lies ?? [];
        expect([w.name, lies.map(text)]).toEqual([w.name, lies.map(text).sort()]);
        lies.slice(1).forEach((l, i) => {
          const before = lies[i]!;
          if (l.soon === before.soon && l.place !== before.place) places++;
          if (l.place === before.place && l.name !== before.name) names++;
        });
      }
    expect(Math.min(places, names)).toBeGreaterThan(20);
  });
  test('has all cautions on the first step, and on each later one those that speak of the same', () => {
    const r = rehearsal(c, 'puncture-tube', mend('puncture-tube').wayName, 'front')!;
    expect(r.steps[0]!.cautions).toEqual(r.cautions);
    const raise = r.steps.find((s) => s.text.startsWith('Raise the'))!;
    expect(raise.cautions.some((x) => x.startsWith('Props slip'))).toBe(true);
    const axle = r.steps.find((s) => s.text.startsWith('Tighten the axle'))!;
    expect(axle.cautions.some((x) => x.startsWith('Check by hand'))).toBe(true);
    for (const s of r.steps) for (const x of s.cautions) expect(r.cautions).toContain(x);
    for (const s of r.steps.slice(1)) expect(s.cautions.length).toBeLessThan(r.cautions.length);
    expect(cautionsAt('Hum a song', ['Props slip: keep everybody out.'])).toEqual([]);
    expect(cautionsAt('Put the props under it', ['Props slip: keep everybody out.', 'Fuel burns.'])).toEqual([
      'Props slip: keep everybody out.',
    ]);
  });
  test('is planned by day and without own times, however the trip has them', () => {
    const name = mend('puncture-tube').wayName;
    const plain = rehearsal(c, 'puncture-tube', name)!.planned;
    const dark = { ...c.trip!, legs: c.trip!.legs.map((l) => ({ ...l, night: l.hours })) };
    const practised = [
      doneDrill(c, 'puncture-tube', baseWay(exposure('puncture-tube').trouble, name)!.name, {
        planned: plain,
        seconds: [plain * 90],
      }),
    ];
    const then = { ...doc, trips: [dark], drills: practised };
    const exposures = exposuresIn(then, { bikeId: c.bike.id, tripId: dark.id, today: TODAY });
    const again = { ...c, trip: dark, drills: practised, exposures, troubles: exposures.map((e) => e.trouble) };
    const way = exposures.find((e) => e.trouble.id === 'puncture-tube')!.trouble.ways.find((w) => w.name === name)!;
    expect(way.minutes).toBeCloseTo(plain * paceFrom([1.5]).factor * 1.5, 6);
    expect(
      plannedMinutes(
        again,
        way === undefined ? trouble('puncture-tube') : exposures.find((e) => e.trouble.id === 'puncture-tube')!.trouble,
        way,
        practised[0]!.way,
      ),
    ).toBeCloseTo(plain, 6);
    expect(rehearsal(again, 'puncture-tube', name)!.planned).toBeCloseTo(plain, 6);
  });
  test('says what is only gone through dry, and what is tried on scrap', () => {
    expect(dryWhy(trouble('bleeding'), trouble('bleeding').ways[0]!)).toBe('dry.people');
    const towed = trouble('dead-bike').ways.find((w) => w.travel !== null)!;
    expect(dryWhy(trouble('dead-bike'), towed)).toBe('dry.road');
    const sawn = trouble('head-rounded').ways.find((w) => w.name === 'Cut it')!;
    expect(dryWhy(trouble('head-rounded'), sawn)).toBe('dry.harms');
    expect(dryWhy(trouble('clutch-lever'), trouble('clutch-lever').ways[0]!)).toBeNull();
    const patch = trouble('puncture-tube').ways.find((w) => w.name === 'Patch the tube')!;
    expect(patch.out.some((s) => s.needs.some((n) => n.by === 'function'))).toBe(true);
    expect(dryWhy(trouble('puncture-tube'), patch)).toBeNull();
    expect(practiseOn(trouble('puncture-tubeless').ways[0]!)).toBe('a worn-out tyre');
    expect(practiseOn(trouble('puncture-tube').ways.find((w) => w.name === 'Patch the tube')!)).toBe('an old tube');
    expect(practiseOn(trouble('clutch-lever').ways[0]!)).toBe('');
  });
  test('is none where trip or trouble know nothing of it', () => {
    expect(rehearsal(c, 'nothing', 'New tube')).toBeNull();
    expect(rehearsal(c, 'puncture-tube', 'no such way')).toBeNull();
    const helped = exposure('puncture-tube').trouble.ways.find((w) => w.helped)!;
    expect(baseWay(exposure('puncture-tube').trouble, helped.name)!.name).toBe(helped.name.split(', with ')[0]);
    expect(baseWay(exposure('puncture-tube').trouble, 'no such way')).toBeUndefined();
  });
});

describe('readiness', () => {
  const lever = () => baseWay(exposure('clutch-lever').trouble, mend('clutch-lever').wayName)!.name;
  test('is nothing before the first drill, out of all hours at stake', () => {
    const ready = readiness(c);
    expect(ready.share).toBe(0);
    expect(ready.proven).toBe(0);
    expect(ready.atStake).toBeCloseTo(
      c.exposures.reduce((s, e) => s + e.atStake, 0),
      9,
    );
    expect(ready.saved).toBeLessThanOrEqual(ready.atStake);
    expect(ready.troubles.every((p) => p.proven === 0 && p.saved <= p.atStake + 1e-9)).toBe(true);
  });
  test('rises by what the kit saves with the way that was gone through', () => {
    const d = doneDrill(c, 'clutch-lever', lever());
    const ready = readiness({ ...c, drills: [d] });
    expect(ready.proven).toBeCloseTo(mend('clutch-lever').hoursSaved, 9);
    expect(ready.share).toBeCloseTo(mend('clutch-lever').hoursSaved / ready.atStake, 12);
    expect(ready.troubles.find((p) => p.troubleId === 'clutch-lever')).toMatchObject({
      by: mend('clutch-lever').wayName,
      lapsed: null,
    });
    // A second time proves no more.
    expect(readiness({ ...c, drills: [d, { ...d, id: uuid(501) }] }).proven).toBe(ready.proven);
  });
  test('of a way for either wheel, one wheel is half', () => {
    const way = baseWay(exposure('puncture-tube').trouble, mend('puncture-tube').wayName)!.name;
    const of = (...wheels: ('front' | 'rear' | null)[]) =>
      readiness({
        ...c,
        drills: wheels.map((wheel, i) => doneDrill(c, 'puncture-tube', way, { wheel, id: uuid(510 + i) })),
      }).proven;
    const whole = mend('puncture-tube').hoursSaved;
    expect(of('front')).toBeCloseTo(whole / 2, 9);
    expect(of('front', 'front')).toBeCloseTo(whole / 2, 9);
    expect(of('front', 'rear')).toBeCloseTo(whole, 9);
    expect(of(null)).toBeCloseTo(whole, 9);
  });
  test('a poorer way that was shown counts what it saves itself, never more than the kit', () => {
    const of = mend('puncture-tube');
    const other = of.ways.find((w) => w.name !== of.wayName && !w.name.includes(', with '))!;
    const e = exposure('puncture-tube');
    const base = baseWay(e.trouble, other.name)!;
    const proven = readiness({ ...c, drills: [doneDrill(c, 'puncture-tube', base.name)] }).proven;
    const way = e.trouble.ways.find((w) => w.name === other.name)!;
    expect(proven).toBeCloseTo(Math.min(of.hoursSaved, e.lambda * savedByWay(way, e.without, e.away)), 9);
    expect(proven).toBeGreaterThan(0);
  });
  test.each([
    ['not finished', { state: 'given up' as const }],
    ['dry', { dry: true }],
    ['pressed through', { seconds: [299] }],
    ['stuck', { stuck: [{ step: 0, reason: 'missing' as const, item: '' }] }],
    ['stuck', { stuck: [{ step: 0, reason: 'does not fit' as const, item: '' }] }],
    ['stuck', { stuck: [{ step: 0, reason: 'too weak' as const, item: '' }] }],
    ['stuck', { stuck: [{ step: 0, reason: 'cannot reach' as const, item: '' }] }],
    ['by somebody who stays at home', { who: uuid(77) }],
    ['with other tools', { tools: ['not in the kit'] }],
    ['long ago', { ended: '2025-05-31T10:00:00.000Z' }],
    ['other bike', { bikeId: uuid(88) }],
  ] as const)('does not rise: %s', (why, more) => {
    const d = doneDrill(c, 'clutch-lever', lever(), more as Partial<typeof d>);
    const ready = readiness({ ...c, drills: [d] });
    expect(ready.proven).toBe(0);
    const p = ready.troubles.find((x) => x.troubleId === 'clutch-lever')!;
    expect([p.by, p.lapsed]).toEqual([null, why === 'other bike' ? null : why]);
  });
  test.each([
    ['did not know how at first', { stuck: [{ step: 0, reason: 'do not know how' as const, item: '' }] }],
    ['lay elsewhere', { stuck: [{ step: 0, reason: 'wrong place' as const, item: '' }] }],
    ['a year ago to the day', { ended: '2025-06-01T10:00:00.000Z' }],
    ['out on the road', { real: true }],
    ['in a tenth of the planned time', { seconds: [300] }],
  ] as const)('rises all the same: %s', (_, more) => {
    expect(
      readiness({
        ...c,
        drills: [doneDrill(c, 'clutch-lever', lever(), more as Partial<ReturnType<typeof doneDrill>>)],
      }).proven,
    ).toBeGreaterThan(0);
    expect(PROOF_DAYS).toBe(365);
  });
  test('counts nothing of what a check holds up, and says so', () => {
    const ready = readiness({ ...c, drills: [doneDrill(c, 'clutch-lever', lever())] }, new Set(['clutch-lever']));
    expect(ready.proven).toBe(0);
    expect(ready.troubles.find((p) => p.troubleId === 'clutch-lever')).toMatchObject({
      by: null,
      lapsed: 'check overdue',
    });
    expect(noProof(doneDrill(c, 'clutch-lever', lever()), c)).toBeNull();
  });
  test('a companion’s drill counts where they ride', () => {
    const d = doneDrill(c, 'clutch-lever', lever(), { who: uuid(77) });
    expect(readiness({ ...c, drills: [d], riders: new Set(['me', uuid(77)]) }).proven).toBeGreaterThan(0);
  });
});

describe('which drill next', () => {
  test('is ordered by hours for each hour of practice, and each figure adds up', () => {
    const offers = drillOffers(c, 'me');
    expect(offers.length).toBeGreaterThan(10);
    offers.forEach((o, i) => {
      expect(o.worth).toBeCloseTo(o.quicker + o.guards, 12);
      expect(o.rate).toBeCloseTo(o.worth / (o.minutes / 60), 12);
      if (i > 0) expect(o.rate).toBeLessThanOrEqual(offers[i - 1]!.rate + 1e-12);
      const way = exposure(o.troubleId).trouble.ways.find((w) => w.name === o.way)!;
      expect(o.guards).toBeCloseTo(o.proves * UNTRIED_FAILS[way.skill], 12);
      if (o.dry !== null) expect([o.quicker, o.proves]).toEqual([0, 0]);
      if (way.skill === 1) expect(o.quicker).toBe(0);
      expect(o.quicker).toBeGreaterThanOrEqual(0);
    });
  });
  test('the first time saves a fifth of the planned work as often as it is asked for', () => {
    const o = drillOffers(c, 'me').find((x) => x.troubleId === 'puncture-tube')!;
    const e = exposure('puncture-tube');
    const way = e.trouble.ways.find((w) => w.name === o.way)!;
    const after = savedByWay({ ...way, minutes: way.minutes * learned(2) }, e.without, e.away);
    expect(o.quicker).toBeCloseTo(e.lambda * (after - savedByWay(way, e.without, e.away)), 12);
    expect(o.minutes).toBeCloseTo(plannedMinutes(c, e.trouble, way, o.wayName) + AROUND, 9);
    expect(o.times).toBe(0);
    expect(o.wheel).toBe('front');
    expect(o.proves).toBeCloseTo(mend('puncture-tube').hoursSaved / 2, 9);
  });
  test('what was done is offered with its own minutes, the other wheel, and less to prove', () => {
    const first = drillOffers(c, 'me').find((x) => x.troubleId === 'puncture-tube')!;
    const done = doneDrill(c, 'puncture-tube', first.wayName, { wheel: 'front', planned: 50, seconds: [84 * 60] });
    const then = drillOffers({ ...c, drills: [done] }, 'me').find((x) => x.troubleId === 'puncture-tube')!;
    expect(then.times).toBe(1);
    expect(then.wheel).toBe('rear');
    expect(then.proves).toBeCloseTo(first.proves, 9);
    const both = drillOffers({ ...c, drills: [done, { ...done, id: uuid(502), wheel: 'rear' }] }, 'me').find(
      (x) => x.troubleId === 'puncture-tube',
    )!;
    expect(both.proves).toBeCloseTo(0, 9);
    expect(both.quicker).toBeGreaterThan(0);
  });
  test('somebody slower than the crew’s quickest gains the trip nothing by one drill', () => {
    const first = drillOffers(c, 'me').find((x) => x.troubleId === 'puncture-tube')!;
    const quick = [1, 2, 3].map((n) =>
      doneDrill(c, 'puncture-tube', first.wayName, { id: uuid(520 + n), who: uuid(77), planned: 50, seconds: [600] }),
    );
    const riders = new Set(['me', uuid(77)]);
    const mine = drillOffers({ ...c, drills: quick, riders }, 'me').find((x) => x.troubleId === 'puncture-tube')!;
    expect(mine.quicker).toBeCloseTo(0, 12);
    expect(paceFrom([0.2, 0.2, 0.2]).factor).toBeLessThan(learned(2));
  });
  test('fits the time that one has', () => {
    const short = drillOffers(c, 'me', 30);
    expect(short.length).toBeGreaterThan(0);
    expect(short.every((o) => o.minutes <= 30)).toBe(true);
    expect(drillOffers(c, 'me', 1)).toEqual([]);
  });
});

describe('what being stuck changes', () => {
  test('a tool that does not fit makes the size assumed again, a head that was turned is proven', () => {
    const f = c.fasteners.find((x) => x.role === 'front axle')!;
    const off = doesNotFit(f, 'Socket 27', shown);
    expect(off.evidence).toBe('assumed');
    expect(off.trail.at(-1)).toEqual({
      evidence: 'assumed',
      who: 'Mirel',
      when: shown.when,
      how: 'Socket 27 did not fit in a drill: Puncture, tubed',
    });
    expect(doesNotFit(f, '', shown).trail.at(-1)!.how).toContain('the tool did not fit');
    expect(turnedIn(f, shown)).toMatchObject({ evidence: 'proven' });
    expect(fastenerSchema.parse(turnedIn(off, shown)).trail.length).toBe(f.trail.length + 2);
  });
  test('what is in the way is the access of that end', () => {
    const f = c.fasteners.find((x) => x.far !== null)!;
    expect(cannotReach(f, 'near', { by: 'headroom', mm: 18 }).access.headroom).toBe(18);
    expect(cannotReach(f, 'far', { by: 'thin', mm: 6 }).farAccess.thin).toBe(6);
    expect(cannotReach(f, 'far', { by: 'thin', mm: 6 }).access).toEqual(f.access);
    expect(cannotReach(f, 'near', { by: 'swing', degrees: 25 }).access.swing).toBe(25);
    expect(cannotReach(f, 'near', { by: 'clearance', mm: 30 }).access.clearance).toBe(30);
    expect(fastenerSchema.safeParse(cannotReach(f, 'near', { by: 'recess', mm: 40 })).success).toBe(true);
  });
  test('a bent piece is broken, a missing one is lent to nobody, and a skill is one lower than the way asks', () => {
    const piece = doc.pieces[0]!;
    expect(pieceSchema.parse(tooWeak(piece)).condition).toBe('broken');
    const row = missing({ item: `piece ${piece.id}`, name: piece.name }, { id: uuid(1), on: TODAY, drill: 'X' });
    expect(loanSchema.parse(row)).toMatchObject({ to: 'missing', settled: null, count: 1 });
    const person = newPerson({ hand: 3 });
    expect(cannotDo(person, 'wheels', 2).skills).toEqual({ wheels: 1 });
    expect(cannotDo(person, 'wheels', 3).skills).toEqual({ wheels: 2 });
    expect(cannotDo(newPerson({ hand: 1 }), 'wheels', 2)).toEqual(newPerson({ hand: 1 }));
    expect(cannotDo(newPerson({ hand: 1 }), 'wheels', 1).skills).toEqual({});
  });
  test('a step of one’s own stands where it was missed, in a way that can be read again', () => {
    const t = trouble('clutch-lever');
    const way = t.ways[0]!;
    const row = withOwnStep(t, way, { at: 1, text: 'Warm the bolt by hand' }, { id: uuid(3), minutes: 23.6 });
    expect(ownMendSchema.parse(row)).toEqual(row);
    expect(row.out[1]).toBe('Warm the bolt by hand');
    expect(row.out.length + row.back.length).toBe(way.out.length + way.back.length + 1);
    expect(row).toMatchObject({
      trouble: 'clutch-lever',
      name: `${way.name}, my way`,
      minutes: 24,
      skill: way.skill,
      grade: way.grade,
    });
    const last = withOwnStep(t, way, { at: way.out.length + 1, text: 'Later' }, { id: uuid(3), minutes: 20 });
    expect(last.back).toContain('Later');
    expect(withOwnStep(t, way, { at: 999, text: 'End' }, { id: uuid(3), minutes: 20 }).back.at(-1)).toBe('End');
  });
  test('each known step is written so that it reads the same', async () => {
    const { readStep } = await import('../repairs/way.js');
    for (const t of TROUBLES)
      for (const w of t.ways)
        for (const s of [...w.out, ...w.back]) {
          const again = readStep(stepLine(s));
          expect([again.text, again.needs]).toEqual([s.text, s.needs]);
        }
  });
});

describe('the watch list', () => {
  const given = (turned: string[] = []) => ({
    id: uuid(1),
    from: 'drill' as const,
    since: TODAY,
    fasteners: c.fasteners,
    turned,
  });
  test('gets a line after work on what lives hang on, with its heads named', () => {
    const axle = c.fasteners.find((f) => f.role === 'front axle')!;
    const t = trouble('tube-torn-front');
    const row = watchFor(c.bike, t, t.ways[0]!, given([axle.id]))!;
    expect(watchSchema.parse(row)).toEqual(row);
    const takes = (more: object) => watchSchema.safeParse({ ...row, ...more }).success;
    expect([0, 1, 300, 301].map((lastsKmh) => takes({ lastsKmh }))).toEqual([false, true, true, false]);
    expect([0, 1, 100_000, 100_001].map((everyKm) => takes({ everyKm }))).toEqual([false, true, true, false]);
    const look = { on: TODAY, km: 5, ok: true, note: '' };
    expect([look, { ...look, ok: 'yes' }, { on: TODAY, km: 5, ok: true }].map((l) => takes({ looked: [l] }))).toEqual([
      ...[true, false, false],
    ]);
    for (const how of ['replaced', 'seen by a workshop', 'not needed'])
      expect(takes({ closed: { on: TODAY, how } })).toBe(true);
    for (const closed of [{ on: TODAY, how: 'forgotten' }, { on: 'once', how: 'replaced' }, { how: 'replaced' }])
      expect(takes({ closed })).toBe(false);
    expect(row).toMatchObject({
      everyKm: 50,
      atKm: c.bike.odometer,
      station: axle.station,
      lastsKm: null,
      closed: null,
    });
    expect(row.why).toContain(axle.name);
    expect(row.caution).toContain('Check by hand');
  });
  test('after a patch, tie or putty it is looked at sooner, with its limits', () => {
    const ties = trouble('fastener-lost').ways.find((w) => w.name === 'Ties in its place')!;
    const row = watchFor(c.bike, trouble('fastener-lost'), ties, given())!;
    expect(row).toMatchObject({ everyKm: 30, lastsKm: 150, lastsKmh: 80 });
    expect(row.why).toContain('cable tie');
    expect(row.why).toContain('heat, sharp edges');
    const patch = trouble('puncture-tube').ways.find((w) => w.name === 'Patch the tube')!;
    expect(watchFor(c.bike, trouble('puncture-tube'), patch, given())!.why).toContain('patch');
  });
  test('gets a line after an opened chain and after any brake work, and none after a bulb', () => {
    const link = trouble('chain').ways[0]!;
    expect(watchFor(c.bike, trouble('chain'), link, given())).not.toBeNull();
    const soft = trouble('brake-soft');
    expect(watchFor(c.bike, soft, soft.ways[0]!, given())).not.toBeNull();
    const bulb = trouble('bulb');
    expect(watchFor(c.bike, bulb, bulb.ways[0]!, given())).toBeNull();
  });
  test('counts km from the last look, and to the end of what it is good for', () => {
    const w = {
      atKm: 1000,
      everyKm: 30,
      lastsKm: 150,
      closed: null,
      looked: [{ on: TODAY, km: 1040, ok: true, note: '' }],
    };
    expect(watchState(w, 1050)).toEqual({ nextIn: 20, endsIn: 100, overdue: false, ended: false });
    expect(watchState(w, 1070)).toMatchObject({ nextIn: 0, overdue: true });
    expect(watchState(w, 1150)).toMatchObject({ endsIn: 0, ended: true });
    expect(watchState({ ...w, looked: [] }, 1029)).toMatchObject({ nextIn: 1, overdue: false });
    expect(watchState({ ...w, lastsKm: null }, 9999)).toMatchObject({ endsIn: null, ended: false });
    expect(watchState({ ...w, closed: { on: TODAY, how: 'replaced' } }, 9999)).toMatchObject({
      overdue: false,
      ended: false,
    });
  });
});

describe('Find it', () => {
  test('asks for what the likeliest repairs take, where it really lies, each thing of a trouble once', () => {
    const cards = findCards(c);
    expect(cards.length).toBeGreaterThan(20);
    expect(cards.length).toBeLessThanOrEqual(60);
    expect(new Set(cards.map((k) => k.card)).size).toBe(cards.length);
    for (const k of cards) {
      expect(c.packing.stowed.find((s) => s.item.key === k.lies.key)?.placeId).toBe(k.lies.placeId);
      expect(k.card.length).toBeLessThanOrEqual(240);
    }
    const odds = [...new Map(cards.map((k) => [k.trouble, k.odds])).values()];
    expect(odds).toEqual([...odds].sort((a, b) => b - a));
    const each = new Map<string, number>();
    for (const k of cards) each.set(k.trouble, (each.get(k.trouble) ?? 0) + 1);
    expect(Math.max(...each.values())).toBeLessThanOrEqual(4);
  });
  long('among the choices is one right answer, and none that would do as well', () => {
    // By day each fourth of them.
    for (const [i, k] of [...findCards(c).entries()].filter(([n]) => THOROUGH || n % 4 === 0)) {
      const choices = thingsToChoose(k, c, i);
      const right = rightAnswers(k, c);
      expect(right).toContain(k.lies.key);
      expect(choices.filter((l) => right.has(l.key)).map((l) => l.key)).toEqual([k.lies.key]);
      expect(choices.length).toBe(6);
      expect(thingsToChoose(k, c, i)).toEqual(choices);
    }
  });
  const given = { id: uuid(1), bikeId: uuid(2), who: 'me', card: 'x y', dark: false };
  const at = (iso: string) => ({ now: iso });
  test('a quick answer comes back later than a slow one, and a wrong one within minutes', () => {
    const after = (right: boolean, seconds: number) =>
      Date.parse(remembered(null, { right, seconds, ...at('2026-06-01T10:00:00.000Z') }, given).due) -
      Date.parse('2026-06-01T10:00:00.000Z');
    expect(after(false, 3)).toBeLessThanOrEqual(10 * 60_000);
    expect(after(true, 3)).toBeGreaterThan(24 * 3600_000);
    expect(after(true, 3)).toBeGreaterThan(after(true, 8));
    expect(after(true, 8)).toBeGreaterThanOrEqual(after(true, 30));
    expect([
      answerGrade(true, 5),
      answerGrade(true, 5.1),
      answerGrade(true, 12),
      answerGrade(true, 12.1),
      answerGrade(false, 1),
    ]).toEqual([4, 3, 3, 2, 1]);
  });
  test('known again and again it comes back in ever longer spans; missed it is soon again, and the best time stays', () => {
    let now = '2026-06-01T10:00:00.000Z';
    let m = remembered(null, { right: true, seconds: 9, ...at(now) }, given);
    const spans: number[] = [];
    for (let i = 0; i < 6; i++) {
      now = m.due;
      m = remembered(m, { right: true, seconds: 8 - i, ...at(now) }, given);
      spans.push(Date.parse(m.due) - Date.parse(now));
    }
    expect(spans.slice(1).every((s, i) => s > spans[i]!)).toBe(true);
    expect(memorySchema.parse(m)).toEqual(m);
    expect([m.best, m.reps, m.lapses]).toEqual([3, 7, 0]);
    const missed = remembered(m, { right: false, seconds: 1, ...at(m.due) }, given);
    expect(Date.parse(missed.due) - Date.parse(m.due)).toBeLessThan(3600_000);
    expect([missed.best, missed.lapses, missed.id]).toEqual([3, 1, m.id]);
    expect(remembered(null, { right: false, seconds: 1, ...at(now) }, given).best).toBeNull();
  });
  test('asks what is due first, then what was never asked, by each rider and light for themselves', () => {
    const cards = findCards(c).slice(0, 3);
    const memory = (card: string, due: string, more = {}) => ({
      ...remembered(null, { right: true, seconds: 3, now: due }, { ...given, card }),
      due,
      ...more,
    });
    const now = '2026-06-05T10:00:00.000Z';
    const ask = (memories: ReturnType<typeof memory>[], more = {}) =>
      nextCard(cards, memories, { who: 'me', dark: false, now, ...more })?.card ?? null;
    expect(ask([])).toBe(cards[0]!.card);
    expect(ask([], { not: cards[0]!.card })).toBe(cards[1]!.card);
    const due = [
      memory(cards[2]!.card, '2026-06-04T10:00:00.000Z'),
      memory(cards[1]!.card, '2026-06-03T10:00:00.000Z'),
    ];
    expect(ask(due)).toBe(cards[1]!.card);
    expect(ask(due, { dark: true })).toBe(cards[0]!.card);
    expect(ask(due, { who: uuid(5) })).toBe(cards[0]!.card);
    const later = cards.map((k) => memory(k.card, '2026-07-01T10:00:00.000Z'));
    expect(ask(later)).toBeNull();
    expect(nextDue(later, 'me', false)).toBe('2026-07-01T10:00:00.000Z');
    expect(nextDue(later, 'me', true)).toBeNull();
  });
});

describe('Find the fault', () => {
  test('draws the same fault for the same seed, one that this bike can have, and others for others', () => {
    const drawn = Array.from({ length: 60 }, (_, i) => drawFault(c, i));
    expect(drawFault(c, 5)).toEqual(drawn[5]);
    expect(new Set(drawn.map((d) => d.search.tree.id)).size).toBeGreaterThanOrEqual(4);
    expect(new Set(drawn.map((d) => d.cause.id)).size).toBeGreaterThan(8);
    for (const d of drawn) {
      expect(d.search.causes.map((k) => k.id)).toContain(d.cause.id);
      expect(d.cause.trouble).not.toBe('puncture-tubeless');
    }
  });
  test('the best order finds each, in the minutes that it says on average', () => {
    for (const tree of FAULT_TREES) {
      const { search, lacks } = faultSearch(c, tree);
      const all = search.causes.reduce((s, k) => s + k.weight, 0);
      let mean = 0;
      for (const cause of search.causes) {
        const drill = { search, lacks, cause, best: 0 };
        const { minutes, tests } = bestMinutes(drill);
        mean += (minutes * cause.weight) / all;
        let left: readonly (typeof cause)[] = search.causes;
        for (const id of tests) {
          expect(isFound(drill, left)).toBe(false);
          const t = testFault(drill, left, id);
          left = t.left;
          expect(left.map((k) => k.id)).toContain(cause.id);
        }
        expect(isFound(drill, left)).toBe(true);
      }
      expect(mean).toBeCloseTo(bestOrder(search)(search.causes.map((k) => k.id)).minutes, 9);
    }
  });
  test('a kit without a meter cannot measure, and says what it lacks', () => {
    const bare = {
      ...c,
      kit: { ...c.kit, pieces: c.kit.pieces.filter((p) => !p.piece.functions.includes('measure current')) },
    };
    const { search, lacks } = faultSearch(
      bare,
      FAULT_TREES.find((t) => t.id === 'no-crank')!,
    );
    expect(lacks.get('volts')).toEqual(['measure current']);
    expect(search.without).toContain('volts');
    expect(faultSearch(c, search.tree).search.without.has('volts')).toBe(
      !c.kit.pieces.some((p) => p.piece.functions.includes('measure current')),
    );
  });
});

describe('the pocket card', () => {
  test('has each size of a station once, the manual’s torques first, and what the own gauge shows', () => {
    const card = pocketCard(c.bike, c.fasteners, c.trip, { shows: 215, good: 200, on: TODAY });
    for (const s of card.sizes) expect(new Set(s.heads.map((h) => h.text)).size).toBe(s.heads.length);
    expect(new Set(card.torques.map((t) => t.name)).size).toBe(card.torques.length);
    expect(card.sizes[0]!.text).toMatch(/^inside hex 5, 10; hex 5\.5, 8, 12, 24$/u);
    for (const s of card.sizes) for (const h of s.heads) expect(s.text).toContain(h.text.split(' ').at(-1));
    const manual = card.torques.map((t) => t.manual);
    expect(manual).toEqual([...manual].sort((a, b) => Number(b) - Number(a)));
    expect(card.torques.length).toBe(c.fasteners.filter((f) => f.torque && f.leftOut === null).length);
    expect(card.pressures).toEqual([
      { name: 'Front', mark: c.bike.tyreFront, high: 200, low: 120, shows: 215, showsLow: 135 },
      { name: 'Rear', mark: c.bike.tyreRear, high: 200, low: 120, shows: 215, showsLow: 135 },
    ]);
    const oil = { ...c.bike, fit: { 'engine oil': '10W-40, 1.1 L' } };
    expect(bikeSchema.safeParse(oil).success).toBe(true);
    expect(pocketCard(oil, [], null, null)).toEqual({
      sizes: [],
      torques: [],
      pressures: [],
      fluids: [{ name: 'Engine oil', value: '10W-40, 1.1 L' }],
    });
  });
});

describe('all of it together', () => {
  test('a drill, a check and a watch go out with the garage and come back', () => {
    const d = doneDrill(c, 'clutch-lever', 'New lever');
    const t = trouble('puncture-tube');
    const watch = watchFor(c.bike, t, t.ways[0]!, {
      id: uuid(4),
      from: 'drill',
      since: TODAY,
      fasteners: c.fasteners,
      turned: [],
    })!;
    const full: GarageDocument = {
      ...doc,
      garage: { ...doc.garage, gauge: { shows: 210, good: 200, on: TODAY } },
      drills: [d],
      watches: [watch],
      checks: [
        {
          id: uuid(5),
          bikeId: c.bike.id,
          tripId: null,
          check: 'glue',
          on: `${TODAY}T10:00:00.000Z`,
          km: 10,
          who: 'me',
          result: 'found',
          note: 'dry',
        },
      ],
      reminders: [
        {
          id: uuid(6),
          bikeId: c.bike.id,
          name: 'Mine',
          how: '',
          when: 'on a date',
          everyKm: null,
          date: TODAY,
          station: null,
        },
      ],
      memories: [
        remembered(
          null,
          { right: true, seconds: 3, now: `${TODAY}T10:00:00.000Z` },
          { id: uuid(7), bikeId: c.bike.id, who: 'me', card: 'a b', dark: true },
        ),
      ],
    };
    const back = readGarageFile(writeGarageFile(full));
    expect(back.ok && back.document).toEqual(full);
  });
  test('the answer says the same of readiness as what is told of it', () => {
    expect(answer.ready).toBe(0);
    const way = baseWay(exposure('clutch-lever').trouble, mend('clutch-lever').wayName)!.name;
    const drills = [doneDrill(c, 'clutch-lever', way)];
    const question = { bikeId: c.bike.id, tripId: c.trip!.id, today: TODAY };
    const again = answerFor({ ...doc, drills }, question, solve);
    const told = proofTold({ ...doc, drills }, proveCaseOf({ ...doc, drills }, question, again, TODAY));
    expect(again.ready).toBe(told.ready.share);
    expect(again.ready).toBeGreaterThan(0.01);
  });
  test('told at once: checks, readiness and offers of one case', () => {
    const told = proofTold({ ...doc, checks: [] }, c);
    expect(told.ready.share).toBe(0);
    expect(told.offers[0]!.rate).toBeGreaterThan(0);
    expect(told.checks.length).toBeGreaterThan(20);
    // What a check holds up does not count: the glue was found dry.
    const dry = {
      id: uuid(5),
      bikeId: c.bike.id,
      tripId: c.trip!.id,
      check: 'glue',
      on: `${TODAY}T10:00:00.000Z`,
      km: 10,
      who: 'me',
      result: 'found' as const,
      note: 'dry',
    };
    const way = baseWay(exposure('puncture-tube').trouble, mend('puncture-tube').wayName)!.name;
    const practised = { ...c, drills: [doneDrill(c, 'puncture-tube', way)] };
    expect(proofTold({ ...doc, checks: [] }, practised).ready.proven).toBeGreaterThan(0);
    expect(proofTold({ ...doc, checks: [dry] }, practised).ready.proven).toBe(0);
    expect(wayKey('a', 'b')).not.toBe(wayKey('a b', ''));
  });
});

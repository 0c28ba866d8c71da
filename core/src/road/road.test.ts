import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { GarageDocument } from '../garage/index.js';
import { proveCaseOf } from '../answer/index.js';
import { bestOrder, FAULT_TREES, GRADES, NIGHT_WORK, TROUBLES, type FaultTree } from '../repairs/index.js';
import { faultSearch, type ProveCase } from '../prove/index.js';
import { darkShare } from '../trip/odds/index.js';
import { apart, marksOnTheWay, routeKm, spotsAlong } from '../trip/route/index.js';
import { demoCase, TODAY } from '../testing/proveCase.js';
import { fit } from '../bike/fit/index.js';
import { adjustable, combinationSpanner, functional } from '../toolbox/tools/index.js';
import { owned } from '../testing/make.js';
import { insteadOf, lendersOf } from './instead.js';
import { mayDo, seek, type Seen } from './seeking.js';
import { stopFirst, waysNow } from './waysNow.js';
import { daylightLeft, ON_WAY_SPEED, positionText, whereOnRoute } from './whereNow.js';

let c: ProveCase;
let doc: GarageDocument;
beforeAll(async () => {
  ({ c, doc } = await demoCase());
});
const tree = (id: string): FaultTree => FAULT_TREES.find((t) => t.id === id)!;
const trouble = (id: string) => c.troubles.find((t) => t.id === id)!;

describe('searching for what is wrong', () => {
  test('knows all that a rider sees, hears and smells, under the words that they use', () => {
    const all = FAULT_TREES.map((t) => `${t.symptom} ${t.words}`.toLowerCase());
    for (const word of [
      'no start',
      'cuts out',
      'runs badly',
      'overheats',
      'leak',
      'smell',
      'noise',
      'wobble',
      'pulls',
      'brake',
      'clutch',
      'gear',
      'lights',
      'flat',
      'fall',
      'stuck',
      'drowned',
      'hurt',
    ])
      expect([word, all.some((text) => text.includes(word))]).toEqual([word, true]);
    expect(new Set(FAULT_TREES.map((t) => t.id)).size).toBe(FAULT_TREES.length);
  });
  test('asks the test with the least expected minutes, with what is carried', () => {
    for (const t of FAULT_TREES.filter((x) => !x.inOrder)) {
      const { search } = faultSearch(c, t);
      const best = bestOrder(search)(search.causes.map((k) => k.id));
      const now = seek(c, t, []);
      expect([t.id, now.next?.id ?? null, now.minutes]).toEqual([t.id, best.test, best.minutes]);
      expect(now.suspects.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 9);
      expect(now.suspects.map((x) => x.share)).toEqual([...now.suspects.map((x) => x.share)].sort((a, b) => b - a));
    }
  });
  test('whatever is answered, it ends; no test comes twice; none that would make it worse is asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAULT_TREES),
        fc.array(fc.nat(5), { minLength: 12, maxLength: 12 }),
        (t, presses) => {
          const seen: Seen[] = [];
          for (const p of presses) {
            const now = seek(c, t, seen);
            if (!now.next) {
              expect(now.end).not.toBeNull();
              if (now.end === 'found') expect(now.suspects).toHaveLength(1);
              return;
            }
            expect(now.end).toBeNull();
            expect(seen.map((s) => s.test)).not.toContain(now.next.id);
            if (!t.inOrder) expect(mayDo(c, t, seen, now.next.id)).toBe('yes');
            const answers = now.next.answers.length;
            seen.push({ test: now.next.id, answer: p % (answers + 1) === answers ? null : p % (answers + 1) });
          }
          expect(seek(c, t, seen).next).toBeNull();
        },
      ),
      { numRuns: 200 },
    );
  });
  test('who cannot tell is asked something else, and what contradicts itself is said', () => {
    const first = seek(c, tree('no-crank'), []);
    const unsure = seek(c, tree('no-crank'), [{ test: first.next!.id, answer: null }]);
    expect(unsure.suspects).toEqual(first.suspects);
    expect(unsure.next?.id).not.toBe(first.next!.id);
    const lost = seek(c, tree('flat'), [
      { test: 'cut-seen', answer: 0 },
      { test: 'core-seen', answer: 0 },
    ]);
    expect(lost.end).toBe('nothing fits');
  });
  test('people and fire come first, in their order', () => {
    for (const id of ['fallen', 'hurt']) {
      const t = tree(id);
      expect(t.first).toContain('emergency');
      expect(seek(c, t, []).next?.id).toBe(t.tests[0]!.id);
      expect(seek(c, t, []).minutes).toBeNull();
      // Past what nobody could tell it goes on as if all were well there.
      expect(seek(c, t, [{ test: t.tests[0]!.id, answer: null }]).next?.id).toBe(t.tests[1]!.id);
    }
    expect(tree('brakes').first).toContain('do not ride');
    expect(tree('leaks').first).toContain('gnition off');
  });
  test('works without a trip, on what the bike can have', () => {
    const bare = proveCaseOf(doc, { bikeId: c.bike.id, tripId: null }, { ...c, exposures: [] }, TODAY);
    expect(bare.troubles.map((t) => t.id)).toContain('puncture-tube');
    expect(bare.troubles.map((t) => t.id)).not.toContain('puncture-tubeless');
    expect(seek(bare, tree('wobble'), []).next).not.toBeNull();
  });
});

describe('ways to mend it here and now', () => {
  test('those that can be done come first, the best grade before the quickest; the others say why', () => {
    for (const t of c.troubles) {
      const ways = waysNow(c, t, false);
      const rank = ways.map((w) => [w.has ? 0 : 1, GRADES.indexOf(w.grade)] as const);
      for (let i = 1; i < rank.length; i++)
        expect(
          rank[i - 1]![0] < rank[i]![0] || (rank[i - 1]![0] === rank[i]![0] && rank[i - 1]![1] <= rank[i]![1]),
        ).toBe(true);
      for (const w of ways) expect([t.id, w.way.name, w.why.length > 0]).toEqual([t.id, w.way.name, !w.has]);
      // Whatever Kit says that the kit does, can be done.
      const kit = new Set(c.kit.mends.filter((m) => m.troubleId === t.id).flatMap((m) => m.ways.map((x) => x.name)));
      for (const name of kit) expect(ways.find((w) => w.way.name === name)?.has).toBe(true);
    }
  });
  test('in the dark each takes half as long again as by day, whatever the trip is', () => {
    const t = trouble('clutch-lever');
    const [day, night] = [waysNow(c, t, false)[0]!, waysNow(c, t, true)[0]!];
    expect(night.minutes).toBeCloseTo(day.minutes * NIGHT_WORK, 9);
    expect(day.minutes * (1 + 0.5 * darkShare(c.trip!))).toBeCloseTo(day.way.minutes, 9);
  });
  test('what can hurt stops first', () => {
    const of = (id: string) => stopFirst(TROUBLES.find((t) => t.id === id)!).join(' ');
    expect(of('brake-line')).toContain('Do not ride while the brakes are in doubt');
    expect(of('fuel-hose')).toContain('no flame');
    expect(of('coolant-hose')).toContain('scalds');
    expect(of('battery')).toContain('lithium');
    expect(of('drowned')).toContain('Do not press the starter');
    expect(of('injury-serious')).toContain('emergency number');
    expect(of('theft')).toContain('Do not follow');
    expect(of('clutch-lever')).toBe('');
  });
});

describe('what would do instead', () => {
  test('is in the kit, says what to mind, and where it lies', () => {
    const needs = TROUBLES.flatMap((t) => t.ways.flatMap((w) => [...w.out, ...w.back].flatMap((s) => s.needs)));
    const names = new Set([...c.kit.pieces.map((p) => p.piece.name), ...c.kit.spares.map((s) => s.name)]);
    let some = 0;
    for (const n of needs)
      for (const x of insteadOf(c, n)) {
        some++;
        expect(names).toContain(x.name);
        expect(x.mind.length).toBeGreaterThan(5);
      }
    expect(some).toBeGreaterThan(20);
  });
  test('a cable tie for wire, a front tube for a rear one; nothing for a fuse', () => {
    const spare = (kind: string) => ({ ...c.kit.spares[0]!, kind, name: kind, quantity: 2 });
    const kit = { ...c.kit, spares: [spare('wire'), spare('front tube')] };
    expect(insteadOf({ ...c, kit }, { by: 'supply', kind: 'cable tie', units: 2 }).map((x) => x.name)).toEqual([
      'wire',
    ]);
    expect(insteadOf({ ...c, kit }, { by: 'supply', kind: 'rear tube', units: 1 })[0]).toMatchObject({
      name: 'front tube',
      mind: expect.stringContaining('low speed'),
    });
    expect(insteadOf({ ...c, kit }, { by: 'supply', kind: 'fuse', units: 1 })).toEqual([]);
    expect(
      insteadOf(
        { ...c, kit: { ...kit, spares: [{ ...spare('wire'), quantity: 0 }] } },
        { by: 'supply', kind: 'cable tie', units: 2 },
      ),
    ).toEqual([]);
  });
  test('somebody who rides along has it: by what it does, by the head’s size, by its kind', () => {
    const ada = { name: 'Ada', pieces: doc.pieces, supplies: doc.supplies };
    const bo = { name: 'Bo', pieces: [], supplies: [] };
    const of = (need: Parameters<typeof lendersOf>[0], others = [ada, bo]) => lendersOf(need, others, c.fasteners);
    expect(of({ by: 'supply', kind: 'patch', units: 2 })).toEqual([{ who: 'Ada', name: 'patch' }]);
    expect(of({ by: 'supply', kind: 'patch', units: 999 })).toEqual([]);
    expect(of({ by: 'function', does: 'lever tyre', count: 1 })[0]?.who).toBe('Ada');
    const axle = of({ by: 'head', role: 'front axle', ifAny: false })[0]!;
    const piece = doc.pieces.find((p) => p.name === axle.name)!;
    const head = c.fasteners.find((f) => f.role === 'front axle')!.head;
    expect(piece.modes.some((m) => fit(m.turns, head, m.grip).verdict === 'fits')).toBe(true);
    const broken = { ...ada, pieces: ada.pieces.map((p) => ({ ...p, condition: 'broken' as const })) };
    expect(of({ by: 'head', role: 'front axle', ifAny: false }, [broken])).toEqual([]);
    expect(of({ by: 'function', does: 'lever tyre', count: 1 }, [broken])).toEqual([]);
  });
  test('a head is gripped by what grips, at its own cost', () => {
    const list = insteadOf(c, { by: 'head', role: 'front axle', ifAny: false });
    for (const x of list) expect(c.kit.pieces.some((p) => p.piece.name === x.name)).toBe(true);
    expect(
      insteadOf({ ...c, kit: { ...c.kit, pieces: [] } }, { by: 'head', role: 'front axle', ifAny: false }),
    ).toEqual([]);
  });
  test('first what is set to it, then what clamps, then what grips: two of each at most, and nothing else', () => {
    const grips = (n: number) => functional(`Pliers ${n}`, ['grip'], 180, [160, 50, 18], 12);
    const models = [grips(1), grips(2), grips(3), functional('Vice', ['clamp'], 400, [150, 60, 40], 20)];
    const pieces = [...models, combinationSpanner('13'), adjustable(250, 30, 370)].map((m) => ({
      ...c.kit.pieces[0]!,
      piece: owned(m),
    }));
    const list = insteadOf({ ...c, kit: { ...c.kit, pieces } }, { by: 'head', role: 'front axle', ifAny: false });
    expect(list.map((x) => x.name)).toEqual([pieces.at(-1)!.piece.name, 'Vice', 'Pliers 1', 'Pliers 2']);
    // What was never packed lies nowhere.
    expect(list.map((x) => x.lies)).toEqual([[], [], [], []]);
    expect(insteadOf(c, { by: 'supply', kind: 'no such thing', units: 1 })).toEqual([]);
  });
});

describe('where one is', () => {
  test('on a way: km from the start, the marks before and behind, and help ahead and back', () => {
    const route = c.trip!.route!;
    const spots = spotsAlong(route);
    const marks = marksOnTheWay(route);
    for (const i of [0, Math.floor(spots.length / 3), spots.length - 1]) {
      const spot = spots[i]!;
      const now = whereOnRoute(route, spot);
      // The way may pass a spot twice: then it is one of the passes.
      expect(
        apart(
          spots.reduce((a, b) => (Math.abs(b.km - now.km) < Math.abs(a.km - now.km) ? b : a)),
          spot,
        ),
      ).toBeLessThan(0.05);
      expect(now.off).toBeLessThan(0.05);
      expect(now.km + now.left).toBeCloseTo(routeKm(route), 9);
      if (now.last)
        expect(marks.some((m) => m.mark.name === now.last!.name && Math.abs(now.km - m.km - now.last!.km) < 1e-9)).toBe(
          true,
        );
      for (const h of now.help) {
        expect(h.hours).toBeCloseTo(h.km / ON_WAY_SPEED, 9);
        const of = marks.filter((m) => m.mark.kinds.includes(h.kind));
        const there = of.filter((m) => (h.side === 'ahead' ? m.km > now.km : m.km <= now.km));
        expect(h.km).toBeCloseTo(Math.min(...there.map((m) => Math.abs(m.km - now.km))), 9);
      }
    }
    expect(whereOnRoute(route, { lat: spots[0]!.lat + 1, lon: spots[0]!.lon }).off).toBeGreaterThan(20);
  });
  test('daylight by the sun: known sunsets, and none where it does not set', () => {
    const left = daylightLeft({ lat: 52.52, lon: 13.405 }, '2026-06-21T18:00:00Z')!;
    // The almanac has 19:33 UTC for that place and day.
    expect(Math.abs(Date.parse(left.until) - Date.parse('2026-06-21T19:33:00Z'))).toBeLessThan(3 * 60_000);
    expect(left.minutes).toBeCloseTo((Date.parse(left.until) - Date.parse('2026-06-21T18:00:00Z')) / 60_000, 6);
    expect(daylightLeft({ lat: 0, lon: 0 }, '2026-03-20T12:00:00Z')!.minutes).toBeGreaterThan(355);
    expect(daylightLeft({ lat: 0, lon: 0 }, '2026-03-20T12:00:00Z')!.minutes).toBeLessThan(380);
    expect(daylightLeft({ lat: 78, lon: 15 }, '2026-06-21T12:00:00Z')).toBeNull();
  });
  test('said on the phone in both ways, read back to the same place', () => {
    expect(positionText({ lat: 45.5, lon: -21.25 })).toEqual({
      decimal: '45.50000, -21.25000',
      minutes: '45° 30.000′ N, 21° 15.000′ W',
    });
    expect(positionText({ lat: -0.9999999, lon: 9.9999999 }).minutes).toBe('1° 0.000′ S, 10° 0.000′ E');
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (lat, lon) => {
          const read = [...positionText({ lat, lon }).minutes.matchAll(/(\d+)° ([\d.]+)′ ([NSEW])/gu)].map(
            ([, d, m, side]) => (Number(d) + Number(m) / 60) * (side === 'S' || side === 'W' ? -1 : 1),
          );
          expect(Math.abs(read[0]! - lat)).toBeLessThan(2e-5);
          expect(Math.abs(read[1]! - lon)).toBeLessThan(2e-5);
        },
      ),
    );
  });
});

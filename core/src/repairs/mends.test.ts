import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { ROLES } from '../bike/index.js';
import { exposuresIn } from '../trip/odds/index.js';
import { bookOf, FIT_LINES, KNOWN, SUPPLIES, supplyKindKnown } from './supplies/index.js';
import { brakeHose } from '../testing/supplies.js';
import { catalogue, FUNCTIONS } from '../toolbox/tools/index.js';
import { uuid } from '../testing/make.js';
import { FAULT_TREES } from './faultSearches.js';
import { TROUBLES } from './known.js';
import { ownMendSchema, unknownKinds, withOwn, type OwnMend } from './own.js';
import { PREVENTIONS } from './prevention.js';
import { GRADES, gradeMeets, hasTraits, needsOf, readStep, way } from './way.js';

const doc = demoGarage();

describe('what is known', () => {
  test('is much, told apart, and each thing has a way; the first is the best', () => {
    expect(TROUBLES.length).toBeGreaterThanOrEqual(55);
    expect(new Set(TROUBLES.map((t) => t.id)).size).toBe(TROUBLES.length);
    for (const t of TROUBLES) {
      expect(t.ways.length).toBeGreaterThan(0);
      expect(new Set(t.ways.map((w) => w.name)).size).toBe(t.ways.length);
      const first = t.ways[0]!;
      for (const w of t.ways) {
        expect(gradeMeets(first.grade, w.grade)).toBe(true);
        expect(w.out.length).toBeGreaterThan(0);
        expect(w.minutes).toBeGreaterThan(0);
      }
      // Some way that ends well costs nothing to carry, or the trouble is one that needs something.
      expect(t.stops || t.nuisance > 0).toBe(true);
    }
    const weightless = TROUBLES.filter((t) =>
      t.ways.some((w) => {
        const n = needsOf(w);
        return n.functions.length + n.supplies.length + n.heads.length === 0;
      }),
    );
    expect(weightless.length).toBeGreaterThan(25);
  });
  test('every need can be met: functions by a piece of the catalogue, supplies by a kind, heads by a job', () => {
    const offered = new Set(catalogue().flatMap((p) => p.functions));
    for (const f of FUNCTIONS) expect([f, offered.has(f)]).toEqual([f, true]);
    for (const t of TROUBLES)
      for (const w of t.ways) {
        const n = needsOf(w);
        for (const f of n.functions) expect(offered).toContain(f.does);
        for (const s of n.supplies) expect([s.kind, supplyKindKnown(s.kind)]).toEqual([s.kind, true]);
        for (const h of n.heads) expect(ROLES).toContain(h.role);
      }
    const used = new Set(TROUBLES.flatMap((t) => t.ways.flatMap((w) => needsOf(w).supplies.map((s) => s.kind))));
    // What is carried besides is there for a reason of its own.
    const BESIDES = ['hose clamp', 'fuel hose'];
    for (const s of SUPPLIES)
      if (!s.kind.startsWith('bolt'))
        expect([s.kind, used.has(s.kind) || BESIDES.includes(s.kind)]).toEqual([s.kind, true]);
  });
  test('each demo bike has a head for each job that its mends ask for', () => {
    for (const bike of doc.bikes) {
      const roles = new Set(doc.fasteners.filter((f) => f.bikeId === bike.id).map((f) => f.role));
      // Jobs of parts that the other bike alone has.
      const NOT_HERE: Record<string, string> = {
        'final drive': 'shaft',
        'chain adjuster': 'chain',
        'hose clamp': 'liquid',
      };
      for (const t of TROUBLES) {
        if (!hasTraits(t.only, bike)) continue;
        for (const w of t.ways.filter((x) => hasTraits(x.only, bike)))
          for (const h of needsOf(w).heads)
            if (!h.ifAny && !(h.role in NOT_HERE))
              expect([bike.name, t.id, h.role, roles.has(h.role)]).toEqual([bike.name, t.id, h.role, true]);
      }
    }
    const marked = new Set(doc.fasteners.map((f) => f.role));
    // No bike of the demo has a carburettor, a kick lever or a drum brake.
    for (const role of ROLES.filter((r) => !['carburettor bowl', 'kick lever', 'brake stay'].includes(r)))
      expect([role, marked.has(role)]).toEqual([role, true]);
  });
  test('mends of wheel, brake, axle and steering carry their caution; so do fuel, towing and first aid', () => {
    for (const t of TROUBLES)
      for (const w of t.ways) {
        const n = needsOf(w);
        const risky =
          n.heads.some((h) =>
            ['rear axle', 'front axle', 'brake pads', 'brake union', 'steering', 'bars'].includes(h.role),
          ) ||
          n.functions.some((f) => ['tow', 'haul', 'jump-start', 'jump leads', 'bandage', 'siphon'].includes(f.does)) ||
          n.supplies.some((s) =>
            ['plug string', 'pin plug', 'patch', 'metal putty', 'gas cartridge', 'brake fluid'].includes(s.kind),
          );
        if (risky) expect([t.id, w.name, w.caution.length > 10]).toEqual([t.id, w.name, true]);
      }
  });
  test('each caution is whole sentences that stand alone, wherever they are printed', () => {
    const said = new Set([
      ...TROUBLES.flatMap((t) => t.ways.map((w) => w.caution)),
      ...PREVENTIONS.map((p) => p.caution),
      ...FIT_LINES.map((l) => l.caution ?? ''),
    ]);
    for (const caution of [...said].filter(Boolean))
      for (const sentence of caution.match(/[^.]+\.?/gu)!.map((x) => x.trim())) {
        expect([sentence, /^[A-Z].*\.$/u.test(sentence)]).toEqual([sentence, true]);
        expect([sentence, sentence.split(' ').length >= 5]).toEqual([sentence, true]);
        // What begins with these has lost its subject.
        expect(sentence).not.toMatch(/^(?:Only|Never|Not|No|Then|It|Small|Gently) /u);
      }
  });
  test('volts that a meter can show have an answer, with no gap between', () => {
    for (const tree of FAULT_TREES)
      for (const t of tree.tests) {
        const ranges = t.answers.flatMap(({ seen }): [number, number][] => {
          const [, under] = /^under ([\d.]+)/u.exec(seen) ?? [];
          if (under) return [[-Infinity, Number(under)]];
          const [, over] = /^(?:over )?([\d.]+)(?: or more)?$/u.exec(seen) ?? [];
          if (over) return [[Number(over), Infinity]];
          const [, from, to] = /^([\d.]+) to ([\d.]+)$/u.exec(seen) ?? [];
          return from ? [[Number(from), Number(to)]] : [];
        });
        if (ranges.length === 0) continue;
        ranges.sort((a, b) => a[0] - b[0]);
        expect([t.id, ranges[0]![0], ranges.at(-1)![1]]).toEqual([t.id, -Infinity, Infinity]);
        ranges.slice(1).forEach(([from], i) => expect([t.id, from]).toEqual([t.id, ranges[i]![1]]));
      }
  });
  test('searches for faults end in known troubles, and no test leads nowhere', () => {
    const ids = new Set(TROUBLES.map((t) => t.id));
    for (const tree of FAULT_TREES) {
      const tests = new Map(tree.tests.map((t) => [t.id, t]));
      const seen = new Set<string>();
      const go = (id: string, depth: number): void => {
        expect(depth).toBeLessThan(12);
        expect(tests.has(id)).toBe(true);
        seen.add(id);
        for (const { then } of tests.get(id)!.answers)
          if ('test' in then) go(then.test, depth + 1);
          else expect([tree.id, then.trouble, ids.has(then.trouble)]).toEqual([tree.id, then.trouble, true]);
      };
      go(tree.tests[0]!.id, 0);
      expect(seen.size).toBe(tests.size);
    }
  });
  test('measures touch known troubles and make them rarer', () => {
    const ids = new Set(TROUBLES.map((t) => t.id));
    for (const p of PREVENTIONS)
      for (const [id, f] of Object.entries(p.factors)) {
        expect([p.id, ids.has(id)]).toEqual([p.id, true]);
        expect(f).toBeGreaterThanOrEqual(0);
        expect(f).toBeLessThan(1);
      }
  });
});

describe('a step', () => {
  test('says what to do and what it takes', () => {
    expect(readStep('Break it loose {rear axle}, chain slack {chain adjuster?}.')).toEqual({
      only: {},
      text: 'Break it loose, chain slack.',
      needs: [
        { by: 'head', role: 'rear axle', ifAny: false },
        { by: 'head', role: 'chain adjuster', ifAny: true },
      ],
    });
    expect(readStep('Patch <patch ×2> [lever tyre ×2] [inflate]').needs).toEqual([
      { by: 'supply', kind: 'patch', units: 2 },
      { by: 'function', does: 'lever tyre', count: 2 },
      { by: 'function', does: 'inflate', count: 1 },
    ]);
    expect(() => readStep('Turn {the thing}')).toThrow(/no fastener has the job "the thing"/);
    expect(() => readStep('Use [magic]')).toThrow(/no piece is there to "magic"/);
  });
  test('needs of a way: greatest count of a function, units added up, each head once', () => {
    const w = way('x', 'proper', 10, 1, ['a [grip] <fuse>', 'b {seat}'], ['c [grip ×2] <fuse ×2> {seat?}']);
    expect(needsOf(w)).toEqual({
      heads: [{ role: 'seat', ifAny: false }],
      functions: [{ does: 'grip', count: 2 }],
      supplies: [{ kind: 'fuse', units: 3 }],
    });
  });
});

describe('a rider’s own mends', () => {
  const own: OwnMend = {
    id: uuid(7),
    trouble: 'chain',
    name: 'Wire for a link',
    subject: 'drive',
    rate: { paved: 0, gravel: 0, track: 0 },
    stops: true,
    nuisance: 0,
    grade: 'limp',
    minutes: 20,
    skill: 1,
    out: ['Press the link out [open chain]'],
    back: ['Three turns of wire <wire>'],
    caution: 'Walking pace.',
    note: '',
  };
  test('a way joins its trouble behind the better ones; an own trouble has its own rate', () => {
    const chain = withOwn(TROUBLES, [own]).find((t) => t.id === 'chain')!;
    expect(chain.ways.map((w) => w.name)).toContain('Wire for a link');
    const grades = chain.ways.map((w) => GRADES.indexOf(w.grade));
    expect(grades).toEqual([...grades].sort((a, b) => a - b));
    const alone = { ...own, trouble: null, name: 'Dog in the spokes', rate: { paved: 0, gravel: 0.5, track: 1 } };
    const list = exposuresIn({ ...doc, mends: [alone] }, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id });
    const mine = list.find((e) => e.trouble.own)!;
    expect(mine.trouble.name).toBe('Dog in the spokes');
    expect(mine.lambda).toBeGreaterThan(0.2);
  });
  test('a step that asks for what is not known is refused, with its line', () => {
    const read = (fields: object) => ownMendSchema.safeParse({ ...own, ...fields });
    expect(read({}).success).toBe(true);
    const bad = read({ out: ['Fine', 'Turn {nothing}'] });
    expect(bad.success ? [] : bad.error.issues.map((i) => i.path)).toEqual([['out', 1]]);
    // What a step uses up may be a kind of the rider's own: what is in no list is named.
    expect(unknownKinds(['Use <unobtainium>', 'Tie it <cable tie ×2>', 'Bolt it <bolt>'], KNOWN)).toEqual([
      'unobtainium',
    ]);
    expect(unknownKinds(['Use <unobtainium>'], bookOf([{ ...brakeHose, name: 'unobtainium' }]))).toEqual([]);
    expect(read({ out: [] }).success).toBe(false);
    expect(read({ minutes: -1 }).success).toBe(false);
    expect(read({ rate: { paved: Number.NaN, gravel: 0, track: 0 } }).success).toBe(false);
  });
});

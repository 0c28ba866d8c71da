import { describe, expect, test } from '@jest/globals';
import { FAULT_TREES } from './faultSearches.js';
import { TROUBLES } from './known.js';
import { GRADES, lasting, needsOf, readStep, stepsOn, type Need, type WayStep } from './way.js';
import { newBike } from '../bike/index.js';
import { uuid } from '../testing/make.js';

/** Whether a step names one of some functions. */
const does =
  (...names: string[]) =>
  (n: Need) =>
    n.by === 'function' && names.includes(n.does);
const uses =
  (...kinds: string[]) =>
  (n: Need) =>
    n.by === 'supply' && kinds.some((k) => n.kind === k || (k === 'bolt' && n.kind.startsWith('bolt')));
const turns = (n: Need) => n.by === 'head';

/**
 * What a verb of a step cannot be done without. Read as if in a field with nothing but what the step names: what a hand alone does is not here.
 */
const VERBS: [verb: RegExp, needs: ((n: Need) => boolean)[]][] = [
  [/\bunscrew|\bscrew the (?:new |old )?core/i, [turns, does('grip')]],
  [
    /\bbreak the axle loose|\b(?:tighten|slacken) (?:the (?:axle|pinch|adjusters|rim lock|lower clamp)|axle and)/i,
    [turns],
  ],
  [/\blift one side over|\blast bite|\blever it down/i, [does('lever tyre')]],
  [/\blever the seal/i, [does('pry')]],
  [
    /\bpump (?:up\b(?! again before paved roads: )|until (?:it seats|the line))|\brefill with air|: pump, listen|\bblow a little air/i,
    [does('inflate')],
  ],
  [/\bcut (?:it|the (?!thread)|its|back|a patch|a hook|off|clear|through)\b/i, [does('cut', 'saw')]],
  [/\bsaw the\b/i, [does('saw')]],
  [/\bfile two flats|to bright metal/i, [does('file')]],
  [/\bdrive the (?:six-point tool on|new|rest|bearing)|\bknock its lip|\bpunch the/i, [does('strike')]],
  [/\bdrive the (?:rest|bearing) (?:out|of the pin)|\bpunch the/i, [does('punch out')]],
  [/\bpress the broken link out|\bflare it with/i, [does('open chain')]],
  [
    /^(?!.*(?:no|off|their|the) ties?\b).*\bties? (?:through|round|tight|it)\b/i,
    [uses('cable tie', 'steel tie', 'wire', 'hose clamp')],
  ],
  [
    /(?<!wind )\btape (?:them|round|inside|over|it\b|smoothly|the broken|stretched)|\bsplice and tape|\bwith tape/i,
    [uses('cloth tape', 'self-fusing tape')],
  ],
  [/\bgrease (?:the|and press)|\bwith grease/i, [uses('grease')]],
  [/\bputty (?:round|under|both)/i, [uses('metal putty')]],
  [/\bdegrease/i, [uses('cleaner')]],
  [/\bvolts at|\bmeasure (?:the (?:coil|volts)|again)|\btest lamp from/i, [does('measure current')]],
  [/\bmeasure the play|\bmeasure that both/i, [does('measure')]],
  [/\bby the gauge/i, [does('gauge')]],
  [/\bsiphon the|\bhose into the fuller/i, [does('siphon')]],
  [/\btie the strap|\bstrap low|\bstrap (?:tight )?round the tread/i, [does('tow', 'haul')]],
  [/\bpenetrating fluid, and/i, [uses('penetrating fluid')]],
  [/\bput threadlocker on/i, [uses('threadlocker')]],
  [/\ba burst of gas/i, [does('gas air')]],
  [/\brough the hole/i, [does('ream')]],
  [/\boil (?:to the mark|of the manual)|\bfill (?:oil )?to the mark/i, [uses('engine oil')]],
  [/\bnew washer/i, [uses('drain washer')]],
  [/\bdress it\b/i, [uses('dressing')]],
  [/\bpositive clamp on\b/i, [does('jump-start')]],
  [/\bclamp the positive terminal/i, [does('jump leads')]],
  [/\bbrush (?:it|the (?:worst|mud|grit)|both|and wipe)/i, [does('brush')]],
  [/\bthin gloves on/i, [uses('gloves')]],
  [/\bclean your hands first/i, [uses('hand wipe')]],
  [/\bsoapy water/i, [uses('tyre soap')]],
  [/\bwith anti-seize/i, [uses('anti-seize')]],
  [/\bstrip into the rim/i, [uses('rim strip')]],
  [/\bwind the insert in/i, [uses('thread insert')]],
  [/\bthin bit first/i, [does('drill'), does('bore')]],
  [/\bring of the same size and thickness/i, [uses('o-ring')]],
  [/\bfile the spoke end/i, [does('file')]],
  [/\bsteel ties round/i, [uses('steel tie')]],
];

const all: { at: string; step: WayStep }[] = TROUBLES.flatMap((t) =>
  t.ways.flatMap((w) => [...w.out, ...w.back].map((step) => ({ at: `${t.id}: ${w.name}`, step }))),
);

describe('each step can be done with what it names', () => {
  test.each(VERBS)('%s', (verb, needs) => {
    const steps = all.filter(({ step }) => verb.test(step.text));
    // A verb that no step has any more leaves the vocabulary.
    expect(steps.length).toBeGreaterThan(0);
    for (const { at, step } of steps)
      expect([at, step.text, step.needs.some((n) => needs.some((meets) => meets(n)))]).toEqual([at, step.text, true]);
  });
});

describe('what can hurt', () => {
  const CRITICAL = /brake, an axle, the steering, a wheel or the engine’s mount/;
  test('nothing improvised holds what lives hang on: such ways ask first and say that the ride ends', () => {
    for (const t of TROUBLES.filter((x) => x.subject === 'loose and lost' && !['exhaust', 'key-lost'].includes(x.id)))
      for (const w of t.ways) {
        const improvised = needsOf(w).supplies.some((s) =>
          ['cable tie', 'wire', 'strap', 'metal putty'].includes(s.kind),
        );
        if (!improvised) continue;
        expect([t.id, w.name, CRITICAL.test(w.caution)]).toEqual([t.id, w.name, true]);
        expect([t.id, w.name, w.out.some((s) => /^Ask what hangs on it/.test(s.text))]).toEqual([t.id, w.name, true]);
      }
    const lost = TROUBLES.find((t) => t.id === 'critical-lost')!;
    expect(lost.stops).toBe(true);
    expect(lost.ways.map((w) => w.name)).toEqual([
      'New bolt of its thread and strength',
      'Do not ride: fetch the part',
    ]);
    // No axle, brake or steering is held by wire or ties in any repair.
    for (const t of TROUBLES)
      for (const w of t.ways)
        if (w.out.concat(w.back).some((s) => /\b(?:wire|ties?)\b.*\baxle|\baxle\b.*\b(?:wire|ties?)\b/i.test(s.text)))
          throw new Error(`${t.id}: ${w.name} ties an axle`);
  });
  test('a spark and open fuel never meet: each look for a spark has its hole closed, its place aired, its caution', () => {
    const sparks = [
      ...all.map((x) => x.step.text),
      ...FAULT_TREES.flatMap((f) => f.tests.map((t) => t.step.text)),
    ].filter((text) => /: a spark\?/.test(text));
    expect(sparks.length).toBe(2);
    for (const text of sparks) expect(text).toMatch(/away from the hole.*insulated pliers/);
    for (const tree of FAULT_TREES)
      for (const t of tree.tests)
        if (/: a spark\?/.test(t.step.text)) expect(t.caution).toMatch(/Fuel vapour burns at a spark/);
  });
  test('every test of a search that opens, measures or touches something has its caution', () => {
    for (const tree of FAULT_TREES)
      for (const t of tree.tests)
        if (t.step.needs.length > 0 || /fuel|puddle|steam|fan turn|bulb out|cap open/i.test(t.step.text))
          expect([tree.id, t.id, t.caution.length > 20]).toEqual([tree.id, t.id, true]);
  });
  test('no step switches on what its caution switches off, none starts a siphon by mouth, none bends a knife', () => {
    for (const t of TROUBLES)
      for (const w of t.ways) {
        const steps = [...w.out, ...w.back];
        const opens = steps.findIndex((s) => /\b(?:hoses?|pump|bowl) (?:off|out)|old hose off/i.test(s.text));
        const off = steps.findIndex((s) => /ignition off|tap shut/i.test(s.text));
        if (opens >= 0 && /[Ff]uel/.test(w.caution))
          expect([t.id, w.name, off >= 0 && off <= opens]).toEqual([t.id, w.name, true]);
        if (needsOf(w).functions.some((f) => f.does === 'siphon'))
          expect([t.id, w.caution]).toEqual([t.id, expect.stringMatching(/never by mouth/)]);
        for (const s of steps) expect(s.text).not.toMatch(/pistons? .*\bpry|knife/i);
      }
  });
  test('a wheel goes out by its pinch bolts first, with the brake lever left alone, and comes in with the brake pumped', () => {
    const wheels = TROUBLES.flatMap((t) => t.ways.map((w) => ({ id: t.id, w }))).filter(({ w }) =>
      w.out.some((s) => /take the wheel out/.test(s.text)),
    );
    expect(wheels.length).toBeGreaterThan(6);
    for (const { id, w } of wheels) {
      const out = w.out.map((s) => s.text);
      const at = (re: RegExp) => out.findIndex((x) => re.test(x));
      const pinch = at(/pinch bolts/i);
      if (pinch >= 0) expect([id, pinch < at(/Break the axle loose/)]).toEqual([id, true]);
      expect([id, at(/Break the axle loose/) < at(/Raise/)]).toEqual([id, true]);
      expect([id, at(/Leave the brake lever/) > 0]).toEqual([id, true]);
      expect([id, w.back.some((s) => /Pump the brake/.test(s.text))]).toEqual([id, true]);
      expect([id, w.caution]).toEqual([id, expect.stringMatching(/Props slip/)]);
      if (w.out.some((s) => /push the lock in/.test(s.text)))
        expect([id, w.back.some((s) => /Tighten the rim lock/.test(s.text))]).toEqual([id, true]);
    }
  });
  const wheelWays = (front: 'disc' | 'drum', rear: 'disc' | 'drum', drive: 'chain' | 'shaft') => {
    const bike = { ...newBike(uuid(1), 'B'), drive, brakeFront: front, brakeRear: rear };
    return TROUBLES.flatMap((t) => t.ways)
      .filter((w) => w.out.some((s) => /take the wheel out/.test(s.text)))
      .map((w) => ({
        name: w.name,
        out: stepsOn(w.out, bike).map((s) => s.text),
        back: stepsOn(w.back, bike).map((s) => s.text),
      }));
  };
  const at = (steps: string[], re: RegExp) => steps.findIndex((x) => re.test(x));
  test('a shaft’s splines take the wheel before the axle does, and a wheel that comes off them goes back onto them', () => {
    const rear = wheelWays('disc', 'disc', 'shaft').filter(({ out }) => at(out, /off the splines/) >= 0);
    expect(rear.length).toBeGreaterThan(4);
    for (const { name, back } of rear) {
      expect([name, at(back, /onto the splines/) >= 0]).toEqual([name, true]);
      expect([name, at(back, /onto the splines/) < at(back, /push the axle through/)]).toEqual([name, true]);
    }
  });
  test('a drum’s stay and cable come off before its axle, and are back before the bike moves; a disc has none', () => {
    for (const { name, out, back } of wheelWays('drum', 'drum', 'chain')) {
      const off = at(out, /stay of (?:its|the (?:front|rear)) /);
      expect([name, off >= 0 && off < at(out, /Break the axle loose/)]).toEqual([name, true]);
      const on = at(back, /^Fix the stay/);
      expect([name, on >= 0 && on < at(back, /Pump the brake/)]).toEqual([name, true]);
    }
    for (const { name, out, back } of wheelWays('disc', 'disc', 'chain'))
      expect([name, at([...out, ...back], /\bstay of/)]).toEqual([name, -1]);
  });
  test('air stays in a tube only once its core is in: it is in before any pumping, and out only without pressure', () => {
    const tubes = wheelWays('disc', 'disc', 'chain').filter(({ out }) => at(out, /Unscrew the valve’s core/) >= 0);
    expect(tubes.length).toBeGreaterThan(6);
    for (const { name, out, back } of tubes) {
      expect([name, at(out, /Let all the air out/) < at(out, /Unscrew the valve’s core/)]).toEqual([name, true]);
      const steps = [...out, ...back].slice(at(out, /Unscrew the valve’s core/) + 1);
      const air = steps.findIndex((s) => /\bpump\b|blow a little air/i.test(s) && !/brake/.test(s));
      const core = at(steps, /\bcore in\b/i);
      expect([name, core >= 0 && core <= air]).toEqual([name, true]);
    }
    for (const w of TROUBLES.find((t) => t.id === 'valve-core')!.ways)
      expect([w.name, w.caution]).toEqual([w.name, expect.stringMatching(/let the air out first/)]);
  });
  test('first aid calls for help before anything, and shows no more than a leaflet', () => {
    for (const id of ['injury', 'injury-serious', 'bleeding', 'burn', 'blister', 'bite', 'eye'])
      for (const w of TROUBLES.find((t) => t.id === id)!.ways.filter((x) => x.minutes > 5))
        expect([id, w.name, w.caution]).toEqual([id, w.name, expect.stringMatching(/call for help/i)]);
    const serious = TROUBLES.find((t) => t.id === 'injury-serious')!.ways[0]!.out.map((s) => s.text);
    const order = [/place safe/, /Call for help/, /Breathing first.*helmet stays on/, /Heavy bleeding/, /Do not move/];
    expect(order.map((re) => serious.findIndex((s) => re.test(s)))).toEqual([0, 1, 2, 3, 4]);
    const burn = TROUBLES.find((t) => t.id === 'burn')!;
    for (const w of burn.ways) expect(w.out.some((s) => /twenty minutes/.test(s.text))).toBe(true);
  });
});

describe('what a way says of itself', () => {
  test('what is no lasting repair says how far and how fast, or goes at walking pace', () => {
    for (const t of TROUBLES)
      for (const w of t.ways) {
        if (!/is no lasting repair/.test(w.caution)) continue;
        expect([t.id, w.name, w.lasts !== null || w.travel !== null]).toEqual([t.id, w.name, true]);
      }
    for (const t of TROUBLES)
      for (const w of t.ways)
        if (w.lasts) {
          expect(w.lasts.km).toBeGreaterThan(0);
          expect([t.id, w.name, w.lasts.kmh >= 20 && w.lasts.kmh <= 90]).toEqual([t.id, w.name, true]);
          // The better the grade, the further it may go; what is as at home needs no end.
          if (w.grade === 'limp') expect([t.id, w.name, w.lasts.km <= 100]).toEqual([t.id, w.name, true]);
        }
    expect(GRADES[0]).toBe('proper');
  });
  test('what is as at home needs no end', () => {
    const plugged = { lasts: { km: 150, kmh: 80 }, ruin: 'heat' };
    expect(lasting(plugged)).toEqual({ code: 'way.lasting', ...plugged });
    expect(lasting({ lasts: null, ruin: 'heat' })).toEqual({ code: 'way.lasting', lasts: null, ruin: 'heat' });
    expect(lasting({ lasts: null, ruin: '' })).toBeNull();
  });
  test('steps of other bikes are left out, and so is what they take', () => {
    const steps = [
      readStep('(chain) Chain off'),
      readStep('(shaft) Grease the splines <grease>'),
      readStep('Wheel out'),
    ];
    const shaft = { ...newBike(uuid(1), 'S'), drive: 'shaft' as const };
    const chain = { ...newBike(uuid(1), 'C'), drive: 'chain' as const };
    expect(stepsOn(steps, shaft).map((s) => s.text)).toEqual(['Grease the splines', 'Wheel out']);
    expect(stepsOn(steps, chain).map((s) => s.text)).toEqual(['Chain off', 'Wheel out']);
    expect(needsOf({ out: steps, back: [] }, chain).supplies).toEqual([]);
    expect(needsOf({ out: steps, back: [] }, shaft).supplies).toEqual([{ kind: 'grease', units: 1 }]);
    expect(needsOf({ out: steps, back: [] }).supplies).toHaveLength(1);
  });
});

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import type { DryWhy } from './rehearsal.js';
import { drillSchema, TROUBLES, type Drill } from '../repairs/index.js';
import { uuid } from '../testing/make.js';
import {
  giveUp,
  isOpen,
  pauseDrill,
  resumeDrill,
  startDrill,
  stepBack,
  stepDone,
  stepSeconds,
  stuckAt,
  takenUp,
} from './running.js';

const at = (seconds: number) => new Date(Date.parse('2026-05-01T10:00:00Z') + seconds * 1000).toISOString();
const puncture = TROUBLES.find((t) => t.id === 'puncture-tube')!;
const begun = (more: { dry?: boolean; real?: boolean; dryWhy?: DryWhy } = {}): Drill =>
  startDrill(
    {
      trouble: puncture,
      wayName: 'New tube',
      wheel: 'front',
      planned: 50,
      tools: ['a', 'b'],
      dry: more.dryWhy ?? null,
    },
    {
      ...{ id: uuid(1), bikeId: uuid(2), tripId: null, who: 'me', dark: false, now: at(0), dry: more.dry ?? false },
      ...(more.real === undefined ? {} : { real: more.real }),
    },
  );
const total = (d: Drill) => d.seconds.reduce((a, b) => a + b, 0);

describe('a drill', () => {
  test('begins with its clock running, and is a row that can be stored', () => {
    const d = begun();
    expect(drillSchema.parse(d)).toEqual(d);
    expect(d).toMatchObject({
      state: 'running',
      step: 0,
      since: at(0),
      seconds: [],
      tools: ['a', 'b'],
      wheel: 'front',
    });
    expect(isOpen(d)).toBe(true);
    expect(stepSeconds(d, at(7))).toBe(7);
  });
  test('each step has its own clock, and after the last it is done', () => {
    const one = stepDone(begun(), at(60), 3, [uuid(7)]);
    const two = stepDone(one, at(100), 3, [uuid(7), uuid(8)]);
    const three = stepDone(two, at(130), 3);
    expect(one).toMatchObject({ step: 1, seconds: [60], since: at(60) });
    expect(two).toMatchObject({ step: 2, seconds: [60, 40] });
    expect(three).toMatchObject({ state: 'done', step: 3, seconds: [60, 40, 30], since: null, ended: at(130) });
    expect(three.turned).toEqual([uuid(7), uuid(8)]);
    expect(isOpen(three)).toBe(false);
    // What is over stays as it is.
    expect(stepDone(three, at(999), 3)).toBe(three);
    expect(giveUp(three, at(999))).toBe(three);
    expect(stepBack(three, at(999))).toBe(three);
  });
  test('paused the clock stands, and a step back goes on from where it stood', () => {
    const paused = pauseDrill(stepDone(begun(), at(60), 3), at(70));
    expect(paused).toMatchObject({ state: 'paused', since: null, seconds: [60, 10] });
    expect(stepSeconds(paused, at(9000))).toBe(10);
    const on = resumeDrill(paused, at(9000));
    expect(stepSeconds(on, at(9005))).toBe(15);
    const back = stepBack(on, at(9005));
    expect(back).toMatchObject({ step: 0, seconds: [60, 15] });
    expect(stepSeconds(back, at(9010))).toBe(65);
    expect(stepBack(begun(), at(5)).step).toBe(0);
    expect(resumeDrill(on, at(9006))).toBe(on);
    expect(pauseDrill(paused, at(80))).toBe(paused);
  });
  test('torn off it is taken up where it was last seen to run', () => {
    const d = stepDone(begun(), at(60), 3);
    expect(takenUp(d, at(75))).toMatchObject({ state: 'paused', since: null, seconds: [60, 15] });
    // Nothing known of it, or of before the step: the step's clock stands where it was written.
    expect(takenUp(d, null)).toMatchObject({ state: 'paused', seconds: [60, 0] });
    expect(takenUp(d, at(10))).toMatchObject({ seconds: [60, 0] });
    const paused = pauseDrill(d, at(65));
    expect(takenUp(paused, at(999))).toBe(paused);
  });
  test('given up keeps its time; a clock set back adds none, and no step lasts longer than two days', () => {
    expect(giveUp(begun(), at(30))).toMatchObject({ state: 'given up', seconds: [30], ended: at(30), since: null });
    expect(stepSeconds(begun(), at(-500))).toBe(0);
    expect(stepSeconds(begun(), at(9_999_999))).toBe(172_800);
  });
  test('a dry run turns nothing, and what harms a sound bike is dry unless it is needed', () => {
    expect(stepDone(begun({ dry: true }), at(5), 3, [uuid(7)]).turned).toEqual([]);
    expect(begun({ dryWhy: 'dry.harms' }).dry).toBe(true);
    expect(begun({ dryWhy: 'dry.harms', real: true }).dry).toBe(false);
    expect(begun().dry).toBe(false);
  });
  test('stuck is written at its step, the clock goes on', () => {
    const d = stuckAt(stepDone(begun(), at(10), 3), 'missing', 'Socket');
    expect(d.stuck).toEqual([{ step: 1, reason: 'missing', item: 'Socket' }]);
    expect(d.since).toBe(at(10));
    const often = Array.from({ length: 130 }).reduce<Drill>((x) => stuckAt(x, 'too weak', 'x'.repeat(400)), d);
    expect(drillSchema.safeParse(often).success).toBe(true);
  });
  test('whatever is pressed, the time is that of the running clock, and never less than before', () => {
    const press = fc.constantFrom('done', 'back', 'pause', 'resume', 'torn');
    fc.assert(
      fc.property(fc.array(fc.tuple(press, fc.integer({ min: 0, max: 300 })), { maxLength: 30 }), (presses) => {
        let d = begun();
        let [now, ran] = [0, 0];
        for (const [what, wait] of presses) {
          if (d.state === 'running') ran += wait;
          now += wait;
          if (what === 'done') d = stepDone(d, at(now), 99);
          else if (what === 'back') {
            // A step back from the first is none, and its clock is read later.
            d = stepBack(d, at(now));
          } else if (what === 'pause') d = pauseDrill(d, at(now));
          else if (what === 'resume') d = resumeDrill(d, at(now));
          else d = takenUp(d, at(now));
          const open = d.since === null ? 0 : (Date.parse(at(now)) - Date.parse(d.since)) / 1000;
          expect(total(d) + open).toBeCloseTo(ran, 6);
          expect(drillSchema.safeParse(d).success).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });
});

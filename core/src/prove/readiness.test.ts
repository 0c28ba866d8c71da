import { describe, expect, test } from '@jest/globals';
import { AT_HAND, type Drill, type Way } from '../repairs/index.js';
import { doneDrill } from '../testing/proveCase.js';
import { uuid } from '../testing/make.js';
import { readiness } from './proven.js';
import type { ProveCase } from './proveCase.js';

/** A way of so many minutes that always holds. */
const way = (name: string, minutes: number, grade: Way['grade'], helped = false) =>
  ({ name, minutes, grade, helped, holds: 1, travel: null, out: [], back: [] }) as unknown as Way;
const own = way('By hand', 60, 'proper');
const poor = way('With tape', 30, 'ride-out');
const slow = way('On foot', 6000, 'limp');
const quick = way('By hand, with a pump', 30, 'proper', true);

const mend = (troubleId: string, hoursSaved: number, wayName: string, ways: string[], more: object = {}) => ({
  ...{ troubleId, hoursSaved, wayName, bikeId: uuid(1), way: own, ways: ways.map((name) => ({ name })) },
  ...more,
});
/** One trouble of 0.2 times, each 10 hours without a mend; the kit saves 1.8 of its 2 hours by hand. */
function caseOf(fields: { mends?: object[]; atStake?: number; drills?: Drill[]; ways?: Way[]; none?: boolean } = {}) {
  const exposure = (id: string, ways: Way[], atStake: number) => ({
    trouble: { id, name: id, ways },
    lambda: 0.2,
    without: 10,
    away: AT_HAND,
    atStake,
  });
  return {
    bike: { id: uuid(1) },
    trip: null,
    today: '2026-06-01',
    riders: new Set(['me']),
    drills: fields.drills ?? [],
    exposures: [
      ...(fields.none
        ? []
        : [exposure('leak', fields.ways ?? [poor, own, slow, quick], fields.atStake ?? 2), exposure('bolt', [own], 6)]),
      exposure('never', [own], 0),
    ],
    kit: { pieces: [], mends: fields.mends ?? [mend('leak', 1.8, 'By hand', ['With tape', 'By hand', 'On foot'])] },
  } as unknown as ProveCase;
}
const base = caseOf();
const drill = (name: string, more: Partial<Drill> = {}) => doneDrill(base, 'leak', name, more);
const leak = (fields: Parameters<typeof caseOf>[0], held?: ReadonlySet<string>) =>
  readiness(caseOf(fields), held).troubles.find((t) => t.troubleId === 'leak')!;

describe('readiness, worked by hand', () => {
  test('hours of all that is at stake, and of what never happens none', () => {
    const all = readiness(caseOf({ drills: [drill('By hand')] }));
    expect(all.troubles.map((t) => t.troubleId)).toEqual(['leak', 'bolt']);
    expect([all.atStake, all.saved, all.proven]).toEqual([8, 1.8, 1.8]);
    expect(all.share).toBeCloseTo(1.8 / 8, 12);
    expect(readiness(caseOf({ none: true }))).toEqual({ share: null, atStake: 0, saved: 0, proven: 0, troubles: [] });
  });
  test('the kit’s own way proves what the kit saves, of all its mends of this trouble on this bike, not over what is at stake', () => {
    expect(leak({ drills: [drill('By hand')] })).toMatchObject({
      saved: 1.8,
      proven: 1.8,
      way: 'By hand',
      by: 'By hand',
    });
    const two = [
      mend('leak', 0.1, 'nothing', ['nothing'], { way: null }),
      mend('leak', 0.9, 'By hand', ['By hand']),
      mend('leak', 50, 'With tape', ['With tape'], { bikeId: uuid(2) }),
      mend('bolt', 40, 'With tape', ['With tape']),
    ];
    expect(leak({ mends: two, drills: [drill('By hand')] })).toMatchObject({ saved: 1, proven: 1, way: 'By hand' });
    expect(leak({ mends: two, atStake: 0.75, drills: [drill('By hand')] })).toMatchObject({
      saved: 0.75,
      proven: 0.75,
    });
    expect(leak({ mends: [two[0]!], drills: [] })).toMatchObject({ way: null, by: null, proven: 0 });
  });
  test('another way proves what it saves each time it goes', () => {
    // 0.2 × 0.8 × (10 − 0.5)
    expect(leak({ drills: [drill('With tape')] }).proven).toBeCloseTo(1.52, 12);
    // Never more than the kit saves.
    const little = [mend('leak', 0.4, 'By hand', ['By hand', 'With tape'])];
    expect(leak({ mends: little, drills: [drill('With tape')] }).proven).toBe(0.4);
  });
  test.each([[['By hand', 'With tape']], [['With tape', 'By hand']]])(
    'of several the one that proves most: %s',
    (names) => {
      const mends = [mend('leak', 1.8, 'By hand', names)];
      const drills = ['With tape', 'By hand'].map((name, i) => drill(name, { id: uuid(600 + i) }));
      expect(leak({ mends, drills })).toMatchObject({ proven: 1.8, by: 'By hand' });
    },
  );
  test('of two that prove as much the kit’s first; one that saves nothing is shown all the same', () => {
    const twin = way('By foot pump', 60, 'proper');
    const mends = [mend('leak', 1.8, 'By hand', ['By foot pump', 'By hand'])];
    const drills = [drill('By hand'), drill('By foot pump', { id: uuid(601) })];
    // 0.2 × (10 − 1) is what the kit saves too.
    expect(leak({ mends, drills, ways: [own, twin] })).toMatchObject({ proven: 1.8, by: 'By foot pump' });
    expect(leak({ drills: [drill('On foot')] })).toMatchObject({ proven: 0, by: 'On foot', lapsed: null });
  });
  test('a way that goes quicker with something is proven by the way itself', () => {
    const mends = [mend('leak', 1.9, 'By hand, with a pump', ['By hand, with a pump'])];
    expect(leak({ mends, drills: [drill('By hand')] })).toMatchObject({ proven: 1.9, by: 'By hand, with a pump' });
    expect(leak({ mends, drills: [drill('With tape')] })).toMatchObject({ proven: 0, by: null, lapsed: null });
  });
  test('why nothing is proven: the last that was ended, whatever came in between', () => {
    const at = (day: number, more: Partial<Drill>) =>
      drill('By hand', { id: uuid(610 + day), started: `2026-05-0${day}T08:00:00.000Z`, ...more });
    const some = [at(2, { state: 'given up' }), at(4, { dry: true }), at(3, { seconds: [3] })];
    for (const drills of [some, [...some].reverse()]) {
      expect(leak({ drills }).lapsed).toBe('dry');
      expect(leak({ drills: [...drills, at(6, { state: 'running' }), at(7, { state: 'paused' })] }).lapsed).toBe('dry');
    }
    expect(leak({ drills: [at(7, { state: 'running' })] }).lapsed).toBeNull();
    expect(leak({ drills: [at(7, { state: 'paused' })] }).lapsed).toBeNull();
    expect(leak({ drills: [at(7, {})] }, new Set(['leak']))).toMatchObject({ by: null, lapsed: 'check overdue' });
    // A way that the trouble does not know any more was gone through all the same.
    const gone = [mend('leak', 1, 'By spell', ['By spell'])];
    expect(leak({ mends: gone, drills: [drill('By spell')] })).toMatchObject({ by: null, lapsed: 'check overdue' });
    expect(leak({ mends: gone, drills: [drill('By spell', { dry: true })] }).lapsed).toBe('dry');
  });
});

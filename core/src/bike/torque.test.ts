import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FORM_SIZES, HEAD_FORMS, THREADS, type Head } from '../ground/sizes/index.js';
import { CONDITIONS, newFastener, ROLES, type Condition } from './fastener.js';
import { isCritical } from './critical.js';
import { breakLoose, headTorque, isPlanned, planningTorque, ROLE_TORQUE } from './torque.js';

const ID = '00000000-0000-4000-8000-000000000001';
const base = newFastener({ id: ID, bikeId: ID, head: { form: 'hex', size: '13' } });
const at = (given: Partial<typeof base>) => planningTorque({ ...base, ...given }).value;

describe('torque to plan by', () => {
  test('own figure, then the job, then the thread, then the head', () => {
    const typed = { value: 20, source: 'manual' as const };
    expect(planningTorque({ ...base, torque: typed, role: 'rear axle' })).toEqual({
      value: 20,
      source: { code: 'torque.source', source: 'manual' },
    });
    expect(at({ head: { form: 'hex', size: '24' }, role: 'front axle', thread: 'M16' })).toBe(75);
    expect(at({ head: { form: 'hex', size: '27' }, role: 'rear axle' })).toBe(100);
    expect(at({ head: { form: 'hex', size: '14' }, role: 'mirror', thread: 'M10' })).toBe(20);
    expect(at({ thread: 'M10' })).toBe(47);
    expect(at({})).toBe(24);
    expect(planningTorque(base).source).toEqual({ code: 'torque.head' });
    expect(planningTorque({ ...base, thread: 'M10' }).source).toEqual({ code: 'torque.thread', thread: 'M10' });
    const plug = { form: 'plug', size: '16' } as const;
    expect(planningTorque({ ...base, head: plug, role: 'plug' }).source).toEqual({ code: 'torque.plug' });
    const axle = planningTorque({ ...base, head: { form: 'hex', size: '27' }, role: 'rear axle' });
    expect(axle.source).toEqual({ code: 'torque.job', role: 'rear axle', from: 80, to: 150 });
    expect(at({ head: { form: 'hex', size: '27' } })).toBe(100);
    expect(at({ head: { form: 'plug', size: '16' }, role: 'plug' })).toBe(17);
    expect(at({ head: { form: 'plug', size: '13/16in' } })).toBe(25);
  });
  test('a head too small for the job’s torque is planned by its thread', () => {
    expect(at({ head: { form: 'key', size: '5' }, role: 'rear axle', thread: 'M6' })).toBe(10);
    expect(at({ head: { form: 'lobe', size: '50' }, role: 'rear axle', thread: 'M10' })).toBe(47);
  });
  test('the planned value of a job lies in its usual range', () => {
    for (const { from, to, plan } of Object.values(ROLE_TORQUE)) {
      expect(plan).toBeGreaterThanOrEqual(from);
      expect(plan).toBeLessThanOrEqual(to);
    }
  });
  test('every shape and size has one: only what is pulled has nought', () => {
    for (const form of HEAD_FORMS)
      for (const size of FORM_SIZES[form] ?? ['4', '6.5', '12']) {
        const head: Head = { form, size };
        const value = headTorque(head);
        expect({ head, known: form === 'clip' ? value === 0 : value > 0 }).toEqual({ head, known: true });
      }
  });
  test('an inch head is planned as the metric one beside it', () => {
    expect(headTorque({ form: 'hex', size: '1/2in' })).toBe(headTorque({ form: 'hex', size: '13' }));
    expect(headTorque({ form: 'hex12', size: '5/16in' })).toBe(headTorque({ form: 'hex', size: '8' }));
    expect(headTorque({ form: 'key', size: '5/32in' })).toBe(headTorque({ form: 'key', size: '4' }));
  });
  test('a size between two is planned as the smaller; axle and pivot nuts begin at 23, inside hexagons at 15', () => {
    const hex = (size: string) => headTorque({ form: 'hex', size });
    expect([hex('9'), hex('22'), hex('23'), hex('36')]).toEqual([hex('8'), hex('21'), 100, 100]);
    const key = (size: string) => headTorque({ form: 'key', size });
    expect([key('14') < 1000, key('17'), key('22')]).toEqual([true, 75, 75]);
    expect(key('14')).not.toBe(75);
  });
  test('recesses by their number, slots by their width, up to a cap that is set by hand', () => {
    const of = (form: Head['form'], size: string) => headTorque({ form, size });
    expect([of('slot', '4'), of('slot', '6.5'), of('slot', '10'), of('slot', '12')]).toEqual([1.4, 2.3, 2, 2]);
    expect([of('ph', '2'), of('jis', '2'), of('square', '2'), of('lobe', '30'), of('lobe-pin', '30')]).toEqual([
      ...[3, 3, 3, 10, 10],
    ]);
    expect([of('lobe-pin', '99'), of('ph', '9')]).toEqual([1, 1]);
    expect([of('hook', '40'), of('spoke', '6'), of('valve', ''), of('clip', '')]).toEqual([20, 3, 0.3, 0]);
  });
  test('planned by a typical value, or by a figure that the rider typed', () => {
    const typed = (source: 'planning value' | 'user' | 'manual' | 'own log') =>
      isPlanned({ torque: { value: 20, source } });
    expect([isPlanned({ torque: null }), typed('planning value')]).toEqual([true, true]);
    expect([typed('user'), typed('manual'), typed('own log')]).toEqual([false, false, false]);
  });
  test('where the torque to break loose comes from is said with its factor', () => {
    const dirty = { ...base, condition: 'dirty' as const, torque: { value: 98, source: 'user' as const } };
    expect(breakLoose(dirty).source).toEqual({
      ...{ code: 'torque.break-loose', tightening: 98, of: { code: 'torque.source', source: 'user' } },
      ...{ factor: 1.5, condition: 'dirty' },
    });
  });
  test('breaking loose: clean 1.2, dirty 1.5, threadlocked 1.8, rusted 2.2, once', () => {
    const need = (condition: Condition) =>
      breakLoose({ ...base, condition, torque: { value: 100, source: 'manual' } }).value;
    expect([need('clean'), need('dirty'), need('locked'), need('rusted')].map(Math.round)).toEqual([
      120, 150, 180, 220,
    ]);
    fc.assert(
      fc.property(
        fc.constantFrom(...ROLES, null),
        fc.constantFrom(...THREADS, null),
        fc.constantFrom('8', '13', '24', '1/2in'),
        fc.constantFrom(...(Object.keys(CONDITIONS) as Condition[])),
        (role, thread, size, condition) => {
          const f = { ...base, role, thread, condition, head: { form: 'hex' as const, size } };
          expect(breakLoose(f).value).toBeCloseTo(planningTorque(f).value * CONDITIONS[condition], 9);
          expect(isPlanned(f)).toBe(true);
        },
      ),
    );
  });
});

describe('what lives hang on', () => {
  test.each([
    ['Axle nut', 'rear axle', true],
    ['Pinch bolt', 'front axle pinch', true],
    ['Anything', 'brake pads', true],
    ['Caliper bolt', null, true],
    ['Engine mount', null, true],
    ['Swing arm pivot', null, true],
    ['Rear shock, lower', null, true],
    ['Brake line clip guard', null, false],
    ['Wheel sensor screw', null, false],
    ['Front brake light switch', null, false],
    ['Hand guard clamp', null, false],
    ['Number plate', null, false],
    // A job outranks the name: the rider says so by giving one.
    ['Caliper bolt', 'mirror', false],
    ['Number plate', 'steering', true],
  ] as const)('%s, %s: %p', (name, role, critical) => {
    expect(isCritical({ name, role })).toBe(critical);
  });
});

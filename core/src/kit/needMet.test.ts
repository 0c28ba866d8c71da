import { describe, expect, test } from '@jest/globals';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import { fastener, owned } from '../testing/make.js';
import { functional } from '../toolbox/tools/index.js';
import type { Kit } from './kit.js';
import { needMet, wayMet, type Having } from './needMet.js';

const axle = fastener({ head: { form: 'hex', size: '27' }, role: 'rear axle' });
const second = fastener({ head: { form: 'hex', size: '22' }, role: 'rear axle' });
const out = fastener({ head: { form: 'hex', size: '24' }, role: 'front axle', leftOut: 'workshop' });
const tool = (name: string, does: Parameters<typeof functional>[1], count = 1) => ({
  piece: owned(functional(name, does, 50, [10, 10, 10], 1)),
  count,
});
const having = (more: Partial<Having> = {}, kit: object = {}): Having => ({
  kit: { pieces: [], spares: [], ...kit } as unknown as Pick<Kit, 'pieces' | 'spares'>,
  chains: {},
  fasteners: [],
  practice: DEFAULT_PRACTICE,
  ...more,
});
const head = (ifAny = false) => ({ by: 'head', role: 'rear axle', ifAny }) as const;

describe('a head', () => {
  test('is turned where every fastener with the job is, by the first one’s tools', () => {
    const chains = { [axle.id]: [['Ratchet', 'Socket 27'], ['Spanner 27']] };
    const both = { ...chains, [second.id]: [['Spanner 22']] };
    expect(needMet(head(), having({ fasteners: [axle], chains }))).toEqual({
      ask: 'rear axle',
      by: 'Ratchet → Socket 27 + Spanner 27',
      ok: true,
    });
    expect(needMet(head(), having({ fasteners: [axle, second], chains }))).toMatchObject({ ok: false });
    expect(needMet(head(), having({ fasteners: [second, axle], chains })).by).toMatch(/^Ratchet/);
    expect(needMet(head(), having({ fasteners: [axle, second], chains: both })).ok).toBe(true);
    expect(needMet(head(), having({ fasteners: [axle] }))).toEqual({ ask: 'rear axle', by: '', ok: false });
  });
  test('that no fastener has is lacking, unless it is asked for only where there is one', () => {
    expect(needMet(head(), having())).toEqual({ ask: 'rear axle', by: '', ok: false });
    expect(needMet(head(true), having())).toEqual({ ask: 'rear axle', by: 'none on this bike', ok: true });
    // What is left to a workshop is none.
    const front = { by: 'head', role: 'front axle', ifAny: true } as const;
    expect(needMet(front, having({ fasteners: [out, axle] })).by).toBe('none on this bike');
  });
});

describe('what a tool does', () => {
  const light = (count: number) => ({ by: 'function', does: 'light', count }) as const;
  test('counts every copy of every piece that does it; two are named', () => {
    const pieces = [
      tool('Lamp', ['light'], 2),
      tool('Saw', ['cut']),
      tool('Torch', ['light']),
      tool('Third', ['light']),
    ];
    expect(needMet(light(4), having({}, { pieces }))).toEqual({ ask: 'light ×4', by: 'Lamp or Torch', ok: true });
    expect(needMet(light(5), having({}, { pieces })).ok).toBe(false);
    expect(needMet(light(1), having({}, { pieces: [] }))).toEqual({ ask: 'light', by: '', ok: false });
  });
  test('is what the rider’s practice makes of it', () => {
    const levers = { by: 'function', does: 'lever tyre', count: 2 } as const;
    const pieces = [tool('Lever', ['lever tyre'], 2)];
    const met = (how: (typeof DEFAULT_PRACTICE)['levers']) =>
      needMet(levers, having({ practice: { ...DEFAULT_PRACTICE, levers: how } }, { pieces })).ok;
    expect([met('two'), met('three')]).toEqual([true, false]);
    const gas = { ...DEFAULT_PRACTICE, air: 'gas' as const };
    const inflate = { by: 'function', does: 'inflate', count: 1 } as const;
    const air = [tool('Inflator', ['gas air'])];
    const cartridge = (quantity: number) => ({ kind: 'gas cartridge', quantity });
    const by = (quantity: number) =>
      needMet(inflate, having({ practice: gas }, { pieces: air, spares: [cartridge(quantity)] }));
    expect(by(2)).toMatchObject({ ok: true, by: 'Inflator, 2 in the kit' });
    expect(by(2).ask).toMatch(/^gas air and .*×2$/);
    expect(by(1).ok).toBe(false);
  });
});

describe('a spare', () => {
  test('is there in the number that is asked for', () => {
    const patches = (units: number) => ({ by: 'supply', kind: 'patch', units }) as const;
    const spares = [
      { kind: 'patch', quantity: 3 },
      { kind: 'fuse', quantity: 9 },
    ];
    expect(needMet(patches(3), having({}, { spares }))).toEqual({
      ask: expect.stringMatching(/patches ×3$/),
      by: '3 in the kit',
      ok: true,
    });
    expect(needMet(patches(4), having({}, { spares })).ok).toBe(false);
    expect(needMet(patches(1), having())).toEqual({ ask: expect.stringMatching(/patches$/), by: '', ok: false });
  });
  test('of bolts one thread has enough', () => {
    const bolts = (units: number) => ({ by: 'supply', kind: 'bolt', units }) as const;
    const spares = [
      { kind: 'bolt M6', quantity: 2 },
      { kind: 'bolt M8', quantity: 3 },
    ];
    expect(needMet(bolts(3), having({}, { spares }))).toEqual({
      ask: 'bolt of its thread ×3',
      by: '3 in the kit',
      ok: true,
    });
    expect(needMet(bolts(4), having({}, { spares })).ok).toBe(false);
  });
});

test('a way is met where all its needs are: spares of several steps add up, a tool serves them all', () => {
  const step = (...needs: object[]) => ({ text: '', only: {}, needs }) as never;
  const patch = { by: 'supply', kind: 'patch', units: 2 };
  const lamp = { by: 'function', does: 'light', count: 1 };
  const way = { out: [step(patch, lamp), step(lamp)], back: [step(patch, head())] };
  const chains = { [axle.id]: [['Spanner 27']] };
  const met = (patches: number, lamps: number, turned: boolean) =>
    wayMet(
      way,
      having(
        { fasteners: [axle], chains: turned ? chains : {} },
        { pieces: [tool('Lamp', ['light'], lamps)], spares: [{ kind: 'patch', quantity: patches }] },
      ),
    );
  expect([met(4, 1, true), met(3, 1, true), met(4, 0, true), met(4, 1, false)]).toEqual([true, false, false, false]);
});

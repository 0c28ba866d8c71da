import { describe, expect, test } from '@jest/globals';
import { sizeOdds } from './fit/index.js';
import { fastener } from '../testing/make.js';
import { atLeast, climb, ladder } from './evidence.js';
import { fastenerSchema, type Fastener } from './fastener.js';
import { sizePrior } from './sizePrior.js';

const step = (evidence: Fastener['evidence'], how = '') => ({
  evidence,
  who: 'Mara',
  when: '2026-05-01T10:00:00.000Z',
  how,
});

describe('the evidence ladder', () => {
  const f = fastener({ head: { form: 'hex', size: '10' }, evidence: 'assumed' });
  test('each step is written down with who, when and how', () => {
    const up = climb(climb(f, step('measured', 'calliper 9.93 mm')), step('tried', '10 spanner snug'));
    expect(up.evidence).toBe('tried');
    expect(up.trail.map((s) => s.how)).toEqual(['calliper 9.93 mm', '10 spanner snug']);
    expect(fastenerSchema.safeParse(up).success).toBe(true);
    expect(f.trail).toEqual([]);
  });
  test('it can go down again, and keeps only the last forty steps', () => {
    let g = f;
    for (let i = 0; i < 60; i++) g = climb(g, step(i % 2 ? 'assumed' : 'tried', `${i}`));
    expect(g.evidence).toBe('assumed');
    expect(g.trail).toHaveLength(40);
    expect(g.trail[39]!.how).toBe('59');
    expect(fastenerSchema.safeParse(g).success).toBe(true);
  });
  test('order and counts', () => {
    expect([atLeast('tried', 'measured'), atLeast('assumed', 'measured')]).toEqual([true, false]);
    const rows = [f, climb(f, step('tried')), { ...climb(f, step('proven')), leftOut: 'inside work' }];
    expect(ladder(rows)).toEqual({ assumed: 1, measured: 0, tried: 1, proven: 0 });
  });
});

describe('how common a size is here', () => {
  const hex = (size: string, extra: Partial<Fastener> = {}) => fastener({ head: { form: 'hex', size }, ...extra });
  const about = (extra: Partial<Fastener> = {}) => ({ id: 'x', thread: null, accessory: false, ...extra });
  const best = (reading: number, others: Fastener[], extra: Partial<Fastener> = {}) =>
    sizeOdds('hex', { readings: [reading], surface: 'worn', tries: [] }, sizePrior('hex', about(extra), others))
      .sizes[0]!;
  test('the bike’s own heads are metric until measured otherwise; inch heads pull accessories over', () => {
    expect(best(12.7, []).head.size).toBe('13');
    const racks = ['1/2in', '7/16in', '3/8in', '1/2in', '9/16in', '1/2in'].map((s) => hex(s, { accessory: true }));
    expect(best(12.65, racks, { accessory: true }).head.size).toBe('1/2in');
    // Inch accessories say nothing of the bike's own heads.
    expect(best(12.7, racks).head.size).toBe('13');
  });
  test('assumed and left-out heads teach nothing', () => {
    const guesses = Array.from({ length: 9 }, () => hex('1/2in', { accessory: true, evidence: 'assumed' }));
    const one = (others: Fastener[]) => best(12.7, others, { accessory: true }).odds;
    expect(one(guesses)).toBe(one([]));
    expect(one(guesses.map((g) => ({ ...g, evidence: 'measured', leftOut: 'x' })))).toBe(one([]));
  });
  test('a known thread favours its usual heads', () => {
    const plain = best(12.4, []);
    const m8 = sizeOdds(
      'hex',
      { readings: [12.4], surface: 'ruler', tries: [] },
      sizePrior('hex', about({ thread: 'M8' }), []),
    );
    expect(
      m8.sizes
        .slice(0, 2)
        .map((s) => s.head.size)
        .sort(),
    ).toEqual(['12', '13']);
    expect(m8.sizes[0]!.odds + m8.sizes[1]!.odds).toBeGreaterThan(0.9);
    expect(plain.odds).toBeLessThanOrEqual(1);
  });
});

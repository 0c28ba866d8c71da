import { describe, expect, test } from '@jest/globals';
import type { CrewAnswer, Gap } from '@necessaire/core';
import { gapsText, gapWhat, gapWhose, groupName, whyText } from './crew';

const answer = {
  names: [
    { name: 'Mirel', bike: { id: 'b1', name: 'One' } },
    { name: 'Bo', bike: { id: 'b2', name: 'Two' } },
    { name: 'The car', bike: null },
  ],
  carriers: [{ tokens: [{ item: 'spare patch', name: 'Tube patches' }] }],
  asks: [{ name: 'Puncture, tubed' }, { name: 'Engine drowned' }],
  fasteners: { f1: { name: 'Axle nut' }, f2: { name: 'Seat bolt' } },
} as unknown as CrewAnswer;
const gap = (given: Partial<Gap>): Gap => ({
  ...{ group: 'all', kind: 'mend', bikeId: 'b1', ask: 0, fasteners: [], short: null },
  ...given,
});

describe('gaps in words', () => {
  test('the trouble, the head, several heads, the spare that is short', () => {
    expect(gapWhat(answer, gap({}))).toBe('Puncture, tubed');
    expect(gapWhat(answer, gap({ kind: 'turn', ask: -1, fasteners: ['f1'] }))).toBe('Axle nut');
    expect(gapWhat(answer, gap({ kind: 'loose', fasteners: ['f1', 'f2'] }))).toBe('Axle nut (2 fasteners)');
    expect(gapWhat(answer, gap({ kind: 'stock', ask: -1, short: { kind: 'patch', units: 2 } }))).toBe(
      'Tube patches: 2 more needed',
    );
    expect(gapWhat(answer, gap({ kind: 'stock', ask: -1, short: { kind: 'fuse', units: 1 } }))).toBe(
      'fuse: 1 more needed',
    );
    expect(gapWhat(answer, gap({ ask: 9 }))).toBe('a repair');
  });
  test('whose bike, and nobody’s', () => {
    expect(gapWhose(answer, gap({ bikeId: 'b2' }))).toBe('Bo');
    expect(gapWhose(answer, gap({ bikeId: 'b9' }))).toBe('');
  });
  test('each thing is said once, and a long list is cut', () => {
    const list = [gap({}), gap({ bikeId: 'b2' }), gap({ ask: 1 }), gap({ kind: 'turn', fasteners: ['f1'] })];
    expect(gapsText(answer, list)).toBe('Puncture, tubed, Engine drowned, Axle nut');
    expect(gapsText(answer, list, 1)).toBe('Puncture, tubed and 2 more');
    expect(gapsText(answer, [])).toBe('');
  });
  test('a reason names whose repairs hang on the thing', () => {
    expect(whyText(answer, [gap({}), gap({ bikeId: 'b2' }), gap({ bikeId: 'b2', ask: 1 })])).toBe(
      'Mirel: Puncture, tubed. Bo: Puncture, tubed, Engine drowned',
    );
    expect(whyText(answer, [])).toMatch(/^Always packed/u);
    const many = ['f1', 'f2', 'x', 'y', 'z'].map((id, i) =>
      gap({ kind: 'turn', fasteners: i < 2 ? [id] : [], ask: i < 3 ? i % 2 : 9 }),
    );
    expect(whyText(answer, many)).toBe('Mirel: Axle nut, Seat bolt, Puncture, tubed, a repair');
  });
  test('groups by what they are', () => {
    expect(groupName({ kind: 'alone', name: 'Bo' })).toBe('Bo alone');
    expect(groupName({ kind: 'all', name: 'everybody' })).toBe('Everybody');
    expect(groupName({ kind: 'all', name: 'with The car' })).toBe('Everybody, with The car');
    expect(groupName({ kind: 'part', name: 'Mirel, Bo' })).toBe('Mirel, Bo');
  });
});

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { hexagon, jawOf, lobe } from './jaw';

const hex = (size: string) => ({ form: 'hex' as const, size });

describe('a tool on a head, drawn', () => {
  test('the inner hexagon at its free play touches the opening and does not cross it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 9, max: 30, noNaN: true }),
        fc.constantFrom('10', '13', '17', '24', '27'),
        (s, size) => {
          const jaw = jawOf(hex(size), hex(size), s)!;
          if (!(jaw.play > 0 && jaw.play < 30)) return;
          // Distance of the corners from the jaw's flats, left and right.
          const reach = Math.max(...hexagon(jaw.inner, jaw.play).map(([x]) => Math.abs(x)));
          expect(reach).toBeCloseTo(jaw.opening / 2, 6);
          const short = Math.max(...hexagon(jaw.inner, jaw.play * 0.9).map(([x]) => Math.abs(x)));
          expect(short).toBeLessThan(jaw.opening / 2);
        },
      ),
    );
  });
  test('a worked pair: a 13 jaw on a ½ in head', () => {
    const jaw = jawOf(hex('1/2in'), hex('13'), 12.7)!;
    expect(jaw.opening).toBeCloseTo(13.14, 9);
    expect(jaw.play).toBeCloseTo(3.64, 1);
    expect(jaw.headInside).toBe(true);
  });
  test('inside hexes and six-lobes turn round: the head is the opening', () => {
    const key = jawOf({ form: 'key', size: '5' }, { form: 'key', size: '5' }, 5.05)!;
    expect(key).toMatchObject({ headInside: false, opening: 5.05 });
    expect(key.inner).toBeLessThan(5);
    const recess = jawOf({ form: 'lobe', size: '30' }, { form: 'lobe', size: '30' }, Number.NaN)!;
    expect(recess.kind).toBe('lobe');
    expect(recess.play).toBeGreaterThan(0);
    expect(recess.play).toBeLessThan(12);
    expect(jawOf({ form: 'key', size: '5' }, { form: 'key', size: '6' }, 5.05)!.play).toBeNaN();
    expect(jawOf({ form: 'clip', size: '' }, hex('10'), 10)).toBeNull();
  });
  test('a six-lobe at its free play stays inside its recess', () => {
    const jaw = jawOf({ form: 'lobe', size: '40' }, { form: 'lobe', size: '40' }, Number.NaN)!;
    const radius = (points: [number, number][]) => points.map(([x, y]) => Math.hypot(x, y));
    const recess = radius(lobe(jaw.opening, 0));
    const driver = radius(lobe(jaw.inner, jaw.play));
    driver.forEach((r, i) => expect(r).toBeLessThanOrEqual(recess[i]! + 0.01));
    const beyond = radius(lobe(jaw.inner, jaw.play + 2));
    expect(beyond.some((r, i) => r > recess[i]! + 0.005)).toBe(true);
  });
});

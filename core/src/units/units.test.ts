import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { figure, fromShown, unitOf, withUnit, type Quantity } from './index.js';

describe('what is shown', () => {
  test.each<[Quantity, number, string, string]>([
    ['length', 254, '254 mm', '10.00 in'],
    ['torque', 98, '98 N·m', '72.3 lb·ft'],
    ['mass', 85, '85 g', '3.0 oz'],
    ['weight', 4380, '4.38 kg', '9.66 lb'],
    ['volume', 6100, '6.1 L', '6.4 qt'],
    ['distance', 1640, '1640 km', '1019 mi'],
    ['force', 250, '250 N', '56 lbf'],
    ['share', 0.964, '96.4 %', '96.4 %'],
    ['hours', 1.94, '1.9 h', '1.9 h'],
  ])('%s of %p', (quantity, value, metric, inch) => {
    expect(withUnit('metric', quantity, value)).toBe(metric);
    expect(withUnit('inch', quantity, value)).toBe(inch);
  });
  test('a minus is a minus sign, a rounded nought has none, nothing known is a dash', () => {
    expect(figure('metric', 'mass', -85)).toBe('−85');
    expect(figure('metric', 'mass', -0.2)).toBe('0');
    expect(figure('metric', 'mass', Number.NaN)).toBe('–');
    expect(unitOf('inch', 'length')).toBe('in');
  });
  test('what is typed goes back to core units', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Quantity>('length', 'torque', 'mass', 'weight', 'volume', 'distance', 'force'),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        (quantity, value) => {
          for (const system of ['metric', 'inch'] as const) {
            const shown = Number(figure(system, quantity, value, 9));
            expect(fromShown(system, quantity, shown)).toBeCloseTo(value, 4);
          }
        },
      ),
    );
  });
});

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { figure, fromShown, outsideLimits, unitOf, withUnit, type Quantity } from './index.js';

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
    ['temperature', 40, '40 °C', '104 °F'],
    ['temperature', -18, '−18 °C', '0 °F'],
    ['capacity', 13, '13.0 L', '3.4 gal'],
    ['consumption', 5, '5.0 L/100 km', '2.1 gal/100 mi'],
    ['oil use', 100, '100 mL/1000 km', '5.4 fl oz/1000 mi'],
    ['worth', 1.2, '1.2 min', '1.4 min'],
    ['dose', 295, '295 mL', '10.0 fl oz'],
    ['air flow', 28, '28 L/min', '0.99 cu ft/min'],
    ['rate', 0.4, '0.40 per 1000 km', '0.64 per 1000 mi'],
    ['speed', 4, '4 km/h', '2 mph'],
    ['moment', 1.5, '1.50 kg·m', '10.85 lb·ft'],
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
  test('a limit is said in the units on show', () => {
    expect(outsideLimits('metric', 'weight', 300_000, { max: 250_000 })).toBe('at most 250.00 kg');
    expect(outsideLimits('inch', 'weight', 300_000, { max: 250_000 })).toBe('at most 551.16 lb');
    expect(outsideLimits('inch', 'temperature', 90, { min: -30, max: 50 })).toBe('−22 to 122 °F');
    expect(outsideLimits('metric', 'length', -5, {})).toBe('at least 0 mm');
    expect(outsideLimits('metric', null, 1, { min: 2, max: 45 })).toBe('2 to 45');
    expect(outsideLimits('metric', 'weight', 250_000, { max: 250_000 })).toBeNull();
  });
  test('what is typed goes back to core units', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Quantity>(
          'length',
          'torque',
          'mass',
          'weight',
          'volume',
          'distance',
          'force',
          'temperature',
          'capacity',
          'speed',
          'moment',
        ),
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

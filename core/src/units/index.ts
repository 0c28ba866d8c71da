/** Display units. The core computes in mm, N·m, N, g, mL, kPa, km, h, °C; only what is shown is converted. */
export type UnitSystem = 'metric' | 'inch';
export type Quantity =
  'length' | 'torque' | 'mass' | 'weight' | 'volume' | 'distance' | 'force' | 'pressure' | 'hours' | 'share';

interface Unit {
  unit: string;
  per: number;
  digits: number;
}
const UNITS: Record<UnitSystem, Record<Quantity, Unit>> = {
  metric: {
    length: { unit: 'mm', per: 1, digits: 0 },
    torque: { unit: 'N·m', per: 1, digits: 0 },
    mass: { unit: 'g', per: 1, digits: 0 },
    weight: { unit: 'kg', per: 1 / 1000, digits: 2 },
    volume: { unit: 'L', per: 1 / 1000, digits: 1 },
    distance: { unit: 'km', per: 1, digits: 0 },
    force: { unit: 'N', per: 1, digits: 0 },
    pressure: { unit: 'kPa', per: 1, digits: 0 },
    hours: { unit: 'h', per: 1, digits: 1 },
    share: { unit: '%', per: 100, digits: 1 },
  },
  inch: {
    length: { unit: 'in', per: 1 / 25.4, digits: 2 },
    torque: { unit: 'lb·ft', per: 1 / 1.3558179, digits: 1 },
    mass: { unit: 'oz', per: 1 / 28.349523, digits: 1 },
    weight: { unit: 'lb', per: 1 / 453.59237, digits: 2 },
    volume: { unit: 'qt', per: 1 / 946.352946, digits: 1 },
    distance: { unit: 'mi', per: 1 / 1.609344, digits: 0 },
    force: { unit: 'lbf', per: 1 / 4.4482216, digits: 0 },
    pressure: { unit: 'psi', per: 1 / 6.894757, digits: 0 },
    hours: { unit: 'h', per: 1, digits: 1 },
    share: { unit: '%', per: 100, digits: 1 },
  },
};

/** The unit's sign in a system, e.g. `N·m`. */
export const unitOf = (system: UnitSystem, quantity: Quantity): string => UNITS[system][quantity].unit;

/** A core value as shown, without its unit. `mass` takes grams and shows g or oz; `weight` takes grams and shows kg or lb. */
export function figure(system: UnitSystem, quantity: Quantity, value: number, digits?: number): string {
  if (!Number.isFinite(value)) return '–';
  const { per, digits: usual } = UNITS[system][quantity];
  const text = (value * per).toFixed(digits ?? usual);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** A core value with its unit, e.g. `98 N·m`. */
export const withUnit = (system: UnitSystem, quantity: Quantity, value: number, digits?: number): string =>
  `${figure(system, quantity, value, digits)} ${unitOf(system, quantity)}`;

/** A shown value back to core units. */
export const fromShown = (system: UnitSystem, quantity: Quantity, shown: number): number =>
  shown / UNITS[system][quantity].per;

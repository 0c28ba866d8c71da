/** Display units. The core computes in mm, N·m, N, g, mL, kPa, km, h, °C; only what is shown is converted. */
export type UnitSystem = 'metric' | 'inch';
export type Quantity =
  | 'length'
  | 'torque'
  | 'mass'
  | 'weight'
  | 'volume'
  | 'capacity'
  | 'distance'
  | 'speed'
  | 'consumption'
  | 'oil use'
  | 'force'
  | 'pressure'
  | 'temperature'
  | 'moment'
  | 'rate'
  | 'dose'
  | 'worth'
  | 'air flow'
  | 'hours'
  | 'share';

interface Unit {
  unit: string;
  per: number;
  /** What the shown value is at nought; only temperatures have one. */
  offset?: number;
  digits: number;
}
const UNITS: Record<UnitSystem, Record<Quantity, Unit>> = {
  metric: {
    length: { unit: 'mm', per: 1, digits: 0 },
    torque: { unit: 'N·m', per: 1, digits: 0 },
    mass: { unit: 'g', per: 1, digits: 0 },
    weight: { unit: 'kg', per: 1 / 1000, digits: 2 },
    volume: { unit: 'L', per: 1 / 1000, digits: 1 },
    capacity: { unit: 'L', per: 1, digits: 1 },
    distance: { unit: 'km', per: 1, digits: 0 },
    speed: { unit: 'km/h', per: 1, digits: 0 },
    consumption: { unit: 'L/100 km', per: 1, digits: 1 },
    'oil use': { unit: 'mL/1000 km', per: 1, digits: 0 },
    force: { unit: 'N', per: 1, digits: 0 },
    pressure: { unit: 'kPa', per: 1, digits: 0 },
    temperature: { unit: '°C', per: 1, digits: 0 },
    moment: { unit: 'kg·m', per: 1, digits: 2 },
    rate: { unit: 'per 1000 km', per: 1, digits: 2 },
    dose: { unit: 'mL', per: 1, digits: 0 },
    worth: { unit: 'min', per: 1, digits: 1 },
    'air flow': { unit: 'L/min', per: 1, digits: 0 },
    hours: { unit: 'h', per: 1, digits: 1 },
    share: { unit: '%', per: 100, digits: 1 },
  },
  inch: {
    length: { unit: 'in', per: 1 / 25.4, digits: 2 },
    torque: { unit: 'lb·ft', per: 1 / 1.3558179, digits: 1 },
    mass: { unit: 'oz', per: 1 / 28.349523, digits: 1 },
    weight: { unit: 'lb', per: 1 / 453.59237, digits: 2 },
    volume: { unit: 'qt', per: 1 / 946.352946, digits: 1 },
    capacity: { unit: 'gal', per: 1 / 3.785411784, digits: 1 },
    distance: { unit: 'mi', per: 1 / 1.609344, digits: 0 },
    speed: { unit: 'mph', per: 1 / 1.609344, digits: 0 },
    consumption: { unit: 'gal/100 mi', per: 1.609344 / 3.785411784, digits: 1 },
    'oil use': { unit: 'fl oz/1000 mi', per: 1.609344 / 29.5735296, digits: 1 },
    force: { unit: 'lbf', per: 1 / 4.4482216, digits: 0 },
    pressure: { unit: 'psi', per: 1 / 6.894757, digits: 0 },
    temperature: { unit: '°F', per: 1.8, offset: 32, digits: 0 },
    moment: { unit: 'lb·ft', per: 2.20462262 * 3.2808399, digits: 2 },
    rate: { unit: 'per 1000 mi', per: 1.609344, digits: 2 },
    worth: { unit: 'min', per: 1.13398093, digits: 1 },
    dose: { unit: 'fl oz', per: 1 / 29.5735296, digits: 1 },
    'air flow': { unit: 'cu ft/min', per: 1 / 28.316846592, digits: 2 },
    hours: { unit: 'h', per: 1, digits: 1 },
    share: { unit: '%', per: 100, digits: 1 },
  },
};

/** The unit's sign in a system, e.g. `N·m`. */
export const unitOf = (system: UnitSystem, quantity: Quantity): string => UNITS[system][quantity].unit;

/**
 * A core value as shown, without its unit. `mass` takes grams and shows g or oz; `weight` takes grams and shows kg or lb;
 * `worth` takes minutes for each 100 g and shows them for 100 g or for 4 oz; `dose` takes mL and shows mL or fluid ounces; `volume` takes mL and shows L or quarts; `capacity` takes L and shows L or gallons (231 cubic inches each).
 * @param value in core’s unit of the quantity
 * @param digits decimals; those usual for the quantity where none are given
 * @returns the figure with a true minus; a dash for no number
 * @example figure("inch", "length", 25.4) // "1.00"
 */
export function figure(system: UnitSystem, quantity: Quantity, value: number, digits?: number): string {
  if (!Number.isFinite(value)) return '–';
  const { per, digits: usual, offset = 0 } = UNITS[system][quantity];
  const text = (value * per + offset).toFixed(digits ?? usual);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/**
 * A core value with its unit, e.g. `98 N·m`.
 * @param value in core’s unit of the quantity
 * @param digits decimals; those usual for the quantity where none are given
 */
export const withUnit = (system: UnitSystem, quantity: Quantity, value: number, digits?: number): string =>
  `${figure(system, quantity, value, digits)} ${unitOf(system, quantity)}`;

/**
 * A shown value back to core units.
 * @param shown in the unit on show
 * @returns in core’s unit of the quantity
 */
export const fromShown = (system: UnitSystem, quantity: Quantity, shown: number): number =>
  (shown - (UNITS[system][quantity].offset ?? 0)) / UNITS[system][quantity].per;

/**
 * The limits of a field as one sentence in the units on show, or null where the value keeps them: `at most 551.16 lb`,
 * `-22 to 122 °F`. A limit is shown to the digits that the field shows, so what the sentence says can be typed.
 * @param value in core’s unit of the quantity; no limit above where none is given
 * @param limits in core’s unit of the quantity; no limit above where none is given
 */
export function outsideLimits(
  system: UnitSystem,
  quantity: Quantity | null,
  value: number,
  limits: { min?: number; max?: number },
): string | null {
  const { min = 0, max = Infinity } = limits;
  const slack = 1e-9 * Math.max(1, Math.abs(value));
  if (value >= min - slack && value <= max + slack) return null;
  const show = (v: number) => (quantity ? figure(system, quantity, v) : String(Number(v.toFixed(6))));
  const unit = quantity ? ` ${unitOf(system, quantity)}` : '';
  if (max === Infinity) return `at least ${show(min)}${unit}`;
  if (value > max && min <= 0 && (quantity === null || quantity !== 'temperature'))
    return `at most ${show(max)}${unit}`;
  return `${show(min)} to ${show(max)}${unit}`;
}

import type { Trait } from '../tools/index.js';

/** A spare or consumable as data: mass and size of one unit are planning values. */
export interface SupplyKind {
  kind: string;
  name: string;
  unit: string;
  /** Grams of one unit. */
  mass: number;
  /** mm of one unit. */
  size: { length: number; width: number; height: number };
  price: number;
  traits: Trait[];
}

const s = (
  kind: string,
  name: string,
  unit: string,
  mass: number,
  [length, width, height]: [number, number, number],
  price: number,
  traits: Trait[] = [],
): SupplyKind => ({ kind, name, unit, mass, size: { length, width, height }, price, traits });

const FIXED: SupplyKind[] = [
  s('front tube', 'Front tube', 'tube', 750, [200, 110, 55], 14, ['soft']),
  s('rear tube', 'Rear tube', 'tube', 900, [210, 120, 60], 16, ['soft']),
  s('patch', 'Tube patches', 'patch', 6, [60, 40, 2], 0.8),
  s('plug string', 'Plug strings', 'string', 8, [110, 8, 8], 0.9),
  s('valve core', 'Valve core', 'core', 2, [22, 6, 6], 0.6),
  s('cable tie', 'Cable ties', 'tie', 2, [200, 5, 2], 0.1),
  s('wire', 'Steel wire', 'metre', 8, [60, 20, 4], 0.3, ['conductive']),
  s('clutch lever', 'Clutch lever', 'lever', 120, [200, 45, 20], 14, ['hard']),
  s('brake lever', 'Brake lever', 'lever', 130, [200, 45, 20], 14, ['hard']),
  s('fuse', 'Fuses', 'fuse', 2, [20, 20, 6], 0.4),
  s('cable', 'Electric cable', 'metre', 12, [60, 30, 6], 0.6),
  s('chain link', 'Joining links', 'link', 25, [35, 25, 15], 6, ['hard', 'conductive']),
  s('cable inner', 'Cable inner with nipples', 'inner', 55, [120, 100, 10], 7),
  s('metal putty', 'Metal putty', 'portion', 28, [50, 20, 20], 4),
  s('hose piece', 'Hose and two clamps', 'piece', 70, [120, 35, 30], 5),
  s('coolant', 'Coolant', 'half litre', 540, [180, 70, 55], 4, ['leaks']),
  s('fuel hose', 'Fuel hose and clips', 'piece', 35, [120, 60, 15], 3),
  s('bulb', 'Headlamp bulb', 'bulb', 22, [80, 40, 40], 6, ['fragile']),
  s('spark plug', 'Spark plug', 'plug', 48, [90, 25, 25], 9, ['fragile', 'hard']),
  s('spoke', 'Spokes with nipples', 'spoke', 16, [230, 8, 6], 2, ['hard']),
  s('spare key', 'Spare key', 'key', 12, [65, 30, 4], 12, ['dear']),
  s('dressing', 'Wound dressing', 'dressing', 25, [90, 70, 10], 2, ['soft']),
  s('fuel filter', 'Fuel filter', 'filter', 35, [70, 30, 30], 7, ['leaks']),
  s('wheel bearing', 'Wheel bearing', 'bearing', 70, [42, 42, 13], 9, ['hard']),
  s('brake pads', 'Brake pads', 'pair', 160, [80, 50, 20], 22, ['hard']),
  s('tyre boot', 'Tyre boot', 'boot', 45, [120, 70, 4], 4),
  s('gas cartridge', 'Gas cartridges, 16 g', 'cartridge', 58, [88, 18, 18], 2, ['pressurised', 'hard']),
  s('hose clamp', 'Hose clamp, large', 'clamp', 22, [70, 20, 10], 1.2, ['hard']),
];

/** Grams of a bolt with nut and washer, by thread. */
const BOLT_MASS: Readonly<Record<string, number>> = {
  M4: 4,
  M5: 7,
  M6: 11,
  M8: 24,
  M10: 46,
  M12: 75,
  M14: 110,
  M16: 150,
};

/** Kind of the spare bolt of a thread, such as `bolt M6`. */
export const boltKind = (thread: string): string => `bolt ${thread}`;

const BOLTS: SupplyKind[] = Object.entries(BOLT_MASS).map(([thread, mass]) => {
  const d = Number(thread.slice(1));
  return s(boltKind(thread), `Bolt ${thread}, nut and washer`, 'set', mass, [d * 5, d * 2, d * 2], 0.5, [
    'hard',
    'conductive',
  ]);
});

export const SUPPLIES: readonly SupplyKind[] = [...FIXED, ...BOLTS];
const BY_KIND = new Map(SUPPLIES.map((k) => [k.kind, k]));
export const SUPPLY_KINDS = SUPPLIES.map((k) => k.kind) as [string, ...string[]];

/** @throws RangeError for a kind that is not in the table */
export function supplyKind(kind: string): SupplyKind {
  const known = BY_KIND.get(kind);
  if (!known) throw new RangeError(`no supply of kind "${kind}"`);
  return known;
}

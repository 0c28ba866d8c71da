import { printSize, threadMm } from '../../ground/sizes/index.js';
import type { Trait } from '../../toolbox/tools/index.js';

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
  s('front tube', 'Front tube', 'tube', 750, [200, 110, 55], 14, ['soft', 'pierced easily']),
  s('rear tube', 'Rear tube', 'tube', 900, [210, 120, 60], 16, ['soft', 'pierced easily']),
  s('patch', 'Tube patches', 'patch', 6, [60, 40, 2], 0.8, ['pierced easily']),
  s('plug string', 'Plug strings', 'string', 8, [110, 8, 8], 0.9),
  s('valve core', 'Valve core', 'core', 2, [22, 6, 6], 0.6, ['nests']),
  s('cable tie', 'Cable ties', 'tie', 2, [200, 5, 2], 0.1),
  s('wire', 'Steel wire', 'metre', 8, [60, 20, 4], 0.3, ['conductive', 'wound']),
  s('clutch lever', 'Clutch lever', 'lever', 120, [200, 45, 20], 14, ['hard']),
  s('brake lever', 'Brake lever', 'lever', 130, [200, 45, 20], 14, ['hard']),
  s('fuse', 'Fuses', 'fuse', 2, [20, 20, 6], 0.4, ['nests']),
  s('cable', 'Electric cable', 'metre', 12, [60, 30, 6], 0.6),
  s('chain link', 'Joining links', 'link', 25, [35, 25, 15], 6, ['hard', 'conductive']),
  s('cable inner', 'Cable inner with nipples', 'inner', 55, [120, 100, 10], 7),
  s('metal putty', 'Metal putty', 'portion', 28, [50, 20, 20], 4, ['pierced easily']),
  s('hose piece', 'Hose and two clamps', 'piece', 70, [120, 35, 30], 5),
  s('coolant', 'Coolant', 'half litre', 540, [180, 70, 55], 4, ['leaks', 'upright', 'pierced easily']),
  s('fuel hose', 'Fuel hose and clips', 'piece', 35, [120, 60, 15], 3),
  s('bulb', 'Headlamp bulb', 'bulb', 22, [80, 40, 40], 6, ['fragile']),
  s('tail bulb', 'Tail lamp bulb', 'bulb', 9, [50, 20, 20], 3, ['fragile', 'nests']),
  s('spark plug', 'Spark plug', 'plug', 48, [90, 25, 25], 9, ['fragile', 'hard']),
  s('spoke', 'Spokes with nipples', 'spoke', 16, [230, 8, 6], 2, ['hard']),
  s('spare key', 'Spare key', 'key', 12, [65, 30, 4], 12, ['dear']),
  s('dressing', 'Wound dressing', 'dressing', 25, [90, 70, 10], 2, ['soft', 'kept dry']),
  s('fuel filter', 'Fuel filter', 'filter', 35, [70, 30, 30], 7, ['leaks']),
  s('wheel bearing', 'Wheel bearing', 'bearing', 70, [42, 42, 13], 9, ['hard']),
  s('brake pads', 'Brake pads', 'pair', 160, [80, 50, 20], 22, ['hard']),
  s('tyre boot', 'Tyre boot', 'boot', 45, [120, 70, 4], 4),
  s('gas cartridge', 'Gas cartridges, 16 g', 'cartridge', 58, [88, 18, 18], 2, ['pressurised', 'hard']),
  s('pin plug', 'Pin plugs', 'plug', 6, [60, 10, 10], 1.4),
  s('cloth tape', 'Cloth tape', 'metre', 14, [50, 20, 6], 0.4, ['wound']),
  s('self-fusing tape', 'Self-fusing tape', 'metre', 20, [50, 25, 8], 2, ['wound']),
  s('penetrating fluid', 'Penetrating fluid', '20 mL', 28, [80, 25, 25], 2, ['leaks', 'upright']),
  s('threadlocker', 'Threadlocker, medium', '2 mL', 8, [70, 15, 15], 3, ['leaks', 'upright', 'pierced easily']),
  s('cleaner', 'Degreasing wipe', 'wipe', 8, [90, 70, 3], 0.5),
  s('liquid gasket', 'Liquid gasket', 'bead', 12, [90, 20, 15], 1.5, ['leaks', 'pierced easily']),
  s('alloy sheet', 'Thin alloy sheet', 'piece', 18, [120, 80, 1], 0.5),
  s('axle nut', 'Axle nut', 'nut', 45, [36, 36, 18], 5, ['hard', 'conductive']),
  s('strap', 'Luggage strap', 'strap', 90, [120, 60, 30], 7, ['soft']),
  s('stop-leak powder', 'Stop-leak powder', 'dose', 30, [70, 50, 12], 5, ['kept dry']),
  s('hose splice', 'Hose splice', 'splice', 24, [70, 25, 25], 2),
  s('engine oil', 'Engine oil', 'half litre', 460, [180, 70, 55], 6, ['leaks', 'upright', 'pierced easily']),
  s('brake fluid', 'Brake fluid, sealed', '100 mL', 125, [100, 45, 45], 5, ['leaks', 'upright', 'pierced easily']),
  s('chain lube', 'Chain lube', '15 mL', 20, [80, 25, 25], 1, ['leaks']),
  s('oil filter', 'Oil filter with its ring', 'filter', 60, [60, 55, 55], 8),
  s('air filter', 'Air filter, oiled, in a bag', 'filter', 95, [200, 140, 25], 18, ['soft', 'leaks']),
  s('regulator', 'Regulator', 'regulator', 310, [100, 70, 30], 60, ['hard']),
  s('coil', 'Ignition coil', 'coil', 150, [90, 50, 40], 45, ['hard']),
  s('relay', 'Starter relay', 'relay', 95, [65, 40, 35], 20, ['kept dry']),
  s('fuel pump', 'Fuel pump', 'pump', 190, [110, 40, 40], 60, ['hard', 'leaks']),
  s('charging lead', 'Charging lead', 'lead', 28, [90, 60, 15], 9, ['kept dry']),
  s('burn dressing', 'Burn dressing', 'dressing', 22, [100, 80, 8], 4, ['soft', 'kept dry']),
  s('goggle lens', 'Goggle lens', 'lens', 35, [190, 90, 3], 12, ['fragile']),
  s('water tablet', 'Water tablets', 'tablet', 1, [15, 15, 4], 0.2, ['kept dry']),
  s('starter cord', 'Starter cord', 'cord', 22, [60, 40, 15], 3, ['soft']),
  s('grease', 'Grease', '5 mL', 8, [60, 15, 15], 0.5, ['leaks']),
  s('split pin', 'Split pins and clips', 'pin', 3, [40, 10, 5], 0.3, ['nests']),
  s('drain washer', 'Drain plug washer', 'washer', 3, [20, 20, 2], 0.3, ['nests']),
  s('hose clamp', 'Hose clamp, large', 'clamp', 22, [70, 20, 10], 1.2, ['hard']),
  s('rim strip', 'Rim strip', 'strip', 30, [80, 50, 20], 5, ['soft']),
  s('tyre soap', 'Tyre soap', 'portion', 10, [40, 25, 12], 0.5, ['leaks']),
  s('o-ring', 'O-rings, sorted', 'set', 12, [60, 40, 10], 4, ['nests']),
  s('gloves', 'Thin gloves', 'pair', 8, [80, 60, 6], 0.4, ['soft', 'nests', 'pierced easily']),
  s('hand wipe', 'Hand cleaning wipe', 'wipe', 7, [80, 60, 3], 0.3, ['leaks']),
  s('anti-seize', 'Anti-seize paste', '3 mL', 6, [60, 15, 12], 1, ['leaks']),
  s('steel tie', 'Steel tie', 'tie', 9, [200, 8, 2], 0.7, ['hard', 'conductive', 'sharp']),
  s('thread insert', 'Thread insert', 'insert', 3, [15, 10, 10], 1.5, ['hard', 'nests']),
  s('pressure dressing', 'Pressure dressing', 'dressing', 55, [110, 80, 35], 8, ['soft', 'kept dry']),
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
  '1/4in': 12,
  '5/16in': 23,
  '3/8in': 40,
  '7/16in': 58,
  '1/2in': 82,
};

/** Kind of the spare bolt of a thread, such as `bolt M6`. */
export const boltKind = (thread: string): string => `bolt ${thread}`;

const BOLTS: SupplyKind[] = Object.entries(BOLT_MASS).map(([thread, mass]) => {
  const d = Math.round(threadMm(thread));
  return s(boltKind(thread), `Bolt ${printSize(thread)}, nut and washer`, 'set', mass, [d * 5, d * 2, d * 2], 0.5, [
    'hard',
    'conductive',
  ]);
});

export const SUPPLIES: readonly SupplyKind[] = [...FIXED, ...BOLTS];
const BY_KIND = new Map(SUPPLIES.map((k) => [k.kind, k]));
export const SUPPLY_KINDS = SUPPLIES.map((k) => k.kind) as [string, ...string[]];

/** Whether a mend may use up that kind; `bolt` stands for the bike's own threads. */
export const supplyKindKnown = (kind: string): boolean => kind === 'bolt' || BY_KIND.has(kind);

/** @throws RangeError for a kind that is not in the table */
export function supplyKind(kind: string): SupplyKind {
  const known = BY_KIND.get(kind);
  if (!known) throw new RangeError(`no supply of kind "${kind}"`);
  return known;
}

import type { Travel } from './way.js';

/** Ridden at walking pace as far as people or the road, km/h. Planning value. */
export const WALKING_PACE: Travel = { over: 'help', speed: 6 };
/** Pushed by one rider, km/h. Planning value. */
export const PUSHED: Travel = { over: 'help', speed: 3 };

/** Cautions that several mends share. */
/** What is no lasting repair: how to get home with it. */
export const home = (what: string): string =>
  `${what} is no lasting repair: ride slowly to the nearest workshop and have it replaced.`;
export const BY_HAND =
  'Check by hand every fastener that you turned before you ride, and have it tightened with a calibrated torque wrench at the first chance.';
export const WIRING =
  'Disconnect the battery before you work on wiring. Replace a fuse by one of the same rating, and never bridge it.';
export const FUEL =
  'Fuel catches fire: switch the ignition off, let the engine cool, keep flames away, and carry fuel in approved cans only.';
export const BRAKES = 'If in doubt about the brakes, do not ride.';
export const HOT = 'Cable ties melt near the exhaust: use wire or steel ties there.';
export const AID = 'Call for help first, and do only what you are trained to do: this list is no first-aid course.';
export const TOWING =
  'Towing can throw both riders: check local law, keep it short and slow, and be ready to let the strap go.';
export const COOLANT = 'Hot coolant scalds: open the cooling system only when it is cold.';
export const PRESSURE = 'A tyre can burst on the rim: never go above the tyre or rim maker’s seating pressure.';
export const JUMPING =
  'A battery can burst when it is jumped in the wrong order: follow the manual’s order and polarity, and leave a lithium pack alone that is hot, swollen or wet. Jump currents do not go through a thin accessory lead.';
export const LIFT = 'Props slip: keep everybody out from under a lifted bike.';

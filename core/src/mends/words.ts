import type { Travel } from './way.js';

/** Ridden at walking pace as far as people or the road, km/h. Planning value. */
export const WALKING_PACE: Travel = { over: 'help', speed: 6 };
/** Pushed by one rider, km/h. Planning value. */
export const PUSHED: Travel = { over: 'help', speed: 3 };

/** Cautions that several mends share. */
export const SLOW = 'Low speed, to the nearest workshop; then it is replaced.';
export const BY_HAND = 'Check by hand before riding, re-torque with a calibrated tool at the first chance.';
export const WIRING = 'Disconnect before wiring work. A fuse is replaced by the same rating, never bridged.';
export const FUEL = 'Ignition off, engine cold, no flame. Fuel only in approved cans.';
export const BRAKES = 'Brakes: with any doubt do not ride.';
export const HOT = 'Ties melt near the exhaust: wire or steel ties there.';
export const AID = 'Training first, call for help. This list is no first-aid course.';
export const TOWING = 'Towing: law and skill, short, slow.';
export const JUMPING =
  'A battery can burst when it is jumped in the wrong order: follow the manual’s order and polarity, and leave a lithium pack alone that is hot, swollen or wet. Jump currents do not go through a thin accessory lead.';
export const LIFT = 'Props slip: nobody under a lifted bike.';

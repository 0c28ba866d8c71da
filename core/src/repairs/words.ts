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
  'Fuel catches fire: switch the ignition off, let the engine cool, keep flames and sparks away, and carry fuel in approved cans only.';
/** Fuel is drawn over. */
export const SIPHON = `${FUEL} Fuel in the mouth poisons: start the siphon by its bulb or by filling the hose, never by mouth.`;
export const BRAKES = 'If in doubt about the brakes, do not ride.';
export const HOT = 'Cable ties melt near the exhaust: use wire or steel ties there.';
export const AID =
  'Call for help first, do only what you are trained to do, and follow local advice: this list is no first-aid course.';
export const TOWING =
  'Towing can throw both riders and is forbidden in many places: check local law, keep it short and slow, and be ready to let the strap go. A broken or thrown chain comes off before the bike is rolled.';
export const COOLANT = 'Hot coolant scalds: open the cooling system only when it is cold.';
export const PRESSURE =
  'A tyre can burst on the rim: never go above the tyre or rim maker’s seating pressure, and never seat it with fuel or spray and a flame.';
export const JUMPING =
  'A battery can burst when it is jumped: same voltage, the other engine off, the manual’s order and polarity, the last clamp on bare metal away from the battery. Leave a lithium pack alone that is hot, swollen or wet. Jump currents do not go through a thin accessory lead.';
export const CORE = 'A valve core flies out under pressure: let the air out first, and keep your face away from it.';
export const LIFT = 'Props slip: keep everybody out from under a lifted bike.';
export const CRITICAL =
  'Where a brake, an axle, the steering, a wheel or the engine’s mount hangs on it, nothing improvised will do: do not ride.';
export const NO_FUEL_NEAR_HEAT = 'Fuel as a cleaner burns: keep it away from a hot engine, from flames and from skin.';
export const SPARKS =
  'Fuel vapour burns at a spark: never test for a spark beside an open plug hole, spilt fuel or an open fuel line; air it, wipe it, wait.';
export const RAIL =
  'Fuel stands under pressure in an injection’s line: let the engine cool, follow the manual to let the pressure off, a rag round the joint, eyes shielded.';
export const PADS =
  'New pads brake badly at first: pump the lever until it is hard before you ride off, and brake gently until they have bedded in.';
export const PLUG_HOT =
  'A spark plug strips its thread in a hot head: let the engine cool, and turn it in by hand first.';
export const HEAT_ILL =
  'Headache, sickness, confusion or skin that stops sweating mean heat illness: shade, cool with water, call for help, nobody rides on.';
export const COLD_ILL =
  'Shivering that stops, slurred words or clumsy hands mean dangerous cold: dry clothes, shelter, warmth, call for help.';

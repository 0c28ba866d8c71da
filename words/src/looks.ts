import { CAUTIONS, type LookKey } from '@necessaire/core';
import type { TextOfCheck } from './checks.js';

/** How each thing is looked at that any bike of its kind has. */
export const LOOK_WORDS: Readonly<Record<LookKey, TextOfCheck>> = {
  tyres: {
    name: 'Tyres',
    how: 'Press both with your thumb, turn them and look for cuts, thorns and nails; measure the pressure cold in the morning.',
    why: 'A slow leak that is found in the evening is repaired at the table.',
  },
  spokes: {
    name: 'Spokes',
    how: 'Run a spanner along the spokes of both wheels: a loose one sounds dull.',
    why: 'One loose spoke loosens its neighbours.',
  },
  'front-brake': {
    name: 'Brakes',
    how: 'Squeeze lever and pedal: they must be firm. Look for wet spots at hoses and callipers, and at the pads’ thickness.',
    why: 'A brake that fades does so downhill.',
    caution: CAUTIONS.BRAKES,
  },
  bearings: {
    name: 'Wheel and steering bearings',
    how: 'Raise each wheel and pull at it by hand, top and bottom; turn the bars from stop to stop.',
    why: 'A worn bearing is bought at home, not on the way.',
    caution: CAUTIONS.LIFT,
  },
  levers: {
    name: 'Levers and cables',
    how: 'Check the free play. Loosen the lever clamps until the levers just turn in a fall, and pull each to the stop: they must hold.',
    why: 'A lever that turns does not break; a frayed cable breaks at the nipple.',
    caution: 'A lever clamp that is left loose must still hold a full pull: try it before you ride.',
  },
  throttle: {
    name: 'Throttle',
    how: 'Open it and let go, bars left, middle and right: it must snap shut.',
    why: 'A throttle that stays open cannot be ridden.',
  },
  lights: {
    name: 'Lights',
    how: 'Ignition on: low and high beam, tail, brake by lever and by pedal, indicators.',
    why: 'A dead lamp ends the ride at dusk.',
  },
  battery: {
    name: 'Battery',
    how: 'Measure it after a night’s rest: at 12.6 V it is full, under 12.4 V it is charged or tested. Try both terminals by hand.',
    why: 'A tired battery dies in the first cold night.',
  },
  coolant: {
    name: 'Coolant',
    how: 'Engine cold: look at its level, at the hoses and for mud between the fins.',
    why: 'A hose that weeps bursts on a climb.',
    caution: CAUTIONS.COOLANT,
  },
  oil: {
    name: 'Engine oil',
    how: 'Upright, a few minutes after it stopped: the level stands between the marks. Look for drips below.',
    why: 'An engine runs dry without a sound.',
  },
  'air-filter': {
    name: 'Air filter',
    how: 'Take its cover off: clean, oiled, and its edge sealed all round.',
    why: 'Dust past the filter wears an engine out in days.',
  },
  chain: {
    name: 'Chain',
    how: 'Measure the slack where it is tightest, rider’s weight on; oil it warm. Look at its link and at the sprockets’ teeth.',
    why: 'A slack chain comes off and breaks the case.',
  },
  belt: {
    name: 'Belt',
    how: 'Look for cracks and stones between its teeth; press it to the manual’s slack.',
    why: 'A belt with a stone in it tears.',
  },
  shaft: {
    name: 'Final drive',
    how: 'Look for oil at its seals, and turn the wheel: it must run without a grating sound.',
    why: 'A final drive that leaks runs dry.',
  },
};

import type { Practice, Switch } from '@necessaire/core';

/** What each switch of the practice asks, in the order in which they stand. */
export const QUESTIONS: Readonly<Record<Switch, string>> = {
  from: 'Tools come from',
  least: 'Minimise tools by (lightest kit only)',
  doubles: 'Duplicates, from two days on (lightest kit only)',
  drive: 'Square drives',
  adjustable: 'Adjustable spanner turns',
  ratchet: 'Breaking loose with a ratchet',
  standing: 'Standing on a tool',
  quality: 'Quality of what is bought',
  air: 'What makes the air',
  tubes: 'Spare tubes',
  levers: 'Tyre levers',
  plugs: 'Plugs for tubeless tyres',
  reamer: 'Opening the hole',
  pressures: 'Pressures',
  others: 'Other riders’ bikes',
  lives: 'Where the kit lives',
  skill: 'Methods that count',
  hand: 'Most skilled person in the group',
  rescue: 'A bike that cannot go on',
  sparkPlug: 'Spare spark plug',
};

/** What each position of a switch is called. */
const POSITIONS: { readonly [S in Switch]: Readonly<Record<Practice[S], string>> } = {
  from: { toolbox: 'my toolbox', 'toolbox-first': 'my toolbox, the rest bought', catalogue: 'bought new' },
  least: { mass: 'weight', bulk: 'volume', price: 'price', blend: 'blend' },
  doubles: { losable: 'what gets lost or breaks', none: 'none', all: 'everything vital' },
  drive: { smallest: 'smallest that bears it', middle: 'one middle drive' },
  adjustable: { last: 'where nothing fixed does', holds: 'hold only', freely: 'freely' },
  ratchet: { 'within-torque': 'within its torque', never: 'never breaks loose' },
  standing: { bar: 'plain bar only', never: 'never', ratchet: 'ratchet too' },
  quality: { 'by-torque': 'good where torque is high', good: 'good everywhere', cheap: 'cheap everywhere' },
  air: {
    pump: 'pump, cartridge for a bead',
    electric: 'electric pump',
    hand: 'hand pump',
    gas: 'gas cartridges',
    two: 'two of them',
  },
  tubes: { front: 'front only', both: 'both', none: 'none', 'tubeless-too': 'with tubeless tyres too' },
  levers: { two: 'two', one: 'one and a long spanner', three: 'three' },
  plugs: { strings: 'strings', pins: 'pin plugs', both: 'both' },
  reamer: { hand: 'hand reamer', drill: 'powered drill' },
  pressures: { once: 'set once', ground: 'lowered and raised with the ground' },
  others: { along: 'the bikes that ride along', own: 'own bike only', any: 'any stranger’s too' },
  lives: {
    everyday: 'everyday part on the bike',
    bike: 'always on the bike',
    luggage: 'with the luggage',
    back: 'on the back',
  },
  skill: { able: 'only what somebody can do', all: 'carry it, somebody may help' },
  hand: { anybody: 'anybody', handy: 'handy', done: 'has done it before' },
  rescue: { carry: 'carry the means', walk: 'walk out and recover later', phone: 'nothing but a phone' },
  sparkPlug: { earned: 'where it earns its place', carry: 'carry', leave: 'leave' },
};
/** A position of a switch in words. @throws RangeError for a position that the switch does not have */
export function positionWords(of: Switch, position: string): string {
  const words: Readonly<Record<string, string>> = POSITIONS[of];
  const said = words[position];
  if (said === undefined) throw new RangeError(`${of} has no position "${position}"`);
  return said;
}

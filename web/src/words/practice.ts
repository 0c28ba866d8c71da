import type { Measure, Switch } from '@necessaire/core';

/** What each switch asks, in the order in which they stand. */
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

/** Settings of the rider's practice as the screens say them, where what is stored says it shorter. */
const SAID: Readonly<Record<string, string>> = {
  drawer: 'my toolbox',
  'drawer first': 'my toolbox, the rest bought',
  catalogue: 'bought new',
  mass: 'weight',
  bulk: 'volume',
  count: 'number of tools',
};
export const positionWords = (position: string): string => SAID[position] ?? position;
/** What a kit is where it is made least in something. */
export const LESS: Readonly<Record<Measure, string>> = {
  mass: 'lighter',
  bulk: 'smaller',
  price: 'cheaper',
  blend: 'handier',
};

import type { LoadFact, LoadRule, Rule, StowFact, StowFault } from '@necessaire/core';
import { massOf, measure, say } from './saying.js';
import type { WordsOf } from './wordsOf.js';

const mm = (value: number) => measure('length', value);
const litres = (value: number, digits: number) => measure('volume', value, digits);
const kg = (grams: number) => measure('weight', grams, 1);

/** Why something may not lie where it does. */
export const STOW_WORDS: WordsOf<StowFact> = {
  'stow.no-slot': ({ long, middle, longest, widest }) =>
    say`${mm(long)} × ${mm(middle)}, the longest slot is ${mm(longest)} and the widest ${mm(widest)}`,
  'stow.too-long': ({ long, longest }) => say`${mm(long)} long, the longest that goes in is ${mm(longest)}`,
  'stow.too-small-to-tie': 'too small to be tied on',
  'stow.bore': ({ middle, thin, bore }) => say`${mm(middle)} × ${mm(thin)} across, the tube is ${mm(bore)} wide`,
  'stow.no-angle': ({ sides: [long, middle, thin], inside: [length, width, height] }) =>
    say`${mm(long)} × ${mm(middle)} × ${mm(thin)} does not fit at any angle, there is ${mm(length)} × ${mm(width)} × ${mm(height)}`,
  'stow.must-stand': 'must stand, here it would lie',
  'stow.too-tall': ({ tall, room }) => say`stands ${mm(tall)} tall, there is ${mm(room)}`,
  'stow.injures': 'hard or sharp, and not wrapped: it injures in a fall',
  'stow.shorts': 'conductive, and not wrapped, next to wiring',
  'stow.heat': 'must stay away from heat',
  'stow.dry': 'must be kept dry',
  'stow.fragile': 'fragile, and tied on outside',
  'stow.slots-taken': ({ count }) => say`all slots of its size are taken, ${count} in all`,
  'stow.no-room': ({ more, usable, taken }) =>
    say`${litres(more, 2)} more in ${litres(usable, 1)} with ${litres(taken, 1)} taken`,
  'stow.sharp-beside': 'sharp, beside what is pierced easily',
  'stow.pierced-beside': 'pierced easily, beside something sharp',
  'stow.over-weight': ({ mass, bears }) => say`${massOf(mass)} where the mount bears ${massOf(bears)}`,
  'stow.more-than-slots': 'more pieces than slots of their size',
  'stow.not-laid': ({ names }) =>
    names.length > 0
      ? say`no way was found to lay these beside each other: ${names.join(', ')}`
      : say`no way was found to lay it beside what is there`,
  'stow.blade-shut-in': ({ place }) => say`${place} is tied shut, and every blade lies inside: keep one outside`,
};

/** How a limit of the load is exceeded. */
export const LOAD_WORDS: WordsOf<LoadFact> = {
  'load.payload': ({ carried, allows }) => say`${kg(carried)} on board where the maker allows ${kg(allows)}`,
  'load.rack': ({ carried, bears }) => say`${kg(carried)} on the rack, which bears ${kg(bears)}`,
  'load.tyre': ({ tyre, carries, index, bears }) =>
    say`${kg(carries)} on the ${tyre}, load index ${index} bears ${kg(bears)}`,
  'load.front-share': ({ lost, most }) =>
    say`the front wheel has ${lost.toFixed(1)} points less of the weight than with the rider alone; over ${most} it is felt`,
  'load.side': ({ moment, to, most }) =>
    say`${measure('moment', moment)} to the ${to}, ${measure('moment', most)} is the most`,
  'load.back': ({ carried, most }) => say`${kg(carried)} on the rider, over ${kg(most)}`,
};

/** Why each rule matters, in a rider’s words. */
const WHY: Readonly<Record<Rule | LoadRule | 'loose', string>> = {
  size: 'what is forced in bends, or keeps the lid from closing',
  slot: 'a slot that is too small tears, or the roll does not close',
  tie: 'ties hold long things; small ones slip out and are lost',
  upright: 'lying down it leaks',
  body: 'it injures the rider in a fall',
  wiring: 'it can short the battery or rub through wires: fire',
  heat: 'it melts, leaks or bursts near the exhaust',
  wet: 'water ruins it',
  fragile: 'stones and falls break it outside',
  sharp: 'a blade beside a tube or a glue pierces it on the first rough road',
  room: 'it would stay at home',
  weight: 'mounts crack and bags tear off, most of all on rough ground',
  packing: 'the volumes add up, but the pieces do not lie beside each other',
  blade: 'what is tied shut is cut open, and the blade must not lie inside',
  payload: 'frame, brakes and suspension are made for the maker’s payload: the manual’s figure comes first',
  rack: 'a rack cracks at its mounts, most of all on rough ground',
  'front tyre': 'a tyre over its load runs hot and fails',
  'rear tyre': 'a tyre over its load runs hot and fails',
  'front share': 'a light front wheel steers wide and climbs badly',
  side: 'the bike pulls to one side and falls to it when stood up',
  back: 'weight on the back tires the rider and hurts in a fall',
  loose: 'what has no place does not come along',
};
/** Why some rules matter, as one sentence without its full stop. */
export const whyRules = (rules: readonly (Rule | LoadRule | 'loose')[]): string => rules.map((r) => WHY[r]).join('; ');

const LOAD_TITLES: Readonly<Record<LoadRule, string>> = {
  payload: 'Over the payload',
  rack: 'Over the rack’s limit',
  'front tyre': 'Over the front tyre’s load',
  'rear tyre': 'Over the rear tyre’s load',
  'front share': 'Light front wheel',
  side: 'One side is heavier',
  back: 'Much on the rider’s body',
};
/** What a fault of a packing is headed by: the thing or the place that breaks the rule, else what is wrong with the load. */
export const faultTitle = ({ name, rule }: Pick<StowFault, 'name' | 'rule'>): string =>
  name ?? LOAD_TITLES[rule as LoadRule];

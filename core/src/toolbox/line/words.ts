import { Phrasebook } from '../../ground/line/index.js';
import type { Piece } from '../tools/piece.js';

/** A tool of the shelf by its names there, the usual one first. `sure` takes that one and shows the others; else it is asked. */
export interface Named {
  names: readonly string[];
  sure: boolean;
}
/** What a word for a tool stands for: a kind by its key, or tools by their names. */
export type KindTerm = string | Named;
export const usual = (...names: string[]): Named => ({ names, sure: true });
export const which = (...names: string[]): Named => ({ names, sure: false });
/** Tools by name with the phrases that say them, parted by `|`. */
export type SaidByName = readonly [Named, string];

/** What is said of a tool beside its kind and size, and changes how it is made. */
export type Modifier = 'deep' | 'twelve' | 'long' | 'alloy' | 'steel' | 'ring' | 'set' | 'wide' | 'magnetic';
export const MODIFIERS = new Phrasebook<Modifier>([
  ['deep', 'deep|extra deep'],
  ['twelve', '12 pt|12 point|12 pointed|bihex|bi hex|double hex'],
  ['long', 'long|longer'],
  ['alloy', 'alloy|light alloy'],
  ['steel', 'steel'],
  ['ring', 'ring|with ring|with a ring|ring end'],
  ['set', 'set|sets|kit|of a set'],
  ['wide', 'wide jaw|wide opening'],
  ['magnetic', 'magnetic|magnet|magnetised'],
]);

/** Words that change nothing that is reckoned with; they stay in the name. */
export const ATTRIBUTES = new Phrasebook<true>([
  [
    true,
    'impact|chrome|chromed|titanium|forged|stubby|slim|insulated|fine tooth|flex head|flexible|ratcheting|old|new|spare|small|large|big|short|thin|thick|black|red|blue|green|yellow|mini|heavy|light|tough|good|quick release|reversible|double|double ended|single|6 point|cranked|offset|ball end|ball ended|curved|bent|straight|hand|half|stainless|plastic|rubber|soft|hardened|standard|normal|own',
  ],
]);

/** Words between parts of a line that say nothing by themselves. */
export const FILLERS = new Phrasebook<true>([[true, 'a|an|the|of|with|size|some|my|and|to|metric|imperial']]);

export const DRIVE_WORDS = new Phrasebook<true>([
  [true, 'drive|dr|square drive|sq drive|square|sq|inch drive|in drive'],
]);
export const MARKS = new Phrasebook<NonNullable<Piece['mark']>>([
  ['always', 'always'],
  ['twice', 'twice'],
  ['never', 'never'],
]);
export const CONDITIONS = new Phrasebook<'worn' | 'broken'>([
  ['worn', 'worn|worn out'],
  ['broken', 'broken|bust|damaged'],
]);
export const CHEAP = new Phrasebook<true>([[true, 'cheap']]);
export const NOTE = new Phrasebook<true>([[true, 'note']]);
export const KEPT = new Phrasebook<true>([
  [true, 'in|at|in the|at the|kept in|kept at|kept in the|kept|lies in|lies in the|stored in|stored in the'],
]);
export const COUNT_BEFORE = new Phrasebook<true>([[true, 'qty|quantity|count|times|number']]);
export const COUNT_BEHIND = new Phrasebook<true>([[true, 'off|pcs|pc|times|of them']]);
export const DOZENS = new Phrasebook<number>([
  [12, 'a dozen|1 dozen|dozen'],
  [6, 'half a dozen|half dozen|1/2 a dozen|1/2 dozen'],
  [2, 'a pair|pair|a pair of|pair of|a couple of|couple of|a couple'],
  [3, 'set of 3|3 of|a set of 3'],
  [2, 'set of 2|2 of|a set of 2'],
  [4, 'set of 4|4 of|a set of 4'],
]);
export const UNKNOWN_SIZE = new Phrasebook<true>([
  [
    true,
    'unknown|unknown size|size unknown|no size|not measured|size not measured|unmarked|size not known|to be measured',
  ],
]);
export const RANGE_WORDS = new Phrasebook<true>([[true, 'to|through|until|up to|till']]);

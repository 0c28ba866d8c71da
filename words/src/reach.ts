import { printShape, type NearSizeFact, type ReachFact } from '@necessaire/core';
import { asTyped, measure, say } from './saying.js';
import type { WordsOf } from './wordsOf.js';

const mm = (value: number) => measure('length', value);
const torque = (value: number) => measure('torque', value);
/** What would turn a piece. */
const driver = (by: Extract<ReachFact, { code: 'reach.nothing-drives' }>['by']): string =>
  by === 'hand' ? 'a hand' : by.form === 'drive' ? `a ${printShape(by)} handle` : `a tool that turns ${printShape(by)}`;

/** Why a chain does not turn an end, and what is to be known of a tool of another size. */
export const REACH_WORDS: WordsOf<ReachFact | NearSizeFact> = {
  'reach.recess': ({ deep, reaches }) =>
    say`the head sits ${mm(deep)} deep, this reaches ${mm(reaches)}: ${mm(deep - reaches)} short`,
  'reach.clearance': ({ free, piece, wide }) => say`${mm(free)} is free round the head, ${piece} is ${mm(wide)} wide`,
  'reach.rim': ({ deep, piece, below }) =>
    say`the well is ${mm(deep)} deep, the handle of ${piece} would lie ${mm(below)} below its rim`,
  'reach.headroom': ({ room, high }) => say`${mm(room)} of room in line, this stands ${mm(high)} high`,
  'reach.thin': ({ limit, piece, thick }) =>
    thick === null
      ? say`only a spanner up to ${asTyped('length', limit)} thick goes in`
      : say`only ${asTyped('length', limit)} thick goes in, ${piece} is ${asTyped('length', thick)}`,
  'reach.swing': ({ swing, piece, step }) => say`${swing}° of swing, ${piece} takes ${step}° to the next bite`,
  'reach.stud': ({ stud, piece, hollow }) =>
    say`${mm(stud)} stands through the head, the hollow of ${piece} is ${mm(hollow)}`,
  'reach.side-only': 'an open end gets in from the side only',
  'reach.in-line-only': 'there is room in line only, none for a spanner',
  'reach.out-of-line': 'it is out of line: the chain needs a swivel joint',
  'reach.adjustable-holds': 'you use adjustable spanners for holding only',
  'reach.ratchet-never-breaks': 'you do not break bolts loose with a ratchet',
  'reach.bears': ({ need, piece, bears }) => say`breaking loose takes ${torque(need)}, ${piece} bears ${torque(bears)}`,
  'reach.arm': ({ need, force, arm, gives, pipe }) =>
    say`breaking loose takes ${torque(need)}, ${measure('force', force)} on ${mm(arm)} gives ${torque(gives)}: a pipe of ${mm(pipe)} closes it`,
  'reach.palm': ({ need, piece, gives }) =>
    say`breaking loose takes ${measure('torque', need, 1)}, a hand on ${piece} gives ${asTyped('torque', gives)}`,
  'reach.nothing-fits': ({ head }) => say`nothing in the toolbox turns ${printShape(head)}`,
  'reach.nothing-drives': ({ piece, by }) =>
    say`${piece} fits, but nothing in the toolbox turns it: it takes ${driver(by)}`,
  'reach.only-held':
    'each end alone can be held, but nothing turns either: an adjustable spanner only holds by your preference, or there is too little swing',
  'reach.same-piece':
    'each end alone is reached, but both at once take the same piece: a second one or an adjustable holds the other end',
  'cure.near-size': ({ piece, tool, of100, head }) =>
    say`${piece} is made for ${printShape(tool)}: it fits ${of100} of 100 heads of ${printShape(head)}`,
};

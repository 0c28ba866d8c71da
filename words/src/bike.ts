import { sourceWords, type LineFact, type TorqueFact } from '@necessaire/core';
import { asTyped, measure, say, type Saying } from './saying.js';
import type { WordsOf } from './wordsOf.js';

const OF_ACCESS: Readonly<Record<Extract<LineFact, { code: 'line.length' }>['of'], string>> = {
  recess: 'deep',
  clearance: 'free round it',
  headroom: 'room in line',
  thin: 'thin',
  stud: 'stud',
};

/** What a source of a tightening torque is called. */
const torqueSource = (f: TorqueFact): Saying => {
  switch (f.code) {
    case 'torque.source':
      return say`${sourceWords(f.source)}`;
    case 'torque.plug':
      return say`typical value for a spark plug`;
    case 'torque.head':
      return say`typical value for such a head`;
    case 'torque.job':
      return say`typical value for a ${f.role}, usually ${asTyped('torque', f.from)} to ${asTyped('torque', f.to)}`;
    case 'torque.thread':
      return say`typical value for ${f.thread}`;
    case 'torque.break-loose':
      return say`${asTyped('torque', f.tightening)} (${torqueSource(f.of)}) × ${f.factor} ${f.condition}`;
  }
};

/** Where torques come from. */
export const TORQUE_WORDS: WordsOf<TorqueFact> = {
  'torque.source': torqueSource,
  'torque.plug': torqueSource,
  'torque.head': torqueSource,
  'torque.job': torqueSource,
  'torque.thread': torqueSource,
  'torque.break-loose': torqueSource,
};

/** Figures with units that a typed line says. */
export const LINE_WORDS: WordsOf<LineFact> = {
  'line.torque': ({ typed, value, source }) =>
    say`${typed === null ? '' : `${typed}, `}${asTyped('torque', value)}${source === null ? '' : `, ${sourceWords(source)}`}`,
  'line.length': ({ mm, of }) => say`${measure('length', mm)} ${OF_ACCESS[of]}`,
};

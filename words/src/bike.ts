import { sourceWords, type LineFact, type TorqueFact } from '@necessaire/core';
import { asTyped, measure, say } from './saying.js';
import { wordsBy, type WordsOf } from './wordsOf.js';

const OF_ACCESS: Readonly<Record<Extract<LineFact, { code: 'line.length' }>['of'], string>> = {
  recess: 'deep',
  clearance: 'free round it',
  headroom: 'room in line',
  thin: 'thin',
  stud: 'stud',
};

/** Where torques come from. */
export const TORQUE_WORDS: WordsOf<TorqueFact> = {
  'torque.source': ({ source }) => say`${sourceWords(source)}`,
  'torque.plug': 'typical value for a spark plug',
  'torque.head': 'typical value for such a head',
  'torque.job': ({ role, from, to }) =>
    say`typical value for a ${role}, usually ${asTyped('torque', from)} to ${asTyped('torque', to)}`,
  'torque.thread': ({ thread }) => say`typical value for ${thread}`,
  'torque.break-loose': ({ tightening, of, factor, condition }) =>
    say`${asTyped('torque', tightening)} (${wordsBy(TORQUE_WORDS, of)}) × ${factor} ${condition}`,
};

/** Figures with units that a typed line says. */
export const LINE_WORDS: WordsOf<LineFact> = {
  'line.torque': ({ typed, value, source }) =>
    say`${typed === null ? '' : `${typed}, `}${asTyped('torque', value)}${source === null ? '' : `, ${sourceWords(source)}`}`,
  'line.length': ({ mm, of }) => say`${measure('length', mm)} ${OF_ACCESS[of]}`,
};

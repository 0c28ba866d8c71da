import type { FitFact } from '@necessaire/core';
import { say } from './saying.js';
import type { WordsOf } from './wordsOf.js';

/** Why a tool fits a head or does not. */
export const FIT_WORDS: WordsOf<FitFact> = {
  'fit.play': ({ verdict, degrees }) => {
    const play = `${degrees.toFixed(1)}° of free play at worst`;
    if (verdict === 'loose') return say`loose: ${play}; spins it by hand, rounds it under load`;
    return verdict === 'rounds' ? say`rounds the head off: ${play}` : say`${play}`;
  },
  'fit.goes-on': ({ of100 }) => say`goes on ${of100} of 100 such heads only`,
  'fit.does-not-go-on': 'does not go on',
  'fit.blade-wide': 'the blade is wider than the slot',
  'fit.blade-fills': 'blade fills the slot',
  'fit.blade-narrow': 'the blade is narrow for the slot',
  'fit.hook-reaches': 'hook reaches the notch',
  'fit.hook-differs': 'hook of another diameter',
  'fit.same-size': 'same size',
  'fit.spoke-differs': 'spoke key of another size',
  'fit.recess-differs': 'one size fits one recess',
  'fit.twelve-point-only': 'a 12-point head takes a 12-point tool only',
  'fit.drilled-bit': 'a drilled bit turns a plain recess too',
  'fit.ph-in-jis': 'a PH driver rides up in a Japanese cross and ruins it',
  'fit.jis-in-ph': 'a Japanese-cross driver sits shallow in PH: light screws only',
  'fit.other-form': 'another form of head',
  'fit.set-to-head': 'set to the head',
  'fit.outside-span': 'outside its span',
};

import type { MarkKind, Seeking } from '@necessaire/core';

/** What help on the way is called. */
export const HELP_WORDS: Readonly<Record<MarkKind, string>> = {
  fuel: 'Fuel',
  shop: 'Shop',
  workshop: 'Workshop',
  shelter: 'Shelter',
  'road-head': 'Road',
  signal: 'Signal',
};

/** How a search ended, in a sentence. */
export const END_WORDS: Readonly<Record<NonNullable<Seeking['end']>, string>> = {
  found: 'Most likely this:',
  open: 'Nothing that you have with you tells more: begin with the likeliest.',
  'nothing fits': 'Nothing known fits what you saw. Go back and look again, or choose the problem yourself.',
};

/** Words that lead to a search or a problem, as one types them with cold hands: each word has to be in it. */
export const matches = (typed: string, text: string): boolean => {
  const words = typed.toLowerCase().split(/\s+/u).filter(Boolean);
  return words.every((w) => text.toLowerCase().includes(w));
};

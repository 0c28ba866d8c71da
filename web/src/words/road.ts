import type { Happened, MarkKind, Review, Seeking } from '@necessaire/core';
import { counted } from '../ui/words';

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
  open: 'Nothing that you have with you tells more. Begin with the most likely one.',
  'nothing fits': 'Nothing known fits what you saw. Go back and look again, or choose the problem yourself.',
};

/** Words that lead to a search or a problem, as one types them with cold hands: each word has to be in it. */
export const matches = (typed: string, text: string): boolean => {
  const words = typed.toLowerCase().split(/\s+/u).filter(Boolean);
  return words.every((w) => text.toLowerCase().includes(w));
};

/** What a repair that was logged as done changed, in a sentence. */
export function fixedWords(
  name: string,
  ending: { used: readonly { name: string; units: number }[]; proven: readonly string[]; watch: unknown },
): string {
  const parts = [
    ending.used.length > 0 ? `${ending.used.map((u) => `${u.units} ${u.name}`).join(', ')} off the stock` : '',
    ending.proven.length > 0 ? `${counted(ending.proven.length, 'fastener')} proven` : '',
    ending.watch ? 'on the watch list' : '',
  ].filter(Boolean);
  return `${name} is in the log${parts.length > 0 ? `: ${parts.join('; ')}` : ''}.`;
}

/** How much of what was along was used, in a sentence. */
export function usedWords(r: Pick<Review, 'carried'>, mass: (grams: number) => string): string {
  const used = r.carried.filter((t) => t.used > 0);
  const sum = (list: Review['carried']) => list.reduce((s, t) => s + t.mass, 0);
  return used.length === 0
    ? `None of ${counted(r.carried.length, 'item')} was used.`
    : `${used.length} of ${counted(r.carried.length, 'item')} used: ${mass(sum(used))} of ${mass(sum(r.carried))}.`;
}

/** Trips in a row, as one says it. */
export const idleWords = (trips: number): string => `not used on ${counted(trips, 'trip')} in a row`;

/** What became of something, behind its name. */
export const HAPPENED_WORDS: Readonly<Record<Happened['what'], string>> = {
  used: 'used',
  missed: 'was missing',
  fall: 'logged',
};

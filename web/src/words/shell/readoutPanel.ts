import type { Phase } from '@necessaire/core';

/** What ReadoutPanel says. */
export const readout = 'Key figures';
export const all = 'all';
export const fewer = 'fewer';
export const asTypedNotAddedYet = 'as typed, not added yet';
export const working = 'Working…';
/** What is being worked out, by the part of the answer. */
export const WORKING_ON: Readonly<Record<Phase, string>> = {
  chains: 'Finding tools for each fastener…',
  odds: 'Working out what can go wrong…',
  kit: 'Choosing the kit…',
  stow: 'Packing it…',
  cures: 'Looking for what is missing…',
};
export const fromYourLastVisitChecking = 'From your last visit, checking…';

import type { Phase } from '@necessaire/core';

/** What is being worked out, by the part of the answer. */
export const WORKING_ON: Readonly<Record<Phase, string>> = {
  chains: 'Finding tools for each fastener…',
  odds: 'Working out what can go wrong…',
  kit: 'Choosing the kit…',
  stow: 'Packing it…',
  cures: 'Looking for what is missing…',
};

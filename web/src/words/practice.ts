import type { Measure } from '@necessaire/core';

/** What a kit is where it is made least in something. */
export const LESS: Readonly<Record<Measure, string>> = {
  mass: 'lighter',
  bulk: 'smaller',
  price: 'cheaper',
  blend: 'handier',
};

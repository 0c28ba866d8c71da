import type { Service } from '@necessaire/core';

type Line = [
  name: string,
  everyKm: number | null,
  everyDays: number | null,
  dust: number,
  lastKm: number,
  uses: string,
  quantity: number,
];

/** A made-up service book: each kind of work was last done on the same day. */
export const services = (id: () => string, lines: readonly Line[]): Service[] =>
  lines.map(([name, everyKm, everyDays, dust, lastKm, uses, quantity]) => ({
    id: id(),
    name,
    everyKm,
    everyDays,
    everyHours: null,
    dust,
    lastKm,
    lastHours: 0,
    lastDate: '2026-02-14',
    uses,
    quantity,
  }));

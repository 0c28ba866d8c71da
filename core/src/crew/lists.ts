import { writeCsv } from '../ground/csv/table.js';
import type { CrewAnswer } from './told.js';

/** One line of a packing list. */
export interface ListLine {
  who: string;
  what: string;
  count: number;
  /** Grams of all copies. */
  mass: number;
  /** Whose it is, in names; empty for one's own. */
  from: string;
  buy: number;
}

/**
 * What one carrier packs, the heaviest first.
 * @param carrier number of the carrier in the answer
 */
export function listOfCarrier(answer: CrewAnswer, carrier: number): ListLine[] {
  const who = answer.names[carrier]?.name ?? '';
  return (answer.carriers[carrier]?.tokens ?? []).map((t) => ({
    who,
    what: t.name,
    count: t.count,
    mass: t.mass,
    from: t.of
      .filter((o) => o.member !== carrier)
      .map((o) => answer.names[o.member]?.name ?? '')
      .join(', '),
    buy: t.buy,
  }));
}

/**
 * The lists of some carriers as CSV, one line a thing, ready to be ticked.
 * @param carriers numbers of the carriers in the answer
 */
export const crewCsv = (answer: CrewAnswer, carriers: readonly number[]): string =>
  writeCsv(
    ['who', 'what', 'number', 'grams', 'from', 'to buy', 'packed'],
    carriers
      .flatMap((r) => listOfCarrier(answer, r))
      .map((l) => [l.who, l.what, l.count, Math.round(l.mass * 10) / 10, l.from, l.buy, '']),
  );

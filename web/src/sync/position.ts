import { today } from '../ui/day';
import { positionText, type Spot } from '@necessaire/core';

/** The last place that the device told in this visit; null until it was allowed to. */
let last: Spot | null = null;
export const tellPlace = (at: Spot): void => {
  last = at;
};
/** Where it was, in words; empty where the device did not tell. */
export const whereNow = (): string => (last ? positionText(last).decimal : '');
/** Now and here, as something is written down. */
export const momentNow = () => ({
  nextId: () => crypto.randomUUID() as string,
  now: new Date().toISOString(),
  today: today(),
  place: whereNow(),
});
/** An event with its time and, where it is known, its place, as it is written into the log. */
export function whenAndWhere(what: string, now = new Date()): string {
  const time = `${String(now.getHours()).padStart(2, '0')}:${String(now.getMinutes()).padStart(2, '0')}`;
  return last ? `${time} ${what} at ${positionText(last).decimal}` : `${time} ${what}`;
}

import { tripDays } from '../../trip/index.js';
import type { CheckDone } from '../checkDone.js';
import type { ProveCase } from '../proveCase.js';
import { daysBetween } from '../proven.js';
import { watchState } from '../watchFor.js';
import type { Watch } from '../watch.js';
import { WALK, type Check } from './check.js';

/** Where a check stands. */
export type CheckStanding = 'overdue' | 'due' | 'found' | 'later' | 'on the ride' | 'done' | 'skipped';

/** A check with the day on which it is due, and how it was gone through last. */
export interface CheckDue extends Check {
  /** ISO date by which it is to be done; null where it hangs on the ride or no day of leaving is known. */
  due: string | null;
  /** km until it is due; null where distance does not count. */
  inKm: number | null;
  standing: CheckStanding;
  last: CheckDone | null;
}

/** Days before it is due on which a check is called due. Planning value. */
const SOON = 3;

/**
 * ISO date so many days after another.
 * @param date ISO, such as 2026-05-30
 * @param days whole; below nought it is before
 * @example dayAfter("2026-02-27", 2) // "2026-03-01"
 */
export function dayAfter(date: string, days: number): string {
  return new Date(Date.parse(date) + days * 86_400_000).toISOString().slice(0, 10);
}

const settles = (d: CheckDone): CheckStanding =>
  d.result === 'ok' ? 'done' : d.result === 'found' ? 'found' : 'skipped';
const byDay = (due: string, today: string): CheckStanding => {
  const left = daysBetween(today, due);
  return left < 0 ? 'overdue' : left <= SOON ? 'due' : 'later';
};

function standingOf(
  k: Check,
  last: CheckDone | null,
  c: ProveCase,
  watches: readonly Watch[],
): Omit<CheckDue, keyof Check> {
  const { trip, today } = c;
  const leaves = trip?.leaves ?? null;
  const said = (due: string | null, standing: CheckStanding, inKm: number | null = null) => ({
    due,
    standing,
    inKm,
    last,
  });
  const fresh = last !== null && k.goodFor !== null && daysBetween(last.on, today) <= k.goodFor;
  switch (k.when) {
    case 'before leaving': {
      const due = leaves === null ? null : dayAfter(leaves, -k.daysBefore);
      // Done for this trip, or so lately that it is still good on its last day.
      if (last && (last.tripId === (trip?.id ?? null) || (fresh && last.result === 'ok'))) {
        const ends = k.goodFor === null ? null : dayAfter(last.on.slice(0, 10), k.goodFor);
        return ends === null || ends >= today ? said(due, settles(last)) : said(ends, 'overdue');
      }
      return due === null ? said(null, 'later') : said(due, byDay(due, today));
    }
    case 'on a date':
      if (last && (k.date === null || last.on.slice(0, 10) >= dayAfter(k.date, -30)))
        return said(k.date, settles(last));
      return k.date === null ? said(null, 'later') : said(k.date, byDay(k.date, today));
    case 'each evening': {
      if (last && last.on.slice(0, 10) === today) return said(today, settles(last));
      const riding =
        leaves !== null && trip !== null && today >= leaves && daysBetween(leaves, today) < Math.max(1, tripDays(trip));
      if (last?.result === 'found') return said(today, 'found');
      return riding ? said(today, 'due') : said(null, 'on the ride');
    }
    case 'after some km': {
      const watch = watches.find((w) => k.key === `watch ${w.id}`);
      if (watch) {
        const { nextIn, overdue, ended } = watchState(watch, c.bike.odometer);
        return said(null, overdue || ended ? 'overdue' : 'on the ride', nextIn);
      }
      if (last && k.everyKm !== null) {
        const inKm = last.km + k.everyKm - c.bike.odometer;
        if (k.own) return said(null, inKm <= 0 ? 'overdue' : settles(last), inKm);
        return last.tripId === (trip?.id ?? null) ? said(null, settles(last)) : said(null, 'on the ride');
      }
      return said(null, 'on the ride');
    }
  }
}

/**
 * Where each check stands today, in the order in which one walks round the bike.
 * @param done all checks that were gone through, of any bike
 */
export function checksDue(
  list: readonly Check[],
  done: readonly CheckDone[],
  c: ProveCase,
  watches: readonly Watch[],
): CheckDue[] {
  const last = new Map<string, CheckDone>();
  for (const d of done) if (d.bikeId === c.bike.id && (last.get(d.check)?.on ?? '') <= d.on) last.set(d.check, d);
  return list
    .map((k) => ({ ...k, ...standingOf(k, last.get(k.key) ?? null, c, watches) }))
    .sort((a, b) => WALK.indexOf(a.where) - WALK.indexOf(b.where) || (a.key < b.key ? -1 : 1));
}

/** Troubles whose spare or tool was found bad, or is overdue a look: what was proven of them does not count meanwhile. */
export const heldUp = (due: readonly CheckDue[]): ReadonlySet<string> =>
  new Set(
    due.filter((d) => d.ofKit && (d.standing === 'overdue' || d.standing === 'found')).flatMap((d) => d.troubles),
  );

/** What a pass goes through: an evening's, or all that is to be done before leaving, in the order of the walk. */
export const passOf = (due: readonly CheckDue[], what: 'evening' | 'before'): CheckDue[] =>
  due.filter((d) =>
    what === 'evening'
      ? d.when === 'each evening' || (d.when === 'after some km' && d.standing === 'overdue')
      : d.when !== 'each evening' && d.when !== 'after some km' && d.standing !== 'done' && d.standing !== 'skipped',
  );

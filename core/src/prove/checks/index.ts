import type { Supply } from '../../repairs/supplies/index.js';
import type { Loan } from '../../toolbox/loan.js';
import type { Gauge } from '../../trip/air/index.js';
import type { Reminder } from '../checkDone.js';
import type { ProveCase } from '../proveCase.js';
import type { Watch } from '../watch.js';
import { check, type Check } from './check.js';
import { checksOfBike } from './ofBike.js';
import { checksOfKit, checksOfTrip } from './ofKit.js';

export { WALK, type Check, type WalkPlace } from './check.js';
export * from './due.js';
export * from './facts.js';
export { CHECK_LOOKS, type LookKey } from './looks.js';

/** What checks are made from beside the kit. */
export interface CheckRows {
  supplies: readonly Supply[];
  loans: readonly Loan[];
  gauge: Gauge | null;
  watches: readonly Watch[];
  reminders: readonly Reminder[];
  /** How many ride along. */
  companions: number;
}

const ownOf = (r: Reminder): Check =>
  check({
    key: r.id,
    about: { code: 'check.own', name: r.name, how: r.how },
    when: r.when,
    everyKm: r.everyKm,
    date: r.date,
    where: r.station ?? 'table',
    own: true,
  });

/** All that is to be looked at on this bike, with this kit, for this trip. */
export const checksFor = (c: ProveCase, rows: CheckRows): Check[] => [
  ...checksOfBike(c, rows.watches),
  ...checksOfKit(c, rows),
  ...checksOfTrip(c, rows.companions),
  ...rows.reminders.filter((r) => r.bikeId === c.bike.id).map(ownOf),
];

import { isCritical, STATIONS, type Fastener } from '../../bike/index.js';
import { hasTraits } from '../../repairs/index.js';
import { dueOn } from '../../trip/services/index.js';
import { watchState } from '../watchFor.js';
import type { Watch } from '../watch.js';
import type { ProveCase } from '../proveCase.js';
import { check, guarding, type Check } from './check.js';
import { CHECK_LOOKS } from './looks.js';

/** Sealant is looked at again after so many days. Typical value: the maker’s paper comes first. */
const SEALANT_DAYS = 180;

/** Torque marks, station by station: what shakes loose there, and what lives hang on. */
function marks(c: ProveCase): Check[] {
  const watched = (f: Fastener) => f.leftOut === null && (f.shakesLoose || isCritical(f));
  const all = c.fasteners.filter(watched);
  const { guards, troubles } = guarding(c, ['fastener-lost', 'fastener-loose', 'critical-lost']);
  return STATIONS.flatMap((station) => {
    const here = all.filter((f) => f.station === station);
    if (here.length === 0) return [];
    return [
      check({
        key: `marks ${station}`,
        when: 'each evening',
        where: station,
        about: {
          code: 'check.marks',
          station,
          names: here.map((f) => f.name),
          critical: here.some(isCritical),
        },
        guards: (guards * here.length) / all.length,
        troubles,
      }),
    ];
  });
}

/** Work that falls due before or on the trip. */
function services(c: ProveCase): Check[] {
  const trip = c.trip;
  if (!trip) return [];
  return dueOn(c.bike, trip, trip.leaves ?? c.today)
    .filter((d) => d.times > 0)
    .map((d) => {
      const mine = c.exposures.filter((e) =>
        e.trouble.service?.some((w) => `${d.service.name} ${d.service.uses}`.toLowerCase().includes(w)),
      );
      return check({
        key: `service ${d.service.id}`,
        when: 'before leaving',
        daysBefore: 7,
        where: 'engine',
        about: { code: 'check.service', name: d.service.name, overdue: d.overdue, due: d.formula },
        guards: mine.reduce((s, e) => s + e.atStake, 0),
        troubles: mine.map((e) => e.trouble.id),
      });
    });
}

/** What is watched since a repair. */
function watched(c: ProveCase, watches: readonly Watch[]): Check[] {
  return watches
    .filter((w) => w.bikeId === c.bike.id && w.closed === null)
    .map((w) => {
      const state = watchState(w, c.bike.odometer);
      return check({
        key: `watch ${w.id}`,
        when: 'after some km',
        everyKm: w.everyKm,
        where: w.station ?? 'bags',
        about: {
          code: 'check.watch',
          name: w.name,
          why: w.why,
          everyKm: w.everyKm,
          lastsKm: w.lastsKm,
          lastsKmh: w.lastsKmh,
          ended: state.ended,
          caution: w.caution,
        },
      });
    });
}

/** What was done before leaving and wears off. */
function prevented(c: ProveCase): Check[] {
  const sealed = c.bike.prevention.some((p) => p.id === 'sealant' && p.state === 'done');
  return sealed && c.bike.tyres === 'tubeless'
    ? [
        check({
          key: 'sealant',
          when: 'before leaving',
          daysBefore: 7,
          goodFor: SEALANT_DAYS,
          where: 'rear-wheel',
          about: { code: 'check.sealant' },
          ...guarding(c, ['puncture-tubeless', 'slow-leak']),
        }),
      ]
    : [];
}

/** Checks of the bike itself. */
export function checksOfBike(c: ProveCase, watches: readonly Watch[]): Check[] {
  const usual = CHECK_LOOKS.filter((l) => hasTraits('only' in l ? l.only : {}, c.bike)).map(
    ({ key, when, where, against }) =>
      check({ key, when, where, daysBefore: 7, about: { code: 'check.look', look: key }, ...guarding(c, against) }),
  );
  return [...usual, ...marks(c), ...prevented(c), ...services(c), ...watched(c, watches)];
}

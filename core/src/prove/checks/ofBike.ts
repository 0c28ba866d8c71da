import { isCritical, STATIONS, type Fastener } from '../../bike/index.js';
import { hasTraits, type BikeTraits } from '../../repairs/index.js';
import { dueOn } from '../../trip/services/index.js';
import { watchState } from '../watchFor.js';
import type { Watch } from '../watch.js';
import type { ProveCase } from '../proveCase.js';
import { check, guarding, type Check } from './check.js';

/** What is looked at on any bike of its kind: when, where, and which troubles it is against. How it is done is told by its key. */
interface Look {
  key: string;
  when: 'before leaving' | 'each evening';
  where: Check['where'];
  against: readonly string[];
  only?: BikeTraits;
}
export const CHECK_LOOKS = [
  {
    key: 'tyres',
    when: 'each evening',
    where: 'front-wheel',
    against: ['puncture-tube', 'puncture-tubeless', 'slow-leak'],
  },
  {
    key: 'spokes',
    when: 'each evening',
    where: 'front-wheel',
    against: ['spokes'],
    only: { wheels: 'spoked' },
  },
  {
    key: 'front-brake',
    when: 'each evening',
    where: 'front-wheel',
    against: ['pads', 'brake-soft', 'brake-line', 'service-pads'],
  },
  {
    key: 'bearings',
    when: 'before leaving',
    where: 'front-end',
    against: ['wheel-bearing'],
  },
  {
    key: 'levers',
    when: 'before leaving',
    where: 'cockpit',
    against: ['clutch-lever', 'brake-lever', 'control-cable', 'throttle-cable'],
  },
  {
    key: 'throttle',
    when: 'before leaving',
    where: 'cockpit',
    against: ['throttle-cable'],
  },
  {
    key: 'lights',
    when: 'each evening',
    where: 'electrics',
    against: ['bulb', 'bulb-tail', 'fuse'],
  },
  {
    key: 'battery',
    when: 'before leaving',
    where: 'electrics',
    against: ['battery', 'battery-terminal'],
  },
  {
    key: 'coolant',
    when: 'before leaving',
    where: 'engine',
    against: ['coolant-hose', 'overheating', 'radiator'],
    only: { cooling: 'liquid' },
  },
  {
    key: 'oil',
    when: 'each evening',
    where: 'engine',
    against: ['oil-leak', 'case'],
  },
  {
    key: 'air-filter',
    when: 'before leaving',
    where: 'tank-seat',
    against: ['air-filter'],
  },
  {
    key: 'chain',
    when: 'each evening',
    where: 'rear-wheel',
    against: ['chain', 'chain-off', 'chain-slack', 'sprocket-worn'],
    only: { drive: 'chain' },
  },
  {
    key: 'belt',
    when: 'before leaving',
    where: 'rear-wheel',
    against: ['belt'],
    only: { drive: 'belt' },
  },
  {
    key: 'shaft',
    when: 'before leaving',
    where: 'rear-wheel',
    against: ['shaft-leak'],
    only: { drive: 'shaft' },
  },
] as const satisfies readonly Look[];
export type LookKey = (typeof CHECK_LOOKS)[number]['key'];

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

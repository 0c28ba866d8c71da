import { CRITICAL_ROLES, type Bike, type Fastener, type Station } from '../bike/index.js';
import { hasTraits, needsOf, type Trouble, type Way } from '../repairs/index.js';
import { BY_HAND } from '../repairs/words.js';
import type { Watch } from './watch.js';

/** After work on what lives hang on it is looked at again after so many km, and then each time after as many. Planning value. */
export const AFTER_WORK_KM = 50;
/** What holds by rubber, tie or putty is looked at more often. Planning value. */
export const AFTER_MAKESHIFT_KM = 30;

/** What is used up by a repair that does not hold for good. */
const MAKESHIFT: ReadonlySet<string> = new Set([
  'plug string',
  'pin plug',
  'patch',
  'tyre boot',
  'cable tie',
  'steel tie',
  'wire',
  'metal putty',
  'cloth tape',
  'self-fusing tape',
  'strap',
  'hose splice',
  'alloy sheet',
  'stop-leak powder',
]);
/** Where a repair without heads sits on the bike, by its subject. */
const STATION_OF: Partial<Record<Trouble['subject'], Station>> = {
  wheels: 'rear-wheel',
  drive: 'rear-wheel',
  controls: 'cockpit',
  electrics: 'electrics',
  'engine and fuel': 'engine',
  brakes: 'front-wheel',
  luggage: 'racks',
};

/** Work after which something is looked at again, or null where nothing is. */
export function watchFor(
  bike: Bike,
  trouble: Pick<Trouble, 'name' | 'subject'>,
  way: Pick<Way, 'name' | 'out' | 'back' | 'lasts' | 'ruin' | 'caution'>,
  given: Pick<Watch, 'id' | 'from' | 'since'> & { fasteners: readonly Fastener[]; turned: readonly string[] },
): Watch | null {
  const needs = needsOf(way, bike);
  const steps = [...way.out, ...way.back].filter((s) => hasTraits(s.only, bike));
  const makeshift = needs.supplies.filter((s) => MAKESHIFT.has(s.kind)).map((s) => s.kind);
  const heads = given.fasteners.filter((f) => given.turned.includes(f.id));
  const critical = heads.filter((f) => f.role !== null && CRITICAL_ROLES.includes(f.role));
  const chain =
    trouble.subject === 'drive' &&
    steps.some((s) => s.needs.some((n) => n.by === 'function' && n.does === 'open chain'));
  if (makeshift.length === 0 && critical.length === 0 && way.lasts === null && !chain && trouble.subject !== 'brakes')
    return null;
  const names = [...new Set(critical.map((f) => f.name))];
  const why =
    makeshift.length > 0
      ? `${way.name}: held by ${[...new Set(makeshift)].join(', ')}${way.ruin ? `; what ends it: ${way.ruin}` : ''}`
      : names.length > 0
        ? `${way.name}: ${names.join(', ')} turned`
        : `${way.name}${way.ruin ? `; what ends it: ${way.ruin}` : ''}`;
  const station = critical[0]?.station ?? heads[0]?.station ?? STATION_OF[trouble.subject] ?? null;
  return {
    id: given.id,
    bikeId: bike.id,
    name: trouble.name.slice(0, 120),
    why: why.slice(0, 300),
    caution: [...new Set([...(way.caution ? [way.caution] : []), ...(critical.length > 0 ? [BY_HAND] : [])])]
      .join(' ')
      .slice(0, 600),
    station,
    from: given.from,
    since: given.since,
    atKm: bike.odometer,
    everyKm: makeshift.length > 0 ? AFTER_MAKESHIFT_KM : AFTER_WORK_KM,
    lastsKm: way.lasts?.km ?? null,
    lastsKmh: way.lasts?.kmh ?? null,
    looked: [],
    closed: null,
  };
}

/** After a fall the bike is looked at again, whatever it shows at first. */
export const watchAfterFall = (bike: Pick<Bike, 'id' | 'odometer'>, given: Pick<Watch, 'id' | 'since'>): Watch => ({
  ...given,
  bikeId: bike.id,
  name: 'After a fall',
  why: 'Bars, levers, pegs, wheels and axles may be bent, and cables and hoses trapped',
  caution: 'Try both brakes, turn the bars from stop to stop and spin both wheels before you ride on.',
  station: 'cockpit',
  from: 'road',
  atKm: bike.odometer,
  everyKm: AFTER_WORK_KM,
  lastsKm: null,
  lastsKmh: null,
  looked: [],
  closed: null,
});

/**
 * Where a watched thing stands at an odometer: km until the next look, and until what it is good for ends. Below nought it is overdue.
 * @param odometer km
 */
export function watchState(
  w: Pick<Watch, 'atKm' | 'everyKm' | 'looked' | 'lastsKm' | 'closed'>,
  odometer: number,
): { nextIn: number; endsIn: number | null; overdue: boolean; ended: boolean } {
  const last = w.looked.reduce((m, l) => Math.max(m, l.km), w.atKm);
  const nextIn = last + w.everyKm - odometer;
  const endsIn = w.lastsKm === null ? null : w.atKm + w.lastsKm - odometer;
  const open = w.closed === null;
  return { nextIn, endsIn, overdue: open && nextIn <= 0, ended: open && endsIn !== null && endsIn <= 0 };
}

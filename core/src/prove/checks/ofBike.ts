import { isCritical, STATION_NAMES, STATIONS, type Fastener } from '../../bike/index.js';
import { measure, say, type Saying } from '../../ground/units/index.js';
import { BRAKES, COOLANT, LIFT } from '../../repairs/words.js';
import { hasTraits, type BikeTraits } from '../../repairs/index.js';
import { dueOn } from '../../trip/services/index.js';
import { watchState } from '../watchFor.js';
import type { Watch } from '../watch.js';
import type { ProveCase } from '../proveCase.js';
import { check, guarding, type Check } from './check.js';

/** What is looked at on any bike of its kind: when, where, how, and which troubles it is against. */
interface Look {
  key: string;
  name: string;
  when: 'before leaving' | 'each evening';
  where: Check['where'];
  how: string;
  why: string;
  against: readonly string[];
  only?: BikeTraits;
  caution?: string;
}
export const LOOKS: readonly Look[] = [
  {
    key: 'tyres',
    name: 'Tyres',
    when: 'each evening',
    where: 'front-wheel',
    how: 'Press both with your thumb, turn them and look for cuts, thorns and nails; measure the pressure cold in the morning.',
    why: 'A slow leak that is found in the evening is repaired at the table.',
    against: ['puncture-tube', 'puncture-tubeless', 'slow-leak'],
  },
  {
    key: 'spokes',
    name: 'Spokes',
    when: 'each evening',
    where: 'front-wheel',
    how: 'Run a spanner along the spokes of both wheels: a loose one sounds dull.',
    why: 'One loose spoke loosens its neighbours.',
    against: ['spokes'],
    only: { wheels: 'spoked' },
  },
  {
    key: 'front-brake',
    name: 'Brakes',
    when: 'each evening',
    where: 'front-wheel',
    how: 'Squeeze lever and pedal: they must be firm. Look for wet spots at hoses and callipers, and at the pads’ thickness.',
    why: 'A brake that fades does so downhill.',
    against: ['pads', 'brake-soft', 'brake-line', 'service-pads'],
    caution: BRAKES,
  },
  {
    key: 'bearings',
    name: 'Wheel and steering bearings',
    when: 'before leaving',
    where: 'front-end',
    how: 'Raise each wheel and pull at it by hand, top and bottom; turn the bars from stop to stop.',
    why: 'A worn bearing is bought at home, not on the way.',
    against: ['wheel-bearing'],
    caution: LIFT,
  },
  {
    key: 'levers',
    name: 'Levers and cables',
    when: 'before leaving',
    where: 'cockpit',
    how: 'Check the free play. Loosen the lever clamps until the levers just turn in a fall, and pull each to the stop: they must hold.',
    why: 'A lever that turns does not break; a frayed cable breaks at the nipple.',
    against: ['clutch-lever', 'brake-lever', 'control-cable', 'throttle-cable'],
    caution: 'A lever clamp that is left loose must still hold a full pull: try it before you ride.',
  },
  {
    key: 'throttle',
    name: 'Throttle',
    when: 'before leaving',
    where: 'cockpit',
    how: 'Open it and let go, bars left, middle and right: it must snap shut.',
    why: 'A throttle that stays open cannot be ridden.',
    against: ['throttle-cable'],
  },
  {
    key: 'lights',
    name: 'Lights',
    when: 'each evening',
    where: 'electrics',
    how: 'Ignition on: low and high beam, tail, brake by lever and by pedal, indicators.',
    why: 'A dead lamp ends the ride at dusk.',
    against: ['bulb', 'bulb-tail', 'fuse'],
  },
  {
    key: 'battery',
    name: 'Battery',
    when: 'before leaving',
    where: 'electrics',
    how: 'Measure it after a night’s rest: at 12.6 V it is full, under 12.4 V it is charged or tested. Try both terminals by hand.',
    why: 'A tired battery dies in the first cold night.',
    against: ['battery', 'battery-terminal'],
  },
  {
    key: 'coolant',
    name: 'Coolant',
    when: 'before leaving',
    where: 'engine',
    how: 'Engine cold: look at its level, at the hoses and for mud between the fins.',
    why: 'A hose that weeps bursts on a climb.',
    against: ['coolant-hose', 'overheating', 'radiator'],
    only: { cooling: 'liquid' },
    caution: COOLANT,
  },
  {
    key: 'oil',
    name: 'Engine oil',
    when: 'each evening',
    where: 'engine',
    how: 'Upright, a few minutes after it stopped: the level stands between the marks. Look for drips below.',
    why: 'An engine runs dry without a sound.',
    against: ['oil-leak', 'case'],
  },
  {
    key: 'air-filter',
    name: 'Air filter',
    when: 'before leaving',
    where: 'tank-seat',
    how: 'Take its cover off: clean, oiled, and its edge sealed all round.',
    why: 'Dust past the filter wears an engine out in days.',
    against: ['air-filter'],
  },
  {
    key: 'chain',
    name: 'Chain',
    when: 'each evening',
    where: 'rear-wheel',
    how: 'Measure the slack where it is tightest, rider’s weight on; oil it warm. Look at its link and at the sprockets’ teeth.',
    why: 'A slack chain comes off and breaks the case.',
    against: ['chain', 'chain-off', 'chain-slack', 'sprocket-worn'],
    only: { drive: 'chain' },
  },
  {
    key: 'belt',
    name: 'Belt',
    when: 'before leaving',
    where: 'rear-wheel',
    how: 'Look for cracks and stones between its teeth; press it to the manual’s slack.',
    why: 'A belt with a stone in it tears.',
    against: ['belt'],
    only: { drive: 'belt' },
  },
  {
    key: 'shaft',
    name: 'Final drive',
    when: 'before leaving',
    where: 'rear-wheel',
    how: 'Look for oil at its seals, and turn the wheel: it must run without a grating sound.',
    why: 'A final drive that leaks runs dry.',
    against: ['shaft-leak'],
    only: { drive: 'shaft' },
  },
];

const list = (names: readonly string[], most = 5): string => {
  const rest = names.length - most;
  return rest > 0 ? `${names.slice(0, most).join(', ')} and ${rest} more` : names.join(', ');
};

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
        name: `Torque marks: ${STATION_NAMES[station]}`,
        when: 'each evening',
        where: station,
        how: say`Look at the paint mark on ${list(here.map((f) => f.name))}. Where a mark is broken, tighten it to the manual’s torque and paint a new one.`,
        why: 'What shakes loose here is found before it is lost.',
        guards: (guards * here.length) / all.length,
        troubles,
        caution: here.some(isCritical) ? BRAKES : '',
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
        name: d.service.name,
        when: 'before leaving',
        daysBefore: 7,
        where: 'engine',
        how: d.overdue
          ? say`It is overdue: do it before you leave, and write it down in Trip. ${d.formula}`
          : say`It falls due on the trip: do it before you leave, or take along what it uses. ${d.formula}`,
        why: 'Work that is done at home needs no tools on the way.',
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
      const limits: Saying =
        w.lastsKm === null
          ? say``
          : w.lastsKmh === null
            ? say` Good for ${measure('distance', w.lastsKm)} in all.`
            : say` Good for ${measure('distance', w.lastsKm)} at no more than ${measure('speed', w.lastsKmh)}.`;
      const state = watchState(w, c.bike.odometer);
      return check({
        key: `watch ${w.id}`,
        name: `Look again: ${w.name}`,
        when: 'after some km',
        everyKm: w.everyKm,
        where: w.station ?? 'bags',
        how: say`${w.why}. Look at it every ${measure('distance', w.everyKm)}.${limits}${state.ended ? ' What it is good for has ended: have it replaced before you ride on.' : ''}`,
        why: 'It holds until a workshop has seen to it.',
        caution: w.caution,
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
          name: 'Sealant still wet',
          when: 'before leaving',
          daysBefore: 7,
          goodFor: SEALANT_DAYS,
          where: 'rear-wheel',
          how: 'Turn the valve to the bottom, let some air out through a wire: it comes out wet. Top it up by the maker’s figure where it does not.',
          why: 'It dries within a year and seals nothing then.',
          caution: 'A valve core flies out under pressure: let the air out first, and keep your face away from it.',
          ...guarding(c, ['puncture-tubeless', 'slow-leak']),
        }),
      ]
    : [];
}

/** Checks of the bike itself. */
export function checksOfBike(c: ProveCase, watches: readonly Watch[]): Check[] {
  const usual = LOOKS.filter((l) => hasTraits(l.only ?? {}, c.bike)).map(({ against, only: _only, ...l }) =>
    check({ ...l, daysBefore: 7, ...guarding(c, against) }),
  );
  return [...usual, ...marks(c), ...prevented(c), ...services(c), ...watched(c, watches)];
}

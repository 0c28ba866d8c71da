import type { Head } from '../ground/sizes/index.js';
import type { Role } from './fastener.js';
import type { Station } from './stations.js';

/** Words that name a job, where at a station they do so only there. The first that is found counts, so the closer ones come first. */
const WORDS: readonly { role: Role; re: RegExp; at?: readonly Station[] }[] = [
  { role: 'front axle pinch', re: /\b(?:axle|spindle) (?:pinch|clamp)|^pinch(?: bolt)?s?$/, at: ['front-wheel'] },
  { role: 'front axle pinch', re: /\bfront (?:axle|spindle) (?:pinch|clamp)/ },
  { role: 'front axle', re: /\bfront (?:axle|spindle|wheel (?:nut|bolt))/ },
  { role: 'rear axle', re: /\b(?:rear|back) (?:axle|spindle|wheel (?:nut|bolt))/ },
  { role: 'front axle', re: /\b(?:axle|spindle)\b/, at: ['front-wheel'] },
  { role: 'rear axle', re: /\b(?:axle|spindle|wheel bolt)\b/, at: ['rear-wheel'] },
  { role: 'chain adjuster', re: /\b(?:chain|axle|belt) (?:adjuster|tensioner)|^adjuster/ },
  { role: 'clutch lever', re: /\bclutch lever/ },
  { role: 'brake lever', re: /\bbrake lever/ },
  { role: 'brake pads', re: /\bpad (?:pin|bolt|screw)|\bbrake pads?\b/ },
  { role: 'brake union', re: /\bbanjo|\bbrake union|\bbrake (?:hose|line) (?:bolt|union)/ },
  { role: 'battery', re: /\bbattery (?:terminal|pole|clamp|lead)|^battery$|^terminal/ },
  { role: 'fuse box', re: /\bfuse/ },
  { role: 'seat', re: /\bseat\b(?! post)/ },
  { role: 'tank', re: /\b(?:fuel |petrol )?tank (?:bolt|mount|fixing|screw)|^tank$/ },
  { role: 'plug', re: /\bspark ?plug/ },
  { role: 'sprocket', re: /\bsprocket (?:bolt|nut)|^(?:rear )?sprocket$/ },
  { role: 'gear pedal', re: /\b(?:gear|shift)(?:er)? (?:pedal|lever|pinch)/ },
  { role: 'radiator guard', re: /\bradiator guard/ },
  { role: 'bars', re: /(?<!crash )\b(?:handle)?bar clamp|\briser\b|^(?:handle)?bars$/ },
  { role: 'mirror', re: /\bmirror/ },
  { role: 'exhaust fixing', re: /\b(?:silencer|muffler|exhaust) (?:hanger|mount|bolt|fixing|bracket)/ },
  { role: 'luggage rack', re: /\brack\b/ },
  { role: 'spoke', re: /\bspokes?\b/ },
  { role: 'valve core', re: /\bvalve core/ },
  { role: 'steering', re: /\bsteering (?:stem|head|nut)|\bstem nut|\btop nut/ },
  { role: 'foot peg', re: /\b(?:foot ?)?pegs?\b/ },
  { role: 'subframe', re: /\bsub ?frame/ },
  { role: 'hose clamp', re: /\b(?:hose|coolant|fuel line) clamp|\bhose clip/ },
  { role: 'air filter', re: /\bair ?(?:filter|box|cleaner)/ },
  { role: 'oil filter', re: /\boil filter|\bfilter cover/ },
  { role: 'oil drain', re: /\b(?:oil|sump) (?:drain|plug)|^drain(?: plug)?$/ },
  { role: 'rim lock', re: /\b(?:rim|bead) ?lock/ },
  { role: 'brake stay', re: /\bbrake (?:stay|torque arm)|\btorque arm|\b(?:brake|backing) plate/ },
  { role: 'kick lever', re: /\bkick(?:[- ]?start(?:er)?)? lever|\bkick ?starter\b/ },
  { role: 'carburettor bowl', re: /\b(?:float|carburettor|carb) ?bowl/ },
  { role: 'final drive', re: /\bfinal drive/ },
];

/** The job that a head alone has: a spoke nipple is a spoke, a valve core a valve core. */
const BY_HEAD: Readonly<Partial<Record<Head['form'], Role>>> = { spoke: 'spoke', valve: 'valve core', plug: 'plug' };

/**
 * The job that a fastener's name says it has, by a small vocabulary; its head where that has one job only; null where neither says.
 * @param station where it sits: an axle nut at the rear wheel is the rear axle's
 */
export function roleOf(name: string, station: Station, head?: Head): Role | null {
  const text = name.toLowerCase().trim();
  // A cover, guard or sensor beside a thing is not the thing.
  const beside = /\b(?:cover|sensor|shim|spacer|cap|decal|lid)\b/.test(text);
  const said = WORDS.find(
    ({ role, re, at }) =>
      (at?.includes(station) ?? true) && re.test(text) && (!beside || role === 'oil filter' || role === 'fuse box'),
  );
  return said?.role ?? (head ? (BY_HEAD[head.form] ?? null) : null);
}

import type { Fastener, Role } from './fastener.js';

/** Jobs on which lives hang: brake, axle, wheel, steering, drive. */
export const CRITICAL_ROLES: readonly Role[] = [
  'front axle',
  'front axle pinch',
  'rear axle',
  'chain adjuster',
  'brake lever',
  'brake pads',
  'brake union',
  'steering',
  'bars',
  'sprocket',
  'final drive',
];
/** Names of what else carries them. A cover, guard, sensor or hose beside such a part does not. */
const NAMED =
  /\b(?:brake|cal+iper|disc|axle|spindle|wheel|swing ?arm|link(?:age)?|pivot|fork|triple|yoke|steering|handle ?bar|shock|engine (?:mount|hanger|bolt)|sub ?frame)\b/;
const BESIDE =
  /\b(?:cover|guard|sensor|shield|cap|decal|lid|light|switch|mud|fender|hose clip|line clip|valve|spoke)\b/;

/**
 * Whether a fastener is safety-critical: where it fails, nothing improvised holds and the ride ends. Known by its job, else by its name; a rider
 * says so by giving it such a job.
 */
export const isCritical = ({ role, name }: Pick<Fastener, 'role' | 'name'>): boolean =>
  role ? CRITICAL_ROLES.includes(role) : NAMED.test(name.toLowerCase()) && !BESIDE.test(name.toLowerCase());

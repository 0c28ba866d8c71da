import type { Role } from '../bike/index.js';
import type { Way, WayStep } from './way.js';

/** A wheel out of which a repair is done. */
export const WHEELS = ['front', 'rear'] as const;
export type Wheel = (typeof WHEELS)[number];

/** Heads that belong to one wheel alone. */
const ROLES_OF: Readonly<Record<Wheel, readonly Role[]>> = {
  front: ['front axle', 'front axle pinch'],
  rear: ['rear axle', 'chain adjuster'],
};
const NAMED: Readonly<Record<Wheel, string>> = { front: 'Front wheel: ', rear: 'Rear wheel: ' };
const other = (wheel: Wheel): Wheel => (wheel === 'front' ? 'rear' : 'front');

/** Whether a way is written for either wheel: one of its steps turns both axles, whichever it is. */
export const isEither = (way: Pick<Way, 'out' | 'back'>): boolean =>
  [...way.out, ...way.back].some((s) =>
    WHEELS.every((w) => s.needs.some((n) => n.by === 'head' && n.role === ROLES_OF[w][0])),
  );

/** A step of such a way as it is done on one wheel; null where it is the other's. */
export function onWheel(step: WayStep, wheel: Wheel): WayStep | null {
  const off = other(wheel);
  // A drum's step is its own wheel's.
  if (step.text.startsWith(NAMED[off]) || (off === 'front' ? step.only.brakeFront : step.only.brakeRear) === 'drum')
    return null;
  const text = step.text.startsWith(NAMED[wheel]) ? step.text.slice(NAMED[wheel].length) : step.text;
  return {
    ...step,
    text: text.charAt(0).toUpperCase() + text.slice(1),
    needs: step.needs.filter((n) => n.by !== 'head' || !ROLES_OF[off].includes(n.role)),
  };
}

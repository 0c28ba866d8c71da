import { measure, say, type Saying } from '../ground/units/index.js';
import type { Leg, Trip } from './trip.js';

export interface Stranded {
  raise: number;
  arrive: number;
  transport: number;
  total: number;
  /** The sum in words, for whoever asks where the figure comes from. */
  formula: Saying;
}

const h = (value: number) => measure('hours', value);
/** A tenth of a km counts near the road and nowhere else. */
const km = (value: number) => measure('distance', value, value < 10 && value % 1 > 0.05 ? 1 : 0);
const speed = (value: number) => measure('speed', value, value % 1 === 0 ? 0 : 1);

/**
 * Hours lost at a leg's worst point without a mend: time to raise help + time for it to arrive + transport (docs/model.md, section 5).
 * With signal a call; else the shorter of walking and a companion riding to signal or people. A companion shortens only that term.
 */
export function strandedHours(
  leg: Pick<Leg, 'helpKm' | 'signal' | 'workshopKm'>,
  trip: Pick<Trip, 'companions' | 'recovery' | 'callOut' | 'coverKm' | 'speeds'>,
): Stranded {
  const s = trip.speeds;
  const walk = leg.helpKm / s.walking;
  const ride = trip.companions > 0 ? leg.helpKm / s.companionRiding : Infinity;
  const raise = leg.signal ? s.callWithSignal : Math.min(walk, ride);
  const how = leg.signal
    ? say`call with signal`
    : ride < walk
      ? say`companion rides ${km(leg.helpKm)} at ${speed(s.companionRiding)}`
      : say`walk ${km(leg.helpKm)} at ${speed(s.walking)}`;
  // A service stops at the limit of its cover; a friend does not.
  const covered = trip.recovery !== 'service' || trip.coverKm === null || leg.workshopKm <= trip.coverKm;
  if (trip.recovery === 'nobody' || !covered) {
    const towed = trip.companions > 0;
    const arrive = towed ? 0 : s.hitchWait;
    const transport = leg.workshopKm / (towed ? s.towing : s.hitching);
    return {
      raise,
      arrive,
      transport,
      total: raise + arrive + transport,
      formula: say`${h(raise)} ${how} + ${h(arrive)} wait${covered ? '' : ' (beyond the cover)'} + ${km(leg.workshopKm)} ${towed ? 'on tow' : 'hitching'} at ${speed(towed ? s.towing : s.hitching)}`,
    };
  }
  const arrive = trip.callOut + leg.workshopKm / s.recoveryTruck;
  const transport = leg.workshopKm / s.recoveryTruck;
  return {
    raise,
    arrive,
    transport,
    total: raise + arrive + transport,
    formula: say`${h(raise)} ${how} + ${h(arrive)} until the ${trip.recovery} is there + ${h(transport)} back over ${km(leg.workshopKm)} at ${speed(s.recoveryTruck)}`,
  };
}

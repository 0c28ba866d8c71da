import type { Leg, Trip } from './trip.js';

export interface Stranded {
  raise: number;
  arrive: number;
  transport: number;
  total: number;
  /** The sum in words, for whoever asks where the figure comes from. */
  formula: string;
}

const h = (value: number) => value.toFixed(1);
const d = (value: number) => String(Math.round(value * 10) / 10);

/**
 * Hours lost at a leg's worst point without a mend: time to raise help + time for it to arrive + transport (reference section 5).
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
    ? 'call with signal'
    : ride < walk
      ? `companion rides ${d(leg.helpKm)} km at ${s.companionRiding} km/h`
      : `walk ${d(leg.helpKm)} km at ${s.walking} km/h`;
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
      formula: `${h(raise)} h ${how} + ${h(arrive)} h wait${covered ? '' : ' (beyond the cover)'} + ${d(leg.workshopKm)} km ${towed ? `on tow at ${s.towing}` : `hitching at ${s.hitching}`} km/h`,
    };
  }
  const arrive = trip.callOut + leg.workshopKm / s.recoveryTruck;
  const transport = leg.workshopKm / s.recoveryTruck;
  return {
    raise,
    arrive,
    transport,
    total: raise + arrive + transport,
    formula: `${h(raise)} h ${how} + ${h(arrive)} h until the ${trip.recovery} is there + ${h(transport)} h back over ${d(leg.workshopKm)} km at ${s.recoveryTruck} km/h`,
  };
}

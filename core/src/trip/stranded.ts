import type { Leg, Trip } from './trip.js';

/** Planning values behind the hours stranded; speeds in km/h. */
export const STRANDED = {
  callWithSignal: 0.3,
  walking: 4,
  companionRiding: 30,
  recoveryTruck: 50,
  towing: 25,
  hitchWait: 2,
  hitching: 40,
} as const;

export interface Stranded {
  raise: number;
  arrive: number;
  transport: number;
  total: number;
  /** The sum in words, for whoever asks where the figure comes from. */
  formula: string;
}

const h = (value: number) => value.toFixed(1);

/**
 * Hours lost at a leg's worst point without a mend: time to raise help + time for it to arrive + transport (reference section 5).
 * With signal a call; else the shorter of walking and a companion riding to signal or people. A companion shortens only that term.
 */
export function strandedHours(leg: Leg, trip: Trip): Stranded {
  const s = STRANDED;
  const walk = leg.helpKm / s.walking;
  const ride = trip.companions > 0 ? leg.helpKm / s.companionRiding : Infinity;
  const raise = leg.signal ? s.callWithSignal : Math.min(walk, ride);
  const how = leg.signal
    ? 'call with signal'
    : ride < walk
      ? `companion rides ${leg.helpKm} km at ${s.companionRiding} km/h`
      : `walk ${leg.helpKm} km at ${s.walking} km/h`;
  if (trip.recovery === 'nobody') {
    const towed = trip.companions > 0;
    const arrive = towed ? 0 : s.hitchWait;
    const transport = leg.workshopKm / (towed ? s.towing : s.hitching);
    return {
      raise,
      arrive,
      transport,
      total: raise + arrive + transport,
      formula: `${h(raise)} h ${how} + ${h(arrive)} h wait + ${leg.workshopKm} km ${towed ? `on tow at ${s.towing}` : `hitching at ${s.hitching}`} km/h`,
    };
  }
  const arrive = trip.callOut + leg.workshopKm / s.recoveryTruck;
  const transport = leg.workshopKm / s.recoveryTruck;
  return {
    raise,
    arrive,
    transport,
    total: raise + arrive + transport,
    formula: `${h(raise)} h ${how} + ${h(arrive)} h until the ${trip.recovery} is there + ${h(transport)} h back over ${leg.workshopKm} km at ${s.recoveryTruck} km/h`,
  };
}

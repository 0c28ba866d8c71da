import type { Leg, Trip } from './trip.js';

/** How help is raised: hours, and over how many km at how many km/h where there is no signal. */
export interface Raised {
  raise: number;
  by: 'signal' | 'companion' | 'foot';
  helpKm: number;
  helpSpeed: number;
}
/** The sum of hours stranded, as a fact. */
export type StrandedFact =
  /** Nobody comes: so many hours of waiting, then hitching or on tow. */
  | (Raised & {
      code: 'stranded.no-rescue';
      wait: number;
      beyondCover: boolean;
      workshopKm: number;
      onTow: boolean;
      speed: number;
    })
  /** Somebody comes after so many hours, and takes the bike back. */
  | (Raised & {
      code: 'stranded.rescued';
      recovery: Trip['recovery'];
      arrive: number;
      transport: number;
      workshopKm: number;
      speed: number;
    });

export interface Stranded {
  raise: number;
  arrive: number;
  transport: number;
  total: number;
  /** What the sum is made of, for whoever asks where the figure comes from. */
  formula: StrandedFact;
}

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
  const call = {
    raise,
    by: leg.signal ? ('signal' as const) : ride < walk ? ('companion' as const) : ('foot' as const),
    helpKm: leg.helpKm,
    helpSpeed: ride < walk ? s.companionRiding : s.walking,
  };
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
      formula: {
        code: 'stranded.no-rescue',
        ...call,
        wait: arrive,
        beyondCover: !covered,
        workshopKm: leg.workshopKm,
        onTow: towed,
        speed: towed ? s.towing : s.hitching,
      },
    };
  }
  const arrive = trip.callOut + leg.workshopKm / s.recoveryTruck;
  const transport = leg.workshopKm / s.recoveryTruck;
  return {
    raise,
    arrive,
    transport,
    total: raise + arrive + transport,
    formula: {
      code: 'stranded.rescued',
      ...call,
      recovery: trip.recovery,
      arrive,
      transport,
      workshopKm: leg.workshopKm,
      speed: s.recoveryTruck,
    },
  };
}

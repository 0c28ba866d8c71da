import { newTrip, type Leg, type Trip } from './trip.js';

/** How long a trip is. */
export const LENGTHS = ['afternoon', 'day', 'weekend', 'week', 'months'] as const;
export type Length = (typeof LENGTHS)[number];
/** How far from help it goes. */
export const REMOTENESS = ['town', 'farms', 'hills', 'nobody'] as const;
export type Remoteness = (typeof REMOTENESS)[number];
/** With whom. */
export const COMPANY = ['alone', 'some', 'group'] as const;
export type Company = (typeof COMPANY)[number];

/** A trip in three answers: all else follows, and can be refined or replaced by a track. */
export interface ThreeAnswers {
  length: Length;
  remoteness: Remoteness;
  company: Company;
}

/**
 * What a day looks like at each distance from help: km ridden, their share by ground, km from the worst point to people and to a workshop, phone
 * signal there, crossings a day, km between pumps. Typical values: from general knowledge of such country, until legs or a track replace them.
 */
const COUNTRY: Readonly<
  Record<
    Remoteness,
    {
      dayKm: number;
      paved: number;
      gravel: number;
      helpKm: number;
      workshopKm: number;
      signal: boolean;
      crossings: number;
      pumps: number;
    }
  >
> = {
  town: { dayKm: 240, paved: 0.9, gravel: 0.08, helpKm: 2, workshopKm: 15, signal: true, crossings: 0, pumps: 40 },
  farms: { dayKm: 200, paved: 0.55, gravel: 0.35, helpKm: 5, workshopKm: 35, signal: true, crossings: 0, pumps: 80 },
  hills: { dayKm: 160, paved: 0.3, gravel: 0.45, helpKm: 12, workshopKm: 70, signal: false, crossings: 1, pumps: 150 },
  nobody: {
    dayKm: 160,
    paved: 0.25,
    gravel: 0.45,
    helpKm: 35,
    workshopKm: 160,
    signal: false,
    crossings: 1,
    pumps: 250,
  },
};
/** Days of each length, and the legs that they are ridden in. The way out and home of a long trip is one step closer to help. */
const DAYS: Readonly<Record<Length, readonly { name: string; days: number; closer: boolean }[]>> = {
  afternoon: [{ name: 'Afternoon', days: 0.5, closer: false }],
  day: [{ name: 'Day', days: 1, closer: false }],
  weekend: [
    { name: 'Saturday', days: 1, closer: false },
    { name: 'Sunday', days: 1, closer: false },
  ],
  week: [
    { name: 'Way out', days: 1, closer: true },
    { name: 'Out there', days: 5, closer: false },
    { name: 'Way home', days: 1, closer: true },
  ],
  months: [
    { name: 'Way out', days: 3, closer: true },
    { name: 'Out there', days: 54, closer: false },
    { name: 'Way home', days: 3, closer: true },
  ],
};
const SADDLE_HOURS = 6;
const COMPANIONS: Readonly<Record<Company, number>> = { alone: 0, some: 2, group: 5 };
/** A recovery service goes so far from a workshop, km; where nobody lives nobody fetches. Typical values. */
const RECOVERY: Readonly<Record<Remoteness, Pick<Trip, 'recovery' | 'coverKm' | 'callOut'>>> = {
  town: { recovery: 'service', coverKm: 100, callOut: 1 },
  farms: { recovery: 'service', coverKm: 100, callOut: 2 },
  hills: { recovery: 'service', coverKm: 100, callOut: 3 },
  nobody: { recovery: 'nobody', coverKm: null, callOut: 4 },
};

/**
 * Legs, cover and companions of a trip from three answers.
 * @param ids an id for the trip and one for each leg, in this order
 * @returns a whole trip; every figure in it is a typical value
 */
export function tripFrom(answers: ThreeAnswers, name: string, ids: () => string): Trip {
  const { length, remoteness, company } = answers;
  const trip = newTrip(ids(), name);
  return {
    ...trip,
    ...RECOVERY[remoteness],
    companions: COMPANIONS[company],
    legs: DAYS[length].map((d) => legIn(closerBy(remoteness, d.closer ? 1 : 0), d, ids())),
  };
}
const closerBy = (remoteness: Remoteness, steps: number): Remoteness =>
  REMOTENESS[Math.max(0, REMOTENESS.indexOf(remoteness) - steps)] ?? remoteness;
function legIn(remoteness: Remoteness, { name, days }: { name: string; days: number }, id: string): Leg {
  const c = COUNTRY[remoteness];
  const km = c.dayKm * days;
  return {
    id,
    name,
    days,
    km: {
      paved: Math.round(km * c.paved),
      gravel: Math.round(km * c.gravel),
      track: Math.round(km * (1 - c.paved - c.gravel)),
    },
    crossings: Math.round(c.crossings * days),
    helpKm: c.helpKm,
    signal: c.signal,
    workshopKm: c.workshopKm,
    hours: SADDLE_HOURS * days,
    night: 0,
    temperature: 20,
    fuelGapKm: c.pumps,
  };
}

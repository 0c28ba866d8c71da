import { z } from 'zod';
import { grams, hours, id, km, name, note } from '../ground/fields.js';
import { kitQuestionSchema, newKitQuestion } from './kitQuestion.js';
import { routeSchema } from './route/route.js';

export const legSchema = z.strictObject({
  id,
  name,
  days: z.number().min(0).max(200),
  km: z.strictObject({ paved: km, gravel: km, track: km }),
  crossings: z.int().min(0).max(500),
  /** km from the leg's worst point to people or to a signal. */
  helpKm: km,
  /** Whether a phone works at the worst point. */
  signal: z.boolean(),
  /** km from the worst point to a workshop, by road. */
  workshopKm: km,
  /** Hours in the saddle, and how many of them in the dark. */
  hours,
  night: hours,
  /** Temperature of the day, °C. */
  temperature: z.number().min(-40).max(60),
  /** Longest way between two pumps, km; null where it is not known. */
  fuelGapKm: km.nullable(),
});
export type Leg = z.infer<typeof legSchema>;

const speed = z.number().min(0.5).max(150);
/** Hours of a call and of a wait; speeds in km/h. */
export const speedsSchema = z.strictObject({
  callWithSignal: z.number().min(0).max(24),
  walking: speed,
  companionRiding: speed,
  recoveryTruck: speed,
  towing: speed,
  hitchWait: z.number().min(0).max(200),
  hitching: speed,
});
export type Speeds = z.infer<typeof speedsSchema>;
/** Planning values behind the hours stranded. */
export const STRANDED: Speeds = {
  callWithSignal: 0.3,
  walking: 4,
  companionRiding: 30,
  recoveryTruck: 50,
  towing: 25,
  hitchWait: 2,
  hitching: 40,
};

const factor = z.number().min(0.1).max(10);
export const tripSchema = z.strictObject({
  id,
  name,
  legs: z.array(legSchema).max(60),
  /** Who fetches bike and rider. */
  recovery: z.enum(['service', 'friend', 'nobody']),
  /** Hours from the call until they set out. */
  callOut: hours,
  /** How far the recovery service goes from the nearest workshop, km; null for no limit. Beyond it nobody fetches. */
  coverKm: km.nullable(),
  /** Speeds and times behind the hours stranded: planning values until the rider changes them. */
  speeds: speedsSchema,
  companions: z.int().min(0).max(20),
  /** Whoever sits behind the rider, with their gear, grams; 0 for nobody. */
  pillion: grams,
  /** Other bikes of this garage that ride along; one that is no longer there counts for nothing. */
  along: z.array(id).max(20),
  /** Share of trips on which the spares must suffice, all together. */
  serviceLevel: z.number().min(0.5).max(0.999),
  /** Factors on every rate: age of the bike, load carried, care taken. */
  factors: z.strictObject({ age: factor, load: factor, care: factor }),
  /** The way, from files; null when the legs are written by hand. */
  route: routeSchema.nullable(),
  /** Pressures changed with the ground: how often on the trip, between which two, kPa. */
  air: z.strictObject({
    times: z.int().min(0).max(500),
    low: z.number().min(0).max(600),
    high: z.number().min(0).max(600),
  }),
  /** The day of leaving; null where it is not known yet. */
  leaves: z.iso.date().nullable(),
  /** What is asked of the kit. */
  kit: kitQuestionSchema,
  note,
});
export type Trip = z.infer<typeof tripSchema>;

/** A leg of a day’s mixed riding, to be changed. */
export const newLeg = (legId: string, legName: string): Leg => ({
  id: legId,
  name: legName,
  days: 1,
  km: { paved: 80, gravel: 60, track: 20 },
  crossings: 0,
  helpKm: 10,
  signal: true,
  workshopKm: 60,
  hours: 6,
  night: 0,
  temperature: 20,
  fuelGapKm: null,
});
/** A trip without legs, fetched by a service. */
export const newTrip = (tripId: string, tripName: string): Trip => ({
  id: tripId,
  name: tripName,
  legs: [],
  recovery: 'service',
  callOut: 2,
  coverKm: null,
  speeds: STRANDED,
  companions: 0,
  pillion: 0,
  along: [],
  serviceLevel: 0.9,
  factors: { age: 1, load: 1, care: 1 },
  route: null,
  air: { times: 0, low: 120, high: 200 },
  leaves: null,
  kit: newKitQuestion(),
  note: '',
});

/**
 * Length of a leg over all grounds.
 * @returns km
 */
export const legKm = (leg: Leg): number => leg.km.paved + leg.km.gravel + leg.km.track;
/**
 * Length of a trip over all legs.
 * @returns km
 */
export const tripKm = (trip: Trip): number => trip.legs.reduce((s, l) => s + legKm(l), 0);
/**
 * Days of a trip over all legs.
 * @returns days
 */
export const tripDays = (trip: Trip): number => trip.legs.reduce((s, l) => s + l.days, 0);

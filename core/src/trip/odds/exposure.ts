import type { Practice } from '../../toolbox/practice.js';
import { at } from '../../ground/numbers.js';
import { TERRAINS, type Terrain } from '../../ground/terrain.js';
import type { DueFact } from '../services/index.js';
import { isCritical, usualThread, type Bike, type Fastener } from '../../bike/index.js';
import { strandedHours, type Leg, type Trip } from '../index.js';
import { threadMm } from '../../ground/sizes/index.js';
import { boltKind } from '../../repairs/supplies/index.js';
import { countPmf, fixed, type CountLaw } from './counts.js';
import { posterior, type Experience, type OwnRecord } from './record.js';
import {
  appliesTo,
  AT_HAND,
  mostSaved,
  troubleOn,
  TROUBLES,
  type Away,
  type OwnPace,
  type Trouble,
} from '../../repairs/index.js';

/** How an expected count was made, as a fact. */
export type CountFact =
  | {
      code: 'count.lambda';
      /** Rate per 1000 km and km, by ground. */
      ridden: { rate: number; km: number; on: Terrain }[];
      /** Rate of a crossing, and crossings; null where it hangs on none. */
      crossings: { rate: number; times: number } | null;
      /** Of age, load and care. */
      factor: number;
      /** As a weak point of this bike; 1 where it is none. */
      weak: number;
      record: { factor: number; events: number; expected: number } | null;
      lambda: number;
    }
  /** Services that fall due, by name. */
  | { code: 'count.due'; services: { name: string; due: DueFact }[] }
  /** Pressures let down and pumped up so many times, kPa. */
  | { code: 'count.aired'; times: number; low: number; high: number };

/** One trouble on one trip with one bike. */
export interface Exposure {
  trouble: Trouble;
  /** Expected count Λ over the trip, the own record in it. */
  lambda: number;
  /** The law of the count: Poisson, or negative binomial once the own record weighs in. */
  law: CountLaw;
  /** What the planning rates alone expect, and what the record says; null without one. */
  planned: number;
  experience: Experience | null;
  /** Share of it on each leg. */
  byLeg: number[];
  /** P(at least one) = 1 − e^−Λ. */
  odds: number;
  /** Hours lost each time without a mend, averaged over where it happens. */
  without: number;
  /** How far people and a workshop are there, averaged likewise. */
  away: Away;
  /** Hours at stake with no kit: Λ × the most that any known way saves. */
  atStake: number;
  /** How Λ was made, for whoever asks. */
  formula: CountFact;
}

const factorOf = (trip: Trip) => trip.factors.age * trip.factors.load * trip.factors.care;

/** In the dark falls and what follows from them are so much likelier. Planning value. */
export const NIGHT_FACTOR = 1.5;

/** Factor of the hours in the dark on a leg: their share of the hours ridden makes falls likelier. */
const nightFactor = (trouble: Trouble, leg: Leg): number =>
  trouble.byFall && leg.hours > 0 ? 1 + (NIGHT_FACTOR - 1) * Math.min(1, leg.night / leg.hours) : 1;

/**
 * Expected count of a trouble on one leg: (Σ rate·km/1000 × night + crossings) × factors of the trip.
 * @returns events, 0 or more
 */
export function legLambda(trouble: Trouble, leg: Leg, trip: Trip): number {
  const ridden = TERRAINS.reduce((sum, on) => sum + (trouble.rate[on] * leg.km[on]) / 1000, 0);
  return (ridden * nightFactor(trouble, leg) + (trouble.perCrossing ?? 0) * leg.crossings) * factorOf(trip);
}

/** Exposure of a bike to one trouble over a trip. */
export function exposureOf(trouble: Trouble, trip: Trip, weak = 1, experience: Experience | null = null): Exposure {
  const after = experience ? posterior(experience) : { factor: 1, shape: null };
  const lambdas = trip.legs.map((leg) => legLambda(trouble, leg, trip) * weak * after.factor);
  const lambda = lambdas.reduce((a, b) => a + b, 0);
  const law: CountLaw = { mean: lambda, shape: after.shape };
  const onAverage = (of: (leg: Leg) => number) =>
    lambda > 0 ? trip.legs.reduce((s, leg, i) => s + at(lambdas, i) * of(leg), 0) / lambda : 0;
  const stranded = onAverage((leg) => strandedHours(leg, trip).total);
  const away: Away = {
    helpKm: onAverage((leg) => leg.helpKm),
    workshopKm: onAverage((leg) => leg.workshopKm),
    walking: trip.speeds.walking,
    towing: trip.speeds.towing,
  };
  const without = trouble.stops ? stranded : trouble.nuisance;
  const km = (on: (typeof TERRAINS)[number]) => trip.legs.reduce((s, l) => s + l.km[on], 0);
  const crossings = trip.legs.reduce((s, l) => s + l.crossings, 0);
  return {
    trouble,
    lambda,
    law,
    planned: lambda / after.factor,
    experience,
    byLeg: lambdas.map((l) => (lambda > 0 ? l / lambda : 0)),
    odds: 1 - countPmf(0, law),
    without,
    away,
    atStake: lambda * mostSaved(trouble.ways, without, away),
    formula: {
      code: 'count.lambda',
      ridden: TERRAINS.filter((on) => trouble.rate[on] > 0 && km(on) > 0).map((on) => ({
        rate: trouble.rate[on],
        km: km(on),
        on,
      })),
      crossings: trouble.perCrossing && crossings > 0 ? { rate: trouble.perCrossing, times: crossings } : null,
      factor: factorOf(trip),
      weak,
      record: experience ? { factor: after.factor, events: experience.events, expected: experience.expected } : null,
      lambda,
    },
  };
}

/**
 * Share of a trip's hours in the saddle that are ridden in the dark.
 * @returns 0 to 1; 0 where no leg says its hours
 */
export function darkShare(trip: Pick<Trip, 'legs'>): number {
  const hours = trip.legs.reduce((s, l) => s + l.hours, 0);
  return hours > 0 ? Math.min(1, trip.legs.reduce((s, l) => s + l.night, 0) / hours) : 0;
}

/** All troubles that a bike can have on a trip, the most hours at stake first. */
export const exposures = (
  bike: Bike,
  trip: Trip,
  record: OwnRecord = new Map(),
  troubles: readonly Trouble[] = TROUBLES,
  own: OwnPace = new Map(),
): Exposure[] =>
  troubles
    .filter((t) => t.subject !== 'service' && appliesTo(t, bike))
    .map((t) => troubleOn(t, { bike, company: trip.companions > 0, dark: darkShare(trip), own }))
    .map((t) => exposureOf(t, trip, bike.weak.find((w) => w.trouble === t.id)?.factor, record.get(t.id)))
    .sort(byStake);
/**
 * Order of troubles: the most hours at stake first, of equal ones by their ids.
 * @returns below nought where the first comes before the second
 */
export const byStake = (a: Exposure, b: Exposure): number =>
  b.atStake - a.atStake || (a.trouble.id < b.trouble.id ? -1 : 1);

/**
 * What is sure to come so many times, such as work that falls due.
 * @param times how often, from 0
 */
export function certain(trouble: Trouble, times: number, why: CountFact): Exposure {
  const without = trouble.nuisance;
  return {
    trouble,
    lambda: times,
    law: fixed(times),
    planned: times,
    experience: null,
    byLeg: [],
    odds: times > 0 ? 1 : 0,
    without,
    away: AT_HAND,
    atStake: times * mostSaved(trouble.ways, without, AT_HAND),
    formula: why,
  };
}

/** Fasteners known to shake loose weigh this much more than the rest. Planning value. */
const SHAKES_WEIGHT = 5;

/**
 * Share of lost fasteners by thread, from the bike's own fasteners, their count and how often they shake loose.
 * Fasteners of unknown thread are passed over. Sums to 1, or is empty.
 */
export function lostByThread(fasteners: readonly Fastener[]): { thread: string; share: number }[] {
  const weights = new Map<string, number>();
  for (const f of fasteners) {
    const thread = f.thread ?? usualThread(f.head);
    if (!thread) continue;
    weights.set(thread, (weights.get(thread) ?? 0) + f.count * (f.shakesLoose ? SHAKES_WEIGHT : 1));
  }
  const total = [...weights.values()].reduce((a, b) => a + b, 0);
  return [...weights]
    .map(([thread, w]) => ({ thread, share: w / total }))
    .sort((a, b) => threadMm(a.thread) - threadMm(b.thread));
}

/** What the trip asks of one stock. */
export interface StockDemand {
  kind: string;
  demands: { trouble: Trouble; lambda: number; units: number; law: CountLaw }[];
}

/** Threads above this are never lost on the road without being noticed: no spare is planned for them. */
const LARGEST_SPARE_BOLT = 10;

/** Positions of the practice on spare tubes. */
export type Tubes = Practice['tubes'];
/** Supplies that stand in for another to get out: a front tube in the rear wheel, not the other way about. */
export const SUBSTITUTES: Readonly<Partial<{ [kind: string]: string }>> = { 'rear tube': 'front tube' };
/** What spare is carried for a supply under a rider's practice on tubes; null for none. */
export function spareFor(kind: string, tubes: Tubes): string | null {
  if (kind !== 'front tube' && kind !== 'rear tube') return kind;
  if (tubes === 'none') return null;
  return tubes !== 'front' ? kind : (SUBSTITUTES[kind] ?? kind);
}

/** Demand on every stock over a trip: troubles' units at their Λ, lost fasteners split by the bike's own threads. */
export function stockDemands(
  list: readonly Exposure[],
  fasteners: readonly Fastener[],
  tubes: Tubes = 'both',
): StockDemand[] {
  const stocks = new Map<string, StockDemand>();
  const ask = (kind: string, { trouble, law }: Exposure, share: number, units: number) => {
    const lambda = law.mean * share;
    if (lambda <= 0) return;
    const known = stocks.get(kind) ?? { kind, demands: [] };
    // A share of a negative binomial count, each event by itself, is negative binomial with the same shape.
    known.demands.push({ trouble, lambda, units, law: { mean: lambda, shape: law.shape } });
    stocks.set(kind, known);
  };
  // What lives hang on is a trouble of its own.
  const threads = (critical: boolean) => lostByThread(fasteners.filter((f) => isCritical(f) === critical));
  for (const exposure of list)
    for (const { kind, units } of exposure.trouble.supplies)
      if (kind !== 'bolt') {
        const spare = spareFor(kind, tubes);
        if (spare) ask(spare, exposure, 1, units);
      } else
        for (const { thread, share } of threads(exposure.trouble.id === 'critical-lost'))
          if (threadMm(thread) <= LARGEST_SPARE_BOLT) ask(boltKind(thread), exposure, share, units);
  return [...stocks.values()].sort((a, b) => (a.kind < b.kind ? -1 : 1));
}

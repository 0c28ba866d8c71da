import type { Bike, Service } from '../../bike/index.js';
import { legKm, type Leg, type Trip } from '../index.js';

/** An interval and what of it is gone, as a fact: km, hours of the engine, days; null where the interval does not count by it. */
export interface DueFact {
  code: 'due.interval';
  km: { every: number; gone: number; dust: number } | null;
  hours: { every: number; gone: number } | null;
  /** Days, and the ISO date on which it was done last; null where nobody knows. */
  days: { every: number; last: string | null } | null;
}
/** A service on a trip: when it falls due, on which leg, how often, and what it takes. */
export interface Due {
  service: Service;
  /** km of wear left before the trip, dust counted; below nought it is overdue. Null where distance does not count. */
  leftKm: number | null;
  /** Times that it falls due by the end of the trip. */
  times: number;
  /** Index and name of the leg on which it first falls due; null when it does before leaving, or not at all. */
  leg: number | null;
  overdue: boolean;
  /** Units that the trip takes. */
  quantity: number;
  formula: DueFact;
}

/** km of wear on a leg: gravel and track wear as much as dust shortens the interval. */
const wearOf = (service: Service, leg: Leg): number => leg.km.paved + (leg.km.gravel + leg.km.track) / service.dust;

const DAY = 24 * 3600 * 1000;

/**
 * What falls due on a trip: by km against the odometer with dust counted, by hours of the engine, by days against the date of leaving.
 * @param today ISO date of leaving
 */
export function dueOn(bike: Bike, trip: Trip, today: string): Due[] {
  return bike.services
    .map((service): Due => {
      const { everyKm, everyDays, everyHours, lastKm, lastDate, lastHours } = service;
      const run = Math.max(0, bike.engineHours - lastHours);
      const leftHours = everyHours === null ? null : everyHours - run;
      const ridden = Math.max(0, bike.odometer - lastKm);
      const leftKm = everyKm === null ? null : everyKm - ridden;
      const leftDays =
        everyDays === null || lastDate === null ? null : everyDays - (Date.parse(today) - Date.parse(lastDate)) / DAY;
      let times = 0;
      let leg: number | null = null;
      const overdue = [leftKm, leftDays, leftHours].some((left) => left !== null && left <= 0);
      // Done before leaving where it is overdue: then its interval starts anew.
      let wear = overdue || leftKm === null ? (everyKm ?? Infinity) : leftKm;
      let days = overdue || leftDays === null ? (everyDays ?? Infinity) : leftDays;
      let hours = overdue || leftHours === null ? (everyHours ?? Infinity) : leftHours;
      if (overdue) times++;
      trip.legs.forEach((l, i) => {
        let km = wearOf(service, l);
        let gone = l.days;
        let ran = l.hours;
        // Within a leg km, days and hours run evenly; whichever ends first makes it due.
        while (km >= wear || gone >= days || ran >= hours) {
          const share = Math.min(wear / Math.max(km, 1e-9), days / Math.max(gone, 1e-9), hours / Math.max(ran, 1e-9));
          km -= km * Math.min(1, share);
          gone -= gone * Math.min(1, share);
          ran -= ran * Math.min(1, share);
          times++;
          leg ??= overdue ? null : i;
          wear = everyKm ?? Infinity;
          days = everyDays ?? Infinity;
          hours = everyHours ?? Infinity;
          if (times > 500) return;
        }
        wear -= km;
        days -= gone;
        hours -= ran;
      });
      return {
        service,
        leftKm,
        times,
        leg,
        overdue,
        quantity: times * service.quantity,
        formula: {
          code: 'due.interval',
          km: everyKm === null ? null : { every: everyKm, gone: ridden, dust: 1 / service.dust },
          hours: everyHours === null ? null : { every: everyHours, gone: run },
          days: everyDays === null ? null : { every: everyDays, last: lastDate },
        },
      };
    })
    .sort(
      (a, b) => Number(b.overdue) - Number(a.overdue) || b.times - a.times || (a.leftKm ?? 1e9) - (b.leftKm ?? 1e9),
    );
}

/** Oil that the engine burns on a trip, mL. */
export const oilBurnt = (bike: Bike, trip: Trip): number =>
  (bike.oilUse * trip.legs.reduce((s, l) => s + legKm(l), 0)) / 1000;

/** Fuel that ground takes beyond paved (docs/model.md, section 8). Planning values. */
export const FUEL_FACTOR = { paved: 1, gravel: 1.1, track: 1.3 } as const;
/** Share of the tank that is kept back, and how much longer the way to a pump is than planned. Planning values. */
export const RESERVE = 0.15;
export const FUEL_DETOUR = 1.2;
/** Water in the saddle, litres an hour in the cool and in the heat, and a day at least. Planning values. */
const WATER = { cool: 0.5, hot: 1, coolAt: 15, hotAt: 35, leastADay: 2, leastHot: 4, heatFrom: 25, heatAt: 30 };

/** How far a tank goes and what is missing to the next pump, as a fact: litres, L/100 km, km. */
export interface FuelFact {
  code: 'fuel.range';
  tank: number;
  reserve: number;
  consumption: number;
  /** What ground takes beyond paved. */
  factor: number;
  range: number;
  gap: number | null;
  detour: number;
  /** Consumption on this ground. */
  per100: number;
}
/** Fuel and water of one leg. */
export interface LegNeeds {
  leg: Leg;
  /** How far a tank goes on this ground, km. */
  range: number;
  /** Spare fuel for its longest way between pumps, litres, rounded up to half litres; null where that way is not known. */
  spareFuel: number | null;
  /** Grams of that fuel. */
  fuelMass: number;
  /** Litres of water a day. */
  water: number;
  formula: FuelFact;
}
/** Grams of a litre of petrol. Planning value. */
const PETROL = 745;

/** Fuel between pumps and water between people, leg by leg (docs/model.md, section 8). */
export function legNeeds(bike: Bike, leg: Leg): LegNeeds {
  const km = legKm(leg);
  const factor =
    km > 0
      ? (leg.km.paved * FUEL_FACTOR.paved + leg.km.gravel * FUEL_FACTOR.gravel + leg.km.track * FUEL_FACTOR.track) / km
      : 1;
  const per100 = bike.consumption * factor;
  const range = ((bike.tank * (1 - RESERVE)) / per100) * 100;
  const gap = leg.fuelGapKm;
  const spare =
    gap === null
      ? null
      : Math.max(0, Math.ceil((Math.max(0, gap * FUEL_DETOUR - range) * per100) / 100 / 0.5 - 1e-9)) * 0.5;
  const warm = Math.max(0, Math.min(1, (leg.temperature - WATER.coolAt) / (WATER.hotAt - WATER.coolAt)));
  const hoursADay = leg.days > 0 ? leg.hours / leg.days : leg.hours;
  // However short the ride, a day in the heat takes its litres (docs/model.md, section 8: 4 to 10 L).
  const heat = Math.max(0, Math.min(1, (leg.temperature - WATER.heatFrom) / (WATER.heatAt - WATER.heatFrom)));
  const least = WATER.leastADay + heat * (WATER.leastHot - WATER.leastADay);
  const water = Math.max(least, hoursADay * (WATER.cool + warm * (WATER.hot - WATER.cool)));
  return {
    leg,
    range,
    spareFuel: spare,
    fuelMass: (spare ?? 0) * PETROL,
    water,
    formula: {
      code: 'fuel.range',
      tank: bike.tank,
      reserve: RESERVE,
      consumption: bike.consumption,
      factor,
      range,
      gap,
      detour: FUEL_DETOUR,
      per100,
    },
  };
}

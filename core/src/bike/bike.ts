import { at, entry } from '../ground/numbers.js';
import { z } from 'zod';
import { line } from '../ground/text.js';
import { grams, id, km, mm, name, note } from '../ground/fields.js';

export const DRIVES = ['chain', 'belt', 'shaft'] as const;
export const ENGINES = [
  'single',
  'v-twin',
  'parallel twin',
  'flat twin',
  'triple',
  'in-line four',
  'v-four',
  'flat four',
  'flat six',
] as const;
const CYLINDERS: Readonly<Record<(typeof ENGINES)[number], number>> = {
  single: 1,
  'v-twin': 2,
  'parallel twin': 2,
  'flat twin': 2,
  triple: 3,
  'in-line four': 4,
  'v-four': 4,
  'flat four': 4,
  'flat six': 6,
};
/**
 * How many cylinders an engine has.
 * @returns 1, 2, 3 …
 */
export const cylindersOf = (engine: (typeof ENGINES)[number]): number => CYLINDERS[engine];
/** How an engine's cylinders stand, as far as its outline goes. */
export const layoutOf = (engine: (typeof ENGINES)[number]): 'single' | 'v' | 'in line' | 'flat' =>
  engine === 'single' ? 'single' : engine.startsWith('v-') ? 'v' : engine.startsWith('flat') ? 'flat' : 'in line';
export const TYRES = ['tubed', 'tubeless'] as const;
export const STARTERS = ['electric', 'electric and kick', 'kick', 'pull cord'] as const;
export const BRAKES = ['disc', 'two discs', 'drum'] as const;
/** What riders fit to a bike, or a maker delivers with it: each brings fasteners of its own. */
export const FITTINGS = [
  'hand guards',
  'crash bars',
  'skid plate',
  'radiator guard',
  'rear rack',
  'side racks',
  'screen',
  'extra lamps',
  'centre stand',
  'heated grips',
  'power socket',
  'device mount',
] as const;
export type Fitting = (typeof FITTINGS)[number];

/** Width that the letters of an alphabetic mark stand for, mm. Planning values. */
const LETTERS: Readonly<Record<string, number>> = {
  MH: 80,
  MJ: 90,
  ML: 100,
  MM: 100,
  MN: 110,
  MP: 120,
  MR: 120,
  MT: 130,
  MU: 140,
  MV: 150,
};
/** Between width and rim: a dash, or the letters of build and speed such as `ZR`, `R`, `B`; behind the rim what else the side says, as `M/C 73W`. */
const BUILD = String.raw` ?(?:-|[A-Z]{1,3}-?) ?`;
const REST = String.raw`(?: ?M/C)?(?: ?\(?\d{2,3}[A-Z]\)?)?(?: ?(?:TL|TT|M/C))*`;
const METRIC = new RegExp(String.raw`^(\d{2,3})/(\d{2,3})${BUILD}(\d{1,2}(?:\.\d)?)${REST}$`, 'i');
const INCH = new RegExp(String.raw`^(\d{1,2}(?:\.\d{1,2})?)${BUILD}(\d{1,2}(?:\.\d)?)${REST}$`, 'i');
const ALPHABETIC = new RegExp(String.raw`^(M[HJLMNPRTUV])(\d{2,3})${BUILD}(\d{2})${REST}$`, 'i');
/** Outside diameter × width – rim, all in inches: small wheels of trailers and scooters. */
const OUTSIDE = new RegExp(
  String.raw`^(\d{1,2}(?:\.\d{1,2})?) ?[x×] ?(\d{1,2}(?:\.\d{1,2})?)${BUILD}(\d{1,2})${REST}$`,
  'i',
);

/** Inches; `null` where a mark cannot be read or its numbers make no tyre. */
function readMark(mark: string): { width: number; height: number; rim: number } | null {
  const text = mark.trim();
  const sane = (width: number, height: number, rim: number) =>
    width >= 35 && width <= 360 && height >= 15 && height <= 250 && rim >= 4 && rim <= 24
      ? { width, height, rim }
      : null;
  const outside = OUTSIDE.exec(text);
  if (outside) {
    const rim = Number(outside[3]);
    return sane(Number(outside[2]) * 25.4, 12.7 * (Number(outside[1]) - rim), rim);
  }
  const metric = METRIC.exec(text);
  if (metric) {
    const width = Number(metric[1]);
    return sane(width, (width * Number(metric[2])) / 100, Number(metric[3]));
  }
  const letters = ALPHABETIC.exec(text);
  if (letters) {
    const width = entry(LETTERS, at(letters, 1).toUpperCase());
    return sane(width, (width * Number(letters[2])) / 100, Number(letters[3]));
  }
  const inch = INCH.exec(text);
  if (!inch) return null;
  // An inch mark of three is a wide tyre's 80/100, of four and a half a 120/90 (docs/model.md, section 6, planning values).
  const inches = Number(inch[1]);
  const width = Math.round((inches * 26.2) / 5) * 5;
  return sane(width, (width * (inches < 4 ? 100 : 90)) / 100, Number(inch[2]));
}

/** A tyre mark as it stands on the side: `90/90-21`, `160/60ZR17 M/C 69W`, `3.00-21`, `MT90-16`, `19x7-8`. */
export const tyreMark = line(40).refine(
  (m) => readMark(m) !== null,
  'write a tyre as on its side: 90/90-21, 160/60ZR17, 3.00-21, MT90-16 or 19x7-8',
);

/** Work that falls due by distance, by time or by hours in dust, whichever comes first. */
export const serviceSchema = z.strictObject({
  id,
  name,
  /** Every so many km and days; null where that does not count. */
  everyKm: km.nullable(),
  everyDays: z.number().min(1).max(10_000).nullable(),
  /** Hours of the engine; null where they do not count. */
  everyHours: z.number().min(1).max(10_000).nullable(),
  /** Share of the interval that is left on gravel and track: dust halves a filter's. */
  dust: z.number().min(0.05).max(1),
  /** Odometer, and date, when it was last done. */
  lastKm: km,
  lastHours: z.number().min(0).max(100_000),
  lastDate: z.iso.date().nullable(),
  /** What it uses up, such as oil or a filter, and how much of it. */
  uses: line(60),
  quantity: z.number().min(0).max(10_000),
});
export type Service = z.infer<typeof serviceSchema>;

/** Lines of the fit sheet that one bike may have read. */
const MOST_READINGS = 330;

export const bikeSchema = z.strictObject({
  id,
  name,
  /** mm between the axles. */
  wheelbase: z.number().min(900).max(2200),
  tyreFront: tyreMark,
  tyreRear: tyreMark,
  tyres: z.enum(TYRES),
  drive: z.enum(DRIVES),
  engine: z.enum(ENGINES),
  cooling: z.enum(['air', 'liquid']),
  fuelling: z.enum(['carburettor', 'injection']),
  strokes: z.union([z.literal(2), z.literal(4)]),
  /** Spark plugs in each cylinder. */
  plugs: z.union([z.literal(1), z.literal(2)]),
  starter: z.enum(STARTERS),
  wheels: z.enum(['spoked', 'cast']),
  brakeFront: z.enum(BRAKES),
  brakeRear: z.enum(['disc', 'drum']),
  /** Litres. */
  tank: z.number().min(2).max(45),
  seat: z.enum(['flat', 'stepped']),
  fitted: z.array(z.enum(FITTINGS)).max(FITTINGS.length),
  /** mm from the ground to the seat. */
  seatHeight: z.number().min(500).max(1200),
  /** Bike ready to ride, grams. */
  mass: grams,
  /** What the maker allows on top of that, rider included, grams. */
  payload: grams,
  /** What the front axle bears of the bare bike, grams, as read from a scale under its wheel; null where it was not weighed. */
  frontAxle: grams.nullable(),
  /** mm from the ground to the middle of the bare bike's weight; null where nobody knows. */
  centreHeight: z.number().min(200).max(1200).nullable(),
  /** Load index of each tyre, as on its side; null where it was not read. */
  loadIndexFront: z.int().min(20).max(90).nullable(),
  loadIndexRear: z.int().min(20).max(90).nullable(),
  /** What the rear rack bears in all, grams; null where nobody knows. */
  rackLimit: grams.nullable(),
  /** km on the clock. */
  odometer: km,
  /** Litres of fuel for 100 km on paved ground, and mL of oil for 1000 km. */
  consumption: z.number().min(0.5).max(20),
  oilUse: z.number().min(0).max(3000),
  /** Troubles that this model, or this bike, is known for, each with a factor on its rate. */
  weak: z.array(z.strictObject({ trouble: line(40), factor: z.number().min(0.1).max(50) })).max(60),
  /** Hours of the engine so far. */
  engineHours: z.number().min(0).max(100_000),
  /** What is done at intervals. */
  services: z.array(serviceSchema).max(60),
  /** What spares must match, line by line of the fit sheet: its slots, and the names of the rider's own kinds. */
  fit: z
    .record(line(120).min(1), line(120))
    .refine((fit) => Object.keys(fit).length <= MOST_READINGS, `too many lines: at most ${MOST_READINGS}`),
  /** Whether it starts by pushing with a flat battery. */
  pushStarts: z.boolean(),
  /** What was done, or might be done, before leaving so that less goes wrong. */
  prevention: z.array(z.strictObject({ id: line(40), state: z.enum(['done', 'may']) })).max(40),
  /** Weak points and history, in the rider's words. */
  note,
});
export type Bike = z.infer<typeof bikeSchema>;

/** Measures of a tyre in mm from its mark: width, section height and outside radius. */
export function tyreMeasures(mark: string): {
  width: number;
  height: number;
  radius: number;
  rim: number;
} {
  const read = readMark(mark);
  if (!read) throw new RangeError(`tyre mark "${mark}" cannot be read: write it as on its side, like 90/90-21`);
  const { width, height, rim } = read;
  return { width, height, rim, radius: rim * 12.7 + height };
}

/** A bike to start from, with a middling dual-sport's numbers. */
export const newBike = (bikeId: string, bikeName: string): Bike => ({
  id: bikeId,
  name: bikeName,
  wheelbase: 1480,
  tyreFront: '90/90-21',
  tyreRear: '130/80-18',
  tyres: 'tubed',
  drive: 'chain',
  engine: 'single',
  cooling: 'liquid',
  fuelling: 'injection',
  strokes: 4,
  plugs: 1,
  starter: 'electric',
  wheels: 'spoked',
  brakeFront: 'disc',
  brakeRear: 'disc',
  tank: 10,
  seat: 'flat',
  fitted: [],
  seatHeight: 880,
  mass: 150_000,
  payload: 180_000,
  frontAxle: null,
  centreHeight: null,
  loadIndexFront: null,
  loadIndexRear: null,
  rackLimit: null,
  odometer: 0,
  consumption: 4.5,
  oilUse: 100,
  weak: [],
  engineHours: 0,
  services: [],
  fit: {},
  pushStarts: false,
  prevention: [],
  note: '',
});

/** A length measure used by places and pieces. */
export const measures = z.strictObject({ length: mm, width: mm, height: mm });
export type Measures = z.infer<typeof measures>;

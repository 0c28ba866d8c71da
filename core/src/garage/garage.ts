import { z } from 'zod';
import { bikeSchema, fastenerSchema } from '../bike/index.js';
import { DEFAULT_PRACTICE, practiceSchema } from '../toolbox/practice.js';
import { checkDoneSchema, reminderSchema } from '../prove/checkDone.js';
import { memorySchema } from '../prove/memory.js';
import { watchSchema } from '../prove/watch.js';
import { happenedSchema } from '../road/happened.js';
import { reviewedSchema } from '../road/reviewed.js';
import { keptKitSchema } from '../kit/keptKit.js';
import { drillSchema } from '../repairs/drill.js';
import { ownMendSchema } from '../repairs/own.js';
import { ownRatesSchema } from '../repairs/rates.js';
import { companionSchema } from '../crew/companion.js';
import { crewSchema } from '../crew/crew.js';
import { newPerson, personSchema } from '../crew/person.js';
import { goalsSchema, NEW_GOALS } from '../stow/goals.js';
import { packingSchema } from '../stow/keptPacking.js';
import { pinSchema, placeSchema } from '../stow/place.js';
import { loanSchema } from '../toolbox/loan.js';
import { ownWordsSchema } from '../toolbox/line/ownWords.js';
import { pieceSchema } from '../toolbox/tools/piece.js';
import { gaugeSchema } from '../trip/air/gauge.js';
import { rideSchema } from '../trip/ride.js';
import { tripSchema } from '../trip/trip.js';
import { ownKindSchema } from '../repairs/supplies/book.js';
import { supplySchema } from '../repairs/supplies/supply.js';
import { name } from '../ground/fields.js';

/** The garage itself: its name, the rider's practice, the rider, what the rider wants of a packing, rates that the rider knows better, and words of the rider's own. */
export const garageSchema = z.strictObject({
  name,
  practice: practiceSchema,
  rider: personSchema,
  goals: goalsSchema,
  rates: ownRatesSchema,
  /** Words of the rider's own for forms and kinds of tool. */
  words: ownWordsSchema,
  /** What the rider's own tyre gauge shows beside a good one; null where nobody compared them. */
  gauge: gaugeSchema.nullable(),
});
export type Garage = z.infer<typeof garageSchema>;

/** Every kind of row in a garage, by the name of its table. All have an `id`; those of a bike have `bikeId`. */
export const ROW_SCHEMAS = {
  bikes: bikeSchema,
  fasteners: fastenerSchema,
  pieces: pieceSchema,
  supplies: supplySchema,
  trips: tripSchema,
  rides: rideSchema,
  places: placeSchema,
  pins: pinSchema,
  mends: ownMendSchema,
  kits: keptKitSchema,
  packings: packingSchema,
  kinds: ownKindSchema,
  companions: companionSchema,
  crews: crewSchema,
  loans: loanSchema,
  drills: drillSchema,
  checks: checkDoneSchema,
  reminders: reminderSchema,
  watches: watchSchema,
  memories: memorySchema,
  happened: happenedSchema,
  reviews: reviewedSchema,
} as const;
export type TableName = keyof typeof ROW_SCHEMAS;
export const TABLES = Object.keys(ROW_SCHEMAS) as TableName[];
export type Row<T extends TableName = TableName> = z.infer<(typeof ROW_SCHEMAS)[T]>;

/** Greatest number of rows of each kind: a garage is one rider's. */
export const MOST_ROWS: Record<TableName, number> = {
  bikes: 50,
  fasteners: 12_000,
  pieces: 3000,
  supplies: 500,
  trips: 500,
  rides: 5000,
  places: 1000,
  pins: 5000,
  mends: 300,
  kits: 300,
  packings: 300,
  kinds: 300,
  companions: 60,
  crews: 500,
  loans: 1000,
  drills: 3000,
  checks: 20_000,
  reminders: 300,
  watches: 1000,
  memories: 5000,
  happened: 10_000,
  reviews: 300,
};

/** A whole garage in memory. */
export interface GarageDocument {
  garage: Garage;
  bikes: Row<'bikes'>[];
  fasteners: Row<'fasteners'>[];
  pieces: Row<'pieces'>[];
  supplies: Row<'supplies'>[];
  trips: Row<'trips'>[];
  rides: Row<'rides'>[];
  places: Row<'places'>[];
  pins: Row<'pins'>[];
  mends: Row<'mends'>[];
  kits: Row<'kits'>[];
  packings: Row<'packings'>[];
  kinds: Row<'kinds'>[];
  companions: Row<'companions'>[];
  crews: Row<'crews'>[];
  loans: Row<'loans'>[];
  drills: Row<'drills'>[];
  checks: Row<'checks'>[];
  reminders: Row<'reminders'>[];
  watches: Row<'watches'>[];
  memories: Row<'memories'>[];
  happened: Row<'happened'>[];
  reviews: Row<'reviews'>[];
}

/** A garage as it is when nothing of it was said but its name. */
export const newGarage = (given: Pick<Garage, 'name'> & Partial<Garage>): Garage => ({
  practice: DEFAULT_PRACTICE,
  rider: newPerson(),
  goals: NEW_GOALS,
  rates: [],
  words: [],
  gauge: null,
  ...given,
});
/** A garage of which nothing is known but its name and what differs from the usual. */
export const emptyDocument = (garage: Pick<Garage, 'name'> & Partial<Garage>): GarageDocument => ({
  garage: newGarage(garage),
  bikes: [],
  fasteners: [],
  pieces: [],
  supplies: [],
  trips: [],
  rides: [],
  places: [],
  pins: [],
  mends: [],
  kits: [],
  packings: [],
  kinds: [],
  companions: [],
  crews: [],
  loans: [],
  drills: [],
  checks: [],
  reminders: [],
  watches: [],
  memories: [],
  happened: [],
  reviews: [],
});

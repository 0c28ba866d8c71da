import { z } from 'zod';
import { euros } from '../ground/fields.js';
import { positions, WAY_SWITCHES } from './waySwitches.js';

/** What the lightest set is least in; a blend weighs grams, room and money together. */
export const MEASURES = ['mass', 'bulk', 'price', 'blend'] as const;
export type Measure = (typeof MEASURES)[number];

/** The best hand in the group, as ways ask for it: anybody's, a handy one's, that of somebody who has done it before. */
export const HANDS = ['anybody', 'handy', 'done'] as const;

/** The positions of the switches that act on ways. */
const ofWays = Object.fromEntries(Object.entries(WAY_SWITCHES).map(([key, { schema }]) => [key, schema])) as {
  [S in keyof typeof WAY_SWITCHES]: (typeof WAY_SWITCHES)[S]['schema'];
};

/** Schools of practice that decide which chains count. Each position is one a rider may hold; what is stored is a code, its words are the screen's. */
export const practiceSchema = z.strictObject({
  /** Adjustable spanner as the tool that turns: the last resort, where nothing fixed does; never, it only holds; or freely. */
  adjustable: positions('last', 'holds', 'freely'),
  /** Break loose with a ratchet, within its torque. */
  ratchet: positions('within-torque', 'never'),
  /** What may be stood on: a plain bar only, nothing, a ratchet too. */
  standing: positions('bar', 'never', 'ratchet'),
  /** Square drives: the smallest that bears the torque, or the middle one for all where it reaches. */
  drive: positions('smallest', 'middle'),
  /** What the set of tools is made least in. */
  least: positions(...MEASURES),
  /** Where the tools come from: what is owned, what is owned and the catalogue for the rest, or what can be bought. */
  from: positions('toolbox', 'toolbox-first', 'catalogue'),
  /** Which pieces the kit can lose one of and still reach every head: what gets lost or breaks. Asked from trips of two days on. */
  doubles: positions('losable', 'none', 'all'),
  /** Whose bikes it is for: those that ride along, one's own only, any stranger's too. */
  others: positions('along', 'own', 'any'),
  /** Quality of what is bought: good where torque is high, good everywhere, cheap everywhere. */
  quality: positions('by-torque', 'good', 'cheap'),
  ...ofWays,
  /** Where the kit lives: what is needed every day on the bike, all of it there, with the luggage, on the back. */
  lives: positions('everyday', 'bike', 'luggage', 'back'),
  /** Which ways count: those that somebody in the group is able to do, by the best hand in it, or all, since somebody may help. */
  skill: positions('able', 'all'),
  hand: z.enum(HANDS).default('done'),
  /** Whether pressures are set once, or lowered and raised with the ground. */
  pressures: positions('once', 'ground'),
  /** What the tools in the bag may be worth together, euros; null for no limit. */
  worth: euros.nullable().default(null),
});
export type Practice = z.infer<typeof practiceSchema>;
export const DEFAULT_PRACTICE: Practice = practiceSchema.parse({});

/** What a rider chooses among positions: all of the practice but the limit of worth. */
export type Switch = Exclude<keyof Practice, 'worth'>;
export const SWITCHES = Object.keys(practiceSchema.shape).filter((key): key is Switch => key !== 'worth');
const shape: { readonly [S in Switch]: { unwrap: () => { options: readonly Practice[S][] } } } = practiceSchema.shape;
/** The positions of a switch, in the order in which they are offered. */
export const positionsOf = <S extends Switch>(key: S): readonly Practice[S][] => shape[key].unwrap().options;

/** Days from which a trip asks for doubles. Planning value. */
export const DOUBLES_FROM_DAYS = 2;
/** The drive that is carried where one has to do for all. */
export const MIDDLE_DRIVE = '3/8in';

/** Forces on a handle, N (docs/model.md, section 2, planning values). */
export const FORCE = { oneHand: 250, twoHands: 400, foot: 600 } as const;
/** What fingers and a palm give where there is no arm, N·m. */
export const PALM = { driver: 5, thumb: 1 } as const;
/** One spanner hooked into another lengthens its arm by its own less this overlap, mm; pulling askew, both bear so much of what they do straight. Planning values. */
export const HOOK_OVERLAP = 40;
export const HOOK_BEARS = 0.8;
/** A pipe adds its length less this overlap, mm. */
export const PIPE_OVERLAP = 50;

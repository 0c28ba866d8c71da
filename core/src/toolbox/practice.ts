import { z } from 'zod';
import { euros } from '../ground/fields.js';

/** What the lightest set is least in; a blend weighs grams, room and money together. */
export const MEASURES = ['mass', 'bulk', 'price', 'blend'] as const;
export type Measure = (typeof MEASURES)[number];

/** The best hand in the group: what ways ask of whoever goes them. */
export const HANDS = ['anybody', 'handy', 'has done it before'] as const;

/**
 * A switch of the practice: its positions, the default first. The default is how the program did it before it asked, so that a garage that was written
 * before, which says nothing of it, stays as it was.
 */
const positions = <const P extends readonly [string, ...string[]]>(...all: P) => z.enum(all).default(all[0]);

/** Schools of practice that decide which chains count. Each position is one a rider may hold. */
export const practiceSchema = z.strictObject({
  /** Adjustable spanner as the tool that turns: only where nothing fixed does, never (hold only), or freely. */
  adjustable: positions('where nothing fixed does', 'hold only', 'freely'),
  /** Break loose with a ratchet, within its torque. */
  ratchet: positions('within its torque', 'never breaks loose'),
  /** What may be stood on. */
  standing: positions('plain bar only', 'never', 'ratchet too'),
  /** Square drives: whatever bears the torque, or the middle one for all where it reaches. */
  drive: positions('smallest that bears it', 'one middle drive'),
  /** What the set of tools is made least in. */
  least: positions(...MEASURES),
  /** Where the tools come from: what is owned, what can be bought, or what is owned and the catalogue for the rest. */
  from: positions('drawer', 'drawer first', 'catalogue'),
  /** Which pieces the kit can lose one of and still reach every head. Asked from trips of two days on. */
  doubles: positions('what gets lost or breaks', 'none', 'everything vital'),
  /** Whose bikes it is for. */
  others: positions('the bikes that ride along', 'own bike only', 'any stranger’s too'),
  /** Quality of what is bought. */
  quality: positions('good where torque is high', 'good everywhere', 'cheap everywhere'),
  /** What makes the air. */
  air: positions('pump, cartridge for a bead', 'electric pump', 'hand pump', 'gas cartridges', 'two of them'),
  /** Spare tubes: a front one gets a bike out on the rear wheel too. */
  tubes: positions('front only', 'both', 'none', 'with tubeless tyres too'),
  /** Tyre levers. */
  levers: positions('two', 'one and a long spanner', 'three'),
  /** What closes a hole in a tubeless tyre, and what opens it for the plug. */
  plugs: positions('strings', 'pin plugs', 'both'),
  reamer: positions('hand reamer', 'powered drill'),
  /** Where the kit lives. */
  lives: positions('everyday part on the bike', 'always on the bike', 'with the luggage', 'on the back'),
  /** Which ways count: those that somebody in the group can do, by the best hand in it, or all, since somebody may help. */
  skill: positions('only what somebody can do', 'carry it, somebody may help'),
  hand: z.enum(HANDS).default('has done it before'),
  /** Whether pressures follow the ground. */
  pressures: positions('set once', 'lowered and raised with the ground'),
  /** A bike that cannot go on by itself. */
  rescue: positions('carry the means', 'walk out and recover later', 'nothing but a phone'),
  /** A spare spark plug: with carburettor, two strokes or water on the way; always; never. */
  sparkPlug: positions('where it earns its place', 'carry', 'leave'),
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

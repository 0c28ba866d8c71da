import { z } from 'zod';
import { line } from '../../ground/text.js';
import { count, euros, grams, id, mm, name, newtonMetres, note, source } from '../../ground/fields.js';
import { measures, type Measures } from '../../bike/bike.js';
import { shapeSchema } from '../../ground/sizes/index.js';

/** How a hand holds a piece. It decides the force that may be put on the arm. */
export const HOLDS = ['bar', 'ratchet', 'spanner', 'key', 'driver', 'thumb'] as const;
export type Hold = (typeof HOLDS)[number];

/** Ways in which a mode's opening is closed round what it turns. */
export const GRIPS = ['six', 'twelve', 'open', 'adjustable'] as const;

/** What is held to turn the piece: a hand grip with an arm, or a shape that another piece turns. */
export const offerSchema = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('hand'),
    hold: z.enum(HOLDS),
    /** Arm from the axis to the middle of the hand, mm. */
    arm: mm,
    /** Whether a pipe slides over the handle. */
    takesPipe: z.boolean(),
  }),
  z.strictObject({ by: z.literal('shape'), shape: shapeSchema }),
]);
export type Offer = z.infer<typeof offerSchema>;

/** One way of using a piece: held by this, it turns that. A double-ended or reversible piece has several. */
export const modeSchema = z.strictObject({
  offer: offerSchema,
  turns: shapeSchema,
  grip: z.enum(GRIPS),
  /** Greatest opening of an adjustable piece, mm; its `turns` names the least. Null for fixed pieces. */
  opensTo: mm.nullable(),
  /** What it adds to the chain along the axis, mm. */
  length: mm,
  /** Greatest outer diameter of the part that enters a well, mm. */
  width: mm,
  /** Thickness of a spanner's end over the head, mm; 0 for pieces that come in line. */
  thickness: mm,
  /** Depth of its hollow, for studs and plug bodies, mm. */
  hollow: mm,
  /** Torque that it bears, N·m. */
  bears: newtonMetres,
  /** Least swing that brings it on to the next flat or tooth, degrees. */
  step: z.number().min(0).max(360),
  /** Whether it bends, so that what follows may be out of line. */
  swivels: z.boolean(),
});
export type Mode = z.infer<typeof modeSchema>;

/** What a piece does that is not a matter of size. */
export const FUNCTIONS = [
  'inflate',
  'lever tyre',
  'grip',
  'cut',
  'punch out',
  'pry',
  'open chain',
  'measure current',
  'light',
  'strike',
  'file',
  'tow',
  'jump-start',
  'bandage',
  'shelter',
  'brush',
  'clamp',
  'saw',
  'ream',
  'pick',
  'measure',
  'gauge',
  'haul',
  'signal',
  'fire',
  'siphon',
  'hand air',
  'electric air',
  'gas air',
  'drill',
  'jump leads',
  'prop',
  'lay out',
  'spread rings',
  'mend thread',
  'bore',
  'pull valve',
  'turn filter',
  'read codes',
  'stop bleeding',
  'hold things',
  'pad',
  'keep dry',
] as const;
export type PieceFunction = (typeof FUNCTIONS)[number];

/** Traits that decide where a piece may be stowed. */
export const TRAITS = [
  'sharp',
  'hard',
  'conductive',
  'leaks',
  'pressurised',
  'melts',
  'fragile',
  'dear',
  'soft',
  'pierced easily',
  'upright',
  'kept dry',
  'wound',
  'nests',
] as const;
export type Trait = (typeof TRAITS)[number];

export const KINDS = [
  'combination spanner',
  'ring spanner',
  'open spanner',
  'socket',
  'ratchet',
  'plain bar',
  'extension',
  'adapter',
  'joint',
  'bit',
  'driver',
  'key',
  'key set',
  'adjustable',
  'pliers',
  'tyre lever',
  'plug spanner',
  'hook spanner',
  'spoke key',
  'valve tool',
  'pipe',
  'home-made',
  'other',
] as const;
export type PieceKind = (typeof KINDS)[number];

export const pieceSchema = z.strictObject({
  id,
  name,
  kind: z.enum(KINDS),
  modes: z.array(modeSchema).max(24),
  functions: z.array(z.enum(FUNCTIONS)).max(FUNCTIONS.length),
  traits: z.array(z.enum(TRAITS)).max(TRAITS.length),
  mass: grams,
  size: measures,
  /** Room inside it where others may lie, mm, such as a deep socket's or a box's; null for none. */
  hollow: measures.nullable(),
  price: euros,
  /** How many the rider owns. */
  count,
  /** Where its figures come from. */
  source,
  /** How it was weighed: `weighed` on a scale, else its mass is `source`'s. */
  weighed: z.boolean(),
  condition: z.enum(['good', 'worn', 'broken']),
  /** Cheap pieces are kept off high torques where the rider says so. */
  quality: z.enum(['good', 'cheap']),
  /** Where it is kept when no kit is packed. */
  kept: line(80),
  /** Name of the set that it came in, such as the maker's kit; empty when it came alone. */
  set: line(80),
  /** `always` is in every kit, `twice` with two of it, `never` in none. */
  mark: z.enum(['always', 'twice', 'never']).nullable(),
  /** The one bike on which it may be used; null for any. */
  onlyBike: id.nullable(),
  note,
});
export type Piece = z.infer<typeof pieceSchema>;

/** What only a piece that somebody owns has. */
export type OwnField = 'weighed' | 'condition' | 'quality' | 'kept' | 'set' | 'onlyBike' | 'hollow';
/** A piece without the garage's own fields, as the catalogue makes it. */
export type PieceModel = Omit<Piece, 'id' | 'count' | 'mark' | 'note' | 'source' | OwnField>;

/** mm that both walls of a pouch or box take of each measure. Planning value. */
const WALLS = 6;
/** Room inside pieces that are hollow by their kind: a plug spanner's and a pipe's bore. Planning values. */
function usualHollow({ kind, size, functions }: Pick<Piece, 'kind' | 'size' | 'functions'>): Measures | null {
  if (functions.includes('hold things'))
    return { length: size.length - WALLS, width: size.width - WALLS, height: size.height - WALLS };
  if (kind !== 'plug spanner' && kind !== 'pipe') return null;
  const bore = Math.min(size.width, size.height) * (kind === 'pipe' ? 0.75 : 0.7);
  return { length: size.length - (kind === 'pipe' ? 0 : 25), width: bore, height: bore };
}

/** A piece of somebody's drawer from a model of the catalogue; what is not said is as it would be when just bought. */
export const newPiece = (model: PieceModel, given: Pick<Piece, 'id'> & Partial<Piece>): Piece => ({
  ...model,
  count: 1,
  mark: null,
  note: '',
  source: 'planning value',
  weighed: false,
  condition: 'good',
  quality: 'good',
  kept: '',
  set: '',
  onlyBike: null,
  hollow: usualHollow(model),
  ...given,
});

/** Volume of a piece's own box, mL. */
export const boxVolume = (piece: Pick<Piece, 'size'>): number =>
  (piece.size.length * piece.size.width * piece.size.height) / 1000;

/** Share of a bag that odd pieces really fill (docs/model.md, section 7). Planning value. */
export const BAG_FILL = 0.65;

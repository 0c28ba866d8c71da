import { z } from 'zod';
import { line } from '../ground/text.js';
import type { Practice } from '../toolbox/practice.js';
import { grams, id, mm, name, note } from '../ground/fields.js';
import { measures } from '../bike/bike.js';

/** How soon a place is reached, the soonest first. */
export const TIERS = ['in the saddle', 'one zip', 'under straps or seat', 'unload everything'] as const;
export type Tier = (typeof TIERS)[number];
export const PLACE_KINDS = ['box', 'tube', 'roll', 'tie-on', 'body'] as const;

const coordinate = z.number().min(-3000).max(4000);
export const placeSchema = z.strictObject({
  id,
  bikeId: id,
  name,
  kind: z.enum(PLACE_KINDS),
  /** Inside measures, mm. */
  inside: measures,
  /** Share of the inside that odd pieces really fill: 0.65 for tools, 0.8 for soft goods. */
  fill: z.number().min(0.1).max(1),
  /** Litres that clothes and food already take. */
  taken: z.number().min(0).max(200),
  /** Grams of those clothes and that food. */
  takenMass: grams,
  /** What its mount bears, grams. */
  limit: grams,
  /** What it bears on tracks, where that is less; null for no difference. */
  roughLimit: grams.nullable(),
  /** Whether the rear rack carries it. */
  onRack: z.boolean(),
  /** Middle of the place in mm: x from the front axle rearwards, y left positive, z up from the ground. */
  at: z.strictObject({ x: coordinate, y: coordinate, z: coordinate }),
  tier: z.enum(TIERS),
  /** Minutes to open it and to close it again; null for what is usual of its tier. */
  opening: z.number().min(0).max(120).nullable(),
  /** Stays on the bike when the luggage leaves. */
  stays: z.boolean(),
  lockable: z.boolean(),
  dry: z.boolean(),
  hot: z.boolean(),
  /** Next to wiring or battery. */
  wiring: z.boolean(),
  /** Whether what lies here is wrapped in a roll, a towel or a padded bag: then nothing rubs on wires or presses on a back. */
  wrapped: z.boolean(),
  /** Slots of a roll from left to right, those alike together; null for other places. */
  slots: z
    .array(z.strictObject({ count: z.int().min(1).max(60), width: mm, length: mm }))
    .min(1)
    .max(12)
    .nullable(),
  note,
});
export type Place = z.infer<typeof placeSchema>;

/** A piece or spare that the rider put in a place by hand; the assignment leaves it there. */
export const pinSchema = z.strictObject({
  id,
  bikeId: id,
  placeId: id,
  /** Key of the item: `piece <id> <copy>` or `supply <kind>`. */
  item: line(120).min(1),
});
export type Pin = z.infer<typeof pinSchema>;

/** Share of the room that soft goods fill (docs/model.md, section 7). */
export const SOFT_FILL = 0.8;
/**
 * mL of usable room that an item takes: soft goods fill theirs better than odd tools do.
 * @param volume mL
 * @param soft whether it fills corners
 * @returns mL
 */
export const roomTaken = (place: Pick<Place, 'fill'>, volume: number, soft: boolean): number =>
  soft ? volume * Math.min(1, place.fill / SOFT_FILL) : volume;

/** Usable volume of a place, mL: inside × fill less what is already taken. */
export function usableVolume(place: Place): number {
  const { length, width, height } = place.inside;
  const inside =
    place.kind === 'tube' ? (Math.PI / 4) * Math.min(width, height) ** 2 * length : length * width * height;
  return Math.max(0, (inside / 1000) * place.fill - place.taken * 1000);
}

/** Minutes to open a place of each tier and to close it again. Planning values. */
export const TIER_MINUTES: Record<Tier, number> = {
  'in the saddle': 0.1,
  'one zip': 0.5,
  'under straps or seat': 3,
  'unload everything': 10,
};
/**
 * How long it takes to open a place: as the rider says, else by how soon it is at hand. Planning values.
 * @returns minutes
 */
export const openingMinutes = (place: Pick<Place, 'opening' | 'tier'>): number =>
  place.opening ?? TIER_MINUTES[place.tier];

/**
 * What its mount bears of the kit on the ground that is ridden, grams: less on tracks where the rider says so, less what lies there anyway.
 * @returns g, 0 or more
 */
export const bears = (place: Pick<Place, 'limit' | 'roughLimit' | 'takenMass'>, rough: boolean): number =>
  Math.max(0, (rough ? Math.min(place.limit, place.roughLimit ?? place.limit) : place.limit) - place.takenMass);

/**
 * Slots of a roll in all.
 * @returns how many
 */
export const slotCount = (place: Pick<Place, 'slots'>): number =>
  (place.slots ?? []).reduce((sum, s) => sum + s.count, 0);

/** Longest piece that goes in, mm: the inside diagonal of a box, the length of a tube, roll or tie-on. */
export function longestPiece(place: Place): number {
  const { length, width, height } = place.inside;
  if (place.kind === 'roll') return Math.max(0, ...(place.slots ?? [{ length }]).map((s) => s.length));
  return place.kind === 'box' || place.kind === 'body' ? Math.hypot(length, width, height) : length;
}

/** The places that a practice leaves to the kit: what stays on the bike, what leaves with the luggage, or what the rider wears. */
export function placesOf(places: readonly Place[], lives: Practice['lives']): Place[] {
  switch (lives) {
    case 'bike':
      return places.filter((p) => p.stays);
    case 'luggage':
      return places.filter((p) => !p.stays && p.kind !== 'body');
    case 'back':
      return places.filter((p) => p.kind === 'body');
    default:
      return [...places];
  }
}

import { z } from 'zod';
import { grams, id, name } from '../ground/fields.js';
import { line } from '../ground/text.js';

/** The one whose garage it is, among people of whom all others have ids. */
export const ME = 'me';
/** Who carries: the rider, a companion, or a car, van, trailer or cache by its id. */
export const carrierId = z.union([z.literal(ME), id]);
export type CarrierId = z.infer<typeof carrierId>;

/** Whoever rides, and on which bike. */
export const memberSchema = z.strictObject({ who: carrierId, bikeId: id });
export type CrewMember = z.infer<typeof memberSchema>;

/** The crew falls into groups on some legs: two halves, somebody who turns back, lead and sweep. Each has to get home. */
export const splitSchema = z.strictObject({
  id,
  name,
  /** Who is together; cars may be with a group too. Whoever is in no group rides alone. */
  groups: z.array(z.array(carrierId).min(1).max(20)).min(1).max(12),
  /** Legs on which it may happen; empty for any. */
  legs: z.array(id).max(60),
});
export type Split = z.infer<typeof splitSchema>;

export const VEHICLES = ['car', 'van', 'trailer', 'cache'] as const;
/** Something that carries and is there on some legs only. */
export const vehicleSchema = z.strictObject({
  id,
  name,
  kind: z.enum(VEHICLES),
  /** Legs on which it is there; empty for all. */
  legs: z.array(id).max(60),
  limit: grams,
  litres: z.number().min(0).max(5000),
});
export type Vehicle = z.infer<typeof vehicleSchema>;

/** What the rider decided about one thing: who carries so many of it, or that it stays at home. */
export const fixedSchema = z.strictObject({
  /** `piece <id>` or `spare <class>`. */
  item: line(200).min(1),
  by: z.union([carrierId, z.literal('home')]),
  count: z.int().min(1).max(400),
});
export type Fixed = z.infer<typeof fixedSchema>;

/** Who rides a trip together, and how they want to share. One for a trip. */
export const crewSchema = z.strictObject({
  id,
  tripId: id,
  members: z.array(memberSchema).min(1).max(12),
  /** Troubles that everybody must mend on their own bike, with what they carry themselves. */
  alone: z.array(line(80)).max(60),
  splits: z.array(splitSchema).max(12),
  vehicles: z.array(vehicleSchema).max(12),
  /** 0 for the least weight in all, 1 for the least greatest share. */
  fair: z.number().min(0).max(1),
  /** The most skilled carries the most tools; the bike that may carry the most carries the most; fluids away from the shared tools. */
  mechanic: z.boolean(),
  strong: z.boolean(),
  fluids: z.boolean(),
  /** Whether the hours of one stopped bike count for everybody who waits. */
  waits: z.boolean(),
  /** Hours that a companion may ride to fetch what is missing, for that to count as a way; 0 for never. */
  fetch: z.number().min(0).max(200),
  fixed: z.array(fixedSchema).max(500),
});
export type Crew = z.infer<typeof crewSchema>;

/** What everybody has on their own bike for an hour apart: a flat, a loose bolt, light, something to drink. */
export const ALONE: readonly string[] = ['puncture-tube', 'puncture-tubeless', 'fastener-loose', 'bulb', 'heat-thirst'];

/** A crew from what differs from the usual: each alone for an hour, no splits, no vehicles, fair within a quarter. */
export const newCrew = (given: Pick<Crew, 'id' | 'tripId' | 'members'> & Partial<Crew>): Crew => ({
  alone: [...ALONE],
  splits: [],
  vehicles: [],
  fair: 0.25,
  mechanic: false,
  strong: false,
  fluids: false,
  waits: false,
  fetch: 0,
  fixed: [],
  ...given,
});

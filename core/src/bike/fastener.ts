import { z } from 'zod';
import { line } from '../ground/text.js';
import { count, id, mm, name, newtonMetres, note, source } from '../ground/fields.js';
import { gaugingSchema } from './fit/gauging.js';
import { headSchema, THREADS, USUAL_THREAD, type Head } from '../ground/sizes/index.js';
import { STATIONS } from './stations.js';

/** How sure the size is, from a template to real work: the ladder that the drawing and the readout use. */
export const EVIDENCE = ['assumed', 'measured', 'tried', 'proven'] as const;
export type Evidence = (typeof EVIDENCE)[number];

/** What break-loose torque is over tightening torque (docs/model.md, section 2, planning values). */
export const CONDITIONS = { clean: 1.2, dirty: 1.5, locked: 1.8, rusted: 2.2 } as const;
export type Condition = keyof typeof CONDITIONS;

/** Jobs that a trouble may ask of a fastener, so that a mend finds its heads on this bike. */
export const ROLES = [
  'front axle',
  'front axle pinch',
  'rear axle',
  'chain adjuster',
  'clutch lever',
  'brake lever',
  'battery',
  'fuse box',
  'seat',
  'tank',
  'plug',
  'sprocket',
  'gear pedal',
  'radiator guard',
  'brake pads',
  'bars',
  'mirror',
  'exhaust fixing',
  'luggage rack',
  'spoke',
  'valve core',
  'steering',
  'foot peg',
  'subframe',
  'hose clamp',
  'air filter',
  'oil drain',
  'oil filter',
  'brake union',
  'final drive',
  'rim lock',
  'carburettor bowl',
  'kick lever',
  'brake stay',
] as const;
export type Role = (typeof ROLES)[number];

/** What stands in a tool's way at one end. Zero or null means free. All mm, swing in degrees. */
export const accessSchema = z.strictObject({
  /** Depth at which the head sits below the opening of its well. */
  recess: mm,
  /** Diameter that is free round the head all the way down its well; null when open. */
  clearance: mm.nullable(),
  /** Room in line above the head; null when open. */
  headroom: mm.nullable(),
  /** Thickest tool that goes between head and what is behind it; null when open. */
  thin: mm.nullable(),
  /** Handle swing that is free, degrees; null when open. */
  swing: z.number().min(1).max(360).nullable(),
  /** Stud or plug body that stands through the head and must go into the socket. */
  stud: mm,
  /** From where a tool can come. */
  approach: z.enum(['any', 'side only', 'in line only', 'out of line']),
});
export type Access = z.infer<typeof accessSchema>;
export const FREE_ACCESS: Access = {
  recess: 0,
  clearance: null,
  headroom: null,
  thin: null,
  swing: null,
  stud: 0,
  approach: 'any',
};

/** One step on the evidence ladder: what was shown, by whom, when and how. */
export const stepSchema = z.strictObject({
  evidence: z.enum(EVIDENCE),
  /** Who did it; empty when nobody said. */
  who: line(60),
  when: z.iso.datetime(),
  /** In what way: `calliper 12.94, 12.96 mm`, `13 spanner snug`, `turned on day 3`. */
  how: line(200),
});
export type Step = z.infer<typeof stepSchema>;

export const fastenerSchema = z.strictObject({
  id,
  bikeId: id,
  station: z.enum(STATIONS),
  name,
  count,
  head: headSchema,
  /** The other end, where a second tool must hold or turn at the same time; null for one-ended fasteners. */
  far: headSchema.nullable(),
  thread: z.enum(THREADS as [string, ...string[]]).nullable(),
  torque: z.strictObject({ value: newtonMetres, source }).nullable(),
  condition: z.enum(Object.keys(CONDITIONS) as [Condition, ...Condition[]]),
  access: accessSchema,
  /** Access of the far end; the far end is open where this is left free. */
  farAccess: accessSchema,
  shakesLoose: z.boolean(),
  getsLost: z.boolean(),
  breaks: z.boolean(),
  accessory: z.boolean(),
  evidence: z.enum(EVIDENCE),
  /** The ladder so far, the latest last. */
  trail: z.array(stepSchema).max(40),
  /** What was measured and tried at each end; null when nothing was. */
  gauge: gaugingSchema.nullable(),
  farGauge: gaugingSchema.nullable(),
  /** Which thing to look at on the guided walk it answers; null when the rider added it unasked. */
  look: line(40).nullable(),
  role: z.enum(ROLES).nullable(),
  /** Why no roadside job turns it; null when it counts. */
  leftOut: line(300).min(1).nullable(),
  note,
});
export type Fastener = z.infer<typeof fastenerSchema>;

/** A complete fastener from the least that a rider says: the head. */
export const newFastener = (given: Pick<Fastener, 'id' | 'bikeId' | 'head'> & Partial<Fastener>): Fastener => ({
  station: 'front-wheel',
  name: 'Fastener',
  count: 1,
  far: null,
  thread: null,
  torque: null,
  condition: 'dirty',
  access: FREE_ACCESS,
  farAccess: FREE_ACCESS,
  shakesLoose: false,
  getsLost: false,
  breaks: false,
  accessory: false,
  evidence: 'measured',
  trail: [],
  gauge: null,
  farGauge: null,
  look: null,
  role: null,
  leftOut: null,
  note: '',
  ...given,
});

/** Thread that a head usually sits on, or null. */
export const usualThread = (head: Head): string | null => USUAL_THREAD[`${head.form} ${head.size}`] ?? null;

import { at } from '../ground/numbers.js';
import { z } from 'zod';
import { line } from '../ground/text.js';
import { id, name, note } from '../ground/fields.js';
import type { SupplyBook } from './supplies/book.js';
import { SUBJECTS, trouble, type Trouble } from './trouble.js';
import { GRADES, readStep, SKILLS, way, type Way } from './way.js';

/** A step as a rider writes it, with its needs marked; refused with what is not known in it. What it uses up may be a kind of the rider's own. */
const stepLine = line(300)
  .min(1)
  .superRefine((step, ctx) => {
    try {
      readStep(step);
    } catch (error) {
      ctx.addIssue({ code: 'custom', message: error instanceof Error ? error.message : String(error) });
    }
  });

/** Kinds of spare that the steps of a way name and that are in no list. */
export const unknownKinds = (steps: readonly string[], book: SupplyBook): string[] => [
  ...new Set(
    steps.flatMap((s) => readStep(s).needs).flatMap((n) => (n.by === 'supply' && !book.has(n.kind) ? [n.kind] : [])),
  ),
];

const rate = z.number().min(0).max(100);

/** A way that the rider adds to a known trouble, or a trouble of the rider's own with its first way. */
export const ownMendSchema = z.strictObject({
  id,
  /** The known trouble that it belongs to; null for one of the rider's own. */
  trouble: line(40).nullable(),
  name,
  subject: z.enum(SUBJECTS),
  /** Of an own trouble: per 1000 km by ground, whether it ends the ride, hours lost where it does not. */
  rate: z.strictObject({ paved: rate, gravel: rate, track: rate }),
  stops: z.boolean(),
  nuisance: z.number().min(0).max(200),
  grade: z.enum(GRADES),
  minutes: z.number().min(0).max(2000),
  skill: z.union(SKILLS.map((s) => z.literal(s)) as [z.ZodLiteral<1>, z.ZodLiteral<2>, z.ZodLiteral<3>]),
  /** Steps out and back in, one a line: `{rear axle}` a head, `[inflate]` a function, `<patch ×2>` what is used up. */
  out: z.array(stepLine).min(1).max(30),
  back: z.array(stepLine).max(30),
  caution: line(300),
  note,
});
export type OwnMend = z.infer<typeof ownMendSchema>;

const wayOf = (m: OwnMend): Way => way(m.name, m.grade, m.minutes, m.skill, m.out, m.back, { caution: m.caution });

/** The known troubles with the rider's own ways among them, the better grade first, and the rider's own troubles behind. */
export function withOwn(known: readonly Trouble[], own: readonly OwnMend[]): readonly Trouble[] {
  if (own.length === 0) return known;
  const order = (list: Way[]) => [...list].sort((a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade));
  return [
    ...known.map((t) => {
      const more = own.filter((m) => m.trouble === t.id);
      // The first way stays first: rates, stocks and the simulation speak of it.
      return more.length > 0 ? { ...t, ways: [at(t.ways, 0), ...order([...t.ways.slice(1), ...more.map(wayOf)])] } : t;
    }),
    ...own
      .filter((m) => m.trouble === null)
      .map((m) =>
        trouble({
          id: `own-${m.id}`,
          name: m.name,
          subject: m.subject,
          rate: m.rate,
          stops: m.stops,
          nuisance: m.nuisance,
          ways: [wayOf(m)],
          own: true,
        }),
      ),
  ];
}

import { roleOf, type Bike, type Fastener } from '../index.js';
import { USUAL_HEADS } from '../../ground/sizes/index.js';
import { guideOf, proposal } from './guide.js';
import type { Look } from './looks.js';

const named = (look: Look, name: string) => look.words.split(',').some((w) => name.includes(w));

/** Whether a thread usually carries a head, so that the walk's thread may be taken for a typed size. */
const carries = (thread: string, { head }: Pick<Fastener, 'head'>): boolean =>
  (USUAL_HEADS[thread] ?? []).some((h) => h.form === head.form && h.size === head.size);

/**
 * A row that was typed by name, with what its name says of it: its job, and the thing on the walk that it answers, from which an unsaid thread
 * and, where no station was named, the station are taken.
 * @param atStation whether the rider named the station; then it stays
 * @param withRole whether the rider named the job, be it none; then it stays
 */
export function answered(
  row: Fastener,
  bike: Bike,
  fasteners: readonly Fastener[],
  atStation: boolean,
  withRole = false,
): Fastener {
  const name = row.name.toLowerCase();
  const role = withRole ? row.role : (row.role ?? roleOf(row.name, row.station, row.head));
  const open = guideOf(bike, fasteners).visits.filter((v) => v.rows.length === 0 && named(v.look, name));
  // A name that says another job is not that thing: a rear axle typed while the front wheel is looked at.
  const fitting = open.map((v) => v.look).filter((l) => role === null || l.role === undefined || l.role === role);
  const here = fitting.find((l) => l.station === row.station);
  const elsewhere = atStation || role === null ? undefined : fitting.find((l) => l.role === role);
  const look = here ?? elsewhere;
  if (!look) return { ...row, role };
  const usual = proposal(look, bike, row.id);
  const sameHead = usual.head.form === row.head.form && usual.head.size === row.head.size;
  const thread = row.thread ?? (usual.thread && (sameHead || carries(usual.thread, row)) ? usual.thread : null);
  return { ...row, station: look.station, look: look.key, role: withRole ? role : (role ?? usual.role), thread };
}

import { climb, type Access, type Fastener } from '../bike/index.js';
import type { Loan } from '../toolbox/loan.js';
import type { Piece } from '../toolbox/tools/index.js';
import { skillIn, type Person } from '../crew/index.js';
import type { OwnMend, Skill, Subject, Trouble, Way, WayStep } from '../repairs/index.js';
import type { Pin } from '../stow/index.js';

/** What was shown by whom, and when, in the words of a drill. */
export interface Shown {
  who: string;
  /** ISO moment. */
  when: string;
  /** Name of the drill. */
  drill: string;
}

/** A tool did not fit its head: the head’s size is taken back to what is only assumed, so that it is measured again. */
export const doesNotFit = (fastener: Fastener, tool: string, shown: Shown): Fastener =>
  climb(fastener, {
    evidence: 'assumed',
    who: shown.who,
    when: shown.when,
    how: `${tool || 'the tool'} did not fit in a drill: ${shown.drill}`.slice(0, 200),
  });

/** A head that was turned in a drill is proven. */
export const turnedIn = (fastener: Fastener, shown: Shown): Fastener =>
  climb(fastener, {
    evidence: 'proven',
    who: shown.who,
    when: shown.when,
    how: `turned in a drill: ${shown.drill}`.slice(0, 200),
  });

/** What stands in a tool's way, as it was seen. */
export type AccessSeen =
  | { by: 'headroom' | 'clearance' | 'thin'; mm: number }
  | { by: 'swing'; degrees: number }
  | { by: 'recess'; mm: number };

/** A head that the hand could not reach: what is free there. */
export function cannotReach(fastener: Fastener, end: 'near' | 'far', seen: AccessSeen): Fastener {
  const set = (access: Access): Access =>
    seen.by === 'swing' ? { ...access, swing: seen.degrees } : { ...access, [seen.by]: seen.mm };
  return end === 'near'
    ? { ...fastener, access: set(fastener.access) }
    : { ...fastener, farAccess: set(fastener.farAccess) };
}

/** A piece that bent, slipped or broke: it counts for nothing until it is replaced. */
export const tooWeak = (piece: Piece): Piece => ({ ...piece, condition: 'broken' });

/** A thing that was not where the list says: missing from the next kit until it is found or replaced. */
export const missing = (
  of: { item: string; name: string },
  given: { id: string; on: string; drill: string },
): Loan => ({
  id: given.id,
  item: of.item,
  name: of.name.slice(0, 120),
  count: 1,
  to: 'missing',
  date: given.on,
  settled: null,
  note: `Not found in a drill: ${given.drill}`,
});

/** Somebody who did not know how: in that subject they can do one step less than the way asks. */
export function cannotDo(person: Person, subject: Subject, asked: Skill): Person {
  const now = skillIn(person, subject);
  const less = Math.max(1, Math.min(now, asked) - 1) as Skill;
  return less < now ? { ...person, skills: { ...person.skills, [subject]: less } } : person;
}

/** A thing that lay elsewhere: that is its place from now on. */
export const liesIn = (item: string, placeId: string, given: { id: string; bikeId: string }): Pin => ({
  id: given.id,
  bikeId: given.bikeId,
  item,
  placeId,
});

const MARKS: Readonly<Record<'head' | 'function' | 'supply', (what: string) => string>> = {
  head: (what) => `{${what}}`,
  function: (what) => `[${what}]`,
  supply: (what) => `<${what}>`,
};
/** A step as a rider writes it, its needs marked. */
export function stepLine(step: WayStep): string {
  const times = (what: string, n: number) => (n > 1 ? `${what} ×${n}` : what);
  const marks = step.needs.map((n) =>
    n.by === 'head'
      ? MARKS.head(n.ifAny ? `${n.role}?` : n.role)
      : n.by === 'function'
        ? MARKS.function(times(n.does, n.count))
        : MARKS.supply(times(n.kind, n.units)),
  );
  return [step.text, ...marks].join(' ');
}

/**
 * A way with a step of the rider's own in it: a repair of one's own that stands beside the known one.
 * @param step.at number of the step before which it goes, out and back counted on
 */
export function withOwnStep(
  trouble: Trouble,
  way: Way,
  step: { at: number; text: string },
  given: { id: string; minutes: number },
): OwnMend {
  const out = way.out.filter((s) => s.text !== '').map(stepLine);
  const back = way.back.filter((s) => s.text !== '').map(stepLine);
  if (step.at < out.length || back.length === 0) out.splice(Math.min(step.at, out.length), 0, step.text);
  else back.splice(Math.min(step.at - out.length, back.length), 0, step.text);
  return {
    id: given.id,
    trouble: trouble.id,
    name: `${way.name}, my way`.slice(0, 120),
    subject: trouble.subject,
    rate: { paved: 0, gravel: 0, track: 0 },
    stops: trouble.stops,
    nuisance: trouble.nuisance,
    grade: way.grade,
    minutes: Math.round(given.minutes),
    skill: way.skill,
    out: out.slice(0, 30),
    back: back.slice(0, 30),
    caution: way.caution.slice(0, 300),
    note: '',
  };
}

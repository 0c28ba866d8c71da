import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';
import { shuffled } from './draws.js';
import type { Memory } from './memory.js';
import type { ProveCase } from './proveCase.js';
import { rehearsal, type Lies } from './rehearsal.js';

/** One question: what is needed for a step of a repair, and where it lies. */
export interface FindCard {
  /** `<trouble> <item>`, as memories name it. */
  card: string;
  trouble: string;
  step: string;
  /** The thing, and where it lies. */
  lies: Lies;
  /** Chance that the trip asks for it. */
  odds: number;
}

/** Cards that one kit has at most: the likeliest troubles first. */
const MOST_CARDS = 60;
/** Things of one trouble that are asked at most. */
const EACH = 4;

/** What can be asked of a kit: for each likely trouble the things of its way, with the step that they are for. */
export function findCards(c: ProveCase): FindCard[] {
  const out: FindCard[] = [];
  const likely = [...c.exposures].filter((e) => e.lambda > 0).sort((a, b) => b.odds - a.odds);
  for (const e of likely) {
    const way = c.kit.mends.find((m) => m.troubleId === e.trouble.id && m.bikeId === c.bike.id && m.way !== null);
    const r = way ? rehearsal(c, e.trouble.id, way.wayName) : null;
    if (!r) continue;
    const seen = new Set<string>();
    for (const s of r.steps.filter((x) => x.part !== 'get out'))
      for (const lies of s.needs.flatMap((n) => n.lies)) {
        if (lies.placeId === null || seen.has(lies.key) || seen.size >= EACH) continue;
        seen.add(lies.key);
        out.push({
          card: `${e.trouble.id} ${lies.key}`.slice(0, 240),
          trouble: e.trouble.name,
          step: s.text,
          lies,
          odds: e.odds,
        });
      }
    if (out.length >= MOST_CARDS) break;
  }
  return out.slice(0, MOST_CARDS);
}

/** A right answer within so many seconds is easy, up to the second figure good, later hard. Planning values. */
export const EASY_SECONDS = 5;
export const GOOD_SECONDS = 12;

/**
 * How an answer is taken: wrong in what or where is forgotten.
 * @param seconds that the answer took
 */
export const answerGrade = (right: boolean, seconds: number): Grade =>
  !right ? Rating.Again : seconds <= EASY_SECONDS ? Rating.Easy : seconds <= GOOD_SECONDS ? Rating.Good : Rating.Hard;

const SCHEDULE = fsrs({ enable_fuzz: false });

const cardOf = (m: Memory): Card => ({
  due: new Date(m.due),
  stability: m.stability,
  difficulty: m.difficulty,
  elapsed_days: 0,
  scheduled_days: m.scheduledDays,
  learning_steps: m.learningSteps,
  reps: m.reps,
  lapses: m.lapses,
  state: m.state,
  ...(m.last === null ? {} : { last_review: new Date(m.last) }),
});

/**
 * The memory of a card after an answer: what was missed comes back within minutes, what was known in ever longer spans.
 * @param before what is remembered of it so far; null for a card never asked
 */
export function remembered(
  before: Memory | null,
  answer: { right: boolean; seconds: number; now: string },
  given: Pick<Memory, 'id' | 'bikeId' | 'who' | 'card' | 'dark'>,
): Memory {
  const now = new Date(answer.now);
  const old = before ? cardOf(before) : createEmptyCard(now);
  const { card } = SCHEDULE.next(old, now, answerGrade(answer.right, answer.seconds));
  const best = answer.right ? Math.min(before?.best ?? Infinity, answer.seconds) : (before?.best ?? null);
  return {
    id: before?.id ?? given.id,
    bikeId: given.bikeId,
    who: given.who,
    card: given.card,
    dark: given.dark,
    due: card.due.toISOString(),
    stability: card.stability,
    difficulty: card.difficulty,
    scheduledDays: card.scheduled_days,
    learningSteps: card.learning_steps,
    reps: card.reps,
    lapses: card.lapses,
    state: card.state,
    last: now.toISOString(),
    best: best === null ? null : Math.round(best * 10) / 10,
  };
}

/** The next card to ask: what is due, the longest overdue first; else one never asked, the likeliest first; null where all is known for now. */
export function nextCard(
  cards: readonly FindCard[],
  memories: readonly Memory[],
  at: { who: string; dark: boolean; now: string; not?: string | null },
): FindCard | null {
  const mine = new Map(memories.filter((m) => m.who === at.who && m.dark === at.dark).map((m) => [m.card, m]));
  const open = cards.filter((k) => k.card !== at.not);
  const due = open
    .flatMap((k) => {
      const m = mine.get(k.card);
      return m && m.due <= at.now ? [{ k, due: m.due }] : [];
    })
    .sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
  return due[0]?.k ?? open.find((k) => !mine.has(k.card)) ?? null;
}

/** When the first card comes back; null where none was asked yet. */
export const nextDue = (memories: readonly Memory[], who: string, dark: boolean): string | null =>
  memories
    .filter((m) => m.who === who && m.dark === dark)
    .map((m) => m.due)
    .sort()[0] ?? null;

/**
 * Things to choose from: the right one and others of the kit, none that would do as well; in an order that hangs on the seed.
 * @param seed whole
 * @param most things in all, the right one in them
 */
export function thingsToChoose(card: FindCard, c: ProveCase, seed: number, most = 6): Lies[] {
  const right = card.lies;
  const same = rightAnswers(card, c);
  const others = new Map<string, Lies>();
  for (const k of findCards(c)) if (!same.has(k.lies.key)) others.set(k.lies.name, k.lies);
  return shuffled([right, ...shuffled([...others.values()], seed).slice(0, most - 1)], seed + 1);
}

/** Keys of all that serves the step of a card as well as its thing: another copy, another piece that does the same. */
export function rightAnswers(card: FindCard, c: ProveCase): Set<string> {
  const [trouble] = card.card.split(' ');
  const keys = findCards(c)
    .filter((k) => k.card.startsWith(`${trouble} `) && k.step === card.step)
    .map((k) => k.lies.key);
  const name = card.lies.name.replace(/ \(\d+ of \d+\)$/u, '');
  const copies = c.packing.stowed.filter((s) => s.item.name.replace(/ \(\d+ of \d+\)$/u, '') === name);
  return new Set([card.lies.key, ...keys, ...copies.map((s) => s.item.key)]);
}

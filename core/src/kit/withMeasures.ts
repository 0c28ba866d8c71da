import type { Solve } from '../ground/milp.js';
import { present } from '../ground/numbers.js';
import { kitFor, type KitHint } from './choose.js';
import type { Kit } from './kit.js';
import { kitProblem, type KitProblem } from './optimum/kitProblem.js';
import { priceOfGram } from './optimum/worth.js';
import type { KitRows } from './rows.js';

/** Measures that might be taken and are weighed against carrying, at most: every selection of them is a problem of its own. */
const MOST_OPEN = 4;

/** Selections of the measures that a bike might have. */
function selections(doc: KitRows, bikeId: string): string[][] {
  const open = (doc.bikes.find((b) => b.id === bikeId)?.prevention ?? [])
    .filter((p) => p.state === 'may')
    .slice(0, MOST_OPEN);
  return Array.from({ length: 2 ** open.length }, (_, bits) =>
    open.filter((_p, i) => bits & (1 << i)).map((p) => p.id),
  );
}

/** What is lost without any kit, in the question's value: measures beforehand make it less. */
function lostBare({ asks, question }: Tried['problem']): number {
  return asks.reduce((s, { law, exposure: e }) => {
    const hours = law.mean * e.without;
    if (question.value === 'hours') return s + hours;
    return s + hours * question.hourEuros + (e.trouble.stops ? law.mean * question.fetchEuros : 0);
  }, 0);
}
/** A kit, and the problem with the measures that it was chosen for. */
export interface Tried {
  kit: Pick<Kit, 'as' | 'served' | 'mass' | 'saved' | 'value'>;
  problem: Pick<KitProblem, 'asks' | 'question'>;
}
/** What a kit and the measures behind it leave lost, the less the better; where each gram has a price, that on top. */
const leftLost = ({ kit, problem }: Tried): number =>
  lostBare(problem) - kit.value + (kit.as === 'worth' ? priceOfGram(problem) * kit.mass : 0);

/**
 * Whether a kit with its measures is better than another of the same question with its own: of the lightest the one that meets the service level,
 * then the lighter one, then what saves more; of the others what leaves less lost within the limit of mass.
 */
export function betterWith(one: Tried, than: Tried): boolean {
  const [a, b] = [one.kit, than.kit];
  if (a.as !== 'lightest')
    return (
      leftLost(one) < leftLost(than) - 1e-9 &&
      (a.as === 'worth' || a.mass <= Math.max(one.problem.question.mass, b.mass))
    );
  if (a.served !== b.served) return a.served;
  return Math.abs(a.mass - b.mass) > 1e-9 ? a.mass < b.mass : a.saved > b.saved;
}

/**
 * The kit of a bike and trip: tools, spares, consumables and prevention at once. Every selection of the measures that might be taken is solved,
 * its grams counted, and the best of all is it.
 * @param owned units of each kind of spare that are there
 */
export function chosenKit(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  problem: KitProblem,
  solve: Solve,
  owned: ReadonlyMap<string, number>,
  hint: KitHint | null = null,
): { kit: Kit; problem: KitProblem } {
  const kept = doc.kits.find((k) => k.id === problem.question.use) ?? null;
  let best: { kit: Kit; problem: KitProblem } | null = null;
  for (const also of kept ? [[]] : selections(doc, question.bikeId)) {
    const one = also.length === 0 ? problem : kitProblem(doc, question, problem.tools, also);
    const fitted = one.prevention.reduce((s, p) => s + p.mass, 0);
    const under = { ...one.question, mass: Math.max(0, one.question.mass - fitted) };
    const limited = { ...one, question: under, others: one.others.map((o) => ({ ...o, question: under })) };
    const kit = kitFor(limited, solve, owned, kept, null, also.length === 0 ? hint : null);
    if (!best || betterWith({ kit, problem: one }, best)) best = { kit, problem: one };
  }
  return present(best);
}

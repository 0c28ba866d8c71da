import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { preventionsFor } from '../repairs/index.js';
import { answerFor } from './answer.js';
import { AnswerMemory } from './answerMemory.js';
import type { Question } from './question.js';

/** What one measure before leaving does to the kit and to what is left at stake. Positive grams are heavier, positive hours are less at stake. */
export interface PreventionCost {
  id: string;
  grams: number;
  hours: number;
  home: number;
}

/**
 * Each measure that is not done yet, done: the kit solved whole with and without it.
 * @param onProgress told the share done, 0 to 1
 */
export function preventionCosts(
  doc: GarageDocument,
  question: Question,
  solve: Solve,
  onProgress: (share: number) => void = () => {},
): PreventionCost[] {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const memory = new AnswerMemory();
  const done = bike.prevention.filter((p) => p.state === 'done');
  const kitWith = (prevention: typeof bike.prevention) =>
    answerFor(
      { ...doc, bikes: doc.bikes.map((b) => (b.id === bike.id ? { ...b, prevention } : b)) },
      { ...question, hint: null },
      solve,
      () => {},
      memory,
    );
  const lostWith = (a: ReturnType<typeof kitWith>) =>
    a.ridden.reduce((s, r) => s + r.law.mean * r.exposure.without, 0) - a.kit.saved;
  const now = kitWith(done);
  const open = preventionsFor(bike).filter((p) => !done.some((d) => d.id === p.id));
  return open.map((p, i): PreventionCost => {
    onProgress(i / open.length);
    const then = kitWith([...done, { id: p.id, state: 'done' }]);
    return {
      id: p.id,
      grams: Math.round((then.kit.mass - now.kit.mass) * 10) / 10,
      hours: lostWith(now) - lostWith(then),
      home: then.kit.home - now.kit.home,
    };
  });
}

import { positionsOf, practiceSchema, SWITCHES, type Practice, type Switch } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { answerFor, type Answer } from './answer.js';
import { AnswerMemory } from './answerMemory.js';
import type { Question } from './question.js';

/** Not compared: a kit of the whole catalogue takes long to prove, what is made least is no kit of its own, and who rides along is no choice. */
const NOT_COMPARED: readonly Switch[] = ['from', 'least', 'hand'];
/** The switches whose positions are compared. */
export const COMPARED = SWITCHES.filter((key) => !NOT_COMPARED.includes(key));

/** What another position of one switch makes of the kit, against the kit as it is. Positive grams are heavier, positive hours are more saved. */
export interface SwitchCost {
  key: Switch;
  position: string;
  grams: number;
  /** Hours saved over the trip, and chance of getting home by own means. */
  hours: number;
  home: number;
  /** Heads that the kit reaches more (or fewer). */
  reached: number;
  /** Things more (or fewer) that no place takes. */
  loose: number;
  proven: boolean;
}

const looseIn = (a: Answer) => a.packing.stowed.filter((s) => s.placeId === null).length;

/**
 * What each other position of each switch costs or saves here: both kits are solved whole.
 * @param onProgress told the share done, 0 to 1
 */
export function switchCosts(
  doc: GarageDocument,
  question: Question,
  solve: Solve,
  onProgress: (share: number) => void = () => {},
): SwitchCost[] {
  const practice = doc.garage.practice;
  const memory = new AnswerMemory();
  const kitWith = (change: Partial<Practice>) =>
    answerFor(
      { ...doc, garage: { ...doc.garage, practice: practiceSchema.parse({ ...practice, ...change }) } },
      { ...question, hint: null },
      solve,
      () => {},
      memory,
    );
  const now = kitWith({});
  const asked = COMPARED.flatMap((key) =>
    positionsOf(key)
      .filter((position) => position !== practice[key])
      .map((position) => ({ key, position })),
  );
  return asked.map(({ key, position }, i): SwitchCost => {
    onProgress(i / asked.length);
    const then = kitWith({ [key]: position } as Partial<Practice>);
    const { kit } = then;
    return {
      key,
      position,
      grams: Math.round((kit.mass - now.kit.mass) * 10) / 10,
      hours: kit.saved - now.kit.saved,
      home: kit.home - now.kit.home,
      reached: kit.reached.length - now.kit.reached.length,
      loose: looseIn(then) - looseIn(now),
      proven: kit.proven && now.kit.proven,
    };
  });
}

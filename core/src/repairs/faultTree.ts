import { readStep, type WayStep } from './way.js';

/** One question of a search for a fault: what to try, and where each answer leads. */
export interface Test {
  id: string;
  /** Shown before the step; empty where nothing can happen. */
  caution: string;
  step: WayStep;
  /** What both answers look like; each leads to another test, or to a trouble that is then the cause. */
  answers: { seen: string; then: { test: string } | { trouble: string } }[];
  /** Number of the answer that is seen where the fault is none that this test looks for. */
  sound: number;
  /** The answer that another cause shows where it is not the sound one, by `<test> <number of the answer>` at which that cause's search ends. */
  instead: Readonly<Record<string, number>>;
  /** Not done while it may still be one of these troubles: it would make them worse. */
  never: readonly string[];
}
/** A way from a symptom to its cause. */
export interface FaultTree {
  id: string;
  symptom: string;
  /** Other words for it, as riders say them. */
  words: string;
  /** Whether its tests go in their order, whatever is likelier: people first, and what burns. */
  inOrder: boolean;
  /** What is done, and not done, before anything else; empty where nothing is. */
  first: string;
  tests: readonly Test[];
}

/** A search from what differs. */
export const tree = (given: Pick<FaultTree, 'id' | 'symptom' | 'words' | 'tests'> & Partial<FaultTree>): FaultTree => ({
  inOrder: false,
  first: '',
  ...given,
});

type Answer = [seen: string, then: string];
/** A test; an answer that begins with `?` leads to another test, else to a trouble. */
export const test = (id: string, line: string, ...answers: Answer[]): Test => ({
  id,
  caution: '',
  step: readStep(line),
  answers: answers.map(([seen, then]) => ({
    seen,
    then: then.startsWith('?') ? { test: then.slice(1) } : { trouble: then },
  })),
  // Where all is well the search goes on, or it ends in what is left.
  sound:
    answers.findIndex(([, then]) => then.startsWith('?')) < 0
      ? answers.length - 1
      : answers.findIndex(([, then]) => then.startsWith('?')),
  instead: {},
  never: [],
});

/** A test that can hurt, with its caution. */
export const careful = (caution: string, t: Test): Test => ({ ...t, caution });

/** A test whose sound answer is another than the one that leads on, or that is not done while it may be something. */
export const but = (more: Partial<Pick<Test, 'sound' | 'instead' | 'never'>>, t: Test): Test => ({ ...t, ...more });

export const PROBE =
  'A probe that slips from positive to metal makes sparks and burns: hold it by its insulation, and keep other metal away.';
export const LIVE = 'Ignition volts knock you down: hands off plug, cap and lead while the engine turns.';

import '../noEval';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import {
  absenceOf,
  aloneMass,
  crewAnswer,
  crewCase,
  crewSwitchCosts,
  cureOfGaps,
  effectOf,
  firstShare,
  judgeCrew,
  leaning,
  matchingOf,
  moved,
  riderAdds,
  riderFile,
  shareOut,
  stowOfRider,
  swapsOf,
  without,
  withMore,
  writeGarageFile,
  type Absence,
  type Crew,
  type CrewAnswer,
  type CrewCase,
  type CrewCure,
  type CrewRows,
  type CrewSwitchCost,
  type Effect,
  type Goals,
  type Judged,
  type Matching,
  type RiderAdds,
  type RiderStow,
  type Shared,
  type Swap,
} from '@necessaire/core';
import { solverAt } from './solver';

const solver = solverAt(wasmUrl);
// Fetched while the first question is still on its way; a failure is told with the answer.
void solver().catch(() => undefined);
/** The crew that was shared out last: what is asked of it afterwards is of this one. */
let now: { c: CrewCase; shared: Shared; answer: CrewAnswer; judged: Judged } | null = null;

const known = () => {
  if (!now) throw new Error('nothing is shared out yet');
  return now;
};

/** Who carries what, and what follows from it; the same functions that the command line calls. */
const worker = {
  /** Shares the kit out; told a first sharing at once. @returns null where nobody of the crew is there */
  async share(
    doc: CrewRows,
    crew: Crew,
    today: string,
    tell: (answer: CrewAnswer) => void,
  ): Promise<CrewAnswer | null> {
    const c = crewCase(doc, crew, today);
    if (!c) return null;
    tell(crewAnswer(c, firstShare(c), false));
    const shared = shareOut(c, await solver());
    if (!shared) return null;
    const answer = crewAnswer(c, shared);
    now = { c, shared, answer, judged: judgeCrew(c, shared) };
    return answer;
  },
  /** Grams that each would carry alone. */
  async alone(): Promise<(number | null)[]> {
    const { c } = known();
    const solve = await solver();
    const out: (number | null)[] = [];
    for (let i = 0; i < c.members.length && known().c === c; i++) {
      out.push(aloneMass(c, i, solve));
      // What is asked meanwhile, as over a thing that is held, does not wait for all of them.
      await new Promise((heard) => setTimeout(heard));
    }
    return out;
  },
  leaning(): number[][] {
    const { c, shared } = known();
    return leaning(c, shared);
  },
  absence(gone: number): Absence {
    const { c, shared } = known();
    return absenceOf(c, shared, gone);
  },
  /**
   * The lightest addition that closes what is missing without somebody; with nobody gone what would close the gaps as they are, if there were more
   * of what is owned.
   */
  async cure(gone: number | null): Promise<CrewCure | null> {
    const { c, shared } = known();
    return cureOfGaps(gone === null ? withMore(c) : without(c, [gone]), shared, await solver());
  },
  /** What handing one thing on would do. */
  effect(item: string, from: number, to: number): Effect {
    const { c, shared, judged } = known();
    return effectOf(c, shared, moved(c, shared, item, from, to), judged);
  },
  /** Each rider’s part, stowed on their own bike. */
  stow(goals: Goals): (RiderStow | null)[] {
    const { c, shared } = known();
    return c.carriers.map((_, r) => stowOfRider(c, shared, r, goals));
  },
  /** What one rider adds in grams and takes off in hours. */
  async adds(who: number): Promise<RiderAdds | null> {
    const { c, shared } = known();
    return riderAdds(c, shared, who, await solver());
  },
  async switchCosts(doc: CrewRows, crew: Crew, today: string): Promise<CrewSwitchCost[]> {
    return crewSwitchCosts(doc, crew, today, await solver());
  },
  matching(): Matching {
    return matchingOf(known().c.members);
  },
  /** Heads whose change to another size would free most weight over all bikes. */
  async swaps(): Promise<Swap[]> {
    return swapsOf(known().c, await solver());
  },
  /** The list of one rider as a garage file of theirs. */
  file(member: number, made: string): string {
    const { c, answer } = known();
    return writeGarageFile(riderFile(c, answer, member, { nextId: () => crypto.randomUUID(), made }));
  },
};
export type CrewWorker = typeof worker;
expose(worker);

import {
  isEither,
  learned,
  paceFrom,
  pacesOf,
  savedByWay,
  wayKey,
  type OwnPace,
  type PaceOf,
  type Skill,
  type Wheel,
} from '../repairs/index.js';
import { baseWay, paceOf, plannedMinutes, type ProveCase } from './proveCase.js';
import { noProof, readiness, wheelsLeft, type Proof, type Readiness } from './proven.js';
import { dryWhy, practiseOn, type DryWhy } from './rehearsal.js';

/**
 * Of ways that nobody went through, so many fail with the kit as it is, the more so the more they ask of hands: a piece forgotten, a head that does
 * not move, a bead that does not come. Planning values.
 */
export const UNTRIED_FAILS: Readonly<Record<Skill, number>> = { 1: 0.05, 2: 0.1, 3: 0.2 };
/** Minutes that laying out and packing away again take beside the drill itself. Planning value. */
export const AROUND = 5;

/** A drill that could be done, and what it is worth on this trip. */
export interface DrillOffer {
  troubleId: string;
  name: string;
  /** The way that the kit goes, and its own name. */
  way: string;
  wayName: string;
  /** Which wheel it would be, where the way is for either; null elsewhere. */
  wheel: Wheel | null;
  /** Minutes that it will take, as far as is known: by day, laying out included. */
  minutes: number;
  /** Times that the rider did it. */
  times: number;
  /** Hours that the practice itself saves on the trip, by the learning curve. */
  quicker: number;
  /** Hours of the trip that it would prove, and what of these the proof guards. */
  proves: number;
  guards: number;
  /** Hours in all, and for each hour of practice. */
  worth: number;
  rate: number;
  /** Why it is gone through dry only; null where it can be done. */
  dry: DryWhy | null;
  /** What to practise on in the bike's stead; empty for the bike itself. */
  on: string;
}

/** Own times, read once for all offers: of whoever practises, and of the quickest who ride. */
interface Known {
  mine: ReadonlyMap<string, PaceOf>;
  pace: OwnPace;
}

/** What the next drill by somebody would be worth: the learning it brings, and what it proves. */
function offer(c: ProveCase, p: Proof, known: Known): DrillOffer | null {
  const e = c.exposures.find((x) => x.trouble.id === p.troubleId);
  const way = e?.trouble.ways.find((w) => w.name === p.way);
  const base = e && p.way !== null ? baseWay(e.trouble, p.way) : undefined;
  if (!e || !way || !base) return null;
  const planned = plannedMinutes(c, e.trouble, way, base.name, known.pace);
  const key = wayKey(e.trouble.id, base.name);
  const mine = known.mine.get(key);
  const pace = mine ?? paceFrom([]);
  const minutes = planned * pace.factor + AROUND;
  const dry = dryWhy(e.trouble, way);
  // On the road whoever is quickest by own times does it: practice counts once it makes somebody quicker than that.
  const now = known.pace.get(key) ?? 1;
  const then = Math.min(now, mine ? mine.after : learned(2));
  const saves = (minutes: number) => savedByWay({ ...way, minutes }, e.without, e.away);
  // What anybody can do at once has nothing to learn.
  const quicker =
    dry === null && p.saved > 0 && way.skill > 1
      ? e.lambda * (saves((way.minutes / now) * then) - saves(way.minutes))
      : 0;
  const shown = c.drills.filter(
    (d) => d.bikeId === c.bike.id && d.trouble === e.trouble.id && d.way === base.name && noProof(d, c) === null,
  );
  const wheels = wheelsLeft(base, shown);
  // One drill shows one wheel.
  const proves = dry === null ? Math.max(0, p.saved - p.proven) / Math.max(1, wheels.length) : 0;
  const guards = proves * UNTRIED_FAILS[way.skill];
  const worth = quicker + guards;
  return {
    troubleId: e.trouble.id,
    name: e.trouble.name,
    way: way.name,
    wayName: base.name,
    wheel: wheels[0] ?? (isEither(base) ? 'front' : null),
    minutes,
    times: pace.times,
    quicker,
    proves,
    guards,
    worth,
    rate: worth / (minutes / 60),
    dry,
    on: practiseOn(way),
  };
}

/**
 * Drills in the order of what they are worth for each hour of practice: hours that the trip gets shorter by the learning curve, and hours that would
 * be lost if a way that nobody went through fails (docs/model.md, which drill next).
 * @param who whose practice it would be
 * @param haveMinutes only those that fit this time; null for all
 */
export function drillOffers(
  c: ProveCase,
  who: string,
  haveMinutes: number | null = null,
  ready: Readiness = readiness(c),
): DrillOffer[] {
  const known: Known = { mine: pacesOf(c.drills, who), pace: paceOf(c) };
  return ready.troubles
    .flatMap((p) => offer(c, p, known) ?? [])
    .filter((o) => haveMinutes === null || o.minutes <= haveMinutes)
    .sort(
      (a, b) => b.rate - a.rate || b.worth - a.worth || a.minutes - b.minutes || (a.troubleId < b.troubleId ? -1 : 1),
    );
}

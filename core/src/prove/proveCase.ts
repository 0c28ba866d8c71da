import type { Bike, Fastener } from '../bike/index.js';
import type { Having, Kit } from '../kit/index.js';
import { NIGHT_WORK, quickest, wayKey, type Drill, type OwnPace, type Trouble, type Way } from '../repairs/index.js';
import type { SupplyBook } from '../repairs/supplies/index.js';
import type { Packing, Place } from '../stow/index.js';
import type { Chain } from '../toolbox/chains/index.js';
import type { Practice } from '../toolbox/practice.js';
import { darkShare, type Exposure } from '../trip/odds/index.js';
import type { Trip } from '../trip/index.js';

/** What of an answer proof is given for: the kit, what it turns, where it lies, and what can go wrong. */
export interface Answered {
  kit: Kit;
  kitUse: Readonly<Record<string, Chain[]>>;
  exposures: readonly Exposure[];
  packing: Pick<Packing, 'stowed'>;
}

/** A bike with its packed kit for a trip, and what was done with it so far. */
export interface ProveCase extends Answered {
  bike: Bike;
  trip: Trip | null;
  /** All that can happen to this bike, on its trip or on none, with its own minutes. */
  troubles: readonly Trouble[];
  fasteners: readonly Fastener[];
  places: readonly Place[];
  practice: Practice;
  book: SupplyBook;
  drills: readonly Drill[];
  /** Who rides, as drills name them. */
  riders: ReadonlySet<string>;
  /** ISO date. */
  today: string;
}

/** The way as it is written, of one that may be named with what it goes quicker with. */
export function baseWay(trouble: Pick<Trouble, 'ways'>, name: string): Way | undefined {
  const known = trouble.ways.find((w) => w.name === name);
  if (known && !known.helped) return known;
  return trouble.ways.find((w) => !w.helped && name.startsWith(`${w.name}, with `));
}

/** The pace of whoever rides, from own times. */
export const paceOf = (c: Pick<ProveCase, 'drills' | 'riders'>): OwnPace => quickest(c.drills, c.riders);

/** Minutes of a way on this bike as planned: by day, and without own times, which the trip's minutes have in them. */
export function plannedMinutes(
  c: Pick<ProveCase, 'drills' | 'riders' | 'trip'>,
  trouble: Pick<Trouble, 'id' | 'subject'>,
  way: Pick<Way, 'minutes'>,
  wayName: string,
  pace: OwnPace = paceOf(c),
): number {
  const own = pace.get(wayKey(trouble.id, wayName)) ?? 1;
  // Work that falls due is planned for no certain hour.
  const dark = trouble.subject === 'service' || !c.trip ? 0 : darkShare(c.trip);
  return way.minutes / own / (1 + (NIGHT_WORK - 1) * dark);
}

/** What of a case says whether a need is met: the kit, its chains by name, the heads and the practice. */
export const havingOf = (
  c: Pick<ProveCase, 'kit' | 'kitUse' | 'fasteners' | 'practice' | 'book'>,
): Having & { book: SupplyBook } => ({
  kit: c.kit,
  chains: Object.fromEntries(
    Object.entries(c.kitUse).map(([id, list]) => [id, list.map((chain) => chain.links.map((l) => l.piece.name))]),
  ),
  fasteners: c.fasteners,
  practice: c.practice,
  book: c.book,
});

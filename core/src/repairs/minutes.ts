import { at } from '../ground/numbers.js';
import type { Bike } from '../bike/index.js';
import type { PieceFunction } from '../toolbox/tools/index.js';
import type { Trouble } from './trouble.js';
import { wayKey, type OwnPace } from './pace.js';
import { needsOf, type Better, type Way } from './way.js';

/** A middling bike's mass, grams: what the minutes of the ways are written for. Planning value. */
const USUAL_MASS = 150_000;
/** More minutes for each 50 kg above that, wherever the bike is lifted off a wheel. Planning value. */
const MINUTES_PER_50_KG = 4;
/** Minutes that a centre stand spares, where the bike is lifted. Planning value. */
const STAND_SPARES = 5;
/** More minutes for the tight beads of a tubeless rim, wherever a tyre comes off it. Planning value. */
const TIGHT_BEADS = 15;
/** In the dark the same work takes so much longer. Planning value. */
export const NIGHT_WORK = 1.5;
/** What is left of the minutes at least, whatever helps. */
const LEAST_SHARE = 0.3;

/** What the minutes of a way hang on besides the way itself. */
export interface WorkingOn {
  bike: Pick<Bike, 'mass' | 'tyres' | 'fitted'>;
  /** Whether somebody rides along who can lend a hand. */
  company: boolean;
  /** Share of the hours in the dark, 0 to 1. */
  dark: number;
  /** Factors from own times; none where nobody did it yet. */
  own?: OwnPace;
}

/** Minutes of a way on a bike, and what they are made of. */
export interface Minutes {
  minutes: number;
  parts: { what: string; minutes: number }[];
}

/**
 * Minutes that a way takes on a bike: those it is written with, more for a heavy bike that is lifted, less with a centre stand, more for beads of
 * a tubeless rim, less with a second pair of hands, as own times say, more in the dark (docs/model.md, minutes of a repair).
 * @param own factor from own times of this way
 */
export function minutesOn(
  way: Pick<Way, 'minutes' | 'out' | 'back' | 'second'>,
  on: Omit<WorkingOn, 'own'>,
  own = 1,
): Minutes {
  const { heads, functions } = needsOf(way);
  const parts = [{ what: 'the work, on a bike of 150 kg', minutes: way.minutes }];
  const add = (what: string, minutes: number) => {
    if (Math.abs(minutes) >= 0.05) parts.push({ what, minutes });
  };
  if (heads.some((h) => h.role === 'front axle' || h.role === 'rear axle')) {
    add('the weight of this bike', (Math.max(0, on.bike.mass - USUAL_MASS) / 50_000) * MINUTES_PER_50_KG);
    if (on.bike.fitted.includes('centre stand')) add('its centre stand', -STAND_SPARES);
  }
  if (functions.some((f) => f.does === 'lever tyre' && f.count > 1) && on.bike.tyres === 'tubeless')
    add('the tight beads of a tubeless rim', TIGHT_BEADS);
  if (on.company) add('a second pair of hands', -way.second);
  const planned = Math.max(way.minutes * LEAST_SHARE, sum(parts));
  add('your own times', planned * (own - 1));
  const light = planned * own;
  add('the hours in the dark', light * (NIGHT_WORK - 1) * on.dark);
  return { minutes: light + light * (NIGHT_WORK - 1) * on.dark, parts };
}
const sum = (parts: readonly { minutes: number }[]) => parts.reduce((s, p) => s + p.minutes, 0);

/** What does a function, as one says it behind the name of a way. */
const DOER: Readonly<Partial<Record<PieceFunction, string>>> = {
  'electric air': 'an electric pump',
  prop: 'a prop under the wheel',
  'lay out': 'a ground sheet',
  'pull valve': 'a valve puller',
  'spread rings': 'ring pliers',
  'turn filter': 'a filter strap',
  'read codes': 'a code reader',
  pick: 'a pick',
  drill: 'a powered drill',
};
/** What a thing that helps is called. */
export const betterWords = ({ need }: Better): string =>
  need.by === 'function'
    ? (DOER[need.does] ?? `something to ${need.does}`)
    : need.by === 'supply'
      ? need.kind
      : `a tool for the ${need.role}`;

/** The same way with what it goes quicker with: it asks for that too, and takes less time. */
export const withBetter = (way: Way, better: Better): Way => ({
  ...way,
  name: `${way.name}, with ${betterWords(better)}`,
  minutes: Math.max(way.minutes * LEAST_SHARE, way.minutes - better.saves),
  out: [...way.out, { text: '', only: {}, needs: [better.need] }],
  better: [],
  helped: true,
});

/** A trouble whose minutes hang on no bike, at the pace of own times. */
export function paced(trouble: Trouble, own: OwnPace): Trouble {
  if (own.size === 0) return trouble;
  const ways = trouble.ways.map((w) => ({ ...w, minutes: w.minutes * (own.get(wayKey(trouble.id, w.name)) ?? 1) }));
  return { ...trouble, ways, mend: at(ways, 0).minutes / 60 };
}

/** A trouble as it is on a bike: each way with its minutes there, and beside it the same way with what helps. */
export function troubleOn(trouble: Trouble, on: WorkingOn): Trouble {
  const ways = trouble.ways.flatMap((base) =>
    [base, ...base.better.map((b) => withBetter(base, b))].map((w) => ({
      ...w,
      minutes: minutesOn(w, on, on.own?.get(wayKey(trouble.id, base.name))).minutes,
    })),
  );
  return { ...trouble, ways, mend: at(ways, 0).minutes / 60 };
}

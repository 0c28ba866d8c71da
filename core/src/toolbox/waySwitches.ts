import { z } from 'zod';
import type { Bike } from '../bike/index.js';
import type { PieceFunction } from './tools/index.js';

/**
 * A switch of the practice: its positions, the default first. The default is how the program did it before it asked, so that a garage that was written
 * before, which says nothing of it, stays as it was.
 */
export const positions = <const P extends readonly [string, ...string[]]>(...all: P) => z.enum(all).default(all[0]);

/** A function of a piece that a way asks for, and of how many pieces. */
interface AskedFunction {
  does: PieceFunction;
  count: number;
}
/** What a way asks for by what it does and by what is used up. */
interface Asked {
  functions: readonly AskedFunction[];
  supplies: readonly { kind: string; units: number }[];
}
/** A way as a switch judges it: what it asks for on a bike, and what of the trouble and the trip matters to a switch. */
export interface JudgedWay extends Asked {
  /** Heads that it turns. */
  heads: number;
  /** Whether its trouble ends the ride. */
  stops: boolean;
  bike: Bike;
  /** Whether the trip goes through water. */
  crosses: boolean;
}

/** What is asked for in place of a function, and what that uses up. */
interface Instead extends AskedFunction {
  uses?: Asked['supplies'];
}

/** What a switch does to the ways of a trouble. */
interface Effect<P extends string> {
  /** What is asked for in place of one function, and what it uses up; null where it stays as it is. */
  changes?: (asked: AskedFunction, position: P) => Instead | null;
  /** Whether a way does not count. */
  bars?: (way: JudgedWay, position: P) => boolean;
}
/** A switch with what it does, whatever its positions are. */
export interface WaySwitch {
  changes: (asked: AskedFunction, position: string) => Instead | null;
  bars: (way: JudgedWay, position: string) => boolean;
}

/** A switch whose positions change what ways ask for, or which of them count. */
function waySwitch<const P extends readonly [string, ...string[]]>(all: P, { changes, bars }: Effect<P[number]>) {
  const known = (position: string): P[number] => {
    const found = all.find((p) => p === position);
    if (found === undefined) throw new RangeError(`no such position: ${position}`);
    return found;
  };
  return {
    schema: positions(...all),
    changes: (asked: AskedFunction, position: string) => changes?.(asked, known(position)) ?? null,
    bars: (way: JudgedWay, position: string) => bars?.(way, known(position)) ?? false,
  };
}

const uses = (way: Asked, ...kinds: string[]): boolean => way.supplies.some((s) => kinds.includes(s.kind));
const asksFor = (way: Asked, ...functions: PieceFunction[]): boolean =>
  way.functions.some((f) => functions.includes(f.does));

/** Cartridges that one filling takes where gas makes the air. Planning value. */
const GAS_A_FILL = 2;
const AIR = {
  pump: 'inflate',
  electric: 'electric air',
  hand: 'hand air',
  gas: 'gas air',
  two: 'inflate',
} as const satisfies Record<string, PieceFunction>;
const LEVERS = { two: 2, one: 1, three: 3 } as const;

/**
 * Switches that decide which ways of a repair count and what they ask for: each with its positions and what it does. A new one is an entry here and
 * its words; the practice, the screen, the comparison of its positions and the reason why a way does not count come of it.
 */
export const WAY_SWITCHES = {
  /** What makes the air: a pump, with a cartridge to seat a bead; an electric one; one by hand; gas alone; two of them. */
  air: waySwitch(['pump', 'electric', 'hand', 'gas', 'two'], {
    changes: ({ does, count }, air) =>
      does === 'inflate'
        ? {
            does: AIR[air],
            count: air === 'two' ? 2 : count,
            uses: air === 'gas' ? [{ kind: 'gas cartridge', units: GAS_A_FILL }] : [],
          }
        : null,
  }),
  /** Tyre levers: two, one and a long spanner, three. */
  levers: waySwitch(['two', 'one', 'three'], {
    changes: ({ does, count }, levers) => (does === 'lever tyre' && count > 1 ? { does, count: LEVERS[levers] } : null),
  }),
  /** What opens a hole for the plug. */
  reamer: waySwitch(['hand', 'drill'], {
    changes: ({ does }, reamer) => (does === 'ream' && reamer === 'drill' ? { does: 'drill', count: 1 } : null),
  }),
  /** Spare tubes: a front one gets a bike out on the rear wheel too; a tubeless tyre takes one where it is wanted there too. */
  tubes: waySwitch(['front', 'both', 'none', 'tubeless-too'], {
    bars: (way, tubes) => {
      if (!uses(way, 'front tube', 'rear tube')) return false;
      if (tubes === 'none') return true;
      if (way.bike.tyres === 'tubeless') return tubes !== 'tubeless-too';
      return uses(way, 'rear tube') && tubes === 'front';
    },
  }),
  /** What closes a hole in a tubeless tyre: strings, pin plugs, both. */
  plugs: waySwitch(['strings', 'pins', 'both'], {
    bars: (way, plugs) =>
      (plugs === 'strings' && uses(way, 'pin plug')) || (plugs === 'pins' && uses(way, 'plug string')),
  }),
  /** A spare spark plug: with carburettor, two strokes or water on the way; always; never. */
  sparkPlug: waySwitch(['earned', 'carry', 'leave'], {
    bars: (way, plug) => {
      if (!uses(way, 'spark plug') || plug === 'carry') return false;
      const { fuelling, strokes } = way.bike;
      return plug === 'leave' || (fuelling !== 'carburettor' && strokes !== 2 && !way.crosses);
    },
  }),
  /** A bike that cannot go on by itself: carry the means; walk out and recover it later; nothing but a phone. */
  rescue: waySwitch(['carry', 'walk', 'phone'], {
    bars: (way, rescue) => {
      const carries = way.functions.length + way.supplies.length + way.heads > 0;
      return (rescue !== 'carry' && asksFor(way, 'tow', 'haul')) || (rescue === 'phone' && way.stops && carries);
    },
  }),
} satisfies Record<string, WaySwitch>;

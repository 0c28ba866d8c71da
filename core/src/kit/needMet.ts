import type { Practice } from '../toolbox/practice.js';
import type { Bike, Fastener } from '../bike/index.js';
import { needsOf, type Need, type Way } from '../repairs/index.js';
import { practisedNeeds } from './optimum/ways.js';
import { KNOWN, type SupplyBook } from '../repairs/supplies/index.js';
import type { Kit } from './kit.js';

/** What meets a need of a step: what is asked for, by what of the kit, and whether that is enough. */
export interface NeedMet {
  ask: string;
  by: string;
  ok: boolean;
}
/** What of an answer says whether a need is met. */
export interface Having {
  kit: Pick<Kit, 'pieces' | 'spares'>;
  /** Chains of the kit by fastener, as names. */
  chains: Readonly<Record<string, readonly (readonly string[])[]>>;
  /** Fasteners of the bike. */
  fasteners: readonly Fastener[];
  practice: Practice;
  /** Kinds of spare; those known where it is left out. */
  book?: SupplyBook;
}

const times = (what: string, n: number) => (n > 1 ? `${what} ×${n}` : what);

/** Whether a kit meets one need of a step, under the rider's practice: the same needs by which ways are chosen. */
export function needMet(need: Need, { kit, chains, fasteners, practice, book = KNOWN }: Having): NeedMet {
  if (need.by === 'head') {
    const heads = fasteners.filter((f) => f.role === need.role && f.leftOut === null);
    if (heads.length === 0) return { ask: need.role, by: need.ifAny ? 'none on this bike' : '', ok: need.ifAny };
    const all = heads.map((f) => chains[f.id]);
    const first = all.find((c) => c !== undefined);
    return {
      ask: need.role,
      by: first ? first.map((c) => c.join(' → ')).join(' + ') : '',
      ok: all.every((c) => c !== undefined),
    };
  }
  const asked = practisedNeeds(
    {
      heads: [],
      functions: need.by === 'function' ? [need] : [],
      supplies: need.by === 'supply' ? [need] : [],
    },
    practice,
  );
  const parts: NeedMet[] = [
    ...asked.functions.map(({ does, count }): NeedMet => {
      const able = kit.pieces.filter((p) => p.piece.functions.includes(does));
      const n = able.reduce((s, p) => s + p.count, 0);
      return {
        ask: times(does, count),
        by: able
          .slice(0, 2)
          .map((p) => p.piece.name)
          .join(' or '),
        ok: n >= count,
      };
    }),
    ...asked.supplies.map(({ kind, units }): NeedMet => {
      const bolts = kind === 'bolt';
      const spares = kit.spares.filter((s) => (bolts ? s.kind.startsWith('bolt ') : s.kind === kind));
      // Of bolts one thread has to have enough.
      const most = spares.reduce((m, s) => Math.max(m, s.quantity), 0);
      const name = bolts ? 'bolt of its thread' : book.of(kind).name.toLowerCase();
      return { ask: times(name, units), by: most > 0 ? `${most} in the kit` : '', ok: most >= units };
    }),
  ];
  return {
    ask: parts.map((p) => p.ask).join(' and '),
    by: parts
      .map((p) => p.by)
      .filter(Boolean)
      .join(', '),
    ok: parts.every((p) => p.ok),
  };
}

/** Whether a kit meets all needs of a way together: units of several steps are added up, one piece serves all its steps. */
export function wayMet(way: Pick<Way, 'out' | 'back'>, having: Having, bike: Bike | null = null): boolean {
  const { heads, functions, supplies } = needsOf(way, bike);
  const needs: Need[] = [
    ...heads.map((h): Need => ({ by: 'head', ...h })),
    ...functions.map((f): Need => ({ by: 'function', ...f })),
    ...supplies.map((s): Need => ({ by: 'supply', ...s })),
  ];
  return needs.every((n) => needMet(n, having).ok);
}

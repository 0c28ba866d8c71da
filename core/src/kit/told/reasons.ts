import { chainsBy } from '../../toolbox/cover/index.js';
import { catalogue, type Piece, type PieceFunction } from '../../toolbox/tools/index.js';
import { doneOfAsk, savedBy } from '../done.js';
import type { KitPiece, NeededBy, TroubleName } from '../kit.js';
import { availableWays, metWithout } from '../optimum/tools.js';
import { reachedWith, wayOf, type Worked } from './worked.js';

/** What a piece is used for on the trip. */
interface Use {
  /** Expected uses. */
  uses: number;
  /** Troubles whose mend it serves by what it does, and those whose mend turns a head with it. */
  serves: Map<string, TroubleName>;
  turnsFor: Map<string, TroubleName>;
  doing: Set<PieceFunction>;
}
const noUse = (): Use => ({ uses: 0, serves: new Map(), turnsFor: new Map(), doing: new Set() });

/** Expected uses: of what does something by the mends that ask for it, of what turns heads by the mends that turn them. */
function usesOf({ problem, counts, carried, asks }: Worked): Map<string, Use> {
  const uses = new Map<string, Use>();
  const of = (id: string): Use => {
    const known = uses.get(id) ?? noUse();
    uses.set(id, known);
    return known;
  };
  for (const { ask, now } of asks)
    for (const n of now?.requires ?? []) {
      const by = problem.requirements[n]?.by;
      const { id: troubleId, name } = ask.exposure.trouble;
      if (by === undefined) continue;
      if ('does' in by) {
        const { does } = by;
        for (const piece of problem.pieces.filter((p, k) => (counts[k] ?? 0) > 0 && p.functions.includes(does))) {
          const use = of(piece.id);
          use.uses += ask.law.mean;
          use.serves.set(troubleId, { id: troubleId, name });
          use.doing.add(does);
        }
        continue;
      }
      const reach = problem.tools.reaches.find((r) => r.fastener.id === by.fasteners[0]);
      const chains = reach ? (chainsBy(reach, carried) ?? []) : [];
      for (const id of new Set(chains.flatMap((c) => c.links.map((l) => l.piece.id)))) {
        const use = of(id);
        use.uses += ask.law.mean;
        use.turnsFor.set(troubleId, { id: troubleId, name });
      }
    }
  return uses;
}

/** What the kit is without one copy of a piece: only what hangs on the piece can change. */
function withoutPiece({ problem, counts, met, asks }: Worked, p: number): Pick<KitPiece, 'hours' | 'without'> {
  const less = counts.map((n, i) => (i === p ? n - 1 : n));
  const there = availableWays(problem, less, metWithout(problem, counts, met, p));
  const without: KitPiece['without'] = [];
  let hours = 0;
  for (const { ask, index, available, stocked, saved, now } of asks) {
    const left = there[index] ?? [];
    if (available.every((has, k) => has === left[k])) continue;
    const after = doneOfAsk(ask, index, left, stocked);
    const lost = saved - savedBy(ask, after, (w) => w.hours);
    if (lost <= 1e-9) continue;
    hours += lost;
    const then = wayOf(ask, after.by[0] ?? after.beyond);
    if (now === then) continue;
    without.push({
      trouble: ask.name,
      way: now?.way.name ?? '',
      instead: then?.way.name ?? null,
      grade: then?.grade ?? null,
      hours: lost,
    });
  }
  return { hours, without: without.sort((x, y) => y.hours - x.hours) };
}

/** Names of carried pieces whose loss this one makes good: with both gone more heads are lost than with either. */
function standsInFor({ problem, counts, carried, within }: Worked, piece: Piece, index: number): string[] {
  return problem.pieces.flatMap((other, k) => {
    const copies = counts[k] ?? 0;
    if (copies < (k === index ? 2 : 1) || !problem.tools.losable(other)) return [];
    const gone = new Map(carried).set(other.id, copies - 1);
    const both = new Map(gone).set(piece.id, (gone.get(piece.id) ?? 0) - 1);
    return reachedWith(within, both).size < reachedWith(within, gone).size ? [other.name] : [];
  });
}

/** Grams that a purchase has to save before it is spoken of. Planning value. */
const WORTH_SAYING = 100;
/** The lightest tool of the catalogue that does all that a tool does in this kit, where it saves enough. */
function lighterFor(piece: Piece, functions: readonly PieceFunction[]): KitPiece['lighter'] {
  if (functions.length === 0) return null;
  const able = catalogue().filter((m) => functions.every((f) => m.functions.includes(f)));
  const best = able.reduce<(typeof able)[number] | null>((a, b) => (a === null || b.mass < a.mass ? b : a), null);
  const saves = best ? piece.mass - best.mass : 0;
  return best && saves >= WORTH_SAYING ? { name: best.name, mass: best.mass, price: best.price, saves } : null;
}

/** What a piece turns of a fastener that needs it: the heads at the ends whose chains have it. */
function neededOf({ problem, carried }: Worked, id: string, piece: Piece): NeededBy[] {
  const reach = problem.tools.reaches.find((r) => r.fastener.id === id);
  if (!reach) return [];
  const { name, bikeId, station } = reach.fastener;
  const chains = chainsBy(reach, carried) ?? [];
  const heads = reach.ends
    .filter((_, i) => chains[i]?.links.some((l) => l.piece.id === piece.id))
    .map((e) => e.end.head);
  return [{ id, name: name.toLowerCase(), bikeId, station, heads }];
}

/** The pieces of a kit, each with the reasons for it. */
export function piecesOf(worked: Worked): KitPiece[] {
  const { problem, counts, carried, within, reached } = worked;
  const uses = usesOf(worked);
  return problem.pieces.flatMap((piece, i) => {
    const count = counts[i] ?? 0;
    // What stands for spares is told among the spares.
    if (count === 0 || problem.always.some((a) => a.piece === i)) return [];
    const left = reachedWith(within, new Map(carried).set(piece.id, count - 1));
    const needed = [...reached].filter((id) => !left.has(id));
    const use = uses.get(piece.id) ?? noUse();
    const toBuy = problem.tools.offered.has(piece.id);
    // What turns heads is judged with all the others; here only what is carried for what it does.
    const judged = !toBuy && needed.length === 0 && use.turnsFor.size === 0;
    return [
      {
        piece,
        count,
        needed,
        neededBy: needed.flatMap((id) => neededOf(worked, id, piece)),
        serves: [...use.serves.values()],
        turnsFor: [...use.turnsFor.values()],
        standsInFor: needed.length > 0 || use.serves.size > 0 ? [] : standsInFor(worked, piece, i),
        toBuy,
        uses: use.uses,
        lighter: judged ? lighterFor(piece, [...use.doing]) : null,
        ...withoutPiece(worked, i),
      },
    ];
  });
}

import type { Fastener } from '../bike/index.js';
import { ChainFinder, modeFit, reachOf, type Practice, type Reach } from '../chains/index.js';
import { coverProblem, lightestSet, type FunctionNeed, type Lightest, type Solve } from '../cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { exposures } from '../odds/index.js';
import { catalogue, newPiece, usablePieces, type Piece, type PieceModel } from '../tools/index.js';
import { functionNeeds } from './kit.js';

/** What a change does to the lightest set: exact differences of two optima. Positive is lighter and cheaper. */
export interface Difference {
  grams: number;
  /** Price of the pieces carried, euros. */
  euros: number;
  /** Pieces that leave the set, and that come into it. */
  leaves: string[];
  comes: string[];
}
/** A head whose change to a size that the rest of the set turns anyway would free weight. */
export interface Swap extends Difference {
  fastener: Fastener;
}
/** A piece of the catalogue that makes the set lighter. */
export interface Purchase extends Difference {
  model: PieceModel;
}
/** A mark of the rider's that the set has to obey, and what it costs. */
export interface MarkCost extends Difference {
  piece: Piece;
}
export interface Weighs {
  /** Mass of the tools of the lightest set, grams. */
  mass: number;
  swaps: Swap[];
  marks: MarkCost[];
  purchases: Purchase[];
  /** Pieces of the catalogue that could make it lighter, and how many of them were solved. */
  candidates: number;
  solved: number;
}

interface Case {
  reaches: readonly Reach[];
  pieces: readonly Piece[];
  functions: readonly FunctionNeed[];
}

/** Solves one case; null when its marks leave no set. */
function optimum({ reaches, pieces, functions }: Case, solve: Solve): Lightest | null {
  try {
    return lightestSet(coverProblem(reaches, pieces, functions), solve);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

const priceOf = (pieces: readonly Piece[], counts: readonly number[]) =>
  pieces.reduce((s, p, i) => s + counts[i]! * p.price, 0);
function carriedNames(pieces: readonly Piece[], set: Lightest): Map<string, { name: string; n: number }> {
  return new Map(
    pieces.flatMap((p, i) => (set.counts[i]! > 0 ? [[p.id, { name: p.name, n: set.counts[i]! }] as const] : [])),
  );
}
function difference(before: Case, was: Lightest, after: Case, is: Lightest): Difference {
  const [a, b] = [carriedNames(before.pieces, was), carriedNames(after.pieces, is)];
  const more = (x: typeof a, y: typeof a) =>
    [...x].flatMap(([id, { name, n }]) => (n > (y.get(id)?.n ?? 0) ? [name] : []));
  return {
    grams: Math.round((was.total - is.total) * 10) / 10,
    euros: Math.round((priceOf(before.pieces, was.counts) - priceOf(after.pieces, is.counts)) * 10) / 10,
    leaves: more(a, b),
    comes: more(b, a),
  };
}

const byGrams = (a: Difference, b: Difference) => b.grams - a.grams || b.euros - a.euros;

/** Most purchases that are solved: the ones with the most to gain by a hopeful count. */
const MOST_PURCHASES = 60;

/**
 * Where the weight of the tools is, as exact differences of optima: what each head that holds a piece alone would free if it took another size,
 * what each *always* and *never* costs, and which purchase drops the most weight.
 * @param onProgress told the share done, 0 to 1
 */
export function whatWeighs(
  doc: GarageDocument,
  question: { bikeId: string; tripId: string | null },
  solve: Solve,
  onProgress: (share: number) => void = () => {},
): Weighs {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const practice: Practice = doc.garage.practice;
  const pieces = usablePieces(doc.pieces, bike.id);
  const finder = new ChainFinder(
    pieces.filter((p) => p.mark !== 'never'),
    practice,
  );
  const chosen = doc.fasteners.filter((f) => f.bikeId === bike.id && f.leftOut === null);
  const reaches = chosen.map((f) => reachOf(f, finder)).filter((r) => r.best.length > 0);
  const base: Case = { reaches, pieces, functions: trip ? functionNeeds(exposures(bike, trip)) : [] };
  const best = optimum(base, solve);
  if (!best) return { mass: 0, swaps: [], marks: [], purchases: [], candidates: 0, solved: 0 };

  const swaps: Swap[] = reaches.flatMap((reach, i) => {
    onProgress((0.4 * i) / reaches.length);
    // Heads with a task in common with another free nothing alone.
    const after: Case = { ...base, reaches: reaches.filter((r) => r !== reach) };
    const set = optimum(after, solve);
    if (!set || best.total - set.total < 0.05) return [];
    return [{ fastener: reach.fastener, ...difference(base, best, after, set) }];
  });

  const marks: MarkCost[] = pieces.flatMap((piece) => {
    if (piece.mark === null) return [];
    const free = pieces.map((p) => (p.id === piece.id ? { ...p, mark: null } : p));
    const open = new ChainFinder(
      free.filter((p) => p.mark !== 'never'),
      practice,
    );
    const again = piece.mark === 'never' ? reaches.map((r) => reachOf(r.fastener, open)) : reaches;
    const after: Case = { ...base, pieces: free, reaches: again };
    const set = optimum(after, solve);
    return set ? [{ piece, ...difference(base, best, after, set) }] : [];
  });

  const { purchases, candidates, solved } = bestPurchases(base, best, practice, solve, (share) =>
    onProgress(0.4 + 0.6 * share),
  );
  return {
    mass: best.total,
    swaps: swaps.sort(byGrams),
    marks: marks.sort(byGrams),
    purchases,
    candidates,
    solved,
  };
}

/** Whether a piece stands between hand and head, so that any chain may change by it. */
const drives = (model: PieceModel) => model.modes.some((m) => m.turns.form === 'drive' || m.turns.form === 'bar');

function bestPurchases(
  base: Case,
  best: Lightest,
  practice: Practice,
  solve: Solve,
  onProgress: (share: number) => void,
) {
  const have = new Set(base.pieces.map((p) => p.name));
  const carried = base.pieces.filter((_, i) => best.counts[i]! > 0);
  const turnsOf = (p: Pick<Piece, 'modes'>) =>
    base.reaches.filter((r) => r.ends.some(({ end }) => p.modes.some((m) => modeFit(m, end.head).verdict === 'fits')));
  const byPiece = new Map(carried.map((p) => [p.id, new Set(turnsOf(p))]));
  // A hopeful count: whatever carried piece shares a head, a function or a drive with it might go.
  const hoped = catalogue()
    .filter((m) => !have.has(m.name))
    .map((model) => {
      const heads = turnsOf(model);
      const gain = carried.reduce((s, p) => {
        const shares =
          drives(model) && drives(p)
            ? true
            : heads.some((r) => byPiece.get(p.id)!.has(r)) || model.functions.some((f) => p.functions.includes(f));
        return shares ? s + p.mass : s;
      }, -model.mass);
      return { model, heads: new Set(heads), gain };
    })
    .filter((h) => h.gain > 0)
    .sort((a, b) => b.gain - a.gain);
  const tried = hoped.slice(0, MOST_PURCHASES);
  const purchases: Purchase[] = [];
  tried.forEach(({ model, heads }, i) => {
    onProgress(i / tried.length);
    const piece = newPiece(model, { id: `offered ${model.name}` });
    const pieces = [...base.pieces, piece];
    const finder = new ChainFinder(
      pieces.filter((p) => p.mark !== 'never'),
      practice,
    );
    const reaches = base.reaches.map((r) => (drives(model) || heads.has(r) ? reachOf(r.fastener, finder) : r));
    const after: Case = { ...base, pieces, reaches };
    const set = optimum(after, solve);
    if (set && best.total - set.total > 0.05) purchases.push({ model, ...difference(base, best, after, set) });
  });
  return { purchases: purchases.sort(byGrams).slice(0, 12), candidates: hoped.length, solved: tried.length };
}

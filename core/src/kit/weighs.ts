import { at, under } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import type { Fastener } from '../bike/index.js';
import { ChainFinder, modeFit, reachOf, type Reach } from '../toolbox/chains/index.js';
import type { Lightest } from '../toolbox/cover/index.js';
import type { KitRows } from './rows.js';
import { catalogue, newPiece, type Piece, type PieceModel } from '../toolbox/tools/index.js';
import { drives, leastOf, toolCase, type ToolCase } from './toolCase.js';

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

const massOf = (pieces: readonly Piece[], counts: readonly number[]) =>
  pieces.reduce((s, p, i) => s + at(counts, i) * p.mass, 0);
const priceOf = (pieces: readonly Piece[], counts: readonly number[]) =>
  pieces.reduce((s, p, i) => s + at(counts, i) * p.price, 0);
function carriedNames(pieces: readonly Piece[], set: Lightest): Map<string, { name: string; n: number }> {
  return new Map(
    pieces.flatMap((p, i) => (at(set.counts, i) > 0 ? [[p.id, { name: p.name, n: at(set.counts, i) }] as const] : [])),
  );
}
function difference(before: ToolCase, was: Lightest, after: ToolCase, is: Lightest): Difference {
  const [a, b] = [carriedNames(before.pieces, was), carriedNames(after.pieces, is)];
  const more = (x: typeof a, y: typeof a) =>
    [...x].flatMap(([id, { name, n }]) => (n > (y.get(id)?.n ?? 0) ? [name] : []));
  return {
    grams: Math.round((massOf(before.pieces, was.counts) - massOf(after.pieces, is.counts)) * 10) / 10,
    euros: Math.round((priceOf(before.pieces, was.counts) - priceOf(after.pieces, is.counts)) * 10) / 10,
    leaves: more(a, b),
    comes: more(b, a),
  };
}

/** What the set would be without the mark on a piece. */
function unmarked(base: ToolCase, best: Lightest, piece: Piece, solve: Solve): Difference {
  const pieces = base.pieces.map((p) => (p.id === piece.id ? { ...p, mark: null } : p));
  const finder = new ChainFinder(
    pieces.filter((p) => p.mark !== 'never'),
    base.practice,
  );
  const reaches = piece.mark === 'never' ? base.reaches.map((r) => reachOf(r.fastener, finder)) : base.reaches;
  const after: ToolCase = { ...base, pieces, reaches };
  return difference(base, best, after, leastOf(after, solve));
}

/** A way to turn a head, and what the whole set then is: everything else is chosen again around it. */
export interface Alternative extends Difference {
  /** Names of the pieces, in order from the hand. */
  chain: string[];
  /** Grams of the pieces of this way alone, and of the whole set with it. */
  own: number;
  set: number;
}

/**
 * What each way to turn one end of a fastener costs: for every chain the least set that turns that end by it. Exact differences of optima; a
 * negative figure is heavier than the set as it is.
 * @param most ways that are solved, the preferred first
 */
export function alternativesOf(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null },
  fastenerId: string,
  solve: Solve,
  most = 6,
): Alternative[] {
  const base = toolCase(doc, question);
  const reach = base.reaches.find((r) => r.fastener.id === fastenerId);
  if (!reach) return [];
  const best = leastOf(base, solve);
  return at(reach.ends, 0)
    .reach.chains.slice(0, most)
    .map((chain): Alternative => {
      const near = { ...at(reach.ends, 0), reach: { ...at(reach.ends, 0).reach, chains: [chain] } };
      const only: Reach = { ...reach, ends: [near, ...reach.ends.slice(1)] };
      // Losing a piece of this very way cannot be made good by another way.
      const after: ToolCase = { ...base, reaches: base.reaches.map((r) => (r === reach ? only : r)) };
      const set = leastOf(after, solve);
      return {
        chain: chain.links.map((l) => l.piece.name),
        own: chain.mass,
        set: massOf(base.pieces, set.counts),
        ...difference(base, best, after, set),
      };
    });
}

/** What the mark on one piece, or keeping it to one bike, costs; null where it has neither. */
export function markCost(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null },
  pieceId: string,
  solve: Solve,
): Difference | null {
  const piece = doc.pieces.find((p) => p.id === pieceId);
  if (!piece || (piece.mark === null && piece.onlyBike === null)) return null;
  const base = toolCase(doc, question);
  const free = {
    ...doc,
    pieces: doc.pieces.map((p) => (p.id === pieceId ? { ...p, mark: null, onlyBike: null } : p)),
  };
  const after = toolCase(free, question);
  return difference(base, leastOf(base, solve), after, leastOf(after, solve));
}

const byGrams = (a: Difference, b: Difference) => b.grams - a.grams || b.euros - a.euros;

/** Heads that come with their part, and jobs whose part is made for one place: nobody swaps a spark plug for another hexagon. */
const OWN_HEADS: ReadonlySet<string> = new Set(['plug', 'spoke', 'valve', 'clip', 'hook']);
const OWN_PARTS: ReadonlySet<string | null> = new Set([
  'front axle',
  'rear axle',
  'steering',
  'brake union',
  'brake pads',
  'plug',
  'spoke',
  'valve core',
  'oil drain',
  'oil filter',
  'battery',
]);
/** Whether a bolt or screw of another head would do as well. */
export const canBeSwapped = (f: Pick<Fastener, 'head' | 'role'>): boolean =>
  !OWN_HEADS.has(f.head.form) && !OWN_PARTS.has(f.role);

/** Most purchases that are solved: the ones with the most to gain by a hopeful count. */
const MOST_PURCHASES = 400;

/**
 * Where the weight of the tools is, as exact differences of optima: what each head that holds a piece alone would free if it took another size,
 * what each *always* and *never* costs, and which purchase drops the most weight.
 * @param onProgress told the share done, 0 to 1
 */
export function whatWeighs(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null },
  solve: Solve,
  onProgress: (share: number) => void = () => {},
): Weighs {
  const whole = toolCase(doc, question);
  const base: ToolCase = { ...whole, reaches: whole.reaches.filter((r) => r.best.length > 0) };
  const { reaches, pieces } = base;
  const best = leastOf(base, solve);

  const swaps: Swap[] = reaches.flatMap((reach, i) => {
    onProgress((0.4 * i) / reaches.length);
    if (!canBeSwapped(reach.fastener)) return [];
    // Heads with a task in common with another free nothing alone.
    const after: ToolCase = { ...base, reaches: reaches.filter((r) => r !== reach) };
    const set = leastOf(after, solve);
    if (best.total - set.total < 0.05) return [];
    return [{ fastener: reach.fastener, ...difference(base, best, after, set) }];
  });

  const marks = pieces
    .filter((piece) => piece.mark !== null)
    .map((piece): MarkCost => ({ piece, ...unmarked(base, best, piece, solve) }));

  const { purchases, candidates, solved } = bestPurchases(base, best, solve, (share) => onProgress(0.4 + 0.6 * share));
  return {
    mass: massOf(pieces, best.counts),
    swaps: swaps.sort(byGrams),
    marks: marks.sort(byGrams),
    purchases,
    candidates,
    solved,
  };
}

function bestPurchases(base: ToolCase, best: Lightest, solve: Solve, onProgress: (share: number) => void) {
  const have = new Set(base.pieces.map((p) => p.name));
  const carried = base.pieces.filter((_, i) => at(best.counts, i) > 0);
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
            : heads.some((r) => under(byPiece, p.id).has(r)) || model.functions.some((f) => p.functions.includes(f));
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
      base.practice,
    );
    const reaches = base.reaches.map((r) => (drives(model) || heads.has(r) ? reachOf(r.fastener, finder) : r));
    const after: ToolCase = { ...base, pieces, reaches };
    const set = leastOf(after, solve);
    if (best.total - set.total > 0.05) purchases.push({ model, ...difference(base, best, after, set) });
  });
  return { purchases: purchases.sort(byGrams).slice(0, 12), candidates: hoped.length, solved: tried.length };
}

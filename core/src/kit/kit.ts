import { WORTH_CARRYING } from './needs.js';
import type { ToolCase } from './toolCase.js';
import { carriedChains, coverProblem, lightestSet, reachedBy, type FunctionNeed, type Solve } from '../cover/index.js';
import { countCdf, mendsExpected, spareFor, supplyKind, type Exposure, type Stock } from '../odds/index.js';
import { boxVolume, type Piece } from '../tools/index.js';
import type { Role } from '../bike/index.js';

/** Share of a bag that odd pieces really fill. */
export const BAG_FILL = 0.65;

/** A piece in the kit, with the reason for it. */
export interface KitPiece {
  piece: Piece;
  count: number;
  /** Fasteners lost when one copy is left out and the rest stays. */
  needed: string[];
  /** Troubles whose functions it serves. */
  serves: string[];
  /** Pieces that it stands in for, should they be lost or break. */
  standsInFor: string[];
  /** Whether it is in nobody's drawer yet. */
  toBuy: boolean;
  /** Expected uses on the trip. */
  uses: number;
}

/** A spare in the kit, with what is owned and what is to be bought. */
export interface KitSpare extends Stock {
  name: string;
  unit: string;
  owned: number;
  buy: number;
}

/** What the kit gives against one trouble. */
export interface Mend {
  troubleId: string;
  /** Mends that the kit allows; Infinity when nothing is used up. */
  mends: number;
  /** Why there are none, in words; empty when there are. */
  lacks: string[];
  /** P(N ≤ mends). */
  covered: number;
  hoursSaved: number;
  hoursLeft: number;
}

export interface Kit {
  pieces: KitPiece[];
  spares: KitSpare[];
  /** Grams of tools, spares and all. */
  toolMass: number;
  spareMass: number;
  mass: number;
  /** mL: Σ of each piece's own box ÷ fill. */
  bulk: number;
  proven: boolean;
  gap: number;
  /** What the tools are worth together, euros, and whether that keeps to the rider's limit. */
  worth: number;
  withinWorth: boolean;
  /** Fasteners reached with the kit alone. */
  reached: string[];
  /** Functions that some trouble asks for and that nothing in the drawer does. */
  missing: FunctionNeed[];
  mends: Mend[];
  /** Home by own means: Π over troubles that end the ride of P(N ≤ mends). */
  home: number;
  /** Hours still at stake with this kit. */
  atStake: number;
  saved: number;
}

/** What a kit gives against one trouble. Stocks are taken as unshared, which is exact where no two troubles draw on one. */
export function mendOf(
  exposure: Exposure,
  has: {
    stock: (kind: string) => number;
    function: (does: FunctionNeed['does']) => number;
    turns: (role: Role) => boolean | null;
  },
): Mend {
  const { trouble, lambda, law, without } = exposure;
  const lacks: string[] = [];
  for (const { does, count } of trouble.functions)
    if (has.function(does) < count) lacks.push(count > 1 ? `${count} pieces to ${does}` : `a piece to ${does}`);
  for (const role of trouble.turns) {
    const turns = has.turns(role);
    if (turns === null) lacks.push(`no fastener is marked as ${role}`);
    else if (!turns) lacks.push(`${role} is out of reach`);
  }
  let mends = Infinity;
  for (const { kind, units } of trouble.supplies)
    if (kind !== 'bolt') {
      const allowed = Math.floor(has.stock(kind) / units);
      if (allowed === 0) lacks.push(`no ${supplyKind(kind).name.toLowerCase()}`);
      mends = Math.min(mends, allowed);
    } else mends = Math.min(mends, has.stock('bolt'));
  if (lacks.length > 0) mends = 0;
  const done = Math.min(mends, 1000);
  const each = Math.max(0, without - trouble.mend);
  const saved = mendsExpected(done, law) * each;
  return {
    troubleId: trouble.id,
    mends,
    lacks,
    covered: mends === Infinity ? 1 : countCdf(done, law),
    hoursSaved: saved,
    hoursLeft: Math.max(0, lambda * each - saved),
  };
}

/**
 * The lightest kit: the least tools of the drawer with which every reached fastener can be turned and every likely trouble's functions are
 * there, proven by the solver, plus the spares that the stocks ask for.
 */
export function lightestKit(given: {
  tools: ToolCase;
  /** The bike in question: troubles are of its own fasteners. */
  bikeId: string;
  exposures: readonly Exposure[];
  stocks: readonly Stock[];
  owned: ReadonlyMap<string, number>;
  solve: Solve;
}): Kit {
  const { tools, bikeId, exposures, stocks, owned, solve } = given;
  const { reaches, pieces, functions: wanted, losable, practice, offered } = tools;
  const problem = coverProblem(reaches, pieces, wanted, losable);
  const set = lightestSet(problem, solve, practice.least, 'search', practice.worth);
  const carried = new Map(pieces.map((p, i) => [p.id, set.counts[i]!]));
  // Only chains of carried pieces matter from here on, and they are few.
  const within = reaches.map((r) => carriedChains(r, carried));
  const reachedIds = (copies: ReadonlyMap<string, number>) =>
    new Set(within.filter((r) => reachedBy(r, copies)).map((r) => r.fastener.id));
  const all = reachedIds(carried);

  /** Names of carried pieces whose loss this one makes good: with both gone more heads are lost than with either. */
  const standsInFor = (i: number) =>
    pieces.flatMap((other, k) => {
      if (set.counts[k]! < (k === i ? 2 : 1) || !losable(other)) return [];
      const gone = new Map(carried).set(other.id, set.counts[k]! - 1);
      const both = new Map(gone).set(pieces[i]!.id, gone.get(pieces[i]!.id)! - 1);
      return reachedIds(both).size < reachedIds(gone).size ? [other.name] : [];
    });

  const kitPieces: KitPiece[] = pieces.flatMap((piece, i) => {
    const count = set.counts[i]!;
    if (count === 0) return [];
    const without = new Map(carried).set(piece.id, count - 1);
    const left = reachedIds(without);
    const needed = [...all].filter((id) => !left.has(id));
    const serving = exposures.filter((e) =>
      e.trouble.functions.some((f) => piece.functions.includes(f.does) && e.odds >= WORTH_CARRYING),
    );
    return [
      {
        piece,
        count,
        needed,
        standsInFor: needed.length > 0 || serving.length > 0 ? [] : standsInFor(i),
        toBuy: offered.has(piece.id),
        serves: serving.map((e) => e.trouble.name),
        uses: serving.reduce((s, e) => s + e.lambda, 0),
      },
    ];
  });

  const functionCount = (does: FunctionNeed['does']) =>
    kitPieces.reduce((n, k) => n + (k.piece.functions.includes(does) ? k.count : 0), 0);
  const byRole = (role: Role): boolean | null => {
    const marked = reaches.filter((r) => r.fastener.role === role && r.fastener.bikeId === bikeId);
    return marked.length === 0 ? null : marked.every((r) => all.has(r.fastener.id));
  };
  const quantity = new Map(stocks.map((s) => [s.kind, s.quantity]));
  const bolts = stocks.filter((s) => s.kind.startsWith('bolt')).reduce((n, s) => n + s.quantity, 0);
  const mends = exposures.map((e) =>
    mendOf(e, {
      stock: (kind) => (kind === 'bolt' ? bolts : (quantity.get(spareFor(kind, practice.tubes) ?? kind) ?? 0)),
      function: functionCount,
      turns: byRole,
    }),
  );
  const spares: KitSpare[] = stocks
    .filter((s) => s.quantity > 0)
    .map((s) => {
      const { name, unit } = supplyKind(s.kind);
      const have = owned.get(s.kind) ?? 0;
      return { ...s, name, unit, owned: have, buy: Math.max(0, s.quantity - have) };
    });
  const toolMass = kitPieces.reduce((s, k) => s + k.piece.mass * k.count, 0);
  const spareMass = spares.reduce((s, k) => s + k.mass, 0);
  const boxes =
    kitPieces.reduce((s, k) => s + boxVolume(k.piece) * k.count, 0) +
    spares.reduce((s, k) => s + boxVolume(supplyKind(k.kind)) * k.quantity, 0);
  return {
    pieces: kitPieces,
    spares,
    toolMass,
    spareMass,
    mass: toolMass + spareMass,
    bulk: boxes / BAG_FILL,
    proven: set.proven,
    gap: set.gap,
    worth: kitPieces.reduce((s, k) => s + k.piece.price * k.count, 0),
    withinWorth: set.withinWorth,
    reached: [...all],
    missing: wanted.flatMap((f) => {
      const lacking = f.count - functionCount(f.does);
      return lacking > 0 ? [{ does: f.does, count: lacking }] : [];
    }),
    mends,
    home: exposures.reduce((p, e, i) => (e.trouble.stops ? p * mends[i]!.covered : p), 1),
    atStake: mends.reduce((s, m) => s + m.hoursLeft, 0),
    saved: mends.reduce((s, m) => s + m.hoursSaved, 0),
  };
}

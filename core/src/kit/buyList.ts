import type { Practice } from '../toolbox/practice.js';
import type { Fastener } from '../bike/index.js';
import { ChainFinder, reachWithOffer, reachOf } from '../toolbox/chains/index.js';
import { cheapestCover, type FunctionNeed } from '../toolbox/cover/index.js';
import { exposuresIn } from '../trip/odds/index.js';
import { functionNeeds } from './needs.js';
import type { KitRows } from './rows.js';
import {
  asBought,
  newPiece,
  offeredPieces,
  setModels,
  toolSets,
  trusted,
  usablePieces,
  type Piece,
  type ToolSet,
} from '../toolbox/tools/index.js';

/** What is bought least of. */
export type BuyFor = 'money' | 'mass';
export interface BuyList {
  /** Pieces to buy one by one. */
  singles: { piece: Piece; count: number }[];
  /** Sets to buy, with what of each is used and what is left over for the toolbox. */
  sets: { set: ToolSet; used: string[]; left: string[] }[];
  price: number;
  /** Mass of the pieces that are used, grams. */
  mass: number;
  /** Fasteners that it brings within reach, and those that nothing in the catalogue reaches. */
  cures: Fastener[];
  hopeless: Fastener[];
  /** What the trip's troubles ask for and nothing in the toolbox does. */
  functions: FunctionNeed[];
  /** Heads of other bikes in the garage that the leftovers bring within reach, by bike. */
  forOthers: { bike: string; fasteners: string[] }[];
  /** Whether it is proven to be the least. */
  proven: boolean;
}

const MOST_ALTERNATIVES = 400;
/** Room for ties below one unit of what is least. */
const TIES = 2 ** 20;

/**
 * The least money (or mass) that brings every gap of a bike within reach and adds what the trip's troubles ask for: single pieces against sets,
 * in the quality that the practice says. Where either will do, a cheap piece is taken as far as it bears the torque.
 * Exact over the sixty least ways of each gap and the twelve least of each function; a set gives all its pieces for its one price.
 */
export function buyList(doc: KitRows, question: { bikeId: string; tripId: string | null }, least: BuyFor): BuyList {
  const { bikeId } = question;
  const practice: Practice = doc.garage.practice;
  const drawer = usablePieces(doc.pieces, bikeId).filter((p) => p.mark !== 'never');
  const finder = new ChainFinder(drawer, practice);
  const gaps = doc.fasteners
    .filter((f) => f.bikeId === bikeId && f.leftOut === null)
    .filter((f) => reachOf(f, finder).best.length === 0);
  const offered = offeredPieces(practice.quality);
  const byName = new Map(offered.map((p) => [p.name, p]));
  const sets = toolSets().filter((s) => !s.supplied);
  const setsWith = new Map<string, number[]>();
  sets.forEach((s, i) => {
    for (const name of new Set(s.holds)) setsWith.set(name, [...(setsWith.get(name) ?? []), i]);
  });

  // Items: one for each single piece (by copy), then one for each set.
  const items: { cost: number; single: Piece | null; set: number | null }[] = [];
  // One number: what is least first, the other breaks ties. Prices in tenths of a euro, masses in grams, both whole.
  const costOf = (price: number, mass: number) =>
    least === 'money'
      ? Math.round(price * 10) * TIES + Math.round(mass)
      : Math.round(mass) * TIES + Math.round(price * 10);
  const single = new Map<string, number>();
  const singleItem = (piece: Piece, copy: number) => {
    const key = `${piece.id} ${copy}`;
    let at = single.get(key);
    if (at === undefined) {
      at = items.push({ cost: costOf(piece.price, piece.mass), single: piece, set: null }) - 1;
      single.set(key, at);
    }
    return at;
  };
  const setItem = new Map<number, number>();
  const itemOfSet = (i: number) => {
    let at = setItem.get(i);
    if (at === undefined) {
      at = items.push({ cost: costOf(sets[i]!.price, 0), single: null, set: i }) - 1;
      setItem.set(i, at);
    }
    return at;
  };

  const jobs: number[][][] = [];
  const cures: Fastener[] = [];
  const hopeless: Fastener[] = [];
  const of = (p: Piece) => (least === 'money' ? p.price : p.mass);
  /** Every way to buy what one way takes: each piece singly, or out of any set that holds it. */
  const spelled = (ways: readonly Piece[][]) => {
    const alternatives: number[][] = [];
    for (const buy of ways) {
      // Each piece singly, or out of any set that holds it.
      let combos: number[][] = [[]];
      const copies = new Map<string, number>();
      for (const piece of buy) {
        const copy = (copies.get(piece.id) ?? 0) + 1;
        copies.set(piece.id, copy);
        // A set is never lighter than its piece bought alone, so sets count for money only.
        const inSets = least === 'money' && copy === 1 ? (setsWith.get(piece.name) ?? []) : [];
        const choices = [singleItem(piece, copy), ...inSets.map(itemOfSet)];
        combos = combos.flatMap((c) => choices.map((x) => [...c, x])).slice(0, MOST_ALTERNATIVES);
      }
      alternatives.push(...combos);
      if (alternatives.length > MOST_ALTERNATIVES * 4) break;
    }
    return alternatives;
  };
  for (const f of gaps) {
    const alternatives = spelled(reachWithOffer(f, drawer, offered, practice, of));
    if (alternatives.length === 0) hopeless.push(f);
    else {
      cures.push(f);
      jobs.push(alternatives);
    }
  }
  const functions = missingFunctions(doc, question, drawer);
  for (const need of functions) jobs.push(spelled(functionWays(need, offered, of)));
  const found = cheapestCover({ costs: items.map((i) => i.cost), jobs });
  const taken = found && found !== 'infeasible' ? items.filter((_, i) => found.taken[i]) : [];

  const singles = new Map<string, { piece: Piece; count: number }>();
  const buy = (piece: Piece) =>
    singles.set(piece.id, { piece: asBought(piece), count: (singles.get(piece.id)?.count ?? 0) + 1 });
  for (const { single: piece } of taken) if (piece) buy(piece);
  const boughtSets = taken.flatMap((t) => (t.set === null ? [] : [sets[t.set]!]));
  // Judged as the toolbox will be once all is in it: what one purchase takes from another's way is bought on top.
  const after = () =>
    usablePieces(
      [
        ...doc.pieces,
        ...[...singles.values()].map((s) => ({ ...s.piece, count: s.count })),
        ...boughtSets.flatMap(setPieces),
      ],
      bikeId,
    ).filter((p) => p.mark !== 'never');
  let mended = 0;
  for (const f of cures) {
    const now = after();
    if (reachOf(f, new ChainFinder(now, practice)).best.length > 0) continue;
    mended++;
    for (const piece of reachWithOffer(f, now, offered, practice, of)[0] ?? []) buy(piece);
  }
  const used = usedOf(
    boughtSets,
    [...singles.values()].map((s) => s.piece),
    cures,
    drawer,
    practice,
  );
  const setRows = boughtSets.map((set) => ({
    set,
    used: set.holds.filter((h) => used.has(h)),
    left: set.holds.filter((h) => !used.has(h)),
  }));
  const usedMass = setRows.flatMap((r) => r.used).reduce((s, h) => s + byName.get(h)!.mass, 0);
  return {
    singles: [...singles.values()],
    sets: setRows,
    price:
      Math.round(
        ([...singles.values()].reduce((s, x) => s + x.piece.price * x.count, 0) +
          boughtSets.reduce((s, x) => s + x.price, 0)) *
          10,
      ) / 10,
    mass: Math.round([...singles.values()].reduce((s, x) => s + x.piece.mass * x.count, 0) + usedMass),
    cures,
    hopeless,
    functions,
    forOthers: othersHelped(
      doc,
      bikeId,
      [...[...singles.values()].map((s) => trusted(s.piece)), ...boughtSets.flatMap(setPieces)],
      practice,
    ),
    proven: found !== null && mended === 0,
  };
}

/** Functions that the trip's troubles ask for beyond what the toolbox does. */
function missingFunctions(
  doc: KitRows,
  { bikeId, tripId }: { bikeId: string; tripId: string | null },
  drawer: readonly Piece[],
): FunctionNeed[] {
  const able = (does: FunctionNeed['does']) =>
    drawer.reduce((n, p) => n + (p.functions.includes(does) ? p.count : 0), 0);
  return functionNeeds(exposuresIn(doc, { bikeId, tripId })).flatMap(({ does, count }) =>
    able(does) < count ? [{ does, count: count - able(does) }] : [],
  );
}

/** Kinds of a function that are looked at, the least first. */
const MOST_KINDS = 12;
/** Ways to make up so many pieces that have a function; a piece that does it twice over counts once a copy. */
function functionWays({ does, count }: FunctionNeed, offered: readonly Piece[], of: (p: Piece) => number): Piece[][] {
  const able = offered
    .filter((p) => p.functions.includes(does))
    .sort((a, b) => of(a) - of(b))
    .slice(0, MOST_KINDS);
  const ways: Piece[][] = [];
  const go = (from: number, taken: Piece[]) => {
    if (taken.length === count) ways.push(taken);
    else
      for (let i = from; i < able.length; i++)
        if (taken.filter((p) => p === able[i]).length < able[i]!.count) go(i, [...taken, able[i]!]);
  };
  go(0, []);
  return ways.sort((a, b) => a.reduce((s, p) => s + of(p), 0) - b.reduce((s, p) => s + of(p), 0)).slice(0, 60);
}

const setPieces = (set: ToolSet): Piece[] => setModels(set).map((m, i) => newPiece(m, { id: `set ${set.name} ${i}` }));

/** Names of the pieces of bought sets that the preferred chains of the cured heads really use. */
function usedOf(
  boughtSets: readonly ToolSet[],
  singles: readonly Piece[],
  cures: readonly Fastener[],
  drawer: readonly Piece[],
  practice: Practice,
): Set<string> {
  const fromSets = boughtSets.flatMap(setPieces);
  const finder = new ChainFinder([...drawer, ...singles.map(trusted), ...fromSets], practice);
  const ids = new Map(fromSets.map((p) => [p.id, p.name]));
  const used = new Set<string>();
  for (const f of cures)
    for (const chain of reachOf(f, finder).best)
      for (const { piece } of chain.links) {
        const name = ids.get(piece.id);
        if (name) used.add(name);
      }
  return used;
}

/** Heads of the garage's other bikes that come within reach by what is bought. */
function othersHelped(doc: KitRows, bikeId: string, bought: readonly Piece[], practice: Practice) {
  if (bought.length === 0) return [];
  return doc.bikes
    .filter((b) => b.id !== bikeId)
    .flatMap((bike) => {
      const pieces = usablePieces(doc.pieces, bike.id).filter((p) => p.mark !== 'never');
      const [before, after] = [new ChainFinder(pieces, practice), new ChainFinder([...pieces, ...bought], practice)];
      const fasteners = doc.fasteners
        .filter((f) => f.bikeId === bike.id && f.leftOut === null)
        .filter((f) => reachOf(f, before).best.length === 0 && reachOf(f, after).best.length > 0)
        .map((f) => f.name);
      return fasteners.length > 0 ? [{ bike: bike.name, fasteners }] : [];
    });
}

import { at, under } from '../ground/numbers.js';
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

/** What is bought: one copy of a piece, or a whole set. */
interface Purchase {
  cost: number;
  single: Piece | null;
  set: ToolSet | null;
}

/** What may be bought, as items with a cost each: single pieces by copy, and sets, each once it is first asked for. */
class Shop {
  readonly purchases: Purchase[] = [];
  private readonly numbers = new Map<string, number>();
  private readonly setsWith = new Map<string, ToolSet[]>();
  constructor(private readonly least: BuyFor) {
    for (const set of toolSets().filter((x) => !x.supplied))
      for (const name of new Set(set.holds)) this.setsWith.set(name, [...(this.setsWith.get(name) ?? []), set]);
  }
  /** One number: what is least first, the other breaks ties. Prices in tenths of a euro, masses in grams, both whole. */
  private costOf(price: number, mass: number): number {
    const [tenths, grams] = [Math.round(price * 10), Math.round(mass)];
    return this.least === 'money' ? tenths * TIES + grams : grams * TIES + tenths;
  }
  private numbered(key: string, make: () => Purchase): number {
    const known = this.numbers.get(key);
    if (known !== undefined) return known;
    const made = this.purchases.push(make()) - 1;
    this.numbers.set(key, made);
    return made;
  }
  private single(piece: Piece, copy: number): number {
    const cost = this.costOf(piece.price, piece.mass);
    return this.numbered(`${piece.id} ${copy}`, () => ({ cost, single: piece, set: null }));
  }
  private set(set: ToolSet): number {
    return this.numbered(`set ${set.name}`, () => ({ cost: this.costOf(set.price, 0), single: null, set }));
  }
  /** Every way to buy what one way takes: each piece singly, or out of any set that holds it. */
  private spelled(pieces: readonly Piece[]): number[][] {
    let combos: number[][] = [[]];
    const copies = new Map<string, number>();
    for (const piece of pieces) {
      const copy = (copies.get(piece.id) ?? 0) + 1;
      copies.set(piece.id, copy);
      // A set is never lighter than its piece bought alone, so sets count for money only.
      const inSets = this.least === 'money' && copy === 1 ? (this.setsWith.get(piece.name) ?? []) : [];
      const choices = [this.single(piece, copy), ...inSets.map((set) => this.set(set))];
      combos = combos.flatMap((c) => choices.map((x) => [...c, x])).slice(0, MOST_ALTERNATIVES);
    }
    return combos;
  }
  /** The same for all ways of one gap. */
  alternatives(ways: readonly Piece[][]): number[][] {
    const out: number[][] = [];
    for (const pieces of ways) {
      out.push(...this.spelled(pieces));
      if (out.length > MOST_ALTERNATIVES * 4) break;
    }
    return out;
  }
}

/** What is bought one by one, with copies. */
type Singles = Map<string, { piece: Piece; count: number }>;
const buy = (singles: Singles, piece: Piece) =>
  singles.set(piece.id, { piece: asBought(piece), count: (singles.get(piece.id)?.count ?? 0) + 1 });
const sumOf = (singles: Singles, of: (p: Piece) => number) =>
  [...singles.values()].reduce((s, x) => s + of(x.piece) * x.count, 0);
/** Pieces that a bike's kit may be made of. */
const drawerOf = (pieces: readonly Piece[], bikeId: string) =>
  usablePieces(pieces, bikeId).filter((p) => p.mark !== 'never');

/** What the least purchase is asked of. */
interface Wanted {
  doc: KitRows;
  bikeId: string;
  practice: Practice;
  offered: readonly Piece[];
  of: (p: Piece) => number;
}

/**
 * Judged as the toolbox will be once all is in it: what one purchase takes from another's way is bought on top.
 * @returns how many gaps that mended
 */
function boughtOnTop(
  { doc, bikeId, practice, offered, of }: Wanted,
  cures: readonly Fastener[],
  singles: Singles,
  sets: readonly ToolSet[],
): number {
  const after = () =>
    drawerOf(
      [
        ...doc.pieces,
        ...[...singles.values()].map((s) => ({ ...s.piece, count: s.count })),
        ...sets.flatMap(setPieces),
      ],
      bikeId,
    );
  let mended = 0;
  for (const f of cures) {
    const now = after();
    if (reachOf(f, new ChainFinder(now, practice)).best.length > 0) continue;
    mended++;
    for (const piece of reachWithOffer(f, now, offered, practice, of)[0] ?? []) buy(singles, piece);
  }
  return mended;
}

/**
 * The least money (or mass) that brings every gap of a bike within reach and adds what the trip's troubles ask for: single pieces against sets,
 * in the quality that the practice says. Where either will do, a cheap piece is taken as far as it bears the torque.
 * Exact over the sixty least ways of each gap and the twelve least of each function; a set gives all its pieces for its one price.
 */
export function buyList(doc: KitRows, question: { bikeId: string; tripId: string | null }, least: BuyFor): BuyList {
  const { bikeId } = question;
  const practice: Practice = doc.garage.practice;
  const drawer = drawerOf(doc.pieces, bikeId);
  const offered = offeredPieces(practice.quality);
  const of = (p: Piece) => (least === 'money' ? p.price : p.mass);
  const wanted: Wanted = { doc, bikeId, practice, offered, of };
  const finder = new ChainFinder(drawer, practice);
  const shop = new Shop(least);
  const gaps = doc.fasteners
    .filter((f) => f.bikeId === bikeId && f.leftOut === null)
    .filter((f) => reachOf(f, finder).best.length === 0)
    .map((f) => ({ f, ways: shop.alternatives(reachWithOffer(f, drawer, offered, practice, of)) }));
  const cures = gaps.filter((g) => g.ways.length > 0);
  const functions = missingFunctions(doc, question, drawer);
  const jobs = [
    ...cures.map((g) => g.ways),
    ...functions.map((need) => shop.alternatives(functionWays(need, offered, of))),
  ];
  const found = cheapestCover({ costs: shop.purchases.map((p) => p.cost), jobs });
  const taken = found && found !== 'infeasible' ? shop.purchases.filter((_, i) => found.taken[i]) : [];

  const singles: Singles = new Map();
  for (const { single } of taken) if (single) buy(singles, single);
  const sets = taken.flatMap((t) => (t.set === null ? [] : [t.set]));
  const cured = cures.map((g) => g.f);
  const mended = boughtOnTop(wanted, cured, singles, sets);
  const boughtSingly = [...singles.values()].map((s) => s.piece);
  const setRows = setsUsed(wanted, sets, usedOf(sets, boughtSingly, cured, drawer, practice));
  const price = sumOf(singles, (p) => p.price) + sets.reduce((s, x) => s + x.price, 0);
  return {
    singles: [...singles.values()],
    sets: setRows.map(({ mass: _, ...row }) => row),
    price: Math.round(price * 10) / 10,
    mass: Math.round(sumOf(singles, (p) => p.mass) + setRows.reduce((s, r) => s + r.mass, 0)),
    cures: cured,
    hopeless: gaps.filter((g) => g.ways.length === 0).map((g) => g.f),
    functions,
    forOthers: othersHelped(doc, bikeId, [...boughtSingly.map(trusted), ...sets.flatMap(setPieces)], practice),
    proven: found !== null && mended === 0,
  };
}

/** What of each set is used, with its grams, and what is left over. */
function setsUsed({ offered }: Wanted, sets: readonly ToolSet[], names: ReadonlySet<string>) {
  const massOf = new Map(offered.map((p) => [p.name, p.mass]));
  return sets.map((set) => {
    const used = set.holds.filter((h) => names.has(h));
    return {
      set,
      used,
      left: set.holds.filter((h) => !names.has(h)),
      mass: used.reduce((s, h) => s + under(massOf, h), 0),
    };
  });
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
        if (taken.filter((p) => p === able[i]).length < at(able, i).count) go(i, [...taken, at(able, i)]);
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

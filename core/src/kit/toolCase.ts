import { atHand } from '../toolbox/loan.js';
import type { Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import { ChainFinder, modeFit, reachOf } from '../toolbox/chains/index.js';
import { coverProblem, lightestSet, type FunctionNeed, type Lightest } from '../toolbox/cover/index.js';
import type { Fastener } from '../bike/index.js';
import type { KitRows } from './rows.js';
import { exposuresIn, type Exposure } from '../trip/odds/index.js';
import { offeredPieces, usablePieces, type Piece, type PieceModel } from '../toolbox/tools/index.js';
import { tripDays, type Trip } from '../trip/index.js';
import { alwaysPacked } from './always.js';
import { losableIn } from './doubles.js';
import { anyFunctionNeeds } from './needs.js';
import { strangersHeads } from './strangers.js';
import { kitProblem, type KitProblem } from './optimum/kitProblem.js';
import { choicesOf } from './optimum/lightest.js';
import type { ToolCase } from './optimum/leastTools.js';

export type { ToolCase };

/** The least set of tools of a case. */
export const leastOf = (c: ToolCase, solve: Solve): Lightest =>
  lightestSet(
    { ...coverProblem(c.reaches, c.pieces, c.functions, c.losable), choices: c.choices },
    solve,
    c.practice.least,
    'search',
    c.practice.worth,
  );

/** Fasteners that a kit for a bike has to turn: its own, and by the rider's practice those of the bikes that ride along. */
export function fastenersFor(doc: KitRows, bikeId: string, trip: Trip | undefined): Fastener[] {
  const { others } = doc.garage.practice;
  const along = others === 'own' ? [] : (trip?.along ?? []);
  const bikes = new Set([bikeId, ...along]);
  const known = doc.fasteners.filter((f) => bikes.has(f.bikeId) && f.leftOut === null);
  return others === 'any' ? [...known, ...strangersHeads()] : known;
}

/** Whether a piece stands between hand and head, so that any chain may change by it. */
export const drives = (model: Pick<PieceModel, 'modes'>): boolean =>
  model.modes.some((m) => m.turns.form === 'drive' || m.turns.form === 'bar');

/** Those of the offer that turn one of the heads, stand between hand and head, or have one of the functions. */
function useful(offer: readonly Piece[], fasteners: readonly Fastener[], functions: readonly FunctionNeed[]): Piece[] {
  const heads = [
    ...new Map(
      fasteners.flatMap((f) => (f.far ? [f.head, f.far] : [f.head])).map((h) => [`${h.form} ${h.size}`, h]),
    ).values(),
  ];
  return offer.filter(
    (p) =>
      drives(p) ||
      p.functions.some((does) => functions.some((f) => f.does === does)) ||
      p.modes.some((m) => heads.some((h) => modeFit(m, h).verdict === 'fits')),
  );
}

/**
 * The case of one bike and trip: heads of the bike and of those that ride along, pieces from where the practice says.
 * Drawer first: a head that the toolbox reaches is left to it; the catalogue stands in for the rest.
 * @param finder chains over the usable pieces of the toolbox, where they are known already
 */
export function toolCase(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  finder?: ChainFinder,
  list?: readonly Exposure[],
): ToolCase {
  return kitCase(doc, question, finder, list).tools;
}

/** The tools, and the whole problem of which they are a part. */
export interface KitCase {
  tools: ToolCase;
  problem: KitProblem;
}

/**
 * Where the tools of a kit come from: as the rider says; but while the toolbox is empty the best kit that could be bought stands in, so that a
 * kit can be seen, priced and ticked off before anything is entered.
 */
export const toolsFrom = (doc: Pick<KitRows, 'pieces' | 'garage'>): Practice['from'] =>
  doc.pieces.length === 0 && doc.garage.practice.from === 'toolbox' ? 'toolbox-first' : doc.garage.practice.from;

/** The tools of a case, and the whole problem of which they are a part. */
export function kitCase(
  rows: KitRows,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  finder?: ChainFinder,
  list?: readonly Exposure[],
): KitCase {
  const doc = atHand(rows);
  const heads = headCase(doc, question, finder, list);
  const problem = kitProblem(doc, question, heads);
  const tools: ToolCase = { ...heads, ...choicesOf(problem) };
  return { tools, problem: { ...problem, tools } };
}

/** Heads and pieces, before anything is asked of what else they must do. */
function headCase(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  finder?: ChainFinder,
  list?: readonly Exposure[],
): ToolCase {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const practice = doc.garage.practice;
  const functions = anyFunctionNeeds(list ?? exposuresIn(doc, question));
  const fasteners = fastenersFor(doc, bike.id, trip);
  // A kept kit speaks for itself: what it holds is what is packed.
  const always = trip?.kit.use ? [] : alwaysPacked(doc, bike, question.today ?? null);
  const drawer = [...usablePieces(doc.pieces, bike.id), ...always];
  const inUse = (pieces: readonly Piece[]) => pieces.filter((p) => p.mark !== 'never');
  const rest = {
    functions: [],
    choices: [],
    practice,
    losable: losableIn(practice.doubles, trip ? tripDays(trip) : 0),
  };
  const from = toolsFrom(doc);
  if (from === 'catalogue') {
    const pieces = useful(offeredPieces(practice.quality), fasteners, functions);
    const all = new ChainFinder(pieces, practice);
    const reaches = fasteners.map((f) => reachOf(f, all));
    // Of anything bought there can be two: doubles are left to the buyer, and the proof stays within seconds.
    return {
      ...rest,
      losable: () => false,
      reaches,
      pieces: [...pieces, ...always],
      offered: new Set(pieces.map((p) => p.id)),
    };
  }
  const own = finder ?? new ChainFinder(inUse(drawer), practice);
  const reaches = fasteners.map((f) => reachOf(f, own));
  if (from === 'toolbox') return { ...rest, reaches, pieces: drawer, offered: new Set() };
  const gaps = reaches.filter((r) => r.best.length === 0).map((r) => r.fastener);
  const able = (does: FunctionNeed['does']) =>
    inUse(drawer).reduce((n, p) => n + (p.functions.includes(does) ? p.count : 0), 0);
  const missing = functions.filter((f) => able(f.does) < f.count);
  const offer = gaps.length + missing.length > 0 ? useful(offeredPieces(practice.quality), gaps, missing) : [];
  const both = new ChainFinder([...inUse(drawer), ...offer], practice);
  return {
    ...rest,
    reaches: reaches.map((r) => (r.best.length > 0 ? r : reachOf(r.fastener, both))),
    pieces: [...drawer, ...offer],
    offered: new Set(offer.map((p) => p.id)),
  };
}

import { at, under } from '../../ground/numbers.js';
import type { Fit } from '../../bike/fit/index.js';
import type { Piece } from '../tools/index.js';
import { adjustableBears } from '../tools/index.js';
import { millimetres, type Head, type Shape } from '../../ground/sizes/index.js';
import { handPath, piecesKey, usesOfPiece, type Chain, type Link, type Path, hookedPath, isSpanner } from './chain.js';
import { asChain, failsOf, modeFit, nothingDrives, nothingFits, type End, type Fail } from './fails.js';
import { FORCE, MIDDLE_DRIVE, type Practice } from '../practice.js';

/** Pieces between the one held by hand and the one on the head: adapter, extension, joint, holder. */
const MOST_BETWEEN = 3;
/** Paths of one piece that are looked at for the nearest miss. */
const MOST_MISSES = 2000;

/** What the search gives for one end: every chain that is not dominated, or the nearest miss. */
export interface EndReach {
  chains: Chain[];
  /** When there is no chain: why the nearest candidate fails. */
  miss: { path: Path | null; fails: Fail[] } | null;
  /** A tool that goes on loosely: spins the head by hand, never breaks it loose. */
  loose: Link | null;
}

const PRIORITY: Fail['code'][] = [
  'size',
  'approach',
  'thin',
  'clearance',
  'stud',
  'recess',
  'headroom',
  'swing',
  'bears',
  'practice',
  'arm',
];
/** How far a candidate is from working: the fewer and the later the fails, the nearer. */
const distance = (fails: Fail[], path: Path) =>
  fails.reduce((sum, f) => sum + 100 + (PRIORITY.length - PRIORITY.indexOf(f.code)), 0) +
  10 / (1 + Math.min(path.bears, path.handGives)) +
  path.links.length / 1000;

/**
 * Ranks chains: one hand before two before a foot, then fewer pieces, then less mass, then a stable order by pieces.
 * @param need break-loose torque, N·m
 */
export const byPreference = (need: number): ((a: Path, b: Path) => number) => {
  const effort = (p: Path) => {
    if (p.arm === 0) return 0;
    const force = (need * 1000) / p.arm;
    return force <= FORCE.oneHand ? 0 : force <= FORCE.twoHands ? 1 : 2;
  };
  // A large drawer has many chains of equal mass: each one's name is made once.
  const names = new Map<Path, string>();
  const nameOf = (p: Path) => {
    let known = names.get(p);
    if (known === undefined) names.set(p, (known = piecesKey(p)));
    return known;
  };
  return (a, b) =>
    effort(a) - effort(b) || a.links.length - b.links.length || a.mass - b.mass || (nameOf(a) < nameOf(b) ? -1 : 1);
};

/** Sets of pieces met so far, as a tree: each branch is one more piece, in the order of their numbers; a chain hangs where a set ends. */
class Sets<T> {
  private readonly more = new Map<number, Sets<T>>();
  chain: T | null = null;

  /** A set that lies within the pieces from a place on; null where none does. */
  within(pieces: readonly number[], from = 0): Sets<T> | null {
    if (this.chain !== null) return this;
    for (let i = from; i < pieces.length; i++) {
      const found = this.more.get(at(pieces, i))?.within(pieces, i + 1) ?? null;
      if (found) return found;
    }
    return null;
  }
  put(pieces: readonly number[], chain: T, from = 0): Sets<T> {
    if (from === pieces.length) {
      this.chain = chain;
      return this;
    }
    const piece = at(pieces, from);
    let next = this.more.get(piece);
    if (!next) this.more.set(piece, (next = new Sets()));
    return next.put(pieces, chain, from + 1);
  }
}

/**
 * Drops every chain whose pieces include all the pieces of another: it can never be needed.
 * @param prefer which of two chains of the same pieces stays: the first one where none is given
 */
export function undominated<T extends Pick<Path, 'links'>>(
  chains: readonly T[],
  prefer: (a: T, b: T) => number = () => 1,
): T[] {
  const numbers = new Map<string, number>();
  const numberOf = ({ piece }: Link) => {
    let known = numbers.get(piece.id);
    if (known === undefined) numbers.set(piece.id, (known = numbers.size));
    return known;
  };
  const kept: Sets<T>[] = [];
  const sets = new Sets<T>();
  for (const chain of [...chains].sort((a, b) => a.links.length - b.links.length)) {
    const pieces = chain.links.map(numberOf).sort((a, b) => a - b);
    const known = sets.within(pieces);
    if (known?.chain) {
      if (known.chain.links.length === pieces.length && prefer(chain, known.chain) < 0) known.chain = chain;
    } else kept.push(sets.put(pieces, chain));
  }
  return kept.flatMap(({ chain }) => (chain ? [chain] : []));
}

/** Whether a piece in use couples by the middle square drive, or by no square at all. */
function onMiddleDrive({ mode }: Link): boolean {
  const shapes = mode.offer.by === 'shape' ? [mode.offer.shape, mode.turns] : [mode.turns];
  return shapes.every((s) => s.form !== 'drive' || s.size === MIDDLE_DRIVE);
}

/** What turns one shape: pieces held by hand, with and without a pipe, and pieces that must be driven themselves. */
interface Drivers {
  hands: Path[];
  through: Link[];
}

/** The head's end of a path: pieces from the outermost to the one on the head. */
interface Tail {
  links: readonly Link[];
  length: number;
  mass: number;
  /** Least torque that any of them bears, and which that is. */
  bears: number;
  weakest: number;
  /** Names of the pieces in order, for telling equal sets. */
  pieces: readonly string[];
  /** Greatest width of what stands in the well. */
  widest: number;
  swivels: boolean;
  /** Whether it reaches out of the well, and bends where it must. */
  out: boolean;
  /** Shapes offered since it does. */
  shapes: readonly string[];
}

/** A hand's path and a tail as one path; null where a piece would be used more often than there are copies. */
function joined(hand: Path, tail: Tail): Path | null {
  for (const { piece } of hand.links)
    if (usesOfPiece(tail, piece.id) + usesOfPiece(hand, piece.id) > piece.count) return null;
  return {
    ...hand,
    links: [...hand.links, ...tail.links],
    bears: Math.min(hand.bears, tail.bears),
    weakest: tail.bears < hand.bears ? hand.links.length + tail.weakest : hand.weakest,
    length: hand.length + tail.length,
    swivels: hand.swivels || tail.swivels,
    mass: hand.mass + tail.mass,
  };
}

const printOffer = ({ mode }: Link): string =>
  mode.offer.by === 'shape' ? `${mode.offer.shape.form} ${mode.offer.shape.size}` : '';

/** An adjustable bears what its opening allows: a third of a ring of that size. */
function atOpening(link: Link, turned: Shape): Link {
  if (link.mode.grip !== 'adjustable') return link;
  const bears = Math.min(link.mode.bears, adjustableBears(millimetres(turned.size)));
  return { piece: link.piece, mode: { ...link.mode, bears } };
}

/**
 * Finds chains from hand to head over couplings: piece A drives piece B when A turns a shape that B offers and it fits.
 * Paths to a shape are found once and shared by all heads that hang on it.
 */
export class ChainFinder {
  private readonly drivers = new Map<string, Drivers>();
  private readonly ends = new Map<string, EndReach>();
  private readonly pipes: Link[];
  private readonly links: Link[];

  /**
   * @param pieces what may be used, with how many of each
   * @param practice switches that decide what counts
   */
  constructor(
    readonly pieces: readonly Piece[],
    readonly practice: Practice,
  ) {
    const all = pieces.flatMap((piece) => piece.modes.map((mode): Link => ({ piece, mode })));
    this.pipes = all.filter((l) => l.mode.turns.form === 'bar');
    this.links = all.filter((l) => l.mode.turns.form !== 'bar');
  }

  /** What turns a shape that a piece offers. Couplings must fit: a loose one would slip under load. */
  private turning(shape: Shape): Drivers {
    const key = `${shape.form} ${shape.size}`;
    let known = this.drivers.get(key);
    if (!known) {
      known = { hands: [], through: [] };
      for (const original of this.links) {
        if (modeFit(original.mode, shape).verdict !== 'fits') continue;
        const link = atOpening(original, shape);
        if (link.mode.offer.by === 'hand') known.hands.push(...this.byHand(link));
        else known.through.push(link);
      }
      this.drivers.set(key, known);
    }
    return known;
  }

  /** A piece held by hand, and with each pipe over its handle. */
  private byHand(link: Link): Path[] {
    const pipes = link.mode.offer.by === 'hand' && link.mode.offer.takesPipe ? this.pipes : [];
    return [handPath(link, null, this.practice), ...pipes.map((p) => handPath(link, p, this.practice))];
  }

  /**
   * All paths with a piece on the head, built from the head outwards, the shortest first. Once the pieces reach out of the well and bend where
   * that is asked, no shape between two of them comes again: what lies between would only be one more piece.
   * @param narrow leaves out what cannot work at this end for its length or width
   * @param visit returns true to stop
   */
  private from(original: Link, end: End, narrow: boolean, visit: (path: Path) => boolean): void {
    const { recess, clearance, headroom, approach } = end.access;
    const { need } = end;
    const link = atOpening(original, end.head);
    if (link.mode.offer.by === 'hand') {
      this.byHand(link).some(visit);
      return;
    }
    const grown = (outer: Tail | null, link: Link): Tail | null => {
      const length = link.mode.length + (outer?.length ?? 0);
      const inWell = outer === null || outer.length < recess ? link.mode.width : 0;
      const widest = Math.max(inWell, outer?.widest ?? 0);
      if (narrow && link.mode.bears < need) return null;
      if (narrow && ((clearance !== null && widest > clearance) || (headroom !== null && length > headroom)))
        return null;
      const shape = printOffer(link);
      const swivels = link.mode.swivels || (outer?.swivels ?? false);
      const out = length >= recess && (approach !== 'out of line' || swivels);
      if (outer?.out && outer.shapes.includes(shape)) return null;
      return {
        links: outer ? [link, ...outer.links] : [link],
        length,
        mass: link.piece.mass + (outer?.mass ?? 0),
        bears: Math.min(link.mode.bears, outer?.bears ?? Infinity),
        weakest: outer && outer.bears < link.mode.bears ? outer.weakest + 1 : 0,
        pieces: outer ? [...outer.pieces, link.piece.id].sort() : [link.piece.id],
        widest,
        swivels,
        out,
        shapes: out ? [...(outer?.out ? outer.shapes : []), shape] : [],
      };
    };
    const first = grown(null, link);
    let level: Tail[] = first ? [first] : [];
    for (let between = 0; level.length > 0; between++) {
      const next = new Map<string, Tail>();
      for (const tail of level) {
        const { offer } = at(tail.links, 0).mode;
        if (offer.by !== 'shape') continue;
        const { hands, through } = this.turning(offer.shape);
        for (const hand of hands) {
          // What is cheap to see is looked at first: most paths end here.
          if (narrow && (tail.bears < need || hand.bears < need || hand.handGives < need)) continue;
          const length = hand.length + tail.length;
          if (narrow && (length < recess || (headroom !== null && length > headroom))) continue;
          const path = joined(hand, tail);
          if (path && visit(path)) return;
        }
        if (between === MOST_BETWEEN) continue;
        for (const more of through) {
          if (usesOfPiece(tail, more.piece.id) >= more.piece.count) continue;
          const longer = grown(tail, more);
          if (!longer) continue;
          // The same pieces in another order serve as well, as long as nothing wider stands in the well.
          const key = `${longer.pieces.join()} ${longer.widest} ${longer.out} ${printOffer(more)}`;
          if (!next.has(key)) next.set(key, longer);
        }
      }
      level = [...next.values()];
    }
  }

  /** Links that could turn a head, and whether they fit it. */
  private candidates(head: Head) {
    return this.links
      .map((link) => ({ link, fit: modeFit(link.mode, head) }))
      .filter(({ fit }) => fit.verdict === 'fits' || fit.verdict === 'loose');
  }

  /** Chains that turn one end, the preferred first, or why there is none. */
  reach(end: End): EndReach {
    const key = JSON.stringify(end);
    let known = this.ends.get(key);
    if (!known) {
      known = this.search(end);
      this.ends.set(key, known);
    }
    return known;
  }

  /**
   * What one piece can do on the head of an end: the best of its modes and of all ways to drive it.
   * @returns `ok` when some chain with it on the head works; else why the nearest does not, null where nothing of it even goes on
   */
  onHead(end: End, pieceId: string): { ok: boolean; fit: Fit | null; fails: Fail[] } {
    let nearest: { fit: Fit | null; fails: Fail[]; distance: number } = { fit: null, fails: [], distance: Infinity };
    for (const link of this.links) {
      if (link.piece.id !== pieceId) continue;
      const fit = modeFit(link.mode, end.head);
      if (fit.verdict !== 'fits') {
        const rank = fit.verdict === 'loose' ? 1e6 : fit.verdict === 'rounds' ? 2e6 : 3e6;
        if (fit.verdict !== 'no' && rank < nearest.distance) nearest = { fit, fails: [], distance: rank };
        continue;
      }
      let ok = false;
      this.from(link, end, true, (path) => (ok = this.passes(path, end)));
      if (ok) return { ok: true, fit, fails: [] };
      const near = this.nearest(link, end);
      if (near && near.distance < nearest.distance) nearest = { fit, ...near };
      else if (!near && nearest.distance > 5e5) {
        nearest = { fit, fails: [nothingDrives(link)], distance: 5e5 };
      }
    }
    return { ok: false, fit: nearest.fit, fails: nearest.fails };
  }

  private passes(path: Path, end: End): boolean {
    return failsOf(path, end, this.practice).length === 0;
  }

  /** The path with a piece on the head that comes nearest to working, among the shorter ones. Null where nothing drives the piece. */
  private nearest(link: Link, end: End): { path: Path; fails: Fail[]; distance: number } | null {
    let best: { path: Path; fails: Fail[]; distance: number } | null = null;
    let seen = 0;
    this.from(link, end, false, (path) => {
      const fails = failsOf(path, end, this.practice);
      const far = distance(fails, path);
      if (!best || far < best.distance) best = { path, fails, distance: far };
      return ++seen >= MOST_MISSES;
    });
    return best;
  }

  private search(end: End): EndReach {
    const good: Path[] = [];
    const fits = new Map<Path, Fit>();
    let loose: Link | null = null;
    const candidates = this.candidates(end.head);
    for (const { link, fit } of candidates) {
      if (fit.verdict === 'loose') {
        loose ??= link;
        continue;
      }
      this.from(link, end, true, (path) => {
        if (this.passes(path, end)) {
          good.push(path);
          fits.set(path, fit);
        }
        return false;
      });
    }
    if (good.length === 0)
      this.hooked(end, candidates).forEach(({ path, fit }) => (good.push(path), fits.set(path, fit)));
    let miss: { path: Path; fails: Fail[]; distance: number } | null = null;
    if (good.length === 0)
      for (const { link, fit } of candidates) {
        const near = fit.verdict === 'loose' ? null : this.nearest(link, end);
        if (near && (!miss || near.distance < miss.distance)) miss = near;
      }
    const chains = this.chosen(good, end).map(({ path, holdOnly }) => asChain(path, end, under(fits, path), holdOnly));
    if (chains.length > 0) return { chains, miss: null, loose };
    const fitting = candidates.filter(({ fit }) => fit.verdict === 'fits').map(({ link }) => link);
    const undriven = fitting.find((l) => l.mode.turns.size === end.head.size) ?? fitting[0];
    const fails = [undriven ? nothingDrives(undriven) : nothingFits(end.head)];
    return { chains: [], miss: miss ?? { path: null, fails }, loose };
  }

  /** Where nothing else breaks it loose: one spanner hooked through another as a longer arm. */
  private hooked(end: End, candidates: readonly { link: Link; fit: Fit }[]): { path: Path; fit: Fit }[] {
    const spanners = this.links.filter(isSpanner);
    const hooks = spanners.filter((h, i) => spanners.findIndex((x) => x.piece.id === h.piece.id) === i);
    return candidates
      .filter(({ link, fit }) => fit.verdict === 'fits' && isSpanner(link))
      .flatMap(({ link, fit }) =>
        hooks
          .filter((h) => h.piece.id !== link.piece.id || h.piece.count > 1)
          .map((h) => ({ path: hookedPath(link, h), fit }))
          .filter(({ path }) => this.passes(path, end)),
      );
  }

  /**
   * Of all paths that work at an end those that matter, the preferred first. At an end that may be only held, a path that does not turn by
   * the rider's practice or for want of swing stays as one that holds; the other end has to turn then.
   */
  private chosen(good: readonly Path[], end: End): { path: Path; holdOnly: boolean }[] {
    const prefer = byPreference(end.need);
    const fixed = (p: Path) => p.links.every((l) => l.mode.grip !== 'adjustable');
    const middle = (p: Path) => p.links.every(onMiddleDrive);
    const someElseAll = (list: Path[], want: (p: Path) => boolean) => (list.some(want) ? list.filter(want) : list);
    let turning = end.holding ? good.filter((p) => this.passes(p, { ...end, holding: false })) : [...good];
    if (this.practice.adjustable === 'last') turning = someElseAll(turning, fixed);
    const turns = new Set(turning);
    let holding = end.holding ? good.filter((p) => !turns.has(p)) : [];
    if (this.practice.drive === 'middle') {
      turning = someElseAll(turning, middle);
      holding = someElseAll(holding, middle);
    }
    const chains = undominated(turning, prefer)
      .sort(prefer)
      .map((path) => ({ path, holdOnly: false }));
    if (holding.length === 0) return chains;
    // A path that only holds is no reason to leave out one that turns.
    const turningFirst = (a: Path, b: Path) => Number(turns.has(b)) - Number(turns.has(a)) || prefer(a, b);
    const left = new Set(undominated([...turning, ...holding], turningFirst));
    return [
      ...chains,
      ...holding
        .filter((p) => left.has(p))
        .sort(prefer)
        .map((path) => ({ path, holdOnly: true })),
    ];
  }
}

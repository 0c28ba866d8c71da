import type { Fit } from '../fit/index.js';
import type { Piece } from '../tools/index.js';
import { adjustableBears } from '../tools/index.js';
import { millimetres, type Head, type Shape } from '../sizes/index.js';
import { extendPath, handPath, piecesKey, usesOfPiece, type Chain, type Link, type Path } from './chain.js';
import { asChain, failsOf, modeFit, nothingFits, type End, type Fail } from './check.js';
import { FORCE, type Practice } from './practice.js';

/** Pieces between the one held by hand and the one on the head: adapter, extension, joint, holder. */
const MOST_BETWEEN = 3;

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

/** Ranks chains: one hand before two before a foot, then fewer pieces, then less mass, then a stable order by pieces. */
export const byPreference =
  (need: number | null) =>
  (a: Path, b: Path): number => {
    const effort = (p: Path) => {
      if (need === null || p.arm === 0) return 0;
      const force = (need * 1000) / p.arm;
      return force <= FORCE.oneHand ? 0 : force <= FORCE.twoHands ? 1 : 2;
    };
    return (
      effort(a) - effort(b) ||
      a.links.length - b.links.length ||
      a.mass - b.mass ||
      (piecesKey(a) < piecesKey(b) ? -1 : 1)
    );
  };

const usesWithin = (inner: Path, outer: Path): boolean =>
  inner.links.every(({ piece }) => usesOfPiece(inner, piece.id) <= usesOfPiece(outer, piece.id));

/** Drops every chain whose pieces include all the pieces of another: it can never be needed. Keeps the preferred one of equals. */
export function undominated<T extends Path>(chains: readonly T[]): T[] {
  const sorted = [...chains].sort((a, b) => a.links.length - b.links.length);
  const kept: T[] = [];
  for (const chain of sorted) if (!kept.some((k) => usesWithin(k, chain))) kept.push(chain);
  return kept;
}

/**
 * Drops every path that another beats with some of its pieces, whatever its length: for ends with free access, where reach into a well
 * does not matter. Extending both by the same piece keeps the order, so it may be done at each step.
 */
function strongest(paths: readonly Path[]): Path[] {
  const sorted = [...paths].sort((a, b) => a.links.length - b.links.length || a.mass - b.mass);
  const kept: Path[] = [];
  for (const path of sorted) {
    const beaten = kept.some((k) => k.bears >= path.bears && k.handGives >= path.handGives && usesWithin(k, path));
    if (!beaten) kept.push(path);
  }
  return kept;
}

/** Whether nothing but torque decides at this end, so that longer paths of the same strength cannot help. */
const isOpen = ({ access: a }: End): boolean =>
  a.recess === 0 && a.clearance === null && a.headroom === null && a.swing === null && a.approach !== 'out of line';

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
  private readonly pathsTo = new Map<string, Path[]>();
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

  /** All paths whose last piece is `link`, with at most `between` pieces before it besides the hand-held one. */
  private ending(original: Link, between: number, turned: Shape, open: boolean): Path[] {
    const link = atOpening(original, turned);
    const { mode } = link;
    if (mode.offer.by === 'hand') {
      const takesPipe = mode.offer.takesPipe;
      return [
        handPath(link, null, this.practice),
        ...(takesPipe ? this.pipes.map((p) => handPath(link, p, this.practice)) : []),
      ];
    }
    return this.to(mode.offer.shape, between, open)
      .filter((p) => usesOfPiece(p, link.piece.id) < link.piece.count)
      .map((p) => extendPath(p, link));
  }

  /** All paths that turn a shape offered by a piece. Couplings must fit: a loose one would slip under load. */
  private to(shape: Shape, between: number, open: boolean): Path[] {
    const key = `${shape.form} ${shape.size} ${between} ${open}`;
    const known = this.pathsTo.get(key);
    if (known) return known;
    const found: Path[] = [];
    for (const link of this.links) {
      if (modeFit(link.mode, shape).verdict !== 'fits') continue;
      if (link.mode.offer.by === 'shape' && between === 0) continue;
      found.push(...this.ending(link, between - 1, shape, open));
    }
    const paths = open ? strongest(found) : found;
    this.pathsTo.set(key, paths);
    return paths;
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
      const paths = this.ending(link, MOST_BETWEEN, end.head, isOpen(end));
      if (paths.length === 0 && nearest.distance > 5e5) {
        const fails: Fail[] = [{ code: 'size', message: `nothing in the drawer drives ${link.piece.name}` }];
        nearest = { fit, fails, distance: 5e5 };
      }
      for (const path of paths) {
        const fails = failsOf(path, end, this.practice);
        if (fails.length === 0) return { ok: true, fit, fails };
        const far = distance(fails, path);
        if (far < nearest.distance) nearest = { fit, fails, distance: far };
      }
    }
    return { ok: false, fit: nearest.fit, fails: nearest.fails };
  }

  private search(end: End): EndReach {
    const good: Path[] = [];
    const fits = new Map<Path, Fit>();
    const open = isOpen(end);
    let miss: EndReach['miss'] = null;
    let nearest = Infinity;
    let loose: Link | null = null;
    for (const { link, fit } of this.candidates(end.head)) {
      if (fit.verdict === 'loose') {
        loose ??= link;
        continue;
      }
      for (const path of this.ending(link, MOST_BETWEEN, end.head, open)) {
        const fails = failsOf(path, end, this.practice);
        if (fails.length === 0) {
          good.push(path);
          fits.set(path, fit);
        } else if (distance(fails, path) < nearest) {
          miss = { path, fails };
          nearest = distance(fails, path);
        }
      }
    }
    const prefer = byPreference(end.need);
    let chains = good;
    if (!end.holding && this.practice.adjustable === 'where nothing fixed does') {
      const fixed = chains.filter((c) => c.links.every((l) => l.mode.grip !== 'adjustable'));
      if (fixed.length > 0) chains = fixed;
    }
    if (chains.length > 0) {
      const kept = undominated(chains.sort(prefer)).sort(prefer);
      return { chains: kept.map((p) => asChain(p, end, fits.get(p)!)), miss: null, loose };
    }
    return { chains: [], miss: miss ?? { path: null, fails: [nothingFits(end.head)] }, loose };
  }
}

import { at } from '../../ground/numbers.js';
import type { Fit } from '../../bike/fit/index.js';
import type { Mode, Piece } from '../tools/index.js';
import { FORCE, HOOK_BEARS, HOOK_OVERLAP, PALM, PIPE_OVERLAP, type Practice } from '../practice.js';

/** One piece in use within a chain. */
export interface Link {
  piece: Piece;
  mode: Mode;
}

/** A way from the hand to a shape: links in the order hand → … → the piece that turns it. */
export interface Path {
  links: readonly Link[];
  /** Effective arm, mm; 0 where a palm or fingers turn it. */
  arm: number;
  /** Greatest force that the hold allows, N. */
  force: number;
  /** Greatest torque that the hand can give through the arm, N·m. */
  handGives: number;
  /** Least torque that any link bears, N·m, and which link that is. */
  bears: number;
  weakest: number;
  /** Along the axis, mm. */
  length: number;
  swivels: boolean;
  /** Swing for the next bite, degrees. */
  step: number;
  mass: number;
}

/** A path that turns one end of a fastener, with what it takes. */
export interface Chain extends Path {
  fit: Fit;
  /** Whether it can only hold its end while the other one turns, such as an adjustable by the rider's practice. */
  holdOnly: boolean;
  /** Break-loose torque asked, N·m. */
  need: number;
  /** Force at the arm that breaks it loose, N; null without an arm. */
  effort: number | null;
  /** Least of what bears and what the hand gives over what is needed; null for what is pulled and not turned. */
  margin: number | null;
}

/**
 * Force that a hold allows under a rider's practice, N.
 * @returns N; 0 where no hand holds it
 */
export function allowedForce(mode: Mode, practice: Practice): number {
  if (mode.offer.by !== 'hand') return 0;
  switch (mode.offer.hold) {
    case 'bar':
      return practice.standing === 'never' ? FORCE.twoHands : FORCE.foot;
    case 'ratchet':
      return practice.standing === 'ratchet' ? FORCE.foot : FORCE.twoHands;
    default:
      return FORCE.twoHands;
  }
}

/** A path of one hand-held piece, with a pipe over its handle where one is given. */
export function handPath(link: Link, pipe: Link | null, practice: Practice): Path {
  const { mode } = link;
  if (mode.offer.by !== 'hand') throw new TypeError('a hand path starts with a piece held by hand');
  const pipeArm = pipe && pipe.mode.offer.by === 'hand' ? pipe.mode.offer.arm - PIPE_OVERLAP : 0;
  const arm = mode.offer.arm + pipeArm;
  const force = allowedForce(mode, practice);
  const palm = mode.offer.hold === 'driver' ? PALM.driver : mode.offer.hold === 'thumb' ? PALM.thumb : null;
  return {
    links: pipe ? [pipe, link] : [link],
    arm: palm === null ? arm : 0,
    force,
    handGives: palm ?? (force * arm) / 1000,
    // The pipe takes the whole torque at the mouth of the handle.
    bears: pipe ? Math.min(mode.bears, pipe.mode.bears) : mode.bears,
    weakest: pipe && mode.bears <= pipe.mode.bears ? 1 : 0,
    length: mode.length,
    swivels: mode.swivels,
    step: mode.step,
    mass: link.piece.mass + (pipe?.piece.mass ?? 0),
  };
}

/** Whether a link is a fixed spanner with an arm: what can be hooked into another. */
export const isSpanner = ({ piece, mode }: Link): boolean =>
  ['combination spanner', 'ring spanner', 'open spanner'].includes(piece.kind) &&
  mode.offer.by === 'hand' &&
  mode.offer.hold === 'spanner';

/**
 * One spanner hooked through the free end of another as a longer arm. The one on the head bears the whole torque, the hook at its jaw that of its
 * own arm alone; pulled askew, both bear four fifths.
 */
export function hookedPath(link: Link, hook: Link): Path {
  if (link.mode.offer.by !== 'hand' || hook.mode.offer.by !== 'hand')
    throw new TypeError('both spanners are held by hand');
  const arm = link.mode.offer.arm + hook.mode.offer.arm - HOOK_OVERLAP;
  const atJaw = (hook.mode.bears * arm) / hook.mode.offer.arm;
  const bears = HOOK_BEARS * Math.min(link.mode.bears, atJaw);
  return {
    links: [hook, link],
    arm,
    force: FORCE.twoHands,
    handGives: (FORCE.twoHands * arm) / 1000,
    bears,
    weakest: link.mode.bears <= atJaw ? 1 : 0,
    length: link.mode.length,
    swivels: false,
    step: link.mode.step,
    mass: link.piece.mass + hook.piece.mass,
  };
}
/** Whether a chain's arm is one spanner hooked into another. */
export const isHooked = ({ links }: Pick<Path, 'links'>): boolean =>
  links.length === 2 && at(links, 1).mode.offer.by === 'hand' && at(links, 0).mode.turns.form !== 'bar';
/** Shown wherever such a chain is. */
export const HOOKED_CAUTION =
  'A spanner hooked into another slips off sideways: pull, never push, keep your face and knuckles out of its way, and stop before either bends.';

/** The path with one more piece at its end. */
export function extendPath(path: Path, link: Link): Path {
  const bears = Math.min(path.bears, link.mode.bears);
  return {
    ...path,
    links: [...path.links, link],
    bears,
    weakest: link.mode.bears < path.bears ? path.links.length : path.weakest,
    length: path.length + link.mode.length,
    swivels: path.swivels || link.mode.swivels,
    mass: path.mass + link.piece.mass,
  };
}

/** How often one piece is used in a path. */
export function usesOfPiece(path: Pick<Path, 'links'>, id: string): number {
  let n = 0;
  for (const { piece } of path.links) if (piece.id === id) n++;
  return n;
}

/** How often each piece is used in a path, by id. */
export function usesOf(path: Pick<Path, 'links'>): Map<string, number> {
  const uses = new Map<string, number>();
  for (const { piece } of path.links) uses.set(piece.id, (uses.get(piece.id) ?? 0) + 1);
  return uses;
}

/** Stable key of the pieces in a path, whatever their order. */
export const piecesKey = (path: Pick<Path, 'links'>): string =>
  path.links
    .map((l) => l.piece.id)
    .sort()
    .join(' ');

import { at, present, last } from '../../ground/numbers.js';
import type { Access, Condition } from '../../bike/index.js';
import { fit as fitOf, type Fit } from '../../bike/fit/index.js';
import { millimetres, type Head, type Shape } from '../../ground/sizes/index.js';
import type { Mode } from '../tools/index.js';
import type { Chain, Link, Path } from './chain.js';
import type { ReachFact } from './facts.js';
import type { Practice } from '../practice.js';

/** What is asked of one end of a fastener. */
export interface End {
  head: Head;
  access: Access;
  /** Break-loose torque, N·m; nought for what is pulled and not turned. */
  need: number;
  condition: Condition;
  /** Whether this end may be only held while another turns: so it is with either end of a bolt and its nut. */
  holding: boolean;
}

export type FailCode =
  'size' | 'recess' | 'clearance' | 'headroom' | 'thin' | 'swing' | 'stud' | 'approach' | 'bears' | 'arm' | 'practice';
export interface Fail {
  code: FailCode;
  message: ReachFact;
}

/** Fit of what a mode turns on a shape. An adjustable is set to the head, so only its span counts. */
export function modeFit(mode: Mode, shape: Shape): Fit {
  if (mode.grip !== 'adjustable') return fitOf(mode.turns, shape, mode.grip);
  const s = millimetres(shape.size);
  const inSpan =
    (shape.form === 'hex' || shape.form === 'plug') && s >= millimetres(mode.turns.size) && s <= (mode.opensTo ?? 0);
  return {
    verdict: inSpan ? 'fits' : 'no',
    goesOn: inSpan ? 1 : 0,
    odds: { fits: inSpan ? 1 : 0, loose: 0, rounds: 0, no: inSpan ? 0 : 1 },
    worstPlay: Number.NaN,
    reason: { code: inSpan ? 'fit.set-to-head' : 'fit.outside-span' },
  };
}

/** A pipe is that much longer than what is missing at its arm, mm, since it goes over the handle. Planning value. */
const PIPE_MORE = 50;

/** Whether a hold turns about the chain's own axis, so that its shaft may stand in a well: a driver's handle. */
const inLine = (hand: Link): boolean => hand.mode.offer.by === 'hand' && hand.mode.offer.hold === 'driver';

/**
 * Where the handle of the hand's piece lies along the axis, mm from the head: behind what it turns, except for a driver's, which is at the end of
 * its shaft, and for a piece that is on the head itself, whose length is its shaft.
 */
function handleAt(path: Path, hand: Link): number {
  const index = path.links.indexOf(hand);
  const nearest = path.links.length - 1;
  return index === nearest || inLine(hand) ? path.length : path.length - hand.mode.length;
}

/** The pieces that stand inside the well, from the head outwards, must be thinner than what is free there. */
function widestInWell(path: Path, depth: number): number {
  let widest = 0;
  let depthSoFar = 0;
  for (let i = path.links.length - 1; i >= 0; i--) {
    const { mode } = at(path.links, i);
    widest = Math.max(widest, mode.width);
    depthSoFar += mode.length;
    if (depthSoFar >= depth) break;
  }
  return widest;
}

/**
 * Every reason for which a path cannot turn an end; empty when it can.
 * Recess, clearance, headroom, thin head, swing, stud, approach, torque of every piece, arm × allowed force (docs/model.md, sections 2 and 3).
 */
export function failsOf(path: Path, end: End, practice: Practice): Fail[] {
  const { access, need } = end;
  const onHead = last(path.links);
  // Of two spanners hooked into each other the one on the head is meant.
  const hand = present(path.links.findLast((l) => l.mode.offer.by === 'hand' && l.mode.turns.form !== 'bar'));
  const spanner = onHead.mode.thickness > 0;
  const fails: Fail[] = [];
  const fail = (code: FailCode, message: ReachFact) => fails.push({ code, message });

  if (access.recess > path.length) fail('recess', { code: 'reach.recess', deep: access.recess, reaches: path.length });
  if (access.clearance !== null) {
    const widest = widestInWell(path, access.recess);
    if (widest > access.clearance)
      fail('clearance', { code: 'reach.clearance', free: access.clearance, piece: onHead.piece.name, wide: widest });
    // In a well the handle has to swing above the rim.
    const handle = handleAt(path, hand);
    if (widest <= access.clearance && handle < access.recess && path.length >= access.recess)
      fail('recess', {
        code: 'reach.rim',
        deep: access.recess,
        piece: hand.piece.name,
        below: access.recess - handle,
      });
  }
  if (access.headroom !== null && path.length > access.headroom)
    fail('headroom', { code: 'reach.headroom', room: access.headroom, high: path.length });
  if (access.thin !== null && !(spanner && onHead.mode.thickness <= access.thin))
    fail('thin', {
      code: 'reach.thin',
      limit: access.thin,
      piece: onHead.piece.name,
      thick: spanner ? onHead.mode.thickness : null,
    });
  // What only holds needs no next bite.
  if (!end.holding && access.swing !== null && path.step > access.swing)
    fail('swing', { code: 'reach.swing', swing: access.swing, piece: hand.piece.name, step: path.step });
  if (access.stud > 0 && onHead.mode.hollow < access.stud)
    fail('stud', { code: 'reach.stud', stud: access.stud, piece: onHead.piece.name, hollow: onHead.mode.hollow });
  if (access.approach === 'side only' && onHead.mode.grip !== 'open' && onHead.mode.grip !== 'adjustable')
    fail('approach', { code: 'reach.side-only' });
  if (access.approach === 'in line only' && spanner) fail('approach', { code: 'reach.in-line-only' });
  if (access.approach === 'out of line' && !path.swivels) fail('approach', { code: 'reach.out-of-line' });

  if (!end.holding && path.links.some((l) => l.mode.grip === 'adjustable')) {
    if (practice.adjustable === 'holds') fail('practice', { code: 'reach.adjustable-holds' });
  }
  if (practice.ratchet === 'never' && hand.mode.offer.by === 'hand' && hand.mode.offer.hold === 'ratchet' && need > 0)
    fail('practice', { code: 'reach.ratchet-never-breaks' });
  if (need > 0) {
    if (path.bears < need) {
      const weak = at(path.links, path.weakest);
      fail('bears', { code: 'reach.bears', need, piece: weak.piece.name, bears: weak.mode.bears });
    }
    if (path.handGives < need)
      fail(
        'arm',
        path.arm > 0
          ? {
              code: 'reach.arm',
              need,
              force: path.force,
              arm: path.arm,
              gives: path.handGives,
              pipe: ((need - path.handGives) / path.force) * 1000 + PIPE_MORE,
            }
          : { code: 'reach.palm', need, piece: hand.piece.name, gives: path.handGives },
      );
  }
  return fails;
}

/** A path that passed its checks, with margin and effort. */
export function asChain(path: Path, end: End, fit: Fit, holdOnly = false): Chain {
  const { need } = end;
  return {
    ...path,
    fit,
    holdOnly,
    need,
    effort: path.arm > 0 ? (need * 1000) / path.arm : null,
    margin: need > 0 ? Math.min(path.bears, path.handGives) / need : null,
  };
}

/** Says that nothing in sight even fits the head. */
export const nothingFits = (head: Head): Fail => ({
  code: 'size',
  message: { code: 'reach.nothing-fits', head },
});
/** Says that a piece fits the head and that nothing turns the piece, with what would. */
export function nothingDrives(link: Link): Fail {
  const { offer } = link.mode;
  const by = offer.by === 'hand' ? 'hand' : offer.shape;
  return { code: 'size', message: { code: 'reach.nothing-drives', piece: link.piece.name, by } };
}

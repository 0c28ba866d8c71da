import { at, under } from '../../ground/numbers.js';
import { breakLoose, type Fastener } from '../../bike/index.js';
import { usesOf, type Chain } from './chain.js';
import type { End, Fail } from './fails.js';
import type { ChainFinder, EndReach } from './find.js';

/** What one fastener comes to: the chains at each end, the pair in use, or why it is out of reach. */
export interface Reach {
  fastener: Fastener;
  ends: { end: End; reach: EndReach }[];
  /** Preferred chain for each end, sharing no piece; empty when out of reach. */
  best: Chain[];
  /** Why it is out of reach; empty when reached. */
  fails: { end: 'near' | 'far'; fail: Fail }[];
}

/** The ends of a fastener as they are asked of the chains. Of two ends either may be held while the other turns. */
export function endsOf(fastener: Fastener): End[] {
  const need = breakLoose(fastener).value;
  const near: End = {
    head: fastener.head,
    access: fastener.access,
    need,
    condition: fastener.condition,
    holding: fastener.far !== null,
  };
  if (!fastener.far) return [near];
  return [near, { ...near, head: fastener.far, access: fastener.farAccess }];
}

/** Whether two chains can be in use at once with the copies that are owned, and one of them turns. */
export function disjoint(a: Chain, b: Chain): boolean {
  if (a.holdOnly && b.holdOnly) return false;
  const uses = usesOf(a);
  for (const { piece } of b.links) uses.set(piece.id, (uses.get(piece.id) ?? 0) + 1);
  for (const { piece } of [...a.links, ...b.links]) if (under(uses, piece.id) > piece.count) return false;
  return true;
}

/** The most preferred pair of chains that share no piece beyond its copies, or null. Order: sum of ranks. */
export function bestPair(near: readonly Chain[], far: readonly Chain[]): [Chain, Chain] | null {
  for (let sum = 0; sum < near.length + far.length - 1; sum++)
    for (let i = Math.max(0, sum - far.length + 1); i <= Math.min(sum, near.length - 1); i++) {
      const [a, b] = [at(near, i), at(far, sum - i)];
      if (disjoint(a, b)) return [a, b];
    }
  return null;
}

/**
 * Whether and how a fastener is reached. Both ends need two chains at once that share no piece (unless two of it are owned).
 */
export function reachOf(fastener: Fastener, finder: ChainFinder): Reach {
  const ends = endsOf(fastener).map((end) => ({ end, reach: finder.reach(end) }));
  const fails = ends.flatMap(({ reach }, i) =>
    reach.miss ? reach.miss.fails.map((fail) => ({ end: i === 0 ? ('near' as const) : ('far' as const), fail })) : [],
  );
  if (fails.length > 0) return { fastener, ends, best: [], fails };
  const near = at(ends, 0).reach.chains;
  if (ends.length === 1) return { fastener, ends, best: [at(near, 0)], fails };
  const far = at(ends, 1).reach.chains;
  const pair = bestPair(near, far);
  if (pair) return { fastener, ends, best: pair, fails };
  const held = near.every((c) => c.holdOnly) && far.every((c) => c.holdOnly);
  return {
    fastener,
    ends,
    best: [],
    fails: [
      {
        end: 'far',
        fail: {
          code: held ? 'practice' : 'size',
          message: { code: held ? 'reach.only-held' : 'reach.same-piece' },
        },
      },
    ],
  };
}

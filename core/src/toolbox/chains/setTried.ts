import { at } from '../../ground/numbers.js';
import { cut } from '../../ground/text.js';
import { climb, type Access, type Condition, type Fastener } from '../../bike/index.js';
import type { Chain } from './chain.js';

/** What stops a chain that should have worked, as a rider meets it with everything mounted. */
export const STOPPED = [
  'too short: the head sits deeper',
  'too wide: something stands round the head',
  'too high: no room in line',
  'too thick to get in behind',
  'no room to swing',
  'gets in from the side only',
  'out of line',
  'it did not move',
  'it does not fit the head',
] as const;
export type Stopped = (typeof STOPPED)[number];

/** The next worse state of a fastener that would not move. */
const WORSE: Record<Condition, Condition> = { clean: 'dirty', dirty: 'rusted', locked: 'rusted', rusted: 'rusted' };

/** How much a fact goes beyond what the chain had, mm: enough that the same chain is out. */
const BEYOND = 1;

/** The access fact that follows when this chain is stopped so at an end; null where it is no matter of access. */
function factOf(what: Stopped, chain: Chain): Partial<Access> | null {
  const last = at(chain.links, chain.links.length - 1).mode;
  switch (what) {
    case 'too short: the head sits deeper':
      return { recess: Math.ceil(chain.length + BEYOND) };
    case 'too wide: something stands round the head':
      return { clearance: Math.max(1, Math.floor(last.width - BEYOND)) };
    case 'too high: no room in line':
      return { headroom: Math.max(0, Math.floor(chain.length - BEYOND)) };
    case 'too thick to get in behind':
      return { thin: Math.max(1, Math.floor((last.thickness || 8) - BEYOND)) };
    case 'no room to swing':
      return { swing: Math.max(1, Math.floor(chain.step - BEYOND)) };
    case 'gets in from the side only':
      return { approach: 'side only' };
    case 'out of line':
      return { approach: 'out of line' };
    default:
      return null;
  }
}

/**
 * A fastener after a chain was put on it and was stopped: the reason becomes a fact about its access, its state or its size, so that the set is
 * solved anew without that chain. The fact is the least that rules the chain out: the rider may measure it.
 * @param chain the chain that was tried, at the near or the far end
 */
export function stoppedBy(
  fastener: Fastener,
  what: Stopped,
  chain: Chain,
  end: 'near' | 'far',
  by: { who: string; when: string },
): Fastener {
  const names = chain.links.map((l) => l.piece.name).join(' + ');
  const how = cut(`${names}: ${what}`, 200);
  const key = end === 'near' ? 'access' : 'farAccess';
  const fact = factOf(what, chain);
  if (fact)
    return climb({ ...fastener, [key]: { ...fastener[key], ...fact } }, { ...by, evidence: fastener.evidence, how });
  if (what === 'it did not move')
    return climb({ ...fastener, condition: WORSE[fastener.condition] }, { ...by, evidence: fastener.evidence, how });
  return climb(fastener, { ...by, evidence: 'assumed', how });
}

/** A fastener after its chains were put on and worked. */
export const workedBy = (
  fastener: Fastener,
  chains: readonly (readonly string[])[],
  by: { who: string; when: string },
): Fastener =>
  climb(fastener, {
    ...by,
    evidence: fastener.evidence === 'proven' ? 'proven' : 'tried',
    how: `${chains.map((c) => c.join(' + ')).join('; far end: ')} put on, works`.slice(0, 200),
  });

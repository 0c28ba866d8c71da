import type { Role } from '../bike/index.js';
import type { ChainToolFact } from '../repairs/supplies/index.js';
import type { PieceFunction } from '../toolbox/tools/index.js';
import type { Practice, Switch } from '../toolbox/practice.js';

/** What keeps a way from a kit, as facts: fasteners, troubles and spares by their names. */
export type LackFact =
  | { code: 'lack.nobody-along' | 'lack.no-push-start' | 'lack.nobody-knows' | 'lack.nobody-here' }
  /** No way of the grade that is asked for is known. */
  | { code: 'lack.grade' }
  | { code: 'lack.head-out-of-reach' }
  /** Something is missing, nobody worked out what. */
  | { code: 'lack.something' }
  | ChainToolFact
  /** A switch of the practice stands so that the way does not count. */
  | {
      code: 'lack.preference';
      of: Switch;
      position: Practice[Switch];
    }
  /** No fastener of the bike has the job that the way turns: whoever reads it can mark one. */
  | { code: 'lack.unmarked'; role: Role }
  | { code: 'lack.out-of-reach'; what: string }
  | { code: 'lack.tools'; does: PieceFunction; count: number }
  | { code: 'lack.tools-for'; head: string }
  | { code: 'lack.stays-home'; spare: string }
  | { code: 'lack.unknown-spare'; kind: string }
  /** The toolbox and the spares have it, this kit does not. */
  | { code: 'lack.left-at-home'; tools: LackFact[]; spares: string[] }
  /** A repair that was asked for cannot be had. */
  | { code: 'lack.repair'; name: string; why: LackFact[] };

/** The jobs that no fastener has, of all that is lacking: what a rider can put right in Walk. */
export const unmarkedRoles = (lacks: readonly LackFact[]): Role[] =>
  lacks.flatMap((l) => (l.code === 'lack.unmarked' ? [l.role] : l.code === 'lack.repair' ? unmarkedRoles(l.why) : []));

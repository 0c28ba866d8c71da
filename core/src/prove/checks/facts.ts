import type { Station } from '../../bike/index.js';
import type { DueFact } from '../../trip/services/index.js';
import type { LookKey } from './looks.js';

/** What a check is about, as a fact: its name, how it is done and why are told from this. km, ISO dates; things by their names. */
export type CheckFact =
  | { code: 'check.look'; look: LookKey }
  | { code: 'check.marks'; station: Station; names: string[]; critical: boolean }
  | { code: 'check.service'; name: string; overdue: boolean; due: DueFact }
  | {
      code: 'check.watch';
      name: string;
      why: string;
      everyKm: number;
      lastsKm: number | null;
      lastsKmh: number | null;
      /** Whether what it is good for has ended. */
      ended: boolean;
      caution: string;
    }
  /** The rider’s own. */
  | { code: 'check.own'; name: string; how: string }
  | { code: 'check.tube' | 'check.pump' | 'check.worn'; name: string }
  | { code: 'check.date'; name: string; until: string }
  | { code: 'check.charge'; name: string; everyDays: number; lithium: boolean }
  | { code: 'check.gauge'; comparedOn: string | null }
  | { code: 'check.buy'; things: { name: string; count: number }[] }
  /** Lent to somebody, or missing. */
  | { code: 'check.loan'; name: string; to: string; on: string }
  | { code: 'check.no-place'; names: string[] }
  | { code: 'check.lashings'; places: string[] }
  | { code: 'check.first-stop'; km: number }
  /** Whether some way between pumps is known to be long. */
  | { code: 'check.fuel-water'; gap: boolean }
  | { code: PlainCheck };

/** Checks that say the same of every bike. */
export type PlainCheck =
  | 'check.sealant'
  | 'check.glue'
  | 'check.rust'
  | 'check.gas'
  | 'check.sit-against'
  | 'check.rehearsal'
  | 'check.spare-key'
  | 'check.papers'
  | 'check.card';

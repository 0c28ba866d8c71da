import { at } from '../ground/numbers.js';
import type { Terrain } from '../ground/terrain.js';
import type { Bike, Role } from '../bike/index.js';
import type { PieceFunction } from '../toolbox/tools/index.js';
import { hasTraits, needsOf, type BikeTraits, type Way } from './way.js';

/** What troubles are listed under. */
export const SUBJECTS = [
  'wheels',
  'loose and lost',
  'fall',
  'drive',
  'controls',
  'electrics',
  'engine and fuel',
  'brakes',
  'luggage',
  'people',
  'getting out',
  'service',
] as const;
export type Subject = (typeof SUBJECTS)[number];

/** What can go wrong or fall due, how often, and the ways to mend it, the best first. Rates per 1000 km by terrain (planning values). */
export interface Trouble {
  id: string;
  name: string;
  subject: Subject;
  rate: Record<Terrain, number>;
  /** Per water crossing, on top. */
  perCrossing: number;
  /** A service that falls due: words one of which its line in the bike's book holds. Null for troubles. */
  service: readonly string[] | null;
  only: BikeTraits;
  /** Whether the ride ends where it happens unless it is mended. */
  stops: boolean;
  /** Hours lost without a mend where the ride does not end. */
  nuisance: number;
  /** Whether it comes of a fall or a slide, and so more often in the dark. */
  byFall: boolean;
  ways: readonly Way[];
  /** Written by the rider. */
  own: boolean;
  /** Of the first way: hours, share that holds, what it uses up, needs and turns. */
  mend: number;
  holds: number;
  supplies: { kind: string; units: number }[];
  functions: { does: PieceFunction; count: number }[];
  turns: Role[];
  caution: string;
}

export type TroubleGiven = Pick<Trouble, 'id' | 'name' | 'subject' | 'ways'> &
  Partial<Pick<Trouble, 'rate' | 'perCrossing' | 'service' | 'only' | 'stops' | 'nuisance' | 'byFall' | 'own'>>;

const NONE = { paved: 0, gravel: 0, track: 0 };

/** A trouble from what differs; what its first way asks for is read from its steps. */
export function trouble(given: TroubleGiven): Trouble {
  const first = at(given.ways, 0);
  const needs = needsOf(first);
  return {
    rate: NONE,
    perCrossing: 0,
    service: null,
    only: {},
    stops: true,
    nuisance: 0,
    byFall: false,
    own: false,
    ...given,
    mend: first.minutes / 60,
    holds: first.holds,
    supplies: needs.supplies,
    functions: needs.functions,
    turns: needs.heads.filter((h) => !h.ifAny).map((h) => h.role),
    caution: [...new Set(given.ways.map((w) => w.caution).filter(Boolean))][0] ?? '',
  };
}

/**
 * Rates per 1000 km on paved, gravel, track or rock.
 * @param paved per 1000 km
 * @param gravel per 1000 km
 * @param track per 1000 km
 */
export const per = (paved: number, gravel: number, track: number): Trouble['rate'] => ({ paved, gravel, track });

/** Whether a bike can have a trouble at all. */
export const appliesTo = (t: Pick<Trouble, 'only'>, bike: Bike): boolean => hasTraits(t.only, bike);

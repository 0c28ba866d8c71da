import type { Fastener, Station } from '../bike/index.js';
import type { Grade, Prevention } from '../repairs/index.js';
import type { SupplyKind } from '../repairs/supplies/index.js';
import type { FunctionNeed } from '../toolbox/cover/index.js';
import type { Piece } from '../toolbox/tools/index.js';
import type { LackFact } from './lacks.js';

/** A fastener that only one piece of the kit turns, with the heads that it turns of it. */
export interface NeededBy {
  id: string;
  name: string;
  bikeId: string;
  station: Station;
  heads: Fastener['head'][];
}

/** A trouble by its id, with its name for whoever tells it. */
export interface TroubleName {
  id: string;
  name: string;
}

/** A piece in the kit, with the reason for it. */
export interface KitPiece {
  piece: Piece;
  count: number;
  /** Ids of the fasteners lost when one copy is left out and the rest stays, and what it turns of each. */
  needed: string[];
  neededBy: NeededBy[];
  /** Troubles whose mend it serves by what it does. */
  serves: TroubleName[];
  /** Troubles whose mend turns a head with it. */
  turnsFor: TroubleName[];
  /** Pieces that it stands in for, should they be lost or break. */
  standsInFor: string[];
  /** Whether it is in nobody's drawer yet. */
  toBuy: boolean;
  /** Expected uses on the trip. */
  uses: number;
  /** Hours that the kit saves less without one copy of it. */
  hours: number;
  /** A lighter tool that could be bought for what this one does here, and the grams that it saves; null where none saves much. */
  lighter: { name: string; mass: number; price: number; saves: number } | null;
  /** What becomes of each mend that loses its way without it: the next best way, or none. */
  without: { trouble: string; way: string; instead: string | null; grade: Grade | null; hours: number }[];
}

/** A spare in the kit, with what is owned and what is to be bought. */
export interface KitSpare {
  kind: string;
  /** What is said of one of it. */
  of: SupplyKind;
  name: string;
  unit: string;
  quantity: number;
  /** Units beside the live part on the bike already, which weigh nothing here. */
  fitted: number;
  /** Units that are packed whatever they are good for. */
  always: number;
  /** Chance that all mends it is set aside for suffice. */
  enough: number;
  /** Expected units used. */
  expected: number;
  mass: number;
  owned: number;
  buy: number;
  /** Mends that it is set aside for: of which trouble, or part of one; how many, units of each, and how often the trouble comes. */
  for: { troubleId: string; trouble: string; mends: number; units: number; mean: number }[];
  /** Hours that the kit saves less without any of it. */
  hours: number;
}

/** A way as whoever rides the trip many times needs it: what it costs, uses and leaves. */
export interface RiddenWay {
  name: string;
  hours: number;
  /** Worth of its grade. */
  worth: number;
  supplies: { kind: string; units: number }[];
  holds: number;
  /** Whether it reaches a workshop or better. */
  home: boolean;
}

/** What the kit gives against one trouble. */
export interface Mend {
  key: string;
  troubleId: string;
  name: string;
  bikeId: string;
  ask: number;
  /** The best way that the kit has, and its grade; null when it has none. */
  way: number | null;
  wayName: string;
  grade: Grade | null;
  /** Mends at ride-out or better that the kit allows; Infinity when nothing is used up. */
  mends: number;
  /** Why the ways that the kit lacks are lacking; empty when it has the one asked for. */
  lacks: LackFact[];
  /** Whether it was asked for and is not met at the grade. */
  below: boolean;
  /** P(N ≤ mends). */
  covered: number;
  hoursSaved: number;
  hoursLeft: number;
  /** All ways that the kit has, the best first. */
  ways: RiddenWay[];
  /** The other known ways, with what keeps the kit from them. */
  others: { name: string; why: LackFact[] }[];
}

export interface Kit {
  pieces: KitPiece[];
  spares: KitSpare[];
  /** Grams of tools, spares, what was fitted beforehand, and all. */
  toolMass: number;
  spareMass: number;
  preventionMass: number;
  mass: number;
  /** mL: Σ of each piece's own box ÷ fill. */
  bulk: number;
  /** Price of all that is in it, euros. */
  price: number;
  /** What it was made as: worth its weight, the lightest that gives the grade, the most under the limits, or a kept kit as it is. */
  as: 'worth' | 'lightest' | 'most' | 'kept';
  keptName: string | null;
  proven: boolean;
  gap: number;
  /** What the tools are worth together, euros, and whether that keeps to the rider's limit. */
  worth: number;
  withinWorth: boolean;
  /** Whether the service level is met, where it was asked for. */
  served: boolean;
  /** Fasteners reached with the kit alone. */
  reached: string[];
  /** Functions that some trouble asks for and that nothing in the toolbox does. */
  missing: FunctionNeed[];
  /** What the rider demands and cannot be had. */
  unmet: LackFact[];
  mends: Mend[];
  prevention: Prevention[];
  /** Home by own means: Π over troubles that end the ride of P(N ≤ mends at ride-out or better). */
  home: number;
  /** Hours still at stake with this kit. */
  atStake: number;
  saved: number;
  /** The same in the question's value, where that is money. */
  value: number;
}

export interface KitFacts {
  as: Kit['as'];
  keptName?: string | null;
  proven: boolean;
  gap: number;
  served: boolean;
  owned: ReadonlyMap<string, number>;
  /** A kept kit's own spares, where those are what is packed. */
  supplies?: ReadonlyMap<string, number>;
}

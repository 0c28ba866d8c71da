import type { Fastener } from '../bike/index.js';
import type { GarageDocument } from '../garage/index.js';
import { at } from '../ground/numbers.js';
import { fastenersFor, kitCase, toolsFrom, type KitCase } from '../kit/index.js';
import type { KitRows } from '../kit/rows.js';
import { assign, LaidMemory, type Packing, type PackingHint, type StowInput } from '../stow/index.js';
import { ChainFinder, cureOf, endsOf, type Cure } from '../toolbox/chains/index.js';
import { offeredPieces, type Piece } from '../toolbox/tools/index.js';
import type { Exposure } from '../trip/odds/index.js';
import type { Question } from './question.js';

/** What of a garage a kit case reads beside the practice and the rates: whole tables, its part of one, or none of it. */
const TABLES_OF_CASE = {
  bikes: 'whole',
  pieces: 'whole',
  supplies: 'whole',
  kinds: 'whole',
  mends: 'whole',
  rides: 'whole',
  // How fast the riders of the trip are, and who they are.
  drills: 'whole',
  crews: 'whole',
  // One trip, and the fasteners of the bikes on it.
  trips: 'part',
  fasteners: 'part',
  garage: 'part',
  // What is lent is out of the tables already, and a kept kit is looked up later.
  loans: 'none',
  kits: 'none',
} as const satisfies Record<Exclude<keyof KitRows, 'othersRide'>, 'whole' | 'part' | 'none'>;
type Table = keyof typeof TABLES_OF_CASE;
type Whole = { [T in Table]: (typeof TABLES_OF_CASE)[T] extends 'whole' ? T : never }[Table];
const WHOLE = (Object.keys(TABLES_OF_CASE) as Table[]).filter((t): t is Whole => TABLES_OF_CASE[t] === 'whole');

/**
 * What one answer leaves for the next: chains of the same drawer under the same practice need not be searched again. It changes how long an
 * answer takes, never what it says.
 */
export class AnswerMemory {
  private key = '';
  private finder: ChainFinder | null = null;
  private drawer: Piece[] = [];
  private wide: { key: string; tools: KitCase } | null = null;
  private readonly cures = new Map<string, Cure | null>();
  private readonly laid = new LaidMemory();
  private packed: { key: string; packing: Packing } | null = null;

  /** The packing of an input; the same input and hint have the same. */
  packing(input: StowInput, hint: PackingHint | null): Packing {
    const key = JSON.stringify([input, hint]);
    if (this.packed?.key !== key) this.packed = { key, packing: assign(input, { hint, memory: this.laid }) };
    return this.packed.packing;
  }

  /** The finder over a toolbox, kept while neither the pieces nor the practice change. */
  chains(pieces: readonly Piece[], practice: GarageDocument['garage']['practice']): ChainFinder {
    // Copies of its own, since later pieces' names and prices are written into them.
    const drawer = pieces.filter((p) => p.mark !== 'never').map((p) => ({ ...p }));
    // Only what decides a chain: a piece's name, price or place, and most of the practice, may change without it.
    const { adjustable, ratchet, standing, drive } = practice;
    const key = JSON.stringify([
      adjustable,
      ratchet,
      standing,
      drive,
      drawer.map((p) => [p.id, p.count, p.mass, p.modes]),
    ]);
    if (!this.finder || key !== this.key) {
      this.finder = new ChainFinder(drawer, practice);
      this.drawer = drawer;
      this.key = key;
      this.cures.clear();
    } else {
      // The chains speak of the pieces that they were found with; what else changed of those is carried over.
      drawer.forEach((p, i) => Object.assign(at(this.drawer, i), p));
    }
    return this.finder;
  }

  /**
   * Heads and pieces for the least set. With the catalogue in play finding its chains takes long, so they are kept while the bike's
   * fasteners, the toolbox, the trip and the practice stay.
   */
  tools(doc: GarageDocument, question: Question, finder: ChainFinder, list: readonly Exposure[]): KitCase {
    if (toolsFrom(doc) === 'toolbox') return kitCase(doc, question, finder, list);
    const trip = doc.trips.find((t) => t.id === question.tripId);
    const key = JSON.stringify([
      { ...question, packed: null },
      doc.garage.practice,
      doc.garage.rates,
      trip,
      WHOLE.map((table) => doc[table]),
      fastenersFor(doc, question.bikeId, trip),
    ]);
    if (this.wide?.key !== key) this.wide = { key, tools: kitCase(doc, question, finder, list) };
    return this.wide.tools;
  }

  /** The cure of a fastener over the toolbox last asked for; the same ends have the same cure. */
  cure(fastener: Fastener, practice: GarageDocument['garage']['practice']): Cure | null {
    const key = JSON.stringify(endsOf(fastener));
    let known = this.cures.get(key);
    if (known === undefined) {
      known = cureOf(fastener, this.drawer, offeredPieces('good'), practice);
      this.cures.set(key, known);
    }
    return known;
  }
}

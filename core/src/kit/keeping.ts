import { KNOWN, type SupplyBook } from '../repairs/supplies/index.js';
import type { KeptKit } from './keptKit.js';
import type { Kit } from './kit.js';
import type { CurvePoint } from './points.js';
import type { Piece } from '../toolbox/tools/index.js';
import { present } from '../ground/numbers.js';

/**
 * A kit written down as it is, with its figures of now.
 * @param given id, name and day of saving
 */
export function keptOf(
  kit: Kit,
  given: Pick<KeptKit, 'id' | 'name' | 'bikeId' | 'tripId' | 'made'> & { chosen: number },
): KeptKit {
  const { chosen, ...rest } = given;
  return {
    ...rest,
    frozen: false,
    pieces: kit.pieces.map((p) => ({ pieceId: p.piece.id, name: p.piece.name, count: p.count, mass: p.piece.mass })),
    // What sits on the bike is not packed: it is there for any kit.
    supplies: kit.spares
      .filter((s) => s.quantity > s.fitted)
      .map((s) => ({
        kind: s.kind,
        name: s.name,
        quantity: s.quantity - s.fitted,
        mass: s.mass,
      })),
    figures: {
      mass: kit.mass,
      bulk: kit.bulk,
      price: kit.price,
      reached: kit.reached.length,
      chosen,
      saved: kit.saved,
      atStake: kit.atStake,
      home: kit.home,
    },
    note: '',
  };
}

/**
 * A list that the rider wrote, with the figures of a point of the curve.
 * @param contents copies of each piece, and the repairs that it is stocked for
 */
export function listOf(
  contents: { pieces: { piece: Piece; count: number }[]; supplies: { kind: string; quantity: number }[] },
  given: Pick<KeptKit, 'id' | 'name' | 'bikeId' | 'tripId' | 'made'>,
  book: SupplyBook = KNOWN,
): KeptKit {
  return {
    ...given,
    frozen: false,
    pieces: contents.pieces.map(({ piece, count }) => ({
      pieceId: piece.id,
      name: piece.name,
      count,
      mass: piece.mass,
    })),
    supplies: contents.supplies.map(({ kind, quantity }) => ({
      kind,
      name: book.of(kind).name,
      quantity,
      mass: book.of(kind).mass * quantity,
    })),
    figures: { mass: 0, bulk: 0, price: 0, reached: 0, chosen: 0, saved: 0, atStake: 0, home: 0 },
    note: '',
  };
}
/**
 * The same with figures worked out.
 * @param atStakeInAll hours at risk without a kit
 * @param chosen fasteners in all
 */
export const withFigures = (kept: KeptKit, point: CurvePoint, atStakeInAll: number, chosen: number): KeptKit => ({
  ...kept,
  figures: {
    mass: point.mass,
    bulk: point.bulk,
    price: point.price,
    reached: point.reached,
    chosen,
    saved: point.hours,
    atStake: Math.max(0, atStakeInAll - point.hours),
    home: point.home,
  },
});

/** One thing of two kits side by side. */
export interface KitDifference {
  name: string;
  inFirst: number;
  inSecond: number;
  /** Grams of one. */
  mass: number;
}
/** Two kits side by side: what only one has, or has more of, the heaviest difference first; then what both have. */
export function compareKits(
  a: Pick<KeptKit, 'pieces' | 'supplies'>,
  b: Pick<KeptKit, 'pieces' | 'supplies'>,
): { different: KitDifference[]; same: KitDifference[] } {
  const things = (k: typeof a) =>
    new Map<string, { name: string; n: number; mass: number }>([
      ...k.pieces.map((p) => [`piece ${p.pieceId}`, { name: p.name, n: p.count, mass: p.mass }] as const),
      ...k.supplies.map(
        (s) => [`supply ${s.kind}`, { name: s.name, n: s.quantity, mass: s.mass / s.quantity }] as const,
      ),
    ]);
  const [x, y] = [things(a), things(b)];
  const all = [...new Set([...x.keys(), ...y.keys()])].map((key): KitDifference => {
    const [p, q] = [x.get(key), y.get(key)];
    const { name, mass } = present(p ?? q);
    return { name, inFirst: p?.n ?? 0, inSecond: q?.n ?? 0, mass };
  });
  const weight = (d: KitDifference) => Math.abs(d.inFirst - d.inSecond) * d.mass;
  const byName = (p: KitDifference, q: KitDifference) => (p.name < q.name ? -1 : 1);
  return {
    different: all.filter((d) => d.inFirst !== d.inSecond).sort((p, q) => weight(q) - weight(p) || byName(p, q)),
    same: all.filter((d) => d.inFirst === d.inSecond).sort(byName),
  };
}

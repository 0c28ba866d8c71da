import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import {
  catalogue,
  DEFAULT_PRACTICE,
  emptyDocument,
  FREE_ACCESS,
  newBike,
  newFastener,
  newPiece,
  type GarageDocument,
  type Head,
} from '@necessaire/core';

/** Heads with the tightening torque that they usually take. */
const HEADS: [Head['form'], string, number][] = [
  ['hex', '8', 10],
  ['hex', '10', 10],
  ['hex', '12', 24],
  ['hex', '13', 24],
  ['hex', '14', 35],
  ['hex', '17', 45],
  ['hex', '19', 60],
  ['hex', '1/2in', 20],
  ['hex', '7/16in', 15],
  ['key', '4', 6],
  ['key', '5', 10],
  ['key', '6', 20],
  ['key', '8', 30],
  ['lobe', '25', 6],
  ['lobe', '30', 10],
  ['lobe', '40', 20],
  ['ph', '2', 2],
  ['jis', '2', 2],
];

/** A garage from a seed: so many bikes with so many heads each, a toolbox of so many catalogue pieces, the commonest twice when it runs out. */
export function randomGarage(seed: number, heads: number, pieces: number, bikes = 1): GarageDocument {
  const rng = xoroshiro128plus(seed);
  const upTo = (n: number) => Math.abs(rng.next()) % n;
  const id = (group: number, n: number) => `0000000${group}-0000-4000-8000-${String(n).padStart(12, '0')}`;
  const shelf = catalogue();
  const drawer = Array.from({ length: pieces }, () => {
    if (shelf.length === 0) shelf.push(...catalogue());
    return shelf.splice(upTo(shelf.length), 1)[0]!;
  });
  const pick = () => HEADS[upTo(HEADS.length)]!;
  const all = Array.from({ length: bikes }, (_, b) => newBike(id(1, seed * 100 + b), `Seeded ${seed}, ${b + 1}`));
  return {
    ...emptyDocument({ name: `Seeded ${seed}`, practice: DEFAULT_PRACTICE }),
    bikes: all,
    fasteners: all.flatMap((bike, b) =>
      Array.from({ length: heads }, (_, i) => {
        const [form, size, torque] = pick();
        const [farForm, farSize] = pick();
        return newFastener({
          id: id(2, b * 1000 + i),
          bikeId: bike.id,
          head: { form, size },
          far: upTo(8) === 0 ? { form: farForm, size: farSize } : null,
          torque: { value: torque, source: 'user' },
          condition: upTo(3) === 0 ? 'dirty' : 'clean',
          access: upTo(6) === 0 ? { ...FREE_ACCESS, recess: 20 + upTo(60), clearance: 22 + upTo(12) } : FREE_ACCESS,
        });
      }),
    ),
    pieces: drawer.map((model, i) => newPiece(model, { id: id(3, i) })),
  };
}

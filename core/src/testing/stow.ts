/** Places, items and whole questions for tests of stowing. */
import { figure } from './figure.js';
import fc from 'fast-check';
import { newBike } from '../bike/index.js';
import { people } from '../stow/load/index.js';
import { NEW_GOALS } from '../stow/goals.js';
import { stowUnits, type StowItem, type Unit } from '../stow/item.js';
import type { Pin, Place } from '../stow/place.js';
import type { StowInput } from '../stow/stowInput.js';
import { costOf, keepsRules, type Cut, type StowProblem } from '../stow/stowProblem.js';
import { usualPlaces } from '../stow/usual.js';
import { TRAITS } from '../toolbox/tools/index.js';
import { uuid } from './make.js';

export const bike = newBike(uuid(1), 'Test');
export const place = (n: number, given: Partial<Place> = {}): Place => ({
  id: uuid(n),
  bikeId: bike.id,
  name: `Place ${n}`,
  kind: 'box',
  inside: { length: 200, width: 100, height: 100 },
  fill: 0.65,
  taken: 0,
  takenMass: 0,
  limit: 2000,
  roughLimit: null,
  onRack: false,
  at: { x: 900, y: 0, z: 800 },
  tier: 'one zip',
  opening: null,
  stays: true,
  lockable: false,
  dry: true,
  hot: false,
  wiring: false,
  wrapped: false,
  slots: null,
  note: '',
  ...given,
});
export const item = (n: number, given: Partial<StowItem> = {}): StowItem => ({
  key: `piece ${n}`,
  name: `Item ${n}`,
  kind: 'other',
  mass: 200,
  size: { length: 100, width: 40, height: 20 },
  volume: 80,
  traits: [],
  holds: null,
  cuts: false,
  hollow: null,
  uses: 0,
  group: null,
  ...given,
});
export const input = (
  items: StowItem[],
  places: Place[],
  pins: [string, string][] = [],
  more: Partial<StowInput> = {},
): StowInput => ({
  items,
  places,
  pins: pins.map(([key, placeId], i): Pin => ({ id: uuid(900 + i), bikeId: bike.id, placeId, item: key })),
  bike,
  goals: NEW_GOALS,
  rough: false,
  people: people(bike, { mass: 80_000 }, null),
  ...more,
});
export const unit = (i: StowItem) => stowUnits([i], [])[0] as Unit;
const someItem = (n: number) =>
  fc
    .record({
      mass: fc.integer({ min: 2, max: 900 }),
      length: fc.integer({ min: 20, max: 420 }),
      width: fc.integer({ min: 5, max: 120 }),
      height: fc.integer({ min: 3, max: 70 }),
      traits: fc.subarray([...TRAITS], { maxLength: 3 }),
      uses: figure(0, 1),
      group: fc.constantFrom(null, 'wheels', 'drive'),
    })
    .map(({ length, width, height, ...rest }) =>
      item(n, { ...rest, size: { length, width, height }, volume: (length * width * height) / 1000 }),
    );
export const someItems = (most: number) =>
  fc.integer({ min: 1, max: most }).chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => someItem(i))));
export const usual = usualPlaces({ ...bike, fitted: ['side racks', 'crash bars'] }).map((p, i): Place => ({
  ...p,
  id: uuid(100 + i),
  bikeId: bike.id,
}));

/** Oracle: the least cost over every assignment that keeps the rules; Infinity where none does. */
export function leastOfAll(p: StowProblem, cuts: readonly Cut[] = []): number {
  let best = Infinity;
  const where: number[] = [];
  const every = (u: number) => {
    if (u === p.units.length) {
      if (keepsRules(p, where, cuts)) best = Math.min(best, costOf(p, where));
      return;
    }
    for (const bin of p.fixed.at(u) >= 0 ? [p.fixed.at(u)] : [...p.bins.keys(), p.loose]) {
      where[u] = bin;
      every(u + 1);
    }
  };
  every(0);
  return best;
}

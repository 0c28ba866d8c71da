import { beforeAll, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import { newFastener } from '../bike/index.js';
import type { GarageDocument } from '../garage/index.js';
import type { Solve } from '../ground/milp.js';
import { present } from '../ground/numbers.js';
import { owned, uuid } from '../testing/make.js';
import { tinyGarage } from '../testing/tinyGarage.js';
import { combinationSpanner, openSpanner } from '../toolbox/tools/index.js';
import { ME, newCrew } from './crew.js';
import { crewCase } from './crewCase.js';
import { swapsOf } from './crewSwitches.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const tiny = tinyGarage();
const bikeId = present(tiny.bikes[0]).id;
type Bolt = [size: string, role?: 'rear axle'];
const swaps = (bolts: Bolt[], tools: GarageDocument['pieces'], most?: number) => {
  const fasteners = bolts.map(([size, role = null], i) =>
    newFastener({
      ...{ id: uuid(100 + i), bikeId, name: `Bolt ${i} of ${size}`, role },
      head: { form: 'hex', size },
      torque: { value: 8, source: 'manual' },
    }),
  );
  const pieces = tools.map((piece, i) => ({ ...piece, id: uuid(200 + i) }));
  const crew = newCrew({ id: uuid(90), tripId: present(tiny.trips[0]).id, members: [{ who: ME, bikeId }] });
  const found = swapsOf(present(crewCase({ ...tiny, fasteners, pieces }, crew)), solve, most);
  return found.map(({ fastener, ...rest }) => [fastener.name, rest]);
};
const spanner = (size: string) => owned(combinationSpanner(size));

test('a bolt that alone wants a tool frees it, the heaviest first; those that share one free nothing', () => {
  const [ten, twelve, thirteen] = ['10', '12', '13'].map(combinationSpanner);
  const all: Bolt[] = [['10'], ['12'], ['10'], ['13']];
  const freed = [
    [
      'Bolt 3 of 13',
      {
        grams: thirteen!.mass,
        euros: expect.closeTo(thirteen!.price, 9),
        leaves: ['Combination spanner 13'],
        comes: [],
      },
    ],
    [
      'Bolt 1 of 12',
      { grams: twelve!.mass, euros: expect.closeTo(twelve!.price, 9), leaves: ['Combination spanner 12'], comes: [] },
    ],
  ];
  const tools = ['10', '12', '13', '17'].map(spanner);
  expect(swaps(all, tools)).toEqual(freed);
  expect(swaps(all, tools, 1)).toEqual(freed.slice(0, 1));
  expect(swaps([['10']], tools)[0]![1]).toMatchObject({ grams: ten!.mass, leaves: ['Combination spanner 10'] });
});
test('what comes in place of what leaves is taken off the grams and the euros', () => {
  const [small, both] = [combinationSpanner('10'), openSpanner('10', '13')];
  expect(both.mass).toBeGreaterThan(small.mass);
  expect(swaps([['10'], ['13']], [spanner('10'), spanner('13'), owned(both)])).toEqual([
    [
      'Bolt 1 of 13',
      {
        grams: both.mass - small.mass,
        euros: expect.closeTo(both.price - small.price, 9),
        leaves: ['Open spanner 10 and 13'],
        comes: ['Combination spanner 10'],
      },
    ],
  ]);
});
test('an axle stays as it is, and a bolt that nothing turns frees nothing', () => {
  expect(swaps([['17', 'rear axle'], ['24']], [spanner('17'), spanner('10')])).toEqual([]);
});

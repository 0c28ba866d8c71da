import { describe, expect, test } from '@jest/globals';
import { supplyKind } from '../repairs/supplies/index.js';
import { owned } from '../testing/make.js';
import { bareCrew, bareGroup, bareMember } from '../testing/smallCrews.js';
import { lampAndSpares } from '../testing/smallKits.js';
import { BAG_FILL, boxVolume, functional } from '../toolbox/tools/index.js';
import {
  blended,
  carriedCounts,
  greatestShare,
  loads,
  mayCarryAll,
  nothing,
  stockOfGroup,
  totalMass,
  type Assignment,
} from './assignment.js';
import type { Crew } from './crew.js';
import type { CrewCase } from './crewCase.js';
import { effectOf, moved, pieceOf, stockKey } from './effect.js';
import { atHome, forced, mostCopies } from './forced.js';
import {
  ableOf,
  chosenOptions,
  drawsOf,
  gapKey,
  gapsOf,
  judgeCrew,
  leftUndone,
  optionDone,
  optionOf,
} from './judge.js';
import type { GroupDemand } from './groups.js';
import { crewAnswer, reasonFor } from './told.js';
import { doublesOf } from './doublesOf.js';
import { crewCsv, listOfCarrier } from './lists.js';

const lamp = owned(functional('Lamp', ['light'], 50, [100, 10, 10], 30), { count: 2 });
const saw = owned(functional('Saw', ['cut'], 300, [400, 10, 10], 20));
const problem = lampAndSpares([lamp, saw]);
const [patch, fuse] = [supplyKind('patch'), supplyKind('fuse')];
/** Two riders of 400 g and 800 g, and a car that takes 5 kg. */
function crew(given: Partial<Crew> = {}, more: Partial<CrewCase> = {}): CrewCase {
  const two = bareCrew(problem, [bareMember(0, 400), bareMember(1, 800, { room: 40 })], { fair: 0.25, ...given });
  const car = {
    ...{ key: 'car', name: 'The car', limit: 5000, room: 900, member: null },
    vehicle: { id: 'car', name: 'The car', kind: 'car' as const, legs: [], limit: 5000, litres: 0.9 },
  };
  return { ...two, carriers: [...two.carriers, car], ...more };
}
const sharing = (pieces: number[][], stock: Record<string, number[]> = {}): Assignment => ({
  pieces,
  stock: new Map(Object.entries(stock)),
  ways: new Map(),
});
const some = sharing(
  [
    [1, 0, 1],
    [0, 1, 0],
  ],
  { patch: [2, 0, 1], fuse: [0, 3, 0] },
);

describe('who has what', () => {
  test('copies and units that some have together', () => {
    expect(carriedCounts(some, [0, 1])).toEqual([1, 1]);
    expect(carriedCounts(some, [0, 2])).toEqual([2, 0]);
    expect(carriedCounts(some, [7])).toEqual([0, 0]);
    expect([...stockOfGroup(some, [0, 2])]).toEqual([
      ['patch', 3],
      ['fuse', 0],
    ]);
    expect(nothing(crew())).toEqual(
      sharing([
        [0, 0, 0],
        [0, 0, 0],
      ]),
    );
  });
  test('grams and room of each, and of all', () => {
    const by = loads(crew(), some);
    expect(by.map((l) => l.mass)).toEqual([50 + 2 * patch.mass, 300 + 3 * fuse.mass, 50 + patch.mass]);
    expect(by[0]!.bulk).toBeCloseTo((10 + 2 * boxVolume(patch)) / BAG_FILL, 9);
    expect(by[1]!.bulk).toBeCloseTo((40 + 3 * boxVolume(fuse)) / BAG_FILL, 9);
    expect(totalMass(crew(), some)).toBeCloseTo(400 + 3 * patch.mass + 3 * fuse.mass, 9);
  });
  test('the greatest share is a rider’s: what a car takes is nobody’s', () => {
    expect(greatestShare(crew(), [100, 300, 5000])).toBe(300 / 800);
    expect(greatestShare(crew(), [200, 300, 0])).toBe(0.5);
    expect(greatestShare(crew(), [])).toBe(0);
    expect(mayCarryAll(crew())).toBe(1200);
    // Whoever may carry nothing and carries a gram carries it whole.
    expect(greatestShare(bareCrew(problem, [bareMember(0, 0)]), [3])).toBe(3);
  });
  test('what it costs blends grams with the greatest share', () => {
    const all = totalMass(crew(), some);
    const share = (300 + 3 * fuse.mass) / 800;
    expect(blended(crew({ fair: 0 }), some)).toBeCloseTo(all, 9);
    expect(blended(crew({ fair: 1 }), some)).toBeCloseTo(1200 * share, 9);
    expect(blended(crew({ fair: 0.25 }), some)).toBeCloseTo(0.75 * all + 0.25 * 1200 * share, 9);
  });
});

describe('what is carried in any case', () => {
  const item = `piece ${lamp.id}`;
  const fixed = (by: string, count: number, of = item) => ({ item: of, by: by as 'me', count });
  const oke = crew().carriers[1]!.key;
  test('nothing where nobody says so', () => {
    expect(forced(crew(), null)).toEqual({
      pieces: [
        [0, 0, 0],
        [0, 0, 0],
      ],
      stock: new Map(),
    });
  });
  test('what the rider gave to somebody, as far as there is so much of it: whoever comes first has it', () => {
    expect(forced(crew({ fixed: [fixed(oke, 2)] }), null).pieces).toEqual([
      [0, 2, 0],
      [0, 0, 0],
    ]);
    expect(forced(crew({ fixed: [fixed(oke, 2), fixed('me', 1)] }), null).pieces[0]).toEqual([1, 1, 0]);
    expect(forced(crew({ fixed: [fixed('me', 9)] }), null).pieces[0]).toEqual([2, 0, 0]);
    expect(forced(crew({ fixed: [fixed('car', 1), fixed('home', 1)] }), null).pieces[0]).toEqual([0, 0, 1]);
    // Of two words on one thing the greater.
    expect(forced(crew({ fixed: [fixed(oke, 1), fixed(oke, 2)] }), null).pieces[0]).toEqual([0, 2, 0]);
    expect(forced(crew({ fixed: [fixed('me', 3, 'spare patch')] }), null).stock).toEqual(
      new Map([['patch', [3, 0, 0]]]),
    );
  });
  test('what its owner always brings is with its owner; what is marked to stay with nobody', () => {
    const marked = (mark: 'always' | 'twice' | 'never') => {
      const pieces = [{ ...lamp, mark }, saw];
      return crew(
        { fixed: [fixed('me', 1)] },
        { problem: { ...problem, pieces }, of: [[{ member: 1, id: 'x', count: 2 }], []] },
      );
    };
    expect(forced(marked('always'), null).pieces[0]).toEqual([1, 1, 0]);
    expect(forced(marked('twice'), null).pieces[0]).toEqual([1, 1, 0]);
    expect(forced(marked('never'), null).pieces[0]).toEqual([0, 0, 0]);
    expect([mostCopies(marked('never'), 0), mostCopies(crew(), 0), mostCopies(crew(), 1)]).toEqual([0, 2, 1]);
    const many = { ...problem, pieces: [{ ...lamp, count: 50 }, saw] };
    expect(mostCopies(crew({}, { problem: many }), 0)).toBe(8);
  });
  test('what is carried already, and spares that somebody always brings', () => {
    const floor = forced(
      crew(
        {},
        {
          brings: new Map([
            ['patch', [0, 5, 0]],
            ['fuse', [0, 0, 0]],
          ]),
        },
      ),
      some,
    );
    expect(floor.pieces).toEqual(some.pieces);
    expect(floor.stock).toEqual(
      new Map([
        ['patch', [2, 5, 1]],
        ['fuse', [0, 3, 0]],
      ]),
    );
    expect(forced(crew({}, { brings: new Map([['fuse', [0, 0, 0]]]) }), null).stock.size).toBe(0);
  });
  test('nothing of whoever is not there', () => {
    const gone = crew({ fixed: [fixed('me', 1), fixed('me', 2, 'spare patch')] }, { absent: new Set([0]) });
    expect(forced(gone, some).pieces).toEqual([
      [0, 0, 1],
      [0, 1, 0],
    ]);
    expect(forced(gone, some).stock.get('patch')).toEqual([0, 0, 1]);
  });
  test('copies left at home', () => {
    const home = crew({ fixed: [fixed('home', 1), fixed('home', 2), fixed('me', 9), fixed('home', 4, 'spare patch')] });
    expect([atHome(home, item), atHome(home, 'spare patch'), atHome(home, `piece ${saw.id}`)]).toEqual([2, 4, 0]);
  });
});

describe('what a group can do', () => {
  const light = { way: 0, requires: [0], supplies: [] };
  const patches = (units: number) => ({ way: 1, requires: [], supplies: [{ kind: 'patch', units }] });
  const demand = (ask: number, ...options: GroupDemand['options']): GroupDemand => ({ ask, options, grade: 'proper' });
  const group = bareGroup('g', 'part', [0, 1], { demands: [demand(0, light), demand(1, patches(2), light)] });
  const c = crew({}, { groups: [group] });
  test('an option goes where its tools are met and its units are there', () => {
    const able = ableOf(c, some, group);
    expect(able.counts).toEqual([1, 1]);
    expect([optionDone(light, able), optionDone(patches(2), able), optionDone(patches(3), able)]).toEqual([
      true,
      true,
      false,
    ]);
    const dark = ableOf(
      c,
      sharing([
        [0, 0, 2],
        [0, 0, 0],
      ]),
      group,
    );
    expect(optionDone(light, dark)).toBe(false);
    // Looked at once: the answer stays.
    expect([dark.met(0), dark.met(0)]).toEqual([false, false]);
    expect(optionOf(demand(1, patches(3), light), able)).toBe(light);
    expect(optionOf(demand(1, patches(3)), able)).toBeNull();
  });
  test('goes the option settled on, else one that takes nothing, else the first that is there', () => {
    const able = ableOf(c, some, group);
    const one = bareGroup('g', 'part', [0], { demands: [demand(1, patches(3), patches(1), light)] });
    expect(chosenOptions(one, able)).toEqual([light]);
    expect(chosenOptions(one, able, [1])).toEqual([patches(1)]);
    expect(chosenOptions(one, able, [0])).toEqual([light]);
    expect(chosenOptions(one, able, [-1])).toEqual([light]);
    const two = bareGroup('g', 'part', [0], { demands: [demand(1, patches(3), patches(2), patches(1))] });
    expect(chosenOptions(two, able)).toEqual([patches(2)]);
    expect(chosenOptions(bareGroup('g', 'part', [], { demands: [demand(1, patches(9))] }), able)).toEqual([null]);
  });
  test('draws on a stock by each trouble that takes from it', () => {
    const draws = drawsOf(c, group, [null, patches(2)]);
    expect([...draws]).toEqual([['patch', [{ law: problem.asks[1]!.law, units: 2 }]]]);
    const both = bareGroup('g', 'all', [0], { demands: [demand(1, patches(1)), demand(2, patches(2))] });
    expect(
      drawsOf(c, both, [patches(1), patches(2)])
        .get('patch')!
        .map((d) => d.units),
    ).toEqual([1, 2]);
  });
  test('gaps: repairs that nobody can do, heads that nobody turns, spares that do not suffice', () => {
    const bare = nothing(c);
    expect(gapsOf(c, some, group)).toEqual([]);
    expect(gapsOf(c, bare, group).map((g) => [g.group, g.kind, g.ask, g.fasteners, g.short])).toEqual([
      ['g', 'mend', 0, [], null],
      ['g', 'mend', 1, [], null],
    ]);
    const loose = bareGroup('l', 'part', [0], {
      loose: [
        {
          bikeId: 'b',
          shares: [
            { ask: 2, requires: 0, share: 0.7 },
            { ask: 1, requires: 0, share: 0.1 },
          ],
        },
      ],
    });
    expect(gapsOf(c, bare, loose)).toEqual([
      { group: 'l', kind: 'loose', bikeId: 'b', ask: 2, fasteners: [], short: null },
    ]);
    expect(gapsOf(c, some, loose)).toEqual([]);
    // All together a stock must suffice for all that draws on it: one patch mends once, and the level asks for more.
    const all = bareGroup('all', 'all', [0, 1, 2], { demands: [demand(1, patches(1))] });
    const with_ = (n: number) => gapsOf(c, sharing(nothing(c).pieces, { patch: [n, 0, 0] }), all);
    expect(with_(0).map((g) => g.kind)).toEqual(['mend']);
    expect(with_(1).map((g) => [g.kind, g.short!.kind])).toEqual([['stock', 'patch']]);
    const wanting = with_(1)[0]!.short!.units;
    expect(with_(1 + wanting)).toEqual([]);
    expect(with_(wanting).map((g) => g.short!.units)).toEqual([1]);
    expect(gapsOf(c, sharing(nothing(c).pieces, { patch: [1, 0, 0] }), all, false)).toEqual([]);
    expect(new Set([...gapsOf(c, bare, group), ...with_(1)].map(gapKey)).size).toBe(3);
  });
  test('what is left undone: repairs one by one, what comes loose by its share', () => {
    const loose = bareGroup('l', 'part', [0], {
      loose: [
        {
          bikeId: 'b',
          shares: [
            { ask: 2, requires: 0, share: 0.5 },
            { ask: 1, requires: 0, share: 0.25 },
          ],
        },
      ],
    });
    const of = crew({}, { groups: [group, loose] });
    expect(leftUndone(of, nothing(of))).toBeCloseTo(2.75, 12);
    expect(
      leftUndone(
        of,
        sharing(
          [
            [0, 1, 0],
            [0, 0, 0],
          ],
          {},
        ),
      ),
    ).toBeCloseTo(0.75, 12);
    expect(leftUndone(of, some)).toBe(0);
  });
  test('over a limit: grams, or room where it is known', () => {
    expect(judgeCrew(c, some).over.map((o) => o.carrier)).toEqual([1]);
    const bulk = (40 + 3 * boxVolume(fuse)) / BAG_FILL;
    expect(judgeCrew(c, some).over[0]).toEqual({ carrier: 1, mass: 0, bulk: expect.closeTo(bulk - 40, 9) });
    const heavy = sharing(
      [
        [0, 0, 0],
        [1, 0, 0],
      ],
      { patch: [30, 0, 0] },
    );
    expect(judgeCrew(c, heavy).over).toEqual([
      { carrier: 0, mass: expect.closeTo(300 + 30 * patch.mass - 400, 9), bulk: 0 },
    ]);
    expect(judgeCrew(c, nothing(c))).toMatchObject({ over: [] });
  });
});

describe('one thing handed on', () => {
  const c = crew();
  const item = `piece ${lamp.id}`;
  test('from one to another, from home, to home; no more than is there', () => {
    expect([pieceOf(c, item), pieceOf(c, 'spare patch'), stockKey('spare patch')]).toEqual([0, -1, 'patch']);
    expect(moved(c, some, item, 0, 1).pieces).toEqual([
      [0, 1, 1],
      [0, 1, 0],
    ]);
    expect(moved(c, some, item, 0, 1, 5).pieces[0]).toEqual([0, 1, 1]);
    expect(moved(c, some, item, -1, 1, 2).pieces[0]).toEqual([1, 2, 1]);
    expect(moved(c, some, item, 2, -1).pieces[0]).toEqual([1, 0, 0]);
    expect(moved(c, some, 'spare patch', 0, 1, 2).stock.get('patch')).toEqual([0, 2, 1]);
    expect(moved(c, some, 'spare plug', -1, 0).stock.get('plug')).toEqual([1, 0, 0]);
    // What was there stays as it was.
    expect(some.pieces).toEqual([
      [1, 0, 1],
      [0, 1, 0],
    ]);
    expect(some.stock.get('patch')).toEqual([2, 0, 1]);
  });
  test('what that does: grams, the greatest share, what is lost and won, who is over now', () => {
    const light = { way: 0, requires: [0], supplies: [] };
    const group = bareGroup('g', 'alone', [0], { demands: [{ ask: 0, options: [light], grade: 'proper' }] });
    const of = crew({}, { groups: [group] });
    const lost = effectOf(of, some, moved(of, some, item, 0, 1));
    expect(lost).toMatchObject({ mass: 0, won: [], over: [] });
    expect(lost.lost.map((g) => g.ask)).toEqual([0]);
    expect(lost.share).toBeCloseTo(50 / 800, 12);
    expect(effectOf(of, moved(of, some, item, 0, 1), some)).toMatchObject({
      lost: [],
      share: expect.closeTo(-50 / 800, 12),
    });
    expect(effectOf(of, moved(of, some, item, 0, 1), some).won.map((g) => g.ask)).toEqual([0]);
    const saws = `piece ${saw.id}`;
    const over = effectOf(of, some, moved(of, moved(of, some, saws, 1, 0), 'spare patch', -1, 0, 20));
    expect(over.over).toEqual([0]);
    expect(over.mass).toBeCloseTo(20 * patch.mass, 9);
    expect(over.cost).toBeCloseTo(
      blended(of, moved(of, moved(of, some, saws, 1, 0), 'spare patch', -1, 0, 20)) - blended(of, some),
      9,
    );
    // Whoever was over before is not over now for that.
    expect(effectOf(of, some, moved(of, some, 'spare fuse', -1, 1)).over).toEqual([]);
  });
});

describe('what is said of a sharing', () => {
  const light = { way: 0, requires: [0], supplies: [] };
  const groups = [
    bareGroup('alone 0', 'alone', [0], { demands: [{ ask: 0, options: [light], grade: 'proper' }] }),
    bareGroup('everybody', 'all', [0, 1, 2], { demands: [{ ask: 0, options: [light], grade: 'proper' }] }),
  ];
  const c = crew(
    { fixed: [{ item: `piece ${saw.id}`, by: 'me', count: 1 }] },
    {
      groups,
      of: [[{ member: 1, id: lamp.id, count: 1 }], [{ member: 0, id: saw.id, count: 1 }]],
      owned: new Map([['patch', [1, 1, 0]]]),
    },
  );
  const shared = { ...some, cost: 7, bound: 6, proven: false, gap: 0.1 };
  const answer = crewAnswer(c, shared);
  const tokens = (r: number) => answer.carriers[r]!.tokens.map((t) => [t.name, t.count, t.of, t.buy]);
  test('whose each thing is: one’s own first, then what others own, then what is bought', () => {
    expect(tokens(0)).toEqual([
      ['Lamp', 1, [{ member: 1, count: 1 }], 0],
      [
        patch.name,
        2,
        [
          { member: 0, count: 1 },
          { member: 1, count: 1 },
        ],
        0,
      ],
    ]);
    expect(tokens(1)).toEqual([
      ['Saw', 1, [{ member: 0, count: 1 }], 0],
      [fuse.name, 3, [], 3],
    ]);
    expect(tokens(2)).toEqual([
      ['Lamp', 1, [], 1],
      [patch.name, 1, [], 1],
    ]);
  });
  test('grams, shares and limits of each and of all', () => {
    expect(answer.carriers.map((k) => k.share)).toEqual([
      expect.closeTo((50 + 2 * patch.mass) / 400, 12),
      expect.closeTo((300 + 3 * fuse.mass) / 800, 12),
      expect.closeTo((50 + patch.mass) / 5000, 12),
    ]);
    expect(answer).toMatchObject({ cost: 7, bound: 6, proven: false, gap: 0.1 });
    expect(answer.mass).toBeCloseTo(totalMass(c, some), 9);
    expect(answer.share).toBeCloseTo(
      greatestShare(
        c,
        loads(c, some).map((l) => l.mass),
      ),
      12,
    );
    expect(answer.carriers[0]!.tokens[0]).toMatchObject({ mass: 50, fixed: false });
    expect(answer.carriers[1]!.tokens[1]!.mass).toBeCloseTo(3 * fuse.mass, 9);
    expect(answer.names.map((n) => [n.name, n.vehicle, n.bike?.name ?? null, n.hand])).toEqual([
      ['Rider 0', null, 'Bike 0', 3],
      ['Rider 1', null, 'Bike 1', 3],
      ['The car', 'car', null, null],
    ]);
  });
  test('what hangs on each thing', () => {
    const why = (r: number) => answer.carriers[r]!.tokens.map((t) => t.why.map((g) => g.group));
    // The rider’s lamp is what they have alone; all together have another in the car.
    expect(why(0)).toEqual([['alone 0'], []]);
    expect(why(1)).toEqual([[], []]);
    expect(why(2)).toEqual([[], []]);
    const less = moved(c, some, `piece ${lamp.id}`, 2, -1);
    expect(reasonFor(c, less, `piece ${lamp.id}`, 0, judgeCrew(c, less)).map((g) => g.group)).toEqual([
      'alone 0',
      'everybody',
    ]);
    expect(crewAnswer(c, shared, false).carriers[0]!.tokens[0]!.why).toEqual([]);
  });
  test('what is carried twice, and whether one of it could go', () => {
    expect(doublesOf(answer)).toEqual([
      {
        item: `piece ${lamp.id}`,
        name: 'Lamp',
        by: [
          { carrier: 0, count: 1, for: ['alone'] },
          { carrier: 2, count: 1, for: [] },
        ],
        mass: 50,
        canGo: true,
      },
    ]);
  });
  test('packing lists in lines, each with whose it is', () => {
    expect(listOfCarrier(answer, 0)).toEqual([
      { who: 'Rider 0', what: 'Lamp', count: 1, mass: 50, from: 'Rider 1', buy: 0 },
      { who: 'Rider 0', what: patch.name, count: 2, mass: 2 * patch.mass, from: 'Rider 1', buy: 0 },
    ]);
    expect(listOfCarrier(answer, 9)).toEqual([]);
    const rows = crewCsv(answer, [1]).replace('\ufeff', '').trim().split('\r\n');
    expect(rows).toEqual([
      'who,what,number,grams,from,to buy,packed',
      'Rider 1,Saw,1,300,Rider 0,0,',
      `Rider 1,${fuse.name},3,${3 * fuse.mass},,3,`,
    ]);
  });
  test('what a thing has a mark of the rider’s is said of it', () => {
    const given = crewAnswer(c, { ...shared, ...moved(c, some, `piece ${saw.id}`, 1, 0) });
    expect(given.carriers[0]!.tokens.map((t) => [t.name, t.fixed])).toEqual([
      ['Saw', true],
      ['Lamp', false],
      [patch.name, false],
    ]);
  });
});

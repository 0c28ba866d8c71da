import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FREE_ACCESS, type Fastener } from '../../bike/index.js';
import {
  adapter,
  adjustable,
  asOffered,
  bit,
  bitSocket,
  combinationSpanner,
  driverHandle,
  extension,
  joint,
  lKey,
  mode,
  openSpanner,
  pipe,
  plainBar,
  plugSocket,
  ratchet,
  ringSpanner,
  socket,
  thumbWheel,
  tHandle,
  tyreLever,
  type Piece,
  type PieceModel,
} from '../tools/index.js';
import { fastener, owned } from '../../testing/make.js';
import { HOOKED_CAUTION, isHooked, usesOfPiece, extendPath, handPath, type Path } from './chain.js';
import { failsOf, modeFit } from './fails.js';
import { cureOf, chainNames } from './cure.js';
import { ChainFinder, undominated } from './find.js';
import { bestPair, endsOf, reachOf } from './operation.js';
import { DEFAULT_PRACTICE, type Practice } from '../practice.js';

const hex = (size: string) => ({ form: 'hex' as const, size });
const key = (size: string) => ({ form: 'key' as const, size });
const nm = (value: number) => ({ value, source: 'manual' as const });
const reach = (pieces: Piece[], f: Fastener, practice: Practice = DEFAULT_PRACTICE) =>
  reachOf(f, new ChainFinder(pieces, practice));
const names = (pieces: Piece[], f: Fastener) => reach(pieces, f).best.map(chainNames);
const why = (pieces: Piece[], f: Fastener, practice?: Practice) =>
  reach(pieces, f, practice).fails.map((x) => x.fail.code);
const own = (...models: PieceModel[]) => models.map((m) => owned(m));

describe('the four chains that must come out', () => {
  test('ratchet ¼ → socket 6.35 → bit T30', () => {
    const pieces = own(ratchet('1/4in'), socket('1/4in', '1/4in'), bit({ form: 'lobe', size: '30' }));
    expect(names(pieces, fastener({ head: { form: 'lobe', size: '30' }, torque: nm(10) }))).toEqual([
      ['Ratchet ¼ in', 'Socket ¼ in, ¼ in', 'Bit T30'],
    ]);
  });
  test('ratchet ⅜ → adapter → extension ¼ → socket 8', () => {
    const pieces = own(ratchet('3/8in'), adapter('3/8in', '1/4in'), extension('1/4in', 100), socket('1/4in', '8'));
    const sunk = fastener({ head: hex('8'), torque: nm(10), access: { ...FREE_ACCESS, recess: 100, clearance: 20 } });
    expect(names(pieces, sunk)).toEqual([
      ['Ratchet ⅜ in', 'Adapter ⅜ in to ¼ in', 'Extension ¼ in, 100 mm', 'Socket ¼ in, 8'],
    ]);
  });
  test('ring 17 → stub with a 17 hex → inside hex 14 axle', () => {
    const stub: PieceModel = {
      ...socket('3/8in', '17'),
      name: 'Stub',
      kind: 'home-made',
      modes: [mode({ offer: { by: 'shape', shape: hex('17') }, turns: key('14'), bears: 170, length: 20, width: 20 })],
    };
    expect(names(own(ringSpanner('17', '19'), stub), fastener({ head: key('14'), torque: nm(60) }))).toEqual([
      ['Ring spanner 17 and 19', 'Stub'],
    ]);
  });
  test('socket 13 → reversible bit → T55, and turned round → inside hex 13', () => {
    const back = { by: 'shape' as const, shape: hex('13') };
    const reversible: PieceModel = {
      ...socket('3/8in', '13'),
      name: 'Reversible',
      kind: 'home-made',
      modes: [
        mode({ offer: back, turns: { form: 'lobe', size: '55' }, bears: 120, length: 20, width: 15 }),
        mode({ offer: back, turns: key('13'), bears: 110, length: 14, width: 15 }),
      ],
    };
    const pieces = own(ratchet('3/8in'), socket('3/8in', '13'), reversible);
    for (const head of [{ form: 'lobe' as const, size: '55' }, key('13')])
      expect(names(pieces, fastener({ head, torque: nm(40) }))).toEqual([
        ['Ratchet ⅜ in', 'Socket ⅜ in, 13', 'Reversible'],
      ]);
  });
});

describe('what stands in the way', () => {
  const set = () => own(ratchet('3/8in'), socket('3/8in', '13'));
  const at = (access: Partial<Fastener['access']>, torque = 20) =>
    fastener({ head: hex('13'), torque: nm(torque), access: { ...FREE_ACCESS, ...access } });
  test('recess, clearance, headroom', () => {
    expect(why(set(), at({ recess: 41 }))).toEqual(['recess']);
    expect(reach(set(), at({ recess: 40 })).best).toHaveLength(1);
    expect(why(set(), at({ clearance: 19 }))).toEqual(['clearance']);
    expect(why(set(), at({ headroom: 39 }))).toEqual(['headroom']);
    expect(reach(set(), at({ headroom: 40 })).best).toHaveLength(1);
  });
  test('a handle across the top of a well does not count as wide when the rest is long enough', () => {
    const long = own(ratchet('3/8in'), extension('3/8in', 150), socket('3/8in', '13'));
    expect(reach(long, at({ recess: 100, clearance: 22 })).best).toHaveLength(1);
    expect(why(set(), at({ recess: 35, clearance: 22 }))).toEqual(['clearance']);
  });
  test('approach and thin heads', () => {
    expect(why(set(), at({ approach: 'side only' }))).toEqual(['approach']);
    expect(reach(own(openSpanner('12', '13')), at({ approach: 'side only' })).best).toHaveLength(1);
    expect(why(own(combinationSpanner('13')), at({ approach: 'in line only' }))).toEqual(['approach']);
    expect(why(set(), at({ approach: 'out of line' }))).toEqual(['approach']);
    expect(
      reach(own(ratchet('3/8in'), joint('3/8in'), socket('3/8in', '13')), at({ approach: 'out of line' })).best,
    ).toHaveLength(1);
    expect(why(set(), at({ thin: 5 }))).toEqual(['thin']);
    expect(reach(own(openSpanner('12', '13')), at({ thin: 6 })).best).toHaveLength(1);
    expect(why(own(openSpanner('12', '13')), at({ thin: 4 }))).toEqual(['thin']);
  });
  test('swing: a ratchet needs eight degrees, a spanner thirty, a driver none', () => {
    expect(reach(set(), at({ swing: 10 })).best).toHaveLength(1);
    // Just as much as one bite takes is enough.
    expect(reach(set(), at({ swing: 8 })).best).toHaveLength(1);
    expect(why(set(), at({ swing: 7.9 }))).toEqual(['swing']);
    expect(why(own(combinationSpanner('13')), at({ swing: 20 }))).toEqual(['swing']);
    const light = fastener({ head: hex('8'), torque: nm(2), access: { ...FREE_ACCESS, swing: 2 } });
    expect(reach(own(driverHandle('1/4in'), socket('1/4in', '8')), light).best).toHaveLength(1);
  });
  test('a plug’s body goes into a deep hollow only', () => {
    const plug = fastener({ head: { form: 'plug', size: '16' }, torque: nm(12), access: { ...FREE_ACCESS, stud: 50 } });
    expect(why(own(ratchet('3/8in'), socket('3/8in', '16', true)), plug)).toEqual(['stud']);
    expect(reach(own(ratchet('3/8in'), plugSocket('3/8in', '16')), plug).best).toHaveLength(1);
  });
  test('torque of every piece, and the arm', () => {
    expect(why(own(ratchet('1/4in'), socket('1/4in', '13')), at({}, 26))).toEqual(['bears']);
    const axle = fastener({ head: hex('27'), torque: nm(98), condition: 'dirty' });
    const short = reach(own(tyreLever('27', true)), axle);
    expect(short.fails[0]!.fail).toMatchObject({ code: 'arm' });
    // 147 N·m are 3 more than 600 N give on 240 mm: 5 mm of arm, and 50 of pipe over the handle.
    expect(short.fails[0]!.fail.message).toEqual({
      ...{ code: 'reach.arm', need: expect.closeTo(147, 9), force: 600, arm: 240, gives: 144 },
      pipe: expect.closeTo(55, 9),
    });
    expect(names(own(tyreLever('27', true), pipe(300)), axle)).toEqual([['Pipe 300 mm', 'Tyre lever, alloy, ring 27']]);
    expect(reach(own(tyreLever('27', true), pipe(300)), axle).best[0]!.arm).toBe(240 + 300 - 50);
  });
  test('a thumb wheel gives 1 N·m and a driver 5', () => {
    const pieces = own(thumbWheel(), socket('1/4in', '8'));
    expect(why(pieces, fastener({ head: hex('8'), torque: nm(1) }))).toEqual(['arm']);
    expect(reach(pieces, fastener({ head: hex('8'), torque: nm(0.8) })).best).toHaveLength(1);
    expect(
      why(own(driverHandle('1/4in'), socket('1/4in', '8')), fastener({ head: hex('8'), torque: nm(4.5) })),
    ).toEqual(['arm']);
  });
  test('nothing of the size, or only a loose one', () => {
    expect(why(set(), fastener({ head: hex('17'), torque: nm(20) }))).toEqual(['size']);
    const half = reach(set(), fastener({ head: hex('1/2in'), torque: nm(20) }));
    expect(half.best).toEqual([]);
    expect(half.ends[0]!.reach.loose?.piece.name).toBe('Socket ⅜ in, 13');
  });
});

describe('practice', () => {
  const nut = fastener({ head: hex('13'), torque: nm(15) });
  test('an adjustable turns only where nothing fixed does, unless the switch says otherwise', () => {
    const both = own(adjustable(250, 30, 370), combinationSpanner('13'));
    expect(names(both, nut)).toEqual([['Combination spanner 13']]);
    const alone = own(adjustable(250, 30, 370));
    expect(names(alone, nut)).toEqual([['Adjustable spanner 250 mm']]);
    expect(why(alone, nut, { ...DEFAULT_PRACTICE, adjustable: 'holds' })).toEqual(['practice']);
  });
  test('an adjustable bears a third of a ring at its opening', () => {
    // 0.2 · 13² = 34 N·m.
    expect(why(own(adjustable(250, 30, 370)), fastener({ head: hex('13'), torque: nm(29) }))).toEqual(['bears']);
  });
  test('a ratchet that never breaks loose leaves it to a bar', () => {
    const never: Practice = { ...DEFAULT_PRACTICE, ratchet: 'never' };
    expect(why(own(ratchet('3/8in'), socket('3/8in', '13')), nut, never)).toEqual(['practice']);
    expect(reach(own(tHandle('3/8in'), socket('3/8in', '13')), nut, never).best).toHaveLength(1);
  });
  test('standing: on a bar by default, on nothing if the rider says so', () => {
    const tight = fastener({ head: hex('13'), torque: nm(80) });
    const pieces = own(plainBar('3/8in', 250), socket('3/8in', '13'));
    expect(reach(pieces, tight).best[0]!.effort).toBeCloseTo(384, 0);
    const tighter = fastener({ head: hex('14'), torque: nm(83), condition: 'clean' });
    const bar = own(plainBar('3/8in', 240), socket('3/8in', '14'));
    expect(reach(bar, tighter).best).toHaveLength(1);
    expect(why(bar, tighter, { ...DEFAULT_PRACTICE, standing: 'never' })).toEqual(['arm']);
  });
});

describe('both ends at once', () => {
  const bolt = fastener({ head: hex('13'), far: hex('13'), torque: nm(20) });
  test('the same piece cannot be at both ends, two of it or an adjustable can', () => {
    const one = own(combinationSpanner('13'));
    expect(reach(one, bolt).fails[0]).toMatchObject({ end: 'far' });
    expect(reach([{ ...one[0]!, count: 2 }], bolt).best).toHaveLength(2);
    const held = reach([...one, owned(adjustable(250, 30, 370))], bolt);
    expect(held.best.map(chainNames)).toEqual([['Combination spanner 13'], ['Adjustable spanner 250 mm']]);
  });
  test('two handles are needed, not one', () => {
    const one = own(ratchet('3/8in'), socket('3/8in', '13'), bitSocket('3/8in', key('8')));
    const mixed = fastener({ head: hex('13'), far: key('8'), torque: nm(20) });
    expect(reach(one, mixed).best).toEqual([]);
    expect(reach([...one, owned(lKey('8'))], mixed).best.map(chainNames)).toEqual([
      ['Ratchet ⅜ in', 'Socket ⅜ in, 13'],
      ['L-key 8'],
    ]);
  });
  test('the lowest sum of ranks is taken', () => {
    const chain = (id: string) => ({ links: [{ piece: { id, count: 1 } }] }) as never;
    expect(bestPair([chain('a'), chain('b')], [chain('a'), chain('c')])).toEqual([chain('a'), chain('c')]);
    expect(bestPair([chain('a')], [chain('a')])).toBeNull();
  });
});

describe('cures', () => {
  const offered = own(
    combinationSpanner('13'),
    socket('3/8in', '13'),
    socket('1/4in', '13'),
    ratchet('3/8in'),
    combinationSpanner('17'),
  ).map((p, i) => asOffered(p, i));
  test('the lightest purchase uses what the toolbox has', () => {
    const cure = cureOf(
      fastener({ head: hex('13'), torque: nm(20) }),
      own(ratchet('3/8in')),
      offered,
      DEFAULT_PRACTICE,
    );
    expect(cure!.buy.map((p) => p.name)).toEqual(['Socket ⅜ in, 13']);
    expect(cure!.mass).toBe(35);
  });
  test('for both ends it may be a second one of what is owned', () => {
    const cure = cureOf(
      fastener({ head: hex('13'), far: hex('13'), torque: nm(20) }),
      own(combinationSpanner('13')),
      [],
      DEFAULT_PRACTICE,
    );
    expect(cure!.buy.map((p) => p.name)).toEqual(['Combination spanner 13']);
  });
  test('for a deep head it may be a second extension, of which one is owned', () => {
    const drawer = own(ratchet('1/4in'), extension('1/4in', 100), socket('1/4in', '10'));
    const deep = fastener({
      head: hex('10'),
      torque: nm(8),
      access: { ...FREE_ACCESS, recess: 190, clearance: 25 },
    });
    const cure = cureOf(deep, drawer, [], DEFAULT_PRACTICE)!;
    expect(cure.buy.map((p) => p.name)).toEqual(['Extension ¼ in, 100 mm']);
    expect(cure.chains.flatMap((c) => c.links.map((l) => l.piece.name))).toEqual([
      ...['Ratchet ¼ in', 'Extension ¼ in, 100 mm', 'Extension ¼ in, 100 mm', 'Socket ¼ in, 10'],
    ]);
    // Pieces of it are those that are owned, with the copies that there are.
    for (const { piece } of cure.chains.flatMap((c) => c.links)) expect(drawer).toContain(piece);
  });
  test('nothing helps', () => {
    expect(cureOf(fastener({ head: hex('32'), torque: nm(20) }), [], offered, DEFAULT_PRACTICE)).toBeNull();
  });
});

/** Oracle: every sequence of distinct pieces with every mode, tried one by one. */
function everyChain(pieces: Piece[], f: Fastener): Set<string> {
  const end = endsOf(f)[0]!;
  const found = new Set<string>();
  const links = pieces.flatMap((piece) => piece.modes.map((m) => ({ piece, mode: m })));
  const grow = (path: Path) => {
    const last = path.links[path.links.length - 1]!;
    if (modeFit(last.mode, end.head).verdict === 'fits' && failsOf(path, end, DEFAULT_PRACTICE).length === 0)
      found.add(
        path.links
          .map((l) => l.piece.id)
          .sort()
          .join(' '),
      );
    if (path.links.length >= 5) return;
    for (const link of links) {
      const { offer } = link.mode;
      if (offer.by !== 'shape' || usesOfPiece(path, link.piece.id) >= link.piece.count) continue;
      if (modeFit(last.mode, offer.shape).verdict === 'fits') grow(extendPath(path, link));
    }
  };
  for (const link of links) if (link.mode.offer.by === 'hand') grow(handPath(link, null, DEFAULT_PRACTICE));
  return found;
}

test('finds exactly the undominated chains that trying everything finds', () => {
  const models = [
    ratchet('1/4in'),
    ratchet('3/8in'),
    tHandle('1/4in'),
    plainBar('3/8in', 250),
    extension('1/4in', 50),
    extension('1/4in', 100),
    extension('3/8in', 75),
    adapter('3/8in', '1/4in'),
    adapter('1/4in', '3/8in'),
    joint('1/4in'),
    socket('1/4in', '10'),
    socket('3/8in', '10'),
    socket('1/4in', '10', true),
    combinationSpanner('10'),
    openSpanner('8', '10'),
    socket('1/4in', '1/4in'),
    bit(key('5')),
    lKey('5'),
    driverHandle('1/4in'),
  ];
  fc.assert(
    fc.property(
      fc.subarray(models, { minLength: 3, maxLength: 8 }),
      fc.constantFrom<Fastener['head']>(hex('10'), key('5')),
      fc.integer({ min: 1, max: 30 }),
      fc.constantFrom(0, 0, 30, 80, 140),
      fc.option(fc.integer({ min: 14, max: 40 })),
      fc.constantFrom('any' as const, 'any' as const, 'side only' as const, 'out of line' as const),
      fc.option(fc.integer({ min: 40, max: 260 }), { freq: 1 }),
      (some, head, torque, recess, clearance, approach, headroom) => {
        const pieces = some.map((m) => owned(m));
        const f = fastener({
          head,
          torque: nm(torque),
          access: { ...FREE_ACCESS, recess, clearance, approach, headroom },
        });
        const all = everyChain(pieces, f);
        const { chains } = new ChainFinder(pieces, DEFAULT_PRACTICE).reach(endsOf(f)[0]!);
        const least = [...all].filter(
          (a) => ![...all].some((b) => b !== a && b.split(' ').every((id) => a.split(' ').includes(id))),
        );
        expect(
          chains
            .map((c) =>
              c.links
                .map((l) => l.piece.id)
                .sort()
                .join(' '),
            )
            .sort(),
        ).toEqual(least.sort());
      },
    ),
    { numRuns: 300 },
  );
});

test('dropping dominated chains keeps the smaller', () => {
  const [r, e, s] = own(ratchet('1/4in'), extension('1/4in', 50), socket('1/4in', '10'));
  const link = (piece: Piece) => ({ piece, mode: piece.modes[0]! });
  const short = extendPath(handPath(link(r!), null, DEFAULT_PRACTICE), link(s!));
  const long = extendPath(extendPath(handPath(link(r!), null, DEFAULT_PRACTICE), link(e!)), link(s!));
  expect(undominated([long, short])).toEqual([short]);
  // Of the same pieces in another order the preferred one stays, whichever comes first; a shorter chain goes before any preference.
  const other = { ...short, links: [...short.links].reverse() };
  const prefer = (a: Path, b: Path) => (a === other ? -1 : b === other ? 1 : 0);
  for (const list of [
    [short, other, long],
    [long, other, short],
  ])
    expect(undominated(list, prefer)).toEqual([other]);
  expect(undominated([short, other])).toEqual([short]);
  // Twice the same piece is not the piece once.
  const twice = { ...short, links: [...short.links, ...short.links] };
  expect(undominated([twice, short])).toEqual([short]);
  expect(undominated([twice])).toEqual([twice]);
});

test('a chain bears what its weakest piece bears, and weighs and measures what its pieces do', () => {
  const pieces = own(
    ...[
      ratchet('1/4in'),
      ratchet('1/2in'),
      plainBar('3/8in', 250),
      adapter('1/2in', '3/8in'),
      adapter('3/8in', '1/4in'),
    ],
    ...[extension('1/4in', 100), extension('3/8in', 75), socket('1/4in', '10'), socket('3/8in', '10'), pipe(300)],
    ...[socket('1/2in', '10'), combinationSpanner('10'), bitSocket('3/8in', key('6')), lKey('6')],
  );
  let [inHand, onHead, between] = [0, 0, 0];
  for (const [head, torque, recess] of [
    [hex('10'), 4, 30],
    [hex('10'), 25, 30],
    [hex('10'), 4, 130],
    [key('6'), 4, 30],
    [key('6'), 20, 30],
  ] as const) {
    const bolt = fastener({ head, torque: nm(torque), access: { ...FREE_ACCESS, recess, clearance: 22 } });
    const { chains } = new ChainFinder(pieces, DEFAULT_PRACTICE).reach(endsOf(bolt)[0]!);
    for (const c of [...chains].filter((x) => !isHooked(x))) {
      const bears = c.links.map((l) => l.mode.bears);
      expect([chainNames(c), c.bears, bears[c.weakest]]).toEqual([chainNames(c), Math.min(...bears), c.bears]);
      // No piece is in it more often than there are copies.
      expect(c.links.filter((l) => usesOfPiece(c, l.piece.id) > l.piece.count).map((l) => l.piece.name)).toEqual([]);
      expect([chainNames(c), c.mass]).toEqual([chainNames(c), c.links.reduce((s, l) => s + l.piece.mass, 0)]);
      if (c.weakest === 0) inHand++;
      else if (c.weakest === c.links.length - 1) onHead++;
      else between++;
    }
  }
  // Each of them is the weakest somewhere.
  expect(Math.min(inHand, onHead, between)).toBeGreaterThan(0);
});

describe('one spanner hooked into another', () => {
  const nut = fastener({ head: hex('17'), torque: nm(80) });
  test('lengthens the arm where nothing else breaks it loose, both bear less, and it comes with its caution', () => {
    const alone = own(combinationSpanner('17'));
    expect(why(alone, nut)).toEqual(['arm']);
    const two = own(combinationSpanner('17'), combinationSpanner('24'));
    const [chain] = reach(two, nut).best;
    expect(chainNames(chain!)).toEqual(['Combination spanner 24', 'Combination spanner 17']);
    expect(isHooked(chain!)).toBe(true);
    const arms = two.map((p) => (p.modes[0]!.offer as { arm: number }).arm);
    expect(chain!.arm).toBe(arms[0]! + arms[1]! - 40);
    // The hook’s jaw takes only the torque of its own arm.
    const [hook, head] = chain!.links;
    const atJaw = (hook!.mode.bears * chain!.arm) / arms[1]!;
    expect(chain!.bears).toBeCloseTo(0.8 * Math.min(head!.mode.bears, atJaw), 6);
    expect(chain!.handGives).toBeCloseTo((400 * chain!.arm) / 1000, 6);
    expect(HOOKED_CAUTION).toMatch(/pull, never push/);
  });
  test('is asked nothing where a longer tool or a pipe does it, and no piece hooks into itself', () => {
    const bar = own(combinationSpanner('17'), combinationSpanner('24'), plainBar('1/2in', 450), socket('1/2in', '17'));
    expect(reach(bar, nut).best.some(isHooked)).toBe(false);
    const twice = [{ ...owned(combinationSpanner('17')), count: 2 }];
    expect(why(own(combinationSpanner('17'), socket('1/2in', '17')), nut)).not.toEqual([]);
    expect(reach(twice, nut).best.map(isHooked)).toEqual([true]);
  });
  test('a handle with a pipe is not called hooked', () => {
    const lever = fastener({ head: hex('27'), torque: nm(90) });
    const best = reach(own(tyreLever('27', true), pipe(300)), lever).best;
    expect(best.map(isHooked)).toEqual([false]);
  });
});

test('three pieces may lie between the handle and the one on the head, four may not', () => {
  const deep = (recess: number) =>
    fastener({ head: hex('8'), torque: nm(5), access: { ...FREE_ACCESS, recess, clearance: 25 } });
  const [a, b, c] = [extension('1/4in', 50), extension('1/4in', 75), extension('1/4in', 100)];
  const ends = [ratchet('1/4in'), socket('1/4in', '8')] as const;
  const socketLength = owned(socket('1/4in', '8')).modes[0]!.length;
  const three = own(...ends, a, b, c);
  // All three reach 225 mm and the socket; any two of them 175 at most.
  const best = reach(three, deep(200 + socketLength)).best;
  expect(best.map((chain) => chain.links.length)).toEqual([5]);
  const four = own(...ends, a, b, c, extension('1/4in', 60));
  expect(why(four, deep(240 + socketLength)).length).toBeGreaterThan(0);
});

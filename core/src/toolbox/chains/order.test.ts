import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FREE_ACCESS, type Fastener } from '../../bike/index.js';
import { fastener, owned } from '../../testing/make.js';
import { DEFAULT_PRACTICE, type Practice } from '../practice.js';
import {
  adapter,
  adjustable,
  asOffered,
  combinationSpanner,
  driverHandle,
  extension,
  joint,
  openSpanner,
  pipe,
  plainBar,
  ratchet,
  ringSpanner,
  socket,
  thumbWheel,
  lKey,
  tyreLever,
  type Piece,
  type PieceModel,
} from '../tools/index.js';
import { allowedForce, extendPath, handPath, hookedPath, isHooked, isSpanner, type Link, type Path } from './chain.js';
import { asChain } from './fails.js';
import { cureOf } from './cure.js';
import { byPreference, ChainFinder } from './find.js';
import { bestPair, endsOf, reachOf } from './operation.js';
import { stoppedBy } from './setTried.js';

const hex = (size: string) => ({ form: 'hex' as const, size });
const nm = (value: number) => ({ value, source: 'manual' as const });
const own = (...models: PieceModel[]) => models.map((m) => owned(m));
const link = (piece: Piece, i = 0): Link => ({ piece, mode: piece.modes[i]! });
const linkOf = (model: PieceModel) => link(owned(model));
const practice = (given: Partial<Practice>): Practice => ({ ...DEFAULT_PRACTICE, ...given });
const fits = {
  verdict: 'fits',
  goesOn: 1,
  odds: { fits: 1, loose: 0, rounds: 0, no: 0 },
  worstPlay: 0,
  reason: { code: 'fit.same-size' },
} as never;

/** A path with figures of its own. */
const path = (given: Partial<Path>): Path => ({
  ...handPath(linkOf(combinationSpanner('13')), null, DEFAULT_PRACTICE),
  ...given,
});

describe('which of two chains is preferred', () => {
  const before = (need: number, a: Partial<Path>, b: Partial<Path>) => byPreference(need)(path(a), path(b)) < 0;
  const links = (n: number) => Array.from({ length: n }, () => linkOf(combinationSpanner('13')));
  test('one hand before two before a foot: 250 N and 400 N on the arm', () => {
    // 25 N·m on 100 mm are 250 N, on 62.5 mm 400 N.
    const [one, justTwo, two, foot] = [{ arm: 100 }, { arm: 99 }, { arm: 62.5 }, { arm: 62 }];
    for (const [near, far] of [
      [one, justTwo],
      [one, two],
      [two, foot],
      [justTwo, foot],
    ] as const) {
      // However many more pieces and grams.
      expect(before(25, { ...near, links: links(3), mass: 900 }, { ...far, links: links(1), mass: 9 })).toBe(true);
      expect(before(25, { ...far, links: links(1), mass: 9 }, { ...near, links: links(3), mass: 900 })).toBe(false);
    }
    // What is within one class does not count.
    expect(before(25, { ...justTwo, links: links(2) }, { ...two, links: links(1) })).toBe(false);
    // Without an arm it is no effort that anybody could name.
    expect(before(25, { arm: 0, links: links(1) }, { arm: 10, links: links(1) })).toBe(true);
  });
  test('then fewer pieces, then fewer grams, then a fixed order', () => {
    expect(before(1, { links: links(1), mass: 500 }, { links: links(2), mass: 5 })).toBe(true);
    expect(before(1, { links: links(2), mass: 5 }, { links: links(1), mass: 500 })).toBe(false);
    const [a, b] = [links(2), links(2)];
    expect(before(1, { links: a, mass: 10 }, { links: b, mass: 11 })).toBe(true);
    expect(before(1, { links: b, mass: 11 }, { links: a, mass: 10 })).toBe(false);
    expect(before(1, { links: a, mass: 10 }, { links: b, mass: 10 })).toBe(true);
    expect(before(1, { links: b, mass: 10 }, { links: a, mass: 10 })).toBe(false);
  });
});

describe('what a hand gives', () => {
  const force = (model: PieceModel, given: Partial<Practice> = {}) => allowedForce(linkOf(model).mode, practice(given));
  test('standing on bars, on ratchets only where one says so', () => {
    expect(force(plainBar('1/2in', 300))).toBe(600);
    expect(force(plainBar('1/2in', 300), { standing: 'never' })).toBe(400);
    expect(force(ratchet('3/8in'))).toBe(400);
    expect(force(ratchet('3/8in'), { standing: 'ratchet' })).toBe(600);
    expect(force(combinationSpanner('13'), { standing: 'ratchet' })).toBe(400);
    expect(force(socket('3/8in', '13'))).toBe(0);
  });
  test('arm × force, or a palm where there is none', () => {
    const spanner = linkOf(combinationSpanner('13'));
    const offer = spanner.mode.offer as { by: 'hand'; arm: number };
    const held = handPath(spanner, null, DEFAULT_PRACTICE);
    expect(held).toMatchObject({ arm: offer.arm, force: 400, handGives: 0.4 * offer.arm, weakest: 0 });
    expect(handPath(linkOf(driverHandle('1/4in')), null, DEFAULT_PRACTICE)).toMatchObject({ arm: 0, handGives: 5 });
    expect(handPath(linkOf(thumbWheel()), null, DEFAULT_PRACTICE)).toMatchObject({ arm: 0, handGives: 1 });
    expect(() => handPath(linkOf(socket('3/8in', '13')), null, DEFAULT_PRACTICE)).toThrow(TypeError);
  });
  test('a pipe adds its length less 50 mm, its grams, and the lesser of both bears', () => {
    const bar = linkOf(plainBar('1/2in', 300));
    const over = linkOf(pipe(400));
    const armOf = (l: Link) => (l.mode.offer as { arm: number }).arm;
    const longer = handPath(bar, over, DEFAULT_PRACTICE);
    expect(longer.arm).toBe(armOf(bar) + armOf(over) - 50);
    expect(longer.handGives).toBeCloseTo(0.6 * longer.arm, 9);
    expect(longer.mass).toBe(bar.piece.mass + over.piece.mass);
    expect(longer.links).toEqual([over, bar]);
    const bearing = (mode: number, pipeBears: number) =>
      handPath(
        { ...bar, mode: { ...bar.mode, bears: mode } },
        { ...over, mode: { ...over.mode, bears: pipeBears } },
        DEFAULT_PRACTICE,
      );
    expect(bearing(200, 300)).toMatchObject({ bears: 200, weakest: 1 });
    expect(bearing(300, 200)).toMatchObject({ bears: 200, weakest: 0 });
    expect(bearing(200, 200)).toMatchObject({ bears: 200, weakest: 1 });
    expect(isHooked(longer)).toBe(false);
  });
  test('two hooked spanners: arms less 40 mm, four fifths of what they bear', () => {
    const [a, b] = [linkOf(ringSpanner('12', '13')), linkOf(combinationSpanner('17'))];
    expect([
      isSpanner(a),
      isSpanner(b),
      isSpanner(linkOf(adjustable(250, 30, 370))),
      isSpanner(linkOf(ratchet('3/8in'))),
    ]).toEqual([true, true, false, false]);
    const armOf = (l: Link) => (l.mode.offer as { arm: number }).arm;
    const hooked = hookedPath(a, b);
    const arm = armOf(a) + armOf(b) - 40;
    const atJaw = (b.mode.bears * arm) / armOf(b);
    expect(hooked).toMatchObject({ arm, force: 400, handGives: 0.4 * arm, mass: a.piece.mass + b.piece.mass });
    expect(hooked.bears).toBeCloseTo(0.8 * Math.min(a.mode.bears, atJaw), 9);
    expect(hooked.weakest).toBe(a.mode.bears <= atJaw ? 1 : 0);
    expect(isHooked(hooked)).toBe(true);
  });
  test('a longer chain bears what its weakest piece does', () => {
    const start = handPath(linkOf(ratchet('3/8in')), null, DEFAULT_PRACTICE);
    const weak = linkOf(extension('3/8in', 75));
    const [less, more] = [start.bears - 1, start.bears + 1].map((bears) => ({
      ...weak,
      mode: { ...weak.mode, bears },
    }));
    expect(extendPath(start, less!)).toMatchObject({ bears: start.bears - 1, weakest: 1 });
    expect(extendPath(start, more!)).toMatchObject({ bears: start.bears, weakest: 0 });
    expect(extendPath(start, weak).mass).toBe(start.mass + weak.piece.mass);
    expect(extendPath(start, weak).length).toBe(start.length + weak.mode.length);
    expect(extendPath(start, linkOf(joint('3/8in'))).swivels).toBe(true);
  });
  test('margin and effort of a chain: the lesser of bearing and giving over the need', () => {
    const [end] = endsOf(fastener({ head: hex('13'), torque: nm(20), condition: 'clean' }));
    const need = end!.need;
    expect(need).toBeGreaterThan(0);
    expect(asChain(path({ arm: 200, bears: 4 * need, handGives: 2 * need }), end!, fits)).toMatchObject({
      margin: 2,
      effort: need * 5,
      holdOnly: false,
    });
    expect(asChain(path({ bears: 3 * need, handGives: 9 * need }), end!, fits).margin).toBeCloseTo(3, 9);
    expect(asChain(path({ arm: 0 }), end!, fits).effort).toBeNull();
    expect(asChain(path({}), { ...end!, need: 0 }, fits).margin).toBeNull();
  });
});

describe('pairs of chains', () => {
  const chain = (piece: Piece) => {
    const [end] = endsOf(fastener({ head: hex('13'), torque: nm(5) }));
    return asChain(handPath(link(piece), null, DEFAULT_PRACTICE), end!, fits);
  };
  test('the least sum of ranks whose pieces differ; of equals the one that prefers the near end', () => {
    const [a, b, c] = own(combinationSpanner('13'), openSpanner('12', '13'), ringSpanner('12', '13')).map(chain);
    const pick = (near: (typeof a)[], far: (typeof a)[]) =>
      bestPair(
        near.map((x) => x!),
        far.map((x) => x!),
      );
    expect(pick([a, b], [a, b])).toEqual([a, b]);
    expect(pick([a], [a])).toBeNull();
    expect(pick([a, b, c], [c])).toEqual([a, c]);
    expect(pick([c, a], [c, b])).toEqual([c, b]);
    expect(pick([], [a])).toBeNull();
  });
  test('a through bolt that adjustables only hold says so; one tool for both ends says that', () => {
    const bolt = fastener({ head: hex('13'), far: hex('13'), torque: nm(15) });
    const only = (pieces: Piece[]) => reachOf(bolt, new ChainFinder(pieces, practice({ adjustable: 'holds' })));
    const held = only(own(adjustable(250, 30, 370), adjustable(200, 24, 200)));
    expect([held.best.length, held.fails[0]?.fail.code]).toEqual([0, 'practice']);
    const one = only(own(combinationSpanner('13')));
    expect([one.best.length, one.fails[0]?.fail.code]).toEqual([0, 'size']);
    const both = only(own(combinationSpanner('13'), adjustable(250, 30, 370)));
    expect(both.best.map((c) => c.holdOnly)).toEqual([false, true]);
  });
});

describe('what stopped a chain becomes the least fact that rules it out', () => {
  const by = { who: 'Mara', when: '2026-05-01T10:00:00.000Z' };
  const bolt = fastener({ head: hex('13'), torque: nm(10) });
  const chains = new ChainFinder(
    own(combinationSpanner('13'), ratchet('3/8in'), socket('3/8in', '13')),
    DEFAULT_PRACTICE,
  ).reach(endsOf(bolt)[0]!).chains;
  test('a millimetre or a degree beyond what the chain had, never under 1', () => {
    fc.assert(
      fc.property(fc.constantFrom(...chains), (c) => {
        const access = (what: Parameters<typeof stoppedBy>[1], given = c) =>
          stoppedBy(bolt, what, given, 'near', by).access;
        const end = c.links.at(-1)!.mode;
        expect(access('too short: the head sits deeper').recess).toBe(Math.ceil(c.length + 1));
        expect(access('too wide: something stands round the head').clearance).toBe(Math.floor(end.width - 1));
        expect(access('too high: no room in line').headroom).toBe(Math.max(0, Math.floor(c.length - 1)));
        expect(access('too thick to get in behind').thin).toBe(Math.max(1, Math.floor((end.thickness || 8) - 1)));
        expect(access('no room to swing').swing).toBe(Math.max(1, Math.floor(c.step - 1)));
        expect(access('gets in from the side only').approach).toBe('side only');
        expect(access('out of line').approach).toBe('out of line');
        expect(access('it did not move')).toEqual(bolt.access);
        expect(access('it does not fit the head')).toEqual(bolt.access);
        const thin = {
          ...c,
          step: 0.5,
          length: 0.4,
          links: [{ ...c.links[0]!, mode: { ...end, width: 1.2, thickness: 1.5 } }],
        };
        expect(access('no room to swing', thin).swing).toBe(1);
        expect(access('too high: no room in line', thin).headroom).toBe(0);
        expect(access('too wide: something stands round the head', thin).clearance).toBe(1);
        expect(access('too thick to get in behind', thin).thin).toBe(1);
      }),
    );
  });
});

describe('what of an offer may be part of a cure', () => {
  const offer = [
    ratchet('3/8in'),
    socket('3/8in', '13'),
    extension('3/8in', 150),
    joint('3/8in'),
    adapter('1/2in', '3/8in'),
    pipe(400),
    combinationSpanner('13'),
  ].map((m, i) => asOffered(m, i));
  const bolt = (given: Partial<Fastener>) => fastener({ head: hex('13'), torque: nm(20), ...given });
  const bought = (f: Fastener, drawer: Piece[] = []) =>
    cureOf(f, drawer, offer, DEFAULT_PRACTICE)?.buy.map((p) => p.kind) ?? null;
  test('a free head takes the one spanner; a sunk one the socket with an extension, one out of line a joint', () => {
    expect(bought(bolt({}))).toEqual(['combination spanner']);
    const sunk = { ...FREE_ACCESS, recess: 120, clearance: 24 };
    expect(bought(bolt({ access: sunk }))?.sort()).toEqual(['extension', 'ratchet', 'socket']);
    expect(bought(bolt({ access: { ...FREE_ACCESS, clearance: 24 } }))).not.toBeNull();
    const askew = { ...FREE_ACCESS, approach: 'out of line' as const };
    expect(bought(bolt({ access: askew }))?.sort()).toEqual(['joint', 'ratchet', 'socket']);
  });
  test('only what is not owned is bought, and a second copy where both ends take the same', () => {
    const sunk = bolt({ access: { ...FREE_ACCESS, recess: 120, clearance: 24 } });
    expect(bought(sunk, own(ratchet('3/8in'), socket('3/8in', '13')))).toEqual(['extension']);
    const through = bolt({ far: hex('13') });
    expect(bought(through)).toHaveLength(2);
    expect(bought(through, own(combinationSpanner('13')))).toHaveLength(1);
  });
  test('an adapter, a bar and, where much torque is asked, a pipe may be what is missing', () => {
    const few = (models: PieceModel[], f: Fastener, drawer: Piece[]) =>
      cureOf(
        f,
        drawer,
        models.map((m, i) => asOffered(m, i)),
        DEFAULT_PRACTICE,
      )
        ?.buy.map((p) => p.kind)
        .sort() ?? null;
    expect(few([adapter('1/4in', '3/8in'), socket('3/8in', '13')], bolt({}), own(ratchet('1/4in')))).toEqual([
      'adapter',
      'socket',
    ]);
    expect(few([plainBar('3/8in', 250), socket('3/8in', '13')], bolt({}), [])).toEqual(['plain bar', 'socket']);
    const lever = own(tyreLever('27', true));
    const axle = fastener({ head: hex('27'), torque: nm(98), condition: 'dirty' });
    expect(few([pipe(400)], axle, lever)).toEqual(['pipe']);
    expect(few([], axle, lever)).toBeNull();
  });
});

describe('which end is out of reach', () => {
  const only = own(combinationSpanner('13'));
  const fails = (head: string, far: string) =>
    reachOf(
      fastener({ head: hex(head), far: hex(far), torque: nm(15) }),
      new ChainFinder(only, DEFAULT_PRACTICE),
    ).fails.map((f) => f.end);
  test('the one that nothing turns, or both', () => {
    expect([fails('13', '17'), fails('17', '13'), fails('17', '17')]).toEqual([['far'], ['near'], ['near', 'far']]);
  });
  test('one adjustable for both ends wants a second tool, not another practice, where a spanner could turn one of them', () => {
    const pieces = own(adjustable(250, 30, 370));
    const bolt = fastener({ head: hex('13'), far: hex('13'), torque: nm(15) });
    const found = (list: Piece[]) => reachOf(bolt, new ChainFinder(list, practice({ adjustable: 'holds' })));
    // Nothing but what holds.
    expect(found(pieces).fails.map((f) => f.fail.code)).toEqual(['practice']);
    // A spanner turns either end, and there is one of each alone.
    expect(found([...pieces, ...own(combinationSpanner('13'))]).fails).toEqual([]);
  });
});

describe('a tool of one piece in a well', () => {
  test('its handle is at its end: it reaches as deep as it is long', () => {
    const at = (recess: number) =>
      fastener({ head: { form: 'key', size: '6' }, torque: nm(4), access: { ...FREE_ACCESS, recess, clearance: 40 } });
    const [handle] = own(lKey('6'));
    const length = Math.max(...handle!.modes.map((m) => m.length));
    const reached = (recess: number) =>
      reachOf(at(recess), new ChainFinder([handle!], DEFAULT_PRACTICE)).best.length > 0;
    expect([reached(length - 1), reached(length), reached(length + 1)]).toEqual([true, true, false]);
  });
});

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { FREE_ACCESS, newFastener, type Access, type Fastener } from '../../bike/index.js';
import { fit } from '../../bike/fit/index.js';
import { fastener, owned, uuid } from '../../testing/make.js';
import {
  adapter,
  adjustable,
  bit,
  bitHolder,
  bitSocket,
  catalogue,
  combinationSpanner,
  extension,
  lKey,
  newPiece,
  offeredPieces,
  openSpanner,
  pipe,
  plugSocket,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  thumbWheel,
  twelvePointSocket,
  tyreLever,
  type Piece,
  type PieceModel,
} from '../tools/index.js';
import { cureOf } from './cure.js';
import { ChainFinder } from './find.js';
import { reachOf } from './operation.js';
import { DEFAULT_PRACTICE, type Practice } from '../practice.js';

const hex = (size: string) => ({ form: 'hex' as const, size });
const key = (size: string) => ({ form: 'key' as const, size });
const nm = (value: number) => ({ value, source: 'manual' as const });
const own = (...models: PieceModel[]) => models.map((m) => owned(m));
const reach = (pieces: Piece[], f: Fastener, practice: Practice = DEFAULT_PRACTICE) =>
  reachOf(f, new ChainFinder(pieces, practice));
const reached = (pieces: Piece[], f: Fastener, practice?: Practice) => reach(pieces, f, practice).best.length > 0;
const sunk = (recess: number, clearance: number | null, size = '13') =>
  fastener({ head: hex(size), torque: nm(20), access: { ...FREE_ACCESS, recess, clearance } });

describe('in a well', () => {
  const short = () => own(ratchet('3/8in'), socket('3/8in', '13'));
  test('the handle swings above the rim: 28 mm of socket do not lift a ratchet out of 40', () => {
    expect(reach(short(), sunk(40, 34)).fails.map((f) => f.fail.message)).toEqual([
      { code: 'reach.rim', deep: 40, piece: 'Ratchet ⅜ in', below: 12 },
    ]);
    expect(reached(short(), sunk(28, 34))).toBe(true);
    expect(reached(own(ratchet('3/8in'), extension('3/8in', 75), socket('3/8in', '13')), sunk(40, 34))).toBe(true);
  });
  test('a finger wheel does not turn below the rim either, a driver’s shaft does', () => {
    const light = { ...sunk(30, 30, '8'), torque: nm(0.5) };
    expect(reached(own(thumbWheel(), socket('1/4in', '8')), light)).toBe(false);
    expect(reached(own(thumbWheel(), extension('1/4in', 50), socket('1/4in', '8')), light)).toBe(true);
  });
  test('an open place has no rim', () => expect(reached(short(), sunk(40, null))).toBe(true));
});

describe('both ends', () => {
  const bolt = (given: Partial<Fastener>) => fastener({ head: hex('10'), far: hex('10'), torque: nm(8), ...given });
  const two = () => own(combinationSpanner('10'), openSpanner('8', '10'));
  test('an end that is only held needs no room to swing', () => {
    const tight = { ...FREE_ACCESS, swing: 10 };
    expect(reached(two(), bolt({ farAccess: tight }))).toBe(true);
    expect(reached(two(), bolt({ access: tight }))).toBe(true);
    expect(reached(two(), bolt({ access: tight, farAccess: tight }))).toBe(false);
  });
  test('one end fixed and one adjustable: whichever end is written first', () => {
    const pieces = own(adjustable(250, 30, 370), lKey('8'));
    const practice: Practice = { ...DEFAULT_PRACTICE, adjustable: 'holds' };
    const one = bolt({ head: hex('19'), far: key('8'), torque: nm(20) });
    const other = bolt({ head: key('8'), far: hex('19'), torque: nm(20) });
    for (const p of [practice, DEFAULT_PRACTICE]) {
      expect(reached(pieces, one, p)).toBe(true);
      expect(reached(pieces, other, p)).toBe(true);
    }
    const loose = own(adjustable(250, 30, 370), adjustable(200, 24, 200));
    expect(reach(loose, bolt({}), practice).fails[0]!.fail).toMatchObject({ code: 'practice' });
  });
  test('swapping the ends never changes the verdict', () => {
    const models = [
      adjustable(250, 30, 370),
      adjustable(200, 24, 200),
      combinationSpanner('10'),
      combinationSpanner('13'),
      openSpanner('10', '13'),
      ringSpanner('12', '13'),
      ratchet('3/8in'),
      tHandle('1/4in'),
      socket('3/8in', '13'),
      socket('1/4in', '10'),
      lKey('8'),
      bitSocket('3/8in', key('8')),
      adapter('3/8in', '1/4in'),
      tyreLever('13', true),
      pipe(300),
    ];
    const head = fc.constantFrom<Fastener['head']>(hex('10'), hex('13'), key('8'), hex('12'));
    const access = fc.record<Access>({
      recess: fc.constantFrom(0, 0, 12, 30),
      clearance: fc.constantFrom(null, null, 24, 34),
      headroom: fc.constantFrom(null, null, 45),
      thin: fc.constantFrom(null, null, 6),
      swing: fc.constantFrom(null, null, 10, 40),
      stud: fc.constantFrom(0, 0, 20),
      approach: fc.constantFrom('any', 'any', 'side only', 'in line only'),
    });
    fc.assert(
      fc.property(
        fc.subarray(models, { minLength: 2, maxLength: 8 }),
        head,
        head,
        access,
        access,
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom<Practice['adjustable']>('last', 'holds', 'freely'),
        fc.constantFrom<Practice['drive']>('smallest', 'middle'),
        (some, a, b, here, there, torque, adjusting, drive) => {
          const pieces = some.map((m) => owned(m));
          const practice = { ...DEFAULT_PRACTICE, adjustable: adjusting, drive };
          const f = fastener({ head: a, far: b, access: here, farAccess: there, torque: nm(torque) });
          const swapped = { ...f, head: b, far: a, access: there, farAccess: here };
          const [x, y] = [reach(pieces, f, practice), reach(pieces, swapped, practice)];
          expect(x.best.length > 0).toBe(y.best.length > 0);
          const codes = (r: typeof x) => r.fails.map((p) => p.fail.code).sort();
          expect(codes(x)).toEqual(codes(y));
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('what bears and what fits', () => {
  test('a pipe bears no more than it is made for', () => {
    const weak: PieceModel = { ...pipe(300), modes: pipe(300).modes.map((m) => ({ ...m, bears: 20 })) };
    const axle = fastener({ head: hex('27'), torque: nm(98), condition: 'dirty' });
    expect(reached(own(tyreLever('27', true), pipe(300)), axle)).toBe(true);
    const fails = reach(own(tyreLever('27', true), weak), axle).fails;
    expect(fails.map((f) => f.fail.code)).not.toEqual([]);
    expect(reached(own(tyreLever('27', true), weak), { ...axle, torque: nm(12) })).toBe(true);
  });
  test('a ⅝ in plug socket turns a 16 plug', () => {
    const plug = fastener({ head: { form: 'plug', size: '16' }, access: { ...FREE_ACCESS, stud: 50 } });
    expect(fit({ form: 'plug', size: '5/8in' }, plug.head, 'six').verdict).toBe('fits');
    expect(reached(own(ratchet('3/8in'), plugSocket('3/8in', '5/8in')), plug)).toBe(true);
    expect(fit({ form: 'plug', size: '14' }, plug.head, 'six').verdict).toBe('no');
    // A plug socket turns a nut of its size as well.
    expect(reached(own(ratchet('3/8in'), plugSocket('3/8in', '16')), fastener({ head: hex('16') }))).toBe(true);
  });
  test('a 12-point 8 on a 12-point 5/16: the same band, the same tool', () => {
    const head = { form: 'hex12' as const, size: '5/16in' };
    expect(fit(hex('8'), head, 'twelve').verdict).toBe('fits');
    expect(fit(hex('8'), head, 'six').verdict).toBe('no');
    expect(fit(hex('10'), head, 'twelve').verdict).not.toBe('fits');
    expect(reached(own(ratchet('3/8in'), twelvePointSocket('3/8in', '8')), fastener({ head, torque: nm(10) }))).toBe(
      true,
    );
  });
  test('a spoke key two tenths off fits at every size', () => {
    for (let size = 4; size < 7; size += 0.1) {
      const at = (mm: number) => ({ form: 'spoke' as const, size: mm.toFixed(1) });
      expect([size, fit(at(size + 0.2), at(size), 'six').verdict]).toEqual([size, 'fits']);
      expect([size, fit(at(size + 0.3), at(size), 'six').verdict]).toEqual([size, 'no']);
    }
  });
  test('every head of unknown torque is checked: a finger wheel breaks no axle nut loose', () => {
    const axle = newFastener({ id: uuid(1), bikeId: uuid(2), head: hex('27'), name: 'Axle nut' });
    const small = own(thumbWheel(), adapter('1/4in', '3/8in'), adapter('3/8in', '1/2in'), socket('1/2in', '27'));
    expect(reached(small, axle)).toBe(false);
    for (const size of ['1/2in', '3/4in', '1 1/16in'])
      expect([
        size,
        reached(own(thumbWheel(), adapter('1/4in', '3/8in'), socket('3/8in', size)), { ...axle, head: hex(size) }),
      ]).toEqual([size, false]);
  });
});

describe('gaps and their cures', () => {
  const offered = offeredPieces('good');
  test('a bit without a handle says what it takes, not that nothing turns it', () => {
    const head = key('14');
    const message = (pieces: Piece[], of = fastener({ head, torque: nm(60) })) =>
      reach(pieces, of).fails[0]!.fail.message;
    expect(message(own(bitSocket('1/2in', head)))).toEqual({
      code: 'reach.nothing-drives',
      piece: 'Bit socket ½ in, inside hex 14',
      by: { form: 'drive', size: '1/2in' },
    });
    expect(message(own(lKey('8')))).toEqual({ code: 'reach.nothing-fits', head });
    expect(message(own(bit(key('5')), bitHolder('1/4in')), fastener({ head: key('5'), torque: nm(5) }))).toEqual({
      code: 'reach.nothing-drives',
      piece: 'Bit inside hex 5',
      by: hex('1/4in'),
    });
  });
  test('a cure is of the head’s own size and closed round it, as long as there is one', () => {
    for (const size of ['8', '10', '11', '13', '14', '16', '17', '19', '22', '1/2in', '7/16in', '9/16in']) {
      const cure = cureOf(fastener({ head: hex(size), condition: 'dirty' }), [], offered, DEFAULT_PRACTICE)!;
      const { turns, grip } = cure.chains[0]!.links.at(-1)!.mode;
      expect([size, turns.size, grip === 'six' || grip === 'twelve', cure.warning]).toEqual([size, size, true, null]);
    }
  });
  test('an open end is a cure where only an open end gets in', () => {
    const f = fastener({ head: hex('8'), access: { ...FREE_ACCESS, approach: 'side only' } });
    const cure = cureOf(f, [], offered, DEFAULT_PRACTICE)!;
    expect(cure.chains[0]!.links.at(-1)!.mode).toMatchObject({ grip: 'open', turns: { size: '8' } });
  });
  test('another system’s tool is offered only where it fits 99 of 100, and says so', () => {
    const inch = catalogue()
      .filter((m) => m.modes.length > 0 && m.modes.every((x) => x.turns.size.endsWith('in')))
      .map((m, i) => newPiece(m, { id: uuid(7000 + i) }));
    for (const size of ['7', '8', '10', '11', '12', '13', '14', '16', '17', '19', '21', '22', '24']) {
      const cure = cureOf(fastener({ head: hex(size) }), [], inch, DEFAULT_PRACTICE);
      if (!cure) continue;
      const last = cure.chains[0]!.links.at(-1)!;
      expect(fit(last.mode.turns, hex(size), last.mode.grip as 'six').odds.fits).toBeGreaterThanOrEqual(0.99);
      expect(cure.warning).toMatchObject({ code: 'cure.near-size', tool: last.mode.turns, head: hex(size) });
      expect(cure.warning!.of100).toBeGreaterThanOrEqual(99);
    }
  });
});

import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { newFastener, type Fastener } from '../../bike/index.js';
import { uuid } from '../../testing/make.js';
import { readPiece } from '../../toolbox/line/index.js';
import { newPiece, type Piece } from '../../toolbox/tools/index.js';
import type { Ride } from '../../trip/index.js';
import { FASTENER_COLUMNS, readFasteners, writeFasteners, type FastenerPreview } from './fasteners.js';
import { readPieces, writePieces } from './pieces.js';
import { readRides, writeRides } from './rides.js';
import { withinRoom } from './room.js';
import { readCsv, readNumber, readYes, writeCsv } from '../../ground/csv/table.js';

const BIKE = uuid(1);
const ids = () => {
  let n = 500;
  return () => uuid(n++);
};
const preview = (text: string, known: readonly Fastener[] = []): FastenerPreview => {
  const read = readFasteners(text, BIKE, known, ids());
  if (!read.ok) throw new Error(read.message);
  return read.preview;
};
const refused = (text: string) => {
  const read = readFasteners(text, BIKE, [], ids());
  return read.ok ? 'read' : read.message;
};
const faults = (text: string) =>
  preview(text).lines.flatMap((l) => l.cells.filter((c) => c.fault).map((c) => `${l.number} ${c.column}: ${c.fault}`));

describe('what a hand or a spreadsheet may put into a cell', () => {
  test('a line break in what happened parts two mishaps, as a semicolon does', () => {
    const read = readRides(
      'date,what happened\n2026-05-31,"puncture-tube x2: two patches\nmirror-gone"',
      BIKE,
      [],
      ids(),
    );
    if (!read.ok) throw new Error(read.message);
    const [line] = read.preview.lines;
    expect(line!.cells.find((c) => c.column === 'what happened')!.fault).toMatch(/no such problem "mirror-gone"/);
    const good = readRides('date,what happened\n2026-05-31,"puncture-tube x2: two\r\nchain"', BIKE, [], ids());
    if (!good.ok) throw new Error(good.message);
    expect(good.preview.rows[0]!.mishaps).toEqual([
      { trouble: 'puncture-tube', count: 2, used: 'two' },
      { trouble: 'chain', count: 1, used: '' },
    ]);
  });
  test('what a garage has no room for is at fault in the preview, as it would be when written', () => {
    const text = `date\n${Array.from({ length: 3 }, (_, i) => `2026-05-0${i + 1}`).join('\n')}`;
    const read = readRides(text, BIKE, [], ids());
    if (!read.ok) throw new Error(read.message);
    expect(withinRoom(read.preview, 'rides', 4997)).toEqual({ ...read.preview, overfull: null });
    const over = withinRoom(read.preview, 'rides', 4998);
    expect(over).toMatchObject({ rows: [], added: 0, faults: 1 });
    expect(over.overfull).toBe('a garage holds up to 5000 rides: 1 too many. Delete some first');
  });
  test('no cell goes out as a formula, full-width signs included, and all come back as they were', () => {
    const cells = ['=1', '+1', '-1', '@a', '＝1', '＋1', '－1', '＠a', "'=1", '\n=1', 'plain'];
    const out = writeCsv(
      ['a'],
      cells.map((c) => [c]),
    );
    const read = readCsv(out);
    if (!read.ok) throw new Error(read.message);
    for (const l of out.split('\r\n').slice(1)) expect(l).not.toMatch(/^"?[=+\-@＝＋－＠]/);
    expect(read.sheet.lines.map((l) => l.cells[0])).toEqual(cells.map((c) => c));
  });
});

describe('tables of any make', () => {
  test.each([
    ['comma', 'head,name\n10,Nut\n'],
    ['semicolon', 'head;name\r\n10;Nut\r\n'],
    ['tab', 'head\tname\n10\tNut'],
    ['bar', 'head|name\n10|Nut'],
    ['byte-order mark', '\ufeffhead,name\n10,Nut'],
    ['quotes', '"head","name"\n"10","Nut"'],
    ['empty lines', 'head,name\n\n10,Nut\n,\n\n'],
    ['titles in any case, spaces', ' Head , NAME \n 10 , Nut '],
  ])('%s', (_what, text) => {
    expect(preview(text).rows).toMatchObject([{ head: { form: 'hex', size: '10' }, name: 'Nut', bikeId: BIKE }]);
  });
  test('decimal commas, with the comma quoted or another separator', () => {
    expect(preview('head;name;torque N·m;sunk mm\n10;Nut;12,5;40,5').rows[0]).toMatchObject({
      torque: { value: 12.5, source: 'user' },
      access: { recess: 40.5 },
    });
    expect(preview('head,name,torque N·m\n10,Nut,"7,5"').rows[0]!.torque!.value).toBe(7.5);
    expect([readNumber('1,5'), readNumber('1.5'), readNumber('-2')]).toEqual([1.5, 1.5, -2]);
    for (const text of ['1.234,5', '1 000', '', 'NaN', 'Infinity', '1e3', '0x10']) expect(readNumber(text)).toBeNaN();
    expect([readYes('Yes'), readYes(''), readYes('perhaps')]).toEqual([true, false, null]);
  });
  test.each([
    ['nothing', '', /empty/],
    ['a header alone', 'head,name', /header but no line/],
    ['another table', 'colour,shape\nred,round', /no column "head"/],
    ['a column twice', 'head,head\n10,11', /"head" occurs twice/],
    ['an open quote', 'head,name\n10,"Nut', /quote is not closed/],
    ['a binary file', 'head\u0000,name\n10,Nut', /no text/],
    ['10,001 lines', `head,name\n${'10,Nut\n'.repeat(10_001)}`, /over 10000 lines/],
    ['91 columns', `${'a,'.repeat(90)}head\n10`, /over 80 columns/],
  ])('%s: refused', (_what, text, message) => {
    expect(refused(text)).toMatch(message);
  });
  test('formulas go out as text and come back as they were', () => {
    const nasty = ['=1+1', '+49', '-3', '@sum', "'=x", '\tx', 'plain', 'with "quotes", commas\nand lines'];
    const text = writeCsv(
      ['head', 'note'],
      nasty.map((n) => ['10', n]),
    );
    for (const line of text.split('\r\n').slice(1)) expect(/(^|,)"?[=+\-@]/.test(line)).toBe(false);
    const back = readCsv(text);
    expect(back.ok && back.sheet.lines.map((l) => l.cells[1])).toEqual(nasty);
  });
  test('any text is read or refused, never thrown at', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300, unit: 'grapheme' }), (text) => {
        readFasteners(text, BIKE, [], ids());
        readFasteners(`head,name\n${text}`, BIKE, [], ids());
      }),
      { numRuns: 300 },
    );
  });
});

describe('fasteners as a table', () => {
  const demo = demoGarage();
  test('a whole survey comes back the same', () => {
    const bikeId = demo.bikes[0]!.id;
    const mine = demo.fasteners.filter((f) => f.bikeId === bikeId);
    const read = readFasteners(writeFasteners(mine), bikeId, mine, ids());
    if (!read.ok) throw new Error(read.message);
    expect(read.preview).toMatchObject({ faults: 0, added: 0, changed: mine.length, unread: [] });
    expect(read.preview.rows).toEqual(mine);
  });
  test('in another garage the same rows are new, with ids of their own', () => {
    const mine = demo.fasteners.slice(0, 3);
    const { rows, added, changed } = preview(writeFasteners(mine));
    expect({ added, changed }).toEqual({ added: 3, changed: 0 });
    expect(rows.map((r) => r.id)).toEqual([uuid(500), uuid(501), uuid(502)]);
    expect(rows.map((r) => r.name)).toEqual(mine.map((f) => f.name));
  });
  test('each bad cell is marked with its reason, and then nothing is taken', () => {
    const text = [
      'station,name,head,count,thread,torque N·m,shakes loose,evidence',
      'front-wheel,Good,10,2,M6,10,yes,tried',
      'moon,Nut,10.3,0,M7,abc,perhaps,certain',
      'exhaust,,10,1,,,no,',
      'exhaust,Bolt,,1.5,,2000,no,',
    ].join('\n');
    const found = faults(text);
    expect(found).toEqual([
      expect.stringMatching(/^3 station: no such station/),
      expect.stringMatching(/^3 head: 10.3 is a reading/),
      expect.stringMatching(/^3 count: must be 1 to 200/),
      expect.stringMatching(/^3 thread: no such thread/),
      expect.stringMatching(/^3 torque N·m: write a plain number/),
      expect.stringMatching(/^3 shakes loose: write yes or no/),
      expect.stringMatching(/^3 evidence: no such step/),
      expect.stringMatching(/^4 name: give it a name/),
      expect.stringMatching(/^5 head: no size/),
      expect.stringMatching(/^5 count: must be a whole number/),
      expect.stringMatching(/^5 torque N·m: must be 0 to 1000/),
    ]);
    expect(preview(text)).toMatchObject({ faults: 11, rows: [], added: 0, changed: 0 });
  });
  test('a thread alone proposes its usual head, as assumed', () => {
    expect(preview('name,thread\nFoot peg,M8').rows[0]).toMatchObject({ head: { size: '13' }, evidence: 'assumed' });
  });
  test('a known id changes that row in the columns given, and keeps the rest', () => {
    const old = newFastener({
      id: uuid(9),
      bikeId: BIKE,
      head: { form: 'hex', size: '10' },
      name: 'Old',
      note: 'kept',
      torque: { value: 9, source: 'manual' },
      trail: [{ evidence: 'tried', who: 'Mara', when: '2026-05-01T10:00:00Z', how: '10 spanner snug' }],
      evidence: 'tried',
    });
    const { rows, changed } = preview(`id,name,head,torque N·m,thread\n${old.id},New,12,11,`, [old]);
    expect(changed).toBe(1);
    expect(rows).toEqual([
      { ...old, name: 'New', head: { form: 'hex', size: '12' }, torque: { value: 11, source: 'manual' } },
    ]);
    expect(preview(`id,name,head,torque N·m\n${old.id},New,12,`, [old]).rows[0]!.torque).toBeNull();
    const twice = `id,name,head\n${old.id},A,10\n${old.id},B,10`;
    expect(preview(twice, [old]).lines[1]!.cells.find((c) => c.column === 'id')!.fault).toMatch(/two lines/);
  });
  test('what the columns do not know is said, and cells beyond them are faults', () => {
    expect(preview('head,name,colour\n10,Nut,red').unread).toEqual(['colour']);
    expect(faults('head,name\n10,Nut,extra')).toEqual([expect.stringMatching(/beyond the header/)]);
  });
  test('ten thousand lines', () => {
    const text = `head;name;count\n${'10;Nut;2\n'.repeat(10_000)}`;
    expect(preview(text).added).toBe(10_000);
  });
  test('the header is as documented', () => {
    expect(FASTENER_COLUMNS.slice(0, 6)).toEqual(['station', 'name', 'head', 'far end', 'count', 'thread']);
    expect(new Set(FASTENER_COLUMNS).size).toBe(FASTENER_COLUMNS.length);
  });
});

describe('the toolbox as a table', () => {
  const drawer = demoGarage().pieces;
  const read = (text: string, known: readonly Piece[] = []) => {
    const result = readPieces(text, known, () => crypto.randomUUID());
    if (!result.ok) throw new Error(result.message);
    return result.preview;
  };
  test('comes back whole: what is said in one line, and what was made or altered with its shapes', () => {
    const preview = read(writePieces(drawer), drawer);
    expect([preview.faults, preview.added, preview.changed]).toEqual([0, 0, drawer.length]);
    expect(preview.rows).toEqual(drawer);
  });
  test('a table without ids adds pieces that turn what they turned', () => {
    const preview = read(writePieces(drawer));
    expect(preview.added).toBe(drawer.length);
    preview.rows.forEach((row, i) => {
      const { id: _a, source: _b, weighed: _c, onlyBike: _d, ...rest } = row;
      expect(drawer[i]).toMatchObject(rest);
    });
  });
  test('a rider’s own short table', () => {
    const preview = read('piece;count;mass g;kept\nsocket 3/8 deep 14;2;66,5;garage wall\nring 12/13;;;\n"";;;');
    expect(preview.rows.map((p) => [p.name, p.count, p.mass, p.kept])).toEqual([
      ['Socket ⅜ in, 14 deep', 2, 66.5, 'garage wall'],
      ['Ring spanner 12 and 13', 1, expect.any(Number), ''],
    ]);
  });
  test('bad cells are named and nothing is taken', () => {
    const preview = read(
      'piece,count,does,shapes\nsprocket wrench zz9,1,,\nring 12/13,0,,\nring 12/13,1,fly,\nring 12/13,1,,{oops\nring 12/13,1,,"[{""a"":1}]"',
    );
    expect(preview.rows).toEqual([]);
    expect(preview.lines.map((l) => l.cells.find((c) => c.fault)?.column)).toEqual([
      'piece',
      'count',
      'does',
      'shapes',
      'shapes',
    ]);
    expect(readPieces('a,b\n1,2', [], () => '').ok).toBe(false);
  });
  test('a piece of its own, by name alone', () => {
    const [row, bare] = read('name,kind,mass g,length mm,does\nBent rod,home-made,80,200,pry; punch out\nRag,,,,').rows;
    expect(row).toMatchObject({ name: 'Bent rod', kind: 'home-made', mass: 80, functions: ['pry', 'punch out'] });
    expect(row!.size).toEqual({ length: 200, width: 0, height: 0 });
    const nothing = {
      mass: 0,
      price: 0,
      size: { length: 0, width: 0, height: 0 },
      modes: [],
      functions: [],
      traits: [],
    };
    expect(bare).toMatchObject({ name: 'Rag', source: 'user', kind: 'other', ...nothing });
    expect(
      read('name,mass g\n,80')
        .lines[0]!.cells.map((c) => c.fault)
        .filter(Boolean),
    ).toEqual(['say the piece: socket 3/8 14, or give it a name']);
  });
  describe('a piece that is known', () => {
    const said = readPiece('socket 3/8 deep 14');
    if (!said.ok) throw new Error(said.reason);
    const old: Piece = { ...newPiece(said.model, { id: uuid(7) }), name: 'My long one', mass: 71, mark: 'always' };
    const changed = (titles: string, cells: string) => read(`id,name,${titles}\n${old.id},,${cells}`, [old]).rows[0]!;
    test('keeps what its line does not speak of', () => {
      expect(changed('count', '3')).toEqual({ ...old, count: 3 });
      expect(changed('length mm', '81')).toEqual({ ...old, size: { ...old.size, length: 81 } });
    });
    test('is marked no more where the cell of its mark is empty, and stays marked where there is none', () => {
      expect(changed('in the kit', '')).toEqual({ ...old, mark: null });
      expect(changed('kept', 'wall')).toEqual({ ...old, kept: 'wall' });
    });
    test('said to be the same it stays as it is; said to be another it is that one, unless its shapes are told', () => {
      expect(changed('piece', 'socket 3/8 deep 14')).toEqual(old);
      const other = readPiece('ring 12/13');
      if (!other.ok) throw new Error(other.reason);
      expect(changed('piece', 'ring 12/13')).toMatchObject({
        id: old.id,
        name: other.model.name,
        modes: other.model.modes,
      });
      const shapes = JSON.stringify(JSON.stringify(old.modes)).replace(/\\"/gu, '""');
      expect(changed('piece,shapes', `ring 12/13,${shapes}`)).toMatchObject({ name: old.name, modes: old.modes });
    });
  });
  test('no text makes it throw', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        readPieces(`piece,name,count\n${text}`, [], () => crypto.randomUUID());
        readPieces(text, drawer, () => crypto.randomUUID());
      }),
      { numRuns: 200 },
    );
  });
});

describe('rides as a table', () => {
  const rides = demoGarage().rides;
  const read = (text: string, known: readonly Ride[] = []) => {
    const result = readRides(text, BIKE, known, ids());
    if (!result.ok) throw new Error(result.message);
    return result.preview;
  };
  test('come back whole', () => {
    const preview = read(writeRides(rides), rides);
    expect([preview.faults, preview.changed]).toEqual([0, rides.length]);
    expect(preview.rows).toEqual(rides);
  });
  test('a rider’s own short table; what happened by key or name', () => {
    const [ride] = read('date;track km;what happened\n2026-05-31;120,5;"Puncture, tubed x2: two patches; mirror"').rows;
    expect(ride).toMatchObject({
      bike: BIKE,
      km: { paved: 0, gravel: 0, track: 120.5 },
      mishaps: [
        { trouble: 'puncture-tube', count: 2, used: 'two patches' },
        { trouble: 'mirror', count: 1, used: '' },
      ],
    });
  });
  test('a ride that is known keeps what its line does not speak of; emptied, nothing happened on it', () => {
    const old = rides.find((r) => r.mishaps.length > 0)!;
    const changed = (titles: string, cells: string) => read(`id,${titles}\n${old.id},${cells}`, [old]).rows[0]!;
    expect(changed('date,gravel km', `${old.date},7`)).toEqual({ ...old, km: { ...old.km, gravel: 7 } });
    expect(changed('date,what happened', `${old.date},`)).toEqual({ ...old, mishaps: [] });
    expect(
      read('date,note\n,wet')
        .lines[0]!.cells.map((c) => c.fault)
        .filter(Boolean),
    ).toEqual(['say the day: 2026-05-31']);
  });
  test('bad cells are named', () => {
    const preview = read('date,paved km,what happened\n31.5.2026,1,\n2026-05-31,-1,\n2026-05-31,1,elephant');
    expect(preview.rows).toEqual([]);
    expect(preview.lines.map((l) => l.cells.find((c) => c.fault)?.column)).toEqual([
      'date',
      'paved km',
      'what happened',
    ]);
    expect(readRides('a\n1', BIKE, [], ids()).ok).toBe(false);
  });
});

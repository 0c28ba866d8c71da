import { DEFAULT_PRACTICE } from '../practice.js';
import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { FREE_ACCESS } from '../../bike/index.js';
import { ChainFinder, endsOf, modeFit, reachOf } from '../chains/index.js';
import { printShape, type Head } from '../../ground/sizes/index.js';
import { fastener, owned } from '../../testing/make.js';
import { combinationSpanner, lKey, ratchet, socket } from '../tools/index.js';
import { cellKey, coverageOf } from './coverage.js';

const nm = (value: number) => ({ value, source: 'manual' as const });
const hex = (size: string): Head => ({ form: 'hex', size });

describe('the coverage picture', () => {
  test('worked cells: fits, some, limp, loose, nothing', () => {
    const spanner = owned(combinationSpanner('13'));
    const small = owned(socket('1/4in', '13'));
    const handle = owned(ratchet('1/4in'));
    const key = owned(lKey('5'));
    const finder = new ChainFinder([spanner, small, handle, key], DEFAULT_PRACTICE);
    const { rows, groups, cells, idle } = coverageOf(
      [
        fastener({ head: hex('13'), name: 'Easy', torque: nm(10) }),
        fastener({
          head: hex('13'),
          name: 'Deep',
          torque: nm(10),
          access: { ...FREE_ACCESS, recess: 20, clearance: 21 },
        }),
        fastener({ head: hex('1/2in'), name: 'Inch', torque: nm(10) }),
        fastener({ head: hex('17'), name: 'Out', torque: nm(10), leftOut: 'x' }),
      ],
      finder,
    );
    expect(rows.map((r) => r.key)).toEqual(['hex ½ in', 'hex 13']);
    const cell = (row: number, piece: { id: string }) => cells.get(cellKey(rows[row]!, piece)) ?? null;
    expect(cell(1, small)).toEqual({ state: 'fits', why: [] });
    expect(cell(1, spanner)).toMatchObject({ state: 'some' });
    expect(cell(1, spanner)!.why.map((w) => w.code)).toContain('reach.recess');
    expect(cell(0, spanner)).toMatchObject({ state: 'loose' });
    expect(groups.map((g) => g.name)).toEqual(['Spanners', 'Sockets']);
    expect(idle.map((p) => p.id)).toEqual([key.id]);
    expect(rows[1]!.fitting).toBe(1);
    // Without a handle the socket goes on but nothing turns it.
    const limp = coverageOf(
      [fastener({ head: hex('13'), torque: nm(10) })],
      new ChainFinder([small], DEFAULT_PRACTICE),
    );
    expect([...limp.cells.values()]).toEqual([
      {
        state: 'limp',
        why: [{ code: 'reach.nothing-drives', piece: 'Socket ¼ in, 13', by: { form: 'drive', size: '1/4in' } }],
      },
    ]);
  });

  test('a socket for the shanks of bits is not idle for want of a quarter-inch hexagon, other sockets are', () => {
    const shank = owned(socket('1/4in', '1/4in'));
    const others = ['8', '5/16in'].map((size) => owned(socket('1/4in', size)));
    const pieces = [shank, ...others, owned(combinationSpanner('13')), owned(ratchet('1/4in'))];
    const { idle } = coverageOf(
      [fastener({ head: hex('13'), torque: nm(10) })],
      new ChainFinder(pieces, DEFAULT_PRACTICE),
    );
    expect(idle.map((p) => p.id).sort()).toEqual(others.map((p) => p.id).sort());
    const both = { ...shank, id: others[0]!.id, modes: [...shank.modes, ...others[0]!.modes] };
    const more = coverageOf([fastener({ head: hex('13') })], new ChainFinder([both], DEFAULT_PRACTICE));
    expect(more.idle.map((p) => p.id)).toEqual([both.id]);
    const key = { ...shank, modes: shank.modes.map((m) => ({ ...m, turns: { form: 'key' as const, size: '1/4in' } })) };
    expect(coverageOf([fastener({ head: hex('13') })], new ChainFinder([key], DEFAULT_PRACTICE)).idle).toHaveLength(1);
  });

  test('on the demo: a class that some piece fits is reached, and a cell never contradicts the chains', () => {
    const demo = demoGarage();
    const mine = demo.fasteners.filter((f) => f.bikeId === demo.bikes[0]!.id);
    const finder = new ChainFinder(demo.pieces, demo.garage.practice);
    const { rows, groups, cells, idle } = coverageOf(mine, finder);
    const columns = groups.flatMap((g) => g.pieces);
    expect(new Set(columns.map((p) => p.id)).size).toBe(columns.length);
    expect(idle.some((p) => columns.includes(p))).toBe(false);
    expect(rows.length).toBeGreaterThan(20);
    for (const row of rows)
      for (const piece of columns) {
        const cell = cells.get(cellKey(row, piece));
        const verdicts = piece.modes.map((m) => modeFit(m, row.head).verdict);
        if (!cell) expect(verdicts.includes('fits') || verdicts.includes('loose')).toBe(false);
        else if (cell.state === 'loose') expect(verdicts).toContain('loose');
        else expect(verdicts).toContain('fits');
        if (cell && cell.state !== 'fits') expect(cell.why).not.toBe('');
      }
    // Each one-ended fastener is reached exactly when some piece has a working chain on its head.
    for (const f of mine.filter((f) => f.leftOut === null && !f.far)) {
      const some = columns.some((p) => finder.onHead(endsOf(f)[0]!, p.id).ok);
      expect({ name: f.name, head: printShape(f.head), some }).toEqual({
        name: f.name,
        head: printShape(f.head),
        some: reachOf(f, finder).best.length > 0,
      });
    }
  });
});

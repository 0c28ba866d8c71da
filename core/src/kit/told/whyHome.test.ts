import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import {
  answerFor,
  whyHome,
  ChainFinder,
  coverageOf,
  type Answer,
  type Coverage,
  type Fastener,
  type Piece,
} from '../../index.js';

const doc = demoGarage('lightest');
const bike = doc.bikes[0]!;
let answer: Answer;
let coverage: Coverage;
beforeAll(async () => {
  answer = answerFor(doc, { bikeId: bike.id, tripId: doc.trips[0]!.id, today: '2026-06-01' }, await loadSolver());
  const mine = doc.fasteners.filter((f) => f.bikeId === bike.id);
  coverage = coverageOf(mine, new ChainFinder(doc.pieces, doc.garage.practice));
});
const why = (piece: Piece) =>
  whyHome(piece, { pieces: answer.kit.pieces, kitUse: answer.kitUse, coverage, bikeId: bike.id });
const carried = () => new Set(answer.kit.pieces.map((p) => p.piece.id));
const home = () => doc.pieces.filter((p) => !carried().has(p.id));

describe('why a tool stays at home', () => {
  test('what the rider said of it comes first, in the order of weight', () => {
    const some = home().find((p) => p.mark === null && p.onlyBike === null)!;
    const other = doc.bikes[1]!.id;
    expect(why({ ...some, mark: 'never', condition: 'broken' })).toEqual({ code: 'marked never' });
    expect(why({ ...some, condition: 'broken', onlyBike: other })).toEqual({ code: 'broken' });
    expect(why({ ...some, onlyBike: other })).toEqual({ code: 'another bike', bikeId: other });
    expect(why({ ...some, onlyBike: bike.id })).toEqual(why(some));
  });
  test('where the kit reaches all that it turns, the tools are named that turn it, the most used first', () => {
    const told = home().flatMap((p) => {
      const w = why(p);
      return w.code === 'turned by others' ? [{ p, w }] : [];
    });
    expect(told.length).toBeGreaterThan(5);
    const names = new Set(answer.kit.pieces.map((p) => p.piece.name));
    for (const { p, w } of told) {
      expect(w.tools.filter((t) => !names.has(t))).toEqual([]);
      expect(w.tools.length).toBeGreaterThan(0);
      expect(new Set(w.tools).size).toBe(w.tools.length);
      // Each is the last of a chain on a fastener that this one turns too.
      const cells = coverage.rows.filter((r) =>
        ['fits', 'some'].includes(coverage.cells.get(`${r.key}\t${p.id}`)?.state ?? ''),
      );
      const uses = new Map<string, number>();
      for (const f of cells.flatMap((r) => r.fasteners))
        for (const c of answer.kitUse[f.id] ?? [])
          uses.set(c.links.at(-1)!.piece.name, (uses.get(c.links.at(-1)!.piece.name) ?? 0) + 1);
      expect([...uses.keys()].sort()).toEqual([...w.tools].sort());
      expect(w.tools.map((t) => uses.get(t)!)).toEqual([...uses.values()].sort((a, b) => b - a));
    }
  });
  test('a fastener that the kit leaves out of reach and this tool would turn is named', () => {
    const told = home().find((p) => why(p).code === 'turned by others')!;
    const row = coverage.rows.find((r) => coverage.cells.get(`${r.key}\t${told.id}`)?.state === 'fits')!;
    const left = row.fasteners[0] as Fastener;
    const kitUse = { ...answer.kitUse, [left.id]: [] };
    expect(whyHome(told, { pieces: answer.kit.pieces, kitUse, coverage, bikeId: bike.id })).toEqual({
      code: 'not worth it',
      fasteners: [left.name],
    });
  });
  test('what goes on no head is compared by what it does and by the square that it drives', () => {
    const [a] = answer.kit.pieces;
    const bare = { ...a!.piece, id: 'none', modes: [], functions: [], mark: null, onlyBike: null } as Piece;
    const ratchet = doc.pieces.find((p) => p.kind === 'ratchet')!;
    const of = (pieces: Piece[]) => ({
      pieces: pieces.map((piece) => ({ piece })),
      kitUse: {},
      coverage: { rows: [], cells: new Map() },
      bikeId: bike.id,
    });
    const named = (name: string, fields: Partial<Piece>): Piece => ({ ...bare, name, ...fields });
    const cuts = named('Knife', { functions: ['cut'] });
    expect(whyHome(cuts, of([named('Pliers', { functions: ['grip', 'cut'] }), named('Bar', {})]))).toEqual({
      code: 'done by others',
      tools: ['Pliers'],
    });
    expect(whyHome(cuts, of([named('Bar', {})]))).toEqual({ code: 'not asked for' });
    const driver = named('Bar', { modes: ratchet.modes });
    expect(whyHome(driver, of([{ ...ratchet, name: 'Ratchet' }]))).toEqual({
      code: 'done by others',
      tools: ['Ratchet'],
    });
    expect(whyHome(driver, of([cuts]))).toEqual({ code: 'not asked for' });
    // A spanner for a size that this bike does not have.
    const spanner = named('Spanner 19', { modes: doc.pieces.find((p) => p.kind === 'combination spanner')!.modes });
    expect(whyHome(spanner, of([cuts]))).toEqual({ code: 'turns nothing' });
    expect(whyHome({ ...spanner, functions: ['pry'] }, of([cuts]))).toEqual({ code: 'not asked for' });
  });
});

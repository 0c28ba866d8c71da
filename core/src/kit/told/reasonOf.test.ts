import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor, type Answer, type KitPiece } from '../../index.js';
import { neededWords, reasonOf } from './reasonOf.js';

let answer: Answer;
const doc = demoGarage('lightest');
const [first, second] = doc.bikes;
beforeAll(async () => {
  const solve = await loadSolver();
  answer = answerFor(doc, { bikeId: first!.id, tripId: doc.trips[0]!.id, today: '2026-06-01' }, solve);
});
const reason = (p: KitPiece, shown: string | null = first!.id) => reasonOf(p, doc.bikes, shown);

describe('why a piece is in the kit', () => {
  test('what only one tool turns is named with its size and where it is', () => {
    const only = answer.kit.pieces.filter((p) => p.neededBy.length === 1 && p.neededBy[0]!.bikeId === first!.id);
    expect(only.length).toBeGreaterThan(0);
    const axle = answer.kit.pieces.find((p) => p.neededBy.some((n) => n.name === 'axle nut'));
    expect(axle).toBeDefined();
    const nut = axle!.neededBy.find((n) => n.name === 'axle nut')!;
    expect(neededWords(nut, doc.bikes, first!.id)).toBe('axle nut (hex 27, drive and rear wheel)');
    for (const p of only) expect(reason(p)).toContain(`only for ${neededWords(p.neededBy[0]!, doc.bikes, first!.id)}`);
  });
  test('the heads it turns are those at the ends whose chains have it', () => {
    for (const p of answer.kit.pieces)
      for (const n of p.neededBy) {
        const f = doc.fasteners.find((x) => x.id === n.id)!;
        const both = [f.head, ...(f.far ? [f.far] : [])];
        expect(n.heads.length).toBeGreaterThan(0);
        for (const head of n.heads) expect(both).toContainEqual(head);
        expect([n.bikeId, n.station, n.name]).toEqual([f.bikeId, f.station, f.name.toLowerCase()]);
      }
  });
  test('another bike is named, the shown one is not', () => {
    const n = answer.kit.pieces.flatMap((p) => p.neededBy)[0]!;
    expect(neededWords({ ...n, bikeId: second!.id }, doc.bikes, first!.id)).toContain(` of ${second!.name})`);
    expect(neededWords({ ...n, bikeId: first!.id }, doc.bikes, first!.id)).not.toContain(' of ');
  });
  test('each other reason stands beside the first', () => {
    const [some] = answer.kit.pieces;
    const none: KitPiece = {
      ...some!,
      needed: [],
      neededBy: [],
      serves: [],
      standsInFor: [],
      piece: { ...some!.piece, mark: 'none' as never },
    };
    expect(reason(none)).toBe('backs up another tool');
    expect(reason({ ...none, serves: ['Puncture', 'Loose chain'] })).toBe('for puncture, loose chain');
    expect(reason({ ...none, serves: ['A', 'B', 'C', 'D', 'E'] })).toBe('for a, b, c and 2 more');
    expect(reason({ ...none, piece: { ...none.piece, mark: 'twice' } })).toBe('you marked it twice');
    expect(reason({ ...none, standsInFor: [none.piece.name] })).toBe('a second one, should one be lost or break');
    expect(reason({ ...none, standsInFor: ['Ring 10'] })).toBe('stands in for Ring 10, should it be lost or break');
    const n = answer.kit.pieces.flatMap((p) => p.neededBy)[0]!;
    expect(reason({ ...none, neededBy: [n, n, n], serves: ['Puncture'] })).toBe('3 fasteners need it · for puncture');
  });
});

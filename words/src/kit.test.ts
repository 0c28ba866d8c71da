import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor, type Answer, type KitPiece, type LackFact } from '@necessaire/core';
import { neededWords, reasonOf, said, spareReason } from './index.js';

let answer: Answer;
const doc = demoGarage('lightest');
const [first, second] = doc.bikes;
beforeAll(async () => {
  const solve = await loadSolver();
  answer = answerFor(doc, { bikeId: first!.id, tripId: doc.trips[0]!.id, today: '2026-06-01' }, solve);
});
const serves = (...names: string[]) => names.map((name) => ({ id: name, name }));
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
    expect(reason({ ...none, serves: serves('Puncture', 'Loose chain') })).toBe('for puncture, loose chain');
    expect(reason({ ...none, serves: serves('A', 'B', 'C', 'D', 'E') })).toBe('for a, b, c and 2 more');
    expect(reason({ ...none, piece: { ...none.piece, mark: 'twice' } })).toBe('you marked it twice');
    expect(reason({ ...none, standsInFor: [none.piece.name] })).toBe('a second one, should one be lost or break');
    expect(reason({ ...none, standsInFor: ['Ring 10'] })).toBe('stands in for Ring 10, should it be lost or break');
    const n = answer.kit.pieces.flatMap((p) => p.neededBy)[0]!;
    expect(reason({ ...none, neededBy: [n, n, n], serves: serves('Puncture') })).toBe(
      '3 fasteners need it · for puncture',
    );
  });
});

describe('how many of a spare there are', () => {
  const forTube = { troubleId: 'puncture-tube', trouble: 'Puncture, tubed', mends: 2, units: 1, mean: 0.4321 };
  const one = { ...forTube, trouble: 'Slow leak', mends: 1, units: 2 };
  test('repairs it is set aside for, how often they suffice, what is packed anyway and what sits on the bike', () => {
    expect(spareReason({ for: [forTube, one], enough: 0.9876, always: 1, fitted: 2 })).toBe(
      'Puncture, tubed: 2 repairs × 1, Λ 0.432; Slow leak: 1 repair × 2, Λ 0.432. They suffice on 98.8 % of trips. 1 of it is always packed. 2 of it sits on the bike.',
    );
    expect(spareReason({ for: [], enough: 1, always: 2, fitted: 0 })).toBe(' 2 of it are always packed.');
  });
  test('every spare of a kit has a reason', () => {
    for (const s of answer.kit.spares) expect(spareReason(s).trim().length).toBeGreaterThan(20);
  });
});

describe('what is lacking', () => {
  test.each<[LackFact, string]>([
    [{ code: 'lack.nobody-along' }, 'nobody rides along'],
    [{ code: 'lack.preference', of: 'tubes', position: 'none' }, 'your preference: tubes none'],
    [{ code: 'lack.preference', of: 'plugs', position: 'strings' }, 'your preference: strings'],
    [{ code: 'lack.preference', of: 'sparkPlug', position: 'leave' as never }, 'your preference: no spare plug here'],
    [{ code: 'lack.preference', of: 'rescue', position: 'phone' }, 'your preference: nothing but a phone'],
    [{ code: 'sheet.chain-tool', opens: 520, chain: 525 }, 'the chain tool opens 520 at most, this chain is a 525'],
    [{ code: 'lack.unmarked', role: 'rear axle' }, 'no fastener is marked as rear axle'],
    [{ code: 'lack.out-of-reach', what: 'Axle nut' }, 'Axle nut is out of reach'],
    [{ code: 'lack.tools', does: 'lever tyre', count: 2 }, '2 pieces to lever tyre'],
    [{ code: 'lack.tools', does: 'inflate', count: 1 }, 'a piece to inflate'],
    [{ code: 'lack.tools-for', head: 'Axle nut' }, 'tools for the axle nut'],
    [{ code: 'lack.stays-home', spare: 'Cable ties' }, 'cable ties: stays at home by your mark'],
    [{ code: 'lack.unknown-spare', kind: 'wing' }, 'no spare is called “wing”: add it to the spares'],
    [
      {
        code: 'lack.left-at-home',
        tools: [
          { code: 'lack.tools', does: 'inflate', count: 1 },
          { code: 'lack.tools-for', head: 'Nut' },
        ],
        spares: ['Patches'],
      },
      'left at home: a piece to inflate, tools for the nut, patches',
    ],
    [{ code: 'lack.left-at-home', tools: [], spares: ['Patches', 'Glue'] }, 'left at home: patches, glue'],
    [
      { code: 'lack.repair', name: 'Spokes', why: [{ code: 'lack.grade' }, { code: 'lack.head-out-of-reach' }] },
      'Spokes: no way of that grade is known, the head is out of reach',
    ],
  ])('%j', (fact, words) => expect(said('metric', fact)).toBe(words));
  test('whatever a kit lacks can be said', () => {
    for (const m of answer.kit.mends) for (const o of m.others) expect(said('inch', o.why).length).toBeGreaterThan(5);
  });
});

import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { openDB } from 'idb';
import {
  emptyDocument,
  FILE_VERSION,
  newSupply,
  newTrip,
  TABLES,
  type Edit,
  type Entry,
  type TableName,
} from '@necessaire/core';
import type { OpenGarage } from '../api/client';
import { keepAnswer, lastAnswer, answerOf } from '../stores/answer/lastAnswer';
import { emptyBrowser } from '../testing/browser';
import { keepGarage, keepList, keptGarage, keptList } from './garageStore';
import { outboxStore } from './outboxStore';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let n = 0;
const fresh = () => `22222222-0000-4000-8000-${String(++n).padStart(12, '0')}`;
const edit = (i: number): Edit => ({
  id: uuid(i),
  label: `edit ${i}`,
  changes: [
    { kind: 'make', table: 'supplies', id: uuid(i), row: { ...newSupply({ id: uuid(i), kind: 'wire', quantity: i }) } },
  ],
});
const entry = (i: number): Entry => ({ edit: edit(i), state: 'unsent' });
beforeAll(emptyBrowser);
const ids = (list: readonly Entry[]) => list.map((e) => Number(e.edit.id.slice(-12)));

describe('the outbox in the browser', () => {
  test('is one list whatever goes in, out and between, as a plain list is', async () => {
    const change = fc.record({
      does: fc.constantFrom('push' as const, 'insert' as const, 'drop' as const, 'refuse' as const),
      at: fc.nat({ max: 12 }),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(change, { maxLength: 20 }), async (changes) => {
        const store = outboxStore(fresh());
        let plain: Entry[] = [];
        let next = 1;
        for (const { does, at } of changes) {
          const i = plain.length === 0 ? 0 : at % (plain.length + 1);
          const f = (list: Entry[]): Entry[] => {
            switch (does) {
              case 'push':
                return [...list, entry(next)];
              case 'insert':
                return [...list.slice(0, i), entry(next), ...list.slice(i)];
              case 'drop':
                return list.filter((_, k) => k !== i);
              case 'refuse':
                return list.map((e, k) =>
                  k === i
                    ? { edit: e.edit, state: 'refused' as const, fault: { code: 'x', path: '', message: 'y' } }
                    : e,
                );
            }
          };
          const now = await store.change(f);
          plain = f(plain);
          next++;
          expect(now).toEqual(plain);
          expect(await store.read()).toEqual(plain);
        }
      }),
      { seed: 7, numRuns: 60 },
    );
  });
  test('of one garage knows nothing of another’s', async () => {
    const [a, b] = [outboxStore(fresh()), outboxStore(fresh())];
    await a.change(() => [entry(1), entry(2)]);
    await b.change(() => [entry(3)]);
    expect([ids(await a.read()), ids(await b.read())]).toEqual([[1, 2], [3]]);
  });
  test('two pages that change it at once lose nothing of each other', async () => {
    const garage = fresh();
    const pages = [outboxStore(garage), outboxStore(garage)];
    await Promise.all([1, 2, 3, 4, 5, 6].map((i) => pages[i % 2]!.change((list) => [...list, entry(i)])));
    expect(ids(await pages[0]!.read()).sort()).toEqual([1, 2, 3, 4, 5, 6]);
  });
  test('what an older version left goes out as it is written now, and lies there so once it was touched', async () => {
    const garage = fresh();
    const { leaves: _, ...row } = newTrip(uuid(40), 'Old');
    const old = { ...edit(9), changes: [{ kind: 'make', table: 'trips', id: row.id, row }] };
    await outboxStore(garage).read();
    const db = await openDB('necessaire-outbox');
    await db.put('edits', { garage, at: 1, entry: { edit: old, state: 'unsent' }, version: 9 });
    const [read] = await outboxStore(garage).read();
    expect(read?.edit.changes[0]).toMatchObject({ row: { name: 'Old', leaves: null } });
    // Without a version it is of the last one that noted none: nothing is added to it.
    await db.put('edits', { garage, at: 2, entry: { edit: { ...old, id: uuid(10) }, state: 'unsent' } });
    const unsaid = (await outboxStore(garage).read())[1];
    expect(unsaid?.edit.changes[0]).toEqual(old.changes[0]);
    await outboxStore(garage).change((list) => [...list, entry(11)]);
    const lying = (await db.getAllFromIndex('edits', 'garage', garage)) as { version?: number; at: number }[];
    expect(lying.map((l) => l.version).sort()).toEqual([9, FILE_VERSION, undefined].sort());
    db.close();
  });
});

describe('a garage in the browser', () => {
  const open = (id: string): OpenGarage => {
    const document = {
      ...emptyDocument({ name: 'Shed' }),
      supplies: [newSupply({ id: uuid(1), kind: 'wire', quantity: 2 })],
    };
    const revisions = Object.fromEntries(TABLES.map((t) => [t, {}])) as Record<TableName, Record<string, number>>;
    revisions.supplies[uuid(1)] = 4;
    return { id, revision: 3, garage: document.garage, deleted: false, document, revisions, edition: 17 };
  };
  test('comes back as it was kept; one that never was does not', async () => {
    const id = fresh();
    expect(await keptGarage(id)).toBeNull();
    expect(await keepGarage(open(id))).toBe(true);
    expect(await keptGarage(id)).toEqual(open(id));
  });
  const lying = async (id: string, change: (kept: { file: string; build?: string }) => void) => {
    await keepGarage(open(id));
    const db = await openDB('necessaire-garages');
    const kept = (await db.get('garages', id)) as { file: string; build?: string };
    change(kept);
    await db.put('garages', kept, id);
    db.close();
    return keptGarage(id);
  };
  test('of an older version is read as an old file; new tables have no revisions yet', async () => {
    const got = await lying(fresh(), (kept) => {
      delete kept.build;
      const { happened: _, reviews: __, ...file } = JSON.parse(kept.file) as Record<string, unknown>;
      kept.file = JSON.stringify({ ...file, version: 10 });
    });
    expect([got?.document.happened, got?.document.reviews, got?.revisions.reviews]).toEqual([[], [], {}]);
    expect(got?.document.supplies).toHaveLength(1);
  });
  test('that another build wrote is looked at, and what cannot be read is none', async () => {
    const spoil = (kept: { file: string; build?: string }) => {
      kept.build = 'another';
      kept.file = kept.file.replace('"quantity": 2', '"quantity": -2');
    };
    expect(await lying(fresh(), spoil)).toBeNull();
    expect(await lying(fresh(), (kept) => (kept.file = '{'))).toBeNull();
    // A newer program wrote it, then an older one opens it.
    const newer = (kept: { file: string; build?: string }) => {
      delete kept.build;
      kept.file = kept.file.replace(`"version": ${FILE_VERSION}`, `"version": ${FILE_VERSION + 1}`);
    };
    expect(await lying(fresh(), newer)).toBeNull();
  });
  test('is listed with the others', async () => {
    expect(await keptList()).toEqual([]);
    const { document: _, revisions: __, edition: ___, ...record } = open(fresh());
    await keepList([record]);
    expect(await keptList()).toEqual([record]);
  });
  test('has its last answer beside it, which is of no other document or question', async () => {
    const id = fresh();
    const { document } = open(id);
    const answer = { kit: 1 } as unknown as Parameters<typeof keepAnswer>[2];
    const of = answerOf(document, { bikeId: 'a' });
    await keepAnswer(id, of, answer);
    expect(await lastAnswer(id, of)).toEqual({ of, build: 'test', answer });
    expect(await lastAnswer(id, answerOf(document, { bikeId: 'b' }))).toBeNull();
    expect(await lastAnswer(id, answerOf({ ...document, supplies: [] }, { bikeId: 'a' }))).toBeNull();
    expect(await lastAnswer(fresh(), of)).toBeNull();
  });
});

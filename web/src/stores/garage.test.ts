import '../testing/browser';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { emptyDocument, newBike, newSupply, type GarageDocument, type Row } from '@necessaire/core';
import { clearStorage, leavePages } from '../testing/browser';
import { until } from '../testing/until';
import { FakeServer, fetchFrom, type Way } from '../testing/fakeServer';
import { outboxStore } from '../sync/outboxStore';
import { keptGarage } from '../sync/garageStore';
import { useGarage } from './garage';
import { useView } from './view';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let garageNumber = 0;
/** A garage that no other test has, so that what the browser keeps of it is its own. */
const freshId = () => `11111111-0000-4000-8000-${String(++garageNumber).padStart(12, '0')}`;
const supply = (n: number, more: Partial<Row<'supplies'>> = {}): Row<'supplies'> =>
  newSupply({ id: uuid(n), kind: 'cable tie', quantity: 1, ...more });
const start = (): GarageDocument => ({
  ...emptyDocument({ name: 'Mine' }),
  bikes: [newBike(uuid(900), 'Bike')],
  supplies: [supply(1), supply(2)],
});

const online = () => dispatchEvent(new Event('online'));

globalThis.fetch = fetchFrom as typeof fetch;
let server: FakeServer;
afterAll(leavePages);
/** A page that was just loaded: its stores are new, what the browser keeps is as it was. */
async function load() {
  setActivePinia(createPinia());
  useView().garageId = server.id;
  const garage = useGarage();
  await garage.open();
  return garage;
}
type Page = Awaited<ReturnType<typeof load>>;
const kept = (page: Page) => until(() => page.keeping === 'kept', 'all saved');
function arrives() {
  server.ways = ['arrives'];
  online();
}
beforeEach(() => {
  clearStorage();
  server = new FakeServer(freshId(), start());
});

describe('a page and its garage', () => {
  test('an edit is shown at once and is at the server soon', async () => {
    const page = await load();
    expect(page.put('more ties', 'supplies', supply(1, { quantity: 5 }))).toBe(true);
    expect(page.doc?.supplies.map((s) => s.quantity)).toEqual([5, 1]);
    await kept(page);
    expect(server.rows('supplies').map((s) => s['quantity'])).toEqual([5, 1]);
    expect(await outboxStore(server.id).read()).toEqual([]);
  });
  test('what is as it was is no edit', async () => {
    const page = await load();
    const before = page.version;
    expect(page.put('nothing', 'supplies', supply(1))).toBe(true);
    expect([page.version, page.history.undoable.length]).toEqual([before, 0]);
  });
  test('what would be refused is not entered: it lies in the tray with where and what to do, until it is thrown away', async () => {
    const page = await load();
    expect(page.put('too many', 'supplies', supply(1, { quantity: -3 }))).toBe(false);
    expect(page.doc?.supplies[0]?.quantity).toBe(1);
    expect(page.tray).toHaveLength(1);
    expect(page.tray[0]?.fault).toMatchObject({ path: 'quantity', message: expect.stringContaining('quantity: ') });
    // It holds up nothing.
    page.put('more', 'supplies', supply(2, { quantity: 2 }));
    await kept(page);
    expect(server.rows('supplies')[1]?.['quantity']).toBe(2);
    await page.discard(page.tray[0]!.edit.id);
    expect(page.tray).toEqual([]);
  });
  test('without a server it opens as it was last seen, says so, and sends all once when it is back', async () => {
    const first = await load();
    first.put('more', 'supplies', supply(1, { quantity: 4 }));
    await kept(first);
    // Left at once: what was sent has left the outbox, and is there all the same.
    dispatchEvent(new Event('pagehide'));
    server.ways = ['is lost'];
    const page = await load();
    expect(page.doc?.supplies[0]?.quantity).toBe(4);
    expect(page.doc?.supplies.map((s) => s.id)).toEqual([uuid(1), uuid(2)]);
    page.put('again more', 'supplies', supply(3));
    await until(() => page.keeping === 'not kept', 'it says that nothing is sent');
    expect(page.trouble).toContain('Server not reachable');
    expect((await outboxStore(server.id).read()).map((e) => e.edit.label)).toEqual(['again more']);
    arrives();
    await kept(page);
    expect(page.trouble).toBeNull();
    expect(server.rows('supplies').map((s) => s['id'])).toEqual([1, 2, 3].map(uuid));
  });
  test('a stranger who answers for the server is told apart from it', async () => {
    const page = await load();
    server.ways = ['a stranger answers'];
    page.put('more', 'supplies', supply(1, { quantity: 3 }));
    await until(() => page.trouble !== null, 'it says what is wrong');
    expect(page.trouble).toContain('sign-in page');
    arrives();
    await kept(page);
    expect(server.rows('supplies')[0]?.['quantity']).toBe(3);
  });
  test('a name changed by an edit is the garage’s at the server, and in the list', async () => {
    const page = await load();
    await page.rename('Shed');
    expect(page.doc?.garage.name).toBe('Shed');
    expect(page.list.map((g) => g.garage.name)).toEqual(['Shed']);
  });
  test('what the browser keeps follows what the server has', async () => {
    const page = await load();
    page.put('more', 'supplies', supply(1, { quantity: 9 }));
    await kept(page);
    dispatchEvent(new Event('pagehide'));
    const lying = await keptGarage(server.id);
    expect(lying?.document.supplies[0]?.quantity).toBe(9);
    expect(lying?.edition).toBe(server.sync.edition);
  });
});

describe('two that change the same', () => {
  /** Somebody else writes one field. */
  const elsewhere = (field: string, was: unknown, now: unknown, n = 1) =>
    server.sync.exchange({
      since: null,
      edits: [
        {
          id: uuid(5000 + Math.floor(server.sync.log.size)),
          label: 'elsewhere',
          changes: [{ kind: 'set', table: 'supplies', id: uuid(n), base: 1, fields: [{ field, was, now }] }],
        },
      ],
    });
  test.each(['mine', 'theirs'] as const)('are asked, and %s is kept', async (keep) => {
    const page = await load();
    server.ways = ['is lost'];
    page.put('five', 'supplies', supply(1, { quantity: 5 }));
    elsewhere('quantity', 1, 8);
    arrives();
    await until(() => page.questions[0]?.theirs?.['quantity'] === 8, 'a question');
    expect(page.questions[0]).toMatchObject({ table: 'supplies', id: uuid(1) });
    await page.resolve(page.questions[0]!, keep);
    await until(() => page.questions.length === 0, 'no question any more');
    await kept(page);
    const wanted = keep === 'mine' ? 5 : 8;
    expect([page.doc?.supplies[0]?.quantity, server.rows('supplies')[0]?.['quantity']]).toEqual([wanted, wanted]);
  });
  test('other fields of one row are joined without a word', async () => {
    const page = await load();
    server.ways = ['is lost'];
    page.put('five', 'supplies', supply(1, { quantity: 5 }));
    elsewhere('note', '', 'from the shed');
    arrives();
    await until(() => page.doc?.supplies[0]?.note !== '', 'news from elsewhere');
    await kept(page);
    expect(page.questions).toEqual([]);
    expect(page.doc?.supplies[0]).toMatchObject({ quantity: 5, note: 'from the shed' });
  });
  test('undo does not touch what somebody else changed since, and says so', async () => {
    const page = await load();
    page.put('five', 'supplies', supply(1, { quantity: 5 }));
    await kept(page);
    elsewhere('quantity', 5, 6);
    page.put('a nudge', 'supplies', supply(2, { quantity: 2 }));
    await until(() => page.doc?.supplies[0]?.quantity === 6, 'news from elsewhere');
    expect(page.undo()).toEqual({ label: 'a nudge', why: null });
    expect(page.undo()).toEqual({ label: 'five', why: expect.stringContaining('changed in another window since') });
    expect(page.doc?.supplies[0]?.quantity).toBe(6);
    expect(page.undo()).toBeNull();
  });
});

/** What a rider, the way and somebody else may do, in any order. */
type Step =
  | { does: 'add' | 'set' | 'remove'; row: number; value: number }
  | { does: 'undo' | 'redo' | 'reload' }
  | { does: 'way'; ways: Way[] }
  | { does: 'elsewhere'; value: number };
const steps: fc.Arbitrary<Step[]> = fc.array(
  fc.oneof(
    fc.record({
      does: fc.constantFrom('add' as const, 'set' as const, 'set' as const, 'remove' as const),
      row: fc.integer({ min: 3, max: 6 }),
      value: fc.integer({ min: 2, max: 900 }),
    }),
    fc.record({ does: fc.constantFrom('undo' as const, 'undo' as const, 'redo' as const, 'reload' as const) }),
    fc.record({
      does: fc.constant('way' as const),
      ways: fc.array(fc.constantFrom<Way>('arrives', 'is lost', 'reply is lost', 'server is ill'), {
        minLength: 1,
        maxLength: 3,
      }),
    }),
    fc.record({ does: fc.constant('elsewhere' as const), value: fc.integer({ min: 2, max: 900 }) }),
  ),
  { minLength: 4, maxLength: 24 },
);

test('whatever is done, lost, loaded anew and done elsewhere: page and server come to what a plain list says', async () => {
  await fc.assert(
    fc.asyncProperty(steps, async (list) => {
      clearStorage();
      server = new FakeServer(freshId(), start());
      let page = await load();
      // The plain list: quantities by row, what was before each edit, and what was undone.
      let rows = new Map<number, number>();
      let before: Map<number, number>[] = [];
      let after: Map<number, number>[] = [];
      let theirs = 1;
      const edit = (next: Map<number, number>) => {
        before.push(rows);
        after = [];
        rows = next;
      };
      for (const s of list)
        switch (s.does) {
          case 'add':
          case 'set': {
            if (s.does === 'set' ? !rows.has(s.row) : rows.has(s.row)) break;
            if (rows.get(s.row) === s.value) break;
            expect(page.put(`${s.does} ${s.row}`, 'supplies', supply(s.row, { quantity: s.value }))).toBe(true);
            edit(new Map(rows).set(s.row, s.value));
            break;
          }
          case 'remove': {
            if (!rows.has(s.row)) break;
            page.remove(`remove ${s.row}`, { table: 'supplies', id: uuid(s.row) });
            const next = new Map(rows);
            next.delete(s.row);
            edit(next);
            break;
          }
          case 'undo':
          case 'redo': {
            const from = s.does === 'undo' ? before : after;
            const to = s.does === 'undo' ? after : before;
            const done = s.does === 'undo' ? page.undo() : page.redo();
            expect(done === null).toBe(from.length === 0);
            if (from.length === 0) break;
            expect(done?.why).toBeNull();
            to.push(rows);
            rows = from.pop()!;
            break;
          }
          case 'reload': {
            // What is stored by then is there again; what a page is killed with in the same moment was never said to be.
            await page.settle();
            dispatchEvent(new Event('pagehide'));
            page = await load();
            before = [];
            after = [];
            break;
          }
          case 'way':
            server.ways = [...s.ways];
            break;
          case 'elsewhere':
            server.sync.exchange({
              since: null,
              edits: [
                {
                  id: crypto.randomUUID(),
                  label: 'elsewhere',
                  changes: [
                    {
                      kind: 'set',
                      table: 'supplies',
                      id: uuid(1),
                      base: server.sync.rows.get(`supplies ${uuid(1)}`)!.revision,
                      fields: [{ field: 'quantity', was: theirs, now: s.value }],
                    },
                  ],
                },
              ],
            });
            theirs = s.value;
        }
      arrives();
      await until(() => {
        online();
        return page.keeping === 'kept';
      }, 'all saved');
      const wanted = [[uuid(1), theirs], [uuid(2), 1], ...[...rows].map(([n, q]) => [uuid(n), q])].sort();
      expect(page.questions).toEqual([]);
      expect(page.tray).toEqual([]);
      expect(
        server
          .rows('supplies')
          .map((s) => [s['id'], s['quantity']])
          .sort(),
      ).toEqual(wanted);
      await page.settle();
      const own = (page.doc?.supplies ?? []).map((s) => [s.id, s.quantity]).sort();
      expect(own.filter(([id]) => id !== uuid(1))).toEqual(wanted.filter(([id]) => id !== uuid(1)));
    }),
    { seed: 4, numRuns: Number(process.env['NECESSAIRE_SCHEDULES'] ?? 60) },
  );
}, 120_000);

import { expect, test } from '@jest/globals';
import { uuid } from '../../testing/make.js';
import { SyncServer } from '../../testing/syncServer.js';
import { changeOf, Session, type Body, type Entry } from './index.js';

const AT = { table: 'supplies' as const, id: uuid(1) };

test.each([
  ['keeps it', true],
  ['is full', false],
])(
  'an edit that the server took stays shown while a browser that %s is told: what is typed meanwhile is built on it',
  async (_, keeps) => {
    const server = new SyncServer();
    const row: Body = { id: AT.id, quantity: 1, note: '' };
    server.rows.set(`supplies ${AT.id}`, { revision: 1, row, deleted: false, edition: 0, change: AT });
    let entries: Entry[] = [];
    /** Set once the outbox is slow: resolves when the edit is about to leave it, and lets it go. */
    let leaving: (() => void) | null = null;
    let go: () => void = () => undefined;
    const shown: (Body | null)[] = [];
    const session = new Session(
      { edition: 0, rows: new Map([[`supplies ${AT.id}`, { revision: 1, row }]]) },
      {
        exchange: (request) => Promise.resolve(server.exchange(request)),
        outbox: {
          read: () => Promise.resolve([...entries]),
          change: async (f) => {
            if (leaving && server.edition > 0) {
              const told = leaving;
              leaving = null;
              await new Promise<void>((done) => {
                go = done;
                told();
              });
            }
            if (!keeps) throw new Error('no room');
            entries = f(entries);
            return entries;
          },
        },
        alone: (work) => work(),
        tell: () => undefined,
        wait: () => new Promise(() => undefined),
        nextId: () => uuid(99),
      },
      (rows) => {
        if (rows.length > 0) shown.push(session.shown([AT]).get(`supplies ${AT.id}`) ?? null);
      },
    );
    const edit = (id: number, before: Body, after: Body) => {
      const base = session.bases([AT]).get(`supplies ${AT.id}`)!;
      session.add({ id: uuid(id), label: 'x', changes: [changeOf(AT.table, AT.id, before, after, base)!] });
    };
    const taken = new Promise<void>((done) => (leaving = done));
    edit(2, row, { ...row, quantity: 5 });
    await taken;
    // The server has it, and it is on its way out of the outbox.
    const now = session.shown([AT]).get(`supplies ${AT.id}`)!;
    expect(now).toMatchObject({ quantity: 5, note: '' });
    edit(3, now, { ...now, note: 'for rain' });
    expect(session.shown([AT]).get(`supplies ${AT.id}`)).toMatchObject({ quantity: 5, note: 'for rain' });
    go();
    await session.push();
    expect(server.rows.get(`supplies ${AT.id}`)?.row).toMatchObject({ quantity: 5, note: 'for rain' });
    // It never stood there as it was before.
    expect(shown.map((r) => r?.['quantity'])).toEqual(shown.map(() => 5));
    expect(session.standing).toMatchObject({ unsent: 0, trouble: null });
    session.close();
  },
);

test('an edit without a server is not said to be on the device before it lies there', async () => {
  let let_: () => void = () => undefined;
  const gate = new Promise<void>((done) => (let_ = done));
  let entries: Entry[] = [];
  const session: Session = new Session(
    { edition: 0, rows: new Map() },
    {
      exchange: () => Promise.reject(new Error('away')),
      outbox: {
        read: () => Promise.resolve([...entries]),
        change: async (f) => {
          await gate;
          entries = f(entries);
          return entries;
        },
      },
      alone: (work) => work(),
      tell: () => undefined,
      wait: () => new Promise(() => undefined),
      nextId: () => uuid(99),
    },
    () => undefined,
  );
  await session.hear(1);
  expect(session.standing).toMatchObject({ unsent: 0, writing: false });
  expect(session.standing.trouble).not.toBeNull();
  const row: Body = { id: AT.id, quantity: 1, note: '' };
  session.add({ id: uuid(2), label: 'x', changes: [changeOf(AT.table, AT.id, null, row, 0)!] });
  expect(session.standing).toMatchObject({ unsent: 1, stored: true, writing: true });
  let_();
  await session.push();
  expect(entries).toHaveLength(1);
  expect(session.standing).toMatchObject({ unsent: 1, stored: true, writing: false });
});

test.each(['mine', 'theirs'] as const)(
  'an answer (%s) is on its way from the press on: nobody says that all is saved before it lies there and is sent',
  async (keep) => {
    const server = new SyncServer();
    const key = `supplies ${AT.id}`;
    const row: Body = { id: AT.id, quantity: 1, note: '' };
    server.rows.set(key, { revision: 2, row: { ...row, quantity: 9 }, deleted: false, edition: 1, change: AT });
    server.edition = 1;
    let entries: Entry[] = [];
    let slow: Promise<void> | null = null;
    const said: string[] = [];
    const session: Session = new Session(
      { edition: 0, rows: new Map([[key, { revision: 1, row }]]) },
      {
        exchange: (request) => Promise.resolve(server.exchange(request)),
        outbox: {
          read: () => Promise.resolve([...entries]),
          change: async (f) => {
            await slow;
            return (entries = f(entries));
          },
        },
        alone: (work) => work(),
        tell: () => undefined,
        wait: () => new Promise(() => undefined),
        nextId: () => uuid(99),
      },
      () => {
        const { unsent, writing } = session.standing;
        said.push(`${unsent > 0 ? 'unsent' : 'all sent'}${writing ? ', writing' : ''}`);
      },
    );
    session.add({ id: uuid(2), label: 'x', changes: [changeOf(AT.table, AT.id, row, { ...row, quantity: 5 }, 1)!] });
    await session.push();
    const [question] = session.questions;
    expect(question).toBeDefined();
    let let_: () => void = () => undefined;
    slow = new Promise<void>((done) => (let_ = done));
    said.length = 0;
    const answered = session.answer(question!, keep);
    // The page is told at once, not once the browser has stored it.
    expect(said).toEqual(['unsent, writing']);
    expect(session.standing).toMatchObject({ unsent: 1, writing: true });
    let_();
    await answered;
    await session.push();
    expect(session.standing).toMatchObject({ unsent: 0, writing: false });
    expect(server.rows.get(key)?.row).toMatchObject({ quantity: keep === 'mine' ? 5 : 9 });
    session.close();
  },
);

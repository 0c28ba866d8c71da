import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import request from 'supertest';
import pg from 'pg';
import {
  changeOf,
  keyOf,
  newBike,
  newFastener,
  newGarage,
  newSupply,
  usualPlaces,
  type Body,
  type Change,
  type Edit,
  type Reply,
  type Row,
  type TableName,
} from '@necessaire/core';
import { SyncServer } from '../../core/src/testing/syncServer.js';
import { start as startServer, type Running, type StartOptions } from './start.js';
import { freshDatabase } from './testing/database.js';
import { builtReadFile } from './testing/readFile.js';

const readFile = builtReadFile();
const start = async (options: StartOptions) => startServer({ ...options, readFile: await readFile });

let database: Awaited<ReturnType<typeof freshDatabase>>;
let running: Running;
let garage: string;

beforeAll(async () => {
  database = await freshDatabase();
  running = await start({ databaseUrl: database.url, port: 0, demo: false });
});
afterAll(async () => {
  await running.stop();
  await database.drop();
});
beforeEach(async () => {
  garage = randomUUID();
  await request(running.url)
    .post('/api/garages')
    .send({ id: garage, garage: newGarage({ name: 'Mine' }) })
    .expect(201);
});

const send = async (edits: readonly Edit[], since: number | null = 0): Promise<Reply> =>
  (await request(running.url).post(`/api/garages/${garage}/edits`).send({ since, edits }).expect(200)).body as Reply;
const edit = (...changes: Change[]): Edit => ({ id: randomUUID(), label: 'x', changes });
const make = (table: TableName, row: Row): Change => ({ kind: 'make', table, id: row.id, row: row as Body });
const set = (table: Change['table'], id: string, field: string, was: unknown, now: unknown, base = 0): Change => ({
  kind: 'set',
  table,
  id,
  base,
  fields: [{ field, was, now }],
});
const supply = (quantity = 1) => newSupply({ id: randomUUID(), kind: 'patch', quantity });
const whole = async () =>
  (await request(running.url).get(`/api/garages/${garage}`).expect(200)).body as {
    document: Record<TableName, Row[]>;
    edition: number;
  };

describe('an edit', () => {
  test('is judged once, however often and however late it arrives', async () => {
    const s = supply();
    const first = edit(make('supplies', s));
    const rise = edit(set('supplies', s.id, 'quantity', 1, 2, 1));
    const back = edit(set('supplies', s.id, 'quantity', 2, 1, 2));
    for (const e of [first, rise, back]) expect((await send([e])).outcomes).toEqual([{ id: e.id, is: 'done' }]);
    // Its values would fit again, but it was written before.
    expect((await send([rise])).outcomes).toEqual([{ id: rise.id, is: 'done' }]);
    expect((await whole()).document.supplies).toEqual([s]);
    const clash = edit(set('supplies', s.id, 'quantity', 7, 8));
    const said = (await send([clash])).outcomes;
    expect(said).toEqual([{ id: clash.id, is: 'clash', at: [{ change: 0, fields: ['quantity'], last: null }] }]);
    await send([edit(set('supplies', s.id, 'quantity', 1, 7, 3))]);
    expect((await send([clash])).outcomes).toEqual(said);
  });
  test('that comes twice at once is written once', async () => {
    const e = edit(make('supplies', supply()));
    const replies = await Promise.all([1, 2, 3, 4, 5, 6].map(() => send([e])));
    for (const r of replies) expect(r.outcomes).toEqual([{ id: e.id, is: 'done' }]);
    expect((await whole()).document.supplies).toHaveLength(1);
  });
  test('joins fields, clashes on the same, tells what was deleted, and holds up no other', async () => {
    const s = supply();
    await send([edit(make('supplies', s))]);
    const reply = await send([
      edit(set('supplies', s.id, 'quantity', 1, 5, 1)),
      edit(set('supplies', s.id, 'note', '', 'mine')),
      edit(set('supplies', s.id, 'quantity', 1, 6)),
      edit(set('supplies', s.id, 'condition', 'new', 'spent')),
      edit({ kind: 'delete', table: 'supplies', id: s.id, base: 9, row: s as Body }),
    ]);
    expect(reply.outcomes.map((o) => o.is)).toEqual(['done', 'done', 'clash', 'done', 'clash']);
    const now = { ...s, quantity: 5, note: 'mine', condition: 'spent' };
    expect(reply.news).toEqual([{ table: 'supplies', id: s.id, revision: 4, row: now }]);
    await send([edit({ kind: 'delete', table: 'supplies', id: s.id, base: 4, row: s as Body })]);
    const late = await send([edit(set('supplies', s.id, 'quantity', 5, 9, 4))]);
    expect(late.outcomes[0]).toMatchObject({ is: 'clash', at: [{ last: now }] });
    expect(late.news).toEqual([{ table: 'supplies', id: s.id, revision: 5, row: null }]);
  });
  test('refused for what it is names row and field, and the others are written', async () => {
    const bike = newBike(randomUUID(), 'Kestrel');
    const nut = newFastener({ id: randomUUID(), bikeId: bike.id, head: { form: 'hex', size: '10' } });
    const stray = newFastener({ id: randomUUID(), bikeId: randomUUID(), head: { form: 'hex', size: '10' } });
    const reply = await send([
      edit(make('fasteners', stray)),
      edit(make('bikes', bike)),
      edit(make('fasteners', nut)),
      edit({ kind: 'delete', table: 'bikes', id: bike.id, base: 1, row: bike as Body }),
      edit(set('fasteners', nut.id, 'count', 1, -1, 1)),
      edit(set('fasteners', nut.id, 'colour', null, 'red', 1)),
      edit(set('garage', garage, 'name', 'Mine', '', 1)),
      edit(set('garage', garage, 'name', 'Mine', 'Ours', 1)),
    ]);
    expect(reply.outcomes.map((o) => (o.is === 'refused' ? [o.fault.code, o.fault.path] : o.is))).toEqual([
      ['dangling', 'fasteners.bikeId'],
      'done',
      'done',
      ['dangling', `fasteners ${nut.id}`],
      ['invalid', 'changes[0].row.count'],
      ['invalid', 'changes[0].fields[0].field'],
      ['invalid', 'changes[0].row.name'],
      'done',
    ]);
    const { document } = await whole();
    expect([document.bikes.length, document.fasteners.length]).toEqual([1, 1]);
    expect((document as unknown as { garage: { name: string } }).garage.name).toBe('Ours');
  });
  test('of two pins of one thing the later stays; deleting one and making another in one edit works', async () => {
    const bike = newBike(randomUUID(), 'Kestrel');
    const places = usualPlaces(bike)
      .slice(0, 2)
      .map((p) => ({ ...p, id: randomUUID(), bikeId: bike.id }));
    const pin = (place: number) => ({
      id: randomUUID(),
      bikeId: bike.id,
      placeId: places[place]!.id,
      item: 'piece x 1',
    });
    await send([edit(make('bikes', bike), ...places.map((p) => make('places', p)))]);
    const [a, b, c] = [pin(0), pin(1), pin(0)];
    await send([edit(make('pins', a))]);
    const { edition } = await whole();
    const reply = await send([edit(make('pins', b))], edition);
    expect(reply.outcomes[0]!.is).toBe('done');
    expect(reply.news.map((n) => [n.id, n.row !== null])).toEqual([
      [b.id, true],
      [a.id, false],
    ]);
    const swap = edit({ kind: 'delete', table: 'pins', id: b.id, base: 1, row: b }, make('pins', c));
    expect((await send([swap])).outcomes[0]!.is).toBe('done');
    expect((await whole()).document.pins).toEqual([c]);
    const twice = edit(make('pins', pin(0)), make('pins', pin(1)));
    expect((await send([twice])).outcomes[0]).toMatchObject({ is: 'refused', fault: { code: 'exists' } });
    // A pin goes with its place, or the place stays.
    const { outcomes } = await send([
      edit({ kind: 'delete', table: 'places', id: places[0]!.id, base: 1, row: places[0] as Body }),
    ]);
    expect(outcomes[0]).toMatchObject({ is: 'refused', fault: { code: 'dangling', path: `pins ${c.id}` } });
  });
  test('of many at once is written whole or not at all, up to what a garage holds', async () => {
    const many = (n: number) => Array.from({ length: n }, () => make('supplies', supply()));
    expect((await send([edit(...many(499))])).outcomes[0]!.is).toBe('done');
    const { outcomes } = await send([edit(...many(2))]);
    expect(outcomes[0]).toMatchObject({ is: 'refused', fault: { code: 'too-many', path: 'supplies' } });
    expect((await whole()).document.supplies).toHaveLength(499);
  });
  test('to a garage that is gone is refused as a whole', async () => {
    garage = randomUUID();
    await request(running.url)
      .post(`/api/garages/${garage}/edits`)
      .send({ since: 0, edits: [edit(make('supplies', supply()))] })
      .expect(404);
  });
});

test('a server at random edits does what the protocol says of one', async () => {
  const ids = [1, 2, 3].map(() => randomUUID());
  const step = fc.record({
    row: fc.nat(2),
    quantity: fc.nat(4),
    note: fc.constantFrom('', 'a', 'b'),
    kind: fc.constantFrom('make', 'set', 'set', 'set', 'delete', 'again'),
    stale: fc.boolean(),
  });
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(step, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 12 }),
      async (list) => {
        garage = randomUUID();
        await request(running.url)
          .post('/api/garages')
          .send({ id: garage, garage: newGarage({ name: 'Mine' }) });
        const model = new SyncServer();
        const seen = new Map<string, { revision: number; row: Body | null }>();
        const before: Edit[] = [];
        for (const parts of list) {
          const changes = parts.flatMap(({ row, quantity, note, kind, stale }): Change[] => {
            const id = ids[row]!;
            const stored = model.rows.get(keyOf({ table: 'supplies', id }));
            const now = stored && !stored.deleted ? { revision: stored.revision, row: stored.row } : null;
            const base = stale ? (seen.get(id) ?? now) : now;
            if (!stale || !seen.has(id)) seen.set(id, now ?? { revision: 0, row: null });
            const next = newSupply({ id, kind: 'patch', quantity, note }) as Body;
            const after = kind === 'delete' ? null : next;
            const change = changeOf(
              'supplies',
              id,
              kind === 'make' ? null : (base?.row ?? null),
              after,
              base?.revision ?? 0,
            );
            return change ? [change] : [];
          });
          const repeat = parts[0]!.kind === 'again' && before.length > 0;
          if (changes.length === 0 && !repeat) continue;
          const one = repeat ? before[parts[0]!.quantity % before.length]! : edit(...changes);
          before.push(one);
          const [real, said] = [await send([one]), model.exchange({ since: 0, edits: [one] })];
          expect(real.outcomes).toEqual(said.outcomes);
          const sorted = (news: Reply['news']) => [...news].sort((a, b) => (a.id < b.id ? -1 : 1));
          expect(sorted(real.news)).toEqual(sorted(said.news));
        }
      },
    ),
    { numRuns: 40 },
  );
}, 60_000);

describe('edits that arrive at once', () => {
  const xmins = async () =>
    (
      await running.db.raw<{ rows: { n: number; all: number }[] }>(
        `select count(distinct xmin::text)::int as n, count(*)::int as all from edits where garage_id = ?`,
        [garage],
      )
    ).rows[0]!;

  test('are written together, each with an edition of its own, and what cannot be written holds up none', async () => {
    const good = Array.from({ length: 40 }, (_, i) => edit(make('supplies', supply(i + 1))));
    const dangling = edit(
      make('fasteners', newFastener({ id: randomUUID(), bikeId: randomUUID(), head: { form: 'hex', size: '10' } })),
    );
    const clash = edit(set('supplies', randomUUID(), 'quantity', 7, 8));
    const replies = await Promise.all([...good, dangling, clash, good[3]!].map((e) => send([e], null)));
    const is = replies.map((r) => r.outcomes[0]!.is);
    expect(is).toEqual([...good.map(() => 'done'), 'refused', 'clash', 'done']);
    const { document, edition } = await whole();
    expect(document.supplies.map((x) => x.id).sort()).toEqual(good.map((e) => e.changes[0]!.id).sort());
    expect(edition).toBe(40);
    expect(
      replies
        .slice(0, 40)
        .map((r) => r.edition)
        .sort((a, b) => a - b),
    ).toEqual(good.map((_, i) => i + 1));
    const { n, all } = await xmins();
    expect(all).toBe(42);
    // Statements share transactions: far fewer than edits.
    expect(n).toBeLessThan(30);
  });

  test('on the same rows through two servers: each edition is one edit that was done, the last of a row stands', async () => {
    const second = await start({ databaseUrl: database.url, port: 0, demo: false });
    const rows = [supply(0), supply(0), supply(0)];
    await send([edit(...rows.map((r) => make('supplies', r)))]);
    const done = rows.map((): number[] => []);
    const now = async (id: string) =>
      ((await whole()).document.supplies.find((x) => x.id === id) as { quantity: number }).quantity;
    await Promise.all(
      Array.from({ length: 12 }, async (_, client) => {
        const url = client % 2 ? second.url : running.url;
        for (let turn = 0; turn < 8; turn++) {
          const at = (client + turn) % rows.length;
          const was = await now(rows[at]!.id);
          const e = edit(set('supplies', rows[at]!.id, 'quantity', was, 1 + client * 8 + turn));
          const twice = await Promise.all(
            [0, 1].map(() =>
              request(url)
                .post(`/api/garages/${garage}/edits`)
                .send({ since: null, edits: [e] })
                .expect(200),
            ),
          );
          const [one, other] = twice.map((r) => (r.body as Reply).outcomes[0]!);
          // The same edit sent twice at once comes to the same, whichever is first.
          expect(other).toEqual(one);
          if (one!.is === 'done') done[at]!.push(1 + client * 8 + turn);
        }
      }),
    );
    await second.stop();
    for (const [i, r] of rows.entries()) expect(done[i]).toContain(await now(r.id));
    expect((await whole()).edition).toBe(1 + done.flat().length);
    expect(done.flat().length).toBeGreaterThan(8);
  });

  test('an import does not hold up others, and an edit behind it on its rows is judged on it', async () => {
    const b = newBike(randomUUID(), 'Kestrel');
    const many = Array.from({ length: 3000 }, () =>
      newFastener({ id: randomUUID(), bikeId: b.id, head: { form: 'hex', size: '10' }, name: 'Bolt' }),
    );
    const slow = send([edit(make('bikes', b), ...many.map((r) => make('fasteners', r)))], null);
    const small = await Promise.all(many.slice(0, 5).map(() => send([edit(make('supplies', supply(2)))], null)));
    expect(small.map((r) => r.outcomes[0]!.is)).toEqual(small.map(() => 'done'));
    expect((await slow).outcomes[0]!.is).toBe('done');
    const behind = (await send([edit(set('fasteners', many[7]!.id, 'name', 'Bolt', 'Nut', 1))])).outcomes;
    expect(behind[0]!.is).toBe('done');
    const { document } = await whole();
    expect([document.fasteners.length, document.supplies.length]).toEqual([3000, 5]);
  });
});

describe('news', () => {
  test('are what was written since, of whoever wrote it, by whatever way', async () => {
    const s = supply();
    const first = await send([edit(make('supplies', s))]);
    await request(running.url)
      .put(`/api/garages/${garage}/supplies/${s.id}`)
      .send({ revision: 1, row: { ...s, quantity: 4 } })
      .expect(200);
    const news = await send([], first.edition);
    expect(news.news).toEqual([{ table: 'supplies', id: s.id, revision: 2, row: { ...s, quantity: 4 } }]);
    expect((await send([], news.edition)).news).toEqual([]);
    expect((await whole()).edition).toBe(news.edition);
  });
  /** The first lines of a garage's stream until one satisfies. */
  async function until(url: string, wanted: (edition: number) => boolean, meanwhile: () => Promise<unknown>) {
    const leaving = new AbortController();
    const response = await fetch(url, { signal: leaving.signal });
    const reader = response.body!.getReader();
    let text = '';
    let told: Promise<unknown> | null = null;
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return null;
      text += new TextDecoder().decode(value);
      const hit = [...text.matchAll(/^data: (\d+)$/gm)].map((m) => Number(m[1])).find(wanted);
      if (text.includes('data:')) told ??= meanwhile();
      if (hit !== undefined) {
        await told;
        leaving.abort();
        return hit;
      }
    }
  }
  test('reach every page of the garage over the stream, also through another server', async () => {
    const second = await start({ databaseUrl: database.url, port: 0, demo: false });
    for (const url of [running.url, second.url]) {
      const { edition } = await whole();
      const hit = await until(
        `${url}/api/garages/${garage}/events`,
        (e) => e > edition,
        () => send([edit(make('supplies', supply()))]),
      );
      expect(hit).toBe(edition + 1);
    }
    await second.stop();
  });
  test('what is not ours on the channel is passed over', async () => {
    const client = new pg.Client({ connectionString: database.url });
    await client.connect();
    const { edition } = await whole();
    const hit = await until(
      `${running.url}/api/garages/${garage}/events`,
      (e) => e > edition,
      async () => {
        for (const text of ['not json', '{"garage":1}', '[]', 'null', '{"garage":"x","edition":-1}'])
          await client.query('select pg_notify($1, $2)', ['necessaire_signals', text]);
        await send([edit(make('supplies', supply()))]);
      },
    );
    expect(hit).toBe(edition + 1);
    await client.end();
  });
  test('a stream that is left at once leaves no connection behind', async () => {
    const listening = async () => {
      const client = new pg.Client({ connectionString: database.url });
      await client.connect();
      const { rows } = await client.query(
        `select count(*)::int as n from pg_stat_activity where datname = current_database() and application_name = 'necessaire signals'`,
      );
      await client.end();
      return (rows[0] as { n: number }).n;
    };
    for (let i = 0; i < 20; i++) {
      const leaving = new AbortController();
      const gone = fetch(`${running.url}/api/garages/${garage}/events`, { signal: leaving.signal }).catch(() => null);
      await new Promise((resolve) => setImmediate(resolve));
      leaving.abort();
      await gone;
    }
    for (let i = 0; i < 2000 && (await listening()) > 0; i++) await new Promise((resolve) => setImmediate(resolve));
    expect(await listening()).toBe(0);
  });
});

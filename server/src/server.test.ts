import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import {
  DEFAULT_PRACTICE,
  newGarage,
  newBike,
  newFastener,
  readGarageFile,
  usualPlaces,
  writeGarageFile,
  type Fastener,
  type GarageDocument,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { DEMO_ID, start as startServer, type Running, type StartOptions } from './start.js';
import { connect } from './db/connect.js';
import { migrate } from './db/migrate.js';
import * as firstMigration from './db/migrations/001_garages.js';
import * as stowMigration from './db/migrations/005_stow.js';
import * as proveMigration from './db/migrations/011_prove.js';
import * as codesMigration from './db/migrations/013_codes.js';
import { freshDatabase } from './testing/database.js';
import { builtReadFile } from './testing/readFile.js';

const readFile = builtReadFile();
/** The day on which the demo is made. */
const TODAY = '2026-06-01';
const start = async (options: StartOptions) => startServer({ today: TODAY, ...options, readFile: await readFile });

/** Fields that version 2 added. */
const NEW_FIELDS = {
  bikes: ['strokes', 'plugs', 'starter', 'wheels', 'brakeFront', 'brakeRear', 'tank', 'seat', 'fitted'],
  fasteners: ['getsLost', 'breaks', 'trail', 'gauge', 'farGauge', 'look'],
};

let database: Awaited<ReturnType<typeof freshDatabase>>;
let running: Running;
const api = () => request.agent(running.url).set('Content-Type', 'application/json');

beforeAll(async () => {
  database = await freshDatabase();
  running = await start({ databaseUrl: database.url, port: 0 });
});
afterAll(async () => {
  await running.stop();
  await database.drop();
});

let garage: string;
beforeEach(async () => {
  garage = randomUUID();
  await api()
    .post('/api/garages')
    .send({ id: garage, garage: newGarage({ name: 'Mine' }) })
    .expect(201);
});

const bike = (id = randomUUID()) => newBike(id, 'Test bike');
const nut = (bikeId: string, fields: Partial<Fastener> = {}): Fastener =>
  newFastener({ id: randomUUID(), bikeId, head: { form: 'hex', size: '10' }, ...fields });
const put = (table: string, row: { id: string } & Record<string, unknown>, revision = 0, into = garage) =>
  api().put(`/api/garages/${into}/${table}/${row.id}`).send({ revision, row });
const change = (changes: unknown[], into = garage) => api().post(`/api/garages/${into}/changes`).send({ changes });
const whole = async (id = garage) =>
  (await api().get(`/api/garages/${id}`).expect(200)).body as {
    document: GarageDocument;
    revisions: Record<string, Record<string, number>>;
  };

describe('first start', () => {
  test('loads the demo into an empty database, once', async () => {
    const { document } = await whole(DEMO_ID);
    expect(document).toEqual(JSON.parse(JSON.stringify(demoGarage('worth', TODAY))));
    const again = await start({ databaseUrl: database.url, port: 0 });
    const list = await request(again.url).get('/api/garages').expect(200);
    expect(list.body.garages.filter((g: { garage: { name: string } }) => g.garage.name === 'Demo garage')).toHaveLength(
      1,
    );
    await again.stop();
  });
  test('several servers may migrate one database at once', async () => {
    const other = await freshDatabase();
    const pools = [connect(other.url), connect(other.url), connect(other.url)];
    await Promise.all(pools.map((p) => migrate(p)));
    // Each file of a migration is one that is run: one that was forgotten would leave databases as they were.
    const files = readdirSync(new URL('./db/migrations', import.meta.url)).map((f) => f.replace(/\.ts$/u, ''));
    const run: { name: string }[] = await pools[0]!('knex_migrations').select('name').orderBy('name');
    expect(run.map((m) => m.name)).toEqual(files.sort());
    await Promise.all(pools.map((p) => p.destroy()));
    await other.drop();
  });
  test('version 10 goes back to 9 and on again: what only it knew is gone, the rest stays', async () => {
    const other = await freshDatabase();
    const running_ = await start({ databaseUrl: other.url, port: 0 });
    await running_.stop();
    const db = connect(other.url);
    await proveMigration.down(db);
    const { rows: tables } = await db.raw(
      `select table_name from information_schema.tables where table_name in ('drills', 'checks', 'reminders', 'watches', 'memories')`,
    );
    expect(tables).toEqual([]);
    const [trip] = await db('trips').select('body');
    const [own] = await db('garages').select('body');
    expect([trip.body.leaves, own.body.gauge]).toEqual([undefined, undefined]);
    await proveMigration.up(db);
    await db.destroy();
    const again = await start({ databaseUrl: other.url, port: 0 });
    const { document } = (await request(again.url).get(`/api/garages/${DEMO_ID}`).expect(200)).body as {
      document: GarageDocument;
    };
    const demo = demoGarage('worth', TODAY);
    expect(document.trips).toEqual(JSON.parse(JSON.stringify(demo.trips.map((t) => ({ ...t, leaves: null })))));
    expect([document.drills, document.garage.gauge]).toEqual([[], null]);
    expect(document.fasteners.length).toBe(demo.fasteners.length);
    await again.stop();
    await other.drop();
  });
  test('version 12 goes back to 11 and on again: positions of the practice in English, and as codes', async () => {
    const other = await freshDatabase();
    const running_ = await start({ databaseUrl: other.url, port: 0 });
    await running_.stop();
    const db = connect(other.url);
    const practiceNow = async () => (await db('garages').where({ id: DEMO_ID }).select('body'))[0].body.practice;
    const codes = await practiceNow();
    expect(codes).toMatchObject({ air: 'pump', pressures: 'ground', from: 'toolbox' });
    await codesMigration.down(db);
    expect(await practiceNow()).toMatchObject({
      ...{ air: 'pump, cartridge for a bead', pressures: 'lowered and raised with the ground', from: 'drawer' },
      worth: codes.worth,
    });
    await codesMigration.up(db);
    expect(await practiceNow()).toEqual(codes);
    await db.destroy();
    await other.drop();
  });
  test('a database of version 1 is brought to the version of today, its rows with it', async () => {
    const old = await freshDatabase();
    const db = connect(old.url);
    const name = '001_garages';
    await db.migrate.latest({
      migrationSource: {
        getMigrations: () => Promise.resolve([firstMigration]),
        getMigrationName: () => name,
        getMigration: () => Promise.resolve(firstMigration),
      },
    });
    const id = randomUUID();
    const practice = {
      adjustable: 'where nothing fixed does',
      ratchet: 'within its torque',
      standing: 'ratchet too',
    };
    await db('garages').insert({ id, body: JSON.stringify({ name: 'Old', practice }) });
    const b = bike();
    const without = (row: object, ...keys: string[]) =>
      Object.fromEntries(Object.entries(row).filter(([k]) => !keys.includes(k)));
    const oldBike = without(b, ...NEW_FIELDS.bikes);
    const oldNut = without(nut(b.id), ...NEW_FIELDS.fasteners);
    await db('bikes').insert({ garage_id: id, id: b.id, body: JSON.stringify(oldBike) });
    await db('fasteners').insert({ garage_id: id, id: String(oldNut['id']), body: JSON.stringify(oldNut) });
    // A roll of old: its slots were all alike.
    const roll = usualPlaces(b).find((p) => p.kind === 'roll')!;
    const oldRoll = {
      ...without(roll, 'takenMass', 'roughLimit', 'onRack', 'opening'),
      id: randomUUID(),
      bikeId: b.id,
      slots: { count: 16, width: 40, length: 240 },
    };
    await db('places').insert({ garage_id: id, id: oldRoll.id, body: JSON.stringify(oldRoll) });
    await migrate(db);
    const again = await start({ databaseUrl: old.url, port: 0 });
    const opened = (await request(again.url).get(`/api/garages/${id}`).expect(200)).body as {
      document: GarageDocument;
    };
    // What came new is answered so that the kit stays what it was.
    expect(opened.document.garage.practice).toEqual({
      ...DEFAULT_PRACTICE,
      standing: 'ratchet',
      doubles: 'none',
      others: 'own',
      pressures: 'ground',
    });
    expect(opened.document.bikes[0]).toMatchObject({ ...oldBike, wheels: 'spoked', tank: 12, fitted: [] });
    expect(opened.document.fasteners[0]).toMatchObject({ ...oldNut, trail: [], gauge: null, look: null });
    expect(opened.document.places[0]).toMatchObject({
      ...oldRoll,
      slots: [{ count: 16, width: 40, length: 240 }],
      takenMass: 0,
      opening: null,
    });
    expect(opened.document.garage).toMatchObject({ rider: { mass: 92_000 } });
    await again.stop();
    // And back: version 4 knew slots only all alike.
    await stowMigration.down(db);
    const [back] = await db('places').select('body');
    expect(back.body).toEqual(oldRoll);
    await stowMigration.up(db);
    await db.destroy();
    await old.drop();
  });
  test('live and ready', async () => {
    await api().get('/health/live').expect(200, { live: true });
    await api().get('/health/ready').expect(200, { ready: true });
  });
});

describe('rows', () => {
  test('are written, read back in order, and idempotent', async () => {
    const b = bike();
    const [one, two] = [nut(b.id, { name: 'One' }), nut(b.id, { name: 'Two' })];
    expect((await put('bikes', b).expect(200)).body).toEqual({ revision: 1 });
    await put('fasteners', one).expect(200);
    await put('fasteners', two).expect(200);
    expect((await put('fasteners', two).expect(200)).body).toEqual({ revision: 1 });
    expect((await put('fasteners', { ...one, name: 'First' }, 1).expect(200)).body).toEqual({ revision: 2 });
    const { document, revisions } = await whole();
    expect(document.fasteners.map((f) => f.name)).toEqual(['First', 'Two']);
    expect(revisions['fasteners']).toEqual({ [one.id]: 2, [two.id]: 1 });
  });
  test('a stale write gets 409 with both versions, and changes nothing', async () => {
    const b = bike();
    await put('bikes', b).expect(200);
    await put('bikes', { ...b, name: 'Theirs' }, 1).expect(200);
    const { body } = await put('bikes', { ...b, name: 'Mine' }, 1).expect(409);
    expect(body.error).toMatchObject({
      code: 'stale',
      revision: 2,
      mine: { name: 'Mine' },
      theirs: { name: 'Theirs' },
    });
    expect(body.error.message).toMatch(/take theirs, or write yours over it/);
    expect((await whole()).document.bikes[0]!.name).toBe('Theirs');
  });
  test('of two writes at once one wins', async () => {
    const b = bike();
    await put('bikes', b).expect(200);
    const answers = await Promise.all(['A', 'B', 'C', 'D'].map((name) => put('bikes', { ...b, name }, 1)));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409, 409]);
  });
  test('a delete can be undone by writing the row again', async () => {
    const b = bike();
    await put('bikes', b).expect(200);
    await api().delete(`/api/garages/${garage}/bikes/${b.id}?revision=1`).expect(200, { revision: 2 });
    expect((await whole()).document.bikes).toEqual([]);
    await api().delete(`/api/garages/${garage}/bikes/${b.id}?revision=1`).expect(200, { revision: 2 });
    await put('bikes', b, 2).expect(200, { revision: 3 });
    expect((await whole()).document.bikes).toHaveLength(1);
  });
  test('a batch is all or none', async () => {
    const b = bike();
    const good = { table: 'bikes', id: b.id, revision: 0, row: b };
    const orphan = nut(randomUUID());
    const { body } = await change([good, { table: 'fasteners', id: orphan.id, revision: 0, row: orphan }]);
    expect(body.error.code).toBe('dangling');
    expect((await whole()).document.bikes).toEqual([]);
    const f = nut(b.id);
    await change([{ table: 'fasteners', id: f.id, revision: 0, row: f }, good]).expect(200, { revisions: [1, 1] });
  });
  test('a bike goes only together with what hangs on it', async () => {
    const b = bike();
    const f = nut(b.id);
    await change([
      { table: 'bikes', id: b.id, revision: 0, row: b },
      { table: 'fasteners', id: f.id, revision: 0, row: f },
    ]).expect(200);
    const { body } = await api().delete(`/api/garages/${garage}/bikes/${b.id}?revision=1`).expect(422);
    expect(body.error).toMatchObject({ code: 'dangling', path: `fasteners ${f.id}` });
    await change([
      { table: 'bikes', id: b.id, revision: 1, row: null },
      { table: 'fasteners', id: f.id, revision: 1, row: null },
    ]).expect(200);
    expect((await whole()).document.bikes).toEqual([]);
  });
  test('what does not fit the schema is refused with the path to it', async () => {
    const b = bike();
    await put('bikes', b).expect(200);
    const bad = { ...nut(b.id), head: { form: 'hex', size: '99' } };
    const { body } = await put('fasteners', bad).expect(422);
    expect(body.error).toMatchObject({ code: 'invalid', path: 'row.head.size' });
    expect((await put('fasteners', { ...nut(b.id), count: -1 }).expect(422)).body.error.path).toBe('row.count');
    expect((await change([{ table: 'bikes', id: b.id, revision: 1, row: bike() }]).expect(422)).body.error.path).toBe(
      'changes[0].row.id',
    );
  });
});

describe('garages', () => {
  test('are scoped: another garage’s rows are neither seen nor touched', async () => {
    const other = randomUUID();
    await api()
      .post('/api/garages')
      .send({ id: other, garage: newGarage({ name: 'Other' }) })
      .expect(201);
    const b = bike();
    await put('bikes', b).expect(200);
    expect((await whole(other)).document.bikes).toEqual([]);
    // The same id may live in both; neither is the other's.
    await put('bikes', { ...b, name: 'Twin' }, 0, other).expect(200, { revision: 1 });
    await api().delete(`/api/garages/${other}/bikes/${b.id}?revision=1`).expect(200);
    expect((await whole()).document.bikes[0]!.name).toBe('Test bike');
    const stray = nut(b.id);
    await put('fasteners', stray, 0, other).expect(422);
    expect((await whole(other)).document.fasteners).toEqual([]);
  });
  test('a request without a garage is refused', async () => {
    const { body } = await api().get('/api/fasteners').expect(400);
    expect(body.error).toMatchObject({ code: 'garage-missing' });
    await api().get('/api/garages/undefined').expect(400);
    await api().get(`/api/garages/${randomUUID()}`).expect(404);
  });
  test('create twice is one; another body under the same id is refused', async () => {
    const body = { id: garage, garage: newGarage({ name: 'Mine' }) };
    await api().post('/api/garages').send(body).expect(201);
    await api()
      .post('/api/garages')
      .send({ ...body, garage: { ...body.garage, name: 'X' } })
      .expect(409);
  });
  test('rename against a revision, delete, bring back', async () => {
    const renamed = { revision: 1, garage: newGarage({ name: 'Renamed' }) };
    expect((await api().put(`/api/garages/${garage}`).send(renamed).expect(200)).body.revision).toBe(2);
    await api().put(`/api/garages/${garage}`).send(renamed).expect(200);
    const stale = await api()
      .put(`/api/garages/${garage}`)
      .send({ ...renamed, garage: { ...renamed.garage, name: 'Late' } })
      .expect(409);
    expect(stale.body.error).toMatchObject({ code: 'stale', theirs: { name: 'Renamed' } });
    await api().delete(`/api/garages/${garage}`).expect(200);
    await api().get(`/api/garages/${garage}`).expect(404);
    await api().post(`/api/garages/${garage}/restore`).expect(200);
    await api().get(`/api/garages/${garage}`).expect(200);
  });
});

describe('the garage file', () => {
  test('out and in again, byte for byte', async () => {
    const out = await api().get(`/api/garages/${DEMO_ID}/file`).expect(200);
    expect(out.text).toBe(writeGarageFile(demoGarage('worth', TODAY)));
    const copy = randomUUID();
    const send = () => api().put(`/api/garages/${copy}/file`).set('Content-Type', 'application/json').send(out.text);
    await send().expect(201);
    await send().expect(200);
    expect((await api().get(`/api/garages/${copy}/file`)).text).toBe(out.text);
    expect(readGarageFile(out.text).ok).toBe(true);
  });
  test('over an existing garage it is refused', async () => {
    const { body } = await api().put(`/api/garages/${garage}/file`).send(writeGarageFile(demoGarage())).expect(409);
    expect(body.error.code).toBe('exists');
  });
  test.each([
    ['truncated', writeGarageFile(demoGarage()).slice(0, 5000), 'not-json'],
    ['foreign', '{"type":"FeatureCollection","features":[]}', 'foreign'],
    ['nothing', '', 'not-json'],
    ['hostile numbers', writeGarageFile(demoGarage()).replace(/"mass": \d+/, '"mass": -1e999'), 'invalid'],
  ])('%s: nothing is changed and the answer says why', async (_what, text, code) => {
    const before = (await api().get('/api/garages')).body;
    const { body } = await api()
      .put(`/api/garages/${randomUUID()}/file`)
      .set('Content-Type', 'application/json')
      .send(text)
      .expect(422);
    expect(body.error.code).toBe(code);
    expect(body.error.message.length).toBeGreaterThan(10);
    expect((await api().get('/api/garages')).body).toEqual(before);
  });
  test('too large is cut off', async () => {
    const { body } = await api()
      .put(`/api/garages/${randomUUID()}/file`)
      .set('Content-Type', 'application/json')
      .send('x'.repeat(9 * 1024 * 1024))
      .expect(413);
    expect(body.error.code).toBe('too-large');
  });
});

describe('the edges', () => {
  test('broken JSON, unknown addresses, unknown tables', async () => {
    const broken = await api().post('/api/garages').set('Content-Type', 'application/json').send('{"id":').expect(400);
    expect(broken.body.error.code).toBe('not-json');
    expect((await api().get('/api/nowhere').expect(404)).body.error.code).toBe('no-such-address');
    expect((await put('wheels', { id: randomUUID() }).expect(404)).body.error.code).toBe('no-table');
    expect((await api().get('/api/garages/%E0%A4%A').expect(400)).body.error.message).toMatch(/\w/);
  });
  test('a page of another site cannot reach the server through the browser', async () => {
    expect((await api().get('/api/garages').set('Host', 'evil.example').expect(403)).body.error.code).toBe('foreign');
    await api().get('/api/garages').set('Origin', 'https://evil.example').expect(403);
    await api().get('/api/garages').set('Origin', 'null').expect(403);
    await api().get('/api/garages').set('Origin', running.url).expect(200);
  });
  test('security headers', async () => {
    const { headers } = await api().get('/api/garages');
    expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers['cache-control']).toBe('no-store');
  });
  test('a database that is gone makes it not ready, and start fails cleanly', async () => {
    const gone = await freshDatabase();
    const server = await start({ databaseUrl: gone.url, port: 0, demo: false });
    await gone.drop();
    const { body } = await request(server.url).get('/health/ready').expect(503);
    expect(body.error.code).toBe('not-ready');
    await server.stop();
    await expect(start({ databaseUrl: gone.url, port: 0 })).rejects.toThrow(/does not exist/);
  });
});

describe('instruments', () => {
  /** Opens a garage's stream and gathers what it says. */
  async function listen(url: string, id: string) {
    const stop = new AbortController();
    const response = await fetch(`${url}/api/garages/${id}/instruments`, { signal: stop.signal });
    expect(response.headers.get('content-type')).toMatch(/text\/event-stream/);
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    return {
      /** Reads on until so many signals are there. */
      signals: async (n: number) => {
        for (;;) {
          const all = [...text.matchAll(/^data: (.*)$/gm)].map((m) => JSON.parse(m[1]!) as unknown);
          if (all.length >= n) return all;
          const { value, done } = await reader.read();
          if (done) throw new Error('the stream ended');
          text += value;
        }
      },
      ended: async () => {
        for (;;) if ((await reader.read()).done) return true;
      },
      stop: () => stop.abort(),
    };
  }
  const signal = (seq: number, extra = {}) => ({
    instrument: 'scale',
    device: 'test scale',
    seq,
    value: 85,
    stable: true,
    ...extra,
  });
  const send = (body: unknown, id = garage, url = running.url) =>
    request(url)
      .post(`/api/garages/${id}/instruments`)
      .send(body as object);

  test('what a device sends reaches every page of its garage, and no other', async () => {
    const [one, two, other] = await Promise.all([
      listen(running.url, garage),
      listen(running.url, garage),
      listen(running.url, DEMO_ID),
    ]);
    await send(signal(0)).expect(202, { taken: 0 });
    await send(signal(1, { value: null, stable: false })).expect(202);
    await send(signal(7), DEMO_ID).expect(202);
    for (const page of [one, two])
      expect(await page.signals(2)).toEqual([signal(0), signal(1, { value: null, stable: false })]);
    expect(await other.signals(1)).toEqual([signal(7)]);
    for (const page of [one, two, other]) page.stop();
  });
  test('across two servers on one database', async () => {
    const second = await start({ databaseUrl: database.url, port: 0 });
    const page = await listen(second.url, garage);
    await send(signal(3)).expect(202);
    expect(await page.signals(1)).toEqual([signal(3)]);
    const ended = page.ended();
    await second.stop();
    expect(await ended).toBe(true);
  });
  test('when the database drops the line the page’s stream ends, and the next one works', async () => {
    const page = await listen(running.url, garage);
    const ended = page.ended();
    await running.db.raw(
      `select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'necessaire signals' and datname = current_database()`,
    );
    expect(await ended).toBe(true);
    const again = await listen(running.url, garage);
    await send(signal(9)).expect(202);
    expect(await again.signals(1)).toEqual([signal(9)]);
    again.stop();
  });
  test.each([
    [{ value: 'heavy' }, /value/],
    [{ seq: -1 }, /seq/],
    [{ instrument: 'ruler' }, /instrument/],
    [{ device: '' }, /device/],
    [{ more: 1 }, /./],
  ])('%j is refused', async (fault, path) => {
    const { body } = await send({ ...signal(0), ...fault }).expect(422);
    expect(`${body.error.path} ${body.error.message}`).toMatch(path);
  });
  test('a garage that is not there has no instruments', async () => {
    await send(signal(0), randomUUID()).expect(404);
    await api().get(`/api/garages/${randomUUID()}/instruments`).expect(404);
  });
});

test('ten thousand fasteners in one change, all or none', async () => {
  const b = bike();
  await put('bikes', b).expect(200);
  const many = Array.from({ length: 10_000 }, () => nut(b.id));
  const rows = many.map((row) => ({ table: 'fasteners', id: row.id, revision: 0, row }));
  const broken = rows.map((r, i) => (i === 9999 ? { ...r, row: { ...r.row, count: 0 } } : r));
  await change(broken).expect(422);
  expect((await whole()).document.fasteners).toHaveLength(0);
  await change(rows).expect(200);
  expect((await whole()).document.fasteners).toHaveLength(10_000);
});

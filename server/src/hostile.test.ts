import { randomUUID } from 'node:crypto';
import { connect as connectTo } from 'node:net';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import request from 'supertest';
import {
  cleaned,
  FILE_FORMAT,
  FILE_VERSION,
  newBike,
  newFastener,
  newGarage,
  newSupply,
  writeGarageFile,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { faultOf } from './db/faults.js';
import { start, type Running } from './start.js';
import { freshDatabase } from './testing/database.js';
import { builtReadFile } from './testing/readFile.js';

/** Requests in one run; more by hand: NECESSAIRE_FUZZ=4000 */
const RUNS = Number(process.env['NECESSAIRE_FUZZ'] ?? 400);

let database: Awaited<ReturnType<typeof freshDatabase>>;
let running: Running;
const garage = randomUUID();
const api = () => request.agent(running.url).set('Content-Type', 'application/json');

beforeAll(async () => {
  database = await freshDatabase();
  running = await start({ databaseUrl: database.url, port: 0, demo: false, readFile: await builtReadFile() });
  await api()
    .post('/api/garages')
    .send({ id: garage, garage: newGarage({ name: 'Mine' }) })
    .expect(201);
});
afterAll(async () => {
  await running.stop();
  await database.drop();
});

const bike = newBike(randomUUID(), 'Kestrel');
const nut = newFastener({ id: randomUUID(), bikeId: bike.id, head: { form: 'hex', size: '10' } });
const supply = newSupply({ id: randomUUID(), kind: 'patch', quantity: 1 });
const pin = { id: randomUUID(), bikeId: bike.id, placeId: randomUUID(), item: 'piece x 1' };
const edit = (...changes: unknown[]) => ({ since: 0, edits: [{ id: randomUUID(), label: 'x', changes }] });
const make = (table: string, row: { id: string }) => ({ kind: 'make', table, id: row.id, row });

/** Every route, with what it takes. */
const ROUTES: [method: 'get' | 'post' | 'put' | 'delete', path: string, body: unknown][] = [
  ['get', '/health/live', null],
  ['get', '/api/garages', null],
  ['post', '/api/garages', { id: randomUUID(), garage: newGarage({ name: 'New' }) }],
  ['get', `/api/garages/${garage}`, null],
  ['put', `/api/garages/${garage}`, { revision: 1, garage: newGarage({ name: 'Renamed' }) }],
  ['post', `/api/garages/${garage}/restore`, {}],
  ['post', `/api/garages/${garage}/edits`, edit(make('bikes', bike), make('fasteners', nut))],
  ['post', `/api/garages/${garage}/edits`, edit(make('supplies', supply))],
  ['post', `/api/garages/${garage}/edits`, edit(make('pins', pin))],
  [
    'post',
    `/api/garages/${garage}/edits`,
    edit({ kind: 'set', table: 'supplies', id: supply.id, base: 1, fields: [{ field: 'note', was: '', now: 'x' }] }),
  ],
  ['post', `/api/garages/${garage}/edits`, edit({ kind: 'delete', table: 'bikes', id: bike.id, base: 1, row: bike })],
  [
    'post',
    `/api/garages/${garage}/changes`,
    { changes: [{ table: 'supplies', id: supply.id, revision: 1, row: supply }] },
  ],
  ['put', `/api/garages/${garage}/fasteners/${nut.id}`, { revision: 1, row: nut }],
  ['delete', `/api/garages/${garage}/supplies/${supply.id}?revision=1`, {}],
  ['get', `/api/garages/${garage}/file`, null],
  ['put', `/api/garages/${randomUUID()}/file`, JSON.parse(writeGarageFile(demoGarage()))],
  [
    'post',
    `/api/garages/${garage}/instruments`,
    { instrument: 'calliper', device: 'x', seq: 1, value: 1, stable: true },
  ],
  ['get', '/api/nowhere', null],
];

/** What a hand, a broken page or an attacker may put in the place of any value. */
const nasty = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    '',
    'a\u0000b',
    '\ud800',
    'x\udc00y',
    '\ufffe\uffff',
    '\u202egnp.exe',
    '__proto__',
    '١٢',
    2 ** 31,
    -(2 ** 31) - 1,
    2 ** 53,
    1e308,
    -1,
    0.1,
    [],
    {},
    [[]],
    { __proto__: { a: 1 } },
    randomUUID(),
    garage,
    bike.id.toUpperCase(),
    'x'.repeat(5000),
  ),
  fc.string({ unit: 'binary' }),
  fc.jsonValue({ maxDepth: 3 }) as fc.Arbitrary<unknown>,
);
/** Puts a value somewhere into a body: steps lead down to where. */
function spoiled(body: unknown, steps: readonly number[], value: unknown, remove: boolean): unknown {
  if (typeof body !== 'object' || body === null || steps.length === 0) return value;
  const keys = Object.keys(body);
  if (keys.length === 0) return value;
  const key = keys[steps[0]! % keys.length]!;
  const copy = (Array.isArray(body) ? [...(body as unknown[])] : { ...body }) as Record<string, unknown>;
  if (remove && steps.length === 1) delete copy[key];
  else copy[key] = spoiled(copy[key], steps.slice(1), value, remove);
  return copy;
}

test('nothing that is sent to any route is answered with a fault of the server', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.nat(ROUTES.length - 1),
      fc.array(fc.nat(60), { minLength: 0, maxLength: 7 }),
      nasty,
      fc.boolean(),
      fc.option(fc.tuple(fc.nat(8), fc.string({ unit: 'binary', maxLength: 20 }))),
      async (at, steps, value, remove, address) => {
        const [method, path, body] = ROUTES[at]!;
        const parts = path.split('/');
        if (address) parts[address[0] % parts.length] = encodeURIComponent(cleaned(address[1]));
        const call = api()[method](parts.join('/').replace(/^(?!\/)/, '/'));
        const { status, text } =
          method === 'get' || body === null
            ? await call
            : await call.send(JSON.stringify(spoiled(body, steps, value, remove)));
        expect(`${status} ${status >= 500 ? text : ''}`).not.toMatch(/^5/);
      },
    ),
    { numRuns: RUNS },
  );
  await api().get('/health/ready').expect(200);
}, 120_000);

test('the same row twice in a batch, and the same import twice at once, are answered clearly', async () => {
  const s = newSupply({ id: randomUUID(), kind: 'patch', quantity: 1 });
  const twice = [
    { table: 'supplies', id: s.id, revision: 0, row: s },
    { table: 'supplies', id: s.id.toUpperCase(), revision: 1, row: { ...s, quantity: 2 } },
  ];
  const { body } = await api().post(`/api/garages/${garage}/changes`).send({ changes: twice }).expect(200);
  expect(body.revisions).toEqual([1, 1]);
  const id = randomUUID();
  const text = writeGarageFile(demoGarage());
  const answers = await Promise.all([1, 2, 3].map(() => api().put(`/api/garages/${id}/file`).send(text)));
  expect(answers.map((a) => a.status).every((s2) => s2 === 200 || s2 === 201)).toBe(true);
});

test('a file that was made to hurt is refused while everybody else is answered', async () => {
  const rows = (n: number) => `[${Array.from({ length: n }, () => '{}').join()}]`;
  const file = (bikes: string) =>
    `{"format":"${FILE_FORMAT}","version":1,"garage":{"name":"x"},"bikes":${bikes},"fasteners":[]}`;
  const nested = `{"format":"${FILE_FORMAT}","version":${FILE_VERSION},"garage":{"name":"x"},"trips":[{"legs":[${Array.from({ length: 60 }, () => rows(15_000)).join()}]}]}`;
  for (const text of [file(rows(2_700_000)), nested]) {
    const answer = api().put(`/api/garages/${randomUUID()}/file`).send(text);
    const healthy: number[] = [];
    let done = false;
    void answer.then(() => (done = true));
    while (!done) healthy.push((await request(running.url).get('/health/ready')).status);
    expect((await answer).status).toBe(422);
    expect(new Set(healthy)).toEqual(new Set([200]));
    expect(healthy.length).toBeGreaterThan(3);
  }
});

test('more large bodies at once than there is memory for are told to wait', async () => {
  const port = Number(new URL(running.url).port);
  const sockets = Array.from({ length: 30 }, () => connectTo(port, '127.0.0.1'));
  const head = `POST /api/garages/${garage}/edits HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: application/json\r\nContent-Length: ${15 * 1024 * 1024}\r\n\r\n{`;
  const busy = sockets.map(
    (s) =>
      new Promise<boolean>((resolve) => {
        s.on('data', (d) => resolve(d.toString().startsWith('HTTP/1.1 503')));
        s.on('error', () => resolve(true));
        s.write(head);
      }),
  );
  // All but four of them are answered though none of their bodies ever comes.
  let refused = 0;
  await new Promise<void>((resolve) => {
    for (const b of busy) void b.then((is) => is && ++refused >= 26 && resolve());
  });
  await api().get(`/api/garages/${garage}`).expect(200);
  for (const s of sockets) s.destroy();
  await api().get('/health/ready').expect(200);
});

test('a build that is gone is said without a path of this machine', async () => {
  const webRoot = mkdtempSync(join(tmpdir(), 'necessaire-web-'));
  writeFileSync(join(webRoot, 'index.html'), '<p>here</p>');
  const server = await start({
    databaseUrl: database.url,
    port: 0,
    demo: false,
    webRoot,
    readFile: await builtReadFile(),
  });
  expect((await request(server.url).get('/walk').expect(200)).text).toBe('<p>here</p>');
  rmSync(webRoot, { recursive: true });
  const { text } = await request(server.url).get('/walk').expect(404);
  expect(text).not.toContain(webRoot);
  expect(text).not.toContain('ENOENT');
  await server.stop();
});

test('what the database says in its own words is told as what to do', () => {
  const say = (code: string) =>
    faultOf(Object.assign(new Error('x'), { code, table: 'pins', constraint: 'pins_one_place' }));
  expect(say('53100')).toMatchObject({ status: 507, message: 'disk full: nothing was saved, free some space' });
  expect(say('23P01')).toMatchObject({ status: 409, fault: { path: 'pins.pins_one_place' } });
  expect(say('22P05')).toMatchObject({ status: 422 });
  for (const code of ['57P01', '08006', 'ECONNREFUSED']) expect(say(code)).toMatchObject({ status: 503 });
  expect(say('42P01')).toBeNull();
});

test('a page of another program on this machine cannot write, nor restore what was deleted', async () => {
  const id = randomUUID();
  await api()
    .post('/api/garages')
    .send({ id, garage: newGarage({ name: 'Gone' }) })
    .expect(201);
  await api().delete(`/api/garages/${id}`).expect(200);
  const restore = () => request(running.url).post(`/api/garages/${id}/restore`);
  expect((await restore().set('Origin', 'http://127.0.0.1:1').expect(403)).body.error.code).toBe('foreign');
  await restore().set('Content-Type', 'application/json').set('Sec-Fetch-Site', 'cross-site').expect(403);
  expect((await restore().expect(415)).body.error.code).toBe('not-json');
  await restore().type('form').send('a=b').expect(415);
  await api().get(`/api/garages/${id}`).expect(404);
  await restore().set('Content-Type', 'application/json').set('Origin', running.url).expect(200);
});

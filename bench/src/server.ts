/**
 * Writes a second: the server's mixed edits beside the least that an Express server with one insert does, in one run on one durable database.
 * npm run bench:server
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newBike, newFastener, newGarage, newSupply, type Change, type Edit, type Fastener } from '@necessaire/core';
import { privatePostgres } from '../../scripts/postgres.mjs';

const GARAGES = 10;
const SECONDS = 8;
const AT_ONCE = 16;
const RATE = 200;
const IMPORTED = 11_000;

const agent = new Agent({ keepAlive: true, maxSockets: 64 });
function post(url: string, body: unknown, method = 'POST'): Promise<{ status: number; text: string }> {
  const text = JSON.stringify(body);
  return new Promise((resolve, reject) => {
    const call = request(
      url,
      { method, agent, headers: { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) } },
      (res) => {
        let out = '';
        res.on('data', (d: Buffer) => (out += d.toString()));
        res.on('end', () => resolve({ status: res.statusCode ?? 0, text: out }));
      },
    );
    call.on('error', reject);
    call.end(text);
  });
}

async function serve(kind: 'real' | 'bare', databaseUrl: string): Promise<{ url: string; child: ChildProcess }> {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', join(import.meta.dirname, 'serving.ts'), kind, databaseUrl],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, NODE_ENV: 'production' },
    },
  );
  const url = await new Promise<string>((resolve) =>
    child.stdout.once('data', (d: Buffer) => resolve(d.toString().trim())),
  );
  return { url, child };
}

/** What riders do, mixed: mostly fields of fasteners, some new ones, some deleted, some counts of spares. */
class Riders {
  private readonly garages: {
    id: string;
    bikeId: string;
    rows: { row: Fastener; revision: number }[];
    supplies: { id: string; quantity: number }[];
    n: number;
  }[] = [];
  private turn = 0;
  async settle(url: string) {
    for (let i = 0; i < GARAGES; i++) {
      const [id, bike] = [randomUUID(), newBike(randomUUID(), 'Kestrel')];
      await post(`${url}/api/garages`, { id, garage: newGarage({ name: `Garage ${i}` }) });
      const rows = Array.from({ length: 80 }, () => ({ row: this.nut(bike.id), revision: 1 }));
      const supplies = Array.from({ length: 20 }, () => newSupply({ id: randomUUID(), kind: 'patch', quantity: 0 }));
      const make = (table: Change['table'], row: { id: string }): Change => ({
        kind: 'make',
        table,
        id: row.id,
        row: { ...row },
      });
      const edit: Edit = {
        id: randomUUID(),
        label: 'all',
        changes: [
          make('bikes', bike),
          ...supplies.map((s) => make('supplies', s)),
          ...rows.map((r) => make('fasteners', r.row)),
        ],
      };
      await this.must(post(`${url}/api/garages/${id}/edits`, { since: null, edits: [edit] }));
      this.garages.push({
        id,
        bikeId: bike.id,
        rows,
        supplies: supplies.map((s) => ({ id: s.id, quantity: 0 })),
        n: 0,
      });
    }
  }
  private nut = (bikeId: string) =>
    newFastener({ id: randomUUID(), bikeId, head: { form: 'hex', size: '10' }, name: 'Rack stay bolt' });
  private async must(answer: Promise<{ status: number; text: string }>) {
    const { status, text } = await answer;
    if (status !== 200 || !text.includes('"is":"done"')) throw new Error(`${status} ${text.slice(0, 300)}`);
  }
  /** One write. */
  async write(url: string): Promise<void> {
    const g = this.garages[this.turn++ % GARAGES]!;
    const what = this.turn % 10;
    let change: Change;
    if (what < 2) {
      const row = this.nut(g.bikeId);
      g.rows.push({ row, revision: 1 });
      change = { kind: 'make', table: 'fasteners', id: row.id, row: { ...row } };
    } else if (what === 2 && g.rows.length > 80) {
      const { row, revision } = g.rows.pop()!;
      change = { kind: 'delete', table: 'fasteners', id: row.id, base: revision, row: { ...row } };
    } else if (what === 3) {
      // One after another, so that no two on their way are of the same.
      const supply = g.supplies[g.n++ % g.supplies.length]!;
      const was = supply.quantity;
      supply.quantity = (was + 1) % 900;
      change = {
        kind: 'set',
        table: 'supplies',
        id: supply.id,
        base: 0,
        fields: [{ field: 'quantity', was, now: supply.quantity }],
      };
    } else {
      // One after another: no two on their way are of the same row.
      const at = g.rows[g.n++ % 80]!;
      const now = `Bolt ${this.turn}`;
      change = {
        kind: 'set',
        table: 'fasteners',
        id: at.row.id,
        base: at.revision,
        fields: [{ field: 'name', was: at.row.name, now }],
      };
      at.row = { ...at.row, name: now };
      at.revision++;
    }
    await this.must(
      post(`${url}/api/garages/${g.id}/edits`, {
        since: null,
        edits: [{ id: randomUUID(), label: 'x', changes: [change] }],
      }),
    );
  }
}

const quantile = (sorted: readonly number[], q: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

/** As many as go, some at once, each begun when one ends. @returns writes a second */
async function most(write: () => Promise<void>): Promise<number> {
  let [done, stop] = [0, false];
  const from = performance.now();
  setTimeout(() => (stop = true), SECONDS * 1000);
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      while (!stop) {
        await write();
        done++;
      }
    }),
  );
  return (done * 1000) / (performance.now() - from);
}
/** So many a second whatever the answers take. @returns ms to the answer, in rising order */
async function steady(write: () => Promise<void>): Promise<number[]> {
  const times: number[] = [];
  const all: Promise<void>[] = [];
  const from = performance.now();
  for (let i = 0; i < RATE * SECONDS; i++) {
    const due = from + (i * 1000) / RATE;
    const early = due - performance.now();
    if (early > 0) await new Promise((resolve) => setTimeout(resolve, early));
    // Counted from when it was due: a server that falls behind does not hide it.
    all.push(write().then(() => void times.push(performance.now() - due)));
  }
  await Promise.all(all);
  return times.sort((a, b) => a - b);
}

const folder = mkdtempSync(join(tmpdir(), 'necessaire-bench-'));
chmodSync(folder, 0o755);
const database = await privatePostgres(folder);
const children: ChildProcess[] = [];
try {
  const bare = await serve('bare', database.url);
  const real = await serve('real', database.url);
  children.push(bare.child, real.child);
  const row = newFastener({
    id: randomUUID(),
    bikeId: randomUUID(),
    head: { form: 'hex', size: '10' },
    name: 'Rack stay bolt',
  });
  const insert = async () => {
    const { status } = await post(bare.url, { id: randomUUID(), row });
    if (status !== 200) throw new Error(String(status));
  };
  const riders = new Riders();
  await riders.settle(real.url);
  const edit = () => riders.write(real.url);
  // Warm, then in turn, twice, so that both meet the same machine.
  for (const w of [insert, edit]) for (let i = 0; i < 300; i++) await w();
  const rates = { bare: 0, real: 0 };
  for (let i = 0; i < 2; i++) {
    rates.bare = Math.max(rates.bare, await most(insert));
    rates.real = Math.max(rates.real, await most(edit));
  }
  const times = { bare: await steady(insert), real: await steady(edit) };
  const line = (name: 'bare' | 'real') =>
    `${name.padEnd(6)}${rates[name].toFixed(0).padStart(10)}${quantile(times[name], 0.5).toFixed(1).padStart(12)}${quantile(times[name], 0.99).toFixed(1).padStart(12)}`;
  console.log(`        writes/s   p50 ms @${RATE}  p99 ms @${RATE}`);
  console.log(line('bare'));
  console.log(line('real'));
  console.log(`real takes ${(rates.bare / rates.real).toFixed(2)} times what the bare insert does`);
  const id = randomUUID();
  const bike = newBike(randomUUID(), 'Kestrel');
  await post(`${real.url}/api/garages`, { id, garage: newGarage({ name: 'Large' }) });
  const changes: Change[] = [{ kind: 'make', table: 'bikes', id: bike.id, row: { ...bike } }];
  for (let i = 0; i < IMPORTED; i++) {
    const f = newFastener({ id: randomUUID(), bikeId: bike.id, head: { form: 'hex', size: '10' }, name: `Bolt ${i}` });
    changes.push({ kind: 'make', table: 'fasteners', id: f.id, row: { ...f } });
  }
  const begun = performance.now();
  await post(
    `${bare.url}/many`,
    changes.slice(1).map((c) => c.kind === 'make' && c.row),
  );
  const least = performance.now() - begun;
  const from = performance.now();
  const { status } = await post(`${real.url}/api/garages/${id}/edits`, {
    since: null,
    edits: [{ id: randomUUID(), label: 'import', changes }],
  });
  const took = performance.now() - from;
  console.log(
    `${IMPORTED} fasteners in one edit: ${took.toFixed(0)} ms (${status}), ${(took / least).toFixed(2)} times the bare insert of them all, ${least.toFixed(0)} ms`,
  );
} finally {
  for (const c of children) c.kill('SIGTERM');
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
  agent.destroy();
}

import { randomUUID } from 'node:crypto';
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base } from '@playwright/test';
import { newSupply } from '@necessaire/core';
import { enter, expect, settled } from './fixtures';
import { freePort, privatePostgres, serverOn } from '../scripts/postgres.mjs';
import { saved } from './screen';

const root = join(import.meta.dirname ?? __dirname, '..');

/** What ./start runs once all is installed and built, in a folder of its own. */
class Starter {
  readonly folder = mkdtempSync(join(tmpdir(), 'necessaire-start-'));
  readonly cluster = join(this.folder, 'pg/cluster');
  private readonly children: ChildProcess[] = [];
  constructor(readonly port: number) {
    chmodSync(this.folder, 0o755);
  }
  /** Runs it until it says its address or ends. */
  run(env: Record<string, string> = {}): { child: ChildProcess; said: Promise<string>; ended: Promise<number | null> } {
    const child = spawn(process.execPath, [join(root, 'scripts/start.mjs')], {
      env: { ...process.env, NECESSAIRE_DATA: this.folder, PORT: String(this.port), ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.children.push(child);
    const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
    let text = '';
    const said = new Promise<string>((resolve) => {
      for (const out of [child.stdout, child.stderr])
        out.on('data', (d: Buffer) => {
          text += d.toString();
          if (/http:\/\//.test(text)) resolve(text);
        });
      void ended.then(() => resolve(text));
    });
    return { child, said, ended };
  }
  /** Processes of PostgreSQL that work in the folder. */
  get databases(): number {
    return readdirSync('/proc')
      .filter((p) => /^\d+$/.test(p))
      .filter((p) => {
        try {
          return readFileSync(`/proc/${p}/cmdline`, 'utf8').includes(this.cluster);
        } catch {
          return false;
        }
      }).length;
  }
  async clean() {
    for (const c of this.children) c.kill('SIGTERM');
    await expect.poll(() => this.databases).toBe(0);
    rmSync(this.folder, { recursive: true, force: true });
  }
}
const test = base.extend<{ starter: Starter }>({
  // eslint-disable-next-line no-empty-pattern
  starter: async ({}, use) => {
    const starter = new Starter(await freePort());
    await use(starter);
    await starter.clean();
  },
});

test('a database that dies is survived and said; starting again brings it back under the running server', async ({
  page,
  starter,
}) => {
  const first = starter.run();
  const url = /http:\/\/\S+/.exec(await first.said)![0];
  await page.goto(`${url}/walk`);
  await settled(page);
  process.kill(serverOn(starter.cluster)!.pid, 'SIGKILL');
  await expect.poll(() => serverOn(starter.cluster)).toBeNull();
  await enter(page, '13 long bolt');
  await expect(page.getByRole('alert')).toContainText('the database does not answer');
  expect((await fetch(`${url}/health/live`)).status).toBe(200);
  expect((await fetch(`${url}/health/ready`)).status).toBe(503);
  const second = starter.run();
  expect(await second.said).toContain(`Necessaire already runs: ${url}`);
  expect(await second.ended).toBe(0);
  await expect(saved(page)).toHaveText('Saved');
  await expect(page.getByRole('alert')).toHaveCount(0);
  first.child.kill('SIGINT');
  expect(await first.ended).toBe(0);
  expect(starter.databases).toBe(0);
});

test('two at once: one runs, the other says where, and neither takes the other down', async ({ starter }) => {
  const [a, b] = [starter.run(), starter.run()];
  const said = [await a.said, await b.said].sort();
  expect(said).toEqual([
    `Necessaire already runs: http://127.0.0.1:${starter.port}\n`,
    `Necessaire: http://127.0.0.1:${starter.port}\n`,
  ]);
  await Promise.race([a.ended, b.ended]);
  expect((await fetch(`http://127.0.0.1:${starter.port}/health/ready`)).status).toBe(200);
  const runs = (await a.said).startsWith('Necessaire:') ? a : b;
  runs.child.kill('SIGHUP');
  expect(await runs.ended).toBe(0);
  expect(starter.databases).toBe(0);
});

test('a number in an old file that belongs to another process is left alone, and nothing is waited for', async ({
  starter,
}) => {
  const one = starter.run();
  await one.said;
  one.child.kill('SIGTERM');
  await one.ended;
  const innocent = spawn('sleep', ['600'], { stdio: 'ignore' });
  let killed = false;
  innocent.on('close', () => (killed = true));
  const pid = innocent.pid!;
  writeFileSync(
    join(starter.cluster, 'postmaster.pid'),
    `${pid}\n${starter.cluster}\n1700000000\n5999\n\n127.0.0.1\n 1 2\nready\n`,
  );
  const state = { pid, started: 1, url: `http://127.0.0.1:${starter.port}`, databasePort: 5999 };
  writeFileSync(join(starter.folder, 'running.json'), JSON.stringify(state));
  writeFileSync(join(starter.folder, 'starting.lock'), JSON.stringify({ pid, started: 1 }));
  const two = starter.run();
  expect(await two.said).toBe(`Necessaire: http://127.0.0.1:${starter.port}\n`);
  two.child.kill('SIGTERM');
  expect(await two.ended).toBe(0);
  expect(killed).toBe(false);
  innocent.kill();
});

test('a signal at any moment leaves nothing behind, and what is given empty is not given', async ({ starter }) => {
  for (const state of ['started', 'cluster', 'database', 'up'] as const) {
    const one = starter.run({ DATABASE_URL: '', LOG_LEVEL: '', LOG_FILE: '' });
    if (state === 'cluster') await expect.poll(() => readdirSync(starter.folder).length).toBeGreaterThan(0);
    if (state === 'database') await expect.poll(() => starter.databases).toBeGreaterThan(0);
    if (state === 'up') await one.said;
    one.child.kill('SIGTERM');
    await one.ended;
    expect(starter.databases, state).toBe(0);
    expect(readdirSync(starter.folder).filter((f) => /running|starting|making/.test(f))).toEqual([]);
  }
});

test('what was acknowledged outlives a database that is killed in the middle, once', async ({ starter }) => {
  const one = starter.run();
  const url = /http:\/\/\S+/.exec(await one.said)![0];
  const { garages } = (await (await fetch(`${url}/api/garages`)).json()) as { garages: { id: string }[] };
  const at = `${url}/api/garages/${garages[0]!.id}`;
  const acknowledged = new Set<string>();
  const port = serverOn(starter.cluster)!.port;
  for (let round = 0; round < 3; round++) {
    let dead = false;
    const write = async () => {
      while (!dead) {
        const row = newSupply({ id: randomUUID(), kind: 'patch', quantity: 1 });
        const edit = { id: randomUUID(), label: 'x', changes: [{ kind: 'make', table: 'supplies', id: row.id, row }] };
        try {
          const answer = await fetch(`${at}/edits`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ since: null, edits: [edit, edit] }),
          });
          if (answer.ok && (await answer.text()).includes('"done"')) acknowledged.add(row.id);
          else if (answer.status >= 500) dead = true;
        } catch {
          dead = true;
        }
      }
    };
    const before = acknowledged.size;
    const writing = [1, 2, 3, 4].map(write);
    await expect.poll(() => acknowledged.size).toBeGreaterThan(before + 20);
    process.kill(serverOn(starter.cluster)!.pid, 'SIGKILL');
    await Promise.all(writing);
    await expect.poll(() => starter.databases).toBe(0);
    await privatePostgres(starter.folder, port);
    await expect.poll(async () => (await fetch(`${url}/health/ready`)).status).toBe(200);
  }
  const { document } = (await (await fetch(at)).json()) as { document: { supplies: { id: string }[] } };
  const ids = document.supplies.map((s) => s.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect([...acknowledged].filter((id) => !ids.includes(id))).toEqual([]);
});

test('a log that cannot be written costs lines, not the app', async ({ starter }) => {
  const one = starter.run({ LOG_FILE: '/dev/full' });
  const url = /http:\/\/\S+/.exec(await one.said)![0];
  for (let i = 0; i < 50; i++) expect((await fetch(`${url}/api/garages`)).status).toBe(200);
  one.child.kill('SIGTERM');
  expect(await one.ended).toBe(0);
});

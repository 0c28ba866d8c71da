/** Starts the private PostgreSQL and the server, prints the address, and stops both on Ctrl-C. */
import { closeSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { start } from '../dist/server/index.mjs';
import { logInto } from './log.mjs';
import { dataFolder, freePort, privatePostgres, startedAt } from './postgres.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
// What is given empty is not given.
const given = (name) => process.env[name]?.trim() || null;
const usualPort = Number(given('PORT') ?? 7380);
const ownDatabase = given('DATABASE_URL');
const folder = dataFolder(root);
const stateFile = join(folder, 'running.json');
const lockFile = join(folder, 'starting.lock');
/** How long another ./start may take until it is up, and a database until it answers again. */
const PATIENCE_MS = 60_000;

const say = (line) => console.log(line);
const ready = async (url, path = 'ready') => {
  try {
    return (await fetch(`${url}/health/${path}`, { signal: AbortSignal.timeout(3000) })).ok;
  } catch {
    return false;
  }
};
/** A process is the one that wrote a file only if it started when the file says. */
const isStill = ({ pid, started }) => {
  const now = startedAt(pid);
  return now !== null && Math.abs(now - started) < 2;
};
const self = { pid: process.pid, started: startedAt(process.pid) };
function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}
/** Files are there whole or not at all. */
function write(file, value) {
  writeFileSync(`${file}.${process.pid}`, JSON.stringify(value));
  renameSync(`${file}.${process.pid}`, file);
}

/** A server that another ./start of this folder runs: its address once it answers, its database brought back where that is gone. */
async function alreadyRunning() {
  const state = read(stateFile);
  if (!state || !isStill(state) || !(await ready(state.url, 'live'))) return null;
  if (await ready(state.url)) return state.url;
  if (state.databasePort) {
    say('The database does not answer: starting it again …');
    await privatePostgres(folder, state.databasePort);
  }
  for (let waited = 0; waited < PATIENCE_MS; waited += 500) {
    if (await ready(state.url)) return state.url;
    await sleep(500);
  }
  throw new Error(`Necessaire runs at ${state.url}, but its database does not answer: look into ${folder}`);
}

/** Takes the right to start in this folder, or waits for whoever has it. @returns the address of the other's server, or null */
async function takeTurn() {
  mkdirSync(folder, { recursive: true });
  for (let waited = 0; ; waited += 200) {
    try {
      const file = openSync(lockFile, 'wx');
      writeFileSync(file, JSON.stringify(self));
      closeSync(file);
      // Whoever had it before may have come up in between.
      const other = await alreadyRunning();
      if (other) giveTurn();
      return other;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    const running = await alreadyRunning();
    if (running) return running;
    const holder = read(lockFile);
    // Empty for a moment while it is being written.
    if (holder ? !isStill(holder) : waited > 2000) rmSync(lockFile, { force: true });
    else if (waited > PATIENCE_MS) throw new Error(`another ./start has not come up yet: look into ${folder}`);
    else await sleep(200);
  }
}
const giveTurn = () => {
  if (read(lockFile)?.pid === process.pid) rmSync(lockFile, { force: true });
};

let stopping = null;
let postgres = null;
let app = null;
let logs = null;
/** Stops what this process started, also what is still starting. */
function stop(code) {
  stopping ??= (async () => {
    await (await app?.catch(() => null))?.stop();
    if (read(stateFile)?.pid === process.pid) rmSync(stateFile, { force: true });
    await (await postgres?.catch(() => null))?.stop();
    giveTurn();
    logs?.end();
    process.exit(code);
  })();
  return stopping;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

try {
  if (!Number.isInteger(usualPort) || usualPort < 0 || usualPort > 65_535)
    throw new Error(`PORT must be a number up to 65535, not "${given('PORT')}"`);
  const running = ownDatabase ? null : ((await alreadyRunning()) ?? (await takeTurn()));
  if (running) {
    say(`Necessaire already runs: ${running}`);
    process.exit(0);
  }
  if (!ownDatabase && !stopping) postgres = privatePostgres(folder);
  const database = await postgres;
  if (!stopping) {
    logs = logInto(given('LOG_FILE') ?? join(folder, 'server.log'), given('LOG_LEVEL') ?? 'info');
    const options = {
      databaseUrl: ownDatabase ?? database.url,
      webRoot: join(root, 'dist/web'),
      log: logs.log,
    };
    app = start({ ...options, port: usualPort }).catch(async (error) => {
      if (error.code !== 'EADDRINUSE') throw error;
      return start({ ...options, port: await freePort() });
    });
    const { url } = await app;
    if (!ownDatabase && !stopping) write(stateFile, { ...self, url, databasePort: database.port });
    giveTurn();
    if (!stopping) say(`Necessaire: ${url}`);
  }
} catch (error) {
  if (!stopping) {
    console.error(error.message);
    await stop(1);
  }
}

/** Starts the private PostgreSQL and the server, prints the address, and stops both on Ctrl-C. */
import { existsSync, readFileSync, rmSync, writeFileSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { dataFolder, freePort, privatePostgres } from './postgres.mjs';
import { pino, start } from '../dist/server/index.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const USUAL_PORT = Number(process.env.PORT ?? 7380);
const folder = dataFolder(root);
const stateFile = join(folder, 'running.json');

/** Address of a server that another ./start of this folder runs, or null. */
async function alreadyRunning() {
  if (process.env.DATABASE_URL || !existsSync(stateFile)) return null;
  try {
    const { pid, url } = JSON.parse(readFileSync(stateFile, 'utf8'));
    process.kill(pid, 0);
    const answer = await fetch(`${url}/health/live`, { signal: AbortSignal.timeout(2000) });
    return answer.ok ? url : null;
  } catch {
    return null;
  }
}

const running = await alreadyRunning();
if (running) {
  console.log(`Necessaire already runs: ${running}`);
  process.exit(0);
}

let stopping = null;
let postgres = null;
let app = null;
async function stop(code) {
  stopping ??= (async () => {
    await app?.stop();
    rmSync(stateFile, { force: true });
    await postgres?.stop();
    process.exit(code);
  })();
  return stopping;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

try {
  if (!process.env.DATABASE_URL) postgres = await privatePostgres(folder);
  const databaseUrl = process.env.DATABASE_URL ?? postgres.url;
  const log = pino(
    { level: process.env.LOG_LEVEL ?? 'info' },
    pino.destination({ dest: process.env.LOG_FILE ?? join(folder, 'server.log'), mkdir: true, sync: false }),
  );
  const options = { databaseUrl, webRoot: join(root, 'dist/web'), log };
  try {
    app = await start({ ...options, port: USUAL_PORT });
  } catch (error) {
    if (error.code !== 'EADDRINUSE') throw error;
    app = await start({ ...options, port: await freePort() });
  }
  mkdirSync(folder, { recursive: true });
  writeFileSync(stateFile, JSON.stringify({ pid: process.pid, url: app.url }));
  console.log(`Necessaire: ${app.url}`);
} catch (error) {
  console.error(error.message);
  await stop(1);
}

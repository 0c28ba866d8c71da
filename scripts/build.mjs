/** Builds the pages and the server. With --if-changed only when a source is newer than the last build. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = join(root, 'dist/.built');
const SOURCES = ['core', 'solver', 'demo', 'server', 'web', 'scripts/build.mjs', 'package-lock.json'];

function newest(path) {
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return readdirSync(path)
    .filter((name) => name !== 'node_modules' && name !== 'dist')
    .reduce((max, name) => Math.max(max, newest(join(path, name))), info.mtimeMs);
}

const upToDate = () => existsSync(stamp) && SOURCES.every((s) => newest(join(root, s)) < statSync(stamp).mtimeMs);

if (!(process.argv.includes('--if-changed') && upToDate())) {
  console.log('Building …');
  await build({
    entryPoints: { index: join(root, 'server/src/index.ts'), readFile: join(root, 'server/src/reader/readFile.ts') },
    outdir: join(root, 'dist/server'),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [
      {
        // Our own workspaces go into the bundle, packages from npm stay outside.
        name: 'packages-outside',
        setup(b) {
          b.onResolve({ filter: /^[^./]/ }, (args) =>
            args.path.startsWith('@necessaire/') || args.kind === 'entry-point'
              ? undefined
              : { path: args.path, external: true },
          );
        },
      },
    ],
  });
  const vite = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    {
      cwd: join(root, 'web'),
      stdio: 'inherit',
    },
  );
  if (vite.status !== 0) process.exit(vite.status ?? 1);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, new Date().toISOString());
}

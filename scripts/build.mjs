/** Builds the pages and the server. With --if-changed only when a source is newer than the last build. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
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
  // Packed once here, as small as it gets, rather than at each request.
  const assets = join(root, 'dist/web/assets');
  const packed = readdirSync(assets).filter((f) => /\.(?:js|css|svg|wasm)$/.test(f));
  await Promise.all(
    packed.map(async (f) => {
      const all = readFileSync(join(assets, f));
      // What is large and loaded behind the first view need not be the very smallest.
      const quality = all.length > 300_000 ? 9 : 11;
      const small = await promisify(brotliCompress)(all, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } });
      writeFileSync(join(assets, `${f}.br`), small);
    }),
  );
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, new Date().toISOString());
}

import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';

/** The thread that reads files, built for a test as `npm run build` builds it. */
export async function builtReadFile(): Promise<URL> {
  const outfile = join(import.meta.dirname, `../../../node_modules/.cache/necessaire/readFile-${process.pid}.mjs`);
  await build({
    entryPoints: [join(import.meta.dirname, '../reader/readFile.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'warning',
  });
  return pathToFileURL(outfile);
}

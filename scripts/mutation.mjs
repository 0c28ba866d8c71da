/**
 * Mutation tests of core by folder: each small fault that is put in must be noticed by a test of that folder. Prints survivors, and writes the
 * table of docs/tests.md. `npm run mutation` for all, `npm run mutation -- air load` for some.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname ?? new URL('.', import.meta.url).pathname, '..');
/** Folders whose faults matter most, and the share of mutants that their tests have to kill. */
const LEAST = { fit: 85, chains: 85, cover: 85, odds: 85, air: 85, load: 85, kit: 85, optimum: 85, mends: 85 };
/** Texts of repairs and tables are data, read by eye and by the tests of the vocabulary. */
const DATA = new Set(
  `mends/wheels mends/loose mends/fall mends/drive mends/electrics mends/engine mends/people mends/services mends/faults mends/prevention mends/words
   walk/looks tools/catalogue tools/shelf tools/sets supplies/kinds stow/usual testing`.split(/\s+/),
);
/** Tests of other folders that speak of this one. */
const ALSO = { coverage: ['walk'], due: ['odds'], units: ['bike'], csv: ['walk'] };

const src = join(root, 'core/src');
const folders = readdirSync(src, { withFileTypes: true })
  .filter((d) => d.isDirectory() && d.name !== 'testing')
  .map((d) => d.name);
const asked = process.argv.slice(2);
const out = join(root, 'reports', 'mutation');
mkdirSync(out, { recursive: true });

for (const folder of asked.length > 0 ? asked : folders) {
  const config = join(out, `${folder}.config.json`);
  const report = join(out, `${folder}.json`);
  rmSync(report, { force: true });
  const tests = [folder, ...(ALSO[folder] ?? [])].map((f) => `<rootDir>/core/src/${f}/**/*.test.ts`);
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'jest',
      testRunnerNodeArgs: ['--experimental-vm-modules', '--no-warnings'],
      coverageAnalysis: 'perTest',
      mutate: [
        `core/src/${folder}/**/*.ts`,
        `!core/src/${folder}/**/*.test.ts`,
        `!core/src/${folder}/**/index.ts`,
        ...[...DATA].filter((d) => d.startsWith(`${folder}/`)).map((d) => `!core/src/${d}.ts`),
      ],
      // Words on screen are no arithmetic: what they say is held by the tests that read them.
      mutator: { excludedMutations: ['StringLiteral'] },
      jest: {
        projectType: 'custom',
        config: {
          ...(await import(join(root, 'jest.config.js'))).default,
          roots: ['<rootDir>/core'],
          testMatch: tests,
        },
        enableFindRelatedTests: false,
      },
      concurrency: 2,
      reporters: ['clear-text', 'json'],
      clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
      jsonReporter: { fileName: report },
      ignorePatterns: ['dist', 'docs', 'e2e', 'web', 'server', 'reports'],
      tempDirName: '.stryker-tmp',
      timeoutMS: 5_000,
      ignoreStatic: true,
    }),
  );
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', config],
    {
      cwd: root,
      stdio: 'inherit',
    },
  );
  if (status !== 0 || !existsSync(report)) {
    console.error(`${folder}: the mutation run failed`);
    process.exitCode = 1;
  }
}

/** Killed, survived and without any test, by folder, of all reports that there are. */
const rows = folders.flatMap((folder) => {
  const file = join(out, `${folder}.json`);
  if (!existsSync(file)) return [];
  const counts = { Killed: 0, Timeout: 0, Survived: 0, NoCoverage: 0 };
  for (const { mutants } of Object.values(JSON.parse(readFileSync(file, 'utf8')).files))
    for (const { status } of mutants) if (status in counts) counts[status]++;
  const killed = counts.Killed + counts.Timeout;
  const all = killed + counts.Survived + counts.NoCoverage;
  const share = all > 0 ? (100 * killed) / all : 100;
  const least = LEAST[folder] ?? 75;
  if (share < least) process.exitCode = 1;
  return [{ folder, all, killed, uncovered: counts.NoCoverage, share, least }];
});
console.log('folder       mutants  killed  no test   share  wanted');
for (const r of rows)
  console.log(
    `${r.folder.padEnd(12)} ${String(r.all).padStart(7)} ${String(r.killed).padStart(7)} ${String(r.uncovered).padStart(8)}  ${r.share.toFixed(1).padStart(5)} %  ${r.least} %`,
  );

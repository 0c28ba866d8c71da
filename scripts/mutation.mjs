/**
 * Mutation tests of core by folder: each small fault that is put in must be noticed by a test of that folder. Prints survivors, and writes the
 * table of docs/tests.md. `npm run mutation` for all, `npm run mutation -- trip/air stow/load` for some, `-- --every 4` for a sample: each fourth
 * function of a folder, by its place in a fixed shuffle (`--from 1` takes the next ones).
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const root = join(import.meta.dirname ?? new URL('.', import.meta.url).pathname, '..');
/** Folders whose faults matter most, and the share of mutants that their tests have to kill. */
const LEAST = Object.fromEntries(
  [
    'bike/fit',
    'toolbox/chains',
    'toolbox/cover',
    'trip/odds',
    'trip/air',
    'stow/load',
    'kit',
    'kit/optimum',
    'kit/told',
    'repairs',
  ].map((folder) => [folder, 85]),
);
/** Texts of repairs and tables are data, read by eye and by the tests of the vocabulary. */
const DATA = new Set(
  `repairs/wheels repairs/brakes repairs/loose repairs/fall repairs/drive repairs/electrics repairs/engine repairs/people repairs/services
   repairs/faultSearches repairs/prevention repairs/words repairs/supplies/kinds bike/walk/looks toolbox/kinds/things
   toolbox/tools/sets toolbox/line/words bike/line/words repairs/line/words stow/usual`.split(/\s+/),
);
/** Tests of other folders that speak of this one. */
const ALSO = {
  'ground/line': ['bike/line', 'repairs/line'],
  'toolbox/line': ['repairs/line'],
  'toolbox/kinds': ['toolbox/line', 'toolbox/tools'],
  'toolbox/coverage': ['bike/walk'],
  'trip/services': ['trip/odds'],
  ground: ['garage'],
  bike: ['bike/line', 'bike/walk'],
  'ground/sizes': ['ground/line', 'bike/fit'],
  'garage/sync': ['garage'],
  'ground/units': ['bike'],
  'ground/csv': ['garage/csv', 'bike/walk'],
  'garage/csv': ['bike/walk'],
  'prove/checks': ['prove'],
};

const src = join(root, 'core/src');
/** Every folder of core that holds code, by its path from core/src. */
const foldersIn = (at) => {
  const entries = readdirSync(join(src, at), { withFileTypes: true });
  const own = at && entries.some((e) => e.name.endsWith('.ts')) ? [at] : [];
  return [...own, ...entries.filter((e) => e.isDirectory()).flatMap((e) => foldersIn(at ? `${at}/${e.name}` : e.name))];
};
const folders = foldersIn('').filter((f) => f !== 'testing');
const fileOf = (folder) => folder.replaceAll('/', '-');
const asked = process.argv.slice(2);
const option = (name, otherwise) => {
  const at = asked.indexOf(name);
  return at < 0 ? otherwise : Number(asked.splice(at, 2)[1]);
};
const every = option('--every', 1);
const from = option('--from', 0);
/** A number for a name, the same on every machine. */
const shuffled = (name) => {
  let h = 2166136261;
  for (const c of name) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return (h ^ (h >>> 15)) >>> 0;
};
const isCode = (file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== 'index.ts';
/** What of a folder is mutated: its files, or of a sample the lines of every so many of their functions. */
const mutated = (folder) => {
  const files = readdirSync(join(src, folder)).filter(
    (f) => isCode(f) && !DATA.has(`${folder}/${f.slice(0, -'.ts'.length)}`),
  );
  if (every === 1) return files.map((f) => `core/src/${folder}/${f}`);
  const parts = files.flatMap((f) => {
    const path = `core/src/${folder}/${f}`;
    const tree = ts.createSourceFile(f, readFileSync(join(root, path), 'utf8'), ts.ScriptTarget.Latest, true);
    const line = (position) => tree.getLineAndCharacterOfPosition(position).line + 1;
    return tree.statements
      .filter((s) => ts.isFunctionDeclaration(s) || ts.isVariableStatement(s) || ts.isClassDeclaration(s))
      .map((s) => ({ path, lines: `${line(s.getStart())}-${line(s.end)}`, text: s.getText().slice(0, 80) }));
  });
  return parts
    .sort((a, b) => shuffled(`${a.path}${a.text}`) - shuffled(`${b.path}${b.text}`))
    .filter((_, i) => i % every === from)
    .map((p) => `${p.path}:${p.lines}`);
};
const out = join(root, 'reports', 'mutation');
mkdirSync(out, { recursive: true });

for (const folder of asked.length > 0 ? asked : folders) {
  const config = join(out, `${fileOf(folder)}.config.json`);
  const report = join(out, `${fileOf(folder)}.json`);
  rmSync(report, { force: true });
  const tests = [folder, ...(ALSO[folder] ?? [])].flatMap((f) =>
    readdirSync(join(src, f))
      .filter((name) => name.endsWith('.test.ts'))
      .map((name) => `core/src/${f}/${name}`),
  );
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'bundles',
      plugins: [join(root, 'scripts/mutationRunner.mjs')],
      bundles: { tests },
      testRunnerNodeArgs: ['--no-warnings'],
      coverageAnalysis: 'perTest',
      mutate: mutated(folder),
      // Words on screen are no arithmetic: what they say is held by the tests that read them.
      mutator: { excludedMutations: ['StringLiteral'] },
      concurrency: 2,
      reporters: ['clear-text', 'progress-append-only', 'json'],
      clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
      jsonReporter: { fileName: report },
      ignorePatterns: ['dist', 'docs', 'e2e', 'web', 'server', 'reports'],
      tempDirName: '.stryker-tmp',
      timeoutMS: 15_000,
      // The files of tests are an option of our own runner.
      warnings: { unknownOptions: false },
      ignoreStatic: true,
    }),
  );
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/@stryker-mutator/core/bin/stryker.js'), 'run', config],
    {
      cwd: root,
      stdio: 'inherit',
      // A fault that only a test of seconds notices counts as one that nobody does.
      env: { ...process.env, NECESSAIRE_QUICK: '1' },
    },
  );
  if (status !== 0 || !existsSync(report)) {
    console.error(`${folder}: the mutation run failed`);
    process.exitCode = 1;
  }
}

/** Killed, survived and without any test, by folder, of all reports that there are. */
const rows = folders.flatMap((folder) => {
  const file = join(out, `${fileOf(folder)}.json`);
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
console.log('folder             mutants  killed  no test   share  wanted');
for (const r of rows)
  console.log(
    `${r.folder.padEnd(18)} ${String(r.all).padStart(7)} ${String(r.killed).padStart(7)} ${String(r.uncovered).padStart(8)}  ${r.share.toFixed(1).padStart(5)} %  ${r.least} %`,
  );

/**
 * Format check, lint, types, unit and server tests, browser tests. Ends on "N passed, N failed". Of the browser tests the paths that every change
 * must leave whole; all of them, and what core's functions say of themselves, with `./test all`, as continuous integration does.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { throwAwayPostgres } from './postgres.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const scratch = mkdtempSync(join(tmpdir(), 'necessaire-results-'));
const PARTS = ['format', 'lint', 'docs', 'types', 'unit', 'browser'];
const said = process.argv.slice(2);
const all = said.includes('all');
const only = said.filter((word) => word !== 'all');
for (const word of only)
  if (!PARTS.includes(word)) {
    console.error(`there is no part "${word}": say ${PARTS.join(', ')}, or all`);
    process.exit(2);
  }
let passed = 0;
let failed = 0;
let postgres = null;
const children = new Set();

async function clean() {
  for (const child of children) child.kill('SIGTERM');
  await postgres?.stop();
  rmSync(scratch, { recursive: true, force: true });
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => void clean().then(() => process.exit(130)));

/** How long one part may take on the slowest machine, ms. */
const MOST_MS = 75 * 60_000;
const run = (args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    children.add(child);
    // A runner that hangs is a failure, not a run without an end.
    const limit = setTimeout(() => child.kill('SIGKILL'), MOST_MS);
    child.on('close', (code) => {
      clearTimeout(limit);
      children.delete(child);
      resolve(code ?? 1);
    });
  });
/** TypeScript as plain modules. */
const JEST_OPTIONS = `--import ${pathToFileURL(join(root, 'scripts/jest/load.mjs'))} --no-warnings`;
const bin = (path) => join(root, 'node_modules', path);
/** What was found the last time, by the content of the files: a run after a small change is quick. A fresh clone has none of it, and looks at all. */
const cache = (name) => join(root, 'node_modules/.cache/necessaire', name);
const known = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', cache(name)];
const built = (name) => ['--incremental', '--tsBuildInfoFile', cache(name)];
const count = (ok) => (ok ? passed++ : failed++);
const wanted = (name) => only.length === 0 || only.includes(name);

async function check(name, part, [program, ...args]) {
  if (!wanted(part)) return;
  const from = Date.now();
  const ok = (await run([bin(program), ...args])) === 0;
  count(ok);
  console.log(`${ok ? 'ok    ' : 'FAILED'} ${name} (${((Date.now() - from) / 1000).toFixed(1)} s)`);
}

/** What failed, in a few lines each: they stand at the end, where a log that is cut off is read. */
const faults = [];
const brief = (title, message) =>
  faults.push(
    `✗ ${title}\n${message
      .replace(/\u001b\[[0-9;]*m/gu, '')
      .split('\n')
      .filter((line) => line.trim() !== '')
      .slice(0, 8)
      .map((line) => `    ${line.trim().slice(0, 200)}`)
      .join('\n')}`,
  );
const jestFaults = (r) => {
  for (const file of r.testResults)
    for (const t of file.assertionResults) if (t.status === 'failed') brief(t.fullName, t.failureMessages.join('\n'));
};
const browserFaults = (suites) => {
  for (const suite of suites ?? []) {
    browserFaults(suite.suites);
    for (const spec of suite.specs)
      for (const t of spec.tests)
        for (const { error } of t.results)
          if (error)
            brief(`[${t.projectName}] ${spec.file}:${spec.line} ${spec.title}`, error.message ?? String(error.value));
  }
};

/** Adds a runner's own counts; a runner that ends badly without any failed test, or that ran none, counts as one failure. */
async function tests(name, args, env, file, read) {
  if (!wanted(name.split(',')[0])) return;
  const code = await run(args, env);
  const report = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
  const counts = report ? read(report) : { passed: 0, failed: 0 };
  if (report?.testResults) jestFaults(report);
  else if (report) browserFaults(report.suites);
  passed += counts.passed;
  failed += counts.failed;
  if ((code !== 0 && counts.failed === 0) || counts.passed + counts.failed === 0) failed++;
  console.log(`${code === 0 ? 'ok    ' : 'FAILED'} ${name}: ${counts.passed} passed, ${counts.failed} failed`);
}

try {
  // Two at a time, the long ones first: each of them keeps one core busy.
  const checks = [
    () =>
      check('types of the views', 'types', ['vue-tsc/bin/vue-tsc.js', '-p', 'web/tsconfig.json', ...built('views')]),
    () => check('lint', 'lint', ['eslint/bin/eslint.js', '.', '--max-warnings', '0', ...known('lint')]),
    () => check('types', 'types', ['typescript/bin/tsc', '-p', 'tsconfig.json', ...built('types')]),
    () =>
      check('format', 'format', [
        'prettier/bin/prettier.cjs',
        '--check',
        '--log-level',
        'warn',
        '.',
        ...known('format'),
      ]),
    // What core's functions say of themselves: each parameter by its name, each type that they speak of told.
    () => (all || only.includes('docs') ? check('docs', 'docs', ['typedoc/bin/typedoc', '--emit', 'none']) : undefined),
  ];
  const some = async () => {
    for (let next = checks.shift(); next; next = checks.shift()) await next();
  };
  await Promise.all([some(), some()]);
  if (wanted('unit') || wanted('browser')) {
    postgres = await throwAwayPostgres();
    const env = { TEST_DATABASE_URL: postgres.url, NODE_OPTIONS: JEST_OPTIONS };
    const jest = join(scratch, 'jest.json');
    await tests('unit', [bin('jest/bin/jest.js'), '-w', '2', '--json', `--outputFile=${jest}`], env, jest, (r) => ({
      passed: r.numPassedTests,
      failed: r.numFailedTests,
    }));
    if (wanted('browser') && (await run([join(root, 'scripts/build.mjs'), '--if-changed'])) !== 0)
      throw new Error('the build failed');
    const report = join(scratch, 'playwright.json');
    await tests(
      all ? 'browser' : 'browser, the everyday paths (the rest: ./test all)',
      [bin('@playwright/test/cli.js'), 'test', '--config', 'e2e/playwright.config.ts'],
      {
        TEST_DATABASE_URL: postgres.url,
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
        NECESSAIRE_EVERYDAY: all ? '0' : '1',
      },
      report,
      (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected + r.stats.flaky }),
    );
  }
} catch (error) {
  console.error(error);
  failed++;
} finally {
  await clean();
}
if (faults.length > 0) console.log(faults.slice(0, 10).join('\n'));
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

/**
 * Runs core's tests for the mutation tester. Jest makes a context and reads every module anew for each file of tests, seconds for a fault that one
 * test notices in a millisecond. Here each file is one bundle that is compiled once and evaluated afresh for each fault, so that nothing a module
 * keeps outlives a run; tests, hooks and `expect` are Jest's own. What runs while a file is read or in its hooks counts as covered by each of its
 * tests.
 */
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire, isBuiltin } from 'node:module';
import { dirname, join, relative } from 'node:path';
import { performance } from 'node:perf_hooks';
import { Script } from 'node:vm';
import { jestExpect } from '@jest/expect';
import { commonTokens, declareFactoryPlugin, PluginKind, tokens } from '@stryker-mutator/api/plugin';
import {
  determineHitLimitReached,
  DryRunStatus,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import { build } from 'esbuild';
import * as circus from 'jest-circus';

const WORDS = { ...circus, expect: jestExpect };
const packageNamed = async (name) => (name === '@jest/globals' ? WORDS : import(name));
// Some of what tests share (core/src/testing) takes them as globals.
Object.assign(globalThis, WORDS);
/** What the instrumented code looks at: which fault is active, what was run, how often. */
const marks = (globalThis.__stryker__ ??= {});

/** A file of tests with all that it asks for of this repository; packages stay outside. */
async function bundle(file, root, to) {
  const { outputFiles } = await build({
    stdin: {
      contents: `import './core/src/testing/setup.ts'; import './${file}';`,
      resolveDir: root,
      loader: 'ts',
    },
    outfile: to,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    logLevel: 'error',
    write: false,
    // Tests are asked for by what they do, not by what they export.
    ignoreAnnotations: true,
    plugins: [
      {
        name: 'this-repository',
        setup(b) {
          b.onResolve({ filter: /^@necessaire\// }, ({ path }) => ({
            path: join(root, path.slice('@necessaire/'.length), 'src/index.ts'),
          }));
          b.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || isBuiltin(path) ? undefined : { path, namespace: 'package' },
          );
          // A package is imported once by the runner, as the program imports it, and handed to each bundle.
          b.onLoad({ filter: /.*/, namespace: 'package' }, async ({ path }) => {
            const names = Object.keys(await packageNamed(path)).filter((n) => /^[\w$]+$/u.test(n) && n !== 'default');
            return {
              contents: `const m = packages.get(${JSON.stringify(path)});\nexport default m.default;\nexport const { ${names.join(', ')} } = m;`,
              loader: 'js',
            };
          });
          // A bundle has no place of its own: each module keeps its.
          b.onLoad({ filter: /\.ts$/ }, ({ path }) => {
            const code = readFileSync(path, 'utf8')
              .replaceAll('import.meta.dirname', JSON.stringify(dirname(path)))
              .replaceAll('import.meta.url', JSON.stringify(`file://${path}`));
            return { contents: code, loader: 'ts' };
          });
        },
      },
    ],
  });
  // Two runners may write it at once: each its own, and the name is changed in one step.
  const mine = `${to}.${process.pid}`;
  writeFileSync(mine, outputFiles[0].text);
  renameSync(mine, to);
}

const call = (fn) => (fn.length === 0 ? fn() : new Promise((done, fail) => fn((e) => (e ? fail(e) : done()))));
const hooks = async (block, type) => {
  for (const hook of block.hooks) if (hook.type === type) await call(hook.fn);
};
/** A block and those round it, the outermost first. */
const around = (block) => (block ? [...around(block.parent), block] : []);
const namesOf = (t) => [
  ...around(t.parent)
    .slice(1)
    .map((b) => b.name),
  t.name,
];

/** Runs one test with the hooks before and after it. What it failed by; null where it passed. */
async function failureOf(test, block, id) {
  jestExpect.setState({
    suppressedErrors: [],
    assertionCalls: 0,
    expectedAssertionsNumber: null,
    isExpectingAssertions: false,
    currentTestName: id,
  });
  try {
    for (const a of around(block)) await hooks(a, 'beforeEach');
    await call(test.fn);
    for (const a of around(block).reverse()) await hooks(a, 'afterEach');
    const [missed] = jestExpect.extractExpectedAssertionsErrors();
    if (missed) throw missed.error;
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

class BundleRunner {
  constructor(options) {
    this.root = process.cwd();
    this.files = options.bundles.tests;
    this.scripts = new Map();
    this.took = new Map();
    this.packages = new Map();
  }
  capabilities() {
    return { reloadEnvironment: true };
  }
  async init() {
    const to = join(this.root, 'bundles');
    mkdirSync(to, { recursive: true });
    for (const file of this.files) {
      const out = join(to, `${file.replaceAll('/', '-')}.cjs`);
      if (!existsSync(out)) await bundle(file, this.root, out);
      const code = readFileSync(out, 'utf8');
      for (const [, name] of code.matchAll(/\bpackages\.get\("([^"]+)"\)/gu))
        if (!this.packages.has(name)) this.packages.set(name, await packageNamed(name));
      this.scripts.set(
        file,
        new Script(`(function (packages, require, module, exports) {${code}\n})`, { filename: out }).runInThisContext(),
      );
    }
  }
  /** Runs those tests of a file that are asked for; ends at the first that fails, unless all are wanted. */
  async file(file, wanted, all) {
    const results = [];
    const ofFile = `${file}#`;
    circus.resetState();
    marks.currentTestId = ofFile;
    this.scripts.get(file)(this.packages, createRequire(import.meta.url), { exports: {} }, {});
    const idOf = (t) => `${file}: ${namesOf(t).join(' > ')}`;
    const any = (b) => b.children.some((c) => (c.type === 'test' ? wanted(idOf(c)) : any(c)));
    let stop = false;
    const block = async (b, skipped) => {
      if (stop || !any(b)) return;
      marks.currentTestId = ofFile;
      if (!skipped) await hooks(b, 'beforeAll');
      for (const child of b.children) {
        if (stop) break;
        const skip = skipped || child.mode === 'skip' || child.mode === 'todo';
        if (child.type !== 'test') await block(child, skip);
        else if (wanted(idOf(child))) {
          const id = idOf(child);
          const base = { id, name: id, fileName: join(this.root, file), timeSpentMs: 0 };
          if (skip) {
            results.push({ ...base, status: TestStatus.Skipped });
            continue;
          }
          marks.currentTestId = id;
          const from = performance.now();
          const failure = await failureOf(child, b, id);
          const timeSpentMs = performance.now() - from;
          results.push(
            failure === null
              ? { ...base, timeSpentMs, status: TestStatus.Success }
              : { ...base, timeSpentMs, status: TestStatus.Failed, failureMessage: failure },
          );
          if (failure !== null && !all) stop = true;
        }
      }
      marks.currentTestId = ofFile;
      if (!skipped) await hooks(b, 'afterAll');
    };
    await block(circus.getState().rootDescribeBlock, false);
    return results;
  }
  async run(wanted, all) {
    const tests = [];
    const files = [...this.files].sort((a, b) => (this.took.get(a) ?? 0) - (this.took.get(b) ?? 0));
    for (const file of files) {
      if (!wanted.some((id) => id === null || id.startsWith(`${file}: `))) continue;
      const set = new Set(wanted);
      const from = performance.now();
      try {
        tests.push(...(await this.file(file, set.has(null) ? () => true : (id) => set.has(id), all)));
      } catch (error) {
        // What throws while a file is read or in its hooks fails all its tests: the first stands for them.
        const id = wanted.find((w) => w?.startsWith(`${file}: `)) ?? `${file}: (read)`;
        const failureMessage = error instanceof Error ? (error.stack ?? error.message) : String(error);
        tests.push({ id, name: id, timeSpentMs: 0, status: TestStatus.Failed, failureMessage });
      }
      // With its hooks: what is quick goes first, so that a fault is found soon.
      if (all) this.took.set(file, performance.now() - from);
      if (!all && tests.some((t) => t.status === TestStatus.Failed)) break;
    }
    return tests;
  }
  async dryRun() {
    marks.activeMutant = undefined;
    marks.hitLimit = undefined;
    marks.mutantCoverage = { static: {}, perTest: {} };
    // The instrumented code keeps hold of the object that it found first, and each bundle finds it anew.
    const tests = await this.run([null], true);
    writeFileSync(join(this.root, 'bundles/took.json'), JSON.stringify([...this.took]));
    const { perTest } = marks.mutantCoverage;
    for (const t of tests) {
      const shared = perTest[`${relative(this.root, t.fileName ?? '')}#`];
      if (!shared) continue;
      const own = (perTest[t.id] ??= {});
      for (const [mutant, hits] of Object.entries(shared)) own[mutant] = (own[mutant] ?? 0) + hits;
    }
    for (const id of Object.keys(perTest)) if (id.endsWith('#')) delete perTest[id];
    return { status: DryRunStatus.Complete, tests, mutantCoverage: marks.mutantCoverage };
  }
  async mutantRun({ activeMutant, testFilter, hitLimit, disableBail }) {
    const took = join(this.root, 'bundles/took.json');
    if (this.took.size === 0 && existsSync(took)) this.took = new Map(JSON.parse(readFileSync(took, 'utf8')));
    marks.mutantCoverage = undefined;
    marks.hitCount = hitLimit === undefined ? undefined : 0;
    marks.hitLimit = hitLimit;
    marks.activeMutant = activeMutant.id;
    const tests = await this.run(testFilter ?? [null], disableBail);
    marks.activeMutant = undefined;
    const endless = determineHitLimitReached(marks.hitCount, marks.hitLimit);
    return toMutantRunResult(endless ?? { status: DryRunStatus.Complete, tests });
  }
}

const create = (options) => new BundleRunner(options);
create.inject = tokens(commonTokens.options);
export const strykerPlugins = [declareFactoryPlugin(PluginKind.TestRunner, 'bundles', create)];

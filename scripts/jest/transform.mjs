/**
 * TypeScript for Jest, through swc. Jest runs each file in a context of its own, in which every look at a global (`Math`, `Map`, `Infinity`) goes
 * through the context's interceptor: a hundred times as slow as in the program. So each module takes those that it uses into its own scope first,
 * on its first line, that no line number changes. Only what no test replaces: not the clock, not timers, not storage.
 */
import { createHash } from 'node:crypto';
import swc from '@swc/jest';

const GLOBALS =
  `Array BigInt Boolean Float32Array Float64Array Infinity Int32Array Int8Array JSON Map Math NaN Number Object Promise Set String
  Symbol Uint16Array Uint32Array Uint8Array WeakMap WeakSet isFinite isNaN parseFloat parseInt undefined`.split(/\s+/u);

const inner = swc.createTransformer({
  jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
  module: { type: 'es6' },
});

/** Those of the globals that a module names and does not declare itself. */
function taken(code) {
  return GLOBALS.filter(
    (name) =>
      new RegExp(`(?<![.\\w$])${name}\\b`, 'u').test(code) &&
      !new RegExp(`\\b(?:const|let|var|function|class|import)\\s+(?:\\{[^}]*\\b)?${name}\\b`, 'u').test(code),
  );
}
const bound = (result) => {
  const names = taken(result.code);
  const first = names.length > 0 ? `const { ${names.join(', ')} } = globalThis; ` : '';
  return { ...result, code: first + result.code };
};

export default {
  canInstrument: inner.canInstrument ?? true,
  process: (source, path, options) => bound(inner.process(source, path, options)),
  processAsync: async (source, path, options) => bound(await inner.processAsync(source, path, options)),
  getCacheKey: (source, path, options) =>
    createHash('sha256')
      .update(inner.getCacheKey(source, path, options))
      .update('2')
      .update(GLOBALS.join())
      .digest('hex'),
};

/**
 * How long a line takes to read, and how rightly the lines of the corpus are read: `npm run bench:lines`. Random lines are put together from the
 * corpus' own words and from any characters; the slowest of them is what a keystroke may wait for.
 */
import fc from 'fast-check';
import { readEntry, readItems } from '@necessaire/core';
import { FASTENER_LINES } from '../../core/src/testing/corpus/fasteners.js';
import { ITEM_LINES } from '../../core/src/testing/corpus/items.js';
import { corpusOf } from '../../core/src/testing/corpus/read.js';

const SAMPLES = 5000;

interface Timed {
  median: number;
  most: number;
  line: string;
}
function timed(lines: readonly string[], read: (line: string) => unknown): Timed {
  for (const l of lines.slice(0, 300)) read(l);
  // The best of three: what else the machine does meanwhile is not the line's.
  const once = (line: string) => {
    const at = performance.now();
    read(line);
    return performance.now() - at;
  };
  const times = lines.map((line) => ({ ms: Math.min(once(line), once(line), once(line)), line }));
  const sorted = [...times].sort((a, b) => a.ms - b.ms);
  const slowest = sorted.at(-1);
  return { median: sorted[Math.floor(sorted.length / 2)]?.ms ?? 0, most: slowest?.ms ?? 0, line: slowest?.line ?? '' };
}
const mixed = (corpus: string): string[] => {
  const words = [...new Set(corpusOf(corpus).flatMap((l) => l.line.split(/\s+/u)))];
  const line = fc.array(fc.constantFrom(...words), { minLength: 1, maxLength: 25 }).map((w) => w.join(' '));
  return fc.sample(fc.oneof(line, fc.string({ maxLength: 300, unit: 'binary' })), { numRuns: SAMPLES, seed: 1 });
};

function main(): void {
  const readers = [
    ['fasteners', FASTENER_LINES, (l: string) => readEntry(l, { here: 'exhaust' })],
    ['items', ITEM_LINES, (l: string) => readItems(l)],
  ] as const;
  console.log('lines          corpus  median ms  random lines  median ms  slowest ms');
  for (const [name, corpus, read] of readers) {
    const known = corpusOf(corpus).map((l) => l.line);
    const plain = timed(known, read);
    const random = timed(mixed(corpus), read);
    const cells = [known.length, plain.median.toFixed(3), SAMPLES, random.median.toFixed(3), random.most.toFixed(2)];
    console.log(
      `${name.padEnd(12)} ${cells.map((c, i) => String(c).padStart([8, 10, 13, 10, 11][i] ?? 10)).join(' ')}`,
    );
  }
}
main();

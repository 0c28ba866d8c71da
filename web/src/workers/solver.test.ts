import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterAll, expect, test } from '@jest/globals';
import type { Milp } from '@necessaire/core';
import { NOT_FETCHED } from './called';
import { solverAt } from './solver';

const wasm = readFileSync(createRequire(import.meta.url).resolve('highs/runtime'));
const real = globalThis.fetch;
afterAll(() => void (globalThis.fetch = real));
/** The ways in which a server answers, one for each time that it is asked. */
function server(...answers: (() => Promise<Response>)[]) {
  const asked: string[] = [];
  globalThis.fetch = ((url: string) => {
    asked.push(url);
    return answers[asked.length - 1]!();
  }) as typeof fetch;
  return asked;
}
const whole = () =>
  Promise.resolve(new Response(new Uint8Array(wasm), { headers: { 'Content-Type': 'application/wasm' } }));
const half = () =>
  Promise.resolve(
    new Response(
      new ReadableStream({
        start(c) {
          c.enqueue(new Uint8Array(wasm.subarray(0, 1000)));
          c.error(new TypeError('network error'));
        },
      }),
      { headers: { 'Content-Type': 'application/wasm' } },
    ),
  );
const column = (cost: number, upper: number) => ({ cost, lower: 0, upper, integer: true });

test('a solver that was not fetched is asked for again at the next question, and only then', async () => {
  const asked = server(
    () => Promise.reject(new TypeError('Failed to fetch')),
    () => Promise.resolve(new Response('gone', { status: 503 })),
    half,
    whole,
  );
  const solver = solverAt('/solver.wasm');
  for (let i = 1; i <= 3; i++) {
    await expect(solver()).rejects.toThrow(NOT_FETCHED);
    expect(asked).toHaveLength(i);
  }
  const solve = await solver();
  // The most of 3x + 2y with 2x + y at most 7, whole numbers to 3: x 2, y 3.
  const model = {
    columns: [column(-3, 3), column(-2, 3)],
    rows: [
      {
        terms: [
          [0, 2],
          [1, 1],
        ],
        lower: -Infinity,
        upper: 7,
      },
    ],
  } satisfies Milp;
  expect(solve(model)).toMatchObject({ status: 'optimal', values: [2, 3], objective: -12 });
  expect(await solver()).toBe(solve);
  expect(asked).toEqual(Array(4).fill('/solver.wasm'));
});

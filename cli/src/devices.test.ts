import { describe, expect, test } from '@jest/globals';
import { ALIVE_EVERY_MS, headBand, hear, signalSchema, type Heard, type Signal } from '@necessaire/core';
import { main } from './main.js';

/** Runs with a clock that does not wait and a server that only writes down. */
async function run(...args: string[]) {
  let [out, err, waited] = ['', '', 0];
  const posted: { url: string; body: Signal; at: number }[] = [];
  const code = await main(args, {
    out: (t) => (out += t),
    err: (t) => (err += t),
    wait: (ms) => {
      waited += ms;
      return Promise.resolve();
    },
    get: () =>
      Promise.resolve({
        garages: [
          { id: 'gone', deleted: true, garage: { name: 'Old' } },
          { id: 'first', deleted: false, garage: { name: 'Mine' } },
          { id: 'second', deleted: false, garage: { name: 'Yours' } },
        ],
      }),
    post: (url, body) => {
      posted.push({ url, body: signalSchema.parse(body), at: waited });
      return Promise.resolve();
    },
  });
  return { code, out, err, posted, waited };
}
const numbers = (out: string) => out.trim().split('\n').map(Number);

describe('the simulated calliper', () => {
  test('types readings of a made head of the size, as a keyboard would', async () => {
    const { code, out, posted } = await run('calliper', '--size', '13', '--lines', '40', '--seed', '4');
    expect(code).toBe(0);
    expect(posted).toEqual([]);
    const read = numbers(out);
    expect(read).toHaveLength(40);
    const mean = read.reduce((a, b) => a + b, 0) / read.length;
    expect(mean).toBeGreaterThan(headBand('13').min - 0.03);
    expect(mean).toBeLessThan(headBand('13').max + 0.03);
  });
  test('noise, zero offset and lost lines are obeyed, and the seed repeats itself', async () => {
    const exact = await run('calliper', '--across', '10', '--noise', '0', '--zero', '0.25', '--lines', '5');
    expect(numbers(exact.out)).toEqual([10.25, 10.25, 10.25, 10.25, 10.25]);
    const lossy = ['calliper', '--across', '10', '--drop', '0.5', '--lines', '400', '--seed', '9'];
    const [a, b] = [await run(...lossy), await run(...lossy)];
    expect(a.out).toBe(b.out);
    expect(numbers(a.out).length).toBeGreaterThan(150);
    expect(numbers(a.out).length).toBeLessThan(250);
    expect((await run('calliper', '--drop', '1')).out).toBe('');
  });
  test('inches', async () => {
    expect((await run('calliper', '--across', '12.7', '--noise', '0', '--inch', '--lines', '1')).out).toBe(
      '0.5000 in\n',
    );
  });
  test('streams too, to the garage by name', async () => {
    const { posted } = await run('calliper', '--stream', '--garage', 'Yours', '--server', 'http://127.0.0.1:1/');
    expect(posted.every((p) => p.url === 'http://127.0.0.1:1/api/garages/second/instruments')).toBe(true);
    expect(posted.filter((p) => p.body.value !== null)).toHaveLength(3);
  });
});

describe('the simulated scale', () => {
  test('streams until it stands still, with a sign of life every second', async () => {
    const { code, posted, err } = await run('scale', '--mass', '85', '--noise', '0');
    expect(code).toBe(0);
    expect(err).toMatch(/scale on 85 g, to http/);
    const last = posted.filter((p) => p.body.value !== null).at(-1)!;
    expect(last.body).toMatchObject({ instrument: 'scale', value: 85, stable: true });
    expect(posted[0]!.url).toMatch(/garages\/first\/instruments$/);
    const times = posted.map((p) => p.at);
    times.slice(1).forEach((t, i) => expect(t - times[i]!).toBeLessThanOrEqual(ALIVE_EVERY_MS));
  });
  test('lost lines leave gaps in the count, and the page hears how many', async () => {
    const { posted } = await run('scale', '--mass', '85', '--drop', '0.4', '--lines', '60', '--seed', '3');
    const values = posted.filter((p) => p.body.value !== null).length;
    const heard = posted.reduce<Heard | null>((h, p) => hear(h, p.body), null)!;
    expect(heard.missed).toBeGreaterThan(60 - values - 5);
    expect(heard.missed).toBeLessThanOrEqual(60 - values);
  });
  test('a piece of the catalogue weighs what the catalogue says', async () => {
    const { posted, err } = await run('scale', '--piece', 'Combination spanner 13', '--noise', '0');
    expect(err).toContain('Combination spanner 13');
    expect(posted.at(-1)!.body.value).toBeGreaterThan(50);
  });
});

describe('asked wrongly', () => {
  test.each([
    [['calliper', '--size', '13.4'], /--size: 13.4 is a reading/],
    [['calliper', '--size', 'ph2'], /cannot measure/],
    [['calliper', '--across', 'wide'], /--across must be a number/],
    [['calliper', '--noise=-1'], /--noise must be a number from 0/],
    [['calliper', '--keyboard', '--stream'], /either --keyboard or --stream/],
    [['scale', '--piece', 'anvil'], /no piece like "anvil"/],
    [['scale', '--garage', 'Nowhere'], /--garage: the server has "Mine", "Yours"/],
    [['ruler'], /say: necessaire kit FILE/],
  ])('%j', async (args, message) => {
    const { code, err, posted } = await run(...args);
    expect(code).toBe(2);
    expect(err).toMatch(message);
    expect(posted).toEqual([]);
  });
});

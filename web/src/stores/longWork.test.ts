import '../testing/browser';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { CrewAnswer } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import { clearStorage, leavePages } from '../testing/browser';
import { answered, demoServer, loadPage } from '../testing/demoPage';
import { until } from '../testing/until';
import { started, workers } from '../testing/worker';
import { held } from '../ui/places/held';
import { useCrew } from './crew';
import { useFrontier } from './frontier';
import { usePacking } from './packing';
import { useView } from './view';

/** One piece of work that a test has in its hand: begun by the page, ended when the test says so. */
class Work {
  calls: { args: unknown[]; end: (result: unknown) => void; fail: (why: string) => void }[] = [];
  readonly run = (...args: unknown[]) =>
    new Promise((resolve, reject) => {
      this.calls.push({ args, end: resolve, fail: (why) => reject(new Error(why)) });
    });
  get last() {
    return this.calls.at(-1)!;
  }
}
let share: Work;
let pack: Work;
beforeEach(() => {
  clearStorage();
  held.value = null;
  share = new Work();
  pack = new Work();
  workers.set('crew.worker.ts', {
    share: (...args: unknown[]) => share.run(...args),
    leaning: () => Promise.resolve([[0, 1]]),
    alone: () => Promise.resolve([1200, null]),
  });
  workers.set('stow.worker.ts', { pack: (...args: unknown[]) => pack.run(...args) });
});
afterAll(() => {
  for (const w of started) w.terminate();
  leavePages();
});
const openWorkers = (name: string) => started.filter((w) => w.url.pathname.endsWith(name) && !w.ended).length;
const shared = (mass: number) => ({ mass }) as unknown as CrewAnswer;
async function load() {
  const page = await loadPage(demoServer());
  await answered(page);
  return page;
}
/** The demo’s trip that four ride. */
async function crewed() {
  const page = await load();
  useView().tripId = page.garage.doc!.crews[0]!.tripId;
  await answered(page);
  return { ...page, crew: useCrew() };
}

describe('the crew’s sharing', () => {
  test('is worked out while somebody looks, the first at once, and ended when nobody does', async () => {
    const { crew } = await crewed();
    expect(share.calls).toHaveLength(0);
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    expect(crew.busy).toBe(true);
    const tell = share.last.args[3] as (now: CrewAnswer) => void;
    tell(shared(9));
    await until(() => crew.first, 'the first sharing');
    expect([crew.answer, crew.busy]).toEqual([shared(9), true]);
    share.last.end(shared(8));
    await until(() => !crew.busy, 'the exact one');
    expect([crew.answer, crew.first]).toEqual([shared(8), false]);
    await until(() => crew.alone.length > 0, 'what each would carry alone');
    expect([crew.alone, crew.leaning]).toEqual([[1200, null], [[0, 1]]]);
    crew.want(false);
    expect(openWorkers('crew.worker.ts')).toBe(0);
  });
  test('an edit ends what is under way: only the answer of the garage as it is counts', async () => {
    const { crew, garage } = await crewed();
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    const old = share.last;
    garage.put('more ties', 'supplies', { ...garage.doc!.supplies[0]!, quantity: 7 });
    await until(() => share.calls.length === 2, 'begun anew');
    old.end(shared(1));
    expect((share.last.args[0] as typeof garage.doc)!.supplies[0]!.quantity).toBe(7);
    share.last.end(shared(2));
    await until(() => !crew.busy, 'the new one');
    expect(crew.answer).toEqual(shared(2));
    crew.want(false);
  });
  test('nothing moves while a hand holds something', async () => {
    const { crew } = await crewed();
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    held.value = 'piece';
    share.last.end(shared(3));
    await answered({ answers: (await import('./answer')).useAnswer() });
    expect([crew.answer, crew.busy]).toEqual([null, true]);
    held.value = null;
    await until(() => crew.answer !== null, 'let go');
    crew.want(false);
  });
  test('that fails says why, and is tried again at the next edit', async () => {
    const { crew, garage } = await crewed();
    const quiet = console.error;
    console.error = () => undefined;
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    share.last.fail('the solver stopped');
    await until(() => crew.failed !== null, 'it says so');
    console.error = quiet;
    expect([crew.busy, openWorkers('crew.worker.ts')]).toEqual([false, 0]);
    garage.put('more ties', 'supplies', { ...garage.doc!.supplies[0]!, quantity: 6 });
    await until(() => share.calls.length === 2, 'begun anew');
    share.last.end(shared(4));
    await until(() => crew.answer !== null, 'an answer');
    expect(crew.failed).toBeNull();
    crew.want(false);
  });
  test('ended by a press, the first sharing stays; the next edit begins anew', async () => {
    const { crew, garage } = await crewed();
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    // Before there is a first one, there is nothing that could stay.
    crew.halt();
    expect([crew.busy, crew.halted]).toEqual([true, false]);
    (share.last.args[3] as (now: CrewAnswer) => void)(shared(9));
    await until(() => crew.first, 'the first sharing');
    crew.halt();
    expect([crew.busy, crew.first, crew.halted]).toEqual([false, false, true]);
    expect([crew.answer, openWorkers('crew.worker.ts')]).toEqual([shared(9), 0]);
    garage.put('more ties', 'supplies', { ...garage.doc!.supplies[0]!, quantity: 5 });
    await until(() => share.calls.length === 2, 'begun anew');
    expect(crew.halted).toBe(false);
    share.last.end(shared(8));
    await until(() => !crew.busy, 'the exact one');
    expect(crew.answer).toEqual(shared(8));
    crew.want(false);
  });
  test('asks nothing of what is about to be replaced', async () => {
    const { crew } = await crewed();
    expect(await crew.ask((w) => w.leaning())).toBeNull();
    crew.want(true);
    await until(() => share.calls.length === 1, 'it was begun');
    expect(await crew.ask((w) => w.leaning())).toBeNull();
    share.last.end(shared(5));
    await until(() => !crew.busy, 'the answer');
    expect(await crew.ask((w) => w.leaning())).toEqual([[0, 1]]);
    crew.want(false);
  });
});

describe('the packing searched on', () => {
  test('only while somebody looks, with how far it is; what it finds goes to the answer', async () => {
    const { answers } = await load();
    const packing = usePacking();
    expect(answers.answer!.packing.proven).toBe(false);
    packing.want(true);
    await until(() => pack.calls.length === 1, 'it was begun');
    expect(packing.progress).toBe(0);
    (pack.last.args[2] as (share: number) => void)(0.4);
    await until(() => packing.progress === 0.4, 'how far it is');
    const asked = answers.answer;
    // It found nothing better than what there is.
    pack.last.end(null);
    await until(() => packing.progress === null, 'it is done');
    await answered({ answers });
    expect(answers.answer).not.toBe(asked);
    // The same is not searched twice.
    packing.want(false);
    packing.want(true);
    expect([packing.progress, pack.calls.length]).toEqual([null, 1]);
    packing.want(false);
    expect(openWorkers('stow.worker.ts')).toBe(0);
  });
  test('left in the middle it is ended, and begun anew when somebody looks again', async () => {
    await load();
    const packing = usePacking();
    packing.want(true);
    await until(() => pack.calls.length === 1, 'it was begun');
    packing.want(false);
    expect([packing.progress, openWorkers('stow.worker.ts')]).toEqual([null, 0]);
    packing.want(true);
    await until(() => pack.calls.length === 2, 'begun anew');
    pack.last.fail('no room');
    await until(() => packing.failed !== null, 'it says why');
    expect([packing.failed, packing.progress]).toEqual([failureWords(new Error('no room')), null]);
    packing.want(false);
  });
});

describe('the packing searched on, ended by a press', () => {
  test('stays as it is, and is not searched again by itself', async () => {
    const { answers } = await load();
    const packing = usePacking();
    packing.want(true);
    await until(() => pack.calls.length === 1, 'it was begun');
    const shown = answers.answer;
    packing.halt();
    expect([packing.progress, openWorkers('stow.worker.ts'), answers.answer]).toEqual([null, 0, shown]);
    packing.want(false);
    packing.want(true);
    expect([packing.progress, pack.calls.length]).toEqual([null, 1]);
    packing.want(false);
  });
});

describe('the curve of kits', () => {
  test('ended by a press stays as far as it is known, and goes on only when asked', async () => {
    const curve = new Work();
    const asked = workers.get('answer.worker.ts')!;
    workers.set('answer.worker.ts', { ...asked, frontier: (...args: unknown[]) => curve.run(...args) });
    await load();
    const frontier = useFrontier();
    frontier.want(true);
    await until(() => curve.calls.length === 1, 'it was begun');
    const far = { asks: [], picture: null, levels: [], share: 0.3, done: false };
    (curve.last.args[3] as (now: unknown) => void)(far);
    await until(() => frontier.now !== null, 'how far it is');
    frontier.halt();
    expect([frontier.running, frontier.halted, frontier.now?.share]).toEqual([false, true, 0.3]);
    frontier.want(false);
    frontier.want(true);
    expect([frontier.running, curve.calls.length]).toEqual([false, 1]);
    frontier.closeBand();
    await until(() => curve.calls.length === 2, 'it goes on');
    expect([frontier.running, frontier.halted]).toEqual([true, false]);
    curve.last.end({ ...far, share: 1, done: true });
    await until(() => !frontier.running, 'it is done');
    frontier.want(false);
    workers.set('answer.worker.ts', asked);
  });
  test('stands for the trip that it was made for; without one nothing is said of it', async () => {
    const { garage } = await load();
    const frontier = useFrontier();
    expect([frontier.picture, frontier.point, frontier.leaves, frontier.kneeOf(900)]).toEqual([null, null, [], null]);
    expect(frontier.limit).toBe(garage.trip!.kit.mass);
    // The kit that was worked out goes before what the curve makes of it; a hand on the handle before both.
    expect(garage.trip!.kit.ask).toBe('worth');
    frontier.settled = 6180;
    expect(frontier.limit).toBe(6180);
    frontier.dragged = 1234;
    expect(frontier.limit).toBe(1234);
  });
});

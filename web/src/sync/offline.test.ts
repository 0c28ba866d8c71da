import '../testing/browser';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { playClock } from '../testing/clock';
import { loadNewer, loadsNewer } from './offline';

/** A browser's workers as far as loading a newer version asks of them. */
class Workers extends EventTarget {
  heard = 0;
  waiting: { postMessage: (message: unknown) => void } | null = {
    postMessage: (message) => {
      expect(message).toEqual({ type: 'SKIP_WAITING' });
      this.heard++;
      this.onWord();
    },
  };
  onWord: () => void = () => undefined;
  letGo = 0;
  getRegistration = () => Promise.resolve(this);
  unregister = () => Promise.resolve(++this.letGo > 0);
}
const { navigator } = globalThis;
let clock: ReturnType<typeof playClock>;
let workers: Workers;
let reloads: number;
beforeEach(() => {
  workers = new Workers();
  reloads = 0;
  Object.defineProperty(globalThis, 'navigator', { value: { serviceWorker: workers }, configurable: true });
  Object.defineProperty(globalThis, 'location', { value: { reload: () => reloads++ }, configurable: true });
  clock = playClock();
});
afterEach(() => {
  clock.stop();
  Object.defineProperty(globalThis, 'navigator', { value: navigator, configurable: true });
  Reflect.deleteProperty(globalThis, 'location');
});

test('a newer version that slept through the first word is asked again, and loaded once', async () => {
  await loadNewer();
  expect([workers.heard, reloads]).toEqual([1, 0]);
  workers.onWord = () => {
    workers.waiting = null;
    workers.dispatchEvent(new Event('controllerchange'));
  };
  await clock.pass(1000);
  expect([workers.heard, reloads]).toEqual([2, 1]);
  await clock.pass(10_000);
  expect([workers.heard, reloads]).toEqual([2, 1]);
});
test('one that never hears is loaded from the server, and stays as it is while there is none', async () => {
  let there = false;
  const asked: string[] = [];
  globalThis.fetch = (url) => {
    asked.push(String(url));
    return there ? Promise.resolve(new Response('ok')) : Promise.reject(new TypeError('no network'));
  };
  await loadNewer();
  await clock.pass(12_000);
  expect([asked, workers.letGo, reloads]).toEqual([['/health'], 0, 0]);
  expect(loadsNewer.value).toBe(true);
  there = true;
  await clock.pass(10_000);
  expect([asked.length, workers.letGo, reloads]).toEqual([1, 0, 0]);
  await clock.pass(2000);
  expect([asked.length, workers.letGo, reloads]).toEqual([2, 1, 1]);
  await clock.pass(60_000);
  expect([asked.length, workers.letGo, reloads]).toEqual([2, 1, 1]);
});
test('one that took over unheard is loaded all the same', async () => {
  await loadNewer();
  workers.waiting = null;
  await clock.pass(1000);
  expect([workers.heard, reloads]).toEqual([1, 1]);
});

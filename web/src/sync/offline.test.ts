import '../testing/browser';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { loadNewer } from './offline';

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
  getRegistration = () => Promise.resolve(this);
}
let workers: Workers;
let reloads: number;
beforeEach(() => {
  workers = new Workers();
  reloads = 0;
  Object.defineProperty(globalThis, 'navigator', { value: { serviceWorker: workers }, configurable: true });
  Object.defineProperty(globalThis, 'location', { value: { reload: () => reloads++ }, configurable: true });
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('a newer version that slept through the first word is asked again, and loaded once', async () => {
  await loadNewer();
  expect([workers.heard, reloads]).toEqual([1, 0]);
  workers.onWord = () => {
    workers.waiting = null;
    workers.dispatchEvent(new Event('controllerchange'));
  };
  jest.advanceTimersByTime(1000);
  expect([workers.heard, reloads]).toEqual([2, 1]);
  jest.advanceTimersByTime(10_000);
  expect([workers.heard, reloads]).toEqual([2, 1]);
});
test('one that took over unheard is loaded all the same', async () => {
  await loadNewer();
  workers.waiting = null;
  jest.advanceTimersByTime(1000);
  expect([workers.heard, reloads]).toEqual([1, 1]);
});

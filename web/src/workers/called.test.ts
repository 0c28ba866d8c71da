import '../testing/browser';
import { expect, test } from '@jest/globals';
import { failureWords } from '@necessaire/words';
import { InProcess, workers } from '../testing/worker';
import { called, NOT_FETCHED, notFetched } from './called';

interface Asked {
  now: (n: number) => Promise<number>;
  never: () => Promise<number>;
  not: () => Promise<number>;
}
function service() {
  workers.set('asked.worker.ts', {
    now: (n: number) => Promise.resolve(n + 1),
    never: () => new Promise<number>(() => undefined),
    not: () => Promise.reject(new Error('no such row')),
  });
  const worker = new InProcess(new URL('file:///asked.worker.ts'));
  return { worker, one: called<Asked>(worker as unknown as Worker) };
}

test('answers, fails as its program fails, and answers on', async () => {
  const { one, worker } = service();
  expect(await one.ask((w) => w.now(2))).toBe(3);
  await expect(one.ask((w) => w.not())).rejects.toThrow('no such row');
  expect([one.broken(), await one.ask((w) => w.now(4))]).toEqual([false, 5]);
  one.end();
  expect(worker.ended).toBe(true);
});
test('ended, all that was asked gets nothing, what is asked after it too', async () => {
  const { one } = service();
  const waiting = [one.ask((w) => w.never()), one.ask((w) => w.never())];
  one.end();
  expect(await Promise.all(waiting)).toEqual([null, null]);
  expect(await one.ask(() => new Promise(() => undefined))).toBeNull();
});
test('whose program does not come fails all that was asked, in words that say what to do', async () => {
  const { one, worker } = service();
  const waiting = [one.ask((w) => w.never()), one.ask((w) => w.never())];
  worker.break();
  const told = await Promise.allSettled(waiting);
  expect(told.map((t) => t.status === 'rejected' && notFetched(t.reason))).toEqual([true, true]);
  expect(failureWords(new Error(NOT_FETCHED))).toMatch(/server did not answer.*try again/u);
  expect(one.broken()).toBe(true);
  one.end();
});
test('a fault that stops it is no matter of the connection', async () => {
  const { one, worker } = service();
  const waiting = one.ask((w) => w.never());
  worker.break('x is not a function');
  await expect(waiting).rejects.toThrow('x is not a function');
  expect([notFetched(new Error('x is not a function')), notFetched('text')]).toEqual([false, false]);
  one.end();
});

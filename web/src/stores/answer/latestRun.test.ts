import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { playClock } from '../../testing/clock';
import { useLatestRun, type Run } from './latestRun';

let clock: ReturnType<typeof playClock>;
let cuts: number;
let nexts: number;
let begun: Run[];
let ends: (() => void)[];
let runs: ReturnType<typeof useLatestRun>;
beforeEach(() => {
  clock = playClock();
  cuts = 0;
  nexts = 0;
  begun = [];
  ends = [];
  runs = useLatestRun(
    () => cuts++,
    () => {
      nexts++;
      void start();
    },
  );
});
afterEach(() => clock.stop());
const start = () =>
  runs.start((run) => {
    begun.push(run);
    return new Promise((done) => ends.push(done));
  });
const end = async (i: number) => {
  ends[i]?.();
  await clock.pass(0);
};
const stand = () => ({
  begun: begun.length,
  stale: begun.map((r) => r.stale),
  busy: runs.busy.value,
  slow: runs.slow.value,
});

test('a short run that became stale ends by itself, then the work is begun once more, however many wished it', async () => {
  void start();
  expect(stand()).toEqual({ begun: 1, stale: [false], busy: true, slow: false });
  await clock.pass(599);
  void start();
  void start();
  expect(stand()).toEqual({ begun: 1, stale: [true], busy: true, slow: true });
  await end(0);
  expect([cuts, nexts]).toEqual([0, 1]);
  expect(stand()).toEqual({ begun: 2, stale: [true, false], busy: true, slow: false });
  await end(1);
  expect([nexts, stand().busy]).toEqual([1, false]);
});
test('one that has taken long is cut off, and what it ends with counts for nothing', async () => {
  void start();
  await clock.pass(600);
  void start();
  expect([cuts, nexts]).toEqual([1, 0]);
  expect(stand()).toMatchObject({ begun: 2, stale: [true, false], busy: true });
  expect(begun.map((r) => runs.current(r))).toEqual([false, true]);
  await end(0);
  expect([stand().busy, runs.current(begun[1]!)]).toEqual([true, true]);
  await end(1);
  expect([nexts, stand().busy]).toEqual([0, false]);
});
test('how far it is, is said from half a second on', async () => {
  void start();
  await clock.pass(499);
  expect(runs.slow.value).toBe(false);
  await clock.pass(1);
  expect(runs.slow.value).toBe(true);
  await end(0);
  expect(stand()).toMatchObject({ busy: false, slow: false });
});
test('stopped, nothing is wanted any more; where nothing runs there is nothing to cut off', async () => {
  runs.stop();
  expect(cuts).toBe(0);
  void start();
  void start();
  runs.stop();
  expect([cuts, stand().busy, runs.current(begun[0]!)]).toEqual([1, false, false]);
  await end(0);
  expect([nexts, begun.length]).toEqual([0, 1]);
  void start();
  expect(stand()).toMatchObject({ begun: 2, busy: true });
});
test('work that fails is over too', async () => {
  await expect(runs.start(() => Promise.reject(new Error('broke')))).rejects.toThrow('broke');
  expect(stand()).toMatchObject({ busy: false, slow: false });
});

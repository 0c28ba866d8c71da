import { describe, expect, test } from '@jest/globals';
import { fastener, owned } from '../../testing/make.js';
import { ChainFinder, reachOf } from '../chains/index.js';
import { DEFAULT_PRACTICE } from '../practice.js';
import { adjustable, catalogue, combinationSpanner, openSpanner, ringSpanner, type Piece } from '../tools/index.js';
import { coverProblem, taskDone, usesTogether } from './task.js';

const bolt = (size: string, far: string | null = null) =>
  fastener({
    head: { form: 'hex', size },
    far: far === null ? null : { form: 'hex', size: far },
    torque: { value: 10, source: 'manual' },
  });
const reaches = (pieces: Piece[], list: ReturnType<typeof bolt>[]) => {
  const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
  return list.map((f) => reachOf(f, finder));
};
const withFunction = (does: Piece['functions'][number], count: number): Piece => {
  const model = catalogue().find((m) => m.functions.includes(does))!;
  return { ...owned(model), count };
};

describe('what a kit has to do, as tasks over piece numbers', () => {
  const pieces = [combinationSpanner('10'), openSpanner('8', '10'), ringSpanner('12', '13')].map((m) => owned(m));
  test('fasteners that the same tools turn are one task; what nothing turns is none', () => {
    const list = [bolt('10'), bolt('10'), bolt('13'), bolt('17')];
    const { tasks } = coverProblem(reaches(pieces, list), pieces);
    expect(tasks.map((t) => t.fasteners)).toEqual([[list[0]!.id, list[1]!.id], [list[2]!.id]]);
    expect(tasks.map((t) => t.ends.map((end) => end.map((a) => a.last).sort()))).toEqual([[[0, 1]], [[2]]]);
    expect(tasks.every((t) => t.lost === null)).toBe(true);
  });
  test('functions are asked for as far as the toolbox has them, copies counted', () => {
    const lever = withFunction('lever tyre', 2);
    const all = [...pieces, lever];
    const ask = (count: number) => coverProblem([], all, [{ does: 'lever tyre', count }]).functions;
    expect([ask(1), ask(2), ask(3)].map((f) => f[0]?.count)).toEqual([1, 2, 2]);
    expect(coverProblem([], pieces, [{ does: 'lever tyre', count: 1 }]).functions).toEqual([]);
  });
  test('with a copy lost: only what can be lost, and only tasks that the toolbox then still does', () => {
    const all = [owned(combinationSpanner('10')), owned(openSpanner('8', '10')), owned(ringSpanner('12', '13'))];
    const { spared } = coverProblem(reaches(all, [bolt('10'), bolt('13')]), all, [], (p) => p !== all[1]);
    // 10 can still be turned without the combination spanner; 13 has nothing else; the open spanner is never lost.
    expect(spared.map((t) => [t.fasteners.length, t.lost])).toEqual([[1, 0]]);
    expect(coverProblem(reaches(all, [bolt('10')]), all).spared).toEqual([]);
  });
  test('both ends at once: copies of one piece are added up, and one of two has to turn', () => {
    const two = [{ ...owned(combinationSpanner('10')), count: 2 }, owned(adjustable(200, 24, 200))];
    const practice = { ...DEFAULT_PRACTICE, adjustable: 'holds' as const };
    const reach = reachOf(bolt('10', '10'), new ChainFinder(two, practice));
    const [task] = coverProblem([reach], two).tasks;
    expect([
      taskDone(task!, [2, 0]),
      taskDone(task!, [1, 1]),
      taskDone(task!, [1, 0]),
      taskDone(task!, [0, 1]),
    ]).toEqual([true, true, false, false]);
    // Two adjustables hold both ends and turn neither.
    expect(taskDone(task!, [0, 2])).toBe(false);
    const use = (last: number, rest: [number, number][] = []) => ({ last, rest, holds: false });
    expect([...usesTogether(null, use(0, [[1, 2]]), use(1))]).toEqual([
      [0, 1],
      [1, 3],
    ]);
    expect(usesTogether(1, use(0, [[1, 2]])).get(1)).toBe(3);
    expect(usesTogether(5, use(0)).has(5)).toBe(false);
  });
});

import { at, present, under } from '../../ground/numbers.js';
import { usesTogether, type Task } from '../../toolbox/cover/index.js';
import type { Piece } from '../../toolbox/tools/index.js';

/** Copies of pieces as items, numbered in a row: a second copy is an item of its own. */
export class Items {
  /** The piece that each item is a copy of. */
  readonly owner: number[] = [];
  private readonly first: number[] = [];

  constructor(readonly pieces: readonly Piece[]) {
    pieces.forEach((piece, p) => {
      this.first.push(this.owner.length);
      const most = piece.mark === 'never' ? 0 : Math.min(piece.count, 8);
      for (let c = 0; c < most; c++) this.owner.push(p);
    });
  }
  copies(p: number): number {
    return (this.first[p + 1] ?? this.owner.length) - at(this.first, p);
  }
  /** Item of the copy of a piece, from 0. */
  item(p: number, copy: number): number {
    return at(this.first, p) + copy;
  }
  /** Items of so many of each piece; null when there are not so many. */
  itemsOf(uses: ReadonlyMap<number, number>): number[] | null {
    const items: number[] = [];
    for (const [p, n] of uses) {
      if (n > this.copies(p)) return null;
      for (let c = 0; c < n; c++) items.push(at(this.first, p) + c);
    }
    return items.sort((a, b) => a - b);
  }
}

/**
 * Sets of items of which none contains another. Sorted items within each.
 * @param sets numbers of items
 */
export function leastSets(sets: readonly (readonly number[])[]): number[][] {
  const sorted = [...new Map(sets.map((s) => [s.join(), s])).values()].sort((a, b) => a.length - b.length);
  const kept: { list: readonly number[]; set: Set<number> }[] = [];
  for (const s of sorted) {
    const own = new Set(s);
    if (!kept.some((k) => k.list.every((i) => own.has(i)))) kept.push({ list: s, set: own });
  }
  return kept.map((k) => [...k.list]);
}

/** The ways of one end of which none contains another that does as much: one that only holds replaces none that turns. */
function leastOfEnd(end: Task['ends'][number], items: Items): Task['ends'][number] {
  const bySet = new Map<string, Task['ends'][number][number]>();
  const turning: number[][] = [];
  const all: number[][] = [];
  for (const a of [...end.filter((x) => !x.holds), ...end.filter((x) => x.holds)]) {
    const set = items.itemsOf(usesTogether(null, a));
    if (!set || bySet.has(set.join())) continue;
    bySet.set(set.join(), a);
    all.push(set);
    if (!a.holds) turning.push(set);
  }
  const least = [...leastSets(turning), ...leastSets(all)].map((s) => under(bySet, s.join()));
  return [...new Set(least)];
}

/** Pairs of ways for two ends beyond which a task is not spelled out. */
const MOST_PAIRS = 6000;

/**
 * The sets of items that do a task, least ones only. Where two ends have too many ways to spell out all pairs, null: such a task is then
 * asked for end by end, and checked afterwards.
 */
export function setsOfTask(task: Task, items: Items): number[][] | null {
  const known = (list: (number[] | null)[]) => list.filter((x) => x !== null);
  const [near, far] = task.ends as [Task['ends'][number], Task['ends'][number]?];
  if (!far) return leastSets(known(near.map((a) => items.itemsOf(usesTogether(task.lost, a)))));
  // A way that holds another way of the same end is never needed, whatever the other end takes.
  const [few, others] = [leastOfEnd(near, items), leastOfEnd(far, items)];
  if (few.length * others.length > MOST_PAIRS) return null;
  return leastSets(
    known(
      few.flatMap((a) => others.map((b) => (a.holds && b.holds ? null : items.itemsOf(usesTogether(task.lost, a, b))))),
    ),
  );
}
/** The same for each end alone. */
export const setsOfEnds = (task: Task, items: Items): number[][][] =>
  task.ends.map((end) => leastSets(end.map((a) => items.itemsOf(usesTogether(null, a))).filter((x) => x !== null)));

/**
 * Every way to make up a count from pieces that have a function, as sets of items; cut short at `most`.
 * @param able numbers of the pieces that have it
 * @param count how many are wanted
 * @param most sets that are made up
 */
export function setsOfFunction(able: readonly number[], count: number, items: Items, most = 3000): number[][] {
  const ways: number[][] = [];
  const go = (piece: number, left: number, uses: Map<number, number>) => {
    if (left === 0) {
      ways.push(present(items.itemsOf(uses)));
      return;
    }
    if (piece === able.length || ways.length >= most) return;
    for (let n = Math.min(left, items.copies(at(able, piece))); n >= 0; n--)
      go(piece + 1, left - n, n > 0 ? new Map(uses).set(at(able, piece), n) : uses);
  };
  go(0, count, new Map());
  return leastSets(ways);
}

import { keyOf, type Body, type Change } from '@necessaire/core';
import { replayed } from './changes';

/** An edit as it was done: what it is called, and what it changed. */
export interface Done {
  label: string;
  changes: Change[];
}
/** What came of an undo or redo: nothing to do, somebody else changed the same since, or the rows as they become. */
export type Turned =
  | { is: 'nothing' }
  | { is: 'blocked'; done: Done; by: Change }
  | { is: 'turned'; done: Done; rows: { change: Change; before: Body | null; after: Body | null }[] };

/** Own edits in their order, to be undone and done again: two piles that pass one edit to and fro. A new edit ends what could be done again. */
export class History {
  private back: readonly Done[] = [];
  private forth: readonly Done[] = [];
  constructor(private readonly most: number) {}

  get undoable(): readonly Done[] {
    return this.back;
  }
  get redoable(): readonly Done[] {
    return this.forth;
  }
  clear(): void {
    this.back = [];
    this.forth = [];
  }
  /** Remembers an edit that was done; the oldest is forgotten when there are too many. */
  add(done: Done): void {
    this.back = [...this.back, done].slice(-this.most);
    this.forth = [];
  }
  /**
   * Undoes one's own last edit, or does it again, over whatever became of its rows since. An edit that somebody else's change stands in the way of is
   * forgotten: it can be neither undone nor done again.
   * @param now a row as it is, null where there is none
   */
  turn(undo: boolean, now: (change: Change) => Body | null): Turned {
    const from = undo ? this.back : this.forth;
    const done = from.at(-1);
    if (!done) return { is: 'nothing' };
    if (undo) this.back = from.slice(0, -1);
    else this.forth = from.slice(0, -1);
    const then = replayed(done.changes, undo, new Map(done.changes.map((c) => [keyOf(c), now(c)])));
    if (!then.ok) return { is: 'blocked', done, by: then.change };
    if (undo) this.forth = [...this.forth, done];
    else this.back = [...this.back, done];
    return { is: 'turned', done, rows: [...then.rows.values()] };
  }
}

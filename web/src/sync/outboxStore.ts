import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { editToNow, FILE_VERSION, type Entry, type OutboxStore } from '@necessaire/core';

interface Lying {
  garage: string;
  /** Place in the outbox: edits go out in this order. */
  at: number;
  entry: Entry;
  /** Version of the garage file that it was entered under; absent from before versions were noted. */
  version?: number;
}
/** The version whose program entered edits without saying so. */
const UNSAID = 10;
interface Schema extends DBSchema {
  edits: { key: [string, string]; value: Lying; indexes: { garage: string } };
}

let opened: Promise<IDBPDatabase<Schema>> | null = null;
function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('necessaire-outbox', 1, {
    upgrade(db) {
      // One record an edit, under its garage and its own id.
      db.createObjectStore('edits', { keyPath: ['garage', 'entry.edit.id'] }).createIndex('garage', 'garage');
    },
    terminated() {
      opened = null;
    },
  }).catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

/** In the order in which they go out, as they are written now. */
const inOrder = (all: readonly Lying[]): Lying[] =>
  [...all]
    .sort((a, b) => a.at - b.at)
    .map((l) =>
      (l.version ?? UNSAID) < FILE_VERSION
        ? { ...l, entry: { ...l.entry, edit: editToNow(l.entry.edit, l.version ?? UNSAID) } }
        : l,
    );

/** The outbox of a garage in this browser: one record an edit, shared by all its pages, kept over reloads. */
export function outboxStore(garage: string): OutboxStore {
  return {
    async read() {
      const all = await (await database()).getAllFromIndex('edits', 'garage', garage);
      return inOrder(all).map((l) => l.entry);
    },
    async change(f) {
      const tx = (await database()).transaction('edits', 'readwrite');
      const was = inOrder(await tx.store.index('garage').getAll(garage));
      const now = f(was.map((l) => l.entry));
      const old = new Map(was.map((l) => [l.entry.edit.id, l]));
      const writes: Promise<unknown>[] = [];
      // What comes in between takes a place between its neighbours.
      let at = 0;
      now.forEach((entry, i) => {
        const known = old.get(entry.edit.id);
        old.delete(entry.edit.id);
        if (known && known.at > at) {
          at = known.at;
          if (known.entry !== entry) writes.push(tx.store.put({ garage, at, entry, version: FILE_VERSION }));
          return;
        }
        const next = now.slice(i + 1).flatMap((e) => old.get(e.edit.id)?.at ?? [])[0];
        at = next === undefined ? Math.floor(at) + 1 : (at + next) / 2;
        writes.push(tx.store.put({ garage, at, entry, version: FILE_VERSION }));
      });
      for (const id of old.keys()) writes.push(tx.store.delete([garage, id]));
      // A browser that is full says so when the transaction ends.
      await Promise.all([...writes, tx.done]);
      return now;
    },
  };
}

import { openDB, type IDBPDatabase } from 'idb';
import { readGarageFile, TABLES, writeGarageFile, type GarageDocument, type TableName } from '@necessaire/core';
import type { GarageRecord, OpenGarage } from '../api/client';

/** A garage as the server last had it, written as a file of its version: a newer program reads it as it reads old files. */
interface Kept {
  file: string;
  /** The build of the program that wrote it, after it had looked at all of it. */
  build?: string;
  record: GarageRecord;
  revisions: OpenGarage['revisions'];
  edition: number;
}

const GARAGES = 'garages';
const LIST = 'list';
let opened: Promise<IDBPDatabase> | null = null;
const database = () =>
  (opened ??= openDB('necessaire-garages', 1, {
    upgrade(db) {
      db.createObjectStore(GARAGES);
      db.createObjectStore(LIST);
    },
    terminated() {
      opened = null;
    },
  }).catch((error: unknown) => {
    opened = null;
    throw error;
  }));

/** Keeps a garage in this browser, so that it opens without the server. @returns whether the browser kept it */
export async function keepGarage(garage: OpenGarage): Promise<boolean> {
  const { document, revisions, edition, ...record } = garage;
  try {
    const kept: Kept = { build: __BUILD__, file: writeGarageFile(document), record, revisions, edition };
    await (await database()).put(GARAGES, kept, garage.id);
    return true;
  } catch {
    return false;
  }
}

function own(file: string): GarageDocument {
  const {
    format: _format,
    version: _version,
    ...document
  } = JSON.parse(file) as GarageDocument & Record<string, unknown>;
  return document;
}
/** A garage as it was last seen here; null where it never was, or what is kept cannot be read. */
export async function keptGarage(id: string): Promise<OpenGarage | null> {
  try {
    const kept = (await (await database()).get(GARAGES, id)) as Kept | undefined;
    if (!kept) return null;
    // What this very build wrote is not looked at again: on a phone that takes as long as all the rest of opening it.
    const read = kept.build === __BUILD__ ? { ok: true as const, document: own(kept.file) } : readGarageFile(kept.file);
    if (!read.ok) return null;
    // A table that is newer than what is kept has no revisions yet.
    const revisions = Object.fromEntries(TABLES.map((t) => [t, kept.revisions[t] ?? {}])) as Record<
      TableName,
      Record<string, number>
    >;
    return { ...kept.record, document: read.document, revisions, edition: kept.edition };
  } catch {
    return null;
  }
}

export async function keepList(list: readonly GarageRecord[]): Promise<void> {
  try {
    await (await database()).put(LIST, [...list], LIST);
  } catch {
    // Without it the garages are not listed offline; nothing of them is lost.
  }
}
export async function keptList(): Promise<GarageRecord[]> {
  try {
    return ((await (await database()).get(LIST, LIST)) as GarageRecord[] | undefined) ?? [];
  } catch {
    return [];
  }
}

/** Asks the browser to keep what is stored here even when it runs short of room. @returns whether it does */
export async function askToPersist(): Promise<boolean> {
  if (!('storage' in navigator) || !navigator.storage.persist) return false;
  return (await navigator.storage.persisted()) || (await navigator.storage.persist());
}

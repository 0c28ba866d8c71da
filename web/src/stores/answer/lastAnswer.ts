import { openDB, type IDBPDatabase } from 'idb';
import type { Answer, GarageDocument } from '@necessaire/core';

/** An answer kept beside the document that it is of, so that it is there at once when the page is opened again. */
export interface Kept {
  /** Fingerprint of the document and what was asked. */
  of: string;
  /** The build of the program that answered; absent from before it was noted. */
  build?: string;
  answer: Answer;
}

/** 53 bits of a text: enough to tell one document from another, not meant against anybody. */
function fingerprint(text: string): string {
  let [a, b] = [0xdeadbeef, 0x41c6ce57];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 2654435761);
    b = Math.imul(b ^ c, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}

const STORE = 'answers';
let opened: Promise<IDBPDatabase> | null = null;
const database = () =>
  (opened ??= openDB('necessaire-answers', 1, { upgrade: (db) => void db.createObjectStore(STORE) }));

/** What an answer is of: a change of anything that it follows from changes this. */
export const answerOf = (doc: GarageDocument, question: object): string =>
  fingerprint(JSON.stringify(doc)) + fingerprint(JSON.stringify(question));

/** The last answer of a garage, with the build that gave it, where it is still of the same document; null where it is not, or nothing is kept. */
export async function lastAnswer(garageId: string, of: string): Promise<Kept | null> {
  try {
    const kept = (await (await database()).get(STORE, garageId)) as Kept | undefined;
    return kept?.of === of ? kept : null;
  } catch {
    // A browser that keeps nothing works it out anew.
    return null;
  }
}
export async function keepAnswer(garageId: string, of: string, answer: Answer): Promise<void> {
  try {
    await (await database()).put(STORE, { of, build: __BUILD__, answer } satisfies Kept, garageId);
  } catch {
    // The next visit works it out anew.
  }
}

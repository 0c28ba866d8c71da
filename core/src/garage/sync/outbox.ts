import { under } from '../../ground/numbers.js';
import { sameJson } from '../../ground/json.js';
import type { Fault } from '../../ground/faults.js';
import { keyOf, onTop, type Body, type Change, type Edit, type Where } from './change.js';
import type { Clash, Reply, EditOutcome } from './exchange.js';

/** An edit on its way, as it lies in the outbox. */
export type Entry = { edit: Edit } & (
  | { state: 'unsent' }
  /** Somebody else changed the same: the rider is asked. */
  | { state: 'asked'; at: Clash[] }
  /** The server will not take it for what it is: it lies in the tray and holds up nothing. */
  | { state: 'refused'; fault: Fault }
);

/** The rows of a garage as this page last heard them from the server. Deleted ones keep their revision. */
export interface Known {
  edition: number;
  rows: Map<string, { revision: number; row: Body | null }>;
}

/** What a reply tells, entered into what is known: a row never goes back to an older revision. @returns keys of the rows that changed */
export function absorb(known: Known, reply: Pick<Reply, 'edition' | 'news'>): { table: Where; id: string }[] {
  const changed: { table: Where; id: string }[] = [];
  for (const { table, id, revision, row } of reply.news) {
    const key = keyOf({ table, id });
    if ((known.rows.get(key)?.revision ?? 0) >= revision) continue;
    known.rows.set(key, { revision, row });
    changed.push({ table, id });
  }
  known.edition = Math.max(known.edition, reply.edition);
  return changed;
}

/** What became of edits, entered into the outbox. What was written leaves it; of an edit that is not there any more nothing is said. */
export function judged(entries: readonly Entry[], outcomes: readonly EditOutcome[]): Entry[] {
  const by = new Map(outcomes.map((v) => [v.id, v]));
  return entries.flatMap((entry): Entry[] => {
    const v = entry.state === 'unsent' ? by.get(entry.edit.id) : undefined;
    if (!v) return [entry];
    if (v.is === 'done') return [];
    if (v.is === 'clash') return [{ edit: entry.edit, state: 'asked', at: v.at }];
    return [{ edit: entry.edit, state: 'refused', fault: v.fault }];
  });
}

/** Rows as the page shows them: as known, with one's own changes over them that are not refused. By key; one pass, however many rows. */
export function shownRows(
  known: Known,
  entries: readonly Entry[],
  rows: readonly { table: Where; id: string }[],
): Map<string, Body | null> {
  const out = new Map<string, Body | null>();
  for (const at of rows) out.set(keyOf(at), known.rows.get(keyOf(at))?.row ?? null);
  for (const e of entries)
    if (e.state !== 'refused')
      for (const c of e.edit.changes) {
        const row = out.get(keyOf(c));
        if (row !== undefined) out.set(keyOf(c), onTop(c, row));
      }
  return out;
}

/** Revision that a new change of each row is made on: that of the oldest of one's own changes that still wait, else what is known. */
export function bases(
  known: Known,
  entries: readonly Entry[],
  rows: readonly { table: Where; id: string }[],
): Map<string, number> {
  const waiting = new Map<string, number>();
  for (const e of entries)
    if (e.state !== 'refused')
      for (const c of e.edit.changes) if (!waiting.has(keyOf(c))) waiting.set(keyOf(c), c.kind === 'make' ? 0 : c.base);
  return new Map(
    rows.map((at) => [keyOf(at), waiting.get(keyOf(at)) ?? known.rows.get(keyOf(at))?.revision ?? 0] as const),
  );
}

/** One row that two sides changed, as a rider is asked about it. */
export interface ClashQuestion {
  table: Where;
  id: string;
  mine: Body | null;
  theirs: Body | null;
  /** The fields that both changed. */
  fields: string[];
}

/** Every row that a rider has to decide about, the oldest first. */
export function questions(known: Known, entries: readonly Entry[]): ClashQuestion[] {
  const asked = new Map<string, { table: Where; id: string; fields: Set<string>; last: Body | null }>();
  for (const e of entries)
    if (e.state === 'asked')
      for (const clash of e.at) {
        const c = e.edit.changes[clash.change];
        if (!c) continue;
        const q = asked.get(keyOf(c)) ?? { table: c.table, id: c.id, fields: new Set<string>(), last: null };
        for (const f of clash.fields) q.fields.add(f);
        q.last ??= clash.last;
        asked.set(keyOf(c), q);
      }
  return [...asked.values()].map((q) => ({
    table: q.table,
    id: q.id,
    theirs: known.rows.get(keyOf(q))?.row ?? null,
    mine: mineOf(known, entries, q),
    fields: [...q.fields],
  }));
}

/** One's own version of a row: its changes over what is known, over its last version where it is gone. */
function mineOf(known: Known, entries: readonly Entry[], q: { table: Where; id: string; last: Body | null }) {
  const theirs = known.rows.get(keyOf(q))?.row ?? q.last;
  let row: Body | null = theirs;
  for (const e of entries)
    if (e.state !== 'refused')
      for (const c of e.edit.changes) if (c.table === q.table && c.id === q.id) row = onTop(c, row);
  return row;
}

/**
 * The rider's answer about a row. The edits that wait for it go on under ids of their own: what was judged once under an id is never judged again.
 * With `mine` one's own fields are written over theirs; with `theirs` the fields that both changed stay as they are there, the others are
 * joined. An edit that waits for other answers too goes on waiting.
 * @param asked the question as it stood before the rider: when theirs is another by now, nothing is decided and the rider is asked anew
 */
export function withAnswer(
  known: Known,
  entries: readonly Entry[],
  asked: Pick<ClashQuestion, 'table' | 'id' | 'theirs'>,
  keep: 'mine' | 'theirs',
  nextId: () => string,
): Entry[] {
  const at = { table: asked.table, id: asked.id };
  const question = questions(known, entries).find((q) => q.table === at.table && q.id === at.id);
  if (!question || !sameJson(question.theirs, asked.theirs)) return [...entries];
  const now = known.rows.get(keyOf(at));
  const made = settled(question, at, now?.revision ?? 0, keep);
  let placed = false;
  return entries.flatMap((e): Entry[] => {
    if (e.state !== 'asked' || !e.edit.changes.some((c) => c.table === at.table && c.id === at.id)) return [e];
    const open = e.at.filter((clash) => {
      const c = e.edit.changes[clash.change];
      return c && !(c.table === at.table && c.id === at.id);
    });
    const changes: Change[] = [];
    const moved = new Map<number, number>();
    e.edit.changes.forEach((c, i) => {
      if (c.table === at.table && c.id === at.id) {
        // The whole answer goes with the first edit that asked; the others have nothing more to say about this row.
        if (!placed && made) changes.push(made);
        placed = true;
      } else {
        moved.set(i, changes.length);
        changes.push(c);
      }
    });
    if (changes.length === 0) return [];
    const edit: Edit = { ...e.edit, id: nextId(), changes };
    if (open.length === 0) return [{ edit, state: 'unsent' }];
    return [{ edit, state: 'asked', at: open.map((clash) => ({ ...clash, change: under(moved, clash.change) })) }];
  });
}

/** The one change that brings about what the rider decided, made on what is there now; null when nothing is left to do. */
function settled(
  q: ClashQuestion,
  at: { table: Where; id: string },
  revision: number,
  keep: 'mine' | 'theirs',
): Change | null {
  const { mine, theirs } = q;
  if (mine === null) return keep === 'mine' && theirs ? { kind: 'delete', ...at, base: revision, row: theirs } : null;
  if (theirs === null) return keep === 'mine' ? { kind: 'make', ...at, row: mine } : null;
  const fields = Object.keys({ ...theirs, ...mine })
    .filter((f) => keep === 'mine' || !q.fields.includes(f))
    .filter((f) => !sameJson(mine[f], theirs[f]))
    .map((field) => ({ field, was: theirs[field], now: mine[field] }));
  return fields.length === 0 ? null : { kind: 'set', ...at, base: revision, fields };
}

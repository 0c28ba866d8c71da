import {
  at as itemAt,
  present,
  under,
  keyOf,
  MOST_ROWS,
  type Edit,
  type TableName,
  type Where,
} from '@necessaire/core';
import type { Logger } from 'pino';
import type { Store } from '../db/store.js';
import { prepared } from './prepared.js';
import { connected, type Client } from './transaction.js';
import { ALONE, growth, newsOf, type StoredRows, type Write, type Written } from './writes.js';

/** Edits of at most so many changes are written together with others; larger ones alone, so that nobody waits for them. */
const SMALL = 20;
/** Edits that one statement writes at most. */
const MOST_TOGETHER = 64;
/** An edit on its way, and what it is told. */
interface Waiting {
  garage: string;
  edit: Edit;
  decide: (found: StoredRows) => Promise<Write[]>;
  /** Null where it has to go its own way: it clashes, is refused, or came before. */
  done: (written: Written | null) => void;
}

class NotWritten extends Error {}

const isSmall = (edit: Edit): boolean =>
  edit.changes.length <= SMALL && !edit.changes.some((c) => ALONE.includes(c.table));

/**
 * Edits that arrive while others are being written wait for one another: one statement reads what all of them name, one writes them, so that
 * a busy server pays for two journeys to the database a batch instead of two an edit. It is a short cut and decides nothing by itself: whatever
 * does not go smoothly for the whole batch is handed back, each edit to be written alone.
 */
export class Together {
  private waiting: Waiting[] = [];
  private running = false;
  /** Garages in which a large edit is being written: its lock would hold up all the others. */
  private readonly held = new Map<string, number>();

  constructor(
    private readonly store: Pick<Store, 'edits'>,
    private readonly log?: Logger,
  ) {}

  /** Writes a small edit with others. @returns null where it has to be written alone */
  write(garage: string, edit: Edit, decide: Waiting['decide']): Promise<Written | null> {
    if (!isSmall(edit) || this.held.has(garage)) return Promise.resolve(null);
    return new Promise((done) => {
      this.waiting.push({ garage, edit, decide, done });
      if (!this.running) void this.run();
    });
  }

  /** Keeps a garage out of the batches while an edit of it is written alone. */
  async alone<T>(garage: string, work: () => Promise<T>): Promise<T> {
    this.held.set(garage, (this.held.get(garage) ?? 0) + 1);
    try {
      return await work();
    } finally {
      const left = under(this.held, garage) - 1;
      if (left === 0) this.held.delete(garage);
      else this.held.set(garage, left);
    }
  }

  private async run(): Promise<void> {
    this.running = true;
    // What arrives in the same turn of the loop goes along.
    await new Promise<void>((resolve) => setImmediate(resolve));
    while (this.waiting.length > 0) {
      const batch = this.next();
      try {
        const written = await connected(this.store.edits, (client) => writeAll(client, batch));
        batch.forEach((w, i) => w.done(written[i] ?? null));
      } catch (error) {
        if ((error as { code?: string }).code !== '22012' && !(error instanceof NotWritten))
          this.log?.warn({ err: error }, 'a batch of edits failed: each goes alone');
        // Written or not, each finds out by itself: its id is entered with its rows.
        for (const w of batch) w.done(null);
      }
    }
    this.running = false;
  }

  /** The next edits of which no two name the same row; the others keep their turn. */
  private next(): Waiting[] {
    const rows = new Set<string>();
    const batch: Waiting[] = [];
    const later: Waiting[] = [];
    for (const w of this.waiting) {
      const named = [`edit ${w.edit.id}`, ...w.edit.changes.map((c) => `${w.garage} ${keyOf(c)}`)];
      const free = batch.length < MOST_TOGETHER && !named.some((n) => rows.has(n));
      // Named all the same: an edit must not overtake the one before it on the same row.
      for (const n of named) rows.add(n);
      (free ? batch : later).push(w);
    }
    this.waiting = later;
    return batch;
  }
}

/** All rows that the edits name, in one statement. */
async function readAll(client: Client, batch: readonly Waiting[]): Promise<StoredRows[]> {
  const at = new Map<Where, { garage: string; id: string }[]>();
  for (const w of batch)
    for (const c of w.edit.changes) {
      const list = at.get(c.table) ?? [];
      at.set(c.table, list);
      list.push({ garage: w.garage, id: c.id });
    }
  const tables = [...at.keys()].sort();
  const text = tables
    .map(
      (t, i) =>
        `select '${t}' as place, t.garage_id, t.id, t.revision, t.body, t.deleted_at is not null as gone
           from unnest($${2 * i + 1}::uuid[], $${2 * i + 2}::uuid[]) as a (garage_id, id) join ${t} t using (garage_id, id)`,
    )
    .join(' union all ');
  const { rows } = await client.query({
    ...prepared(text),
    values: tables.flatMap((t) => [under(at, t).map((a) => a.garage), under(at, t).map((a) => a.id)]),
  });
  const found = new Map<string, StoredRows>();
  for (const r of rows as {
    place: Where;
    garage_id: string;
    id: string;
    revision: number;
    body: Write['row'];
    gone: boolean;
  }[]) {
    const mine = found.get(r.garage_id) ?? new Map();
    found.set(r.garage_id, mine);
    mine.set(keyOf({ table: r.place, id: r.id }), { revision: r.revision, row: r.body, deleted: r.gone });
  }
  // Rows of one garage are shared by its edits, which name different ones.
  return batch.map((w) => found.get(w.garage) ?? new Map());
}

/** What is to be entered of an edit: the how manyeth of its garage it is, and what it touched. */
interface Entry {
  garage: string;
  id: string;
  turn: number;
  touched: [Where, string][];
}

/**
 * The statement that writes the edits of several garages, all or none. A garage that somebody else is writing is passed over, and the whole
 * fails (division by zero), as it does where a row is not what was judged or a garage is full.
 */
function statement(tables: readonly TableName[], growing: readonly TableName[]): string {
  const puts = tables.map(
    (t, i) => `, w${i} as (
      insert into ${t} as t (garage_id, id, revision, body, deleted_at)
        select g.id, r.id, r.revision, r.body, case when r.gone then now() end
        from json_to_recordset($2::json) as r (garage uuid, "table" text, id uuid, revision int, body jsonb, gone boolean)
          join g on g.id = r.garage
        where r."table" = '${t}'
        on conflict (garage_id, id) do update
          set revision = excluded.revision, body = excluded.body, deleted_at = excluded.deleted_at
          where t.revision = excluded.revision - 1
        returning 1)`,
  );
  const fits = growing.map(
    (t) => ` and not exists (
      select from json_to_recordset($4::json) as n (garage uuid, "table" text, more int)
      where n."table" = '${t}' and n.more > 0 and n.more
        + (select count(*) from ${t} x where x.garage_id = n.garage and x.deleted_at is null) > ${MOST_ROWS[t]})`,
  );
  return `
    with e as (select * from json_to_recordset($1::json) as e (garage uuid, id uuid, turn int, touched jsonb)),
      free as (select x.id from garages x where x.id in (select garage from e) and x.deleted_at is null
        order by x.id for update skip locked),
      g as (update garages x set edition = x.edition + c.n
        from (select garage, count(*) as n from e group by garage) c, free
        where x.id = c.garage and x.id = free.id returning x.id, x.edition - c.n as before)${puts.join('')},
      log as (insert into edits (garage_id, id, edition, touched)
        select e.garage, e.id, g.before + e.turn, e.touched from e join g on g.id = e.garage)
    select g.id, g.before, 1 / (case when (select count(*) from g) = $5::int
        and ${['0', ...tables.map((_, i) => `(select count(*) from w${i})`)].join(' + ')} = $3::int
        and $4::json is not null${fits.join('')}
      then 1 else 0 end) as whole from g`;
}

/**
 * One batch. @returns what each came to, null for those that go alone
 * @throws where the batch as a whole was not written
 */
async function writeAll(client: Client, batch: readonly Waiting[]): Promise<(Written | null)[]> {
  const found = await readAll(client, batch);
  const writes: (Write[] | null)[] = [];
  for (const [i, w] of batch.entries())
    // A clash or a refusal is found again, and remembered, by the edit alone.
    writes.push(await w.decide(itemAt(found, i)).catch(() => null));
  const turns = new Map<string, number>();
  const entries: (Entry | null)[] = batch.map((w, i) => {
    const mine = writes[i];
    if (!mine || mine.length === 0) return null;
    const turn = (turns.get(w.garage) ?? 0) + 1;
    turns.set(w.garage, turn);
    return { garage: w.garage, id: w.edit.id, turn, touched: mine.map((r) => [r.table, r.id]) };
  });
  const rows = batch.flatMap((w, i) =>
    entries[i]
      ? present(writes[i]).map(({ table, id, revision, row, gone }) => ({
          garage: w.garage,
          table,
          id,
          revision,
          body: row,
          gone,
        }))
      : [],
  );
  if (rows.length === 0) return batch.map(() => null);
  const more = new Map<string, { garage: string; table: Where; more: number }>();
  batch.forEach((w, i) => {
    for (const r of entries[i] ? present(writes[i]) : []) {
      const key = `${w.garage} ${r.table}`;
      const n = more.get(key) ?? { garage: w.garage, table: r.table, more: 0 };
      more.set(key, n);
      n.more += growth(r);
    }
  });
  const tables = [...new Set(rows.map((r) => r.table))].sort() as TableName[];
  const growing = tables.filter((t) => [...more.values()].some((n) => n.table === t && n.more > 0));
  const { rows: answer } = await client.query({
    ...prepared(statement(tables, growing)),
    values: [
      JSON.stringify(entries.filter((e) => e !== null)),
      JSON.stringify(rows),
      rows.length,
      JSON.stringify([...more.values()]),
      turns.size,
    ],
  });
  const before = new Map((answer as { id: string; before: string }[]).map((r) => [r.id, Number(r.before)]));
  // No garage at all was free: nothing was counted, nothing failed, and nothing is written.
  if (before.size !== turns.size) throw new NotWritten();
  return batch.map((w, i) => {
    const entry = entries[i];
    return entry
      ? {
          edition: under(before, w.garage) + entry.turn,
          rows: present(writes[i]).map(newsOf),
        }
      : null;
  });
}

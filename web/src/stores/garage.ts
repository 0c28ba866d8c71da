import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  newGarage,
  faultsOf,
  garageSchema,
  ROW_SCHEMAS,
  TABLES,
  type Fastener,
  type Garage,
  type GarageDocument,
  type Row,
  type TableName,
} from '@necessaire/core';
import { api, ApiError, type GarageRecord } from '../api/client';
import { applied, inverse, merged, type Edit, type RowChange, type RowOrder } from './changes';
import { useView } from './view';

/** A write that met another version of the row and that fields alone cannot join: the rider chooses. */
export type Conflict =
  | { table: TableName; id: string; mine: Row | null; theirs: Row | null; revision: number }
  | { table: 'garage'; id: ''; mine: Garage; theirs: Garage; revision: number };
/** A row that was not taken, by this page or by the server, set aside so that it holds up nothing else. */
export interface Refused {
  label: string;
  /** What is wrong, in words. */
  why: string;
  change: RowChange;
  fastenerId: string | null;
}
export type Keeping = 'kept' | 'keeping' | 'not kept';

const MOST_UNDO = 200;
const RETRY_MS = [500, 1000, 2000, 4000, 8000];
/** What had not reached the server when the page was closed. */
interface Unsent {
  rows: RowChange[];
  garage: Garage | null;
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const pendingKey = (garageId: string) => `necessaire.pending.${garageId}`;

/** The open garage: edits apply at once here, are undone and redone here, and follow to the server in the background. */
export const useGarage = defineStore('garage', () => {
  const view = useView();
  const list = ref<GarageRecord[]>([]);
  const doc = shallowRef<GarageDocument | null>(null);
  const keeping = ref<Keeping>('kept');
  const trouble = ref<string | null>(null);
  const conflict = shallowRef<Conflict | null>(null);
  const refused = shallowRef<Refused[]>([]);
  const undoStack = shallowRef<Edit[]>([]);
  const redoStack = shallowRef<Edit[]>([]);
  /** Counts edits, so that whoever computes knows that something changed. */
  const version = ref(0);

  let revisions: Record<TableName, Record<string, number>>;
  /** Rows as the server last had them: the base for joining two versions. */
  let synced = new Map<string, Row | null>();
  let order: RowOrder = new Map();
  let garageRevision = 1;
  let pending = new Map<string, { table: TableName; id: string }>();
  let garagePending = false;
  let sending: Promise<void> | null = null;
  let garageSynced: Garage;
  /** Failed sends in a row, and whether the next waits for a timer, a new edit or the rider. */
  let failures = 0;
  let waiting = false;

  const bike = computed(() => doc.value?.bikes.find((b) => b.id === view.bikeId) ?? doc.value?.bikes[0] ?? null);
  const trip = computed(() => doc.value?.trips.find((t) => t.id === view.tripId) ?? doc.value?.trips[0] ?? null);
  const fasteners = computed<Fastener[]>(() => doc.value?.fasteners.filter((f) => f.bikeId === bike.value?.id) ?? []);
  const places = computed(() => doc.value?.places.filter((p) => p.bikeId === bike.value?.id) ?? []);

  /** Rows of a table by id, made once for each version of the table. */
  const indexes = new WeakMap<readonly Row[], Map<string, Row>>();
  function rowNow(table: TableName, id: string): Row | null {
    const rows = doc.value?.[table] as Row[] | undefined;
    if (!rows) return null;
    let index = indexes.get(rows);
    if (!index) {
      index = new Map(rows.map((r) => [r.id, r]));
      indexes.set(rows, index);
    }
    return index.get(id) ?? null;
  }

  async function refreshList() {
    list.value = await api.list();
  }

  /** Opens a garage; without an id the one last open, else the first. Unsent edits of an earlier visit are taken up again. */
  async function open(id?: string) {
    await settle();
    await refreshList();
    const live = list.value.filter((g) => !g.deleted);
    const wanted = live.find((g) => g.id === (id ?? view.garageId)) ?? live[0];
    if (!wanted) {
      await create('My garage');
      return;
    }
    const opened = await api.open(wanted.id);
    doc.value = opened.document;
    revisions = opened.revisions;
    garageRevision = opened.revision;
    garageSynced = opened.document.garage;
    garagePending = false;
    waiting = false;
    synced = new Map(TABLES.flatMap((t) => (opened.document[t] as Row[]).map((r) => [`${t} ${r.id}`, r] as const)));
    order = new Map();
    for (const t of TABLES) for (const r of opened.document[t]) order.set(r.id, order.size);
    pending = new Map();
    undoStack.value = [];
    redoStack.value = [];
    conflict.value = null;
    refused.value = [];
    view.garageId = wanted.id;
    view.fastenerId = null;
    view.pieceId = null;
    version.value++;
    takeUpUnsent(wanted.id);
  }

  function takeUpUnsent(id: string) {
    const text = localStorage.getItem(pendingKey(id));
    if (!text) return;
    try {
      const unsent = JSON.parse(text) as Unsent;
      const rows = unsent.rows.map((r) => ({ ...r, before: rowNow(r.table, r.id) }));
      const garage = unsent.garage && doc.value ? { before: doc.value.garage, after: unsent.garage } : undefined;
      const sound = rows.filter((r) => valid(r));
      for (const r of rows) if (!sound.includes(r)) setAside('An unsaved change', r);
      perform({ label: 'unsent changes', rows: sound, ...(garage ? { garage } : {}) });
    } catch {
      localStorage.removeItem(pendingKey(id));
    }
  }

  function keepUnsent() {
    const id = view.garageId;
    if (!id) return;
    try {
      if (pending.size === 0 && !garagePending) {
        localStorage.removeItem(pendingKey(id));
        return;
      }
      const unsent: Unsent = {
        rows: [...pending.values()].map((p) => ({ ...p, before: null, after: rowNow(p.table, p.id) })),
        garage: garagePending ? (doc.value?.garage ?? null) : null,
      };
      localStorage.setItem(pendingKey(id), JSON.stringify(unsent));
    } catch {
      // Without local storage unsent edits live as long as the page; the frame says that they are not kept.
    }
  }

  /** Whether a row is what the server would take: the same schema decides. */
  const valid = ({ table, after }: RowChange): boolean => after === null || ROW_SCHEMAS[table].safeParse(after).success;
  const nameOf = (row: Row | null): string =>
    row && 'name' in row && typeof row.name === 'string' ? row.name : 'A change';
  function setAside(label: string, change: RowChange, why?: string) {
    const parsed = change.after ? ROW_SCHEMAS[change.table].safeParse(change.after) : null;
    const [first] = parsed && !parsed.success ? faultsOf(parsed.error) : [];
    const said = why ?? (first ? `${first.path}: ${first.message}` : 'it is not complete');
    refused.value = [
      ...refused.value.filter((r) => r.change.id !== change.id),
      { label, why: said, change, fastenerId: change.table === 'fasteners' ? change.id : null },
    ];
  }

  function perform(edit: Edit) {
    if (!doc.value) return;
    doc.value = applied(doc.value, edit, order);
    for (const { table, id } of edit.rows) pending.set(`${table} ${id}`, { table, id });
    if (edit.garage) garagePending = true;
    version.value++;
    keepUnsent();
    void send();
  }

  /** Applies an edit and remembers it for undo. */
  /** Whether it was taken; what is not goes to the refused, named and with what to do. */
  function edit(label: string, rows: RowChange[], garage?: Garage): boolean {
    if (!doc.value) return false;
    // Rows go to the worker and the server as they are, so nothing reactive may hide in them.
    const made: Edit = plain({
      label,
      rows,
      ...(garage ? { garage: { before: doc.value.garage, after: garage } } : {}),
    });
    // Nothing invalid enters the document: it would be refused, and all that comes after it with it.
    const bad = made.rows.filter((r) => !valid(r));
    if (bad.length > 0) {
      for (const r of bad) setAside(nameOf(r.after), r);
      return false;
    }
    undoStack.value = [...undoStack.value, made].slice(-MOST_UNDO);
    redoStack.value = [];
    perform(made);
    return true;
  }

  /** Writes rows of a table; rows that are new are added. */
  const put = <T extends TableName>(label: string, table: T, ...rows: Row<T>[]) => {
    // One pass over the table, however many rows: a whole file may come in at once.
    const known = new Map<string, Row>(doc.value?.[table].map((row) => [row.id, row]));
    return edit(
      label,
      rows.map((row) => ({ table, id: row.id, before: known.get(row.id) ?? null, after: row as Row })),
    );
  };
  const remove = (label: string, ...rows: { table: TableName; id: string }[]) =>
    edit(
      label,
      rows.map(({ table, id }) => ({ table, id, before: rowNow(table, id), after: null })),
    );

  function undo(): string | null {
    const last = undoStack.value.at(-1);
    if (!last) return null;
    undoStack.value = undoStack.value.slice(0, -1);
    redoStack.value = [...redoStack.value, last];
    perform(inverse(last));
    return last.label;
  }
  function redo(): string | null {
    const last = redoStack.value.at(-1);
    if (!last) return null;
    redoStack.value = redoStack.value.slice(0, -1);
    undoStack.value = [...undoStack.value, last];
    perform(last);
    return last.label;
  }

  function send(): Promise<void> {
    sending ??= flush().finally(() => {
      sending = null;
      if ((pending.size > 0 || garagePending) && !waiting && !conflict.value) void send();
    });
    return sending;
  }

  async function flush() {
    const garageId = view.garageId;
    if (!garageId || !doc.value) return;
    keeping.value = 'keeping';
    const batch = [...pending.entries()];
    const rows = batch.map(([, { table, id }]) => ({
      table,
      id,
      revision: revisions[table][id] ?? 0,
      row: rowNow(table, id),
    }));
    try {
      if (garagePending) {
        const sent = doc.value.garage;
        garageRevision = (await api.save(garageId, garageRevision, sent)).revision;
        garageSynced = sent;
        garagePending = doc.value.garage !== sent;
      }
      if (rows.length > 0) {
        const now = await api.change(garageId, rows);
        rows.forEach(({ table, id, row }, i) => {
          revisions[table][id] = now[i]!;
          synced.set(`${table} ${id}`, row);
          // A row edited again meanwhile stays pending.
          if (rowNow(table, id) === row) pending.delete(`${table} ${id}`);
        });
      }
      failures = 0;
      waiting = false;
      trouble.value = null;
      keeping.value = pending.size === 0 && !garagePending ? 'kept' : 'keeping';
      keepUnsent();
    } catch (error) {
      onSendError(error);
    }
  }

  function onSendError(error: unknown) {
    keeping.value = 'not kept';
    if (!(error instanceof ApiError)) throw error;
    trouble.value = error.message;
    if (error.code === 'stale') {
      settleStale(error);
      return;
    }
    if ((error.status === 422 || error.status === 404) && refuseRow(error)) return;
    failures++;
    waiting = true;
    // What the server cannot take will not get better by sending it again; what did not arrive will.
    if (error.status === 0 || error.status >= 500 || error.status === 429)
      setTimeout(() => void send(), RETRY_MS[Math.min(failures, RETRY_MS.length) - 1]);
  }

  /** Sets the row aside that the server will not take as it is, and goes on with the others. */
  function refuseRow(error: ApiError): boolean {
    const at = /^changes\[(\d+)\]/.exec(error.path);
    const where = at ? [...pending.values()][Number(at[1])] : undefined;
    if (!where) return false;
    const { table, id } = where;
    const mine = rowNow(table, id);
    const last = synced.get(`${table} ${id}`) ?? null;
    pending.delete(`${table} ${id}`);
    setAside(nameOf(mine ?? last), { table, id, before: last, after: mine }, error.message);
    // The page shows what is saved; what was refused can be opened and sent again.
    if (doc.value)
      doc.value = applied(doc.value, { label: 'refused', rows: [{ table, id, before: mine, after: last }] }, order);
    version.value++;
    keepUnsent();
    waiting = false;
    return true;
  }
  const dropRefused = (i: number) => (refused.value = refused.value.filter((_, k) => k !== i));
  function retryRefused(i: number) {
    const r = refused.value[i];
    if (!r) return;
    dropRefused(i);
    edit(r.label, [{ ...r.change, before: rowNow(r.change.table, r.change.id) }]);
  }
  function openRefused(i: number) {
    const r = refused.value[i];
    if (r?.fastenerId && rowNow('fasteners', r.fastenerId)) view.fastenerId = r.fastenerId;
  }

  function settleStale(error: ApiError) {
    const at = /^changes\[(\d+)\]/.exec(error.path);
    const where = at ? [...pending.values()][Number(at[1])] : undefined;
    const revision = Number(error.more['revision']);
    if (where) settleRow(where, (error.more['theirs'] ?? null) as Row | null, revision);
    else settleGarage(garageSchema.parse(error.more['theirs']), revision);
  }

  function settleRow(where: { table: TableName; id: string }, theirs: Row | null, revision: number) {
    const mine = rowNow(where.table, where.id);
    const base = synced.get(`${where.table} ${where.id}`) ?? null;
    const joined = base && mine && theirs ? merged(base, mine, theirs) : null;
    if (joined) {
      revisions[where.table][where.id] = revision;
      perform({ label: 'joined', rows: [{ ...where, before: mine, after: joined }] });
    } else conflict.value = { ...where, mine, theirs, revision };
  }

  function settleGarage(theirs: Garage, revision: number) {
    const mine = doc.value!.garage;
    const joined = merged(garageSynced, mine, theirs);
    if (!joined) {
      conflict.value = { table: 'garage', id: '', mine, theirs, revision };
      return;
    }
    garageRevision = revision;
    garageSynced = theirs;
    perform({ label: 'joined', rows: [], garage: { before: mine, after: joined } });
  }

  /** Ends a conflict by keeping one of the versions. */
  function resolve(keep: 'mine' | 'theirs') {
    const c = conflict.value;
    if (!c) return;
    conflict.value = null;
    waiting = false;
    if (c.table === 'garage') {
      garageRevision = c.revision;
      garageSynced = c.theirs;
      if (keep === 'theirs') perform({ label: 'theirs', rows: [], garage: { before: c.mine, after: c.theirs } });
    } else {
      revisions[c.table][c.id] = c.revision;
      if (keep === 'theirs')
        perform({ label: 'theirs', rows: [{ table: c.table, id: c.id, before: c.mine, after: c.theirs }] });
    }
    void send();
  }

  /** Waits until what can be sent is sent. */
  async function settle() {
    if (sending) await sending;
  }

  async function create(name: string) {
    const record = await api.create(crypto.randomUUID(), newGarage({ name }));
    await open(record.id);
  }
  async function rename(name: string) {
    if (doc.value) edit(`rename to ${name}`, [], { ...doc.value.garage, name });
    await settle();
    await refreshList();
  }
  async function removeGarage(id: string) {
    await api.remove(id);
    await refreshList();
    if (view.garageId === id) await open(list.value.find((g) => !g.deleted)?.id);
  }
  async function restoreGarage(id: string) {
    await api.restore(id);
    await open(id);
  }
  async function importFile(text: string) {
    const id = crypto.randomUUID();
    await api.importFile(id, text);
    await open(id);
  }

  addEventListener('beforeunload', (event) => {
    if ((pending.size > 0 || garagePending) && keeping.value === 'not kept') event.preventDefault();
  });

  return {
    list,
    doc,
    bike,
    trip,
    fasteners,
    places,
    keeping,
    trouble,
    conflict,
    refused,
    dropRefused,
    retryRefused,
    openRefused,
    version,
    undoStack,
    redoStack,
    open,
    edit,
    put,
    remove,
    undo,
    redo,
    resolve,
    settle,
    create,
    rename,
    removeGarage,
    restoreGarage,
    importFile,
    refreshList,
  };
});

import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowReactive, shallowRef } from 'vue';
import {
  bookOf,
  changeOf,
  cleaned,
  cut,
  faultsOf,
  garageSchema,
  keyOf,
  newGarage,
  ROW_SCHEMAS,
  sameJson,
  Session,
  TABLES,
  type Body,
  type Change,
  type ClashQuestion,
  type Entry,
  type Fastener,
  type Fault,
  type Garage,
  type GarageDocument,
  type Row,
  type Standing,
  type TableName,
  type Where,
} from '@necessaire/core';
import { api, ApiError, type GarageRecord, type OpenGarage } from '../api/client';
import { keepGarage, keepList, keptGarage, keptList } from '../sync/garageStore';
import { hearOthers, type Others } from '../sync/others';
import { browserPorts } from '../sync/ports';
import { openedOf, withRows, type RowChange, type RowOrder } from './changes';
import { History } from './history';
import { useView } from './view';

export type Keeping = 'kept' | 'keeping' | 'not kept';
/** An edit that could not be saved, as it lies in the tray. */
export type Refused = Extract<Entry, { state: 'refused' }>;
/** What an undo or redo came to: what was undone, or why it was not. */
export type Undone = { label: string; why: string | null } | null;

const MOST_UNDO = 200;
/** A change that follows soon is kept with the next, ms. */
const KEEP_AFTER = 1500;
/** A server that has not answered by then is far away: what is kept here is shown meanwhile, ms. */
const FAR = 1200;
/** Whether the server was not reached, as against refusing. */
const isAway = (error: unknown): boolean => error instanceof ApiError && (error.status === 0 || error.status >= 500);
/** The same, but no longer than a server nearby takes, where there is something else to show. */
async function soon<T>(work: Promise<T>, impatient: boolean): Promise<T> {
  if (!impatient) return work;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, refuse) => {
    timer = setTimeout(() => refuse(new ApiError(0, 'far', 'The server is far away.', '')), FAR);
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
    work.catch(() => undefined);
  }
}
const WELL: Standing = { unsent: 0, trouble: null, stored: true, writing: false };
/** Until the outbox has been looked into, nobody says that all is saved. */
const OPENING: Standing = { ...WELL, unsent: 1 };
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const schemaOf = (table: Where) => (table === 'garage' ? garageSchema : ROW_SCHEMAS[table]);

/** The open garage: edits apply at once here, are undone and redone here, and follow to the server through its session (docs/sync.md). */
export const useGarage = defineStore('garage', () => {
  const view = useView();
  const list = ref<GarageRecord[]>([]);
  const doc = shallowRef<GarageDocument | null>(null);
  const standing = shallowRef<Standing>(WELL);
  const questions = shallowRef<ClashQuestion[]>([]);
  const tray = shallowRef<Refused[]>([]);
  const history = shallowReactive(new History(MOST_UNDO));
  /** Counts edits, so that whoever computes knows that something changed. */
  const version = ref(0);
  const keeping = computed<Keeping>(() =>
    standing.value.trouble !== null && standing.value.unsent > 0 && !standing.value.writing
      ? 'not kept'
      : standing.value.unsent > 0
        ? 'keeping'
        : 'kept',
  );
  const trouble = computed(() => standing.value.trouble);

  /** Edition that this browser keeps, or is about to. */
  let keptEdition = 0;
  let session: Session | null = null;
  let others: Others | null = null;
  let order: RowOrder = new Map();

  /** All kinds of spare: those known, and the rider's own. */
  const book = computed(() => bookOf(doc.value?.kinds ?? []));
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
  const bodyNow = (at: { table: Where; id: string }): Body | null =>
    at.table === 'garage' ? (doc.value?.garage ?? null) : rowNow(at.table, at.id);

  async function refreshList() {
    const listed = await api.list();
    // As it came: what the page watches cannot be stored.
    void keepList(listed);
    list.value = listed;
  }
  /** The garages there are: by the server, or as they were last seen where it is not reached. */
  async function known(): Promise<GarageRecord[]> {
    const kept = await keptList();
    try {
      await soon(refreshList(), kept.length > 0);
    } catch (error) {
      if (kept.length === 0 || !isAway(error)) throw error;
      list.value = kept;
    }
    return list.value.filter((g) => !g.deleted);
  }
  /** A garage by the server, or as it was last seen here where the server is away or slow; then what changed since is asked for. */
  async function fetched(id: string): Promise<OpenGarage> {
    const kept = await keptGarage(id);
    try {
      return await soon(api.open(id), kept !== null);
    } catch (error) {
      if (!kept || !isAway(error)) throw error;
      return kept;
    }
  }

  /** Opens a garage; without an id the one last open, else the first. Unsent edits of an earlier visit are taken up again. */
  async function open(id?: string) {
    await settle();
    const live = await known();
    const wanted = live.find((g) => g.id === (id ?? view.garageId)) ?? live[0];
    if (!wanted) {
      await create('My garage');
      return;
    }
    const opened = await fetched(wanted.id);
    take(opened);
    await session?.start();
    void keepGarage(opened);
    // What is shown may be from before: what changed since is asked for.
    if (session) void session.check();
  }

  /** The server's state is kept beside the outbox, some time after it changed, so that the garage opens without it. */
  /** What is not kept yet; null when all is. */
  let toKeep: (() => void) | null = null;
  const keeper = useTimeoutFn(() => toKeep?.(), KEEP_AFTER, { immediate: false });
  function keepLater(own: Session, id: string) {
    toKeep = () => {
      toKeep = null;
      keeper.stop();
      const now = openedOf(own.known, id, order);
      if (now && session === own)
        void keepGarage({ ...now, id, garage: now.document.garage, deleted: false, edition: own.known.edition });
    };
    keeper.start();
  }

  function take(opened: OpenGarage) {
    session?.close();
    others?.close();
    keptEdition = opened.edition;
    const { document, revisions, id } = opened;
    const known = new Map<string, { revision: number; row: Body | null }>([
      [keyOf({ table: 'garage', id }), { revision: opened.revision, row: document.garage }],
    ]);
    order = new Map();
    for (const table of TABLES)
      for (const row of document[table] as Row[]) {
        known.set(keyOf({ table, id: row.id }), { revision: revisions[table][row.id] ?? 1, row });
        order.set(row.id, order.size);
      }
    doc.value = document;
    history.clear();
    standing.value = OPENING;
    questions.value = [];
    tray.value = [];
    view.garageId = id;
    view.fastenerId = null;
    view.pieceId = null;
    const own = new Session(
      { edition: opened.edition, rows: known },
      browserPorts(id, (edition) => others?.tell(edition)),
      (rows) => {
        if (session === own) show(own, rows);
        if (own.known.edition !== keptEdition) {
          keptEdition = own.known.edition;
          keepLater(own, id);
        }
      },
    );
    session = own;
    others = hearOthers(
      id,
      (edition, outbox) => {
        if (outbox) void own.reread();
        void own.hear(edition);
      },
      () => void own.check(),
    );
    version.value++;
  }

  /** Brings what the page shows to what the session says. What is as it was stays the same object, so that nothing is worked out anew. */
  function show(own: Session, at: readonly { table: Where; id: string }[]) {
    standing.value = own.standing;
    questions.value = own.questions;
    tray.value = own.entries.filter((e) => e.state === 'refused');
    if (!doc.value || at.length === 0) return;
    const rows: { table: TableName; id: string; row: Row | null }[] = [];
    let garage: Garage | null = null;
    for (const [key, body] of own.shown(at)) {
      const [table, id] = key.split(' ') as [Where, string];
      if (sameJson(bodyNow({ table, id }), body)) continue;
      const read = body === null ? null : schemaOf(table).safeParse(body);
      // Only a server newer than this page sends what it cannot read: it stays as it was until the page is loaded anew.
      if (read && !read.success) continue;
      if (table === 'garage') garage = (read?.data as Garage | undefined) ?? null;
      else rows.push({ table, id, row: (read?.data as Row | undefined) ?? null });
    }
    if (rows.length === 0 && !garage) return;
    const next = withRows(doc.value, rows, order);
    doc.value = garage ? { ...next, garage } : next;
    version.value++;
  }

  const nameOf = (row: Body | null): string => (typeof row?.['name'] === 'string' ? row['name'] : 'A change');

  /** Changes of rows as the protocol writes them, and the first fault where one of them would be refused. */
  function changesOf(rows: readonly { table: Where; id: string; before: Body | null; after: Body | null }[]): {
    changes: Change[];
    fault: Fault | null;
    culprit: Body | null;
  } {
    const bases = session!.bases(rows);
    const changes: Change[] = [];
    let fault: Fault | null = null;
    let culprit: Body | null = null;
    for (const { table, id, before, after } of rows) {
      let clean = after;
      if (after !== null) {
        const read = schemaOf(table).safeParse(after);
        if (read.success) clean = read.data as Body;
        else if (!fault) {
          fault = faultsOf(read.error)[0] ?? { code: 'invalid', path: '', message: 'it is not complete' };
          culprit = after;
        }
      }
      // A row changed since it was taken up is compared field by field, not by its revision.
      const base = sameJson(before, bodyNow({ table, id })) ? bases.get(keyOf({ table, id }))! : 0;
      const change = changeOf(table, id, before, clean, base);
      if (change) changes.push(change);
    }
    return { changes, fault, culprit };
  }

  function enter(label: string, changes: Change[]) {
    session!.add({ id: crypto.randomUUID(), label: cut(cleaned(label), 180), changes });
  }

  /**
   * Applies an edit and remembers it for undo.
   * @returns whether it was taken; what is not goes to the tray, named and with what to do
   */
  function edit(label: string, rows: RowChange[], garage?: Garage): boolean {
    if (!doc.value || !session) return false;
    const all = [
      ...rows,
      ...(garage ? [{ table: 'garage' as const, id: view.garageId!, before: doc.value.garage, after: garage }] : []),
    ];
    // Rows go to the worker, the store and the server as they are, so nothing reactive may hide in them.
    const { changes, fault, culprit } = changesOf(plain(all));
    if (changes.length === 0) return true;
    if (fault) {
      // Nothing invalid enters the document.
      session.setAside(
        { id: crypto.randomUUID(), label: nameOf(culprit), changes },
        { ...fault, message: `${fault.path}: ${fault.message}` },
      );
      return false;
    }
    history.add({ label, changes });
    enter(label, changes);
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

  /** Undoes, or does again, one's own last change; what others did since stays, and where they changed the same it says so. */
  function turn(back: boolean): Undone {
    if (!session) return null;
    const turned = history.turn(back, bodyNow);
    if (turned.is === 'nothing') return null;
    const { label } = turned.done;
    if (turned.is === 'blocked') {
      const what = nameOf(bodyNow(turned.by) ?? ('row' in turned.by ? turned.by.row : null));
      return { label, why: `${what} was changed in another window since` };
    }
    const rows = turned.rows.map(({ change, before, after }) => ({
      table: change.table,
      id: change.id,
      before,
      after,
    }));
    const { changes } = changesOf(plain(rows));
    if (changes.length > 0) enter(`${back ? 'undo' : 'redo'} ${label}`, changes);
    return { label, why: null };
  }
  const undo = () => turn(true);
  const redo = () => turn(false);

  /** Ends a question by keeping one of the versions. */
  const resolve = (question: ClashQuestion, keep: 'mine' | 'theirs') => session?.answer(question, keep);
  const discard = (id: string) => session?.discard(id);
  const retry = (id: string, altered?: Change[]) => session?.retry(id, altered);

  /** Waits until what can be sent is sent. */
  async function settle() {
    await session?.push();
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

  // A page that slept may have missed what was said meanwhile.
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') void session?.check();
    else toKeep?.();
  });
  // What was sent has left the outbox: a page that is left at once and opened without the server must show it all the same.
  useEventListener('pagehide', () => toKeep?.());
  useEventListener('beforeunload', (event) => {
    // What this browser stores goes out at the next visit; what it does not would be lost.
    if (standing.value.unsent > 0 && (!standing.value.stored || standing.value.writing)) event.preventDefault();
  });

  return {
    book,
    list,
    doc,
    bike,
    trip,
    fasteners,
    places,
    keeping,
    trouble,
    standing,
    questions,
    tray,
    version,
    history,
    open,
    edit,
    put,
    remove,
    undo,
    redo,
    resolve,
    discard,
    retry,
    settle,
    create,
    rename,
    removeGarage,
    restoreGarage,
    importFile,
    refreshList,
  };
});

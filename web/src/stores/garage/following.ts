import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { computed, shallowRef } from 'vue';
import {
  keyOf,
  Session,
  TABLES,
  type Body,
  type Change,
  type ClashQuestion,
  type Entry,
  type Row,
  type Standing,
  type Where,
} from '@necessaire/core';
import type { OpenGarage } from '../../api/client';
import { keepGarage } from '../../sync/garageStore';
import { hearOthers, type Others } from '../../sync/others';
import { browserPorts } from '../../sync/ports';
import { openedOf } from '../changes';
import type { Shown } from './document';

export type Keeping = 'kept' | 'keeping' | 'not kept';
/** An edit that could not be saved, as it lies in the tray. */
export type Refused = Extract<Entry, { state: 'refused' }>;

/** A change that follows soon is kept with the next, ms. */
const KEEP_AFTER = 1500;
const WELL: Standing = { unsent: 0, trouble: null, stored: true, writing: false };
/** Until the outbox has been looked into, nobody says that all is saved. */
const OPENING: Standing = { ...WELL, unsent: 1 };

/** Each row of a garage as the server had it when it was opened. */
function rowsOf({ document, revisions, id, revision }: OpenGarage) {
  const known = new Map<string, { revision: number; row: Body | null }>([
    [keyOf({ table: 'garage', id }), { revision, row: document.garage }],
  ]);
  for (const table of TABLES)
    for (const row of document[table] as Row[])
      known.set(keyOf({ table, id: row.id }), { revision: revisions[table][row.id] ?? 1, row });
  return known;
}

/** What was edited here on its way to the server, and what others did on its way to the page (docs/sync.md). */
export function useFollowing(shown: Shown) {
  const standing = shallowRef<Standing>(WELL);
  const questions = shallowRef<ClashQuestion[]>([]);
  const tray = shallowRef<Refused[]>([]);
  const trouble = computed(() => standing.value.trouble);
  const keeping = computed<Keeping>(() =>
    standing.value.trouble !== null && standing.value.unsent > 0 && !standing.value.writing
      ? 'not kept'
      : standing.value.unsent > 0
        ? 'keeping'
        : 'kept',
  );
  let session: Session | null = null;
  let others: Others | null = null;
  /** Edition that this browser keeps, or is about to. */
  let keptEdition = 0;

  /** Stores the server's state beside the outbox, so that the garage opens without it; null when all of it is stored. */
  let toKeep: (() => void) | null = null;
  const keeper = useTimeoutFn(() => toKeep?.(), KEEP_AFTER, { immediate: false });
  function keepLater(own: Session, id: string) {
    toKeep = () => {
      toKeep = null;
      keeper.stop();
      const now = openedOf(own.known, id, shown.order());
      if (now && session === own)
        void keepGarage({ ...now, id, garage: now.document.garage, deleted: false, edition: own.known.edition });
    };
    keeper.start();
  }

  /** Follows a garage that was opened, and leaves the one before. */
  function follow(opened: OpenGarage): Session {
    session?.close();
    others?.close();
    const { id } = opened;
    keptEdition = opened.edition;
    standing.value = OPENING;
    questions.value = [];
    tray.value = [];
    const own: Session = new Session(
      { edition: opened.edition, rows: rowsOf(opened) },
      browserPorts(id, (edition) => others?.tell(edition)),
      (rows) => {
        if (session === own) show(own, rows);
        if (own.known.edition === keptEdition) return;
        keptEdition = own.known.edition;
        keepLater(own, id);
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
    return own;
  }

  /** Brings what the page shows to what the session says. */
  function show(own: Session, at: readonly { table: Where; id: string }[]) {
    standing.value = own.standing;
    questions.value = own.questions;
    tray.value = own.entries.filter((e) => e.state === 'refused');
    if (at.length === 0) return;
    shown.apply(
      [...own.shown(at)].map(([key, body]) => {
        const [table, id] = key.split(' ') as [Where, string];
        return [{ table, id }, body] as const;
      }) as [{ table: Where; id: string }, Body | null][],
    );
  }

  /** Ends a question by keeping one of the versions. */
  const resolve = (question: ClashQuestion, keep: 'mine' | 'theirs') => session?.answer(question, keep);
  const discard = (id: string) => session?.discard(id);
  const retry = (id: string, altered?: Change[]) => session?.retry(id, altered);
  /** Waits until what can be sent is sent. */
  async function settle() {
    await session?.push();
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
    standing,
    questions,
    tray,
    trouble,
    keeping,
    session: () => session,
    follow,
    settle,
    resolve,
    discard,
    retry,
  };
}
export type Following = ReturnType<typeof useFollowing>;

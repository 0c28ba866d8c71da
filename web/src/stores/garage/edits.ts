import { shallowReactive } from 'vue';
import {
  changeOf,
  cleaned,
  cut,
  faultsOf,
  keyOf,
  sameJson,
  type Body,
  type Change,
  type Fault,
  type Garage,
  type Row,
  type Session,
  type TableName,
  type Where,
} from '@necessaire/core';
import type { RowChange } from '../changes';
import { History } from '../history';
import type { useView } from '../view';
import { schemaOf, type Shown } from './document';
import type { Following } from './following';
import * as texts from '../../words/stores/garage/edits';

/** What an undo or redo came to: what was undone, or why it was not. */
export type Undone = { label: string; why: string | null } | null;

const MOST_UNDO = 200;
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Edits that apply at once here, and are undone and redone here. */
export function useEdits(shown: Shown, following: Following, view: ReturnType<typeof useView>) {
  const history = shallowReactive(new History(MOST_UNDO));

  const nameOf = (row: Body | null): string => (typeof row?.['name'] === 'string' ? row['name'] : 'A change');

  /** Changes of rows as the protocol writes them, and the first fault where one of them would be refused. */
  function changesOf(
    session: Session,
    rows: readonly { table: Where; id: string; before: Body | null; after: Body | null }[],
  ): {
    changes: Change[];
    fault: Fault | null;
    culprit: Body | null;
  } {
    const bases = session.bases(rows);
    const changes: Change[] = [];
    let fault: Fault | null = null;
    let culprit: Body | null = null;
    for (const { table, id, before, after } of rows) {
      let clean = after;
      if (after !== null) {
        const read = schemaOf(table).safeParse(after);
        if (read.success) clean = read.data as Body;
        else if (!fault) {
          fault = faultsOf(read.error)[0] ?? { code: 'invalid', path: '', message: texts.itIsNotComplete };
          culprit = after;
        }
      }
      // A row changed since it was taken up is compared field by field, not by its revision.
      const base = sameJson(before, shown.bodyNow({ table, id })) ? (bases.get(keyOf({ table, id })) ?? 0) : 0;
      const change = changeOf(table, id, before, clean, base);
      if (change) changes.push(change);
    }
    return { changes, fault, culprit };
  }

  function enter(session: Session, label: string, changes: Change[]) {
    session.add({ id: crypto.randomUUID(), label: cut(cleaned(label), 180), changes });
  }

  /**
   * Applies an edit and remembers it for undo.
   * @returns whether it was taken; what is not goes to the tray, named and with what to do
   */
  function edit(label: string, rows: RowChange[], garage?: Garage): boolean {
    const session = following.session();
    const { doc } = shown;
    if (!doc.value || !session) return false;
    const all = [
      ...rows,
      ...(garage && view.garageId
        ? [{ table: 'garage' as const, id: view.garageId, before: doc.value.garage, after: garage }]
        : []),
    ];
    // Rows go to the worker, the store and the server as they are, so nothing reactive may hide in them.
    const { changes, fault, culprit } = changesOf(session, plain(all));
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
    enter(session, label, changes);
    return true;
  }

  /** Writes rows of a table; rows that are new are added. */
  const put = <T extends TableName>(label: string, table: T, ...rows: Row<T>[]) => {
    // One pass over the table, however many rows: a whole file may come in at once.
    const known = new Map<string, Row>(shown.doc.value?.[table].map((row) => [row.id, row]));
    return edit(
      label,
      rows.map((row) => ({ table, id: row.id, before: known.get(row.id) ?? null, after: row as Row })),
    );
  };
  const remove = (label: string, ...rows: { table: TableName; id: string }[]) =>
    edit(
      label,
      rows.map(({ table, id }) => ({ table, id, before: shown.rowNow(table, id), after: null })),
    );

  /** Undoes, or does again, one's own last change; what others did since stays, and where they changed the same it says so. */
  function turn(back: boolean): Undone {
    const session = following.session();
    if (!session) return null;
    const turned = history.turn(back, shown.bodyNow);
    if (turned.is === 'nothing') return null;
    const { label } = turned.done;
    if (turned.is === 'blocked') {
      const what = nameOf(shown.bodyNow(turned.by) ?? ('row' in turned.by ? turned.by.row : null));
      return { label, why: texts.wasChangedInAnotherWindow(what) };
    }
    const rows = turned.rows.map(({ change, before, after }) => ({
      table: change.table,
      id: change.id,
      before,
      after,
    }));
    const { changes } = changesOf(session, plain(rows));
    if (changes.length > 0) enter(session, `${back ? 'undo' : 'redo'} ${label}`, changes);
    return { label, why: null };
  }
  const undo = () => turn(true);
  const redo = () => turn(false);

  return { history, edit, put, remove, undo, redo };
}

import { computed, ref, shallowRef } from 'vue';
import {
  bookOf,
  garageSchema,
  ROW_SCHEMAS,
  sameJson,
  TABLES,
  type Body,
  type Fastener,
  type Garage,
  type GarageDocument,
  type Row,
  type TableName,
  type Where,
} from '@necessaire/core';
import { withRows, type RowOrder } from '../changes';
import type { useView } from '../view';

export const schemaOf = (table: Where) => (table === 'garage' ? garageSchema : ROW_SCHEMAS[table]);
/** Where a row stands. */
export interface At {
  table: Where;
  id: string;
}

/** The garage as the page shows it, with what it looks at: one bike, one trip. */
export function useDocument(view: ReturnType<typeof useView>) {
  const doc = shallowRef<GarageDocument | null>(null);
  /** Counts edits, so that whoever computes knows that something changed. */
  const version = ref(0);
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

  /** Shows another document. */
  function take(document: GarageDocument) {
    order = new Map();
    for (const table of TABLES) for (const row of document[table] as Row[]) order.set(row.id, order.size);
    doc.value = document;
    version.value++;
  }
  /** Shows rows as they are now. What is as it was stays the same object, so that nothing is worked out anew. */
  function apply(bodies: Iterable<[at: At, body: Body | null]>) {
    if (!doc.value) return;
    const rows: { table: TableName; id: string; row: Row | null }[] = [];
    let garage: Garage | null = null;
    for (const [{ table, id }, body] of bodies) {
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

  return { doc, version, book, bike, trip, fasteners, places, rowNow, bodyNow, take, apply, order: () => order };
}
export type Shown = ReturnType<typeof useDocument>;

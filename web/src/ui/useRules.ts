import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue';
import { faultsOf } from '@necessaire/core';
import { sentence } from './words';

/** As much of a schema of core as a form needs. */
interface Schema<T> {
  safeParse(value: unknown): { success: true; data: T } | { success: false; error: Parameters<typeof faultsOf>[0] };
}

/** The first fault of each field, by its path, as a sentence to stand at that field; empty where all fits. */
export function faultsByField<T>(schema: Schema<T>, draft: unknown): Readonly<Record<string, string>> {
  const checked = schema.safeParse(draft);
  if (checked.success) return {};
  const first: Record<string, string> = {};
  for (const fault of faultsOf(checked.error)) first[fault.path] ??= sentence(fault.message);
  return first;
}

/**
 * What stands in a form, held against the schema that will take it while one types: the form and the store refuse the same.
 * @param draft what would be stored as it stands
 */
export function useRules<T>(
  schema: Schema<T>,
  draft: () => unknown,
): {
  /** What may be stored; null while something does not fit. */
  value: ComputedRef<T | null>;
  faults: ComputedRef<Readonly<Record<string, string>>>;
} {
  const checked = computed(() => schema.safeParse(draft()));
  return {
    value: computed(() => (checked.value.success ? checked.value.data : null)),
    faults: computed(() => (checked.value.success ? {} : faultsByField(schema, draft()))),
  };
}

/**
 * A row that is changed field by field, each change stored at once. What does not fit is not stored: its fault stands at its field until a
 * change fits.
 * @param row the row as it is stored
 * @param store stores a row that fits; told what was done
 */
export function useRowForm<T extends object>(
  schema: Schema<T>,
  row: () => T,
  store: (label: string, row: T) => void,
): {
  set: (label: string, fields: Partial<T>) => boolean;
  faults: ShallowRef<Readonly<Record<string, string>>>;
} {
  const faults = shallowRef<Readonly<Record<string, string>>>({});
  function set(label: string, fields: Partial<T>): boolean {
    const next = { ...row(), ...fields };
    const checked = schema.safeParse(next);
    faults.value = checked.success ? {} : faultsByField(schema, next);
    if (checked.success) store(label, checked.data);
    return checked.success;
  }
  return { set, faults };
}

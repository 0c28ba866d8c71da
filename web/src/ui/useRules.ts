import { computed, type ComputedRef } from 'vue';
import { faultsOf } from '@necessaire/core';

/** As much of a schema of core as a form needs. */
interface Schema<T> {
  safeParse(value: unknown): { success: true; data: T } | { success: false; error: Parameters<typeof faultsOf>[0] };
}
const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/u.test(text) ? '' : '.'}`;

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

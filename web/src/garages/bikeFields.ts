import { bikeSchema, faultsOf, type Bike } from '@necessaire/core';

/** Faults of a bike's fields by field name, empty when it may be kept. */
export function bikeFaults(bike: Bike): Record<string, string> {
  const result = bikeSchema.safeParse(bike);
  if (result.success) return {};
  return Object.fromEntries(faultsOf(result.error).map((f) => [f.path, f.message]));
}

/** What was typed at the entry line and not kept: offered back, whatever pushed it aside, until it is continued, discarded or another takes its place. */
import { shallowRef } from 'vue';

export interface Undone {
  garageId: string;
  text: string;
  /** The row that the text was changing; null for a new one. */
  row: { id: string; name: string } | null;
}
/** Outlives the stage: whoever looks at another stage and comes back finds it. */
export const undone = shallowRef<Undone | null>(null);

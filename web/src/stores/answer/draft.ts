import { ref, shallowRef } from 'vue';
import type { Fastener, GarageDocument } from '@necessaire/core';

/** A fastener still being typed: counted as if it were added, and marked as such in the readout. */
export function useDraft() {
  const draft = shallowRef<Fastener | null>(null);
  /** Whether what is shown counts it. */
  const draftShown = ref(false);
  function withDraft(doc: GarageDocument): GarageDocument {
    const d = draft.value;
    if (!d) return doc;
    const known = doc.fasteners.some((f) => f.id === d.id);
    return { ...doc, fasteners: known ? doc.fasteners.map((f) => (f.id === d.id ? d : f)) : [...doc.fasteners, d] };
  }
  return { draft, draftShown, withDraft };
}

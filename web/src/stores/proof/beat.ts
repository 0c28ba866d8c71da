import { useIntervalFn } from '@vueuse/core';
import type { Ref } from 'vue';
import type { Drill } from '@necessaire/core';

/** Where this browser notes that a drill's clock still ran, so that one torn off is taken up where it was. */
const BEAT = 'necessaire-drill-beat';
/** Milliseconds between two notes. */
const BEAT_EVERY = 5000;

/**
 * Notes in this browser, every few seconds, that the clock of the open drill still runs.
 * @returns to note it now; to begin and end noting; and when a drill was last seen to run here, null where nobody saw it
 */
export function useBeat(drill: Readonly<Ref<Drill | null>>) {
  function beat() {
    const d = drill.value;
    if (d?.state === 'running') localStorage.setItem(BEAT, JSON.stringify({ id: d.id, at: new Date().toISOString() }));
  }
  const pulse = useIntervalFn(beat, BEAT_EVERY, { immediate: false });
  const beating = (on: boolean) => (on ? pulse.resume() : pulse.pause());
  function seen(id: string): string | null {
    try {
      const noted = JSON.parse(localStorage.getItem(BEAT) ?? 'null') as { id?: unknown; at?: unknown } | null;
      return noted?.id === id && typeof noted.at === 'string' && !Number.isNaN(Date.parse(noted.at)) ? noted.at : null;
    } catch {
      return null;
    }
  }
  return { beat, beating, seen };
}

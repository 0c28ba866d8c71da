import { ref } from 'vue';

/** A run that is stale and has taken this long is cut off, ms; a shorter one ends by itself sooner than a new worker starts. */
const CUT_AFTER = 600;
/** What takes longer says how far it is, ms. */
const PROGRESS_AFTER = 500;

/** One run of the work. */
export interface Run {
  since: number;
  /** Whether what it works out is of no use any more. */
  stale: boolean;
}

/**
 * One run at a time, and the last that was wanted last: a newer wish makes the one under way stale.
 * @param cut ends what is under way
 * @param next begins anew, where a wish came meanwhile
 */
export function useLatestRun(cut: () => void, next: () => void) {
  /** Whether what is shown is about to be replaced. */
  const busy = ref(false);
  const slow = ref(false);
  let running: Run | null = null;
  let again = false;

  /** Whether it is the one under way. */
  const current = (run: Run) => running === run;
  /** Ends what is under way, and wants nothing. */
  function stop() {
    if (running) cut();
    running = null;
    again = false;
    busy.value = false;
    slow.value = false;
  }
  /** Does the work, now or when what is under way has ended. */
  async function start(work: (run: Run) => Promise<void>): Promise<void> {
    if (running) {
      running.stale = true;
      again = true;
      if (performance.now() - running.since < CUT_AFTER) return;
      cut();
    }
    again = false;
    busy.value = true;
    const mine: Run = { since: performance.now(), stale: false };
    running = mine;
    const timer = setTimeout(() => (slow.value = true), PROGRESS_AFTER);
    try {
      await work(mine);
    } finally {
      clearTimeout(timer);
      if (current(mine)) {
        running = null;
        slow.value = false;
        if (again) next();
        else busy.value = false;
      }
    }
  }
  return { busy, slow, current, start, stop };
}

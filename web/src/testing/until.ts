/** No state is waited for longer: generous, so that a loaded machine is no fault, ms. */
const LIMIT = 25_000;

/** Waits for the program's own state: never for a span of time. */
export async function until(holds: () => boolean, what: string): Promise<void> {
  const since = performance.now();
  while (performance.now() - since < LIMIT) {
    if (holds()) return;
    await new Promise((done) => setTimeout(done, 1));
  }
  throw new Error(`never came to be: ${what}`);
}

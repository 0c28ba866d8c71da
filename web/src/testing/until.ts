/** Waits for the program's own state: never for a span of time. */
export async function until(holds: () => boolean, what: string): Promise<void> {
  for (let i = 0; i < 4000; i++) {
    if (holds()) return;
    await new Promise((done) => setTimeout(done, 1));
  }
  throw new Error(`never came to be: ${what}`);
}

/** Whether everything is tried, as each night (`npm run thorough`), or what an everyday run has time for. */
export const THOROUGH = process.env['NECESSAIRE_THOROUGH'] === '1';
/** So many runs of a property: all at night, the first of them by day. The seed is fixed by day, so that a red run is red again. */
export const runs = (all: number, byDay = all) =>
  THOROUGH
    ? { numRuns: all, endOnFailure: true }
    : { numRuns: Math.min(all, byDay), seed: 20_261_129, endOnFailure: true };

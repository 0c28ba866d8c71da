/** Whether everything is tried, as each night (`npm run thorough`), or what an everyday run has time for. */
export const THOROUGH = process.env['NECESSAIRE_THOROUGH'] === '1';
/** Whether each test is run some thousand times (`npm run mutation`): then a property shows at a few cases what it shows at many. */
const QUICK = process.env['NECESSAIRE_QUICK'] === '1';
/** So many runs of a property: all at night, the first of them by day. The seed is fixed by day, so that a red run is red again. */
export const runs = (all: number, byDay = all) =>
  THOROUGH
    ? { numRuns: all, endOnFailure: true }
    : { numRuns: QUICK ? Math.ceil(byDay / 8) : Math.min(all, byDay), seed: 20_261_129, endOnFailure: true };

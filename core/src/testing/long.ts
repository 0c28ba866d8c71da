/**
 * A test that takes its time: run by all that must pass (`./test all`, continuous integration), left out of what is run often (`./test`) and where
 * thousands of runs ask only for the quick ones (`npm run mutation`).
 */
export const long =
  process.env['NECESSAIRE_QUICK'] === '1' || process.env['NECESSAIRE_EVERYDAY'] === '1' ? test.skip : test;

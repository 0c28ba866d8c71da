/** A test that takes its time: left out where thousands of runs ask only for the quick ones (`npm run mutation`). */
export const long = process.env['NECESSAIRE_QUICK'] === '1' ? test.skip : test;

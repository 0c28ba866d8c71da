/**
 * Unit and server tests, in two ways. Those of the page each play a browser, so each file has a world of its own, which costs seconds: modules read
 * anew, globals looked up through the context. All others run as plain modules in two threads that keep what they have read: half the time.
 */
const common = {
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/core/src/testing/setup.ts'],
};
export default {
  testTimeout: 30_000,
  projects: [
    {
      ...common,
      displayName: 'program',
      runner: 'jest-light-runner',
      roots: ['core', 'solver', 'words', 'server', 'cli', 'demo', 'bench'].map((folder) => `<rootDir>/${folder}`),
    },
    {
      ...common,
      displayName: 'page',
      testEnvironment: 'node',
      roots: ['<rootDir>/web/src'],
      extensionsToTreatAsEsm: ['.ts'],
      // TypeScript through swc, native ESM.
      transform: { '^.+\\.ts$': '<rootDir>/scripts/jest/transform.mjs' },
      moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
    },
  ],
};

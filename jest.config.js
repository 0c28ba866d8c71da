/** Unit and server tests: TypeScript through swc, native ESM. Browser tests are Playwright's. */
export default {
  testEnvironment: 'node',
  roots: [
    '<rootDir>/core',
    '<rootDir>/solver',
    '<rootDir>/words',
    '<rootDir>/server',
    '<rootDir>/cli',
    '<rootDir>/demo',
    '<rootDir>/web/src',
    '<rootDir>/bench',
  ],
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': '<rootDir>/scripts/jestTransform.mjs' },
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  setupFiles: ['<rootDir>/core/src/testing/setup.ts'],
  testTimeout: 30_000,
};

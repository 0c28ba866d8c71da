/**
 * Unit and server tests, as plain modules in two threads that keep what they have read (`jest-light-runner`). Those of the page have threads of their own,
 * in which a browser is played: nothing of it is seen by the others.
 */
const common = {
  runner: 'jest-light-runner',
  testMatch: ['**/*.test.ts'],
};
const seeds = '<rootDir>/core/src/testing/setup.ts';
export default {
  projects: [
    {
      ...common,
      displayName: 'program',
      setupFiles: [seeds],
      roots: ['core', 'solver', 'words', 'server', 'cli', 'demo', 'bench'].map((folder) => `<rootDir>/${folder}`),
    },
    {
      ...common,
      displayName: 'page',
      setupFiles: [seeds, '<rootDir>/web/src/testing/browser.ts'],
      roots: ['<rootDir>/web/src'],
    },
  ],
};

import { defineConfig } from '@playwright/test';

/** Whether only the paths that every change must leave whole are run, a quarter of the time; the rest with `./test all`. */
const everyday = process.env['NECESSAIRE_EVERYDAY'] === '1';

/** Debian's Chromium against a server of its own for each worker, on a fresh database for each test that asks for one. */
export default defineConfig({
  testDir: '.',
  globalSetup: './globalSetup.ts',
  testMatch: '*.spec.ts',
  grep: everyday ? /@everyday/ : /./,
  fullyParallel: true,
  workers: 2,
  retries: 0,
  timeout: 400_000,
  expect: { timeout: 60_000 },
  reporter: [['line'], ['json']],
  outputDir: '../test-results',
  use: {
    // What is not there to be pressed fails by its own name, not by the whole test's limit.
    actionTimeout: 90_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
      ],
    },
    contextOptions: { reducedMotion: 'reduce' },
    // Each test has a server of its own: what one kept in the browser is not for the next. Offline tests let it.
    serviceWorkers: 'block',
    trace: 'off',
    screenshot: 'only-on-failure',
  },
  projects: [
    { name: 'laptop', testIgnore: 'touch.spec.ts', use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
      testMatch: ['path.spec.ts', 'look.spec.ts', 'touch.spec.ts', 'guide.spec.ts'],
      // Colours are the same on a phone: the dark ones are looked at on the laptop.
      grepInvert: everyday ? /first hour/ : /axe finds, dark/,
    },
  ],
});

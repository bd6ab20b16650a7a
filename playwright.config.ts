import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** The same engine without a window of its own takes a fifth less time; where it is not installed the browser itself will do. */
const SHELL = '/usr/bin/chromium-headless-shell';

export default defineConfig({
  testDir: 'e2e',
  // What runs in the second engine has a runner of its own.
  testMatch: '*.spec.ts',
  timeout: 180_000,
  // A new machine can be many times slower than a desk: what is awaited is told apart from what never comes, not timed.
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: 2,
  forbidOnly: Boolean(process.env['CI']),
  // Where others share the machine a test may starve; what fails twice is broken, what fails once is named as flaky.
  retries: process.env['CI'] ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: '.cache/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Only journeys without a network have one: installing it in each would fetch every view each time.
    serviceWorkers: 'block',
    timezoneId: 'Europe/Madrid',
    // A picture for each test that may yet fail costs a second in each that passes.
    screenshot: 'off',
    launchOptions: {
      executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // A microphone of the browser's own, which beeps.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});

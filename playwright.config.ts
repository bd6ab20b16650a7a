import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  timeout: 45_000,
  expect: { timeout: 7000 },
  fullyParallel: false,
  workers: 2,
  forbidOnly: Boolean(process.env['CI']),
  retries: 0,
  reporter: [['list'], ['json', { outputFile: '.cache/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/Madrid',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
});

import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '@demo';
import { start, type Running } from '../server/start';
import { expect, test } from './app';

test.use({ serviceWorkers: 'allow' });

let dataDir = '';
let port = 0;
let server: Running | null = null;
const up = async (): Promise<Running> => {
  server = await start(
    { host: '127.0.0.1', port, dataDir, names: [], demo: false, webDir: resolve('dist/web') },
    pino({ level: 'silent' }),
  );
  port = Number(new URL(server.address).port);
  return server;
};
/** The server goes, as a network does when one drives off. */
const down = async (): Promise<void> => {
  await server?.stop();
  server = null;
};
test.beforeEach(async () => {
  dataDir = await mkdtemp(join(tmpdir(), 'dusk-offline-'));
  port = 0;
});
test.afterEach(async () => {
  await down();
  await rm(dataDir, { recursive: true, force: true });
});

const mark = (page: Page) => page.locator('[data-save]');
/** Opens a film and waits until this device could do without the server. */
const prepared = async (page: Page, address: string, film: string): Promise<void> => {
  await page.goto(`${address}/film/${film}/shots`);
  await expect(page.locator('.shot-card').first()).toBeVisible();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state !== 'activated')
      await new Promise((done) => active?.addEventListener('statechange', done, { once: true }));
  });
};

test('without a network the film opens from this device, every view works, and what was changed arrives later', async ({
  page,
  context,
}) => {
  const { address, films } = await up();
  const film = await films.importFile(demoFilm(), 'e2e');
  await prepared(page, address, film);
  await down();
  await page.close();
  const phone = await context.newPage();
  const errors: string[] = [];
  phone.on('pageerror', (error) => errors.push(error.message));
  const from = Date.now();
  await phone.goto(`${address}/last`);
  await expect(phone.getByRole('heading', { level: 1 })).toHaveText('The Valdegris line');
  test.info().annotations.push({ type: 'cold start', description: `${Date.now() - from} ms` });
  await expect(mark(phone)).toHaveText('offline');
  await expect(phone.locator('.verdict')).toContainText('of 18 shots');
  for (const [view, sign] of [
    ['storyboard', 'h1'],
    ['map', 'canvas'],
    ['light', 'h1, h2'],
    ['field', 'main'],
    ['kit', 'h1, h2'],
    ['calculators', 'h1, h2'],
    ['checks', 'main'],
    ['rehearse', '.cockpit canvas'],
    ['footage', 'h1, h2'],
    ['debrief', 'h1'],
  ] as const) {
    await phone.goto(`${address}/film/${film}/${view}`);
    await expect(phone.locator(sign).first(), view).toBeVisible();
  }
  await phone.goto(`${address}/film/${film}/flights`);
  await phone.getByRole('button', { name: /Plan/ }).first().click();
  await phone.goto(`${address}/film/${film}/shots`);
  await phone.getByLabel('Title').fill('Fog lifts');
  await expect(mark(phone)).toHaveText('offline, 1 change kept here');
  // The battery is flat at once.
  await phone.close({ runBeforeUnload: false });
  const later = await context.newPage();
  await later.goto(`${address}/film/${film}/shots`);
  await expect(later.getByLabel('Title')).toHaveValue('Fog lifts');
  await up();
  await expect(mark(later)).toHaveText('saved', { timeout: 60_000 });
  const stored = await server!.films.exportFile(film);
  expect(stored.shots.filter((s) => s.title === 'Fog lifts')).toHaveLength(1);
  expect(errors).toEqual([]);
});

test('the list of films names what this device has, and two devices that were both away meet without losing a word', async ({
  page,
  browser,
}) => {
  const { address, films } = await up();
  const film = await films.importFile(demoFilm(), 'e2e');
  const other = await (await browser.newContext({ serviceWorkers: 'allow' })).newPage();
  await prepared(page, address, film);
  await prepared(other, address, film);
  await down();
  await page.goto(address);
  await expect(page.getByText('Offline. These films are on this device')).toBeVisible();
  await page.getByRole('link', { name: /The Valdegris line/ }).click();
  await page.goto(`${address}/film/${film}/shots`);
  await page.getByLabel('Title').fill('Phone title');
  await other.getByRole('tab', { name: 'Cut and takes' }).click();
  await other.getByLabel('Notes').fill('Desk note');
  await expect(mark(page)).toHaveText('offline, 1 change kept here');
  await expect(mark(other)).toHaveText('offline, 1 change kept here', { timeout: 60_000 });
  await up();
  await expect(mark(page)).toHaveText('saved', { timeout: 60_000 });
  await expect(mark(other)).toHaveText('saved', { timeout: 60_000 });
  const stored = await server!.films.exportFile(film);
  expect(stored.shots.find((s) => s.title === 'Phone title')?.notes).toBe('Desk note');
});

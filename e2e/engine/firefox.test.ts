import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pino from 'pino';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { demoFilm } from '@demo';
import { deriveFilm } from '../../core/film/derive';
import type { FilmInput } from '@core/model';
import { start, type Running } from '../../server/start';

const FIREFOX = '/usr/bin/firefox-esr';
/** The built application in a second engine, over the standard protocol for driving browsers. */
describe.skipIf(!existsSync(FIREFOX))('in Firefox', () => {
  let browser: Browser;
  let page: Page;
  let faults: string[] = [];
  let [dataDir, film, port] = ['', '', 0];
  let server: Running | null = null;
  const up = async (): Promise<Running> => {
    server = await start(
      { host: '127.0.0.1', port, dataDir, names: [], demo: false, webDir: resolve('dist/web') },
      pino({ level: 'silent' }),
    );
    port = Number(new URL(server.address).port);
    return server;
  };
  const down = async (): Promise<void> => {
    await server?.stop();
    server = null;
  };
  beforeAll(async () => {
    browser = await puppeteer.launch({ browser: 'firefox', executablePath: FIREFOX, headless: true });
  });
  afterAll(() => browser.close());
  beforeEach(async () => {
    dataDir = await mkdtemp(join(tmpdir(), 'dusk-firefox-'));
    port = 0;
    film = await (await up()).films.importFile(demoFilm(), 'e2e');
    page = await browser.newPage();
    faults = [];
    page.on('pageerror', (error) => {
      // What was still being fetched when a page was left is told as an error of its worker.
      if (!/A ServiceWorker intercepted the request/.test(String(error))) faults.push(String(error));
    });
    await page.setViewport({ width: 1280, height: 800 });
    await page.evaluateOnNewDocument(() => {
      // The empty page before the first has no storage.
      if (location.protocol === 'http:') localStorage.setItem('dusk-tour', 'seen');
    });
  });
  afterEach(async () => {
    await page.close();
    await down();
    await rm(dataDir, { recursive: true, force: true });
    expect(faults).toEqual([]);
  });

  const at = (view: string): string => `http://127.0.0.1:${port}/film/${film}/${view}`;
  const open = async (view: string): Promise<void> => {
    await page.goto(at(view));
    await page.waitForFunction(() => performance.getEntriesByName('checks').length > 0);
  };
  /** Waits until what is found by a selector says so. */
  const says = (selector: string, text: string): Promise<unknown> =>
    page.waitForFunction(
      (s, t) => [...document.querySelectorAll(s)].some((e) => e.textContent?.includes(t)),
      { timeout: 60_000 },
      selector,
      text,
    );
  const press = (name: string): Promise<void> =>
    page.locator(`::-p-aria([name="${name}"][role="button"])`).click();
  const stored = async () => {
    const file = await server!.films.exportFile(film);
    return { file, derived: deriveFilm(file as FilmInput) };
  };
  const saved = () => says('[data-save]', 'saved');
  const figure = (id: string) =>
    page.$eval(`[data-figure=${id}] .value`, (e) => Number.parseFloat(e.textContent ?? ''));

  it('a new shot counts at once, its slider moves the figures, and all of it is stored', async () => {
    await open('shots');
    await says('.verdict', 'of 18 shots');
    await press('New');
    await says('.verdict', 'of 19 shots');
    const before = await figure('energy');
    const slider = await page.waitForSelector('[role=slider][aria-label="Starts at"]');
    await slider!.focus();
    for (let i = 0; i < 8; i += 1) await page.keyboard.press('ArrowRight');
    await page.waitForFunction(
      (was) =>
        Number.parseFloat(document.querySelector('[data-figure=energy] .value')?.textContent ?? '') !== was,
      {},
      before,
    );
    await saved();
    const { file, derived } = await stored();
    expect(file.shots).toHaveLength(19);
    const made = derived.shots.get(file.shots.find((s) => s.title === '')!.id)!;
    expect(made.facts.energy!.totalWh).toBeCloseTo(await figure('energy'), 1);
  });

  it('the site map is drawn, a wood is put on it corner by corner, and the plan knows', async () => {
    await open('map');
    await page.waitForSelector('.canvas canvas');
    const before = (await stored()).file.features.length;
    await page.keyboard.press('w');
    const box = (await (await page.$('.canvas'))!.boundingBox())!;
    for (const [x, y] of [
      [0.55, 0.6],
      [0.62, 0.62],
      [0.58, 0.72],
    ] as const)
      await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => /Wood/.test(document.body.textContent ?? ''));
    await saved();
    const { features } = (await stored()).file;
    expect(features).toHaveLength(before + 1);
    expect(features.filter((f) => f.kind === 'wood' && f.points.length === 3)).toHaveLength(1);
  });

  it('the day is planned in its worker, and the plan is applied', async () => {
    await open('flights');
    await says('.verdict, main', 'Flights');
    const locked = (await stored()).file.flights.length;
    await page.keyboard.press('r');
    // By its name: what a button says stands in a box of the library's that has no size of its own.
    await page.locator('::-p-aria([name="Apply plan"][role="button"])').setTimeout(60_000).click();
    await saved();
    const { file, derived } = await stored();
    expect(file.flights.length).toBeGreaterThan(locked);
    expect([...derived.places.values()].every((p) => p.flights.length > 0)).toBe(true);
  });

  it('without a network the flying card opens from the device, takes a take, and sends it later', async () => {
    await open('field');
    await page.evaluate(async () => {
      const { active } = await navigator.serviceWorker.ready;
      if (active?.state !== 'activated')
        await new Promise((done) => active?.addEventListener('statechange', done, { once: true }));
    });
    await page.reload();
    await says('h1', 'Valley wakes');
    await down();
    await page.goto(at('field'));
    await says('h1', 'Valley wakes');
    await press('Recording?');
    await press('Good');
    await says('[data-save]', 'offline');
    await says('section', '1 good');
    await up();
    await saved();
    const { takes } = (await stored()).file;
    expect(takes.map((t) => t.rating)).toEqual(['good']);
  });
});

import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '../../demo';
import { start } from '../../server/start';
import { ms, report, spread, writeKept } from './figures';
import { dragged, reportDragged } from './frames';
import { manyShots } from './many-shots';
import { obstacles } from './site';
import { views } from './views';

const STEPS = 600;
/** Frames until the engine has compiled what it runs. */
const COLD = 20;

/** Script time of a frame while a move plays; the picture itself is drawn in software here. */
const preview = async (page: Page): Promise<void> => {
  await page.locator('.shot-card', { hasText: 'Meadow to arches' }).first().click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Preview' }).click();
  await page.locator('canvas').waitFor();
  await page.getByRole('button', { name: 'Play' }).click();
  await page.waitForFunction(() => document.querySelector('canvas')?.dataset['frameMs']);
  report(
    'preview: script time of a frame',
    `median ${(await page.locator('canvas').getAttribute('data-frame-ms')) ?? ''} ms`,
  );
  const size = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((r) => /EyeCanvas|PreviewStage/.test(r.name))
      .reduce((sum, r) => sum + r.encodedBodySize, 0),
  );
  report('preview: loaded when opened', `${(size / 1000).toFixed(0)} kB`);
};

/** Script time of each picture the page asks for, over some time, ms. */
const scriptFrames = (page: Page, lengthMs: number): Promise<number[]> =>
  page.evaluate(
    (length) =>
      new Promise<number[]>((done) => {
        const told: number[] = [];
        const real = window.requestAnimationFrame.bind(window);
        window.requestAnimationFrame = (act) =>
          real((t) => {
            const began = performance.now();
            act(t);
            told.push(performance.now() - began);
          });
        setTimeout(() => {
          window.requestAnimationFrame = real;
          done(told);
        }, length);
      }),
    lengthMs,
  );

/** Own script while a line is flown in the cockpit, with many things standing there. Nothing is rasterised: that is the graphics card's work, and here it is done by the processor. */
const cockpit = async (browser: Browser, address: string, film: string): Promise<void> => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  // As text: what is compiled here marks functions with something the page does not know.
  await page.addInitScript({
    content: `for (const draw of ['clear', 'drawArrays', 'drawElements', 'drawArraysInstanced', 'drawElementsInstanced'])
      WebGL2RenderingContext.prototype[draw] = () => undefined;`,
  });
  await page.goto(`${address}/film/${film}/rehearse`);
  await page.locator('canvas').first().waitFor();
  await page.getByRole('button', { name: 'Watch the line' }).click();
  // What is fetched, built and looked for beside the page at first is not flying.
  await page.waitForFunction(
    () => Number.parseFloat(document.querySelector('.figures b')?.textContent ?? '') > 3,
  );
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Performance.enable');
  const scriptMs = async (): Promise<number> =>
    1000 *
    ((await cdp.send('Performance.getMetrics')).metrics.find((m) => m.name === 'ScriptDuration')?.value ??
      NaN);
  const before = await scriptMs();
  const frames = (await scriptFrames(page, 4000)).length;
  report(
    'cockpit: script of a frame, 500 things',
    `${ms(((await scriptMs()) - before) / frames)} on average, ${(frames / 4).toFixed(0)} callbacks a second`,
  );
  await page.close();
};

/** Own script while the plan is panned, with many things on it: what the map's own frames cost. */
const panned = async (page: Page, address: string, film: string): Promise<void> => {
  await page.goto(`${address}/film/${film}/map`);
  await page.locator('.canvas canvas').first().waitFor();
  await page.waitForFunction(() => document.querySelector('.list .row'));
  const box = await page.locator('.canvas').boundingBox();
  if (!box) return;
  const frames = scriptFrames(page, 6000);
  await page.mouse.move(box.x + 300, box.y + 300);
  await page.mouse.down();
  for (let i = 0; i < 120; i += 1)
    await page.mouse.move(box.x + 300 + 120 * Math.sin(i / 9), box.y + 300 + 90 * Math.cos(i / 7));
  await page.mouse.up();
  const s = spread((await frames).filter((t) => t > 0.3));
  report(
    'plan: script of a frame while panning, 500 things, 60 paths',
    `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`,
  );
  const size = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter((r) => /SiteMapView|site\.worker|raster|outline/.test(r.name))
      .reduce((sum, r) => sum + r.encodedBodySize, 0),
  );
  report('plan: loaded when opened', `${(size / 1000).toFixed(0)} kB`);
};

const run = async (): Promise<void> => {
  console.log('\nPages, in Chromium');
  if (!existsSync('/usr/bin/chromium')) {
    console.log('Chromium is not installed; npm test installs it.');
    return;
  }
  const dataDir = await mkdtemp(join(tmpdir(), 'dusk-bench-'));
  const app = await start(
    { host: '127.0.0.1', port: 0, dataDir, names: [], demo: false, webDir: resolve('dist/web') },
    pino({ level: 'silent' }),
  );
  const like = demoFilm();
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update'],
  });
  for (const count of [18, 60, 500]) {
    const shots = manyShots(count);
    const film = await app.films.importFile({ ...like, shots }, 'bench');
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      // Fetching every view for later would be measured too.
      serviceWorkers: 'block',
    });
    const began = performance.now();
    await page.goto(`${app.address}/film/${film}`);
    await page.locator('.shot-card').first().waitFor();
    const usable = performance.now() - began;
    const sizes = await page.evaluate(() =>
      (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
        .filter(
          (r) =>
            /\.(js|css)$/.test(r.name) &&
            r.startTime < (performance.getEntriesByName('usable')[0]?.startTime ?? Infinity),
        )
        .reduce((sum, r) => sum + r.encodedBodySize, 0),
    );
    await page.locator('.shot-card', { hasText: 'Along the parapet' }).first().click();
    await page.getByRole('slider', { name: 'Length' }).focus();
    const held = await dragged(browser, page, STEPS);
    report(
      `${count} shots: usable after`,
      `${ms(usable)}, ${(sizes / 1000).toFixed(0)} kB of script and style`,
    );
    reportDragged(`${count} shots, slider held`, held, COLD);
    if (count === 18) await preview(page);
    if (count === 60) {
      const crowded = await app.films.importFile(
        {
          ...like,
          shots: shots.map((s) => ({
            ...s,
            locationId: like.locations[0]?.id ?? '',
            subjectId: like.subjects[0]?.id ?? null,
          })),
          features: obstacles(500, like.locations[0]?.id ?? '').map((f) => ({
            ...f,
            points: [...f.points],
          })),
        },
        'bench',
      );
      await panned(page, app.address, crowded);
      await cockpit(browser, app.address, crowded);
    }
    await page.close();
    if (count === 500) {
      const features = obstacles(500, like.locations[0]?.id ?? '').map((f) => ({
        ...f,
        points: [...f.points],
      }));
      await views(browser, app.address, await app.films.importFile({ ...like, shots, features }, 'bench'));
    }
  }
  await browser.close();
  await app.stop();
  await rm(dataDir, { recursive: true, force: true });
};

await run();
writeKept('pages');

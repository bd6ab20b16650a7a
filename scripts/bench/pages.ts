import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '../../demo';
import { start } from '../../server/start';
import { ms, report, spread } from './figures';
import { obstacles } from './site';

const STEPS = 100;
/** Steps until the engine has compiled what it runs. */
const COLD = 10;

/**
 * Presses an arrow on the focused slider with every frame.
 * @returns for each frame, ms of script and layout in the event, and of everything of the page's own from that event to the next frame;
 * and of a loop that is always the same, before and after it: where it takes longer than at its best, others had the processor
 */
const dragged = async (steps: number): Promise<{ hand: number[]; frame: number[]; loop: number[] }> => {
  const hand: number[] = [];
  const frame: number[] = [];
  const loop: number[] = [];
  // A method, because the bundler marks named functions with a helper the page does not have.
  const clock = {
    own: 0,
    async timed(act: () => void): Promise<number> {
      const began = performance.now();
      act();
      for (let k = 0; k < 20; k += 1) await null;
      void document.body.offsetHeight;
      const took = performance.now() - began;
      this.own += took;
      return took;
    },
  };
  const spin = { x: 0, once(): number { const began = performance.now(); for (let i = 0; i < 1e6; i += 1) this.x += i & 3; return performance.now() - began; } };
  for (let i = 0; i < 30; i += 1) spin.once();
  const real = window.setTimeout;
  window.setTimeout = ((act: () => void, delay?: number, ...rest: unknown[]) => real(delay ? act : () => void clock.timed(act), delay, ...rest)) as typeof window.setTimeout;
  for (let i = 0; i < steps; i += 1) {
    clock.own = 0;
    const before = spin.once();
    hand.push(await clock.timed(() => document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', code: 'ArrowRight', bubbles: true }))));
    await new Promise((done) => { requestAnimationFrame(() => { const channel = new MessageChannel(); channel.port1.onmessage = done; real(() => channel.port2.postMessage(0)); }); });
    frame.push(clock.own);
    loop.push(Math.max(before, spin.once()));
  }
  window.setTimeout = real;
  return { hand, frame, loop };
};

/** Script time of a frame while a move plays; the picture itself is drawn in software here. */
const preview = async (page: Page): Promise<void> => {
  await page.locator('.slate', { hasText: 'Meadow to arches' }).first().click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'See it' }).click();
  await page.locator('canvas').waitFor();
  await page.getByRole('button', { name: 'Play' }).click();
  await page.waitForFunction(() => document.querySelector('canvas')?.dataset['frameMs']);
  report('preview: script time of a frame', `median ${await page.locator('canvas').getAttribute('data-frame-ms') ?? ''} ms`);
  const size = await page.evaluate(() => (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter((r) => /EyeCanvas|PreviewStage/.test(r.name)).reduce((sum, r) => sum + r.encodedBodySize, 0));
  report('preview: loaded when opened', `${(size / 1000).toFixed(0)} kB`);
};

/** Own script while the plan is panned, with many things on it: what the map's own frames cost. */
const panned = async (page: Page, address: string, film: string): Promise<void> => {
  await page.goto(`${address}/film/${film}/plan`);
  await page.locator('.canvas canvas').first().waitFor();
  await page.waitForFunction(() => document.querySelector('.list .row'));
  const box = await page.locator('.canvas').boundingBox();
  if (!box) return;
  const frames = page.evaluate(() => new Promise<number[]>((done) => {
    const told: number[] = [];
    const real = window.requestAnimationFrame.bind(window);
    window.requestAnimationFrame = (act) => real((t) => { const began = performance.now(); act(t); told.push(performance.now() - began); });
    setTimeout(() => { window.requestAnimationFrame = real; done(told); }, 6000);
  }));
  await page.mouse.move(box.x + 300, box.y + 300);
  await page.mouse.down();
  for (let i = 0; i < 120; i += 1) await page.mouse.move(box.x + 300 + 120 * Math.sin(i / 9), box.y + 300 + 90 * Math.cos(i / 7));
  await page.mouse.up();
  const s = spread((await frames).filter((t) => t > 0.3));
  report('plan: script of a frame while panning, 500 things, 60 paths', `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`);
  const size = await page.evaluate(() => (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter((r) => /PlanView|site\.worker|raster|outline/.test(r.name)).reduce((sum, r) => sum + r.encodedBodySize, 0));
  report('plan: loaded when opened', `${(size / 1000).toFixed(0)} kB`);
};

const run = async (): Promise<void> => {
  console.log('\nPages, in Chromium');
  if (!existsSync('/usr/bin/chromium')) { console.log('Chromium is not installed; npm test installs it.'); return; }
  const dataDir = await mkdtemp(join(tmpdir(), 'dusk-bench-'));
  const app = await start({ host: '127.0.0.1', port: 0, dataDir, names: [], demo: false, webDir: resolve('dist/web') }, pino({ level: 'silent' }));
  const like = demoFilm();
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update'] });
  for (const count of [18, 60, 500]) {
    const shots = Array.from({ length: count }, (_, i) => { const s = like.shots[i % like.shots.length]; if (!s) throw new Error('no shots'); return { ...s, id: `e0000000-0000-4000-8000-${String(i).padStart(12, '0')}`, position: `a${String(i).padStart(4, '0')}x` }; });
    const film = await app.films.importFile({ ...like, shots }, 'bench');
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const began = performance.now();
    await page.goto(`${app.address}/film/${film}`);
    await page.locator('.slate').first().waitFor();
    const usable = performance.now() - began;
    const sizes = await page.evaluate(() => (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter((r) => /\.(js|css)$/.test(r.name) && r.startTime < (performance.getEntriesByName('usable')[0]?.startTime ?? Infinity)).reduce((sum, r) => sum + r.encodedBodySize, 0));
    await page.locator('.slate', { hasText: 'Along the parapet' }).first().click();
    await page.getByRole('slider', { name: 'Length' }).focus();
    const { hand, frame, loop } = await page.evaluate(dragged, STEPS);
    report(`${count} slates: usable after`, `${ms(usable)}, ${(sizes / 1000).toFixed(0)} kB of script and style`);
    for (const [name, times] of [['slate in hand', hand], ['whole frame, an arrow with every frame', frame]] as const) {
      const s = spread(times.slice(COLD));
      report(`${count} slates: slider step, ${name}`, `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}; worst of the first ${COLD} ${ms(spread(times.slice(0, COLD)).max)}`);
    }
    // At its better the loop says what this processor can do alone; a frame next to one that was half as slow again was not the page's alone.
    const usual = [...loop].sort((a, b) => a - b)[Math.floor(loop.length / 4)] ?? Infinity;
    const alone = frame.filter((_, i) => i >= COLD && (loop[i] ?? Infinity) < 1.5 * usual);
    const s = spread(alone);
    report(`${count} slates: whole frame, where nobody else had the processor`, `${alone.length} of ${STEPS - COLD} frames: median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`);
    if (count === 18) await preview(page);
    if (count === 60) await panned(page, app.address, await app.films.importFile({ ...like, shots: shots.map((s) => ({ ...s, locationId: like.locations[0]?.id ?? '', subjectId: like.subjects[0]?.id ?? null })), features: obstacles(500, like.locations[0]?.id ?? '').map((f) => ({ ...f, points: [...f.points] })) }, 'bench'));
    await page.close();
  }
  await browser.close();
  await app.stop();
  await rm(dataDir, { recursive: true, force: true });
};

await run();

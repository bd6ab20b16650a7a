import type { Browser } from '@playwright/test';
import { ms, report } from './figures';

/** Views of a film: the key that leads there after G, and what is there once each is drawn. */
const VIEWS: readonly (readonly [name: string, key: string, drawn: string])[] = [
  ['overview', 'v', 'main h1'],
  ['locations', 'l', 'main input'],
  ['site map', 'm', '.list .row'],
  ['storyboard', 'o', 'main [data-card], main .card'],
  ['light', 'i', 'main svg'],
  ['flights', 'f', 'main svg, main .row'],
  ['checks', 'c', 'main li'],
  ['field', 'd', '.steps li'],
  ['footage', 'a', 'main section'],
];
/** What comes late is watched for so long after a view is drawn, ms. */
const WATCHED_MS = 3000;
/** What follows a first view is done: the page has had nothing to do for most of thirty turns in a row. */
const REST = `new Promise((done) => {
  let quiet = 0;
  const look = (turn) => {
    quiet = turn.timeRemaining() > 20 ? quiet + 1 : 0;
    if (quiet >= 30) done();
    else requestIdleCallback(look);
  };
  requestIdleCallback(look);
})`;
const MOST_MS = 20_000;

/** Each view opened from the list of shots, in a film that is open: until it is drawn, and the longest time it blocks the page. */
export const views = async (browser: Browser, address: string, film: string): Promise<void> => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  // As text: what is compiled here marks functions with something the page does not know.
  await page.addInitScript({
    content: `localStorage.setItem('dusk-tour', 'seen'); window.blocks = [];
      new PerformanceObserver((l) => window.blocks.push(...l.getEntries().map((e) => e.duration))).observe({ type: 'longtask' });`,
  });
  for (const [name, key, drawn] of VIEWS) {
    await page.goto(`${address}/film/${film}/shots`);
    await page.locator('.shot-card').first().waitFor();
    await page.evaluate(REST);
    const [open, blocks] = (await page.evaluate(`(async () => {
      window.blocks.length = 0;
      const before = location.pathname;
      const began = performance.now();
      for (const key of ['g', '${key}']) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      await new Promise((done) => {
        const look = () => {
          const there = location.pathname !== before && document.querySelector(${JSON.stringify(drawn)});
          if (there) requestAnimationFrame(() => setTimeout(done));
          else if (performance.now() - began > ${MOST_MS}) done();
          else requestAnimationFrame(look);
        };
        look();
      });
      const open = performance.now() - began;
      await new Promise((done) => setTimeout(done, ${WATCHED_MS}));
      return [open, window.blocks];
    })()`)) as [number, number[]];
    report(
      `500 shots, 500 things: ${name}`,
      `drawn after ${ms(open)}, longest block ${ms(Math.max(0, ...blocks))}, ${blocks.length} over 50 ms`,
    );
  }
  await page.close();
};

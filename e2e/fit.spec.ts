import { expect, test } from './app';

const VIEWS = ['', 'job', 'places', 'kit'] as const;

for (const theme of ['dusk', 'noon'] as const) {
  test(`main views are accessible by ${theme}`, async ({ page, bench, app }) => {
    test.setTimeout(150_000);
    await page.addInitScript((t) => localStorage.setItem('dusk-theme', t), theme);
    await page.goto(app.address);
    await expect(page.getByRole('heading', { name: 'Dusk Slate' })).toBeVisible();
    await bench.accessible();
    for (const view of VIEWS) { await bench.open(view); await bench.accessible(); }
    await bench.open();
    for (const facet of ['2', '3']) { await page.keyboard.press(facet); await bench.accessible(); }
    await page.locator('[data-figure=energy]').click();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await bench.accessible();
  });
}

test('three panes and the rail fit 1280×800 without the page scrolling', async ({ page, bench }) => {
  await bench.open();
  const fits = await page.evaluate(() => ({ x: document.documentElement.scrollWidth <= 1280, y: document.documentElement.scrollHeight <= 800 }));
  expect(fits).toEqual({ x: true, y: true });
  for (const part of ['.slates', '.work', '.budgetpane', '.ribbon', '.rail svg', '.strip']) await expect(page.locator(part).first()).toBeInViewport();
});

test('on a phone the bench is three parts with large targets, nothing cut off', async ({ page, bench }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${bench.app.address}/film/${bench.film}`);
  await bench.slate('Along the parapet').click();
  await expect(bench.title).toBeVisible();
  await page.getByRole('button', { name: 'Packs', exact: true }).click();
  await expect(bench.verdict).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await bench.accessible();
});

test('the first view comes in under 250 kB of compressed script and style', async ({ page, bench }) => {
  await bench.open();
  const bytes = await page.evaluate(() => (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
    .filter((r) => /\.(js|css)$/.test(new URL(r.name).pathname)).reduce((sum, r) => sum + r.encodedBodySize, 0));
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThan(250_000);
});

test('nothing is fetched from anywhere else', async ({ page, bench }) => {
  const foreign: string[] = [];
  page.on('request', (request) => { if (!request.url().startsWith(bench.app.address) && !request.url().startsWith('data:')) foreign.push(request.url()); });
  for (const view of VIEWS) await bench.open(view);
  expect(foreign).toEqual([]);
});

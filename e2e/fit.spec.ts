import { expect, test } from './app';

const VIEWS = ['', 'overview', 'brief', 'locations', 'map', 'kit', 'ready'] as const;

for (const theme of ['dusk', 'noon'] as const) {
  test(`main views are accessible by ${theme}`, async ({ page, bench, app }) => {
    test.setTimeout(150_000);
    const coloursOnly = theme === 'noon';
    await page.addInitScript((t) => localStorage.setItem('dusk-theme', t), theme);
    await page.goto(app.address);
    await expect(page.getByRole('heading', { name: 'Dusk Slate' })).toBeVisible();
    await bench.accessible(coloursOnly);
    for (const view of VIEWS) {
      await bench.open(view);
      await bench.accessible(coloursOnly, true);
    }
    await bench.open();
    for (const facet of ['2', '3']) {
      await page.keyboard.press(facet);
      await bench.accessible(coloursOnly);
    }
    await page.locator('[data-figure=energy]').click();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await bench.accessible(coloursOnly);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.keyboard.press('m');
    await expect(page.getByRole('searchbox', { name: 'Search moves' })).toBeFocused();
    await bench.accessible(coloursOnly);
  });
}

test('three panes and the rail fit 1280×800 without the page scrolling', async ({ page, bench }) => {
  await bench.open();
  const fits = await page.evaluate(() => ({
    x: document.documentElement.scrollWidth <= 1280,
    y: document.documentElement.scrollHeight <= 800,
  }));
  expect(fits).toEqual({ x: true, y: true });
  for (const part of ['.shots', '.work', '.budgetpane', '.ribbon', '.rail svg', '.strip'])
    await expect(page.locator(part).first()).toBeInViewport();
});

/** Boxes whose content is wider than they are and cannot be reached; what is for readers only, and words that end in dots, are meant to be cut. */
const cutOff = (): string[] =>
  [...document.querySelectorAll('*')].flatMap((e) => {
    if (
      !(e instanceof HTMLElement) ||
      e.offsetParent === null ||
      e.closest('.sr') ||
      e instanceof HTMLInputElement
    )
      return [];
    const style = getComputedStyle(e);
    const wide =
      e.scrollWidth > e.clientWidth + 1 &&
      style.overflowX !== 'visible' &&
      style.textOverflow !== 'ellipsis' &&
      style.display !== 'inline';
    return wide
      ? [
          `${e.tagName}.${[...e.classList].join('.')} ${e.scrollWidth} in ${e.clientWidth}: ${e.innerText.slice(0, 40)}`,
        ]
      : [];
  });

/** How much longer the page itself is than the window, px: what scrolls are parts of it, never the page under the bar. */
const overhang = (): number => {
  const { scrollHeight, clientHeight } = document.documentElement;
  return scrollHeight - clientHeight;
};

test('at 1280 nothing is wider than its box, in any view or part of one', async ({ page, bench }) => {
  for (const view of [
    '',
    'storyboard',
    'brief',
    'locations',
    'map',
    'light',
    'flights',
    'checks',
    'calculators',
    'kit',
    'overview',
    'field',
    'footage',
  ] as const) {
    await bench.open(view);
    if (view === 'map') {
      await page
        .locator('.list')
        .getByRole('button', { name: /Signal hut, smoke/ })
        .click();
      await expect(page.locator('.right .rail')).toBeVisible();
    }
    const parts = page.getByRole('tab');
    for (const part of [null, ...(await parts.all())]) {
      if (part) {
        await part.click();
        await expect(part).toHaveAttribute('aria-selected', 'true');
      }
      expect(await page.evaluate(cutOff), `${view || 'bench'} ${(await part?.textContent()) ?? ''}`).toEqual(
        [],
      );
      expect(await page.evaluate(overhang), `${view || 'bench'} is longer than its window`).toBeLessThan(2);
    }
  }
});

test('what is chosen and what is filled in can be read: hiding the words changes the picture of their box', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.shot('Along the parapet').click();
  for (const [box, words] of [
    ['.work .pick-shape', '.chosen'],
    ['.work .slide .el-input', 'input'],
  ] as const) {
    const field = page.locator(box).first();
    const seen = await field.screenshot({ animations: 'disabled' });
    await field.locator(words).evaluate((e: HTMLElement) => {
      e.style.color = 'transparent';
    });
    expect((await field.screenshot({ animations: 'disabled' })).equals(seen), box).toBe(false);
  }
});

test('on a phone the bench is three parts with large targets, nothing cut off', async ({ page, bench }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${bench.app.address}/film/${bench.film}`);
  await bench.shot('Along the parapet').click();
  await expect(bench.title).toBeVisible();
  await page.getByRole('button', { name: 'Packs', exact: true }).click();
  await expect(bench.verdict).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await bench.accessible();
});

test('the first view comes in under 250 kB of compressed script and style', async ({ page, bench }) => {
  await bench.open();
  const bytes = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(
        (r) =>
          /\.(js|css)$/.test(new URL(r.name).pathname) &&
          r.startTime < performance.getEntriesByName('usable')[0]!.startTime,
      )
      .reduce((sum, r) => sum + r.encodedBodySize, 0),
  );
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThan(250_000);
});

test('nothing is fetched from anywhere else', async ({ page, bench }) => {
  const foreign: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(bench.app.address) && !request.url().startsWith('data:'))
      foreign.push(request.url());
  });
  for (const view of VIEWS) await bench.open(view);
  expect(foreign).toEqual([]);
});

test('pages are sent compressed, hashed files for long, the door never from a cache', async ({
  page,
  bench,
}) => {
  const headers = new Map<string, Record<string, string>>();
  page.on('response', (response) => {
    headers.set(new URL(response.url()).pathname, response.headers());
  });
  await bench.open();
  const door = headers.get(`/film/${bench.film}`)!;
  expect(door['cache-control']).toBe('no-cache');
  expect(door['content-security-policy']).toContain("script-src 'self'");
  const scripts = [...headers].filter(([path]) => /^\/assets\/.*\.js$/.test(path));
  expect(scripts.length).toBeGreaterThan(3);
  for (const [path, h] of scripts) {
    expect(h['cache-control'], path).toMatch(/max-age=31536000, immutable/);
    if (Number(h['content-length'] ?? 1e9) > 20_000)
      expect(h['content-encoding'], path).toMatch(/^(br|gzip)$/);
  }
  expect(headers.get('/api/kit')!['cache-control']).toBe('no-store');
});

test('without motion wanted nothing moves by itself', async ({ page, bench }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await bench.open();
  const moving = await page.evaluate(
    () =>
      [...document.querySelectorAll('*')].filter((e) => {
        const s = getComputedStyle(e);
        return (
          s.animationName !== 'none' ||
          (s.transitionDuration !== '0s' && s.transitionProperty !== 'none' && s.transitionProperty !== 'all')
        );
      }).length,
  );
  expect(moving).toBe(0);
});

test('every field that refuses says so to a screen reader and keeps its label', async ({ page, bench }) => {
  await bench.open('brief');
  const reserve = page.getByLabel('Landing reserve');
  await reserve.fill('70');
  await reserve.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Reserve must be 40 % or less.' })).toBeVisible();
  await expect(reserve).toHaveAttribute('aria-invalid', 'true');
  await expect(reserve).toHaveValue('70');
  await reserve.fill('25');
  await reserve.press('Enter');
  await expect(reserve).toHaveAttribute('aria-invalid', 'false');
  await bench.saved();
  expect((await bench.stored()).file.film.preferences.reserveShare).toBeCloseTo(0.25, 9);
});

test('the first stop of the keyboard leads past the bar to what the page is about', async ({
  page,
  bench,
}) => {
  await bench.open('checks');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('button', { name: 'Skip to content' });
  await expect(skip).toBeFocused();
  await expect(skip).toBeInViewport();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
});

for (const colorScheme of ['light', 'dark'] as const)
  test(`in the system's own colours (${colorScheme}) reserve, what is chosen and switches can still be told apart`, async ({
    page,
    bench,
  }) => {
    await page.emulateMedia({ forcedColors: 'active', colorScheme });
    await bench.open();
    await expect(bench.verdict).toBeVisible();
    const background = (selector: string, nth = 0): Promise<string> =>
      page
        .locator(selector)
        .nth(nth)
        .evaluate((e) => getComputedStyle(e).backgroundColor);
    const drawn = (selector: string, property: string): Promise<string> =>
      page
        .locator(selector)
        .first()
        .evaluate((e, p) => getComputedStyle(e).getPropertyValue(p), property);
    expect(await background('.shot-card.picked')).not.toBe(await background('.shot-card:not(.picked)'));
    expect(await background('.work .el-slider__button')).not.toBe(await background('main.work'));
    await bench.accessible(true);
    await bench.open('flights');
    await expect(page.locator('.apexcharts-series path').first()).toBeVisible();
    expect(await drawn('.bar .ground', 'background-image')).toContain('gradient');
    // A switch shows which way it stands by more than a word.
    const core = page
      .locator('.el-switch')
      .filter({ hasNot: page.locator(':disabled') })
      .first();
    const was = await core.screenshot({ animations: 'disabled' });
    await core.click();
    expect((await core.screenshot({ animations: 'disabled' })).equals(was)).toBe(false);
    await bench.accessible(true);
    await bench.open('map');
    await expect(page.locator('.canvas canvas').first()).toBeVisible();
    await bench.accessible(true);
  });

for (const [what, width, height] of [
  ['a phone on its side', 844, 390],
  ['twice the size', 640, 400],
] as const)
  test(`at ${what} the site map keeps half of the height, and the profile is beside what is picked`, async ({
    page,
    bench,
  }) => {
    await page.setViewportSize({ width, height });
    await bench.open('map');
    const box = page.locator('.mapbox');
    await expect(box.locator('canvas').first()).toBeVisible();
    expect((await box.boundingBox())!.height).toBeGreaterThanOrEqual(height / 2);
    await expect(page.locator('.profile')).toBeHidden();
    await page.getByRole('button', { name: 'Picked', exact: true }).click();
    await expect(page.locator('.profile')).toBeInViewport();
    await expect(page.getByRole('complementary').locator('visible=true').first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    await bench.accessible();
  });

import type { Page } from '@playwright/test';
import { exposurePlan } from '@core/light-timeline';
import { locationLight } from '@core/shot';
import { expect, test } from './app';

/** A part of the light page; the page of the shots has tabs of the same name. */
const partOfLight = (page: Page, name: string) =>
  page.getByRole('tablist', { name: 'Parts of the light' }).getByRole('tab', { name });

test('a sunrise shoot: filters hold over their flights, a shot fixed to another lands before it, and freeing it cures that', async ({
  page,
  bench,
}) => {
  await bench.open('light');
  await partOfLight(page, 'Exposure').click();
  await expect(page.locator('.sum')).toHaveText('2 flights, each with one filter from take-off to landing.');
  const { derived, file } = await bench.stored();
  const place = [...derived.places.values()][0]!;
  const plan = exposurePlan(
    place,
    derived.shots,
    file.kit,
    locationLight(place.location, place.light!, file.readings, file.film.preferences),
  );
  const first = plan[0]!.rows[0]!;
  const row = page.locator('.shot-1');
  await expect(row).toContainText(`f/${first.start.choice!.aperture}`);
  await expect(row).toContainText(`${first.start.ev100.toFixed(1)}EV`);
  await expect(page.locator('.apexcharts-series path').first()).toBeVisible();

  await row.getByRole('link').click();
  await expect(page.getByRole('tab', { name: 'Exposure' })).toHaveAttribute('aria-selected', 'true');
  await bench.pick('Along the parapet');
  await bench.choose('Filter', /ND 128/);
  const warning = page.locator('[data-code="exposure.filter-change"]');
  await expect(warning).toContainText('fixed to another one');
  await page.getByRole('link', { name: 'Light', exact: true }).click();
  await partOfLight(page, 'Exposure').click();
  await expect(page.locator('.shot-3')).toContainText('land before it');
  await expect(page.locator('.sum')).toContainText('landings to change a filter');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await warning.getByRole('button', { name: 'Free the filter choice.' }).click();
  await expect(warning).toHaveCount(0);
});

test('a night street: a shutter that flickers is marked, follows the mains of the place, and the sheet says which', async ({
  page,
  bench,
}) => {
  await bench.open();
  // To the third location by key: its rows are further down than the list has drawn.
  await page.keyboard.press(']');
  await page.keyboard.press(']');
  await bench.pick('Leave it to the blue');
  await page.keyboard.press('3');
  await bench.choose('Shutter', '1/60');
  await expect(page.locator('[data-proposal] .mark', { hasText: 'flickers' })).toBeVisible();
  await expect(page.locator('[data-code="exposure.flicker"]')).toContainText('50 Hz');
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await bench.choose('Mains frequency', '60 Hz');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await expect(page.locator('[data-code="exposure.flicker"]')).toHaveCount(0);
  await page.getByRole('link', { name: 'Light', exact: true }).click();
  await partOfLight(page, 'Set-up').click();
  await expect(page.locator('[data-line="mains"]').first()).toContainText('60 Hz');
  await expect(page.locator('[data-line="white-balance"]').first()).toContainText('locked at');
});

test('noon with too weak a filter set: stops over, the factor that would do, and a filter of that factor cures it', async ({
  page,
  bench,
}) => {
  await bench.open('kit');
  await page.getByRole('button', { name: /^Filters/ }).click();
  for (const name of ['ND 64', 'ND 128', 'Vario 4–32'])
    await page.getByRole('button', { name: `Retire ${name}` }).click();
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await bench.setWhen('Window from', '13:30');
  await bench.setWhen('Window to', '15:00');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await bench.pick('Sleepers from above');
  const over = page.locator('[data-code="exposure.over"]');
  await expect(over).toContainText('stops over');
  const factor = Number(/A filter of factor (\d+)/.exec((await over.textContent()) ?? '')?.[1]);
  expect(factor).toBeGreaterThan(32);
  await page.keyboard.press('3');
  await expect(page.locator('[data-proposal] .mark').first()).toBeVisible();
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page.getByRole('button', { name: 'New filter' }).click();
  const field = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Copy ND 16' }) })
    .last()
    .getByLabel('Factor', { exact: true });
  await field.fill('-4');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toContainText('must be 1 or more');
  await field.fill(String(factor));
  await field.press('Enter');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await expect(over).toHaveCount(0);
});

test('a filter that stays at home is offered nowhere', async ({ page, bench }) => {
  await bench.open('kit');
  await page.getByRole('button', { name: /^Filters/ }).click();
  await page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Copy ND 4', exact: true }) })
    .getByText('On this film')
    .click();
  await bench.saved();
  await page.getByRole('link', { name: 'Light', exact: true }).click();
  await partOfLight(page, 'Exposure').click();
  await expect(page.locator('.part').first()).toBeVisible();
  await expect(page.locator('.part', { hasText: /ND 4\b/ })).toHaveCount(0);
});

test('wishes, pins and dates: the window of a shot, held back by hand and by dragging, taken back again', async ({
  page,
  bench,
}) => {
  await bench.open('light');
  const lane = page.locator('.lanes .row', { hasText: 'Along the parapet' });
  await expect(lane.locator('.lane .wish').first()).toBeVisible();
  await lane.getByRole('button', { name: '3 not before' }).click();
  await expect(lane.getByRole('combobox', { name: '3 not before' })).toBeVisible();
  // Its lists are scrolled to the present time as it opens: that is nobody's choice, and nothing to take back.
  const hours = page.locator('.el-time-panel .el-scrollbar__wrap');
  await lane.getByRole('combobox', { name: '3 not before' }).click();
  await expect(hours.locator('visible=true').first()).toBeVisible();
  await page.evaluate(
    () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn(true)))),
  );
  await page.keyboard.press('Escape');
  await expect(hours.locator('visible=true')).toHaveCount(0);
  await bench.saved();
  const shots = async () => (await bench.stored()).file.shots;
  const notBefore = async () => (await shots()).find((s) => s.title === 'Along the parapet')?.notBefore;
  expect(await notBefore()).toBeNull();
  // Scrolled by hand it is one.
  await lane.getByRole('combobox', { name: '3 not before' }).click();
  await hours.locator('visible=true').first().hover();
  // Its list stands at the present hour: at midnight there is nothing above it.
  const top = await hours
    .locator('visible=true')
    .first()
    .evaluate((list) => list.scrollTop);
  await page.mouse.wheel(0, top > 0 ? -96 : 96);
  await expect.poll(notBefore).toMatch(/^\d\d:\d\d$/);
  await page.keyboard.press('Enter');
  await expect(hours.locator('visible=true')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect.poll(notBefore).toBeNull();
  await bench.setWhen('3 not before', '07:50');
  await bench.saved();
  expect(await notBefore()).toBe('07:50');
  await expect(lane.locator('.now')).toHaveAttribute('title', 'planned 07:50');
  await page.keyboard.press('Control+z');
  await expect.poll(notBefore).toBeNull();

  const piece = page.locator('[data-piece="6"] rect').first();
  const box = (await piece.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 180, box.y + box.height / 2, { steps: 6 });
  await expect(page.locator('.says')).toContainText('not before 07:');
  await page.mouse.up();
  await expect
    .poll(async () => (await shots()).find((s) => s.title === 'Away from the arches')?.notBefore ?? '')
    .toMatch(/^07:\d\d$/);

  const dates = page.getByRole('region', { name: 'Dates compared' }).locator('tbody tr');
  await expect(dates).toHaveCount(7);
  await dates.nth(2).getByRole('button', { name: 'Use this date' }).click();
  await expect.poll(async () => (await bench.stored()).file.locations[0]?.date).toBe('2027-05-16');
});

test('a meter reading shifts the rest of the window; what is no reading is said at the field', async ({
  page,
  bench,
}) => {
  await bench.open('light');
  await bench.setWhen('Read at', '07:10');
  await page.getByLabel('Meter reading, EV').fill('seven');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('number of EV');
  await page.getByLabel('Meter reading, EV').fill('7,4');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '07:10' })).toContainText('7.4EV');
  await bench.saved();
  const { derived, file } = await bench.stored();
  const at = (title: string) =>
    derived.shots.get(file.shots.find((s) => s.title === title)!.id)!.light!.scene;
  expect(at('Valley wakes').meterShift).toBe(0);
  expect(at('Train takes the bridge').meterShift).not.toBe(0);
});

test('quick sums: any four give the fifth, with a key of its own, on a phone as well', async ({
  page,
  bench,
}) => {
  await bench.open();
  await page.keyboard.press('q');
  await expect(page.getByRole('heading', { name: 'Calculators' })).toBeVisible();
  await expect(page.locator('[data-out=ndStops]')).toHaveText(/4\.4 stops/);
  await page.getByRole('button', { name: 'ISO', exact: true }).click();
  await expect(page.locator('[data-out=iso]')).toHaveText('ISO 5');
  const light = page.getByLabel('Light', { exact: true });
  await light.fill('8');
  await light.press('Enter');
  await expect(page.locator('[data-out=iso]')).toHaveText('ISO 153');
  await page.getByLabel('Shutter', { exact: true }).fill('1/100');
  await expect(page.locator('[data-out=iso]')).toHaveText('ISO 306');
  const factors = page.getByLabel('Factors');
  await factors.fill('8 4');
  await expect(page.locator('[data-stack]')).toContainText('5.0stops · factor 32');
  await factors.fill('8 -4');
  await expect(page.locator('[data-stack]')).toContainText('1 or more');
  await page.getByRole('button', { name: 'Take this light' }).click();
  await bench.accessible();
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.querySelector('main')?.scrollWidth)).toBeLessThanOrEqual(390);
});

test('the light page is accessible, part by part, and fits a phone', async ({ page, bench }) => {
  await bench.open('light');
  for (const tab of ['The day', 'Exposure', 'Set-up']) {
    await page.getByRole('tab', { name: tab }).click();
    await page.waitForFunction(
      () => !document.querySelector('.chart') || document.querySelector('.apexcharts-series'),
    );
    await bench.accessible();
  }
  await page.setViewportSize({ width: 390, height: 844 });
  for (const tab of ['The day', 'Exposure', 'Set-up']) {
    await page.getByRole('tab', { name: tab }).click();
    expect(await page.evaluate(() => document.querySelector('main')?.scrollWidth), tab).toBeLessThanOrEqual(
      390,
    );
  }
});

test('a place with no shots, no light and no flights says what it needs', async ({ page, bench }) => {
  await bench.open('locations');
  await page.getByRole('button', { name: 'New', exact: true }).click();
  await page.getByRole('link', { name: 'Light', exact: true }).click();
  await expect(page.getByText('No shots here yet')).toBeVisible();
  await partOfLight(page, 'Exposure').click();
  await expect(page.getByText('No flights here yet')).toBeVisible();
  await partOfLight(page, 'Set-up').click();
  await expect(page.getByText('No flights here yet')).toBeVisible();
});

test('a time-lapse through the sunrise has a ramp: which dial at which frame, the same on every sheet', async ({
  page,
  bench,
}) => {
  await bench.open('locations');
  await bench.setWhen('Window from', '06:30');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await bench.pick('Valley wakes');
  await bench.choose('Move', 'Moving time-lapse');
  await bench.saved();
  await page.getByRole('link', { name: 'Light', exact: true }).click();
  await partOfLight(page, 'Exposure').click();
  const ramp = page.locator('[data-ramp="1"]');
  await expect(ramp).toContainText(/frame \d+: (1\/\d+|ISO \d+)/);
  const steps = /(frame .+?)One notch/.exec((await ramp.textContent()) ?? '')?.[1]?.trim();
  await partOfLight(page, 'Set-up').click();
  await expect(page.locator('[data-line="ramp"]')).toContainText(steps ?? 'no steps were shown');
  await expect(page.locator('[data-line="lock"]').first()).toContainText('along the ramp');
});

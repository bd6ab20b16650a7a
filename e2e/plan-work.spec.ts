import { readFile } from 'node:fs/promises';
import { test, expect } from './app';
import { PlanHands } from './plan';

test('what is drawn goes out in three formats and comes back the same; what is no file of shapes is refused', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await expect(page.locator('.list').getByRole('button', { name: /Alder wood/ })).toBeVisible();
  await page.keyboard.press('y');
  await page.getByRole('button', { name: 'Bring or save shapes' }).click();
  const before = (await bench.stored()).file;
  const here = before.features.filter((f) => f.locationId === before.locations[0]!.id);
  for (const format of ['GeoJSON', 'KML', 'GPX'] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: format, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toBe(`Valdegris viaduct.${format.toLowerCase()}`);
    await page.setInputFiles(
      'input[accept*=".gpx"]',
      await download.path().then(async (path) => ({
        name: download.suggestedFilename(),
        mimeType: 'text/plain',
        buffer: await readFile(path),
      })),
    );
    await expect(page.getByRole('button', { name: `Bring ${here.length} in` })).toBeVisible();
    // Paths of shots went out and are told to be worked out here.
    await expect(page.locator('.skipped li')).toHaveCount(7);
  }
  await page.getByRole('button', { name: `Bring ${here.length} in` }).click();
  await expect(page.locator('.list').getByRole('button', { name: /Alder wood/ })).toHaveCount(2);
  await bench.saved();
  const { file } = await bench.stored();
  const twins = file.features.filter(
    (f) => f.locationId === before.locations[0]!.id && !here.some((h) => h.id === f.id),
  );
  for (const h of here) {
    const twin = twins.find((t) => t.name === h.name && t.kind === h.kind)!;
    expect(twin).toMatchObject({ heightM: h.heightM, keepM: h.keepM, until: h.until, granted: h.granted });
    expect(twin.points).toHaveLength(h.points.length);
  }
  await page.keyboard.press('Control+z');
  await expect(page.locator('.list').getByRole('button', { name: /Alder wood/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Bring or save shapes' }).click();
  await page.setInputFiles('input[accept*=".gpx"]', {
    name: 'odd.kml',
    mimeType: 'text/xml',
    buffer: Buffer.from('<!DOCTYPE x [<!ENTITY a "b">]><kml><Placemark/></kml>'),
  });
  await expect(page.getByRole('alert')).toBeVisible();
});

test('two tabs draw on one plan: each sees the other, and a corner moved in both is asked about', async ({
  bench,
  page,
  context,
  app,
  film,
}) => {
  await bench.open('map');
  const other = await context.newPage();
  await other.goto(`${app.address}/film/${film}/map`);
  await expect(other.locator('.list').getByRole('button', { name: /Picnic field/ })).toBeVisible();
  const hands = await PlanHands.on(page);
  await page.locator('.canvas').focus();
  await page.keyboard.press('h');
  await hands.draw([60, 30], [80, 30], [80, 45], [60, 45]);
  await page.getByLabel('Name', { exact: true }).fill('New barn');
  await bench.saved();
  await expect(other.locator('.list').getByRole('button', { name: /New barn/ })).toBeVisible();

  // The same barn changed in both while one cannot save.
  await other
    .locator('.list')
    .getByRole('button', { name: /New barn/ })
    .click();
  await page.route('**/api/changes', (route) => route.abort());
  await page.getByLabel('Height above its ground').fill('11');
  await page.getByLabel('Height above its ground').press('Enter');
  await other.getByLabel('Height above its ground').fill('14');
  await other.getByLabel('Height above its ground').press('Enter');
  await expect(other.locator('[data-save]')).toHaveText('saved');
  await page.unroute('**/api/changes');
  await page.getByLabel('Notes').fill('stone');
  await expect(page.getByRole('alert', { name: 'Changed in two places' })).toContainText('New barn');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await bench.saved();
  expect((await bench.stored()).file.features.find((f) => f.name === 'New barn')).toMatchObject({
    heightM: 11,
    notes: 'stone',
  });
  await other.close();
});

test('the plan is worked by keyboard alone: a thing is found, moved by numbers, deleted and brought back', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await page
    .locator('.list')
    .getByRole('button', { name: /East meadow/ })
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Plan-B landing' })).toBeVisible();
  await page.getByLabel('East of the origin').fill('110');
  await page.keyboard.press('Enter');
  await page.getByLabel('Coordinates', { exact: true }).focus();
  await bench.saved();
  expect((await bench.stored()).file.features.find((f) => f.name === 'East meadow')?.points[0]?.xM).toBe(110);
  await page.locator('.canvas').focus();
  await page.keyboard.press('Delete');
  await expect(page.locator('.list').getByRole('button', { name: /East meadow/ })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.list').getByRole('button', { name: /East meadow/ })).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.locator('.list .row.on').first()).toContainText('Meadow to arches');
  await page.keyboard.press('g');
  await page.keyboard.press('s');
  await expect(bench.title).toHaveValue('Meadow to arches');
});

test('a place deleted takes its drawings and its ground along, and one step brings all of it back', async ({
  bench,
  page,
}) => {
  await bench.open('locations');
  const before = (await bench.stored()).file;
  await page.getByRole('button', { name: 'Delete location' }).click();
  await bench.saved();
  const without = (await bench.stored()).file;
  expect([without.locations.length, without.grounds.length]).toEqual([2, 1]);
  expect(without.features.some((f) => f.locationId === before.locations[0]!.id)).toBe(false);
  await page.keyboard.press('Control+z');
  await bench.saved();
  const back = (await bench.stored()).file;
  expect([back.locations.length, back.grounds.length, back.features.length, back.assets.length]).toEqual([
    3,
    2,
    before.features.length,
    2,
  ]);
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await page.getByRole('link', { name: 'Site map', exact: true }).click();
  await expect(page.locator('.canvas')).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Locations' })
    .getByRole('button', { name: 'Valdegris viaduct' })
    .click();
  await expect(page.locator('.list').getByRole('button', { name: /Alder wood/ })).toBeVisible();
});

test('a zone with its source, a permission given, a launch point inside: the plan says what it means, never that it is allowed', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  const hands = await PlanHands.on(page);
  await page.getByRole('button', { name: 'No-fly area' }).click();
  await hands.draw([-20, -15], [20, -15], [20, 15], [-20, 15]);
  // Corners fell beside the launch point, and one press on it is no drag: it stays where it is.
  await hands.click(0, 0);
  await page
    .locator('.list')
    .getByRole('button', { name: /No-fly area/ })
    .click();
  await page.getByLabel('Known from').fill('chart of the day');
  await bench.saved();
  expect((await bench.stored()).file.features.filter((f) => f.name === 'Launch')).toEqual([]);
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(page.locator('[data-code="site.launch-no-fly"]')).toContainText('chart of the day');
  await expect(page.locator('.findings')).not.toContainText(/is (legal|safe)/);
  await page
    .locator('.list')
    .getByRole('button', { name: /Railway land/ })
    .click();
  await bench.setWhen('Valid until', '2020-01-01');
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(page.locator('[data-code="site.permission"]').first()).toContainText('ends Wed 1 Jan 2020');
});

test('units are a way of showing on the plan, too', async ({ bench, page }) => {
  await bench.open('brief');
  await bench.choose('Units', 'Imperial');
  await bench.saved();
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await page.getByRole('link', { name: 'Site map', exact: true }).click();
  await page
    .locator('.list')
    .getByRole('button', { name: /Alder wood/ })
    .click();
  await expect(page.getByLabel('Height above its ground')).toHaveValue(/^55\.7/);
  await page
    .locator('.list')
    .getByRole('button', { name: /Signal hut, smoke/ })
    .click();
  await expect(page.locator('[data-code="site.clearance"]')).toContainText('ft');
  await expect(page.locator('.ol-scale-line')).toHaveText(/ft|mi/);
  await page.getByRole('tab', { name: /Ground/ }).click();
  await expect(page.getByText(/cells of [\d.,]+ ft, [\d.,]+ ft to [\d.,]+ ft above the sea/)).toBeVisible();
  await bench.saved();
  expect((await bench.stored()).file.features.find((f) => f.name === 'Alder wood')?.heightM).toBe(17);
});

test('an outline dragged across itself is refused with a sentence, and lies again as it did', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await page
    .locator('.list')
    .getByRole('button', { name: /Railway land/ })
    .click();
  const hands = await PlanHands.on(page);
  const before = (await bench.stored()).file.features.find((f) => f.name === 'Railway land')!;
  await hands.drag([-120, 118], [-20, 172]);
  await expect(page.getByRole('alert')).toContainText('crosses itself');
  await bench.saved();
  expect((await bench.stored()).file.features.find((f) => f.name === 'Railway land')).toEqual(before);
  // The corner is back where it was, and can be taken hold of there.
  await hands.drag([-120, 118], [-130, 112]);
  await bench.saved();
  expect(
    (await bench.stored()).file.features
      .find((f) => f.name === 'Railway land')!
      .points.some((p) => Math.hypot(p.xM + 130, p.yM - 112) < 4),
  ).toBe(true);
});

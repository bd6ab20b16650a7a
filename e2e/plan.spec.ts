import { readFile } from 'node:fs/promises';
import { writeArrayBuffer } from 'geotiff';
import { test, expect } from './app';
import { PlanHands } from './plan';

const gpx = `<?xml version="1.0"?><gpx version="1.1" creator="made up" xmlns="http://www.topografix.com/GPX/1/1"><wpt lat="43.1802" lon="-4.8303"><name>Gate</name></wpt><trk><name>Way in</name><trkseg>${Array.from({ length: 12 }, (_, i) => `<trkpt lat="${43.1795 + i * 0.00004}" lon="${-4.831 + i * 0.00006}"/>`).join('')}</trkseg></trk></gpx>`;

test('from an empty location: a track comes in, a subject, a wire and a wood are drawn, the orbit meets the wire, a cure frees it, the wood raises the return height', async ({
  bench,
  page,
}) => {
  await bench.open('locations');
  await page.getByRole('button', { name: 'New', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).first().fill('Empty meadow');
  await bench.saved();
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await page.getByRole('link', { name: 'Site map', exact: true }).click();
  await expect(page.getByText('Nothing is marked yet')).toBeVisible();

  // The new place lies where the last one does, so the track is written for there.
  const { file } = await bench.stored();
  const place = file.locations.find((l) => l.name === 'Empty meadow')!;
  await page.keyboard.press('y');
  await page.getByRole('button', { name: 'Bring or save shapes' }).click();
  const near = gpx
    .replaceAll(/lat="([\d.]+)"/g, (_, n: string) => `lat="${Number(n) - 43.18 + place.latitude}"`)
    .replaceAll(/lon="(-[\d.]+)"/g, (_, n: string) => `lon="${Number(n) + 4.83 + place.longitude}"`);
  await page.setInputFiles('input[accept*=".gpx"]', {
    name: 'way.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(near),
  });
  await expect(page.getByRole('row', { name: /Gate/ })).toBeVisible();
  await page.locator('.el-checkbox', { has: page.getByLabel('Take Gate') }).click();
  await page.getByRole('button', { name: 'Bring 1 in' }).click();
  await expect(page.locator('.list').getByRole('button', { name: /Way in/ })).toBeVisible();

  await page.getByRole('button', { name: 'Farther' }).click();
  const hands = await PlanHands.on(page);
  await page.locator('.canvas').focus();
  await page.keyboard.press('s');
  await hands.click(0, 40);
  await expect(page.getByRole('heading', { name: 'New subject' })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Barn');
  await bench.saved();

  // An orbit about it, made on the bench.
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await page.getByRole('button', { name: 'Add the first shot' }).click();
  await bench.title.fill('Round the barn');
  await bench.choose('Move', 'Orbit');
  await bench.saved();
  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await page.getByRole('link', { name: 'Site map', exact: true }).click();
  await page
    .locator('.list')
    .getByRole('button', { name: /Round the barn/ })
    .click();
  await expect(page.locator('[data-site=clear]')).toBeVisible();

  await page.getByRole('button', { name: 'Farther' }).click();
  const again = await PlanHands.on(page);
  await page.locator('.canvas').focus();
  await page.keyboard.press('e');
  await again.draw([20, 5], [25, 45], [12, 72]);
  await page.getByLabel('Height above its ground').fill('18');
  await page.getByLabel('Height above its ground').press('Enter');
  await page
    .locator('.list')
    .getByRole('button', { name: /Round the barn/ })
    .click();
  await expect(page.locator('[data-code="site.clearance"]')).toContainText('Meets a wire');
  await page.locator('[data-code="site.clearance"]').getByRole('button').first().click();
  await expect(page.locator('[data-code="site.clearance"]')).toHaveCount(0);
  await expect(page.locator('[data-site=nearest]')).toContainText('a wire');

  const before = Number.parseFloat((await page.locator('[data-site=return]').textContent()) ?? '');
  await page.locator('.canvas').focus();
  await page.keyboard.press('w');
  await again.draw([-12, 8], [12, 8], [12, 20], [-12, 20]);
  await page.getByLabel('Height above its ground').fill('48');
  await page.getByLabel('Height above its ground').press('Enter');
  await page
    .locator('.list')
    .getByRole('button', { name: /Round the barn/ })
    .click();
  await expect(page.locator('[data-site=return]')).toContainText('68');
  expect(before).toBeLessThan(60);
  await page.locator('[data-code="site.return-height"]').getByRole('button').click();
  await expect(page.locator('[data-code="site.return-height"]')).toHaveCount(0);
  await bench.saved();
  expect((await bench.stored()).file.locations.find((l) => l.name === 'Empty meadow')?.returnHeightM).toBe(
    68,
  );
  await bench.accessible();
});

test('a grip dragged on the plan changes the shot, its costs and its flight at once, and is one step to take back', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await page
    .locator('.list')
    .getByRole('button', { name: /Train takes the bridge/ })
    .click();
  const hands = await PlanHands.on(page);
  const { file } = await bench.stored();
  const shot = file.shots.find((s) => s.title === 'Train takes the bridge')!;
  const train = file.subjects.find((s) => s.id === shot.subjectId)!;
  const bearing = ((shot.move.values['fromBearingDeg'] ?? 0) * Math.PI) / 180;
  const radius = shot.move.values['radiusM'] ?? 0;
  const near: [number, number] = [
    train.xM + radius * Math.sin(bearing),
    train.yM + radius * Math.cos(bearing),
  ];
  const [air, flight] = [
    await page.locator('[data-site=air]').textContent(),
    await page.locator('[data-site=flight]').textContent(),
  ];
  await hands.drag(near, [train.xM + 10, train.yM - 60]);
  await expect(page.locator('[data-site=air]')).not.toHaveText(air ?? '');
  await expect(page.locator('[data-site=flight]')).not.toHaveText(flight ?? '');
  await bench.saved();
  const moved = (await bench.stored()).file.shots.find((s) => s.id === shot.id)!.move.values;
  expect(moved['radiusM']).toBeGreaterThan(55);
  expect(moved['radiusM']).toBeLessThan(67);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-site=air]')).toHaveText(air ?? '');
  await bench.saved();
  expect((await bench.stored()).file.shots.find((s) => s.id === shot.id)!.move.values).toEqual(
    shot.move.values,
  );
});

test('a route is dragged by its points from the moment the plan stands: the others, heights and speeds stay', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.pick('Train takes the bridge');
  await bench.choose('Move', 'Free route');
  await bench.saved();
  const route = async () =>
    (await bench.stored()).file.shots.find((s) => s.title === 'Train takes the bridge')!.move;
  const { points: before } = await route();
  expect(before.length).toBeGreaterThan(1);
  for (const view of ['Locations', 'Site map'])
    await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: view }).click();
  const hands = await PlanHands.on(page);
  const last = before.at(-1)!;
  const to = [last.xM + 30, last.yM - 25] as const;
  await hands.drag([last.xM, last.yM], to);
  await bench.saved();
  const { points: after } = await route();
  expect(after.slice(0, -1)).toEqual(before.slice(0, -1));
  const moved = after.at(-1)!;
  expect({ ...moved, xM: 0, yM: 0 }).toEqual({ ...last, xM: 0, yM: 0 });
  expect(Math.hypot(moved.xM - to[0], moved.yM - to[1])).toBeLessThan(4);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await route()).points).toEqual(before);
});

test('the launch point, a corner and a subject are dragged; what stands on the ground stays on it', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  const hands = await PlanHands.on(page);
  await hands.drag([0, 0], [40, -50]);
  await expect(page.locator('.list').getByRole('button', { name: /^Launch/ })).toBeVisible();
  await bench.saved();
  const place = (await bench.stored()).file.locations[0]!;
  const launch = (await bench.stored()).file.features.find((f) => f.id === place.launchId)!;
  expect(Math.hypot(launch.points[0]!.xM - 40, launch.points[0]!.yM + 50)).toBeLessThan(4);

  await page
    .locator('.list')
    .getByRole('button', { name: /Picnic field/ })
    .click();
  await hands.drag([174, -52], [150, -40]);
  await bench.saved();
  const field = (await bench.stored()).file.features.find((f) => f.name === 'Picnic field')!;
  expect(field.points.some((p) => Math.hypot(p.xM - 150, p.yM + 40) < 4)).toBe(true);

  await page
    .locator('.list')
    .getByRole('button', { name: /Signal hut/ })
    .last()
    .click();
  await hands.drag([-90, 60], [120, 20]);
  await expect(page.getByLabel('East of the origin')).not.toHaveValue('-90');
  await bench.saved();
  const hut = (await bench.stored()).file.subjects.find((s) => s.name === 'Signal hut')!;
  expect(Math.hypot(hut.xM - 120, hut.yM - 20)).toBeLessThan(5);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.subjects.find((s) => s.name === 'Signal hut')).toMatchObject({
    xM: -90,
    yM: 60,
  });
});

test('what is seen from the launch point, where to launch from, and a measured way', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await page.getByRole('button', { name: 'Slate terraces' }).click();
  await page.getByRole('tab', { name: 'Ground, layers' }).click();
  await page.getByText('What is seen from the launch point').click();
  await page.getByLabel('flying at, above launch').fill('8');
  await page.getByLabel('flying at, above launch').press('Enter');
  await expect(page.locator('[data-seen]')).toContainText(/^\s*9\d %/);
  await page.getByRole('tab', { name: /Findings/ }).click();
  await page.getByRole('button', { name: 'Where to launch from' }).click();
  await expect(page.locator('.ideas li')).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Take 1' }).click();
  await expect(page.getByRole('button', { name: 'Launch from here' })).toBeVisible();
  await page.getByRole('button', { name: 'Launch from here' }).click();
  await bench.saved();
  expect((await bench.stored()).file.locations[1]?.launchId).toBeTruthy();
  const hands = await PlanHands.on(page);
  await page.locator('.canvas').focus();
  await page.keyboard.press('m');
  await hands.draw([-60, 0], [40, 0], [40, 50]);
  await expect(page.locator('[data-measure]')).toContainText(/14\d|15\d/);
});

test('heights come in from a text grid and from nowhere else; a picture is laid under the plan', async ({
  bench,
  page,
}) => {
  await bench.open('map');
  await page.getByRole('button', { name: 'Salt pans' }).click();
  await page.getByRole('tab', { name: 'Ground, layers' }).click();
  const heights = page.locator('input[accept*=".asc"]');
  await heights.setInputFiles({ name: 'no.asc', mimeType: 'text/plain', buffer: Buffer.from('hello') });
  const sheet = page.getByRole('dialog');
  const use = sheet.getByRole('button', { name: /Use heights/ });
  await expect(sheet.getByRole('alert')).toContainText('not an ASCII grid');
  await expect(use).toBeDisabled();
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  const grid = (west: number): Buffer =>
    Buffer.from(
      `ncols 40\nnrows 40\nxllcorner ${west}\nyllcorner 43.3985\ncellsize 0.00018\nNODATA_value -9999\n${Array.from({ length: 40 }, (_, r) => Array.from({ length: 40 }, (_, c) => (4 + (r + c) / 8).toFixed(2)).join(' ')).join('\n')}\n`,
    );
  await heights.setInputFiles({ name: 'far.asc', mimeType: 'text/plain', buffer: grid(-3) });
  await expect(sheet.getByRole('alert')).toContainText('does not cover the location');
  expect((await bench.stored()).file.grounds).toHaveLength(2);
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  await heights.setInputFiles({ name: 'pans.asc', mimeType: 'text/plain', buffer: grid(-4.7136) });
  await expect(sheet).toContainText('not named by the file');
  await use.click();
  await expect(page.locator('b', { hasText: 'pans.asc' })).toBeVisible();
  await bench.saved();
  expect((await bench.stored()).file.grounds).toHaveLength(3);
  const tiff = async (code: number, west: number, north: number): Promise<Buffer> =>
    Buffer.from(
      await writeArrayBuffer(
        Array.from({ length: 60 * 60 }, (_, i) => 4 + (i % 60) / 10),
        {
          width: 60,
          height: 60,
          SampleFormat: [3],
          BitsPerSample: [32],
          ProjectedCSTypeGeoKey: code,
          GTModelTypeGeoKey: 1,
          GTRasterTypeGeoKey: 1,
          ModelTiepoint: [0, 0, 0, west, north, 0],
          ModelPixelScale: [10, 10, 0],
        },
      ),
    );
  await heights.setInputFiles({
    name: 'odd.tif',
    mimeType: 'image/tiff',
    buffer: await tiff(32_111, 361_000, 4_807_000),
  });
  await expect(sheet.getByRole('alert')).toContainText('does not cover the location');
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  // Packed with Zstandard, of a place far from here: unpacked in the page, then put where a person says it lies.
  await heights.setInputFiles('web/exchange/heights/fixtures/zstd.tif');
  await expect(sheet.getByRole('alert')).toContainText('does not cover the location');
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  // Salt pans in UTM zone 30N.
  await heights.setInputFiles({
    name: 'pans.tif',
    mimeType: 'image/tiff',
    buffer: await tiff(25_830, 361_200, 4_807_000),
  });
  await expect(sheet).toContainText('EPSG:25830');
  await use.click();
  await expect(page.locator('b', { hasText: 'pans.tif' })).toBeVisible();
  await page.getByRole('button', { name: 'Take the ground away' }).click();
  await page.locator('input[accept*="image/png"]').setInputFiles({
    name: 'air.png',
    mimeType: 'image/png',
    buffer: await readFile('docs/screenshots/shots.png'),
  });
  await expect(page.getByRole('button', { name: 'Pins' })).toBeVisible();
  await bench.saved();
  expect((await bench.stored()).file.pictures[0]).toMatchObject({
    widthPx: 1280,
    heightPx: 800,
    pins: [
      { px: 0, py: 0 },
      { px: 1280, py: 800 },
    ],
  });
  // A camera held upright stores its picture lying, with a note of how it stands.
  await page.locator('input[accept*="image/png"]').setInputFiles('web/exchange/fixtures/upright.jpg');
  await expect.poll(async () => (await bench.stored()).file.pictures.length).toBe(2);
  const upright = (await bench.stored()).file.pictures.find((p) => p.name === 'upright.jpg')!;
  expect([upright.widthPx, upright.heightPx]).toEqual([40, 60]);
  await page.getByRole('button', { name: 'Pins' }).first().click();
  const hands = await PlanHands.on(page);
  const {
    pins: [pin],
  } = (await bench.stored()).file.pictures[0]!;
  await hands.drag([pin!.xM, pin!.yM], [pin!.xM + 30, pin!.yM - 20]);
  await bench.saved();
  expect((await bench.stored()).file.pictures[0]!.pins[0]!.xM).toBeGreaterThan(pin!.xM + 20);
  const vast = Buffer.from('89504e470d0a1a0a0000000d49484452000027100000271008020000000000000000', 'hex');
  await page
    .locator('input[accept*="image/png"]')
    .setInputFiles({ name: 'vast.png', mimeType: 'image/png', buffer: vast });
  await expect(page.getByRole('alert')).toContainText('100 million pixels');
  await page
    .locator('input[accept*="image/png"]')
    .setInputFiles({ name: 'fake.png', mimeType: 'image/png', buffer: Buffer.from('not a picture at all') });
  await expect(page.getByRole('alert')).toContainText('could not be read');
});

test('findings reach the bench, and the plan is accessible in both themes and on a phone', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.pick('Signal hut, smoke');
  await expect(page.locator('[data-code="site.clearance"]')).toContainText('Line to the hut');
  await bench.open('map');
  await expect(page.locator('.canvas canvas').first()).toBeVisible();
  await bench.accessible();
  await page.keyboard.press('t');
  await page.getByRole('tab', { name: 'Ground, layers' }).click();
  await bench.accessible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page
    .getByRole('navigation', { name: 'Parts of the plan' })
    .getByRole('button', { name: 'List' })
    .click();
  await expect(page.locator('.list').getByRole('button', { name: /Alder wood/ })).toBeVisible();
  await bench.accessible();
});

import { FIGURES } from '../core/shot/figures';
import { write } from '@core/units';
import { expect, test } from './app';

test('a slider recomputes seconds, energy, card and pace while it moves, as the core does', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  const before = await bench.figure('energy').textContent();
  const slider = page.getByRole('slider', { name: 'Length' });
  await slider.focus();
  for (let i = 0; i < 12; i += 1) await page.keyboard.press('ArrowRight');
  await expect(bench.figure('energy')).not.toHaveText(before ?? '');
  await bench.saved();
  const { derived, file } = await bench.stored();
  const facts = derived.shots.get(file.shots.find((s) => s.title === 'Along the parapet')!.id)!.facts;
  expect(facts.shot.move.values['lengthM']).toBe(66);
  await expect(bench.figure('energy')).toHaveText(`${facts.energy!.totalWh.toFixed(2)}Wh`);
  await expect(bench.figure('air')).toHaveText(`${facts.seconds.airS.toFixed(0)}s`);
  await expect(bench.figure('bytes')).toHaveText(`${(facts.bytes / 1e9).toFixed(2)}GB`);
  await expect(bench.figure('pace')).toHaveText(facts.band);
});

test('the facets of a shot are gone through by arrows, like every row of tabs', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Valley wakes');
  await page.getByRole('tab', { name: 'Move', exact: true }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: 'Cut and takes' })).toBeFocused();
  await expect(page.getByRole('tabpanel')).toHaveAccessibleName('Cut and takes');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('tab', { name: 'Exposure' })).toBeFocused();
});

test('every figure unfolds into a sum, a formula and a source', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Meadow to arches');
  for (const id of FIGURES) {
    await page.locator(`[data-figure=${id}]`).click();
    const sheet = page.getByRole('region', { name: /comes about/ });
    await expect(sheet.locator('.term')).not.toHaveCount(0);
    await expect(sheet.locator('.formula')).not.toBeEmpty();
    await expect(sheet.locator('.source')).not.toBeEmpty();
  }
  await page.locator('[data-figure=take]').click();
  const parts = await page.locator('.sheet .term:not(.total) dt + dd').allTextContents();
  const sum = parts.reduce((total, text) => total + Number.parseFloat(text), 0);
  expect(
    Math.abs(sum - Number.parseFloat((await bench.figure('take').textContent()) ?? '')),
  ).toBeLessThanOrEqual(1);
});

test('a move with no path says so, and a cure is one key away', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Signal hut, smoke');
  const end = page.getByLabel('Ends at', { exact: true }).last();
  await end.fill('80');
  await end.press('Enter');
  await expect(page.locator('[data-code="move.no-path"]')).toContainText('must end nearer');
  await expect(bench.verdict).toHaveText(/must end nearer/);
  await page.keyboard.press('Control+z');
  await expect(bench.verdict).not.toHaveText(/must end nearer/);

  await page.getByRole('tab', { name: 'Cut and takes' }).click();
  await page.getByLabel('Beats', { exact: true }).fill('60');
  await page.keyboard.press('Enter');
  const warning = page.locator('[data-code="move.too-short"]');
  await expect(warning).toContainText('wanted');
  await warning.getByRole('button', { name: /Fly it at/ }).click();
  await expect(warning).toHaveCount(0);
});

test('numbers a move cannot have are refused at the field, and what was typed stays there', async ({
  page,
  bench,
}) => {
  await bench.open();
  await page.locator('.shot-card', { hasText: 'Round the incline house' }).scrollIntoViewIfNeeded();
  await bench.pick('Round the incline house');
  const radius = page.getByLabel('Radius', { exact: true }).last();
  await radius.fill('0');
  await radius.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Radius must be' })).toBeVisible();
  await expect(radius).toHaveValue('0');
  await radius.fill('twelve');
  await radius.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'needs a number' })).toBeVisible();
  await radius.fill('28,5');
  await radius.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Radius' })).toHaveCount(0);
  await bench.saved();
  const { file } = await bench.stored();
  expect(file.shots.find((s) => s.title === 'Round the incline house')?.move.values['radiusM']).toBe(28.5);
});

test('too fast for the aircraft is told, with the speed it could fly', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Away from the arches');
  const end = page.getByLabel('Ends at', { exact: true }).last();
  await end.fill('900');
  await end.press('Enter');
  const speed = page.getByLabel('Speed', { exact: true }).last();
  await speed.fill('24');
  await speed.press('Enter');
  const warning = page.locator('[data-code="move.too-fast"]');
  await expect(warning).toContainText('manages 19.0 m/s');
  await warning.getByRole('button').click();
  await expect(warning).toHaveCount(0);
});

test('exposure is solved for the planned minute, can be fixed by hand, and follows the meter', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Valley wakes');
  await page.keyboard.press('3');
  const proposal = page.locator('[data-proposal]');
  await expect(proposal).toContainText(/f\/\d/);
  await expect(proposal).toContainText(/(1[5-9]\d|20\d|21[0-6])°/);
  await bench.choose('Filter', /ND 16\s+4\.0/);
  await expect(proposal).toContainText('ND 16');
  await bench.choose('ISO', 'ISO 100');
  await expect(page.locator('[data-code="exposure.under"]')).toBeVisible();
  await bench.choose('ISO', /worked out/);
  await page.getByLabel(/Your meter at/).fill('13');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.locator('.facet .light')).toContainText('13.0EV');
  await expect(page.locator('.facet .light')).toContainText('your meter shifts it');
  await page.getByLabel(/Your meter at/).fill('bright');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'number of EV' })).toBeVisible();
  await page.getByRole('button', { name: /Remove reading/ }).click();
  await expect(page.locator('.facet .light')).not.toContainText('your meter');
});

test('units are a way of showing: imperial and back leaves every stored number as it was', async ({
  page,
  bench,
}) => {
  await bench.open('brief');
  const before = (await bench.stored()).file.shots;
  await bench.choose('Units', 'Imperial');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await bench.pick('Along the parapet');
  await expect(page.getByLabel('Speed', { exact: true }).last()).toHaveValue(
    String(Number((3.5 / 0.44704).toPrecision(7))),
  );
  await page.locator('[data-figure=fill]').click();
  const facts = (await bench.stored()).derived.shots.get(
    before.find((s) => s.title === 'Along the parapet')!.id,
  )!.facts;
  await expect(page.locator('.sheet')).toContainText(`${write(facts.rangeM, 'metres', 'imperial').number}ft`);
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await bench.choose('Units', 'Metric');
  await bench.saved();
  expect((await bench.stored()).file.shots).toEqual(before);
});

test('a move that asks much of the hands offers a simpler one that keeps the place', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Signal hut, smoke');
  await bench.choose('Move', 'Drop in');
  await expect(page.locator('.facet .kind')).toContainText('Drop in');
  const warning = page.locator('[data-code="move.inputs"]');
  await expect(warning).toContainText('3 inputs at once');
  await warning.getByRole('button', { name: 'Fly it as a push in.' }).click();
  await expect(warning).toHaveCount(0);
  await bench.saved();
  const shot = (await bench.stored()).file.shots.find((s) => s.title === 'Signal hut, smoke');
  expect(shot?.move).toMatchObject({
    kind: 'push-in',
    values: { startM: 55, endM: 20, fromBearingDeg: 230 },
  });
});

test('a reveal tells the second at which the view clears', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await bench.choose('Move', 'Rise reveal');
  await expect(page.getByRole('button', { name: /the view clears after \d/ })).toBeVisible();
  const height = page.getByLabel('and how high', { exact: true }).last();
  await height.fill('90');
  await height.press('Enter');
  await expect(page.locator('[data-code="move.no-path"]')).toContainText('clears only at');
});

test('dragging a slider with the mouse changes the figures before it is let go, and is one step to take back', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  const before = await bench.figure('energy').textContent();
  const handle = page.getByRole('slider', { name: 'Length' });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  for (let i = 1; i <= 10; i += 1)
    await page.mouse.move(box.x + box.width / 2 + 12 * i, box.y + box.height / 2);
  await expect(bench.figure('energy')).not.toHaveText(before ?? '');
  const during = await bench.figure('energy').textContent();
  await page.mouse.up();
  await expect(bench.figure('energy')).toHaveText(during ?? '');
  await bench.saved();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.figure('energy')).toHaveText(before ?? '');
});

test.describe('with a finger', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test('a swipe past a slider scrolls and changes nothing; the handle, taken and drawn aside, does', async ({
    page,
    bench,
  }) => {
    await page.goto(`${bench.app.address}/film/${bench.film}`);
    await bench.shot('Meadow to arches').click();
    const slider = page.getByRole('slider', { name: 'Starts at', exact: true });
    await slider.scrollIntoViewIfNeeded();
    const track = page.locator('.held').filter({ has: slider }).locator('.el-slider__runway');
    const before = await slider.getAttribute('aria-valuenow');
    const hand = await page.context().newCDPSession(page);
    const swipe = async (from: { x: number; y: number }, by: { x: number; y: number }): Promise<void> => {
      const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', share: number): Promise<unknown> =>
        hand.send('Input.dispatchTouchEvent', {
          type,
          touchPoints: type === 'touchEnd' ? [] : [{ x: from.x + by.x * share, y: from.y + by.y * share }],
        });
      await touch('touchStart', 0);
      for (const share of [0.2, 0.4, 0.6, 0.8, 1]) await touch('touchMove', share);
      await touch('touchEnd', 1);
    };
    const onTrack = async () => {
      const box = (await track.boundingBox())!;
      return { x: box.x + box.width * 0.9, y: box.y + box.height / 2 };
    };
    const onHandle = async () => {
      const box = (await slider.boundingBox())!;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(44);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const value = (): Promise<string | null> => slider.getAttribute('aria-valuenow');
    await swipe(await onTrack(), { x: 6, y: -120 });
    expect(await value()).toBe(before);
    await slider.scrollIntoViewIfNeeded();
    await swipe(await onHandle(), { x: 4, y: -120 });
    expect(await value()).toBe(before);
    await slider.scrollIntoViewIfNeeded();
    const spot = await onTrack();
    await page.touchscreen.tap(spot.x, spot.y);
    expect(await value()).toBe(before);
    await swipe(await onHandle(), { x: 90, y: 4 });
    await expect.poll(value).not.toBe(before);
    await bench.saved();
    const shot = (await bench.stored()).file.shots.find((s) => s.title === 'Meadow to arches')!;
    expect(String(shot.move.values['startM'])).toBe(await value());
  });
});

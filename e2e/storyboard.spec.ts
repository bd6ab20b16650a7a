import { boardOf } from '@core/story';
import { demoFilm } from '@demo';
import type { Page } from '@playwright/test';
import { expect, test } from './app';

const cards = (page: Page) => page.locator('[data-card] .title');

test('the cut is ordered apart from the list, by keyboard and by mouse, and follows it again', async ({
  page,
  bench,
}) => {
  // The whole cut in sight: a card is carried without scrolling.
  await page.setViewportSize({ width: 1280, height: 1300 });
  await bench.open('storyboard');
  await expect(cards(page)).toHaveCount(20);
  const first = page.locator('[data-card]').first();
  await first.focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(cards(page).nth(1)).toHaveText('Valley wakes');
  await bench.saved();
  const { file, derived } = await bench.stored();
  expect(file.shots.every((s) => s.cutPosition !== '')).toBe(true);
  expect([...derived.shots.values()].find((s) => s.facts.shot.title === 'Valley wakes')!.number).toBe(1);
  expect(boardOf(derived, file.groundShots).places[1]!.title).toBe('Valley wakes');
  await page
    .locator('[data-card]', { hasText: 'Leave it to the blue' })
    .dragTo(page.locator('[data-card]', { hasText: 'Signal hut' }));
  await expect(cards(page).nth(4)).toHaveText('Leave it to the blue');
  await bench.saved();
  const now = await bench.stored();
  expect(
    boardOf(now.derived, now.file.groundShots)
      .places.map((p) => p.title)
      .indexOf('Leave it to the blue'),
  ).toBe(4);
  await page.keyboard.press('Control+z');
  await expect(cards(page).last()).toHaveText('Leave it to the blue');
  await page.getByRole('button', { name: 'As flown' }).click();
  await expect(cards(page).first()).toHaveText('Valley wakes');
  await expect(page.getByRole('button', { name: 'As flown' })).toBeDisabled();
});

test('a card far down the board is carried as soon as it is there', async ({ page, bench }) => {
  await page.setViewportSize({ width: 1280, height: 1300 });
  await bench.open('storyboard');
  const last = page.locator('[data-card]', { hasText: 'Leave it to the blue' });
  await last.dragTo(page.locator('[data-card]', { hasText: 'Signal hut' }));
  await expect(cards(page).nth(4)).toHaveText('Leave it to the blue');
  await bench.saved();
});

test('remarks on how it ends, forbids nothing, and opens the shot it is about', async ({ page, bench }) => {
  await bench.open('storyboard');
  await expect(page.getByText('The film ends on a push-in.')).toHaveCount(0);
  await page.locator('[data-card]').last().press('Enter');
  await expect(bench.title).toHaveValue('Leave it to the blue');
  await bench.choose('Move', 'Push in');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Storyboard', exact: true }).click();
  await expect(page.getByText('The film ends on a push-in.')).toBeVisible();
  await bench.accessible();
});

test('an empty film has a board that says what it waits for', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByText('Empty', { exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Nothing yet');
  await page.getByRole('button', { name: 'Create film' }).click();
  await page.getByRole('link', { name: 'Storyboard', exact: true }).click();
  await expect(page.getByText('The board shows the cut once there are shots.')).toBeVisible();
});

test('a shot from the ground stands in the list and in the cut, is put elsewhere by a key, and flies in nothing', async ({
  page,
  bench,
}) => {
  await bench.open();
  const before = (await bench.stored()).derived.budget;
  await page.getByRole('button', { name: 'Add ground shot' }).click();
  const sheet = page.getByRole('dialog', { name: 'Ground shot' });
  await sheet.getByLabel('Title').fill('Ticket punch');
  await sheet.getByLabel('Seconds in the cut').fill('2.5');
  await sheet.getByLabel('Filmed by').fill('Second camera');
  await bench.accessible();
  await page.keyboard.press('Escape');
  await expect(sheet).toHaveCount(0);
  await expect(page.locator('[data-ground]').filter({ hasText: 'Ticket punch' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Find shots' }).fill('punch');
  await expect(page.locator('[data-ground]')).toHaveCount(1);
  await bench.saved();
  const { derived, file } = await bench.stored();
  expect(derived.budget.airborneS).toBe(before.airborneS);
  expect(derived.budget.timelineS).toBeCloseTo(before.timelineS + 2.5, 6);

  await bench.open('storyboard');
  const card = page.locator('.card').filter({ hasText: 'Ticket punch' });
  const at = Number(await card.locator('.cut').innerText());
  await card.focus();
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(card.locator('.cut')).toHaveText(String(at - 1));
  await bench.accessible();
  await page.keyboard.press('Enter');
  await sheet.getByRole('button', { name: 'Delete ground shot' }).click();
  await expect(card).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(card).toHaveCount(1);
  expect(file.groundShots).toHaveLength(3);
});

test('the cut is recorded as a film of its length and shape, is cancelled, and leaves nothing behind', async ({
  page,
  app,
  bench,
}) => {
  // Two shots and one from the ground, seconds long: drawn in software it takes as long as it takes.
  const made = demoFilm();
  const kept = made.shots.slice(0, 2).map((s) => ({
    ...s,
    cut: {
      ...s.cut,
      by: 'seconds' as const,
      segments: [{ timelineS: 0.3, speedFactor: 1, endFactor: null }],
    },
  }));
  const ground = made.groundShots.slice(0, 1).map((g) => ({ ...g, timelineS: 0.2 }));
  const id = await app.films.importFile(
    {
      ...made,
      film: { ...made.film, name: 'Short', aspect: '9:16' },
      shots: kept,
      groundShots: ground,
      answers: [],
    },
    'e2e',
  );
  await page.goto(`${app.address}/film/${id}/storyboard`);
  await page.getByRole('button', { name: 'Preview film' }).click();
  const sheet = page.getByRole('dialog', { name: 'Preview film' });
  await sheet.getByRole('button', { name: 'Record preview film' }).click();
  const video = sheet.locator('video');
  await expect(video).toBeVisible({ timeout: 120_000 });
  // The browser's own player reads it: shape of the film, upright, and as long as the cut.
  await expect
    .poll(() => video.evaluate((v: HTMLVideoElement) => (v.readyState > 0 ? v.duration : 0)))
    .toBeCloseTo(0.8, 1);
  expect(await video.evaluate((v: HTMLVideoElement) => [v.videoWidth, v.videoHeight])).toEqual([540, 960]);
  const download = page.waitForEvent('download');
  await sheet.getByRole('link', { name: 'Save film' }).click();
  expect((await download).suggestedFilename()).toBe('Short-preview.webm');
  await bench.accessible();
  // A flight that was rehearsed on this device takes the place of the plan: other pictures, as long.
  const third = () =>
    video.evaluate(
      (v: HTMLVideoElement) =>
        new Promise<string>((resolve) => {
          v.onseeked = () => {
            const canvas = Object.assign(document.createElement('canvas'), { width: 90, height: 160 });
            canvas.getContext('2d')!.drawImage(v, 0, 0, 90, 160);
            resolve(canvas.toDataURL());
          };
          v.pause();
          v.currentTime = 0.2;
        }),
    );
  // The player may still sharpen the first picture it shows: the same one twice is the picture of the film.
  let planned = await third();
  await expect(async () => {
    const before = planned;
    planned = await third();
    expect(planned).toBe(before);
  }).toPass();
  const controls = { forward: 0, right: 0, up: 1, yaw: 0, tilt: 0 };
  const { rows } = (await (await page.request.get(`${app.address}/api/films/${id}`)).json()) as {
    rows: { kind: string; value: { id: string; title: string } }[];
  };
  const own = rows.find((r) => r.kind === 'shot' && r.value.title === kept[0]!.title)!.value.id;
  const try0 = { seed: 3, calm: true, handling: 'normal', mark: 80, recorded: [{ steps: 2400, controls }] };
  await page.evaluate(
    ([key, value]) => localStorage.setItem(key!, value!),
    [`dusk-best-try:${own}`, JSON.stringify(try0)],
  );
  await page.reload();
  await page.getByRole('button', { name: 'Preview film' }).click();
  await sheet.getByText('One shot as rehearsed').click();
  await sheet.getByRole('button', { name: 'Record preview film' }).click();
  await expect(video).toBeVisible({ timeout: 120_000 });
  await expect
    .poll(() => video.evaluate((v: HTMLVideoElement) => (v.readyState > 0 ? v.duration : 0)))
    .toBeCloseTo(0.8, 1);
  expect(await third()).not.toBe(planned);
  await sheet.getByRole('button', { name: 'Record preview film' }).click();
  await sheet.getByRole('button', { name: 'Cancel' }).click();
  await expect(sheet.getByRole('button', { name: 'Record preview film' })).toBeVisible();
  await expect(video).toHaveCount(0);
});

import { demoFilm } from '@demo';
import { expect, test } from './app';

const firstFour = ['Valley wakes', 'Meadow to arches', 'Along the parapet', 'Train takes the bridge'];

test('the list is worked by keyboard alone: new, copy, move, delete, undo, redo', async ({ page, bench }) => {
  await bench.open();
  await expect(bench.title).toHaveValue('Valley wakes');
  await page.keyboard.press('j');
  await expect(bench.title).toHaveValue('Meadow to arches');
  await page.keyboard.press('Alt+ArrowDown');
  await expect(bench.titles.nth(2)).toHaveText('Meadow to arches');
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('c');
  await expect(bench.title).toHaveValue('Meadow to arches 2');
  await page.keyboard.press('Delete');
  await expect(bench.slate('Meadow to arches 2')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(bench.slate('Meadow to arches 2')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(bench.slate('Meadow to arches 2')).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(bench.slate('Meadow to arches 2')).toHaveCount(1);
  await page.keyboard.press('n');
  await expect(bench.title).toHaveValue('');
  await bench.saved();
  await page.reload();
  await expect(bench.titles.first()).toHaveText('Valley wakes');
  expect((await bench.stored()).file.shots).toHaveLength(20);
});

test('undo outlives a reload', async ({ page, bench }) => {
  await bench.open();
  await bench.title.fill('Valley at dawn');
  await bench.saved();
  await page.reload();
  await expect(bench.title).toHaveValue('Valley at dawn');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.title).toHaveValue('Valley wakes');
  await bench.saved();
  await page.reload();
  await expect(bench.title).toHaveValue('Valley wakes');
});

test('a slate is dragged to another place in the list, and numbers and flights follow', async ({ page, bench }) => {
  await bench.open();
  await expect(bench.titles.first()).toHaveText('Valley wakes');
  await bench.slate('Train takes the bridge').dragTo(bench.slate('Meadow to arches'), { targetPosition: { x: 120, y: 8 } });
  await expect(bench.titles.nth(1)).toHaveText('Train takes the bridge');
  await bench.saved();
  await page.reload();
  await expect(bench.titles.nth(1)).toHaveText('Train takes the bridge');
  const { derived, file } = await bench.stored();
  const titles = derived.order.slice(0, 4).map((id) => file.shots.find((s) => s.id === id)?.title);
  expect(titles).toEqual([firstFour[0], firstFour[3], firstFour[1], firstFour[2]]);
});

test('finding narrows the list and loses nothing', async ({ page, bench }) => {
  await bench.open();
  await page.getByLabel('Find slates').fill('orbit');
  await expect(bench.titles).toHaveText(['Train takes the bridge', 'Round the incline house', 'Wagon, last light']);
  await page.getByLabel('Find slates').fill('');
  await expect(bench.titles.first()).toHaveText('Valley wakes');
});

test('500 slates stay usable: few rows in the page, keys and edits at once', async ({ page, app }) => {
  const file = demoFilm();
  const shots = Array.from({ length: 500 }, (_, i) => ({
    ...file.shots[i % 7]!, id: `e0000000-0000-4000-8000-${String(i).padStart(12, '0')}`, position: `a${String(i).padStart(4, '0')}x`, title: `Slate ${i + 1}`,
  }));
  const film = await app.films.importFile({ ...file, shots }, 'e2e');
  await page.goto(`${app.address}/film/${film}`);
  await expect(page.locator('.slate').first()).toBeVisible();
  expect(await page.locator('.slate').count()).toBeLessThan(40);
  for (let i = 0; i < 30; i += 1) await page.keyboard.press('j');
  await expect(page.getByLabel('Title')).toHaveValue('Slate 31');
  await expect(page.locator('.slate.picked')).toBeVisible();
  await page.getByLabel('Find slates').fill('Slate 500');
  await page.locator('.slate').first().click();
  await expect(page.getByLabel('Title')).toHaveValue('Slate 500');
});

test('what people type stays what they typed', async ({ page, bench }) => {
  await bench.open();
  const title = '<img src=x onerror="window.hit=1"> 🚂 قطار';
  await bench.title.fill(title);
  await bench.saved();
  await page.reload();
  await expect(bench.titles.first()).toHaveText(title);
  expect(await page.evaluate(() => 'hit' in window)).toBe(false);
  await bench.title.fill('x'.repeat(10_000));
  await bench.saved();
  expect((await bench.stored()).file.shots.some((s) => s.title.length === 10_000)).toBe(true);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});

test('the list is read for variety, and what it lacks is one key away', async ({ page, bench }) => {
  await bench.open();
  await page.locator('[data-place]').nth(0).click();
  await page.keyboard.press('v');
  const sheet = page.getByRole('region', { name: 'Variety of the list' });
  await expect(sheet).toContainText('Nothing comes near');
  await sheet.getByRole('button', { name: 'Add one' }).first().click();
  await expect(bench.title).not.toHaveValue('Valley wakes');
  await bench.saved();
  const { file } = await bench.stored();
  expect(file.shots).toHaveLength(19);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.shots).toHaveLength(18);
});

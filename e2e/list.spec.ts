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
  await expect(bench.shot('Meadow to arches 2')).toHaveCount(0);
  // Said to eyes too, the last thing only.
  const said = page.locator('.said-place .el-message');
  await expect(said.last()).toContainText('Deleted “Meadow to arches 2”. Ctrl+Z brings it back.');
  await page.keyboard.press('Control+z');
  await expect(said.last()).toHaveText(/^Taken back: /);
  await expect(bench.shot('Meadow to arches 2')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(bench.shot('Meadow to arches 2')).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(bench.shot('Meadow to arches 2')).toHaveCount(1);
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

test('a shot is dragged to another place in the list, and numbers and flights follow', async ({
  page,
  bench,
}) => {
  await bench.open();
  await expect(bench.titles.first()).toHaveText('Valley wakes');
  await bench
    .shot('Train takes the bridge')
    .dragTo(bench.shot('Meadow to arches'), { targetPosition: { x: 120, y: 8 } });
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
  await page.getByLabel('Find shots').fill('orbit');
  await expect(bench.titles).toHaveText([
    'Train takes the bridge',
    'Round the incline house',
    'Wagon, last light',
  ]);
  await page.getByLabel('Find shots').fill('');
  await expect(bench.titles.first()).toHaveText('Valley wakes');
});

test('500 shots stay usable: few rows in the page, keys and edits at once', async ({ page, app }) => {
  const file = demoFilm();
  const shots = Array.from({ length: 500 }, (_, i) => ({
    ...file.shots[i % 7]!,
    id: `e0000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    position: `a${String(i).padStart(4, '0')}x`,
    title: `Shot ${i + 1}`,
  }));
  const film = await app.films.importFile({ ...file, shots }, 'e2e');
  await page.goto(`${app.address}/film/${film}`);
  await expect(page.locator('.shot-card').first()).toBeVisible();
  expect(await page.locator('.shot-card').count()).toBeLessThan(40);
  for (let i = 0; i < 30; i += 1) await page.keyboard.press('j');
  await expect(page.getByLabel('Title')).toHaveValue('Shot 31');
  await expect(page.locator('.shot-card.picked')).toBeVisible();
  await page.getByLabel('Find shots').fill('Shot 500');
  await page.locator('.shot-card').first().click();
  await expect(page.getByLabel('Title')).toHaveValue('Shot 500');
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

test('several shots are changed, copied, joined and deleted at once, each in one step', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Valley wakes');
  await bench.shot('Along the parapet').click({ modifiers: ['Control'] });
  const bulk = page.getByRole('region', { name: 'Chosen shots' });
  await expect(bulk).toContainText('2 chosen');
  await bench.shot('Signal hut, smoke').click({ modifiers: ['Shift'] });
  await expect(bulk).toContainText('4 chosen');
  await bench.choose('Change them', 'priority: could');
  await bench.saved();
  let { file } = await bench.stored();
  const could = ['Valley wakes', 'Along the parapet', 'Train takes the bridge', 'Signal hut, smoke'];
  expect(file.shots.filter((s) => s.priority === 'could' && could.includes(s.title))).toHaveLength(4);
  await page.keyboard.press('Control+z');
  await bench.saved();
  ({ file } = await bench.stored());
  expect(file.shots.find((s) => s.title === 'Valley wakes')?.priority).toBe('must');
  await bench.choose('Copy them to a location', 'Slate terraces');
  await bench.saved();
  ({ file } = await bench.stored());
  const terraces = file.locations.find((l) => l.name === 'Slate terraces')!;
  const copies = file.shots.filter((s) => s.locationId === terraces.id && could.includes(s.title));
  expect(copies).toHaveLength(4);
  expect(
    copies.every((s) => file.subjects.find((x) => x.id === s.subjectId)?.locationId === terraces.id),
  ).toBe(true);
  await bulk.getByRole('button', { name: 'Delete' }).click();
  await expect(bulk).toHaveCount(0);
  await bench.saved();
  expect((await bench.stored()).file.shots).toHaveLength(18);
});

test('a shot is split in two and joined again with nothing of the cut lost', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await page.getByRole('button', { name: 'Split' }).click();
  await bench.saved();
  let { file } = await bench.stored();
  const halves = file.shots.filter((s) => s.title.startsWith('Along the parapet'));
  expect(halves.map((s) => [s.title, s.cut.segments[0]!.timelineS])).toEqual([
    ['Along the parapet a', 3.5],
    ['Along the parapet b', 3.5],
  ]);
  await bench.shot('Along the parapet a').click();
  await bench.shot('Along the parapet b').click({ modifiers: ['Control'] });
  await page.getByRole('region', { name: 'Chosen shots' }).getByRole('button', { name: 'Join' }).click();
  await bench.saved();
  ({ file } = await bench.stored());
  expect(
    file.shots
      .find((s) => s.title === 'Along the parapet a')
      ?.cut.segments.reduce((n, s) => n + s.timelineS, 0),
  ).toBe(7);
  expect(file.shots).toHaveLength(18);
});

test('the list shows what is wanted, and rows tell what was picked, also after a reload', async ({
  page,
  bench,
}) => {
  await bench.open();
  await page.keyboard.press('f');
  const tools = page.getByRole('region', { name: 'What the list shows' });
  await tools.getByRole('button', { name: 'must', exact: true }).click();
  await expect(bench.titles.first()).toHaveText('Valley wakes');
  await expect(bench.shot('Along the parapet')).toHaveCount(0);
  await tools.getByRole('button', { name: 'could', exact: true }).click();
  await expect(bench.shot('Signal hut, smoke')).toHaveCount(1);
  await tools.getByRole('button', { name: 'blue', exact: true }).click();
  await expect(bench.titles).toHaveCount(1);
  await tools.getByRole('button', { name: 'blue', exact: true }).click();
  await tools.getByRole('button', { name: 'Lens' }).click();
  await expect(bench.shot('Valley wakes')).toContainText('24 mm');
  await page.reload();
  await expect(bench.shot('Valley wakes')).toContainText('24 mm');
  await expect(bench.shot('Along the parapet')).toHaveCount(1);
});

test('a subject is covered with a set; what no pack carries is left out unless wanted', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Signal hut, smoke');
  await page.keyboard.press('o');
  const sheet = page.getByRole('region', { name: 'Coverage' });
  await expect(sheet.getByRole('listitem')).toHaveCount(7);
  await sheet.getByRole('button', { name: /^Still/ }).click();
  await sheet.getByRole('button', { name: /^Add \d/ }).click();
  await bench.saved();
  const { file, derived } = await bench.stored();
  const made = file.shots.filter((s) => s.title.startsWith('Signal hut:'));
  expect(made.length).toBeGreaterThanOrEqual(3);
  expect(made.some((s) => s.title.includes('still'))).toBe(false);
  const hut = file.subjects.find((s) => s.name === 'Signal hut')!;
  expect(made.every((s) => s.subjectId === hut.id && derived.shots.get(s.id)?.facts.trajectory)).toBe(true);
  const numbers = made.map((s) => derived.shots.get(s.id)!.number);
  expect([...numbers].sort((a, b) => a - b)).toEqual(Array.from({ length: made.length }, (_, i) => 8 + i));
});

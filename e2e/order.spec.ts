import { weighOrder } from '@core/film';
import { expect, test } from './app';

test('a better order is looked for, shown against the list as it is, taken as one step and taken back', async ({ page, bench }) => {
  await bench.open();
  // A poor order: the far slate between the near ones.
  await bench.pick('Signal hut, smoke');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Alt+ArrowUp');
  await bench.saved();
  const before = await bench.stored();
  const place = before.file.locations[0]!.id;
  const titles = before.file.shots.filter((s) => s.locationId === place).toSorted((a, b) => (a.position < b.position ? -1 : 1)).map((s) => s.title);
  await page.getByRole('button', { name: 'A better order?' }).click();
  const sheet = page.getByRole('region', { name: 'A better order' });
  await expect(sheet.getByText(/Proven for each aircraft|there may be better/)).toBeVisible();
  const take = sheet.getByRole('button', { name: 'Take it' });
  await expect(take).toBeVisible();
  await take.click();
  await bench.saved();
  const after = await bench.stored();
  const [was, is] = [before, after].map(({ derived }) => weighOrder(derived, place));
  expect(is!.flown).toEqual(was!.flown);
  expect(is!.flights < was!.flights || is!.airborneS < was!.airborneS).toBe(true);
  await page.keyboard.press('Control+z');
  await bench.saved();
  const back = await bench.stored();
  expect(back.file.shots.filter((s) => s.locationId === place).toSorted((a, b) => (a.position < b.position ? -1 : 1)).map((s) => s.title)).toEqual(titles);
});

test('a place that cannot be ordered better says so', async ({ page, bench }) => {
  await bench.open();
  const ask = page.getByRole('button', { name: 'A better order?' });
  const sheet = page.getByRole('region', { name: 'A better order' });
  for (let i = 0; i < 4; i += 1) {
    await ask.click();
    await expect(sheet.getByText(/Proven for each aircraft|there may be better/)).toBeVisible();
    const take = sheet.getByRole('button', { name: 'Take it' });
    if (await take.isVisible()) { await take.click(); await bench.saved(); } else break;
  }
  await expect(sheet.getByText('The list is as good as any order found.')).toBeVisible();
});

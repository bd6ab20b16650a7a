import { expect, test } from './app';

test('wind that rises through the morning stops what is flown in it, and says until when it holds', async ({
  page,
  bench,
}) => {
  await bench.open('locations');
  const hours = page.getByRole('region', { name: 'Weather by the hour' });
  await expect(hours).toContainText('Entered by hand.');
  for (const [label, value] of [
    ['Wind at 08:00, m/s', '24'],
    ['Gusts at 08:00, m/s', '30'],
  ] as const) {
    const field = hours.getByRole('textbox', { name: label });
    await field.fill(value);
    await field.press('Enter');
  }
  await bench.saved();
  const { derived } = await bench.stored();
  const place = [...derived.places.values()][0]!;
  const late = [...derived.shots.values()].filter(
    (s) =>
      s.facts.location.id === place.location.id &&
      (s.unfit || s.warnings.some((w) => w.code === 'air.gusts')),
  );
  expect(late.length).toBeGreaterThan(0);
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await expect(bench.verdict).toHaveText(/of 18 shots do not fit/);
  await page.getByRole('link', { name: 'Flights', exact: true }).click();
  await expect(page.getByText(/Its wind holds until 07:/)).toBeVisible();
  await bench.accessible();
});

test('weather comes in from a table, or simulated and said to be; what is no table says which row', async ({
  page,
  bench,
}) => {
  await bench.open('locations');
  const hours = page.getByRole('region', { name: 'Weather by the hour' });
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const input = hours.locator('input[type="file"]');
  await input.setInputFiles(file('bad.csv', 'time,wind,gust\n07:00,3,5\n08:00,calm,5\n'));
  await expect(hours.getByRole('alert')).toContainText('Row 2');
  await input.setInputFiles(file('good.csv', 'Time;Wind;Gusts\n7:00;3,5;6\n8:00;4;7\n'));
  await expect(hours).toContainText('From a file.');
  await expect(hours.getByRole('textbox', { name: 'Wind at 07:00, m/s' })).toHaveValue('3.5');
  await hours.getByRole('button', { name: 'Simulate forecast' }).click();
  await expect(hours).toContainText('Simulated: made up, not a forecast.');
  await expect(hours.getByRole('textbox', { name: /^Wind at/ })).toHaveCount(24);
  await bench.saved();
  await page.keyboard.press('Control+z');
  await expect(hours).toContainText('From a file.');
  await bench.accessible();
});

test('a shot wanted in two aspects shows both crops, and says when one cuts the subject off', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Round the incline house');
  await page.keyboard.press('2');
  await bench.choose('Also cut in', '9:16');
  await bench.saved();
  const { derived, file } = await bench.stored();
  const shot = [...derived.shots.values()].find((s) => s.facts.shot.title === 'Round the incline house')!;
  expect(file.shots.find((s) => s.id === shot.facts.shot.id)!.alsoAspect).toBe('9:16');
  expect(shot.facts.frame.also!.pixelShare).toBeCloseTo(81 / 256, 6);
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.locator('.over path.also')).toBeVisible();
});

import { expect, test } from './app';

test('a shot is flown from its card on a phone: take-off, takes, a reason, done, landing, and the plan knows', async ({
  page,
  bench,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open('field');
  const title = page.getByRole('heading', { level: 1 });
  await expect(title).toContainText('Valley wakes');
  const { derived, file } = await bench.stored();
  const place = [...derived.places.values()][0]!;
  const flight = place.flights[0]!;
  const [first, second] = flight.stops.map((s) => s.shotId);
  const { facts } = derived.shots.get(first!)!;
  await expect(page.locator('.steps li').first()).toContainText(
    `${Math.round(facts.trajectory!.start.at.z)} m above launch`,
  );

  await page.getByRole('button', { name: 'Take off' }).click();
  const air = page.getByRole('region', { name: 'In the air' });
  const held = Math.round((100 * flight.supply.availableWh) / flight.supply.fullWh);
  await expect(air).toContainText(new RegExp(`(${held}|${held - 1}) ?%`));
  // The page may close while something is in the air.
  await page.reload();
  await expect(air).toContainText('since take-off');
  await page.getByLabel('Display shows').fill('12');
  await page.getByRole('button', { name: 'Correct' }).click();
  await expect(air).toContainText('Land: reserve');
  await page.getByLabel('Display shows').fill('90');
  await page.getByRole('button', { name: 'Correct' }).click();
  await expect(air).toContainText('to turn back');

  // Nothing is good before somebody has said that it was recording.
  const takes = page.getByRole('region', { name: 'Takes', exact: true });
  await expect(takes.getByRole('button', { name: 'Good', exact: true })).toBeDisabled();
  await takes.getByRole('button', { name: 'No good' }).click();
  await takes.getByRole('button', { name: 'corrected' }).click();
  await takes.getByRole('button', { name: 'Recording?' }).click();
  await takes.getByRole('button', { name: 'Good', exact: true }).click();
  await expect(takes).toContainText('1 good');
  await page.getByRole('button', { name: /^Done\. Next/ }).click();
  await expect(title).toContainText(derived.shots.get(second!)!.facts.shot.title);
  await bench.saved();
  const flown = await bench.stored();
  expect(flown.file.takes.map((t) => [t.shotId, t.rating, t.reason])).toEqual([
    [first, 'no-good', 'corrected'],
    [first, 'good', null],
  ]);
  expect(flown.derived.shots.get(first!)!.done).toBe(true);

  await page.getByRole('button', { name: 'Landed' }).click();
  await page.getByLabel(/Charge at landing/).fill('55');
  await page.getByRole('button', { name: 'Log flight' }).click();
  await expect(page.getByRole('button', { name: 'Take off' })).toBeVisible();
  await bench.saved();
  const log = (await bench.stored()).file.kit.flightLog.filter((f) => f.filmId === file.film.id);
  const entry = log.find((f) => f.flightId === flight.id)!;
  expect([entry.packId, entry.endShare, entry.shotIds]).toEqual([flight.packId, 0.55, [first]]);
  expect((await bench.stored()).file.kit.packs.find((p) => p.id === flight.packId)!.charge).toBe(0.55);
});

test('a chance shot begins with one touch, counts at once, and is taken back like anything else', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Valley wakes');
  const before = (await bench.stored()).file.shots.length;
  await page.getByRole('button', { name: 'Chance shot' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Chance \d\d:\d\d/);
  await bench.saved();
  const { file, derived } = await bench.stored();
  const made = file.shots.find((s) => s.chance)!;
  expect(file.shots.length).toBe(before + 1);
  expect(derived.shots.get(made.id)!.facts.energy!.totalWh).toBeGreaterThan(0);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.shots.length).toBe(before);
});

test('the flying card is accessible in both themes and sizes, and goes along by keys', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Valley wakes');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('Valley wakes');
  // A key judges no more than the thumb may: first somebody says that it is recording.
  const takes = page.getByRole('region', { name: 'Takes', exact: true });
  await page.keyboard.press('1');
  await expect(takes).toContainText('none good yet');
  await page.keyboard.press('r');
  await page.keyboard.press('1');
  await expect(takes).toContainText('1 good');
  await bench.accessible();
  await page.keyboard.press('t');
  await bench.accessible();
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.accessible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('three taps change the day: the difference is shown first, applied as one step, and undone', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  await page.getByRole('button', { name: 'Day changed' }).click();
  const sheet = page.getByRole('dialog', { name: 'What changed' });
  await sheet.getByRole('button', { name: '+4 m/s' }).click();
  await expect(sheet.getByRole('status')).toContainText(/Dropped|Lands with/);
  await bench.accessible();
  await sheet.getByRole('button', { name: 'Leave as it was' }).click();
  await sheet.getByRole('button', { name: '10 min lost' }).click();
  await expect(sheet.getByRole('status')).toContainText('by 10 min');
  const before = (await bench.stored()).file.locations;
  await sheet.getByRole('button', { name: 'Apply' }).click();
  await expect(sheet).toHaveCount(0);
  await bench.saved();
  const after = (await bench.stored()).file.locations;
  expect(after.filter((l, i) => l.windowStart !== before[i]!.windowStart).map((l) => l.date)).toEqual(
    before.filter((l) => l.date === before[0]!.date).map((l) => l.date),
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await bench.saved();
  expect((await bench.stored()).file.locations.map((l) => l.windowStart)).toEqual(
    before.map((l) => l.windowStart),
  );
});

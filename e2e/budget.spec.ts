import { clockText } from '@core/time';
import { expect, test } from './app';

test('the light ribbon names the day’s events and seats each shot at its minute', async ({ page, bench }) => {
  await bench.open();
  const ribbon = page.getByRole('region', { name: 'Light of the day' });
  const { derived } = await bench.stored();
  const place = [...derived.places.values()][0]!;
  const zone = place.location.zone;
  await expect(ribbon).toContainText(`sunrise ${clockText(place.light!.sunriseMs!, zone)}`);
  for (const w of place.light!.windows)
    await expect(ribbon).toContainText(
      `${w.kind} ${clockText(w.fromMs, zone)} to ${clockText(w.toMs, zone)}`,
    );
  await expect(ribbon.locator('.shot')).toHaveCount(7);
  const stop = place.flights[0]!.stops[3]!;
  await expect(ribbon.locator('.shot title').nth(3)).toContainText(
    clockText(place.flights[0]!.shotMs[stop.shotId]!, zone),
  );
  await ribbon.locator('.shot').nth(3).click();
  await expect(bench.title).toHaveValue('Train takes the bridge');
});

test('packs left at home show what does not fit, and by how many packs', async ({ page, bench }) => {
  await bench.open('kit');
  await page.getByRole('button', { name: /^Packs/ }).click();
  for (const name of ['P1', 'P2', 'P3', 'W1', 'W2', 'S1', 'S2']) {
    await page
      .locator('li', { has: page.getByRole('button', { name: `Retire ${name}`, exact: true }) })
      .getByText('On this film')
      .click();
  }
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await expect(bench.verdict).toHaveText(/18 of 18 shots do not fit/);
  await expect(page.getByRole('complementary', { name: 'Budget' })).toContainText('No pack comes along');
  await page.getByRole('link', { name: 'Kit', exact: true }).click();
  await page.getByRole('button', { name: /^Packs/ }).click();
  await page
    .locator('li', { has: page.getByRole('button', { name: 'Retire P3', exact: true }) })
    .getByText('On this film')
    .click();
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  const { derived } = await bench.stored().then(async (s) => {
    await bench.saved();
    return bench.stored().catch(() => s);
  });
  await expect(bench.verdict).toHaveText(/\d+ of 18 shots do not fit/);
  expect(derived.budget.shotsUnfit).toBeGreaterThan(0);
});

test('what is delivered is written in the brief: a deadline before the shoot is named, a version is added and taken back', async ({
  page,
  bench,
}) => {
  await bench.open('brief');
  const delivery = page.getByRole('region', { name: 'Delivery' });
  await expect(delivery).toContainText('27 days from the last day of the shoot');
  await bench.setWhen('Deadline', '2027-05-13');
  await expect(delivery).toContainText('before the last day of the shoot');
  await delivery.getByRole('button', { name: 'Add version' }).click();
  await bench.saved();
  const { film } = (await bench.stored()).file;
  expect([film.deadline, film.versions.map((v) => v.aspect)]).toEqual(['2027-05-13', ['9:16', '9:16']]);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.film.versions).toHaveLength(1);
  const contacts = page.getByRole('region', { name: 'Contacts' });
  await contacts.getByRole('button', { name: 'Add contact' }).click();
  const added = contacts.getByRole('group', { name: 'contact', exact: true });
  await added.getByLabel('Phone').fill('+34 600 000 109');
  await added.getByLabel('Name', { exact: true }).fill('Gate keeper');
  await bench.saved();
  const known = (await bench.stored()).file.film.contacts;
  expect(known.at(-1)).toEqual({ name: 'Gate keeper', role: '', phone: '+34 600 000 109' });
  expect(known).toHaveLength(4);
});

test('the schools change the plan: one pack one shot needs a pack for each shot', async ({ page, bench }) => {
  await bench.open('brief');
  await page.getByRole('button', { name: /One pack, one shot/ }).click();
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await expect(page.locator('.supply')).toContainText('packs short');
  await bench.saved();
  const { derived } = await bench.stored();
  for (const place of derived.places.values())
    for (const flight of place.flights) expect(flight.stops).toHaveLength(1);
  await expect(page.locator('.ghost')).toHaveCount([...derived.places.values()][0]!.fill.hypothetical.length);
});

test('the job’s tempo and rates reach the shots measured in beats', async ({ page, bench }) => {
  await bench.open('brief');
  await page.getByLabel('Music tempo').fill('46');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Shots', exact: true }).click();
  await bench.pick('Meadow to arches');
  await page.keyboard.press('2');
  await expect(page.locator('.wanted')).toContainText('The cut needs 17s');
});

test('kit is edited, copied, retired; a card fuller than its size is refused', async ({ page, bench }) => {
  await bench.open('kit');
  await page.getByRole('button', { name: /^Cards/ }).click();
  const row = page.locator('li', { has: page.getByRole('button', { name: 'Retire Card A', exact: true }) });
  await row.getByLabel('Space used').fill('80');
  await row.getByLabel('Space used').press('Enter');
  await expect(row.getByRole('alert')).toHaveText('A card of 64 GB cannot hold 80.0 GB.');
  await row.getByLabel('Space used').fill('50');
  await row.getByLabel('Space used').press('Enter');
  await page.getByRole('button', { name: 'Copy Card A', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Retire Card A copy', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Retire Card A copy', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Use again Card A copy', exact: true })).toBeVisible();
  await bench.saved();
  const { file } = await bench.stored();
  const cardA = file.kit.cards.find((c) => c.name === 'Card A');
  expect(file.kit.cardMoves.filter((m) => m.cardId === cardA?.id).at(-1)).toMatchObject({
    act: 'correct',
    gb: 50,
  });
  // Footage does not go by typing a number over it.
  await row.getByLabel('Space used').fill('0');
  await row.getByLabel('Space used').press('Enter');
  await expect(row.getByRole('alert')).toContainText(
    'Card A holds 50.0 GB copied nowhere; 2 copies are wanted.',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row.getByLabel('Space used')).toHaveValue('0');
  await bench.saved();
});

test('a place takes its subject away only after saying what takes its place', async ({ page, bench }) => {
  await bench.open('locations');
  const rows = page.locator('section', { has: page.getByRole('heading', { name: 'What stands there' }) });
  await rows.getByRole('button', { name: 'Delete', exact: true }).first().click();
  await expect(rows).toContainText('shots look at it. What takes its place?');
  await bench.choose('In its place', 'Signal hut');
  await rows.getByRole('button', { name: 'Delete it' }).click();
  await bench.saved();
  const { file } = await bench.stored();
  const hut = file.subjects.find((s) => s.name === 'Signal hut')!.id;
  expect(file.subjects.some((s) => s.name === 'Viaduct')).toBe(false);
  expect(file.shots.filter((s) => s.subjectId === hut)).toHaveLength(5);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.subjects.some((s) => s.name === 'Viaduct')).toBe(true);
});

test('a date without a sunrise is told, not guessed', async ({ page, bench }) => {
  await bench.open('locations');
  await page.getByLabel('Coordinates of the launch point').fill('78.2, 15.6');
  await expect(page.getByLabel('Time zone')).toHaveValue('Arctic/Longyearbyen');
  await bench.setWhen('Date', '2027-06-20');
  await expect(page.locator('[data-code="place.no-sunrise"]')).toBeVisible();
  await expect(page.locator('.events')).toContainText('sunrise none');
  await page.getByLabel('Time zone').fill('Mars/Olympus');
  await expect(page.getByRole('alert').filter({ hasText: 'not a time zone' })).toBeVisible();
});

test('the budget opens into its flights, and they add up to it', async ({ page, bench }) => {
  await bench.open();
  await page.locator('.sums').click();
  const sheet = page.getByRole('region', { name: 'Flights' });
  const { derived } = await bench.stored();
  const flights = [...derived.places.values()].flatMap((p) => p.flights);
  await expect(sheet.locator('tbody tr')).toHaveCount(flights.length + 1);
  // All six columns are in sight beside the packs.
  await expect
    .poll(() => sheet.locator('.el-scrollbar__wrap').evaluate((e) => e.scrollWidth - e.clientWidth))
    .toBeLessThanOrEqual(0);
  await expect(sheet.locator('.total')).toContainText(`${derived.budget.usedWh.toFixed(2)}Wh`);
  const lands = await sheet.locator('tbody tr:not(.total) td:last-child').allTextContents();
  for (const text of lands) expect(Number.parseFloat(text)).toBeGreaterThanOrEqual(30);
});

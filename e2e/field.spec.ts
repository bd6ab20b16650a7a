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
  const ground = page.getByRole('region', { name: 'Before the next flight' });
  await expect(ground).toContainText('Take-off planned at');
  await ground.getByRole('checkbox', { name: /at take-off/ }).click();
  await expect(ground.getByRole('checkbox', { name: /at take-off/ })).toBeChecked();
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
  // What it costs the rest of the day is said at once, and planned anew on one touch.
  const cost = page.getByRole('region', { name: 'What it takes away' });
  await expect(cost).toContainText(/Dropped|Moved|Lands with|still fits/);
  await cost.getByRole('button', { name: 'Plan the rest anew' }).click();
  const plan = page.getByRole('dialog', { name: 'What changed' });
  await expect(plan.getByRole('heading', { level: 3 })).toHaveText(/Chance \d\d:\d\d/);
  await plan.getByRole('button', { name: 'Keep the order as it is' }).click();
  await expect(plan).toBeHidden();
  await page.getByRole('button', { name: 'Chance shot' }).click();
  await expect(cost).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cost).toBeHidden();
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
  await sheet.getByRole('region', { name: 'Wind' }).getByRole('button', { name: '+4 m/s' }).click();
  await expect(sheet.getByRole('status')).toContainText(/Dropped|Lands with/);
  await bench.accessible();
  await sheet.getByRole('button', { name: 'Leave as it was' }).click();
  await sheet.getByRole('button', { name: '10 min lost' }).click();
  await expect(sheet.getByRole('status')).toContainText('by 10 min');
  const before = (await bench.stored()).file.locations;
  await sheet.getByRole('button', { name: 'Apply', exact: true }).click();
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

test('the day changes, is planned anew, and the plan is applied', async ({ page, bench }) => {
  await bench.open('field');
  await page.getByRole('button', { name: 'Day changed' }).click();
  const sheet = page.getByRole('dialog', { name: 'What changed' });
  const { derived } = await bench.stored();
  const packId = [...derived.places.values()][0]!.flights[0]!.packId!;
  const name = (await bench.stored()).file.kit.packs.find((p) => p.id === packId)!.name;
  await sheet.getByRole('region', { name: 'Battery out' }).getByRole('button', { name }).click();
  await sheet.getByRole('button', { name: 'Apply and plan the day' }).click();
  await sheet.getByRole('button', { name: 'Apply plan' }).click({ timeout: 60_000 });
  await expect(sheet).toHaveCount(0);
  await bench.saved();
  const after = await bench.stored();
  expect(after.file.film.leftHome).toContain(packId);
  const packs = [...after.derived.places.values()].flatMap((p) => p.flights.map((f) => f.packId));
  expect(packs.length).toBeGreaterThan(0);
  expect(packs).not.toContain(packId);
});

test('leaving a location says what is missing there, and the evening logs copies', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  await page.getByRole('button', { name: 'Leave location' }).click();
  const { derived, file } = await bench.stored();
  const [first, second] = [...derived.places.values()];
  const leaving = page.getByRole('dialog', { name: `Leaving ${first!.location.name}` });
  const open = [...derived.shots.values()].filter((s) => s.facts.location.id === first!.location.id);
  await expect(leaving.getByRole('listitem')).toHaveCount(open.length);
  await leaving.getByRole('button', { name: 'Go on to' }).click();
  await expect(page.locator('.where')).toContainText(second!.location.name);
  await page.getByRole('button', { name: 'Leave location' }).click();
  await page.getByRole('button', { name: 'End the day' }).click();
  const evening = page.getByRole('dialog', { name: /^Evening of/ });
  await bench.accessible();
  const copies = evening.getByRole('region', { name: 'Copies' });
  const held = copies.getByRole('listitem');
  const before = await held.count();
  expect(before).toBeGreaterThan(0);
  while ((await held.count()) > 0) {
    const text = await held.first().innerText();
    await held.first().getByRole('button', { name: 'Log copy' }).click();
    await expect(held.filter({ hasText: text })).toHaveCount(0);
  }
  await bench.saved();
  const moves = (await bench.stored()).file.kit.cardMoves;
  expect(moves.filter((m) => m.act === 'copy').length).toBeGreaterThan(
    file.kit.cardMoves.filter((m) => m.act === 'copy').length,
  );
});

test('a card that fails leaves the memory of the aircraft and the picture of the link, with the minutes they hold', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  await page.getByRole('button', { name: 'Day changed' }).click();
  const sheet = page.getByRole('dialog', { name: 'What changed' });
  await sheet
    .getByRole('region', { name: 'Card full or lost' })
    .getByRole('button', { name: 'Card A' })
    .click();
  // 8 GB of memory, of which 80 % are planned with, at 140 Mbit/s: 6.1 min.
  await expect(sheet.getByRole('status')).toContainText('The memory of Plover 720 holds 6 min');
  await expect(sheet.getByRole('status')).toContainText('17 min a GB');
});

test('a voice note is recorded to a take, played back after a reload, and goes with its take', async ({
  page,
  bench,
}) => {
  await bench.open('field');
  const takes = page.getByRole('region', { name: 'Takes', exact: true });
  await takes.getByRole('button', { name: 'Recording?' }).click();
  await takes.getByRole('button', { name: 'Good', exact: true }).click();
  await takes.getByRole('button', { name: 'Clip and note of take 1' }).click();
  await takes.getByRole('button', { name: 'Record voice note' }).click();
  await expect(takes.getByRole('button', { name: /Stop, [1-9]/ })).toBeVisible();
  await takes.getByRole('button', { name: /Stop,/ }).click();
  const notes = takes.getByRole('list', { name: 'Voice notes' });
  await expect(notes.getByRole('button', { name: /Play/ })).toBeVisible();
  await bench.accessible();
  await bench.saved();
  const { file } = await bench.stored();
  expect(file.voiceNotes).toHaveLength(1);
  const [note] = file.voiceNotes;
  expect(note!.takeId).toBe(file.takes[0]!.id);
  expect(note!.seconds).toBeGreaterThan(0.5);
  // A container that browsers write, not an empty box: WebM begins with its own four bytes.
  expect(Buffer.from(note!.data, 'base64').subarray(0, 4).toString('hex')).toBe('1a45dfa3');

  await page.reload();
  await notes.getByRole('button', { name: /Play/ }).click();
  await expect(notes.getByRole('button', { name: /Stop/ })).toHaveAttribute('aria-pressed', 'true');
  await takes.getByRole('button', { name: 'Delete take 1' }).click();
  await expect(notes).toHaveCount(0);
  await bench.saved();
  expect((await bench.stored()).file.voiceNotes).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(notes.getByRole('button', { name: /Play/ })).toBeVisible();
});

test('a shot with its sensing off waits until somebody says why; the reason stands on its card and in the log of checks', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Valley wakes');
  const shot = (await bench.stored()).file.shots.find((s) => s.title === 'Valley wakes')!;
  const { rows } = await bench.app.films.open(bench.film);
  const row = rows.find((r) => r.kind === 'shot' && r.value.id === shot.id)!;
  await bench.app.store.apply({
    batch: crypto.randomUUID(),
    device: 'e2e',
    changes: [{ kind: 'shot', id: shot.id, version: row.version, value: { ...shot, sensing: 'off' } }],
  });
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open('field');
  const off = page.getByRole('region', { name: 'Obstacle sensing is off.' });
  await expect(off).toContainText('Why is it off?');
  await bench.accessible();
  await off.getByRole('button', { name: 'thin branches' }).click();
  await expect(off).toContainText(/thin branches, said at \d\d:\d\d/);
  await bench.saved();
  const [answer] = (await bench.stored()).file.answers.filter((a) => a.checkId === 'sensing-off');
  expect([answer?.verdict, answer?.reason, answer?.shotId]).toEqual(['waived', 'thin branches', shot.id]);
  await page.reload();
  await expect(off).toContainText('thin branches');
});

import { flownDemoFilm } from '../demo/flown';
import { expect, test as base } from './app';

/** The made-up film after its first day. */
const test = base.extend({
  film: async ({ app }, use) => {
    await use(await app.films.importFile(flownDemoFilm(), 'e2e'));
  },
});

test('the debrief sets the plan beside what was flown, and plans a second day for what is missing', async ({
  page,
  bench,
}) => {
  await bench.open('debrief');
  const { derived, file } = await bench.stored();
  const all = [...derived.shots.values()];
  const kept = all.filter((s) => s.done);
  expect(kept.length).toBeGreaterThan(0);
  expect(kept.length).toBeLessThan(all.length);
  await expect(page.locator('.sum')).toContainText(`${kept.length} of ${all.length} shots kept`);
  await expect(page.locator('.sum')).toContainText(/Flights took \d+ % (more|less) minutes than planned/);

  const shots = page.getByRole('region', { name: 'Shots' });
  await expect(shots.getByRole('row')).toHaveCount(all.length + 1);
  const flights = page.getByRole('region', { name: 'Flights' });
  const own = file.kit.flightLog.filter((f) => f.filmId === file.film.id);
  await expect(flights.getByRole('row')).toHaveCount(own.length + 1);
  const tries = page.getByRole('region', { name: 'Good takes per try' });
  for (const by of ['Wind', 'Height', 'Pilot', 'Move']) {
    await tries.getByRole('tab', { name: by }).click();
    const counts = await tries.locator('.n').allInnerTexts();
    const sum = counts.reduce((n, text) => n + Number(text.split(' of ')[1]), 0);
    expect(sum, by).toBe(file.takes.length);
  }
  await bench.accessible();

  const missing = page.getByRole('region', { name: 'Still missing' });
  await bench.setWhen('Second day', '2027-06-02');
  await missing.getByRole('button', { name: 'Plan second day' }).click();
  await expect(page).toHaveURL(/flights/);
  await bench.saved();
  const after = await bench.stored();
  const open = new Set(all.filter((s) => !s.done).map((s) => s.facts.location.id));
  expect(open.size).toBeGreaterThan(0);
  for (const l of after.file.locations)
    expect(l.date).toBe(open.has(l.id) ? '2027-06-02' : file.locations.find((x) => x.id === l.id)!.date);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.locations.map((l) => l.date)).toEqual(file.locations.map((l) => l.date));
});

base('a film nobody has flown yet says where its debrief will come from', async ({ page, bench }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open('debrief');
  await expect(page.getByText('Nothing is flown yet.')).toBeVisible();
  await bench.accessible();
});

base('a flight record finds its planned flight, and goes into the log once', async ({ page, bench }) => {
  await bench.open('debrief');
  const { derived, file } = await bench.stored();
  const place = [...derived.places.values()][0]!;
  const flight = place.flights[0]!;
  const { latitude, longitude } = place.location;
  const rows = Array.from({ length: 300 }, (_, i) => {
    const at = new Date(flight.startMs + i * 1000).toISOString();
    const up = i === 0 || i === 299 ? 0 : 20;
    return `${at};${latitude + 0.0005 * Math.sin(i / 50)};${longitude};${up};${99 - Math.floor(i / 10)}`;
  });
  const pane = page.getByRole('region', { name: 'Flight record' });
  await pane
    .getByRole('button', { name: 'Choose a file' })
    .locator('input')
    .setInputFiles({
      name: 'flight.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`when;lat;lon;height;battery\n${rows.join('\n')}\n`),
    });
  // Its times stand under a heading nobody could guess: asked once, kept for this kind of file.
  await expect(pane.getByRole('alert')).toContainText('time, latitude and longitude');
  await bench.choose('Time', 'when');
  await expect(pane).toContainText(`${place.location.name}, planned`);
  await expect(pane).toContainText('99 % to 70 %');
  await bench.accessible();
  await pane.getByRole('button', { name: 'Add to log' }).click();
  await expect(pane).toContainText('in the log already');
  await bench.saved();
  const log = (await bench.stored()).file.kit.flightLog.filter((f) => f.filmId === file.film.id);
  expect(log.map((f) => [f.flightId, f.packId, f.minutes, f.startShare, f.endShare])).toEqual([
    [flight.id, flight.packId, 5, 0.99, 0.7],
  ]);
});

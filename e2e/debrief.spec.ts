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

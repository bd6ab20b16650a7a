import type { Locator, Page } from '@playwright/test';
import type { LocationPlan } from '@core/day';
import { expect, test, Bench } from './app';

test.use({ serviceWorkers: 'allow', actionTimeout: 30_000 });

const mark = (page: Page): Locator => page.locator('[data-save]');

/** A thumb on a phone that opens without a network. */
class Phone {
  constructor(readonly page: Page) {}
  button(name: string | RegExp, within: Page | Locator = this.page): Locator {
    return within.getByRole('button', { name, exact: typeof name === 'string' });
  }
  async tap(name: string | RegExp, within: Page | Locator = this.page): Promise<void> {
    await this.button(name, within).first().tap();
  }
  /** Flies a flight of the day by the simulated aircraft, and leaves its takes and its entry in the log. */
  async fly(flight: RegExp): Promise<void> {
    await this.tap('Simulated aircraft');
    const desk = this.page.getByRole('dialog', { name: 'Simulated aircraft' });
    await desk.getByRole('combobox', { name: 'Flight' }).tap();
    await this.page.getByRole('option', { name: flight }).tap();
    await this.tap('Take off', desk);
    await expect(desk.getByRole('status')).toHaveText(/Taking off|On the way|Setting up|Recording/);
    await this.tap('To the landing', desk);
    await expect(desk.getByRole('status')).toHaveText('Landed.');
    await this.tap('Log flight and takes', desk);
    await this.page.keyboard.press('Escape');
    await expect(desk).toHaveCount(0);
  }
  /** What turned out differently: two taps and one for the plan. */
  async dayChanges(group: string, choice: string, plan: boolean): Promise<void> {
    await this.tap('Day changed');
    const sheet = this.page.getByRole('dialog', { name: 'What changed' });
    await this.tap(choice, sheet.getByRole('region', { name: group }));
    await this.tap(plan ? 'Apply and plan the day' : 'Apply', sheet);
    if (plan)
      await this.button(/^(Apply plan|Keep the order as it is)$/, sheet)
        .first()
        .tap({ timeout: 90_000 });
    await expect(sheet).toHaveCount(0);
  }
}

const first = (places: Iterable<LocationPlan>): LocationPlan => [...places][0]!;

test('a day on the phone without a network: flown, changed four times, and met again by a desk that went on', async ({
  browser,
  app,
  film,
}) => {
  test.slow();
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const hand = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: 'allow',
  });
  for (const context of [desk.context(), hand])
    await context.addInitScript(() => localStorage.setItem('dusk-tour', 'seen'));
  const before = await new Bench(desk, app, film).stored();
  const address = `${app.address}/film/${film}`;
  let page = await hand.newPage();
  await page.goto(`${address}/field`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Valley wakes');
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state !== 'activated')
      await new Promise((done) => active?.addEventListener('statechange', done, { once: true }));
  });
  await page.close();

  // Out of reach: the phone opens from what it has, the desk works on.
  await hand.setOffline(true);
  page = await hand.newPage();
  const faults: string[] = [];
  page.on('pageerror', (error) => faults.push(error.message));
  await page.goto(`${app.address}/last`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Valdegris line');
  await page.goto(`${address}/field`);
  const phone = new Phone(page);
  await expect(mark(page)).toHaveText(/offline/);
  await desk.goto(`${address}/shots`);
  await desk.getByLabel('Title').fill('Valley wakes, from the desk');
  await expect(mark(desk)).toHaveText('saved');

  const morning = first(before.derived.places.values());
  await phone.fly(/^Flight 1, Valdegris viaduct/);
  await phone.dayChanges('Wind', '+2 m/s', false);
  await phone.dayChanges('Time', '10 min lost', false);
  await phone.tap('Chance shot');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Chance');
  const out = before.file.kit.packs.find((p) => p.id === morning.flights.at(-1)!.packId)!;
  await phone.dayChanges('Battery out', out.name, true);
  await phone.dayChanges('Sky', 'Overcast', false);
  await phone.tap('Leave location');
  await phone.tap(/^Go on to/, page.getByRole('dialog', { name: /^Leaving/ }));
  await phone.fly(/^Flight 1, Slate terraces/);
  await expect(mark(page)).toHaveText(/^offline, \d+ changes kept here$/);
  // The phone goes flat, and is charged in the car.
  await page.close({ runBeforeUnload: false });
  page = await hand.newPage();
  page.on('pageerror', (error) => faults.push(error.message));
  await page.goto(`${address}/field`);
  await expect(mark(page)).toHaveText(/^offline, \d+ changes kept here$/);

  await hand.setOffline(false);
  await expect(mark(page)).toHaveText('saved', { timeout: 90_000 });
  const after = await new Bench(desk, app, film).stored();
  const log = after.file.kit.flightLog.filter((f) => f.filmId === film && f.simulated);
  expect(log).toHaveLength(2);
  expect(log.map((f) => f.flightId)).toContain(morning.flights[0]!.id);
  expect(after.file.takes.length).toBeGreaterThan(5);
  expect(after.file.shots.map((s) => s.title)).toContain('Valley wakes, from the desk');
  expect(after.file.shots).toHaveLength(before.file.shots.length + 1);
  expect(after.file.film.leftHome).toContain(out.id);
  const windBefore = morning.location.windMs;
  expect(after.file.locations.find((l) => l.id === morning.location.id)!.windMs).toBeCloseTo(
    windBefore + 2,
    6,
  );
  expect(faults).toEqual([]);

  // At the desk the day is there, and its debrief says what the phone brought.
  await desk.goto(`${address}/debrief`);
  const kept = [...after.derived.shots.values()].filter((s) => s.done).length;
  expect(kept).toBeGreaterThan(0);
  await expect(desk.locator('.sum')).toContainText(`${kept} of ${after.file.shots.length} shots kept`);
  await expect(desk.getByRole('region', { name: 'Flights' }).getByRole('row')).toHaveCount(
    log.length + 1 + before.file.kit.flightLog.filter((f) => f.filmId === film).length,
  );
});

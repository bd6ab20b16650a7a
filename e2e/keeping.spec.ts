import { expect, test, Bench } from './app';

test('close the browser, come back, find everything', async ({ page, bench, context }) => {
  await bench.open();
  await bench.title.fill('Valley, closed and opened');
  await bench.saved();
  await page.close();
  const again = new Bench(await context.newPage(), bench.app, bench.film);
  await again.open();
  await expect(again.titles.first()).toHaveText('Valley, closed and opened');
});

test('two tabs see each other’s changes, and changes of different fields go together', async ({
  bench,
  context,
}) => {
  await bench.open();
  const other = new Bench(await context.newPage(), bench.app, bench.film);
  await other.open();
  await bench.title.fill('From the first tab');
  await expect(other.titles.first()).toHaveText('From the first tab');
  await context.setOffline(true);
  await bench.title.fill('Renamed offline');
  await other.page.keyboard.press('2');
  await other.page.getByLabel('Takes', { exact: true }).fill('7');
  await other.page.keyboard.press('Enter');
  await expect(bench.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
  await context.setOffline(false);
  await bench.saved();
  await other.saved();
  await expect(async () => {
    const shot = (await bench.stored()).file.shots.find((s) => s.title === 'Renamed offline');
    expect(shot?.takes).toBe(7);
  }).toPass();
  await expect(other.titles.first()).toHaveText('Renamed offline');
});

test('the same field changed in two tabs asks the person, and either choice holds', async ({
  bench,
  context,
}) => {
  await bench.open();
  const other = new Bench(await context.newPage(), bench.app, bench.film);
  await other.open();
  for (const keep of ['Keep mine', 'Take theirs'] as const) {
    await context.setOffline(true);
    await bench.title.fill(`first ${keep}`);
    await other.title.fill(`second ${keep}`);
    await expect(bench.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
    await expect(other.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
    await context.setOffline(false);
    const clash = (b: Bench) => b.page.getByRole('alert', { name: 'Changed in two places' });
    await expect(async () => {
      expect((await clash(bench).count()) + (await clash(other).count())).toBe(1);
    }).toPass();
    const loser = (await clash(bench).count()) === 1 ? bench : other;
    const mine = loser === bench ? `first ${keep}` : `second ${keep}`;
    const theirs = loser === bench ? `second ${keep}` : `first ${keep}`;
    await loser.page.getByRole('button', { name: keep, exact: true }).click();
    await loser.saved();
    const wanted = keep === 'Keep mine' ? mine : theirs;
    await expect(bench.titles.first()).toHaveText(wanted);
    await expect(other.titles.first()).toHaveText(wanted);
    expect((await bench.stored()).file.shots.some((s) => s.title === wanted)).toBe(true);
  }
});

test('a duplicated tab is a tab of its own: each hears the other', async ({ bench, context }) => {
  await bench.open();
  const device = await bench.page.evaluate(() => sessionStorage.getItem('dusk-device'));
  const page = await context.newPage();
  await page.addInitScript((name) => {
    if (!sessionStorage.getItem('dusk-device')) sessionStorage.setItem('dusk-device', String(name));
  }, device);
  const twin = new Bench(page, bench.app, bench.film);
  await twin.open();
  expect(await page.evaluate(() => sessionStorage.getItem('dusk-device'))).not.toBe(device);
  await bench.title.fill('From the original');
  await expect(twin.titles.first()).toHaveText('From the original');
  await twin.saved();
  await twin.title.fill('From the twin');
  await expect(bench.titles.first()).toHaveText('From the twin');
});

test('what could not be saved outlives the tab and is saved by the next one', async ({ bench, context }) => {
  await bench.open();
  await context.setOffline(true);
  await bench.title.fill('Kept over the crash');
  await expect(bench.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
  await bench.page.close();
  await context.setOffline(false);
  const next = new Bench(await context.newPage(), bench.app, bench.film);
  await next.open();
  await expect(next.titles.first()).toHaveText('Kept over the crash');
  await next.saved();
  expect((await bench.stored()).file.shots.some((s) => s.title === 'Kept over the crash')).toBe(true);
});

test('a shot deleted in one tab and changed in another is asked about', async ({ bench, context }) => {
  await bench.open();
  const other = new Bench(await context.newPage(), bench.app, bench.film);
  await other.open();
  await context.setOffline(true);
  await bench.title.fill('Wanted after all');
  await other.page.keyboard.press('Delete');
  await expect(bench.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
  await expect(other.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);
  await context.setOffline(false);
  const alert = (b: Bench) => b.page.getByRole('alert', { name: 'Changed in two places' });
  await expect(async () => {
    expect((await alert(bench).count()) + (await alert(other).count())).toBe(1);
  }).toPass();
  const loser = (await alert(bench).count()) === 1 ? bench : other;
  await loser.page
    .getByRole('button', { name: loser === bench ? 'Keep mine' : 'Take theirs', exact: true })
    .click();
  await loser.saved();
  await expect(bench.shot('Wanted after all')).toHaveCount(1);
  await expect(other.shot('Wanted after all')).toHaveCount(1);
});

test('back on the line, one shot of a place that is gone is refused by name; all else of that hour is saved', async ({
  bench,
  app,
  film,
  context,
}) => {
  await bench.open();
  const find = bench.page.getByLabel('Find shots');
  await find.fill('Grid of pans');
  await bench.shot('Grid of pans').click();
  await expect(bench.title).toHaveValue('Grid of pans');
  await context.setOffline(true);
  await bench.page.keyboard.press('n');
  await bench.title.fill('One more of the pans');
  await find.fill('Valley wakes');
  await bench.shot('Valley wakes').click();
  await bench.title.fill('Valley wakes early');
  await find.fill('');
  await expect(bench.page.locator('[data-save]')).toHaveText(/^offline, .* kept here$/);

  interface Row {
    kind: string;
    version: number;
    value: { id: string; locationId?: string; name?: string };
  }
  const { rows } = (await (await fetch(`${app.address}/api/films/${film}`)).json()) as { rows: Row[] };
  const place = rows.find((r) => r.kind === 'location' && r.value.name === 'Salt pans')!;
  const gone = rows.filter((r) => r.value.locationId === place.value.id || r === place);
  const taken = await fetch(`${app.address}/api/changes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      batch: crypto.randomUUID(),
      device: 'elsewhere',
      changes: gone.map((r) => ({ kind: r.kind, id: r.value.id, version: r.version, value: null })),
    }),
  });
  expect(taken.status, await taken.text()).toBe(200);

  await context.setOffline(false);
  const notice = bench.page.getByRole('alert').filter({ hasText: 'could not be added' });
  await expect(notice).toContainText('One more of the pans');
  await bench.saved();
  await expect(bench.shot('Valley wakes early')).toHaveCount(1);
  await expect(bench.shot('One more of the pans')).toHaveCount(0);
  expect((await bench.stored()).file.shots.map((s) => s.title)).toContain('Valley wakes early');
  await bench.accessible();
  await notice.getByRole('button', { name: 'Dismiss' }).click();
  await expect(notice).toHaveCount(0);
});

test('what was changed of the kit can be taken back after a reload, too', async ({ bench, page }) => {
  await bench.open('kit');
  await page.getByRole('button', { name: /^Cards/ }).click();
  await page.getByRole('button', { name: 'Retire Card B', exact: true }).click();
  await bench.saved();
  await page.reload();
  await page.getByRole('button', { name: /^Cards/ }).click();
  await expect(page.getByRole('button', { name: 'Use again Card B', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Retire Card B', exact: true })).toBeVisible();
  await bench.saved();
  expect((await bench.stored()).file.kit.cards.find((c) => c.name === 'Card B')?.retired).toBe(false);
});

test('a full disk is named beside the film, what was changed is kept here, and goes out once there is room', async ({
  page,
  app,
  bench,
}) => {
  await bench.open();
  await bench.pick('Valley wakes');
  await app.store.alone((writer) => writer.query('PRAGMA query_only = ON'));
  await bench.title.fill('Valley wakes late');
  const mark = page.locator('[data-save]');
  await expect(mark).toHaveText('not stored, 1 change kept here');
  await expect(mark).toHaveAttribute('title', /cannot be written to/);
  // A reload does not lose it either.
  await page.reload();
  await expect(bench.title).toHaveValue('Valley wakes late');
  await app.store.alone((writer) => writer.query('PRAGMA query_only = OFF'));
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await bench.saved();
  expect((await bench.stored()).file.shots.some((s) => s.title === 'Valley wakes late')).toBe(true);
});

test('a page older than the application keeps what was changed and says so; a clock that is out and a device without room are named', async ({
  page,
  bench,
}) => {
  await bench.open();
  const bar = page.locator('[data-device]');
  const mark = page.locator('[data-save]');
  let newer = true;
  await page.route('**/api/changes', (route) =>
    newer
      ? route.fulfill({
          status: 409,
          contentType: 'application/problem+json',
          body: JSON.stringify({ type: 'urn:dusk-slate:page-older', title: '', status: 409, detail: '' }),
        })
      : route.continue(),
  );
  await bench.title.fill('Kept while older');
  await expect(bar).toContainText('newer version of Dusk Slate than this page');
  await expect(mark).toContainText('1 change kept here');
  newer = false;
  await bar.getByRole('button', { name: 'Load it now' }).click();
  await bench.saved();
  await expect(bench.title).toHaveValue('Kept while older');
  await expect(bar).toBeHidden();

  // Answers are of 37 minutes ago: the clock of this device is ahead.
  await page.route(/\/api\/(films|kit|settings)/, async (route) => {
    const response = await route.fetch();
    const date = new Date(Date.now() - 37 * 60_000).toUTCString();
    await route.fulfill({ response, headers: { ...response.headers(), date } });
  });
  await page.reload();
  await expect(bar).toContainText('37 minutes ahead of the computer');
  await bar.getByRole('button', { name: 'Dismiss' }).click();
  await expect(bar).toBeHidden();

  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.route('**/api/changes', (route) => route.abort());
  await bench.title.fill('Nowhere but here');
  await expect(bar).toContainText('This device has no room left. In this page alone: 1 change.');
  await page.unroute('**/api/changes');
  await page.evaluate(() => dispatchEvent(new Event('online')));
  await bench.saved();
  await expect(bar).toBeHidden();
});

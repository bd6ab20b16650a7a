import { copyFile, mkdir, mkdtemp, readFile, rm, utimes, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v4 as uuid } from 'uuid';
import type { Shot } from '@core/model';
import type { Running } from '../server/start';
import { takesOf } from '@core/shot';
import { expect, test } from './app';

/** Takes are noted as a phone would send them. */
const note = (app: Running, shot: Pick<Shot, 'id' | 'locationId'>, utcMs: readonly number[]) =>
  app.store.apply({
    batch: uuid(),
    device: 'e2e',
    changes: utcMs.map((ms) => {
      const id = uuid();
      const value = {
        id,
        locationId: shot.locationId,
        shotId: shot.id,
        utcMs: ms,
        rating: 'good',
        reason: null,
        reversed: false,
        aircraftId: null,
        packId: null,
        cardId: null,
        clip: '',
        simulated: false,
        notes: '',
      };
      return { kind: 'take', id, version: 0, value };
    }),
  });

test('documents are saved under the film’s name, a clip name reaches the timeline, and the view is accessible', async ({
  page,
  bench,
  app,
}) => {
  const { derived } = await bench.stored();
  const { shot: first } = derived.shots.get(derived.order[0]!)!.facts;
  await bench.open('field');
  await note(app, first, [Date.UTC(2027, 4, 14, 5, 10)]);
  await bench.open('footage');
  await expect(page.getByRole('heading', { name: 'Clips by shot' })).toBeVisible();
  await page.getByText('Table', { exact: true }).click();
  await page.getByLabel('Clip of take 1 of shot 1').fill('DUSK_0042.MP4');
  await bench.saved();
  await bench.accessible();
  const saved = async (name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Save ${name}`, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^The Valdegris line /);
    return readFile(await download.path());
  };
  const timeline = (await saved('Timeline')).toString('utf8');
  expect(timeline).toContain('"target_url": "DUSK_0042.MP4"');
  expect((await saved('Call sheet')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await saved('Takes')).toString('utf8')).toContain('DUSK_0042.MP4');
  await bench.choose('Language', 'Deutsch');
  const along = (await saved('Take along')).toString('utf8');
  expect(along).toContain('<html lang="de">');
  await page.route('**/documents/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Save Shot list' }).click();
  await expect(page.getByRole('alert')).toContainText('No answer from the application.');
});

test('a card’s clips find their takes: the clock that is off, the one missing, too short, at another rate, unplanned', async ({
  page,
  bench,
  app,
}) => {
  const { derived } = await bench.stored();
  const shots = derived.order.slice(0, 4).map((id) => derived.shots.get(id)!.facts.shot);
  const at = shots.map((_, i) => Date.UTC(2027, 4, 14, 5, 10 + 7 * i + i * i));
  for (const [i, shot] of shots.entries()) await note(app, shot, [at[i]!]);
  const card = await mkdtemp(join(tmpdir(), 'dusk-card-'));
  // Made by another program; the camera's clock is 37 s slow, the second take has no clip.
  const clips = [
    ['clip-a.mp4', at[0]!],
    ['clip-short.mp4', at[2]!],
    ['clip-b.mp4', at[2]! + 260_000],
    ['clip-rate.mov', at[3]!],
  ] as const;
  for (const [name, endMs] of clips) {
    await copyFile(join('e2e', 'fixtures', name), join(card, name));
    await utimes(join(card, name), new Date(), new Date(endMs - 37_000 - 4000));
  }
  await bench.open('footage');
  await page
    .getByRole('button', { name: 'Choose clips' })
    .locator('input')
    .setInputFiles(clips.map(([name]) => join(card, name)));
  const pane = page.getByRole('region', { name: 'Card to shots' });
  await expect(pane.getByRole('status')).toHaveText(
    '4 clips, 3 matched · 1 take without a clip · 14 shots never recorded · camera clock 41 s slow',
  );
  const row = (name: string) => pane.getByRole('listitem').filter({ hasText: name });
  await expect(row('clip-a.mp4')).toContainText('14s');
  await expect(row('clip-a.mp4')).toContainText('25 fps');
  await expect(row('clip-short.mp4')).toContainText('shorter than the cut needs');
  await expect(row('clip-rate.mov')).toContainText('other frame rate than planned');
  await expect(row('clip-b.mp4')).toHaveClass(/none/);
  await expect(pane).toContainText(`No clip for shot 2, take 1: ${shots[1]!.title}.`);
  await bench.accessible();
  // The pilot knows better: the stray one is the second take.
  await bench.choose('Take of clip-b.mp4', `shot 2, take 1: ${shots[1]!.title}`);
  await pane.getByRole('button', { name: 'Name the takes' }).click();
  await bench.saved();
  const { file } = await bench.stored();
  const named = (id: string): string | undefined => file.takes.find((t) => t.shotId === id)?.clip;
  expect(shots.map((s) => named(s.id))).toEqual([
    'clip-a.mp4',
    'clip-b.mp4',
    'clip-short.mp4',
    'clip-rate.mov',
  ]);
  await rm(card, { recursive: true, force: true });
});

test('a simulated flight leaves takes, a log and a card with four faults; the board of the cut shows its clips', async ({
  page,
  bench,
}) => {
  test.slow();
  await bench.open('field');
  await page.getByRole('button', { name: 'Simulated aircraft' }).click();
  const desk = page.getByRole('dialog', { name: 'Simulated aircraft' });
  await desk.getByText('× 60').click();
  await desk.getByRole('button', { name: 'Take off' }).click();
  await expect(desk.getByRole('status')).toHaveText(/Setting up|Recording/);
  await bench.accessible();
  await desk.getByRole('button', { name: 'To the landing' }).click();
  await expect(desk.getByRole('status')).toHaveText('Landed.');
  const [track] = await Promise.all([
    page.waitForEvent('download'),
    desk.getByRole('button', { name: 'Save track (GPX)' }).click(),
  ]);
  const gpx = await track.path();
  await desk.getByRole('button', { name: 'Log flight and takes' }).click();
  await bench.saved();
  const flown = (await bench.stored()).file;
  const takes = flown.takes.filter((t) => t.simulated);
  expect(takes.length).toBeGreaterThan(3);
  const [entry] = flown.kit.flightLog.filter((f) => f.simulated);
  await page.keyboard.press('Escape');

  // Its own track finds the flight in the log by place and time.
  await bench.open('debrief');
  await page.getByRole('button', { name: 'Choose a file' }).locator('input').setInputFiles(gpx);
  const record = page.getByRole('region', { name: 'Flight record' });
  await expect(record).toContainText('in the log already');
  const shown = Number(/In the air\s*([\d.]+)/.exec((await record.textContent())!)![1]);
  expect(Math.abs(shown - entry!.minutes)).toBeLessThan(0.11);
  // Each take that was noted is found in it, beside its line.
  await expect(record.getByRole('listitem')).toHaveCount(takes.length);
  await expect(record.getByRole('listitem').first()).toContainText('off its line by at most');

  await bench.open('footage');
  const pane = page.getByRole('region', { name: 'Card to shots' });
  await pane.getByRole('button', { name: 'Simulated card' }).click();
  await expect(pane.getByRole('status')).toContainText(
    `${takes.length} clips, ${takes.length - 1} matched · 1 take without a clip`,
    { timeout: 60_000 },
  );
  await expect(pane.getByRole('status')).toHaveText(/camera clock (3[6-9]|40) s slow$/);
  await expect(pane.getByText('shorter than the cut needs')).toHaveCount(1);
  await expect(pane.locator('li.none')).toHaveCount(1);
  await pane.getByRole('button', { name: 'Name the takes' }).click();
  await expect(pane.getByRole('button', { name: 'Show the match' })).toBeVisible();
  await expect(pane.getByRole('progressbar')).toBeHidden({ timeout: 60_000 });
  const board = page.getByRole('region', { name: 'Clips by shot' });
  const pictures = board.getByRole('img', { name: 'Picture of clip-' });
  await expect(pictures.first()).toBeVisible();
  await bench.saved();
  await bench.accessible();
  const drawn = await pictures.count();
  await page.reload();
  await expect(pictures).toHaveCount(drawn);

  // Everything simulated goes with one button, and comes back with one undo.
  await bench.open('field');
  await page.getByRole('button', { name: 'Simulated aircraft' }).click();
  await desk.getByRole('button', { name: 'Remove simulated flights' }).click();
  await bench.saved();
  expect((await bench.stored()).file.takes.filter((t) => t.simulated)).toEqual([]);
});

test('the day is taken along as one page, takes are noted on it without a server, and come back as a file', async ({
  page,
  bench,
  browser,
}) => {
  await bench.open('footage');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save Take along', exact: true }).click(),
  ]);
  const dir = await mkdtemp(join(tmpdir(), 'dusk-along-'));
  const path = join(dir, 'day.html');
  await copyFile(await download.path(), path);
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, offline: true })
  ).newPage();
  const asked: string[] = [];
  phone.on('request', (r) => asked.push(r.url()));
  await phone.goto(`file://${path}`);
  const card = phone.locator('article').filter({ hasText: 'Along the parapet' });
  await expect(card.getByRole('listitem').first()).toContainText('Start');
  await card.getByRole('button', { name: 'Good', exact: true }).click();
  await card.getByRole('button', { name: 'No good' }).click();
  await card.getByRole('button', { name: 'Maybe', exact: true }).click();
  await card.getByTitle('Take this one back').last().click();
  await expect(phone.locator('#count')).toHaveText('2 takes');
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(asked).toEqual([`file://${path}`]);
  const [log] = await Promise.all([
    phone.waitForEvent('download'),
    phone.getByRole('button', { name: 'Save log' }).click(),
  ]);
  const file = join(dir, 'takes.json');
  await log.saveAs(file);
  for (const said of ['2 takes brought in, 0 there already.', '0 takes brought in, 2 there already.']) {
    await page.getByRole('button', { name: 'Bring in a log' }).locator('input').setInputFiles(file);
    await expect(page.locator('.said-place').getByText(said)).toBeVisible();
  }
  await bench.saved();
  const { file: stored, derived } = await bench.stored();
  const shot = stored.shots.find((s) => s.title === 'Along the parapet')!;
  expect(stored.takes.map((t) => [t.shotId, t.rating])).toEqual([
    [shot.id, 'good'],
    [shot.id, 'no-good'],
  ]);
  expect(derived.done.has(shot.id)).toBe(true);
  await rm(dir, { recursive: true, force: true });
});

test('a copy is held against its card byte by byte, its fault named, and once proved it is entered', async ({
  page,
  bench,
}) => {
  const folder = await mkdtemp(join(tmpdir(), 'dusk-copies-'));
  const write = async (path: string, content: string): Promise<void> => {
    await mkdir(join(folder, path, '..'), { recursive: true });
    await writeFile(join(folder, path), content);
  };
  await write('CARD/DCIM/A001.MP4', 'first clip'.repeat(2000));
  await write('CARD/DCIM/A002.MP4', 'second clip'.repeat(900));
  await write('COPY/viaduct/A001.MP4', 'first clip'.repeat(2000));
  await write('COPY/viaduct/A002.MP4', `${'second clip'.repeat(899)}second clop`);
  await bench.open('footage');
  const pane = page.getByRole('region', { name: 'Prove a copy' });
  const card = (await bench.stored()).file.kit.cards.find((c) => c.usedGB > 0)!;
  await expect(pane).toContainText(card.name);
  await pane
    .getByRole('button', { name: 'Choose card folder' })
    .locator('input')
    .setInputFiles(join(folder, 'CARD'));
  await pane
    .getByRole('button', { name: 'Choose copy folder' })
    .locator('input')
    .setInputFiles(join(folder, 'COPY'));
  await pane.getByRole('button', { name: 'Compare copy' }).click();
  await expect(pane.locator('[data-copies]')).toContainText('1 of 2 files are the same');
  await expect(pane.locator('.wrong')).toContainText('A002.MP4 holds other bytes');
  await expect(pane.getByRole('button', { name: /Enter as one/ })).toBeHidden();
  await write('COPY/viaduct/A002.MP4', 'second clip'.repeat(900));
  await pane
    .getByRole('button', { name: 'Choose copy folder' })
    .locator('input')
    .setInputFiles(join(folder, 'COPY'));
  await pane.getByRole('button', { name: 'Compare copy' }).click();
  await expect(pane.locator('[data-copies]')).toContainText('2 of 2 files are the same');
  const copies = async () =>
    (await bench.stored()).file.kit.cardMoves.filter((m) => m.cardId === card.id && m.act === 'copy').length;
  const before = await copies();
  await pane.getByRole('button', { name: /Enter as one/ }).click();
  await bench.saved();
  expect(await copies()).toBe(before + 1);
  await bench.accessible();
  await rm(folder, { recursive: true, force: true });
});

test('printed from the page, the list is a shot list with boxes and the map a map with its numbers; the tools stay away', async ({
  page,
  bench,
}) => {
  const printed = page.locator('.paper');
  const print = async (): Promise<void> => {
    await expect(async () => {
      await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
      await expect(printed).toBeVisible({ timeout: 500 });
    }).toPass();
    await page.emulateMedia({ media: 'print' });
  };
  await bench.open();
  await print();
  const { file, derived } = await bench.stored();
  await expect(printed.locator('article')).toHaveCount(file.shots.length);
  await expect(page.getByRole('searchbox')).toBeHidden();
  await expect(page.getByRole('button', { name: 'New', exact: true })).toBeHidden();
  const takes = [...derived.shots.values()].reduce((n, s) => n + takesOf(s.facts.shot), 0);
  await expect(printed.locator('.box')).toHaveCount(takes);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(printed).toHaveCount(0);
  await page.emulateMedia({ media: 'screen' });
  await expect(page.getByRole('button', { name: 'New', exact: true })).toBeVisible();

  await bench.open('map');
  await print();
  const here = file.features.filter((f) => f.locationId === file.locations[0]!.id);
  await expect(printed.locator('ol li')).toHaveText(here.map((f) => new RegExp(f.name)));
  await expect(printed.locator('svg text', { hasText: /^\d+$/ })).toHaveCount(here.length);
  await expect(page.getByRole('application')).toBeHidden();
});

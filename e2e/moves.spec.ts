import { layoutOf } from '@core/shot';
import { expect, test, type Bench } from './app';

const stored = async (bench: Bench, title: string) => {
  await bench.saved();
  const { file, derived } = await bench.stored();
  const shot = file.shots.find((s) => s.title === title)!;
  return { shot, facts: derived.shots.get(shot.id)!.facts, warnings: derived.shots.get(shot.id)!.warnings };
};

test('a figure is asked for, what is given stays, and what cannot be reached says how near one comes', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  const ask = page.getByRole('region', { name: 'Ask for a figure' });
  const usable = ask.getByLabel('Usable');
  await usable.fill('9');
  await usable.press('Enter');
  let now = await stored(bench, 'Along the parapet');
  expect(now.facts.trajectory!.usableS).toBeCloseTo(9, 2);
  expect(now.shot.move.values['lengthM']).toBe(60);
  await page.getByRole('button', { name: 'Speed is given' }).click();
  const speed = now.shot.move.values['speedMs'];
  await usable.fill('14');
  await usable.press('Enter');
  now = await stored(bench, 'Along the parapet');
  expect(now.shot.move.values['speedMs']).toBe(speed);
  expect(now.facts.trajectory!.usableS).toBeCloseTo(14, 2);
  const fill = ask.getByLabel('Subject in frame');
  await fill.fill('60');
  await fill.press('Enter');
  now = await stored(bench, 'Along the parapet');
  expect(now.facts.fill).toBeCloseTo(0.6, 2);
  await page.getByRole('button', { name: 'Length is given' }).click();
  await usable.fill('40');
  await usable.press('Enter');
  await expect(ask.getByRole('alert')).toContainText('locked');
  expect((await stored(bench, 'Along the parapet')).facts.trajectory!.usableS).toBeCloseTo(14, 2);
});

test('inputs are added to a move, and it is flown backwards; costs follow as the core has them', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Away from the arches');
  const before = await bench.figure('inputs').textContent();
  await page.getByRole('button', { name: 'Add to the move' }).click();
  const added = page.getByRole('region', { name: 'Added on top of the move' });
  for (const [label, value] of [
    ['Rise', '25'],
    ['Go round', '40'],
  ] as const) {
    await added.getByLabel(label).fill(value);
    await added.getByLabel(label).press('Enter');
  }
  const now = await stored(bench, 'Away from the arches');
  expect(now.shot.move.added).toMatchObject({ riseM: 25, aroundDeg: 40 });
  expect(now.facts.trajectory!.end.at.z).toBeCloseTo(70, 1);
  expect(Number(await bench.figure('inputs').textContent())).toBeGreaterThan(Number(before));
  await expect(bench.figure('inputs')).toHaveText(String(now.facts.trajectory!.simultaneous));
  await page.getByRole('button', { name: 'Reversed' }).click();
  const back = await stored(bench, 'Away from the arches');
  expect(back.facts.trajectory!.start.at.z).toBeCloseTo(70, 1);
  expect(back.facts.direction).toBe('toward');
  expect(back.facts.trajectory!.lengthM).toBeCloseTo(now.facts.trajectory!.lengthM, 3);
});

test('a route is built point by point; points on top of each other are told', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Signal hut, smoke');
  await bench.choose('Move', 'Free route');
  // A route begins with two points, so that it can be flown at once.
  await expect(page.locator('[data-code="move.no-path"]')).toHaveCount(0);
  const points = page.getByRole('region', { name: 'Points of the route' });
  await points.getByRole('button', { name: 'Take point 2 out' }).click();
  await expect(page.locator('[data-code="move.no-path"]')).toContainText('at least two points');
  for (let i = 0; i < 2; i += 1) await points.getByRole('button', { name: 'Add a point' }).click();
  const last = points.getByRole('group', { name: 'Point 3' });
  await last.getByLabel('Height').fill('30');
  await last.getByLabel('Height').press('Enter');
  let now = await stored(bench, 'Signal hut, smoke');
  expect(now.shot.move.points).toHaveLength(3);
  expect(now.facts.trajectory!.highestM).toBeCloseTo(30, 0);
  await expect(bench.figure('energy')).toContainText(now.facts.energy!.totalWh.toFixed(2));
  const second = points.getByRole('group', { name: 'Point 2' });
  for (const label of ['East', 'North', 'Height'] as const) {
    await second
      .getByLabel(label)
      .fill(await points.getByRole('group', { name: 'Point 1' }).getByLabel(label).inputValue());
    await second.getByLabel(label).press('Enter');
  }
  await expect(page.locator('[data-code="move.no-path"]')).toContainText(
    'Points 1 and 2 lie on top of each other',
  );
  await points.getByRole('button', { name: 'Take point 2 out' }).click();
  await expect(page.locator('[data-code="move.no-path"]')).toHaveCount(0);
  now = await stored(bench, 'Signal hut, smoke');
  expect(now.shot.move.points).toHaveLength(2);
});

test('a gap smaller than the aircraft says what would do; a tight one is stopped', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await bench.choose('Move', 'Fly-through');
  const gap = page.getByLabel('Gap across', { exact: true }).last();
  await gap.fill('0.5');
  await gap.press('Enter');
  await expect(page.locator('[data-code="move.no-path"]')).toContainText('The least that would do is 2.6');
  await gap.fill('1.8');
  await gap.press('Enter');
  await expect(page.locator('[data-code="move.gap"]')).toContainText('0.6 m to each side; 1.0 m is kept');
});

test('a ramp is drawn and its mean counts; a factor that is none is refused at its field', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await page.getByRole('tab', { name: 'Cut and takes' }).click();
  const first = page.getByRole('group', { name: 'Stretch 1' });
  await first.getByRole('button', { name: 'Ramp' }).click();
  let now = await stored(bench, 'Along the parapet');
  expect(now.facts.capturedS).toBeCloseTo(7 * 2.5, 6);
  await first.getByRole('button', { name: 'Split' }).click();
  now = await stored(bench, 'Along the parapet');
  expect(now.shot.cut.segments).toHaveLength(2);
  expect(now.facts.capturedS).toBeCloseTo(7 * 2.5, 6);
  await first.getByLabel('Played at').fill('1000');
  await first.getByLabel('Played at').press('Enter');
  await expect(first.getByRole('alert')).toContainText('100');
  expect((await stored(bench, 'Along the parapet')).facts.capturedS).toBeCloseTo(7 * 2.5, 6);
});

test('stills, the pilot in the shot and a time-lapse are budgeted as the core has them', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await page.getByRole('tab', { name: 'Cut and takes' }).click();
  const before = (await stored(bench, 'Along the parapet')).facts;
  await bench.choose('Records', 'Video and stills');
  await page.getByText('Pilot in the shot').click();
  let now = await stored(bench, 'Along the parapet');
  expect(now.facts.seconds.airS - before.seconds.airS).toBeCloseTo(3 * 4 + 2 * 15 * now.shot.takes, 6);
  await expect(bench.figure('air')).toHaveText(`${Math.round(now.facts.seconds.airS)}s`);
  await page.getByRole('tab', { name: 'Move', exact: true }).click();
  await bench.choose('Move', 'Moving time-lapse');
  now = await stored(bench, 'Along the parapet');
  expect(now.facts.trajectory!.frames!.count).toBe(175);
  expect(layoutOf(now.facts).segments[0]!.timelineS).toBe(7);
  await expect(bench.figure('bytes')).toContainText((now.facts.bytes / 1e9).toFixed(2));
});

test('practice raises the level of a move, and with it the takes asked for', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Round the incline house');
  await expect(page.locator('[data-code="takes.few"]')).toContainText('1 take planned');
  await bench.open('kit');
  await page.getByRole('button', { name: /^Pilots/ }).click();
  const row = page.getByRole('row', { name: /^Orbit/ }).last();
  await expect(row).toContainText('learning');
  await expect(page.getByRole('region', { name: 'To rehearse for this film' })).toContainText('Orbit');
  await bench.choose('Move', 'Orbit');
  await page.getByLabel('Tries').fill('20');
  await page.getByLabel('Tries').press('Enter');
  await page.getByLabel('Kept').fill('18');
  await page.getByLabel('Kept').press('Enter');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(row).toContainText('18 of 20');
  await expect(row).toContainText('sure');
  await expect(page.getByRole('region', { name: 'To rehearse for this film' })).not.toContainText('Orbit');
  await bench.saved();
  expect(
    (await bench.stored()).file.kit.practice.some((p) => p.moveKind === 'orbit' && p.keepers === 18),
  ).toBe(true);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('learning');
});

test('a move is chosen from its pictures by keyboard: search, arrows, enter, and the focus comes back', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  const button = page.getByRole('button', { name: 'Pictures' });
  await button.focus();
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Choose a move' });
  await expect(sheet.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('orbit');
  await expect(sheet.getByRole('status')).toHaveText('4 moves');
  await sheet
    .getByRole('button', { name: /^Part orbit|^Orbit/ })
    .first()
    .focus();
  const first = await page.evaluate(() => document.activeElement?.querySelector('b')?.textContent);
  await page.keyboard.press('ArrowRight');
  const second = await page.evaluate(() => document.activeElement?.querySelector('b')?.textContent);
  expect(second).not.toBe(first);
  await page.keyboard.press('Enter');
  await expect(sheet).toHaveCount(0);
  await expect(button).toBeFocused();
  const { facts } = await stored(bench, 'Along the parapet');
  expect(facts.move?.name).toBe(second);
});

test('the pictures name what goes beyond pilot and aircraft, and leave it out when asked', async ({
  page,
  bench,
}) => {
  await bench.open();
  await bench.pick('Along the parapet');
  await page.keyboard.press('m');
  const sheet = page.getByRole('dialog', { name: 'Choose a move' });
  const hard = sheet.locator('.move.hard');
  await expect(hard.first()).toContainText(/inputs at once|No path|Faster|tilts/);
  const all = await sheet.locator('.move').count();
  const beyond = await hard.count();
  await sheet.getByText('Only what pilot and aircraft can fly').click();
  await expect(sheet.locator('.move')).toHaveCount(all - beyond);
  await sheet.getByRole('searchbox').fill('xylophone');
  await expect(sheet.getByText('No move matches.')).toBeVisible();
});

test('the overview says what is wanted, whether it fits and what is next, and leads there', async ({
  page,
  bench,
}) => {
  await bench.open('overview');
  const { derived } = await bench.stored();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Valdegris line');
  await expect(bench.verdict).toContainText('1 of 18 shots does not fit');
  const days = page.locator('.overview .day');
  await expect(days).toHaveCount(2);
  await expect(days.locator('tbody tr')).toHaveCount(derived.places.size);
  await expect(
    page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Shots' }),
  ).toHaveAccessibleDescription(/something does not fit/);
  await page.getByRole('link', { name: 'Shot 5:' }).click();
  await expect(bench.title).toHaveValue(derived.shots.get(derived.order[4]!)!.facts.shot.title);
});

import type { Page } from '@playwright/test';
import { kitOnLocation } from '@core/day';
import { ghostControls, rehearsalOf, stepsIn, Try } from '@core/rehearsal';
import { readFile } from 'node:fs/promises';
import { expect, test, type Bench } from './app';

/** A browser without three dimensions: the shot is flown by its line from above. Software drawing would slow the clock down. */
const withoutPicture = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const own = HTMLCanvasElement.prototype.getContext as (
      this: HTMLCanvasElement,
      ...a: unknown[]
    ) => unknown;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, ...a: unknown[]) {
      return String(a[0]).startsWith('webgl') ? null : own.apply(this, a);
    } as typeof HTMLCanvasElement.prototype.getContext;
  });

const marked = async (page: Page): Promise<number> => {
  const mark = page.getByRole('region', { name: 'Marks' }).locator('.mark b');
  await expect(mark).toBeVisible({ timeout: 60_000 });
  return Number(await mark.innerText());
};

test('a hover flown with quiet hands is marked better than one with restless hands, and both count as practice', async ({
  page,
  bench,
}) => {
  await withoutPicture(page);
  await bench.open();
  await bench.pick('Valley wakes');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByText('No wind').click();
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  const quiet = await marked(page);
  expect(quiet).toBeGreaterThan(90);
  await expect(page.getByText('Counted as practice: try 1 of this shot.')).toBeVisible();
  const marks = page.getByRole('region', { name: 'Marks' });
  await expect(marks.locator('dl')).toContainText(/Energy\s*\d+\.\d\d\s*Wh\s*planned\s*\d+\.\d\d\s*Wh/);
  await expect(marks.locator('dl')).toContainText(/Lowest\s*\d+\.\d\s*m\s*over the ground/);

  await panel.getByRole('button', { name: 'Fly again' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  for (const key of ['ArrowUp', 'd', 'ArrowLeft', 'a', 'ArrowDown', 'r'])
    await page.keyboard.press(key, { delay: 700 });
  await panel.getByRole('button', { name: 'End try' }).click();
  const restless = await marked(page);
  expect(restless).toBeLessThan(quiet - 10);
  await expect(page.getByText('Counted as practice: try 2 of this shot.')).toBeVisible();
  await bench.saved();
  const { file } = await bench.stored();
  const shot = file.shots.find((s) => s.title === 'Valley wakes')!;
  const rows = file.kit.practice.filter((p) => p.shotId === shot.id);
  expect(rows.map((p) => [p.handling, p.moveKind, p.tries, p.mark])).toEqual([
    ['simulator', shot.move.kind, 2, quiet],
  ]);

  // Left out, they teach nothing: the kit that comes along has the real tries alone.
  const tries = async (): Promise<number> => {
    const { file: now } = await bench.stored();
    return kitOnLocation(now.kit, now.film).practice.filter((p) => p.handling === 'simulator').length;
  };
  expect(await tries()).toBeGreaterThan(0);
  await panel.getByText('Rehearsed tries count as practice').click();
  await bench.saved();
  expect(await tries()).toBe(0);
  await panel.getByText('Rehearsed tries count as practice').click();
  await bench.saved();

  // The best is kept on the device, and seen again it is the same flight.
  await page.reload();
  await panel.getByRole('button', { name: `Watch best (${quiet})` }).click();
  expect(await marked(page)).toBe(quiet);
  await expect(page.getByText('Watched, not counted as a try.')).toBeVisible();
  await bench.accessible();
});

test('a controller flies the shot, is learned, and freezes the flight when it goes', async ({
  page,
  bench,
}) => {
  await withoutPicture(page);
  await page.addInitScript(() => {
    const pad = {
      id: 'test controller',
      connected: true,
      mapping: '',
      axes: [0, 0, 0, 0, 0],
      buttons: Array.from({ length: 16 }, () => ({ value: 0, pressed: false })),
    };
    Object.assign(window, { pad });
    navigator.getGamepads = () => (pad.connected ? [pad as unknown as Gamepad] : []);
  });
  const axes = (values: number[]) =>
    page.evaluate((v) => {
      (window as unknown as { pad: { axes: number[] } }).pad.axes = v;
    }, values);
  await bench.open();
  await bench.pick('Meadow to arches');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByRole('button', { name: 'Learn sticks' }).click();
  // Its axes lie in another order than usual, and one is turned round.
  for (const values of [
    [0, 0, 0, 1, 0],
    [0, 0, 1, 0, 0],
    [0, 1, 0, 0, 0],
    [-1, 0, 0, 0, 0],
  ]) {
    const asked = await panel.locator('.learn').innerText();
    await axes(values);
    await expect(panel.locator('.learn')).not.toHaveText(asked);
    await axes([0, 0, 0, 0, 0]);
    // The stick is seen back in its middle before it is pushed again.
    await page.evaluate(
      () => new Promise((seen) => requestAnimationFrame(() => requestAnimationFrame(() => seen(null)))),
    );
  }
  await panel.getByRole('button', { name: 'Skip' }).click();
  await expect(panel.getByRole('button', { name: 'Learn sticks' })).toBeVisible();

  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  await axes([0, 1, 0, 0, 0]);
  const speed = page.locator('.figures .fig').first();
  await expect(async () => {
    expect(Number.parseFloat(await speed.innerText())).toBeGreaterThan(2);
  }).toPass();
  await page.evaluate(() => {
    (window as unknown as { pad: { connected: boolean } }).pad.connected = false;
    window.dispatchEvent(new Event('gamepaddisconnected'));
  });
  await expect(page.getByText('The controller is gone. The flight is frozen.')).toBeVisible();
  await panel.getByRole('button', { name: 'Back 5 s' }).click();
  await panel.getByRole('button', { name: 'End try' }).click();
});

test('on a phone two thumbs fly it', async ({ page, bench }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await withoutPicture(page);
  await bench.open('rehearse');
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await bench.accessible();
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  const stick = (await page.getByLabel('Right stick').boundingBox())!;
  const [x, y] = [stick.x + stick.width / 2, stick.y + stick.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 60);
  const speed = page.locator('.figures .fig').first();
  await expect(async () => {
    expect(Number.parseFloat(await speed.innerText())).toBeGreaterThan(1);
  }).toPass();
  await page.mouse.up();
  await expect(async () => {
    expect(Number.parseFloat(await speed.innerText())).toBeLessThan(0.5);
  }).toPass();
});

test('a page nobody looks at freezes the flight, and it goes on when asked', async ({ page, bench }) => {
  await withoutPicture(page);
  await bench.open('rehearse');
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  const clock = page.locator('.figures b').first();
  await expect(clock).not.toHaveText('0.0');
  await page.evaluate(() => {
    Object.defineProperty(document, 'hidden', { configurable: true, get: () => true });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  await expect(panel.getByRole('button', { name: 'Fly on' })).toBeVisible();
  const stopped = await clock.innerText();
  await page.evaluate(
    () => new Promise((seen) => requestAnimationFrame(() => requestAnimationFrame(() => seen(null)))),
  );
  await expect(clock).toHaveText(stopped);
  await panel.getByRole('button', { name: 'Fly on' }).click();
  await expect(clock).not.toHaveText(stopped);
});

test('a drill is chosen for the day, flown, marked and counts as practice', async ({ page, bench }) => {
  await withoutPicture(page);
  await bench.open('rehearse');
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByText('Drills', { exact: true }).click();
  await expect(panel.locator('.today')).toHaveCount(3);
  const hold = panel.locator('[data-drill=hold-gusts]');
  await hold.click();
  await expect(hold).toContainText('Level 1');
  await panel.getByRole('button', { name: 'Fly drill, level 1' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  expect(await marked(page)).toBeGreaterThan(69);
  await expect(page.getByText('Counted as practice: try 1 of this drill.')).toBeVisible();
  await expect(hold).toContainText('Level 1, 1 try');
  await bench.saved();
  const rows = (await bench.stored()).file.kit.practice.filter((p) => p.drillId !== '');
  expect(rows).toMatchObject([
    { drillId: 'hold-gusts', moveKind: 'hold', tries: 1, keepers: 1, shotId: null },
  ]);
  await bench.accessible();
});

test('with a camera screwed on the shot is flown by attitude: nobody holds speed or height, and the line is still shown', async ({
  page,
  bench,
}) => {
  await withoutPicture(page);
  await bench.open();
  await bench.pick('Rush along the steps');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByText('No wind').click();
  await panel.getByText('Fly by attitude', { exact: true }).click();
  await bench.accessible();
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  const speed = page.locator('.figures .fig').first();
  // A short push leans it, and let go it stays leant: it goes on gaining speed with the sticks in their middle.
  await page.keyboard.press('ArrowUp', { delay: 120 });
  const faster = async (than: number): Promise<void> =>
    expect(async () => {
      expect(Number.parseFloat(await speed.innerText())).toBeGreaterThan(than);
    }).toPass();
  await faster(1);
  await faster(3);
  await panel.getByRole('button', { name: 'End try' }).click();
  // It is kept on the device; another shot, with a gimbal, has no such choice.
  await bench.open();
  await bench.pick('Rush along the steps');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  await expect(panel.getByRole('switch', { name: 'Fly by attitude' })).toBeChecked();
  await bench.open();
  await bench.pick('Valley wakes');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  await expect(panel.getByText('No wind')).toBeVisible();
  await expect(panel.getByText('Fly by attitude', { exact: true })).toHaveCount(0);
});

test('a try is saved as a film of the lens, as long as it was flown', async ({ page, bench }) => {
  await bench.open();
  await bench.pick('Valley wakes');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await panel.getByRole('button', { name: 'End try' }).click({ timeout: 30_000 });
  const save = panel.getByRole('button', { name: 'Save try as film (WebM)' });
  const download = page.waitForEvent('download', { timeout: 90_000 });
  await save.click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('1 Valley wakes.webm');
  const bytes = await readFile(await file.path());
  // EBML, the first bytes of every WebM.
  expect([...bytes.subarray(0, 4)]).toEqual([0x1a, 0x45, 0xdf, 0xa3]);
  await expect(save).toBeVisible();
});

/** So long each position of the sticks is held, s. */
const STICK_S = 0.1;
/** Less than this of a stick is nothing: what is asked for lies beyond it. */
const pastMiddle = (asked: number): number =>
  asked === 0 ? 0 : Math.sign(asked) * (0.04 + 0.96 * Math.abs(asked));

/** Sticks that fly a shot's planned line, by the second: what the ghost asks for, read back through stick mode 2. */
const sticksOfTheLine = async (bench: Bench, title: string) => {
  const shot = [...(await bench.stored()).derived.shots.values()].find((s) => s.facts.shot.title === title)!;
  const plan = rehearsalOf(shot, { handling: 'normal', calm: true })!;
  const flown = new Try(plan.trajectory.start, plan.craft, { ...plan.place, random: () => 0.5 });
  return Array.from({ length: Math.ceil(plan.trajectory.totalS / STICK_S) }, () => {
    const asked = ghostControls(flown.state, plan.trajectory, plan.craft);
    flown.fly(asked, stepsIn(STICK_S));
    return [asked.yaw, -asked.up, asked.right, -asked.forward].map(pastMiddle);
  });
};

test('a scripted controller flies the orbit well and badly, and the marks tell the two apart', async ({
  page,
  bench,
}) => {
  const line = await sticksOfTheLine(bench, 'Train takes the bridge');
  await withoutPicture(page);
  await page.addInitScript((sticks) => {
    const script = { sticks, restless: false, every: 0.1 };
    Object.assign(window, { script });
    // It reads the clock of the flight, as whoever flies does, and holds the sticks that belong to that second.
    navigator.getGamepads = () => {
      const tS = Number.parseFloat(document.querySelector('.figures b')?.textContent ?? '0');
      const now = script.sticks[Math.round(tS / script.every)] ?? [0, 0, 0, 0];
      const gust = Math.floor(tS / 0.6) % 2 === 0 ? 1.7 : 0.3;
      const axes = script.restless ? now.map((a) => a * gust) : now;
      return [
        { id: 'script', connected: true, mapping: 'standard', axes, buttons: [] } as unknown as Gamepad,
      ];
    };
  }, line);
  await bench.open();
  await bench.pick('Train takes the bridge');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByText('No wind').click();
  await panel.getByText('Click on every beat').click();
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(page.locator('.figures .beat')).toContainText(/count [2-9]/, { timeout: 60_000 });
  const well = await marked(page);
  await page.evaluate(() => {
    (window as unknown as { script: { restless: boolean } }).script.restless = true;
  });
  await panel.getByRole('button', { name: 'Fly again' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  // It never comes to rest where the line ends: it is ended by hand.
  await expect(page.locator('.figures .beat')).toContainText(/count [2-9]/, { timeout: 60_000 });
  await panel.getByRole('button', { name: 'End try' }).click();
  const badly = await marked(page);
  // Held against the try before, mark by mark.
  const marks = page.getByRole('region', { name: 'Marks' });
  await expect(marks).toContainText(`Tries of this visit: ${well}, ${badly}.`);
  await expect(marks.locator('li', { hasText: 'Framing' }).locator('.gain')).toHaveText(/^−\d+$/);
  expect(well).toBeGreaterThan(80);
  expect(badly).toBeLessThan(well - 25);
});

test('a push-in is flown by keys, and by two thumbs at once on a touch screen', async ({ page, bench }) => {
  await withoutPicture(page);
  await bench.open();
  await bench.pick('Meadow to arches');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  await panel.getByText('No wind').click();
  const speed = page.locator('.figures .fig').first();
  const reads = (test: (ms: number) => boolean): Promise<void> =>
    expect(async () => {
      expect(test(Number.parseFloat(await speed.innerText()))).toBe(true);
    }).toPass();
  await panel.getByRole('button', { name: 'Fly shot' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  await page.keyboard.down('Shift');
  await page.keyboard.down('ArrowUp');
  await reads((ms) => ms > 2);
  await page.keyboard.up('ArrowUp');
  await page.keyboard.up('Shift');
  await reads((ms) => ms < 0.3);
  await panel.getByRole('button', { name: 'End try' }).click();
  expect(await marked(page)).toBeGreaterThan(0);

  await panel.getByRole('button', { name: 'Fly again' }).click();
  await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
  const middle = async (name: string) => {
    const box = (await page.getByLabel(name).boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const [left, right] = [await middle('Left stick'), await middle('Right stick')];
  const hand = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: { x: number; y: number }[]) =>
    hand.send('Input.dispatchTouchEvent', { type, touchPoints });
  await touch('touchStart', [left, right]);
  await touch('touchMove', [
    { x: left.x, y: left.y - 50 },
    { x: right.x, y: right.y - 50 },
  ]);
  const height = page.locator('.figures .fig').nth(1);
  const from = Number.parseFloat(await height.innerText());
  await reads((ms) => ms > 2);
  await expect(async () => {
    expect(Number.parseFloat(await height.innerText())).toBeGreaterThan(from + 1);
  }).toPass();
  await touch('touchEnd', []);
  await reads((ms) => ms < 0.3);
  await panel.getByRole('button', { name: 'End try' }).click();
  await marked(page);
});

test('two pilots rehearse one shot: each has tries and marks of their own, and the storyboard shows the best frame', async ({
  page,
  bench,
}) => {
  await withoutPicture(page);
  await bench.open('kit');
  await page.getByRole('button', { name: /^Pilots/ }).click();
  await page.getByRole('button', { name: 'New pilot' }).click();
  await bench.saved();
  await bench.open();
  await bench.pick('Valley wakes');
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  const panel = page.getByRole('complementary', { name: 'Rehearsal' });
  const { file } = await bench.stored();
  const [first, second] = file.kit.pilots;
  const flownBy = async (name: string, said: string): Promise<number> => {
    await bench.choose('Pilot', name);
    await panel.getByRole('button', { name: /Fly (shot|again)/ }).click();
    await expect(panel.getByRole('button', { name: 'End try' })).toBeVisible({ timeout: 15_000 });
    const mark = await marked(page);
    await expect(page.getByText(said)).toBeVisible();
    return mark;
  };
  await panel.getByText('No wind').click();
  await flownBy(first!.name, 'Counted as practice: try 1 of this shot.');
  await flownBy(second!.name, 'Counted as practice: try 1 of this shot.');
  const best = await flownBy(second!.name, 'Counted as practice: try 2 of this shot.');
  await bench.saved();
  const rows = (await bench.stored()).file.kit.practice.filter((p) => p.shotId !== null);
  expect(rows.map((p) => [p.pilotId, p.tries]).sort()).toEqual(
    [
      [first!.id, 1],
      [second!.id, 2],
    ].sort(),
  );
  await bench.open('storyboard');
  await page.getByRole('radiogroup', { name: 'Picture on the cards' }).getByText('Frame').click();
  await expect(page.locator('.card .marked')).toHaveText([new RegExp(`^rehearsed, ${best}$`)]);
  await bench.accessible();
});

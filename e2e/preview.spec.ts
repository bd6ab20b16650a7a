import { momentAt, trackOf } from '@core/shot';
import { expect, test } from './app';

test.describe('seeing a move', () => {
  test('comes when asked for, shows other pixels at other seconds, and tells the core’s figures', async ({
    page,
    bench,
  }) => {
    const asked: string[] = [];
    page.on('request', (r) => asked.push(r.url()));
    await bench.open();
    await bench.pick('Meadow to arches');
    expect(asked.filter((u) => u.includes('EyeCanvas'))).toEqual([]);
    await page.keyboard.press('p');
    const canvas = page.locator('canvas');
    await expect(canvas).toBeVisible();
    expect(asked.filter((u) => /EyeCanvas.*\.js/.test(u))).toHaveLength(1);
    const sizes = await page.evaluate(() =>
      (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
        .filter((r) => r.name.includes('EyeCanvas') || r.name.includes('PreviewStage'))
        .reduce((sum, r) => sum + r.encodedBodySize, 0),
    );
    expect(sizes).toBeLessThan(250_000);

    const strip = page.getByRole('slider', { name: 'Second of the move' });
    const { derived } = await bench.stored();
    const shot = [...derived.shots.values()].find((s) => s.facts.shot.title === 'Meadow to arches')!;
    const track = trackOf(shot)!;
    const seen: Buffer[] = [];
    await strip.focus();
    for (const key of ['Home', 'End'] as const) {
      await page.keyboard.press(key);
      const timeS = Number(await strip.getAttribute('aria-valuenow'));
      const moment = momentAt(track, timeS);
      await expect(page.locator('[data-moment=height]')).toHaveText(`${moment.pose.at.z.toFixed(1)}m`);
      await expect(page.locator('[data-moment=speed]')).toHaveText(`${moment.speedMs.toFixed(1)}m/s`);
      seen.push(await canvas.screenshot());
    }
    expect(seen[0]!.equals(seen[1]!)).toBe(false);
    // Back at the first second the picture is the first again.
    await page.keyboard.press('Home');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowLeft');
    expect((await canvas.screenshot()).equals(seen[0]!)).toBe(true);
    await page.keyboard.press('Escape');
    await expect(canvas).toHaveCount(0);
    await expect(bench.figure('energy')).toBeVisible();
  });

  test('plays, holds, goes slow, and two moves stand side by side', async ({ page, bench }) => {
    await bench.open();
    await bench.pick('Train takes the bridge');
    await page.getByRole('button', { name: 'Preview' }).click();
    const strip = page.getByRole('slider', { name: 'Second of the move' });
    await expect(page.locator('canvas')).toBeVisible();
    await page.getByRole('button', { name: '4×' }).click();
    await page.keyboard.press('Space');
    await expect.poll(async () => Number(await strip.getAttribute('aria-valuenow'))).toBeGreaterThan(2);
    await page.keyboard.press('Space');
    const held = await strip.getAttribute('aria-valuenow');
    await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
    expect(await strip.getAttribute('aria-valuenow')).toBe(held);
    const one = await page.locator('canvas').screenshot();
    await bench.choose('Beside it', /Along the parapet/);
    await expect(page.locator('.over g')).toHaveCount(2);
    expect((await page.locator('canvas').screenshot()).equals(one)).toBe(false);
    await bench.accessible();
  });

  test('without three dimensions it is drawn in lines, and still moves', async ({ page, bench }) => {
    await page.addInitScript(() => {
      const real = HTMLCanvasElement.prototype.getContext;
      HTMLCanvasElement.prototype.getContext = function (
        this: HTMLCanvasElement,
        kind: string,
        ...rest: unknown[]
      ) {
        return kind.startsWith('webgl')
          ? null
          : (real as (...a: unknown[]) => unknown).call(this, kind, ...rest);
      } as typeof real;
    });
    await bench.open();
    await bench.pick('Meadow to arches');
    await page.keyboard.press('p');
    const eye = page.getByRole('img', { name: 'The frame as the camera sees it' });
    await expect(eye).toBeVisible();
    await expect(page.locator('canvas')).toHaveCount(0);
    const strip = page.getByRole('slider', { name: 'Second of the move' });
    await strip.focus();
    await page.keyboard.press('Home');
    const before = await eye.innerHTML();
    await page.keyboard.press('End');
    await expect.poll(() => eye.innerHTML()).not.toBe(before);
  });

  test('a shot without a path says why instead of a picture', async ({ page, bench }) => {
    await bench.open();
    await bench.pick('Signal hut, smoke');
    const end = page.getByLabel('Ends at', { exact: true }).last();
    await end.fill('80');
    await end.press('Enter');
    await page.getByRole('button', { name: 'Preview' }).click();
    await expect(
      page.getByRole('region', { name: 'The move as it will look' }).getByText('must end nearer'),
    ).toBeVisible();
  });
});

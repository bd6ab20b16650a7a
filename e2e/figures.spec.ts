import type { Locator } from '@playwright/test';
import { expect, test } from './app';

/** What stands there, on one line and without what only parts a figure from its unit. */
const textOf = async (at: Locator): Promise<string> => (await at.innerText()).replace(/\s+/g, ' ').trim();
const first = (text: string, pattern: RegExp): string => {
  const found = pattern.exec(text)?.[1];
  if (found === undefined) throw new Error(`no ${pattern.source} in “${text}”`);
  return found;
};
const WH = /([\d.]+) ?Wh/;

test('a figure is the same wherever it is written: a shot’s on its card, its page, its flight and the map, a flight’s on its row, its pane, the map and the flying card', async ({
  page,
  bench,
}) => {
  await bench.open();
  await expect(bench.verdict).toContainText('does not fit');
  const cards = page.locator('.shot-card');
  const shots = new Map<string, { wh: string; seconds: string; gb: string }>();
  for (let i = 0; i < 7; i += 1) {
    const cost = await textOf(cards.nth(i).locator('.cost'));
    shots.set(await textOf(cards.nth(i).locator('.title')), {
      wh: first(cost, WH),
      seconds: first(cost, /([\d.]+) ?s/),
      gb: first(cost, /([\d.]+) ?GB/),
    });
  }
  expect(shots.size).toBe(7);
  await bench.pick('Along the parapet');
  const picked = shots.get('Along the parapet')!;
  expect(first(await textOf(bench.figure('energy')), WH)).toBe(picked.wh);
  expect(first(await textOf(bench.figure('air')), /([\d.]+) ?s/)).toBe(picked.seconds);
  expect(first(await textOf(bench.figure('bytes')), /([\d.]+) ?GB/)).toBe(picked.gb);

  await page.getByRole('link', { name: 'Flights', exact: true }).click();
  const row = page.locator('[data-flight="1"]');
  await expect(row).toContainText('lands with');
  const landsWith = first(await textOf(row), /lands with ([\d.]+) ?%/);
  const pane = page.locator('aside.flight');
  await expect(pane).toContainText(`Lands with ${landsWith}`);
  const takes = first(await textOf(pane), /Takes ([\d.]+) ?Wh/i);
  const may = first(await textOf(pane), /Takes [\d.]+ ?Wh of ([\d.]+) ?Wh/i);
  const stops = page.locator('.stops li');
  expect(await stops.count()).toBe(6);
  for (let i = 0; i < 6; i += 1) {
    const line = await textOf(stops.nth(i));
    const title = [...shots.keys()].find((t) => line.includes(t))!;
    expect(first(line, WH), title).toBe(shots.get(title)!.wh);
  }

  await page.getByRole('link', { name: 'Locations', exact: true }).click();
  await page.getByRole('link', { name: 'Site map', exact: true }).click();
  const costs = page.locator('.costs');
  await expect(costs).toContainText('flight 1');
  await expect(costs).toContainText(new RegExp(`${picked.wh}\\s*Wh`));
  await expect(costs).toContainText(new RegExp(`${takes}\\s*Wh\\s*of ${may}\\s*Wh`));
  await expect(costs).toContainText(new RegExp(`${picked.gb}\\s*GB`));

  await page.getByRole('link', { name: 'Field', exact: true }).click();
  await expect(page.getByRole('region', { name: 'In the air' })).toContainText(
    `lands by plan with ${landsWith} %`,
  );
});

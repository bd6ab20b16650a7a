import { readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Page } from '@playwright/test';
import library from 'element-plus/es/locale/lang/en.mjs';
import { demoFilm } from '@demo';
import { DE } from '../core/messages/de';
import { EN } from '../core/messages/en';
import { expect, test, type Bench } from './app';

type Texts = Readonly<Record<string, string>>;
const WEB = resolve('web');

/** Texts that are said in English alone: none of them may stand on a German page. */
const englishOnly = async (): Promise<ReadonlySet<string>> => {
  const rooms = readdirSync(WEB, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith(join('messages', 'en.ts')))
    .map((f) => join(WEB, f));
  const all: [string, string][] = Object.entries(EN).map(([code, text]) => [text, DE[code] ?? '']);
  const spoken = new Set<string>(Object.values(DE));
  for (const room of rooms) {
    const en = ((await import(room)) as { EN: Texts }).EN;
    const de = ((await import(room.replace(/en\.ts$/, 'de.ts'))) as { default: Texts }).default;
    for (const [key, text] of Object.entries(en)) all.push([text, de[key] ?? '']);
    for (const text of Object.values(de)) spoken.add(text);
  }
  // The library's own words: whole sentences, which no other text is by chance.
  const sentences = (part: unknown): string[] =>
    typeof part === 'string' ? [part] : Object.values(part as object).flatMap(sentences);
  for (const text of sentences(library.el)) if (text.includes(' ')) all.push([text, '']);
  return new Set(
    all
      .filter(([en, de]) => en !== de && !/[{}]/.test(en) && en.trim().length > 2 && !spoken.has(en))
      .map(([en]) => en.trim()),
  );
};

/** Everything a page says: its texts, labels and explanations. What a person wrote stands in fields and is left out. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (!node.parentElement?.closest('script, style, [dir=auto]')) said.push(node.textContent ?? '');
    for (const name of ['aria-label', 'title', 'placeholder'])
      for (const element of document.querySelectorAll(`[${name}]`))
        said.push(element.getAttribute(name) ?? '');
    return said.map((text) => text.replace(/\s+/g, ' ').trim()).filter((text) => text !== '');
  });

const VIEWS = [
  ...['', 'overview', 'brief', 'locations', 'map', 'light', 'flights', 'checks', 'field'],
  ...['footage', 'debrief', 'storyboard', 'rehearse', 'kit', 'calculators'],
] as Parameters<Bench['open']>[0][];

test('another language is chosen from any page, kept, and spoken on every page', async ({
  page,
  bench,
  app,
}) => {
  test.setTimeout(120_000);
  const foreign = await englishOnly();
  // What the made-up film is called in its own words may stand anywhere.
  const own = JSON.stringify(demoFilm());
  expect(foreign.size).toBeGreaterThan(1500);
  await bench.open();
  await expect(bench.verdict).toContainText('shots');
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('dialog', { name: 'Settings' }).getByText('Deutsch').click();
  await expect(bench.verdict).toContainText('Einstellung');
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await expect(bench.figure('energy')).toHaveText(/^\d+,\d\d/);

  let read = 0;
  for (const view of VIEWS) {
    await bench.open(view);
    await expect(page.locator('html')).toHaveAttribute('lang', 'de');
    await page.waitForFunction(() => performance.getEntriesByName('messages').length > 0);
    await expect(page.getByText('Wird geladen')).toHaveCount(0);
    const said = await saidOn(page);
    read += said.length;
    expect(
      said.filter((text) => foreign.has(text) && !own.includes(`"${text}"`)),
      `English on ${view || 'shots'}`,
    ).toEqual([]);
  }
  expect(read).toBeGreaterThan(1500);

  await page.goto(app.address);
  await expect(page.getByRole('button', { name: 'Film anlegen' })).toBeVisible();
  await page.getByRole('button', { name: 'Einstellungen der Anwendung' }).click();
  await page.getByRole('dialog').getByText('English').click();
  await expect(page.getByRole('button', { name: 'Create film' })).toBeVisible();
});

test('a first film is made in German: numbers, days and moves as the language writes them', async ({
  page,
  app,
}) => {
  await page.addInitScript(() => localStorage.setItem('dusk-language', 'de'));
  await page.goto(app.address);
  await page.getByText('Landschaft', { exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Hochmoor');
  await page.getByRole('button', { name: 'Film anlegen' }).click();
  await expect(page.getByRole('link', { name: 'Drehorte' }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Einstellungen', exact: true }).first().click();
  await expect(page.locator('.shot-card').first()).toContainText('Über die Anhöhe');
  await page.locator('.shot-card').nth(1).click();
  const orbit = page.getByRole('option', { name: 'Umkreisung', exact: true });
  await expect(async () => {
    if (!(await orbit.isVisible()))
      await page.getByRole('combobox', { name: 'Bewegung' }).click({ force: true });
    await orbit.click({ timeout: 5_000 });
  }).toPass();
  const radius = page.getByLabel('Radius', { exact: true }).last();
  await radius.fill('42,5');
  await radius.press('Enter');
  await expect(radius).toHaveValue('42,5');
  await expect(page.locator('[data-figure=energy] .value')).toHaveText(/^\d+,\d\d/);
  await expect(page.locator('[data-save]')).toHaveText('gespeichert');
  await page.reload();
  await page.locator('.shot-card').nth(1).click();
  await expect(radius).toHaveValue('42,5');
});

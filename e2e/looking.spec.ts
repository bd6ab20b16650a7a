import type { Page } from '@playwright/test';
import { expect, test } from './app';

/** What holds something a person may change by typing or picking. */
const FIELD =
  'main :is(input:not([type=checkbox]):not([type=radio]):not([type=file]):not([type=range]), textarea, [role=combobox]:not(:has(input)))';

/** What each field is for, without the number of its row. */
const namesOf = (fields: readonly Element[]): string[] =>
  fields.map((e) => {
    const field = e.matches('input, textarea') ? (e as HTMLInputElement) : e.querySelector('input');
    const name =
      field?.getAttribute('aria-label') ??
      field?.labels?.[0]?.textContent ??
      e.getAttribute('aria-label') ??
      '';
    return name.replaceAll(/\d+/g, '');
  });

/** Reaches for one field of each kind a view shows, opens what opens, and leaves it as it is. */
const lookAtFields = async (page: Page, seen: Set<string>): Promise<void> => {
  const fields = page.locator(`${FIELD} >> visible=true`);
  const nextOf = async (): Promise<{ name: string; at: number }> => {
    const names = await fields.evaluateAll(namesOf);
    const at = names.findIndex((name) => !seen.has(name));
    return { name: names[at] ?? '', at };
  };
  // What is looked at may bring or take other fields, or stand anew.
  for (let next = await nextOf(); next.at !== -1; next = await nextOf()) {
    const field = fields.nth(next.at);
    seen.add(next.name);
    await field.evaluate((e: HTMLElement) => e.scrollIntoView({ block: 'center' }));
    await field.click({ force: true });
    await page.waitForFunction(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn(true)))),
    );
    await page.keyboard.press('Tab');
    // The next field may open when it is come to; a list that is still closing would take the next click for a choice.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await expect(page.locator(':is(.el-select__popper, .el-picker__popper) >> visible=true')).toHaveCount(0);
  }
};

test('who only looks changes nothing: a field of each kind in every view is reached for, opened and left', async ({
  page,
  bench,
  app,
}) => {
  test.slow();
  const before = await app.films.exportFile(bench.film);
  const seen = new Set<string>();
  for (const view of [
    '',
    'brief',
    'locations',
    'light',
    'flights',
    'kit',
    'checks',
    'ready',
    'footage',
    'overview',
    'map',
    'storyboard',
    'field',
    'debrief',
    'rehearse',
    'calculators',
  ] as const) {
    await bench.open(view);
    await lookAtFields(page, seen);
    for (const part of await page.getByRole('tab').all()) {
      await part.click();
      await lookAtFields(page, seen);
    }
    await bench.saved();
    expect(await app.films.exportFile(bench.film), view).toEqual(before);
  }
  expect(seen.size).toBeGreaterThan(130);
});

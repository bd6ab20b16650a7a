import { expect, test } from './app';

test.use({ lan: true });

test('a phone is paired by a code over HTTPS, works on the film, is removed, keeps its change, and is paired again', async ({
  bench,
  page,
  browser,
}) => {
  await bench.open();
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'Devices' }).click();
  const sheet = page.getByRole('dialog', { name: 'Devices' });
  const invite = async (): Promise<string> => {
    const answer = page.waitForResponse((r) => r.url().endsWith('/api/pairing/codes'));
    await sheet.getByRole('button', { name: /Pair a device|New code/ }).click();
    const { links, code } = (await (await answer).json()) as { links: string[]; code: string };
    await expect(sheet.locator('[data-code]')).toHaveText(`${code.slice(0, 4)} ${code.slice(4)}`);
    await expect(sheet.getByRole('img', { name: /phone/ })).toBeVisible();
    return links[0]!.replace(/\/\/[^:]+/, '//127.0.0.1');
  };
  const link = await invite();
  const context = await browser.newContext({
    ignoreHTTPSErrors: true,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'block',
  });
  const phone = await context.newPage();
  const pair = async (to: string): Promise<void> => {
    await phone.goto(to);
    await phone.getByLabel('Name of this device').fill('Field phone');
    await phone.getByRole('button', { name: 'Pair device' }).click();
    await expect(phone.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(phone).toHaveURL(/\/$/);
  };
  const home = new URL(link).origin;
  await phone.goto(`${home}/film/${bench.film}/field`);
  await expect(phone.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
  await pair(link);
  await expect(sheet.locator('[data-paired]')).toContainText('Field phone is paired');
  // A code works once.
  const stranger = await browser.newContext({ ignoreHTTPSErrors: true });
  const other = await stranger.newPage();
  await other.goto(link);
  await other.getByRole('button', { name: 'Pair device' }).click();
  await expect(other.getByRole('alert')).toContainText('used already');
  await stranger.close();

  await phone.goto(`${home}/film/${bench.film}/shots`);
  await phone.waitForFunction(() => performance.getEntriesByName('checks').length > 0);
  const rename = async (title: string): Promise<void> => {
    await phone.locator('.shot-card').first().tap();
    await phone.getByLabel('Title').fill(title);
    await phone.getByLabel('Title').blur();
  };
  await rename('From the phone');
  await expect(page.locator('.shot-card', { hasText: 'From the phone' })).toBeAttached();
  await sheet.getByRole('button', { name: 'Remove' }).click();
  await expect(sheet).toContainText('No phone or tablet is paired yet.');
  await phone.getByLabel('Title').fill('Kept on the phone');
  await phone.getByLabel('Title').blur();
  await expect(phone.locator('[data-not-paired]')).toBeVisible();
  expect((await bench.stored()).file.shots.some((s) => s.title === 'Kept on the phone')).toBe(false);
  await pair(await invite());
  await phone.goto(`${home}/film/${bench.film}/shots`);
  await expect
    .poll(async () => (await bench.stored()).file.shots.some((s) => s.title === 'Kept on the phone'))
    .toBe(true);
  await expect(phone.locator('[data-not-paired]')).toBeHidden();
  await context.close();
});

import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '../demo';
import { flownDemoFilm } from '../demo/flown';
import { start } from '../server/start';

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  /** The film after its first day. */
  readonly flown?: boolean;
  readonly theme?: 'dusk' | 'noon';
  readonly act?: (page: Page) => Promise<void>;
}

const pick =
  (title: string) =>
  async (page: Page): Promise<void> => {
    await page
      .getByRole('button', { name: new RegExp(title) })
      .first()
      .click();
  };

/** Opens the preview of a shot at a share of its move. */
const seeing =
  (title: string, share: number) =>
  async (page: Page): Promise<void> => {
    await pick(title)(page);
    await page.keyboard.press('p');
    const strip = page.getByRole('slider', { name: 'Second of the move' });
    await strip.waitFor();
    await page.locator('canvas').waitFor();
    const box = await strip.boundingBox();
    if (box) await page.mouse.click(box.x + box.width * share, box.y + 30);
  };

/** The flying card of a shot, in the air. */
const flyingOf =
  (title: string) =>
  async (page: Page): Promise<void> => {
    const card = page.getByRole('heading', { level: 1 });
    while (!(await card.textContent())?.includes(title))
      await page.getByRole('button', { name: 'Next shot' }).click();
    await page.getByRole('button', { name: 'Take off' }).click();
    await page.getByRole('button', { name: 'Recording?' }).click();
  };

/** A day by the simulated aircraft, its card matched and named: the board of the cut with pictures of its clips. */
const covered = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Simulated aircraft' }).click();
  await page.getByRole('button', { name: 'Fly the whole day' }).click();
  await page.keyboard.press('Escape');
  await page.goto(page.url().replace(/field.*$/, 'footage'));
  await page.getByRole('button', { name: 'Simulated card' }).click();
  await page.getByRole('button', { name: 'Name the takes' }).click({ timeout: 120_000 });
  await page.getByRole('progressbar').waitFor({ state: 'hidden', timeout: 120_000 });
  await page.getByRole('heading', { name: 'Card to shots' }).evaluate((e) => {
    e.scrollIntoView();
  });
};

/** A shot that is flown along its line in the cockpit. */
const rehearsed = async (page: Page): Promise<void> => {
  await pick('Round the incline house')(page);
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  await page.locator('canvas').waitFor();
  await page.getByText('Ghost on the line').click();
  await page.getByRole('button', { name: 'Watch the line' }).click();
  await page.waitForFunction(
    () => Number.parseFloat(document.querySelector('.figures b')?.textContent ?? '') > 4,
  );
};

const SHOTS: readonly Shot[] = [
  {
    name: 'start',
    path: '/',
    act: async (page) => {
      await page.getByRole('button', { name: 'Create film' }).waitFor();
    },
  },
  { name: 'overview', path: '/overview' },
  { name: 'shots', path: '', act: pick('Meadow to arches') },
  {
    name: 'moves',
    path: '',
    act: async (page) => {
      await pick('Round the incline house')(page);
      await page.keyboard.press('m');
      await page.getByRole('dialog').getByRole('searchbox').waitFor();
    },
  },
  { name: 'preview', path: '', act: seeing('Meadow to arches', 0.62) },
  { name: 'storyboard', path: '/storyboard' },
  {
    name: 'map',
    path: '/map',
    act: async (page) => {
      await page
        .locator('.list')
        .getByRole('button', { name: /Signal hut, smoke/ })
        .click();
      await page.locator('[data-code="site.clearance"]').waitFor();
    },
  },
  {
    name: 'light',
    path: '/light',
    act: async (page) => {
      await page.getByRole('button', { name: 'Salt pans' }).click();
      await page.locator('.apexcharts-series path').first().waitFor();
      await page.locator('.lane .wish').first().waitFor();
    },
  },
  {
    name: 'flights',
    path: '/flights',
    act: async (page) => {
      await page.locator('.apexcharts-series path').first().waitFor();
    },
  },
  {
    name: 'flights-proposal',
    path: '/flights',
    act: async (page) => {
      await page.getByRole('button', { name: 'Plan the day' }).click();
      await page.getByRole('button', { name: 'Apply plan' }).waitFor();
      await page.locator('.apexcharts-series path').first().waitFor();
    },
  },
  {
    name: 'chances',
    path: '/flights',
    act: async (page) => {
      await page.getByRole('tab', { name: 'Chances' }).click();
      await page.locator('.apexcharts-series path').first().waitFor();
    },
  },
  {
    name: 'checks',
    path: '/checks',
    act: async (page) => {
      await page.getByRole('button', { name: /At the launch point/ }).click();
      await page.getByText('still being looked at').first().waitFor({ state: 'hidden' });
      for (let i = 0; i < 4; i += 1)
        await page.getByRole('button', { name: 'Pass', exact: true }).nth(i).click();
      await page.locator('main').evaluate((e) => e.scrollTo(0, 0));
    },
  },
  { name: 'kit', path: '/kit' },
  { name: 'field', path: '/field', theme: 'noon', act: flyingOf('Meadow to arches') },
  { name: 'phone-field', path: '/field', width: 390, height: 844, act: flyingOf('Meadow to arches') },
  { name: 'rehearse', path: '', act: rehearsed },
  { name: 'phone-shots', path: '', width: 390, height: 844 },
  // From here on the film has been flown.
  { name: 'footage', path: '/field', act: covered },
  { name: 'debrief', path: '/debrief', flown: true },
];

/** Pictures of the main views from the made-up film. Names on the command line choose some; --to puts them elsewhere, --phone takes them at its size. */
const run = async (): Promise<void> => {
  const args = process.argv.slice(2);
  const to = args.find((a) => a.startsWith('--to='))?.slice(5) ?? 'docs/screenshots';
  const phone = args.includes('--phone');
  const wanted = args.filter((a) => !a.startsWith('--'));
  const dataDir = await mkdtemp(join(tmpdir(), 'dusk-shots-'));
  let film = '';
  const running = await start(
    { host: '127.0.0.1', port: 0, dataDir, names: [], demo: true, webDir: resolve('dist/web') },
    pino({ level: 'warn' }),
    async (films) => {
      film = await films.importFile(demoFilm(), 'demo');
    },
  );
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update'],
  });
  await mkdir(to, { recursive: true });
  for (const shot of SHOTS.filter((s) => wanted.length === 0 || wanted.includes(s.name))) {
    const page = await browser.newPage({
      viewport: phone
        ? { width: 390, height: 844 }
        : { width: shot.width ?? 1280, height: shot.height ?? 800 },
    });
    page.on('console', (m) => {
      if (m.type() === 'error') console.error(`${shot.name}: ${m.text()}`);
    });
    page.on('pageerror', (e) => console.error(`${shot.name}: ${e.message}`));
    await page.addInitScript((theme) => localStorage.setItem('dusk-theme', theme), shot.theme ?? 'dusk');
    // What was flown teaches the kit: it comes only when its picture is taken, after all others.
    const id = shot.flown ? await running.films.importFile(flownDemoFilm(), 'demo') : film;
    await page.goto(running.address + (shot.path === '/' ? '/' : `/film/${id}${shot.path}`));
    await page
      .locator(shot.path === '' ? '.shot-card' : 'main')
      .first()
      .waitFor();
    await page.evaluate(() => document.fonts.ready);
    // Sentences come after the first view; a picture without them would show empty lines.
    if (shot.path !== '/')
      await page.waitForFunction(() => performance.getEntriesByName('messages').length > 0);
    if (shot.act) await shot.act(page);
    await page.waitForLoadState('networkidle');
    // A verdict is looked for beside the page; the picture shows what a person sees once it is there.
    await page.waitForFunction(() => !document.body.innerText.includes('Not known yet'));
    await page.mouse.move(0, 0);
    await page.evaluate(
      () =>
        new Promise((done) => {
          requestAnimationFrame(() => requestAnimationFrame(done));
        }),
    );
    await page.screenshot({ path: join(to, `${shot.name}.png`) });
    await page.close();
    console.log(`${to}/${shot.name}.png`);
  }
  await browser.close();
  await running.stop();
  await rm(dataDir, { recursive: true, force: true });
};

await run();

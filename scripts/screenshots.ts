import { mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '../demo';
import { flownDemoFilm } from '../demo/flown';
import { start, type Running } from '../server/start';
import { PICTURES, SHEETS, type Picture, type Sheet } from './pictures';

/** Lays pictures beside each other, each at half its size. */
const drawSheet = async (
  browser: Browser,
  { columns, parts }: Sheet,
  taken: ReadonlyMap<string, Buffer>,
  path: string,
): Promise<void> => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const pictures = parts.map(
    (name) => `<img src="data:image/png;base64,${taken.get(name)?.toString('base64') ?? ''}">`,
  );
  await page.setContent(
    `<!doctype html><style>body{margin:0;display:grid;grid-template-columns:repeat(${columns},1fr);gap:8px;background:#0d0b10}img{width:100%;display:block}</style>${pictures.join('')}`,
  );
  await page.locator('body').screenshot({ path });
  await page.close();
};

/** What a picture is taken with: the application, and the film the pictures are of. */
interface Studio {
  readonly browser: Browser;
  readonly running: Running;
  readonly film: string;
  /** Every picture at the size of a phone. */
  readonly phone: boolean;
}

const openPage = async ({ browser, running, film, phone }: Studio, picture: Picture): Promise<Page> => {
  const page = await browser.newPage({
    viewport: phone
      ? { width: 390, height: 844 }
      : { width: picture.width ?? 1280, height: picture.height ?? 800 },
  });
  page.on('console', (m) => {
    if (m.type() === 'error') console.error(`${picture.name}: ${m.text()}`);
  });
  page.on('pageerror', (e) => console.error(`${picture.name}: ${e.message}`));
  await page.addInitScript((theme) => localStorage.setItem('dusk-theme', theme), picture.theme ?? 'dusk');
  // What was flown teaches the kit: it comes only when its picture is taken, after all others.
  const copy = picture.flown ? flownDemoFilm() : picture.own ? demoFilm() : null;
  const id = copy ? await running.films.importFile(copy, 'demo') : film;
  await page.goto(running.address + (picture.path === '/' ? '/' : `/film/${id}${picture.path}`));
  await page
    .locator(picture.path === '' ? '.shot-card' : 'main')
    .first()
    .waitFor();
  await page.evaluate(() => document.fonts.ready);
  // Sentences come after the first view; a picture without them would show empty lines.
  if (picture.path !== '/')
    await page.waitForFunction(() => performance.getEntriesByName('messages').length > 0);
  return page;
};

/** @param path where it is kept by itself; null for a part of a sheet */
const take = async (studio: Studio, picture: Picture, path: string | null): Promise<Buffer> => {
  const page = await openPage(studio, picture);
  if (picture.act) await picture.act(page, studio.running);
  await page.waitForLoadState('networkidle');
  // A verdict is looked for beside the page; the picture shows what a person sees once it is there.
  await page.waitForFunction(() => !document.body.innerText.includes('Not known yet'));
  await page.waitForFunction(() => document.querySelector('[data-save]')?.textContent?.trim() !== 'saving');
  await page.mouse.move(0, 0);
  await page.evaluate(
    () =>
      new Promise((done) => {
        requestAnimationFrame(() => requestAnimationFrame(done));
      }),
  );
  const bytes = await page.screenshot(path ? { path } : {});
  await page.close();
  return bytes;
};

/** Pictures of the main views from the made-up film. Names on the command line choose some; --to puts them elsewhere, --phone takes them at its size. */
const run = async (): Promise<void> => {
  const args = process.argv.slice(2);
  const to = args.find((a) => a.startsWith('--to='))?.slice(5) ?? 'docs/screenshots';
  const wanted = args.filter((a) => !a.startsWith('--'));
  // A sheet that is asked for asks for its parts.
  const sheets = SHEETS.filter((s) => wanted.length === 0 || wanted.includes(s.name));
  const asked = new Set([...wanted, ...sheets.flatMap((s) => s.parts)]);
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
  const studio: Studio = { browser, running, film, phone: args.includes('--phone') };
  const taken = new Map<string, Buffer>();
  for (const picture of PICTURES.filter((p) => wanted.length === 0 || asked.has(p.name))) {
    const alone = !picture.part || wanted.includes(picture.name);
    const path = join(to, `${picture.name}.png`);
    taken.set(picture.name, await take(studio, picture, alone ? path : null));
    console.log(alone ? path : `part ${picture.name}`);
  }
  for (const sheet of sheets) {
    await drawSheet(browser, sheet, taken, join(to, `${sheet.name}.png`));
    console.log(`${to}/${sheet.name}.png`);
  }
  await browser.close();
  await running.stop();
  await rm(dataDir, { recursive: true, force: true });
};

await run();

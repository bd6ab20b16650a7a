import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type CDPSession, type Page } from '@playwright/test';
import pino from 'pino';
import { demoFilm } from '../../demo';
import { start } from '../../server/start';
import { pick, seeded } from '../attack/outcome';
import { manyShots } from './many-shots';

/** What a person does in an hour who does something every second. */
const ACTS = Number(process.env['DUSK_ACTS'] ?? 3600);
/** Told on the way so often. */
const TOLD = 6;
const VIEWS = ['v', 'l', 'm', 'o', 'i', 'f', 'c', 'd', 'a', 's'];

/** Memory the tab's process has to itself, its workers included, MB; only Linux tells it. */
const ownMb = async (pid: number): Promise<number> => {
  const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '');
  return Math.round(Number(/RssAnon:\s+(\d+) kB/.exec(status)?.[1]) / 1000);
};

/** What each worker holds after a collection, MB. */
const workers = async (page: CDPSession): Promise<string> => {
  const told: string[] = [];
  const open = new Map<string, string>();
  const answers = new Map<string, (result: { usedSize?: number }) => void>();
  page.on('Target.attachedToTarget', ({ sessionId, targetInfo }) => {
    open.set(sessionId, /([a-z]+)\.worker/.exec(targetInfo.url)?.[1] ?? targetInfo.title);
  });
  page.on('Target.receivedMessageFromTarget', ({ sessionId, message }) => {
    const { id, result } = JSON.parse(message) as { id?: number; result?: { usedSize?: number } };
    if (id === 2) answers.get(sessionId)?.(result ?? {});
  });
  await page.send('Target.setAutoAttach', {
    autoAttach: true,
    waitForDebuggerOnStart: false,
    flatten: false,
  });
  for (const [sessionId, name] of open) {
    const send = (id: number, method: string): Promise<unknown> =>
      page.send('Target.sendMessageToTarget', { sessionId, message: JSON.stringify({ id, method }) });
    await send(1, 'HeapProfiler.collectGarbage');
    const used = new Promise<{ usedSize?: number }>((done) => answers.set(sessionId, done));
    await send(2, 'Runtime.getHeapUsage');
    told.push(`${name} ${(((await used).usedSize ?? NaN) / 1e6).toFixed(0)} MB`);
  }
  return told.join(', ');
};

/** What is held, MB: of the page by itself, and of its whole process. */
const held = async (cdp: CDPSession, pid: number): Promise<string> => {
  for (let i = 0; i < 3; i += 1) await cdp.send('HeapProfiler.collectGarbage');
  const { metrics } = await cdp.send('Performance.getMetrics');
  const of = (name: string): number => metrics.find((m) => m.name === name)?.value ?? NaN;
  return `page ${(of('JSHeapUsedSize') / 1e6).toFixed(0)} MB, whole tab ${await ownMb(pid)} MB, ${of('Nodes')} nodes, ${of('JSEventListeners')} listeners`;
};

/** One thing somebody does, by keys as a person at the desk does them. */
const act = async (page: Page, random: () => number): Promise<void> => {
  const roll = random();
  const key = (name: string): Promise<void> => page.keyboard.press(name);
  if (roll < 0.1) {
    await key('g');
    await key(pick(random, VIEWS));
  } else if (roll < 0.2) {
    await key('g');
    await key('s');
    await page.locator('.shot-card').first().waitFor();
    await page.locator('.shot-list, .shots').first().hover();
    await page.mouse.wheel(0, Math.round((random() - 0.5) * 8000));
  } else if (roll < 0.3) {
    // Another view may come in meanwhile.
    const focused = await page
      .locator('.work [role=slider]')
      .nth(1)
      .focus({ timeout: 300 })
      .then(
        () => true,
        () => false,
      );
    if (focused) {
      for (let i = 0; i < 5; i += 1) await key(random() < 0.5 ? 'ArrowRight' : 'ArrowLeft');
      await key('Escape');
    }
  } else if (roll < 0.4) await key(pick(random, ['1', '2', '3']));
  else if (roll < 0.45) await key(pick(random, ['n', 'c']));
  else if (roll < 0.5) await key('Delete');
  else if (roll < 0.6) await key(random() < 0.7 ? 'Control+z' : 'Control+Shift+z');
  else await key(random() < 0.5 ? 'j' : 'k');
};

const dataDir = await mkdtemp(join(tmpdir(), 'dusk-hour-'));
const app = await start(
  { host: '127.0.0.1', port: 0, dataDir, names: [], demo: false, webDir: resolve('dist/web') },
  pino({ level: 'silent' }),
);
const film = await app.films.importFile({ ...demoFilm(), shots: manyShots(500) }, 'hour');
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
await page.addInitScript({ content: `localStorage.setItem('dusk-tour', 'seen');` });
const faults: string[] = [];
page.on('pageerror', (error) => faults.push(error.message));
await page.goto(`${app.address}/film/${film}/shots`);
await page.locator('.shot-card').first().waitFor();
const { processInfo } = await (await browser.newBrowserCDPSession()).send('SystemInfo.getProcessInfo');
const pids = processInfo.filter((p) => p.type === 'renderer').map((p) => p.id);
/** The page's own process is the largest of those that draw. */
const sizes = await Promise.all(pids.map(async (pid) => [await ownMb(pid), pid] as const));
const pid = sizes.sort((a, b) => b[0] - a[0])[0]?.[1] ?? 0;
const cdp = await page.context().newCDPSession(page);
await cdp.send('Performance.enable');
console.log(`500 shots, ${ACTS} random acts, what is held after a collection`);
console.log(`at first         ${await held(cdp, pid)}`);
const random = seeded(7);
for (let i = 1; i <= ACTS; i += 1) {
  await act(page, random);
  if (i % Math.ceil(ACTS / TOLD) === 0)
    console.log(`after ${String(i).padStart(5)}      ${await held(cdp, pid)}`);
}
console.log(`workers          ${await workers(cdp)}`);
console.log(`all collected    ${await held(cdp, pid)}`);
console.log(`errors on the page: ${faults.length}${faults[0] ? `, the first: ${faults[0]}` : ''}`);
await browser.close();
await app.stop();
await rm(dataDir, { recursive: true, force: true });

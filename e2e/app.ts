import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import pino from 'pino';
import type { FilmFile } from '@contract';
import { deriveFilm } from '../core/film/derive';
import type { DerivedFilm } from '@core/film';
import type { FilmInput } from '@core/model';
import { demoFilm } from '@demo';
import { start, type Running } from '../server/start';

interface Own {
  /** Whether it is served on the local network too. */
  lan: boolean;
  /** Whether this device has yet to see the tour. */
  tour: boolean;
  app: Running;
  film: string;
  bench: Bench;
}

/** The real application with a database of its own for each test, so that no journey finds what another left; in it the made-up film. */
export const test = base.extend<Own>({
  lan: [false, { option: true }],
  tour: [false, { option: true }],
  context: async ({ context, tour }, use) => {
    if (!tour) await context.addInitScript(() => localStorage.setItem('dusk-tour', 'seen'));
    await use(context);
  },
  app: async ({ lan }, use) => {
    const dataDir = await mkdtemp(join(tmpdir(), 'dusk-e2e-'));
    const app = await start(
      {
        host: '127.0.0.1',
        port: 0,
        dataDir,
        names: [],
        demo: false,
        webDir: resolve('dist/web'),
        lan,
        lanHost: '127.0.0.1',
      },
      pino({ level: 'silent' }),
    );
    await use(app);
    await app.stop();
    await rm(dataDir, { recursive: true, force: true });
  },
  film: async ({ app }, use) => {
    await use(await app.films.importFile(demoFilm(), 'e2e'));
  },
  bench: async ({ page, app, film }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource|ERR_INTERNET|net::ERR/.test(message.text()))
        faults.push(message.text());
    });
    await use(new Bench(page, app, film));
    expect(faults, 'errors on the page').toEqual([]);
  },
});

export { expect };

/** What a person sees and does on a film's pages. */
export class Bench {
  constructor(
    readonly page: Page,
    readonly app: Running,
    readonly film: string,
  ) {}

  async open(
    view:
      | ''
      | 'storyboard'
      | 'overview'
      | 'debrief'
      | 'rehearse'
      | 'ready'
      | 'brief'
      | 'locations'
      | 'map'
      | 'light'
      | 'flights'
      | 'checks'
      | 'calculators'
      | 'field'
      | 'footage'
      | 'kit' = '',
  ): Promise<void> {
    await this.page.goto(`${this.app.address}/film/${this.film}${view ? `/${view}` : ''}`);
    await expect(this.page.locator('main').first()).toBeVisible();
    // Checks at the fields come after the first view; until then only the server refuses.
    await this.page.waitForFunction(() => performance.getEntriesByName('checks').length > 0);
  }

  shot(title: string | RegExp): Locator {
    return this.page.locator('.shot-card', { hasText: title });
  }
  async pick(title: string): Promise<void> {
    await this.shot(title).click();
    await expect(this.title).toHaveValue(title);
  }
  get title(): Locator {
    return this.page.getByLabel('Title');
  }
  get verdict(): Locator {
    return this.page.locator('.verdict');
  }
  get titles(): Locator {
    return this.page.locator('.shot-card .title');
  }
  figure(id: string): Locator {
    return this.page.locator(`[data-figure=${id}] .value`);
  }
  async saved(): Promise<void> {
    await expect(this.page.locator('[data-save]')).toHaveText('saved');
  }

  /** Picks from one of the application's selects. */
  async choose(label: string, option: string | RegExp): Promise<void> {
    const wanted = this.page.getByRole(
      'option',
      typeof option === 'string' ? { name: option, exact: true } : { name: option },
    );
    // A list that is opened while another still closes may close with it: a person opens it again.
    await expect(async () => {
      if (!(await wanted.isVisible()))
        await this.page.getByRole('combobox', { name: label, exact: true }).click({ force: true });
      await wanted.click({ timeout: 5_000 });
    }).toPass();
  }

  /** Types a day (YYYY-MM-DD) or a minute (HH:mm) into a picker, as it is shown there. */
  async setWhen(label: string, value: string): Promise<void> {
    const field = this.page.getByLabel(label, { exact: true });
    const [y, m, d] = value.split('-').map(Number);
    const day = d ? new Date(Date.UTC(y!, m! - 1, d)) : null;
    const panel = this.page.locator('.el-picker-panel, .el-time-panel').locator('visible=true');
    // What is typed is read by the panel, which comes a moment after the field is entered.
    await field.click();
    await expect(panel).toHaveCount(1);
    await field.fill(
      day
        ? `${d} ${day.toLocaleDateString('en-GB', { month: 'short', timeZone: 'UTC' }).slice(0, 3)} ${y}`
        : value,
    );
    await field.press('Enter');
    await expect(panel).toHaveCount(0);
  }

  /** The film as stored, and everything the core works out from it. */
  async stored(): Promise<{ file: FilmFile; derived: DerivedFilm }> {
    const file = await this.app.films.exportFile(this.film);
    return { file, derived: deriveFilm(file as FilmInput) };
  }

  /**
   * @param practice whether the best-practice rules count too: one heading of the first level, everything in a region
   * @param coloursOnly where the same view has been looked at whole in the other theme
   */
  async accessible(coloursOnly = false, practice = false): Promise<void> {
    // What still fades has the colours of neither end.
    await this.page.evaluate(() =>
      Promise.allSettled(
        document
          .getAnimations()
          .filter((a) => a.effect?.getComputedTiming().endTime !== Infinity)
          .map((a) => a.finished),
      ).then(() => undefined),
    );
    const tags = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', ...(practice ? ['best-practice'] : [])];
    // No page here has frames, for which alone a second page would be opened; what passes is counted by nobody.
    const { violations } = await new AxeBuilder({ page: this.page })
      .setLegacyMode()
      .options({
        resultTypes: ['violations'],
        runOnly: coloursOnly ? { type: 'rule', values: ['color-contrast'] } : { type: 'tag', values: tags },
      })
      .analyze();
    expect(
      violations.map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 3)
            .join(' | ')} ${v.nodes[0]?.failureSummary ?? ''}`,
      ),
    ).toEqual([]);
  }
}

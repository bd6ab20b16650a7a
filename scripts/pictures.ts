import type { Page } from '@playwright/test';
import type { Running } from '../server/start';

/** A picture of one view of the made-up film. */
export interface Picture {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  /** The film after its first day. */
  readonly flown?: boolean;
  /** It changes the film: a copy of its own is opened for it. */
  readonly own?: true;
  readonly theme?: 'dusk' | 'noon';
  /** Only a part of a sheet of several. */
  readonly part?: true;
  readonly act?: (page: Page, app: Running) => Promise<void>;
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
    await page.locator('main').evaluate((e) => {
      e.scrollTo(0, 0);
    });
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
const cockpit = async (page: Page): Promise<void> => {
  await pick('Round the incline house')(page);
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  await page.locator('canvas').waitFor();
  await page.getByText('Ghost on the line').click();
  await page.getByRole('button', { name: 'Watch the line' }).click();
  await page.waitForFunction(
    () => Number.parseFloat(document.querySelector('.figures b')?.textContent ?? '') > 4,
  );
};

/** A shot flown by hand with one correction too many, and its marks. */
const marked = async (page: Page): Promise<void> => {
  await pick('Valley wakes')(page);
  await page.getByRole('link', { name: 'Rehearse' }).last().click();
  await page.locator('canvas').waitFor();
  await page.getByText('No wind').click();
  await page.getByRole('button', { name: 'Fly shot' }).click();
  await page.waitForFunction(
    () => Number.parseFloat(document.querySelector('.figures b')?.textContent ?? '') > 3,
  );
  for (const key of ['d', 'a']) await page.keyboard.press(key, { delay: 300 });
  await page.locator('.marks .mark b').waitFor({ timeout: 120_000 });
};

const drills = async (page: Page): Promise<void> => {
  await page.getByText('Drills', { exact: true }).click();
  await page.locator('[data-drill=push-tilt]').click();
};

const chance = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Chance shot' }).click();
  await page.getByRole('region', { name: 'What it takes away' }).waitFor();
  await page.locator('main').evaluate((e) => {
    e.scrollTo(0, 0);
  });
};

const dayChanged = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Day changed' }).click();
  await page.getByRole('dialog', { name: 'What changed' }).waitFor();
};

/** Landed after one take: what comes before the next flight. */
const landed = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Take off' }).click();
  await page.getByRole('button', { name: 'Recording?' }).click();
  await page.getByRole('button', { name: 'Good', exact: true }).click();
  await page.getByRole('button', { name: 'Landed' }).click();
  await page.getByLabel(/Charge at landing/).fill('55');
};

/** A disk that takes nothing any more while a title is changed. */
const fullDisk = async (page: Page, app: Running): Promise<void> => {
  await pick('Valley wakes')(page);
  await app.store.alone((writer) => writer.query('PRAGMA query_only = ON'));
  await page.getByLabel('Title').fill('Valley wakes late');
  await page.locator('[data-save]', { hasText: 'not stored' }).waitFor();
  await app.store.alone((writer) => writer.query('PRAGMA query_only = OFF'));
};

const backups = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Backups' }).click();
  await page.locator('.backups td').first().waitFor();
  await page.locator('.backups').evaluate((e) => {
    e.scrollIntoView();
  });
};

export const PICTURES: readonly Picture[] = [
  {
    name: 'start',
    path: '/',
    act: async (page) => {
      await page.getByRole('button', { name: 'Create film' }).waitFor();
    },
  },
  { name: 'backups', path: '/', part: true, act: backups },
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
    part: true,
    path: '/flights',
    act: async (page) => {
      await page.getByRole('button', { name: 'Plan the day' }).click();
      await page.getByRole('button', { name: 'Apply plan' }).waitFor();
      await page.locator('.apexcharts-series path').first().waitFor();
    },
  },
  {
    name: 'chances',
    part: true,
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
  {
    name: 'phone-field',
    path: '/field',
    part: true,
    width: 390,
    height: 844,
    act: flyingOf('Meadow to arches'),
  },
  {
    name: 'phone-noon',
    path: '/field',
    theme: 'noon',
    part: true,
    width: 390,
    height: 844,
    act: flyingOf('Meadow to arches'),
  },
  { name: 'phone-day', own: true, path: '/field', part: true, width: 390, height: 844, act: dayChanged },
  { name: 'phone-rehearse', path: '/rehearse', part: true, width: 390, height: 844 },
  { name: 'rehearse-dusk', path: '', part: true, act: cockpit },
  { name: 'rehearse-noon', path: '', theme: 'noon', part: true, act: cockpit },
  { name: 'rehearse-marks', own: true, path: '', part: true, act: marked },
  { name: 'rehearse-drills', path: '/rehearse', part: true, act: drills },
  { name: 'phone-shots', path: '', part: true, width: 390, height: 844 },
  { name: 'phone-chance', own: true, path: '/field', part: true, width: 390, height: 844, act: chance },
  { name: 'phone-landing', own: true, path: '/field', part: true, width: 390, height: 844, act: landed },
  { name: 'full-disk', own: true, path: '', part: true, act: fullDisk },
  // From here on the film has been flown.
  { name: 'footage', own: true, path: '/field', act: covered },
  { name: 'debrief', path: '/debrief', flown: true },
];

/** Several pictures on one. */
export interface Sheet {
  readonly name: string;
  readonly columns: number;
  readonly parts: readonly string[];
}

export const SHEETS: readonly Sheet[] = [
  {
    name: 'rehearse',
    columns: 2,
    parts: ['rehearse-dusk', 'rehearse-marks', 'rehearse-noon', 'rehearse-drills'],
  },
  { name: 'day-planned', columns: 2, parts: ['flights-proposal', 'chances'] },
  {
    name: 'phone',
    columns: 4,
    parts: ['phone-shots', 'phone-field', 'phone-chance', 'phone-day'],
  },
  {
    name: 'phone-sun',
    columns: 3,
    parts: ['phone-noon', 'phone-landing', 'phone-rehearse'],
  },
  { name: 'kept', columns: 2, parts: ['backups', 'full-disk'] },
];

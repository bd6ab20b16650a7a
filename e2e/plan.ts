import { expect, type Page } from '@playwright/test';

/** Hands on the plan: where a place of the ground lies on the screen is read off the plan's own pointer, as a person would. */
export class PlanHands {
  private constructor(
    private readonly page: Page,
    private readonly x0: number,
    private readonly y0: number,
    private readonly perM: number,
  ) {}

  static async on(page: Page): Promise<PlanHands> {
    await expect(page.locator('.canvas canvas').first()).toBeVisible();
    const box = await page.locator('.canvas').boundingBox();
    if (!box) throw new Error('no plan');
    const read = async (x: number, y: number): Promise<[number, number]> => {
      await page.mouse.move(x - 3, y);
      await page.mouse.move(x, y);
      const told = page.locator('.measure').filter({ hasText: /m (east|west)/ });
      await expect(told).toBeVisible();
      const [, across, side, up, way] =
        /([\d.]+) m (east|west), ([\d.]+) m (north|south)/.exec(
          (await told.textContent())?.replaceAll('\u2009', ' ').replaceAll('\u202f', ' ') ?? '',
        ) ?? [];
      return [Number(across) * (side === 'west' ? -1 : 1), Number(up) * (way === 'south' ? -1 : 1)];
    };
    const [ax, ay] = [box.x + 150, box.y + 120];
    const [bx, by] = [box.x + box.width - 150, box.y + box.height - 120];
    const [a, b] = [await read(ax, ay), await read(bx, by)];
    const perM = (bx - ax) / (b[0] - a[0]);
    return new PlanHands(page, ax - a[0] * perM, ay + a[1] * perM, perM);
  }

  at(xM: number, yM: number): [number, number] {
    return [this.x0 + xM * this.perM, this.y0 - yM * this.perM];
  }
  async click(xM: number, yM: number): Promise<void> {
    await this.page.mouse.click(...this.at(xM, yM));
  }
  /** Clicks corners one after another and ends the drawing with Enter. */
  async draw(...corners: readonly (readonly [number, number])[]): Promise<void> {
    for (const [x, y] of corners) {
      await this.page.mouse.move(...this.at(x, y));
      await this.page.mouse.click(...this.at(x, y), { delay: 30 });
    }
    await this.page.keyboard.press('Enter');
  }
  async drag(from: readonly [number, number], to: readonly [number, number]): Promise<void> {
    await this.page.mouse.move(...this.at(...from));
    await this.page.mouse.down();
    const [tx, ty] = this.at(...to);
    await this.page.mouse.move(tx - 9, ty - 9, { steps: 6 });
    await this.page.mouse.move(tx, ty, { steps: 4 });
    await this.page.mouse.up();
  }
}

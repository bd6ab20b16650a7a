import { expect, it, vi } from 'vitest';
import { demoFilm } from '../../demo';
import { vec } from '@core/geometry';
import type { PlaceJob, SiteWorker } from './site.worker';

const shown = vi.hoisted(() => ({ api: null as SiteWorker | null }));
vi.mock('comlink', () => ({
  expose: (api: SiteWorker) => {
    shown.api = api;
  },
  transfer: (x: unknown) => x,
}));
await import('./site.worker');

const CELLS = 700;
const { film, locations, kit } = demoFilm();
const job = {
  film,
  location: locations[0],
  subjects: [],
  features: [],
  shots: [],
  aircraft: kit.aircraft,
  groundKey: 'hills',
} as unknown as PlaceJob;

it('a seen area tells how far it is, answers others meanwhile, and gives nothing once it is left or asked for anew', async () => {
  const site = shown.api!;
  site.addGround('hills', {
    columns: CELLS,
    rows: CELLS,
    cellM: 4,
    westM: -CELLS * 2,
    southM: -CELLS * 2,
    heights: Float32Array.from(
      { length: CELLS * CELLS },
      (_, i) => 900 + 20 * Math.sin(i / 9) * Math.cos(i / (CELLS * 11)),
    ),
  });
  const told: number[] = [];
  const seen = (done: (share: number) => void) => site.seen(job, vec(0, 0, 0), 40, 1_000, done);
  const whole = await seen((share) => told.push(share));
  expect(whole?.cells).toHaveLength(CELLS * CELLS);
  expect(told.length).toBeGreaterThan(0);
  expect(told).toEqual([...told].sort((a, b) => a - b));
  // Left at its first word: it is not worked out to its end.
  await expect(
    seen(() => {
      site.leaveSeen();
    }),
  ).resolves.toBeNull();
  const [older, newer] = await Promise.all([seen(() => undefined), seen(() => undefined)]);
  expect(older).toBeNull();
  expect(newer?.seenShare).toBe(whole?.seenShare);
});

import { readFile } from 'node:fs/promises';
import { expect, test } from './app';

test('documents are saved under the film’s name, a clip name reaches the timeline, and the view is accessible', async ({
  page,
  bench,
  app,
}) => {
  const { derived } = await bench.stored();
  const { shot: first } = derived.shots.get(derived.order[0]!)!.facts;
  await bench.open('field');
  // A take is noted as a phone would send it.
  await app.store.apply({
    batch: '11111111-1111-4111-8111-111111111111',
    device: 'e2e',
    changes: [
      {
        kind: 'take',
        id: '22222222-2222-4222-8222-222222222222',
        version: 0,
        value: {
          id: '22222222-2222-4222-8222-222222222222',
          locationId: first.locationId,
          shotId: first.id,
          utcMs: Date.UTC(2027, 4, 14, 5, 10),
          rating: 'good',
          reason: null,
          reversed: false,
          aircraftId: null,
          packId: null,
          cardId: null,
          clip: '',
          notes: '',
        },
      },
    ],
  });
  await bench.open('footage');
  await expect(page.getByRole('heading', { name: 'Clips by shot' })).toBeVisible();
  await page.getByLabel('Clip of take 1 of shot 1').fill('DUSK_0042.MP4');
  await bench.saved();
  await bench.accessible();
  const saved = async (name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Save ${name}`, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^The Valdegris line /);
    return readFile(await download.path());
  };
  const timeline = (await saved('Timeline')).toString('utf8');
  expect(timeline).toContain('"target_url": "DUSK_0042.MP4"');
  expect((await saved('Call sheet')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await saved('Takes')).toString('utf8')).toContain('DUSK_0042.MP4');
  await page.route('**/documents/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Save Shot list' }).click();
  await expect(page.getByRole('alert')).toContainText('No answer from the application.');
});

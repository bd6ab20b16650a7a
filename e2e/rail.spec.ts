import { expect, test } from './app';

test('on the bench, too, a shot is dragged from its pack onto another, with what that pack would land with shown', async ({
  page,
  bench,
}) => {
  await bench.open();
  const rail = page.getByRole('region', { name: 'Pack rail' });
  const { file, derived } = await bench.stored();
  const place = [...derived.places.values()][1]!;
  const nameOf = (id: string | null): string => file.kit.packs.find((p) => p.id === id)!.name;
  const [from, to] = ['P2', 'P1'].map((name) =>
    place.flights.filter((f) => nameOf(f.packId) === name).at(-1)!,
  );
  const shotId = from!.stops.at(-1)!.shotId;
  await page.keyboard.press(']');
  const grip = rail.locator(`[data-shot="${shotId}"]`);
  const stand = rail.locator('[data-stand="P1 \u21bb"]');
  // Dragging comes after the first view, and the rail is drawn anew when the location changes: it is taken hold of when it rests.
  await expect(bench.verdict).not.toContainText('Not known yet');
  await expect(grip).toHaveAttribute('draggable', 'true');
  await grip.hover();
  const [a, b] = [(await grip.boundingBox())!, (await stand.boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(a.x + a.width / 2 + 8, a.y + a.height / 2 + 2);
  await page.mouse.move(b.x + b.width / 2, b.y + b.height - 60, { steps: 6 });
  await expect(async () => {
    for (const up of [60, 59]) await page.mouse.move(b.x + b.width / 2, b.y + b.height - up);
    await expect(stand.locator('.would')).toHaveText(/\d+ %|Wh/, { timeout: 2_000 });
  }).toPass();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height - 58);
  await page.mouse.up();
  await bench.saved();
  const after = await bench.stored();
  expect(
    after.derived.places.get(place.location.id)!.flights.map((f) => f.stops.map((s) => s.shotId)),
  ).toContainEqual([...to!.stops.map((s) => s.shotId), shotId]);
  await page.keyboard.press('Control+z');
  await bench.saved();
  expect((await bench.stored()).file.flights).toEqual([]);
});

import { ASPECTS } from '@core/model';
import { expect, it } from 'vitest';
import { pictureSize } from './size';

it('a preview film has even sides, the longer one as asked, and the shape of the cut to a pixel or two', () => {
  for (const aspect of ASPECTS)
    for (const longPx of [640, 960, 1280, 1920]) {
      const { width, height } = pictureSize(aspect, longPx);
      expect([width % 2, height % 2]).toEqual([0, 0]);
      expect(Math.max(width, height)).toBe(longPx);
      const [w, h] = aspect.split(':').map(Number) as [number, number];
      expect(Math.abs(width * h - height * w)).toBeLessThanOrEqual(2 * Math.max(w, h));
    }
  expect(pictureSize('9:16', 960)).toEqual({ width: 540, height: 960 });
});

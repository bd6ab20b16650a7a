import { roundBar, type DrawingWords } from '@core/drawing';
import type { UnitSystem } from '@core/units';
import { fixed, phrase } from '../format';

/** What stands in drawings on paper, in the language of the interface and the units of the film. */
export const drawingWords = (units: UnitSystem): DrawingWords => ({
  launch: phrase('launch'),
  bar: (spanM) => {
    const { lengthM, shown, unit } = roundBar(spanM, units);
    return { lengthM, text: `${fixed(shown, shown < 1 ? 1 : 0)} ${unit}` };
  },
});

import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { FONTS, inScript } from './script-fonts';

interface Font {
  hasGlyphForCodePoint(codePoint: number): boolean;
}
/** The reader of fonts the writer of documents uses itself. */
const { openSync } = createRequire(import.meta.url)('fontkit') as { openSync: (path: string) => Font };
const fonts = new Map<string, Font>();
const fontOf = (face: string): Font => {
  const known = fonts.get(face) ?? openSync(FONTS[face as keyof typeof FONTS].normal);
  fonts.set(face, known);
  return known;
};

interface Run {
  readonly text: string;
  readonly font?: string;
}
const runsOf = (text: string): readonly Run[] => {
  const content = inScript(text) as string | { readonly text: readonly Run[] };
  return typeof content === 'string' ? [{ text: content }] : content.text;
};
/** Signs that would be drawn as an empty box. */
const missingIn = (text: string): string[] =>
  runsOf(text).flatMap((run) =>
    [...run.text].filter(
      (sign) => !fontOf(run.font ?? 'Archivo').hasGlyphForCodePoint(sign.codePointAt(0) ?? 0),
    ),
  );

describe('text of any script', () => {
  it.each([
    ['English', 'The bridge at dusk – “first” light, 12.5 m/s, 45°, f/2.8, ½'],
    ['German', 'Brücke im Abendlicht: „Übergang“, größer, Straße'],
    ['Polish', 'Zażółć gęślą jaźń'],
    ['Vietnamese', 'Cầu lúc hoàng hôn'],
    ['Russian', 'Мост на закате'],
    ['Greek', 'Η γέφυρα στο ηλιοβασίλεμα'],
    ['Hindi', 'पुल सूर्यास्त के समय'],
    ['Thai', 'สะพานยามเย็น'],
    ['Korean', '저녁 다리 위의 기차'],
    ['Japanese', '夕暮れの橋、朝の光をたどるドローン'],
    ['Chinese', '日落时的桥（第一天）：从东向西飞行'],
    ['Arabic', 'جسر عند الغروب'],
    ['Hebrew', 'גשר בשקיעה'],
  ])('%s is drawn in faces that have its signs, and no sign is lost', (_, text) => {
    expect(missingIn(text)).toEqual([]);
    const signs = (of: string): string => [...of.replaceAll(' ', '')].sort().join('');
    expect(
      signs(
        runsOf(text)
          .map((r) => r.text)
          .join(''),
      ),
    ).toBe(signs(text));
  });
  it('draws the signs two languages share as the text around them draws them', () => {
    const faces = (text: string) => new Set(runsOf(text).map((r) => r.font));
    expect(faces('橋の上')).toEqual(new Set(['Japanese']));
    expect(faces('桥上')).toEqual(new Set(['Han']));
  });
});

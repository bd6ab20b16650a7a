import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Content } from 'pdfmake/interfaces';

const packages = createRequire(import.meta.url);
const file = (name: string, part: string, weight = 400): string =>
  join(
    dirname(packages.resolve(`@fontsource/${name}/package.json`)),
    'files',
    `${name}-${part}-${weight}-normal.woff`,
  );

const face = (name: string, part: string, bold = 700) => ({
  normal: file(name, part),
  bold: file(name, part, bold),
  italics: file(name, part),
  bolditalics: file(name, part, bold),
});

/** Scripts of many signs, in one weight: their packages hold a hundred files for the web, of which paper needs one. */
const kept = (script: string) => {
  const path = fileURLToPath(new URL(`./fonts/noto-sans-${script}.woff`, import.meta.url));
  return { normal: path, bold: path, italics: path, bolditalics: path };
};

/** Faces by name; each has the signs of one script. */
export const FONTS = {
  Archivo: face('archivo', 'latin'),
  ArchivoExt: face('archivo', 'latin-ext'),
  Vietnamese: face('archivo', 'vietnamese'),
  Cyrillic: face('noto-sans', 'cyrillic'),
  Greek: face('noto-sans', 'greek'),
  Devanagari: face('noto-sans', 'devanagari'),
  Arabic: face('noto-sans-arabic', 'arabic'),
  Hebrew: face('noto-sans-hebrew', 'hebrew'),
  Thai: kept('thai'),
  Hangul: kept('korean'),
  Japanese: kept('japanese'),
  Han: kept('chinese-simplified'),
};
type Face = keyof typeof FONTS;

const SCRIPTS: readonly (readonly [RegExp, Face])[] = [
  [/\p{Script=Cyrillic}/u, 'Cyrillic'],
  [/\p{Script=Greek}/u, 'Greek'],
  [/\p{Script=Devanagari}/u, 'Devanagari'],
  [/\p{Script=Arabic}/u, 'Arabic'],
  [/\p{Script=Hebrew}/u, 'Hebrew'],
  [/\p{Script=Thai}/u, 'Thai'],
  [/\p{Script=Hangul}/u, 'Hangul'],
  [/\p{Script=Hiragana}|\p{Script=Katakana}|[\u30fc]/u, 'Japanese'],
  [/\p{Script=Han}|[\u3000-\u303f\uff00-\uffef]/u, 'Han'],
  [/[\u01a0\u01a1\u01af\u01b0\u1ea0-\u1ef9\u20ab]/u, 'Vietnamese'],
  [/[\u0100-\u0130\u0132-\u0151\u0154-\u02ba\u1e00-\u1eff]/u, 'ArchivoExt'],
];
const RIGHT_TO_LEFT = /\p{Script=Arabic}|\p{Script=Hebrew}/u;

/** Han signs are drawn as the text around them draws them: where kana stands among them, as in Japanese. */
const KANA = /\p{Script=Hiragana}|\p{Script=Katakana}/u;

/** The face that has a sign; a mark stays with the letter it stands on, spaces and stops are in the first face. */
const faceOf = (sign: string, before: Face, han: Face): Face => {
  const own = SCRIPTS.find(([script]) => script.test(sign))?.[1];
  if (own) return own === 'Han' ? han : own;
  return /\p{M}/u.test(sign) ? before : 'Archivo';
};

/** Words of a right-to-left line in the order in which they are drawn from the left; each word is shaped by its own face. */
const drawnOrder = (text: string): string => {
  const strong = text.match(/\p{L}/gu) ?? [];
  const rightToLeft = strong.filter((s) => RIGHT_TO_LEFT.test(s)).length > strong.length / 2;
  return rightToLeft ? text.split(' ').reverse().join(' ') : text;
};

/** Text as runs, each in a face that has its signs, whatever script it is written in. */
export const inScript = (text: string): Content => {
  const runs: { text: string; font: Face }[] = [];
  const han: Face = KANA.test(text) ? 'Japanese' : 'Han';
  let before: Face = 'Archivo';
  for (const sign of drawnOrder(text)) {
    const font = faceOf(sign, before, han);
    const last = runs.at(-1);
    if (last?.font === font) last.text += sign;
    else runs.push({ text: sign, font });
    before = font;
  }
  return runs.length === 1 && runs[0]?.font === 'Archivo' ? runs[0].text : { text: runs };
};

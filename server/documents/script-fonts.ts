import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
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

/** Faces by name; each has the signs of one script. */
export const FONTS = {
  Archivo: face('archivo', 'latin'),
  ArchivoExt: face('archivo', 'latin-ext'),
  Cyrillic: face('noto-sans', 'cyrillic'),
  Greek: face('noto-sans', 'greek'),
  Devanagari: face('noto-sans', 'devanagari'),
  Arabic: face('noto-sans-arabic', 'arabic'),
  Hebrew: face('noto-sans-hebrew', 'hebrew'),
};
type Face = keyof typeof FONTS;

const SCRIPTS: readonly (readonly [RegExp, Face])[] = [
  [/\p{Script=Cyrillic}/u, 'Cyrillic'],
  [/\p{Script=Greek}/u, 'Greek'],
  [/\p{Script=Devanagari}/u, 'Devanagari'],
  [/\p{Script=Arabic}/u, 'Arabic'],
  [/\p{Script=Hebrew}/u, 'Hebrew'],
  [/[\u0100-\u0130\u0132-\u0151\u0154-\u02ba\u1e00-\u1eff]/u, 'ArchivoExt'],
];
const RIGHT_TO_LEFT = /\p{Script=Arabic}|\p{Script=Hebrew}/u;

/** The face that has a sign; a mark stays with the letter it stands on, spaces and stops are in the first face. */
const faceOf = (sign: string, before: Face): Face => {
  const own = SCRIPTS.find(([script]) => script.test(sign))?.[1];
  if (own) return own;
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
  let before: Face = 'Archivo';
  for (const sign of drawnOrder(text)) {
    const font = faceOf(sign, before);
    const last = runs.at(-1);
    if (last?.font === font) last.text += sign;
    else runs.push({ text: sign, font });
    before = font;
  }
  return runs.length === 1 && runs[0]?.font === 'Archivo' ? runs[0].text : { text: runs };
};

import type { LineDrawing } from '@core/drawing';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Paper } from './names';
import type { Printed } from './printed';
import { FONTS, inScript } from './script-fonts';

pdfmake.addFonts(FONTS);
// Only the fonts of the application: nothing in a document is fetched from anywhere.
pdfmake.setUrlAccessPolicy(() => false);
const faces = new Set(Object.values(FONTS).flatMap((f) => Object.values(f)));
pdfmake.setLocalAccessPolicy((path) => faces.has(path));

/** A drawing in black on white, as SVG. */
export const drawn = ({ width, height, strong, weak, filled, words }: LineDrawing): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">` +
  `<path d="${weak}" fill="none" stroke="#777" stroke-width="0.7"/>` +
  `<path d="${strong}" fill="none" stroke="#000" stroke-width="1.1"/>` +
  `<path d="${filled}" fill="#000"/>` +
  words
    .map(({ at, text }) => `<text x="${at.x}" y="${at.y}" font-size="7" font-family="Archivo">${text}</text>`)
    .join('') +
  '</svg>';

/** A small heading with what stands under it, for a grid of facts. */
export const fact = (label: string, value: string): Content => ({
  stack: [{ text: label, style: 'label' }, { text: [inScript(value)] }],
  margin: [0, 0, 0, 4],
});

/** Text of a cell that a person wrote. */
export const own = (text: string, style?: string): Content => ({
  text: [inScript(text)],
  ...(style ? { style } : {}),
});

/** Heads of a table's columns. */
export const heads = (...names: string[]): Content[] => names.map((text) => ({ text, style: 'head' }));

const HEADINGS: ReadonlySet<string> = new Set(['heading', 'shot']);

/**
 * A document of the application: its heading on the first page, page numbers and the film's name on each.
 * @param title what the document is
 */
export const document = (
  { input, voice }: Printed,
  title: string,
  paper: Paper,
  content: Content[],
  landscape = false,
): TDocumentDefinitions => ({
  language: voice.language,
  pageSize: paper,
  pageOrientation: landscape ? 'landscape' : 'portrait',
  pageMargins: [36, 40, 36, 44],
  info: { title: `${input.film.name}: ${title}`, creator: 'Dusk Slate', producer: 'Dusk Slate' },
  defaultStyle: { font: 'Archivo', fontSize: 9, lineHeight: 1.15 },
  styles: {
    title: { fontSize: 18, bold: true },
    heading: { fontSize: 12, bold: true, margin: [0, 10, 0, 4] },
    number: { fontSize: 15, bold: true },
    shot: { fontSize: 10.5, bold: true },
    label: { fontSize: 7, color: '#444' },
    quiet: { color: '#444' },
    head: { bold: true, fontSize: 8 },
  },
  // A heading goes over the page with what it is the heading of.
  pageBreakBefore: (node, nodes) =>
    HEADINGS.has(String(node.style)) && !nodes.getFollowingNodesOnPage().some(({ text }) => text),
  content: [
    { text: title, style: 'title' },
    { text: [inScript(input.film.name)], style: 'quiet', margin: [0, 0, 0, 8] },
    ...content,
  ],
  footer: (page, pages) => ({
    margin: [36, 14, 36, 0],
    columns: [
      { text: [inScript(input.film.name)], style: 'label' },
      { text: voice.say('pageOf', { title, page, pages }), alignment: 'right', style: 'label' },
    ],
  }),
});

/** Writes a document. */
export const pdfOf = (definition: TDocumentDefinitions): Promise<Buffer> =>
  pdfmake.createPdf(definition).getBuffer();

/** Sentences are filled under these names with words of the core, not with what a person wrote. */
const WORDS = new Set([
  'advice',
  'chosen',
  'feel',
  'handling',
  'label',
  'spot',
  'sticks',
  'toLowerCase',
  'unit',
  'USE_WORD',
]);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * What a text that fills a sentence is in another language: a word of the core is translated, what a person wrote is not.
 * @param phrase a word of the core in that language; the word itself where it has none
 */
export const wordIn =
  (phrase: (english: string) => string) =>
  (name: string, text: string): string => {
    if (!WORDS.has(name)) return text;
    const said = phrase(text);
    if (said !== text) return said;
    // A name that stands small within a sentence is kept as it begins one.
    const begun = phrase(capital(text));
    return begun === capital(text) ? text : begun;
  };

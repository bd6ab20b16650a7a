import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';

/** What a clip's name can be made of. */
export const CLIP_WORDS = ['film', 'place', 'shot', 'title', 'take', 'date', 'card', 'n'] as const;
export type ClipWord = (typeof CLIP_WORDS)[number];

export type ClipParts = Readonly<Record<ClipWord, string>>;

/** Longest name that every file system takes, with room for an ending. */
const LONGEST = 120;

/** A piece of a name without what a file system or a shell would trip over: letters, digits, dash; spaces become dashes. */
const tame = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');

/** Words in braces of a template, in order. @returns the reason where one is unknown, or a brace stands alone */
export const wordsOf = (template: string): Result<ClipWord[], Message> => {
  const words: ClipWord[] = [];
  const rest = template.replace(/\{([^{}]*)\}/g, (_, word: string) => {
    words.push(word as ClipWord);
    return '';
  });
  const strange = words.find((w) => !CLIP_WORDS.includes(w));
  if (strange !== undefined)
    return none(
      message('clip.name.unknown', {
        word: `{${strange}}`,
        words: CLIP_WORDS.map((w) => `{${w}}`).join(' '),
      }),
    );
  if (/[{}]/.test(rest)) return none(message('clip.name.brace'));
  if (!words.some((w) => w === 'take' || w === 'n'))
    return none(message('clip.name.same', { take: '{take}', n: '{n}' }));
  return found(words);
};

/**
 * Name of a clip without its ending. What is empty leaves no double sign behind.
 * @returns the reason where the template cannot be used
 */
export const clipName = (template: string, parts: ClipParts): Result<string, Message> => {
  const words = wordsOf(template);
  if (!words.ok) return words;
  const filled = template.replace(/\{([^{}]*)\}/g, (_, word: string) => tame(parts[word as ClipWord]));
  const name = filled
    .replace(/[\\/:*?"<>|\s\p{Cc}]+/gu, '-')
    .replace(/([-_.])[-_.]*/g, '$1')
    .replace(/^[-_.]+|[-_.]+$/g, '')
    .slice(0, LONGEST);
  return name === '' ? none(message('clip.name.empty')) : found(name);
};

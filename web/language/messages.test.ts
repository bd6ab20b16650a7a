import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { IntlMessageFormat } from 'intl-messageformat';
import { describe, expect, it } from 'vitest';

const WEB = join(import.meta.dirname, '..');
const files = readdirSync(WEB, { recursive: true, encoding: 'utf8' });
const rooms = files
  .filter((f) => f.endsWith(join('messages', 'en.ts')))
  .map((f) => join(f, '..', '..'))
  .sort();

type Texts = Readonly<Record<string, string>>;
const english = async (room: string): Promise<Texts> =>
  ((await import(join(WEB, room, 'messages/en.ts'))) as { EN: Texts }).EN;
const german = async (room: string): Promise<Texts> =>
  ((await import(join(WEB, room, 'messages/de.ts'))) as { default: Texts }).default;

interface Node {
  readonly type: number;
  readonly value: string;
  readonly options?: Readonly<Record<string, { readonly value: readonly Node[] }>>;
}
/** Names a text is filled with. */
const namesIn = (text: string): string[] => {
  const walk = (nodes: readonly Node[]): string[] =>
    nodes.flatMap((n) => [
      ...(n.type === 0 || n.type === 7 ? [] : [n.value]),
      ...Object.values(n.options ?? {}).flatMap((o) => walk(o.value)),
    ]);
  const parsed = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true }).getAst();
  return [...new Set(walk(parsed as unknown as Node[]))].sort();
};

/** Sources of a room, those of rooms inside it left out. */
const sourcesOf = (room: string): string =>
  files
    .filter((f) => /\.(vue|ts)$/.test(f) && !f.includes(`messages/`) && !f.endsWith('.test.ts'))
    .filter((f) => {
      const home = rooms.filter((r) => f.startsWith(`${r}/`)).sort((a, b) => b.length - a.length)[0];
      return home === room;
    })
    .map((f) => readFileSync(join(WEB, f), 'utf8'))
    .join('\n');

describe('the texts of the interface', () => {
  it('are in rooms', () => {
    expect(rooms.length).toBeGreaterThan(20);
  });

  it.each(rooms)('%s says in German what it says in English, filled with the same', async (room) => {
    const [en, de] = [await english(room), await german(room)];
    expect(Object.keys(de).sort()).toEqual(Object.keys(en).sort());
    for (const [key, text] of Object.entries(en)) {
      expect(namesIn(de[key] ?? ''), `${room}: ${key}`).toEqual(namesIn(text));
      expect(de[key]?.trim(), `${room}: ${key}`).not.toBe('');
    }
  });

  it.each(rooms)('%s has no text that nobody shows', async (room) => {
    const source = sourcesOf(room);
    // Keys that are put together have their beginning in the source.
    const shown = (key: string): boolean =>
      source.includes(`'${key}'`) ||
      (key.includes('.') && source.includes(`'${key.slice(0, key.indexOf('.'))}'`)) ||
      (key.includes('.') && source.includes(`\`${key.slice(0, key.indexOf('.') + 1)}$`)) ||
      (/^(front|side|back)Light$/.test(key) && source.includes('Light`)')) ||
      /^(metric|imperial)$/.test(key);
    expect(Object.keys(await english(room)).filter((key) => !shown(key))).toEqual([]);
  });

  it('claim nowhere that a flight is legal, allowed or safe', async () => {
    const denied = /Nothing (here )?says that|Nichts hier sagt/;
    for (const room of rooms)
      for (const [key, text] of [
        ...Object.entries(await english(room)),
        ...Object.entries(await german(room)),
      ])
        if (!denied.test(text))
          expect(text, `${relative(WEB, room)}: ${key}`).not.toMatch(
            /\b(is|are|ist|sind) (legal|allowed|safe|permitted|erlaubt|sicher|zulässig)\b/i,
          );
  });

  // The compiler drops the space an element begins with: words before it and in it would run together.
  it('do not run together where one goes on in an element', () => {
    for (const file of files.filter((f) => f.endsWith('.vue')))
      expect(
        readFileSync(join(WEB, file), 'utf8').match(/\}\}<\w+\b[^<>]*>\s+\{\{ ?[^`\s]/g),
        file,
      ).toBeNull();
  });
});

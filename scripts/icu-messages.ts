import { parse } from '@formatjs/icu-messageformat-parser';
import ts from 'typescript';
import type { Plugin } from 'vite';

const MESSAGES = /\/messages\/(en|de|de\/sentences)\.ts$/;
/** What makes a sentence more than its own text. */
const SYNTAX = /[{}']/;

const literals = (node: ts.Node, found: ts.StringLiteralLike[] = []): ts.StringLiteralLike[] => {
  if (ts.isPropertyAssignment(node) && ts.isStringLiteralLike(node.initializer)) found.push(node.initializer);
  ts.forEachChild(node, (child) => void literals(child, found));
  return found;
};

/** Sentences with plurals, choices and names are parsed at build time: the page carries no parser. */
export const icuMessages = (): Plugin => ({
  name: 'dusk-icu-messages',
  enforce: 'pre',
  config: () => ({
    resolve: {
      alias: [
        {
          find: '@formatjs/icu-messageformat-parser',
          replacement: '@formatjs/icu-messageformat-parser/no-parser.js',
        },
      ],
    },
  }),
  transform: (code, id) => {
    if (!MESSAGES.test(id)) return null;
    const texts = literals(ts.createSourceFile(id, code, ts.ScriptTarget.Latest, true));
    const parsed = texts
      .filter((t) => SYNTAX.test(t.text))
      .reduceRight(
        (out, t) =>
          out.slice(0, t.getStart()) + JSON.stringify(parse(t.text, { ignoreTag: true })) + out.slice(t.end),
        code,
      );
    return { code: parsed, map: null };
  },
});

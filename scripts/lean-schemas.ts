import ts from 'typescript';
import type { Plugin } from 'vite';

const MODEL = /\/core\/model\/[^/]+\.ts$/;

const descriptions = (node: ts.Node, found: ts.PropertyAssignment[] = []): ts.PropertyAssignment[] => {
  if (
    ts.isPropertyAssignment(node) &&
    node.name.getText() === 'description' &&
    ts.isStringLiteralLike(node.initializer)
  )
    found.push(node);
  ts.forEachChild(node, (child) => void descriptions(child, found));
  return found;
};

/** What a schema says about its fields is for readers of the interface description; the page has its own help. */
export const leanSchemas = (): Plugin => ({
  name: 'dusk-lean-schemas',
  apply: 'build',
  enforce: 'pre',
  transform: (code, id) => {
    if (!MODEL.test(id)) return null;
    const lean = descriptions(ts.createSourceFile(id, code, ts.ScriptTarget.Latest, true)).reduceRight(
      (out, d) => `${out.slice(0, d.initializer.getStart())}undefined${out.slice(d.initializer.end)}`,
      code,
    );
    return { code: lean, map: null };
  },
});

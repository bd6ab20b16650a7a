import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { IntlMessageFormat } from 'intl-messageformat';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { SCHEMAS } from '../model';
import { MOVES } from '../moves';
import { AIDS } from '../aids';
import { WISHES } from '../light';
import { FEATURE_KINDS } from '../site';
import { HANDOVER_TABLES } from '../handover';
import { AIRCRAFT_CLASSES, FILM_TEMPLATES } from '../starters';
import { LEVEL_WORDS } from '../pilot';
import { Reached } from '../testing';
import { DE, PHRASES } from './de';
import { createFormatter, EN, listed, measured, message, messageKey, plainText, wordIn, yesNo } from '.';

const CORE = join(import.meta.dirname, '..');
const sources = [
  ...readdirSync(CORE, { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.startsWith('messages'),
  ),
  // What is wrong with a field is said by the contract, with a file of heights by who reads it.
  '../contract/faults.ts',
  '../web/exchange/heights/read.ts',
  '../web/exchange/heights/tiff.ts',
];

interface Use {
  readonly file: string;
  /** Words in the code that a sentence is filled with, by the name they are filled in under. */
  readonly words: readonly (readonly [name: string, word: string])[];
  /** Code, or the pattern of one that is put together. */
  readonly code: RegExp;
  /** Names of what is filled in; null where they are not spelled out. */
  readonly names: readonly string[] | null;
}

const patternOf = (node: ts.Expression): RegExp | null => {
  if (ts.isStringLiteral(node)) return new RegExp(`^${escape(node.text)}$`);
  if (!ts.isTemplateExpression(node)) return null;
  const parts = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)];
  return new RegExp(`^${parts.map(escape).join('.+')}$`);
};
const escape = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Conditions and messages within are no words of the sentence they stand in. */
const IS_SAID = /^(message|measured|plainText|yesNo|onDay)$/;
const COMPARES = new Set([ts.SyntaxKind.EqualsEqualsEqualsToken, ts.SyntaxKind.ExclamationEqualsEqualsToken]);
const wordsIn = (node: ts.Node): string[] => {
  if (ts.isBinaryExpression(node) && COMPARES.has(node.operatorToken.kind)) return [];
  if (ts.isCallExpression(node) && IS_SAID.test(node.expression.getText())) return [];
  if (ts.isElementAccessExpression(node)) return [];
  const own =
    ts.isStringLiteral(node) ||
    ts.isTemplateHead(node) ||
    ts.isTemplateMiddle(node) ||
    ts.isTemplateTail(node)
      ? [node.text]
      : [];
  const within: string[] = [];
  ts.forEachChild(node, (child) => void within.push(...wordsIn(child)));
  return [...own, ...within].filter((text) => /(^|[^{a-z])[a-z]{2}/i.test(text.replace(/UTC|ISO/, '')));
};

const usesIn = (file: string): Use[] => {
  const source = ts.createSourceFile(
    file,
    readFileSync(join(CORE, file), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const uses: Use[] = [];
  const visit = (node: ts.Node): void => {
    ts.forEachChild(node, visit);
    if (!ts.isCallExpression(node) || node.expression.getText() !== 'message') return;
    const [first, second] = node.arguments;
    const code = first && patternOf(first);
    if (!code) throw new Error(`${file}: a message without a code that can be read: ${node.getText()}`);
    const names =
      second === undefined
        ? []
        : ts.isObjectLiteralExpression(second)
          ? second.properties.map((p) => p.name?.getText() ?? '')
          : null;
    const filled = second !== undefined && ts.isObjectLiteralExpression(second) ? [...second.properties] : [];
    const words = filled.flatMap((p) =>
      ts.isPropertyAssignment(p) ? wordsIn(p.initializer).map((w) => [p.name.getText(), w] as const) : [],
    );
    uses.push({ file, code, names, words });
  };
  visit(source);
  return uses;
};
const uses = sources.flatMap(usesIn);

interface Branching {
  readonly type: number;
  readonly value: string;
  readonly options?: Readonly<Record<string, { value: unknown[] }>>;
}
const [SELECT, HASH] = [5, 7];

/** Names a sentence is filled with. */
const wantedBy = (template: string): string[] => {
  const names = new Set<string>();
  const walk = (nodes: readonly unknown[]): void => {
    for (const node of nodes as readonly Branching[]) {
      if (node.type !== 0 && node.type !== HASH) names.add(node.value);
      for (const option of Object.values(node.options ?? {})) walk(option.value);
    }
  };
  walk(new IntlMessageFormat(template, 'en').getAst());
  return [...names].sort();
};

interface Titled {
  readonly title?: string;
  readonly properties?: Readonly<Record<string, Titled>>;
  readonly items?: Titled;
  readonly anyOf?: readonly Titled[];
}
const titlesIn = (schemas: readonly Titled[]): (string | undefined)[] =>
  schemas.flatMap((s) => [
    s.title,
    ...titlesIn([...Object.values(s.properties ?? {}), ...(s.items ? [s.items] : []), ...(s.anyOf ?? [])]),
  ]);

describe('the catalogue', () => {
  it('has the sentence of every message, filled with what it wants', () => {
    expect(uses.length).toBeGreaterThan(400);
    for (const { file, code, names } of uses) {
      const codes = Object.keys(EN).filter((c) => code.test(c));
      expect(codes, `${file} says ${code.source}`).not.toEqual([]);
      if (names && codes.length === 1)
        for (const c of codes)
          for (const name of wantedBy(EN[c]!))
            expect([c, ...names], `${file}: ${c} wants ${name}`).toContain(name);
    }
  });

  it('is filled with no word that would stay English in German', () => {
    const chosen = (template: string): Set<string> => {
      const names = new Set<string>();
      const walk = (nodes: readonly unknown[]): void => {
        for (const node of nodes as readonly Branching[]) {
          if (node.type === SELECT) names.add(node.value);
          for (const option of Object.values(node.options ?? {})) walk(option.value);
        }
      };
      walk(new IntlMessageFormat(template, 'en').getAst());
      return names;
    };
    const german = wordIn((english) => PHRASES[english] ?? english);
    const reached = new Reached();
    for (const { file, code, words } of uses)
      for (const [name, word] of words) {
        const codes = Object.keys(EN).filter((c) => code.test(c));
        if (
          reached.when(
            'chooses',
            codes.every((c) => chosen(EN[c]!).has(name)),
          )
        )
          continue;
        expect(german(name, word), `${file}: “${word}” fills {${name}} of ${codes.join()}`).not.toBe(word);
      }
    reached.atLeast('chooses', 10);
    for (const { kind, name } of FEATURE_KINDS)
      expect([EN[`thing.${kind}`], DE[`thing.${kind}`]], `a ${name} without a name`).not.toContain(undefined);
  });

  it('has no sentence that nobody says', () => {
    const spoken = new Set(['plain', 'list.more']);
    const silent = Object.keys(EN).filter((c) => !spoken.has(c) && !uses.some((u) => u.code.test(c)));
    expect(silent).toEqual([]);
  });

  it('says nothing that is legal, allowed or safe', () => {
    for (const [code, text] of [...Object.entries(EN), ...Object.entries(DE)])
      expect(text, code).not.toMatch(
        /\b(is|are|it’s|ist|sind) (legal|allowed|safe|permitted|erlaubt|sicher|zulässig)\b/i,
      );
  });

  it('has every sentence in German, filled with the same', () => {
    expect(Object.keys(DE).sort()).toEqual(Object.keys(EN).sort());
    for (const [code, text] of Object.entries(EN)) expect(wantedBy(DE[code]!), code).toEqual(wantedBy(text));
  });

  it('has moves, aids, lights, kinds of things and beginnings of films in German', () => {
    const spoken = [
      ...MOVES.flatMap((m) => [
        ...[m.name, m.says, m.sticks, m.needs, m.caution],
        ...m.parameters.flatMap((p) => [p.label, p.hint, ...(p.choice ?? [])]),
      ]),
      ...AIDS.flatMap((a) => [a.name, a.says]),
      ...WISHES.map((w) => w.says),
      ...FEATURE_KINDS.flatMap((k) => [k.name, k.says]),
      ...AIRCRAFT_CLASSES.map((c) => c.name),
      ...FILM_TEMPLATES.flatMap((t) => [t.name, ...t.shots.map((s) => s.title)]),
      ...LEVEL_WORDS,
      ...HANDOVER_TABLES.flatMap((t) => [t.name, ...t.heads]),
      ...titlesIn(Object.values(SCHEMAS)),
    ].filter((text) => text !== undefined && text !== '');
    expect(spoken.length).toBeGreaterThan(400);
    expect(spoken.filter((text) => PHRASES[text!] === undefined)).toEqual([]);
  });
});

describe('a message', () => {
  const metric = createFormatter(EN, 'en', 'metric');
  const imperial = createFormatter(EN, 'en', 'imperial');
  const gusts = message('air.gusts.say', {
    gust: measured(11.38, 'speed'),
    highest: measured(57.6, 'metres', 0),
    share: measured(94.6, 'percent', 0),
    aircraft: 'A',
  });
  it('is written in the units asked for', () => {
    expect(metric.text(gusts)).toContain('11.4 m/s at 58 m are 95 %');
    expect(imperial.text(gusts)).toContain('25.5 mph at 189 ft are 95 %');
    expect(metric.quantity(measured(NaN, 'metres'))).toBe('–');
    expect(metric.quantity(measured(-0.001, 'metres', 1))).toBe('0.0 m');
    expect(metric.quantity(measured(12, 'degrees'))).toBe('12°');
  });
  it('writes decimals and plurals as its language does', () => {
    const german = createFormatter({ a: '{n, plural, one {# Akku} other {# Akkus}}, {m}' }, 'de', 'metric');
    expect(german.text(message('a', { n: 1, m: measured(1.25, 'metres', 2) }))).toBe('1 Akku, 1,25 m');
    expect(german.text(message('a', { n: 2, m: measured(3, 'seconds') }))).toBe('2 Akkus, 3 s');
    expect(() => german.text(message('b'))).toThrow('There is no sentence “b” in de.');
  });
  it('holds lists, other messages and what a person wrote', () => {
    const list = message('check.list', { list: listed(['A', plainText('B {x}'), measured(2, 'grams')], 2) });
    expect(metric.text(list)).toContain('A, B {x} and 1 more');
    expect(yesNo(true)).not.toBe(yesNo(false));
  });
  it('is known again by what it tells, not by its words or the last bit of a figure', () => {
    const other = (gust: number) =>
      messageKey({ ...gusts, values: { ...gusts.values, gust: measured(gust, 'speed') } });
    expect(other(11.384)).toBe(messageKey(gusts));
    expect(other(12)).not.toBe(messageKey(gusts));
    expect(messageKey(message('air.gusts.why'))).not.toBe(messageKey(message('air.gusts.why.else')));
    const turned = Object.fromEntries(Object.entries(gusts.values).reverse());
    expect(messageKey({ code: gusts.code, values: turned })).toBe(messageKey(gusts));
    expect(messageKey(message('x', { l: listed(['a', 'b'], 1) }))).not.toBe(
      messageKey(message('x', { l: listed(['a'], 1) })),
    );
  });
});

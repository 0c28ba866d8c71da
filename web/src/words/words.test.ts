import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { beforeAll, describe, expect, test } from '@jest/globals';
import ts from 'typescript';
import { said } from './said';
import { NodeTypes, type RootNode, type TemplateChildNode } from '@vue/compiler-core';
import { parse } from 'vue/compiler-sfc';
import { TERMS } from './terms';

/** Attributes that are read out or shown. */
const SPOKEN = new Set(['label', 'title', 'placeholder', 'aria-label', 'alt']);

const here = dirname(fileURLToPath(import.meta.url));
/** Files of views: those in folders. The flat ones hold tables and functions of their own, with tests beside them. */
const files = readdirSync(here, { recursive: true, encoding: 'utf8' }).filter(
  (f) => f.includes('/') && f.endsWith('.ts') && !f.endsWith('.test.ts'),
);
const texts: { where: string; text: string }[] = [];
beforeAll(async () => {
  for (const file of files) {
    const module = (await import(join(here, file))) as Record<string, unknown>;
    for (const [name, value] of Object.entries(module)) {
      const text =
        typeof value === 'function'
          ? // Each part stands as a figure would.
            String((value as (...parts: unknown[]) => unknown)(...Array.from({ length: value.length }, () => '7')))
          : value;
      if (typeof text !== 'string') throw new Error(`${file}: ${name} is no text`);
      texts.push({ where: `${file}: ${name}`, text });
    }
  }
});
/** Where a text breaks a rule: named, so that it is found at once. */
const against = (rule: (text: string) => boolean) =>
  texts.filter(({ text }) => rule(text)).map(({ where, text }) => `${where}: ${text}`);

describe('a sentence with parts', () => {
  test('has them where they stand; what is not there leaves nothing, and nought is there', () => {
    expect(said`${2} of ${'three'}${null}${undefined}${''}, ${0}`).toBe('2 of three, 0');
    expect(said`none`).toBe('none');
  });
});

describe('what the program says', () => {
  test('is there for every view', () => {
    expect(files.length).toBeGreaterThan(150);
    expect(texts.length).toBeGreaterThan(2000);
  });
  test('says problem, repair, typical value and at risk', () => {
    // A ride is trouble-free where nothing went wrong on it.
    expect(against((t) => /\b(troubles?(?!-free)|mends?|mended|planning (value|rate)s?|at stake)\b/iu.test(t))).toEqual(
      [],
    );
  });
  test('has no white space twice, nor of another kind', () => {
    expect(against((t) => /\s\s|\t|\n/u.test(t))).toEqual([]);
  });
  test('has the marks of print: ’ and “ ”, and … for what goes on', () => {
    expect(against((t) => /\p{L}'\p{L}|\.\.\./u.test(t))).toEqual([]);
    expect(against((t) => t.includes('"'))).toEqual([]);
  });
  test('ends a sentence once', () => {
    expect(against((t) => /[.!?]\.$|,\.|;\./u.test(t))).toEqual([]);
  });
});

describe('a view', () => {
  const views = readdirSync(join(here, '..'), { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.vue'));
  test('uses every text of its own, so that none is left behind', () => {
    const used = new Map<string, string>();
    const sources = readdirSync(join(here, '..'), { recursive: true, encoding: 'utf8' }).filter(
      (f) => /\.(vue|ts)$/u.test(f) && !f.startsWith('words/'),
    );
    for (const source of sources) {
      const code = readFileSync(join(here, '..', source), 'utf8');
      const from = /import \* as texts from '([^']+)'/u.exec(code)?.[1];
      if (from) used.set(`${relative(here, join(here, '..', dirname(source), from))}.ts`, code);
    }
    const unused = texts
      .map(({ where }) => where.split(': ') as [string, string])
      .filter(([file, name]) => !new RegExp(`texts\\.${name}\\b`, 'u').test(used.get(file) ?? ''));
    expect(unused).toEqual([]);
    expect(views.length).toBeGreaterThan(150);
  });
  test('says nothing that is not among the words: no letters stand between its tags', () => {
    const own: string[] = [];
    for (const view of views) {
      const { descriptor } = parse(readFileSync(join(here, '..', view), 'utf8'));
      const look = (node: TemplateChildNode | RootNode) => {
        if (node.type === NodeTypes.TEXT && /\p{L}{2}/u.test(node.content)) own.push(`${view}: ${node.content.trim()}`);
        if (node.type === NodeTypes.ELEMENT)
          for (const prop of node.props)
            if (
              prop.type === NodeTypes.ATTRIBUTE &&
              SPOKEN.has(prop.name) &&
              /\p{L}{2}/u.test(prop.value?.content ?? '')
            )
              own.push(`${view}: ${prop.name}="${prop.value?.content}"`);
        if ('children' in node)
          for (const child of node.children) if (typeof child === 'object') look(child as TemplateChildNode);
      };
      if (descriptor.template?.ast) look(descriptor.template.ast);
    }
    expect(own).toEqual([]);
  });
  test('and whatever else is of the page has its sentences there too', () => {
    const own: string[] = [];
    const sources = readdirSync(join(here, '..'), { recursive: true, encoding: 'utf8' }).filter(
      (f) => /\.(vue|ts)$/u.test(f) && !/^(words|testing)\/|\.test\.ts$/u.test(f),
    );
    for (const source of sources) {
      const code = readFileSync(join(here, '..', source), 'utf8');
      const script = source.endsWith('.vue') ? (parse(code).descriptor.scriptSetup?.content ?? '') : code;
      const look = (node: ts.Node) => {
        const text =
          ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
            ? node.text
            : ts.isTemplateExpression(node)
              ? [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join('7')
              : '';
        // Begins as a sentence does, or ends as one.
        if (/^\p{Lu}\p{Ll}+ \p{Ll}+ |\p{Ll}{2}\.$/u.test(text)) own.push(`${source}: ${text}`);
        ts.forEachChild(node, look);
      };
      look(ts.createSourceFile(source, script, ts.ScriptTarget.Latest));
    }
    expect(own).toEqual([]);
  });
  test('explains each technical word on a press', () => {
    const code = views.map((v) => readFileSync(join(here, '..', v), 'utf8')).join('\n');
    expect(Object.keys(TERMS).filter((term) => !code.includes(`term="${term}"`))).toEqual([]);
  });
});

import { readFileSync, readdirSync } from 'node:fs';
import {
  Interpolation,
  type TmplAstNode,
  type TmplAstBoundText,
  TmplAstRecursiveVisitor,
  type TmplAstText,
  type TmplAstTextAttribute,
  ASTWithSource,
  parseTemplate,
  tmplAstVisitAll,
} from '@angular/compiler';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { assumptionKeys, assumptionTable } from '../src/core';
import { britishWord, speak, en } from '../src/messages/english';
import { carPart, cautionSentence, habitWords, lapName, zoneName } from '../src/messages';
import { centreParts, flankParts } from '../src/core/model';

const files = (of: string, wanted: RegExp): readonly string[] =>
  (readdirSync(of, { recursive: true }) as string[])
    .map((path) => `${of}/${path.replaceAll('\\', '/')}`)
    .filter((path) => wanted.test(path) && !/\.spec\.ts$|\/testing\/|\/index\.html$/.test(path));

const isBritish = (text: string): boolean => new RegExp(britishWord.source, 'iu').test(text);

/** Visible texts of a template: what stands between tags and in attributes that are read out. */
function textsOf(template: string, path: string): readonly string[] {
  const { nodes, errors } = parseTemplate(template, path);
  expect(errors ?? []).toEqual([]);
  const texts: string[] = [];
  class Reader extends TmplAstRecursiveVisitor {
    override visitText(text: TmplAstText): void {
      texts.push(text.value);
    }
    override visitBoundText({ value }: TmplAstBoundText): void {
      const ast = value instanceof ASTWithSource ? value.ast : value;
      if (ast instanceof Interpolation) texts.push(ast.strings.join(' … '));
    }
    override visitTextAttribute({ name, value }: TmplAstTextAttribute): void {
      if (/^(label|ariaLabel|aria-label|title|placeholder|header|alt)$/.test(name)) texts.push(value);
    }
  }
  tmplAstVisitAll(new Reader(), nodes as TmplAstNode[]);
  return texts.map((text) => text.replace(/\s+/g, ' ').trim()).filter(Boolean);
}

/** Literals of a source file that are neither a type nor the name of a module. */
function literalsOf(
  path: string,
): readonly { readonly text: string; readonly isSpoken: boolean; readonly isTemplate: boolean }[] {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const found: { text: string; isSpoken: boolean; isTemplate: boolean }[] = [];
  const visit = (node: ts.Node, isSpoken: boolean): void => {
    if (ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    const isTemplate = ts.isPropertyAssignment(node) && node.name.getText() === 'template';
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? [node.head, ...node.templateSpans.map(({ literal }) => literal)].map((part) => part.text).join(' … ')
        : '';
    if (text)
      found.push({
        text,
        isSpoken,
        isTemplate: ts.isPropertyAssignment(node.parent) && node.parent.name.getText() === 'template',
      });
    if (isTemplate && ts.isStringLiteralLike(node.initializer)) return void visit(node.initializer, isSpoken);
    const speaks = ts.isCallExpression(node) && ['en', 'worded'].includes(node.expression.getText());
    ts.forEachChild(node, (child) => visit(child, isSpoken || speaks));
  };
  visit(source, false);
  return found;
}

const code = [...files('src/messages', /\.ts$/), ...files('src/app', /\.ts$/)];
const templates = [
  ...files('src/app', /\.html$/).map((path) => [path, readFileSync(path, 'utf8')] as const),
  ...files('src/app', /\.ts$/).flatMap((path) =>
    literalsOf(path)
      .filter(({ isTemplate }) => isTemplate)
      .map(({ text }) => [path, text] as const),
  ),
];

/** A label has up to six words; more, or a full stop, make a sentence. */
const isSentence = (text: string): boolean =>
  /\p{Ll}{2}[.!](\s|$)/u.test(text) || (text.match(/[\p{L}’]+/gu) ?? []).length > 6;

describe('words of the screens', () => {
  it('are in the messages: templates have labels and no sentences', () => {
    expect(templates.length).toBeGreaterThan(80);
    const found = templates.flatMap(([path, template]) =>
      textsOf(template, path)
        .filter(isSentence)
        .map((text) => `${path}: ${text}`),
    );
    expect(found).toEqual([]);
  });

  it('that are British go through the switch', () => {
    const inTemplates = templates.flatMap(([path, template]) =>
      textsOf(template, path)
        .filter(isBritish)
        .map((text) => `${path}: ${text}`),
    );
    // One word in small letters is a name in code.
    const inCode = code.flatMap((path) =>
      literalsOf(path)
        .filter(({ text, isSpoken, isTemplate }) => !isSpoken && !isTemplate && isBritish(text) && /[ A-Z]/.test(text))
        .map(({ text }) => `${path}: ${text}`),
    );
    expect([...inTemplates, ...inCode.filter((one) => !one.startsWith('src/messages/english.ts'))]).toEqual([]);
  });

  it('are British or American throughout', () => {
    const zones = [
      ...centreParts,
      ...(['left', 'right'] as const).flatMap((side) => flankParts.map((part) => `${side}-${part}` as const)),
    ];
    const said = (): readonly string[] => [
      ...zones.map(zoneName),
      ...Object.values(carPart),
      ...Object.values(lapName),
      ...Object.values(cautionSentence),
      ...Object.values(habitWords).flatMap(({ question, answers }) => [question, ...Object.values<string>(answers)]),
      ...assumptionKeys.map((key) => en(assumptionTable[key].note)),
    ];
    const british = said();
    expect(british.filter(isBritish).length).toBeGreaterThan(20);
    speak('us');
    try {
      const us = said();
      expect(us.filter(isBritish)).toEqual([]);
      expect(us).toHaveLength(british.length);
      expect(zoneName('left-rear-wing-upper')).toBe('Left rear quarter panel, upper');
      expect(zoneName('boot-sill')).toBe('Trunk lip');
      expect(zoneName('left-sill')).toBe('Left rocker panel');
    } finally {
      speak('gb');
    }
  });
});

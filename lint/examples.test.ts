import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

const root = path.resolve(import.meta.dirname, '..');
const stations = readdirSync(path.join(root, 'core'), { withFileTypes: true }).flatMap((d) => (d.isDirectory() ? [d.name] : []));
const files = readdirSync(path.join(root, 'core'), { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.ts') && !/\.(test|rows)\.ts$|fixtures\.ts$/.test(f))
  .map((f) => path.join(root, 'core', f));

/** Names that leave a station by its door. */
const doors = new Map<string, unknown>();
for (const station of stations) {
  const door = await import(path.join(root, 'core', station, 'index.ts')).catch(() => ({}));
  for (const [name, value] of Object.entries(door as Record<string, unknown>)) doors.set(name, value);
}

interface Documented {
  name: string;
  doc: string;
  examples: string[];
}

/** Exported functions of a file with what is said of them. */
function documented(file: string): Documented[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const isFunction = (e: ts.Expression | undefined): boolean => e !== undefined && (ts.isArrowFunction(e) || ts.isFunctionExpression(e));
  return source.statements.flatMap((s): Documented[] => {
    if (!ts.canHaveModifiers(s) || !ts.getModifiers(s)?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword)) return [];
    const names = ts.isFunctionDeclaration(s)
      ? [s.name?.text ?? '']
      : ts.isVariableStatement(s)
        ? s.declarationList.declarations.flatMap((d) => (isFunction(d.initializer) ? [d.name.getText()] : []))
        : [];
    const text = ts.getJSDocCommentsAndTags(s).flatMap((d) => (ts.isJSDoc(d) ? [d] : []));
    return names.map((name) => ({
      name,
      doc: text.map((d) => ts.getTextOfJSDocComment(d.comment) ?? '').join(' '),
      examples: ts
        .getJSDocTags(s)
        .filter((t) => t.tagName.text === 'example')
        .map((t) => ts.getTextOfJSDocComment(t.comment) ?? ''),
    }));
  });
}

const all = files.flatMap(documented).filter((d) => typeof doors.get(d.name) === 'function');
const unique = [...new Map(all.map((d) => [d.name, d])).values()];

const evaluate = (expression: string): unknown =>
  // the examples are our own; whoever writes one runs it here
  (new Function(...doors.keys(), `return (${expression});`) as (...values: unknown[]) => unknown)(...doors.values());

/** An example whose both sides are plain values: the rest speak of a kitchen that is not at hand here. */
const said = unique.flatMap(({ name, examples }) =>
  examples.flatMap((e) => {
    const m = /^(.+?) \/\/ ((?:'[^']*'|-?[\d.]+|true|false|undefined|\[.*\]|\{[^.]*\})(?=$|: ))/.exec(e.replace(/\n\s*(?=\/\/)/, ' '));
    if (!m?.[1] || !m[2]) return [];
    try {
      return [{ name, call: m[1], got: evaluate(m[1]), expected: evaluate(m[2]) }];
    } catch (error) {
      if (error instanceof ReferenceError || error instanceof SyntaxError) return [];
      throw new Error(`${name}: ${m[1]}`, { cause: error });
    }
  }),
);

const plain = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value ?? null)
      .replaceAll(String.raw`\u00a0`, ' ')
      .replaceAll('\u00a0', ' '),
  ) as unknown;

describe('what leaves the core', () => {
  it('is said in a sentence and shown by an example', () => {
    expect(unique.length).toBeGreaterThan(330);
    expect(unique.filter((d) => d.doc.trim() === '').map((d) => d.name)).toEqual([]);
    expect(unique.filter((d) => d.examples.length === 0).map((d) => d.name)).toEqual([]);
  });
  it('has many examples that stand for themselves', () => expect(said.length).toBeGreaterThan(60));
  it.each(said.map((s) => [s.call, s] as const))('%s', (_, s) => expect({ is: plain(s.got) }).toMatchObject({ is: plain(s.expected) }));
});

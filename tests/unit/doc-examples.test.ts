import { readFileSync } from 'node:fs';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { exampleScope } from '../files/example-scope';

const modules = import.meta.glob<Record<string, unknown>>('/src/core/**/*.ts', { eager: true });

/** Everything that the core exports, by name, and what the examples are told about. */
const scope: Record<string, unknown> = {};
for (const module of Object.values(modules)) for (const [name, value] of Object.entries(module)) scope[name] ??= value;
Object.assign(scope, exampleScope);

interface Documented {
  file: string;
  name: string;
  examples: string[];
}

/** Exported functions of the core with the examples of their doc comments. */
function documented(): Documented[] {
  return Object.keys(modules).flatMap((path) => {
    const file = path.slice(1);
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
    return source.statements.flatMap((statement) => {
      if (!ts.isFunctionDeclaration(statement) || !statement.name) return [];
      if (!statement.modifiers?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)) return [];
      const examples = ts
        .getJSDocTags(statement)
        .filter(({ tagName }) => tagName.text === 'example')
        .map(({ comment }) => (typeof comment === 'string' ? comment : (ts.getTextOfJSDocComment(comment) ?? '')));
      return [{ file, name: statement.name.text, examples }];
    });
  });
}

const evaluate = (code: string): unknown =>
  new Function(...Object.keys(scope), `return (${code});`)(...Object.values(scope)) as unknown;

/** Numbers of an answer are told to four figures, after “about” to one in twenty. */
function near(seen: unknown, told: unknown, share: number): void {
  if (typeof told === 'number') expect(Math.abs((seen as number) - told)).toBeLessThanOrEqual(share * Math.abs(told) + 1e-9);
  else if (Array.isArray(told)) {
    expect(seen).toHaveLength(told.length);
    told.forEach((each, i) => near((seen as unknown[])[i], each, share));
  } else if (told !== null && typeof told === 'object')
    for (const [key, each] of Object.entries(told)) near((seen as Record<string, unknown>)[key], each, share);
  else expect(seen).toEqual(told);
}

describe('examples of doc comments', () => {
  const all = documented();

  it('stand beside every exported function of the core', () => {
    expect(all.length).toBeGreaterThan(300);
    expect(all.filter(({ examples }) => examples.length === 0).map(({ file, name }) => `${file} ${name}`)).toEqual([]);
  });

  it.each(all.flatMap(({ file, examples }) => examples.map((example) => [example.replace(/\s+/g, ' ').trim(), file] as const)))(
    '%s (%s)',
    (example) => {
      const [code, answer] = example.split(/ \/\/ (?!.* \/\/ )/);
      expect(answer, 'an example with its answer').toBeDefined();
      const about = answer!.startsWith('about ');
      near(evaluate(code!), evaluate(answer!.replace(/^about /, '')), about ? 0.05 : 6e-4);
    },
  );
});

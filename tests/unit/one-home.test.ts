import { describe, expect, it } from 'vitest';

const sources = import.meta.glob<string>('/src/**/*.{ts,tsx}', { eager: true, query: '?raw', import: 'default' });

/** A step is made where it says a stage and a title. */
const MAKES_STEPS = /stage: '(prepare|cut|apply|check|finish)'[^}]*title/s;
/** What may make steps besides the techniques: the copies of a set, which tick each; the scrap, which is a small experiment of its own. */
const ALSO = ['/src/core/steps/copies.ts', '/src/core/scrap/scrap-steps.ts'];

describe('each technique has one home', () => {
  it('steps are made nowhere else', () => {
    const made = Object.entries(sources).flatMap(([path, text]) =>
      MAKES_STEPS.test(text.replace(/\/\*[\s\S]*?\*\//g, '')) && !path.startsWith('/src/core/techniques/') && !ALSO.includes(path)
        ? [path]
        : [],
    );
    expect(made).toEqual([]);
  });

  it('no step is recognised by its title, but where runs from before are drawn and timed', () => {
    const asked = Object.entries(sources).flatMap(([path, text]) =>
      /\.test\((\w+\.)?title\)|title\.(includes|match|startsWith)\(/.test(text) ? [path] : [],
    );
    expect(asked).toEqual(['/src/core/schedule/run-tasks.ts']);
  });
});

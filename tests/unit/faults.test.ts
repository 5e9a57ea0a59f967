import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FAULTS } from '../../scripts/mutants/faults.mjs';

describe('the deliberate faults of npm run mutants', () => {
  it.each((FAULTS as { file: string; from: string; to: string }[]).map((fault): [string, string, string] => [fault.file, fault.from, fault.to]))(
    'in %s still apply: %s',
    (file, from, to) => {
      expect(readFileSync(file, 'utf8').includes(from)).toBe(true);
      expect(to).not.toBe(from);
    },
  );
}); // prettier-ignore

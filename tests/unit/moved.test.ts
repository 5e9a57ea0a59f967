import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { openSeeded } from '../../src/server/database';
import { newMoves } from '../../src/store/moves';

const folder = mkdtempSync(join(tmpdir(), 'nembrel-moved-'));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('moves that were heard', () => {
  it('count once by their name, whatever else they say, and are forgotten after a season', () => {
    const path = join(folder, 'moves.db');
    const db = openSeeded(path);
    const at = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
    const old = { id: 'old', at: at(200), move: { kind: 'finish' } };
    const lately = { id: 'lately', at: at(30), move: { kind: 'next' } };
    expect(newMoves(db, 'bench/r', [old, lately, { ...lately, move: { kind: 'back' } }]).map(({ id }) => id)).toEqual(['old', 'lately']); // prettier-ignore
    db.close();
    const again = openSeeded(path);
    expect(again.prepare('SELECT id FROM moved').pluck().all()).toEqual(['lately']);
    expect(newMoves(again, 'bench/r', [lately])).toEqual([]);
    again.close();
  });
});

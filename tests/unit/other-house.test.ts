import { afterEach, describe, expect, it } from 'vitest';
import { codeAddress } from '../../src/server/code-address';
import { openSeeded } from '../../src/server/database';
import { changeOf } from '../../src/store/change-of';

const [HOUSE, DOOR] = [Symbol.for('nembrel.house'), Symbol.for('nembrel.door')];
const own = globalThis as Record<symbol, unknown>;
afterEach(() => {
  delete own[HOUSE];
  delete own[DOOR];
});

describe('beside the practice house', () => {
  it('a printed code leads into the house that it was printed in, also while the home network is let in', () => {
    own[DOOR] = { state: () => ({ addresses: ['https://192.0.2.7:4310/'] }) };
    const request = new Request('http://localhost/', { headers: { host: '127.0.0.1:5310' } });
    expect(codeAddress(request, '/cupboard')).toBe('https://192.0.2.7:4310/cupboard');
    own[HOUSE] = { getStore: () => ({ port: 5310, path: 'p.db', home: 'http://127.0.0.1:4310/' }) };
    expect(codeAddress(request, '/cupboard')).toBe('http://127.0.0.1:5310/cupboard');
  });

  it('what was answered before a house was begun afresh is not answered again, though as much has been written', () => {
    const [before, afresh] = [openSeeded(':memory:'), openSeeded(':memory:')];
    expect(changeOf(before)).toBe(changeOf(before));
    expect(changeOf(afresh)).not.toBe(changeOf(before));
    const was = changeOf(afresh);
    afresh.prepare("UPDATE cloth SET note = 'x' WHERE id = (SELECT id FROM cloth LIMIT 1)").run();
    expect(changeOf(afresh)).not.toBe(was);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { codePlace } from '../../src/core/code';
import { KIT_STATES, kitCount, kitItems, kitMoved, type KitMove, type KitStanding } from '../../src/core/kit';
import type { CutPiece } from '../../src/core/workpiece';
import { labelSheet, type Label } from '../../src/formats/pdf';
import { readCodes } from '../files/pdf-codes';
import { wordsOf } from '../files/pdf-text';

const cut = (id: string, pieceId: string, more: object = {}) =>
  ({
    id,
    pieceId,
    pieceName: pieceId,
    duty: 'shell',
    clothId: 'canvas',
    count: 3,
    pairs: false,
    done: true,
    ...more,
  }) as CutPiece;
const project = { makes: 3, notions: [{ name: 'zip', count: 1, there: true }, { name: 'ring', count: 2, there: false }] }; // prettier-ignore
const nameOf = (id: string) => `the ${id}`;

describe('the bag of one thing', () => {
  const cuts = [cut('a', 'flap', { count: 6, pairs: true }), cut('b', 'flap', { duty: 'lining', done: false }), cut('c', 'tab', { clothId: null })]; // prettier-ignore
  const jobs = [{ id: 'j', cutId: 'a', name: 'flap', count: 6, cutDone: false, layers: [{ name: 'a veil', position: 0 }] }];
  const told = (copy: number) => kitItems(project, cuts, jobs, nameOf, copy).map(({ count, name, of, ready }) => [count, name, of, ready]); // prettier-ignore

  it('holds what belongs to one, and what is there of it', () => {
    expect(told(2)).toEqual([
      [2, 'flap', 'the canvas, half of them mirrored', true],
      [1, 'flap, lining', 'the canvas', false],
      [2, 'Layer for flap', 'a veil', false],
      [1, 'zip', '', true],
      [2, 'ring', '', false],
    ]);
  });

  it('tells two notions of the same name apart', () => {
    const zips = { makes: 1, notions: [1, 2].map((count) => ({ name: 'zip', count, there: true })) };
    expect(kitItems(zips, [], [], nameOf, 1).map(({ key }) => key)).toEqual(['notion/zip', 'notion/zip/2']);
  });

  it('takes the paper patterns round with the first bag, each once', () => {
    expect(told(1).slice(5)).toEqual([[1, 'flap', 'paper pattern', true], [1, 'tab', 'paper pattern', true]]); // prettier-ignore
  });

  it('says of every item what was said of it last, in whatever order other items were touched', () => {
    const keys = ['a', 'b', 'constructor', '__proto__x'];
    const put = fc.record({
      kind: fc.constant('put' as const),
      keys: fc.subarray(keys, { minLength: 1 }),
      state: fc.constantFrom(...KIT_STATES, null),
    });
    fc.assert(
      fc.property(fc.array(put, { maxLength: 12 }), (moves: KitMove[]) => {
        const end = moves.reduce<KitStanding>(kitMoved, { states: {}, place: 'shelf' });
        for (const key of keys) {
          const last = moves.findLast((move) => move.kind === 'put' && move.keys.includes(key));
          expect(Object.hasOwn(end.states, key) ? end.states[key] : null).toBe(last?.kind === 'put' ? last.state : null);
        }
        const { packed, missing, taken, open } = kitCount(keys.map((key) => ({ key })), end); // prettier-ignore
        expect(packed + missing + taken + open).toBe(keys.length);
        expect(end.place).toBe('shelf');
      }),
    );
  });
});

describe('a printed code', () => {
  it.each<[string, string | undefined]>([
    ['http://127.0.0.1:4310/projects/tq-banner/kits/2', '/projects/tq-banner/kits/2'],
    ['https://192.168.1.20:4311/hoop/jobs/h-1?copy=3', '/hoop/jobs/h-1?copy=3'],
    ['http://127.0.0.1:4310/hoop/jobs/h-1?stage=prepare&copy=3', '/hoop/jobs/h-1?stage=prepare&copy=3'],
    ['http://127.0.0.1:4310/projects/p?job=c-1&stage=cut', '/projects/p?job=c-1&stage=cut'],
    ['http://127.0.0.1:4310/projects/p?job=c-1&stage=', '/projects/p'],
    ['http://127.0.0.1:4310/projects/p?stage=cut&next=//evil', '/projects/p'],
    ['https://elsewhere.example/cupboard/cloths/c-9?next=//evil', '/cupboard/cloths/c-9'],
    ['https://elsewhere.example/settings', undefined],
    ['https://elsewhere.example//evil.example/projects/p', undefined],
    ['https://elsewhere.example/projects/../settings', undefined],
    ['javascript:alert(1)//projects/p', undefined],
    ['/projects/p', undefined],
    ['milk, eggs', undefined],
  ])('%s leads to %s', (text, place) => {
    expect(codePlace(text)).toBe(place);
  });

  it('on a sheet of labels reads as it was written, on every paper and page', async () => {
    const labels = Array.from({ length: 11 }, (_, k): Label => ({
      title: `Tool roll for the ferry crew, ${k + 1} of 11`,
      lines: ['1 × Flap ⅜', ...Array.from({ length: 14 }, (_each, n) => `${n + 1} × Loop`)],
      url: `http://127.0.0.1:4310/projects/roll/kits/${k + 1}`,
    }));
    for (const paper of ['a4', 'letter', 'a3'] as const) {
      const bytes = await labelSheet('Labels', labels, paper);
      expect(readCodes(bytes)).toEqual(labels.map(({ url }) => url));
      const words = (await wordsOf(bytes)).join(' ').replace(/ +/g, ' ');
      expect(words).toContain('1 × Flap ⅜');
      // Fifteen lines find no room: it says how many are left out.
      expect(words.match(/and \d+ more/g)).toHaveLength(11);
    }
  });
});

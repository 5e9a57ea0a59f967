import { readFileSync } from 'node:fs';
import { inject } from 'vitest';
import { describe, expect, it } from 'vitest';
import { send } from './client';

const sample = (name: string) => readFileSync(`public/samples/${name}.jpg`);
const measure = async (what: string, body: Buffer | string, query = '?marker=60') => {
  const response = await fetch(`${inject('base')}/api/compute/${what}${query}`, {
    method: 'POST',
    body: typeof body === 'string' ? body : new Uint8Array(body),
    headers: { 'content-type': 'application/octet-stream' },
  });
  // Answers are of every shape; each test says what it expects of them.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  return { status: response.status, body: (await response.json()) as any };
};
const areaOf = (outline: [number, number][]) =>
  Math.abs(outline.reduce((sum, [x, y], i) => sum + x * outline[(i + 1) % outline.length]![1] - y * outline[(i + 1) % outline.length]![0], 0)) / 2; // prettier-ignore

describe('a photograph over HTTP', () => {
  it('gives outlines in millimetres and the cards', async () => {
    const { status, body } = await measure('trace', sample('pieces'));
    expect(status).toBe(200);
    expect(body.outlines).toHaveLength(3);
    expect(areaOf(body.outlines[2]) / (160 * 40)).toBeCloseTo(1, 2);
    expect(body.cards.map(({ id }: { id: number }) => id)).toEqual([1, 2, 3, 4]);
    for (const { corners } of body.cards) {
      const [a, b, c] = corners as [number, number][];
      expect(Math.hypot(b![0] - a![0], b![1] - a![1])).toBeCloseTo(60, 6);
      // Top left, top right, bottom right: clockwise with y up.
      expect((b![0] - a![0]) * (c![1] - b![1]) - (b![1] - a![1]) * (c![0] - b![0])).toBeLessThan(0);
    }
    expect(body.residual).toBeLessThan(0.2);
    expect(body.warnings).toEqual([]);
  });

  it('gives bending length and see-through', async () => {
    const hang = await measure('hang', sample('hang'));
    expect(hang.body.bendingLength).toBeGreaterThan(24 * 0.97);
    expect(hang.body.bendingLength).toBeLessThan(24 * 1.03);
    expect(hang.body.overhang).toBeCloseTo(84, -0.3);
    expect(hang.body.low).toBeLessThan(hang.body.high);
    const { body } = await measure('contrast', sample('see-through'), '');
    const over = (backing: number) => 0.58 + (0.09 * backing) / (1 - 0.58 * backing);
    expect(Math.abs(body.opacity - (100 * over(0)) / over(0.89))).toBeLessThan(2);
    expect(body.reflectance).toBeCloseTo(0.58, 1);
    expect(body.transmittance).toBeCloseTo(0.3, 1);
  });

  it('lays several pictures of one table together, and says which of them does not belong to it', async () => {
    const together = async (...pictures: (Buffer | string)[]) => {
      const form = new FormData();
      for (const picture of pictures)
        form.append(
          'picture',
          typeof picture === 'string' ? picture : new Blob([new Uint8Array(picture)], { type: 'image/jpeg' }),
        );
      const response = await fetch(`${inject('base')}/api/compute/trace?marker=60`, { method: 'POST', body: form });
      // eslint-disable-next-line @typescript-eslint/no-explicit-any
      return { status: response.status, body: (await response.json()) as any };
    };
    const twice = await together(sample('pieces'), sample('pieces'));
    expect([twice.status, twice.body.outlines.length, twice.body.cards.length]).toEqual([200, 3, 4]);
    expect(areaOf(twice.body.outlines[2]) / (160 * 40)).toBeCloseTo(1, 2);
    const other = await together(sample('pieces'), sample('hang'));
    expect([other.status, other.body.error.field]).toEqual([400, 'picture[1]']);
    expect(other.body.error.message).toMatch(/must show a card that a picture before it shows too; found card 6, 7/);
    const five = await together(...Array.from({ length: 5 }, () => sample('see-through')));
    expect([five.status, five.body.error.field]).toEqual([400, 'picture']);
    const words = await together('no file');
    expect([words.status, words.body.error.field]).toEqual([400, 'picture[0]']);
    // A page of another site sends forms without being asked.
    const foreign = await fetch(`${inject('base')}/api/compute/trace`, { method: 'POST', body: new FormData(), headers: { origin: 'http://elsewhere.example' } }); // prettier-ignore
    expect(foreign.status).toBe(403);
  });

  it('tells what is drawn on a piece, and the holes in it', async () => {
    const { body } = await measure('trace', sample('pieces'));
    expect(body.pieces.map(({ drawn }: { drawn: { notches: unknown[] } }) => drawn.notches.length)).toEqual([2, 1, 0]);
    expect(body.pieces[0].drawn.grain).toHaveLength(2);
    const left = await measure('trace', sample('leftover'));
    expect(left.body.pieces).toHaveLength(1);
    const areas = (left.body.pieces[0].drawn.spots as [number, number][][]).map(areaOf).sort((a, b) => a - b);
    // A hole of 26 mm and a stain of 48, each with a little room.
    expect(areas).toHaveLength(2);
    expect(Math.sqrt(areas[0]! / Math.PI) - 13).toBeGreaterThan(0.5);
    expect(Math.sqrt(areas[0]! / Math.PI) - 13).toBeLessThan(3.5);
    expect(Math.sqrt(areas[1]! / Math.PI) - 24).toBeLessThan(3.5);
  });

  it.each([
    ['no picture', 'hello', /PNG or JPEG/],
    ['nothing at all', '', /saw nothing/],
    ['a picture that is cut off', sample('pieces').subarray(0, 20_000), /broken or cut off/],
  ])('is refused in words: %s', async (_, body, words) => {
    for (const what of ['trace', 'hang', 'contrast']) {
      const answer = await measure(what, body);
      expect([answer.status, answer.body.error.field]).toEqual([400, 'body']);
      expect(answer.body.error.message).toMatch(words);
    }
  });

  it('is refused by name where the card that is needed, or its size, is missing', async () => {
    expect((await measure('hang', sample('pieces'))).body.error).toMatchObject({ field: 'picture', message: expect.stringMatching(/card 5/) }); // prettier-ignore
    expect((await measure('contrast', sample('hang'))).body.error).toMatchObject({ field: 'picture', message: expect.stringMatching(/card 8/) }); // prettier-ignore
    for (const marker of ['0', '-60', 'wide', '1e9']) expect((await measure('trace', sample('pieces'), `?marker=${marker}`)).body.error.field).toBe('marker'); // prettier-ignore
    const large = await measure('trace', Buffer.alloc(31 * 1024 * 1024));
    expect(large.status).toBe(413);
    expect((await send('GET', '/api/settings')).status).toBe(200);
  });

  it('comes with cards to print, as they are read', async () => {
    for (const paper of ['a4', 'letter']) {
      const response = await fetch(`${inject('base')}/api/prints/cards.pdf?paper=${paper}`);
      expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    }
  });
});

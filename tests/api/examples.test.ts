import { describe, expect, it } from 'vitest';
import { documented, example } from './documented';
import { send } from './client';

describe('docs/api.md', () => {
  it.each([
    ['POST /api/cloths\n', '/api/cloths', 201],
    ['POST /api/layers\n', '/api/layers', 201],
    ['POST /api/log\n', '/api/log', 201],
    ["api/choose -H 'content-type: application/json' -d '", '/api/choose', 200],
    ['gets the same score, prediction and criteria.\n```\n', '/api/choose/judge', 200],
    ['when it would be ruled out.\n```\n', '/api/choose/what-if', 200],
    ['most likely change the best answer.\n```\n', '/api/choose/sensitivity', 200],
    ['The score is a mean of craft rules.\n```\n', '/api/choose/lining', 200],
    ['(bits still open).\n```\n', '/api/compute/identify', 200],
    ['POST /api/csv/preview\n', '/api/csv/preview', 200],
    ['→ `bendingLength`, `rigidity`, `profile?` (x to the right, y downward, from `[0, 0]`).\n```\n', '/api/compute/droop', 200],
    ['→ `outlines`, `area`, `removedArea`.\n```\n', '/api/compute/inset', 200],
    ['that the clock ends the search.\n```\n', '/api/compute/cutplan', 200],
    ['`coverage` (0–1).\n```\n', '/api/compute/pressplan', 200],
    ['1 ml weighs 1 g.\n```\n', '/api/compute/liquid', 200],
    ['(a twentieth is left).\n```\n', '/api/compute/drying', 200],
    ['of which there are none are refused.\n```\n', '/api/compute/schedule', 200],
    ['`transmittance` of the pile.\n```\n', '/api/compute/opacity', 200],
    ['past the middle of the circle is refused.\n```\n', '/api/compute/flare', 200],
    ["outside the base's by what is between them.\n```\n", '/api/compute/hat', 200],
  ])('example after %j is taken by %s', async (heading, path, status) => {
    expect(documented).toContain(heading);
    const answer = await send('POST', path, example(heading));
    expect([answer.status, answer.body.error]).toEqual([status, undefined]);
  });

  it('has the example of a piece that is taken', async () => {
    const project = (await send('POST', '/api/projects', { name: 'Documented' })).body;
    expect((await send('POST', `/api/projects/${project.id}/pieces`, example('POST /api/projects/ID/pieces\n'))).status).toBe(
      201,
    );
  });
});

import { describe, expect, inject, it } from 'vitest';
import { addWork, chosenStack, FABRIC, send, type Answer } from './client';
import { example } from './documented';

/** What may come in place of any field. */
const GARBAGE: unknown[] = [
  undefined,
  null,
  -1,
  0,
  1e308,
  'x',
  '',
  '2026-99-99',
  '<b>"\u0000</b>',
  'long '.repeat(2000),
  [],
  {},
  Array.from({ length: 3000 }, () => 0),
];

/** Paths to all fields of a body; of a list, the first entry stands for all. */
function* fieldsOf(value: unknown, at: string[] = []): Generator<string[]> {
  if (value === null || typeof value !== 'object') return;
  for (const key of Object.keys(value)) {
    if (Array.isArray(value) && Number(key) > 0) continue;
    yield [...at, key];
    yield* fieldsOf((value as Record<string, unknown>)[key], [...at, key]);
  }
}

function replaced<T>(body: T, path: readonly string[], by: unknown): T {
  const copy = structuredClone(body);
  let holder = copy as Record<string, unknown>;
  for (const key of path.slice(0, -1)) holder = holder[key] as Record<string, unknown>;
  const last = path.at(-1)!;
  if (by === undefined && !Array.isArray(holder)) delete holder[last];
  else holder[last] = by;
  return copy;
}

/** What is wrong with how a body was answered; nothing when it was taken, or refused as it should be. */
function fault({ status, body }: Answer): string | undefined {
  if (status < 300) return undefined;
  if (status >= 500) return `${status}`;
  const error = body?.error as { message?: string; field?: string | null } | undefined;
  if (!error?.message) return `${status} without a message`;
  if (status === 400 && !error.field) return `no field is named: ${error.message}`;
  if (error.message.length > 700) return `a message of ${error.message.length} characters`;
  if (/\[object|NaN|undefined|TypeError|SQLITE|SELECT|node_modules/.test(error.message))
    return `it shows insides: ${error.message}`;
  return undefined;
}

interface Target {
  method?: string;
  path: string;
  body: object;
  /** Done with what was taken: it is shown, and put as it was before. */
  after?: (answer: Answer) => Promise<string | undefined>;
}

/** Sends the body with garbage in each field, one field at a time. */
async function faultsOf({ method = 'POST', path, body, after }: Target): Promise<{ faults: string[]; refused: number }> {
  const faults: string[] = [];
  let refused = 0;
  for (const field of fieldsOf(body))
    for (const garbage of GARBAGE) {
      const answer = await send(method, path, replaced(body, field, garbage));
      if (answer.status >= 400) refused++;
      const wrong = fault(answer) ?? (answer.status < 300 ? await after?.(answer) : undefined);
      if (wrong) faults.push(`${field.join('.')} = ${JSON.stringify(garbage)?.slice(0, 40)}: ${wrong}`);
    }
  return { faults, refused };
}

/** What is wrong with a page: it breaks off, or shows a figure that is none. */
async function brokenPage(path: string): Promise<string | undefined> {
  const text = await fetch(inject('base') + path)
    .then((response) => response.text())
    .catch((error: Error) => error.message);
  if (!text.includes('</html>')) return `${path} breaks off`;
  const words = text.replace(/<script[\s\S]*?<\/script>/g, '');
  return /[> "](NaN|-?Infinity|undefined)[ <"]/.test(words) ? `${path} shows a figure that is none` : undefined;
}

/** A record that is kept, and what is wrong when garbage is saved over it. */
async function keptOver(kind: string, path: string, body: object, pages: (id: string) => string[]): Promise<string[]> {
  const first = await send('POST', path, body);
  expect([first.status, first.body.error]).toEqual([201, undefined]);
  return savedOver(kind, body, (first.body as { id: string }).id, pages);
}

async function savedOver(kind: string, body: object, id: string, pages: (id: string) => string[]): Promise<string[]> {
  const own = `/api/${kind}/${id}`;
  const target = { ...body, version: 1 };
  const faults: string[] = [];
  for (const field of fieldsOf(body)) {
    let looked = false;
    for (const garbage of GARBAGE) {
      const answer = await send('PUT', own, replaced(target, field, garbage));
      let wrong = fault(answer);
      if (answer.status < 300) {
        // The first of each field that is taken is looked at; pages take longer than all the rest.
        if (!looked) for (const page of pages(id)) wrong ??= await brokenPage(page);
        looked = true;
        target.version = (answer.body as { version: number }).version;
        const back = await send('PUT', own, target);
        wrong ??= fault(back);
        target.version = (back.body as { version: number }).version;
      }
      if (wrong) faults.push(`${field.join('.')} = ${JSON.stringify(garbage)?.slice(0, 40)}: ${wrong}`);
    }
  }
  await send('DELETE', own);
  return faults;
}

describe('garbage in any one field', () => {
  it.each<[path: string, heading: string]>([
    ['/api/choose', "api/choose -H 'content-type: application/json' -d '"],
    ['/api/choose/what-if', 'when it would be ruled out.\n```\n'],
    ['/api/choose/sensitivity', 'most likely change the best answer.\n```\n'],
    ['/api/choose/lining', 'The score is a mean of craft rules.\n```\n'],
    ['/api/compute/identify', '(bits still open).\n```\n'],
    ['/api/csv/preview', 'POST /api/csv/preview\n'],
    ['/api/compute/droop', '→ `bendingLength`, `rigidity`, `profile?` (x to the right, y downward, from `[0, 0]`).\n```\n'],
    ['/api/compute/inset', '→ `outlines`, `area`, `removedArea`.\n```\n'],
    ['/api/compute/flare', 'past the middle of the circle is refused.\n```\n'],
    ['/api/compute/hat', "outside the base's by what is between them.\n```\n"],
    ['/api/compute/pressplan', '`coverage` (0–1).\n```\n'],
  ])('sent to %s is refused by name, or makes no difference', async (path, heading) => {
    const { faults, refused } = await faultsOf({ path, body: example(heading) });
    expect(faults).toEqual([]);
    expect(refused).toBeGreaterThan(10);
  });

  it('of a layout is refused by name', async () => {
    // Without time to search, so that what is taken is answered at once.
    const body = { ...example('that the clock ends the search.\n```\n'), seconds: 0.05 };
    expect((await faultsOf({ path: '/api/compute/cutplan', body })).faults).toEqual([]);
  });

  it('is not kept of a cloth, a layer, an entry or a leftover, or does no harm', async () => {
    const tasks: [kind: string, path: string, body: object, pages: (id: string) => string[]][] = [
      ['cloths', '/api/cloths', example('POST /api/cloths\n'), (id) => [`/cupboard/cloths/${id}`, `/?cloth=${id}`]],
      ['layers', '/api/layers', example('POST /api/layers\n'), () => ['/cupboard?shelf=layers']],
      ['log', '/api/log', example('POST /api/log\n'), () => ['/logbook']],
      [
        'stock',
        '/api/stock',
        {
          kind: 'leftover',
          ofKind: 'layer',
          ofId: 'light-woven-fusible-45-g',
          width: 300,
          length: 200,
          outline: [[0, 0], [300, 0], [300, 120], [180, 200], [0, 200]], // prettier-ignore
          place: 'basket',
        },
        () => ['/cupboard?shelf=stock'],
      ],
    ];
    for (const [kind, path, body, pages] of tasks) expect([kind, await keptOver(kind, path, body, pages)]).toEqual([kind, []]);
  });

  it('is not kept of a piece, a cut or a job, or does no harm', async () => {
    const project = (await send('POST', '/api/projects', { name: 'Garbage' })).body as { id: string };
    const cloth = (await send('POST', '/api/cloths', { name: 'Garbage cloth', ...FABRIC })).body as { id: string };
    const yoke = {
      name: 'Yoke',
      shape: { kind: 'rounded', width: 300, height: 160, corners: [true, true, false, false], corner: 30 },
      line: 'cut',
      allowances: [10, 10, 10, 15],
      fold: 0,
      grain: 0,
      marks: [{ kind: 'notch', at: [150, 160] }],
    };
    const cut = { clothId: cloth.id, count: 2, pairs: true, own: [null, 12, 0, null], orientation: 'straight' };
    const job = {
      place: { kind: 'edges', edges: [1, 2], width: 30 },
      wish: { role: 'collar', stretch: 'any', care: 'wash-warm', hand: 'crisp' },
      stack: await chosenStack(),
    };
    const added = (await send('POST', `/api/projects/${project.id}/pieces`, { ...yoke, cuts: [{ ...cut, jobs: [job] }] })).body;
    const [pieceId, cutId, jobId] = [added.pieces[0].id, added.cuts[0].id, added.jobs[0].id] as string[];
    const pages = (stage: string) => `/projects/${project.id}?job=${jobId}&stage=${stage}`;
    const faults = [
      ...(await savedOver('pieces', yoke, pieceId!, () => [pages('pieces')])),
      ...(await savedOver('cuts', cut, cutId!, () => [pages('pieces')])),
      ...(await savedOver('jobs', job, jobId!, () => [pages('pieces'), pages('cut')])),
    ];
    expect(faults).toEqual([]);
  });

  it('is not kept of how far the bench has come', async () => {
    const project = (await send('POST', '/api/projects', { name: 'Bench of garbage' })).body as { id: string };
    const cloth = (await send('POST', '/api/cloths', { name: 'Bench cloth', ...FABRIC })).body as { id: string };
    const kept = await addWork(project.id, {
      ...{ name: 'Collar', clothId: cloth.id, count: 2, allowances: [10, 10, 10, 10], fold: null },
      shape: { kind: 'rectangle', width: 210, height: 55, corners: [false, false, false, false], corner: 0 },
      wish: { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' },
      stack: await chosenStack(),
    });
    expect(kept.body.error).toBeUndefined();
    const run = await send('POST', `/api/jobs/${kept.body.id}/bench`, undefined);
    expect(run.body.error).toBeUndefined();
    const endsAt = new Date(Date.now() + 60_000).toISOString();
    const body = { state: { ...run.body.state, endsAt, timers: [{ label: 'Cooling', endsAt }] }, finished: false, version: 1 };
    const own = `/api/bench/${run.body.id}`;
    const faults: string[] = [];
    for (const field of fieldsOf(body))
      for (const garbage of GARBAGE) {
        if (field[0] === 'version') continue;
        const { version } = (await send('GET', own)).body as { version: number };
        const answer = await send('PUT', own, { ...replaced(body, field, garbage), version });
        const wrong = fault(answer) ?? (answer.status < 300 ? await brokenPage(`/bench/${run.body.id}`) : undefined);
        if (wrong) faults.push(`${field.join('.')} = ${JSON.stringify(garbage)?.slice(0, 40)}: ${wrong}`);
      }
    expect(faults).toEqual([]);
  });
});

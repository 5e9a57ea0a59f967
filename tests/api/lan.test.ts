import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { request as secureRequest } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FABRIC, PART, pieceOf } from './samples';
import { startServer, type RunningServer } from './server';

/** Another loopback address stands for the home network. */
const OUTSIDE = '127.0.0.2';
const PORT = 4376;
const HOST = `${OUTSIDE}:${PORT}`;

interface Told {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  body: string;
}

function asked(
  path: string,
  options: { method?: string; headers?: Record<string, string>; body?: string; plain?: boolean } = {},
): Promise<Told> {
  const { method = 'GET', headers = {}, body, plain = false } = options;
  return new Promise((resolve, reject) => {
    const make = plain ? plainRequest : secureRequest;
    const sent = make({ host: OUTSIDE, port: PORT, path, method, headers, rejectUnauthorized: false, agent: false }, (answer) => {
      let text = '';
      answer.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
      answer.on('end', () => resolve({ status: answer.statusCode!, headers: answer.headers, body: text }));
    });
    sent.on('error', reject);
    sent.end(body);
  });
}
const form = (fields: Record<string, string>, headers: Record<string, string> = {}) =>
  asked('/pair', {
    method: 'POST',
    body: new URLSearchParams(fields).toString(),
    headers: { 'content-type': 'application/x-www-form-urlencoded', origin: `https://${HOST}`, ...headers },
  });

let folder: string;
let server: RunningServer;
const inside = async (method: string, path: string, body?: unknown, headers: Record<string, string> = {}) => {
  const answer = await fetch(server.base + path, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  // Answers are of every shape; each test says what it expects of them.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  return { status: answer.status, body: (await answer.json()) as any };
};
const newCode = async () => (await inside('POST', '/api/devices/code')).body as { code: string; url: string; qr: string };
/** Guesses are a second apart. */
const tried = async (fields: Record<string, string>, headers: Record<string, string> = {}) => {
  for (;;) {
    const answer = await form(fields, headers);
    if (answer.status !== 429) return answer;
    await new Promise((later) => setTimeout(later, 100));
  }
};
const paired = async (name: string) => {
  const { code } = await newCode();
  const answer = await tried({ code, name });
  expect(answer.status).toBe(303);
  return String(answer.headers['set-cookie']).split(';')[0]!;
};

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-lan-'));
  process.env['NEMBREL_LAN_ADDRESS'] = OUTSIDE;
  server = await startServer(join(folder, 'lan.db'), PORT, ['--lan']);
  delete process.env['NEMBREL_LAN_ADDRESS'];
});
afterAll(() => {
  server.process.kill();
  rmSync(folder, { recursive: true, force: true });
});

describe('a stranger in the home network', () => {
  it.each([
    '/', '/projects', '/settings', '/api/settings', '/api/cloths', '/api/backup', '/api/devices', '/icon.svg', '/samples/pieces.jpg',
    '/_astro/anything.js', '//api/settings', '/%61pi/settings', '/pair/../api/settings', '/pair%2f..%2fapi/settings', '/pair/', '/PAIR',
  ])('sees nothing at %s', async (path) => {
    const { status, headers, body } = await asked(path);
    expect([401, 303]).toContain(status);
    if (status === 303) expect(headers.location).toBe('/pair');
    expect(body.length).toBeLessThan(100);
  }); // prettier-ignore

  it.each(['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE'])('changes nothing by %s', async (method) => {
    const { status } = await asked('/api/settings', { method });
    expect(status).toBe(401);
  });

  it('sees one page, without a script, and in the clear only the way to it', async () => {
    const { status, headers, body } = await asked('/pair');
    expect(status).toBe(200);
    expect(body).toContain('Pair this device');
    expect(body).not.toContain('<script');
    expect(headers['content-security-policy']).toMatch(/^default-src 'none'; style-src 'sha256-/);
    const clear = await asked('/api/settings?x=1', { plain: true });
    expect([clear.status, clear.headers.location, clear.body]).toEqual([308, `https://${HOST}/api/settings?x=1`, '']);
    expect((await asked('/', { plain: true, headers: { host: 'elsewhere.example' } })).status).toBe(403);
    expect((await asked('/pair', { headers: { host: 'elsewhere.example' } })).status).toBe(403);
  });

  it('is not let in by saying that it is a device', async () => {
    expect((await asked('/api/settings', { headers: { 'x-nembrel-device': 'ironing board' } })).status).toBe(401);
    for (const cookie of ['__Host-nembrel=', '__Host-nembrel=a.b.c', '__Host-nembrel=..', `__Host-nembrel=${'x'.repeat(3000)}`])
      expect((await asked('/api/settings', { headers: { cookie } })).status).toBe(401);
  });
});

describe('pairing', () => {
  it('lets a device in with the code, once, and remembers its name', async () => {
    const { code, url, qr } = await newCode();
    expect(code).toMatch(/^\d{6}$/);
    expect(url).toBe(`https://${HOST}/pair?code=${code}`);
    expect(qr).toContain('<svg');
    const answer = await tried({ code, name: ' Ironing\nboard ' });
    expect(answer.status).toBe(303);
    const cookie = String(answer.headers['set-cookie']);
    for (const part of ['__Host-nembrel=', 'Path=/', 'Secure', 'HttpOnly', 'SameSite=Strict']) expect(cookie).toContain(part);
    const own = { headers: { cookie: cookie.split(';')[0]! } };
    expect((await asked('/api/settings', own)).status).toBe(200);
    expect((await asked('/projects', own)).body).toContain('<main');
    const { body } = await inside('GET', '/api/devices');
    expect(body.devices.map(({ name }: { name: string }) => name)).toContain('Ironing board');
    // The code is used up.
    expect((await tried({ code, name: 'again' })).status).toBe(403);
    expect(JSON.parse((await asked('/api/devices', own)).body).own).toBe('Ironing board');
  });

  it('is over after five wrong guesses, whoever made them, a second apart', async () => {
    const { code } = await newCode();
    const wrong = code === '000000' ? '111111' : '000000';
    const first = await tried({ code: wrong, name: '' });
    expect([first.status, first.body]).toEqual([403, expect.stringContaining('not the code')]);
    expect((await form({ code: wrong })).status).toBe(429);
    for (let i = 1; i < 5; i++) await tried({ code: wrong, name: '' });
    expect((await tried({ code, name: '' })).body).toContain('No code is shown');
  });

  it('is not done from another site, not as another type, not at length', async () => {
    const { code } = await newCode();
    for (const origin of ['https://elsewhere.example', 'null', `http://${HOST}`])
      expect((await form({ code }, { origin })).status).toBe(403);
    expect((await form({ code }, { 'content-type': 'text/plain' })).status).toBe(415);
    expect((await form({ code, name: 'x'.repeat(5000) })).status).toBe(413);
    expect((await tried({ code, name: 'right' })).status).toBe(303);
  });
});

describe('a paired device', () => {
  it('is told apart: a changed session, or that of another, opens nothing; a revoked one no more', async () => {
    const cookie = await paired('Machine');
    const at = cookie.indexOf('=') + 1;
    for (const place of [at, at + 40, cookie.length - 2]) {
      const changed = cookie.slice(0, place) + (cookie[place] === 'A' ? 'B' : 'A') + cookie.slice(place + 1);
      expect((await asked('/api/settings', { headers: { cookie: changed } })).status).toBe(401);
    }
    const { body } = await inside('GET', '/api/devices');
    const { id } = body.devices.find(({ name }: { name: string }) => name === 'Machine');
    expect((await inside('DELETE', `/api/devices/${id}`)).status).toBe(200);
    expect((await asked('/api/settings', { headers: { cookie } })).status).toBe(401);
    expect((await inside('DELETE', `/api/devices/${id}`)).status).toBe(404);
  });

  it('writes from its own pages alone, and cannot open, pair or shut out', async () => {
    const cookie = await paired('Tablet');
    const write = (origin: string | undefined, path = '/api/projects', method = 'POST', body: unknown = { name: 'From the tablet', note: '' }) =>
      asked(path, { method, body: JSON.stringify(body), headers: { cookie, 'content-type': 'application/json', ...(origin ? { origin } : {}) } });
    expect((await write(`https://${HOST}`)).status).toBe(201);
    for (const origin of ['https://elsewhere.example', `http://${HOST}`, 'null', `https://${OUTSIDE}:1`])
      expect((await write(origin)).status).toBe(403);
    expect((await write(`https://${HOST}`, '/api/devices/code')).status).toBe(403);
    expect((await write(`https://${HOST}`, '/api/devices', 'PUT', { open: false })).status).toBe(403);
    expect((await asked('/api/devices/some', { method: 'DELETE', headers: { cookie, origin: `https://${HOST}` } })).status).toBe(403);
  }); // prettier-ignore

  it('is named where it ticked; the computer itself is not', async () => {
    const cookie = await paired('Board');
    const { body: project } = await inside('POST', '/api/projects', { name: 'Ticked', note: '' });
    const { body: cloth } = await inside('POST', '/api/cloths', { ...FABRIC, name: 'Ticked cloth' });
    const shape = { kind: 'rectangle', width: 100, height: 80, corners: [false, false, false, false], corner: 0 };
    const stack = {
      ...{ title: 'Light woven', layers: [{ materialId: 'light-woven-fusible-45-g', extent: 'full', angle: 0 }] },
      predicted: { bendingLength: 30, low: 25, high: 35, rigidity: 20, arealDensity: 160, thickness: 0.5 },
      ...{ reasons: [], cautions: [] },
    };
    const added = await inside('POST', `/api/projects/${project.id}/pieces`, pieceOf({
      ...{ name: 'Tab', shape, line: 'cut', allowances: [5, 5, 5, 5], fold: null, marks: [], clothId: cloth.id, count: 1 },
      ...{ wish: PART, stack },
    })); // prettier-ignore
    const { body: run } = await inside('POST', `/api/jobs/${added.body.jobs[0].id}/bench`);
    const at = '2026-03-01T10:00:00.000Z';
    const moves = (id: string, check: string) => ({ moves: [{ id, at, move: { kind: 'tick', check, on: true } }] });
    const headers = { cookie, origin: `https://${HOST}`, 'content-type': 'application/json' };
    await asked(`/api/bench/${run.id}/moves`, { method: 'POST', headers, body: JSON.stringify(moves('m1', 'Edges hold')) });
    // What a program on the computer itself says of a device is not believed.
    const told = await inside('POST', `/api/bench/${run.id}/moves`, moves('m2', 'No bubbles'), { 'x-nembrel-device': 'Liar' });
    expect(told.body.state.checks).toEqual(['Edges hold', 'No bubbles']);
    expect(told.body.state.tickedBy).toEqual([{ check: 'Edges hold', device: 'Board' }]);
  });
});

describe('the door', () => {
  it('is opened and shut from inside, at once; devices stay paired, and what is kept opens nothing', async () => {
    const cookie = await paired('Kept');
    expect((await inside('PUT', '/api/devices', { open: false })).body).toMatchObject({ open: false, addresses: [] });
    await expect(asked('/pair')).rejects.toThrow();
    const again = await inside('PUT', '/api/devices', { open: true });
    expect(again.body).toMatchObject({ open: true, addresses: [`https://${HOST}`] });
    expect(again.body.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    expect((await asked('/api/settings', { headers: { cookie } })).status).toBe(200);
    const file = join(folder, 'lan-door/devices.json');
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(statSync(join(folder, 'lan-door/certificate.json')).mode & 0o077).toBe(0);
    expect(readFileSync(file, 'utf8')).not.toContain(cookie.split('.')[1]!);
  });

  it('knows its switches', async () => {
    await expect(startServer(join(folder, 'other.db'), 4377, ['--langue'])).rejects.toThrow(/Unknown option '--langue'[^]*--lan/);
  });
});

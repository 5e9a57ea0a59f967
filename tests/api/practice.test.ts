import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { send } from './client';
import { startServer, type RunningServer } from './server';

let folder: string;
let server: RunningServer;
let practice: string;
const own = (method: string, path: string, body?: unknown) => send(method, path, body, {}, server.base);
const there = (method: string, path: string, body?: unknown) => send(method, path, body, {}, practice);
const names = (answer: { body: { projects: { name: string }[] } }) => answer.body.projects.map(({ name }) => name).sort();

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-practice-'));
  server = await startServer(join(folder, 'mine.db'), 4379);
  practice = (await own('POST', '/api/practice')).body.address.replace(/\/$/, '');
});
afterAll(() => {
  server.process.kill();
  rmSync(folder, { recursive: true, force: true });
});

describe('the practice house', () => {
  it('is full from the beginning, in a file and at an address of its own, and opened once', async () => {
    expect(practice).not.toBe(server.base);
    expect(names(await there('GET', '/api/projects'))).toHaveLength(6);
    expect(names(await own('GET', '/api/projects'))).toEqual([]);
    expect(existsSync(join(folder, 'mine-practice.db'))).toBe(true);
    expect((await own('POST', '/api/practice')).body.address).toBe(`${practice}/`);
    expect((await there('POST', '/api/practice')).body.address).toBe(`${practice}/`);
  });

  it('never mixes with one’s own, however close together both are asked', async () => {
    const rounds = Array.from({ length: 20 }, (_, i) => i);
    await Promise.all(
      rounds.flatMap((i) => [
        own('POST', '/api/projects', { name: `Mine ${i}` }),
        there('POST', '/api/projects', { name: `Tried ${i}` }),
        // Planned in a thread, which opens the file by itself.
        there('GET', '/api/day/now'),
        own('GET', '/api/day/now'),
      ]),
    );
    expect(names(await own('GET', '/api/projects'))).toEqual(rounds.map((i) => `Mine ${i}`).sort());
    expect(names(await there('GET', '/api/projects')).filter((name) => name.startsWith('Mine'))).toEqual([]);
    expect(names(await there('GET', '/api/projects')).filter((name) => name.startsWith('Tried'))).toHaveLength(20);
  });

  it('paints its own pages, whole, and says on each whose they are', async () => {
    const settings = (await there('GET', '/api/settings')).body;
    expect((await there('PUT', '/api/settings', { ...settings, settings: { ...settings.settings, theme: 'lamplight' } })).status).toBe(200); // prettier-ignore
    const page = async (base: string) => (await fetch(`${base}/projects`)).text();
    const [mine, tried] = await Promise.all([page(server.base), page(practice)]);
    // The frame of the page is painted after its middle, and is of the same house.
    expect([/data-theme="(\w+)"/.exec(mine)![1], /data-theme="(\w+)"/.exec(tried)![1]]).toEqual(['workroom', 'lamplight']);
    expect([mine.includes('Mine 3'), mine.includes('Tried 3'), mine.includes('Practice house')]).toEqual([true, false, false]);
    expect([tried.includes('Mine 3'), tried.includes('Tried 3'), tried.includes('Practice house')]).toEqual([false, true, true]);
    expect(tried).toContain(`${server.base}/`);
  });

  it('is begun afresh, and only it', async () => {
    const refused = await own('POST', '/api/practice/afresh');
    expect([refused.status, refused.body.error.message]).toEqual([403, expect.stringMatching(/this is your own/)]);
    expect((await there('POST', '/api/practice/afresh')).status).toBe(200);
    expect(names(await there('GET', '/api/projects'))).toHaveLength(6);
    expect(names(await own('GET', '/api/projects'))).toHaveLength(20);
  });

  it('is as closed as one’s own: other names, other sites, the other house’s origin, and no door', async () => {
    const port = Number(new URL(practice).port);
    const asked = (host: string) =>
      new Promise<number>((resolve, reject) => {
        request({ host: '127.0.0.1', port, path: '/api/projects', headers: { host } }, ({ statusCode, resume }) => {
          void resume;
          resolve(statusCode!);
        })
          .on('error', reject)
          .end();
      });
    expect(await asked(`127.0.0.1:${port}`)).toBe(200);
    for (const host of ['house.example', new URL(server.base).host]) expect(await asked(host)).toBe(403);
    const crossed = await send('POST', '/api/projects', { name: 'Crossed' }, { origin: server.base }, practice);
    expect(crossed.status).toBe(403);
    const door = await there('PUT', '/api/devices', { open: true });
    expect([door.status, door.body.error.message]).toEqual([403, expect.stringMatching(/your own house/)]);
    // A name from outside is nobody's: this computer is no paired device.
    const named = await send('POST', '/api/practice', undefined, { 'x-nembrel-device': 'tablet' }, server.base);
    expect(named.status).toBe(200);
  });
});

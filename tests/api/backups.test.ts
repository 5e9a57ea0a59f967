import Database from 'better-sqlite3';
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect } from '../../src/store/database';
import { drill, printOf } from '../../src/store/backup-drill';
import { FABRIC } from './samples';
import { startServer, type RunningServer } from './server';

let folder: string;
let server: RunningServer;
const send = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(server.base + path, {
    method,
    headers: body === undefined ? {} : { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  // Answers are of every shape; each test says what it expects of them.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  return { status: answer.status, body: (await answer.json()) as any };
};

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-backups-'));
  server = await startServer(join(folder, 'house.db'), 4378);
});
afterAll(() => {
  server.process.kill();
  rmSync(folder, { recursive: true, force: true });
});

describe('backups by themselves', () => {
  let name: string;

  it('are made where there is none of today, looked through, and listed', async () => {
    expect((await send('GET', '/api/backups')).body).toMatchObject({ made: null, backups: [], own: false });
    const { status, body } = await send('POST', '/api/backups?due=yes');
    expect([status, body.trouble, body.backups.length]).toEqual([200, null, 1]);
    name = body.backups[0].name;
    expect(name).toMatch(/^house-\d{4}-\d{2}-\d{2}\.db$/);
    expect(body.folder).toBe(join(folder, 'house-backups'));
    // A second time there is one; nothing half written lies beside it.
    const at = body.made.at;
    expect((await send('POST', '/api/backups?due=yes')).body.made.at).toBe(at);
    expect(readdirSync(body.folder)).toEqual([name]);
  });

  it('tell in words what has changed since', async () => {
    const changes = async () => (await send('GET', `/api/backups/${name}/changes`)).body.changes as string[];
    expect(await changes()).toEqual([]);
    const { body: cloth } = await send('POST', '/api/cloths', { ...FABRIC, name: 'Newly bought' });
    for (const each of ['One', 'Two']) await send('POST', '/api/projects', { name: each, note: '' });
    expect(await changes()).toEqual(['2 projects added', '1 cloth added']);
    await send('POST', '/api/stock', { kind: 'roll', ofKind: 'cloth', ofId: cloth.id, width: 1400, length: 2000 });
    await send('POST', '/api/backups');
    expect(await changes()).toEqual([]);
    const { body: all } = await send('GET', '/api/projects');
    const one = all.projects.find((project: { name: string }) => project.name === 'One');
    const renamed = await send('PUT', `/api/projects/${one.id}`, { name: 'First', note: '', version: one.version });
    expect(renamed.status).toBe(200);
    const two = all.projects.find((project: { name: string }) => project.name === 'Two');
    await send('DELETE', `/api/projects/${two.id}`);
    expect(await changes()).toEqual(['1 project changed', '1 project deleted']);
  });

  it('are brought back from the list, and stay in it; what was here stays beside the database', async () => {
    const count = await send('POST', `/api/backups/${name}/restore`);
    expect(count.body).toMatchObject({ projects: 2, cloths: expect.any(Number) });
    const { body } = await send('GET', '/api/projects');
    expect(body.projects.map((project: { name: string }) => project.name).sort()).toEqual(['One', 'Two']);
    expect((await send('GET', '/api/backups')).body.backups).toHaveLength(1);
    expect(existsSync(join(folder, 'house.db.before-restore'))).toBe(true);
  });

  it('are tried: everything could be brought back, table by table', async () => {
    const { status, body } = await send('POST', '/api/backups/drill');
    expect(status, JSON.stringify(body)).toBe(200);
    expect(body.tables).toBeGreaterThan(15);
    expect(body.rows).toBeGreaterThan(100);
    expect((await send('GET', '/api/backups')).body.drill).toEqual(body);
    expect(readdirSync(folder).filter((each) => each.startsWith('.'))).toEqual([]);
  });

  it('go to the folder that one names; one that cannot be written to is refused, and nothing changes', async () => {
    const { version } = (await send('GET', '/api/backups')).body;
    const refused = async (to: string | null) => (await send('PUT', '/api/backups', { folder: to, version })).body.error?.field;
    expect(await refused('not/whole')).toBe('folder');
    writeFileSync(join(folder, 'a-file'), '');
    expect(await refused(join(folder, 'a-file', 'below'))).toBe('folder');
    const other = join(folder, 'other disk');
    expect((await send('PUT', '/api/backups', { folder: other, version })).body).toMatchObject({
      folder: other,
      own: true,
      backups: [],
    });
    await send('POST', '/api/backups');
    expect(readdirSync(other)).toEqual([name]);
    expect((await send('PUT', '/api/backups', { folder: null, version })).status).toBe(409);
  });

  it.each(['nothing.db', '../house.db', '..%2fhouse.db', 'house-2020-01-01.db', '%2e%2e%2fhouse.db'])('of another name (%s) are none', async (other) => {
    for (const path of ['changes', 'restore'])
      expect((await send(path === 'changes' ? 'GET' : 'POST', `/api/backups/${other}/${path}`)).status).toBe(404);
  }); // prettier-ignore
});

describe('a drill', () => {
  it('compares what is there, row by row: one letter more and the prints differ', async () => {
    const path = join(folder, 'house.db');
    const scratch = join(folder, 'scratch.db');
    const found = await drill(path, scratch);
    const copy = new Database(scratch);
    const live = connect(path);
    expect(printOf(copy, 'layer')).toEqual(printOf(live, 'layer'));
    expect(found.rows).toBeGreaterThan(printOf(live, 'layer').rows);
    copy.prepare("UPDATE layer SET note = note || 'x' WHERE id = (SELECT id FROM layer LIMIT 1)").run();
    expect(printOf(copy, 'layer').print).not.toBe(printOf(live, 'layer').print);
    copy.close();
    live.close();
  });
});

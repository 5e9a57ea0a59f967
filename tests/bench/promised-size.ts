import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { get, request, type IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FABRIC, PART } from '../api/samples';
import { startServer } from '../api/server';

/** What was asked, how long it took, ms, and how many bytes came over the wire. */
export interface Asked {
  name: string;
  ms: number;
  bytes: number;
}

const PAGES = ['/', '/projects', '/cupboard', '/cupboard?shelf=layers', '/logbook', '/buy', '/hoop', '/settings'];
const COLLAR = { fabric: FABRIC, part: PART };

/** Reads an answer as a browser would, compressed, and counts its bytes. */
function ask(url: string, body?: object): Promise<{ ms: number; bytes: number; text: string }> {
  const start = performance.now();
  return new Promise((resolve, reject) => {
    const heard = (answer: IncomingMessage) => {
      let [bytes, text] = [0, ''];
      answer.on('data', (chunk: Buffer) => {
        bytes += chunk.length;
        text += String(chunk);
      });
      answer.on('end', () => resolve({ ms: performance.now() - start, bytes, text }));
    };
    if (!body) {
      get(url, { headers: { 'accept-encoding': 'gzip' } }, heard).on('error', reject);
      return;
    }
    const sent = request(url, { method: 'POST', headers: { 'content-type': 'application/json' } }, heard);
    sent.on('error', reject);
    sent.end(JSON.stringify(body));
  });
}

/** Pages and choosing on a database of the size that is promised: 10 000 layers, 5 000 entries, 1 000 projects. Medians of five. */
export async function promisedSize(): Promise<Asked[]> {
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-large-'));
  const path = join(folder, 'large.db');
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/make-large.ts', path], { stdio: 'inherit' });
  const server = await startServer(path, 4382);
  try {
    const best = (JSON.parse((await ask(`${server.base}/api/choose`, COLLAR)).text) as { ranked: { id: string }[] }).ranked[0]!;
    const questions: [string, string, object?][] = [
      ...PAGES.map((page): [string, string] => [`page ${page}`, page]),
      ['choose, collar', '/api/choose', COLLAR],
      ['what would change if', '/api/choose/what-if', { ...COLLAR, stackId: best.id }],
      ['search, first question', '/api/search?q=collar'],
      ['search, a letter wrong', '/api/search?q=colar+linen'],
      ['what to measure next', '/api/choose/sensitivity', COLLAR],
    ];
    const found: Asked[] = [];
    for (const [name, address, body] of questions) {
      const runs = [];
      for (let i = 0; i < 5; i++) runs.push(await ask(server.base + address, body));
      runs.sort((a, b) => a.ms - b.ms);
      found.push({ name, ms: runs[2]!.ms, bytes: runs[2]!.bytes });
    }
    return found;
  } finally {
    server.process.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

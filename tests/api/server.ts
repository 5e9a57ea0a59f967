import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    base: string;
  }
}

export interface RunningServer {
  base: string;
  process: ChildProcess;
}

/** Starts the built application on a database file and waits until it says where it is. */
export function startServer(database: string, port: number, args: string[] = []): Promise<RunningServer> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['scripts/serve.mjs', '--port', String(port), ...args], {
      env: { ...process.env, NEMBREL_DB: database },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const read = (chunk: Buffer) => {
      output += chunk.toString();
      const ready = /ready: (http:\/\/\S+)/.exec(output);
      if (ready) resolve({ base: ready[1]!, process: child });
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.on('exit', (code) => reject(new Error(`the server ended with ${code}:\n${output}`)));
  });
}

/** One server for all endpoint tests, on a database file of its own. */
export default async function setup(project: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-api-'));
  const server = await startServer(join(folder, 'api.db'), 4371);
  project.provide('base', server.base);
  return () => {
    server.process.kill();
    rmSync(folder, { recursive: true, force: true });
  };
}

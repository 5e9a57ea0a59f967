// Serves the built application: finds a free port, says where it is, and stays quiet.
import compression from 'compression';
import { createServer as createHttpServer } from 'node:http';
import { createServer } from 'node:net';
import { existsSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import sirv from 'sirv';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const entry = join(root, 'dist/server/entry.mjs');
if (!existsSync(entry)) {
  console.error('Nembrel is not built yet. Run: npm start');
  process.exit(1);
}

const args = process.argv.slice(2);
const value = (name) => {
  const at = args.indexOf(name);
  return at >= 0 ? args[at + 1] : undefined;
};
const asked = value('--port') ?? process.env.PORT;
const first = Number(asked ?? 4310);
if (!Number.isInteger(first) || first < 1 || first > 65535) {
  console.error(`--port must be a whole number from 1 to 65535, saw ${asked}`);
  process.exit(1);
}

function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

let port = first;
while (!(await isFree(port))) {
  port += 1;
  if (port > Math.min(65535, first + 50)) {
    console.error(`No free port from ${first} to ${port - 1}. Name another with --port.`);
    process.exit(1);
  }
}
if (port !== first) console.log(`Port ${first} is taken, using ${port}.`);

process.env.HOST = '127.0.0.1';
process.env.PORT = String(port);
process.env.ASTRO_NODE_LOGGING = 'disabled';
if (args.includes('--demo')) {
  process.env.NEMBREL_DEMO = '1';
  process.env.NEMBREL_DB ??= 'data/demo.db';
}
// Pages are drawn by the fast build of the interface library; its other one looks for our mistakes at every element.
process.env.NODE_ENV ??= 'production';
const { handler } = await import(pathToFileURL(entry).href);
const compress = compression({ threshold: 1024 });
/** Built files have a fingerprint in their names and never change. */
const files = sirv(join(root, 'dist/client'), {
  etag: true,
  setHeaders: (response, path) => {
    if (path.startsWith('/_astro/')) response.setHeader('cache-control', 'public, max-age=31536000, immutable');
  },
});
/** A path as it is meant: decoded, however often it was encoded, and without “.”, “..” and doubled slashes; none where it cannot be read. */
function plainPath(url) {
  let path = url.split(/[?#]/)[0];
  try {
    // A bare percent sign is no address; what is encoded more than once is decoded to its end.
    decodeURIComponent(path);
    for (let times = 0; times < 5 && /%[0-9a-f]{2}/i.test(path); times++) path = decodeURIComponent(path);
  } catch {
    return undefined;
  }
  return posix
    .normalize(`/${path.replaceAll('\\', '/')}`)
    .replace(/^\/+/, '/')
    .toLowerCase();
}
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];

// The application sets its own, stricter headers; these stand on whatever is answered before it is reached.
const server = createHttpServer((request, response) => {
  response.setHeader('content-security-policy', "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'");
  response.setHeader('x-content-type-options', 'nosniff');
  const refuse = (status, message) => {
    response.writeHead(status, { 'content-type': 'application/json; charset=utf-8', allow: METHODS.join(', ') });
    response.end(JSON.stringify({ error: { message, field: null } }));
  };
  if (!METHODS.includes(request.method)) return refuse(405, `${request.method} is not answered here.`);
  const path = plainPath(request.url);
  if (path === undefined) return refuse(400, 'The address cannot be read.');
  // The framework's own picture service is not used; nothing of it is open, however its address is spelled.
  if (path.startsWith('/_image')) return refuse(404, 'There is no such address.');
  const application = () => handler(request, response);
  // At once, in the same turn: of a request whose sender went away while files were looked through nothing can be made any more.
  if (request.url.startsWith('/api/') || (request.method !== 'GET' && request.method !== 'HEAD'))
    return compress(request, response, application);
  return compress(request, response, () => files(request, response, application));
});
// A client that never finishes its request does not hold a connection for ever.
server.requestTimeout = 60_000;
// Node's five seconds are so short that a client that was busy meanwhile sends on a line that has just been closed.
server.keepAliveTimeout = 65_000;
await new Promise((resolve, reject) => {
  server.once('error', reject);
  server.listen(port, '127.0.0.1', resolve);
});
// Open the database now, so that a trouble with it is told at the start and not with the first page.
const answer = await fetch(`http://127.0.0.1:${port}/api/settings`);
if (!answer.ok) {
  const told = await answer.json().catch(() => undefined);
  console.error(told?.error?.message ?? 'The database could not be opened; the lines above say why.');
  process.exit(1);
}
console.log(
  `\n  Nembrel is ready: http://127.0.0.1:${port}\n  Stop it with Ctrl+C. Everything is kept in ${process.env.NEMBREL_DB ?? 'data/nembrel.db'}.\n`,
);

// Serves the built application: finds a free port, says where it is, and stays quiet.
import compression from 'compression';
import { AsyncLocalStorage } from 'node:async_hooks';
import { createServer as createHttpServer } from 'node:http';
import { createServer } from 'node:net';
import { existsSync } from 'node:fs';
import { dirname, join, posix, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import sirv from 'sirv';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const entry = join(root, 'dist/server/entry.mjs');
if (!existsSync(entry)) {
  console.error('Nembrel is not built yet. Run: npm start');
  process.exit(1);
}

let given;
try {
  given = parseArgs({ options: { port: { type: 'string' }, demo: { type: 'boolean' }, lan: { type: 'boolean' } } }).values;
} catch (error) {
  console.error(
    `${error.message}\nKnown are --port NUMBER, --demo (with the demo’s data) and --lan (opens it to the home network).`,
  );
  process.exit(1);
}
const asked = given.port ?? process.env.PORT;
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
if (given.demo) {
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
// A newer version is built while this one runs: a file of this one that is gone is an answer that ends early, not the end of the house.
process.on('uncaughtException', (error) => {
  const ofTheApplication = error?.code === 'ENOENT' && String(error.path ?? '').startsWith(join(root, 'dist'));
  if (ofTheApplication) return console.error(`A file is gone that a page asked for; start Nembrel again: ${error.path}`);
  console.error(error);
  process.exit(1);
});
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];

// The application sets its own, stricter headers; these stand on whatever is answered before it is reached.
const application = (request, response) => {
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
  const answered = () => handler(request, response);
  // At once, in the same turn: of a request whose sender went away while files were looked through nothing can be made any more.
  if (request.url.startsWith('/api/') || (request.method !== 'GET' && request.method !== 'HEAD'))
    return compress(request, response, answered);
  return compress(request, response, () => files(request, response, answered));
};
/** A server for this computer alone. */
async function listening(at, answer) {
  const server = createHttpServer((request, response) => {
    // Who comes from this computer is no paired device, whatever is said.
    delete request.headers['x-nembrel-device'];
    answer(request, response);
  });
  // A client that never finishes its request does not hold a connection for ever.
  server.requestTimeout = 60_000;
  // Node's five seconds are so short that a client that was busy meanwhile sends on a line that has just been closed.
  server.keepAliveTimeout = 65_000;
  await new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(at, '127.0.0.1', resolve);
  });
  return server;
}
await listening(port, application);
const kept = resolve(root, process.env.NEMBREL_DB ?? 'data/nembrel.db').replace(/\.db$/, '');

// The practice house: the demo's data in a file of its own, at an address of its own, so that nothing of it, not even a draft in the browser, is
// ever mixed with one's own. It is opened when somebody wants to practise.
const house = new AsyncLocalStorage();
globalThis[Symbol.for('nembrel.house')] = house;
let practice;
async function openPractice() {
  let at = port + 1000;
  while (!(await isFree(at))) at += 1;
  const own = { port: at, path: `${kept}-practice.db`, home: `http://127.0.0.1:${port}/` };
  await listening(at, (request, response) => house.run(own, () => application(request, response)));
  return own;
}
globalThis[Symbol.for('nembrel.practice')] = () => {
  practice ??= openPractice().catch((error) => {
    practice = undefined;
    throw error;
  });
  return practice;
};

// Open the database now, so that a trouble with it is told at the start and not with the first page.
const answer = await fetch(`http://127.0.0.1:${port}/api/settings`);
if (!answer.ok) {
  const told = await answer.json().catch(() => undefined);
  console.error(told?.error?.message ?? 'The database could not be opened; the lines above say why.');
  process.exit(1);
}

// The door to the home network: shut, unless it is asked for here or was left open by the switch in Settings.
const { Door } = await import(pathToFileURL(join(root, 'dist/threads/door.mjs')).href);
const lan = process.env.NEMBREL_LAN_ADDRESS;
const door = new Door({ folder: `${kept}-door`, port, application, addresses: lan ? lan.split(',') : undefined });
globalThis[Symbol.for('nembrel.door')] = door;
let outside = '';
if (given.lan || door.wanted) {
  try {
    await door.open(false);
    const { code } = door.code();
    outside = `\n  In the home network: ${door.state().addresses.join(', ')}\n  To pair a device, type this code there within five minutes: ${code}\n`;
  } catch (error) {
    console.error(`\n  The home network is not let in. ${error.message}`);
  }
}
console.log(
  `\n  Nembrel is ready: http://127.0.0.1:${port}\n${outside}  Stop it with Ctrl+C. Everything is kept in ${process.env.NEMBREL_DB ?? 'data/nembrel.db'}.\n`,
);

// A backup a day, by itself: a minute after the start, so that nobody waits for it, then looked after every hour.
const backUp = () => void fetch(`http://127.0.0.1:${port}/api/backups?due=yes`, { method: 'POST' }).catch(() => undefined);
setTimeout(backUp, 60_000).unref();
setInterval(backUp, 3_600_000).unref();

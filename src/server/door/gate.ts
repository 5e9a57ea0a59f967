import { createHash } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Devices } from './devices';
import { pairPage } from './pair-page';
import type { Pairing } from './pairing';

/** Tells the application which device asks; whatever comes from outside under this name is taken off. */
export const DEVICE_HEADER = 'x-nembrel-device';
/** Bound to this very address, never sent along from another site, never seen by a script. */
const COOKIE = '__Host-nembrel';
const YEAR = 365 * 24 * 3600;
/** A form with a code and a name. */
const MOST_BYTES = 2048;

const TROUBLES = {
  wrong: 'That is not the code. After five wrong ones a new code is needed.',
  void: 'No code is shown just now: ask for a new one on the computer.',
  'too-soon': 'One try a second. Please type it again.',
};

export interface GateOptions {
  devices: Devices;
  pairing: Pairing;
  /** Names under which the home network reaches this computer, with the port. */
  hosts: () => readonly string[];
  now: () => number;
}

/**
 * What stands between the home network and the application: a device that was paired passes, with its name; any other sees the pairing page
 * and nothing else.
 *
 * @returns whether the request passes; what does not is answered
 */
export async function passes(request: IncomingMessage, response: ServerResponse, gate: GateOptions): Promise<boolean> {
  delete request.headers[DEVICE_HEADER];
  const { devices, hosts, now } = gate;
  const host = request.headers.host?.toLowerCase() ?? '';
  if (!hosts().includes(host)) return told(response, 403, 'This address is not one that Nembrel answers to.');
  const path = (request.url ?? '/').split(/[?#]/)[0]!;
  const device = devices.of(cookieOf(request), now());
  if (device) {
    if (path === '/pair') return sent(response, '/');
    request.headers[DEVICE_HEADER] = encodeURIComponent(device.name);
    return true;
  }
  if (path === '/pair' && request.method === 'GET') {
    const code = new URL(request.url!, 'https://here').searchParams.get('code') ?? '';
    return page(response, 200, pairPage({ code: /^\d{6}$/.test(code) ? code : '' }));
  }
  if (path === '/pair' && request.method === 'POST') return paired(request, response, host, gate);
  if (path.startsWith('/api/')) return told(response, 401, 'This device is not paired with Nembrel yet.');
  return request.method === 'GET' ? sent(response, '/pair') : told(response, 401, 'This device is not paired with Nembrel yet.');
}

async function paired(request: IncomingMessage, response: ServerResponse, host: string, gate: GateOptions): Promise<boolean> {
  const { devices, pairing, now } = gate;
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    origin === undefined ? site !== undefined && !['same-origin', 'none'].includes(String(site)) : origin !== `https://${host}`;
  if (foreign) return told(response, 403, 'Requests from other sites are refused.');
  const type = (request.headers['content-type'] ?? '').split(';')[0]!.trim();
  if (type !== 'application/x-www-form-urlencoded') return told(response, 415, 'The pairing form is sent as a form.');
  const form = await formOf(request);
  if (!form) return told(response, 413, 'The pairing form is not that long.');
  const [code, name] = [form.get('code') ?? '', form.get('name') ?? ''];
  const tried = pairing.try(code, now());
  if (tried !== 'right') return page(response, tried === 'too-soon' ? 429 : 403, pairPage({ name, trouble: TROUBLES[tried] }));
  // A session of its own for every pairing: none that came along is taken over.
  const { session } = devices.add(name, now());
  response.setHeader('set-cookie', `${COOKIE}=${session}; Path=/; Max-Age=${YEAR}; Secure; HttpOnly; SameSite=Strict`);
  return sent(response, '/');
}

function cookieOf({ headers }: IncomingMessage): string {
  const own = (headers.cookie ?? '').split(/;\s*/).find((each) => each.startsWith(`${COOKIE}=`));
  return own?.slice(COOKIE.length + 1) ?? '';
}

async function formOf(request: IncomingMessage): Promise<URLSearchParams | undefined> {
  let body = '';
  for await (const chunk of request) {
    body += String(chunk);
    if (body.length > MOST_BYTES) return undefined;
  }
  return new URLSearchParams(body);
}

function page(response: ServerResponse, status: number, html: string): false {
  const style = createHash('sha256')
    .update(/<style>([^]*?)<\/style>/.exec(html)![1]!)
    .digest('base64');
  response.writeHead(status, {
    'content-type': 'text/html; charset=utf-8',
    'content-security-policy': `default-src 'none'; style-src 'sha256-${style}'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'`,
    'x-content-type-options': 'nosniff',
    // Stricter, a browser would hide where the form comes from, and it would be refused.
    'referrer-policy': 'same-origin',
    'cache-control': 'no-store',
  });
  response.end(html);
  return false;
}

function sent(response: ServerResponse, location: string): false {
  response.writeHead(303, { location, 'cache-control': 'no-store' });
  response.end();
  return false;
}

function told(response: ServerResponse, status: number, message: string): false {
  response.writeHead(status, { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' });
  response.end(JSON.stringify({ error: { message, field: null } }));
  return false;
}

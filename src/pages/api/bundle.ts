import type { APIRoute } from 'astro';
import { BUNDLE_LIMIT, errorAnswer, json, readBody, requireJson } from '../../server/endpoint';
import { inThread } from '../../server/threads/in-thread';
import type { ImportCount } from '../../store/bundle';
import { database, databasePath } from '../../server/database';

/** How long a bundle may take, s, and what it may use, MB. */
const SECONDS = 120;
const MEGABYTES = 3072;

export const GET: APIRoute = async ({ request }) => {
  try {
    database();
    const limits = { signal: request.signal, seconds: SECONDS, megabytes: MEGABYTES };
    const bytes = await inThread<Uint8Array>('bundle', { path: databasePath() }, limits);
    return new Response(bytes as BodyInit, {
      headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
    });
  } catch (error) {
    return errorAnswer(error);
  }
};

export const POST: APIRoute = async ({ request }) => {
  try {
    database();
    requireJson(request);
    const bytes = new Uint8Array(await readBody(request, BUNDLE_LIMIT));
    const limits = { signal: request.signal, seconds: SECONDS, megabytes: MEGABYTES, transfer: [bytes.buffer] };
    return json(await inThread<ImportCount>('bundle', { path: databasePath(), bytes }, limits), 201);
  } catch (error) {
    return errorAnswer(error);
  }
};

import type { APIRoute } from 'astro';
import type { FoundPieces } from '../../../formats/drawing';
import { errorAnswer, json, readBody } from '../../../server/endpoint';
import { inThread } from '../../../server/threads/in-thread';

/** Largest drawing, bytes, and how long it may take to read. */
const LARGEST = 16 * 1024 * 1024;
const SECONDS = 20;
const MEGABYTES = 768;

/** Reads the pieces of an SVG or DXF drawing; the body is the file. */
export const POST: APIRoute = async ({ request }) => {
  try {
    const bytes = await readBody(request, LARGEST);
    const limits = { signal: request.signal, seconds: SECONDS, megabytes: MEGABYTES };
    return json(await inThread<FoundPieces>('read-outlines', bytes, limits));
  } catch (error) {
    return errorAnswer(error);
  }
};

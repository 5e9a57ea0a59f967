import type { APIContext, APIRoute } from 'astro';
import type * as yup from 'yup';
import { InputError } from '../core/input-error';
import { validate } from '../schemas/validate';
import { DatabaseError, isBusy, writeTrouble } from '../store/database-trouble';
import { NotFoundError, StaleError } from '../store/errors';
import { RequestError } from './errors';

/** Largest JSON body, bytes: an outline of 10 000 corners is half of it. */
const JSON_LIMIT = 1024 * 1024;
/** A bundle carries a whole cupboard, with every stitch of its motifs. */
export const BUNDLE_LIMIT = 512 * 1024 * 1024;
/** A pasted table. */
export const TABLE_LIMIT = 8 * 1024 * 1024;

/** Answers with JSON. */
export function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
  });
}

/** Of a body that is too large so much is read and thrown away, bytes: who is cut off while sending never sees the answer. */
const DRAINED = 768 * 1024 * 1024;

/** Reads a body up to a limit; longer ones are refused without being kept. */
export async function readBody(request: Request, limit: number): Promise<Uint8Array> {
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array();
  const declared = Number(request.headers.get('content-length') ?? 0);
  let chunks: Uint8Array[] = [];
  let size = 0;
  let tooLarge = declared > limit;
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw new RequestError(400, 'The request broke off before it was whole. Nothing was saved.');
    });
    if (done) break;
    size += value.length;
    tooLarge ||= size > limit;
    if (tooLarge) chunks = [];
    else chunks.push(value);
    if (size > DRAINED) {
      await reader.cancel();
      break;
    }
  }
  if (tooLarge)
    throw new RequestError(413, `The request is larger than ${Math.round(limit / 1024 / 1024)} MB, the most that is taken here.`);
  return Buffer.concat(chunks);
}

/** @throws {RequestError} where JSON is due and something else is said to come */
export function requireJson(request: Request): void {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
  if (type !== 'application/json')
    throw new RequestError(
      415,
      `Send JSON with the header Content-Type: application/json; saw ${type === '' ? 'no type' : JSON.stringify(type)}.`,
    );
}

async function readJson(request: Request, limit: number): Promise<unknown> {
  requireJson(request);
  const bytes = await readBody(request, limit);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new InputError('body', 'must be UTF-8 text');
  }
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new InputError('body', 'must be valid JSON');
  }
}

/** Turns whatever was thrown into an answer that names the field and shows no insides. */
export function errorAnswer(error: unknown): Response {
  if (error instanceof InputError) return json({ error: { message: error.message, field: error.field } }, 400);
  if (error instanceof NotFoundError) return json({ error: { message: error.message, field: null } }, 404);
  if (error instanceof StaleError)
    return json({ error: { message: error.message, field: 'version' }, current: error.current }, 409);
  if (isBusy(error))
    return json(
      {
        error: {
          message: 'Something large is being written just now. Nothing of this is lost; it is tried again in a moment.',
          field: null,
        },
      },
      503,
    );
  const trouble = writeTrouble(error);
  if (trouble) {
    console.error(error);
    return json({ error: { message: trouble, field: null } }, 507);
  }
  if (error instanceof DatabaseError) return json({ error: { message: error.message, field: null } }, 503);
  if (error instanceof RequestError) return json({ error: { message: error.message, field: 'body' } }, error.status);
  // Whoever asked has gone on meanwhile, and what was computed for them was given up: nobody hears this, and nothing is wrong.
  if (error instanceof DOMException && error.name === 'AbortError')
    return json({ error: { message: 'It was given up.', field: null } }, 499);
  console.error(error);
  return json(
    { error: { message: 'Something went wrong here. Nothing was saved; try again, or start Nembrel anew.', field: null } },
    500,
  );
}

/** An endpoint without a body. */
export function endpoint(handle: (context: APIContext) => unknown): APIRoute {
  return async (context) => {
    try {
      return json(await handle(context));
    } catch (error) {
      return errorAnswer(error);
    }
  };
}

/** An endpoint that takes JSON: checks type, size and schema, then hands on what is known to be good. */
export function jsonEndpoint<S extends yup.Schema>(
  schema: S,
  handle: (body: yup.InferType<S>, context: APIContext) => unknown,
  { status = 200, limit = JSON_LIMIT }: { status?: number; limit?: number } = {},
): APIRoute {
  return async (context) => {
    try {
      const body = validate(schema, await readJson(context.request, limit));
      return json(await handle(body, context), status);
    } catch (error) {
      return errorAnswer(error);
    }
  };
}

/** A file that is made on request. */
export interface MadeFile {
  name: string;
  type: string;
  bytes: Uint8Array | string;
}

/** An endpoint that answers with a file; what goes wrong is told in JSON like everywhere else. */
export function fileEndpoint(make: (context: APIContext) => Promise<MadeFile> | MadeFile): APIRoute {
  return async (context) => {
    try {
      const { name, type, bytes } = await make(context);
      return new Response(bytes as BodyInit, {
        headers: {
          'content-type': type,
          'content-disposition': `attachment; filename="${name.replace(/[^\w.-]+/g, '-')}"`,
          'cache-control': 'no-store',
        },
      });
    } catch (error) {
      return errorAnswer(error);
    }
  };
}

/** A small picture that a page shows: drawn anew whenever it is asked for, since what it shows is worked on. */
export function pictureEndpoint(make: (context: APIContext) => string): APIRoute {
  return (context) => {
    try {
      return new Response(make(context), { headers: { 'content-type': 'image/svg+xml', 'cache-control': 'no-store' } });
    } catch (error) {
      return errorAnswer(error);
    }
  };
}

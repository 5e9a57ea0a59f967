import type { APIRoute } from 'astro';
import { InputError, requireNumber } from '../core/input-error';
import { MARKER } from '../core/photo';
import { LARGEST_PHOTO } from '../formats/photo';
import { errorAnswer, json, readBody } from './endpoint';
import { inThread } from './threads/in-thread';
import type { Measured } from './threads/photo.thread';

/** Longer than this no photograph is worked at, s; memory it may take, MB. */
const SECONDS = 30;
const MEGABYTES = 2048;
/** Pictures of one table that are measured together. */
const MOST_PICTURES = 4;

/** An endpoint that takes a photograph as its body and answers with what is measured in it; `?marker=` is the side of a card's black square, mm. */
export const measuredPhoto =
  (what: keyof Measured): APIRoute =>
  async ({ request, url }) => {
    try {
      const asked = url.searchParams.get('marker');
      const marker = asked === null ? MARKER : requireNumber('marker', Number(asked), 'mm', { min: 10, max: 300 });
      const pictures =
        what === 'trace' && isForm(request) ? await formPictures(request) : [await readBody(request, LARGEST_PHOTO)];
      const limits = { signal: request.signal, seconds: SECONDS * pictures.length, megabytes: MEGABYTES };
      return json(await inThread<ReturnType<Measured[typeof what]>>('photo', { what, pictures, marker }, limits));
    } catch (error) {
      return errorAnswer(error);
    }
  };

const isForm = (request: Request) => /^multipart\/form-data\b/i.test(request.headers.get('content-type') ?? '');

/** Several pictures of one table, each a field `picture` of a form. */
async function formPictures(request: Request): Promise<Uint8Array[]> {
  const body = await readBody(request, MOST_PICTURES * LARGEST_PHOTO);
  const form = await new Response(body as Uint8Array<ArrayBuffer>, {
    headers: { 'content-type': request.headers.get('content-type')! },
  })
    .formData()
    .catch(() => {
      throw new InputError('body', 'must be a whole form with a field “picture” for each photograph');
    });
  const pictures = form.getAll('picture');
  if (pictures.length === 0 || pictures.length > MOST_PICTURES)
    throw new InputError('picture', `must be there once to ${MOST_PICTURES} times, saw it ${pictures.length} times`);
  return Promise.all(
    pictures.map(async (picture, i) => {
      if (typeof picture === 'string') throw new InputError(`picture[${i}]`, 'must be a file');
      if (picture.size > LARGEST_PHOTO) throw new InputError(`picture[${i}]`, 'must be at most 30 MB');
      return new Uint8Array(await picture.arrayBuffer());
    }),
  );
}

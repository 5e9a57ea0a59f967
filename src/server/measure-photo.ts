import type { APIRoute } from 'astro';
import { requireNumber } from '../core/input-error';
import { MARKER } from '../core/photo';
import { LARGEST_PHOTO } from '../formats/photo';
import { errorAnswer, json, readBody } from './endpoint';
import { inThread } from './threads/in-thread';
import type { Measured } from './threads/photo.thread';

/** Longer than this no photograph is worked at, s; memory it may take, MB. */
const SECONDS = 30;
const MEGABYTES = 2048;

/** An endpoint that takes a photograph as its body and answers with what is measured in it; `?marker=` is the side of a card's black square, mm. */
export const measuredPhoto =
  (what: keyof Measured): APIRoute =>
  async ({ request, url }) => {
    try {
      const asked = url.searchParams.get('marker');
      const marker = asked === null ? MARKER : requireNumber('marker', Number(asked), 'mm', { min: 10, max: 300 });
      const bytes = await readBody(request, LARGEST_PHOTO);
      const limits = { signal: request.signal, seconds: SECONDS, megabytes: MEGABYTES };
      return json(await inThread<ReturnType<Measured[typeof what]>>('photo', { what, bytes, marker }, limits));
    } catch (error) {
      return errorAnswer(error);
    }
  };

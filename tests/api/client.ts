import { inject } from 'vitest';
import { FABRIC, PART } from './samples';

export { FABRIC, PART };

export interface Answer {
  status: number;
  // Answers are of every shape; each test says what it expects of them.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  body: any;
  headers: Headers;
}

/** Sends JSON to the running server. */
export async function send(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
  base: string = inject('base'),
): Promise<Answer> {
  const response = await fetch(base + path, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  return { status: response.status, body: await response.json().catch(() => undefined), headers: response.headers };
}

export const post = (path: string, body: unknown) => send('POST', path, body);

/** Chooses the best stack for a part, in the form in which it is kept. */
export async function chosenStack() {
  const { body } = await post('/api/choose', { fabric: FABRIC, part: PART, limit: 1 });
  const [best] = body.ranked;
  return {
    title: best.title,
    layers: best.layers.map(({ materialId, extent, angle }: { materialId: string; extent: string; angle: number }) => ({
      materialId,
      extent,
      angle,
    })),
    predicted: best.predicted,
    reasons: best.reasons,
    cautions: best.cautions,
  };
}

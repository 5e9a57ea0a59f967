import { inject } from 'vitest';
import { FABRIC, PART, pieceOf } from './samples';

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

/**
 * Adds a piece with one cut and one job to a project. What is answered is the job's id with the ids of the others; errors are named
 * by the field alone.
 */
export async function addWork(projectId: string, flat: Parameters<typeof pieceOf>[0]): Promise<Answer> {
  const answer = await post(`/api/projects/${projectId}/pieces`, pieceOf(flat));
  if (answer.status !== 201) {
    const field = String(answer.body.error?.field).replace(/^cuts\[0\]\.(jobs\[0\]\.)?/, '');
    return { ...answer, body: { error: { ...answer.body.error, field } } };
  }
  const { pieces, cuts, jobs } = answer.body;
  return {
    ...answer,
    body: { id: jobs[0].id, cutId: cuts[0].id, pieceId: pieces[0].id, piece: pieces[0], cut: cuts[0], job: jobs[0] },
  };
}

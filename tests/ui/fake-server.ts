import { vi } from 'vitest';

export interface Sent {
  method: string;
  path: string;
  body: Record<string, unknown>;
}
type Answer = [status: number, body: unknown] | 'away';
export type Answerer = (sent: Sent, count: number) => Answer | Promise<Answer>;

/** Stands in for the server: keeps what was sent and answers as the test says. */
export function fakeServer(answer: Answerer): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
    const one = {
      method: init.method ?? 'GET',
      path: String(path),
      body: init.body ? (JSON.parse(String(init.body)) as Record<string, unknown>) : {},
    };
    sent.push(one);
    const given = await answer(one, sent.length);
    if (given === 'away') throw new TypeError('no connection');
    return new Response(JSON.stringify(given[1]), { status: given[0] });
  });
  return sent;
}

/** Saves what it is sent, one version further each time, as the server does when all is well. */
export const savesAll: Answerer = ({ body, path }) => [
  200,
  { id: path.split('/').at(-1), ...body, version: Number(body['version'] ?? 0) + 1 },
];

/** An answer other than success, with the field it names and, for a stale save, the row as it is now. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly field: string | null,
    readonly current?: unknown,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

/** Asks our own server, in JSON both ways. */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new ApiError('Nembrel is not answering. What you typed is still here; start it again and repeat.', 0, null);
  }
  // A body that breaks off (aborted, or the server was stopped) must never pass for an empty answer.
  const answer = (await response.json().catch((error: unknown) => {
    if (signal?.aborted) throw error;
    if (response.ok)
      throw new ApiError('The answer broke off half way. What you typed is still here; try again.', response.status, null);
    return {};
  })) as { error?: { message: string; field: string | null }; current?: unknown };
  if (!response.ok)
    throw new ApiError(
      answer.error?.message ?? `The server answered ${response.status}.`,
      response.status,
      answer.error?.field ?? null,
      answer.current,
    );
  return answer as T;
}

/** The words of an error without the field path in front, for showing beside that field. */
export function plainMessage(error: ApiError): string {
  const prefix = `${error.field ?? ''}: `;
  return error.field && error.message.startsWith(prefix) ? error.message.slice(prefix.length) : error.message;
}

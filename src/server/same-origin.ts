/**
 * Whether a request may be answered: its Host must be ours, and a write must not come from another site.
 * A script sends no Origin and is welcome; a page of another site sends its own, or null, and is not.
 *
 * @returns words for the refusal, or undefined when all is well
 */
export function refusedOrigin(
  request: Request,
  ownHosts: readonly string[],
  scheme: 'http' | 'https' = 'http',
): string | undefined {
  const host = request.headers.get('host')?.toLowerCase() ?? '';
  if (!ownHosts.includes(host)) return 'This address is not one that Nembrel answers to.';
  if (request.method === 'GET' || request.method === 'HEAD' || request.method === 'OPTIONS') return undefined;
  const origin = request.headers.get('origin');
  if (origin !== null && origin.toLowerCase() !== `${scheme}://${host}`) return 'Requests from other sites are refused.';
  const site = request.headers.get('sec-fetch-site');
  if (origin === null && site !== null && site !== 'same-origin' && site !== 'none')
    return 'Requests from other sites are refused.';
  return undefined;
}

/** Names under which this server is reached on its own machine, with those that were added by the launcher. */
export function ownHosts(port: string, extra: string | undefined): string[] {
  const names = [
    '127.0.0.1',
    'localhost',
    '[::1]',
    ...(extra ?? '')
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  ];
  return names.flatMap((name) => (port === '80' ? [name, `${name}:80`] : [`${name}:${port}`]));
}

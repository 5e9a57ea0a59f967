import { defineMiddleware } from 'astro:middleware';
import { errorAnswer, json } from './server/endpoint';
import { NotFoundError } from './store/errors';
import { deviceOf } from './server/door/the-door';
import { ownHosts, refusedOrigin } from './server/same-origin';
import { otherHouse } from './server/house';
import { secureHeaders } from './server/security-headers';

const WRITES = ['POST', 'PUT', 'PATCH', 'DELETE'];

export const onRequest = defineMiddleware(async ({ request, url, routePattern }, next) => {
  // Of a paired device the door has looked at the name under which it came.
  const paired = deviceOf(request) !== null;
  const own = paired
    ? [request.headers.get('host') ?? '']
    : ownHosts(String(otherHouse()?.port ?? process.env['PORT'] ?? '4310'), process.env['NEMBREL_HOSTS']);
  const refused = refusedOrigin(request, own, paired ? 'https' : 'http');
  let response: Response;
  if (refused) response = json({ error: { message: refused, field: null } }, 403);
  else if (WRITES.includes(request.method) && !url.pathname.startsWith('/api/'))
    response = json({ error: { message: 'Pages are only read. Write through /api.', field: null } }, 405);
  else {
    response = await next();
    // A path or method that no endpoint has answers in JSON too.
    const type = response.headers.get('content-type') ?? '';
    if (url.pathname.startsWith('/api/') && response.status === 404 && !type.includes('json'))
      response = routePattern.startsWith('/api/')
        ? json({ error: { message: `${request.method} is not answered at this address.`, field: null } }, 405)
        : errorAnswer(new NotFoundError('address'));
  }
  // The answer itself, not another one around its body: a client that goes away meanwhile has that body closed, and a second
  // answer cannot be made of a closed body.
  secureHeaders(response.headers);
  return response;
});

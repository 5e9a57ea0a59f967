// Keeps the shell of the application on the device: what was built once is never fetched again, and a bench that was opened here is found when the
// house does not answer. Nothing that is written passes through here, and no answer of /api is kept.
const SHELL = 'nembrel-shell-1';
const OFFLINE = '/offline';
const ALWAYS = [OFFLINE, '/icon.svg'];
/** Built files that are kept; the oldest go. */
const MOST_BUILT = 300;
/** Pages that are kept for an evening without the network. */
const KEPT_PAGES = /^\/bench\/[\w-]+$/;
const MOST_PAGES = 20;

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(SHELL).then((shell) => shell.addAll(ALWAYS)));
  self.skipWaiting();
});

self.addEventListener('activate', (event) => {
  const older = async () => {
    for (const name of await caches.keys()) if (name !== SHELL) await caches.delete(name);
    await self.clients.claim();
  };
  event.waitUntil(older());
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/_astro/')) event.respondWith(built(request));
  else if (request.mode === 'navigate') event.respondWith(page(request, url));
});

async function built(request) {
  const shell = await caches.open(SHELL);
  const kept = await shell.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await keep(shell, request, answer.clone(), (path) => path.startsWith('/_astro/'), MOST_BUILT);
  return answer;
}

async function page(request, url) {
  const shell = await caches.open(SHELL);
  let answer;
  try {
    answer = await fetch(request);
  } catch {
    return (KEPT_PAGES.test(url.pathname) && (await shell.match(url.pathname))) || (await shell.match(OFFLINE));
  }
  const led = answer.redirected || answer.type === 'opaqueredirect';
  if (KEPT_PAGES.test(url.pathname)) {
    // A device that is not let in any more keeps nothing of what it saw.
    if (led || answer.status === 401 || answer.status === 403) await forgetPages(shell);
    else if (answer.ok) await keep(shell, url.pathname, answer.clone(), (path) => KEPT_PAGES.test(path), MOST_PAGES);
  }
  return answer;
}

async function keep(shell, request, answer, alike, most) {
  await shell.put(request, answer);
  const own = (await shell.keys()).filter((each) => alike(new URL(each.url).pathname));
  for (const old of own.slice(0, Math.max(0, own.length - most))) await shell.delete(old);
}

async function forgetPages(shell) {
  for (const each of await shell.keys()) if (KEPT_PAGES.test(new URL(each.url).pathname)) await shell.delete(each);
}

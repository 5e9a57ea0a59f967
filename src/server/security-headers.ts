/**
 * Headers on every answer. Scripts run only from our own files or by the hashes that the build worked out
 * for the few inline ones; nothing is loaded from anywhere else. Inline style attributes are allowed because
 * drawings set lengths and colours with them.
 */
export function secureHeaders(headers: Headers): void {
  const built = headers.get('content-security-policy') ?? '';
  const scripts = /script-src ([^;]+)/.exec(built)?.[1]?.trim() ?? "'self'";
  headers.set(
    'content-security-policy',
    [
      "default-src 'none'",
      `script-src ${scripts}`,
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "font-src 'self'",
      // The silent film that keeps a screen lit where the browser has no lock for it.
      'media-src data:',
      "connect-src 'self'",
      "worker-src 'self'",
      "manifest-src 'self'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ].join('; '),
  );
  headers.set('x-content-type-options', 'nosniff');
  headers.set('referrer-policy', 'same-origin');
  headers.set('cross-origin-opener-policy', 'same-origin');
  headers.set('cross-origin-resource-policy', 'same-origin');
}

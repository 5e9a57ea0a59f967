import { toString as drawn } from 'qrcode';
import { doorFromInside } from '../../../server/door/the-door';
import { endpoint } from '../../../server/endpoint';

/** A code for one device: six digits for five minutes, and the same as a picture that leads to the pairing page. */
export const POST = endpoint(async ({ request }) => {
  const { code, until, url } = doorFromInside(request).code();
  const qr = url === '' ? '' : await drawn(url, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
  return { code, until, url, qr };
});

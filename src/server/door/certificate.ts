import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';
import { readPrivate, writePrivate } from './private-file';

/** Key and certificate, PEM. */
export interface Certificate {
  key: string;
  cert: string;
}

/** Valid so long; made anew when less than a month is left. ms. */
const VALID = 800 * 24 * 3600 * 1000;
const RENEWED = 30 * 24 * 3600 * 1000;
const NAME = 'Nembrel at home';

/**
 * The certificate of this house, made at first use and kept beside the database, readable by its owner alone. It is made anew when it has
 * nearly run out, or when the computer has an address that it does not name.
 *
 * @param file where it is kept @param now ms since 1970
 */
export async function certificateFor(file: string, addresses: readonly string[], now: number): Promise<Certificate> {
  const kept = readPrivate<Certificate>(file);
  if (kept && serves(kept.cert, addresses, now)) return kept;
  const made = await generate([{ name: 'commonName', value: NAME }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(now - 24 * 3600 * 1000),
    notAfterDate: new Date(now + VALID),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: addresses.map((ip) => ({ type: 7, ip })) },
    ],
  });
  const certificate = { key: made.private, cert: made.cert };
  writePrivate(file, certificate);
  return certificate;
}

function serves(pem: string, addresses: readonly string[], now: number): boolean {
  try {
    const cert = new X509Certificate(pem);
    return Date.parse(cert.validTo) - now > RENEWED && addresses.every((address) => cert.checkIP(address) !== undefined);
  } catch {
    return false;
  }
}

/** What a person compares on both screens: SHA-256 of the certificate, in pairs. */
export function fingerprintOf(pem: string): string {
  return new X509Certificate(pem).fingerprint256;
}

import { createHash, createHmac, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto';
import { readPrivate, writePrivate } from './private-file';

/** A device that was let in. */
export interface Device {
  id: string;
  name: string;
  createdAt: string;
  seenAt: string;
}

interface KeptDevice extends Device {
  /** SHA-256 of its secret: what is kept opens nothing. */
  hash: string;
}

interface Kept {
  /** Signs sessions. */
  key: string;
  /** The home network was let in by the switch in Settings. */
  open: boolean;
  devices: KeptDevice[];
}

/** How often it is written down that a device was seen, ms. */
const SEEN_EVERY = 60_000;
/** Longest name of a device. */
const LONGEST = 40;

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** Devices that may come in, kept in a file beside the database: no backup carries them away, none brings back what was revoked. */
export class Devices {
  private kept: Kept;

  constructor(private readonly file: string) {
    this.kept = readPrivate<Kept>(file) ?? { key: randomBytes(32).toString('hex'), open: false, devices: [] };
  }

  get open(): boolean {
    return this.kept.open;
  }

  setOpen(open: boolean): void {
    this.kept.open = open;
    this.write();
  }

  list(): Device[] {
    return this.kept.devices.map(({ hash: _hash, ...device }) => device);
  }

  /** Lets a device in. @returns its session, which is told nobody else @param now ms since 1970 */
  add(name: string, now: number): { device: Device; session: string } {
    const at = new Date(now).toISOString();
    const secret = randomBytes(32).toString('base64url');
    // What shows as nothing, or would break a header, is left out.
    const plain = name
      .replace(/[\p{C}\p{Z}]+/gu, ' ')
      .trim()
      .slice(0, LONGEST);
    const device = { id: randomUUID(), name: plain || 'A tablet', createdAt: at, seenAt: at };
    this.kept.devices.push({ ...device, hash: hashOf(secret) });
    this.write();
    return { device, session: this.signed(`${device.id}.${secret}`) };
  }

  /** The device of a session; none for one that was not given out here, was changed or revoked. */
  of(session: string, now: number): Device | undefined {
    const end = session.lastIndexOf('.');
    const given = session.slice(0, end);
    if (end < 0 || !same(session, this.signed(given))) return undefined;
    const [id, secret] = given.split('.') as [string, string];
    const found = this.kept.devices.find((device) => device.id === id);
    if (!found || !same(hashOf(secret), found.hash)) return undefined;
    if (now - Date.parse(found.seenAt) > SEEN_EVERY) {
      found.seenAt = new Date(now).toISOString();
      this.write();
    }
    return found;
  }

  /** @returns whether there was one */
  revoke(id: string): boolean {
    const left = this.kept.devices.filter((device) => device.id !== id);
    const there = left.length < this.kept.devices.length;
    this.kept.devices = left;
    if (there) this.write();
    return there;
  }

  private signed(given: string): string {
    return `${given}.${createHmac('sha256', this.kept.key).update(given).digest('base64url')}`;
  }

  private write(): void {
    writePrivate(this.file, this.kept);
  }
}

function same(a: string, b: string): boolean {
  const [one, other] = [Buffer.from(a), Buffer.from(b)];
  return one.length === other.length && timingSafeEqual(one, other);
}

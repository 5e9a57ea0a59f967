import { createServer as createHttpServer, type RequestListener, type Server as HttpServer } from 'node:http';
import { createServer as createHttpsServer, type Server as HttpsServer } from 'node:https';
import { createServer, type Server, type Socket } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { certificateFor, fingerprintOf } from './certificate';
import { Devices, type Device } from './devices';
import { passes } from './gate';
import { Pairing } from './pairing';

export interface DoorState {
  open: boolean;
  /** Under which addresses the house is reached. */
  addresses: string[];
  /** Of the certificate; empty while it is shut. */
  fingerprint: string;
  devices: Device[];
  /** Until when a code is shown; null when none is. */
  codeUntil: string | null;
}

interface DoorOptions {
  /** Where certificate and devices are kept. */
  folder: string;
  port: number;
  /** Addresses to listen at; those of the home network when it is not said. */
  addresses?: readonly string[] | undefined;
  /** The application. */
  application: RequestListener;
  now?: () => number;
}

/** First byte of a TLS handshake. */
const HANDSHAKE = 0x16;
/** A connection that says nothing for so long is closed, ms. */
const SILENT = 10_000;

/** Addresses of this computer in the home network. */
function homeAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/**
 * The door to the home network: HTTPS at this computer's own addresses, behind pairing. The same port in the clear only leads to it. The
 * application at loopback goes on whether the door is open or shut.
 */
export class Door {
  private readonly devices: Devices;
  private readonly pairing = new Pairing();
  private readonly now: () => number;
  private turn: Promise<void> = Promise.resolve();
  private listening: Server[] = [];
  private readonly sockets = new Set<Socket>();
  private addresses: readonly string[] = [];
  private fingerprint = '';

  constructor(private readonly options: DoorOptions) {
    this.devices = new Devices(join(options.folder, 'devices.json'));
    this.now = options.now ?? Date.now;
  }

  /** It was left open by the switch. */
  get wanted(): boolean {
    return this.devices.open;
  }

  state(): DoorState {
    const until = this.pairing.until(this.now());
    return {
      open: this.listening.length > 0,
      addresses: this.addresses.map((address) => this.urlOf(address)),
      fingerprint: this.fingerprint,
      devices: this.devices.list(),
      codeUntil: until === undefined ? null : new Date(until).toISOString(),
    };
  }

  /** @param keep whether it is open at the next start as well @throws {Error} in words a person can use */
  open(keep: boolean): Promise<void> {
    return this.inTurn(() => this.opened(keep));
  }

  /** @param keep whether it is shut at the next start as well */
  shut(keep: boolean): Promise<void> {
    return this.inTurn(() => this.closed(keep));
  }

  /** Opening and shutting take a while: two tablets that ask at once are heard one after the other. */
  private inTurn(work: () => Promise<void>): Promise<void> {
    const done = this.turn.then(work, work);
    this.turn = done.catch(() => undefined);
    return done;
  }

  private async opened(keep: boolean): Promise<void> {
    if (keep) this.devices.setOpen(true);
    if (this.listening.length > 0) return;
    const addresses = this.options.addresses ?? homeAddresses();
    if (addresses.length === 0) throw new Error('This computer is in no network just now.');
    const certificate = await certificateFor(join(this.options.folder, 'certificate.json'), addresses, this.now());
    const hosts = addresses.map((address) => `${address}:${this.options.port}`);
    const gate = { devices: this.devices, pairing: this.pairing, hosts: () => hosts, now: this.now };
    const secure = createHttpsServer({ ...certificate, minVersion: 'TLSv1.2' }, (request, response) => {
      void passes(request, response, gate)
        .then((letIn) => letIn && this.options.application(request, response))
        .catch(() => response.destroy());
    });
    const plain = createHttpServer((request, response) => {
      const host = request.headers.host?.toLowerCase() ?? '';
      if (!hosts.includes(host)) response.writeHead(403).end();
      else response.writeHead(308, { location: `https://${host}${request.url ?? '/'}` }).end();
    });
    for (const each of [secure, plain]) each.requestTimeout = 60_000;
    secure.keepAliveTimeout = 65_000;
    this.addresses = addresses;
    this.fingerprint = fingerprintOf(certificate.cert);
    try {
      for (const address of addresses) this.listening.push(await this.listen(address, secure, plain));
    } catch (problem) {
      await this.closed(false);
      throw new Error(`The address ${addresses.join(', ')} cannot be opened: ${(problem as Error).message}`, { cause: problem });
    }
  }

  private async closed(keep: boolean): Promise<void> {
    if (keep) this.devices.setOpen(false);
    const servers = this.listening;
    this.listening = [];
    this.addresses = [];
    this.fingerprint = '';
    for (const socket of this.sockets) socket.destroy();
    await Promise.all(servers.map((server) => new Promise((closed) => server.close(closed))));
  }

  /** A code for one device. */
  code(): { code: string; until: string; url: string } {
    const { code, until } = this.pairing.show(this.now());
    const [address] = this.addresses;
    return { code, until: new Date(until).toISOString(), url: address ? `${this.urlOf(address)}/pair?code=${code}` : '' };
  }

  revoke(id: string): boolean {
    return this.devices.revoke(id);
  }

  private urlOf(address: string): string {
    return `https://${address}:${this.options.port}`;
  }

  /** One port for both: the first byte tells whether somebody speaks TLS. */
  private listen(address: string, secure: HttpsServer, plain: HttpServer): Promise<Server> {
    const server = createServer((socket) => {
      this.sockets.add(socket);
      socket.setTimeout(SILENT, () => socket.destroy());
      socket.once('close', () => this.sockets.delete(socket));
      socket.on('error', () => socket.destroy());
      socket.once('data', (first: Buffer) => {
        socket.pause();
        socket.setTimeout(0);
        socket.unshift(first);
        (first[0] === HANDSHAKE ? secure : plain).emit('connection', socket);
        process.nextTick(() => socket.resume());
      });
    });
    return new Promise((resolve, reject) => {
      server.once('error', reject);
      server.listen(this.options.port, address, () => resolve(server));
    });
  }
}

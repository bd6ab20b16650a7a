import { createServer, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { problems } from '../http/problem';
import type { ServerCertificate } from './authority';
import { PairingCodes, type OpenCode } from './codes';
import { Devices, type PairedDevice } from './devices';
import { gate } from './gate';

/** How often it is looked whether this machine has got another address, ms. */
const LOOK_EVERY_MS = 20_000;

/** What the computer's own pages show of the local network. */
export interface Lan {
  readonly invite: () => Promise<Invitation>;
  readonly state: () => LanState;
  readonly revoke: (id: string) => Promise<boolean>;
  readonly stop: () => Promise<void>;
}
/** Where a phone goes, and the code it enters there. */
export interface Invitation extends OpenCode {
  readonly links: readonly string[];
}
export interface LanState {
  readonly addresses: readonly string[];
  readonly fingerprint: string;
  readonly open: OpenCode | null;
  readonly devices: readonly PairedDevice[];
}

/** Addresses under which other machines reach this one. */
const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flat()
    .filter((a) => a !== undefined && !a.internal && a.family === 'IPv4')
    .map((a) => a?.address ?? '');

/** Names it may be called by: its own, and the one that phones find without a name server. */
export const ownNames = (): readonly string[] => {
  const name = hostname().toLowerCase();
  return [name, name.endsWith('.local') ? name : `${name.replace(/\..*$/, '')}.local`];
};

const listening = (server: Server, host: string, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve((server.address() as AddressInfo).port));
  });

/**
 * Serves the application on the local network: over a secure connection only, to paired devices only. The certificate follows
 * the addresses this machine has, as it moves from one network to the next.
 */
export const openLan = async (
  app: Express,
  options: { readonly dataDir: string; readonly host: string; readonly port: number },
  log: Logger,
): Promise<Lan> => {
  // Certificates take half as long to load as all the rest of the server, which mostly does without.
  const { certificateFor } = await import('./authority');
  const folder = join(options.dataDir, 'lan');
  const hosts = (): string[] => [...ownAddresses(), ...ownNames(), 'localhost', '127.0.0.1'];
  let known = hosts().join();
  let certificate: ServerCertificate = await certificateFor(folder, hosts(), hostname());
  const codes = new PairingCodes();
  const devices = await Devices.in(join(folder, 'devices.json'));
  const outer = express();
  outer.disable('x-powered-by');
  outer.use(gate({ codes, devices, authority: () => certificate }), app, problems(log));
  const server = createServer({ key: certificate.key, cert: certificate.cert, minVersion: 'TLSv1.2' }, outer);
  const port = await listening(server, options.host, options.port);
  const follow = async (): Promise<void> => {
    const now = hosts().join();
    if (now === known) return;
    known = now;
    certificate = await certificateFor(folder, hosts(), hostname());
    server.setSecureContext({ key: certificate.key, cert: certificate.cert });
    log.info('certificate follows the addresses of this machine');
  };
  const looking = setInterval(
    () => void follow().catch((err: unknown) => log.warn({ err }, 'certificate')),
    LOOK_EVERY_MS,
  );
  looking.unref();
  const addresses = (): string[] => {
    const own = ownAddresses();
    return (own.length > 0 ? own : ['127.0.0.1']).map((a) => `https://${a}:${port}`);
  };
  return {
    invite: async () => {
      await follow();
      const open = codes.issue();
      return { ...open, links: addresses().map((a) => `${a}/pair?code=${open.code}`) };
    },
    state: () => ({
      addresses: addresses(),
      fingerprint: certificate.fingerprint,
      open: codes.current(),
      devices: devices.list(),
    }),
    revoke: (id) => devices.revoke(id),
    stop: async () => {
      clearInterval(looking);
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      });
      await devices.idle();
    },
  };
};

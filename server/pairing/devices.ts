import { createHash, randomBytes } from 'node:crypto';
import { mkdir, readFile } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { ServerResponse } from 'node:http';
import { v4 as uuid } from 'uuid';
import writeFileAtomic from 'write-file-atomic';

interface Stored {
  readonly id: string;
  readonly name: string;
  /** SHA-256 of the token its cookie holds: the file alone opens nothing. */
  readonly token: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** A device that may read and write this machine's films. */
export type PairedDevice = Omit<Stored, 'token'>;

/** How often the time a device was last seen is written down, ms. */
const SEEN_EVERY_MS = 60_000;
const MOST_NAME = 60;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

const readStored = async (file: string): Promise<Stored[]> => {
  try {
    const read = JSON.parse(await readFile(file, 'utf8')) as { devices?: Stored[] };
    return Array.isArray(read.devices) ? read.devices : [];
  } catch {
    // Without its file no device is known, and each pairs again.
    return [];
  }
};

/**
 * Devices that were paired. They stand in a file of their own, readable by the owner only, not in the database: a backup that is
 * restored must not let a device in again that was sent away.
 */
export class Devices {
  private readonly open = new Map<string, Set<ServerResponse>>();
  private writing: Promise<void> = Promise.resolve();

  private constructor(
    private readonly file: string,
    private devices: Stored[],
    private readonly now: () => number,
  ) {}

  static async in(file: string, now: () => number = Date.now): Promise<Devices> {
    await mkdir(dirname(file), { recursive: true, mode: 0o700 });
    return new Devices(file, await readStored(file), now);
  }

  list(): readonly PairedDevice[] {
    return this.devices.map(({ id, name, pairedAt, seenAt }) => ({ id, name, pairedAt, seenAt }));
  }

  /** Takes a device in. @returns the token its cookie holds, which is kept nowhere */
  async add(name: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const at = new Date(this.now()).toISOString();
    const shown = name.replace(/\s+/g, ' ').trim().slice(0, MOST_NAME) || 'Phone';
    this.devices.push({ id: uuid(), name: shown, token: hashOf(token), pairedAt: at, seenAt: at });
    await this.write();
    return token;
  }

  /** The device a token belongs to. */
  of(token: string): PairedDevice | null {
    const hash = hashOf(token);
    return this.devices.find((d) => d.token === hash) ?? null;
  }

  /** Remembers that a device was here, and what it is being answered, so that it ends when the device is sent away. */
  answer(id: string, response: ServerResponse): void {
    const set = this.open.get(id) ?? new Set();
    this.open.set(id, set.add(response));
    response.once('close', () => set.delete(response));
    const device = this.devices.find((d) => d.id === id);
    if (!device || this.now() - Date.parse(device.seenAt) < SEEN_EVERY_MS) return;
    const seenAt = new Date(this.now()).toISOString();
    this.devices = this.devices.map((d) => (d.id === id ? { ...d, seenAt } : d));
    void this.write();
  }

  /** Sends a device away, at once: what it is still being sent is cut off. @returns whether it was known */
  async revoke(id: string): Promise<boolean> {
    const before = this.devices.length;
    this.devices = this.devices.filter((d) => d.id !== id);
    for (const response of this.open.get(id) ?? []) response.destroy();
    this.open.delete(id);
    if (this.devices.length === before) return false;
    await this.write();
    return true;
  }

  /** When all that is to be written has been. */
  idle(): Promise<void> {
    return this.writing;
  }

  private write(): Promise<void> {
    const text = JSON.stringify({ devices: this.devices }, null, 2);
    const done = this.writing.then(() => writeFileAtomic(this.file, text, { mode: 0o600 }));
    // One that fails does not keep the next from being written.
    this.writing = done.catch(() => undefined);
    return done;
  }
}

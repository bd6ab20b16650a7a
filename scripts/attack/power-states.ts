/** A write, cut, sync or deletion of a file, as it was noted. Offsets and sizes in bytes. */
export interface FileAct {
  readonly kind: 'W' | 'T' | 'S' | 'D';
  readonly path: string;
  readonly at: number;
  readonly data: Buffer;
  /** Where its note ends in the notes: what was acknowledged by then came after it. */
  readonly end: number;
}

const HEAD = 15;

/** Reads notes of file acts; an unfinished last one is left out. */
export const readActs = (notes: Buffer): FileAct[] => {
  const acts: FileAct[] = [];
  for (let from = 0; from + HEAD <= notes.length;) {
    const kind = notes.toString('latin1', from, from + 1) as FileAct['kind'];
    const pathLength = notes.readUInt16LE(from + 1);
    const dataFrom = from + HEAD + pathLength;
    const end = dataFrom + notes.readUInt32LE(from + 11);
    if (end > notes.length) break;
    acts.push({
      kind,
      path: notes.toString('utf8', from + HEAD, dataFrom),
      at: Number(notes.readBigInt64LE(from + 3)),
      data: notes.subarray(dataFrom, end),
      end,
    });
    from = end;
  }
  return acts;
};

/** What a disk writes whole or not at all, bytes. */
const SECTOR = 512;

interface Disk {
  /** Surely there. */
  safe: Buffer;
  /** Written since the last sync, in their order: there or not. */
  loose: FileAct[];
}

const applied = (file: Buffer, { kind, at, data }: Pick<FileAct, 'kind' | 'at' | 'data'>): Buffer => {
  if (kind === 'T')
    return at <= file.length ? file.subarray(0, at) : Buffer.concat([file, Buffer.alloc(at - file.length)]);
  const size = Math.max(file.length, at + data.length);
  const grown = Buffer.alloc(size);
  file.copy(grown);
  data.copy(grown, at);
  return grown;
};

/** What of a write reaches the disk: all of it, nothing, or some of its sectors. */
const torn = (act: FileAct, random: () => number): FileAct[] => {
  const fate = random();
  if (act.kind !== 'W' || fate < 0.3) return [act];
  if (fate < 0.6) return [];
  const parts: FileAct[] = [];
  for (let i = 0; i < act.data.length; i += SECTOR)
    if (random() < 0.5) parts.push({ ...act, at: act.at + i, data: act.data.subarray(i, i + SECTOR) });
  return parts;
};

/** How much of what was not synced is on the disk after the power went. */
export type Loss = 'all' | 'none' | 'some';

/** Files as a loss of power leaves them, act by act. Deleting is taken as done at once, as file systems with a journal do. */
export class PowerStates {
  private readonly disks = new Map<string, Disk>();

  apply(act: FileAct): void {
    if (act.kind === 'D') {
      this.disks.delete(act.path);
      return;
    }
    const disk = this.disks.get(act.path) ?? { safe: Buffer.alloc(0), loose: [] };
    this.disks.set(act.path, disk);
    if (act.kind !== 'S') {
      disk.loose.push(act);
      return;
    }
    disk.safe = disk.loose.reduce(applied, disk.safe);
    disk.loose = [];
  }

  /** @param loss which of the writes since the last sync of their file are lost */
  files(loss: Loss, random: () => number): ReadonlyMap<string, Buffer> {
    return new Map(
      [...this.disks].map(([path, { safe, loose }]) => {
        if (loss === 'all') return [path, safe];
        const kept = loss === 'none' ? loose : loose.flatMap((act) => torn(act, random));
        return [path, kept.reduce(applied, safe)];
      }),
    );
  }
}

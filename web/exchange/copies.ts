/** A file of a card or of a copy, as browsers give them. */
export interface ListedFile extends Pick<Blob, 'size' | 'slice'> {
  readonly name: string;
  /** Path from the folder that was chosen, its own name first; empty where a single file was. */
  readonly webkitRelativePath: string;
}

export type CopyVerdict = 'same' | 'differs' | 'other-size' | 'missing';

/** How a file of the card stands in the copy. */
export interface ComparedFile {
  /** Path on the card. */
  readonly path: string;
  readonly bytes: number;
  readonly verdict: CopyVerdict;
}

/** What a comparison came to. */
export interface Comparison {
  readonly files: readonly ComparedFile[];
  readonly bytes: number;
  /** Every file of the card is in the copy, byte by byte. */
  readonly proved: boolean;
}

const CHUNK_BYTES = 8_000_000;
/** What systems put onto cards by themselves; no footage. */
const SYSTEM = /^(\.|System Volume Information$|LOST\.DIR$|Thumbs\.db$)/i;

/** Path below the folder that was chosen. */
const pathOf = ({ name, webkitRelativePath }: ListedFile): string =>
  webkitRelativePath.split('/').slice(1).join('/') || name;

const isFootage = (file: ListedFile): boolean =>
  !pathOf(file)
    .split('/')
    .some((part) => SYSTEM.test(part));

/**
 * Files of the copy by file of the card: the same path first, then one of the same name and size wherever a copying program put
 * it, then one of the same name; each once.
 */
const paired = (
  card: readonly ListedFile[],
  copy: readonly ListedFile[],
): ReadonlyMap<ListedFile, ListedFile> => {
  const pairs = new Map<ListedFile, ListedFile>();
  const free = new Set(copy);
  const keys: ((f: ListedFile) => string)[] = [
    (f) => pathOf(f).toLowerCase(),
    (f) => `${f.name.toLowerCase()} ${f.size}`,
    (f) => f.name.toLowerCase(),
  ];
  for (const key of keys) {
    const byKey = new Map([...free].map((f) => [key(f), f]));
    for (const file of card) {
      const found = byKey.get(key(file));
      if (pairs.has(file) || !found || !free.has(found)) continue;
      pairs.set(file, found);
      free.delete(found);
    }
  }
  return pairs;
};

const equal = (a: ArrayBuffer, b: ArrayBuffer): boolean => {
  if (a.byteLength !== b.byteLength) return false;
  const words = Math.floor(a.byteLength / 4);
  const [x, y] = [new Uint32Array(a, 0, words), new Uint32Array(b, 0, words)];
  for (let i = 0; i < words; i += 1) if (x[i] !== y[i]) return false;
  const [r, s] = [new Uint8Array(a, words * 4), new Uint8Array(b, words * 4)];
  return r.every((byte, i) => byte === s[i]);
};

/** Whether two files hold the same bytes, read piece by piece. @param read told how many bytes were compared */
const sameBytes = async (
  a: ListedFile,
  b: ListedFile,
  read: (bytes: number) => void,
  given: { readonly aborted: boolean },
): Promise<boolean> => {
  for (let at = 0; at < a.size; at += CHUNK_BYTES) {
    if (given.aborted) throw new Error('aborted');
    const [x, y] = await Promise.all([
      a.slice(at, at + CHUNK_BYTES).arrayBuffer(),
      b.slice(at, at + CHUNK_BYTES).arrayBuffer(),
    ]);
    if (!equal(x, y)) return false;
    read(x.byteLength);
  }
  return true;
};

/**
 * Compares a copy with its card, byte by byte: the strongest proof there is, and as fast as a checksum of both.
 * @param known paths that were found the same before, for going on after a stop
 * @param progress told the bytes compared so far and of how many, and the path of a file that was found the same
 * @param given up when nobody waits any more
 */
export const compareCopy = async (
  card: readonly ListedFile[],
  copy: readonly ListedFile[],
  known: ReadonlySet<string>,
  progress: (done: number, all: number, same: string | null) => void,
  given: { readonly aborted: boolean },
): Promise<Comparison> => {
  const footage = card.filter(isFootage);
  const pairs = paired(footage, copy.filter(isFootage));
  const all = footage.reduce((sum, f) => sum + f.size, 0);
  let done = 0;
  const files: ComparedFile[] = [];
  for (const file of footage) {
    const path = pathOf(file);
    const twin = pairs.get(file);
    const before = done;
    const read = (bytes: number): void => {
      done += bytes;
      progress(done, all, null);
    };
    const verdict = async (): Promise<CopyVerdict> => {
      if (!twin) return 'missing';
      if (twin.size !== file.size) return 'other-size';
      return known.has(path) || (await sameBytes(file, twin, read, given)) ? 'same' : 'differs';
    };
    const found = await verdict();
    files.push({ path, bytes: file.size, verdict: found });
    done = before + file.size;
    progress(done, all, found === 'same' ? path : null);
  }
  return { files, bytes: all, proved: files.length > 0 && files.every((f) => f.verdict === 'same') };
};

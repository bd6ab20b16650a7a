/** Encodings told by the first bytes (Unicode Standard, 23.8), and how many bytes tell it. */
const MARKS: readonly { readonly bytes: readonly number[]; readonly encoding: string }[] = [
  { bytes: [0xef, 0xbb, 0xbf], encoding: 'utf-8' },
  { bytes: [0xff, 0xfe], encoding: 'utf-16le' },
  { bytes: [0xfe, 0xff], encoding: 'utf-16be' },
];
const DECLARED = /^\s*<\?xml[^>]*?encoding\s*=\s*["']([A-Za-z0-9._-]+)["']/;
/** What spreadsheets on desktops write where they do not write Unicode. */
const OLD = 'windows-1252';

const ascii = (bytes: Uint8Array): string => String.fromCharCode(...bytes.subarray(0, 200));

/** Every second byte of Latin text in UTF-16 is zero; in no other encoding is any. */
const wide = (bytes: Uint8Array): string | null => {
  const head = bytes.subarray(0, 200);
  const zeros = (from: number): number => head.filter((b, i) => i % 2 === from && b === 0).length;
  if (zeros(1) > head.length / 4) return 'utf-16le';
  return zeros(0) > head.length / 4 ? 'utf-16be' : null;
};

const decoderOf = (label: string, strict: boolean): TextDecoder | null => {
  try {
    return new TextDecoder(label, { fatal: strict });
  } catch {
    return null;
  }
};

/**
 * Text of a file in the encoding it is written in: by its mark, by what its XML declares, as UTF-8 where that fits without a
 * fault, else as Windows-1252. Nothing is replaced silently but what no encoding knows.
 */
export const decodeText = (bytes: Uint8Array): string => {
  const mark = MARKS.find((m) => m.bytes.every((b, i) => bytes[i] === b));
  const sure = mark?.encoding ?? wide(bytes);
  if (sure) return new TextDecoder(sure).decode(bytes);
  const declared = DECLARED.exec(ascii(bytes))?.[1];
  for (const label of [declared, 'utf-8']) {
    const decoder = label === undefined ? null : decoderOf(label, true);
    try {
      if (decoder) return decoder.decode(bytes);
    } catch {
      // It is not in this one.
    }
  }
  return new TextDecoder(OLD).decode(bytes);
};

/** Reads a file a person chose as text. */
export const readTextFile = async (file: Blob): Promise<string> =>
  decodeText(new Uint8Array(await file.arrayBuffer()));

/** What keeps the disk or the database from taking a write, by the codes of SQLite and of the system. */
const CAUSES: readonly (readonly [kind: string, status: number, codes: RegExp, detail: string])[] = [
  [
    'storage-full',
    507,
    /^(SQLITE_FULL|ENOSPC|EDQUOT)$/,
    'The disk of the computer is full. Make room: what was changed is kept on this device and goes out then.',
  ],
  [
    'storage-read-only',
    507,
    /^(SQLITE_READONLY\w*|SQLITE_CANTOPEN\w*|SQLITE_PERM|EROFS|EACCES|EPERM)$/,
    'The data folder of the computer cannot be written to. Check who owns it: what was changed is kept on this device and goes out then.',
  ],
  [
    'storage-busy',
    503,
    /^(SQLITE_BUSY\w*|SQLITE_LOCKED\w*)$/,
    'Another program holds the database. What was changed is kept on this device and tried again.',
  ],
  [
    'storage-failing',
    507,
    /^(SQLITE_IOERR\w*|EIO)$/,
    'The disk of the computer fails to write. Save what matters elsewhere: what was changed is kept on this device.',
  ],
];

/** Codes an error carries, its causes included: Sequelize wraps the driver’s. */
const codesOf = (error: unknown, depth = 0): string[] => {
  if (typeof error !== 'object' || error === null || depth > 4) return [];
  const { code, parent, original, cause } = error as Record<string, unknown>;
  return [
    ...(typeof code === 'string' ? [code] : []),
    ...[parent, original, cause].flatMap((e) => codesOf(e, depth + 1)),
  ];
};

export interface StorageFault {
  readonly kind: string;
  readonly status: number;
  readonly detail: string;
}

/** What is wrong, in plain words, where an error says that nothing can be stored; null for any other error. */
export const storageFault = (error: unknown): StorageFault | null => {
  const codes = codesOf(error);
  const cause = CAUSES.find(([, , pattern]) => codes.some((code) => pattern.test(code)));
  return cause ? { kind: cause[0], status: cause[1], detail: cause[3] } : null;
};

/** A backup by its file name: number and time of writing. Files of earlier versions have no number. */
export interface BackupName {
  readonly file: string;
  readonly sequence: number;
  /** Day it was written on, YYYYMMDD, by the clock of that moment. */
  readonly day: string;
  readonly stamp: string;
}

const NAME = /^dusk-slate-(?:(\d{6})-)?(\d{8})-(\d{6})\.db$/;

/** Backups among some file names, oldest first: those without a number by their time, then by number, whatever the clock said. */
export const backupsIn = (files: readonly string[]): readonly BackupName[] =>
  files
    .flatMap((file): BackupName[] => {
      const [, number, day, time] = NAME.exec(file) ?? [];
      return day && time ? [{ file, sequence: Number(number ?? 0), day, stamp: `${day}-${time}` }] : [];
    })
    .sort((a, b) => a.sequence - b.sequence || (a.stamp < b.stamp ? -1 : 1));

const stampOf = (at: Date): string =>
  at.toISOString().replace(/[-:]/g, '').replace(/\..*/, '').replace('T', '-');

/** Name of the next backup. */
export const nextName = (files: readonly string[], at: Date): string => {
  const last = backupsIn(files).at(-1)?.sequence ?? 0;
  return `dusk-slate-${String(last + 1).padStart(6, '0')}-${stampOf(at)}.db`;
};

/** How many are kept: of the newest, one a day, one a week. */
const NEWEST = 3;
const DAYS = 14;
const WEEKS = 8;

/** Monday of the week of a day (YYYYMMDD). */
const weekOf = (day: string): string => {
  const at = new Date(`${day.slice(0, 4)}-${day.slice(4, 6)}-${day.slice(6)}T00:00:00Z`);
  if (Number.isNaN(at.getTime())) return day;
  at.setUTCDate(at.getUTCDate() - ((at.getUTCDay() + 6) % 7));
  return at.toISOString().slice(0, 10);
};

/**
 * Backups that may go. The newest three stay, then the newest of each of the last fourteen days on which one was written, and of
 * each of the last eight weeks. Newest is by number: a clock set wrong, or many starts in a row, push nothing out.
 */
export const outdated = (files: readonly string[]): readonly string[] => {
  const newestFirst = [...backupsIn(files)].reverse();
  const kept = new Set(newestFirst.slice(0, NEWEST));
  for (const [of, most] of [
    [(b: BackupName) => b.day, DAYS],
    [(b: BackupName) => weekOf(b.day), WEEKS],
  ] as const) {
    const seen = new Set<string>();
    for (const b of newestFirst) {
      if (seen.has(of(b)) || seen.size === most) continue;
      seen.add(of(b));
      kept.add(b);
    }
  }
  return newestFirst.filter((b) => !kept.has(b)).map((b) => b.file);
};

type Row = Readonly<Record<string, unknown>>;

const isRow = (value: unknown): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const rowsIn = (list: unknown): readonly Row[] => (Array.isArray(list) ? list.filter(isRow) : []);

/** Version 2 calls the log of flights by its name, and how a flight went its outcome. */
const kitToVersion2 = (kit: unknown): unknown => {
  if (!isRow(kit)) return kit;
  const { flown, ...rest } = kit;
  const flightLog = rowsIn(flown).map(({ verdict, ...entry }) => ({
    ...entry,
    outcome: verdict === 'trouble' ? 'incident' : verdict,
  }));
  return { ...rest, flightLog };
};

/** A film or kit file of an earlier version as one of today's; anything else is given back as it is. */
export const upgradeFile = (file: unknown): unknown => {
  if (!isRow(file) || file['formatVersion'] !== 1) return file;
  return { ...file, formatVersion: 2, kit: kitToVersion2(file['kit']) };
};

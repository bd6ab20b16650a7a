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

const listIn = (row: unknown, key: string): readonly Row[] => (isRow(row) ? rowsIn(row[key]) : []);
const byId = (rows: readonly Row[], id: unknown): Row | undefined =>
  rows.find((r) => r['id'] === id) ?? rows[0];
const times = (factor: unknown, ratio: number): unknown =>
  typeof factor === 'number' ? Math.min(100, factor * ratio) : factor;

/** Until version 2 a speed factor counted frame for frame; from version 3 on it is against real time. The seconds stay. */
const shotToVersion3 = (shot: Row, aircraft: readonly Row[], timelineFps: number): Row => {
  const craft = aircraft.find((a) => a['id'] === shot['aircraftId']);
  const camera = byId(listIn(craft, 'cameras'), shot['cameraId']);
  const fps = byId(listIn(camera, 'modes'), shot['modeId'])?.['fps'];
  if (typeof fps !== 'number' || !isRow(shot['cut'])) return shot;
  const segments = listIn(shot['cut'], 'segments').map((s) => ({
    ...s,
    speedFactor: times(s['speedFactor'], timelineFps / fps),
    endFactor: times(s['endFactor'], timelineFps / fps),
  }));
  return { ...shot, cut: { ...shot['cut'], segments } };
};

const toVersion3 = (file: Row): Row => {
  const film = file['film'];
  const timelineFps = isRow(film) ? film['timelineFps'] : null;
  if (!Array.isArray(file['shots']) || typeof timelineFps !== 'number') return { ...file, formatVersion: 3 };
  const aircraft = listIn(file['kit'], 'aircraft');
  return {
    ...file,
    formatVersion: 3,
    shots: file['shots'].map((s: unknown) => (isRow(s) ? shotToVersion3(s, aircraft, timelineFps) : s)),
  };
};

/** A film or kit file of an earlier version as one of today's; anything else is given back as it is. */
export const upgradeFile = (file: unknown): unknown => {
  if (!isRow(file)) return file;
  if (file['formatVersion'] === 1) return toVersion3({ ...file, kit: kitToVersion2(file['kit']) });
  return file['formatVersion'] === 2 ? toVersion3(file) : file;
};

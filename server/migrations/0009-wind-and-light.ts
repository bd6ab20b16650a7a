import type { Sequelize } from 'sequelize';
import { inTransaction, read } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

type Row = Record<string, unknown>;

/** Fields that came with this version, and what rows written before have in them. */
const FIELDS_0009: Readonly<Record<string, readonly (readonly [path: string, value: unknown])[]>> = {
  film: [
    ['preferences.topSpeedShare', 0.8],
    ['preferences.homeGustShare', 0.5],
    ['preferences.gustCareShare', 0.5],
    ['preferences.gustStopShare', 0.7],
    ['preferences.lampsRampMin', 12],
    ['preferences.sunBandTopDeg', 3],
    ['preferences.sunBandBottomDeg', -1.5],
    ['preferences.meterFadeMin', 60],
    ['preferences.exposeFor', 'between'],
    ['preferences.settingRegretStops', 0.33],
    ['preferences.topUpBefore', true],
  ],
  aircraft: [['cameras.*.stillAspect', '4:3']],
  shot: [
    ['alsoAspect', null],
    ['litShare', 0.3],
    ['notAfter', null],
  ],
  location: [
    ['hours', []],
    ['weatherFrom', null],
  ],
  reading: [['of', null]],
  charger: [
    ['totalW', 0],
    ['efficiency', 0.85],
  ],
};

const TABLES_0009: Readonly<Record<string, string>> = {
  film: 'films',
  aircraft: 'aircraft',
  shot: 'shots',
  location: 'locations',
  reading: 'readings',
  charger: 'chargers',
};

interface Craft {
  readonly cameras: readonly {
    readonly id: string;
    readonly modes: readonly { id: string; fps: number }[];
  }[];
}
interface Segment {
  readonly speedFactor: number;
  readonly endFactor: number | null;
}

/** Frames a second of a shot's recording mode as it was looked up then: the one named, or the first there is. */
const captureFps = (craft: Craft | undefined, shot: Row): number | undefined => {
  const camera = craft?.cameras.find((c) => c.id === shot['cameraId']) ?? craft?.cameras[0];
  return (camera?.modes.find((m) => m.id === shot['modeId']) ?? camera?.modes[0])?.fps;
};

/** Until version 8 a speed factor counted frame for frame; from here on it is against real time. The seconds stay. */
const inRealTime = (shot: Row, ratio: number): Row => {
  const cut = shot['cut'] as { segments: readonly Segment[] };
  const times = (factor: number): number => Math.min(100, factor * ratio);
  const segments = cut.segments.map((s) => ({
    ...s,
    speedFactor: times(s.speedFactor),
    endFactor: s.endFactor === null ? null : times(s.endFactor),
  }));
  return { ...shot, cut: { ...cut, segments } };
};

/** How the speed factors of a shot change, by its location and its aircraft. */
const factorRatios = async (sequelize: Sequelize) => {
  const craft = await read<{ id: string; body: string }>(sequelize, 'SELECT id, body FROM aircraft', {});
  const rates = await read<{ id: string; body: string }>(
    sequelize,
    'SELECT l.id, f.body FROM locations l JOIN films f ON f.id = l.film_id',
    {},
  );
  const byCraft = new Map(craft.map((c) => [c.id, JSON.parse(c.body) as Craft]));
  const byPlace = new Map(
    rates.map((r) => [r.id, (JSON.parse(r.body) as { timelineFps: number }).timelineFps]),
  );
  return (shot: Row): number => {
    const fps = captureFps(byCraft.get(String(shot['aircraftId'])), shot);
    const timeline = byPlace.get(String(shot['locationId']));
    return fps && timeline ? timeline / fps : 1;
  };
};

/** Legs that are flown for the wind they meet, and speed factors against real time. */
export const windAndLight = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    const ratioOf = await factorRatios(sequelize);
    const shots = await read<{ id: string; locationId: string; aircraftId: string | null; body: string }>(
      sequelize,
      'SELECT id, location_id AS locationId, aircraft_id AS aircraftId, body FROM shots',
      {},
    );
    const ratios = new Map(
      shots.map(({ id, body, ...row }) => [id, ratioOf({ ...(JSON.parse(body) as Row), ...row })]),
    );
    await rewriteBodies(sequelize, 'shots', (body, id) => inRealTime(body, ratios.get(id) ?? 1));
    const grown = (kind: string, row: Row): Row => filledWith(FIELDS_0009[kind] ?? [], row);
    for (const [kind, table] of Object.entries(TABLES_0009))
      await rewriteBodies(sequelize, table, (body) => grown(kind, body));
    await rewriteLog(sequelize, Object.keys(TABLES_0009), (kind, row) =>
      grown(kind, kind === 'shot' ? inRealTime(row, ratioOf(row)) : row),
    );
  });

import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ENTITY_KINDS, MODEL_VERSION, type EntityKind } from '@core/model';
import type { Sequelize } from 'sequelize';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase, read } from '../database';
import { readRows } from '../models';
import { validateRow } from '../services/checks';
import { filledWith } from './fill';
import { migrate, MIGRATION_NAMES } from '.';

type Row = Readonly<Record<string, unknown>>;
const FIXTURES = join(import.meta.dirname, 'fixtures');
let dataDir = '';
let sequelize: Sequelize;

beforeEach(async () => {
  dataDir = await mkdtemp(join(tmpdir(), 'dusk-old-'));
  sequelize = await openDatabase(dataDir);
});
afterEach(async () => {
  await sequelize.close();
  await rm(dataDir, { recursive: true, force: true });
});

/** Statements of a dump; none of them has a semicolon at the end of a line inside a text. */
const load = async (file: string): Promise<void> => {
  const sql = await readFile(join(FIXTURES, file), 'utf8');
  await sequelize.query('PRAGMA foreign_keys = OFF');
  for (const statement of sql.split(/;\n/)) {
    const text = statement.replace(/^--.*\n/, '').trim();
    if (text !== '' && !/^(BEGIN|COMMIT)/.test(text)) await sequelize.query(text);
  }
  await sequelize.query('PRAGMA foreign_keys = ON');
};

/** Tables, columns and indexes as SQLite describes them, whatever way they were made. */
const shapeOf = async (db: Sequelize): Promise<unknown> => {
  const tables = await read<{ name: string }>(
    db,
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    {},
  );
  const shape: Record<string, unknown> = {};
  for (const { name } of tables) {
    const columns = await read<Record<string, unknown>>(db, `PRAGMA table_info(${name})`, {});
    const foreign = await read<Record<string, unknown>>(db, `PRAGMA foreign_key_list(${name})`, {});
    const indexes = await read<{ name: string }>(db, `PRAGMA index_list(${name})`, {});
    shape[name] = {
      columns: columns.map((c) => [c['name'], c['type'], c['notnull'], c['pk']]).sort(),
      foreign: foreign.map((f) => [f['from'], f['table'], f['to']]).sort(),
      indexes: indexes
        .map((i) => i.name)
        .filter((n) => !n.startsWith('sqlite_'))
        .sort(),
    };
  }
  return shape;
};

const fixtures = (await readdir(FIXTURES)).filter((f) => f.endsWith('.sql')).sort();

describe('a stored database of an earlier schema', () => {
  it('has one number more with every migration, and pages carry the newest', () => {
    expect(MIGRATION_NAMES.map((name) => Number(name.slice(0, 4)))).toEqual(
      MIGRATION_NAMES.map((_, i) => i + 1),
    );
    expect(MODEL_VERSION).toBe(MIGRATION_NAMES.length);
  });
  it('is kept of every schema but the newest', () => {
    expect(fixtures).toEqual(MIGRATION_NAMES.slice(0, -1).map((name) => `${name.slice(0, 4)}.sql`));
  });

  it.each(fixtures)('%s is brought to the schema of today, every row and log entry valid', async (file) => {
    await load(file);
    const from = MIGRATION_NAMES.findIndex((name) => name.startsWith(file.slice(0, 4)));
    const before = await read<{ n: number }>(sequelize, 'SELECT COUNT(*) AS n FROM change_log', {});
    expect(await migrate(sequelize)).toEqual(MIGRATION_NAMES.slice(from + 1));

    const found = new Map<EntityKind, number>();
    for (const kind of ENTITY_KINDS)
      for (const row of await readRows(sequelize, kind, 'id', null)) {
        expect(validateRow(kind, row.value), `${kind} ${row.value.id}`).toEqual([]);
        found.set(kind, (found.get(kind) ?? 0) + 1);
      }
    for (const kind of ['film', 'location', 'subject', 'shot', 'aircraft', 'pack', 'card', 'filter'] as const)
      expect(found.get(kind), kind).toBeGreaterThan(0);

    const log = await read<{ kind: EntityKind; after: string | null; before: string | null }>(
      sequelize,
      'SELECT kind, before, after FROM change_log',
      {},
    );
    expect(log).toHaveLength(before[0]?.n ?? -1);
    for (const { kind, before: was, after } of log)
      for (const text of [was, after])
        if (text !== null)
          expect(validateRow(kind, JSON.parse(text) as Record<string, unknown>), `log of a ${kind}`).toEqual(
            [],
          );

    const fresh = await openDatabase(join(dataDir, 'fresh'));
    await migrate(fresh);
    expect(await shapeOf(sequelize)).toEqual(await shapeOf(fresh));
    await fresh.close();
  });

  it('hangs answers about a flight on the flight, and says how logged flights went', async () => {
    await load('0007.sql');
    await migrate(sequelize);
    const [flight] = await readRows(sequelize, 'flight', 'id', null);
    const answers = (await readRows(sequelize, 'answer', 'id', null)).map((r) => r.value as Row);
    expect(answers.find((a) => a['checkId'] === 'pack-after')).toMatchObject({
      flightId: flight!.value.id,
      shotId: null,
    });
    expect(answers.find((a) => a['checkId'] !== 'pack-after')).toMatchObject({ flightId: null });
    const log = (await readRows(sequelize, 'flightLogEntry', 'id', null)).map((r) => r.value as Row);
    expect(log.map((e) => e['outcome'])).toEqual(['as-planned', 'as-planned']);
  });

  it('counts speed factors against real time, and leaves the seconds of each shot as they were', async () => {
    await load('0008.sql');
    const [shot] = await read<{ id: string; aircraft: string }>(
      sequelize,
      'SELECT id, aircraft_id AS aircraft FROM shots WHERE aircraft_id IS NOT NULL LIMIT 1',
      {},
    );
    const cameras = `json('[{"id":"c","modes":[{"id":"m","fps":25},{"id":"slow","fps":50}]}]')`;
    await sequelize.query(`UPDATE aircraft SET body = json_set(body, '$.cameras', ${cameras})`);
    await sequelize.query(
      `UPDATE shots SET body = json_set(body, '$.cameraId', 'c', '$.modeId', 'slow', '$.cut.segments',
       json('[{"timelineS":6,"speedFactor":1,"endFactor":3},{"timelineS":2,"speedFactor":4,"endFactor":null}]'))
       WHERE id = '${shot!.id}'`,
    );
    await migrate(sequelize);
    const rows = await readRows(sequelize, 'shot', 'id', null);
    const cut = rows.find((r) => r.value.id === shot!.id)!.value as Row;
    expect((cut['cut'] as Row)['segments']).toEqual([
      { timelineS: 6, speedFactor: 0.5, endFactor: 1.5 },
      { timelineS: 2, speedFactor: 2, endFactor: null },
    ]);
  });

  it('is refused by the checks where a migration is missing: a field nobody fills in is named', async () => {
    await load('0001.sql');
    await migrate(sequelize);
    await sequelize.query("UPDATE packs SET body = json_remove(body, '$.chargeMinutes')");
    const [pack] = await readRows(sequelize, 'pack', 'id', null);
    expect(validateRow('pack', pack!.value as Record<string, unknown>)[0]?.say).toContain('Charging time');
  });

  it('keeps what a row says already, also inside lists', () => {
    const row = { cut: { segments: [{ endFactor: 2 }, {}] }, name: 'A' };
    const filled = filledWith(
      [
        ['cut.segments.*.endFactor', null],
        ['name', 'B'],
        ['layers', { foreground: '' }],
        ['missing.part', 1],
      ],
      row,
    );
    expect(filled).toEqual({
      cut: { segments: [{ endFactor: 2 }, { endFactor: null }] },
      name: 'A',
      layers: { foreground: '' },
    });
    expect(row).not.toHaveProperty('layers');
  });
});

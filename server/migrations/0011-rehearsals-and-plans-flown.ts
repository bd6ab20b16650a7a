import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

type Row = Record<string, unknown>;

/** Fields that came with this version, and what rows written before have in them. */
const FIELDS_0011: Readonly<Record<string, readonly (readonly [path: string, value: unknown])[]>> = {
  flightLogEntry: [
    ['plannedMinutes', null],
    ['windMs', null],
  ],
  practice: [
    ['shotId', null],
    ['mark', null],
  ],
  shot: [['sensing', null]],
};

const TABLES_0011: Readonly<Record<string, string>> = {
  flightLogEntry: 'flight_log',
  practice: 'practice',
  shot: 'shots',
};

/** What a logged flight was planned to last and the wind it met, rehearsals of a shot with their mark, obstacle sensing by shot. */
export const rehearsalsAndPlansFlown = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    const grown = (kind: string, row: Row): Row => filledWith(FIELDS_0011[kind] ?? [], row);
    for (const [kind, table] of Object.entries(TABLES_0011))
      await rewriteBodies(sequelize, table, (body) => grown(kind, body));
    await rewriteLog(sequelize, Object.keys(TABLES_0011), grown);
  });

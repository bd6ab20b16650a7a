import { ENTITY_KINDS, type AnyRow, type EntityKind } from '@contract';
import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';
import { TABLES } from './tables';

export type StoredModel = ModelStatic<Model<Record<string, unknown>, Record<string, unknown>>>;

export interface Models {
  readonly rows: Readonly<Record<EntityKind, StoredModel>>;
  readonly changes: StoredModel;
}

const COLUMN_TYPES: Readonly<Record<string, typeof DataTypes.TEXT | typeof DataTypes.BOOLEAN>> = { retired: DataTypes.BOOLEAN };

const defineRow = (sequelize: Sequelize, kind: EntityKind): StoredModel => {
  const { table, columns } = TABLES[kind];
  return sequelize.define(kind, {
    id: { type: DataTypes.TEXT, primaryKey: true },
    version: { type: DataTypes.INTEGER, allowNull: false },
    createdAt: { type: DataTypes.TEXT, allowNull: false },
    updatedAt: { type: DataTypes.TEXT, allowNull: false },
    body: { type: DataTypes.JSON, allowNull: false },
    ...Object.fromEntries(columns.map((c) => [c, { type: COLUMN_TYPES[c] ?? DataTypes.TEXT }])),
  }, { tableName: table, timestamps: false, underscored: true }) as StoredModel;
};

const defineChanges = (sequelize: Sequelize): StoredModel => sequelize.define('change', {
  sequence: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
  batch: DataTypes.TEXT, undoes: DataTypes.TEXT, device: DataTypes.TEXT, filmId: DataTypes.TEXT,
  kind: DataTypes.TEXT, entityId: DataTypes.TEXT, at: DataTypes.TEXT, version: DataTypes.INTEGER,
  before: DataTypes.JSON, after: DataTypes.JSON,
}, { tableName: 'change_log', timestamps: false, underscored: true }) as StoredModel;

export const defineModels = (sequelize: Sequelize): Models => ({
  rows: Object.fromEntries(ENTITY_KINDS.map((kind) => [kind, defineRow(sequelize, kind)])) as Record<EntityKind, StoredModel>,
  changes: defineChanges(sequelize),
});

/** Splits a thing into its columns and its body. */
export const toColumns = (kind: EntityKind, value: Record<string, unknown>): Record<string, unknown> => {
  const { columns } = TABLES[kind];
  const body = Object.fromEntries(Object.entries(value).filter(([key]) => key !== 'id' && !columns.includes(key)));
  return { id: value['id'], body, ...Object.fromEntries(columns.map((c) => [c, value[c] ?? null])) };
};

/** Puts a stored row together again. */
export const toRow = (kind: EntityKind, model: Model<Record<string, unknown>>): AnyRow => {
  const plain = model.get({ plain: true });
  const columns = Object.fromEntries(TABLES[kind].columns.map((c) => [c, plain[c]]));
  return {
    kind, version: plain['version'], createdAt: plain['createdAt'], updatedAt: plain['updatedAt'],
    value: { id: plain['id'], ...columns, ...(plain['body'] as object) },
  } as AnyRow;
};

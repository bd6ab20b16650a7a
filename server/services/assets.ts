import { createHash } from 'node:crypto';
import { ASSET_LIMIT, ASSET_MIMES, type AssetMime } from '@core/model';
import { QueryTypes, type Sequelize } from 'sequelize';
import { read } from '../database';
import { HttpProblem } from '../http/problem';
import { checkContent } from './asset-content';
import type { Store } from './store';

export interface Asset {
  readonly id: string;
  readonly mime: AssetMime;
  readonly bytes: Buffer;
}

const isMime = (mime: string): mime is AssetMime => (ASSET_MIMES as readonly string[]).includes(mime);

/** How long a file is kept for its row, ms. */
const WAITS_MS = 86_400_000;

/** Files kept beside the rows: pictures and rasters of heights, each under the hash of its content, so that nothing is kept twice. */
export class Assets {
  /** @param reader a connection that only reads */
  constructor(
    private readonly reader: Sequelize,
    private readonly store: Store,
  ) {}

  /** @throws HttpProblem 413, 415 */
  async keep(mime: string, bytes: Buffer): Promise<string> {
    if (!isMime(mime))
      throw new HttpProblem(
        415,
        'asset-kind',
        'Only pictures (PNG, JPEG, WebP) and rasters of heights are kept.',
      );
    if (bytes.length > ASSET_LIMIT)
      throw new HttpProblem(
        413,
        'asset-size',
        `The file has ${(bytes.length / 1e6).toFixed(0)} MB; ${ASSET_LIMIT / 1e6} MB are kept at most.`,
      );
    await checkContent(mime, bytes);
    const id = createHash('sha256').update(bytes).digest('hex');
    await this.store.alone((writer) =>
      writer.query(
        `INSERT INTO assets (id, mime, created_at, bytes) VALUES ($1, $2, $3, $4)
        ON CONFLICT (id) DO UPDATE SET created_at = excluded.created_at`,
        { bind: [id, mime, new Date().toISOString(), bytes], type: QueryTypes.INSERT },
      ),
    );
    return id;
  }

  async get(id: string): Promise<Asset | null> {
    const rows = await read<{ id: string; mime: AssetMime; bytes: Buffer }>(
      this.reader,
      'SELECT id, mime, bytes FROM assets WHERE id = :id',
      { id },
    );
    return rows[0] ?? null;
  }

  /** Of some ids, those that are there, without their bytes. */
  async kinds(ids: readonly string[]): Promise<Pick<Asset, 'id' | 'mime'>[]> {
    return ids.length === 0
      ? []
      : read<Pick<Asset, 'id' | 'mime'>>(
          this.reader,
          'SELECT id, mime FROM assets WHERE id IN (:ids) ORDER BY id',
          { ids },
        );
  }

  /** Of some ids, those that are there. */
  async all(ids: readonly string[]): Promise<Asset[]> {
    return ids.length === 0
      ? []
      : read<{ id: string; mime: AssetMime; bytes: Buffer }>(
          this.reader,
          'SELECT id, mime, bytes FROM assets WHERE id IN (:ids)',
          { ids },
        );
  }

  /**
   * Drops files that no row and no step that could be taken back refers to, a day after they were sent: the row of a file may
   * still wait on a device.
   */
  async tidy(now = new Date()): Promise<void> {
    const before = new Date(now.getTime() - WAITS_MS).toISOString();
    await this.store.alone((writer) =>
      writer.query(
        `DELETE FROM assets WHERE created_at < :before AND id NOT IN (
      SELECT json_extract(body, '$.assetId') FROM grounds UNION SELECT json_extract(body, '$.assetId') FROM pictures
      UNION SELECT json_extract(before, '$.assetId') FROM change_log WHERE kind IN ('ground', 'picture') AND before IS NOT NULL
      UNION SELECT json_extract(after, '$.assetId') FROM change_log WHERE kind IN ('ground', 'picture') AND after IS NOT NULL)`,
        { replacements: { before } },
      ),
    );
  }
}

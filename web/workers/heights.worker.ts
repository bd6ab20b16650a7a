import type { Message } from '@core/messages';
import type { Result } from '@core/units';
import { expose, transfer } from 'comlink';
import { findProjection } from '../exchange/find-projection';
import { readHeights, type HeightReading, type Where } from '../exchange/heights/read';

/** Reads files of heights beside the page. */
const heights = {
  async read(
    buffer: ArrayBuffer,
    name: string,
    where: Where,
    chosen: number | null,
  ): Promise<Result<HeightReading, Message>> {
    const read = await readHeights({ buffer, name }, where, chosen, findProjection);
    return read.ok ? transfer(read, [read.value.grid.heights.buffer]) : read;
  },
};

export type HeightsWorker = typeof heights;
expose(heights);

import type { FindProjection, Projection } from './heights/projection';

/** Asks the application for a projection of the register; also from a worker. */
export const findProjection: FindProjection = async (code) => {
  const response = await fetch(`/api/projections/${code}`).catch(() => null);
  return response?.ok ? { ...((await response.json()) as Projection), code } : null;
};

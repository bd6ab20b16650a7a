/** Number of the newest change to what is stored, one a migration: what is sent and kept carries it. */
export const MODEL_VERSION = 15;

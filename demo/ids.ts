/** Stable ids for made-up things: same input, same id, on every machine. */
export const demoId = (group: number, n: number): string =>
  `d0000000-0000-4000-8${String(group).padStart(3, '0')}-${String(n).padStart(12, '0')}`;

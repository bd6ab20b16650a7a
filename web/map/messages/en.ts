export const EN = {
  launch: 'Launch',
  wire: 'Wire',
} as const;

export type PaceBand = 'still' | 'calm' | 'gentle' | 'lively' | 'fast' | 'frantic';

/** Shortest crossing, in seconds, that still belongs to each band. */
export const PACE_BANDS: readonly { readonly band: PaceBand; readonly fromS: number }[] = [
  { band: 'still', fromS: 20 },
  { band: 'calm', fromS: 10 },
  { band: 'gentle', fromS: 7 },
  { band: 'lively', fromS: 4 },
  { band: 'fast', fromS: 2 },
  { band: 'frantic', fromS: 0 },
];

export const paceBand = (crossingS: number): PaceBand =>
  PACE_BANDS.find((b) => crossingS > b.fromS || b.fromS === 0)?.band ?? 'frantic';

/** Crossing under which a pan or slide strobes at 24–30 fps with a 180° shutter: the seven-second guide of cinematography manuals. */
export const STROBE_CROSSING_S = 7;

/** Blur of what crosses the frame, pixels: its way across and along the frame while the shutter is open. */
export const blurPixels = (
  { widthsPerS, heightsPerS }: { readonly widthsPerS: number; readonly heightsPerS: number },
  [widthPx, heightPx]: readonly [number, number],
  shutterS: number,
): number => Math.hypot(widthsPerS * widthPx, heightsPerS * heightPx) * shutterS;

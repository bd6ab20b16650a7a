export type PaceBand = 'still' | 'calm' | 'gentle' | 'lively' | 'fast' | 'frantic';

/** Shortest edge crossing, in seconds, that still belongs to each band. */
export const PACE_BANDS: readonly { readonly band: PaceBand; readonly fromS: number }[] = [
  { band: 'still', fromS: 20 },
  { band: 'calm', fromS: 10 },
  { band: 'gentle', fromS: 7 },
  { band: 'lively', fromS: 4 },
  { band: 'fast', fromS: 2 },
  { band: 'frantic', fromS: 0 },
];

export const paceBand = (edgeCrossingS: number): PaceBand =>
  PACE_BANDS.find((b) => edgeCrossingS > b.fromS || b.fromS === 0)?.band ?? 'frantic';

/** Crossing under which a pan or slide strobes at 24–30 fps with a 180° shutter: the seven-second guide of cinematography manuals. */
export const STROBE_CROSSING_S = 7;

/** Blur of the nearest ground in pixels: pixels a second × shutter time. */
export const blurPixels = (crossingS: number, framePixels: number, shutterS: number): number =>
  (framePixels / crossingS) * shutterS;

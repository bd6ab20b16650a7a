export { blurPixels, PACE_BANDS, paceBand, type PaceBand, STROBE_CROSSING_S } from './band';
export { movePace, type MovePace, NO_PACE, type PaceFrame, type PaceOf, type PaceScene } from './moving';

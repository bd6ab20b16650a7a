/** Frames and capture time of a time-lapse: frames = clip·fps, capture = (frames − 1)·interval. */
export const timelapse = (
  clipS: number,
  fps: number,
  intervalS: number,
): { frames: number; captureS: number } => {
  const frames = Math.round(clipS * fps);
  return { frames, captureS: Math.max(0, frames - 1) * intervalS };
};

/** Columns of a panorama: ceil(sweep / (hfov·(1 − overlap))). */
export const panoramaColumns = (sweepDeg: number, hfovDeg: number, overlap: number): number =>
  Math.ceil(sweepDeg / (hfovDeg * (1 - overlap)));

/** Hover for one still besides the video: frame, settle, take it, s. */
export const STILL_S = 4;

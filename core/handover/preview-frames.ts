import type { CutClip, EditTimeline } from './edit-timeline';

/** A frame of the cut, and the moment of the move it shows. */
export interface PreviewFrame {
  readonly frame: number;
  readonly clip: CutClip;
  /** Seconds from the start of the move, as it is flown; before it and after it the camera stands. */
  readonly moveS: number;
}

/**
 * Every frame of a cut in its order. A clip runs through its recording at its mean speed; pre-roll lies before the move.
 * @param preRollS seconds recorded before the move begins
 */
export function* previewFrames({ clips, fps }: EditTimeline, preRollS: number): Generator<PreviewFrame> {
  for (const clip of clips)
    for (let k = 0; k < clip.frames; k += 1)
      yield {
        frame: clip.fromFrame + k,
        clip,
        moveS: (clip.sourceFromFrame + k * clip.speed) / fps - preRollS,
      };
}

import { meanFactor } from '../footage';
import type { Take } from '../model';
import { boardOf } from '../story';
import { bestTake } from './best-take';
import type { Handover } from './lines';

/** A stretch of the cut: one segment of a shot at one speed. */
export interface CutClip {
  readonly shotId: string;
  /** null for a shot from the ground. */
  readonly number: number | null;
  readonly name: string;
  /** Where it starts on the timeline and how long it lasts there, whole frames. */
  readonly fromFrame: number;
  readonly frames: number;
  /** Mean speed against real time; 1 plays as recorded. */
  readonly speed: number;
  /** First frame of it within what is recorded for the shot, at the timeline's rate. */
  readonly sourceFromFrame: number;
  /** Frames of the recording it uses. */
  readonly sourceFrames: number;
  /** Frames of a whole take, from pre-roll to post-roll. */
  readonly takeFrames: number;
  /** The take that is used; null as long as none is good. */
  readonly take: Take | null;
  /** What was noted on the takes of the shot. */
  readonly notes: readonly string[];
}

/** The planned cut on a timeline. */
export interface EditTimeline {
  readonly name: string;
  readonly fps: number;
  readonly frames: number;
  readonly clips: readonly CutClip[];
}

/**
 * The cut as it is planned, in whole frames. Ends are rounded, not lengths, so that rounding never adds up: the timeline is as
 * long as the storyboard to half a frame.
 */
export const editTimeline = ({ input, derived }: Handover): EditTimeline => {
  const fps = input.film.timelineFps;
  const frame = (s: number): number => Math.round(s * fps);
  const handleS = input.film.preferences.handleS;
  const board = boardOf(derived, input.groundShots).places;
  // Each clip begins where the one before ended: rounded again from its own seconds it could be a frame off.
  let atS = 0;
  let from = 0;
  const clips = board.flatMap((place): CutClip[] => {
    if (!place.shot) {
      const { id, title, timelineS, notes } = place.ground;
      atS += timelineS;
      const [fromFrame, to] = [from, frame(atS)];
      from = to;
      if (to === fromFrame) return [];
      const frames = to - fromFrame;
      return [
        {
          shotId: id,
          number: null,
          name: title,
          fromFrame,
          frames,
          speed: 1,
          sourceFromFrame: 0,
          sourceFrames: frames,
          takeFrames: frames,
          take: null,
          notes: notes === '' ? [] : [notes],
        },
      ];
    }
    const { shot } = place;
    const { facts } = shot;
    const take = bestTake(input.takes, facts.shot.id);
    const notes = input.takes.filter((t) => t.shotId === facts.shot.id && t.notes !== '').map((t) => t.notes);
    // What is usable begins once the move is steady; its handle comes before what the cut uses.
    let sourceS = input.film.preferences.preRollS + (facts.trajectory?.steadyFromS ?? 0) + handleS;
    return facts.segments.flatMap((segment): CutClip[] => {
      const speed = meanFactor(segment);
      atS += segment.timelineS;
      const [fromFrame, to] = [from, frame(atS)];
      const sourceFrom = frame(sourceS);
      from = to;
      sourceS += segment.timelineS * speed;
      if (to === fromFrame) return [];
      return [
        {
          shotId: facts.shot.id,
          number: shot.number,
          name: `${shot.number} ${facts.shot.title}`.trim(),
          fromFrame,
          frames: to - fromFrame,
          speed,
          sourceFromFrame: sourceFrom,
          sourceFrames: Math.max(1, Math.round((to - fromFrame) * speed)),
          takeFrames: frame(facts.seconds.takeS),
          take,
          notes,
        },
      ];
    });
  });
  const last = clips.at(-1);
  return { name: input.film.name, fps, frames: last ? last.fromFrame + last.frames : 0, clips };
};

import type { ClipFile, NotedTake } from '../card-match';
import { drawsOf } from '../units';

/** A clip a simulated camera has written. */
export interface SimulatedClip extends ClipFile {
  readonly lengthS: number;
  /** The take it is; null for one that nobody planned. */
  readonly takeId: string | null;
}

/** What a simulated camera left on a card, and what is wrong with it. */
export interface SimulatedCard {
  readonly clips: readonly SimulatedClip[];
  /** What has to be added to the camera's clock, s. */
  readonly clockS: number;
  /** The take that was not recorded, the one that was cut short, and the clip of no take; null where there are too few takes. */
  readonly missing: string | null;
  readonly short: string | null;
  readonly unplanned: string | null;
}

/** The camera's clock is behind by so much, s. */
const BEHIND_S = 37;
/** A take is judged so long after its recording ended, at most, s. */
const JUDGED_S = 3;
/** A recording is longer than planned by so much at most, as a share: nobody stops it to the frame. */
const LONGER = 0.05;
/** A take that was cut short lasts no longer, s: no cut gets by with it. */
const SHORT_S = 2;
/** Where a take is so long before the next, a clip that nobody planned has room between them, s. */
const ROOM_S = 40;
const UNPLANNED_S = 9;
const UNPLANNED_AFTER_S = 20;
/** Where there is no such room it comes after everything else, s. */
const AT_THE_END_S = 110;

const nameOf = (n: number): string => `clip-${String(n).padStart(4, '0')}.mp4`;

/**
 * The card of a simulated day: a clip for each take that was noted, by a camera whose clock is behind. From four takes on one is
 * missing, one is cut short, and one was recorded that nobody planned. The same for the same takes and text.
 */
export const simulateCard = (takes: readonly NotedTake[], seed: string): SimulatedCard => {
  const draw = drawsOf(`card of ${seed}`);
  const byTime = [...takes].sort((a, b) => a.utcMs - b.utcMs || (a.id < b.id ? -1 : 1));
  const faulty = byTime.length >= 4;
  const missing = faulty ? Math.floor(draw() * byTime.length) : -1;
  const short = faulty ? (missing + 1 + Math.floor(draw() * (byTime.length - 1))) % byTime.length : -1;
  const after = (i: number): number => ((byTime[i + 1]?.utcMs ?? Infinity) - (byTime[i]?.utcMs ?? 0)) / 1000;
  // Beside a take that is missing or cut short it could as well be that take.
  const beside = (i: number): boolean => [i, i + 1].some((k) => k === missing || k === short);
  const roomy = byTime.findIndex((_, i) => !beside(i) && after(i) > (byTime[i + 1]?.lengthS ?? 0) + ROOM_S);
  const lone = faulty ? (roomy === -1 ? byTime.length - 1 : roomy) : -1;
  const made = byTime.flatMap((take, i): Omit<SimulatedClip, 'name'>[] => {
    const { fps, widthPx } = take;
    const endMs = Math.round(take.utcMs - 1000 * (BEHIND_S + JUDGED_S * draw()));
    const lengthS = i === short ? Math.min(SHORT_S, take.lengthS / 2) : take.lengthS * (1 + LONGER * draw());
    const own = { takeId: take.id, endMs, lengthS, fps, widthPx };
    const extra = {
      takeId: null,
      endMs: endMs + 1000 * (roomy === -1 ? AT_THE_END_S : UNPLANNED_AFTER_S),
      lengthS: UNPLANNED_S,
      fps,
      widthPx,
    };
    return [...(i === missing ? [] : [own]), ...(i === lone ? [extra] : [])];
  });
  const clips = made.map((clip, i): SimulatedClip => ({ ...clip, name: nameOf(i + 1) }));
  return {
    clips,
    clockS: BEHIND_S,
    missing: byTime[missing]?.id ?? null,
    short: byTime[short]?.id ?? null,
    unplanned: clips.find((c) => c.takeId === null)?.name ?? null,
  };
};

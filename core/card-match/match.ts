/** A file on a card, as its own header and the card's directory tell it. */
export interface ClipFile {
  readonly name: string;
  /** When the file was closed, by the camera's clock, ms. */
  readonly endMs: number;
  /** Length, s; null where it could not be read. */
  readonly lengthS: number | null;
  readonly fps: number | null;
  readonly widthPx: number | null;
}

/** A take that was noted, and what its clip should be like. */
export interface NotedTake {
  readonly id: string;
  /** When it was judged, UTC ms: just after the recording ended. */
  readonly utcMs: number;
  readonly lengthS: number;
  readonly fps: number | null;
  readonly widthPx: number | null;
}

/** A clip and the take it most likely is. */
export interface ClipMatch {
  readonly clip: ClipFile;
  readonly take: NotedTake;
  /** 0 a guess, 1 certain. */
  readonly confidence: number;
}

export interface CardMatch {
  readonly pairs: readonly ClipMatch[];
  /** Clips no take was noted for, and takes that have no clip. */
  readonly unplanned: readonly ClipFile[];
  readonly missing: readonly NotedTake[];
  /** What has to be added to the camera's clock, s. */
  readonly clockOffsetS: number;
}

/** Notes are made within about this of the end of a recording, s. Own estimate. */
const USUAL_GAP_S = 20;
/** Further apart than this a clip and a take are not the same, s. */
const FURTHEST_S = 120;
/** What leaving a clip or a take alone costs, in the units of a pair's cost. */
const ALONE = 0.65;

const near = (a: number, b: number, share: number): boolean => Math.abs(a - b) <= share * Math.max(a, b);

/** How unlike a clip and a take are besides their time: 0 alike. */
const unlike = (clip: ClipFile, take: NotedTake): number => {
  const length =
    clip.lengthS === null
      ? 0.1
      : Math.min(0.6, Math.abs(clip.lengthS - take.lengthS) / Math.max(5, take.lengthS));
  const rate = clip.fps !== null && take.fps !== null && !near(clip.fps, take.fps, 0.02) ? 0.2 : 0;
  const size = clip.widthPx !== null && take.widthPx !== null && clip.widthPx !== take.widthPx ? 0.2 : 0;
  return length + rate + size;
};

const costOf = (clip: ClipFile, take: NotedTake, offsetMs: number): number => {
  const apartS = Math.abs(clip.endMs + offsetMs - take.utcMs) / 1000;
  if (apartS > FURTHEST_S) return Infinity;
  return Math.min(1.2, apartS / USUAL_GAP_S / 2) + unlike(clip, take);
};

/**
 * The clock offset most pairs agree on: the middle of the ten seconds into which most differences of alike pairs fall. Of two
 * that have as many the smaller one.
 */
const clockOffset = (clips: readonly ClipFile[], takes: readonly NotedTake[]): number => {
  const differences = takes
    .flatMap((t) => clips.filter((c) => unlike(c, t) < 0.5).map((c) => t.utcMs - c.endMs))
    .sort((a, b) => a - b);
  let best = { count: 0, offset: 0 };
  let from = 0;
  for (const [to, difference] of differences.entries()) {
    while (difference - (differences[from] ?? difference) > 10_000) from += 1;
    const count = to - from + 1;
    const offset = differences[Math.floor((from + to) / 2)] ?? 0;
    if (count > best.count || (count === best.count && Math.abs(offset) < Math.abs(best.offset)))
      best = { count, offset };
  }
  return best.offset;
};

type Step = 'pair' | 'clip' | 'take';

/** Cheapest way to lay two rows in time beside each other without crossing (dynamic programming over both, exact). */
const align = (
  clips: readonly ClipFile[],
  takes: readonly NotedTake[],
  offsetMs: number,
): [number, number][] => {
  const width = takes.length + 1;
  const cost = new Float64Array((clips.length + 1) * width);
  const steps: Step[] = [];
  for (let i = 0; i <= clips.length; i += 1)
    for (let j = 0; j <= takes.length; j += 1) {
      if (i + j === 0) continue;
      const at = (a: number, b: number): number =>
        a < 0 || b < 0 ? Infinity : (cost[a * width + b] ?? Infinity);
      const [clip, take] = [clips[i - 1], takes[j - 1]];
      const ways: readonly (readonly [Step, number])[] = [
        ['pair', clip && take ? at(i - 1, j - 1) + costOf(clip, take, offsetMs) : Infinity],
        ['clip', at(i - 1, j) + ALONE],
        ['take', at(i, j - 1) + ALONE],
      ];
      const [step, least] = ways.reduce((a, b) => (b[1] < a[1] ? b : a));
      cost[i * width + j] = least;
      steps[i * width + j] = step;
    }
  const pairs: [number, number][] = [];
  for (let [i, j] = [clips.length, takes.length]; i > 0 || j > 0;) {
    const step = steps[i * width + j];
    if (step === 'pair') pairs.push([i - 1, j - 1]);
    if (step !== 'take') i -= 1;
    if (step !== 'clip') j -= 1;
  }
  return pairs.reverse();
};

/**
 * Which clip on a card is which take: a global assignment in the order of time, by when they ended, how long they are, at which
 * rate and size. The camera's clock may be off by any amount; how much is found from the clips themselves.
 */
export const matchClips = (clips: readonly ClipFile[], takes: readonly NotedTake[]): CardMatch => {
  const byEnd = [...clips].sort((a, b) => a.endMs - b.endMs || (a.name < b.name ? -1 : 1));
  const byTime = [...takes].sort((a, b) => a.utcMs - b.utcMs);
  const offsetMs = clockOffset(byEnd, byTime);
  const aligned = align(byEnd, byTime, offsetMs);
  const pairs = aligned.flatMap(([i, j]): ClipMatch[] => {
    const [clip, take] = [byEnd[i], byTime[j]];
    if (!clip || !take) return [];
    return [{ clip, take, confidence: Math.max(0, 1 - costOf(clip, take, offsetMs) / 2) }];
  });
  const [usedClips, usedTakes] = [new Set(aligned.map((p) => p[0])), new Set(aligned.map((p) => p[1]))];
  return {
    pairs,
    unplanned: byEnd.filter((_, i) => !usedClips.has(i)),
    missing: byTime.filter((_, j) => !usedTakes.has(j)),
    clockOffsetS: offsetMs / 1000,
  };
};

/** What is wrong with a clip for the take it is. */
export type ClipFault = 'too-short' | 'wrong-rate' | 'wrong-size';

/**
 * Faults of a clip against what its take was planned to be.
 * @param neededS seconds the cut uses of it, handles with them
 */
export const clipFaults = ({ clip, take }: ClipMatch, neededS: number): readonly ClipFault[] => [
  ...(clip.lengthS !== null && clip.lengthS < neededS ? (['too-short'] as const) : []),
  ...(clip.fps !== null && take.fps !== null && !near(clip.fps, take.fps, 0.02)
    ? (['wrong-rate'] as const)
    : []),
  ...(clip.widthPx !== null && take.widthPx !== null && clip.widthPx !== take.widthPx
    ? (['wrong-size'] as const)
    : []),
];

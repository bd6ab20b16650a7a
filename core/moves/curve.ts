import { distance, type Vec3 } from '../geometry';

export interface CurveLength {
  readonly lengthM: number;
  /** Parameter of the curve at a share of its length, so that a constant speed is one. */
  readonly parameterAt: (share: number) => number;
}

/**
 * Length of a smooth curve by chords, and its parameter by length.
 * @param at the curve over parameters 0 to 1
 * @param pieces chords it is cut into; the error falls with their square
 */
export const alongCurve = (at: (parameter: number) => Vec3, pieces: number): CurveLength => {
  const count = Math.max(192, pieces);
  const sums = [0];
  let before = at(0);
  for (let i = 1; i <= count; i += 1) {
    const now = at(i / count);
    sums.push((sums[i - 1] ?? 0) + distance(before, now));
    before = now;
  }
  const lengthM = sums[count] ?? 0;
  return {
    lengthM,
    parameterAt: (share) => {
      const wanted = Math.min(1, Math.max(0, share)) * lengthM;
      let [low, high] = [0, count];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if ((sums[middle] ?? 0) <= wanted) low = middle;
        else high = middle;
      }
      const from = sums[low] ?? 0;
      const span = (sums[high] ?? from) - from;
      return (low + (span > 0 ? (wanted - from) / span : 0)) / count;
    },
  };
};

import type { Aid } from './types';

const standing = (speedMs: number): string | null =>
  speedMs > 0 ? null : 'The subject stands still: there is nothing to follow.';

export const trackBehind: Aid = {
  kind: 'track-behind',
  name: 'Tracking from behind',
  says: 'Keeps its distance behind or in front of a subject that moves.',
  caution: 'It loses the subject behind trees and in shadow, and does not see wires.',
  unable: ({ move, subject }) =>
    move.kind === 'follow' ? standing(subject.speedMs) : 'It flies behind or in front, nothing else.',
};

export const trackBeside: Aid = {
  kind: 'track-beside',
  name: 'Tracking alongside',
  says: 'Keeps level beside a subject that moves.',
  caution: 'It looks sideways while it flies: clear its own line.',
  unable: ({ move, subject, trajectory }) =>
    move.kind !== 'track'
      ? 'It flies alongside, nothing else.'
      : trajectory.highestM - trajectory.lowestM > 1
        ? 'It keeps its height: a track that climbs is flown by hand.'
        : standing(subject.speedMs),
};

export const trackInPlace: Aid = {
  kind: 'track-in-place',
  name: 'Tracking in place',
  says: 'Hovers and turns to keep a subject in the frame.',
  caution: 'It turns as fast as the subject passes: leave room for the yaw.',
  unable: ({ move, trajectory }) =>
    trajectory.lengthM > 1
      ? 'It stays where it is.'
      : ['hold', 'arrive-and-turn', 'pan'].includes(move.kind)
        ? null
        : 'It only turns after a subject.',
};

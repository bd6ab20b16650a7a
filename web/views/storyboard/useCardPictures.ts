import type { DerivedShot } from '@core/film';
import { type Pose } from '@core/moves';
import { posedAt } from '@core/rehearsal';
import { computed, ref, watch, type Ref } from 'vue';
import { keptTry, samplesOfKept } from '../../composables/kept-tries';

export type CardPicture = 'path' | 'frame';
const KEY = 'dusk-board-picture';

/** A shot's frame as it was rehearsed best on this device. */
export interface RehearsedFrame {
  readonly pose: Pose;
  readonly mark: number;
}

/** The middle of the best try; null where the shot was not rehearsed here, or cannot be flown by hand any more. */
const rehearsedFrame = (shot: DerivedShot): RehearsedFrame | null => {
  const kept = keptTry(shot.facts.shot.id);
  const samples = kept ? samplesOfKept(shot, kept) : [];
  const pose = posedAt(samples, (samples.at(-1)?.tS ?? 0) / 2);
  return kept && pose ? { pose, mark: kept.mark } : null;
};

/** What the cards of the storyboard show, kept on the device: the path of a shot, or the frame in the middle of its move. */
export const useCardPictures = (shots: () => Iterable<DerivedShot>) => {
  const picture = ref<CardPicture>(localStorage.getItem(KEY) === 'path' ? 'path' : 'frame');
  watch(picture, (now) => {
    localStorage.setItem(KEY, now);
  });
  const rehearsed: Ref<ReadonlyMap<string, RehearsedFrame>> = computed(
    () =>
      new Map(
        picture.value === 'path'
          ? []
          : [...shots()].flatMap((shot) => {
              const frame = rehearsedFrame(shot);
              return frame ? [[shot.facts.shot.id, frame] as const] : [];
            }),
      ),
  );
  return { picture, rehearsed };
};

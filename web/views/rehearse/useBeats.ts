import type { DerivedShot } from '@core/film';
import { beatAt, beatInTheAirS, type Beat, type Try } from '@core/rehearsal';
import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue';
import { useFilm } from '../../stores/film';

/** A click as it is heard, Hz and s: higher where a count begins. */
const [FIRST_HZ, OTHER_HZ, CLICK_S, LOUD] = [1600, 1050, 0.05, 0.25];
/** Without music seconds are counted. */
const SECOND_S = 1;

/** Counts the music of the cut while a move is flown, or seconds where there is none; heard as clicks where wished. */
export const useBeats = (
  shot: Ref<DerivedShot | null>,
  flight: { readonly flight: Ref<Try | null>; readonly tick: Ref<number> },
  running: () => boolean,
) => {
  const film = useFilm();
  const clicks = ref(false);
  const everyS = computed(() =>
    shot.value ? beatInTheAirS(film.film?.tempoBpm ?? 0, shot.value.facts.segments) : null,
  );
  const perCount = computed(() => Math.max(1, film.film?.beatsPerCount ?? 1));
  const now = computed((): Beat | null => {
    void flight.tick.value;
    const t = flight.flight.value;
    return t && running()
      ? beatAt(t.state.tS, everyS.value ?? SECOND_S, everyS.value === null ? 1 : perCount.value)
      : null;
  });
  let audio: AudioContext | null = null;
  const click = (first: boolean): void => {
    audio ??= new AudioContext();
    const [tone, gain] = [audio.createOscillator(), audio.createGain()];
    const at = audio.currentTime;
    tone.frequency.value = first ? FIRST_HZ : OTHER_HZ;
    gain.gain.setValueAtTime(LOUD, at);
    gain.gain.exponentialRampToValueAtTime(0.001, at + CLICK_S);
    tone.connect(gain).connect(audio.destination);
    tone.start(at);
    tone.stop(at + CLICK_S);
  };
  watch(
    () => now.value?.beat ?? 0,
    (beat) => {
      if (beat > 0 && clicks.value) click(now.value?.inCount === 1);
    },
  );
  onBeforeUnmount(() => void audio?.close());
  return {
    /** The beat that sounds now; null without music, or while nothing is flown. */
    beat: computed(() => (everyS.value === null ? null : now.value)),
    withMusic: computed(() => everyS.value !== null),
    clicks,
    canClick: 'AudioContext' in window,
  };
};

import { language } from '../../language';
import { inTheAir, type AirState, type ShownCharge } from '@core/field';
import type { EnergyCurve, TimedFlight } from '@core/day';
import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue';
import { tr } from './messages';

/** A flight in the air as it was planned at take-off: what is recorded meanwhile must not change it. */
export interface Aloft {
  readonly tookOffMs: number;
  readonly flight: TimedFlight;
  readonly number: number;
  readonly curve: EnergyCurve;
  readonly shown: ShownCharge | null;
}
const SOUND_KEY = 'dusk-sound';
const SPOKEN = {
  get 'turn-back'() {
    return tr('turnBackNow');
  },
  get reserve() {
    return tr('reserveLandNow');
  },
} as const;
/** Says a sentence aloud where the device has a voice. */
const speak = (text: string): void => {
  if (!('speechSynthesis' in window)) return;
  const said = new SpeechSynthesisUtterance(text);
  said.lang = language.value;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(said);
};
const keyOf = (filmId: string): string => `dusk-air:${filmId}`;
const read = (filmId: string): Aloft | null => {
  try {
    return JSON.parse(localStorage.getItem(keyOf(filmId)) ?? 'null') as Aloft | null;
  } catch {
    return null;
  }
};

/** The wall clock, a second a step. */
export const useNow = (): Ref<number> => {
  const now = ref(Date.now());
  const timer = setInterval(() => {
    now.value = Date.now();
  }, 1000);
  onBeforeUnmount(() => {
    clearInterval(timer);
  });
  return now;
};

/** The flight in the air, kept on this device, so that a closed page does not forget it. */
export const useAir = (filmId: Ref<string>, now: Ref<number>) => {
  const aloft = ref<Aloft | null>(null);
  watch(
    filmId,
    (id) => {
      aloft.value = read(id);
    },
    { immediate: true },
  );
  const keep = (state: Aloft | null): void => {
    aloft.value = state;
    if (state) localStorage.setItem(keyOf(filmId.value), JSON.stringify(state));
    else localStorage.removeItem(keyOf(filmId.value));
  };
  const elapsedS = computed(() =>
    aloft.value ? Math.max(0, (now.value - aloft.value.tookOffMs) / 1000) : 0,
  );
  const state = computed<AirState | null>(() => {
    const a = aloft.value;
    return a && inTheAir(a.curve, a.flight.supply.fullWh, elapsedS.value, a.shown);
  });
  const sound = ref(localStorage.getItem(SOUND_KEY) === 'on');
  watch(sound, (on) => {
    localStorage.setItem(SOUND_KEY, on ? 'on' : 'off');
    if (on) speak(tr('soundIsOn'));
  });
  /** Something for hand and ear where the device has it: turning back must not be missed in the sun. */
  watch(
    () => state.value?.phase,
    (phase, before) => {
      if (!before || !phase || phase === before || phase === 'fly') return;
      if ('vibrate' in navigator) navigator.vibrate([300, 120, 300]);
      if (sound.value) speak(SPOKEN[phase]);
    },
  );
  return {
    aloft,
    elapsedS,
    sound,
    state,
    takeOff: (flight: TimedFlight, number: number, curve: EnergyCurve) => {
      keep({ tookOffMs: Date.now(), flight, number, curve, shown: null });
    },
    /** What the display of the aircraft shows now, 0 to 1. */
    correct: (share: number) => {
      if (aloft.value) keep({ ...aloft.value, shown: { atS: elapsedS.value, share } });
    },
    clear: () => {
      keep(null);
    },
  };
};

import { VOICE_LIMIT_S, VOICE_MIMES, type VoiceMime } from '@core/model';
import { computed, onBeforeUnmount, ref } from 'vue';

/** A voice needs no more, bit/s. */
const VOICE_BITS_PER_S = 16_000;

export interface Recorded {
  readonly mime: VoiceMime;
  readonly seconds: number;
  /** Base64. */
  readonly data: string;
}
export type RecorderState = 'idle' | 'asking' | 'recording' | 'refused';

/** First container of those a note may have that this browser records; null where it records none. */
const containerOf = (): VoiceMime | null =>
  typeof MediaRecorder === 'undefined'
    ? null
    : (VOICE_MIMES.find((mime) => MediaRecorder.isTypeSupported(mime)) ?? null);

const base64Of = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => {
      const address = String(reader.result);
      resolve(address.slice(address.indexOf(',') + 1));
    };
    reader.onerror = () => {
      reject(reader.error ?? new Error('unreadable'));
    };
    reader.readAsDataURL(blob);
  });

/** Records what is said into the device's microphone, until it is stopped or long enough. */
export const useRecorder = (keep: (recorded: Recorded) => void) => {
  const state = ref<RecorderState>('idle');
  const seconds = ref(0);
  const mime = containerOf();
  // Without HTTPS, or in an old browser, there is no microphone to ask for.
  const media = (navigator as Partial<Navigator>).mediaDevices;
  const able = computed(() => mime !== null && media !== undefined);
  let recorder: MediaRecorder | null = null;
  let clock = 0;
  let gone = false;

  const stop = (): void => {
    if (recorder?.state === 'recording') recorder.stop();
  };
  const start = async (): Promise<void> => {
    if (!media || mime === null || state.value !== 'idle') return;
    state.value = 'asking';
    let stream: MediaStream;
    try {
      stream = await media.getUserMedia({ audio: true });
    } catch {
      state.value = 'refused';
      return;
    }
    const release = (): void => {
      clearInterval(clock);
      for (const track of stream.getTracks()) track.stop();
    };
    if (gone) {
      release();
      return;
    }
    const parts: Blob[] = [];
    const startedMs = Date.now();
    recorder = new MediaRecorder(stream, { mimeType: mime, audioBitsPerSecond: VOICE_BITS_PER_S });
    recorder.ondataavailable = ({ data }) => {
      parts.push(data);
    };
    recorder.onstop = () => {
      release();
      const length = Math.max(0.1, (Date.now() - startedMs) / 1000);
      state.value = 'idle';
      const blob = new Blob(parts, { type: mime });
      if (blob.size === 0) return;
      void base64Of(blob).then((data) => {
        keep({ mime, seconds: Math.min(60, length), data });
      });
    };
    recorder.start();
    seconds.value = 0;
    state.value = 'recording';
    clock = window.setInterval(() => {
      seconds.value = Math.floor((Date.now() - startedMs) / 1000);
      if (seconds.value >= VOICE_LIMIT_S) stop();
    }, 250);
  };
  // Leaving the page keeps what was said.
  onBeforeUnmount(() => {
    gone = true;
    stop();
  });
  /** A refusal may be taken back in the browser's settings: asking again is allowed. */
  const again = (): void => {
    if (state.value === 'refused') state.value = 'idle';
  };
  return { state, seconds, able, start, stop, again };
};

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import 'element-plus/es/components/progress/style/css';
import { ElProgress } from 'element-plus';
import { editTimeline, previewFrames, timecode, type PreviewFrame } from '@core/handover';
import { posedAt, type TrySample } from '@core/rehearsal';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { paintedShot } from '../../composables/painted-shot';
import { keptTry, samplesOfKept } from '../../composables/kept-tries';
import { fixed } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { canRecord, recordFilm } from '../../preview/film/record';
import { pictureSize } from '../../preview/film/size';
import { FramePainter, type Painted } from '../../preview/film/painter';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** The whole cut as a film, drawn through the lens of every shot, before anything is flown. */
const emit = defineEmits<{ close: [] }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const WIDTHS = [640, 960, 1280, 1920] as const;
const widthPx = ref<number>(960);
const captions = ref(true);
/** Shots with a rehearsed flight on this device, and that flight. */
const rehearsed = [...(derivedFilm.derived?.shots.values() ?? [])].flatMap((shot) => {
  const kept = keptTry(shot.facts.shot.id);
  return kept ? [{ shot, kept }] : [];
});
const withRehearsed = ref(false);
const rehearsedSamples = (): ReadonlyMap<string, readonly TrySample[]> =>
  new Map(rehearsed.map(({ shot, kept }) => [shot.facts.shot.id, samplesOfKept(shot, kept)]));
const able = canRecord();
const done = ref(0);
const total = ref(0);
const fault = ref('');
const stop = shallowRef<AbortController | null>(null);
const address = ref('');
const megabytes = ref(0);

const sizeOf = (longPx: number) => pictureSize(film.film?.aspect ?? '16:9', longPx);
const sizes = computed(() =>
  WIDTHS.map((value) => {
    const { width, height } = sizeOf(value);
    return { value, label: `${width} × ${height}` };
  }),
);
const painted = (id: string): Painted | null => paintedShot(film, derivedFilm, id);
const clear = (): void => {
  URL.revokeObjectURL(address.value);
  address.value = '';
};
const record = async (): Promise<void> => {
  const { derived } = derivedFilm;
  const { input } = film;
  if (!derived || !input) return;
  clear();
  fault.value = '';
  done.value = 0;
  const timeline = editTimeline({ input, derived });
  total.value = timeline.frames;
  const canvas = Object.assign(document.createElement('canvas'), sizeOf(widthPx.value));
  const control = (stop.value = new AbortController());
  const flown = withRehearsed.value ? rehearsedSamples() : new Map<string, readonly TrySample[]>();
  let painter: FramePainter | null = null;
  const frames = previewFrames(timeline, input.film.preferences.preRollS);
  const paint = (frame: number): void => {
    const next = frames.next().value as PreviewFrame;
    const { clip } = next;
    painter?.paint(
      next,
      {
        name: captions.value ? clip.name : '',
        clock: captions.value ? timecode(frame, timeline.fps) : '',
      },
      clip.number === null ? tr('fromTheGround') : tr('noPathYet'),
    );
  };
  try {
    painter = new FramePainter(canvas, painted, (id, moveS) => posedAt(flown.get(id) ?? [], moveS));
    const blob = await recordFilm({
      canvas,
      fps: timeline.fps,
      frames: timeline.frames,
      paint,
      onProgress: (n) => (done.value = n),
      signal: control.signal,
    });
    if (!blob) fault.value = tr('thisBrowserHasNoCodec');
    else {
      address.value = URL.createObjectURL(blob);
      megabytes.value = blob.size / 1e6;
    }
  } catch {
    if (!control.signal.aborted) fault.value = tr('theFilmCouldNotBe');
  } finally {
    painter?.dispose();
    stop.value = null;
  }
};
const share = computed(() => (total.value > 0 ? Math.floor((done.value / total.value) * 100) : 0));
onBeforeUnmount(() => {
  stop.value?.abort();
  clear();
});
const fileName = computed(
  () => `${(film.film?.name ?? 'film').replace(/[^\p{L}\p{N}]+/gu, '-')}-preview.webm`,
);
</script>

<template>
  <DialogBox :title="tr('previewFilm')" width="min(720px, 96vw)" @close="emit('close')">
    <p class="quiet">{{ tr('theCutDrawnThrough') }}</p>
    <p v-if="!able" class="fault">{{ tr('thisBrowserHasNoCodec') }}</p>
    <template v-else>
      <div class="choice">
        <PickField
          :label="tr('pictureSize')"
          :value="widthPx"
          :options="sizes"
          :save="
            (v) => {
              widthPx = v;
            }
          "
        />
        <SwitchField
          :label="tr('numberTitleAndTimecode')"
          :value="captions"
          :save="
            (v: boolean) => {
              captions = v;
            }
          "
        />
        <SwitchField
          v-if="rehearsed.length > 0"
          :label="tr('asRehearsed', { n: rehearsed.length })"
          :value="withRehearsed"
          :save="(v: boolean) => void (withRehearsed = v)"
        />
        <ElButton v-if="!stop" class="btn lead" @click="record">{{ tr('recordPreviewFilm') }}</ElButton>
        <ElButton v-else class="btn" @click="stop.abort()">{{ tr('cancel') }}</ElButton>
      </div>
      <div v-if="stop" class="going" role="status">
        <ElProgress :percentage="share" :aria-label="tr('recordPreviewFilm')" />
        <span class="quiet">{{ tr('frameOfFrames', { done, total }) }}</span>
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <template v-if="address">
        <video :src="address" controls autoplay muted :aria-label="tr('previewFilm')" />
        <p>
          <a class="btn lead" :href="address" :download="fileName">{{ tr('saveFilm') }}</a>
          <span class="quiet">{{ tr('webmOfSize', { megabytes: fixed(megabytes, 1) }) }}</span>
        </p>
      </template>
    </template>
  </DialogBox>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
  margin: 10px 0;
}
.choice > :first-child {
  min-width: 170px;
}
video {
  display: block;
  width: 100%;
  max-height: 52vh;
  background: #000;
}
</style>

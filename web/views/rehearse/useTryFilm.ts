import type { DerivedShot } from '@core/film';
import { posedAt, type TrySample } from '@core/rehearsal';
import type { Feature, Subject } from '@core/model';
import { onBeforeUnmount, ref, shallowRef, type Ref } from 'vue';
import { fileNameOf, saveFile } from '../../composables/save-file';
import { canRecord, recordFilm } from '../../preview/film/record';
import { pictureSize } from '../../preview/film/size';
import { FramePainter } from '../../preview/film/painter';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

const WIDTH_PX = 960;

/** A try as a film: what the camera would have recorded, frame by frame at the rate of the cut. */
export const useTryFilm = (
  shot: Ref<DerivedShot | null>,
  subjects: Ref<readonly Subject[]>,
  things: Ref<readonly Feature[]>,
) => {
  const store = useFilm();
  const share = ref(0);
  const fault = ref('');
  const stop = shallowRef<AbortController | null>(null);
  const cancel = (): void => {
    stop.value?.abort();
    stop.value = null;
  };
  onBeforeUnmount(cancel);
  const save = async (samples: readonly TrySample[]): Promise<void> => {
    const own = shot.value;
    const fps = store.film?.timelineFps ?? 25;
    const endS = samples.at(-1)?.tS ?? 0;
    if (!own || endS <= 0) return;
    cancel();
    const control = (stop.value = new AbortController());
    [share.value, fault.value] = [0, ''];
    const size = pictureSize(store.film?.aspect ?? '16:9', WIDTH_PX);
    const canvas = Object.assign(document.createElement('canvas'), size);
    const painted = () => ({ shot: own, subjects: subjects.value, things: things.value });
    let painter: FramePainter | null = null;
    const frames = Math.max(1, Math.round(endS * fps));
    const name = `${own.number} ${own.facts.shot.title}`.trim();
    try {
      const paints = (painter = new FramePainter(canvas, painted));
      const blob = await recordFilm({
        canvas,
        fps,
        frames,
        paint: (frame) => {
          const tS = frame / fps;
          const pose = posedAt(samples, tS);
          if (pose) paints.paintPose(own.facts.shot.id, pose, tS, { name, clock: '' });
        },
        onProgress: (done) => {
          share.value = Math.floor((100 * done) / frames);
        },
        signal: control.signal,
      });
      if (blob) saveFile(`${fileNameOf(name, 'rehearsal')}.webm`, blob);
      else fault.value = tr('noCodecHere');
    } catch {
      if (!control.signal.aborted) fault.value = tr('filmNotMade');
    } finally {
      painter?.dispose();
      if (stop.value === control) stop.value = null;
    }
  };
  return { able: canRecord(), share, fault, stop, save, cancel };
};

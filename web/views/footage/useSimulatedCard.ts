import { editTimeline, type FootageLine } from '@core/handover';
import { simulateCard } from '@core/simulated-flight';
import { computed, type Ref } from 'vue';
import { paintedShot } from '../../composables/painted-shot';
import { canWriteClips, writeClips, type ClipOrder } from '../../exchange/simulated-clips';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import type { useCardMatch } from './useCardMatch';
import { tr } from './messages';

type Takes = ReturnType<typeof useCardMatch>['takes'];
/** Size the pictures are painted at; a clip has the size its camera records. */
const PAINTED = { width: 960, height: 540 } as const;
const USUAL_HEIGHT_PX = 1080;

/** The card of simulated takes: small clips with right times and lengths, and the faults a card has. */
export const useSimulatedCard = (lines: Ref<readonly FootageLine[]>, takes: Takes) => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  /** Only what nobody has filmed needs clips that nobody has filmed. */
  const possible = computed(() => canWriteClips() && store.list('take').some((t) => t.simulated));

  const shotOfTake = (id: string | null): FootageLine | undefined =>
    lines.value.find((l) => l.flown.some((t) => t.id === id));
  const make = async (signal: AbortSignal, told: (done: number, all: number) => void): Promise<File[]> => {
    const { derived } = derivedFilm;
    const { input } = store;
    if (!derived || !input) return [];
    const simulated = new Set(store.list('take').flatMap((t) => (t.simulated ? [t.id] : [])));
    const card = simulateCard(
      takes.value.filter((t) => simulated.has(t.id)),
      store.filmId,
    );
    const orders = card.clips.map((clip): ClipOrder => {
      const line = shotOfTake(clip.takeId);
      return {
        ...clip,
        heightPx: line?.shot.facts.mode?.heightPx ?? USUAL_HEIGHT_PX,
        picture: line?.id ?? '',
      };
    });
    const { FramePainter } = await import('../../preview/film/painter');
    const canvas = Object.assign(document.createElement('canvas'), PAINTED);
    const painter = new FramePainter(canvas, (id) => paintedShot(store, derivedFilm, id));
    const timeline = editTimeline({ input, derived }).clips;
    try {
      return await writeClips({
        orders,
        paint: (order, to) => {
          const clip = timeline.find((c) => c.shotId === order.picture);
          const paper = to.getContext('2d');
          if (clip) {
            const moveS = (derived.shots.get(clip.shotId)?.facts.trajectory?.totalS ?? 0) / 2;
            painter.paint({ frame: 0, clip, moveS }, { name: '', clock: '' }, tr('noPathYet'));
            paper?.drawImage(canvas, 0, 0, to.width, to.height);
          } else if (paper) {
            paper.fillStyle = '#4a4450';
            paper.fillRect(0, 0, to.width, to.height);
          }
        },
        onProgress: (done) => {
          told(done, orders.length);
        },
        signal,
      });
    } finally {
      painter.dispose();
    }
  };
  return { possible, make };
};

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { fixed, phrase, ROLE_WORDS } from '../../format';
import { useMessages } from '../../composables/useMessages';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { boardOf, type BoardPlace, type GroundPlace, useOf, USE_WORDS } from '@core/story';
import { computed, defineAsyncComponent, ref, nextTick, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import 'element-plus/es/components/segmented/style/css';
import { ElSegmented } from 'element-plus';
import EyeView from '../../parts/EyeView.vue';
import Fig from '../../parts/Fig.vue';
import InPieces from '../../parts/InPieces.vue';
import PathThumb from '../../parts/PathThumb.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { useGroundShots } from '../../composables/useGroundShots';
import { useBoardActs } from './useBoardActs';
import { useCardPictures, type CardPicture } from './useCardPictures';
import { tr } from './messages';

const film = useFilm();
const { text } = useMessages();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const router = useRouter();
const acts = useBoardActs();
const { picture, rehearsed } = useCardPictures(() => derivedFilm.derived?.shots.values() ?? []);
const pictures = computed((): { value: CardPicture; label: string }[] => [
  { value: 'frame', label: tr('frame') },
  { value: 'path', label: tr('path') },
]);
const PreviewFilm = defineAsyncComponent(() => import('./PreviewFilm.vue'));
const recording = ref(false);
const GroundShotSheet = defineAsyncComponent(() => import('../../parts/GroundShotSheet.vue'));
const ground = useGroundShots();
type Place = BoardPlace | GroundPlace;
const board = computed(() =>
  derivedFilm.derived ? boardOf(derivedFilm.derived, film.list('groundShot')) : null,
);
const own = computed(() => board.value?.places.some((p) => p.ownPlace) ?? false);
const said = computed(
  () => new Map((board.value?.remarks ?? []).flatMap((r) => r.shots.map((id) => [id, r] as const))),
);
const shareOf = (p: Place): string =>
  `${Math.max(0.6, (p.timelineS / Math.max(board.value?.totalS ?? 1, 1e-6)) * 100)}%`;
const clock = (s: number): string => `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`;
const list = useTemplateRef<HTMLElement>('list');
const over = ref('');
/** A card is dragged and dropped upon: wired as it comes, since those farther down come later. */
const wired = new WeakMap<HTMLElement, () => void>();
const vDragCard = {
  mounted: (element: HTMLElement): void => {
    const stop = combine(
      draggable({ element, getInitialData: () => ({ board: element.dataset['card'] ?? '' }) }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) =>
          typeof source.data['board'] === 'string' && source.data['board'] !== element.dataset['card'],
        onDragEnter: () => {
          over.value = element.dataset['card'] ?? '';
        },
        onDragLeave: () => {
          over.value = '';
        },
        onDrop: ({ source }) => {
          over.value = '';
          acts.placeBefore(String(source.data['board']), element.dataset['card'] ?? '');
        },
      }),
    );
    wired.set(element, stop);
  },
  unmounted: (element: HTMLElement): void => wired.get(element)?.(),
};
const pick = (place: Place): void => {
  if (place.shot) selection.pick(place.id);
};
const open = (place: Place): void => {
  if (place.ground) {
    selection.groundShotId = place.id;
    return;
  }
  selection.pick(place.id);
  void router.push({ name: 'shots' });
};
const addGround = (): void => {
  const id = selection.place?.location.id;
  if (id) ground.add(id);
};
const key = (event: KeyboardEvent, id: string): void => {
  if (!event.altKey) return;
  const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  acts.shift(id, by as -1 | 1);
  void nextTick(() => list.value?.querySelector<HTMLElement>(`[data-card="${id}"]`)?.focus());
};
</script>

<template>
  <main class="board scroll" tabindex="-1">
    <header>
      <h1>{{ tr('storyboard') }}</h1>
      <p v-if="board" class="quiet">
        {{ tr('placesShotsFill', { places: board.places.length }) }}
        <b><Fig :value="board.totalS" quantity="seconds" /></b> {{ tr('of') }}
        <Fig :value="film.film?.cutLengthS ?? 0" quantity="seconds" />{{ tr('theCutRunsFromLeft') }}
      </p>
      <span class="gap" />
      <ElSegmented v-model="picture" class="no-print" :options="pictures" :aria-label="tr('onTheCards')" />
      <ElButton
        class="btn no-print"
        :disabled="!board || board.places.length === 0"
        @click="recording = true"
      >
        {{ tr('previewFilm') }}
      </ElButton>
      <ElButton class="btn no-print" :disabled="!selection.place" @click="addGround">
        {{ tr('newGroundShot') }}
      </ElButton>
      <ElButton
        class="btn no-print"
        :disabled="!own"
        :title="tr('theCutFollowsTheList')"
        @click="acts.follow"
      >
        {{ tr('asFlown') }}
      </ElButton>
    </header>
    <template v-if="board && board.places.length > 0">
      <div class="run" role="img" :aria-label="tr('lengthsAlongTheCut')">
        <span
          v-for="p in board.places"
          :key="p.id"
          :class="['bit', { picked: p.id === selection.shotId, ground: p.ground }]"
          :style="{ width: shareOf(p) }"
          :title="`${p.title}, ${fixed(p.timelineS, 1)} s`"
          >{{ p.shot && p.timelineS / board.totalS > 0.035 ? p.shot.number : '' }}</span
        >
      </div>
      <ul v-if="board.remarks.length > 0" class="remarks" :aria-label="tr('remarksOnTheCut')">
        <li v-for="r in board.remarks" :key="r.code + r.shots.join()">
          <b>{{ text(r.say) }}</b> <span class="quiet">{{ text(r.why) }}</span>
        </li>
      </ul>
      <ol ref="list" class="cards">
        <InPieces :items="board.places" :key-of="(p) => p.id" :size="12" v-slot="{ item: p }">
          <li>
            <button
              v-drag-card
              class="card"
              :class="{
                picked: p.id === selection.shotId,
                over: over === p.id,
                told: said.has(p.id),
                ground: p.ground,
              }"
              :data-card="p.id"
              :title="tr('openItEnterAltAnd')"
              @click="pick(p)"
              @dblclick="open(p)"
              @keydown.enter.prevent="open(p)"
              @keydown="key($event, p.id)"
            >
              <span class="top"
                ><b class="cut">{{ p.cut }}</b
                ><span class="at">{{ clock(p.fromS) }}</span
                ><span v-if="p.shot" class="air" :class="{ moved: p.cut !== p.shot.number }">{{
                  tr('airNumber', { number: p.shot.number })
                }}</span
                ><span v-else class="air">{{ tr('ground') }}</span></span
              >
              <template v-if="p.shot">
                <PathThumb
                  v-if="picture === 'path' || !p.shot.facts.trajectory"
                  :flown="p.shot.facts.trajectory"
                  :subject="p.shot.facts.aim"
                />
                <span v-else class="seen">
                  <EyeView
                    :shot="p.shot"
                    :share="0.5"
                    :pose="rehearsed.get(p.id)?.pose ?? null"
                    :width="208"
                    :height="117"
                  />
                  <span v-if="rehearsed.get(p.id)" class="marked">{{
                    tr('rehearsedMark', { mark: rehearsed.get(p.id)?.mark ?? 0 })
                  }}</span>
                </span>
                <span class="title" dir="auto">{{ p.title || tr('untitled') }}</span>
                <span class="sub">{{ phrase(p.shot.facts.move?.name) }} · {{ ROLE_WORDS[p.role] }}</span>
                <span class="feels">{{ text(p.feels) }}</span>
                <span class="sub"
                  >{{ fixed(p.timelineS, 1) }} s ·
                  {{ phrase(USE_WORDS[useOf(p.shot.facts.shot.usage)]) }}</span
                >
              </template>
              <template v-else>
                <span class="stand" aria-hidden="true" />
                <span class="title" dir="auto">{{ p.title || tr('untitled') }}</span>
                <span class="sub">{{ ROLE_WORDS[p.role] }}</span>
                <span class="feels" dir="auto">{{ p.ground.filmedBy }}</span>
                <span class="sub"
                  >{{ fixed(p.timelineS, 1) }} s{{ p.ground.done ? tr('groundDone') : '' }}</span
                >
              </template>
            </button>
          </li>
        </InPieces>
      </ol>
    </template>
    <p v-else class="quiet">
      {{ tr('theBoardShowsTheCut') }}
      <RouterLink :to="{ name: 'shots' }">{{ tr('addSomeOnTheShots') }}</RouterLink>.
    </p>
    <PreviewFilm v-if="recording" @close="recording = false" />
    <GroundShotSheet v-if="selection.groundShotId" />
  </main>
</template>

<style scoped>
.board {
  background: var(--slab);
  padding: 14px 20px 24px;
  display: grid;
  gap: 12px;
  align-content: start;
}
header {
  display: flex;
  gap: 16px;
  align-items: baseline;
  flex-wrap: wrap;
}
.gap {
  flex: 1;
}
.run {
  display: flex;
  height: 26px;
  gap: 1px;
  background: var(--bench);
}
.bit {
  background: var(--slab-3);
  font-size: 11.5px;
  font-weight: 640;
  font-stretch: 80%;
  display: grid;
  place-items: center;
  overflow: hidden;
}
.bit.ground {
  background: repeating-linear-gradient(0deg, var(--slab-3) 0 3px, var(--slab) 3px 6px);
}
.bit.picked {
  background: var(--pick);
  color: var(--pick-ink);
}
.remarks {
  display: grid;
  gap: 3px;
  border-left: 5px solid var(--note);
  padding-left: 10px;
  max-width: 100ch;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(178px, 1fr));
  gap: 8px;
}
.card {
  width: 100%;
  height: 100%;
  display: grid;
  gap: 2px;
  text-align: left;
  background: var(--bench);
  border: 0;
  padding: 6px 10px 8px;
  cursor: grab;
  align-content: start;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.seen {
  position: relative;
  margin: 2px -2px 4px;
}
.marked {
  position: absolute;
  left: 0;
  bottom: 0;
  padding: 0 6px;
  background: color-mix(in srgb, var(--bench) 82%, transparent);
  font-size: 12px;
  font-weight: 620;
}
/* What never leaves the ground stands on a line. */
.card.ground {
  background: var(--slab-2);
  clip-path: none;
}
.stand {
  display: block;
  height: 62px;
  border-bottom: 4px solid var(--chalk-2);
  margin: 0 22% 8px;
}
.card:hover {
  background: var(--slab-2);
}
.card.picked {
  background: var(--pick-dim);
}
.card.over {
  box-shadow: inset 4px 0 var(--pick);
}
.card:focus-visible {
  outline-offset: -2px;
}
.card.told .feels {
  text-decoration: underline;
  text-decoration-style: wavy;
  text-decoration-color: var(--note);
  text-underline-offset: 3px;
}
.top {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.cut {
  font-size: 19px;
  font-weight: 680;
  font-stretch: 78%;
}
.at,
.air {
  color: var(--chalk-2);
  font-size: 12px;
  font-stretch: 86%;
}
.air {
  margin-left: auto;
  padding-right: 6px;
}
.air.moved {
  color: var(--chalk);
  font-weight: 620;
}
.title {
  font-weight: 580;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.sub {
  font-size: 12px;
  font-stretch: 86%;
  color: var(--chalk-2);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.picked .sub,
.picked .at,
.picked .air {
  color: var(--chalk);
}
.feels {
  font-style: italic;
  font-stretch: 92%;
}
@media (max-width: 700px) {
  .cards {
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  }
}
</style>

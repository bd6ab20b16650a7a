<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { useMessages } from '../../composables/useMessages';
import { cureSteps } from '@core/proposals';
import { FilmDeriver } from '@core/film';
import { messageKey } from '@core/messages';
import type { Cure } from '@core/warnings';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import MarkSign from '../../parts/MarkSign.vue';
import { useShotCommands } from '../../composables/useShotCommands';
import { useFilm } from '../../stores/film';
import { defer } from '../../composables/deferred';
import { inSlices } from '../../composables/slices';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Day } from './useDay';
import { tr } from './messages';
import { fixed } from '../../format';

/** Shots that are in no flight, with what would help: tried before it is offered, one key away for the one in hand. */
const props = defineProps<{ day: Day }>();
const acts = useShotCommands();
const { text } = useMessages();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const WHY = {
  get 'no-pack'() {
    return tr('noPackIsLeftFor');
  },
  get 'over-pack'() {
    return tr('moreThanAFullPack');
  },
  get wind() {
    return tr('theWindIsTooStrong');
  },
  get 'no-aircraft'() {
    return tr('noAircraftInUse');
  },
  get 'no-path'() {
    return tr('itsMoveHasNoPath');
  },
  get 'no-charge'() {
    return tr('whatIsLeftHoldsToo');
  },
  get held() {
    return tr('thePacksLeftAreGiven');
  },
} as const;
const RANK = { must: 0, should: 1, could: 2 } as const;
const rows = computed(() =>
  props.day.unfit.value
    .flatMap((u) => (u.shot ? [{ ...u, shot: u.shot }] : []))
    .sort((a, b) => RANK[a.shot.facts.shot.priority] - RANK[b.shot.facts.shot.priority]),
);
const picked = computed(() => rows.value.find((r) => r.shotId === selection.shotId) ?? rows.value[0] ?? null);
const cures = shallowRef<readonly Cure[]>([]);
const looked = ref(false);
const reckoner = new FilmDeriver();
// After the picture, and a little at a time: trying what would help is working the film out some twenty times.
let leave = (): void => undefined;
const look = (): void => {
  const { input } = film;
  const { derived } = derivedFilm;
  const id = picked.value?.shotId;
  if (!input || !derived || id === undefined) return;
  leave = inSlices(cureSteps(input, derived, id, reckoner), (found) => {
    cures.value = found;
    looked.value = true;
  });
};
watch(
  [() => picked.value?.shotId, () => derivedFilm.derived],
  () => {
    leave();
    cures.value = [];
    looked.value = false;
    defer(reckoner, look);
  },
  { immediate: true },
);
onScopeDispose(() => leave());
const apply = (n: number): void => {
  const cure = cures.value[n];
  if (cure) acts.applyCure(cure);
};
defineExpose({ apply });
</script>

<template>
  <section v-if="rows.length > 0" class="unfit" :aria-label="tr('inNoFlight')">
    <h2>{{ tr('inNoFlight') }}</h2>
    <ul>
      <li v-for="r in rows" :key="r.shotId" :class="{ picked: r.shotId === picked?.shotId }">
        <button class="shot" @click="selection.pick(r.shotId)">
          <MarkSign :severity="r.shot.facts.shot.priority === 'could' ? 'care' : 'stop'" />
          <b>{{ r.shot.number }}</b> <span dir="auto">{{ r.shot.facts.shot.title || tr('untitled') }}</span>
          <span class="quiet"
            >{{ r.shot.facts.shot.priority }}, {{ WHY[r.reason]
            }}{{ r.shortWh > 0 ? ` ${tr('shortWhWh', { shortWh: fixed(r.shortWh, 1) })}` : '' }}</span
          >
        </button>
        <p v-if="r.shotId === picked?.shotId" class="cures">
          <ElButton
            v-for="(c, i) in cures"
            :key="messageKey(c.say)"
            class="btn"
            :title="tr('keyValue', { value: i + 1 })"
            @click="apply(i)"
          >
            <span class="unit">{{ i + 1 }}</span> {{ text(c.say) }}
          </ElButton>
          <span v-if="!looked" class="faint" role="status">{{ tr('tryingWhatWouldHelp') }}</span>
          <span v-else-if="cures.length === 0" class="faint">{{ tr('nothingSmallWouldBringIt') }}</span>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.unfit {
  display: grid;
  gap: 3px;
  margin-top: 6px;
}
h2 {
  font-size: 15px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  padding: 2px 0;
}
.picked {
  background: var(--slab-2);
}
.shot {
  border: 0;
  background: none;
  cursor: pointer;
  text-align: left;
  display: flex;
  gap: 7px;
  align-items: baseline;
  flex-wrap: wrap;
  padding: 2px 4px;
}
.cures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  padding: 2px 4px 4px 26px;
}
.cures .btn {
  min-height: 26px;
  padding: 1px 8px;
}
@media (max-width: 1099px) {
  .cures .btn,
  .shot {
    min-height: var(--touch);
  }
}
</style>

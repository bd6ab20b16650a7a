<script setup lang="ts">
import { ElInput } from '../parts/element';
import { ElButton } from '../parts/element-button';
import { computed, defineAsyncComponent, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { RefreshLeft, RefreshRight } from '@element-plus/icons-vue';
import { useShotCommands } from '../composables/useShotCommands';
import { useFilm } from '../stores/film';
import { whenIdle } from '../composables/idle';
import type { Marks } from '../stores/part-states';
import { useSelection } from '../stores/selection';
import { deviceHealth } from '../sync/device-health';
import { rememberFilm } from './last-film';
import SaveMark from './SaveMark.vue';
import SettingsButton from '../parts/settings/SettingsButton.vue';
import { useKeys } from './useKeys';
import { touring } from '../composables/tour';
import { entryOf, VIEWS } from './views';
import { tr } from './messages';

const props = defineProps<{ film: string }>();
const store = useFilm();
const selection = useSelection();
const acts = useShotCommands();
const late = {
  conflicts: () => import('./ConflictBar.vue'),
  device: () => import('./DeviceBar.vue'),
  keys: () => import('./key-sheet/KeySheet.vue'),
  rejected: () => import('./RejectedBar.vue'),
  said: () => import('./SaidBar.vue'),
  tour: () => import('./TourSteps.vue'),
};
const ConflictBar = defineAsyncComponent(late.conflicts);
const DeviceBar = defineAsyncComponent(late.device);
const KeySheet = defineAsyncComponent(late.keys);
const RejectedBar = defineAsyncComponent(late.rejected);
const SaidBar = defineAsyncComponent(late.said);
const TourSteps = defineAsyncComponent(late.tour);
useKeys();
watch(
  () => props.film,
  (id) => void store.open(id),
  { immediate: true },
);
watch(
  () => store.film?.name,
  (title) => {
    document.title = title ? tr('titleDuskSlate', { title }) : 'Dusk Slate';
  },
);
watch(
  () => store.film?.id,
  (id) => {
    if (id) rememberFilm(id);
  },
);
onBeforeUnmount(() => store.close());
/** How far each part of the work is; its words come with it, after the first view. */
const states = shallowRef<{ readonly marks: Marks } | null>(null);
/** What the places mean to the shots is worked out beside the page, once a view stands. */
const settled = (): void =>
  whenIdle(() => {
    // Fetched before they are asked for: by then there may be no network.
    for (const part of Object.values(late)) part().catch(() => undefined);
    import('../stores/site').then(({ useSite }) => useSite().start()).catch(() => undefined);
    import('../stores/light').then(({ useLight }) => useLight().start()).catch(() => undefined);
    import('../stores/part-states')
      .then(({ usePartStates }) => (states.value = usePartStates()))
      .catch(() => undefined);
  });

/** On a narrow screen the row of views is longer than the bar: the one that is open stays in it. */
const views = useTemplateRef<HTMLElement>('views');
const route = useRoute();
const entry = computed(() => entryOf(String(route.name)));
watch(
  () => route.name,
  () =>
    // Once the view stands: asked for before, it would be laid out twice.
    whenIdle(() =>
      views.value?.querySelector('.part.here, .here')?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    ),
  { immediate: true },
);
/** Answers that stay the same keep the whole bar from being drawn anew at each step of a slider. */
const canUndo = computed(() => store.undoable.undo);
const canRedo = computed(() => store.undoable.redo);
/** Something of this device, or of the application's, that a person must know of. */
const ailing = computed(
  () =>
    store.saveState === 'stuck' ||
    deviceHealth.storage !== null ||
    deviceHealth.clearedSinceMs !== null ||
    deviceHealth.clockAheadMs !== 0 ||
    deviceHealth.clockBeforeMs !== null,
);
const clashed = computed(() => store.conflicts.length > 0);
const name = computed(() => store.film?.name ?? null);
const typedName = ref('');
watch(name, (now) => (typedName.value = now ?? ''), { immediate: true });
const refused = computed(() => store.rejected.length > 0);
/** Past the bar, to what the page is about. */
const skip = (): void => document.querySelector<HTMLElement>('main')?.focus();
const rename = (value: string): void => {
  if (store.film && store.edit('film', store.film.id, { name: value }, tr('name')).length > 0)
    typedName.value = store.film.name;
};
</script>

<template>
  <div class="shell">
    <button class="skip no-print" @click="skip">{{ tr('skipToContent') }}</button>
    <header class="bar no-print">
      <RouterLink to="/" class="home" :aria-label="tr('duskSlateAllFilms')" :title="tr('allFilms')"
        ><img src="/mark.svg" alt="" width="24" height="24"
      /></RouterLink>
      <ElInput
        v-if="name !== null"
        v-model="typedName"
        class="name"
        :aria-label="tr('film')"
        dir="auto"
        maxlength="200"
        @change="rename"
      />
      <nav ref="views" :aria-label="tr('views')">
        <template v-for="v in VIEWS" :key="v.name">
          <RouterLink
            :to="{ name: v.name, params: { film } }"
            class="view"
            :class="{ here: entry === v, aside: v.aside, day: v.onTheDay }"
            :aria-current="$route.name === v.name ? 'page' : undefined"
            :title="`${v.label} (${v.key})${states?.marks[v.name]?.say ?? ''}`"
            >{{ v.label }}<i v-if="states?.marks[v.name]" class="state" :class="states.marks[v.name]?.state"
          /></RouterLink>
          <RouterLink
            v-for="part in entry === v ? (v.parts ?? []) : []"
            :key="part.name"
            :to="{ name: part.name, params: { film } }"
            class="view part"
            :class="{ here: $route.name === part.name }"
            :aria-current="$route.name === part.name ? 'page' : undefined"
            :title="`${part.label} (${part.key})`"
            >{{ part.label }}</RouterLink
          >
        </template>
      </nav>
      <span class="gap" />
      <SaveMark />
      <ElButton
        class="btn bare"
        :disabled="!canUndo"
        :title="tr('takeBackCtrlZ')"
        :aria-label="tr('undo')"
        @click="acts.undo"
      >
        <RefreshLeft class="icon" />
      </ElButton>
      <ElButton
        class="btn bare wide"
        :disabled="!canRedo"
        :title="tr('doAgainCtrlShiftZ')"
        :aria-label="tr('redo')"
        @click="acts.redo"
      >
        <RefreshRight class="icon" />
      </ElButton>
      <SettingsButton />
    </header>
    <TourSteps v-if="touring && name !== null && $route.name === 'shots'" />
    <DeviceBar v-if="ailing" />
    <ConflictBar v-if="clashed" />
    <RejectedBar v-if="refused" />
    <div v-if="store.missing" class="missing">
      <h1>{{ store.missing }}</h1>
      <RouterLink class="btn lead" to="/">{{ tr('allFilms') }}</RouterLink>
    </div>
    <div v-else-if="store.loading" class="shape" :aria-label="tr('loading')" role="status">
      <i /><i /><i />
    </div>
    <RouterView v-else v-slot="{ Component }"
      ><component :is="Component" class="view-body" @vue:mounted="settled"
    /></RouterView>
    <nav class="foot no-print" :aria-label="tr('onTheDay')">
      <RouterLink
        v-for="v in VIEWS.filter((e) => e.onTheDay)"
        :key="v.name"
        :to="{ name: v.name, params: { film } }"
        class="view"
        :class="{ here: entry === v }"
        :aria-current="$route.name === v.name ? 'page' : undefined"
        >{{ v.label }}</RouterLink
      >
    </nav>
    <p class="sr" role="status" aria-live="polite">{{ selection.said.text }}</p>
    <SaidBar v-if="selection.said.text" />
    <KeySheet v-if="selection.keysShown" @close="selection.keysShown = false" />
  </div>
</template>

<style scoped>
/* The first stop of the keyboard, seen only there. */
.skip {
  position: absolute;
  left: 8px;
  top: -60px;
  z-index: 60;
  min-height: 40px;
  padding: 0 14px;
  background: var(--pick);
  color: var(--pick-ink);
  border: 0;
}
.skip:focus-visible {
  top: 6px;
}
.shell {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.bar {
  flex: none;
  height: var(--bar);
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 10px 0 12px;
  border-bottom: 1px solid var(--line);
}
.home {
  display: block;
  line-height: 0;
  padding: 4px;
}
.name {
  --el-input-text-color: var(--chalk);
  font-stretch: 112%;
  font-weight: 640;
  font-size: 15px;
  width: 250px;
  /* Gives way before the views do. */
  flex-shrink: 1000;
  min-width: 90px;
}
.name :deep(.el-input__wrapper) {
  background: none;
  box-shadow: none;
  padding-inline: 6px;
}
.name :deep(.el-input__inner) {
  font-stretch: inherit;
  font-weight: inherit;
  text-overflow: ellipsis;
}
.name:hover :deep(.el-input__wrapper) {
  background: var(--slab-2);
}
.view {
  color: var(--chalk-2);
  text-decoration: none;
  padding: 0 9px;
  height: var(--bar);
  display: inline-flex;
  align-items: center;
  white-space: nowrap;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
}
.view.here {
  color: var(--chalk);
  border-bottom-color: var(--pick);
  font-weight: 620;
}
.view.part {
  padding: 0 9px;
  font-size: 13px;
  background: var(--slab);
  border-bottom-color: var(--slab);
}
.view.part.here {
  border-bottom-color: var(--pick);
}
.view:not(.aside, .part) + .aside {
  margin-left: 12px;
}
/* A ring where nothing stands yet, a wedge where something is to be minded, a bar where it stops, nothing where it fits. */
.state {
  width: 7px;
  height: 7px;
  margin: 0 -4px 9px 5px;
}
.state.empty {
  border: 1.5px solid var(--chalk-3);
  border-radius: 50%;
}
.state.care {
  background: var(--care);
  clip-path: polygon(0 100%, 100% 100%, 100% 0);
}
.state.stop {
  background: var(--stop);
  height: 4px;
}
.state.fits {
  width: 3px;
  height: 3px;
  background: var(--chalk-3);
}
/* What does not fit scrolls within the row of views: undo and settings stay in reach. */
nav {
  display: flex;
  min-width: 0;
  overflow-x: auto;
  scrollbar-width: none;
}
.gap {
  flex: 1;
}
.icon {
  width: 17px;
  height: 17px;
  display: block;
}
.view-body {
  flex: 1;
  min-height: 0;
}
.foot {
  display: none;
}
.missing {
  padding: 60px;
  display: grid;
  gap: 16px;
  justify-items: start;
}
.shape {
  display: grid;
  grid-template-columns: 300px 1fr 318px;
  gap: 1px;
  flex: 1;
  padding-top: 86px;
}
.shape i {
  background: var(--slab);
}
@media (max-width: 700px) {
  .wide,
  .name {
    display: none;
  }
  .view {
    padding: 0 8px;
  }
  .bar .day {
    display: none;
  }
  /* The row goes on: it fades where there is more of it, and its end is clear of the fading. */
  .bar nav {
    mask-image: linear-gradient(to left, transparent, #000 28px);
    padding-right: 22px;
  }
  .foot {
    display: grid;
    grid-template-columns: repeat(5, 1fr);
    flex: none;
    border-top: 1px solid var(--line);
    background: var(--bench);
  }
  .foot .view {
    font-stretch: 80%;
    justify-content: center;
    height: 50px;
    padding: 0;
  }
  .bar {
    padding: 0 4px;
    gap: 0;
  }
}
</style>

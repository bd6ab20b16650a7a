<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useFilm } from '../../stores/film';
import type { GearKind } from './useKit';
import AircraftForm from './AircraftForm.vue';
import PackRows from './PackRows.vue';
import CardRows from './CardRows.vue';
import ChargerRows from './ChargerRows.vue';
import FilterRows from './FilterRows.vue';
import GearRows from './GearRows.vue';
import PilotRows from './PilotRows.vue';
import { tr } from './messages';

const ImportSheet = defineAsyncComponent(() => import('./ImportSheet.vue'));
const bringing = ref(false);
const store = useFilm();
const kind = ref<GearKind>('aircraft');
const KINDS: { id: GearKind; label: string }[] = [
  {
    id: 'aircraft',
    get label() {
      return tr('aircraft');
    },
  },
  {
    id: 'pack',
    get label() {
      return tr('packs');
    },
  },
  {
    id: 'card',
    get label() {
      return tr('cards');
    },
  },
  {
    id: 'filter',
    get label() {
      return tr('filters');
    },
  },
  {
    id: 'charger',
    get label() {
      return tr('chargers');
    },
  },
  {
    id: 'gear',
    get label() {
      return tr('other');
    },
  },
  {
    id: 'pilot',
    get label() {
      return tr('pilots');
    },
  },
];
const counts = computed(() =>
  Object.fromEntries(KINDS.map((k) => [k.id, store.list(k.id).filter((t) => !t.retired).length])),
);
</script>

<template>
  <main class="kit scroll" tabindex="-1">
    <header>
      <h1>{{ tr('kit') }}</h1>
      <p class="quiet">{{ tr('yoursAcrossAllFilmsWhat') }}</p>
      <ElButton class="btn files" :aria-expanded="bringing" @click="bringing = !bringing">
        {{ tr('tablesAndFiles') }}
      </ElButton>
      <nav :aria-label="tr('kindsOfKit')">
        <button v-for="k in KINDS" :key="k.id" :aria-current="kind === k.id" @click="kind = k.id">
          {{ k.label }} <span class="unit">{{ counts[k.id] }}</span>
        </button>
      </nav>
    </header>
    <ImportSheet v-if="bringing" />
    <AircraftForm v-if="kind === 'aircraft'" />
    <PackRows v-else-if="kind === 'pack'" />
    <CardRows v-else-if="kind === 'card'" />
    <FilterRows v-else-if="kind === 'filter'" />
    <ChargerRows v-else-if="kind === 'charger'" />
    <GearRows v-else-if="kind === 'gear'" />
    <PilotRows v-else />
  </main>
</template>

<style scoped>
.kit {
  background: var(--slab);
  padding: 14px 22px 24px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
.kit > * {
  min-width: 0;
}
header {
  display: flex;
  gap: 4px 22px;
  align-items: baseline;
  flex-wrap: wrap;
}
nav {
  display: flex;
  gap: 2px;
  width: 100%;
  overflow-x: auto;
  scrollbar-width: none;
  border-bottom: 1px solid var(--line);
}
nav button {
  border: 0;
  background: none;
  padding: 4px 14px 6px;
  cursor: pointer;
  color: var(--chalk-2);
  min-height: var(--touch);
  border-bottom: 3px solid transparent;
  margin-bottom: -1px;
}
nav button[aria-current='true'] {
  color: var(--chalk);
  font-weight: 620;
  border-bottom-color: var(--pick);
}
.files {
  margin-left: auto;
}
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { dateText } from '../../format';
import { useLooking } from '../../stores/looking';
import { useReckoning } from '../../stores/reckoning';
import TabRow from '../../parts/TabRow.vue';
import { usePlaceRoute } from '../usePlaceRoute';
import BagTab from './BagTab.vue';
import CardsTab from './CardsTab.vue';
import SheetTab from './SheetTab.vue';
import { useReady } from './useReady';

/** What has to be there and looked at, from days before until the footage is safe. */
const props = defineProps<{ film: string; place?: string }>();
const looking = useLooking();
const reckoning = useReckoning();
const ready = useReady();
const TABS = [{ id: 'checks', label: 'Checks' }, { id: 'bag', label: 'Bag' }, { id: 'cards', label: 'Cards' }] as const;
const tab = ref<(typeof TABS)[number]['id']>('checks');
usePlaceRoute('ready', props);
watch(() => looking.place?.location.id, () => { ready.flightN.value = 0; });
const failed = computed(() => ready.sheets.value.reduce((sum, s) => sum + s.failed, 0));
const open = computed(() => ready.sheets.value.reduce((sum, s) => sum + s.open, 0));
</script>

<template>
  <main class="ready scroll" tabindex="-1">
    <header class="head">
      <h1>Ready</h1>
      <nav class="places no-print" aria-label="Places"><button v-for="l in reckoning.locations" :key="l.id" class="btn" :class="{ on: l.id === ready.place.value?.location.id }" :aria-current="l.id === ready.place.value?.location.id" @click="looking.pickPlace(l.id)"><span dir="auto">{{ l.name }}</span> <span class="unit">{{ dateText(l.date) }}</span></button></nav>
      <p v-if="ready.context.value" class="verdict" :class="{ not: failed > 0 }" role="status">{{ failed > 0 ? `${failed} do not hold · ` : '' }}{{ open }} to be looked at</p>
    </header>
    <TabRow name="ready" label="Parts of being ready" :tabs="TABS" :value="tab" @pick="(id) => { tab = id; }" />
    <div id="ready-panel" role="tabpanel" :aria-labelledby="`ready-${tab}`">
      <p v-if="!ready.context.value" class="quiet">Checks belong to a place and a date. <RouterLink :to="{ name: 'places' }">Add the first location</RouterLink>.</p>
      <SheetTab v-else-if="tab === 'checks'" :ready="ready" />
      <BagTab v-else-if="tab === 'bag'" :ready="ready" />
      <CardsTab v-else :ready="ready" />
    </div>
  </main>
</template>

<style scoped>
.ready { background: var(--slab); padding: 10px 20px 24px; display: grid; gap: 8px; align-content: start; }
.ready > * { min-width: 0; }
.head { display: flex; flex-wrap: wrap; gap: 4px 16px; align-items: baseline; }
.places { display: flex; gap: 4px; flex-wrap: wrap; }
.on { background: var(--pick-dim); border-color: var(--pick); }
.on .unit { color: var(--chalk); }
.verdict { margin-left: auto; font-size: 15px; font-weight: 620; border-left: 5px solid var(--chalk); padding-left: 9px; }
.verdict.not { color: var(--stop); border-left-color: var(--stop); }
@media (max-width: 1099px) { .ready { padding: 8px 12px 24px; } .verdict { margin-left: 0; } }
</style>

<script setup lang="ts">
import { ref } from 'vue';
import { dateText } from '../../format';
import { useLight } from '../../stores/light';
import { useLooking } from '../../stores/looking';
import { useReckoning } from '../../stores/reckoning';
import TabRow from '../../parts/TabRow.vue';
import { usePlaceRoute } from '../usePlaceRoute';
import DayTab from './DayTab.vue';
import ExposureTab from './ExposureTab.vue';
import SetupTab from './SetupTab.vue';
import { useLightPlace } from './useLightPlace';

const props = defineProps<{ film: string; place?: string }>();
const looking = useLooking();
const reckoning = useReckoning();
const { place: here, lit, shots } = useLightPlace();
useLight().start();
const TABS = [{ id: 'day', label: 'The day' }, { id: 'exposure', label: 'Exposure' }, { id: 'setup', label: 'Set-up' }] as const;
const tab = ref<(typeof TABS)[number]['id']>('day');
usePlaceRoute('light', props);
</script>

<template>
  <main class="light scroll" tabindex="-1">
    <header class="head">
      <h1 dir="auto">{{ here?.location.name ?? 'Light' }}</h1><p v-if="here" class="quiet">{{ dateText(here.location.date) }}, {{ here.location.windowStart }} to {{ here.location.windowEnd }}</p>
      <nav class="places no-print" aria-label="Places"><button v-for="l in reckoning.locations" :key="l.id" class="btn" :class="{ on: l.id === here?.location.id }" :aria-current="l.id === here?.location.id" @click="looking.pickPlace(l.id)">{{ l.name }}</button></nav>
    </header>
    <TabRow name="light" label="Parts of the light" :tabs="TABS" :value="tab" @pick="(id) => { tab = id; }" />
    <div id="light-panel" role="tabpanel" :aria-labelledby="`light-${tab}`">
      <template v-if="here && lit && reckoning.derived">
        <DayTab v-if="tab === 'day'" :place="here" :derived="reckoning.derived" :shots="shots" :lit="lit" />
        <ExposureTab v-else-if="tab === 'exposure'" :place="here" :derived="reckoning.derived" :lit="lit" />
        <SetupTab v-else :place="here" :derived="reckoning.derived" :lit="lit" />
      </template>
      <p v-else-if="here" class="quiet">The place needs a date, a zone and coordinates before its light can be worked out. <RouterLink :to="{ name: 'places' }">Enter them</RouterLink>.</p>
      <p v-else class="quiet">Light belongs to a place and a date. <RouterLink :to="{ name: 'places' }">Add the first location</RouterLink>.</p>
    </div>
  </main>
</template>

<style scoped>
.light { background: var(--slab); padding: 12px 20px 24px; display: grid; gap: 10px; align-content: start; }
.light > * { min-width: 0; }
.head { display: flex; flex-wrap: wrap; gap: 4px 16px; align-items: baseline; }
.places { display: flex; gap: 4px; margin-left: auto; flex-wrap: wrap; }
.on { background: var(--pick-dim); border-color: var(--pick); }
@media (max-width: 700px) { .light { padding: 10px 12px 24px; } .places { margin-left: 0; } }
</style>

<script setup lang="ts">
import { computed, ref } from 'vue';
import { dateText } from '../../format';
import { useLight } from '../../stores/light';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import TabbedView from '../../parts/TabbedView.vue';
import { useLocationRoute } from '../../composables/useLocationRoute';
import DayTab from './DayTab.vue';
import ExposureTab from './ExposureTab.vue';
import SetupTab from './SetupTab.vue';
import { useLightPlace } from './useLightPlace';

const props = defineProps<{ film: string; location?: string }>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const { place: here, lit, shots } = useLightPlace();
useLight().start();
const TABS = [
  { id: 'day', label: 'The day' },
  { id: 'exposure', label: 'Exposure' },
  { id: 'setup', label: 'Set-up' },
] as const;
const tab = ref<(typeof TABS)[number]['id']>('day');
useLocationRoute('light', props);
const note = computed(() =>
  here.value
    ? `${dateText(here.value.location.date)}, ${here.value.location.windowStart} to ${here.value.location.windowEnd}`
    : '',
);
const choices = computed(() => derivedFilm.locations.map((l) => ({ id: l.id, label: l.name })));
</script>

<template>
  <TabbedView
    name="light"
    :title="here?.location.name ?? 'Light'"
    :note="note"
    tabs-label="Parts of the light"
    :tabs="TABS"
    :tab="tab"
    choices-label="Locations"
    :choices="choices"
    :chosen="here?.location.id"
    @tab="
      (id) => {
        tab = id;
      }
    "
    @choose="selection.pickPlace"
  >
    <template v-if="here && lit && derivedFilm.derived">
      <DayTab v-if="tab === 'day'" :place="here" :derived="derivedFilm.derived" :shots="shots" :lit="lit" />
      <ExposureTab v-else-if="tab === 'exposure'" :place="here" :derived="derivedFilm.derived" :lit="lit" />
      <SetupTab v-else :place="here" :derived="derivedFilm.derived" :lit="lit" />
    </template>
    <p v-else-if="here" class="quiet">
      The location needs a date, a zone and coordinates before its light can be worked out.
      <RouterLink :to="{ name: 'locations' }">Enter them</RouterLink>.
    </p>
    <p v-else class="quiet">
      Light belongs to a location and a date.
      <RouterLink :to="{ name: 'locations' }">Add the first location</RouterLink>.
    </p>
  </TabbedView>
</template>

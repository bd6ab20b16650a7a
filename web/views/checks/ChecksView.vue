<script setup lang="ts">
import { counted } from '@core/units';
import { useVerdict } from '../../composables/useVerdict';
import { computed, ref, watch } from 'vue';
import { dateText } from '../../format';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import TabbedView from '../../parts/TabbedView.vue';
import { useLocationRoute } from '../../composables/useLocationRoute';
import BagTab from './BagTab.vue';
import CardsTab from './CardsTab.vue';
import SheetTab from './SheetTab.vue';
import { useChecks } from './useChecks';

/** What has to be there and looked at, from days before until the footage is safe. */
const props = defineProps<{ film: string; location?: string }>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const ready = useChecks();
const TABS = [
  { id: 'checks', label: 'Checks' },
  { id: 'bag', label: 'Bag' },
  { id: 'cards', label: 'Cards' },
] as const;
const tab = ref<(typeof TABS)[number]['id']>('checks');
useLocationRoute('checks', props);
watch(
  () => selection.place?.location.id,
  () => {
    ready.flightN.value = 0;
  },
);
const failed = computed(() => ready.sheets.value.reduce((sum, s) => sum + s.failed, 0));
const open = computed(() => ready.sheets.value.reduce((sum, s) => sum + s.open, 0));
const { ofPlaces } = useVerdict();
const verdict = computed(() => (ready.place.value ? ofPlaces([ready.place.value.location.id]) : undefined));
const counts = computed(() =>
  ready.context.value
    ? `${failed.value > 0 ? `${counted(failed.value, 'check')} failed · ` : ''}${counted(open.value, 'check')} open`
    : '',
);
const choices = computed(() =>
  derivedFilm.locations.map((l) => ({ id: l.id, label: l.name, note: dateText(l.date) })),
);
</script>

<template>
  <TabbedView
    name="ready"
    title="Ready"
    tabs-label="Parts of being ready"
    :tabs="TABS"
    :tab="tab"
    choices-label="Locations"
    :choices="choices"
    :chosen="ready.place.value?.location.id"
    :verdict="verdict"
    :counts="counts"
    @tab="
      (id) => {
        tab = id;
      }
    "
    @choose="selection.pickPlace"
  >
    <p v-if="!ready.context.value" class="quiet">
      Checks belong to a location and a date.
      <RouterLink :to="{ name: 'locations' }">Add the first location</RouterLink>.
    </p>
    <SheetTab v-else-if="tab === 'checks'" :ready="ready" />
    <BagTab v-else-if="tab === 'bag'" :ready="ready" />
    <CardsTab v-else :ready="ready" />
  </TabbedView>
</template>

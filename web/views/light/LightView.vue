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
import { tr } from './messages';

const props = defineProps<{ film: string; location?: string }>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const { place: here, lit, shots } = useLightPlace();
useLight().start();
const TABS = [
  {
    id: 'day',
    get label() {
      return tr('theDay');
    },
  },
  {
    id: 'exposure',
    get label() {
      return tr('exposure');
    },
  },
  {
    id: 'setup',
    get label() {
      return tr('setUp');
    },
  },
] as const;
const tab = ref<(typeof TABS)[number]['id']>('day');
useLocationRoute('light', props);
const note = computed(() =>
  here.value
    ? tr('dateWindowStartToWindowEnd', {
        date: dateText(here.value.location.date),
        windowStart: here.value.location.windowStart,
        windowEnd: here.value.location.windowEnd,
      })
    : '',
);
const choices = computed(() => derivedFilm.locations.map((l) => ({ id: l.id, label: l.name })));
</script>

<template>
  <TabbedView
    name="light"
    :title="here?.location.name ?? tr('light')"
    :note="note"
    :tabs-label="tr('partsOfTheLight')"
    :tabs="TABS"
    :tab="tab"
    :choices-label="tr('locations')"
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
      {{ tr('theLocationNeedsADate') }}
      <RouterLink :to="{ name: 'locations' }">{{ tr('enterThem') }}</RouterLink>.
    </p>
    <p v-else class="quiet">
      {{ tr('lightBelongsToALocation') }}
      <RouterLink :to="{ name: 'locations' }">{{ tr('addTheFirstLocation') }}</RouterLink>.
    </p>
  </TabbedView>
</template>

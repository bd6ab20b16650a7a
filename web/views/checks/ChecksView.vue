<script setup lang="ts">
import '../../design/outdoors.css';
import { useVerdict } from '../../composables/useVerdict';
import { computed, ref, watch } from 'vue';
import { counted, dateText } from '../../format';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import TabbedView from '../../parts/TabbedView.vue';
import { useLocationRoute } from '../../composables/useLocationRoute';
import BagTab from './BagTab.vue';
import CardsTab from './CardsTab.vue';
import SheetTab from './SheetTab.vue';
import { useChecks } from './useChecks';
import { tr } from './messages';

/** What has to be there and looked at, from days before until the footage is safe. */
const props = defineProps<{ film: string; location?: string }>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const ready = useChecks();
const TABS = [
  {
    id: 'checks',
    get label() {
      return tr('checks');
    },
  },
  {
    id: 'bag',
    get label() {
      return tr('bag');
    },
  },
  {
    id: 'cards',
    get label() {
      return tr('cards');
    },
  },
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
    ? tr('checksChecks2Open', {
        checks: failed.value > 0 ? `${tr('checksFailed', { checks: counted(failed.value, 'check') })} ` : '',
        checks2: counted(open.value, 'check'),
      })
    : '',
);
const choices = computed(() =>
  derivedFilm.locations.map((l) => ({ id: l.id, label: l.name, note: dateText(l.date) })),
);
</script>

<template>
  <TabbedView
    class="outdoors"
    name="ready"
    :title="tr('ready')"
    :tabs-label="tr('partsOfBeingReady')"
    :tabs="TABS"
    :tab="tab"
    :choices-label="tr('locations')"
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
      {{ tr('checksBelongToALocation') }}
      <RouterLink :to="{ name: 'locations' }">{{ tr('addTheFirstLocation') }}</RouterLink>.
    </p>
    <SheetTab v-else-if="tab === 'checks'" :ready="ready" />
    <BagTab v-else-if="tab === 'bag'" :ready="ready" />
    <CardsTab v-else :ready="ready" />
  </TabbedView>
</template>

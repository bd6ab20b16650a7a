<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { CardFacts } from '@core/day';
import { clockText } from '@core/time';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { usePreferences } from '../../composables/preferences';
import { tr } from './messages';

/** How much footage would be lost with the aircraft at the worst moment, and what would lower it. */
const props = defineProps<{ cards: CardFacts }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const at = computed(() => {
  const flight = props.cards.aboardFlight;
  const location = flight && derivedFilm.locations.find((l) => l.id === flight.locationId);
  return flight && location
    ? tr('startMsAtName', { startMs: clockText(flight.startMs, location.zone), name: location.name })
    : '';
});
const WORDS = {
  get one() {
    return tr('oneCardAfterAnother');
  },
  get 'fresh-away'() {
    return tr('aFreshCardOverWater');
  },
  get fresh() {
    return tr('aFreshCardEachFlight');
  },
} as const;
const now = computed(() => film.film?.preferences.cardPolicy ?? 'one');
/** Habits that put less at stake than this one, and whether there are cards for them. */
const better = computed(() =>
  props.cards.policies
    .filter((p) => p.policy !== now.value && p.aboardS < props.cards.aboardS * 0.98)
    .map((p) => ({ ...p, say: WORDS[p.policy], enough: derivedFilm.along.cards.length >= p.cards })),
);
const prefer = usePreferences(() => tr('cards'));
const take = (cardPolicy: keyof typeof WORDS) => prefer({ cardPolicy });
</script>

<template>
  <p v-if="cards.aboardS > 0" class="loss">
    {{ tr('atTheWorstMomentThe') }} <span dir="auto">{{ at }}</span>,
    <b><Fig :value="cards.aboardS / 60" quantity="minutes" /></b> {{ tr('ofFootageThatExistsNowhere')
    }}<template v-if="cards.aboardOldGB > 0"
      >{{ tr('besides') }} <Fig :value="cards.aboardOldGB" quantity="gigabytes" />
      {{ tr('thatAreOnThatCard') }}</template
    >.
    <span v-for="p in better" :key="p.policy">
      {{ tr('sayWouldMakeIt', { say: p.say }) }} <Fig :value="p.aboardS / 60" quantity="minutes" />.
      <ElButton v-if="p.enough" class="btn" @click="take(p.policy)">{{ p.say }}</ElButton><span
        v-else
        class="quiet"
        >{{
          tr('thatTakesCardsCardsCards2', { cards: p.cards, cards2: derivedFilm.along.cards.length })
        }}</span
      ></span
    >
  </p>
</template>

<style scoped>
.loss {
  font-size: 13px;
  display: block;
}
.btn {
  min-height: 26px;
  padding: 1px 8px;
}
@media (max-width: 1099px) {
  .btn {
    min-height: var(--touch);
  }
}
</style>

<script setup lang="ts">
import { sensingOffAnswer, sensingOffBecause } from '@core/checks';
import type { DerivedShot } from '@core/film';
import { clockText } from '@core/time';
import { v4 as uuid } from 'uuid';
import { computed } from 'vue';
import { useFilm } from '../../stores/film';
import ChoiceRow from './ChoiceRow.vue';
import { tr } from './messages';

/** Obstacle sensing is off for this shot: said once why, with one tap, before it is flown. */
const props = defineProps<{ shot: DerivedShot; zone: string }>();
const film = useFilm();
const stored = computed(() => props.shot.facts.shot);
const given = computed(() => sensingOffAnswer(film.list('answer'), stored.value));
const reasons = computed(() =>
  [tr('thinBranches'), tr('narrowGap'), tr('closeAlongAWall'), tr('stopsForNothing')].map((reason) => ({
    value: reason,
    label: reason,
  })),
);
const say = (reason: string): void => {
  const who = film.get('pilot', film.film?.pilotId ?? '')?.name ?? '';
  const said = { id: uuid(), reason, who };
  film.create(
    'answer',
    sensingOffBecause(film.list('answer'), stored.value, said, Date.now()),
    tr('sensing'),
  );
};
</script>

<template>
  <section class="off" :class="{ open: !given }" :aria-label="tr('sensingIsOff')">
    <p v-if="given" role="status">
      <b>{{ tr('sensingIsOff') }}</b>
      {{ tr('reasonSaidAt', { reason: given.reason, clock: clockText(given.utcMs, zone) }) }}
    </p>
    <template v-else>
      <p>
        <b>{{ tr('sensingIsOff') }}</b> {{ tr('sensingOffCaution') }}
      </p>
      <ChoiceRow :label="tr('whyIsItOff')" value="" :options="reasons" @pick="say" />
    </template>
  </section>
</template>

<style scoped>
.off {
  border-left: 6px solid var(--care);
  padding: 6px 0 6px 12px;
  display: grid;
  gap: 8px;
}
.open {
  border-color: var(--stop);
}
p {
  margin: 0;
  font-size: 17px;
}
</style>

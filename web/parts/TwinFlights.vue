<script setup lang="ts">
import { ElButton } from './element-button';
import { twinFlights, withoutTwin } from '@core/day';
import type { FlightLogEntry } from '@core/model';
import { clockText } from '@core/time';
import { computed } from 'vue';
import { fixed } from '../format';
import { useFilm } from '../stores/film';
import { tr } from './messages';

/** One flight that stands in the log twice, as two phones may have logged it: which entry is kept is asked. */
const props = defineProps<{ zone: string }>();
const film = useFilm();
const twins = computed(() =>
  twinFlights(film.kit.flightLog).map((t) => ({ ...t, pack: film.get('pack', t.first.packId)?.name ?? '' })),
);
const told = (f: FlightLogEntry): string =>
  tr('flightToldBy', {
    time: clockText(f.utcMs, props.zone),
    minutes: fixed(f.minutes, 1),
    charge: `${fixed(f.endShare * 100, 0)} %`,
  });
const keep = (kept: FlightLogEntry, dropped: FlightLogEntry) =>
  film.commit(
    tr('removeDoubleEntry'),
    withoutTwin(kept, dropped, film.kit.flightLog, film.get('pack', kept.packId), film.kit.cardMoves),
  );
</script>

<template>
  <ul v-if="twins.length > 0" class="twins" :aria-label="tr('flightsLoggedTwice')">
    <li v-for="t in twins" :key="t.first.id" data-twin>
      <p>
        {{ tr('packLoggedTwice', { pack: t.pack, first: told(t.first), second: told(t.second) }) }}
      </p>
      <ElButton class="btn" @click="keep(t.first, t.second)">
        {{
          tr('keepTheEntryOf', {
            time: clockText(t.first.utcMs, zone),
            charge: fixed(t.first.endShare * 100, 0),
          })
        }}
      </ElButton>
      <ElButton class="btn" @click="keep(t.second, t.first)">
        {{
          tr('keepTheEntryOf', {
            time: clockText(t.second.utcMs, zone),
            charge: fixed(t.second.endShare * 100, 0),
          })
        }}
      </ElButton>
    </li>
  </ul>
</template>

<style scoped>
.twins {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  border-left: 4px solid var(--care);
  padding-left: 10px;
}
p {
  flex: 1 1 40ch;
}
</style>

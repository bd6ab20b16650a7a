<script setup lang="ts">
import { bestDate, type DateWeighed } from '@core/light-timeline';
import type { LocationPlan } from '@core/day';
import { clockText, MINUTE_MS } from '@core/time';
import { computed, shallowRef, watch } from 'vue';
import { dateText } from '../../format';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useLight } from '../../stores/light';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; count: number }>();
const film = useFilm();
const light = useLight();
const derivedFilm = useDerivedFilm();
const dates = shallowRef<readonly DateWeighed[]>([]);
let asked = 0;
watch(
  () => [props.place.location, derivedFilm.derived],
  async () => {
    const mine = (asked += 1);
    const answer = await light.weigh(props.place.location.id, 7);
    if (mine === asked) dates.value = answer;
  },
  { immediate: true },
);
const best = computed(() => bestDate(dates.value)?.date ?? '');
const clock = (ms: number | null): string =>
  ms === null ? 'none' : clockText(ms, props.place.location.zone);
const HOUR_MS = 60 * MINUTE_MS;
const span = (d: DateWeighed, kind: 'golden' | 'blue'): string =>
  d.day.windows
    // The windows of the next morning are told with the next date.
    .filter((w) => w.kind === kind && w.fromMs < d.day.sun.endMs + 2 * HOUR_MS)
    .map((w) => `${clock(w.fromMs)}–${clock(w.toMs)}`)
    .join(' · ') || 'none';
const take = (date: string): void => {
  film.edit('location', props.place.location.id, { date }, tr('date'));
};
</script>

<template>
  <section :aria-label="tr('sevenDates')">
    <h2>{{ tr('theNextSevenDates') }}</h2>
    <div class="scroll" tabindex="0" role="region" :aria-label="tr('datesCompared')">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ tr('date') }}</th>
            <th scope="col">{{ tr('sunrise') }}</th>
            <th scope="col">{{ tr('sunset') }}</th>
            <th scope="col">{{ tr('golden') }}</th>
            <th scope="col">{{ tr('blue') }}</th>
            <th scope="col">{{ tr('sunInTheWindow') }}</th>
            <th scope="col">{{ tr('moon') }}</th>
            <th scope="col">{{ tr('shotsServed') }}</th>
            <th scope="col">{{ tr('wantedLight') }}</th>
            <th scope="col">
              <span class="sr">{{ tr('useThisDate') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="d in dates" :key="d.date" :class="{ here: d.date === place.location.date }">
            <th scope="row">{{ dateText(d.date) }}</th>
            <td>{{ clock(d.day.sunriseMs) }}</td>
            <td>{{ clock(d.day.sunsetMs) }}</td>
            <td>{{ span(d, 'golden') }}</td>
            <td>{{ span(d, 'blue') }}</td>
            <td>
              <Fig :value="d.sunFromDeg" quantity="degrees" /> {{ tr('to') }}
              <Fig :value="d.sunToDeg" quantity="degrees" />
            </td>
            <td>
              {{ d.moon.name }}, <Fig :value="d.moon.lit * 100" quantity="percent" />,
              {{ d.moonDeg > 0 ? tr('up') : tr('down') }}
            </td>
            <td>{{ tr('servedOfCount', { served: d.served, count }) }}</td>
            <td><Fig :value="d.wantedMin" quantity="minutes" /></td>
            <td class="do">
              <span v-if="d.date === place.location.date" class="quiet">{{ tr('planned') }}</span><button
                v-else
                class="btn"
                @click="take(d.date)"
              >
                {{ tr('useThisDate') }}
              </button>
              <b v-if="d.date === best" class="best">{{ tr('best') }}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="faint">{{ tr('sameHoursOnTheClock') }}</p>
  </section>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 12.5px;
  font-stretch: 90%;
}
th,
td {
  text-align: left;
  padding: 3px 10px 3px 0;
  white-space: nowrap;
  font-weight: 400;
  border-top: 1px solid var(--line);
}
thead th {
  color: var(--chalk-2);
  border-top: 0;
}
.here {
  background: var(--slab-2);
}
.best {
  color: var(--verdigris);
}
.btn {
  min-height: 24px;
  padding: 0 8px;
}
@media (max-width: 1099px) {
  .btn {
    min-height: var(--touch);
  }
}
</style>

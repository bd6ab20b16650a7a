<script setup lang="ts">
import type { LocationLight } from '@core/shot';
import type { LocationPlan } from '@core/day';
import { clockText, localToUtc, minutesOf, DAY_MS } from '@core/time';
import { ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { readNumber } from '../../format';
import Fig from '../../parts/Fig.vue';
import TimeField from '../../parts/TimeField.vue';
import PickField from '../../parts/PickField.vue';
import { ElInput } from '../../parts/element';
import { useFilm } from '../../stores/film';
import type { Fault } from '../../sync/validation';

const props = defineProps<{ place: LocationPlan; lit: LocationLight }>();
const film = useFilm();
const at = ref(props.place.location.windowStart);
const ev = ref('');
const of = ref<'sky' | 'lamps' | null>(null);
const OF = [
  { value: null, label: 'either' },
  { value: 'sky' as const, label: 'daylight' },
  { value: 'lamps' as const, label: 'lamps' },
];
const faults = ref<readonly Fault[]>([]);
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const add = (): void => {
  const minutes = minutesOf(at.value);
  const ev100 = readNumber(ev.value);
  if (Number.isNaN(minutes)) {
    faults.value = [{ path: '', say: 'When it was read: hours and minutes.' }];
    return;
  }
  if (Number.isNaN(ev100)) {
    faults.value = [{ path: '', say: 'A meter reading is a number of EV, such as 12.3.' }];
    return;
  }
  const { date, zone, id } = props.place.location;
  const ms = localToUtc(date, minutes, zone);
  const utcMs = props.place.windowToMs - ms > DAY_MS ? ms + DAY_MS : ms;
  faults.value = film.create(
    'reading',
    { id: uuid(), locationId: id, utcMs, ev100, of: of.value },
    'meter reading',
  );
  if (faults.value.length === 0) ev.value = '';
};
</script>

<template>
  <section class="readings" aria-label="Meter readings">
    <h2>Your meter</h2>
    <p class="quiet">
      A reading of the open scene at ISO 100 overrides the model of what it measured, and fades back to it
      over
      {{ lit.preferences.meterFadeMin }} minutes.
    </p>
    <div class="line" :class="{ 'is-faulty': faults.length > 0 }">
      <TimeField
        bare
        label="Read at"
        :value="at"
        :save="
          (v) => {
            at = v;
          }
        "
      /><ElInput
        v-model="ev"
        inputmode="decimal"
        placeholder="EV"
        aria-label="Meter reading, EV"
        @keydown.enter="add"
      /><PickField
        v-if="place.location.lamps !== 'none'"
        label="of"
        :value="of"
        :options="OF"
        :save="
          (v) => {
            of = v;
          }
        "
      /><button class="btn" @click="add">Set</button>
    </div>
    <p v-for="f in faults" :key="f.say" class="fault" role="alert">{{ f.say }}</p>
    <ul>
      <li v-for="r in lit.readings" :key="r.id">
        {{ clock(r.utcMs) }} <Fig :value="r.ev100" quantity="ev" />
        <button
          class="btn bare"
          :aria-label="`Remove reading of ${clock(r.utcMs)}`"
          @click="film.remove('reading', [{ kind: 'reading', id: r.id }])"
        >
          remove
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.readings {
  display: grid;
  gap: 6px;
  align-content: start;
}
.line {
  display: grid;
  grid-template-columns: 110px 90px auto;
  gap: 6px;
}
</style>

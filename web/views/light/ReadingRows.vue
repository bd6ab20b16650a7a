<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
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
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; lit: LocationLight }>();
const film = useFilm();
const at = ref(props.place.location.windowStart);
const ev = ref('');
const of = ref<'sky' | 'lamps' | null>(null);
const OF = [
  {
    value: null,
    get label() {
      return tr('either');
    },
  },
  {
    value: 'sky' as const,
    get label() {
      return tr('daylight');
    },
  },
  {
    value: 'lamps' as const,
    get label() {
      return tr('lampsLower');
    },
  },
];
const faults = ref<readonly Fault[]>([]);
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const add = (): void => {
  const minutes = minutesOf(at.value);
  const ev100 = readNumber(ev.value);
  if (Number.isNaN(minutes)) {
    faults.value = [{ path: '', say: tr('whenItWasReadHours') }];
    return;
  }
  if (Number.isNaN(ev100)) {
    faults.value = [{ path: '', say: tr('aMeterReadingIsA') }];
    return;
  }
  const { date, zone, id } = props.place.location;
  const ms = localToUtc(date, minutes, zone);
  const utcMs = props.place.windowToMs - ms > DAY_MS ? ms + DAY_MS : ms;
  faults.value = film.create(
    'reading',
    { id: uuid(), locationId: id, utcMs, ev100, of: of.value },
    tr('meterReading'),
  );
  if (faults.value.length === 0) ev.value = '';
};
</script>

<template>
  <section class="readings" :aria-label="tr('meterReadings')">
    <h2>{{ tr('yourMeter') }}</h2>
    <p class="quiet">
      {{ tr('aReadingOfTheOpen', { meterFadeMin: lit.preferences.meterFadeMin }) }}
    </p>
    <div class="line" :class="{ 'is-faulty': faults.length > 0 }">
      <TimeField
        bare
        :label="tr('readAt')"
        :value="at"
        :save="
          (v) => {
            at = v;
          }
        "
      /><ElInput
        v-model="ev"
        inputmode="decimal"
        :placeholder="tr('ev')"
        :aria-label="tr('meterReadingEV')"
        @keydown.enter="add"
      /><PickField
        v-if="place.location.lamps !== 'none'"
        :label="tr('of')"
        :value="of"
        :options="OF"
        :save="
          (v) => {
            of = v;
          }
        "
      /><ElButton class="btn" @click="add">{{ tr('set') }}</ElButton>
    </div>
    <p v-for="f in faults" :key="f.say" class="fault" role="alert">{{ f.say }}</p>
    <ul>
      <li v-for="r in lit.readings" :key="r.id">
        {{ clock(r.utcMs) }} <Fig :value="r.ev100" quantity="ev" />
        <ElButton
          class="btn bare"
          :aria-label="tr('removeReadingOfClock', { clock: clock(r.utcMs) })"
          @click="film.remove(tr('meterReading'), [{ kind: 'reading', id: r.id }])"
        >
          {{ tr('remove') }}
        </ElButton>
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
  grid-template-columns: 84px 64px minmax(0, 1fr) auto;
  gap: 6px;
  align-items: end;
}
</style>

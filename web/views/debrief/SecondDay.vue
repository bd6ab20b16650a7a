<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { SecondDay } from '@core/debrief';
import { addDays } from '@core/time';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { counted, dateText } from '../../format';
import DateField from '../../parts/DateField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** What is still missing, and a day for only that. */
const props = defineProps<{ missing: readonly SecondDay[] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const router = useRouter();
const last = computed(
  () =>
    derivedFilm.locations
      .map((l) => l.date)
      .sort()
      .at(-1) ?? '',
);
const chosen = ref('');
const date = computed(() => chosen.value || (last.value ? addDays(last.value, 1) : ''));
const rows = computed(() =>
  props.missing.map((m) => ({ ...m, location: store.get('location', m.locationId) })),
);
const sum = computed(() => ({
  shots: props.missing.reduce((n, m) => n + m.shotIds.length, 0),
  musts: props.missing.reduce((n, m) => n + m.musts, 0),
  minutes: props.missing.reduce((n, m) => n + m.minutes, 0),
}));
/** Locations with something missing move to the day; what is done stays done and needs no flight. */
const plan = async (): Promise<void> => {
  const faults = store.commit(
    tr('secondDay'),
    rows.value.flatMap(({ location }) =>
      location
        ? [{ kind: 'location' as const, id: location.id, after: { ...location, date: date.value } }]
        : [],
    ),
  );
  selection.say(faults[0]?.say ?? tr('whatIsMissingIsPlanned', { date: dateText(date.value) }));
  if (faults.length === 0) await router.push({ name: 'flights' });
};
</script>

<template>
  <section aria-labelledby="second-day">
    <h2 id="second-day">{{ tr('stillMissing') }}</h2>
    <p>
      {{
        tr('shotsMustsOfThemMust', {
          shots: counted(sum.shots, 'shot'),
          musts: sum.musts,
          ceil: Math.ceil(sum.minutes),
        })
      }}
    </p>
    <ul>
      <li v-for="r in rows" :key="r.locationId">
        <b dir="auto">{{ r.location?.name }}</b>
        <span>{{
          tr('shotsCeilMin', { shots: counted(r.shotIds.length, 'shot'), ceil: Math.ceil(r.minutes) })
        }}</span>
        <span class="quiet">{{ r.location ? dateText(r.location.date) : '' }}</span>
      </li>
    </ul>
    <div class="day">
      <DateField
        :label="tr('secondDayUpper')"
        :value="date"
        :save="
          (v) => {
            chosen = v;
          }
        "
      />
      <ElButton class="btn lead" :disabled="!date" @click="plan">{{ tr('planSecondDay') }}</ElButton>
    </div>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 6px 0 10px;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.day {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { ASPECTS, type Film } from '@core/model';
import { counted } from '../../format';
import { DAY_MS } from '@core/time';
import { computed } from 'vue';
import DateField from '../../parts/DateField.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

/** What is delivered, until when, and who accepts it. */
const props = defineProps<{
  film: Film;
  rates: readonly { readonly value: number; readonly label: string }[];
}>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const ASPECT_CHOICES = ASPECTS.map((value) => ({ value, label: value }));
const set = (fields: Partial<Film>) => store.edit('film', props.film.id, fields, tr('delivery'));
type Version = Film['versions'][number];
const change = (at: number, fields: Partial<Version>) =>
  set({ versions: props.film.versions.map((v, i) => (i === at ? { ...v, ...fields } : v)) });
const add = () =>
  set({
    versions: [
      ...props.film.versions,
      { name: tr('shortVersion'), lengthS: 30, aspect: '9:16', fps: props.film.timelineFps },
    ],
  });
const remove = (at: number) => set({ versions: props.film.versions.filter((_, i) => i !== at) });
/** Days between the last day of the shoot and the deadline; null without both. */
const daysLeft = computed(() => {
  const last = derivedFilm.locations
    .map((l) => l.date)
    .sort()
    .at(-1);
  return last && props.film.deadline
    ? Math.round((Date.parse(props.film.deadline) - Date.parse(last)) / DAY_MS)
    : null;
});
</script>

<template>
  <section class="sheet" aria-labelledby="delivery-title">
    <h2 id="delivery-title">{{ tr('deliveryUpper') }}</h2>
    <div class="grid">
      <DateField
        :label="tr('deadline')"
        :value="film.deadline ?? ''"
        clearable
        :save="(v) => set({ deadline: v === '' ? null : v })"
      />
      <TextField
        :label="tr('signedOffBy')"
        :value="film.signedOffBy"
        :save="(v) => set({ signedOffBy: v })"
      />
      <NumberField
        :label="tr('stillsToDeliver')"
        :value="film.stillsCount"
        quantity="count"
        :save="(v) => set({ stillsCount: v })"
      />
    </div>
    <p v-if="daysLeft !== null" :class="daysLeft < 0 ? 'fault' : 'quiet'">
      {{
        daysLeft < 0
          ? tr('theDeadlineIsDaysBefore', { days: counted(-daysLeft, 'day') })
          : tr('daysFromTheLastDay', { days: counted(daysLeft, 'day') })
      }}
    </p>
    <div v-for="(v, i) in film.versions" :key="i" class="version" role="group" :aria-label="v.name">
      <TextField :label="tr('version')" :value="v.name" :save="(x) => change(i, { name: x })" />
      <NumberField
        :label="tr('length')"
        :value="v.lengthS"
        quantity="seconds"
        :save="(x) => change(i, { lengthS: x })"
      />
      <PickField
        :label="tr('aspectOfIt')"
        :value="v.aspect"
        :options="ASPECT_CHOICES"
        :save="(x) => change(i, { aspect: x })"
      />
      <PickField
        :label="tr('frameRate')"
        :value="v.fps"
        :options="rates"
        :save="(x) => change(i, { fps: x })"
      />
      <ElButton class="btn" :aria-label="tr('removeName', { name: v.name })" @click="remove(i)">
        {{ tr('remove') }}
      </ElButton>
    </div>
    <ElButton class="btn" :disabled="film.versions.length >= 20" @click="add">{{
      tr('addVersion')
    }}</ElButton>
  </section>
</template>

<style scoped>
.sheet > .btn {
  justify-self: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 260px));
  gap: 8px 14px;
}
.version {
  max-width: 1080px;
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 1fr auto;
  gap: 8px 12px;
  align-items: end;
  padding: 6px 0;
}
@media (max-width: 700px) {
  .version {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

<script setup lang="ts">
import { ASPECTS, type Film } from '@core/model';
import { counted } from '@core/units';
import { DAY_MS } from '@core/time';
import { computed } from 'vue';
import DateField from '../../parts/DateField.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';

/** What is delivered, until when, and who accepts it. */
const props = defineProps<{
  film: Film;
  rates: readonly { readonly value: number; readonly label: string }[];
}>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const ASPECT_CHOICES = ASPECTS.map((value) => ({ value, label: value }));
const set = (fields: Partial<Film>) => store.edit('film', props.film.id, fields, 'delivery');
type Version = Film['versions'][number];
const change = (at: number, fields: Partial<Version>) =>
  set({ versions: props.film.versions.map((v, i) => (i === at ? { ...v, ...fields } : v)) });
const add = () =>
  set({
    versions: [
      ...props.film.versions,
      { name: 'Short version', lengthS: 30, aspect: '9:16', fps: props.film.timelineFps },
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
    <h2 id="delivery-title">Delivery</h2>
    <div class="grid">
      <DateField
        label="Deadline"
        :value="film.deadline ?? ''"
        clearable
        :save="(v) => set({ deadline: v === '' ? null : v })"
      />
      <TextField label="Signed off by" :value="film.signedOffBy" :save="(v) => set({ signedOffBy: v })" />
      <NumberField
        label="Stills to deliver"
        :value="film.stillsCount"
        quantity="count"
        :save="(v) => set({ stillsCount: v })"
      />
    </div>
    <p v-if="daysLeft !== null" :class="daysLeft < 0 ? 'fault' : 'quiet'">
      {{
        daysLeft < 0
          ? `The deadline is ${counted(-daysLeft, 'day')} before the last day of the shoot.`
          : `${counted(daysLeft, 'day')} from the last day of the shoot to the deadline.`
      }}
    </p>
    <div v-for="(v, i) in film.versions" :key="i" class="version" role="group" :aria-label="v.name">
      <TextField label="Version" :value="v.name" :save="(x) => change(i, { name: x })" />
      <NumberField
        label="Length"
        :value="v.lengthS"
        quantity="seconds"
        :save="(x) => change(i, { lengthS: x })"
      />
      <PickField
        label="Aspect of it"
        :value="v.aspect"
        :options="ASPECT_CHOICES"
        :save="(x) => change(i, { aspect: x })"
      />
      <PickField label="Frame rate" :value="v.fps" :options="rates" :save="(x) => change(i, { fps: x })" />
      <button class="btn" :aria-label="`Remove ${v.name}`" @click="remove(i)">Remove</button>
    </div>
    <button class="btn" :disabled="film.versions.length >= 20" @click="add">Add version</button>
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

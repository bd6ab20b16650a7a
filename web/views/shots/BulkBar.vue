<script setup lang="ts">
import { counted } from '@core/units';
import type { Shot } from '@core/model';
import { computed, ref } from 'vue';
import { choices, HANDLING_WORDS, PRIORITY_WORDS, ROLE_WORDS, WISH_WORDS } from '../../format';
import PickField from '../../parts/PickField.vue';
import { useBulkEdit } from '../../composables/useBulkEdit';
import { useFilm } from '../../stores/film';
import { useListFilters } from '../../stores/list-filters';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';

const film = useFilm();
const listing = useListFilters();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const bulk = useBulkEdit();
type Change =
  | ''
  | `role:${Shot['role']}`
  | `priority:${Shot['priority']}`
  | `wants:${Shot['wants']}`
  | `handling:${Shot['handling']}`
  | `takes:${number}`
  | `aircraft:${string}`;
/** Everything that can be set on several shots, as one list. */
const changes = computed(() => [
  { value: '' as Change, label: 'change them to \u2026' },
  ...choices(PRIORITY_WORDS).map((c) => ({
    value: `priority:${c.value}` as Change,
    label: `priority: ${c.label.toLowerCase()}`,
  })),
  ...choices(ROLE_WORDS).map((c) => ({
    value: `role:${c.value}` as Change,
    label: `in the story: ${c.label.toLowerCase()}`,
  })),
  ...choices(WISH_WORDS).map((c) => ({
    value: `wants:${c.value}` as Change,
    label: `wants: ${c.label.toLowerCase()}`,
  })),
  ...choices(HANDLING_WORDS).map((c) => ({
    value: `handling:${c.value}` as Change,
    label: `sticks: ${c.label.toLowerCase()}`,
  })),
  ...[1, 2, 3, 4, 6].map((n) => ({ value: `takes:${n}` as Change, label: `${n} take${n > 1 ? 's' : ''}` })),
  ...film
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: `aircraft:${a.id}` as Change, label: `aircraft: ${a.name}` })),
]);
const places = computed(() => [
  { value: '', label: 'copy them to \u2026' },
  ...derivedFilm.locations.map((l) => ({ value: l.id, label: l.name })),
]);
const why = computed(() => bulk.whyNotJoined(listing.picked));
const change = ref<Change>('');

const apply = (value: Change): void => {
  const [field, word = ''] = value.split(':');
  const ids = listing.picked;
  if (!field) return;
  if (field === 'aircraft') bulk.changeAircraft(ids, word);
  else if (field === 'takes') bulk.change(ids, { takes: Number(word) }, 'takes of shots');
  else bulk.change(ids, { [field]: word }, `${field} of shots`);
  selection.say(`${counted(ids.length, 'shot')} changed. Ctrl+Z takes it back.`);
  change.value = '';
};
const copyTo = (locationId: string): void => {
  if (!locationId) return;
  const made = bulk.copyTo(listing.picked, locationId);
  listing.clear();
  for (const id of made) listing.toggle(id);
  selection.say(`${counted(made.length, 'shot')} copied.`);
};
const remove = (): void => {
  const n = listing.picked.length;
  bulk.remove(listing.picked);
  listing.clear();
  selection.say(`Deleted ${counted(n, 'shot')}. Ctrl+Z brings them back.`);
};
const join = (): void => {
  const id = bulk.join(listing.picked);
  listing.clear();
  if (id) selection.pick(id);
};
</script>

<template>
  <section class="bulk" aria-label="Chosen shots">
    <p>
      <b>{{ listing.picked.length }} chosen</b
      ><button class="btn bare" title="All that are shown" @click="listing.chooseAll">All shown</button
      ><button class="btn bare" title="Clear the choice (Esc)" @click="listing.clear">None</button>
    </p>
    <PickField
      label="Change them"
      bare
      :value="change"
      placeholder="change them to …"
      :options="changes"
      :save="apply"
    />
    <PickField
      label="Copy them to a location"
      bare
      :value="''"
      placeholder="copy them to …"
      :options="places"
      :save="copyTo"
    />
    <p>
      <button
        class="btn"
        :disabled="why !== null"
        :title="why ?? 'One shot with all of the cut'"
        @click="join"
      >
        Join</button
      ><button class="btn" title="Delete them (Del)" @click="remove">Delete</button>
    </p>
  </section>
</template>

<style scoped>
.bulk {
  border-top: 1px solid var(--line);
  background: var(--slab);
  padding: 6px 10px 8px;
  display: grid;
  gap: 5px;
}
p {
  display: flex;
  gap: 6px;
  align-items: center;
}
p b {
  flex: 1;
}
</style>

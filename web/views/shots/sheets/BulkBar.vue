<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import type { Shot } from '@core/model';
import { computed, ref } from 'vue';
import {
  choices,
  counted,
  HANDLING_WORDS,
  inSentence,
  PRIORITY_WORDS,
  ROLE_WORDS,
  WISH_WORDS,
} from '../../../format';
import PickField from '../../../parts/PickField.vue';
import { useBulkEdit } from '../../../composables/useBulkEdit';
import { useFilm } from '../../../stores/film';
import { useListFilters } from '../../../stores/list-filters';
import { useSelection } from '../../../stores/selection';
import { useDerivedFilm } from '../../../stores/derived-film';
import { tr } from './messages';

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
  { value: '' as Change, label: tr('changeThemTo') },
  ...choices(PRIORITY_WORDS).map((c) => ({
    value: `priority:${c.value}` as Change,
    label: tr('priorityLabel', { label: inSentence(c.label) }),
  })),
  ...choices(ROLE_WORDS).map((c) => ({
    value: `role:${c.value}` as Change,
    label: tr('inTheStoryLabel', { label: inSentence(c.label) }),
  })),
  ...choices(WISH_WORDS).map((c) => ({
    value: `wants:${c.value}` as Change,
    label: tr('wantsLabel', { label: inSentence(c.label) }),
  })),
  ...choices(HANDLING_WORDS).map((c) => ({
    value: `handling:${c.value}` as Change,
    label: tr('sticksLabel', { label: inSentence(c.label) }),
  })),
  ...[1, 2, 3, 4, 6].map((n) => ({
    value: `takes:${n}` as Change,
    label: counted(n, 'take'),
  })),
  ...film
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: `aircraft:${a.id}` as Change, label: tr('aircraftName', { name: a.name }) })),
]);
const places = computed(() => [
  { value: '', label: tr('copyThemTo') },
  ...derivedFilm.locations.map((l) => ({ value: l.id, label: l.name })),
]);
const why = computed(() => bulk.whyNotJoined(listing.picked));
const change = ref<Change>('');

const apply = (value: Change): void => {
  const [field, word = ''] = value.split(':');
  const ids = listing.picked;
  if (!field) return;
  if (field === 'aircraft') bulk.changeAircraft(ids, word);
  else if (field === 'takes') bulk.change(ids, { takes: Number(word) }, tr('takesOfShots'));
  else bulk.change(ids, { [field]: word }, tr('fieldOfShots', { field }));
  selection.say(tr('shotsChangedCtrlZTakes', { shots: counted(ids.length, 'shot') }));
  change.value = '';
};
const copyTo = (locationId: string): void => {
  if (!locationId) return;
  const made = bulk.copyTo(listing.picked, locationId);
  listing.clear();
  for (const id of made) listing.toggle(id);
  selection.say(tr('shotsCopied', { shots: counted(made.length, 'shot') }));
};
const remove = (): void => {
  const n = listing.picked.length;
  bulk.remove(listing.picked);
  listing.clear();
  selection.say(tr('deletedShotsCtrlZBrings', { shots: counted(n, 'shot') }));
};
const join = (): void => {
  const id = bulk.join(listing.picked);
  listing.clear();
  if (id) selection.pick(id);
};
</script>

<template>
  <section class="bulk" :aria-label="tr('chosenShots')">
    <p>
      <b>{{ tr('pickedChosen', { picked: listing.picked.length }) }}</b><ElButton
        class="btn bare"
        :title="tr('allThatAreShown')"
        @click="listing.chooseAll"
      >
        {{ tr('allShown') }}</ElButton
      ><ElButton class="btn bare" :title="tr('clearTheChoiceEsc')" @click="listing.clear">
        {{ tr('none') }}
      </ElButton>
    </p>
    <PickField
      :label="tr('changeThem')"
      bare
      :value="change"
      :placeholder="tr('changeThemTo')"
      :options="changes"
      :save="apply"
    />
    <PickField
      :label="tr('copyThemToALocation')"
      bare
      :value="''"
      :placeholder="tr('copyThemTo')"
      :options="places"
      :save="copyTo"
    />
    <p>
      <ElButton class="btn" :disabled="why !== null" :title="why ?? tr('oneShotWithAllOf')" @click="join">
        {{ tr('join') }}</ElButton><ElButton class="btn" :title="tr('deleteThemDel')" @click="remove">
        {{ tr('delete') }}
      </ElButton>
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

<script setup lang="ts">
import { ElButton } from './element-button';
import { computed } from 'vue';
import { choices, ROLE_WORDS } from '../format';
import { useGroundShots } from '../composables/useGroundShots';
import { useFilm } from '../stores/film';
import { useSelection } from '../stores/selection';
import DialogBox from './DialogBox.vue';
import NumberField from './NumberField.vue';
import PickField from './PickField.vue';
import SwitchField from './SwitchField.vue';
import TextField from './TextField.vue';
import { tr } from './messages';

const film = useFilm();
const selection = useSelection();
const ground = useGroundShots();
const shot = computed(() => film.get('groundShot', selection.groundShotId));
type Fields = Partial<NonNullable<typeof shot.value>>;
const set = (fields: Fields) =>
  film.edit('groundShot', selection.groundShotId, fields, tr('changeGroundShot'));
const roles = computed(() => choices(ROLE_WORDS));
const places = computed(() => film.list('location').map((l) => ({ value: l.id, label: l.name })));
</script>

<template>
  <DialogBox v-if="shot" :title="tr('groundShot')" @close="selection.groundShotId = ''">
    <p class="quiet">{{ tr('filmedFromTheGround') }}</p>
    <div class="fields">
      <TextField :label="tr('title')" :value="shot.title" :save="(title) => set({ title })" wide />
      <NumberField
        :label="tr('secondsInTheCut')"
        :value="shot.timelineS"
        quantity="seconds"
        :save="(timelineS) => set({ timelineS })"
      />
      <PickField
        :label="tr('roleInTheStory')"
        :value="shot.role"
        :options="roles"
        :save="(role) => set({ role })"
      />
      <TextField :label="tr('filmedBy')" :value="shot.filmedBy" :save="(filmedBy) => set({ filmedBy })" />
      <PickField
        :label="tr('location')"
        :value="shot.locationId"
        :options="places"
        :save="(locationId) => set({ locationId })"
      />
      <TextField :label="tr('notes')" :value="shot.notes" :save="(notes) => set({ notes })" wide :lines="2" />
    </div>
    <footer>
      <SwitchField :label="tr('done')" :value="shot.done" :save="(done) => set({ done })" />
      <ElButton class="btn" @click="ground.remove(shot)">{{ tr('deleteGroundShot') }}</ElButton>
    </footer>
  </DialogBox>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
  margin: 12px 0;
}
@media (max-width: 560px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
footer {
  display: flex;
  gap: 14px;
  justify-content: space-between;
  align-items: center;
}
</style>

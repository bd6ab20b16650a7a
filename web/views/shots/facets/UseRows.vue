<script setup lang="ts">
import type { Shot } from '@core/model';
import { USE_WORDS, useOf } from '@core/story';
import { computed } from 'vue';
import { choices, PEOPLE_WORDS, phrase, PROPERTY_WORDS } from '../../../format';
import PickField from '../../../parts/PickField.vue';
import TextField from '../../../parts/TextField.vue';
import type { Fault } from '../../../sync/validation';
import { tr } from './messages';

const props = defineProps<{ shot: Shot; save: (fields: Partial<Shot>) => readonly Fault[] }>();
const PEOPLE = choices(PEOPLE_WORDS);
const PROPERTY = choices(PROPERTY_WORDS);
const use = computed(() => phrase(USE_WORDS[useOf(props.shot.usage)]));
const layer = (name: keyof Shot['layers'], text: string) =>
  props.save({ layers: { ...props.shot.layers, [name]: text } });
</script>

<template>
  <div class="grid">
    <TextField
      help="shot.foreground"
      :label="tr('foreground')"
      :value="shot.layers.foreground"
      :placeholder="tr('whatPassesClose')"
      :save="(v) => layer('foreground', v)"
    />
    <TextField
      help="shot.middle"
      :label="tr('middle')"
      :value="shot.layers.middle"
      :save="(v) => layer('middle', v)"
    />
    <TextField
      help="shot.background"
      :label="tr('background')"
      :value="shot.layers.background"
      :save="(v) => layer('background', v)"
    />
    <PickField
      help="shot.people"
      :label="tr('people')"
      :value="shot.usage.people"
      :options="PEOPLE"
      :save="(v) => save({ usage: { ...shot.usage, people: v } })"
    />
    <PickField
      help="shot.property"
      :label="tr('property')"
      :value="shot.usage.property"
      :options="PROPERTY"
      :save="(v) => save({ usage: { ...shot.usage, property: v } })"
    />
    <div class="field">
      <span class="label">{{ tr('canBeUsed') }}</span><span class="use">{{ use }}</span>
    </div>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 10px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.use {
  min-height: 30px;
  display: flex;
  align-items: center;
  font-weight: 600;
}
@media (max-width: 700px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

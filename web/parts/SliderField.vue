<script setup lang="ts">
import type { MoveParameter } from '@core/moves';
import { computed } from 'vue';
import { digitsOf, fixed, phrase, toShown } from '../format';
import { useDerivedFilm } from '../stores/derived-film';
import type { Fault } from '../sync/validation';
import NumberField from './NumberField.vue';
import { SliderControl } from './slider-control';
import { tr } from './messages';

const props = defineProps<{
  parameter: MoveParameter;
  value: number;
  top: number;
  locked: boolean;
  save: (value: number) => readonly Fault[] | void;
}>();
defineEmits<{ lock: [] }>();
const derivedFilm = useDerivedFilm();
/** The slider runs to a practical top; the field takes anything up to the hard limit. */
const max = computed(() => Math.min(props.parameter.max, Math.max(props.top, props.value)));
const spoken = (value: number): string =>
  fixed(
    toShown(value, props.parameter.quantity, derivedFilm.units),
    digitsOf(props.parameter.quantity, derivedFilm.units),
  );
</script>

<template>
  <div class="slide" :title="phrase(parameter.hint)">
    <span class="label">{{ phrase(parameter.label) }}</span>
    <SliderControl
      :value="value"
      :min="parameter.min"
      :max="max"
      :step="parameter.step"
      :label="phrase(parameter.label)"
      :spoken="spoken"
      @slide="save"
    />
    <NumberField
      bare
      :label="phrase(parameter.label)"
      :value="value"
      :quantity="parameter.quantity"
      :step="parameter.step"
      :save="save"
    />
    <button
      class="lock"
      :class="{ locked }"
      :aria-pressed="locked"
      :aria-label="tr('labelIsGiven', { label: phrase(parameter.label) })"
      :title="tr('givenStaysAsItIs')"
      @click="$emit('lock')"
    >
      {{ locked ? tr('given') : tr('free') }}
    </button>
  </div>
</template>

<style scoped>
.slide {
  display: grid;
  grid-template-columns: 84px 1fr 76px 34px;
  align-items: center;
  gap: 11px;
  min-height: 34px;
}
.lock {
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: var(--chalk-3);
  font-size: 11.5px;
  font-stretch: 84%;
  padding: 2px 0;
  cursor: pointer;
  margin-left: -4px;
}
.label {
  line-height: 1.15;
}
.lock.locked {
  color: var(--chalk);
  border-bottom-color: var(--pick);
  font-weight: 620;
}
@media (max-width: 700px) {
  .slide {
    grid-template-columns: 1fr 100px 48px;
    gap: 2px 12px;
  }
  .slide > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
    margin-inline: 10px;
  }
  .lock {
    min-height: 44px;
  }
}
</style>

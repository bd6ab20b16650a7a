<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import { computed, ref } from 'vue';
import { choices, OUTCOME_WORDS, PACK_STATE_WORDS, write } from '../../format';
import { useDerivedFilm } from '../../stores/derived-film';
import ChoiceRow from './ChoiceRow.vue';
import type { Landing } from './useLanding';
import { tr } from './messages';

/** What is entered at landing, with a thumb; the plan's own charge stands there until somebody knows better. */
const props = defineProps<{ planned: number; number: number; card: string; windMs: number }>();
const emit = defineEmits<{ log: [landing: Landing]; cancel: [] }>();
const derivedFilm = useDerivedFilm();
const percent = ref(String(Math.round(props.planned * 100)));
const outcome = ref<Landing['outcome']>('as-planned');
const condition = ref<Landing['condition']>('sound');
/** Wind that was met against the one the plan reckoned with, m/s. */
const WIND_STEPS = [-2, 0, 2, 4] as const;
const windBy = ref<number>(0);
const windText = (by: number): string => {
  const w = write(Math.max(0, props.windMs + by), 'speed', derivedFilm.units);
  return tr('windNumberUnitBy', { number: w.number, unit: w.unit, by: by === 0 ? tr('asPlanned') : '' });
};
const cardGoes = ref<'in' | 'out'>('in');
const cardWays = computed(() => [
  { value: 'in' as const, label: tr('cardStaysIn', { card: props.card }) },
  { value: 'out' as const, label: tr('cardComesOut', { card: props.card }) },
]);
const STATES = choices(PACK_STATE_WORDS).map((s) => ({ ...s, label: tr('packLabel', { label: s.label }) }));
const winds = computed(() => WIND_STEPS.map((by) => ({ value: by as number, label: windText(by) })));
const fault = ref('');
const enter = (): void => {
  const value = Number(percent.value.replace(',', '.'));
  fault.value =
    percent.value.trim() !== '' && value >= 0 && value <= 100 ? '' : tr('enterTheChargeInPercent');
  if (fault.value !== '') return;
  emit('log', {
    endShare: value / 100,
    outcome: outcome.value,
    condition: condition.value,
    windMs: Math.max(0, Math.round((props.windMs + windBy.value) * 10) / 10),
    cardOut: cardGoes.value === 'out',
  });
};
</script>

<template>
  <form class="landing" :aria-label="tr('landing')" @submit.prevent="enter">
    <p class="charge">
      <label for="landed">{{ tr('chargeAtLandingOfFlight', { number }) }}</label>
      <ElInput id="landed" v-model="percent" inputmode="decimal" /><span class="unit">%</span>
    </p>
    <ChoiceRow
      :label="tr('outcome')"
      :value="outcome"
      :options="choices(OUTCOME_WORDS)"
      @pick="outcome = $event"
    />
    <ChoiceRow
      :label="tr('stateOfThePack')"
      :value="condition"
      :options="STATES"
      @pick="condition = $event"
    />
    <ChoiceRow :label="tr('windMet')" :value="windBy" :options="winds" @pick="windBy = $event" />
    <ChoiceRow
      v-if="card"
      :label="tr('card')"
      :value="cardGoes"
      :options="cardWays"
      @pick="cardGoes = $event"
    />
    <p v-if="condition === 'swollen' || condition === 'damaged'" class="fault">
      {{ tr('doNotFlyOrCharge') }}
    </p>
    <div class="row">
      <ElButton class="btn lead" native-type="submit">{{ tr('logFlight') }}</ElButton>
      <ElButton class="btn" @click="emit('cancel')">{{ tr('stillFlying') }}</ElButton>
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </form>
</template>

<style scoped>
.landing {
  display: grid;
  gap: 8px;
  background: var(--slab-2);
  padding: 10px 14px;
}
.charge,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 0;
}
.charge {
  gap: 12px;
}
.landing .el-input {
  --el-input-height: 48px;
  width: 80px;
  font-size: 22px;
}
.landing .btn {
  min-height: 48px;
  font-size: 17px;
}
</style>

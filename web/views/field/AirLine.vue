<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import type { AirState } from '@core/field';
import { computed, ref } from 'vue';
import { tr } from './messages';

/** Minutes and charge since take-off by the plan, and when to turn back. */
const props = defineProps<{
  state: AirState | null;
  elapsedS: number;
  flying: boolean;
  may: boolean;
  label: string;
}>();
const emit = defineEmits<{ takeOff: []; landed: []; correct: [share: number] }>();
/** Speaks when it is time to turn back. */
const sound = defineModel<boolean>('sound', { required: true });
const canSpeak = 'speechSynthesis' in window;
const clock = (s: number): string => {
  const whole = Math.max(0, Math.floor(s));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};
const percent = computed(() => Math.round((props.state?.share ?? 0) * 100));
const shown = ref('');
const correct = (): void => {
  const value = Number(shown.value.replace(',', '.'));
  if (value >= 0 && value <= 100 && shown.value.trim() !== '') emit('correct', value / 100);
  shown.value = '';
};
const PHASES = {
  fly: '',
  get 'turn-back'() {
    return tr('turnBack');
  },
  get reserve() {
    return tr('landReserve');
  },
} as const;
</script>

<template>
  <section class="air" :class="state?.phase ?? 'ground'" :aria-label="tr('inTheAir')">
    <template v-if="flying && state">
      <p class="big">
        <span class="figure">{{ clock(elapsedS) }}</span><span class="label">{{ tr('sinceTakeOff') }}</span>
      </p>
      <p class="big">
        <span class="figure">{{ percent }}<span class="unit">%</span></span
        ><span class="label">{{ tr('byThePlan') }}</span>
      </p>
      <p class="big" role="status">
        <template v-if="state.phase === 'fly'"
          ><span class="figure">{{ state.turnBackInS === null ? '–' : clock(state.turnBackInS) }}</span
          ><span class="label">{{ tr('toTurnBack') }}</span></template
        >
        <b v-else class="figure">{{ PHASES[state.phase] }}</b>
      </p>
      <form class="shown" @submit.prevent="correct">
        <label class="label" for="shown">{{ tr('displayShows') }}</label>
        <ElInput id="shown" v-model="shown" inputmode="decimal" placeholder="%" />
        <ElButton class="btn" native-type="submit">{{ tr('correct') }}</ElButton>
      </form>
      <ElButton class="btn" @click="emit('landed')">{{ tr('landed') }}</ElButton>
    </template>
    <template v-else>
      <p class="quiet">{{ label }}</p>
      <ElButton class="btn lead" :disabled="!may" @click="emit('takeOff')">{{ tr('takeOff') }}</ElButton>
    </template>
    <ElButton v-if="canSpeak" class="btn sound" :aria-pressed="sound" @click="sound = !sound">
      {{ tr('soundSound', { sound: sound ? tr('on') : tr('off') }) }}
    </ElButton>
    <p class="faint note">{{ tr('whatTheAircraftItselfShows') }}</p>
  </section>
</template>

<style scoped>
.air {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  background: var(--slab-2);
  padding: 8px 14px;
  border-left: 6px solid var(--line);
}
.air.fly {
  border-left-color: var(--verdigris);
}
.air.turn-back {
  border-left-color: var(--care);
  outline: 3px dashed var(--care);
}
.air.reserve {
  border-left-color: var(--stop);
  background: var(--stop);
  color: var(--bench);
}
.air.reserve .label,
.air.reserve .note {
  color: inherit;
}
.big {
  display: grid;
  margin: 0;
}
.figure {
  font-size: 30px;
  font-weight: 640;
  line-height: 1.1;
}
.shown {
  display: flex;
  gap: 6px;
  align-items: center;
}
.shown .el-input {
  --el-input-height: 44px;
  width: 68px;
  font-size: 18px;
}
.air .btn {
  min-height: 48px;
  font-size: 17px;
}
.sound {
  margin-inline-start: auto;
}
.note {
  flex: 1 1 100%;
  margin: 0;
  font-size: 14px;
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { DerivedShot } from '@core/film';
import type { ShotWindow } from '@core/light-timeline';
import { clockText } from '@core/time';
import type { Stretch } from '@core/light';
import { worst } from '@core/warnings';
import { computed, defineAsyncComponent } from 'vue';
import { choices, WISH_WORDS } from '../../format';
import MarkSign from '../../parts/MarkSign.vue';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** A shot over the window: the light it wants, where it has it, and the minutes it is planned for. */
const props = defineProps<{
  shot: DerivedShot;
  zone: string;
  window: ShotWindow | undefined;
  fromMs: number;
  toMs: number;
  /** Its minute is being set. */
  timed: boolean;
}>();
const emit = defineEmits<{ time: [] }>();
const TimeField = defineAsyncComponent(() => import('../../parts/TimeField.vue'));
const film = useFilm();
const selection = useSelection();
const findings = useFindings();
const WISHES = choices(WISH_WORDS);
const clock = (ms: number): string => clockText(ms, props.zone);
const percent = (ms: number): string =>
  `${(Math.min(1, Math.max(0, (ms - props.fromMs) / (props.toMs - props.fromMs))) * 100).toFixed(2)}%`;
const bar = (s: Stretch) => ({
  left: percent(s.fromMs),
  width: `calc(${percent(s.toMs)} - ${percent(s.fromMs)})`,
});
const spoken = (list: readonly Stretch[]): string =>
  list.length === 0
    ? tr('neverInTheWindow')
    : list.map((s) => tr('fromToTo', { from: clock(s.fromMs), to: clock(s.toMs) })).join(', ');
const id = computed(() => props.shot.facts.shot.id);
const atMs = computed(() => props.shot.light?.atMs ?? 0);
const endMs = computed(() => atMs.value + props.shot.facts.seconds.airS * 1000);
const mark = computed(() =>
  worst(findings.about(props.shot).filter((w) => /^(light|exposure)\./.test(w.code))),
);
const says = computed(() =>
  props.window
    ? tr('wantedLightSpokenGoodSpoken2', {
        spoken: spoken(props.window.wished),
        spoken2: spoken(props.window.good),
      })
    : '',
);
const pin = (text: string) =>
  film.edit('shot', id.value, { notBefore: text.trim() === '' ? null : text.trim() }, tr('minute'));
</script>

<template>
  <div :class="{ picked: id === selection.shotId }" :data-shot="id" @click="selection.pick(id)">
    <span class="name"
      ><b>{{ shot.number }}</b> <span dir="auto">{{ shot.facts.shot.title || tr('noNameYet') }}</span>
      <MarkSign v-if="mark" :severity="mark"
    /></span>
    <PickField
      bare
      :label="tr('whatNumberWants', { number: shot.number })"
      :value="shot.facts.shot.wants"
      :options="WISHES"
      :save="(v) => film.edit('shot', id, { wants: v }, tr('lightWantedLower'))"
    />
    <ElButton
      v-if="!timed"
      class="btn bare when"
      :aria-label="tr('numberNotBefore', { number: shot.number })"
      @click="emit('time')"
    >
      {{ shot.facts.shot.notBefore ?? '–:–' }}
    </ElButton>
    <TimeField
      v-else
      bare
      :label="tr('numberNotBefore', { number: shot.number })"
      :value="shot.facts.shot.notBefore ?? ''"
      :save="pin"
      clearable
    />
    <span class="lane">
      <span class="sr">{{ tr('saysPlannedClock', { says: says, clock: clock(atMs) }) }}</span>
      <template v-if="window"
        ><i v-for="(w, i) in window.wished" :key="`w${i}`" class="wish" :style="bar(w)" /><i
          v-for="(w, i) in window.good"
          :key="`g${i}`"
          class="good"
          :style="bar(w)"
      /></template>
      <i
        v-if="shot.flightIndex !== null"
        class="now"
        :style="{
          left: percent(atMs),
          width: `max(4px, calc(${percent(endMs)} - ${percent(atMs)}))`,
        }"
        :title="tr('plannedClock', { clock: clock(atMs) })"
      />
    </span>
  </div>
</template>

<style scoped>
.picked {
  background: var(--slab-2);
  box-shadow: inset 3px 0 var(--pick);
}
.name {
  display: flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
  cursor: pointer;
}
.name span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name svg {
  flex: none;
}
.lane {
  position: relative;
  height: 20px;
  background: var(--bench);
  border: 1px solid var(--line);
  display: block;
}
.lane i {
  position: absolute;
  top: 0;
  bottom: 0;
}
@media (max-width: 700px) {
  .lane {
    grid-column: 1 / -1;
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { DerivedShot } from '@core/film';
import type { LocationPlan } from '@core/day';
import type { ShotWindow } from '@core/light-timeline';
import { clockText } from '@core/time';
import type { Stretch } from '@core/light';
import { worst } from '@core/warnings';
import { computed, defineAsyncComponent, ref } from 'vue';
import { choices, WISH_WORDS } from '../../format';
import MarkSign from '../../parts/MarkSign.vue';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

const props = defineProps<{
  place: LocationPlan;
  shots: readonly DerivedShot[];
  windows: ReadonlyMap<string, ShotWindow>;
  fromMs: number;
  toMs: number;
}>();
const TimeField = defineAsyncComponent(() => import('../../parts/TimeField.vue'));
const film = useFilm();
const selection = useSelection();
const findings = useFindings();
const WISHES = choices(WISH_WORDS);
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
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
/** The row whose minute is being set: a picker for each of many shots would weigh the page down. */
const timed = ref('');
const rows = computed(() =>
  props.shots.map((s) => {
    const window = props.windows.get(s.facts.shot.id);
    return {
      s,
      id: s.facts.shot.id,
      window,
      atMs: s.light?.atMs ?? 0,
      endMs: (s.light?.atMs ?? 0) + s.facts.seconds.airS * 1000,
      mark: worst(findings.about(s).filter((w) => /^(light|exposure)\./.test(w.code))),
      says: window
        ? tr('wantedLightSpokenGoodSpoken2', { spoken: spoken(window.wished), spoken2: spoken(window.good) })
        : '',
    };
  }),
);
const pin = (id: string, text: string) =>
  film.edit('shot', id, { notBefore: text.trim() === '' ? null : text.trim() }, tr('minute'));
</script>

<template>
  <section class="lanes" :aria-label="tr('shotsOverTheWindow')">
    <header class="row head label">
      <span>{{ tr('shot') }}</span><span>{{ tr('wants') }}</span
      ><span>{{ tr('notBefore') }}</span
      ><span class="key"
        ><i class="wish" /> {{ tr('theLightWanted') }} <i class="good" /> {{ tr('allOfItRight') }}
        <i class="now" /> {{ tr('planned') }}</span
      >
    </header>
    <div
      v-for="r in rows"
      :key="r.id"
      class="row"
      :class="{ picked: r.id === selection.shotId }"
      :data-shot="r.id"
      @click="selection.pick(r.id)"
    >
      <span class="name"
        ><b>{{ r.s.number }}</b> <span dir="auto">{{ r.s.facts.shot.title || tr('noNameYet') }}</span>
        <MarkSign v-if="r.mark" :severity="r.mark"
      /></span>
      <PickField
        bare
        :label="tr('whatNumberWants', { number: r.s.number })"
        :value="r.s.facts.shot.wants"
        :options="WISHES"
        :save="(v) => film.edit('shot', r.id, { wants: v }, tr('lightWantedLower'))"
      />
      <ElButton
        v-if="timed !== r.id"
        class="btn bare when"
        :aria-label="tr('numberNotBefore', { number: r.s.number })"
        @click="timed = r.id"
      >
        {{ r.s.facts.shot.notBefore ?? '–:–' }}
      </ElButton>
      <TimeField
        v-else
        bare
        :label="tr('numberNotBefore', { number: r.s.number })"
        :value="r.s.facts.shot.notBefore ?? ''"
        :save="(v) => pin(r.id, v)"
        clearable
      />
      <span class="lane">
        <span class="sr">{{ tr('saysPlannedClock', { says: r.says, clock: clock(r.atMs) }) }}</span>
        <template v-if="r.window"
          ><i v-for="(w, i) in r.window.wished" :key="`w${i}`" class="wish" :style="bar(w)" /><i
            v-for="(w, i) in r.window.good"
            :key="`g${i}`"
            class="good"
            :style="bar(w)"
        /></template>
        <i
          v-if="r.s.flightIndex !== null"
          class="now"
          :style="{
            left: percent(r.atMs),
            width: `max(4px, calc(${percent(r.endMs)} - ${percent(r.atMs)}))`,
          }"
          :title="tr('plannedClock', { clock: clock(r.atMs) })"
        />
      </span>
    </div>
    <p v-if="rows.length === 0" class="quiet">{{ tr('noShotsHereYetWhat') }}</p>
  </section>
</template>

<style scoped>
.lanes {
  display: grid;
  gap: 2px;
  align-content: start;
}
.row {
  display: grid;
  grid-template-columns: minmax(150px, 210px) 112px 122px 1fr;
  gap: 10px;
  align-items: center;
  min-height: 34px;
  padding: 0 4px;
}
.row.picked {
  background: var(--slab-2);
  box-shadow: inset 3px 0 var(--pick);
}
.head {
  min-height: 24px;
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
.wish {
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, transparent 3px 7px);
}
.good {
  background: var(--verdigris);
  opacity: 0.55;
}
.now {
  background: var(--pick);
  border: 1px solid var(--bench);
  min-width: 4px;
  top: 3px !important;
  bottom: 3px !important;
}
.key {
  display: flex;
  gap: 6px;
  align-items: center;
}
.key i {
  display: inline-block;
  width: 16px;
  height: 10px;
  margin-left: 8px;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr 110px 122px;
  }
  .lane {
    grid-column: 1 / -1;
  }
  .head {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { counted, dateText, fixed, writeText } from '../../format';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useDeferred } from '../../composables/deferred';
import { useSelection } from '../../stores/selection';
import { useElementSize } from '../../parts/useElementSize';
import { whenIdle } from '../../composables/idle';
import { RailHands } from './later';
import { columnsOf, type Column, type Piece } from './packs';
import { tr } from './messages';

const props = defineProps<{ derived: DerivedFilm; place: LocationPlan }>();
/** What the rail is held by comes after the first view. */
const settled = ref(false);
whenIdle(() => {
  settled.value = true;
});
const film = useFilm();
const selection = useSelection();
const { width, height } = useElementSize(290, 380);

const FOOT = 34;
const TOP = 4;
const GAP = 5;
const reserveShare = computed(() => film.film?.preferences.reserveShare ?? 0.3);
const packs = computed(() => film.kit.packs.filter((p) => !p.retired && !film.film?.leftHome.includes(p.id)));
const columns = computed(() => columnsOf(props.derived, props.place, packs.value));
/** What is taken hold of follows a picture after what is seen. */
const held = useDeferred(() => columns.value);
const unseen = computed(
  () => props.place.fill.hypothetical.length - columns.value.filter((c) => c.ghost).length,
);
const scale = computed(
  () => Math.max(0, height.value - FOOT - TOP) / Math.max(1, ...columns.value.map((c) => c.ratedWh)),
);
const columnWidth = computed(() =>
  Math.max(26, Math.min(60, (width.value - GAP * columns.value.length) / Math.max(1, columns.value.length))),
);
const svgWidth = computed(() => Math.max(width.value, columns.value.length * (columnWidth.value + GAP)));
const groundY = computed(() => height.value - FOOT);
/** Height of a level of energy left in a pack. */
const yAt = (leftWh: number): number => groundY.value - leftWh * scale.value;
const x = (i: number): number => i * (columnWidth.value + GAP);
const boxOf = (c: Column, p: Piece) => ({
  y: yAt(c.heldWh - p.fromWh),
  height: Math.max(0.5, p.wattHours * scale.value),
});
const titleOf = (p: Piece): string => {
  if (p.kind === 'takeoff') return tr('takeOffWattHours', { wattHours: writeText(p.wattHours, 'wattHours') });
  if (p.kind === 'leg')
    return tr('repositionLegWattHours', { wattHours: writeText(p.wattHours, 'wattHours') });
  if (p.kind === 'home')
    return tr('wayHomeAndLandingWattHours', { wattHours: writeText(p.wattHours, 'wattHours') });
  return `${p.number} ${props.derived.shots.get(p.shotId ?? '')?.facts.shot.title ?? ''}, ${writeText(p.wattHours, 'wattHours')}`;
};
const spoken = (c: Column): string =>
  tr('nameHoldsHeldWhOfRatedWh', {
    name: c.name,
    heldWh: writeText(c.heldWh, 'wattHours'),
    ratedWh: writeText(c.ratedWh, 'wattHours'),
    flights: counted(c.flights, 'flight'),
    usedWh: writeText(c.usedWh, 'wattHours'),
    minutes: writeText(c.minutes, 'minutes'),
  });
</script>

<template>
  <section class="rail" :aria-label="tr('packRail')">
    <header>
      <h2>{{ tr('packsUpper') }}</h2>
      <span v-if="unseen > 0" class="stop">{{ tr('andUnseenMoreMissing', { unseen }) }}</span><span
        class="quiet"
        >{{ dateText(place.location.date) }}</span
      >
    </header>
    <p v-if="columns.length === 0" class="quiet">
      {{ tr('noPackComesAlong') }}
      <RouterLink :to="{ name: 'kit' }">{{ tr('addThePacksYouOwn') }}</RouterLink>{{
        tr('andThisShowsWhatThey')
      }}
    </p>
    <ul class="sr">
      <li v-for="c in columns" :key="c.key">{{ spoken(c) }}</li>
    </ul>
    <div ref="target" class="box scroll" tabindex="0" role="group" :aria-label="tr('packsDrawn')">
      <svg :width="svgWidth" :height="height" aria-hidden="true">
        <defs>
          <pattern
            id="ground"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" class="soil" />
            <path d="M0 0V6" class="hatch" />
          </pattern>
        </defs>
        <g
          v-for="(c, i) in columns"
          :key="c.key"
          :transform="`translate(${x(i)} 0)`"
          :class="{ ghost: c.ghost }"
          :data-pack="c.name"
        >
          <rect class="empty" x="0" :y="yAt(c.ratedWh)" :width="columnWidth" :height="c.ratedWh * scale" />
          <rect class="held" x="0" :y="yAt(c.heldWh)" :width="columnWidth" :height="c.heldWh * scale" />
          <rect
            class="ground"
            x="0"
            :y="yAt(c.reserveWh)"
            :width="columnWidth"
            :height="c.reserveWh * scale"
            fill="url(#ground)"
          />
          <g
            v-for="p in c.pieces"
            :key="p.key"
            class="piece"
            :class="[
              p.kind,
              { elsewhere: p.elsewhere, picked: p.shotId === selection.shotId && p.shotId !== null },
            ]"
          >
            <title>{{ titleOf(p) }}</title>
            <rect x="1.5" :width="columnWidth - 3" v-bind="boxOf(c, p)" />
            <text
              v-if="p.kind === 'shot' && p.wattHours * scale > 10"
              :x="columnWidth / 2"
              :y="boxOf(c, p).y + boxOf(c, p).height / 2 + 4"
              text-anchor="middle"
            >
              {{ p.number }}
            </text>
          </g>
          <path class="line" :d="`M0 ${yAt(c.reserveWh)}h${columnWidth}`" />
          <text class="name" :x="columnWidth / 2" :y="groundY + 14" text-anchor="middle">
            {{ c.ghost ? '+1' : c.name }}
          </text>
          <text class="mins" :x="columnWidth / 2" :y="groundY + 28" text-anchor="middle">
            {{ c.flights > 0 ? tr('minutesMin', { minutes: fixed(c.minutes, 0) }) : tr('spare') }}
          </text>
        </g>
      </svg>
      <RailHands
        v-if="settled"
        :columns="held"
        :column-width="columnWidth"
        :gap="GAP"
        :scale="scale"
        :ground-y="groundY"
        :titles="titleOf"
      />
    </div>
    <p class="legend">
      <span class="sw shotsw" /> {{ tr('shot') }} <span class="sw legsw" /> {{ tr('leg') }}
      <span class="sw homesw" /> {{ tr('wayHome') }} <span class="sw groundsw" /> {{ tr('reserve') }}
      <Fig :value="reserveShare * 100" quantity="percent" />
    </p>
  </section>
</template>

<style scoped>
.rail {
  display: flex;
  flex-direction: column;
  min-height: 270px;
  flex: 1 0 auto;
  gap: 4px;
  user-select: none;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.stop {
  color: var(--stop);
}
.box {
  flex: 1 1 0;
  min-height: 180px;
  overflow-y: hidden;
  position: relative;
}
svg {
  display: block;
}
.empty {
  fill: none;
  stroke: var(--line);
  stroke-dasharray: 2 3;
}
.held {
  fill: var(--slab-2);
}
.soil {
  fill: var(--slab-3);
}
.hatch {
  stroke: var(--hatch);
  stroke-width: 3;
}
.line {
  stroke: var(--chalk);
  stroke-width: 1.5;
}
.piece rect {
  fill: var(--ember);
  stroke: var(--bench);
  stroke-width: 1;
}
.piece.leg rect,
.piece.takeoff rect {
  fill: var(--ember-dim);
}
.piece.home rect {
  fill: none;
  stroke: var(--ember);
  stroke-dasharray: 2 2;
}
.piece text {
  fill: var(--bench);
  font-size: 11.5px;
  font-weight: 700;
  font-stretch: 80%;
}
.piece.picked rect {
  fill: var(--pick);
}
.elsewhere {
  opacity: 0.4;
}
.ghost .held {
  fill: none;
  stroke: var(--stop);
  stroke-dasharray: 3 3;
}
.ghost .piece.shot rect {
  fill: none;
  stroke: var(--stop);
  stroke-width: 1.5;
}
.ghost .piece text,
.ghost .name {
  fill: var(--stop);
}
.name {
  fill: var(--chalk);
  font-size: 12.5px;
  font-weight: 620;
  font-stretch: 84%;
}
.mins {
  fill: var(--chalk-2);
  font-size: 11px;
  font-stretch: 80%;
}
.legend {
  font-size: 11.5px;
  font-stretch: 86%;
  color: var(--chalk-2);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
}
.sw {
  display: inline-block;
  width: 11px;
  height: 11px;
  margin-left: 6px;
}
.shotsw {
  background: var(--ember);
  margin-left: 0;
}
.legsw {
  background: var(--ember-dim);
}
.homesw {
  border: 1px dashed var(--ember);
}
.groundsw {
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, var(--slab-3) 3px 6px);
}
</style>

<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import type { LocationPlan } from '@core/day';
import type { ShotWindow } from '@core/light-timeline';
import { ref } from 'vue';
import InPieces from '../../parts/InPieces.vue';
import LaneRow from './LaneRow.vue';
import { tr } from './messages';

defineProps<{
  place: LocationPlan;
  shots: readonly DerivedShot[];
  windows: ReadonlyMap<string, ShotWindow>;
  fromMs: number;
  toMs: number;
}>();
/** The row whose minute is being set: a picker for each of many shots would weigh the page down. */
const timed = ref('');
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
    <InPieces
      :key="place.location.id"
      :items="shots"
      :key-of="(s) => s.facts.shot.id"
      :size="12"
      v-slot="{ item: s }"
    >
      <LaneRow
        class="row"
        :shot="s"
        :zone="place.location.zone"
        :window="windows.get(s.facts.shot.id)"
        :from-ms="fromMs"
        :to-ms="toMs"
        :timed="timed === s.facts.shot.id"
        @time="timed = s.facts.shot.id"
      />
    </InPieces>
    <p v-if="shots.length === 0" class="quiet">{{ tr('noShotsHereYetWhat') }}</p>
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
.head {
  min-height: 24px;
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
.lanes :deep(.wish) {
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, transparent 3px 7px);
}
.lanes :deep(.good) {
  background: var(--verdigris);
  opacity: 0.55;
}
.lanes :deep(.now) {
  background: var(--pick);
  border: 1px solid var(--bench);
  min-width: 4px;
  top: 3px !important;
  bottom: 3px !important;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr 110px 122px;
  }
  .head {
    display: none;
  }
}
</style>

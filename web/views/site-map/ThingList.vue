<script setup lang="ts">
import { featureWords } from '@core/site';
import { worst } from '@core/warnings';
import { phrase, writeText } from '../../format';
import InPieces from '../../parts/InPieces.vue';
import MarkSign from '../../parts/MarkSign.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';
import type { Plan } from './usePlan';

/** Everything on the plan of a location by name: shots, subjects, what is marked. */
defineProps<{ plan: Plan }>();
defineEmits<{ pickShot: [id: string] }>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const findings = useFindings();
const m = (v: number): string => writeText(v, 'metres', derivedFilm.units);
const severity = (id: string) => worst(findings.shots.get(id) ?? []);
</script>

<template>
  <aside class="scroll" :aria-label="tr('shotsAndThings')">
    <h3>{{ tr('shots') }}</h3>
    <InPieces
      :key="plan.placeId.value"
      :items="plan.shots.value"
      :key-of="(s) => s.facts.shot.id"
      :size="16"
      v-slot="{ item: s }"
    >
      <button
        class="row"
        :class="{ on: s.facts.shot.id === selection.shotId }"
        :aria-current="s.facts.shot.id === selection.shotId"
        @click="$emit('pickShot', s.facts.shot.id)"
      >
        <b class="n">{{ s.number }}</b><span class="t" dir="auto">{{
          s.facts.shot.title || tr('untitled')
        }}</span
        ><MarkSign :severity="severity(s.facts.shot.id)" />
      </button>
    </InPieces>
    <h3>{{ tr('subjects') }}</h3>
    <button
      v-for="s in plan.subjects.value"
      :key="s.id"
      class="row"
      :class="{ on: plan.picked.value.id === s.id }"
      @click="plan.pick('subject', s.id)"
    >
      <span class="t" dir="auto">{{ s.name }}</span><span class="quiet">{{ m(s.heightM) }}</span>
    </button>
    <h3>{{ tr('onThePlan') }}</h3>
    <InPieces
      :key="`things-${plan.placeId.value}`"
      :items="plan.things.value"
      :key-of="(t) => t.id"
      :size="16"
      v-slot="{ item: t }"
    >
      <button class="row" :class="{ on: plan.picked.value.id === t.id }" @click="plan.pick('feature', t.id)">
        <span class="t" dir="auto">{{ t.name || phrase(featureWords(t.kind).name) }}</span><span
          class="quiet"
          >{{ t.name ? phrase(featureWords(t.kind).name) : '' }}</span
        >
      </button>
    </InPieces>
    <p v-if="plan.things.value.length === 0" class="quiet small">
      {{ tr('nothingIsMarkedYetDraw') }}
    </p>
  </aside>
</template>

<style scoped>
h3 {
  padding: 7px 4px 2px;
  color: var(--chalk-2);
  font-weight: 560;
}
.row {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 7px;
  align-items: center;
  width: 100%;
  min-height: 28px;
  padding: 2px 6px;
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}
.row:hover {
  background: var(--slab-2);
}
.row.on {
  background: var(--pick-dim);
}
.row .t {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  grid-column: 2;
}
.row .n {
  font-stretch: 76%;
  grid-column: 1;
  min-width: 17px;
  text-align: right;
}
.row .quiet {
  font-size: 12px;
  font-stretch: 84%;
}
.row.on .quiet {
  color: var(--chalk);
}
.small {
  font-size: 12px;
  padding: 2px 6px;
}
@media (max-width: 1099px) {
  .row {
    min-height: 44px;
  }
}
</style>

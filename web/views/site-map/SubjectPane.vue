<script setup lang="ts">
import type { Entity } from '@core/model';
import { groundAt } from '@core/site';
import { computed } from 'vue';
import { choices, SUBJECT_WORDS } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import type { Fields } from '../../sync/fields';
import { useFilm } from '../../stores/film';
import type { Plan } from './usePlan';

const props = defineProps<{ plan: Plan; subject: Entity<'subject'> }>();
const store = useFilm();
const set = (fields: Fields<'subject'>) => store.edit('subject', props.subject.id, fields, 'subject');
const groundM = computed(() => groundAt(props.plan.ground.value, props.subject.xM, props.subject.yM));
const off = computed(() => props.subject.baseM - groundM.value);
</script>

<template>
  <section class="pane" aria-label="Subject">
    <h2 dir="auto">{{ subject.name }}</h2>
    <div class="grid">
      <TextField label="Name" :value="subject.name" :save="(v) => set({ name: v })" />
      <PickField
        label="Kind"
        :value="subject.kind"
        :options="choices(SUBJECT_WORDS)"
        :save="(v) => set({ kind: v })"
      />
      <NumberField
        label="Height"
        :value="subject.heightM"
        quantity="metres"
        :save="(v) => set({ heightM: v })"
      />
      <NumberField
        label="Width"
        :value="subject.widthM"
        quantity="metres"
        :save="(v) => set({ widthM: v })"
      />
      <NumberField
        label="Depth"
        :value="subject.depthM"
        quantity="metres"
        hint="Across its long side; 0 takes what is usual for its kind."
        :save="(v) => set({ depthM: v })"
      />
      <NumberField
        label="Heading"
        :value="subject.headingDeg"
        quantity="degrees"
        :step="5"
        :save="(v) => set({ headingDeg: v })"
      />
      <NumberField
        label="Speed"
        :value="subject.speedMs"
        quantity="speed"
        :step="0.5"
        hint="0 when it stands."
        :save="(v) => set({ speedMs: v })"
      />
      <NumberField
        label="Base height"
        :value="subject.baseM"
        quantity="metres"
        hint="Above (+) or below (−) the origin."
        :save="(v) => set({ baseM: v })"
      />
      <NumberField
        label="East of the origin"
        :value="subject.xM"
        quantity="metres"
        :save="(v) => plan.move(subject.id, { xM: v, yM: subject.yM })"
      />
      <NumberField
        label="North of the origin"
        :value="subject.yM"
        quantity="metres"
        :save="(v) => plan.move(subject.id, { xM: subject.xM, yM: v })"
      />
    </div>
    <button
      v-if="Math.abs(off) > 0.6 && subject.kind !== 'train'"
      class="btn"
      @click="set({ baseM: Math.round(groundM * 10) / 10 })"
    >
      Stand it on the ground: {{ groundM.toFixed(1) }} m
    </button>
    <div v-if="subject.speedMs > 0" class="row">
      <button class="btn" @click="plan.drawWay(subject.id)">
        {{ subject.path.length > 1 ? 'Draw its way anew' : 'Draw its way' }}
      </button>
      <button v-if="subject.path.length > 1" class="btn" @click="plan.way(subject.id, [])">
        Straight on instead
      </button>
    </div>
    <p class="quiet small">Drag it on the plan. What stands on the ground stays on the ground.</p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 10px;
  align-content: start;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 10px;
  align-items: end;
}
.row {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.small {
  font-size: 12px;
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Entity } from '@core/model';
import { groundAt } from '@core/site';
import { computed } from 'vue';
import { choices, SUBJECT_WORDS, writeText } from '../../format';
import { useDerivedFilm } from '../../stores/derived-film';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import type { Fields } from '../../sync/fields';
import { useFilm } from '../../stores/film';
import type { Plan } from './usePlan';
import { tr } from './messages';

const derivedFilm = useDerivedFilm();

const props = defineProps<{ plan: Plan; subject: Entity<'subject'> }>();
const store = useFilm();
const set = (fields: Fields<'subject'>) =>
  store.edit('subject', props.subject.id, fields, tr('subjectLower'));
const groundM = computed(() => groundAt(props.plan.ground.value, props.subject.xM, props.subject.yM));
const off = computed(() => props.subject.baseM - groundM.value);
</script>

<template>
  <section class="pane" :aria-label="tr('subject')">
    <h2 dir="auto">{{ subject.name }}</h2>
    <div class="grid">
      <TextField :label="tr('name')" :value="subject.name" :save="(v) => set({ name: v })" />
      <PickField
        :label="tr('kind')"
        :value="subject.kind"
        :options="choices(SUBJECT_WORDS)"
        :save="(v) => set({ kind: v })"
      />
      <NumberField
        :label="tr('height')"
        :value="subject.heightM"
        quantity="metres"
        :save="(v) => set({ heightM: v })"
      />
      <NumberField
        :label="tr('width')"
        :value="subject.widthM"
        quantity="metres"
        :save="(v) => set({ widthM: v })"
      />
      <NumberField
        :label="tr('depth')"
        :value="subject.depthM"
        quantity="metres"
        :hint="tr('acrossItsLongSide0')"
        :save="(v) => set({ depthM: v })"
      />
      <NumberField
        :label="tr('heading')"
        :value="subject.headingDeg"
        quantity="degrees"
        :step="5"
        :save="(v) => set({ headingDeg: v })"
      />
      <NumberField
        :label="tr('speed')"
        :value="subject.speedMs"
        quantity="speed"
        :step="0.5"
        :hint="tr('figure0WhenItStands')"
        :save="(v) => set({ speedMs: v })"
      />
      <NumberField
        :label="tr('baseHeight')"
        :value="subject.baseM"
        quantity="metres"
        :hint="tr('aboveOrBelowTheOrigin')"
        :save="(v) => set({ baseM: v })"
      />
      <NumberField
        :label="tr('eastOfTheOrigin')"
        :value="subject.xM"
        quantity="metres"
        :save="(v) => plan.move(subject.id, { xM: v, yM: subject.yM })"
      />
      <NumberField
        :label="tr('northOfTheOrigin')"
        :value="subject.yM"
        quantity="metres"
        :save="(v) => plan.move(subject.id, { xM: subject.xM, yM: v })"
      />
    </div>
    <ElButton
      v-if="Math.abs(off) > 0.6 && subject.kind !== 'train'"
      class="btn"
      @click="set({ baseM: Math.round(groundM * 10) / 10 })"
    >
      {{ tr('standItOnTheGround', { groundM: writeText(groundM, 'metres', derivedFilm.units) }) }}
    </ElButton>
    <div v-if="subject.speedMs > 0" class="row">
      <ElButton class="btn" @click="plan.drawWay(subject.id)">
        {{ subject.path.length > 1 ? tr('drawItsWayAnew') : tr('drawItsWay') }}
      </ElButton>
      <ElButton v-if="subject.path.length > 1" class="btn" @click="plan.way(subject.id, [])">
        {{ tr('straightOnInstead') }}
      </ElButton>
    </div>
    <p class="quiet small">{{ tr('dragItOnThePlan') }}</p>
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

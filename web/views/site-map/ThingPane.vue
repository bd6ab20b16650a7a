<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { choices, FOOTING_WORDS, inSentence, phrase } from '../../format';
import { featureWords, lengthAlong, spotsOf } from '@core/site';
import { areaOf, bearingTo, fromLocal, toLocal, vec } from '@core/geometry';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import type { Fields } from '../../sync/fields';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import type { Fault } from '../../sync/validation';
import { readCoordinates, writeCoordinates } from '../../coordinates';
import type { Plan, Thing } from './usePlan';
import { areaText } from './area-text';
import { tr } from './messages';

const props = defineProps<{ plan: Plan; thing: Thing }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const words = computed(() => featureWords(props.thing.kind));
const set = (fields: Fields<'feature'>) =>
  store.edit('feature', props.thing.id, fields, inSentence(phrase(words.value.name)));
const footings = computed(() => choices(FOOTING_WORDS));
const first = computed(() => props.thing.points[0] ?? { xM: 0, yM: 0 });
const coordinates = computed(() => {
  const p = props.plan.place.value;
  if (!p) return '';
  // What is drawn stands to a few decimetres.
  return writeCoordinates(fromLocal(p.latitude, p.longitude, first.value.xM, first.value.yM), 0.2);
});
const moveTo = (x: number, y: number) => {
  const [dx, dy] = [x - first.value.xM, y - first.value.yM];
  return set({ points: props.thing.points.map((p) => ({ xM: p.xM + dx, yM: p.yM + dy })) });
};
const setCoordinates = (text: string): readonly Fault[] => {
  const p = props.plan.place.value;
  if (!p || text === coordinates.value) return [];
  const read = readCoordinates(text);
  if (!read.ok) return [{ path: '', say: read.reason }];
  const at = toLocal(p.latitude, p.longitude, read.value.latitude, read.value.longitude);
  return moveTo(at.xM, at.yM);
};
const away = computed(() => ({
  m: Math.hypot(first.value.xM, first.value.yM),
  deg: bearingTo(vec(0, 0, 0), vec(first.value.xM, first.value.yM, 0)),
}));
const lengthM = computed(() => lengthAlong(spotsOf(props.thing)));
const area = computed(() => areaOf(spotsOf(props.thing)));
const isMain = computed(() => props.plan.place.value?.launchId === props.thing.id);
const makeMain = (): void => {
  const p = props.plan.place.value;
  if (p)
    store.edit('location', p.id, { launchId: isMain.value ? null : props.thing.id }, tr('launchPointLower'));
};
</script>

<template>
  <section class="pane" :aria-label="phrase(words.name)">
    <header>
      <h2>{{ phrase(words.name) }}</h2>
      <ElButton class="btn" :title="tr('deleteDel')" @click="plan.remove()">{{ tr('delete') }}</ElButton>
    </header>
    <p class="quiet">{{ phrase(words.says) }}</p>
    <div class="grid">
      <TextField class="wide" :label="tr('name')" :value="thing.name" :save="(v) => set({ name: v })" />
      <NumberField
        v-if="words.stands"
        :label="tr('heightAboveItsGround')"
        :value="thing.heightM"
        quantity="metres"
        :save="(v) => set({ heightM: v })"
      />
      <NumberField
        v-if="thing.shape !== 'area' && (words.radiusM > 0 || thing.radiusM > 0)"
        :label="thing.shape === 'line' ? tr('halfItsWidth') : tr('radius')"
        :value="thing.radiusM"
        quantity="metres"
        :step="0.5"
        :save="(v) => set({ radiusM: v })"
      />
      <NumberField
        v-if="words.keepM > 0"
        :label="tr('distanceToKeep')"
        :value="thing.keepM"
        quantity="metres"
        :step="5"
        :hint="tr('checkTheLocalRule')"
        :save="(v) => set({ keepM: v })"
      />
    </div>
    <div v-if="words.group === 'zone' && thing.kind !== 'water'" class="grid">
      <TextField
        class="wide"
        :label="tr('knownFrom')"
        :value="thing.source"
        :placeholder="tr('chartNoticeCall')"
        :save="(v) => set({ source: v })"
      />
      <DateField :label="tr('validUntil')" :value="thing.until" :save="(v) => set({ until: v })" clearable />
      <SwitchField
        v-if="thing.kind === 'permission'"
        :label="tr('permissionGiven')"
        :value="thing.granted"
        :save="
          (v: boolean) => {
            set({ granted: v });
          }
        "
      />
    </div>
    <div v-if="thing.kind === 'launch'" class="grid">
      <PickField
        :label="tr('standsOn')"
        :value="thing.footing"
        :options="footings"
        :save="(v) => set({ footing: v })"
      />
      <NumberField
        v-if="thing.footing !== 'ground'"
        :label="tr('speedUnderWay')"
        :value="thing.movesMs"
        quantity="speed"
        :step="0.5"
        :hint="tr('zeroLiesStill')"
        :save="(v) => set({ movesMs: v })"
      />
      <NumberField
        v-if="thing.footing !== 'ground' && thing.movesMs > 0"
        :label="tr('course')"
        :value="thing.movesDeg"
        quantity="degrees"
        :step="5"
        :hint="tr('whereItMovesTo')"
        :save="(v) => set({ movesDeg: v })"
      />
    </div>
    <ElButton v-if="thing.kind === 'launch'" class="btn" :class="{ lead: !isMain }" @click="makeMain">
      {{ isMain ? tr('launchFromTheOriginInstead') : tr('launchFromHere') }}
    </ElButton>
    <div class="grid">
      <TextField
        class="wide"
        :label="thing.shape === 'point' ? tr('coordinates') : tr('coordinatesOfItsFirstCorner')"
        :value="coordinates"
        :save="setCoordinates"
      />
      <NumberField
        :label="tr('eastOfTheOrigin')"
        :value="first.xM"
        quantity="metres"
        :step="1"
        :save="(v) => moveTo(v, first.yM)"
      />
      <NumberField
        :label="tr('northOfTheOrigin')"
        :value="first.yM"
        quantity="metres"
        :step="1"
        :save="(v) => moveTo(first.xM, v)"
      />
    </div>
    <p class="sizes">
      <span
        ><span class="label">{{ tr('awayLower') }}</span> <Fig :value="away.m" quantity="metres" />
        <span class="label">{{ tr('at') }}</span> <Fig :value="away.deg" quantity="degrees"
      /></span>
      <span v-if="thing.shape === 'line'"
        ><span class="label">{{ tr('long') }}</span> <Fig :value="lengthM" quantity="metres"
      /></span>
      <span v-if="thing.shape === 'area'"
        ><span class="label">{{ tr('covers') }}</span> {{ areaText(area, derivedFilm.units) }}</span
      >
    </p>
    <TextField :label="tr('notes')" :value="thing.notes" :lines="2" :save="(v) => set({ notes: v })" />
    <p v-if="thing.shape !== 'point'" class="quiet small">
      {{ tr('dragACornerToMove') }}
    </p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 10px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 10px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.small {
  font-size: 12px;
}
</style>

<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import type { Entity } from '@core/model';
import NumberField from '../../../parts/NumberField.vue';
import type { Fault } from '../../../sync/validation';
import { tr } from './messages';

type Point = Entity<'shot'>['move']['points'][number];
const props = defineProps<{
  points: readonly Point[];
  from: { x: number; y: number; z: number };
  save: (points: Point[]) => readonly Fault[];
}>();
const set = (i: number, fields: Partial<Point>) =>
  props.save(props.points.map((p, n) => (n === i ? { ...p, ...fields } : p)));
const NEAR_M = 25;
/** Goes on from the last leg, or begins beside the subject. */
const add = (): void => {
  const last = props.points.at(-1);
  const before = props.points.at(-2);
  const next: Point =
    last && before
      ? { xM: 2 * last.xM - before.xM, yM: 2 * last.yM - before.yM, zM: last.zM, speedMs: last.speedMs }
      : last
        ? { ...last, xM: last.xM + NEAR_M }
        : {
            xM: Math.round(props.from.x - NEAR_M),
            yM: Math.round(props.from.y - NEAR_M),
            zM: Math.max(4, Math.round(props.from.z + 6)),
            speedMs: 3,
          };
  props.save([...props.points, next]);
};
const swap = (i: number): void => {
  const list = [...props.points];
  const [a, b] = [list[i - 1], list[i]];
  if (a && b) {
    list[i - 1] = b;
    list[i] = a;
    props.save(list);
  }
};
</script>

<template>
  <section class="points" :aria-label="tr('pointsOfTheRoute')">
    <p v-if="points.length < 2" class="quiet">
      {{ tr('aRouteGoesThroughPoints') }}
    </p>
    <div
      v-for="(p, i) in points"
      :key="i"
      class="row"
      role="group"
      :aria-label="tr('pointValue', { value: i + 1 })"
    >
      <b>{{ i + 1 }}</b>
      <NumberField
        help="shot.xM"
        :label="tr('east')"
        :value="p.xM"
        quantity="metres"
        :step="5"
        :save="(v) => set(i, { xM: v })"
      />
      <NumberField
        help="shot.yM"
        :label="tr('north')"
        :value="p.yM"
        quantity="metres"
        :step="5"
        :save="(v) => set(i, { yM: v })"
      />
      <NumberField
        help="shot.zM"
        :label="tr('height')"
        :value="p.zM"
        quantity="metres"
        :save="(v) => set(i, { zM: v })"
      />
      <NumberField
        help="shot.speedMs"
        :label="tr('speedThere')"
        :value="p.speedMs"
        quantity="speed"
        :step="0.5"
        :save="(v) => set(i, { speedMs: v })"
      />
      <ElButton
        class="btn"
        :disabled="i === 0"
        :aria-label="tr('pointValueEarlier', { value: i + 1 })"
        @click="swap(i)"
      >
        {{ tr('earlier') }}
      </ElButton>
      <ElButton
        class="btn"
        :aria-label="tr('takePointValueOut', { value: i + 1 })"
        @click="save(points.filter((_, n) => n !== i))"
      >
        {{ tr('out') }}
      </ElButton>
    </div>
    <ElButton class="btn" :class="{ lead: points.length < 2 }" :disabled="points.length >= 100" @click="add">
      {{ tr('addAPoint') }}
    </ElButton>
  </section>
</template>

<style scoped>
.points {
  display: grid;
  gap: 4px;
  justify-items: start;
  margin: 4px 0;
}
.row {
  display: grid;
  grid-template-columns: 22px repeat(4, minmax(0, 1fr)) auto auto;
  gap: 8px;
  align-items: end;
  width: 100%;
}
.row b {
  padding-bottom: 6px;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 22px repeat(2, minmax(0, 1fr));
  }
}
</style>

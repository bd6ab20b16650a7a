<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { computed, onBeforeUnmount, useTemplateRef, watch } from 'vue';
import { useSelection } from '../../stores/selection';
import FlightRow from './FlightRow.vue';
import type { RailRow } from './rail';
import type { Day } from './useDay';
import type { FlightActs } from './useFlightActs';
import { draggedShot, useTryOut } from './useTryOut';
import { tr } from './messages';

/** Flights of a day by place, the packs left over, and what is in no flight: shots are dragged between all of them. */
const props = defineProps<{ day: Day; acts: FlightActs }>();
const selection = useSelection();
const spareBox = useTemplateRef<HTMLElement[]>('spareBox');
const listBox = useTemplateRef<HTMLElement>('listBox');
const { spares, scale } = props.day;
const otherScale = (): void => {
  scale.value = scale.value === 'energy' ? 'minutes' : 'energy';
};
const byPlace = computed(() =>
  props.day.places.value.map((place) => ({
    place,
    rows: props.day.rows.value.filter((r) => r.locationId === place.location.id),
  })),
);

const { tried, over, would, clear, put } = useTryOut(props.acts);
const wouldOf = (row: RailRow) => {
  const w = would(row.flight, row.key);
  return (
    w && {
      landsWith: w.landsWith,
      overWh: w.overWh,
      used: w.ratedWh > 0 ? (w.usedWh / w.ratedWh) * row.rated : 0,
    }
  );
};

let stop = (): void => undefined;
const hang = (): void => {
  stop();
  const packs = (spareBox.value ?? []).map((element) =>
    dropTargetForElements({
      element,
      canDrop: ({ source }) =>
        draggedShot(source.data) !== '' &&
        (spares.value
          .find((p) => p.id === element.dataset['spare'])
          ?.aircraftIds.includes(String(source.data['craft'])) ??
          false),
      onDragEnter: ({ source }) =>
        over(
          draggedShot(source.data),
          { to: 'pack', packId: element.dataset['spare'] ?? '' },
          element.dataset['spare'] ?? '',
        ),
      onDragLeave: clear,
      onDrop: ({ source }) =>
        put(draggedShot(source.data), { to: 'pack', packId: element.dataset['spare'] ?? '' }),
    }),
  );
  const list = listBox.value
    ? [
        dropTargetForElements({
          element: listBox.value,
          canDrop: ({ source }) => draggedShot(source.data) !== '',
          onDragEnter: ({ source }) => over(draggedShot(source.data), { to: 'list' }, ''),
          onDragLeave: clear,
          onDrop: ({ source }) => put(draggedShot(source.data), { to: 'list' }),
        }),
      ]
    : [];
  stop = combine(...packs, ...list);
};
watch([spareBox, listBox, () => spares.value.map((p) => p.id).join()], hang, {
  flush: 'post',
  immediate: true,
});
onBeforeUnmount(() => stop());
</script>

<template>
  <section class="railpane" :aria-label="tr('flightsOfTheDay')">
    <template v-for="{ place, rows } in byPlace" :key="place.location.id">
      <h2 dir="auto">
        {{ place.location.name }}
        <span class="quiet">{{
          tr('windowStartToWindowEnd', {
            windowStart: place.location.windowStart,
            windowEnd: place.location.windowEnd,
          })
        }}</span>
      </h2>
      <ul v-if="rows.length > 0">
        <FlightRow
          v-for="r in rows"
          :key="r.key"
          :row="r"
          :chosen="day.row.value?.key === r.key"
          :would="wouldOf(r)"
          :mark="day.row.value?.key === r.key ? day.mark.value : null"
          @choose="(id) => day.choose(r.key, id)"
          @over="(id, at) => over(id, { to: 'flight', index: r.index, at }, r.key)"
          @leave="clear"
          @put="(id, at) => put(id, { to: 'flight', index: r.index, at })"
          @lock="acts.lock(r)"
        />
      </ul>
      <p v-else class="quiet">
        {{ tr('noFlightHere') }}
        <template v-if="place.fill.unfit.length > 0">{{ tr('itsShotsFindNoPack') }}</template><template
          v-else
          >{{ tr('addShotsOnTheShots') }}</template
        >
      </p>
    </template>
    <div class="drops">
      <p v-if="spares.length > 0" class="spares">
        <span class="label">{{ tr('notFlown') }}</span>
        <span v-for="p in spares" :key="p.id" ref="spareBox" class="spare" :data-spare="p.id"
          >{{ p.name }} <span class="unit">{{ Math.round(p.charge * 100) }} %</span></span
        >
      </p>
      <p ref="listBox" class="list" :title="tr('dropAShotHereTo')">
        {{ tr('backToTheList') }}
      </p>
    </div>
    <p v-if="tried && !tried.places" class="fault">
      {{ tr('itCannotGoThereAnother') }}
    </p>
    <p class="legend">
      <span class="sw take" /> {{ tr('takesLower') }} <span class="sw setup" /> {{ tr('setUp') }}
      <span class="sw leg" /> {{ tr('takeOffLegs') }} <span class="sw home" /> {{ tr('wayHome') }}
      <span class="sw ground" /> {{ tr('reserveAndWhatIsNever') }}
      <template v-if="selection.shotId"
        >· <kbd>{{ tr('alt') }}</kbd> {{ tr('andArrowsMoveTheShot') }}</template
      >
      <ElButton
        class="btn bare no-print"
        :title="scale === 'energy' ? tr('lengthsAreEnergyShowMinutes') : tr('lengthsAreMinutesShowEnergy')"
        @click="otherScale"
      >
        {{ scale === 'energy' ? tr('lengthsInEnergy') : tr('lengthsInMinutes') }}
      </ElButton>
    </p>
  </section>
</template>

<style scoped>
.railpane {
  min-width: 0;
  display: grid;
  gap: 3px;
  align-content: start;
}
h2 {
  font-size: 15px;
  font-stretch: 104%;
  margin-top: 6px;
}
.drops {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
.spares {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-items: baseline;
}
.spare {
  border: 1px dashed var(--chalk-3);
  padding: 2px 8px;
  font-weight: 620;
  font-stretch: 90%;
}
.list {
  border: 1px dashed var(--line);
  padding: 2px 10px;
  color: var(--chalk-2);
  font-stretch: 88%;
}
.legend {
  font-size: 12px;
  font-stretch: 86%;
  color: var(--chalk-2);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
}
.sw {
  display: inline-block;
  width: 12px;
  height: 11px;
  margin-left: 6px;
}
.sw.take {
  background: var(--ember);
  margin-left: 0;
}
.sw.setup {
  background: var(--ember-2);
}
.sw.leg {
  background: var(--ember-dim);
}
.sw.home {
  border: 1px dashed var(--ember);
}
.sw.ground {
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, var(--slab-3) 3px 6px);
}
@media (max-width: 1099px) {
  .list,
  .legend kbd {
    display: none;
  }
}
/* Grids are cut across pages badly: on paper what stands below each other simply follows. */
@media print {
  .railpane {
    display: block;
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, useTemplateRef, watch } from 'vue';
import type { DerivedShot } from '@core/film';
import type { LocationPlan } from '@core/day';
import type { GroundShot } from '@core/model';
import { groupBy } from '@core/units';
import { dateText } from '../../format';
import { useGroundShots } from '../../composables/useGroundShots';
import { useShotCommands } from '../../composables/useShotCommands';
import { useDeferred } from '../../composables/deferred';
import { useFilm } from '../../stores/film';
import { useListFilters } from '../../stores/list-filters';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { ElInput } from '../../parts/element';
import { BulkBar, CoverageSheet, GroundRow, GroundShotSheet, ListTools, VarietySheet } from './later';
import LocationRow from './LocationRow.vue';
import ShotRow from './ShotRow.vue';
import { tr } from './messages';

type Row =
  | { key: string; place: LocationPlan }
  | { key: string; shot: DerivedShot }
  | { key: string; ground: GroundShot };

const emit = defineEmits<{ picked: [] }>();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const film = useFilm();
const acts = useShotCommands();
const ground = useGroundShots();
const listing = useListFilters();
const scroller = useTemplateRef<HTMLElement>('scroller');

const rowsNow = computed<Row[]>(() => {
  const derived = derivedFilm.derived;
  if (!derived) return [];
  const listed = groupBy(listing.shown, (s) => s.facts.location.id);
  return [...derived.places.values()].flatMap((place) => [
    { key: place.location.id, place },
    ...(listed.get(place.location.id) ?? []).map((shot) => ({ key: shot.facts.shot.id, shot })),
    ...ground
      .of(place.location.id)
      .filter(listing.matchesGround)
      .map((g) => ({ key: g.id, ground: g })),
  ]);
});
const rows = useDeferred(() => rowsNow.value);
const pick = (event: MouseEvent, id: string): void => {
  if (event.ctrlKey || event.metaKey) {
    if (listing.chosen.size === 0 && selection.shotId && selection.shotId !== id)
      listing.toggle(selection.shotId);
    listing.toggle(id);
    return;
  }
  if (event.shiftKey) {
    listing.reachTo(id, selection.shotId);
    return;
  }
  listing.clear();
  selection.pick(id);
  emit('picked');
};

const count = computed(() => rows.value.length);
/** Hangs on how many rows there are and which is what, not on their figures: those change with every step of a slider. */
const virtual = useVirtualizer(
  computed(() => ({
    count: count.value,
    getScrollElement: () => scroller.value,
    estimateSize: (i: number) => (rows.value[i] && 'shot' in rows.value[i] ? 64 : 44),
    overscan: 6,
    getItemKey: (i: number) => rows.value[i]?.key ?? i,
  })),
);
const shown = computed(() =>
  virtual.value.getVirtualItems().map((item) => ({ item, row: rows.value[item.index] })),
);

watch(
  () => selection.shotId,
  async (id) => {
    await nextTick();
    const index = rows.value.findIndex((r) => r.key === id);
    if (index >= 0) virtual.value.scrollToIndex(index, { align: 'auto' });
  },
);
watch(
  () => rows.value.length,
  () => virtual.value.measure(),
);
const add = (): void => {
  const id = selection.place?.location.id;
  if (id) acts.addShot(id);
};
</script>

<template>
  <section class="list" :aria-label="tr('shotList')">
    <header>
      <h1 class="sr">{{ film.film?.name }}</h1>
      <h2>{{ tr('shotsUpper') }}</h2>
      <ElInput
        v-model="listing.wanted"
        class="find"
        :placeholder="tr('find')"
        :aria-label="tr('findShots')"
        clearable
      />
      <ElButton
        class="btn"
        :class="{ on: listing.activeFilters.length > 0 }"
        :aria-expanded="listing.toolsShown"
        :title="tr('whichShotsAndWhatEach')"
        @click="listing.toolsShown = !listing.toolsShown"
      >
        {{ tr('show') }}
      </ElButton>
      <ElButton class="btn lead" :title="tr('newShotN')" :disabled="!selection.place" @click="add">
        {{ tr('new') }}
      </ElButton>
    </header>
    <nav class="asks" :aria-label="tr('helpWithTheList')">
      <button
        :aria-expanded="selection.varietyShown"
        :title="tr('whatTheListOfThis')"
        :disabled="!selection.place"
        @click="selection.varietyShown = !selection.varietyShown"
      >
        {{ tr('variety') }}
      </button>
      <button
        :aria-expanded="selection.coverageShown"
        :title="tr('aSetOfShotsFor')"
        :disabled="!selection.place"
        @click="selection.coverageShown = !selection.coverageShown"
      >
        {{ tr('coverage') }}
      </button>
      <button
        :title="tr('whatTheCutNeedsFrom')"
        :disabled="!selection.place"
        @click="selection.place && ground.add(selection.place.location.id)"
      >
        {{ tr('addGroundShot') }}
      </button>
    </nav>
    <ListTools v-if="listing.toolsShown" />
    <CoverageSheet
      v-if="selection.coverageShown && selection.place"
      :place-id="selection.place.location.id"
    />
    <VarietySheet
      v-if="selection.varietyShown && selection.place && derivedFilm.derived"
      :derived="derivedFilm.derived"
      :place="selection.place"
    />
    <div ref="scroller" class="scroll body" tabindex="-1">
      <div v-if="rows.length > 0" class="space" :style="{ height: `${virtual.getTotalSize()}px` }">
        <div
          v-for="{ item, row } in shown"
          :key="String(item.key)"
          class="at"
          :style="{ transform: `translateY(${item.start}px)` }"
        >
          <template v-if="row">
            <LocationRow
              v-if="'place' in row"
              :place="row.place"
              :date="dateText(row.place.location.date)"
              @drop="(id) => acts.placeAtEnd(id, row.key)"
              @pick="selection.pickPlace(row.key)"
            />
            <GroundRow
              v-else-if="'ground' in row"
              :shot="row.ground"
              @pick="selection.groundShotId = row.key"
            />
            <ShotRow
              v-else
              :shot="row.shot"
              :picked="row.key === selection.shotId"
              :chosen="listing.chosen.has(row.key)"
              :columns="listing.columns"
              @pick="(event) => pick(event, row.key)"
              @drop="(id, edge) => acts.placeShot(id, row.key, edge)"
            />
          </template>
        </div>
      </div>
      <p v-if="rows.length === 0" class="empty">
        {{ tr('aShotListBelongsTo') }}
        <RouterLink :to="{ name: 'locations' }">{{ tr('addTheFirstLocation') }}</RouterLink>{{
          tr('whereWhenAndWhatStands')
        }}
      </p>
      <p v-else-if="listing.shown.length === 0 && (derivedFilm.derived?.order.length ?? 0) > 0" class="empty">
        {{ tr('nothingOnTheListIs') }}
        <ElButton
          class="btn"
          @click="
            listing.wanted = '';
            listing.activeFilters = [];
          "
        >
          {{ tr('showAll') }}
        </ElButton>
      </p>
      <p v-else-if="derivedFilm.derived?.order.length === 0" class="empty">
        {{ tr('noShotsYet') }} <ElButton class="btn lead" @click="add">{{ tr('addTheFirstOne') }}</ElButton>
      </p>
    </div>
    <GroundShotSheet v-if="selection.groundShotId" />
    <BulkBar v-if="listing.picked.length > 1" />
  </section>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  min-height: 0;
  height: 100%;
}
header {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 7px 8px 7px 12px;
}
.find {
  flex: 1;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.asks {
  display: flex;
  gap: 14px;
  padding: 0 12px 5px;
}
.asks button {
  border: 0;
  background: none;
  padding: 0;
  font-size: 12.5px;
  font-stretch: 88%;
  color: var(--chalk-2);
  cursor: pointer;
  min-height: 22px;
}
.asks button[aria-expanded='true'] {
  color: var(--chalk);
  font-weight: 620;
}
.asks button:hover {
  color: var(--chalk);
}
@media (max-width: 1099px) {
  .asks button {
    min-height: 40px;
  }
}
.body {
  flex: 1;
  min-height: 0;
  padding: 0 4px 0 8px;
}
.space {
  position: relative;
}
.at {
  position: absolute;
  top: 0;
  left: 0;
  right: 0;
}
.empty {
  padding: 18px 10px;
  color: var(--chalk-2);
}
</style>

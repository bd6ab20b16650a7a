<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import type { DerivedShot, PlaceFacts } from '@core/film';
import { groupBy } from '@core/units';
import { dateText } from '../../format';
import { useActs } from '../../stores/acts';
import { useLooking } from '../../stores/looking';
import { useReckoning } from '../../stores/reckoning';
import { ElInput } from '../../parts/element';
import PlaceRow from './PlaceRow.vue';
import SlateRow from './SlateRow.vue';
import VarietySheet from './VarietySheet.vue';

type Row = { key: string; place: PlaceFacts } | { key: string; shot: DerivedShot };

const emit = defineEmits<{ picked: [] }>();
const reckoning = useReckoning();
const looking = useLooking();
const acts = useActs();
const wanted = ref('');
const reading = computed(() => looking.varietyShown);
const scroller = useTemplateRef<HTMLElement>('scroller');

const matches = ({ facts }: DerivedShot): boolean => {
  const words = wanted.value.trim().toLowerCase();
  return words === '' || [facts.shot.title, facts.move?.name, facts.shot.role, facts.shot.priority, facts.subject?.name, facts.shot.notes].some((t) => t?.toLowerCase().includes(words));
};
const rows = computed<Row[]>(() => {
  const derived = reckoning.derived;
  if (!derived) return [];
  const listed = groupBy([...derived.shots.values()].filter(matches), (s) => s.facts.location.id);
  return [...derived.places.values()].flatMap((place) => [
    { key: place.location.id, place }, ...(listed.get(place.location.id) ?? []).map((shot) => ({ key: shot.facts.shot.id, shot })),
  ]);
});

const virtual = useVirtualizer(computed(() => ({
  count: rows.value.length, getScrollElement: () => scroller.value, estimateSize: (i: number) => (rows.value[i] && 'place' in rows.value[i] ? 44 : 64), overscan: 6,
  getItemKey: (i: number) => rows.value[i]?.key ?? i,
})));
const shown = computed(() => virtual.value.getVirtualItems().map((item) => ({ item, row: rows.value[item.index] })));

watch(() => looking.shotId, async (id) => {
  await nextTick();
  const index = rows.value.findIndex((r) => r.key === id);
  if (index >= 0) virtual.value.scrollToIndex(index, { align: 'auto' });
});
watch(() => rows.value.length, () => virtual.value.measure());
const add = (): void => { const id = looking.place?.location.id; if (id) acts.addShot(id); };
</script>

<template>
  <section class="list" aria-label="Shot list">
    <header>
      <h2>Slates</h2>
      <ElInput v-model="wanted" class="find" placeholder="find" aria-label="Find slates" clearable />
      <button class="btn" :aria-expanded="reading" title="What the list of this place has and lacks (V)" :disabled="!looking.place" @click="looking.varietyShown = !looking.varietyShown">Read</button>
      <button class="btn lead" title="New slate (N)" :disabled="!looking.place" @click="add">New</button>
    </header>
    <VarietySheet v-if="reading && looking.place && reckoning.derived" :derived="reckoning.derived" :place="looking.place" />
    <div ref="scroller" class="scroll body" tabindex="-1">
      <div v-if="rows.length > 0" class="space" :style="{ height: `${virtual.getTotalSize()}px` }">
        <div v-for="{ item, row } in shown" :key="String(item.key)" class="at" :style="{ transform: `translateY(${item.start}px)` }">
          <template v-if="row">
            <PlaceRow v-if="'place' in row" :place="row.place" :date="dateText(row.place.location.date)" @drop="(id) => acts.placeAtEnd(id, row.key)" @pick="looking.pickPlace(row.key)" />
            <SlateRow v-else :shot="row.shot" :picked="row.key === looking.shotId" @pick="looking.pick(row.key); emit('picked')" @drop="(id, edge) => acts.placeShot(id, row.key, edge)" />
          </template>
        </div>
      </div>
      <p v-if="rows.length === 0" class="empty">A shot list belongs to a place. <RouterLink :to="{ name: 'places' }">Add the first location</RouterLink>: where, when, and what stands there.</p>
      <p v-else-if="reckoning.derived?.order.length === 0" class="empty">No slates yet. <button class="btn lead" @click="add">Add the first one</button></p>
    </div>
  </section>
</template>

<style scoped>
.list { display: flex; flex-direction: column; min-height: 0; height: 100%; }
header { display: flex; gap: 8px; align-items: center; padding: 7px 8px 7px 12px; }
.find { flex: 1; }
.body { flex: 1; min-height: 0; padding: 0 4px 0 8px; }
.space { position: relative; }
.at { position: absolute; top: 0; left: 0; right: 0; }
.empty { padding: 18px 10px; color: var(--chalk-2); }
</style>

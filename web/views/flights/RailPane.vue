<script setup lang="ts">
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import type { DerivedFilm, Goal, TimedFlight } from '@core/film';
import { computed, onBeforeUnmount, shallowRef, useTemplateRef, watch } from 'vue';
import { useFlightEdits } from '../../stores/flightEdits';
import { useLooking } from '../../stores/looking';
import { useReckoning } from '../../stores/reckoning';
import FlightRow from './FlightRow.vue';
import type { RailRow } from './rail';
import type { Day } from './useDay';
import type { FlightActs } from './useFlightActs';

/** Flights of a day by place, the packs left over, and what is in no flight: slates are dragged between all of them. */
const props = defineProps<{ day: Day; acts: FlightActs }>();
const edits = useFlightEdits();
const looking = useLooking();
const reckoning = useReckoning();
const spareBox = useTemplateRef<HTMLElement[]>('spareBox');
const listBox = useTemplateRef<HTMLElement>('listBox');
const spares = computed(() => {
  const used = new Set(props.day.rows.value.map((r) => r.flight.packId));
  return reckoning.along.packs.filter((p) => !used.has(p.id) && p.condition !== 'swollen' && p.condition !== 'damaged');
});
const byPlace = computed(() => props.day.places.value.map((place) => ({ place, rows: props.day.rows.value.filter((r) => r.locationId === place.location.id) })));

/** The day as it would be with what is dragged let go here; tried once for each gap that is passed. */
const tried = shallowRef<{ key: string; derived: DerivedFilm | null; shotId: string; put: string } | null>(null);
let ids = 0;
const tryOut = (shotId: string, goal: Goal, put: string): void => {
  const key = `${shotId}|${JSON.stringify(goal)}`;
  if (tried.value?.key === key) return;
  const changes = props.acts.wouldMove(shotId, goal, () => `try-${ids += 1}`);
  tried.value = { key, derived: changes && edits.tried(changes), shotId, put };
};
const wouldOf = (row: RailRow): { landsWith: number; overWh: number; used: number } | null => {
  const t = tried.value;
  if (!t?.derived) return null;
  const mine = row.flight.stops.map((s) => s.shotId).filter((id) => id !== t.shotId);
  if (t.put !== row.key && !row.flight.stops.some((s) => s.shotId === t.shotId)) return null;
  const now: TimedFlight | undefined = t.derived.places.get(row.locationId)?.flights.find((f) => f.stops.some((s) => mine.includes(s.shotId)) || (mine.length === 0 && f.packId === row.flight.packId));
  if (!now) return null;
  const rated = reckoning.along.packs.find((p) => p.id === now.packId)?.ratedWh ?? now.supply.fullWh;
  const whole = (row.rated > 0 ? rated / row.rated : 1);
  return { landsWith: rated > 0 ? ((now.supply.availableWh - now.usedWh) / rated) * 100 : NaN, overWh: now.overWh, used: now.usedWh / whole };
};
const shotOf = (data: Record<string | symbol, unknown>): string => (typeof data['flightShot'] === 'string' ? data['flightShot'] : '');
const clear = (): void => { tried.value = null; };
const put = (shotId: string, goal: Goal): void => { clear(); props.acts.move(shotId, goal); };

let stop = (): void => undefined;
const hang = (): void => {
  stop();
  const packs = (spareBox.value ?? []).map((element) => dropTargetForElements({
    element,
    canDrop: ({ source }) => shotOf(source.data) !== '' && (spares.value.find((p) => p.id === element.dataset['spare'])?.aircraftIds.includes(String(source.data['craft'])) ?? false),
    onDragEnter: ({ source }) => tryOut(shotOf(source.data), { to: 'pack', packId: element.dataset['spare'] ?? '' }, element.dataset['spare'] ?? ''), onDragLeave: clear,
    onDrop: ({ source }) => put(shotOf(source.data), { to: 'pack', packId: element.dataset['spare'] ?? '' }),
  }));
  const list = listBox.value ? [dropTargetForElements({ element: listBox.value, canDrop: ({ source }) => shotOf(source.data) !== '', onDragEnter: ({ source }) => tryOut(shotOf(source.data), { to: 'list' }, ''), onDragLeave: clear, onDrop: ({ source }) => put(shotOf(source.data), { to: 'list' }) })] : [];
  stop = combine(...packs, ...list);
};
watch([spareBox, listBox, () => spares.value.map((p) => p.id).join()], hang, { flush: 'post', immediate: true });
onBeforeUnmount(() => stop());
</script>

<template>
  <section class="railpane" aria-label="Flights of the day">
    <template v-for="{ place, rows } in byPlace" :key="place.location.id">
      <h2 dir="auto">{{ place.location.name }} <span class="quiet">{{ place.location.windowStart }} to {{ place.location.windowEnd }}</span></h2>
      <ul v-if="rows.length > 0">
        <FlightRow
          v-for="r in rows" :key="r.key" :row="r" :chosen="day.row.value?.key === r.key" :would="wouldOf(r)" :mark="day.row.value?.key === r.key ? day.mark.value : null"
          @choose="(id) => day.choose(r.key, id)" @over="(id, at) => tryOut(id, { to: 'flight', index: r.index, at }, r.key)" @leave="clear" @put="(id, at) => put(id, { to: 'flight', index: r.index, at })" @lock="acts.lock(r)"
        />
      </ul>
      <p v-else class="quiet">No flight here. <template v-if="place.fill.unfit.length > 0">Its slates find no pack; see below what would help.</template><template v-else>Add slates on the bench.</template></p>
    </template>
    <div class="drops">
      <p v-if="spares.length > 0" class="spares"><span class="label">not flown</span> <span v-for="p in spares" :key="p.id" ref="spareBox" class="spare" :data-spare="p.id">{{ p.name }} <span class="unit">{{ Math.round(p.charge * 100) }} %</span></span></p>
      <p ref="listBox" class="list" title="Drop a slate here to let it fall onto a pack in list order again">back to the list</p>
    </div>
    <p v-if="tried && !tried.derived" class="fault">It cannot go there: another aircraft, or a locked flight.</p>
    <p class="legend"><span class="sw take" /> takes <span class="sw setup" /> set-up <span class="sw leg" /> take-off, legs <span class="sw home" /> way home <span class="sw ground" /> reserve and what is never planned; the sky above each piece <template v-if="looking.shotId">· <kbd>Alt</kbd> and arrows move the slate in hand</template></p>
  </section>
</template>

<style scoped>
.railpane { min-width: 0; display: grid; gap: 3px; align-content: start; }
h2 { font-size: 15px; font-stretch: 104%; margin-top: 6px; }
.drops { display: flex; flex-wrap: wrap; gap: 6px 14px; align-items: center; border-top: 1px solid var(--line); padding-top: 6px; }
.spares { display: flex; flex-wrap: wrap; gap: 4px 6px; align-items: baseline; }
.spare { border: 1px dashed var(--chalk-3); padding: 2px 8px; font-weight: 620; font-stretch: 90%; }
.list { border: 1px dashed var(--line); padding: 2px 10px; color: var(--chalk-2); font-stretch: 88%; }
.legend { font-size: 12px; font-stretch: 86%; color: var(--chalk-2); display: flex; flex-wrap: wrap; align-items: center; gap: 4px; }
.sw { display: inline-block; width: 12px; height: 11px; margin-left: 6px; }
.sw.take { background: var(--ember); margin-left: 0; }
.sw.setup { background: var(--ember-2); }
.sw.leg { background: var(--ember-dim); }
.sw.home { border: 1px dashed var(--ember); }
.sw.ground { background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, var(--slab-3) 3px 6px); }
@media (max-width: 1099px) { .list, .legend kbd { display: none; } }
</style>

<script setup lang="ts">
import type { DerivedShot, Shot } from '@core/film';
import { initialValues, MOVES, moveOf, type MoveParameter } from '@core/moves';
import { computed } from 'vue';
import { choices, ROLE_WORDS, PRIORITY_WORDS, WISH_WORDS } from '../../format';
import PickField from '../../parts/PickField.vue';
import SliderField from '../../parts/SliderField.vue';
import { useFilm } from '../../stores/film';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const stored = computed(() => props.shot.facts.shot);
const kind = computed(() => stored.value.move.kind);
const move = computed(() => moveOf(kind.value));
const place = computed(() => stored.value.locationId);
const kinds = MOVES.map((m) => ({ value: m.kind, label: m.name }));
const subjects = computed(() => [
  { value: null, label: 'none: ahead of the launch point' },
  ...film.list('subject').filter((s) => s.locationId === place.value).map((s) => ({ value: s.id as string | null, label: s.name })),
]);
const sliders = computed(() => move.value?.parameters.filter((p) => !p.choice) ?? []);
const toggles = computed(() => move.value?.parameters.filter((p) => p.choice) ?? []);
const valueOf = (p: MoveParameter): number => stored.value.move.values[p.id] ?? p.initial;

/** Where a slider usually ends; the field beside it takes more. */
const TOPS: Readonly<Record<string, number>> = { metres: 200, speed: 15, degreesPerSecond: 40, degrees: 360, factor: 5 };
const topOf = (p: MoveParameter): number => (p.id.toLowerCase().includes('height') ? 120 : TOPS[p.quantity] ?? p.max);

const setValue = (id: string, value: number) => film.edit('shot', stored.value.id, { move: { kind: stored.value.move.kind, values: { ...stored.value.move.values, [id]: value } } }, 'move');
/** Another move keeps every number that means the same in both: the same name under the same id. */
const setKind = (kind: string) => {
  const next = moveOf(kind);
  if (!next) return [];
  const labelOf = (list: readonly MoveParameter[] | undefined, id: string): string | undefined => list?.find((p) => p.id === id)?.label;
  const kept = Object.entries(stored.value.move.values).filter(([id, v]) =>
    next.parameters.some((p) => p.id === id && v >= p.min && v <= p.max && p.label === labelOf(move.value?.parameters, id)));
  return film.edit('shot', stored.value.id, { move: { kind, values: { ...initialValues(next.parameters), ...Object.fromEntries(kept) } } }, 'another move');
};
type ShotFields = Parameters<typeof film.edit<'shot'>>[2];
const set = (fields: ShotFields) => film.edit('shot', stored.value.id, fields);
// Handed down as they are: a function made anew in the template would redraw every field at each step of a slider.
const savers = computed(() => new Map((moveOf(kind.value)?.parameters ?? []).map((p) => [p.id, (v: number) => setValue(p.id, v)])));
const noop = () => undefined;
const saverOf = (id: string) => savers.value.get(id) ?? noop;
const setSubject = (subjectId: string | null) => set({ subjectId });
const setRole = (role: Shot['role']) => set({ role });
const setPriority = (priority: Shot['priority']) => set({ priority });
const setWants = (wants: Shot['wants']) => set({ wants });
const ROLES = choices(ROLE_WORDS);
const PRIORITIES = choices(PRIORITY_WORDS);
const WISHES = choices(WISH_WORDS);
</script>

<template>
  <div class="facet">
    <div class="row">
      <PickField label="Move" :value="stored.move.kind" :options="kinds" :save="setKind" />
      <PickField label="Subject" :value="stored.subjectId" :options="subjects" :save="setSubject" />
      <PickField label="In the story" :value="stored.role" :options="ROLES" :save="setRole" />
      <PickField label="Priority" :value="stored.priority" :options="PRIORITIES" :save="setPriority" />
      <PickField label="Wants" :value="stored.wants" :options="WISHES" :save="setWants" />
    </div>
    <div class="sliders">
      <SliderField v-for="p in sliders" :key="stored.id + stored.move.kind + p.id" :parameter="p" :value="valueOf(p)" :top="topOf(p)" :save="saverOf(p.id)" />
      <div v-for="p in toggles" :key="p.id" class="toggle" role="group" :aria-label="p.label">
        <span class="label">{{ p.label }}</span>
        <button v-for="(word, i) in p.choice" :key="word" class="btn" :class="{ on: valueOf(p) === i }" :aria-pressed="valueOf(p) === i" @click="setValue(p.id, i)">{{ word }}</button>
      </div>
    </div>
    <p v-if="move" class="says"><b>{{ move.says }}</b> {{ move.sticks }} <span class="quiet">Needs: {{ move.needs }}</span> <span class="caution">{{ move.caution }}</span></p>
  </div>
</template>

<style scoped>
.row { display: grid; grid-template-columns: repeat(auto-fit, minmax(110px, 1fr)); gap: 8px; margin-bottom: 6px; }
.toggle { display: flex; align-items: center; gap: 6px; min-height: 34px; }
.toggle .label { width: 118px; margin-right: 8px; }
.on { background: var(--pick-dim); border-color: var(--pick); }
.says { margin-top: 8px; max-width: 78ch; }
.says b { font-weight: 600; }
.caution { color: var(--care); }
</style>

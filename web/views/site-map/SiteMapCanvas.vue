<script setup lang="ts">
import { launchOf, type LaunchIdea } from '@core/location';
import type { DerivedShot } from '@core/film';
import { computed, onBeforeUnmount, onMounted, shallowRef, useTemplateRef, watch } from 'vue';
import type { Spot } from '../../map/features';
import { PlanMap } from '../../map/map';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { useSite } from '../../stores/site';
import { cancelDeferred, defer } from '../../composables/deferred';
import { extrasOf, handlesOf } from './extras';
import type { Layers } from './useLayers';
import type { Plan } from './usePlan';
import { tr } from './messages';

const props = defineProps<{
  plan: Plan;
  layers: Layers;
  shown: readonly DerivedShot[];
  shot: DerivedShot | null;
  share: number;
  ideas: readonly LaunchIdea[];
}>();
const emit = defineEmits<{
  point: [at: Spot | null];
  measured: [points: Spot[], closed: boolean];
  idea: [index: number];
}>();
const box = useTemplateRef<HTMLElement>('box');
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const site = useSite();
/** Not reactive: the map library keeps its own state. */
const map = shallowRef<PlanMap | null>(null);
const { plan } = props;

const launch = computed(() =>
  plan.place.value
    ? launchOf(plan.things.value, plan.ground.value, plan.place.value, props.shot?.facts.shot ?? null)
    : null,
);
const sample = computed(() => {
  const s = props.shot?.facts.trajectory?.samples ?? [];
  return s[Math.round(props.share * (s.length - 1))] ?? null;
});
const extras = computed(() =>
  extrasOf({
    plan,
    shot: props.shot,
    sample: sample.value,
    launch: launch.value?.at ?? null,
    layers: props.layers,
    ideas: props.ideas,
    facts: props.shot ? site.factsOf(props.shot.facts.shot.id) : null,
    sun:
      props.shot?.light?.sun ??
      derivedFilm.derived?.shots.get(plan.shots.value[0]?.facts.shot.id ?? '')?.light?.sun ??
      null,
  }),
);
const handles = computed(() =>
  handlesOf(plan, props.shot, film.get('picture', props.layers.pinningId) ?? null),
);

const draw = (): void => {
  map.value?.setThings(plan.things.value, plan.subjects.value);
  map.value?.setShots(props.shown);
  map.value?.setExtras(extras.value);
  map.value?.setHandles(handles.value);
};
/** Marks what is picked, else the open shot. */
const pickOn = (on: PlanMap): void => {
  const shot = props.shot?.facts;
  on.setPicked(plan.picked.value.what === 'nothing' ? (shot?.shot.id ?? '') : plan.picked.value.id);
};
/** What is drawn within one picture; a larger place is given to the map over several. */
const AT_ONCE = 60;
/** Things that are painted for the first time within one picture. */
const PAINTED_AT_ONCE = 400;
const steps = function* (on: PlanMap): Generator<undefined> {
  const many = plan.things.value.length + props.shown.length > AT_ONCE;
  // Ground and pictures come from elsewhere: asked for first, they are painted along with what is drawn meanwhile.
  void props.layers.attach(on);
  on.setUnits(derivedFilm.units);
  on.setThings(plan.things.value, plan.subjects.value);
  if (many) yield;
  on.setShots(props.shown);
  if (many) yield;
  on.setExtras(extras.value);
  on.setHandles(handles.value);
  pickOn(on);
  on.setTool(plan.tool.value);
  on.fit();
  // Layer by layer: each is written, measured and painted by itself.
  while (on.reveal(PAINTED_AT_ONCE)) if (many) yield;
};
const line = {};
const build = (): void => {
  cancelDeferred(line);
  map.value?.dispose();
  const { place } = plan;
  if (!box.value || !place.value) return;
  map.value = new PlanMap(box.value, place.value, {
    pick: plan.pick,
    point: (at) => emit('point', at),
    reshape: (id, points) => {
      if (!plan.reshape(id, points)) draw();
    },
    move: plan.move,
    drawn: plan.add,
    way: plan.way,
    subject: plan.addSubject,
    handle: (part, shotId, at) => {
      if (part === 'launch') plan.dragLaunch(at);
      else if (part === 'pin') plan.dragPin(shotId, at);
      else if (part === 'point') plan.dragPoint(shotId, at);
      else plan.dragShot(part, shotId, at);
    },
    measured: (points, closed) => emit('measured', points, closed),
    idea: (index) => emit('idea', index),
  });
  const rest = steps(map.value);
  const turn = (): void => {
    if (!rest.next().done) defer(line, turn);
  };
  turn();
};
onMounted(() => {
  defer(line, build);
});
onBeforeUnmount(() => {
  cancelDeferred(line);
  map.value?.dispose();
});
watch(() => [plan.placeId.value, plan.place.value?.latitude, plan.place.value?.longitude].join(), build);
watch(
  () => [plan.things.value, plan.subjects.value],
  () => map.value?.setThings(plan.things.value, plan.subjects.value),
);
watch(
  () => props.shown,
  (shots) => map.value?.setShots(shots),
);
watch(extras, (e) => map.value?.setExtras(e));
watch(handles, (h) => map.value?.setHandles(h));
watch(
  () => [plan.picked.value.id, props.shot?.facts.shot.id],
  () => {
    if (map.value) pickOn(map.value);
  },
);
watch(
  () => plan.tool.value,
  (tool) => map.value?.setTool(tool),
);
watch(
  () => derivedFilm.units,
  (units) => map.value?.setUnits(units),
);
watch(
  () => selection.colours,
  () => {
    requestAnimationFrame(() => {
      map.value?.repaint();
      if (map.value) void props.layers.attach(map.value);
    });
  },
);
defineExpose({
  fit: () => map.value?.fit(),
  zoom: (by: number) => map.value?.zoom(by),
  finish: () => map.value?.endDrawing(),
  abort: () => map.value?.abortDrawing(),
});
</script>

<template>
  <div ref="box" class="canvas" role="application" tabindex="0" :aria-label="tr('siteMapArrowKeysPan')" />
</template>

<style scoped>
.canvas {
  position: absolute;
  inset: 0;
  background: var(--bench);
}
.canvas:focus-visible {
  outline-offset: -3px;
}
.canvas :deep(.ol-viewport) {
  touch-action: none;
}
.canvas :deep(.ol-scale-line) {
  position: absolute;
  left: 10px;
  bottom: 10px;
  background: none;
  padding: 0;
}
.canvas :deep(.ol-scale-line-inner) {
  border: 1.5px solid var(--chalk);
  border-top: 0;
  color: var(--chalk);
  font-size: 12px;
  text-align: center;
  text-shadow:
    0 0 3px var(--bench),
    0 0 3px var(--bench);
}
</style>

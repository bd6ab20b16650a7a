<script setup lang="ts">
import { inSentence, phrase, PRIORITY_WORDS, ROLE_WORDS } from '../../format';
import { worst } from '@core/warnings';
import type { DerivedShot } from '@core/film';
import { computed, onMounted, ref, useTemplateRef } from 'vue';
import { useDragging } from '../../composables/useDragging';
import { useFindings } from '../../stores/findings';
import type { Column } from '../../stores/list-filters';
import Fig from '../../parts/Fig.vue';
import MarkSign from '../../parts/MarkSign.vue';
import PathThumb from '../../parts/PathThumb.vue';
import { tr } from './messages';

const props = defineProps<{
  shot: DerivedShot;
  picked: boolean;
  chosen: boolean;
  columns: readonly Column[];
}>();
const emit = defineEmits<{ pick: [event: MouseEvent]; drop: [id: string, edge: 'before' | 'after'] }>();
const findings = useFindings();
const row = useTemplateRef<HTMLElement>('row');
const edge = ref<'before' | 'after' | null>(null);
const severity = computed(() => worst(findings.about(props.shot)));
const facts = computed(() => props.shot.facts);
const figures = computed(() => props.columns.map((c) => ({ ...c, value: c.of(props.shot) })));

const edgeAt = (clientY: number): 'before' | 'after' => {
  const box = row.value?.getBoundingClientRect();
  return box && clientY > box.top + box.height / 2 ? 'after' : 'before';
};

const dragging = useDragging();
onMounted(() => {
  const element = row.value;
  if (!element) return;
  dragging(({ combine, draggable, dropTargetForElements }) =>
    combine(
      draggable({
        element,
        getInitialData: () => ({
          shot: facts.value.shot.id,
          flightShot: facts.value.shot.id,
          craft: facts.value.aircraft?.id ?? '',
        }),
      }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) =>
          typeof source.data['shot'] === 'string' && source.data['shot'] !== facts.value.shot.id,
        onDrag: ({ location }) => {
          edge.value = edgeAt(location.current.input.clientY);
        },
        onDragLeave: () => {
          edge.value = null;
        },
        onDrop: ({ source, location }) => {
          edge.value = null;
          emit('drop', String(source.data['shot']), edgeAt(location.current.input.clientY));
        },
      }),
    ),
  );
});
</script>

<template>
  <button
    ref="row"
    class="shot-card"
    :class="{
      picked,
      chosen,
      over: edge === 'before',
      under: edge === 'after',
      unfit: shot.unfit,
      done: shot.done,
    }"
    :aria-current="picked"
    :data-shot="facts.shot.id"
    @click="emit('pick', $event)"
  >
    <span class="number"
      >{{ shot.number }}<span v-if="chosen" class="sr">{{ tr('chosen') }}</span></span
    >
    <PathThumb :flown="facts.trajectory" :subject="facts.aim" />
    <span class="text">
      <span class="title" dir="auto">{{ facts.shot.title || tr('untitled') }}</span>
      <span class="sub"
        ><span>{{ phrase(facts.move?.name) || facts.shot.move.kind }}</span
        ><span class="prio">{{ inSentence(PRIORITY_WORDS[facts.shot.priority]) }}</span
        ><span>{{ inSentence(ROLE_WORDS[facts.shot.role]) }}</span></span
      >
      <span class="sub cost"
        ><span
          v-for="c in figures"
          :key="c.id"
          :class="{ wh: c.quantity === 'wattHours', gb: c.quantity === 'gigabytes' }"
          ><template v-if="c.quantity === 'text'">{{ c.value }}</template
          ><Fig v-else :value="Number(c.value)" :quantity="c.quantity" /></span
      ></span>
    </span>
    <svg v-if="shot.done" class="tick" viewBox="0 0 14 14" role="img" :aria-label="tr('done')">
      <path d="M2 7.5L5.5 11L12 3.5" />
    </svg>
    <MarkSign v-else :severity="severity" />
  </button>
</template>

<style scoped>
.tick {
  width: 14px;
  height: 14px;
}
.tick path {
  fill: none;
  stroke: var(--verdigris);
  stroke-width: 2.4;
}
.done .title,
.done .number {
  color: var(--chalk-3);
}
.shot-card {
  position: relative;
  display: grid;
  grid-template-columns: 25px 58px 1fr 14px;
  gap: 8px;
  align-items: center;
  width: 100%;
  height: 62px;
  padding: 3px 8px 3px 6px;
  text-align: left;
  background: var(--slab);
  border: 0;
  cursor: grab;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.shot-card:hover {
  background: var(--slab-2);
}
.shot-card.picked {
  background: var(--pick-dim);
}
.shot-card.chosen {
  box-shadow: inset 5px 0 var(--pick);
}
.shot-card:focus-visible {
  outline-offset: -2px;
}
.number {
  font-size: 19px;
  font-weight: 680;
  font-stretch: 76%;
  text-align: right;
}
.text {
  min-width: 0;
  display: grid;
  gap: 0;
}
.title {
  font-weight: 580;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.sub {
  display: flex;
  gap: 8px;
  font-size: 12px;
  font-stretch: 86%;
  color: var(--chalk-2);
  white-space: nowrap;
  overflow: hidden;
}
.picked .sub {
  color: var(--chalk);
}
.prio {
  font-weight: 620;
}
.wh {
  color: var(--ember);
}
.gb {
  color: var(--verdigris);
}
.picked .wh,
.picked .gb {
  color: var(--chalk);
}
.unfit .number {
  text-decoration: line-through;
  text-decoration-thickness: 2px;
  text-decoration-color: var(--stop);
}
.over::before,
.under::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  height: 3px;
  background: var(--pick);
}
.over::before {
  top: 0;
}
.under::after {
  bottom: 0;
}
</style>

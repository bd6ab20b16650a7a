<script setup lang="ts">
import { fixed } from '../../format';
import { useDragging } from '../../composables/useDragging';
import { computed, useTemplateRef, watch } from 'vue';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { useDay } from '../flights/useDay';
import { useFlightActs } from '../flights/useFlightActs';
import { draggedShot, useTryOut } from '../flights/useTryOut';
import { columnWould, goalAt, type Column, type Piece } from './packs';
import { tr } from './messages';

/** What is taken hold of on the pack rail: shots are picked, and dragged along their pack and onto another. */
const props = defineProps<{
  columns: readonly Column[];
  columnWidth: number;
  gap: number;
  scale: number;
  groundY: number;
  titles: (p: Piece) => string;
}>();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const { over, clear, put, tried } = useTryOut(useFlightActs(useDay()));
const stands = useTemplateRef<HTMLElement[]>('stands');
const grips = useTemplateRef<HTMLElement[]>('grips');

const shots = (c: Column): readonly Piece[] => c.pieces.filter((p) => p.shotId !== null);
const lockedShots = computed(
  () =>
    new Set(
      props.columns.flatMap((c) =>
        c.pieces.flatMap((p) => (p.shotId !== null && p.flight?.of.locked ? [p.shotId] : [])),
      ),
    ),
);
const yAt = (c: Column, spentWh: number): number => props.groundY - (c.heldWh - spentWh) * props.scale;
const boxOf = (c: Column, p: Piece) => ({
  top: `${yAt(c, p.fromWh)}px`,
  height: `${Math.max(4, p.wattHours * props.scale)}px`,
});
const craftOf = (shotId: string): string => derivedFilm.derived?.shots.get(shotId)?.facts.aircraft?.id ?? '';
const mayTake = (c: Column, shotId: string): boolean =>
  (derivedFilm.along.packs.find((p) => p.id === c.packId)?.aircraftIds.includes(craftOf(shotId)) ?? false) &&
  c.pieces.every((p) => !p.flight?.of.locked);
const wouldOf = (c: Column): { text: string; not: boolean } | null => {
  const t = tried.value;
  const w = t?.places ? columnWould(c, t.places, derivedFilm.along.packs, t.shotId, t.put === c.key) : null;
  return (
    w && {
      text: w.overWh > 0 ? `+${fixed(w.overWh, 1)} Wh` : `${w.landsWith.toFixed(0)} %`,
      not: w.overWh > 0,
    }
  );
};

const dragging = useDragging();
const hang = (): void => {
  const goal = (element: HTMLElement, clientY: number) => {
    const c = props.columns[Number(element.dataset['at'])];
    return c
      ? {
          c,
          goal: goalAt(
            c,
            c.heldWh - (props.groundY - (clientY - element.getBoundingClientRect().top)) / props.scale,
          ),
        }
      : null;
  };
  dragging(({ combine, draggable, dropTargetForElements }) =>
    combine(
      ...(grips.value ?? []).map((element) =>
        draggable({
          element,
          canDrag: () => !lockedShots.value.has(element.dataset['shot'] ?? ''),
          getInitialData: () => ({
            flightShot: element.dataset['shot'],
            craft: craftOf(element.dataset['shot'] ?? ''),
          }),
        }),
      ),
      ...(stands.value ?? []).map((element) =>
        dropTargetForElements({
          element,
          canDrop: ({ source }) => {
            const c = props.columns[Number(element.dataset['at'])];
            return draggedShot(source.data) !== '' && c !== undefined && mayTake(c, draggedShot(source.data));
          },
          onDrag: ({ source, location }) => {
            const g = goal(element, location.current.input.clientY);
            if (g?.goal) over(draggedShot(source.data), g.goal, g.c.key);
          },
          onDragLeave: clear,
          onDrop: ({ source, location }) => {
            const g = goal(element, location.current.input.clientY);
            if (g?.goal) put(draggedShot(source.data), g.goal);
            else clear();
          },
        }),
      ),
    ),
  );
};
watch(
  [stands, grips, () => props.columns.map((c) => c.key + c.pieces.map((p) => p.key).join()).join()],
  hang,
  { flush: 'post', immediate: true },
);
</script>

<template>
  <div class="hands">
    <div
      v-for="(c, i) in columns"
      :key="c.key"
      ref="stands"
      class="stand"
      :data-at="i"
      :data-stand="c.name"
      :style="{ left: `${i * (columnWidth + gap)}px`, width: `${columnWidth}px` }"
    >
      <b
        v-if="wouldOf(c)"
        class="would"
        :class="{ stop: wouldOf(c)?.not }"
        :title="wouldOf(c)?.not ? tr('moreThanThePackGives') : tr('wouldLandWith')"
        >{{ wouldOf(c)?.text }}</b
      >
      <span
        v-for="p in shots(c)"
        :key="p.key"
        ref="grips"
        class="grip"
        :class="{ fixed: p.flight?.of.locked }"
        :data-shot="p.shotId"
        :style="boxOf(c, p)"
        :title="titles(p)"
        @click="p.shotId && selection.pick(p.shotId)"
      />
    </div>
  </div>
</template>

<style scoped>
.hands {
  position: absolute;
  inset: 0;
}
.stand {
  position: absolute;
  top: 0;
  bottom: 0;
}
.grip {
  position: absolute;
  left: 0;
  right: 0;
  cursor: grab;
}
.grip.fixed {
  cursor: pointer;
}
.would {
  position: absolute;
  top: 0;
  left: -9px;
  right: -9px;
  text-align: center;
  background: var(--verdigris);
  color: var(--bench);
  font-size: 12px;
  font-stretch: 84%;
  z-index: 1;
  pointer-events: none;
  white-space: nowrap;
}
.would.stop {
  background: var(--stop);
}
</style>

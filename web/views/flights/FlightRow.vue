<script setup lang="ts">
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { computed, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import Fig from '../../parts/Fig.vue';
import MarkSign from '../../parts/MarkSign.vue';
import { useSelection } from '../../stores/selection';
import { stopAt, type RailPiece, type RailRow } from './rail';
import { draggedShot } from './useTryOut';
import { tr } from './messages';
import { fixed } from '../../format';

/** A flight on its side: what it takes from its pack, what is left, and the ground that is not built on. */
const props = defineProps<{
  row: RailRow;
  chosen: boolean;
  /** What would be, while something is dragged. */ would: {
    readonly landsWith: number;
    readonly overWh: number;
    readonly used: number;
  } | null;
  mark: { readonly share: number; readonly text: string } | null;
}>();
const emit = defineEmits<{
  choose: [shotId?: string];
  over: [shotId: string, at: number];
  leave: [];
  put: [shotId: string, at: number];
  lock: [];
}>();
const selection = useSelection();
const bar = useTemplateRef<HTMLElement>('bar');
const pieces = useTemplateRef<HTMLElement[]>('pieces');
const percent = (share: number): string => `${(share * 100).toFixed(3)}%`;
const style = (p: RailPiece) => ({ left: percent(p.from), width: percent(p.size), '--sky': p.sky });
const over = computed(() => props.row.flight.overWh > 0);
const name = (p: RailPiece): string =>
  tr('numberTitleWattHoursWhSeconds', {
    number: p.number,
    title: p.title,
    wattHours: fixed(p.wattHours, 1),
    seconds: fixed(p.seconds / 60, 1),
    pinned: p.pinned ? tr('pinned2') : '',
  });
const spoken = computed(() =>
  tr('flightNumberOnPackNameAt', {
    number: props.row.number,
    packName: props.row.packName,
    at: props.row.at,
    pieces: props.row.pieces
      .filter((p) => p.shotId)
      .map(name)
      .join('; '),
  }),
);
const marks = (p: RailPiece): number[] =>
  Array.from(
    { length: Math.max(0, p.takes - 1) },
    (_, i) => p.setupShare + ((1 - p.setupShare) * (i + 1)) / p.takes,
  );

const shareAt = (clientX: number): number => {
  const box = bar.value?.getBoundingClientRect();
  return box ? (clientX - box.left) / box.width : 0;
};
let stopTarget = (): void => undefined;
let stopPieces = (): void => undefined;
const hang = (): void => {
  stopPieces();
  const found = (pieces.value ?? []).filter((e) => e.dataset['shot']);
  stopPieces = combine(
    ...found.map((element) =>
      draggable({
        element,
        canDrag: () => !props.row.flight.locked,
        getInitialData: () => ({ flightShot: element.dataset['shot'], craft: props.row.flight.aircraftId }),
      }),
    ),
  );
};
onMounted(() => {
  hang();
  const element = bar.value;
  if (element)
    stopTarget = dropTargetForElements({
      element,
      canDrop: ({ source }) =>
        draggedShot(source.data) !== '' &&
        source.data['craft'] === props.row.flight.aircraftId &&
        !props.row.flight.locked,
      onDrag: ({ source, location }) =>
        emit('over', draggedShot(source.data), stopAt(props.row, shareAt(location.current.input.clientX))),
      onDragLeave: () => emit('leave'),
      onDrop: ({ source, location }) =>
        emit('put', draggedShot(source.data), stopAt(props.row, shareAt(location.current.input.clientX))),
    });
});
watch(() => props.row.pieces.map((p) => p.key).join(), hang, { flush: 'post' });
onBeforeUnmount(() => {
  stopTarget();
  stopPieces();
});
</script>

<template>
  <li class="row" :class="{ chosen, over }" :data-pack="row.packName" :data-flight="row.number">
    <button
      class="who"
      :aria-current="chosen"
      :aria-label="spoken"
      @click="emit('choose', row.flight.stops[0]?.shotId)"
    >
      <span class="n">{{ row.number }}</span><span class="pack">{{ row.packName }}</span
      ><MarkSign v-if="over || row.noRoom" severity="stop" /><span class="sub"
        >{{ row.at }} · {{ row.craftName }}</span
      >
    </button>
    <div ref="bar" class="bar">
      <div class="rated" :style="{ width: percent(row.rated) }" />
      <div class="held" :style="{ width: percent(row.held) }" />
      <div
        class="ground"
        :style="{ left: percent(row.reserveFrom), width: percent(Math.max(0, row.held - row.reserveFrom)) }"
      />
      <div
        class="ground critical"
        :style="{ left: percent(row.criticalFrom), width: percent(Math.max(0, row.held - row.criticalFrom)) }"
      />
      <template v-for="p in row.pieces" :key="p.key">
        <span
          v-if="p.shotId"
          ref="pieces"
          class="piece shot"
          :class="{ picked: p.shotId === selection.shotId, pinned: p.pinned }"
          :style="style(p)"
          :data-shot="p.shotId"
          :title="name(p)"
          @click="emit('choose', p.shotId)"
        >
          <i class="setup" :style="{ width: percent(p.setupShare) }" /><i
            v-for="m in marks(p)"
            :key="m"
            class="take"
            :style="{ left: percent(m) }"
          /><span
            ><em>{{ p.number }}{{ p.pinned ? '\u2022' : '' }}</em></span
          >
        </span>
        <span
          v-else
          ref="pieces"
          class="piece"
          :class="p.kind"
          :style="style(p)"
          :title="
            tr('kindWattHoursWh', {
              kind:
                p.kind === 'home'
                  ? tr('wayHomeAndLanding')
                  : p.kind === 'leg'
                    ? tr('repositionLeg')
                    : tr('takeOff'),
              wattHours: fixed(p.wattHours, 1),
            })
          "
        />
      </template>
      <div class="line" :style="{ left: percent(row.reserveFrom) }" />
      <div v-if="mark" class="mark" :style="{ left: percent(mark.share) }" :title="mark.text">
        <i>{{ mark.text }}</i>
      </div>
      <div
        v-if="would"
        class="would"
        :class="{ not: would.overWh > 0 }"
        :style="{ width: percent(Math.min(1, would.used)) }"
      />
    </div>
    <button
      class="lock"
      :aria-pressed="row.flight.locked"
      :title="row.flight.locked ? tr('lockedThePlannerLeavesIt') : tr('lockItAgainstThePlanner')"
      :aria-label="tr('lockFlightNumber', { number: row.number })"
      @click="emit('lock')"
    >
      {{ row.flight.locked ? tr('locked') : row.flight.planId ? tr('laidDown') : tr('listed') }}
    </button>
    <span class="end">
      <template v-if="would"
        ><b :class="{ stop: would.overWh > 0 }">{{
          would.overWh > 0
            ? tr('overWhWhTooMuch', { overWh: fixed(would.overWh, 1) })
            : tr('wouldLandWithLandsWith', { landsWith: fixed(would.landsWith, 0) })
        }}</b></template
      >
      <template v-else
        ><Fig :value="row.minutes" quantity="minutes" />
        <b v-if="over" class="stop">{{
          tr('overWhWhTooMuch', { overWh: fixed(row.flight.overWh, 1) })
        }}</b><template v-else
          >{{ tr('landsWith') }} <Fig :value="row.landsWith" quantity="percent" /></template
      ></template>
      <span class="sub">{{ row.filter }} · {{ row.card }}</span>
    </span>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 140px minmax(0, 1fr) 62px 158px;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.who {
  display: grid;
  grid-template-columns: auto auto 1fr;
  gap: 0 6px;
  align-items: baseline;
  text-align: left;
  border: 0;
  background: none;
  padding: 2px 4px;
  cursor: pointer;
  border-left: 4px solid transparent;
}
.chosen .who {
  border-left-color: var(--pick);
  background: var(--pick-dim);
}
.n {
  font-size: 18px;
  font-weight: 680;
  font-stretch: 78%;
}
.pack {
  font-weight: 620;
  font-stretch: 92%;
}
.sub {
  grid-column: 1 / -1;
  font-size: 12px;
  font-stretch: 84%;
  color: var(--chalk-2);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  display: block;
}
.bar {
  position: relative;
  height: 38px;
}
.bar > * {
  position: absolute;
  top: 0;
  bottom: 4px;
  box-sizing: border-box;
}
.rated {
  left: 0;
  border: 1px dashed var(--line);
}
.held {
  left: 0;
  background: var(--slab-2);
}
.ground {
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, var(--slab-3) 3px 6px);
}
.critical {
  background: repeating-linear-gradient(
    45deg,
    var(--hatch) 0 3px,
    var(--hatch) 3px 4px,
    var(--slab-3) 4px 5px
  );
}
.line {
  width: 2px;
  background: var(--chalk);
  pointer-events: none;
}
.piece {
  border: 1px solid var(--bench);
  border-top: 5px solid var(--sky, var(--line));
  background: var(--ember-dim);
  padding: 0;
  min-width: 0;
  overflow: hidden;
}
.piece.shot {
  background: var(--ember);
  color: var(--bench);
  font-weight: 720;
  font-stretch: 80%;
  font-size: 13px;
  cursor: grab;
  container-type: inline-size;
}
.piece.shot > span {
  position: absolute;
  inset: 6px 0;
  display: grid;
  place-items: center;
}
@container (max-width: 8px) {
  .piece.shot > span {
    display: none;
  }
}
.piece.shot > span > em {
  font-style: normal;
  background: var(--ember);
  padding: 0 1px;
}
.piece.picked > span > em {
  background: var(--pick);
}
.piece.home {
  background: none;
  border: 1px dashed var(--ember);
  border-top: 5px solid var(--sky, var(--line));
}
.piece.picked {
  background: var(--pick);
  color: var(--pick-ink);
}
.piece.pinned {
  box-shadow: inset 0 -4px var(--chalk);
}
.piece i {
  position: absolute;
  top: 0;
  bottom: 0;
  pointer-events: none;
}
.setup {
  left: 0;
  background: var(--ember-2);
  opacity: 0.6;
}
.picked .setup {
  background: var(--pick-dim);
}
.take {
  width: 1px;
  background: var(--bench);
  opacity: 0.6;
}
.over .piece.home {
  border-color: var(--stop);
}
.bar > .mark {
  width: 0;
  border-left: 3px solid var(--stop);
  top: -4px;
  pointer-events: none;
}
.mark i {
  position: absolute;
  bottom: -3px;
  left: 3px;
  font-style: normal;
  font-size: 11px;
  white-space: nowrap;
  background: var(--slab);
  color: var(--stop);
  padding: 0 3px;
}
.bar > .would {
  top: auto;
  bottom: 0;
  height: 4px;
  left: 0;
  background: var(--verdigris);
}
.would.not {
  background: var(--stop);
}
.lock {
  border: 1px solid transparent;
  background: none;
  color: var(--chalk-2);
  font-size: 12px;
  font-stretch: 84%;
  cursor: pointer;
  min-height: 26px;
  padding: 0 4px;
}
.lock:hover {
  border-color: var(--line);
}
.lock[aria-pressed='true'] {
  color: var(--chalk);
  border-color: var(--chalk-2);
  font-weight: 620;
}
.end {
  font-size: 12.5px;
  font-stretch: 88%;
  min-width: 0;
}
.stop {
  color: var(--stop);
}
@media (max-width: 1099px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    row-gap: 2px;
  }
  .bar {
    grid-column: 1 / -1;
    grid-row: 2;
    height: 44px;
  }
  .end {
    grid-column: 1 / -1;
    grid-row: 3;
  }
  .lock {
    min-height: var(--touch);
    min-width: 60px;
  }
  .who {
    min-height: var(--touch);
  }
}
@media print {
  .row {
    break-inside: avoid;
  }
}
</style>

<script setup lang="ts">
import type { Mark, MarkKind, TryMargins, TryMarks } from '@core/rehearsal';
import { computed } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { fixed } from '../../format';
import Fig from '../../parts/Fig.vue';
import { tr } from './messages';

/** What a try was worth, each mark with the curve it comes from, and what to change first. */
const props = defineProps<{
  marks: TryMarks;
  margins: TryMargins | null;
  /** Clearance the film wants from obstacles, m. */
  leastM: number;
  totalS: number;
  counted: string;
  /** Marks of the tries of this visit, in order. */
  tries: readonly number[];
  /** By how much each mark is above the try before. */
  gains: ReadonlyMap<MarkKind, number>;
}>();
const gain = (kind: MarkKind): string => {
  const by = props.gains.get(kind) ?? 0;
  return by === 0 ? '' : `${by > 0 ? '+' : '−'}${fixed(Math.abs(by))}`;
};
const { text } = useMessages();
const NAMES: Readonly<Record<MarkKind, string>> = {
  get framing() {
    return tr('framing');
  },
  get path() {
    return tr('line');
  },
  get speed() {
    return tr('evennessOfSpeed');
  },
  get softness() {
    return tr('startAndStop');
  },
  get corrections() {
    return tr('corrections');
  },
};
const [WIDE, HIGH] = [150, 26];
/** What fills the height of a curve: its limit at least, so that near and far from it look so. Sticks go to their end. */
const topOf = (m: Mark): number =>
  m.kind === 'corrections' ? 1 : m.curve.reduce((most, p) => Math.max(most, p.value), m.limit);
const drawn = (m: Mark) => {
  const top = topOf(m);
  const end = m.curve.at(-1)?.tS ?? 1;
  const x = (tS: number): string => ((tS / end) * WIDE).toFixed(1);
  const y = (value: number): string => (HIGH - (value / top) * (HIGH - 2)).toFixed(1);
  const every = Math.max(1, Math.floor(m.curve.length / WIDE));
  const thinned = m.curve.filter((_, i) => i % every === 0);
  return {
    path: thinned.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.tS)} ${y(p.value)}`).join(''),
    limitY: m.kind === 'corrections' ? null : y(m.limit),
    marks: m.moments.map((tS) => `M${x(tS)} 0V${HIGH}`).join(''),
  };
};
const rows = computed(() => props.marks.marks.map((m) => ({ ...m, drawn: drawn(m) })));
</script>

<template>
  <section class="marks" :aria-label="tr('marks')">
    <p class="mark" role="status">
      <b>{{ marks.mark }}</b> {{ tr('of100') }}
    </p>
    <p class="first">{{ text(marks.first) }}</p>
    <p class="quiet">
      {{ tr('usable') }} <Fig :value="marks.usableS" quantity="seconds" /> {{ tr('of') }}
      <Fig :value="totalS" quantity="seconds" />
      {{ tr('planned') }}
    </p>
    <dl v-if="margins">
      <template v-if="margins.nearest">
        <dt>{{ tr('nearest') }}</dt>
        <dd :class="{ care: margins.tooNear }">
          <template v-if="margins.nearest.freeM > 0"
            ><Fig :value="margins.nearest.freeM" quantity="metres" />
            {{
              tr('fromNameAt', { name: text(margins.nearest.name), at: fixed(margins.nearest.tS, 0) })
            }}</template
          ><template v-else>{{
            tr('throughNameAt', { name: text(margins.nearest.name), at: fixed(margins.nearest.tS, 0) })
          }}</template>
          <span v-if="margins.plannedFreeM !== null" class="quiet">
            {{ tr('plannedWith') }} <Fig :value="margins.plannedFreeM" quantity="metres"
          /></span>
          <span v-if="margins.tooNear && margins.nearest.freeM > 0">
            {{ tr('closerThanWanted') }} <Fig :value="leastM" quantity="metres"
          /></span>
        </dd>
      </template>
      <template v-if="Number.isFinite(margins.lowestM)">
        <dt>{{ tr('lowest') }}</dt>
        <dd><Fig :value="margins.lowestM" quantity="metres" /> {{ tr('overTheGround') }}</dd>
      </template>
      <dt>{{ tr('energyOfTry') }}</dt>
      <dd>
        <Fig :value="margins.usedWh" quantity="wattHours" />
        <span v-if="Number.isFinite(margins.plannedWh)" class="quiet">
          {{ tr('plannedWith') }} <Fig :value="margins.plannedWh" quantity="wattHours"
        /></span>
      </dd>
    </dl>
    <ul>
      <li v-for="m in rows" :key="m.kind">
        <span class="name">{{ NAMES[m.kind] }}</span><span class="n"
          ><span v-if="gain(m.kind)" class="gain">{{ gain(m.kind) }}</span> <b>{{ m.mark }}</b></span
        >
        <span class="say quiet">{{ text(m.say) }}</span>
        <svg :width="WIDE" :height="HIGH" aria-hidden="true">
          <line
            v-if="m.drawn.limitY"
            class="limit"
            x1="0"
            :x2="WIDE"
            :y1="m.drawn.limitY"
            :y2="m.drawn.limitY"
          />
          <path class="moment" :d="m.drawn.marks" />
          <path :d="m.drawn.path" />
        </svg>
      </li>
    </ul>
    <p v-if="tries.length > 1" class="quiet">{{ tr('thisVisit', { tries: tries.join(', ') }) }}</p>
    <p class="quiet">{{ counted }}</p>
  </section>
</template>

<style scoped>
.marks {
  display: grid;
  gap: 8px;
}
.mark {
  margin: 0;
}
.mark b {
  font-size: 44px;
  font-weight: 680;
}
.first {
  font-size: 17px;
  margin: 0;
}
p {
  margin: 0;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 0;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
}
.care {
  color: var(--care);
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 10px;
  border-top: 1px solid var(--line);
  padding-top: 4px;
}
.say {
  font-size: 13.5px;
}
.gain {
  color: var(--chalk-2);
}
.n {
  text-align: end;
}
.limit {
  stroke: var(--chalk-3);
  stroke-dasharray: 3 3;
}
.moment {
  stroke: var(--care);
}
path {
  fill: none;
  stroke: var(--ember);
  stroke-width: 1.5;
}
</style>

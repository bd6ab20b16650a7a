<script setup lang="ts">
import type { ErrorSample, MarkKind, TryMargins, TryMarks } from '@core/rehearsal';
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
}>();
/** What stood nearest, and whether the line came closer than the film wants. */
const tooNear = computed(() => (props.margins?.nearest?.freeM ?? Infinity) < props.leastM);
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
const OF: Readonly<Partial<Record<MarkKind, (e: ErrorSample) => number>>> = {
  framing: (e) => e.framingDeg,
  path: (e) => e.pathM,
  speed: (e) => Math.abs(e.speedMs - e.plannedSpeedMs),
};
const curveOf = (kind: MarkKind): string => {
  const of = OF[kind];
  if (!of) return '';
  const { errors } = props.marks;
  const most = errors.reduce((m, e) => Math.max(m, of(e)), 1e-6);
  const end = errors.at(-1)?.tS ?? 1;
  const every = Math.max(1, Math.floor(errors.length / WIDE));
  return errors
    .filter((_, i) => i % every === 0)
    .map(
      (e, i) =>
        `${i === 0 ? 'M' : 'L'}${((e.tS / end) * WIDE).toFixed(1)} ${(HIGH - (of(e) / most) * (HIGH - 2)).toFixed(1)}`,
    )
    .join('');
};
const rows = computed(() => props.marks.marks.map((m) => ({ ...m, curve: curveOf(m.kind) })));
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
        <dd :class="{ care: tooNear }">
          <template v-if="margins.nearest.freeM > 0"
            ><Fig :value="margins.nearest.freeM" quantity="metres" />
            {{ tr('fromNameAt', { name: margins.nearest.name, at: fixed(margins.nearest.tS, 0) }) }}</template
          ><template v-else>{{
            tr('throughNameAt', { name: margins.nearest.name, at: fixed(margins.nearest.tS, 0) })
          }}</template>
          <span v-if="margins.plannedFreeM !== null" class="quiet">
            {{ tr('plannedWith') }} <Fig :value="margins.plannedFreeM" quantity="metres"
          /></span>
          <span v-if="tooNear && margins.nearest.freeM > 0">
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
        <span class="name">{{ NAMES[m.kind] }}</span><b class="n">{{ m.mark }}</b>
        <span class="say quiet">{{ text(m.say) }}</span>
        <svg v-if="m.curve" :width="WIDE" :height="HIGH" aria-hidden="true"><path :d="m.curve" /></svg>
      </li>
    </ul>
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
.n {
  text-align: end;
}
path {
  fill: none;
  stroke: var(--ember);
  stroke-width: 1.5;
}
</style>

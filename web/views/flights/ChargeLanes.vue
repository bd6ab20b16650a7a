<script setup lang="ts">
import { clockText } from '@core/time';
import { groupBy } from '@core/units';
import { computed } from 'vue';
import { brokenAxis, shareOnAxis } from '../../format/broken-axis';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Day } from './useDay';
import { tr } from './messages';

/** The day as time: who is in the air, and which pack hangs on which charger. */
const props = defineProps<{ day: Day }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const zone = computed(() => props.day.places.value[0]?.location.zone ?? 'UTC');
const runs = computed(
  () => derivedFilm.derived?.charges.get(props.day.date.value)?.filter((r) => r.toS > r.fromS + 1) ?? [],
);
const axis = computed(() =>
  brokenAxis([
    ...props.day.rows.value.map((r) => [r.flight.startMs, r.flight.endMs] as const),
    ...runs.value.map((r) => [r.fromS * 1000, r.toS * 1000] as const),
  ]),
);
const percent = (share: number): string => `${(share * 100).toFixed(2)}%`;
const share = (ms: number): string => (axis.value ? percent(shareOnAxis(axis.value, ms)) : '0');
const width = (from: number, to: number): string =>
  axis.value ? percent(shareOnAxis(axis.value, to) - shareOnAxis(axis.value, from)) : '0';
const ticks = computed(() =>
  (axis.value?.pieces ?? []).flatMap((p) => {
    const stepMs = axis.value?.stepMs ?? 1;
    const count = Math.round((p.toMs - p.fromMs) / stepMs);
    return Array.from({ length: count + 1 }, (_, i) => ({
      ms: p.fromMs + i * stepMs,
      left: percent(p.left + (i / count) * p.width),
      last: i === count,
    }));
  }),
);
/** What is left out between two stretches. */
const breaks = computed(() =>
  (axis.value?.pieces ?? []).slice(1).map((p, i) => {
    const before = axis.value?.pieces[i] ?? p;
    const end = before.left + before.width;
    return { key: p.fromMs, left: percent(end), width: percent(p.left - end) };
  }),
);
const lanes = computed(() => [
  ...[...groupBy(props.day.rows.value, (r) => r.craftName)].map(([name, rows]) => ({
    name,
    kind: 'air',
    bars: rows.map((r) => ({
      key: r.key,
      from: r.flight.startMs,
      to: r.flight.endMs,
      text: r.packName,
      more: '',
      title: tr('packNameInTheAirAt', { packName: r.packName, at: r.at }),
    })),
  })),
  ...[...groupBy(runs.value, (r) => `${r.chargerId}|${r.slot}`)].map(([key, list]) => ({
    name: `${film.get('charger', list[0]?.chargerId ?? '')?.name ?? tr('aCharger')}${list[0] && list[0].slot > 0 ? ` ${list[0].slot + 1}` : ''}`,
    kind: 'charge',
    bars: list.map((r) => {
      const pack = film.get('pack', r.packId)?.name ?? '';
      return {
        key: `${key}${r.packId}${r.fromS}`,
        from: r.fromS * 1000,
        to: r.toS * 1000,
        text: pack,
        more: `${Math.round(r.toShare * 100)} %`,
        title: tr('packFromFromShareToToShare', {
          pack,
          fromShare: Math.round(r.fromShare * 100),
          toShare: Math.round(r.toShare * 100),
          toS: clockText(r.toS * 1000, zone.value),
          dry: r.dry ? tr('theSourceIsEmptyThen') : '',
        }),
      };
    }),
  })),
]);
</script>

<template>
  <section v-if="axis && lanes.length > 0" class="lanes" :aria-label="tr('theDayAsTime')">
    <div v-for="l in lanes" :key="l.kind + l.name" class="lane" :class="l.kind">
      <span class="name">{{ l.name }}</span>
      <div class="track">
        <i v-for="b in breaks" :key="b.key" class="break" :style="{ left: b.left, width: b.width }" /><span
          v-for="b in l.bars"
          :key="b.key"
          class="bar"
          :style="{ left: share(b.from), width: width(b.from, b.to) }"
          :title="b.title"
          :aria-label="b.title"
          role="img"
          ><i
            >{{ b.text }} <span v-if="b.more">{{ b.more }}</span></i
          ></span
        >
      </div>
    </div>
    <div class="lane axis">
      <span />
      <div class="track">
        <span
          v-for="t in ticks"
          :key="t.ms"
          class="tick"
          :class="{ last: t.last }"
          :style="{ left: t.left }"
          >{{ clockText(t.ms, zone) }}</span
        >
      </div>
    </div>
  </section>
</template>

<style scoped>
.lanes {
  display: grid;
  gap: 2px;
  margin-top: 8px;
  min-width: 0;
}
.lane {
  display: grid;
  grid-template-columns: 140px minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
.name {
  font-size: 12.5px;
  font-stretch: 86%;
  color: var(--chalk-2);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.track {
  position: relative;
  height: 22px;
  background: var(--bench);
}
/* Time nobody flies or charges in is left out. */
.break {
  position: absolute;
  inset-block: 0;
  background: repeating-linear-gradient(115deg, var(--slab) 0 5px, var(--slab-3) 5px 6px);
}
.bar {
  position: absolute;
  top: 2px;
  bottom: 2px;
  background: var(--ember);
  color: var(--bench);
  min-width: 3px;
  container-type: inline-size;
}
.bar i {
  font-style: normal;
  font-size: 11.5px;
  font-weight: 680;
  font-stretch: 80%;
  padding-left: 4px;
  white-space: nowrap;
  line-height: 18px;
  display: block;
  overflow: hidden;
}
/* No half words: what has no room is said by its title. */
@container (max-width: 54px) {
  .bar i span {
    display: none;
  }
}
@container (max-width: 22px) {
  .bar i {
    display: none;
  }
}
.charge .bar {
  background: repeating-linear-gradient(90deg, var(--ember-dim) 0 6px, var(--slab-3) 6px 8px);
  color: var(--chalk);
}
.axis .track {
  background: none;
  height: 16px;
}
.tick {
  position: absolute;
  font-size: 11px;
  color: var(--chalk-2);
  border-left: 1px solid var(--line);
  padding-left: 3px;
}
.tick.last {
  border-left: 0;
  border-right: 1px solid var(--line);
  transform: translateX(-100%);
  padding: 0 3px 0 0;
}
@media (max-width: 700px) {
  .lane {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
  .tick:nth-child(even) {
    visibility: hidden;
  }
}
</style>

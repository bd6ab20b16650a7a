<script setup lang="ts">
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { moonAt, moonPhase, skyColour, sunAt } from '@core/light';
import { computed } from 'vue';
import { dateText, phrase, WINDOW_WORDS } from '../../format';
import { useElementSize } from '../../parts/useElementSize';
import { useSelection } from '../../stores/selection';
import { useRibbonDrag } from './useRibbonDrag';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; derived: DerivedFilm }>();
const selection = useSelection();
const size = useElementSize(1200, 90);
const width = computed(() => Math.max(300, size.width.value));
const DAY_H = 17;
const GLASS_H = 46;
const MINUTE = 60_000;

const rgb = (deg: number): string => `rgb(${skyColour(deg).join(' ')})`;
/** Each the same until the place is moved, which spares what hangs on it. */
const latitude = computed(() => props.place.location.latitude);
const longitude = computed(() => props.place.location.longitude);
const altitude = (ms: number): number => sunAt(ms, latitude.value, longitude.value).altitudeDeg;

/** The same object until date or place change, which spares what hangs on it. */
const skyOfDay = computed(() => props.place.light);
const day = computed(() => {
  const light = skyOfDay.value;
  if (!light) return null;
  const { startMs, endMs, altitudesDeg } = light.sun;
  const stops = altitudesDeg.map((deg, i, all) => ({ offset: i / (all.length - 1), colour: rgb(deg) }));
  return {
    startMs,
    endMs,
    stops,
    x: (ms: number): number => ((ms - startMs) / (endMs - startMs)) * width.value,
  };
});

/** The window under the glass: with a margin on both sides, and as much more as the flights need. */
const glass = computed(() => {
  const { windowFromMs, windowToMs, flights } = props.place;
  if (!Number.isFinite(windowFromMs)) return null;
  const last = Math.max(windowToMs, ...flights.map((f) => f.endMs));
  const margin = Math.max(8 * MINUTE, (last - windowFromMs) * 0.09);
  const [from, to] = [windowFromMs - margin, last + margin];
  const stops = Array.from({ length: 33 }, (_, i) => ({
    offset: i / 32,
    colour: rgb(altitude(from + ((to - from) * i) / 32)),
  }));
  return { from, to, stops, x: (ms: number): number => ((ms - from) / (to - from)) * width.value };
});

const TICKS = [5, 10, 15, 30, 60, 120].map((m) => m * MINUTE);
const ticks = computed(() => {
  const g = glass.value;
  if (!g) return [];
  const step = TICKS.find((t) => (t / (g.to - g.from)) * width.value > 62) ?? 240 * MINUTE;
  const first = Math.ceil(g.from / step) * step;
  return Array.from({ length: Math.max(0, Math.floor((g.to - first) / step) + 1) }, (_, i) => ({
    x: g.x(first + i * step),
    text: clockText(first + i * step, props.place.location.zone),
  }));
});

/** Windows that are told on the ribbon; the others would lie on top of them. */
const TOLD = ['golden', 'blue'] as const;
const windows = computed(() => {
  const g = glass.value;
  if (!g) return [];
  return (props.place.light?.windows ?? [])
    .filter((w) => w.toMs > g.from && w.fromMs < g.to)
    .flatMap((w) => {
      const kind = TOLD.find((t) => t === w.kind);
      return kind ? [{ ...w, kind }] : [];
    })
    .map((w) => ({
      key: `${w.kind}${w.fromMs}`,
      x: Math.max(0, g.x(w.fromMs)),
      end: Math.min(width.value, g.x(w.toMs)),
      word: WINDOW_WORDS[w.kind],
      edge: g.x(w.fromMs) > 0,
    }));
});

const flights = computed(() =>
  props.place.flights.map((f, i) => ({
    key: i,
    first: f.stops[0]?.shotId ?? '',
    x: glass.value?.x(f.startMs) ?? 0,
    width: Math.max(2, (glass.value?.x(f.endMs) ?? 0) - (glass.value?.x(f.startMs) ?? 0)),
  })),
);
const shots = computed(() =>
  props.place.flights.flatMap((f) =>
    f.stops.map((s) => {
      const shot = props.derived.shots.get(s.shotId);
      const start = f.shotMs[s.shotId] ?? f.startMs;
      return {
        id: s.shotId,
        number: shot?.number ?? 0,
        held: (shot?.facts.shot.notBefore ?? null) !== null,
        x: glass.value?.x(start) ?? 0,
        width: Math.max(
          3,
          ((s.airS * 1000) / ((glass.value?.to ?? 1) - (glass.value?.from ?? 0))) * width.value,
        ),
        picked: s.shotId === selection.shotId,
        title: `${shot?.number} ${shot?.facts.shot.title ?? ''}, ${clockText(start, props.place.location.zone)}`,
      };
    }),
  ),
);
const events = computed(() => {
  const light = skyOfDay.value;
  const d = day.value;
  if (!light || !d) return [];
  const zone = props.place.location.zone;
  return (
    [
      ['sunriseAt', light.sunriseMs],
      ['sunsetAt', light.sunsetMs],
    ] as const
  ).flatMap(([name, ms]) =>
    ms === null
      ? []
      : [{ name, x: d.x(ms), left: d.x(ms) > width.value - 90, text: tr(name, { at: clockText(ms, zone) }) }],
  );
});
/** The moon's height over the day, where it is up, as a thread over the band; lit as far as it is. */
const moon = computed(() => {
  const d = day.value;
  if (!d) return null;
  const path = Array.from({ length: 49 }, (_, i) => {
    const ms = d.startMs + ((d.endMs - d.startMs) * i) / 48;
    return { x: d.x(ms), up: moonAt(ms, latitude.value, longitude.value).altitudeDeg };
  });
  const phase = moonPhase((d.startMs + d.endMs) / 2);
  let pen = 'M';
  const line = path
    .map((p) => {
      if (p.up <= 0) {
        pen = 'M';
        return '';
      }
      const at = `${pen}${p.x.toFixed(1)} ${(DAY_H - (p.up / 90) * DAY_H).toFixed(1)}`;
      pen = 'L';
      return at;
    })
    .join('');
  return {
    line,
    opacity: 0.25 + 0.75 * phase.lit,
    name: tr('namePercentLit', { name: phrase(phase.name), percent: Math.round(phase.lit * 100) }),
  };
});
const lampsX = computed(() => {
  const on = skyOfDay.value?.lampsOnMs ?? null;
  const g = glass.value;
  return props.place.location.lamps !== 'none' && on !== null && g && on > g.from && on < g.to
    ? g.x(on)
    : null;
});
const drag = useRibbonDrag(
  () => props.place,
  (px) => {
    const g = glass.value;
    return g ? (px / width.value) * (g.to - g.from) : 0;
  },
);
const summary = computed(() => {
  const light = skyOfDay.value;
  if (!light) return '';
  const zone = props.place.location.zone;
  const parts = light.windows.map((w) =>
    tr('kindFromMsToToMs', {
      kind: WINDOW_WORDS[w.kind],
      fromMs: clockText(w.fromMs, zone),
      toMs: clockText(w.toMs, zone),
    }),
  );
  return [
    light.sunriseMs === null ? tr('noSunrise') : tr('sunriseAt', { at: clockText(light.sunriseMs, zone) }),
    light.sunsetMs === null ? tr('noSunset') : tr('sunsetAt', { at: clockText(light.sunsetMs, zone) }),
    ...parts,
  ].join(', ');
});
</script>

<template>
  <section class="ribbon" :aria-label="tr('lightOfTheDay')">
    <p v-if="summary" class="sr">
      {{ place.location.name }}, {{ dateText(place.location.date) }}: {{ summary }}.
    </p>
    <div ref="target" class="box">
      <svg v-if="day && glass" :width="width" :height="DAY_H + GLASS_H + 22" aria-hidden="true">
        <defs>
          <linearGradient id="day-sky">
            <stop v-for="(s, i) in day.stops" :key="i" :offset="s.offset" :stop-color="s.colour" />
          </linearGradient>
          <linearGradient id="glass-sky">
            <stop v-for="(s, i) in glass.stops" :key="i" :offset="s.offset" :stop-color="s.colour" />
          </linearGradient>
        </defs>
        <rect :width="width" :height="DAY_H" fill="url(#day-sky)" />
        <path v-if="moon" class="moon" :d="moon.line" :stroke-opacity="moon.opacity">
          <title>{{ moon.name }}</title>
        </path>
        <g v-for="e in events" :key="e.name" class="event">
          <path :d="`M${e.x} 0v${DAY_H}`" />
          <text :x="e.left ? e.x - 5 : e.x + 5" :y="DAY_H - 4.5" :text-anchor="e.left ? 'end' : 'start'">
            {{ e.text }}
          </text>
        </g>
        <path
          class="lens"
          :d="`M${day.x(glass.from)} 0V${DAY_H}L0 ${DAY_H + 8}H${width}L${day.x(glass.to)} ${DAY_H}V0z`"
        />
        <g :transform="`translate(0 ${DAY_H + 8})`">
          <rect :width="width" :height="GLASS_H" fill="url(#glass-sky)" />
          <rect
            class="outside"
            x="0"
            y="0"
            :width="Math.max(0, glass.x(place.windowFromMs))"
            :height="GLASS_H"
          />
          <rect
            class="outside"
            :x="glass.x(place.windowToMs)"
            y="0"
            :width="Math.max(0, width - glass.x(place.windowToMs))"
            :height="GLASS_H"
          />
          <g v-for="w in windows" :key="w.key" class="window">
            <path v-if="w.edge" :d="`M${w.x} 0v${GLASS_H}`" />
            <rect :x="w.x" y="0" :width="Math.max(0, w.end - w.x)" height="13" />
            <text :x="w.x + 6" y="10">{{ w.word }}</text>
          </g>
          <g v-if="lampsX !== null" class="lamps">
            <path :d="`M${lampsX} 0v${GLASS_H}`" />
            <text :x="lampsX - 4" y="10" text-anchor="end">{{ tr('lampsOn') }}</text>
          </g>
          <g v-for="f in flights" :key="f.key" class="flight" @pointerdown="drag.down($event, f.first)">
            <title>{{ tr('dragTheFlightAlongThe') }}</title>
            <rect :x="f.x + drag.by(f.first)" y="15" :width="f.width" height="28" />
          </g>
          <g
            v-for="s in shots"
            :key="s.id"
            class="shot"
            :class="{ picked: s.picked, held: s.held }"
            :data-piece="s.number"
            @click="drag.moved.value || selection.pick(s.id)"
            @pointerdown="drag.down($event, s.id)"
          >
            <title>{{ s.title }}</title>
            <rect :x="s.x + drag.by(s.id)" y="20" :width="s.width" height="22" />
            <path v-if="s.held" class="pin" :d="`M${s.x} 18v26`" />
            <text :x="s.x + drag.by(s.id) + s.width / 2" y="35" text-anchor="middle">
              {{ s.width > 11 ? s.number : '' }}
            </text>
          </g>
          <g v-for="t in ticks" :key="t.x" class="tick">
            <path :d="`M${t.x} ${GLASS_H}v4`" />
            <text :x="t.x" :y="GLASS_H + 13" text-anchor="middle">{{ t.text }}</text>
          </g>
        </g>
      </svg>
      <p v-else class="none quiet">
        {{ tr('noLightYetItFollows') }}
        <RouterLink :to="{ name: 'locations', params: { location: place.location.id } }">{{
          tr('enterTheCoordinates')
        }}</RouterLink>.
      </p>
      <p v-if="drag.says.value" class="says" role="status">{{ drag.says.value }}</p>
    </div>
  </section>
</template>

<style scoped>
.ribbon {
  padding: 0;
  background: var(--bench);
}
.box {
  width: 100%;
  overflow: hidden;
  height: 85px;
}
svg {
  display: block;
}
.box {
  position: relative;
}
.says {
  position: absolute;
  right: 8px;
  bottom: 0;
  background: var(--slab-2);
  padding: 1px 8px;
  font-size: 12.5px;
}
.moon {
  fill: none;
  stroke: #f4efdf;
  stroke-width: 1.3;
  stroke-dasharray: 1.5 3;
}
.lamps path {
  stroke: #ffd98a;
  stroke-dasharray: 2 2;
}
.lamps text {
  fill: #ffd98a;
  font-size: 10.5px;
  font-stretch: 86%;
  paint-order: stroke;
  stroke: rgb(20 17 26 / 75%);
  stroke-width: 2.6px;
}
.shot,
.flight {
  cursor: grab;
  touch-action: pan-y;
}
.pin {
  stroke: var(--chalk);
  stroke-width: 2;
}
.event path {
  stroke: #fff;
  stroke-opacity: 0.75;
}
.event text,
.window text {
  fill: #fff;
  font-size: 10.5px;
  font-stretch: 86%;
  paint-order: stroke;
  stroke: rgb(20 17 26 / 75%);
  stroke-width: 2.6px;
}
.lens {
  fill: var(--paper);
  fill-opacity: 0.16;
  stroke: var(--chalk);
  stroke-opacity: 0.8;
  stroke-width: 1;
}
.outside {
  fill: var(--bench);
  fill-opacity: 0.62;
}
.window path {
  stroke: rgb(20 17 26 / 70%);
  stroke-dasharray: 3 2;
}
.window rect {
  fill: rgb(20 17 26 / 30%);
}
.flight {
  fill: rgb(20 17 26 / 62%);
}
.shot {
  cursor: pointer;
}
.shot rect {
  fill: #f0eadf;
  stroke: #19171d;
  stroke-width: 1;
}
.shot text {
  fill: #19171d;
  font-size: 11.5px;
  font-weight: 680;
  font-stretch: 78%;
}
.shot.picked rect {
  fill: #c3b0ff;
  stroke: #19171d;
  stroke-width: 2;
}
.tick path {
  stroke: var(--chalk-3);
}
.tick text {
  fill: var(--chalk-2);
  font-size: 10.5px;
  font-stretch: 88%;
}
.none {
  padding: 20px 14px;
}
</style>

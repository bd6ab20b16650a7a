<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import type { Location } from '@core/model';
import { computed } from 'vue';
import { tr } from './messages';
import { fixed, write, writeText } from '../../format';
import { useDerivedFilm } from '../../stores/derived-film';

/** North, wind and sun over the corner of the plan; the map itself is never turned. */
const props = defineProps<{ place: Location; shot: DerivedShot | null }>();
const sun = computed(() => {
  const s = props.shot?.light?.sun;
  return s && s.altitudeDeg > -6 ? s : null;
});
const derivedFilm = useDerivedFilm();
/** Wind to gusts in whole steps of their unit. */
const wind = computed(() => {
  const [from, to] = [props.place.windMs, props.place.gustMs].map((v) =>
    write(v, 'speed', derivedFilm.units),
  );
  return `${from?.number ?? ''}–${to?.number ?? ''} ${to?.unit ?? ''}`;
});
</script>

<template>
  <svg
    class="signs"
    width="132"
    height="56"
    viewBox="0 0 132 56"
    role="img"
    :aria-label="
      tr('northIsUpWindFrom', {
        windFromDeg: fixed(place.windFromDeg, 0),
        wind: writeText(place.windMs, 'speed', derivedFilm.units),
        azimuthDeg: sun ? ` ${tr('sunAtBearingAzimuthDeg', { azimuthDeg: fixed(sun.azimuthDeg, 0) })}` : '',
      })
    "
  >
    <g transform="translate(112 22)">
      <path class="north" d="M0 -14L5 8L0 4L-5 8z" />
      <text y="28" text-anchor="middle">{{ tr('n') }}</text>
    </g>
    <g transform="translate(70 20)">
      <path class="arrow" :transform="`rotate(${place.windFromDeg + 180})`" d="M0 12V-10M-4 -5L0 -11L4 -5" />
      <text y="30" text-anchor="middle">{{ wind }}</text>
    </g>
    <g v-if="sun" transform="translate(24 20)">
      <g :transform="`rotate(${sun.azimuthDeg})`">
        <circle class="disc" r="4.5" cy="-10" />
        <path class="arrow" d="M0 12V-4" />
      </g>
      <text y="30" text-anchor="middle">
        {{
          tr(sun.altitudeDeg < 0 ? 'sunBelow' : 'sunAltitudeDeg', {
            altitudeDeg: fixed(Math.abs(sun.altitudeDeg), 0),
          })
        }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.signs {
  position: absolute;
  right: 8px;
  top: 6px;
  pointer-events: none;
  background: color-mix(in srgb, var(--bench) 72%, transparent);
}
.north,
.disc {
  fill: var(--chalk);
}
.arrow {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.8;
}
text {
  fill: var(--chalk);
  font-size: 11px;
  font-stretch: 82%;
}
</style>

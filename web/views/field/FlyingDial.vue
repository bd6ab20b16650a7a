<script setup lang="ts">
import { lightLeft } from '@core/field';
import type { LocationPlan } from '@core/day';
import type { DerivedShot } from '@core/film';
import type { FlightExposure, SettingAt } from '@core/light-timeline';
import { clockText, dateIn, MINUTE_MS } from '@core/time';
import { computed } from 'vue';
import { apertureText, sensingChoices, shutterText, WISH_WORDS } from '../../format';
import { useFilm } from '../../stores/film';
import { useLightPlace } from '../light/useLightPlace';
import { tr } from './messages';

/** What is dialled in for this shot: setting of its minute, light that is left, filter, card. */
const props = defineProps<{
  shot: DerivedShot;
  place: LocationPlan;
  /** Of the flight it is in. */
  exposure: FlightExposure | null;
  card: string | null;
  nowMs: number;
}>();
const store = useFilm();
const { filterName } = useLightPlace();
const zone = computed(() => props.place.location.zone);
const dialled = computed(() => {
  const row = props.exposure?.rows.find((r) => r.shotId === props.shot.facts.shot.id);
  const said = ({ choice }: SettingAt): string | null =>
    choice
      ? tr('apertureShutterSISOIso', {
          aperture: apertureText(choice.aperture),
          shutterS: shutterText(choice.shutterS),
          iso: choice.iso,
        })
      : null;
  if (!row) return null;
  const [start, end] = [said(row.start), said(row.end)];
  return { at: clockText(row.start.utcMs, zone.value), start, end: end !== start ? end : null };
});
/** Light for this shot, to the minute; on the day itself only. */
const light = computed<{ text: string; gone?: true } | null>(() => {
  const { place, shot, nowMs } = props;
  if (!store.input || dateIn(nowMs, zone.value) !== place.location.date) return null;
  const left = lightLeft(store.input, place, shot, Math.floor(nowMs / MINUTE_MS) * MINUTE_MS);
  if (!left) return null;
  if (left.state === 'now')
    return { text: tr('floorMinLeft', { floor: Math.floor((left.toMs - nowMs) / MINUTE_MS) }) };
  return left.state === 'later'
    ? { text: tr('fromFromMs', { fromMs: clockText(left.fromMs, zone.value) }) }
    : { text: tr('lightGone'), gone: true };
});
</script>

<template>
  <dl class="dial">
    <dt>{{ tr('exposure') }}</dt>
    <dd>
      <b>{{ dialled?.start ?? tr('noSetting') }}</b><span v-if="dialled?.end" class="quiet">
        {{ tr('toEndAtTheEnd', { end: dialled.end }) }}</span
      ><span v-if="dialled" class="quiet"> {{ tr('fromAt', { at: dialled.at }) }}</span>
    </dd>
    <template v-if="light">
      <dt>{{ WISH_WORDS[shot.facts.shot.wants] }}</dt>
      <dd :class="{ fault: light.gone }">
        <b>{{ light.text }}</b>
      </dd>
    </template>
    <dt>{{ tr('filter') }}</dt>
    <dd>
      <b>{{ shot.filter ? filterName(shot.filter.filterId, shot.filter.stops) : tr('nonePlanned') }}</b>
    </dd>
    <template v-if="shot.facts.shot.sensing">
      <dt>{{ tr('sensing') }}</dt>
      <dd :class="{ fault: shot.facts.shot.sensing === 'off' }">
        <b>{{ sensingChoices().find((s) => s.value === shot.facts.shot.sensing)?.label }}</b>
      </dd>
    </template>
    <dt>{{ tr('card') }}</dt>
    <dd>
      <b>{{ store.get('card', card ?? '')?.name ?? tr('nonePlanned') }}</b>
    </dd>
  </dl>
</template>

<style scoped>
.dial {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  margin: 12px 0;
  align-items: baseline;
}
.dial dt {
  color: var(--chalk-2);
}
.dial dd {
  margin: 0;
}
.dial .quiet {
  margin-inline-start: 0.35em;
}
.dial b {
  font-size: 24px;
  font-weight: 640;
}
</style>

<script setup lang="ts">
import { conditionsOf, type LocationLight } from '@core/shot';
import { exposurePlan, type FlightExposure, type SettingAt } from '@core/light-timeline';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { computed, ref, watch } from 'vue';
import { apertureText, counted, fixed, MARK_WORDS, shutterText } from '../../format';
import Fig from '../../parts/Fig.vue';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import FilterLine from './FilterLine.vue';
import HoldCurve from './HoldCurve.vue';
import { useLightPlace } from './useLightPlace';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; derived: DerivedFilm; lit: LocationLight }>();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const { filterName, packName } = useLightPlace();
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const plan = computed<FlightExposure[]>(() =>
  exposurePlan(props.place, props.derived.shots, derivedFilm.along, props.lit),
);
const open = ref(0);
watch(
  () => props.place.location.id,
  () => {
    open.value = 0;
  },
);
const setting = (s: SettingAt): string =>
  s.choice
    ? `${apertureText(s.choice.aperture)} · ${shutterText(s.choice.shutterS)} · ${s.choice.iso}`
    : tr('noSetting');
const marks = (...list: SettingAt[]): string =>
  [...new Set(list.flatMap((s) => s.choice?.marks ?? []))].map((m) => MARK_WORDS[m]).join(', ');
const same = (a: SettingAt, b: SettingAt): boolean => setting(a) === setting(b);
const titleOf = (id: string): string => props.derived.shots.get(id)?.facts.shot.title || tr('noNameYet');
const numberOf = (id: string): number => props.derived.shots.get(id)?.number ?? 0;
/** Landings for a filter over the whole place. */
const landings = computed(() => plan.value.reduce((n, f) => n + Math.max(0, f.parts.length - 1), 0));
const print = (): void => window.print();
</script>

<template>
  <div class="plan">
    <header class="top">
      <p v-if="plan.length > 0" class="sum">
        {{ counted(plan.length, 'flight') }},
        {{
          landings === 0
            ? tr('eachWithOneFilterFrom')
            : tr('landingsToChangeAFilter', { landings: counted(landings, 'landing') })
        }}.
      </p>
      <button class="btn no-print" @click="print">{{ tr('print') }}</button>
    </header>
    <p v-if="plan.length === 0" class="quiet">
      {{ tr('noFlightsHereYetShots') }}
    </p>
    <section
      v-for="f in plan"
      :key="f.index"
      class="flight"
      :aria-label="tr('flightIndex', { index: f.index + 1 })"
    >
      <header>
        <h2>
          {{ clock(f.flight.startMs) }}
          <span class="quiet">{{
            tr('toClockOnPackName', { clock: clock(f.flight.endMs), packName: packName(f.flight.packId) })
          }}</span>
        </h2>
        <FilterLine
          v-for="(p, i) in f.parts"
          :key="i"
          :part="p"
          :zone="place.location.zone"
          :first="i === 0"
          :name="filterName"
        />
        <button
          class="btn bare no-print"
          :aria-expanded="open === f.index"
          @click="open = open === f.index ? -1 : f.index"
        >
          {{ open === f.index ? tr('hideTheCurve') : tr('curve') }}
        </button>
      </header>
      <HoldCurve
        v-if="open === f.index"
        :flight="f"
        :place="place"
        :conditions="conditionsOf(lit)"
        :name="filterName"
      />
      <div
        class="scroll"
        tabindex="0"
        role="region"
        :aria-label="tr('settingsOfFlightIndex', { index: f.index + 1 })"
      >
        <table>
          <thead>
            <tr>
              <th scope="col">{{ tr('shot') }}</th>
              <th scope="col">{{ tr('from') }}</th>
              <th scope="col">{{ tr('inTheFrame') }}</th>
              <th scope="col">{{ tr('start') }}</th>
              <th scope="col">{{ tr('middle') }}</th>
              <th scope="col">{{ tr('end') }}</th>
              <th scope="col">{{ tr('shutter') }}</th>
              <th scope="col">{{ tr('lightMoves') }}</th>
              <th scope="col" />
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="r in f.rows"
              :key="r.shotId"
              :class="{ lands: r.lands }"
              :data-row="numberOf(r.shotId)"
            >
              <th scope="row">
                <RouterLink
                  :to="{ name: 'shots' }"
                  @click="
                    selection.pick(r.shotId);
                    selection.facet = 'exposure';
                  "
                  ><b>{{ numberOf(r.shotId) }}</b> {{ titleOf(r.shotId) }}</RouterLink
                >
              </th>
              <td>{{ clock(r.start.utcMs) }}</td>
              <td><Fig :value="r.start.ev100" quantity="ev" /></td>
              <td class="set">{{ setting(r.start) }}</td>
              <td class="set">{{ same(r.middle, r.start) ? '=' : setting(r.middle) }}</td>
              <td class="set">{{ same(r.end, r.middle) ? '=' : setting(r.end) }}</td>
              <td><Fig :value="r.start.choice?.shutterAngleDeg ?? NaN" quantity="degrees" /></td>
              <td>
                {{ r.stopsPerMinute >= 0 ? '+' : '−' }}{{ fixed(Math.abs(r.stopsPerMinute), 2)
                }}<span class="unit">{{ tr('stopsMin') }}</span>
              </td>
              <td class="mark">
                {{ r.lands ? tr('landBeforeIt') : '' }} {{ marks(r.start, r.middle, r.end) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <p class="faint">
      {{ tr('apertureShutterISOAFilter') }}
    </p>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 14px;
  align-content: start;
  min-width: 0;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.sum {
  font-size: 16px;
  font-weight: 620;
}
.flight {
  display: grid;
  gap: 6px;
  min-width: 0;
  border-top: 2px solid var(--line);
  padding-top: 8px;
}
.flight header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  align-items: center;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-stretch: 92%;
}
th,
td {
  text-align: left;
  padding: 4px 12px 4px 0;
  white-space: nowrap;
  font-weight: 400;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  color: var(--chalk-2);
  font-size: 12px;
}
th a {
  color: inherit;
  text-decoration: none;
}
th a:hover {
  text-decoration: underline;
}
.set {
  font-weight: 560;
}
.mark {
  color: var(--care);
}
.lands > * {
  border-top: 2px dashed var(--care);
}
@media print {
  .flight {
    break-inside: avoid;
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { conditionsOf, type LocationLight } from '@core/shot';
import { rampSteps, rampWhy } from '@core/exposure';
import type { FlightExposure, SettingAt } from '@core/light-timeline';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { computed, ref, watch } from 'vue';
import { apertureText, counted, fixed, MARK_WORDS, shutterText } from '../../format';
import { useMessages } from '../../composables/useMessages';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import InPieces from '../../parts/InPieces.vue';
import Fig from '../../parts/Fig.vue';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import FilterLine from './FilterLine.vue';
import HoldCurve from './HoldCurve.vue';
import { useExposures } from './useExposures';
import { useLightPlace } from './useLightPlace';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; derived: DerivedFilm; lit: LocationLight }>();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const { filterName, packName } = useLightPlace();
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const plan = useExposures(() => ({
  place: props.place,
  shots: props.derived.shots,
  kit: derivedFilm.along,
  lit: props.lit,
}));
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
/** A time-lapse has an interval, not an angle. */
const angleOf = (r: FlightExposure['rows'][number]): number =>
  r.ramp ? NaN : (r.start.choice?.shutterAngleDeg ?? NaN);
const COLUMNS = computed<TableColumn[]>(() => [
  { key: 'shot', label: tr('shot'), minWidth: 170 },
  { key: 'from', label: tr('from'), width: 64 },
  { key: 'inTheFrame', label: tr('inTheFrame'), width: 84 },
  { key: 'start', label: tr('start'), width: 150 },
  { key: 'middle', label: tr('middle'), width: 150 },
  { key: 'end', label: tr('end'), width: 150 },
  { key: 'shutter', label: tr('shutter'), width: 74 },
  { key: 'lightMoves', label: tr('lightMoves'), width: 120 },
  { key: 'mark', label: tr('findings'), minWidth: 130 },
]);
const { text } = useMessages();
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
      <ElButton class="btn no-print" @click="print">{{ tr('print') }}</ElButton>
    </header>
    <p v-if="place.flights.length === 0" class="quiet">
      {{ tr('noFlightsHereYetShots') }}
    </p>
    <InPieces :key="place.location.id" :items="plan" :key-of="(f) => f.index" :size="4" v-slot="{ item: f }">
      <section class="flight" :aria-label="tr('flightIndex', { index: f.index + 1 })">
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
          <ElButton
            class="btn bare no-print"
            :aria-expanded="open === f.index"
            @click="open = open === f.index ? -1 : f.index"
          >
            {{ open === f.index ? tr('hideTheCurve') : tr('curve') }}
          </ElButton>
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
          <DataTable
            :rows="f.rows"
            :columns="COLUMNS"
            :key-of="(r) => r.shotId"
            :class-of="(r) => `shot-${numberOf(r.shotId)}${r.lands ? ' lands' : ''}`"
          >
            <template #shot="{ row: r }">
              <RouterLink
                :to="{ name: 'shots' }"
                @click="
                  selection.pick(r.shotId);
                  selection.facet = 'exposure';
                "
                ><b>{{ numberOf(r.shotId) }}</b> {{ titleOf(r.shotId) }}</RouterLink
              >
            </template>
            <template #from="{ row: r }">{{ clock(r.start.utcMs) }}</template>
            <template #inTheFrame="{ row: r }"><Fig :value="r.start.ev100" quantity="ev" /></template>
            <template #start="{ row: r }"
              ><span class="set">{{ setting(r.start) }}</span></template
            >
            <template #middle="{ row: r }"
              ><span class="set">{{ same(r.middle, r.start) ? '=' : setting(r.middle) }}</span></template
            >
            <template #end="{ row: r }"
              ><span class="set">{{ same(r.end, r.middle) ? '=' : setting(r.end) }}</span></template
            >
            <template #shutter="{ row: r }"><Fig :value="angleOf(r)" quantity="degrees" /></template>
            <template #lightMoves="{ row: r }"
              >{{ r.stopsPerMinute >= 0 ? '+' : '−' }}{{ fixed(Math.abs(r.stopsPerMinute), 2)
              }}<span class="unit">{{ tr('stopsMin') }}</span></template
            >
            <template #mark="{ row: r }"
              ><span class="mark"
                >{{ r.lands ? tr('landBeforeIt') : '' }} {{ marks(r.start, r.middle, r.end) }}</span
              ></template
            >
          </DataTable>
        </div>
        <template v-for="r in f.rows" :key="r.shotId">
          <p v-if="r.ramp" class="ramp" :data-ramp="numberOf(r.shotId)">
            <b>{{ tr('rampOf', { number: numberOf(r.shotId) }) }}</b> {{ text(rampSteps(r.ramp)) }}
            <span class="quiet">{{ text(rampWhy(r.ramp)) }}</span>
          </p>
        </template>
      </section>
    </InPieces>
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
.flight a {
  color: inherit;
  text-decoration: none;
}
.flight a:hover {
  text-decoration: underline;
}
.set {
  font-weight: 560;
}
.mark {
  color: var(--care);
}
:deep(.lands > td) {
  border-top: 2px dashed var(--care);
}
.ramp {
  max-width: 100ch;
}
@media print {
  .flight {
    break-inside: avoid;
  }
}
</style>

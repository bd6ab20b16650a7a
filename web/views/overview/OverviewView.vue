<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import { daysOf, nextSteps, type DayOverview, type NextStep } from '@core/overview';
import { bySeverity } from '@core/warnings';
import { clockText } from '@core/time';
import { computed } from 'vue';
import { useDeferred } from '../../composables/deferred';
import { useVerdict } from '../../composables/useVerdict';
import { counted, dateText } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import Fig from '../../parts/Fig.vue';
import InTurn from '../../parts/InTurn.vue';
import InPieces from '../../parts/InPieces.vue';
import MarkSign from '../../parts/MarkSign.vue';
import PathThumb from '../../parts/PathThumb.vue';
import VerdictLine from '../../parts/VerdictLine.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

const store = useFilm();
const derivedFilm = useDerivedFilm();
const findings = useFindings();
const selection = useSelection();
const verdicts = useVerdict();
const film = computed(() => store.film);
const verdict = useDeferred(() => verdicts.film.value);
const days = useDeferred(() => (derivedFilm.derived ? daysOf(derivedFilm.derived) : []));
const budget = useDeferred(() => derivedFilm.derived?.budget ?? null);

/** What to do for a step, and the view to do it in. */
const STEPS: Readonly<Record<NextStep['code'], { view: string; say: (n: number) => string }>> = {
  brief: { view: 'brief', say: () => tr('writeDownWhatTheFilm') },
  aircraft: { view: 'kit', say: () => tr('enterAnAircraftWithIts') },
  pack: { view: 'kit', say: () => tr('enterTheBatteryPacks') },
  location: { view: 'locations', say: () => tr('addTheFirstLocation') },
  coordinates: {
    view: 'locations',
    say: (n) => tr('giveLocationsCoordinatesSunWind', { locations: counted(n, 'location') }),
  },
  shots: { view: 'shots', say: () => tr('addTheFirstShot') },
  mend: { view: 'shots', say: (n) => tr('makeShotsFit', { shots: counted(n, 'shot') }) },
  typical: {
    view: 'kit',
    say: (n) => tr('replaceTypicalFiguresOfTheKit', { typicalFigures: counted(n, 'typical figure') }),
  },
  warnings: { view: 'shots', say: (n) => tr('readWarnings', { warnings: counted(n, 'warning') }) },
  checks: { view: 'checks', say: () => tr('goThroughTheChecksOf') },
  copy: { view: 'checks', say: () => tr('copyTheCardsAndRead') },
};
const steps = computed(() =>
  store.input && verdict.value && verdict.value.state !== 'unknown'
    ? nextSteps(store.input, verdict.value).slice(0, 3)
    : [],
);
/** Shots of a day in the order of its locations. */
const shotsOn = (day: DayOverview): readonly DerivedShot[] =>
  day.locations.flatMap((l) =>
    [...(derivedFilm.derived?.shots.values() ?? [])].filter((s) => s.facts.location.id === l.id),
  );
const worstOf = (shot: DerivedShot) => bySeverity(findings.about(shot))[0]?.severity ?? null;
const zoneOf = (id: string): string => store.get('location', id)?.zone ?? 'UTC';
const clock = (ms: number, id: string): string => clockText(ms, zoneOf(id));
const COLUMNS = computed<TableColumn[]>(() => [
  { key: 'location', label: tr('location'), minWidth: 120 },
  { key: 'time', label: tr('time'), width: 112 },
  { key: 'shots', label: tr('shots'), width: 70, figure: true },
  { key: 'must', label: tr('must'), width: 62, figure: true, wideOnly: true },
  { key: 'done', label: tr('done'), width: 70, figure: true },
  { key: 'flights', label: tr('flights'), width: 66, figure: true },
]);
</script>

<template>
  <main v-if="film" class="overview scroll" tabindex="-1">
    <section class="sheet lead" aria-labelledby="overview-title">
      <h1 id="overview-title" dir="auto">{{ film.name }}</h1>
      <p v-if="film.purpose" class="purpose" dir="auto">{{ film.purpose }}</p>
      <dl class="facts">
        <template v-if="film.audience"
          ><dt>{{ tr('client') }}</dt>
          <dd dir="auto">{{ film.audience }}</dd></template
        >
        <template v-if="film.deadline"
          ><dt>{{ tr('deadline') }}</dt>
          <dd>{{ dateText(film.deadline) }}</dd></template
        >
        <dt>{{ tr('mainCut') }}</dt>
        <dd>
          <Fig :value="film.cutLengthS" quantity="seconds" />{{
            tr('aspectTimelineFpsFps', { aspect: film.aspect, timelineFps: film.timelineFps })
          }}
        </dd>
        <template v-for="v in film.versions" :key="v.name"
          ><dt dir="auto">{{ v.name }}</dt>
          <dd>
            <Fig :value="v.lengthS" quantity="seconds" />{{
              tr('aspectFpsFps', { aspect: v.aspect, fps: v.fps })
            }}
          </dd></template
        >
        <template v-if="film.stillsCount > 0"
          ><dt>{{ tr('stills') }}</dt>
          <dd>{{ film.stillsCount }}</dd></template
        >
        <template v-if="budget"
          ><dt>{{ tr('plannedForTheCut') }}</dt>
          <dd><Fig :value="budget.timelineS" quantity="seconds" /></dd
        ></template>
      </dl>
    </section>
    <section class="sheet now" aria-labelledby="verdict-title">
      <h2 id="verdict-title">{{ tr('verdict') }}</h2>
      <VerdictLine v-if="verdict" :verdict="verdict" :most="3" />
      <h2 v-if="steps.length > 0">{{ tr('next') }}</h2>
      <ol class="steps">
        <li v-for="s in steps" :key="s.code">
          <RouterLink :to="{ name: STEPS[s.code].view, params: { film: film.id } }">{{
            STEPS[s.code].say(s.count)
          }}</RouterLink>
        </li>
      </ol>
    </section>
    <InTurn v-for="d in days" :key="d.date"
      ><section class="sheet day" :aria-label="dateText(d.date)">
        <header>
          <h2>{{ dateText(d.date) }}</h2>
          <span class="sums"
            >{{ counted(d.flights, 'flight') }} · <Fig :value="d.airborneS / 60" quantity="minutes" /> ·
            {{ counted(d.packs, 'pack') }} · <Fig :value="d.bytes / 1e9" quantity="gigabytes"
          /></span>
        </header>
        <DataTable :rows="d.locations" :columns="COLUMNS" :key-of="(l) => l.id">
          <template #location="{ row: l }"
            ><RouterLink dir="auto" :to="{ name: 'flights', params: { film: film.id, location: l.id } }">{{
              l.name
            }}</RouterLink></template
          >
          <template #time="{ row: l }"
            ><span class="when">{{ clock(l.fromMs, l.id) }}–{{ clock(l.toMs, l.id) }}</span></template
          >
          <template #shots="{ row: l }">{{ l.shots }}</template>
          <template #must="{ row: l }">{{ l.musts }}</template>
          <template #done="{ row: l }">{{ l.done }}</template>
          <template #flights="{ row: l }">{{ l.flights }}</template>
        </DataTable>
        <div class="paths">
          <InPieces :items="shotsOn(d)" :key-of="(s) => s.facts.shot.id" :size="12" v-slot="{ item: s }">
            <RouterLink
              :to="{ name: 'shots', params: { film: film.id } }"
              class="shot"
              :title="s.facts.shot.title"
              :aria-label="tr('shotNumberTitle', { number: s.number, title: s.facts.shot.title })"
              @click="selection.pick(s.facts.shot.id)"
              ><b>{{ s.number }}</b
              ><PathThumb :flown="s.facts.trajectory" :subject="s.facts.aim" /><MarkSign
                :severity="worstOf(s)"
            /></RouterLink>
          </InPieces>
        </div></section
    ></InTurn>
    <p v-if="days.length === 0" class="sheet quiet">
      {{ tr('noLocationYet') }}
      <RouterLink :to="{ name: 'locations', params: { film: film.id } }">{{ tr('addOne') }}</RouterLink>
      {{ tr('toSeeTheDaysOf') }}
    </p>
  </main>
</template>

<style scoped>
.overview {
  padding: 20px 24px 40px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 460px), 1fr));
  gap: 16px;
  align-content: start;
}
.sheet {
  background: var(--slab);
  padding: 14px 18px 16px;
  min-width: 0;
}
.purpose {
  margin: 4px 0 10px;
  max-width: 70ch;
}
.facts {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 18px;
  margin: 0;
}
.facts dt {
  color: var(--chalk-2);
}
.facts dd {
  margin: 0;
}
.steps {
  margin: 6px 0 0;
  padding-left: 22px;
  list-style: decimal;
}
.steps li {
  padding: 3px 0;
}
.now h2:not(:first-child) {
  margin-top: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 16px;
  margin-bottom: 6px;
}
.when {
  white-space: nowrap;
}
.paths {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 12px;
}
.shot {
  position: relative;
  display: grid;
  grid-auto-flow: column;
  gap: 2px;
  padding: 3px 8px 4px 6px;
  background: var(--slab-2);
  text-decoration: none;
  clip-path: polygon(0 0, calc(100% - 9px) 0, 100% 9px, 100% 100%, 0 100%);
}
.shot:hover {
  background: var(--slab-3);
}
.shot b {
  min-width: 17px;
  font-size: 13px;
}
.shot .mark {
  position: absolute;
  right: 5px;
  bottom: 5px;
}
a {
  color: var(--chalk);
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { clockText, dateIn, dayText } from '@core/time';
import { computed } from 'vue';
import { RECORD_FIELDS, type RecordField } from '../../exchange/flight-records';
import { fixed } from '../../format';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import LineMap from '../rehearse/LineMap.vue';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';
import { useFlightRecord } from './useFlightRecord';

/** A flight as a track or a table tells it: which flight it was, what it says, how far it was off the plan. */
const derivedFilm = useDerivedFilm();
const { fault, file, table, columns, column, zone, read, match, lines, takes, add } = useFlightRecord();
const FIELD_WORDS: Readonly<Record<RecordField, string>> = {
  get time() {
    return tr('time');
  },
  get latitude() {
    return tr('latitude');
  },
  get longitude() {
    return tr('longitude');
  },
  get height() {
    return tr('height');
  },
  get share() {
    return tr('charge');
  },
};
const headings = computed(() => [
  { value: null as string | null, label: tr('notInTheFile') },
  ...(table.value?.headings ?? []).map((h) => ({ value: h as string | null, label: h })),
]);
const percent = (share: number | null): string => (share === null ? '–' : `${Math.round(100 * share)} %`);
const nameOf = (shotId: string): string => {
  const shot = derivedFilm.derived?.shots.get(shotId);
  return shot ? `${shot.number} ${shot.facts.shot.title}`.trim() : '';
};
</script>

<template>
  <section aria-labelledby="record-title">
    <header class="head">
      <h2 id="record-title">{{ tr('flightRecordUpper') }}</h2>
      <FileButton :label="tr('chooseAFile')" accept=".gpx,.csv,.txt,.tsv" @files="([file]) => read(file)" />
    </header>
    <p v-if="!file" class="quiet">{{ tr('aTrackGPXOrA') }}</p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <div v-if="table && columns && (fault || !match)" class="columns-of">
      <PickField
        v-for="f in RECORD_FIELDS"
        :key="f"
        :label="FIELD_WORDS[f]"
        :value="columns[f]"
        :options="headings"
        :save="(h) => column(f, h)"
      />
    </div>
    <div v-if="match" class="found">
      <dl>
        <dt>{{ tr('takeOff') }}</dt>
        <dd>
          {{ dayText(dateIn(match.figures.takeOffMs, match.location?.zone ?? zone)) }},
          {{ clockText(match.figures.takeOffMs, match.location?.zone ?? zone) }}
        </dd>
        <dt>{{ tr('inTheAir') }}</dt>
        <dd>
          {{ tr('minutesMin', { minutes: fixed(match.figures.minutes, 1) }) }}
          <Fig :value="match.figures.metres" quantity="metres" />
        </dd>
        <dt>{{ tr('farthestHighest') }}</dt>
        <dd>
          <Fig :value="match.figures.farthestM" quantity="metres" />,
          <Fig
            v-if="match.figures.highestM !== null"
            :value="match.figures.highestM"
            quantity="metres"
          /><template v-else>{{ tr('heightNotInTheFile') }}</template>
        </dd>
        <dt>{{ tr('charge') }}</dt>
        <dd>
          {{
            tr('percentToPercent2', {
              percent: percent(match.figures.startShare),
              percent2: percent(match.figures.endShare),
            })
          }}
        </dd>
        <dt>{{ tr('flight') }}</dt>
        <dd>
          <template v-if="match.entry">{{ tr('inTheLogAlready') }}</template>
          <template v-else-if="match.flight && match.location">{{
            tr('namePlannedStartMs', {
              name: match.location.name,
              startMs: clockText(match.flight.startMs, match.location.zone),
            })
          }}</template>
          <template v-else>{{ tr('noPlannedFlightIsNear') }}</template>
        </dd>
        <template v-if="lines?.off && match.flight">
          <dt>{{ tr('offThePlan') }}</dt>
          <dd>
            <Fig :value="lines.off.meanM" quantity="metres" /> {{ tr('onAverageAtMost') }}
            <Fig :value="lines.off.farthestM" quantity="metres" />
          </dd>
        </template>
      </dl>
      <LineMap
        v-if="lines"
        :planned="lines.planned"
        :flown="lines.flown"
        :now="null"
        :heading-deg="0"
        from="above"
        :width="220"
        :height="170"
      />
    </div>
    <template v-if="takes.length > 0">
      <h3>{{ tr('takesInTheRecord') }}</h3>
      <ul class="takes">
        <li v-for="t in takes" :key="t.id" :class="{ corrected: t.corrections.length > 0 }">
          <b>{{ nameOf(t.shotId) }}</b>
          <span class="quiet">{{ clockText(t.endMs, match?.location?.zone ?? zone) }}</span>
          <span>{{ tr('offItsLine') }} <Fig :value="t.deviation.farthestM" quantity="metres" /></span>
          <span v-if="t.corrections.length === 0" class="quiet">{{ tr('noCorrection') }}</span>
          <span v-for="(c, i) in t.corrections" :key="i" class="why"
            >{{ tr('correctedAt', { second: Math.round(c.atS), way: c.way }) }}
            <Fig :value="c.byM" quantity="metres"
          /></span>
        </li>
      </ul>
    </template>
    <ElButton v-if="match?.flight" class="btn lead" @click="add">{{ tr('addToLog') }}</ElButton>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.columns-of {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 8px;
}
.found {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 14px;
  margin: 8px 0;
}
.takes {
  list-style: none;
  padding: 0;
  margin: 4px 0 12px;
}
.takes li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 5px 0 5px 8px;
  border-top: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.takes .corrected {
  border-left-color: var(--care);
}
.why {
  color: var(--care);
}
h3 {
  font-size: 15px;
  margin: 10px 0 2px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 14px;
  margin: 0;
  align-content: start;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
}
</style>

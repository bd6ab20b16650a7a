<script setup lang="ts">
import 'element-plus/es/components/segmented/style/css';
import { ElSegmented } from 'element-plus';
import { cutCoverage, inCutOrder, footageLines, type FootageLine } from '@core/handover';
import { clockText } from '@core/time';
import { computed, ref } from 'vue';
import { useDeferred } from '../../composables/deferred';
import { readTakeLog } from '../../exchange/take-log';
import { counted, RATING_WORDS, REASON_WORDS } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import InTurn from '../../parts/InTurn.vue';
import Fig from '../../parts/Fig.vue';
import TextField from '../../parts/TextField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { readTextFile } from '../../exchange/text-file';
import CardPane from './CardPane.vue';
import CopiesPane from './CopiesPane.vue';
import CoverageBoard from './CoverageBoard.vue';
import DocumentList from './DocumentList.vue';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

/** What leaves the application, and which clip on the card is which shot. */
const store = useFilm();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const whole = computed(() =>
  store.input && derivedFilm.derived ? { input: store.input, derived: derivedFilm.derived } : null,
);
const lines = useDeferred(() => (whole.value ? inCutOrder(footageLines(whole.value)) : []));
/** Nothing is said to be missing before every shot has its line. */
const coverage = computed(() =>
  whole.value && lines.value.length === whole.value.derived.order.length
    ? cutCoverage(whole.value, lines.value)
    : null,
);
const shownAs = ref<'board' | 'table'>('board');
const waysToShow = computed(() => [
  { value: 'board' as const, label: tr('asBoard') },
  { value: 'table' as const, label: tr('asTable') },
]);
const missing = computed(() => lines.value.filter((l) => !l.flown.some((t) => t.rating === 'good')));
const stateOf = (l: FootageLine): string => {
  if (l.flown.some((t) => t.rating === 'good')) return 'kept';
  if (l.flown.length > 0) return tr('noGoodTakeYet');
  return l.status === 'done' ? tr('loggedNoTakeNoted') : tr('notFlown');
};
const takes = computed(() => lines.value.reduce((n, l) => n + l.flown.length, 0));
const COLUMNS = computed<TableColumn[]>(() => [
  { key: 'cut', label: tr('cut'), width: 56, figure: true },
  { key: 'shot', label: tr('shot'), minWidth: 140 },
  { key: 'inTheCut', label: tr('inTheCut'), width: 90, figure: true, wideOnly: true },
  { key: 'takes', label: tr('takesAndClips'), minWidth: 220 },
]);
const fault = ref('');
/** The log of a page that was taken along: what is new in it becomes takes, as one step. */
const bringIn = async (file: File): Promise<void> => {
  const log = readTakeLog(await readTextFile(file), store.filmId, store.list('shot'), store.list('take'));
  fault.value = log.ok ? '' : tr('nameIsNotBroughtIn', { name: file.name, reason: log.reason });
  if (!log.ok) return;
  const { takes: fresh, known, strange } = log.value;
  const faults =
    fresh.length > 0
      ? store.commit(
          tr('logOfTakes'),
          fresh.map((t) => ({ kind: 'take' as const, id: t.id, after: t })),
        )
      : [];
  fault.value = faults[0]?.say ?? '';
  selection.say(
    tr('takesBroughtInKnownThere', {
      takes: counted(fresh.length, 'take'),
      known,
      strange: strange > 0 ? tr('strangeOfShotsThatAre', { strange }) : '',
    }),
  );
};
</script>

<template>
  <main class="footage scroll" tabindex="-1">
    <h1 class="sr">{{ tr('footage') }}</h1>
    <DocumentList :film="store.filmId" />
    <div class="clips">
      <InTurn><CardPane :lines="lines" /></InTurn>
      <InTurn><CopiesPane /></InTurn>
      <section class="sheet" aria-labelledby="takes-title">
        <header>
          <h2 id="takes-title">{{ tr('clipsByShot') }}</h2>
          <ElSegmented v-model="shownAs" :options="waysToShow" :aria-label="tr('howClipsAreShown')" />
          <FileButton
            :label="tr('bringInALog')"
            accept="application/json,.json"
            @files="([file]) => bringIn(file)"
          />
          <span class="quiet">{{
            tr('takesShotsWithoutAGood', {
              takes: counted(takes, 'take'),
              shots: counted(missing.length, 'shot'),
            })
          }}</span>
        </header>
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <p v-if="coverage?.places.length === 0" class="quiet">
          {{ tr('noShotYetWhatIs') }}
        </p>
        <InTurn v-else-if="coverage && shownAs === 'board'"><CoverageBoard :coverage="coverage" /></InTurn>
        <DataTable
          v-else-if="lines.length > 0"
          :rows="lines"
          :columns="COLUMNS"
          :key-of="(l) => l.id"
          :class-of="(l) => (stateOf(l) === 'kept' ? 'kept' : '')"
        >
          <template #cut="{ row: l }">{{ l.cut }}</template>
          <template #shot="{ row: l }"
            ><b>{{ l.number }}</b> <span dir="auto">{{ l.title || tr('untitled') }}</span></template
          >
          <template #inTheCut="{ row: l }"><Fig :value="l.timelineS" quantity="seconds" /></template>
          <template #takes="{ row: l }">
            <span v-if="l.flown.length === 0 || stateOf(l) !== 'kept'" class="quiet state">{{
              stateOf(l)
            }}</span>
            <div v-for="(t, i) in l.flown" :key="t.id" class="take">
              <span class="which"
                ><b>{{ i + 1 }}</b> {{ clockText(t.utcMs, l.zone) }} {{ RATING_WORDS[t.rating]
                }}{{ t.reversed ? tr('reversed') : ''
                }}{{ t.reason ? `, ${REASON_WORDS[t.reason]}` : '' }}</span
              >
              <TextField
                :label="tr('clipOfTakeValueOf', { value: i + 1, number: l.number })"
                :value="t.clip"
                bare
                :placeholder="tr('clipNameOnTheCard')"
                :save="(clip) => store.edit('take', t.id, { clip }, tr('clipName'))"
              />
              <TextField
                :label="tr('notesOnTakeValueOf', { value: i + 1, number: l.number })"
                :value="t.notes"
                bare
                :placeholder="tr('notesForTheEdit')"
                :save="(notes) => store.edit('take', t.id, { notes }, tr('takeNotes'))"
              />
            </div>
          </template>
        </DataTable>
      </section>
    </div>
  </main>
</template>

<style scoped>
.footage {
  padding: 18px 20px 40px;
  display: grid;
  grid-template-columns: minmax(300px, 380px) 1fr;
  gap: 16px;
  align-items: start;
}
.sheet {
  background: var(--slab);
  padding: 14px 18px 16px;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 16px;
}
:deep(td) {
  vertical-align: top;
}
.state {
  display: block;
  font-size: 13px;
}
.take {
  display: grid;
  grid-template-columns: minmax(130px, auto) 1fr 1fr;
  gap: 8px;
  align-items: center;
}
.which {
  font-size: 13.5px;
}
@media (max-width: 1000px) {
  .footage {
    grid-template-columns: 1fr;
    padding: 10px;
  }
  .take {
    grid-template-columns: 1fr;
  }
}
</style>

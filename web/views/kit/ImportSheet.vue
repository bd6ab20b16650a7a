<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { grouped } from '../../format';
import { changeTo, newRow, type Entity } from '@core/model';
import { generateKeyBetween } from 'fractional-indexing';
import { inOrder } from '@core/units';
import { computed, ref, shallowRef, watch } from 'vue';
import { saveFile } from '../../composables/save-file';
import { v4 as uuid } from 'uuid';
import { kitFile, readKitFile, type KitReading } from '../../exchange/kit-file';
import { readSheet, type Sheet } from '../../exchange/sheet-file';
import {
  columnNames,
  guessMapping,
  MOST_ROWS,
  readTable,
  writeTable,
  type Mapping,
  type TableBase,
  type TableKind,
  type TableRow,
} from '../../exchange/tables';
import Disclosure from '../../parts/Disclosure.vue';
import PickField from '../../parts/PickField.vue';
import { cardAsStored, cardsNowOf, footageFault } from '../../composables/card-log';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { withCells } from '../../exchange/shot-cells';
import { readTextFile } from '../../exchange/text-file';
import { newShot } from '../../composables/new-shot';
import { validateRow } from '../../sync/validation';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

/** Kit and checks as a file, packs, cards and shots as tables: out, and in with a look at what would change. */
const film = useFilm();
const selection = useSelection();
const kind = ref<TableKind>('pack');
const KINDS = [
  {
    value: 'pack' as const,
    get label() {
      return tr('packs');
    },
  },
  {
    value: 'card' as const,
    get label() {
      return tr('cards');
    },
  },
  {
    value: 'shot' as const,
    get label() {
      return tr('shotsOfThisFilm');
    },
  },
];
const rows = shallowRef<TableRow[] | null>(null);
const sheet = shallowRef<Sheet | null>(null);
const mapping = shallowRef<Mapping>([]);
/** Location of shots whose sheet has no column for it. */
const placeName = ref('');
const kit = shallowRef<KitReading | null>(null);
const fault = ref('');
const from = ref('');
const clear = (): void => {
  rows.value = null;
  sheet.value = null;
  kit.value = null;
  fault.value = '';
};

const names = computed(() => ({
  aircraft: new Map(film.list('aircraft').map((a) => [a.id, a.name])),
  places: new Map(inOrder(film.list('location')).map((l) => [l.id, l.name])),
  subjects: new Map(film.list('subject').map((s) => [s.id, s.name])),
}));
type Shot = Entity<'shot'>;
/** Keys of shots that come in, each after the one before. */
let last = new Map<string, string>();
const freshShot = (fields: Record<string, unknown>): Shot => {
  const placeId = String(fields['locationId']);
  const before =
    last.get(placeId) ??
    inOrder(film.list('shot').filter((s) => s.locationId === placeId)).at(-1)?.position ??
    null;
  const position = generateKeyBetween(before, null);
  last.set(placeId, position);
  return withCells({ ...newShot(film, placeId, position), subjectId: null }, fields);
};
const inUse = (row: object): boolean => !('retired' in row) || row.retired !== true;
/** Cards go out as they stand; what is on them does not come in by a table once it was told otherwise. */
const cardBase = {
  get rows() {
    return cardsNowOf(film).filter(inUse);
  },
  faults: ((of, value) => {
    const say = footageFault(film, value as Entity<'card'>);
    return say === null ? validateRow(of, cardAsStored(film, value as Entity<'card'>)) : [{ say }];
  }) as TableBase['faults'],
};
const base = (of: TableKind): TableBase => {
  const common = {
    kind: of,
    rows: film.list(of).filter(inUse),
    names: names.value,
    faults: validateRow as TableBase['faults'],
    changed: (was: object, fields: object) => ({ ...was, ...fields }),
  };
  if (of === 'shot')
    return { ...common, changed: (was, fields) => withCells(was as Shot, fields), fresh: freshShot };
  if (of === 'card')
    return {
      ...common,
      ...cardBase,
      fresh: (fields) => newRow('card', { ...fields, id: uuid() }),
    };
  return {
    ...common,
    fresh: (fields) => newRow('pack', { ...fields, id: uuid() }),
  };
};
const save = (name: string, text: string, type: string): void => saveFile(name, new Blob([text], { type }));
const saveTable = (): void =>
  save(
    `${kind.value}s.csv`,
    `\uFEFF${writeTable(kind.value, kind.value === 'shot' ? inOrder(film.list('shot')) : base(kind.value).rows, names.value)}`,
    'text/csv',
  );
const saveKit = (): void =>
  save(
    'kit.json',
    JSON.stringify(
      kitFile((k) => film.list(k)),
      null,
      1,
    ),
    'application/json',
  );
/** What the table would change as its columns are understood now. */
const look = (): void => {
  if (!sheet.value) return;
  last = new Map();
  const placeless = kind.value === 'shot' && !mapping.value.includes('place');
  const read = readTable(
    placeless ? { ...base(kind.value), place: placeName.value } : base(kind.value),
    sheet.value,
    mapping.value,
  );
  rows.value = read.ok ? read.value : null;
  fault.value = read.ok ? '' : read.reason;
};
/** A column stands for one heading: what another heading had is free again. */
const mapTo = (index: number, column: string | null): void => {
  mapping.value = mapping.value.map((c, i) => (i === index ? column : c === column ? null : c));
  look();
};
const columnChoices = computed(() => [
  { value: null as string | null, label: tr('notUsed') },
  ...columnNames(kind.value).map((name) => ({ value: name as string | null, label: name })),
]);
/** Whether somebody should look at the columns: the file calls them otherwise, or has more. */
const foreign = computed(() => sheet.value?.heads.some((head, i) => mapping.value[i] !== head) ?? false);
const columnsShown = ref(false);
watch(foreign, (now) => (columnsShown.value ||= now));
const open = async (file: File, as: 'table' | 'kit'): Promise<void> => {
  clear();
  from.value = file.name;
  if (as === 'table') {
    const read = await readSheet(file);
    if (read.ok) {
      sheet.value = read.value;
      mapping.value = guessMapping(kind.value, read.value.heads);
      placeName.value ||= inOrder(film.list('location'))[0]?.name ?? '';
      look();
    } else fault.value = read.reason;
    return;
  }
  const text = await readTextFile(file);
  const read = readKitFile(text, (k) => film.list(k), validateRow as TableBase['faults']);
  if (read.ok) kit.value = read.value;
  else fault.value = read.reason;
};
const counts = computed(() => ({
  new: 0,
  change: 0,
  same: 0,
  fault: 0,
  ...Object.fromEntries(
    (['new', 'change', 'same', 'fault'] as const).map((a) => [
      a,
      rows.value?.filter((r) => r.act === a).length ?? 0,
    ]),
  ),
}));
const shown = computed(() =>
  [...(rows.value ?? [])]
    .filter((r) => r.act !== 'same')
    .sort((a, b) => Number(b.act === 'fault') - Number(a.act === 'fault') || a.line - b.line)
    .slice(0, 60),
);
const bringTable = (): void => {
  const changes = (rows.value ?? []).flatMap((r) =>
    r.after && r.act !== 'same'
      ? [
          changeTo(
            kind.value,
            String(r.after['id']),
            kind.value === 'card' ? cardAsStored(film, r.after as Entity<'card'>) : r.after,
          ),
        ]
      : [],
  );
  const faults = film.commit(tr('bringInATable'), changes);
  if (faults[0]) {
    fault.value = faults[0].say;
    return;
  }
  selection.say(tr('changesBroughtInCtrlZ', { changes: changes.length }));
  clear();
};
const bringKit = (): void => {
  const changes = kit.value?.changes.map((c) => changeTo(c.kind, c.id, c.after)) ?? [];
  const faults = film.commit(tr('bringInKit'), changes);
  if (faults[0]) {
    fault.value = faults[0].say;
    return;
  }
  selection.say(tr('changesThingsBroughtInCtrl', { changes: changes.length }));
  clear();
};
</script>

<template>
  <section class="bring" :aria-label="tr('tablesAndFiles')">
    <div class="do">
      <PickField
        :label="tr('tableOf')"
        :value="kind"
        :options="KINDS"
        :save="
          (v) => {
            kind = v;
            clear();
          }
        "
      />
      <ElButton class="btn" @click="saveTable">{{ tr('saveAsATable') }}</ElButton>
      <FileButton
        :label="tr('bringInATableUpper')"
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
        @files="([file]) => open(file, 'table')"
      />
      <span class="gap" />
      <ElButton class="btn" @click="saveKit">{{ tr('saveKitAndChecks') }}</ElButton>
      <FileButton
        :label="tr('bringInAKitFile')"
        accept=".json,application/json"
        @files="([file]) => open(file, 'kit')"
      />
    </div>
    <p v-if="fault" class="fault" role="alert">
      <b>{{ from }}:</b> {{ tr('faultNothingWasChanged', { fault }) }}
    </p>
    <Disclosure
      v-if="sheet"
      v-model="columnsShown"
      class="columns"
      :label="tr('columnsOfName', { name: from })"
    >
      <ul>
        <li v-for="(head, i) in sheet.heads" :key="i">
          <PickField
            :label="head || tr('columnNumber', { n: i + 1 })"
            :value="mapping[i] ?? null"
            :options="columnChoices"
            :save="(v) => mapTo(i, v)"
          />
          <span class="faint" dir="auto">{{ sheet.lines[0]?.cells[i] }}</span>
        </li>
      </ul>
      <PickField
        v-if="kind === 'shot' && !mapping.includes('place')"
        :label="tr('locationOfAllLines')"
        :value="placeName"
        :options="[...names.places.values()].map((name) => ({ value: name, label: name }))"
        :save="
          (v) => {
            placeName = v;
            look();
          }
        "
      />
    </Disclosure>
    <div v-if="rows" class="look" role="status">
      <p>
        <b>{{ from }}</b>{{
          tr('newNewChangeChangedSame', { new: counts.new, change: counts.change, same: counts.same })
        }}<template v-if="counts.fault > 0"
          >, <b class="stop">{{ tr('faultWithSomethingWrong', { fault: counts.fault }) }}</b>{{
            tr('mendThoseLinesFirstAll')
          }}</template
        >.
      </p>
      <ul class="lines">
        <li v-for="r in shown" :key="r.line" :class="r.act">
          <span class="line">{{ tr('lineLine', { line: r.line }) }}</span>
          <b dir="auto">{{ r.name || tr('withoutAName') }}</b>
          <span v-if="r.act === 'new'">{{ tr('new') }}</span>
          <span>{{ (r.faults.length > 0 ? r.faults : r.changes).join(' · ') }}</span>
        </li>
      </ul>
      <p class="do">
        <ElButton
          class="btn lead"
          :disabled="counts.fault > 0 || counts.new + counts.change === 0"
          @click="bringTable"
        >
          {{ tr('bringInNew', { new: counts.new + counts.change }) }}</ElButton><ElButton
          class="btn"
          @click="clear"
        >
          {{ tr('cancel') }}
        </ElButton>
      </p>
    </div>
    <div v-if="kit" class="look" role="status">
      <p>
        <b>{{ from }}</b>{{
          tr('changesNewChanges2ChangedSame', {
            changes: kit.changes.filter((c) => c.act === 'new').length,
            changes2: kit.changes.filter((c) => c.act === 'change').length,
            same: kit.same,
          })
        }}<template v-if="kit.faults.length > 0"
          >, <b class="stop">{{ tr('faultsWithSomethingWrong', { faults: kit.faults.length }) }}</b>{{
            tr('allOfItComesIn')
          }}</template
        >.
      </p>
      <ul class="lines">
        <li v-for="f in kit.faults.slice(0, 20)" :key="f" class="fault">{{ f }}</li>
        <li v-for="c in kit.changes.slice(0, 40)" :key="c.id">
          <span class="line">{{ c.kind }}</span> <b dir="auto">{{ c.name }}</b>
          {{ c.act === 'new' ? tr('new') : tr('changed') }}
        </li>
      </ul>
      <p class="do">
        <ElButton
          class="btn lead"
          :disabled="kit.faults.length > 0 || kit.changes.length === 0"
          @click="bringKit"
        >
          {{ tr('bringInChanges', { changes: kit.changes.length }) }}</ElButton><ElButton
          class="btn"
          @click="clear"
        >
          {{ tr('cancel') }}
        </ElButton>
      </p>
    </div>
    <p class="faint">
      {{ tr('tablesAreCSVWithThe', { MOST_ROWS: grouped(MOST_ROWS) }) }}
      <a href="/api/schemas/kit-file">{{ tr('apiSchemasKitFile') }}</a>.
    </p>
  </section>
</template>

<style scoped>
.bring {
  border: 1px solid var(--line);
  padding: 10px 14px;
  display: grid;
  gap: 8px;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.do > :deep(.field) {
  width: 180px;
}
.columns ul {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px 14px;
}
.columns .faint {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.gap {
  flex: 1;
}
.btn:focus-within {
  outline: 2px solid var(--pick);
  outline-offset: 2px;
}
.lines {
  max-height: 260px;
  overflow: auto;
  font-size: 13px;
}
.lines li {
  border-top: 1px solid var(--line);
  padding: 2px 0;
}
.line {
  color: var(--chalk-2);
  font-size: 12px;
  display: inline-block;
  min-width: 58px;
}
.stop {
  color: var(--stop);
}
.faint {
  font-size: 12px;
}
</style>

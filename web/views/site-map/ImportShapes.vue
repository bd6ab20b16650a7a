<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Entity, FeatureKind, FeatureShape } from '@core/model';
import { FEATURE_KINDS, featureWords, newFeature } from '@core/site';
import { computed, ref } from 'vue';
import { fileNameOf, saveFile } from '../../composables/save-file';
import { v4 as uuid } from 'uuid';
import {
  outgoing,
  readShapes,
  writeShapes,
  type Incoming,
  type Outgoing,
  type Read,
  type ShapeFormat,
} from '../../exchange/shapes';
import DataTable from '../../parts/DataTable.vue';
import DialogBox from '../../parts/DialogBox.vue';
import { ElCheckbox } from '../../parts/element-checkbox';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import type { TableColumn } from '../../parts/table-column';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import type { Plan } from './usePlan';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';
import { fixed, phrase } from '../../format';
import { findProjection } from '../../exchange/find-projection';
import { readShapeFile } from '../../exchange/shape-files';

const props = defineProps<{ plan: Plan }>();
const emit = defineEmits<{ close: [] }>();
const film = useFilm();
const selection = useSelection();
const fault = ref('');
const content = ref('');
const fileName = ref('');
const read = ref<Read | null>(null);
interface Row {
  thing: Incoming;
  take: boolean;
  kind: FeatureKind;
}
const rows = ref<Row[]>([]);
const withPaths = ref(true);
const USUAL: Readonly<Record<FeatureShape, FeatureKind>> = { point: 'launch', line: 'walk', area: 'no-fly' };
const LIMIT = 30_000_000;
/** Shapes that can be looked at one by one; the others are brought in as they were read. */
const SHOWN = 200;
const COLUMNS = computed((): readonly TableColumn<'take' | 'name' | 'becomes' | 'size' | 'away'>[] => [
  { key: 'take', label: tr('take'), width: 56 },
  { key: 'name', label: tr('name'), minWidth: 110 },
  { key: 'becomes', label: tr('becomes'), minWidth: 150 },
  { key: 'size', label: tr('size'), width: 96, wideOnly: true },
  { key: 'away', label: tr('away'), width: 84, figure: true, wideOnly: true },
]);

const show = (swap: boolean): void => {
  const { value: place } = props.plan.place;
  if (!place) return;
  const answer = readShapes(content.value, place, swap);
  fault.value = answer.ok ? '' : answer.reason;
  read.value = answer.ok ? answer.value : null;
  rows.value = answer.ok
    ? answer.value.things.map((thing) => ({ thing, take: true, kind: thing.kind ?? USUAL[thing.shape] }))
    : [];
};
const take = async (file: File): Promise<void> => {
  fileName.value = file.name;
  read.value = null;
  rows.value = [];
  if (file.size > LIMIT) {
    fault.value = tr('nameHasFileMB25', { name: file.name, file: fixed(file.size / 1e6, 0) });
    return;
  }
  const text = await readShapeFile(file, findProjection);
  if (!text.ok) {
    fault.value = text.reason;
    return;
  }
  content.value = text.value;
  show(false);
};
const kindsFor = (shape: FeatureShape) =>
  FEATURE_KINDS.filter((k) => k.shapes.includes(shape)).map((k) => ({
    value: k.kind,
    label: phrase(k.name),
  }));
const taken = computed(() => rows.value.filter((r) => r.take));
const bring = (): void => {
  const made = taken.value.map(({ thing, kind }): Entity<'feature'> => {
    const words = featureWords(kind);
    return newFeature(kind, {
      id: uuid(),
      locationId: props.plan.placeId.value,
      shape: thing.shape,
      points: thing.points.map((p) => ({ ...p })),
      name: thing.attributes.name ?? '',
      heightM: thing.attributes.heightM ?? words.heightM,
      radiusM: thing.attributes.radiusM ?? words.radiusM,
      keepM: thing.attributes.keepM ?? words.keepM,
      source: thing.attributes.source || fileName.value.slice(0, 500),
      until: thing.attributes.until ?? '',
      granted: thing.attributes.granted ?? false,
      notes: thing.attributes.notes ?? '',
    });
  });
  const faults = film.commit(
    tr('bringMadeShapes', { made: made.length }),
    made.map((f) => ({ kind: 'feature' as const, id: f.id, after: f })),
  );
  if (faults[0]) {
    fault.value = faults[0].say;
    return;
  }
  selection.say(tr('madeShapesBroughtInCtrl', { made: made.length }));
  emit('close');
};

const paths = computed<Outgoing[]>(() =>
  props.plan.shots.value
    .filter((s) => s.facts.trajectory)
    .map((s) => ({
      shape: 'line',
      points: s.facts.trajectory?.samples.map(({ pose: { at } }) => ({ xM: at.x, yM: at.y, zM: at.z })) ?? [],
      properties: { kind: 'path', name: `${s.number} ${s.facts.shot.title}`.trim() },
    })),
);
const save = (format: ShapeFormat): void => {
  const { value: place } = props.plan.place;
  if (!place) return;
  const out = writeShapes(
    [...props.plan.things.value.map(outgoing), ...(withPaths.value ? paths.value : [])],
    format,
    place,
    place.elevationM,
  );
  const type = format === 'geojson' ? 'application/geo+json' : 'application/xml';
  saveFile(`${fileNameOf(place.name, 'plan')}.${format}`, new Blob([out], { type }));
};
</script>

<template>
  <DialogBox :title="tr('bringOrSaveShapes')" width="min(880px, 96vw)" @close="emit('close')">
    <div class="two">
      <div>
        <h3>{{ tr('bringIn') }}</h3>
        <FileButton
          lead
          :label="tr('chooseAFile')"
          accept=".geojson,.json,.kml,.kmz,.gpx,.xml"
          @files="([file]) => take(file)"
        />
        <p class="quiet">
          {{ tr('geoJSONKMLOrGPXWith') }}
        </p>
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <p v-if="read?.swapped" class="care">
          {{ tr('allOfItLiesFar') }}
          <ElButton class="btn" @click="show(true)">{{ tr('takeLatitudeFirst') }}</ElButton>
        </p>
        <DataTable
          v-if="rows.length > 0"
          class="rows"
          :rows="rows.slice(0, SHOWN)"
          :columns="COLUMNS"
          :key-of="(r) => String(rows.indexOf(r))"
        >
          <template #take="{ row }"
            ><ElCheckbox v-model="row.take"
              ><span class="sr">{{ tr('takeName', { name: row.thing.name }) }}</span></ElCheckbox
            ></template
          >
          <template #name="{ row }"
            ><span dir="auto">{{ row.thing.name }}</span>
            <span class="quiet">{{ row.thing.note }}</span></template
          >
          <template #becomes="{ row }"
            ><PickField
              bare
              :label="tr('becomes')"
              :value="row.kind"
              :options="kindsFor(row.thing.shape)"
              :save="(v) => void (row.kind = v)"
          /></template>
          <template #size="{ row }"
            >{{ row.thing.points.length }}
            {{ row.thing.shape === 'point' ? tr('spot') : tr('corners') }}</template
          >
          <template #away="{ row }"><Fig :value="row.thing.awayM" quantity="metres" /></template>
        </DataTable>
        <p v-if="rows.length > SHOWN" class="quiet">{{ tr('andRowsMore', { rows: rows.length - SHOWN }) }}</p>
        <template v-if="(read?.skipped.length ?? 0) > 0"
          ><h3>{{ tr('leftOut') }}</h3>
          <ul class="skipped">
            <li v-for="(s, i) in read?.skipped.slice(0, 50)" :key="i">
              <b dir="auto">{{ s.name }}</b>: {{ s.why }}
            </li>
          </ul></template
        >
        <ElButton v-if="rows.length > 0" class="btn lead" :disabled="taken.length === 0" @click="bring">
          {{ tr('bringTakenIn', { taken: taken.length }) }}
        </ElButton>
      </div>
      <div>
        <h3>{{ tr('saveWhatIsOnThe') }}</h3>
        <SwitchField
          :label="tr('pathsOfTheShotsToo')"
          :value="withPaths"
          :save="
            (v: boolean) => {
              withPaths = v;
            }
          "
        />
        <p class="saves">
          <ElButton v-for="f in ['geojson', 'kml', 'gpx'] as const" :key="f" class="btn" @click="save(f)">
            {{ { geojson: 'GeoJSON', kml: 'KML', gpx: 'GPX' }[f] }}
          </ElButton>
        </p>
        <p class="quiet">
          {{ tr('gpxKnowsNoAreasOutlines') }}
        </p>
      </div>
    </div>
  </DialogBox>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px;
  gap: 22px;
}
.two > div {
  display: grid;
  gap: 9px;
  align-content: start;
  justify-items: start;
}
.rows {
  width: 100%;
}
.care {
  color: var(--care);
}
.saves {
  display: flex;
  gap: 6px;
}
@media (max-width: 700px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { newRow, type Entity } from '@core/model';
import { bearingTo, fromLocal, offset, toLocal, vec } from '@core/geometry';
import { ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { choices, SUBJECT_WORDS, writeText } from '../../format';
import InPieces from '../../parts/InPieces.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import type { Fault } from '../../sync/validation';
import { readCoordinates, writeCoordinates } from '../../coordinates';
import { tr } from './messages';

type Subject = Entity<'subject'>;
const props = defineProps<{ place: Entity<'location'>; subjects: readonly Subject[] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const ORIGIN = vec(0, 0, 0);
/** Farther from the launch point nothing is a subject of this location, m. */
const FARTHEST_M = 5000;
const asked = ref<string | null>(null);
const heir = ref<string | null>(null);

const bearingOf = (s: Subject): number => Math.round(bearingTo(ORIGIN, vec(s.xM, s.yM, 0)) * 10) / 10;
const distanceOf = (s: Subject): number => Math.round(Math.hypot(s.xM, s.yM) * 100) / 100;
const set = (s: Subject, fields: Partial<Subject>) => store.edit('subject', s.id, fields, tr('subject'));
const setPolar = (s: Subject, bearingDeg: number, distanceM: number): readonly Fault[] => {
  if (distanceM < 0) return [{ path: '', say: tr('theDistanceCannotBeNegative') }];
  const at = offset(ORIGIN, bearingDeg, distanceM, 0);
  return set(s, { xM: at.x, yM: at.y });
};
const coordinatesOf = (s: Subject): string => {
  return writeCoordinates(fromLocal(props.place.latitude, props.place.longitude, s.xM, s.yM));
};
const setCoordinates = (s: Subject, text: string): readonly Fault[] => {
  if (text === coordinatesOf(s)) return [];
  const read = readCoordinates(text);
  if (!read.ok) return [{ path: '', say: read.reason }];
  const at = toLocal(props.place.latitude, props.place.longitude, read.value.latitude, read.value.longitude);
  const away = Math.hypot(at.xM, at.yM);
  if (away > FARTHEST_M)
    return [
      {
        path: '',
        say: tr('thatIsAwayKmFrom', {
          away: writeText(away, 'metres', derivedFilm.units),
          most: writeText(FARTHEST_M, 'metres', derivedFilm.units),
        }),
      },
    ];
  return set(s, at);
};
const add = (): void => {
  const n = props.subjects.length;
  const at = offset(ORIGIN, 45 * n, 60, 0);
  store.create(
    'subject',
    newRow('subject', { id: uuid(), locationId: props.place.id, xM: at.x, yM: at.y }),
    tr('newSubject'),
  );
};
const usedBy = (s: Subject): number => store.list('shot').filter((x) => x.subjectId === s.id).length;
/** Shots that look at it get another subject, or none, in the same step. */
const remove = (s: Subject): void => {
  const shots = store.list('shot').filter((x) => x.subjectId === s.id);
  store.commit(tr('deleteSubject'), [
    ...shots.map((x) => ({
      kind: 'shot' as const,
      id: x.id,
      after: { ...x, subjectId: heir.value },
    })),
    { kind: 'subject', id: s.id, after: null },
  ]);
  asked.value = null;
};
const ask = (s: Subject): void => {
  if (usedBy(s) === 0) {
    heir.value = null;
    remove(s);
  } else {
    heir.value = null;
    asked.value = s.id;
  }
};
const heirs = (s: Subject) => [
  { value: null, label: tr('nothingInItsPlace') },
  ...props.subjects
    .filter((o) => o.id !== s.id)
    .map((o) => ({ value: o.id as string | null, label: o.name })),
];
</script>

<template>
  <section class="sheet" aria-labelledby="subjects-title">
    <header>
      <h2 id="subjects-title">{{ tr('whatStandsThere') }}</h2>
      <ElButton class="btn lead" @click="add">{{ tr('newSubjectUpper') }}</ElButton>
    </header>
    <p v-if="subjects.length === 0" class="quiet">
      {{ tr('shotsAimAtASubject') }}
    </p>
    <InPieces :items="subjects" :key-of="(s) => s.id" :size="2" v-slot="{ item: s }">
      <div class="row">
        <TextField :label="tr('name')" :value="s.name" :save="(v) => set(s, { name: v })" />
        <PickField
          :label="tr('kind')"
          :value="s.kind"
          :options="choices(SUBJECT_WORDS)"
          :save="(v) => set(s, { kind: v })"
        />
        <NumberField
          :label="tr('bearing')"
          :value="bearingOf(s)"
          quantity="degrees"
          :step="5"
          :save="(v) => setPolar(s, v, distanceOf(s))"
        />
        <NumberField
          :label="tr('distance')"
          :value="distanceOf(s)"
          quantity="metres"
          :step="5"
          :save="(v) => setPolar(s, bearingOf(s), v)"
        />
        <TextField :label="tr('coordinates')" :value="coordinatesOf(s)" :save="(v) => setCoordinates(s, v)" />
        <NumberField
          :label="tr('height')"
          :value="s.heightM"
          quantity="metres"
          :save="(v) => set(s, { heightM: v })"
        />
        <NumberField
          :label="tr('width')"
          :value="s.widthM"
          quantity="metres"
          :save="(v) => set(s, { widthM: v })"
        />
        <NumberField
          :label="tr('depth')"
          :value="s.depthM"
          quantity="metres"
          :hint="tr('acrossItsLongSide0')"
          :save="(v) => set(s, { depthM: v })"
        />
        <NumberField
          :label="tr('heading')"
          :value="s.headingDeg"
          quantity="degrees"
          :step="5"
          :hint="tr('bearingItMovesOnOr')"
          :save="(v) => set(s, { headingDeg: v })"
        />
        <NumberField
          :label="tr('speed')"
          :value="s.speedMs"
          quantity="speed"
          :step="0.5"
          :hint="tr('figure0WhenItStands')"
          :save="(v) => set(s, { speedMs: v })"
        />
        <NumberField
          :label="tr('baseHeight')"
          :value="s.baseM"
          quantity="metres"
          :hint="tr('aboveOrBelowTheLaunch')"
          :save="(v) => set(s, { baseM: v })"
        />
        <ElButton class="btn" @click="ask(s)">{{ tr('delete') }}</ElButton>
        <div v-if="asked === s.id" class="asked">
          <span>{{ tr('usedByShotsLookAtIt', { usedBy: usedBy(s) }) }}</span>
          <PickField
            :label="tr('inItsPlace')"
            :value="heir"
            :options="heirs(s)"
            :save="
              (v) => {
                heir = v;
              }
            "
          />
          <ElButton class="btn lead" @click="remove(s)">{{ tr('deleteIt') }}</ElButton><ElButton
            class="btn"
            @click="asked = null"
          >
            {{ tr('keepIt') }}
          </ElButton>
        </div>
      </div></InPieces
    >
  </section>
</template>

<style scoped>
.sheet {
  background: var(--slab);
  padding: 12px 20px 20px;
  display: grid;
  gap: 8px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.row {
  display: grid;
  grid-template-columns: 1.3fr 0.95fr 0.7fr 0.9fr 1.65fr 0.7fr 0.7fr 0.7fr 0.7fr 0.7fr 0.7fr auto;
  gap: 8px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 7px;
}
.asked {
  grid-column: 1 / -1;
  display: flex;
  gap: 10px;
  align-items: end;
}
@media (max-width: 1099px) {
  .row {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>

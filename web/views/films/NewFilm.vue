<script setup lang="ts">
import 'element-plus/es/components/radio/style/css';
import 'element-plus/es/components/radio-group/style/css';
import { ElRadio, ElRadioGroup } from 'element-plus';
import { ElButton } from '../../parts/element-button';
import {
  AIRCRAFT_CLASSES,
  type Experience,
  FILM_TEMPLATES,
  starterFilm,
  type FilmTemplate,
  type StarterFilm,
} from '@core/starters';
import { FilmDeriver } from '@core/film';
import { TIMELINE_RATES, type Aircraft } from '@core/model';
import { computed, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { emptyFilm } from '../../composables/new-film';
import { counted, EXPERIENCE_WORDS, phrase } from '../../format';
import CoordinatesField from '../../parts/CoordinatesField.vue';
import PathThumb from '../../parts/PathThumb.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { api } from '../../sync/api';
import type { Fault } from '../../sync/validation';
import { readCoordinates } from '../../coordinates';
import { tomorrow, zoneHere } from '../locations/newPlace';
import { tr } from './messages';

/** Begins a film: what it is about, what it is flown with, where. All but the first choice may be left as it stands. */
const emit = defineEmits<{ made: [file: unknown] }>();
const RATES = TIMELINE_RATES.map((value: number) => ({ value, label: tr('valueFps', { value }) }));
const OWN = 'own';
const name = ref('');
const code = ref(FILM_TEMPLATES[0]?.code ?? '');
/** What somebody chose; until then their own kit, or a usual aircraft where they have none. */
const chosen = ref<string | null>(null);
const fps = ref(25);
const at = ref<{ latitude: number; longitude: number } | null>(null);
const where = ref('');
const owned = ref<readonly Aircraft[]>([]);
const kitKnown = api
  .kit()
  .then(({ rows }) => {
    pilots.value = rows.filter((r) => r.kind === 'pilot').length;
    owned.value = rows
      .filter((r) => r.kind === 'aircraft')
      .map((r) => r.value as Aircraft)
      .filter((a) => !a.retired);
  })
  .catch(() => undefined);
/** Pilots of the owner; the first film asks how much somebody has flown. */
const pilots = ref(0);
const experience = ref<Experience>('practised');
const experiences = computed(() => [
  { value: 'new' as const, label: EXPERIENCE_WORDS.new, note: tr('simpleMovesLearned') },
  { value: 'practised' as const, label: EXPERIENCE_WORDS.practised, note: tr('mostMovesSteady') },
  { value: 'expert' as const, label: EXPERIENCE_WORDS.expert, note: tr('severalInputsAtOnce') },
]);
const craft = computed(() => chosen.value ?? (owned.value.length > 0 ? OWN : 'medium'));
const crafts = computed(() => [
  ...(owned.value.length > 0
    ? [{ value: OWN, label: tr('yourKitName', { name: owned.value[0]?.name ?? '' }) }]
    : []),
  ...AIRCRAFT_CLASSES.map((c) => ({ value: c.code, label: phrase(c.name), note: tr('typical') })),
]);
const begun = (template: FilmTemplate, newId: () => string, zone = zoneHere()) =>
  starterFilm(
    {
      name: name.value.trim().slice(0, 200) || phrase(template.name),
      template,
      craft: AIRCRAFT_CLASSES.find((c) => c.code === craft.value) ?? null,
      timelineFps: fps.value,
      pilot: pilots.value > 0 ? null : { name: tr('pilot'), experience: experience.value },
      owned: owned.value,
      at: at.value,
      zone,
      date: tomorrow(),
    },
    newId,
  );
/** Paths of a template's shots, from the moves themselves as a usual aircraft flies them. */
const paths = FILM_TEMPLATES.map((template) => {
  let n = 0;
  const { kit, ...rows } = starterFilm(
    {
      name: '',
      template,
      craft: AIRCRAFT_CLASSES[1] ?? null,
      timelineFps: 25,
      pilot: null,
      owned: [],
      at: null,
      zone: 'UTC',
      date: '2027-05-14',
    },
    () => String((n += 1)),
  );
  const empty = emptyFilm('');
  const derived = new FilmDeriver().derive({ ...empty, ...rows, kit: { ...empty.kit, ...kit } });
  return { template, shots: [...derived.shots.values()].map((s) => s.facts) };
});
const setWhere = (text: string): readonly Fault[] | void => {
  where.value = text;
  at.value = null;
  if (text.trim() === '') return;
  const read = readCoordinates(text);
  if (!read.ok) return [{ path: '', say: read.reason }];
  at.value = read.value;
};
/** What a template names is named in the language of the interface; from then on it is the person's own. */
const inLanguage = <T extends Omit<StarterFilm, 'kit'>>(rows: T): T => ({
  ...rows,
  film: { ...rows.film, purpose: phrase(rows.film.purpose) },
  locations: rows.locations.map((l) => ({ ...l, name: phrase(l.name) })),
  subjects: rows.subjects.map((s) => ({ ...s, name: phrase(s.name) })),
  shots: rows.shots.map((s) => ({ ...s, title: phrase(s.title) })),
});
const make = async (): Promise<void> => {
  const template = FILM_TEMPLATES.find((t) => t.code === code.value);
  // Coordinates that cannot be read are mended first; left empty they come later.
  if (!template || (where.value.trim() !== '' && !at.value)) return;
  // Who is quicker than the kit must not get a second one.
  await kitKnown;
  const zone = at.value
    ? (await import('tz-lookup')).default(at.value.latitude, at.value.longitude)
    : zoneHere();
  const { kit, ...rows } = begun(template, uuid, zone);
  const empty = emptyFilm('');
  emit('made', { ...empty, ...inLanguage(rows), kit: { ...empty.kit, ...kit } });
};
</script>

<template>
  <form class="new" :aria-label="tr('newFilm')" @submit.prevent="make">
    <h2>{{ tr('newFilm') }}</h2>
    <span id="templates" class="label">{{ tr('whatItIsAbout') }}</span>
    <ElRadioGroup v-model="code" class="templates" aria-labelledby="templates">
      <ElRadio v-for="p in paths" :key="p.template.code" class="template" :value="p.template.code">
        <b>{{ phrase(p.template.name) }}</b>
        <span class="quiet">{{ p.template.about }}</span>
        <span v-if="p.shots.length > 0" class="paths" aria-hidden="true"
          ><PathThumb
            v-for="f in p.shots.slice(0, 3)"
            :key="f.shot.id"
            :flown="f.trajectory"
            :subject="f.aim" /></span
        ><span v-if="p.shots.length > 0" class="unit">{{ counted(p.shots.length, 'shot') }}</span>
      </ElRadio>
    </ElRadioGroup>
    <div class="fields">
      <TextField
        :label="tr('name')"
        :value="name"
        :placeholder="tr('asTheKindOfFilm')"
        :save="
          (v) => {
            name = v;
          }
        "
      />
      <PickField
        :label="tr('flownWith')"
        :value="craft"
        :options="crafts"
        :hint="tr('typicalFiguresAreMarkedIn')"
        :save="
          (v) => {
            chosen = v;
          }
        "
      />
      <PickField
        v-if="pilots === 0"
        :label="tr('howMuchYouHaveFlown')"
        :value="experience"
        :options="experiences"
        :hint="tr('eachMoveCanBeSet')"
        :save="
          (v) => {
            experience = v;
          }
        "
      />
      <PickField
        :label="tr('timelineFrameRate')"
        :value="fps"
        :options="RATES"
        :save="
          (v) => {
            fps = v;
          }
        "
      />
      <CoordinatesField
        :label="tr('coordinates')"
        :value="where"
        :placeholder="tr('figure4318483Or')"
        :hint="tr('decimalOrDegreesMinutesSeconds')"
        :save="setWhere"
        :at="at"
        :known="[]"
        units="metric"
      />
      <ElButton class="btn lead" native-type="submit">{{ tr('createFilm') }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.new {
  display: grid;
  gap: 10px;
}
.templates {
  display: grid;
  align-items: stretch;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 6px;
}
.template {
  background: var(--slab);
  padding: 9px 12px;
  display: grid;
  align-items: start;
  height: auto;
  margin: 0;
  color: inherit;
  font-weight: inherit;
  white-space: normal;
  border: 1px solid transparent;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.template :deep(.el-radio__input) {
  position: absolute;
  opacity: 0;
}
.template :deep(.el-radio__label) {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 8px;
  padding: 0;
  color: inherit;
  font-size: inherit;
}
.template b,
.template .quiet {
  grid-column: 1 / -1;
}
.template .quiet {
  font-size: 13px;
  min-height: 3.9em;
}
.template .unit {
  align-self: end;
}
.template.is-checked {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.template.is-checked .quiet,
.template.is-checked .unit {
  color: var(--chalk);
}
.template:focus-within {
  outline: 2px solid var(--pick);
  outline-offset: -2px;
}
.paths {
  display: flex;
  overflow: hidden;
}
.paths :deep(.thumb) {
  width: 46px;
}
.fields {
  display: grid;
  grid-template-columns: 1.2fr 1.6fr 0.8fr 1.2fr auto;
  gap: 8px 12px;
  align-items: end;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>

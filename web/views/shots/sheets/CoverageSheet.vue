<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import { inSentence, phrase } from '../../../format';
import { proposeCoverage } from '@core/proposals';
import { computed, ref, watch } from 'vue';
import { v4 as uuid } from 'uuid';
import Fig from '../../../parts/Fig.vue';
import PathThumb from '../../../parts/PathThumb.vue';
import PickField from '../../../parts/PickField.vue';
import { useShotCommands } from '../../../composables/useShotCommands';
import { useFilm } from '../../../stores/film';
import { useSelection } from '../../../stores/selection';
import { tr } from './messages';

const props = defineProps<{ placeId: string }>();
const film = useFilm();
const acts = useShotCommands();
const selection = useSelection();
const subjects = computed(() =>
  film
    .list('subject')
    .filter((s) => s.locationId === props.placeId)
    .map((s) => ({ value: s.id, label: s.name })),
);
const subjectId = ref('');
watch(
  () => [props.placeId, subjects.value.length],
  () => {
    if (!subjects.value.some((s) => s.value === subjectId.value))
      subjectId.value = selection.shot?.facts.subject?.id ?? subjects.value[0]?.value ?? '';
  },
  { immediate: true },
);
const ids = ref<Record<number, string>>({});
const idFor = (i: number): string => (ids.value[i] ??= uuid());
/** Worked out when asked, not at every step of a slider. */
const proposals = ref<ReturnType<typeof proposeCoverage>>([]);
const left = ref(new Set<string>());
const propose = (): void => {
  ids.value = {};
  left.value = new Set();
  proposals.value =
    film.input && subjectId.value
      ? proposeCoverage(film.input, subjectId.value, acts.templateFor(props.placeId), idFor)
      : [];
  // What no pack carries is left out at first; the person may still want it.
  left.value = new Set(proposals.value.filter((p) => !p.fits).map((p) => p.shot.id));
};
watch(subjectId, propose, { immediate: true });
const picked = computed(() => proposals.value.filter((p) => !left.value.has(p.shot.id)));
const toggle = (id: string): void => {
  const next = new Set(left.value);
  if (next.has(id)) next.delete(id);
  else next.add(id);
  left.value = next;
};
const add = (): void => {
  acts.addMany(
    props.placeId,
    picked.value.map((p) => p.shot),
  );
  selection.coverageShown = false;
};
const total = computed(() =>
  picked.value.reduce((sum, p) => sum + (p.derived?.facts.energy?.totalWh ?? 0), 0),
);
</script>

<template>
  <section class="coverage" :aria-label="tr('coverage')">
    <p v-if="subjects.length === 0" class="quiet">
      {{ tr('aSetCoversASubject') }}
      <RouterLink :to="{ name: 'locations' }">{{ tr('addWhatStandsThere') }}</RouterLink> {{ tr('first') }}
    </p>
    <template v-else>
      <PickField
        :label="tr('cover')"
        :value="subjectId"
        :options="subjects"
        :save="
          (v) => {
            subjectId = v;
          }
        "
      />
      <ul>
        <li v-for="p in proposals" :key="p.shot.id">
          <button
            class="one"
            :class="{ off: left.has(p.shot.id) }"
            :aria-pressed="!left.has(p.shot.id)"
            @click="toggle(p.shot.id)"
          >
            <PathThumb :flown="p.derived?.facts.trajectory ?? null" :subject="p.derived?.facts.aim ?? null" />
            <span
              ><b>{{ phrase(p.like.title) }}</b>
              <span class="quiet">{{ inSentence(phrase(p.derived?.facts.move?.name)) }}</span><br /><span
                class="small"
                ><Fig :value="p.derived?.facts.seconds.airS ?? NaN" quantity="seconds" />
                <Fig :value="p.derived?.facts.energy?.totalWh ?? NaN" quantity="wattHours" />
                {{ p.like.optional ? tr('smallFirst') : '' }}
                <em v-if="!p.fits">{{ tr('noPackForIt') }}</em></span
              ></span
            >
            <span class="tick">{{ left.has(p.shot.id) ? '' : tr('in') }}</span>
          </button>
        </li>
      </ul>
      <ElButton class="btn lead" :disabled="picked.length === 0" @click="add">
        {{ tr('addPicked', { picked: picked.length }) }} <Fig :value="total" quantity="wattHours" />
      </ElButton>
    </template>
  </section>
</template>

<style scoped>
.coverage {
  background: var(--slab-2);
  padding: 8px 10px;
  font-size: 13px;
  margin: 0 8px 6px;
  display: grid;
  gap: 6px;
  max-height: 60vh;
  overflow: auto;
}
ul {
  display: grid;
  gap: 2px;
}
.one {
  width: 100%;
  display: grid;
  grid-template-columns: 58px 1fr 20px;
  gap: 8px;
  align-items: center;
  text-align: left;
  background: var(--slab);
  border: 0;
  padding: 3px 6px;
  cursor: pointer;
}
.one.off {
  background: var(--slab-2);
  color: var(--chalk-2);
}
.one.off b {
  font-weight: 400;
}
.small {
  font-size: 12px;
  font-stretch: 86%;
  color: var(--chalk-2);
}
.tick {
  color: var(--pick);
  font-weight: 640;
}
em {
  color: var(--stop);
  font-style: normal;
}
</style>

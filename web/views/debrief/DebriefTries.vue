<script setup lang="ts">
import {
  HEIGHT_BANDS,
  movesToPractise,
  triesBy,
  WIND_BANDS,
  type ShotFlown,
  type TryBy,
} from '@core/debrief';
import { MOVES } from '@core/moves';
import { computed, ref } from 'vue';
import { write } from '../../format';
import TabRow from '../../parts/TabRow.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** Good ones per try, by what they have in common. */
const props = defineProps<{ shots: readonly ShotFlown[] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const by = ref<TryBy>('move');
const TABS = [
  {
    id: 'move',
    get label() {
      return tr('move');
    },
  },
  {
    id: 'wind',
    get label() {
      return tr('wind');
    },
  },
  {
    id: 'height',
    get label() {
      return tr('height');
    },
  },
  {
    id: 'pilot',
    get label() {
      return tr('pilot');
    },
  },
] as const;
const moveName = (kind: string): string => MOVES.find((m) => m.kind === kind)?.name ?? kind;
const band = (key: string, edges: readonly number[], quantity: 'speed' | 'metres'): string => {
  const next = edges[edges.indexOf(Number(key)) + 1];
  const low = write(Number(key), quantity, derivedFilm.units);
  const high = next === undefined ? null : write(next, quantity, derivedFilm.units);
  return high
    ? tr('numberToNumber2Unit', { number: low.number, number2: high.number, unit: high.unit })
    : tr('fromNumberUnit', { number: low.number, unit: low.unit });
};
const nameOf = (key: string): string => {
  if (by.value === 'move') return moveName(key);
  if (by.value === 'wind') return band(key, WIND_BANDS, 'speed');
  if (by.value === 'height') return band(key, HEIGHT_BANDS, 'metres');
  return store.get('pilot', key)?.name ?? tr('noPilotChosen');
};
const groups = computed(() => (store.input ? triesBy(store.input, props.shots, by.value) : []));
const practise = computed(() =>
  store.input ? movesToPractise(triesBy(store.input, props.shots, 'move')) : [],
);
</script>

<template>
  <section aria-labelledby="debrief-tries">
    <h2 id="debrief-tries">{{ tr('goodTakesPerTry') }}</h2>
    <TabRow name="tries" :label="tr('triesBy')" :tabs="TABS" :value="by" @pick="by = $event" />
    <div id="tries-panel" role="tabpanel" :aria-labelledby="`tries-${by}`">
      <p v-if="groups.length === 0" class="quiet">{{ tr('noTakeIsNotedYet') }}</p>
      <ul>
        <li v-for="g in groups" :key="g.key">
          <span>{{ nameOf(g.key) }}</span>
          <span class="bar" aria-hidden="true"
            ><span :style="{ width: `${(100 * g.good) / g.tries}%` }"
          /></span>
          <span class="n">{{ tr('goodOfTries', { good: g.good, tries: g.tries }) }}</span>
        </li>
      </ul>
    </div>
    <p v-if="practise.length > 0">
      {{
        tr('practiseBeforeTheNextDay', {
          practise: practise
            .map((g) => tr('nameGoodOfTries', { name: moveName(g.key), good: g.good, tries: g.tries }))
            .join(', '),
        })
      }}
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: grid;
  gap: 5px;
}
li {
  display: grid;
  grid-template-columns: minmax(110px, 1fr) 2fr 60px;
  gap: 12px;
  align-items: center;
}
.bar {
  height: 10px;
  background: var(--slab-3);
}
.bar span {
  display: block;
  height: 100%;
  background: var(--verdigris);
}
.n {
  text-align: end;
}
</style>

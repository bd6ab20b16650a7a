<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { newRow, type Entity } from '@core/model';
import { MOVES } from '@core/moves';
import { type Experience, EXPERIENCES, levelsOf } from '@core/starters';
import { EXPECTED_RATE, keeperRate, LEVEL_WORDS, levelOf, recordOf, takesFor } from '@core/pilot';
import { computed, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import DataTable from '../../parts/DataTable.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import type { TableColumn } from '../../parts/table-column';
import TextField from '../../parts/TextField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import KitRow from './KitRow.vue';
import PracticeSheet from './PracticeSheet.vue';
import { useKit } from './useKit';
import { tr } from './messages';
import { EXPERIENCE_WORDS, fixed, phrase } from '../../format';

type Practice = Entity<'practice'>;
const { store, all, set, add, copy, retire } = useKit('pilot');
const derivedFilm = useDerivedFilm();
const HOW = [
  {
    value: 'simulator',
    get label() {
      return tr('simulator');
    },
  },
  {
    value: 'slow',
    get label() {
      return tr('slowSticks');
    },
  },
  {
    value: 'normal',
    get label() {
      return tr('normal');
    },
  },
  {
    value: 'fast',
    get label() {
      return tr('fast');
    },
  },
] as const;
const LEVELS = LEVEL_WORDS.map((label, value) => ({ value, label: phrase(label) }));
const kinds = MOVES.map((m) => ({ value: m.kind, label: phrase(m.name) }));
const COLUMNS = computed(
  (): readonly TableColumn<'move' | 'own' | 'record' | 'last' | 'rate' | 'takes'>[] => [
    { key: 'move', label: tr('move'), minWidth: 92 },
    { key: 'own', label: tr('ownEstimate'), minWidth: 110 },
    { key: 'record', label: tr('fromTheRecord'), minWidth: 110, wideOnly: true },
    { key: 'last', label: tr('keptOfTheLastValue', { value: 20 }), minWidth: 110, wideOnly: true },
    { key: 'rate', label: tr('keepers'), minWidth: 70, figure: true },
    { key: 'takes', label: tr('takesToPlan'), minWidth: 70, figure: true },
  ],
);
const fresh = (): void => {
  const id = add({ name: tr('pilotAll', { all: all.value.length + 1 }) });
  if (all.value.length === 1) fly(id);
};
const fly = (id: string | null): void => {
  store.edit('film', store.filmId, { pilotId: id }, tr('pilot'));
};
const flying = computed(() => all.value.find((p) => p.id === store.film?.pilotId) ?? null);
/** Moves of this film first: those are what there is to rehearse. */
const inFilm = computed(
  () => new Set([...(derivedFilm.derived?.shots.values() ?? [])].map((s) => s.facts.shot.move.kind)),
);
const onlyFilm = ref(true);
const rows = computed(() => {
  const pilot = flying.value;
  if (!pilot) return [];
  return MOVES.filter((m) => !onlyFilm.value || inFilm.value.has(m.kind)).map((m) => {
    const practice = store.list('practice');
    const level = levelOf(pilot, practice, m.kind);
    const record = recordOf(practice, pilot.id, m.kind);
    const rate = keeperRate(level, record, 2);
    return {
      kind: m.kind,
      name: phrase(m.name),
      stated: pilot.levels[m.kind] ?? 0,
      level,
      record,
      rate,
      takes: takesFor(rate),
    };
  });
});
const state = (kind: string, level: number) =>
  flying.value ? set(flying.value.id, { levels: { ...flying.value.levels, [kind]: level } }) : [];
/** Every move at once, by how much the pilot has flown; each can be set by itself afterwards. */
const stateAll = (experience: Experience): void => {
  if (flying.value) set(flying.value.id, { levels: { ...levelsOf(experience) } });
};
const drill = ref<{ moveKind: string; handling: Practice['handling']; tries: number; keepers: number }>({
  moveKind: 'part-orbit',
  handling: 'slow',
  tries: 5,
  keepers: 3,
});
const log = (): void => {
  const pilot = flying.value;
  if (!pilot) return;
  store.create(
    'practice',
    newRow('practice', {
      id: uuid(),
      pilotId: pilot.id,
      utcMs: Date.now(),
      ...drill.value,
      keepers: Math.min(drill.value.keepers, drill.value.tries),
    }),
    tr('practice'),
  );
};
const logged = computed(() =>
  store
    .list('practice')
    .filter((p) => p.pilotId === flying.value?.id)
    .sort((a, b) => b.utcMs - a.utcMs)
    .slice(0, 12),
);
const dayOf = (utcMs: number): string => new Date(utcMs).toISOString().slice(0, 10);
const nameOf = (kind: string): string => MOVES.find((m) => m.kind === kind)?.name ?? kind;
const forget = (id: string): void => {
  store.remove(tr('deletePractice'), [{ kind: 'practice', id }]);
};
</script>

<template>
  <section class="pilots">
    <p>
      <ElButton class="btn lead" @click="fresh">{{ tr('newPilot') }}</ElButton>
    </p>
    <p v-if="all.length === 0" class="quiet">
      {{ tr('noPilotYetWithOne') }}
    </p>
    <ul>
      <KitRow
        v-for="p in all"
        :key="p.id"
        :name="p.name"
        :retired="p.retired"
        @copy="copy(p)"
        @retire="retire(p)"
      >
        <TextField
          help="pilot.name"
          :label="tr('name')"
          :value="p.name"
          :save="(v) => set(p.id, { name: v })"
        />
        <TextField
          help="pilot.notes"
          :label="tr('notes')"
          :value="p.notes"
          :save="(v) => set(p.id, { notes: v })"
        />
        <ElButton
          class="btn"
          :class="{ on: p.id === flying?.id }"
          :aria-pressed="p.id === flying?.id"
          @click="fly(p.id === flying?.id ? null : p.id)"
        >
          {{ p.id === flying?.id ? tr('fliesThisFilm') : tr('letFlyThisFilm') }}
        </ElButton>
      </KitRow>
    </ul>
    <template v-if="flying">
      <PracticeSheet />
      <header>
        <h2>{{ tr('namePractisedMoves', { name: flying.name }) }}</h2>
        <ElButton class="btn" :aria-pressed="onlyFilm" @click="onlyFilm = !onlyFilm">
          {{ onlyFilm ? tr('showAllMoves') : tr('onlyThisFilmsMoves') }}
        </ElButton>
      </header>
      <p class="all" role="group" :aria-label="tr('setEveryLevel')">
        <span class="label">{{ tr('setEveryLevel') }}</span>
        <ElButton v-for="e in EXPERIENCES" :key="e" class="btn" @click="stateAll(e)">
          {{ EXPERIENCE_WORDS[e] }}
        </ElButton>
      </p>
      <DataTable :rows="rows" :columns="COLUMNS" :key-of="(r) => r.kind">
        <template #move="{ row }">{{ row.name }}</template>
        <template #own="{ row }">
          <PickField
            :label="tr('levelOfName', { name: row.name })"
            bare
            :value="row.stated"
            :options="LEVELS"
            :save="(v) => state(row.kind, v)"
          />
        </template>
        <template #record="{ row }">{{ phrase(LEVEL_WORDS[row.level]) }}</template>
        <template #last="{ row }">{{
          row.record.tries > 0
            ? tr('keepersOfTries', { keepers: fixed(row.record.keepers, 0), tries: row.record.tries })
            : '\u2013'
        }}</template>
        <template #rate="{ row }">{{ (row.rate * 100).toFixed(0) }}<span class="sign">%</span></template>
        <template #takes="{ row }">{{ row.takes }}</template>
      </DataTable>
      <p class="quiet">
        {{
          tr('beforeThereIsARecord', { EXPECTED_RATE: EXPECTED_RATE.map((r) => `${r * 100} %`).join(', ') })
        }}
      </p>
      <section class="drill" :aria-label="tr('logPractice')">
        <h3>{{ tr('practised') }}</h3>
        <PickField
          help="practice.moveKind"
          :label="tr('move')"
          :value="drill.moveKind"
          :options="kinds"
          :save="
            (v) => {
              drill.moveKind = v;
            }
          "
        />
        <PickField
          help="practice.handling"
          :label="tr('with')"
          :value="drill.handling"
          :options="HOW"
          :save="
            (v) => {
              drill.handling = v;
            }
          "
        />
        <NumberField
          help="practice.tries"
          :label="tr('tries')"
          :value="drill.tries"
          quantity="count"
          :save="
            (v) => {
              drill.tries = Math.max(1, Math.round(v));
            }
          "
        />
        <NumberField
          help="practice.keepers"
          :label="tr('kept')"
          :value="drill.keepers"
          quantity="count"
          :save="
            (v) => {
              drill.keepers = Math.max(0, Math.round(v));
            }
          "
        />
        <ElButton class="btn lead" @click="log">{{ tr('logIt') }}</ElButton>
      </section>
      <ul class="logged">
        <li v-for="p in logged" :key="p.id">
          <span>{{ dayOf(p.utcMs) }}</span><b>{{ nameOf(p.moveKind) }}</b
          ><span>{{ p.handling }}</span
          ><span>{{ tr('keepersOfTriesKept', { keepers: p.keepers, tries: p.tries }) }}</span
          ><ElButton
            class="btn bare"
            :aria-label="tr('deletePracticeOfNameOf', { nameOf: nameOf(p.moveKind) })"
            @click="forget(p.id)"
          >
            {{ tr('delete') }}
          </ElButton>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.all {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.pilots {
  display: grid;
  gap: 12px;
  max-width: 1500px;
}
header {
  display: flex;
  gap: 14px;
  align-items: center;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}

.drill {
  display: grid;
  grid-template-columns: auto 1.4fr 1fr 0.6fr 0.6fr auto;
  gap: 10px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 9px;
}
.drill h3 {
  padding-bottom: 8px;
}
.logged li {
  display: grid;
  grid-template-columns: 96px 1.4fr 1fr 1fr auto;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--line);
}
.sign {
  margin-left: 0.16em;
}
@media (max-width: 700px) {
  .drill {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

<script setup lang="ts">
import { newRow, type Entity } from '@core/model';
import { MOVES } from '@core/moves';
import { EXPECTED_RATE, keeperRate, LEVEL_WORDS, levelOf, recordOf, takesFor } from '@core/pilot';
import { computed, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import KitRow from './KitRow.vue';
import PracticeSheet from './PracticeSheet.vue';
import { useKit } from './useKit';

type Practice = Entity<'practice'>;
const { store, all, set, add, copy, retire } = useKit('pilot');
const derivedFilm = useDerivedFilm();
const HOW = [
  { value: 'simulator', label: 'Simulator' },
  { value: 'slow', label: 'Slow sticks' },
  { value: 'normal', label: 'Normal' },
  { value: 'fast', label: 'Fast' },
] as const;
const LEVELS = LEVEL_WORDS.map((label, value) => ({ value, label }));
const kinds = MOVES.map((m) => ({ value: m.kind, label: m.name }));
const fresh = (): void => {
  const id = add({ name: `Pilot ${all.value.length + 1}` });
  if (all.value.length === 1) fly(id);
};
const fly = (id: string | null): void => {
  store.edit('film', store.filmId, { pilotId: id }, 'pilot');
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
      name: m.name,
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
    'practice',
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
  store.remove('delete practice', [{ kind: 'practice', id }]);
};
</script>

<template>
  <section class="pilots">
    <p><button class="btn lead" @click="fresh">New pilot</button></p>
    <p v-if="all.length === 0" class="quiet">
      No pilot yet. With one, every shot knows how well its move is practised, and how many takes it wants.
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
        <TextField label="Name" :value="p.name" :save="(v) => set(p.id, { name: v })" />
        <TextField label="Notes" :value="p.notes" :save="(v) => set(p.id, { notes: v })" />
        <button
          class="btn"
          :class="{ on: p.id === flying?.id }"
          :aria-pressed="p.id === flying?.id"
          @click="fly(p.id === flying?.id ? null : p.id)"
        >
          {{ p.id === flying?.id ? 'Flies this film' : 'Let fly this film' }}
        </button>
      </KitRow>
    </ul>
    <template v-if="flying">
      <PracticeSheet />
      <header>
        <h2>{{ flying.name }}: practised moves</h2>
        <button class="btn" :aria-pressed="onlyFilm" @click="onlyFilm = !onlyFilm">
          {{ onlyFilm ? 'Show all moves' : 'Only this film\u2019s moves' }}
        </button>
      </header>
      <table>
        <thead>
          <tr>
            <th>Move</th>
            <th>Own estimate</th>
            <th>From the record</th>
            <th>Kept of the last {{ 20 }}</th>
            <th>Keepers</th>
            <th>Takes to plan</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.kind">
            <td>{{ r.name }}</td>
            <td>
              <PickField
                :label="`Level of ${r.name}`"
                bare
                :value="r.stated"
                :options="LEVELS"
                :save="(v) => state(r.kind, v)"
              />
            </td>
            <td>{{ LEVEL_WORDS[r.level] }}</td>
            <td>
              {{ r.record.tries > 0 ? `${r.record.keepers.toFixed(0)} of ${r.record.tries}` : '\u2013' }}
            </td>
            <td>{{ (r.rate * 100).toFixed(0) }}<span class="sign">%</span></td>
            <td>{{ r.takes }}</td>
          </tr>
        </tbody>
      </table>
      <p class="quiet">
        Before there is a record, a level is taken to keep
        {{ EXPECTED_RATE.map((r) => `${r * 100} %`).join(', ') }} of its takes, from \u201cnever flown\u201d
        to \u201csure\u201d. Takes to plan give nine chances in ten of one keeper.
      </p>
      <section class="drill" aria-label="Log practice">
        <h3>Practised</h3>
        <PickField
          label="Move"
          :value="drill.moveKind"
          :options="kinds"
          :save="
            (v) => {
              drill.moveKind = v;
            }
          "
        />
        <PickField
          label="With"
          :value="drill.handling"
          :options="HOW"
          :save="
            (v) => {
              drill.handling = v;
            }
          "
        />
        <NumberField
          label="Tries"
          :value="drill.tries"
          quantity="count"
          :save="
            (v) => {
              drill.tries = Math.max(1, Math.round(v));
            }
          "
        />
        <NumberField
          label="Kept"
          :value="drill.keepers"
          quantity="count"
          :save="
            (v) => {
              drill.keepers = Math.max(0, Math.round(v));
            }
          "
        />
        <button class="btn lead" @click="log">Log it</button>
      </section>
      <ul class="logged">
        <li v-for="p in logged" :key="p.id">
          <span>{{ dayOf(p.utcMs) }}</span><b>{{ nameOf(p.moveKind) }}</b
          ><span>{{ p.handling }}</span
          ><span>{{ p.keepers }} of {{ p.tries }} kept</span
          ><button
            class="btn bare"
            :aria-label="`Delete practice of ${nameOf(p.moveKind)}`"
            @click="forget(p.id)"
          >
            Delete
          </button>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.pilots {
  display: grid;
  gap: 12px;
  max-width: 1000px;
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
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 12px;
  font-stretch: 84%;
  color: var(--chalk-2);
  padding: 0 10px 3px 0;
}
td {
  padding: 2px 10px 2px 0;
  border-top: 1px solid var(--line);
}
td:nth-child(2) {
  width: 170px;
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

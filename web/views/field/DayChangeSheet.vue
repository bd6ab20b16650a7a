<script setup lang="ts">
import { dayDifference, dayEdits, withEdits, type DayChange } from '@core/field';
import { FilmDeriver } from '@core/film';
import { counted } from '@core/units';
import { computed, shallowRef } from 'vue';
import { choices, SKY_WORDS } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import type { Thing } from '../../sync/history';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';

/** What turned out differently: chosen with one touch, seen as a difference, then applied or left. */
const props = defineProps<{ locationIds: ReadonlySet<string>; packIds: readonly string[] }>();
const emit = defineEmits<{ close: [] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const selection = useSelection();

interface Choice {
  readonly label: string;
  readonly change: DayChange;
}
const packs = computed(() => store.list('pack').filter((p) => props.packIds.includes(p.id)));
const shotId = computed(() => selection.shotId);
const groups = computed<{ name: string; choices: Choice[] }[]>(() => [
  {
    name: 'Wind',
    choices: [-2, 2, 4].map((byMs) => ({
      label: `${byMs > 0 ? '+' : '−'}${Math.abs(byMs)} m/s`,
      change: { kind: 'wind', byMs },
    })),
  },
  {
    name: 'Time',
    choices: [
      { label: '10 min lost', change: { kind: 'minutes', lost: 10 } },
      { label: '30 min lost', change: { kind: 'minutes', lost: 30 } },
      { label: '10 min gained', change: { kind: 'minutes', lost: -10 } },
    ],
  },
  {
    name: 'Sky',
    choices: choices(SKY_WORDS).map((c) => ({ label: c.label, change: { kind: 'sky', sky: c.value } })),
  },
  {
    name: 'Battery at half',
    choices: packs.value.map((p) => ({
      label: p.name,
      change: { kind: 'pack-charge', packId: p.id, share: 0.5 },
    })),
  },
  {
    name: 'Battery out',
    choices: packs.value.map((p) => ({ label: p.name, change: { kind: 'pack-out', packId: p.id } })),
  },
  {
    name: 'Card full or lost',
    choices: derivedFilm.along.cards.map((c) => ({
      label: c.name,
      change: { kind: 'card-out', cardId: c.id },
    })),
  },
  {
    name: 'Aircraft down',
    choices: store
      .list('aircraft')
      .filter((a) => !a.retired)
      .map((a) => ({ label: a.name, change: { kind: 'aircraft-out', aircraftId: a.id } })),
  },
  {
    name: 'This shot',
    choices: shotId.value
      ? [{ label: 'Cannot be flown', change: { kind: 'shot-out', shotId: shotId.value } }]
      : [],
  },
]);

const chosen = shallowRef<Choice | null>(null);
const edits = computed(() =>
  chosen.value && store.input ? dayEdits(store.input, chosen.value.change, props.locationIds) : [],
);
const difference = computed(() => {
  if (!store.input || !derivedFilm.derived || edits.value.length === 0) return null;
  return dayDifference(derivedFilm.derived, new FilmDeriver().derive(withEdits(store.input, edits.value)));
});
const numbered = (ids: readonly string[]): string =>
  ids
    .flatMap((id) => {
      const shot = derivedFilm.derived?.shots.get(id);
      return shot ? [`${shot.number} ${shot.facts.shot.title}`.trim()] : [];
    })
    .join(', ');
const lines = computed(() => {
  const d = difference.value;
  if (!d) return [];
  const riskier = d.charge.filter((c) => c.points < 0);
  const safer = d.charge.filter((c) => c.points > 0);
  const most = (list: typeof riskier): number => Math.max(...list.map((c) => Math.abs(c.points)));
  return [
    d.dropped.length > 0 ? { sign: 'stop', say: `Dropped: ${numbered(d.dropped)}` } : null,
    d.gained.length > 0 ? { sign: 'good', say: `Fits now: ${numbered(d.gained)}` } : null,
    d.moved.length > 0
      ? {
          sign: 'note',
          say: `Moved: ${d.moved.map((m) => `${numbered([m.id])} by ${m.minutes} min`).join(', ')}`,
        }
      : null,
    riskier.length > 0
      ? {
          sign: 'care',
          say: `Lands with up to ${most(riskier)} points less: ${numbered(riskier.map((c) => c.id))}`,
        }
      : null,
    safer.length > 0
      ? {
          sign: 'good',
          say: `Lands with up to ${most(safer)} points more: ${numbered(safer.map((c) => c.id))}`,
        }
      : null,
  ].filter((l) => l !== null);
});
const apply = (): void => {
  const faults = store.commit(
    `day changed: ${chosen.value?.label ?? ''}`,
    edits.value.flatMap((e) => {
      const now = store.get(e.kind, e.id);
      if (!now) return [];
      return [
        { kind: e.kind, id: e.id, after: e.fields === null ? null : ({ ...now, ...e.fields } as Thing) },
      ];
    }),
  );
  selection.say(faults[0]?.say ?? 'The day is changed. Undo brings it back.');
  if (faults.length === 0) emit('close');
};
</script>

<template>
  <DialogBox title="What changed" width="min(720px, 96vw)" @close="emit('close')">
    <div v-if="!chosen" class="groups">
      <section v-for="g in groups.filter((x) => x.choices.length > 0)" :key="g.name" :aria-label="g.name">
        <h3>{{ g.name }}</h3>
        <div class="choices">
          <button v-for="c in g.choices" :key="c.label" class="btn" @click="chosen = c">{{ c.label }}</button>
        </div>
      </section>
    </div>
    <div v-else class="outcome">
      <h3>{{ chosen.label }}</h3>
      <div role="status">
        <ul v-if="lines.length > 0">
          <li v-for="l in lines" :key="l.say" :class="l.sign">{{ l.say }}</li>
        </ul>
        <p v-else>Every shot that fits still fits, at the same minute.</p>
      </div>
      <p v-if="difference && difference.dropped.length > 0" class="quiet">
        {{ counted(difference.dropped.length, 'shot') }} would need another plan: apply, then plan the day
        anew under Flights.
      </p>
      <div class="acts">
        <button class="btn lead" @click="apply">Apply</button>
        <button class="btn" @click="chosen = null">Leave as it was</button>
      </div>
    </div>
  </DialogBox>
</template>

<style scoped>
h3 {
  margin: 12px 0 5px;
  font-size: 16px;
}
.choices,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.btn {
  min-height: 48px;
  min-width: 72px;
  justify-content: center;
  font-size: 16px;
}
.outcome {
  font-size: 18px;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  border-left: 4px solid var(--chalk-3);
  padding-left: 10px;
}
li.stop {
  border-color: var(--stop);
}
li.care {
  border-color: var(--care);
}
.acts {
  margin-top: 16px;
}
</style>

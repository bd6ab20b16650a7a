<script setup lang="ts">
import { Grid } from '@element-plus/icons-vue';
import { ElButton } from '../../parts/element-button';
import { aidsFor } from '@core/aids';
import { suggestedSticks } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Shot } from '@core/model';
import { changeMoveKind, MOVES, moveOf, type MoveParameter } from '@core/moves';
import { computed } from 'vue';
import {
  choices,
  HANDLING_WORDS,
  inSentence,
  phrase,
  PRIORITY_WORDS,
  ROLE_WORDS,
  WISH_WORDS,
} from '../../format';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import SliderField from '../../parts/SliderField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDeferred } from '../../composables/deferred';
import { AddedRow, AskRow, Disclosure, MoveSheet, PointRows } from './later';
import { useStored } from './useStored';
import { tr } from './messages';
import { useMessages } from '../../composables/useMessages';

const { text } = useMessages();

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const selection = useSelection();
/** What only tells about the move follows a picture later than what is drawn of it. */
const calm = useDeferred(() => props.shot);
const stored = useStored(() => props.shot);
const kind = computed(() => stored.value.move.kind);
const move = computed(() => moveOf(kind.value));
const place = computed(() => stored.value.locationId);
const kinds = MOVES.map((m) => ({ value: m.kind, label: phrase(m.name) }));
const subjects = computed(() => [
  { value: null, label: tr('noneAheadOfTheLaunch') },
  ...film
    .list('subject')
    .filter((s) => s.locationId === place.value)
    .map((s) => ({ value: s.id as string | null, label: s.name })),
]);
const sliders = computed(() => move.value?.parameters.filter((p) => !p.choice) ?? []);
const toggles = computed(() => move.value?.parameters.filter((p) => p.choice) ?? []);
const valueOf = (p: MoveParameter): number => stored.value.move.values[p.id] ?? p.initial;

/** Where a slider usually ends; the field beside it takes more. */
const TOPS: Readonly<Record<string, number>> = {
  metres: 200,
  speed: 15,
  degreesPerSecond: 40,
  degrees: 360,
  factor: 5,
};
const topOf = (p: MoveParameter): number => p.usualMax ?? TOPS[p.quantity] ?? p.max;

type ShotFields = Parameters<typeof film.edit<'shot'>>[2];
const set = (fields: ShotFields, label = tr('changeLower')) =>
  film.edit('shot', stored.value.id, fields, label);
const setMove = (fields: Partial<Shot['move']>, label = tr('moveLower')) =>
  set({ move: { ...stored.value.move, ...fields } }, label);
const setValue = (id: string, value: number) =>
  setMove({ values: { ...stored.value.move.values, [id]: value } });
const lock = (id: string): void => {
  const { locked } = stored.value.move;
  setMove({ locked: locked.includes(id) ? locked.filter((l) => l !== id) : [...locked, id] }, 'given');
};
const setKind = (next: string) => {
  const changed = changeMoveKind(stored.value.move, next, props.shot.facts.aim);
  return changed ? set({ move: changed }, tr('anotherMove')) : [];
};
// Handed down as they are: a function made anew in the template would redraw every field at each step of a slider.
const savers = computed(
  () => new Map((moveOf(kind.value)?.parameters ?? []).map((p) => [p.id, (v: number) => setValue(p.id, v)])),
);
const noop = () => undefined;
const saverOf = (id: string) => savers.value.get(id) ?? noop;
const setSubject = (subjectId: string | null) => set({ subjectId });
const setRole = (role: Shot['role']) => set({ role });
const setPriority = (priority: Shot['priority']) => set({ priority });
const setWants = (wants: Shot['wants']) => set({ wants });
const setHandling = (handling: Shot['handling']) => set({ handling });
const setPoints = (points: Shot['move']['points']) => setMove({ points }, 'route');
const ROLES = choices(ROLE_WORDS);
const PRIORITIES = choices(PRIORITY_WORDS);
const WISHES = choices(WISH_WORDS);
/** The calmest setting that gives what the move asks is named as such. */
const calmest = computed(() => suggestedSticks(calm.value.facts));
const STICKS = computed(() =>
  choices(HANDLING_WORDS).map((c) =>
    c.value === calmest.value ? { ...c, note: tr('calmestThatDoesIt') } : c,
  ),
);

const aids = computed(() => {
  const { aircraft, trajectory, move: known, aim } = calm.value.facts;
  return aircraft && trajectory && known ? aidsFor(aircraft.abilities, known, trajectory, aim) : [];
});
const able = computed(() => aids.value.filter((a) => a.could));
const unable = computed(() => aids.value.filter((a) => !a.could));
</script>

<template>
  <div class="facet">
    <div class="row">
      <div class="kind">
        <PickField
          help="shot.kind"
          :label="tr('move')"
          :value="stored.move.kind"
          :options="kinds"
          :save="setKind"
        />
        <ElButton
          class="btn"
          :title="tr('chooseAMoveFromPictures')"
          :aria-label="tr('pictures')"
          @click="selection.movesShown = true"
        >
          <Grid class="icon" />
        </ElButton>
      </div>
      <PickField
        help="shot.subjectId"
        :label="tr('subjectUpper')"
        :value="stored.subjectId"
        :options="subjects"
        :save="setSubject"
      />
      <PickField
        help="shot.role"
        :label="tr('roleInTheStory')"
        :value="stored.role"
        :options="ROLES"
        :save="setRole"
      />
      <PickField
        help="shot.priority"
        :label="tr('priority')"
        :value="stored.priority"
        :options="PRIORITIES"
        :save="setPriority"
      />
      <PickField
        help="shot.wants"
        :label="tr('lightWanted')"
        :value="stored.wants"
        :options="WISHES"
        :save="setWants"
      />
      <PickField
        help="shot.handling"
        :label="tr('sticks')"
        :value="stored.handling"
        :options="STICKS"
        :save="setHandling"
      />
    </div>
    <MoveSheet
      v-if="selection.movesShown"
      :shot="shot"
      @pick="setKind"
      @close="selection.movesShown = false"
    />
    <PointRows
      v-if="move?.byPoints"
      :points="stored.move.points"
      :from="shot.facts.aim.aim"
      :save="setPoints"
    />
    <div class="sliders">
      <SliderField
        v-for="p in sliders"
        :key="stored.id + stored.move.kind + p.id"
        :parameter="p"
        :value="valueOf(p)"
        :top="topOf(p)"
        :locked="stored.move.locked.includes(p.id)"
        :save="saverOf(p.id)"
        @lock="lock(p.id)"
      />
      <div v-for="p in toggles" :key="p.id" class="toggle" role="group" :aria-label="phrase(p.label)">
        <span class="label">{{ phrase(p.label) }}</span>
        <ElButton
          v-for="(word, i) in p.choice"
          :key="word"
          class="btn"
          :class="{ on: valueOf(p) === i }"
          :aria-pressed="valueOf(p) === i"
          @click="setValue(p.id, i)"
        >
          {{ phrase(word) }}
        </ElButton>
      </div>
    </div>
    <AskRow :shot="calm" />
    <AddedRow
      :key="stored.id"
      :added="stored.move.added"
      :reversed="stored.move.reversed"
      :reversible="move?.reversible ?? false"
      :save="setMove"
    />
    <p v-if="calm.facts.trajectory && calm.facts.trajectory.inputs.length > 0" class="says quiet">
      {{ tr('path') }} <Fig :value="calm.facts.trajectory.lengthM" quantity="metres" /> {{ tr('in') }}
      <Fig :value="calm.facts.trajectory.totalS" quantity="seconds" />{{ tr('between') }}
      <Fig :value="calm.facts.trajectory.lowestM" quantity="metres" /> {{ tr('and') }}
      <Fig :value="calm.facts.trajectory.highestM" quantity="metres" /> {{ tr('highTurnsAtUpTo') }}
      <Fig :value="calm.facts.trajectory.peakYawDegS" quantity="degreesPerSecond" />{{ tr('tiltsAtUpTo') }}
      <Fig :value="calm.facts.trajectory.peakTiltDegS" quantity="degreesPerSecond" />.
    </p>
    <p v-if="move" class="says">
      <b>{{ phrase(move.says) }}</b> {{ phrase(move.sticks) }}
      <span class="quiet">{{ tr('needsNeeds', { needs: phrase(move.needs) }) }}</span>
      <span class="caution">{{ phrase(move.caution) }}</span>
    </p>
    <p v-if="able.length > 0" class="says">
      {{ tr('byHandOrByItself') }}
      <b v-for="(a, i) in able" :key="a.aid.kind" :title="a.say"
        >{{ i > 0 ? ', ' : '' }}{{ inSentence(phrase(a.aid.name)) }}</b
      >. <span class="quiet">{{ able[0]?.say }}</span>
    </p>
    <Disclosure v-if="unable.length > 0" class="says" :label="tr('whyTheOtherAidsCould')">
      <ul>
        <li v-for="a in unable" :key="a.aid.kind">
          <b>{{ phrase(a.aid.name) }}</b>: {{ a.limit ? text(a.limit) : phrase(a.say) }}
        </li>
      </ul>
    </Disclosure>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(84px, 1fr));
  gap: 6px;
  margin-bottom: 6px;
}
.kind {
  grid-column: span 2;
  display: flex;
  align-items: end;
  gap: 4px;
}
.kind > :first-child {
  flex: 1;
  min-width: 0;
}
.kind .btn {
  padding-inline: 7px;
}
.icon {
  width: 16px;
  height: 16px;
}
.sliders {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
}
.toggle {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 34px;
}
.toggle .label {
  width: 84px;
  margin-right: 8px;
}
@media (max-width: 700px) {
  .sliders {
    grid-template-columns: 1fr;
  }
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.says {
  margin-top: 8px;
  max-width: 78ch;
}
.says b {
  font-weight: 600;
}
.caution {
  color: var(--care);
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import {
  dayDifference,
  dayEdits,
  memoryMinutes,
  PHONE_MINUTES_A_GB,
  withEdits,
  type DayChange,
} from '@core/field';
import { FilmDeriver } from '@core/film';
import { changeTo } from '@core/model';
import { dateIn } from '@core/time';
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue';
import { choices, SKY_WORDS, write } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import DayDifferenceList from './DayDifferenceList.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useFlights } from '../../stores/flights';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** What turned out differently: chosen with one touch, seen as a difference, then applied or left. */
const props = defineProps<{
  locationIds: ReadonlySet<string>;
  packIds: readonly string[];
  nowMs: number;
  /** What has changed already: the rest of the day is planned at once. */
  changed?: string;
}>();
const emit = defineEmits<{ close: [] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const flights = useFlights();
const selection = useSelection();

interface Choice {
  readonly label: string;
  readonly change: DayChange;
}
const packs = computed(() => store.list('pack').filter((p) => props.packIds.includes(p.id)));
const shotId = computed(() => selection.shotId);
/** Charges a pack is found with; the nearest is near enough for a plan of the day. */
const SHARES = [0.8, 0.6, 0.5, 0.4, 0.3] as const;
const share = ref<number>(0.5);
const step = (byMs: number): string => {
  const w = write(Math.abs(byMs), 'speed', derivedFilm.units);
  return `${byMs > 0 ? '+' : '−'}${Number(w.number)} ${w.unit}`;
};
/** `charges`: asks first which charge the battery is found with. */
const groups = computed<{ name: string; choices: Choice[]; charges?: boolean }[]>(() => [
  {
    name: tr('wind'),
    choices: [-2, 2, 4].map((byMs) => ({ label: step(byMs), change: { kind: 'wind', byMs } })),
  },
  {
    name: tr('gusts'),
    choices: [-2, 2, 4].map((byMs) => ({ label: step(byMs), change: { kind: 'gusts', byMs } })),
  },
  {
    name: tr('time'),
    choices: [
      { label: tr('figure10MinLost'), change: { kind: 'minutes', lost: 10 } },
      { label: tr('figure30MinLost'), change: { kind: 'minutes', lost: 30 } },
      { label: tr('figure10MinGained'), change: { kind: 'minutes', lost: -10 } },
    ],
  },
  {
    name: tr('sky'),
    choices: choices(SKY_WORDS).map((c) => ({ label: c.label, change: { kind: 'sky', sky: c.value } })),
  },
  {
    name: tr('batteryAt'),
    charges: true,
    choices: packs.value.map((p) => ({
      label: tr('nameAtShare', { name: p.name, share: Math.round(100 * share.value) }),
      change: { kind: 'pack-charge', packId: p.id, share: share.value },
    })),
  },
  {
    name: tr('batteryOut'),
    choices: packs.value.map((p) => ({ label: p.name, change: { kind: 'pack-out', packId: p.id } })),
  },
  {
    name: tr('cardFullOrLost'),
    choices: derivedFilm.along.cards.map((c) => ({
      label: c.name,
      change: { kind: 'card-out', cardId: c.id },
    })),
  },
  {
    name: tr('aircraftDown'),
    choices: store
      .list('aircraft')
      .filter((a) => !a.retired)
      .map((a) => ({ label: a.name, change: { kind: 'aircraft-out', aircraftId: a.id } })),
  },
  {
    name: tr('locationClosed'),
    choices: derivedFilm.locations
      .filter((l) => props.locationIds.has(l.id))
      .map((l) => ({ label: l.name, change: { kind: 'location-closed', locationId: l.id } })),
  },
  {
    name: tr('thisShot'),
    choices: shotId.value
      ? [{ label: tr('cannotBeFlown'), change: { kind: 'shot-out', shotId: shotId.value } }]
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
/** A card that fails leaves the aircraft's own memory, and the picture the phone has. */
const withoutCard = computed(() => {
  if (chosen.value?.change.kind !== 'card-out') return '';
  const { aircraft, mode } = selection.shot?.facts ?? {};
  const minutes = aircraft ? memoryMinutes(aircraft, mode?.megabitsPerS ?? 0) : 0;
  return [
    aircraft && minutes > 0
      ? tr('memoryOfAircraftHolds', { aircraft: aircraft.name, minutes: Math.floor(minutes) })
      : tr('noMemoryInTheAircraft'),
    tr('phoneRecordsTheLink', { minutes: Math.round(PHONE_MINUTES_A_GB) }),
  ].join(' ');
});
const date = computed(() => selection.place?.location.date ?? '');
/** The change is made; what follows is about another plan for it. */
const applied = ref(false);
/** What the plan that is proposed would change against the day as it is now. */
const proposed = computed(() =>
  applied.value && flights.would && derivedFilm.derived
    ? dayDifference(derivedFilm.derived, flights.would)
    : null,
);
const apply = (): boolean => {
  const faults = store.commit(
    tr('dayChangedLabel', { label: chosen.value?.label ?? '' }),
    edits.value.flatMap((e) => {
      const now = store.get(e.kind, e.id);
      if (!now) return [];
      return [changeTo(e.kind, e.id, e.fields && { ...now, ...e.fields })];
    }),
  );
  if (faults[0]) {
    selection.say(faults[0].say);
    return false;
  }
  selection.say(tr('theDayIsChangedUndo'));
  return true;
};
const applyAndClose = (): void => {
  if (apply()) emit('close');
};
/** Has the rest of the day planned beside the page. */
const planRest = async (): Promise<void> => {
  applied.value = true;
  await nextTick();
  const today = dateIn(props.nowMs, selection.place?.location.zone ?? 'UTC') === date.value;
  flights.nowMs = today ? props.nowMs : -Infinity;
  await flights.plan(date.value);
};
const applyAndPlan = (): void => {
  if (apply()) void planRest();
};
onMounted(() => {
  if (props.changed !== undefined) void planRest();
});
const takePlan = (): void => {
  flights.take();
  emit('close');
};
const close = (): void => {
  if (applied.value) flights.stop();
  flights.drop();
  emit('close');
};
</script>

<template>
  <DialogBox :title="tr('whatChanged')" width="min(720px, 96vw)" @close="close">
    <div v-if="!chosen && !applied" class="groups">
      <section v-for="g in groups.filter((x) => x.choices.length > 0)" :key="g.name" :aria-label="g.name">
        <h3>{{ g.name }}</h3>
        <div v-if="g.charges" class="choices shares" role="group" :aria-label="tr('charge')">
          <ElButton
            v-for="s in SHARES"
            :key="s"
            class="btn"
            :class="{ on: s === share }"
            :aria-pressed="s === share"
            @click="share = s"
          >
            {{ Math.round(100 * s) }} %
          </ElButton>
        </div>
        <div class="choices">
          <ElButton v-for="c in g.choices" :key="c.label" class="btn" @click="chosen = c">{{
            c.label
          }}</ElButton>
        </div>
      </section>
    </div>
    <div v-else-if="applied" class="outcome">
      <h3>{{ chosen?.label ?? changed }}</h3>
      <div role="status" :aria-busy="flights.busy">
        <p v-if="flights.busy">{{ tr('planningTheRestOfThe', { progress: flights.progress }) }}</p>
        <p v-else-if="flights.failed" class="fault">{{ flights.failed }}</p>
        <DayDifferenceList
          v-else-if="proposed"
          :difference="proposed"
          :none="tr('thePlannerFindsNoBetter')"
        />
      </div>
      <div class="acts">
        <ElButton v-if="flights.busy" class="btn" @click="flights.stop()">{{ tr('stopPlanning') }}</ElButton>
        <ElButton v-else-if="proposed" class="btn lead" @click="takePlan">{{ tr('applyPlan') }}</ElButton>
        <ElButton class="btn" @click="close">{{ tr('keepTheOrderAsIt') }}</ElButton>
      </div>
    </div>
    <div v-else-if="chosen" class="outcome">
      <h3>{{ chosen.label }}</h3>
      <div role="status">
        <DayDifferenceList v-if="difference" :difference="difference" :none="tr('everyShotThatFitsStill')" />
        <p v-if="withoutCard" class="quiet">{{ withoutCard }}</p>
      </div>
      <div class="acts">
        <ElButton class="btn lead" @click="applyAndClose">{{ tr('apply') }}</ElButton>
        <ElButton class="btn" @click="applyAndPlan">{{ tr('applyAndPlanTheDay') }}</ElButton>
        <ElButton class="btn" @click="chosen = null">{{ tr('leaveAsItWas') }}</ElButton>
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
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.shares {
  margin-bottom: 8px;
}
.acts {
  margin-top: 16px;
}
</style>

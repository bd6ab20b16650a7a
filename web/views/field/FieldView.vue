<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { isSensingOff } from '@core/shot';
import { fieldOrder, flyingSteps, nextStop } from '@core/field';
import { plannedShares } from '@core/day';
import type { TakeRating } from '@core/model';
import { clockText } from '@core/time';
import { locationAt } from '@core/weather';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { launchOfShot } from '../../composables/shot-launch';
import { useLocationRoute } from '../../composables/useLocationRoute';
import { useMessages } from '../../composables/useMessages';
import { dateText, INPUT_WORDS } from '../../format';
import MarkSign from '../../parts/MarkSign.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { useDay } from '../flights/useDay';
import { useLightPlace } from '../light/useLightPlace';
import AirLine from './AirLine.vue';
import DayDifferenceList from './DayDifferenceList.vue';
import InTurn from '../../parts/InTurn.vue';
import FlyingDial from './FlyingDial.vue';
import FieldDrawing from './FieldDrawing.vue';
import GroundSteps from './GroundSteps.vue';
import LandingForm from './LandingForm.vue';
import SensingOff from './SensingOff.vue';
import TakePad from './TakePad.vue';
import ZoneNote from './ZoneNote.vue';
import { useAir, useNow } from './useAir';
import { useFieldKeys } from './useFieldKeys';
import { useChanceShot } from './useChanceShot';
import { useFlightExposures } from './useFlightExposures';
import { useLanding } from './useLanding';
import { useSwipe } from './useSwipe';
import { useTakes } from './useTakes';
import { tr } from './messages';

const LeavingSheet = defineAsyncComponent(() => import('./LeavingSheet.vue'));
const EveningSheet = defineAsyncComponent(() => import('./EveningSheet.vue'));
const DayChangeSheet = defineAsyncComponent(() => import('./DayChangeSheet.vue'));
const SimulatedSheet = defineAsyncComponent(() => import('./simulated/SimulatedSheet.vue'));
/** One shot fills the screen: what to do, with which settings, how long the battery lasts, and whether it was good. */
const props = defineProps<{ film: string; location?: string }>();
useLocationRoute('field', props);
const store = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const findings = useFindings();
const { text } = useMessages();
const day = useDay();
const { packName } = useLightPlace();
const now = useNow();
const { aloft, elapsedS, state, sound, takeOff, correct, clear } = useAir(
  computed(() => store.filmId),
  now,
);

const order = computed(() => fieldOrder(day.places.value));
const done = computed<ReadonlySet<string>>(() => derivedFilm.derived?.done ?? new Set());
const shot = computed(() => derivedFilm.derived?.shots.get(selection.shotId) ?? null);
const place = computed(() => selection.place);
const zone = computed(() => place.value?.location.zone ?? 'UTC');
const stop = computed(() => order.value.find((s) => s.shotId === selection.shotId) ?? null);
const flight = computed(() => place.value?.flights[stop.value?.flightIndex ?? -1] ?? null);
const card = computed(
  () => derivedFilm.derived?.budget.cards.byFlight.find((l) => l.flight === flight.value)?.cardId ?? null,
);
const { own, count, add, because, describe, remove, voiceNotes, speak, unspeak } = useTakes(
  shot,
  computed(() => ({
    packId: (aloft.value?.flight ?? flight.value)?.packId ?? null,
    cardId: card.value,
  })),
);
const steps = computed(() =>
  shot.value
    ? flyingSteps(shot.value.facts, flight.value?.launch.at ?? launchOfShot(store, shot.value.facts))
    : [],
);
const watched = computed(() =>
  shot.value
    ? findings
        .about(shot.value)
        .filter((w) => w.severity !== 'note')
        .slice(0, 3)
    : [],
);
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const go = (id: string | undefined): void => {
  if (id) selection.pick(id);
};
const by = (n: number): void => {
  const all = order.value;
  const at = all.findIndex((s) => s.shotId === selection.shotId);
  go(all[at === -1 ? 0 : Math.min(all.length - 1, Math.max(0, at + n))]?.shotId);
};
const next = computed(() => nextStop(order.value, done.value, selection.shotId));
const after = computed(() =>
  next.value ? nextStop(order.value, new Set([...done.value, selection.shotId]), next.value.shotId) : null,
);
const nameOf = (id: string | undefined): string => {
  const s = id ? derivedFilm.derived?.shots.get(id) : undefined;
  return s ? `${s.number} ${s.facts.shot.title || tr('untitled')}` : '';
};
const launch = (): void => {
  if (flight.value && day.curve.value && stop.value)
    takeOff(flight.value, (stop.value.flightIndex ?? 0) + 1, day.curve.value);
};
const changing = ref(false);
/** Locations of the day from the one at hand on. */
const stillToCome = computed(() => {
  const here = place.value?.location.id;
  const all = day.places.value.map((p) => p.location.id);
  return new Set(all.slice(Math.max(0, all.indexOf(here ?? ''))));
});
const packsOfDay = computed(() => [
  ...new Set(day.places.value.flatMap((p) => p.flights.flatMap((f) => f.packId ?? []))),
]);
const exposureOf = useFlightExposures();
const { landing, landedId, groundSteps, cardName, log, forget } = useLanding(
  day,
  aloft,
  elapsedS,
  exposureOf,
  clear,
);
const plannedWindMs = computed(() =>
  place.value && aloft.value ? locationAt(place.value.location, aloft.value.tookOffMs).windMs : 0,
);
const { chance, begin: beginChance, close: closeChance } = useChanceShot(place);
/** What has changed already when the rest of the day is to be planned anew. */
const changed = ref<string>();
const leaving = ref(false);
const evening = ref(false);
const simulating = ref(false);
/** The location of the day after this one. */
const nextLocation = computed(() => {
  const all = day.places.value;
  return all[all.findIndex((p) => p.location.id === place.value?.location.id) + 1] ?? null;
});
const leave = (): void => {
  leaving.value = false;
  if (nextLocation.value) selection.pickPlace(nextLocation.value.location.id);
  else evening.value = true;
};
const recording = ref(false);
watch(
  () => selection.shotId,
  () => {
    recording.value = false;
  },
);
/** Nothing but a failed take is judged before somebody has said that it was recording. */
const judge = (rating: TakeRating): void => {
  if (!recording.value && rating !== 'no-good') return;
  add(rating);
  recording.value = false;
};
useFieldKeys({
  by,
  judge,
  record: () => {
    recording.value = !recording.value;
  },
});
const { begin: touched, end: swiped } = useSwipe(by);
const inputs = computed(
  () => shot.value?.facts.trajectory?.inputs.map((i) => INPUT_WORDS[i]).join(', ') ?? '',
);
</script>

<template>
  <main class="field scroll" tabindex="-1" @touchstart.passive="touched" @touchend.passive="swiped">
    <template v-if="shot && place">
      <header class="top">
        <ElButton class="btn" :aria-label="tr('previousShot')" @click="by(-1)">◂</ElButton>
        <h1 dir="auto">
          <span class="number">{{ shot.number }}</span> {{ shot.facts.shot.title || tr('untitled') }}
        </h1>
        <ElButton class="btn" :aria-label="tr('nextShot')" @click="by(1)">▸</ElButton>
      </header>
      <p class="where quiet">
        <template v-if="flight && stop?.startMs">{{
          tr('flightFlightIndexOnPackNamePlanned', {
            flightIndex: (stop.flightIndex ?? 0) + 1,
            packName: packName(flight.packId),
            startMs: clockText(stop.startMs, zone),
          })
        }}</template><template v-else-if="shot.done">{{ tr('done') }}</template
        ><template v-else>{{ tr('inNoFlight') }}</template
        >, {{ place.location.name }}, {{ dateText(place.location.date) }}
      </p>
      <ZoneNote :date="place.location.date" :zone="zone" :now-ms="now" />
      <AirLine
        v-model:sound="sound"
        :state="state"
        :elapsed-s="elapsedS"
        :flying="aloft !== null"
        :may="flight !== null && day.curve.value !== null"
        :label="
          flight
            ? tr('packNamePercentAtTakeOff', {
                packName: packName(flight.packId),
                percent: percent(plannedShares(flight).startShare),
                percent2: percent(plannedShares(flight).endShare),
              })
            : tr('thisShotIsInNo')
        "
        @take-off="launch"
        @landed="landing = true"
        @correct="correct"
      />
      <LandingForm
        v-if="landing && aloft"
        :planned="state?.share ?? 0"
        :number="aloft.number"
        :card="cardName"
        :wind-ms="plannedWindMs"
        @log="log"
        @cancel="landing = false"
      />
      <section v-if="chance" class="chance-cost" :aria-label="tr('whatItTakesAway')">
        <h2>{{ tr('chanceTakesAway', { title: chance.title }) }}</h2>
        <DayDifferenceList :difference="chance.takes" :none="tr('everyShotThatFitsStill')" />
        <ElButton class="btn lead" @click="((changed = chance.title), (changing = true), closeChance())">
          {{ tr('planTheRestAnew') }}
        </ElButton>
        <ElButton class="btn" @click="closeChance">{{ tr('close') }}</ElButton>
      </section>
      <GroundSteps
        v-if="!aloft && groundSteps.length > 0"
        :landed-id="landedId"
        :steps="groundSteps"
        @close="forget"
      />
      <div class="cols">
        <section class="do" :aria-label="tr('whatToDo')">
          <ol class="steps">
            <li v-for="(s, i) in steps" :key="i">{{ text(s) }}</li>
          </ol>
          <p v-if="steps.length === 0" class="fault">
            {{ shot.facts.noPath ? text(shot.facts.noPath) : '' }}
          </p>
          <p v-if="inputs" class="quiet">{{ tr('inputsInputs', { inputs }) }}</p>
          <InTurn
            ><FlyingDial
              :shot="shot"
              :place="place"
              :exposure="flight && exposureOf(place, flight)"
              :card="card"
              :now-ms="now"
          /></InTurn>
          <SensingOff v-if="isSensingOff(shot.facts)" :shot="shot" :zone="place.location.zone" />
          <ul v-if="watched.length > 0" class="watch" :aria-label="tr('whatToWatch')">
            <li v-for="w in watched" :key="w.code"><MarkSign :severity="w.severity" /> {{ text(w.say) }}</li>
          </ul>
          <TakePad
            v-model:recording="recording"
            :zone="zone"
            :takes="own"
            :wanted="shot.facts.shot.takes"
            :good="count.good"
            :voice-notes="voiceNotes"
            @add="judge"
            @because="because"
            @describe="describe"
            @remove="remove"
            @speak="speak"
            @unspeak="unspeak"
          />
        </section>
        <FieldDrawing :shot="shot" :place="place" />
      </div>
      <footer class="next">
        <ElButton v-if="next" class="btn lead" @click="go(next.shotId)">
          {{ shot.done ? tr('doneNext') : tr('next') }}: {{ nameOf(next.shotId) }}
        </ElButton>
        <p v-else class="quiet">{{ tr('everyShotOfTheDay') }}</p>
        <p v-if="after" class="quiet">{{ tr('afterThatNameOf', { nameOf: nameOf(after.shotId) }) }}</p>
        <ElButton class="btn chance" @click="beginChance">{{ tr('chanceShot') }}</ElButton>
        <ElButton class="btn" @click="changing = true">{{ tr('dayChanged') }}</ElButton>
        <ElButton class="btn" @click="leaving = true">{{ tr('leaveLocation') }}</ElButton>
        <ElButton class="btn" @click="simulating = true">{{ tr('simulatedAircraft') }}</ElButton>
      </footer>
      <SimulatedSheet v-if="simulating" :places="day.places.value" @close="simulating = false" />
      <LeavingSheet
        v-if="leaving"
        :now-ms="now"
        :next-location="nextLocation?.location.name ?? ''"
        @go="((leaving = false), go($event))"
        @leave="leave"
        @close="leaving = false"
      />
      <EveningSheet v-if="evening" :date="place.location.date" :zone="zone" @close="evening = false" />
      <DayChangeSheet
        v-if="changing"
        :location-ids="stillToCome"
        :pack-ids="packsOfDay"
        :now-ms="now"
        :changed="changed"
        @close="((changing = false), (changed = undefined))"
      />
    </template>
    <div v-else class="empty">
      <h1>{{ tr('field') }}</h1>
      <p class="quiet">
        {{ tr('theFlyingCardShowsOne') }}
        <RouterLink :to="{ name: 'shots' }">{{ tr('addTheFirstShot') }}</RouterLink>.
      </p>
    </div>
  </main>
</template>

<style scoped>
.field {
  background: var(--slab);
  padding: 10px 16px 24px;
  display: grid;
  gap: 10px;
  align-content: start;
  font-size: 18px;
}
.top {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 12px;
  align-items: center;
}
/* Read outdoors. */
.field :deep(.label) {
  font-size: 15px;
}
/* Pressed with a thumb: words in the middle. */
.field :deep(.btn) {
  justify-content: center;
  text-align: center;
}
.top .btn {
  min-width: 56px;
  min-height: 52px;
  font-size: 22px;
}
.top h1 {
  font-size: 26px;
  line-height: 1.15;
}
.number {
  font-size: 40px;
  font-weight: 700;
  margin-right: 6px;
}
.where {
  margin: 0;
}
.chance-cost {
  border-left: 6px solid var(--pick);
  background: var(--slab-2);
  padding: 8px 14px 12px;
}
.chance-cost h2 {
  font-size: 18px;
}
.chance-cost .btn {
  margin-top: 8px;
  margin-inline-end: 8px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
}
.steps {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 6px;
  font-size: 21px;
  line-height: 1.25;
}
.steps li:first-child {
  font-size: 24px;
  font-weight: 620;
}
.watch {
  display: grid;
  gap: 6px;
}
.watch li {
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: 8px;
}
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.next .btn {
  min-height: 52px;
  font-size: 18px;
}
.next p {
  margin: 0;
}
.chance {
  margin-left: auto;
  border-color: var(--ember);
}
.empty {
  display: grid;
  gap: 10px;
}
@media (max-width: 800px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import 'element-plus/es/components/segmented/style/css';
import { ElSegmented } from 'element-plus';
import type { LocationPlan } from '@core/day';
import { bearingTo } from '@core/geometry';
import { clockText } from '@core/time';
import { computed, ref } from 'vue';
import { counted } from '../../../format';
import DialogBox from '../../../parts/DialogBox.vue';
import Fig from '../../../parts/Fig.vue';
import PickField from '../../../parts/PickField.vue';
import { useDerivedFilm } from '../../../stores/derived-film';
import { useFilm } from '../../../stores/film';
import LineMap from '../../rehearse/LineMap.vue';
import { tr } from '../messages';
import { PACES, useSimulatedFlight } from './useSimulatedFlight';
import { useSimulatedLog } from './useSimulatedLog';

/** A day at the desk: planned flights by a simulated aircraft, with what its display would show, and what they leave behind. */
const props = defineProps<{ places: readonly LocationPlan[] }>();
defineEmits<{ close: [] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const { pace, flying, paused, tS, over, sample, plannedShare, line, takes, takeOff, toEnd, leave } =
  useSimulatedFlight();
const { addFlight, addDay, rows, clear, save } = useSimulatedLog();

const flights = computed(() =>
  props.places.flatMap(({ location, flights: own }) =>
    own.flatMap((flight, i) =>
      flight.packId === null
        ? []
        : [
            {
              flight,
              value: `${location.id} ${i}`,
              label: tr('flightOfPlace', {
                number: i + 1,
                place: location.name,
                time: clockText(flight.startMs, location.zone),
                pack: store.get('pack', flight.packId)?.name ?? '',
              }),
            },
          ],
    ),
  ),
);
const chosen = ref('');
const flight = computed(
  () => flights.value.find((f) => f.value === chosen.value) ?? flights.value[0] ?? null,
);
const paces = PACES.map((value) => ({ value, label: `× ${value}` }));
const zone = computed(
  () => props.places.find((p) => p.location.id === flying.value?.flight.locationId)?.location.zone ?? 'UTC',
);
const percent = (share: number | null): string => (share === null ? '–' : `${Math.round(100 * share)} %`);
const clock = computed(() => {
  const whole = Math.floor(Math.min(tS.value, flying.value?.flown.seconds ?? 0));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
});
const shotOf = (id: string | null) => derivedFilm.derived?.shots.get(id ?? '');
const nameOf = (id: string | null): string => {
  const shot = shotOf(id);
  return shot ? `${shot.number} ${shot.facts.shot.title}`.trim() : '';
};
const doing = computed(() => {
  if (over.value) return tr('simulatedLanded');
  const now = sample.value;
  if (!now) return '';
  const samples = flying.value?.flown.samples ?? [];
  // A leg belongs to no shot: it leads to the next that has one.
  const shot = nameOf(now.shotId ?? samples.find((s) => s.tS > tS.value && s.shotId)?.shotId ?? null);
  return {
    takeoff: () => tr('simulatedTakeOff'),
    leg: () => tr('simulatedLeg', { shot }),
    'set-up': () => tr('simulatedSetUp', { shot }),
    take: () => tr('simulatedTake', { shot }),
    home: () => tr('simulatedHome'),
  }[now.phase]();
});
const from = computed(() => flying.value?.flight.launch.at ?? { x: 0, y: 0, z: 0 });
const awayM = computed(() =>
  sample.value ? Math.hypot(sample.value.at.x - from.value.x, sample.value.at.y - from.value.y) : 0,
);
const heightM = computed(() => (sample.value ? sample.value.at.z - from.value.z : 0));
const heading = computed(() => {
  const [a, b] = line.value.slice(-2);
  return a && b ? bearingTo(a, b) : 0;
});
</script>

<template>
  <DialogBox :title="tr('simulatedAircraft')" width="min(760px, 96vw)" @close="$emit('close')">
    <p class="quiet">{{ tr('simulatedFliesAsPlanned') }}</p>
    <p v-if="flights.length === 0">{{ tr('noFlightToSimulate') }}</p>
    <template v-else>
      <div class="choice">
        <PickField
          :label="tr('flight')"
          :value="flight?.value ?? ''"
          :options="flights"
          :save="(v) => void (chosen = v)"
        />
        <div class="pace">
          <span class="label">{{ tr('simulatedPace') }}</span>
          <ElSegmented v-model="pace" :options="paces" :aria-label="tr('simulatedPace')" />
        </div>
        <ElButton
          v-if="!flying"
          class="btn lead"
          :disabled="!flight"
          @click="flight && takeOff(flight.flight)"
        >
          {{ tr('takeOff') }}
        </ElButton>
        <template v-else>
          <ElButton v-if="!over" class="btn" @click="paused = !paused">
            {{ paused ? tr('goOn') : tr('pause') }}
          </ElButton>
          <ElButton v-if="!over" class="btn" @click="toEnd">{{ tr('toTheLanding') }}</ElButton>
          <ElButton class="btn" @click="leave">{{ tr('leaveFlight') }}</ElButton>
        </template>
      </div>
      <div v-if="flying && sample" class="display">
        <dl>
          <div>
            <dt>{{ tr('displayShows') }}</dt>
            <dd class="large">{{ percent(sample.share) }}</dd>
          </div>
          <div>
            <dt>{{ tr('byThePlan') }}</dt>
            <dd class="large quiet">{{ percent(plannedShare) }}</dd>
          </div>
          <div>
            <dt>{{ tr('sinceTakeOff') }}</dt>
            <dd>{{ clock }}</dd>
          </div>
          <div>
            <dt>{{ tr('simulatedHeight') }}</dt>
            <dd><Fig :value="heightM" quantity="metres" /></dd>
          </div>
          <div>
            <dt>{{ tr('simulatedAway') }}</dt>
            <dd><Fig :value="awayM" quantity="metres" /></dd>
          </div>
        </dl>
        <LineMap
          :planned="flying.planned"
          :flown="line"
          :now="sample.at"
          :heading-deg="heading"
          from="above"
          :width="250"
          :height="200"
        />
        <p class="doing" role="status">{{ doing }}</p>
        <ol v-if="takes.length > 0" class="takes" :aria-label="tr('takes')">
          <li v-for="(t, i) in takes" :key="i" :class="{ good: t.good }">
            {{ clockText(flying.flight.startMs + t.endS * 1000, zone) }} {{ nameOf(t.shotId) }}:
            <b>{{ t.good ? tr('simulatedGood') : tr('simulatedNotGood') }}</b>
          </li>
        </ol>
        <div v-if="over" class="acts">
          <ElButton class="btn lead" @click="(addFlight(flying), leave())">{{ tr('logSimulated') }}</ElButton>
          <ElButton class="btn" @click="save(flying, 'gpx')">{{ tr('saveTrack') }}</ElButton>
          <ElButton class="btn" @click="save(flying, 'csv')">{{ tr('saveFlightRecord') }}</ElButton>
        </div>
      </div>
      <p v-else class="acts">
        <ElButton class="btn" @click="addDay(places)">{{ tr('flyWholeDay') }}</ElButton>
        <span class="quiet">{{ tr('everyFlightAtOnce') }}</span>
      </p>
    </template>
    <p v-if="rows.takes.length + rows.flights.length > 0" class="there">
      {{
        tr('simulatedThere', {
          flights: counted(rows.flights.length, 'flight'),
          takes: counted(rows.takes.length, 'take'),
        })
      }}
      <ElButton class="btn" @click="clear">{{ tr('removeSimulated') }}</ElButton>
    </p>
  </DialogBox>
</template>

<style scoped>
.choice,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.acts {
  align-items: center;
  margin-top: 16px;
}
.choice > :first-child {
  flex: 1 1 260px;
}
.pace {
  display: grid;
  gap: 2px;
}
.label,
dt {
  color: var(--chalk-2);
  font-size: 13px;
}
.display {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px 18px;
  margin-top: 14px;
  padding: 12px 14px;
  background: var(--slab-2);
  border-left: 4px solid var(--ember);
}
dl {
  margin: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 14px;
  align-content: start;
}
dd {
  margin: 0;
  font-size: 20px;
  font-weight: 600;
}
dd.large {
  font-size: 34px;
  line-height: 1.1;
}
.doing,
.takes,
.display .acts {
  grid-column: 1 / -1;
  margin: 0;
}
.doing {
  font-weight: 600;
  font-size: 17px;
}
.takes {
  padding-inline-start: 20px;
  max-height: 150px;
  overflow: auto;
  columns: 2;
}
.takes .good b {
  color: var(--verdigris);
}
.there {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  justify-content: space-between;
}
@media (max-width: 600px) {
  .display {
    grid-template-columns: 1fr;
  }
  .takes {
    columns: 1;
  }
}
</style>

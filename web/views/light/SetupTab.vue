<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { setupSheet, type SetupValue, type SheetLine } from '@core/light-timeline';
import type { DerivedFilm } from '@core/film';
import type { LocationLight } from '@core/shot';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { computed, ref } from 'vue';
import InPieces from '../../parts/InPieces.vue';
import { useMessages } from '../../composables/useMessages';
import { useDerivedFilm } from '../../stores/derived-film';
import { useExposures } from './useExposures';
import { useLightPlace } from './useLightPlace';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; derived: DerivedFilm; lit: LocationLight }>();
const derivedFilm = useDerivedFilm();
const { filterName, packName } = useLightPlace();
const { text } = useMessages();
const onlyChanges = ref(false);
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const exposures = useExposures(() => ({
  place: props.place,
  shots: props.derived.shots,
  kit: derivedFilm.along,
  lit: props.lit,
}));
const sheets = computed(() => {
  const left = new Map<string, ReadonlyMap<string, SetupValue>>();
  return exposures.value.map((f) => {
    const contexts = f.rows.flatMap((r) => {
      const shot = props.derived.shots.get(r.shotId);
      return shot
        ? [
            {
              shot,
              choice: r.start.choice,
              filterName: filterName(r.start.choice?.filterId ?? null, r.start.choice?.ndStops),
              ramp: r.ramp,
              driftStops: (r.stopsPerMinute * shot.facts.seconds.takeS) / 60,
            },
          ]
        : [];
    });
    const craft = contexts[0]?.shot.facts.aircraft;
    const made = setupSheet(contexts, left.get(craft?.id ?? '') ?? null);
    left.set(craft?.id ?? '', made.left);
    return {
      key: f.index,
      first: !made.lines.some((l) => l.differs),
      at: clock(f.flight.startMs),
      pack: packName(f.flight.packId),
      craft: craft?.name ?? '',
      camera: contexts[0]?.shot.facts.camera?.name ?? '',
      numbers: contexts.map((c) => c.shot.number),
      lines: made.lines,
    };
  });
});
/** On the first flight with an aircraft everything is dialled in. */
const shown = (lines: readonly SheetLine[], first: boolean): readonly SheetLine[] =>
  onlyChanges.value && !first ? lines.filter((l) => l.differs || l.later.length > 0) : lines;
const print = (): void => window.print();
</script>

<template>
  <div class="setup">
    <header class="top no-print">
      <ElButton
        class="btn"
        :class="{ on: onlyChanges }"
        :aria-pressed="onlyChanges"
        @click="onlyChanges = !onlyChanges"
      >
        {{ tr('onlyWhatChanges') }}</ElButton><ElButton class="btn" @click="print">{{
        tr('print')
      }}</ElButton>
    </header>
    <p v-if="place.flights.length === 0" class="quiet">
      {{ tr('noFlightsHereYetA') }}
    </p>
    <div class="sheets">
      <InPieces
        :key="place.location.id"
        :items="sheets"
        :key-of="(s) => s.key"
        :size="4"
        v-slot="{ item: s }"
      >
        <section class="sheet" :aria-label="tr('setUpOfFlightKey', { key: s.key + 1 })">
          <header>
            <h2>
              {{ s.at }} <span class="quiet">{{ s.craft }}, {{ s.camera }}</span>
            </h2>
            <p class="label">
              {{ tr('packShotsNumbers', { pack: s.pack, numbers: s.numbers.join(' ') }) }}
            </p>
          </header>
          <dl>
            <template v-for="l in shown(s.lines, s.first)" :key="l.id">
              <dt :class="{ differs: l.differs }">
                {{ tr(`line.${l.id}`) }}<span v-if="l.differs" class="sr">{{ ` ${tr('changes')}` }}</span>
              </dt>
              <dd :class="{ differs: l.differs }" :data-line="l.id">
                <b>{{ text(l.text) }}</b> <span class="quiet">{{ text(l.why) }}</span>
                <span v-for="c in l.later" :key="c.number" class="later"
                  >{{ tr('fromNumberOn', { number: c.number }) }} <b>{{ text(c.text) }}</b></span
                >
              </dd>
            </template>
          </dl>
        </section>
      </InPieces>
    </div>
    <p v-if="sheets.length > 1" class="faint">
      {{ tr('linesWithABarDiffer') }}
    </p>
  </div>
</template>

<style scoped>
.setup {
  display: grid;
  gap: 12px;
  align-content: start;
}
.top {
  display: flex;
  gap: 8px;
  justify-content: end;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.sheets {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(350px, 1fr));
  gap: 14px;
  align-items: start;
}
.sheet {
  border: 1px solid var(--line);
  background: var(--bench);
  padding: 10px 14px;
}
dl {
  display: grid;
  grid-template-columns: 104px 1fr;
  margin: 8px 0 0;
}
dt,
dd {
  margin: 0;
  padding: 4px 0 4px 8px;
  border-top: 1px solid var(--line);
}
dt {
  color: var(--chalk-2);
  font-size: 12.5px;
  font-stretch: 88%;
}
dt.differs {
  box-shadow: inset 4px 0 var(--pick);
  color: var(--chalk);
  font-weight: 620;
}
dd .quiet {
  font-size: 12.5px;
}
.later {
  display: block;
  color: var(--care);
}
@media (max-width: 700px) {
  .sheets {
    grid-template-columns: 1fr;
  }
}
@media print {
  .sheet {
    break-inside: avoid;
    background: none;
  }
}
</style>

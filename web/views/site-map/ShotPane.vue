<script setup lang="ts">
import { useMessages } from '../../composables/useMessages';
import type { DerivedShot } from '@core/film';
import type { LossAction } from '@core/model';
import { FIXED_RETURN_M } from '@core/clearance';
import { bySeverity } from '@core/warnings';
import { computed } from 'vue';
import { choices, listText, LOSS_WORDS, phrase, sensingChoices, writeText } from '../../format';
import Fig from '../../parts/Fig.vue';
import EyeView from '../../parts/EyeView.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { useSite } from '../../stores/site';
import PackRail from '../shots/PackRail.vue';
import WarningList from '../../parts/WarningList.vue';
import type { Plan } from './usePlan';
import { tr } from './messages';

const props = defineProps<{ plan: Plan; shot: DerivedShot; share: number }>();
const film = useFilm();
const site = useSite();
const { text } = useMessages();
const derivedFilm = useDerivedFilm();
const told = computed(() => site.shots.get(props.shot.facts.shot.id) ?? null);
const facts = computed(() => told.value?.site ?? null);
const GROUNDED = new Set(['move.ground', 'move.ceiling', 'move.subject']);
const warnings = computed(() =>
  bySeverity([...(told.value?.warnings ?? []), ...props.shot.warnings.filter((w) => GROUNDED.has(w.code))]),
);
const launches = computed(() => [
  { value: null as string | null, label: tr('asTheLocationHasIt') },
  ...props.plan.things.value
    .filter((t) => t.kind === 'launch')
    .map((t) => ({ value: t.id as string | null, label: t.name || tr('launchPoint') })),
]);
const actions = [
  {
    value: null as LossAction | null,
    get label() {
      return tr('asTheLocationHasIt');
    },
  },
  ...choices(LOSS_WORDS),
];
const set = (fields: Record<string, unknown>) =>
  film.edit('shot', props.shot.facts.shot.id, fields, tr('siteOfAShot'));
const locationPlan = computed(() => derivedFilm.derived?.places.get(props.shot.facts.location.id) ?? null);
const flight = computed(() =>
  props.shot.flightIndex === null ? null : (locationPlan.value?.flights[props.shot.flightIndex] ?? null),
);
const heightText = (m: number): string => writeText(m, 'metres', derivedFilm.units);
const fixedHeights = computed(() =>
  listText(
    FIXED_RETURN_M.map(([a, b]) =>
      a === b ? heightText(a) : tr('fromAToB', { a: heightText(a), b: heightText(b) }),
    ),
    'or',
  ),
);
const overGround = computed(() => props.shot.facts.overGround);
</script>

<template>
  <section class="pane" :aria-label="tr('thePickedShotOnIts')">
    <header>
      <h2>
        <span class="number">{{ shot.number }}</span>
        <span dir="auto">{{ shot.facts.shot.title || tr('untitled') }}</span>
      </h2>
      <span class="quiet">{{ phrase(shot.facts.move?.name) }}</span>
    </header>
    <EyeView :shot="shot" :share="share" :width="296" :height="140" />
    <dl class="costs">
      <div>
        <dt class="label">{{ tr('inTheAir') }}</dt>
        <dd data-site="air"><Fig :value="shot.facts.seconds.airS" quantity="seconds" /></dd>
      </div>
      <div>
        <dt class="label">{{ tr('energy') }}</dt>
        <dd class="wh" data-site="energy">
          <Fig :value="shot.facts.energy?.totalWh ?? NaN" quantity="wattHours" />
        </dd>
      </div>
      <div>
        <dt class="label">{{ tr('card') }}</dt>
        <dd class="gb"><Fig :value="shot.facts.bytes / 1e9" quantity="gigabytes" /></dd>
      </div>
      <div v-if="flight">
        <dt class="label">{{ tr('flightFlightIndex', { flightIndex: (shot.flightIndex ?? 0) + 1 }) }}</dt>
        <dd data-site="flight">
          <Fig :value="flight.usedWh" quantity="wattHours" /><span class="unit">{{
            tr('ofUsable', { usable: writeText(flight.supply.usableWh, 'wattHours', derivedFilm.units) })
          }}</span>
        </dd>
      </div>
    </dl>
    <WarningList :warnings="warnings" />
    <p v-if="facts && warnings.length === 0" class="quiet" data-site="clear">
      {{ tr('nothingMarkedOnThisPlan') }}
    </p>
    <PackRail
      v-if="derivedFilm.derived && locationPlan"
      class="packs"
      :derived="derivedFilm.derived"
      :place="locationPlan"
    />
    <dl v-if="facts" class="facts">
      <div>
        <dt>{{ tr('overTheGround') }}</dt>
        <dd>
          <Fig :value="overGround.lowestM" quantity="metres" /> {{ tr('to') }}
          <Fig :value="overGround.highestM" quantity="metres" />
        </dd>
      </div>
      <div>
        <dt>{{ tr('overLaunch') }}</dt>
        <dd>
          <Fig :value="(shot.facts.trajectory?.lowestM ?? NaN) - facts.launch.z" quantity="metres" />
          {{ tr('to') }}
          <Fig :value="(shot.facts.trajectory?.highestM ?? NaN) - facts.launch.z" quantity="metres" />
        </dd>
      </div>
      <div v-if="facts.nearest">
        <dt>{{ tr('nearest') }}</dt>
        <dd data-site="nearest">
          {{ text(facts.nearest.name) }}, <Fig :value="Math.max(0, facts.nearest.freeM)" quantity="metres" />
        </dd>
      </div>
      <div>
        <dt>{{ tr('aGustCarriesIt') }}</dt>
        <dd><Fig :value="facts.driftM" quantity="metres" /></dd>
      </div>
      <div v-for="(p, i) in facts.fromPilot" :key="i">
        <dt>{{ tr('fromThePilotValue', { value: i === 0 ? tr('start') : tr('end') }) }}</dt>
        <dd>
          <Fig :value="p.distanceM" quantity="metres" /> {{ tr('at') }}
          <Fig :value="p.bearingDeg" quantity="degrees" />
        </dd>
      </div>
      <div>
        <dt>{{ tr('madeOutToAbout') }}</dt>
        <dd>
          <Fig :value="facts.sight.limitM" quantity="metres" />{{ tr('farthest') }}
          <Fig :value="facts.sight.farthestM" quantity="metres" />
        </dd>
      </div>
      <template v-if="facts.home">
        <div>
          <dt>{{ tr('wayHomeAsks') }}</dt>
          <dd data-site="return">
            <Fig :value="facts.home.needM" quantity="metres" />
            <span class="quiet">{{ tr('overBy', { by: text(facts.home.by) }) }}</span>
          </dd>
        </div>
        <div>
          <dt>{{ tr('ceilingAllows') }}</dt>
          <dd>
            <Fig :value="facts.home.mostM" quantity="metres" />
            <span class="quiet">{{ tr('othersSetFixedM', { fixed: fixedHeights }) }}</span>
          </dd>
        </div>
      </template>
    </dl>
    <div v-if="facts" class="grid">
      <PickField
        :label="tr('launchPoint')"
        :value="shot.facts.shot.launchId"
        :options="launches"
        :save="(v) => set({ launchId: v })"
      />
      <PickField
        :label="tr('lostLinkAction')"
        :value="shot.facts.shot.lossAction"
        :options="actions"
        :save="(v) => set({ lossAction: v })"
      />
      <PickField
        :label="tr('obstacleSensing')"
        :value="shot.facts.shot.sensing"
        :options="sensingChoices()"
        :save="(v) => set({ sensing: v })"
      />
      <SwitchField
        v-if="plan.ground.value.grid"
        :label="tr('keepHeightOverGround')"
        :value="shot.facts.shot.overGround"
        :save="
          (v: boolean) => {
            set({ overGround: v });
          }
        "
      />
    </div>
    <ul v-if="facts" class="loss">
      <li v-for="a in ['return', 'hover', 'land'] as const" :key="a" :class="{ on: facts.loss.chosen === a }">
        <b>{{ LOSS_WORDS[a] }}</b> {{ text(facts.loss.meets[a])
        }}<span v-if="facts.loss.advice === a" class="advice">{{ ` ${tr('advised')}` }}</span>
      </li>
    </ul>
    <p v-if="facts" class="quiet small">
      {{ tr('whyYouConfirmItCheck', { why: text(facts.loss.why) }) }}
    </p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 9px;
  align-content: start;
}
header {
  display: grid;
  gap: 0;
}
h2 {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.number {
  font-stretch: 76%;
  font-size: 19px;
}
.packs {
  height: 220px;
  border-top: 1px solid var(--line);
  padding-top: 4px;
}
.costs {
  display: flex;
  gap: 4px 18px;
  flex-wrap: wrap;
  margin: 0;
}
dd {
  margin: 0;
  font-weight: 560;
}
.wh {
  color: var(--ember);
}
.gb {
  color: var(--verdigris);
}
.facts {
  margin: 0;
  display: grid;
  gap: 2px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
.facts div {
  display: grid;
  grid-template-columns: 126px 1fr;
  gap: 8px;
}
.facts dt {
  color: var(--chalk-2);
  font-size: 12.5px;
  font-stretch: 86%;
}
.facts dd {
  font-stretch: 88%;
}
.facts .quiet {
  font-weight: 400;
  font-size: 12px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 10px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
.loss li {
  font-size: 13px;
  padding: 1px 0 1px 9px;
  border-left: 3px solid transparent;
}
.loss .on {
  border-color: var(--pick);
}
.advice {
  color: var(--pick);
  font-weight: 600;
}
.small {
  font-size: 12px;
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { controlsFrom, leavesAmong, profileGives, STICK_MODES, type RehearsedAs } from '@core/rehearsal';
import type { HandlingName } from '@core/model';
import 'element-plus/es/components/segmented/style/css';
import 'element-plus/es/components/progress/style/css';
import { ElProgress, ElSegmented } from 'element-plus';
import {
  computed,
  defineAsyncComponent,
  nextTick,
  ref,
  shallowRef,
  useTemplateRef,
  watch,
  type Ref,
} from 'vue';
import { useMessages } from '../../composables/useMessages';
import { choices, HANDLING_WORDS } from '../../format';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import CockpitHud from './CockpitHud.vue';
import DrillList from './DrillList.vue';
import MarksPane from './MarksPane.vue';
import { useBeats } from './useBeats';
import { useCockpitChoices } from './useCockpitChoices';
import { useDrills } from './useDrills';
import { useGamepad } from './useGamepad';
import { useKeySticks, type StickValues } from './useKeySticks';
import { useRehearsal } from './useRehearsal';
import { useRehearsedLog } from './useRehearsedLog';
import { useRehearsingPilot } from './useRehearsingPilot';
import { useTries } from './useTries';
import { useTryFilm } from './useTryFilm';
import { useTryMargins } from './useTryMargins';
import { usePreferences } from '../../composables/preferences';
import { tr } from './messages';

const { text } = useMessages();

const CockpitCanvas = defineAsyncComponent(() => import('./CockpitCanvas.vue'));
/** A shot flown by hand before a battery is on. */
const store = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();

const { pilots, pilotId, choose: choosePilot } = useRehearsingPilot();
const base = computed(() => derivedFilm.derived?.shots.get(selection.shotId) ?? null);
const {
  rows: drillRows,
  drill,
  level,
  handling: drillSticks,
  flown: drilled,
  choose: chooseDrill,
  goOn,
} = useDrills(base, pilotId);
/** Whether drills are flown, or the shots of the film. */
const drilling = ref(false);
const shot = computed(() => (drilling.value ? drilled.value : base.value));
const setDrilling = (on: boolean): void => {
  drilling.value = on;
  if (on && !drill.value) chooseDrill(drillRows.value[0]?.drill.id ?? null);
};
const shots = computed(() =>
  (derivedFilm.derived?.order ?? []).flatMap((id) => {
    const s = derivedFilm.derived?.shots.get(id);
    return s ? [{ value: id, label: `${s.number} ${s.facts.shot.title || tr('untitled')}` }] : [];
  }),
);
const here = computed(() => shot.value?.facts.location.id);
const subjects = computed(() => {
  const all = store.list('subject').filter((x) => x.locationId === here.value);
  const own = drilling.value ? (shot.value?.facts.subject ?? null) : null;
  return own ? [...all.filter((x) => x.id !== own.id), own] : all;
});
const things = computed(() => store.list('feature').filter((x) => x.locationId === here.value));

const tryFilm = useTryFilm(shot, subjects, things);
const { stop: filming, share: filmShare, fault: filmFault } = tryFilm;

const handling = ref<HandlingName>('normal');
watch(
  [() => shot.value?.facts.shot.id, () => (drilling.value ? drill.value?.id : ''), drillSticks],
  () => {
    handling.value = shot.value?.facts.shot.handling ?? 'normal';
  },
  { immediate: true },
);
const PROFILES = choices(HANDLING_WORDS);
const MODES = STICK_MODES.map((m) => ({ value: m, label: tr('modeValue', { value: m }) }));
const { mode, calm, tunnel, ghost, calling, fixedCamera, wantsAttitude, byAttitude } =
  useCockpitChoices(shot);
/** What is flown: a shot, or a drill at its level there. */
const target = (): string =>
  [shot.value?.facts.shot.id, ...(drilling.value ? [drill.value?.id, level.value] : [])].join(' ');
const as = computed((): RehearsedAs => ({
  handling: handling.value,
  calm: calm.value,
  byAttitude: byAttitude.value,
  leaves: leavesAmong(things.value),
}));
const noPicture = ref(document.createElement('canvas').getContext('webgl2') === null);
/** Flown by the map: there is no picture, or the drill takes it away. */
const plain = computed(() => noPicture.value || (drilling.value && (drill.value?.blind ?? false)));
const lost = ref('');

const canvas = useTemplateRef<{ draw: (...a: never[]) => void }>('canvas');
const touch: StickValues = { leftX: 0, leftY: 0, rightX: 0, rightY: 0, tilt: 0 };
const keys = useKeySticks(() => phase.value === 'flying' || phase.value === 'count');
const pad = useGamepad(() => {
  if (phase.value !== 'flying') return;
  freeze();
  lost.value = tr('theControllerIsGoneThe');
});
const { name: padName, ask } = pad;
const thumbed = (axis: keyof StickValues, value: number): void => {
  touch[axis] = value;
};
/** Where the sticks stand. */
const stand = shallowRef<StickValues>({ ...touch });
/** Keys, thumbs and controller add up; whichever is moved is followed. */
const sticks = (s: number): StickValues => {
  const [k, p] = [keys.after(s), pad.read()];
  const sum = (axis: keyof StickValues): number =>
    Math.max(-1, Math.min(1, k[axis] + touch[axis] + (p?.[axis] ?? 0)));
  return (stand.value = {
    leftX: sum('leftX'),
    leftY: sum('leftY'),
    rightX: sum('rightX'),
    rightY: sum('rightY'),
    tilt: sum('tilt'),
  });
};
/** The ghost flies ahead, where it can be seen, s. */
const GHOST_AHEAD_S = 1.5;
const draw = (): void => {
  const t = flight.value;
  if (!t) return;
  const view = canvas.value as { draw: (pose: object, tS: number, ghostAt: object) => void } | null;
  view?.draw(t.pose, t.state.tS, ghostAt(t.state.tS + GHOST_AHEAD_S));
  if (ask.value) pad.read();
};
const {
  phase,
  count,
  half,
  marks,
  flight,
  tick,
  ended,
  rehearsed,
  start,
  freeze,
  finish,
  back,
  watchGhost,
  watchKept,
  ghostAt,
  callNow,
} = useRehearsal(
  shot,
  target,
  as,
  (s) => {
    const v = sticks(s);
    return controlsFrom(mode.value, v, v.tilt);
  },
  draw,
);
const margins = useTryMargins(shot, things, { marks, flight, rehearsed });
const fly = (): void => {
  goOn();
  void nextTick(start);
};
const { beat, withMusic, clicks, canClick } = useBeats(
  shot,
  { flight, tick },
  () => phase.value === 'flying' || phase.value === 'watching',
);
const cockpit = { flight, tick, count, stand, beat };
const { best, sum, add } = useRehearsedLog(
  shot,
  () => (drilling.value && drill.value ? { drill: drill.value, level: level.value } : null),
  pilotId,
);
const prefer = usePreferences(() => tr('rehearsalLower'));
const countRehearsed = (v: boolean) => prefer({ countRehearsed: v });
const counted = ref('');
const { row: triesNow, gains, add: addTry } = useTries(target);
watch(phase, (now, was) => {
  if (now === 'count') counted.value = '';
  if (now === 'flying') lost.value = '';
  if (now !== 'marked') return;
  keys.release();
  if (ended.value && marks.value) addTry(marks.value);
  if (was === 'watching') counted.value = tr('watchedNotCountedAsA');
  else if (!ended.value) counted.value = tr('takenBackOrSlowedIn');
  else
    counted.value =
      add(ended.value) ||
      tr(drilling.value ? 'countedAsDrill' : 'countedAsPracticeTryTries', { tries: sum.value.tries });
});

const planned = computed(() => rehearsed.value?.trajectory.samples.map((s) => s.pose.at) ?? []);
const tooSlow = computed(
  () => rehearsed.value !== null && !profileGives(rehearsed.value.craft.profile, rehearsed.value.trajectory),
);
interface Aid {
  readonly label: string;
  readonly of: Ref<boolean>;
  readonly hint?: string;
}
const aids = computed((): readonly Aid[] => [
  { label: tr('framesAlongTheLine'), of: tunnel },
  { label: tr('ghostOnTheLine'), of: ghost },
  { label: tr('callOuts'), of: calling },
  { label: tr('halfSpeed'), of: half },
  ...(canClick ? [{ label: tr(withMusic.value ? 'clickOnBeats' : 'clickOnSeconds'), of: clicks }] : []),
  { label: tr('noWind'), of: calm },
  ...(fixedCamera.value ? [{ label: tr('byAttitude'), of: wantsAttitude, hint: tr('byAttitudeHint') }] : []),
]);
const flyingNow = computed(() => phase.value === 'flying' || phase.value === 'frozen');
</script>

<template>
  <main class="rehearse" tabindex="-1">
    <section class="cockpit" :aria-label="tr('cockpit')">
      <CockpitCanvas
        v-if="shot && rehearsed && !plain"
        ref="canvas"
        :shot="shot"
        :subjects="subjects"
        :things="things"
        :tunnel="tunnel"
        :ghost="ghost"
        @lost="noPicture = true"
      />
      <CockpitHud
        v-if="rehearsed"
        :cockpit="cockpit"
        :total-s="rehearsed.trajectory.totalS"
        :planned="planned"
        :plain="plain"
        :call="calling ? callNow : null"
        :phase="phase"
        :notice="lost"
        @thumb="thumbed"
      />
    </section>
    <aside class="panel scroll" :aria-label="tr('rehearsal')">
      <h1>{{ tr('rehearse') }}</h1>
      <ElSegmented
        :model-value="drilling"
        :options="[
          { value: false, label: tr('shotsOfTheFilm') },
          { value: true, label: tr('drills') },
        ]"
        :aria-label="tr('whatIsFlown')"
        block
        @change="(v: boolean) => setDrilling(v)"
      />
      <PickField
        :label="drilling ? tr('atThePlaceOf') : tr('shot')"
        :value="selection.shotId"
        :options="shots"
        :save="
          (id) => {
            selection.pick(id);
          }
        "
      />
      <PickField
        v-if="pilots.length > 1"
        :label="tr('pilot')"
        :value="pilotId"
        :options="pilots"
        :save="choosePilot"
      />
      <DrillList
        v-if="drilling && !rehearsed"
        :rows="drillRows"
        :chosen="drill?.id ?? null"
        @choose="chooseDrill"
      />
      <p v-if="!shot" class="quiet">{{ tr('chooseAShot') }}</p>
      <p v-else-if="!rehearsed" class="quiet">
        {{ shot.facts.noPath ? text(shot.facts.noPath) : tr('onlyMovesThatAreFilmed') }}
      </p>
      <template v-else>
        <p v-if="sum.tries > 0" class="quiet">
          {{
            sum.best === null
              ? tr('rehearsedTimes', { tries: sum.tries })
              : tr('rehearsedTimesBest', { tries: sum.tries, best: Math.round(sum.best) })
          }}
        </p>
        <div class="acts">
          <ElButton v-if="!flyingNow" class="btn lead" @click="fly">
            {{ marks ? tr('flyAgain') : drilling ? tr('flyDrill', { level }) : tr('flyShot') }}
          </ElButton>
          <ElButton v-if="flyingNow" class="btn lead" @click="finish">{{ tr('endTry') }}</ElButton>
          <ElButton v-if="flyingNow" class="btn" @click="freeze">
            {{ phase === 'frozen' ? tr('flyOn') : tr('freeze') }}
          </ElButton>
          <ElButton v-if="flyingNow" class="btn" @click="back(5)">{{ tr('back5S') }}</ElButton>
          <ElButton v-if="!flyingNow" class="btn" @click="watchGhost">{{ tr('watchTheLine') }}</ElButton>
          <ElButton v-if="best && !flyingNow" class="btn" @click="watchKept(best)">
            {{ tr('watchBestMark', { mark: best.mark }) }}
          </ElButton>
        </div>
        <DrillList v-if="drilling" :rows="drillRows" :chosen="drill?.id ?? null" @choose="chooseDrill" />
        <p v-if="tooSlow" class="care">
          {{ tr('thisStickProfileIsSlower') }}
        </p>
        <MarksPane
          v-if="marks"
          :marks="marks"
          :margins="margins"
          :least-m="store.film?.preferences.clearanceM ?? 0"
          :total-s="rehearsed.trajectory.totalS"
          :counted="counted"
          :tries="triesNow"
          :gains="gains"
        />
        <div v-if="marks && tryFilm.able && !noPicture && flight" class="film">
          <ElButton v-if="!filming" class="btn" @click="tryFilm.save(flight.samples)">
            {{ tr('saveTryAsFilm') }}
          </ElButton>
          <template v-else>
            <ElProgress :percentage="filmShare" :aria-label="tr('saveTryAsFilm')" />
            <ElButton class="btn" @click="tryFilm.cancel">{{ tr('cancel') }}</ElButton>
          </template>
          <p v-if="filmFault" class="fault" role="alert">{{ filmFault }}</p>
        </div>
        <section class="aids" :aria-label="tr('aids')">
          <SwitchField
            v-for="a in aids"
            :key="a.label"
            :label="a.label"
            :value="a.of.value"
            :hint="a.hint"
            :save="(v) => void (a.of.value = v)"
          />
          <SwitchField
            :label="tr('rehearsedTriesCount')"
            :value="store.film?.preferences.countRehearsed ?? true"
            :hint="tr('aThirdOfATake')"
            :save="countRehearsed"
          />
        </section>
        <PickField
          :label="tr('stickProfile')"
          :value="handling"
          :options="PROFILES"
          :save="
            (v) => {
              handling = v;
            }
          "
        />
        <PickField
          :label="tr('stickMode')"
          :value="mode"
          :options="MODES"
          :save="
            (v) => {
              mode = v;
            }
          "
        />
        <p v-if="ask" class="learn" role="status">
          {{ ask }} <ElButton class="btn" @click="pad.skip()">{{ tr('skip') }}</ElButton>
        </p>
        <p v-else-if="padName" class="quiet">
          {{ tr('controllerPadName', { padName }) }}
          <ElButton class="btn" @click="pad.startLearning()">{{ tr('learnSticks') }}</ElButton>
        </p>
        <p class="quiet">
          {{ tr('leftStick') }} <kbd>{{ 'W' }}</kbd> <kbd>{{ 'A' }}</kbd> <kbd>{{ 'S' }}</kbd>
          <kbd>{{ 'D' }}</kbd>{{ tr('rightStickTheArrowsCamera') }} <kbd>{{ 'R' }}</kbd> <kbd>{{ 'F' }}</kbd>;
          <kbd>{{ tr('shift') }}</kbd>
          {{ tr('forHalfAGameController') }}
        </p>
        <p class="quiet">{{ tr('aRehearsalTeachesTimingAnd') }}</p>
      </template>
    </aside>
  </main>
</template>

<style scoped>
.rehearse {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  min-height: 0;
  height: 100%;
}
.cockpit {
  position: relative;
  min-height: 300px;
  background: #0d0b10;
  overflow: hidden;
}
.panel {
  background: var(--slab);
  padding: 14px 16px 30px;
  display: grid;
  gap: 10px;
  align-content: start;
}
.panel p {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.acts .btn {
  min-height: 44px;
}
.film {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.film :deep(.el-progress) {
  width: 100%;
}
.aids {
  display: grid;
  gap: 2px;
}
.care {
  border-left: 4px solid var(--care);
  padding-left: 8px;
}
kbd {
  border: 1px solid var(--line);
  padding: 0 4px;
  font: inherit;
  font-size: 12.5px;
}
@media (max-width: 800px) {
  .rehearse {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(420px, 62vh) auto;
    height: auto;
    overflow: auto;
  }
}
</style>

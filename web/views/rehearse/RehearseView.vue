<script setup lang="ts">
import { controlsFrom, profileGives, STICK_MODES, type StickMode } from '@core/rehearsal';
import { HANDLING_NAMES, type HandlingName } from '@core/model';
import { computed, defineAsyncComponent, ref, useTemplateRef, watch } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { choices, HANDLING_WORDS } from '../../format';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import LineMap from './LineMap.vue';
import MarksPane from './MarksPane.vue';
import ThumbPad from './ThumbPad.vue';
import { useGamepad } from './useGamepad';
import { useKeySticks, type StickValues } from './useKeySticks';
import { useRehearsal } from './useRehearsal';
import { useRehearsedLog } from './useRehearsedLog';

const CockpitCanvas = defineAsyncComponent(() => import('./CockpitCanvas.vue'));
/** A shot flown by hand before a battery is on. */
const store = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const { text } = useMessages();

const shot = computed(() => derivedFilm.derived?.shots.get(selection.shotId) ?? null);
const shots = computed(() =>
  (derivedFilm.derived?.order ?? []).flatMap((id) => {
    const s = derivedFilm.derived?.shots.get(id);
    return s ? [{ value: id, label: `${s.number} ${s.facts.shot.title || 'untitled'}` }] : [];
  }),
);
const here = computed(() => shot.value?.facts.location.id);
const subjects = computed(() => store.list('subject').filter((x) => x.locationId === here.value));
const things = computed(() => store.list('feature').filter((x) => x.locationId === here.value));

const handling = ref<HandlingName>('normal');
watch(
  () => shot.value?.facts.shot.id,
  () => {
    handling.value = shot.value?.facts.shot.handling ?? 'normal';
  },
  { immediate: true },
);
const MODE_KEY = 'dusk-stick-mode';
const mode = ref<StickMode>((Number(localStorage.getItem(MODE_KEY)) || 2) as StickMode);
watch(mode, (m) => {
  localStorage.setItem(MODE_KEY, String(m));
});
const calm = ref(false);
const tunnel = ref(true);
const ghost = ref(false);
const calling = ref(true);
const plain = ref(document.createElement('canvas').getContext('webgl2') === null);
const lost = ref('');

const canvas = useTemplateRef<{ draw: (...a: never[]) => void }>('canvas');
const touch: StickValues = { leftX: 0, leftY: 0, rightX: 0, rightY: 0, tilt: 0 };
const keys = useKeySticks(() => phase.value === 'flying' || phase.value === 'count');
const pad = useGamepad(() => {
  if (phase.value !== 'flying') return;
  freeze();
  lost.value = 'The controller is gone. The flight is frozen.';
});
const { name: padName, ask } = pad;
/** Where the sticks stand. */
const stand = ref<StickValues>({ ...touch });
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
const draw = (): void => {
  const t = flight.value;
  if (!t) return;
  const view = canvas.value as { draw: (pose: object, tS: number, ghostAt: object) => void } | null;
  view?.draw(t.pose, t.state.tS, ghostAt(t.state.tS));
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
  handling,
  calm,
  (s) => {
    const v = sticks(s);
    return controlsFrom(mode.value, v, v.tilt);
  },
  draw,
);
const { best, sum, add } = useRehearsedLog(shot);
const counted = ref('');
watch(phase, (now, was) => {
  if (now === 'count') counted.value = '';
  if (now === 'flying') lost.value = '';
  if (now !== 'marked') return;
  keys.release();
  if (was === 'watching') counted.value = 'Watched, not counted as a try.';
  else if (!ended.value) counted.value = 'Taken back or slowed in between, not counted as a try.';
  else counted.value = add(ended.value) || `Counted as practice: try ${sum.value.tries} of this shot.`;
});

/** Read anew with every picture. */
const now = computed(() => {
  void tick.value;
  const t = flight.value;
  if (!t) return null;
  const { state, pose } = t;
  return {
    tS: state.tS,
    speedMs: Math.hypot(state.velocity.x, state.velocity.y, state.velocity.z),
    heightM: pose.at.z,
    headingDeg: pose.headingDeg,
    at: pose.at,
    usedWh: state.usedWh,
    touched: state.touched,
  };
});
const call = computed(() =>
  calling.value && now.value && (phase.value === 'flying' || phase.value === 'watching')
    ? callNow(now.value.tS)
    : null,
);
const planned = computed(() => rehearsed.value?.trajectory.samples.map((s) => s.pose.at) ?? []);
const flown = computed(() => {
  void tick.value;
  const samples = flight.value?.samples ?? [];
  return samples.filter((_, i) => i % 6 === 0).map((s) => s.pose.at);
});
const tooSlow = computed(
  () => rehearsed.value !== null && !profileGives(rehearsed.value.craft.profile, rehearsed.value.trajectory),
);
const flyingNow = computed(() => phase.value === 'flying' || phase.value === 'frozen');
</script>

<template>
  <main class="rehearse" tabindex="-1">
    <section class="cockpit" aria-label="Cockpit">
      <CockpitCanvas
        v-if="shot && rehearsed && !plain"
        ref="canvas"
        :shot="shot"
        :subjects="subjects"
        :things="things"
        :tunnel="tunnel"
        :ghost="ghost"
        @lost="plain = true"
      />
      <LineMap
        v-else-if="rehearsed"
        class="whole"
        :planned="planned"
        :flown="flown"
        :now="now?.at ?? null"
        :heading-deg="now?.headingDeg ?? 0"
        from="above"
        :width="720"
        :height="420"
      />
      <div v-if="now && rehearsed" class="figures">
        <span
          ><b>{{ now.tS.toFixed(1) }}</b> of {{ rehearsed.trajectory.totalS.toFixed(1) }} s</span
        >
        <span><Fig :value="now.speedMs" quantity="speed" /></span>
        <span><Fig :value="now.heightM" quantity="metres" /> high</span>
        <span><Fig :value="now.usedWh" quantity="wattHours" /></span>
      </div>
      <div v-if="rehearsed" class="maps">
        <LineMap
          :planned="planned"
          :flown="flown"
          :now="now?.at ?? null"
          :heading-deg="now?.headingDeg ?? 0"
          from="above"
          :width="150"
          :height="120"
        />
        <LineMap
          :planned="planned"
          :flown="flown"
          :now="now?.at ?? null"
          :heading-deg="0"
          from="side"
          :width="150"
          :height="80"
        />
      </div>
      <p v-if="phase === 'count'" class="call big" role="status">{{ Math.ceil(count) }}</p>
      <p v-else-if="phase === 'frozen'" class="call" role="status">{{ lost || 'Frozen' }}</p>
      <p v-else-if="call" class="call" role="status">{{ text(call.say) }}</p>
      <p v-if="now?.touched" class="touched" role="status">Touched the ground</p>
      <div class="thumbs">
        <ThumbPad
          label="Left stick"
          :x="stand.leftX"
          :y="stand.leftY"
          @move="
            (x, y) => {
              touch.leftX = x;
              touch.leftY = y;
            }
          "
        />
        <ThumbPad
          label="Camera tilt"
          :x="0"
          :y="stand.tilt"
          upright
          @move="
            (_, y) => {
              touch.tilt = y;
            }
          "
        />
        <ThumbPad
          label="Right stick"
          :x="stand.rightX"
          :y="stand.rightY"
          @move="
            (x, y) => {
              touch.rightX = x;
              touch.rightY = y;
            }
          "
        />
      </div>
    </section>
    <aside class="panel scroll" aria-label="Rehearsal">
      <h1>Rehearse</h1>
      <PickField
        label="Shot"
        :value="selection.shotId"
        :options="shots"
        :save="
          (id) => {
            selection.pick(id);
          }
        "
      />
      <p v-if="!shot" class="quiet">Choose a shot.</p>
      <p v-else-if="!rehearsed" class="quiet">
        {{
          shot.facts.noPath ||
          'Only moves that are filmed can be flown here; choose a shot with an aircraft and a path.'
        }}
      </p>
      <template v-else>
        <p v-if="sum.tries > 0" class="quiet">
          Rehearsed {{ sum.tries }} {{ sum.tries === 1 ? 'time' : 'times'
          }}<template v-if="sum.best !== null">, best {{ Math.round(sum.best) }}</template
          >.
        </p>
        <div class="acts">
          <button v-if="!flyingNow" class="btn lead" @click="start">
            {{ marks ? 'Fly again' : 'Fly shot' }}
          </button>
          <button v-if="flyingNow" class="btn lead" @click="finish">End try</button>
          <button v-if="flyingNow" class="btn" @click="freeze">
            {{ phase === 'frozen' ? 'Fly on' : 'Freeze' }}
          </button>
          <button v-if="flyingNow" class="btn" @click="back(5)">Back 5 s</button>
          <button v-if="!flyingNow" class="btn" @click="watchGhost">Watch the line</button>
          <button v-if="best && !flyingNow" class="btn" @click="watchKept(best)">
            Watch best ({{ best.mark }})
          </button>
        </div>
        <p v-if="tooSlow" class="care">
          This stick profile is slower than the move asks. Choose a faster one, or plan the move slower.
        </p>
        <MarksPane v-if="marks" :marks="marks" :total-s="rehearsed.trajectory.totalS" :counted="counted" />
        <section class="aids" aria-label="Aids">
          <SwitchField
            label="Frames along the line"
            :value="tunnel"
            :save="
              (v) => {
                tunnel = v;
              }
            "
          />
          <SwitchField
            label="Ghost on the line"
            :value="ghost"
            :save="
              (v) => {
                ghost = v;
              }
            "
          />
          <SwitchField
            label="Call-outs"
            :value="calling"
            :save="
              (v) => {
                calling = v;
              }
            "
          />
          <SwitchField
            label="Half speed"
            :value="half"
            :save="
              (v) => {
                half = v;
              }
            "
          />
          <SwitchField
            label="No wind"
            :value="calm"
            :save="
              (v) => {
                calm = v;
              }
            "
          />
        </section>
        <PickField
          label="Stick profile"
          :value="handling"
          :options="choices(HANDLING_WORDS).filter((c) => HANDLING_NAMES.includes(c.value))"
          :save="
            (v) => {
              handling = v;
            }
          "
        />
        <PickField
          label="Stick mode"
          :value="mode"
          :options="STICK_MODES.map((m) => ({ value: m, label: `Mode ${m}` }))"
          :save="
            (v) => {
              mode = v;
            }
          "
        />
        <p v-if="ask" class="learn" role="status">
          {{ ask }} <button class="btn" @click="pad.skip()">Skip</button>
        </p>
        <p v-else-if="padName" class="quiet">
          Controller: {{ padName }}. <button class="btn" @click="pad.startLearning()">Learn sticks</button>
        </p>
        <p class="quiet">
          Left stick <kbd>W</kbd> <kbd>A</kbd> <kbd>S</kbd> <kbd>D</kbd>, right stick the arrows, camera
          <kbd>R</kbd> <kbd>F</kbd>; <kbd>Shift</kbd> for half. A game controller or two thumbs work as well.
        </p>
        <p class="quiet">A rehearsal teaches timing and sticks, not judgement on location.</p>
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
.whole {
  width: 100%;
  height: 100%;
}
.figures {
  position: absolute;
  top: 10px;
  left: 10px;
  display: flex;
  gap: 16px;
  padding: 4px 10px;
  background: color-mix(in srgb, var(--slab) 78%, transparent);
  font-variant-numeric: tabular-nums;
  font-size: 17px;
}
.maps {
  position: absolute;
  top: 10px;
  right: 10px;
  display: grid;
  gap: 6px;
}
.call {
  position: absolute;
  left: 50%;
  bottom: 170px;
  transform: translateX(-50%);
  margin: 0;
  padding: 4px 16px;
  font-size: 24px;
  font-weight: 640;
  background: color-mix(in srgb, var(--slab) 82%, transparent);
}
.call.big {
  font-size: 60px;
}
.touched {
  position: absolute;
  left: 10px;
  top: 54px;
  margin: 0;
  padding: 4px 10px;
  background: var(--stop);
  color: var(--bench);
  font-weight: 640;
}
.thumbs {
  position: absolute;
  left: 14px;
  right: 14px;
  bottom: 14px;
  display: flex;
  justify-content: space-between;
  align-items: end;
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
  .maps {
    top: 50px;
  }
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { phrase } from '../../format';
import type { Entity, HandlingName } from '@core/model';
import { AIDS } from '@core/aids';
import NumberField from '../../parts/NumberField.vue';
import type { Fault } from '../../sync/validation';
import HandlingPad from './HandlingPad.vue';
import { tr } from './messages';

type Craft = Entity<'aircraft'>;
type Ability = Craft['abilities'][number];
const props = defineProps<{ craft: Craft; save: (fields: Partial<Craft>) => readonly Fault[] }>();
const STICKS: { id: HandlingName; label: string }[] = [
  {
    id: 'slow',
    get label() {
      return tr('slowSticks');
    },
  },
  {
    id: 'normal',
    get label() {
      return tr('normal');
    },
  },
  {
    id: 'fast',
    get label() {
      return tr('fast');
    },
  },
];
const setStick = (name: HandlingName, fields: Partial<Craft['handling']['slow']>) =>
  props.save({ handling: { ...props.craft.handling, [name]: { ...props.craft.handling[name], ...fields } } });
const abilityOf = (kind: string): Ability | undefined => props.craft.abilities.find((a) => a.kind === kind);
const toggle = (kind: Ability['kind']): void => {
  const has = abilityOf(kind);
  props.save({
    abilities: has
      ? props.craft.abilities.filter((a) => a !== has)
      : [
          ...props.craft.abilities,
          { kind, maxSpeedMs: Math.min(8, props.craft.maxSpeedMs), minDistanceM: 5, maxDistanceM: 200 },
        ],
  });
};
const setAbility = (kind: string, fields: Partial<Ability>) =>
  props.save({ abilities: props.craft.abilities.map((a) => (a.kind === kind ? { ...a, ...fields } : a)) });
</script>

<template>
  <section class="sticks" :aria-label="tr('stickSettings')">
    <h3>{{ tr('sticks') }}</h3>
    <div v-for="s in STICKS" :key="s.id" class="grid" role="group" :aria-label="s.label">
      <b>{{ s.label }}</b>
      <NumberField
        help="handling.maxSpeedMs"
        :label="tr('speedLimit')"
        :value="craft.handling[s.id].maxSpeedMs"
        quantity="speed"
        :save="(v) => setStick(s.id, { maxSpeedMs: v })"
      />
      <NumberField
        help="handling.maxYawDegS"
        :label="tr('yawRate')"
        :value="craft.handling[s.id].maxYawDegS"
        quantity="degreesPerSecond"
        :step="5"
        :save="(v) => setStick(s.id, { maxYawDegS: v })"
      />
      <NumberField
        help="handling.maxTiltDegS"
        :label="tr('gimbalTiltRate')"
        :value="craft.handling[s.id].maxTiltDegS"
        quantity="degreesPerSecond"
        :step="5"
        :save="(v) => setStick(s.id, { maxTiltDegS: v })"
      />
      <NumberField
        help="handling.smoothing"
        :label="tr('yawSmoothing')"
        :value="craft.handling[s.id].smoothing"
        :scale="100"
        quantity="percent"
        :step="5"
        :hint="tr('figure0StartsHard100Softly')"
        :save="(v) => setStick(s.id, { smoothing: v })"
      />
      <NumberField
        help="handling.tiltSmoothing"
        :label="tr('gimbalSmoothing')"
        :value="craft.handling[s.id].tiltSmoothing"
        :scale="100"
        quantity="percent"
        :step="5"
        :save="(v) => setStick(s.id, { tiltSmoothing: v })"
      />
      <NumberField
        help="handling.expo"
        :label="tr('expo')"
        :value="craft.handling[s.id].expo"
        :scale="100"
        quantity="percent"
        :step="5"
        :hint="tr('howFlatTheMiddleOf')"
        :save="(v) => setStick(s.id, { expo: v })"
      />
    </div>
    <HandlingPad :handling="craft.handling" />
  </section>
  <section class="aids" :aria-label="tr('whatItCanFlyBy')">
    <h3>{{ tr('fliesByItself') }}</h3>
    <div v-for="a in AIDS" :key="a.kind" class="aid">
      <ElButton
        class="btn"
        :class="{ on: abilityOf(a.kind) }"
        :aria-pressed="abilityOf(a.kind) !== undefined"
        :title="phrase(a.says)"
        @click="toggle(a.kind)"
      >
        {{ phrase(a.name) }}
      </ElButton>
      <template v-if="abilityOf(a.kind)">
        <NumberField
          help="ability.maxSpeedMs"
          :label="tr('upTo')"
          :value="abilityOf(a.kind)?.maxSpeedMs ?? 0"
          quantity="speed"
          :save="(v) => setAbility(a.kind, { maxSpeedMs: v })"
        />
        <NumberField
          help="ability.minDistanceM"
          :label="tr('noNearerThan')"
          :value="abilityOf(a.kind)?.minDistanceM ?? 0"
          quantity="metres"
          :save="(v) => setAbility(a.kind, { minDistanceM: v })"
        />
        <NumberField
          help="ability.maxDistanceM"
          :label="tr('noFartherThan')"
          :value="abilityOf(a.kind)?.maxDistanceM ?? 0"
          quantity="metres"
          :step="10"
          :save="(v) => setAbility(a.kind, { maxDistanceM: v })"
        />
      </template>
      <span v-else class="quiet">{{ phrase(a.says) }}</span>
    </div>
  </section>
</template>

<style scoped>
.sticks,
.aids {
  border-top: 1px solid var(--line);
  padding-top: 9px;
  display: grid;
  gap: 6px;
}
.grid {
  display: grid;
  grid-template-columns: 90px repeat(6, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
}
.grid b {
  font-weight: 600;
  padding-bottom: 6px;
}
.aid {
  display: grid;
  grid-template-columns: 190px repeat(3, minmax(0, 150px));
  gap: 8px 12px;
  align-items: end;
}
.aid .quiet {
  grid-column: 2 / -1;
  align-self: center;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
@media (max-width: 900px) {
  .grid,
  .aid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>

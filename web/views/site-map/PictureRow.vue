<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Entity } from '@core/model';
import { pinned } from '@core/site';
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import type { Layers } from './useLayers';
import type { Plan } from './usePlan';
import { useMessages } from '../../composables/useMessages';
import { tr } from './messages';
import { writeText } from '../../format';
import { useDerivedFilm } from '../../stores/derived-film';

const derivedFilm = useDerivedFilm();

const props = defineProps<{ picture: Entity<'picture'>; plan: Plan; layers: Layers }>();
const { text } = useMessages();
const film = useFilm();
const open = computed(() => props.layers.pinningId === props.picture.id);
const turn = (): void => props.layers.set('pinningId', open.value ? '' : props.picture.id);
type Pin = Entity<'picture'>['pins'][number];
const set = (fields: Partial<Entity<'picture'>>) =>
  film.edit('picture', props.picture.id, fields, tr('picture'));
const setPin = (i: number, fields: Partial<Pin>) => {
  const pins = props.picture.pins.map((p, n) => (n === i ? { ...p, ...fields } : p));
  const lies = pinned(pins);
  return lies.ok ? set({ pins }) : [{ path: '/pins', say: text(lies.reason) }];
};
const third = (): void => {
  const { widthPx, heightPx, pins } = props.picture;
  const lies = pinned(pins);
  if (!lies.ok) return;
  const { a, b, c, d, e, f } = lies.value;
  const [px, py] = [Math.round(widthPx * 0.15), Math.round(heightPx * 0.85)];
  set({ pins: [...pins.slice(0, 2), { px, py, xM: a * px + b * py + c, yM: d * px + e * py + f }] });
};
const metresPerPixel = computed(() => {
  const lies = pinned(props.picture.pins);
  return lies.ok ? Math.hypot(lies.value.a, lies.value.d) : NaN;
});
</script>

<template>
  <div class="picture">
    <div class="line">
      <TextField :label="tr('pictureUpper')" :value="picture.name" :save="(v) => set({ name: v })" /><ElButton
        class="btn"
        @click="turn"
      >
        {{ open ? tr('done') : tr('pins') }}</ElButton
      ><ElButton
        class="btn"
        @click="film.remove(tr('pictureDeleted'), [{ kind: 'picture', id: picture.id }])"
      >
        {{ tr('delete') }}
      </ElButton>
    </div>
    <div class="line">
      <SwitchField
        :label="tr('shown')"
        :value="picture.shown"
        :save="
          (v: boolean) => {
            set({ shown: v });
          }
        "
      />
      <NumberField
        :label="tr('opacity')"
        :value="picture.opacity"
        quantity="percent"
        :scale="100"
        unit="%"
        :step="5"
        :save="(v) => set({ opacity: v })"
      />
    </div>
    <template v-if="open">
      <p class="quiet small">
        {{
          tr('pictureSize', {
            widthPx: picture.widthPx,
            heightPx: picture.heightPx,
            metresPerPixel: writeText(metresPerPixel, 'metres', derivedFilm.units),
          })
        }}
      </p>
      <div v-for="(pin, i) in picture.pins" :key="i" class="pin">
        <b>{{ i + 1 }}</b>
        <NumberField
          :label="tr('pixelAcross')"
          :value="pin.px"
          quantity="count"
          unit="px"
          :save="(v) => setPin(i, { px: v })"
        />
        <NumberField
          :label="tr('pixelDown')"
          :value="pin.py"
          quantity="count"
          unit="px"
          :save="(v) => setPin(i, { py: v })"
        />
        <NumberField
          :label="tr('east')"
          :value="pin.xM"
          quantity="metres"
          :save="(v) => setPin(i, { xM: v })"
        />
        <NumberField
          :label="tr('north')"
          :value="pin.yM"
          quantity="metres"
          :save="(v) => setPin(i, { yM: v })"
        />
      </div>
      <ElButton v-if="picture.pins.length < 3" class="btn" @click="third">{{ tr('addAThirdPin') }}</ElButton>
      <ElButton v-else class="btn" @click="set({ pins: picture.pins.slice(0, 2) })">
        {{ tr('takeTheThirdAway') }}
      </ElButton>
    </template>
  </div>
</template>

<style scoped>
.picture {
  display: grid;
  gap: 6px;
  border-left: 3px solid var(--line);
  padding-left: 8px;
  width: 100%;
}
.line {
  display: flex;
  gap: 8px;
  align-items: end;
}
.pin {
  display: grid;
  grid-template-columns: auto 1fr 1fr 1fr 1fr;
  gap: 6px;
  align-items: end;
}
.small {
  font-size: 12px;
}
</style>

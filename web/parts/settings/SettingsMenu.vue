<script setup lang="ts">
import { ElButton } from '../element-button';
import 'element-plus/es/components/popover/style/css';
import 'element-plus/es/components/segmented/style/css';
import { ElPopover, ElSegmented } from 'element-plus';
import { UNIT_SYSTEMS, type UnitSystem } from '@core/units';
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef } from 'vue';
import { language, LANGUAGES, setLanguage, type Language } from '../../language';
import { useRouter } from 'vue-router';
import { startTour } from '../../composables/tour';
import { useFilm } from '../../stores/film';
import { useSelection, type Theme } from '../../stores/selection';
import { tr } from './messages';

/** Language, units and theme, from every page. */
const props = defineProps<{ anchor: HTMLElement }>();
const open = defineModel<boolean>({ required: true });
const film = useFilm();
const router = useRouter();
const selection = useSelection();
const DevicesSheet = defineAsyncComponent(() => import('./DevicesSheet.vue'));
const devicesShown = ref(false);
const sheet = useTemplateRef<HTMLElement>('sheet');

const languages = LANGUAGES.map((l) => ({ value: l.code, label: l.name }));
const themes = computed(() => [
  { value: 'dusk' as Theme, label: tr('dusk') },
  { value: 'noon' as Theme, label: tr('noon') },
]);
const units = computed(() => UNIT_SYSTEMS.map((u) => ({ value: u, label: tr(u) })));
const setUnits = (value: UnitSystem): void => {
  if (film.film) film.edit('film', film.film.id, { units: value }, tr('units'));
};
const keys = (): void => {
  open.value = false;
  selection.keysShown = true;
};
/** The tour is about the page of the shots. */
const tour = async (): Promise<void> => {
  open.value = false;
  await router.push({ name: 'shots', params: { film: film.filmId } });
  startTour(true);
};
const devices = (): void => {
  open.value = false;
  devicesShown.value = true;
};
const close = (): void => {
  open.value = false;
  props.anchor.focus();
};
const enter = (): void =>
  void nextTick(() => sheet.value?.querySelector<HTMLElement>('input:checked, button')?.focus());
</script>

<template>
  <ElPopover
    v-model:visible="open"
    trigger="click"
    virtual-triggering
    :virtual-ref="anchor"
    placement="bottom-end"
    :width="300"
    :show-arrow="false"
    @after-enter="enter"
  >
    <div ref="sheet" class="sheet" role="dialog" :aria-label="tr('settings')" @keydown.esc.stop="close">
      <span id="settings-language" class="label">{{ tr('language') }}</span>
      <ElSegmented
        :model-value="language"
        :options="languages"
        aria-labelledby="settings-language"
        block
        @change="(v: Language) => setLanguage(v)"
      />
      <template v-if="film.film">
        <span id="settings-units" class="label">{{ tr('unitsOfThisFilm') }}</span>
        <ElSegmented
          :model-value="film.film.units"
          :options="units"
          aria-labelledby="settings-units"
          block
          @change="setUnits"
        />
      </template>
      <span id="settings-theme" class="label">{{ tr('display') }}</span>
      <ElSegmented v-model="selection.theme" :options="themes" aria-labelledby="settings-theme" block />
      <ElButton class="btn" @click="devices">{{ tr('devices') }}</ElButton>
      <ElButton v-if="film.film" class="btn" @click="tour">{{ tr('tour') }}</ElButton>
      <ElButton v-if="film.film" class="btn" @click="keys">{{ tr('keys') }}</ElButton>
    </div>
  </ElPopover>
  <DevicesSheet v-if="devicesShown" @close="devicesShown = false" />
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 6px;
}
.sheet .label:not(:first-child) {
  margin-top: 8px;
}
.btn {
  margin-top: 10px;
}
</style>

<script setup lang="ts">
import { Setting } from '@element-plus/icons-vue';
import { defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { tr } from './messages';

const SettingsMenu = defineAsyncComponent(() => import('./SettingsMenu.vue'));
const button = useTemplateRef<HTMLElement>('button');
/** The menu comes when it is first asked for. */
const wanted = ref(false);
const open = ref(false);
const toggle = (): void => {
  wanted.value = true;
  open.value = !open.value;
};
</script>

<template>
  <button
    ref="button"
    class="btn bare"
    :title="tr('languageUnitsDisplayKeys')"
    :aria-label="tr('settings')"
    aria-haspopup="dialog"
    :aria-expanded="open"
    @click="toggle"
  >
    <Setting class="icon" />
  </button>
  <SettingsMenu v-if="wanted && button" v-model="open" :anchor="button" />
</template>

<style scoped>
.icon {
  width: 17px;
  height: 17px;
  display: block;
}
</style>

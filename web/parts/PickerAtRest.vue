<script setup lang="ts">
import { nextTick, ref } from 'vue';

/**
 * A picker of days or minutes, made once somebody reaches for it: with it comes its whole panel, every minute of a day, which
 * takes as long as a picture. Until then what it holds stands in its place.
 */
const props = defineProps<{ id: string; text: string; placeholder: string; label?: string | undefined }>();
defineSlots<{ default(): unknown }>();
const made = ref(false);
const reach = async (): Promise<void> => {
  made.value = true;
  await nextTick();
  document.getElementById(props.id)?.focus();
};
/** Of a finger nothing comes near: its press is a click. */
const near = (event: PointerEvent): void => {
  if (event.pointerType === 'mouse') made.value = true;
};
</script>

<template>
  <slot v-if="made" />
  <span v-else class="el-input el-date-editor" @pointerenter="near">
    <span class="el-input__wrapper"
      ><input
        :id="id"
        class="el-input__inner"
        role="combobox"
        aria-haspopup="dialog"
        aria-expanded="false"
        autocomplete="off"
        readonly
        :aria-label="label"
        :placeholder="placeholder"
        :value="text"
        @mousedown.prevent
        @focus="reach"
        @click="reach"
    /></span>
  </span>
</template>

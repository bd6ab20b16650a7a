<script setup lang="ts">
import InTurn from './InTurn.vue';

/**
 * A picker of days or minutes, made when its turn comes: with it comes its whole panel, every minute of a day, which takes as
 * long as a picture. Until then what it holds stands in its place.
 */
defineProps<{ text: string }>();
</script>

<template>
  <InTurn>
    <slot />
    <template #until>
      <span class="el-input el-date-editor"
        ><span class="el-input__wrapper"
          ><span class="el-input__inner">{{ text }}</span></span
        ></span
      >
    </template>
  </InTurn>
</template>

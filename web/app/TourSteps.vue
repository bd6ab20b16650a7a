<script setup lang="ts">
import { ElButton } from '../parts/element-button';
import 'element-plus/es/components/tour/style/css';
import 'element-plus/es/components/tour-step/style/css';
import { ElTour, ElTourStep } from 'element-plus';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { endTour } from '../composables/tour';
import { tr } from './messages';

/** Six things a newcomer is shown once, each beside the part of the page it is about. */
const STEPS = [
  { at: '.shots', side: 'right-start', title: 'tourShots', text: 'tourShotsText' },
  { at: '.work', side: 'left-start', title: 'tourMove', text: 'tourMoveText' },
  { at: '.budgetpane', side: 'left-start', title: 'tourPacks', text: 'tourPacksText' },
  { at: '.ribbon', side: 'bottom', title: 'tourLight', text: 'tourLightText' },
  { at: 'nav a[href$="/flights"]', side: 'bottom', title: 'tourFlights', text: 'tourFlightsText' },
  { at: 'nav a[href$="/kit"]', side: 'bottom', title: 'tourKit', text: 'tourKitText' },
] as const;
const at = ref(0);
const open = ref(true);
/** What a narrow screen has put away is told in the middle of it. */
const targetOf = (selector: string): HTMLElement | undefined => {
  const part = document.querySelector<HTMLElement>(selector);
  return part && part.offsetParent !== null ? part : undefined;
};
const steps = computed(() => STEPS.map((s) => ({ ...s, target: () => targetOf(s.at) as HTMLElement })));
/** The library leaves its box without a role: a reader of the screen is told what it is. */
const name = (): void =>
  void nextTick(() => {
    const box = document.querySelector<HTMLElement>('.tour .el-tour__content');
    box?.setAttribute('role', 'dialog');
    box?.setAttribute('aria-label', tr('tour'));
  });
onMounted(name);
watch(at, name);
</script>

<template>
  <ElTour v-model="open" v-model:current="at" class="tour" @close="endTour" @finish="endTour">
    <ElTourStep
      v-for="(s, i) in steps"
      :key="s.title"
      :target="s.target"
      :placement="s.side"
      :title="tr(s.title)"
      :prev-button-props="{ children: tr('tourBack') }"
      :next-button-props="{ children: i === steps.length - 1 ? tr('tourDone') : tr('tourNext') }"
    >
      <p>{{ tr(s.text) }}</p>
    </ElTourStep>
    <template #indicators="{ current, total }">
      <ElButton class="btn bare" @click="endTour">{{ tr('tourSkip') }}</ElButton>
      <span class="quiet">{{ tr('tourOf', { current: current + 1, total }) }}</span>
    </template>
  </ElTour>
</template>

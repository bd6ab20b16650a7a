<script setup lang="ts">
import { momentAt, subjectAt, type Track } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Subject, Feature } from '@core/model';
import { onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { PreviewScene } from '../../preview/scene';
import { Stage } from '../../preview/stage';
import { tr } from './messages';

export interface Eye {
  readonly shot: DerivedShot;
  readonly track: Track;
  readonly subjects: readonly Subject[];
  readonly things: readonly Feature[];
}
type Frame = ReturnType<Stage['frames']>[number];

const props = defineProps<{ eyes: readonly Eye[]; timeS: number }>();
const emit = defineEmits<{ frames: [frames: Frame[]]; lost: [] }>();
const box = useTemplateRef<HTMLElement>('box');
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const medianMs = ref('');
let stage: Stage | null = null;
let scenes: PreviewScene[] = [];
let watcher: ResizeObserver | null = null;
let drawn = 0;

const draw = (): void => {
  if (!stage) return;
  props.eyes.forEach((eye, i) =>
    scenes[i]?.show(
      momentAt(eye.track, props.timeS).pose,
      subjectAt(eye.shot.facts, Math.min(eye.track.totalS, Math.max(0, props.timeS))),
    ),
  );
  stage.draw();
  drawn += 1;
  if (drawn % 30 === 0) medianMs.value = stage.medianMs().toFixed(2);
};
const build = (): void => {
  scenes = props.eyes.map((e) => new PreviewScene(e.shot, e.subjects, e.things));
  stage?.set(scenes);
  if (stage) emit('frames', stage.frames());
  draw();
};
onMounted(() => {
  if (!canvas.value || !box.value) return;
  try {
    stage = new Stage(canvas.value);
  } catch {
    emit('lost');
    return;
  }
  watcher = new ResizeObserver(([entry]) => {
    if (!entry || !stage) return;
    stage.resize(Math.max(1, entry.contentRect.width), Math.max(1, entry.contentRect.height));
    emit('frames', stage.frames());
    draw();
  });
  watcher.observe(box.value);
  build();
});
watch(() => props.eyes, build);
watch(() => props.timeS, draw, { flush: 'post' });
onBeforeUnmount(() => {
  watcher?.disconnect();
  stage?.dispose();
  stage = null;
});
</script>

<template>
  <div ref="box" class="box">
    <canvas
      ref="canvas"
      :data-frame-ms="medianMs"
      role="img"
      :aria-label="tr('theMoveThroughTheLens')"
      @webglcontextlost.prevent="$emit('lost')"
    />
  </div>
</template>

<style scoped>
.box {
  width: 100%;
  height: 100%;
  overflow: hidden;
}
canvas {
  display: block;
  width: 100%;
  height: 100%;
}
</style>

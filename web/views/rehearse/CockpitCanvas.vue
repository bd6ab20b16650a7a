<script setup lang="ts">
import { subjectAt } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Vec3 } from '@core/geometry';
import type { Feature, Subject } from '@core/model';
import type { Pose } from '@core/moves';
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import { RehearsalLine } from '../../preview/rehearsal-line';
import { PreviewScene } from '../../preview/scene';
import { Stage } from '../../preview/stage';
import { tr } from './messages';

/** Through the lens of the aircraft that is flown. Drawn when its owner says so, once a frame. */
const props = defineProps<{
  shot: DerivedShot;
  subjects: readonly Subject[];
  things: readonly Feature[];
  tunnel: boolean;
  ghost: boolean;
}>();
const emit = defineEmits<{ lost: [] }>();
const box = useTemplateRef<HTMLElement>('box');
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
let stage: Stage | null = null;
let scene: PreviewScene | null = null;
let line: RehearsalLine | null = null;
let watcher: ResizeObserver | null = null;
let last: (() => void) | null = null;

const build = (): void => {
  const { trajectory } = props.shot.facts;
  if (!stage || !trajectory) return;
  scene = new PreviewScene(props.shot, props.subjects, props.things);
  line = new RehearsalLine(trajectory.samples.map((s) => s.pose));
  scene.scene.add(line.tunnel, line.ghost);
  stage.set([scene]);
  last?.();
};
/** Draws a moment: where the aircraft looks from, the second of the move, where the ghost is. */
const draw = (pose: Pose, tS: number, ghostAt: Vec3): void => {
  last = () => {
    draw(pose, tS, ghostAt);
  };
  if (!stage || !scene || !line) return;
  const total = props.shot.facts.trajectory?.totalS ?? 0;
  line.tunnel.visible = props.tunnel;
  line.ghost.visible = props.ghost;
  line.show(ghostAt);
  scene.show(pose, subjectAt(props.shot.facts, Math.min(total, Math.max(0, tS))));
  stage.draw();
};
defineExpose({ draw, medianMs: () => stage?.medianMs() ?? 0 });
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
    last?.();
  });
  watcher.observe(box.value);
  build();
});
watch(() => [props.shot, props.subjects, props.things] as const, build);
watch(
  () => [props.tunnel, props.ghost],
  () => last?.(),
);
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
      role="img"
      :aria-label="tr('throughTheLens')"
      @webglcontextlost.prevent="emit('lost')"
    />
  </div>
</template>

<style scoped>
.box {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
canvas {
  display: block;
  width: 100%;
  height: 100%;
}
</style>

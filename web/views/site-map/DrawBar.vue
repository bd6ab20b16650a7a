<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { inSentence, phrase } from '../../format';
import { FEATURE_KINDS, featureWords } from '@core/site';
import type { FeatureKind, FeatureShape } from '@core/model';
import { computed } from 'vue';
import type { Tool } from '../../map/draw-tool';
import InTurn from '../../parts/InTurn.vue';
import { ElOption, ElSelect } from '../../parts/element';
import { ElOptionGroup } from '../../parts/element-more';
import { tr } from './messages';

const props = defineProps<{ tool: Tool }>();
const emit = defineEmits<{ tool: [tool: Tool]; finish: [] }>();
const GROUPS = [
  {
    id: 'flying',
    get label() {
      return tr('flying');
    },
  },
  {
    id: 'standing',
    get label() {
      return tr('whatStandsThere');
    },
  },
  {
    id: 'zone',
    get label() {
      return tr('keptAwayFrom');
    },
  },
] as const;
const SHAPE_WORDS: Readonly<Record<FeatureShape, string>> = { point: 'spot', line: 'line', area: 'area' };
const options = GROUPS.map((g) => ({
  ...g,
  kinds: FEATURE_KINDS.filter((k) => k.group === g.id).flatMap((k) =>
    k.shapes.map((shape) => ({
      key: `${k.kind} ${shape}`,
      label: k.shapes.length > 1 ? `${phrase(k.name)} (${SHAPE_WORDS[shape]})` : phrase(k.name),
    })),
  ),
}));
const chosen = computed(() => (props.tool?.what === 'draw' ? `${props.tool.kind} ${props.tool.shape}` : ''));
const choose = (key: string): void => {
  const [kind, shape] = key.split(' ') as [FeatureKind, FeatureShape];
  emit('tool', { what: 'draw', kind, shape });
};
const quick: { kind: FeatureKind; shape: FeatureShape }[] = [
  { kind: 'launch', shape: 'point' },
  { kind: 'wood', shape: 'area' },
  { kind: 'wire', shape: 'line' },
  { kind: 'building', shape: 'area' },
  { kind: 'no-fly', shape: 'area' },
];
const isOn = (kind: FeatureKind): boolean => props.tool?.what === 'draw' && props.tool.kind === kind;
const toggle = (kind: FeatureKind, shape: FeatureShape): void =>
  emit('tool', isOn(kind) ? null : { what: 'draw', kind, shape });
const measuring = (closed: boolean): boolean =>
  props.tool?.what === 'measure' && props.tool.closed === closed;
const hint = computed(() => {
  if (!props.tool) return '';
  if (props.tool.what === 'subject') return tr('clickWhereItStands');
  if (props.tool.what !== 'draw') return tr('clickAlongItDoubleClick');
  return props.tool.shape === 'point'
    ? tr('clickWhereTheNameIs', { name: inSentence(phrase(featureWords(props.tool.kind).name)) })
    : tr('clickItsCornersDoubleClick');
});
</script>

<template>
  <div class="tools" role="toolbar" :aria-label="tr('drawAndMeasure')">
    <span class="label">{{ tr('draw') }}</span>
    <ElButton
      class="btn"
      :class="{ on: tool?.what === 'subject' }"
      :aria-pressed="tool?.what === 'subject'"
      @click="emit('tool', tool?.what === 'subject' ? null : { what: 'subject' })"
    >
      {{ tr('subject') }}
    </ElButton>
    <ElButton
      v-for="q in quick"
      :key="q.kind"
      class="btn"
      :class="{ on: isOn(q.kind) }"
      :aria-pressed="isOn(q.kind)"
      @click="toggle(q.kind, q.shape)"
    >
      {{ phrase(featureWords(q.kind).name) }}
    </ElButton>
    <InTurn
      ><ElSelect
        class="more"
        :model-value="chosen"
        :placeholder="tr('more')"
        :aria-label="tr('drawSomethingElse')"
        @update:model-value="choose"
      >
        <ElOptionGroup v-for="g in options" :key="g.id" :label="g.label"
          ><ElOption v-for="k in g.kinds" :key="k.key" :value="k.key" :label="k.label"
        /></ElOptionGroup> </ElSelect
    ></InTurn>
    <span class="label">{{ tr('measure') }}</span>
    <ElButton
      class="btn"
      :class="{ on: measuring(false) }"
      :aria-pressed="measuring(false)"
      @click="emit('tool', measuring(false) ? null : { what: 'measure', closed: false })"
    >
      {{ tr('way') }}
    </ElButton>
    <ElButton
      class="btn"
      :class="{ on: measuring(true) }"
      :aria-pressed="measuring(true)"
      @click="emit('tool', measuring(true) ? null : { what: 'measure', closed: true })"
    >
      {{ tr('area') }}
    </ElButton>
    <p v-if="tool" class="doing">
      <span class="hint" role="status">{{ hint }}</span>
      <ElButton
        v-if="tool && tool.what !== 'subject' && !(tool.what === 'draw' && tool.shape === 'point')"
        class="btn"
        @click="emit('finish')"
      >
        {{ tr('finish') }}
      </ElButton>
      <ElButton v-if="tool" class="btn" @click="emit('tool', null)">{{ tr('discard') }}</ElButton>
    </p>
  </div>
</template>

<style scoped>
.tools {
  position: relative;
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.more {
  width: 122px;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
/* Over the map, so that nothing under it moves when drawing begins. */
.doing {
  position: absolute;
  top: calc(100% + 14px);
  left: 0;
  z-index: 3;
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 4px 6px 4px 10px;
  background: var(--slab-2);
}
.hint {
  color: var(--pick);
  font-size: 13px;
}
</style>

<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import type { MovePurpose } from '@core/moves';
import { movePreviews, type MovePreview } from '@core/shot';
import { counted, phrase } from '../../../format';
import { computed, ref, useTemplateRef } from 'vue';
import { ElInput } from '../../../parts/element';
import { ElCheckbox } from '../../../parts/element-checkbox';
import DialogBox from '../../../parts/DialogBox.vue';
import MovePicture from './MovePicture.vue';
import { tr } from './messages';

const props = defineProps<{ shot: DerivedShot }>();
const emit = defineEmits<{ pick: [kind: string]; close: [] }>();

const PURPOSES: Readonly<Record<MovePurpose, string>> = {
  get open() {
    return tr('open');
  },
  get reveal() {
    return tr('reveal');
  },
  get follow() {
    return tr('follow');
  },
  get pass() {
    return tr('pass');
  },
  get detail() {
    return tr('detail');
  },
  get leave() {
    return tr('leave');
  },
  get 'top-down'() {
    return tr('topDown');
  },
  get still() {
    return tr('stillFrame');
  },
};
const BEYOND = {
  get speed() {
    return tr('fasterThanThisAircraftFlies');
  },
  get tilt() {
    return tr('needsACameraThatTilts');
  },
} as const;
const search = ref('');
const find = useTemplateRef<{ focus: () => void }>('find');
const ableOnly = ref(false);
/** Laid out once: the shot does not change while its sheet is open. */
const previews = movePreviews(props.shot.facts);
const practised = props.shot.facts.film.preferences.practisedInputs;
const current = props.shot.facts.shot.move.kind;

const whyNot = (p: MovePreview): string | null => {
  if (!p.trajectory) return tr('noPathWithTheseNumbers');
  if (p.beyond) return BEYOND[p.beyond];
  return p.inputs > practised ? tr('inputsInputsAtOncePractised', { inputs: p.inputs, practised }) : null;
};
const found = (p: MovePreview): boolean => {
  const text = `${phrase(p.move.name)} ${phrase(p.move.says)} ${PURPOSES[p.move.purpose]}`.toLowerCase();
  return search.value
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};
const shown = computed(() => previews.filter((p) => found(p) && (!ableOnly.value || whyNot(p) === null)));
const groups = computed(() =>
  (Object.keys(PURPOSES) as MovePurpose[])
    .map((purpose) => ({ purpose, moves: shown.value.filter((p) => p.move.purpose === purpose) }))
    .filter((g) => g.moves.length > 0),
);
const pick = (kind: string): void => {
  if (kind !== current) emit('pick', kind);
  emit('close');
};
/** Arrows go through the pictures in reading order, so that the sheet is left with one Tab. */
const along = (event: KeyboardEvent): void => {
  const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  const all = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('.move')];
  const at = all.indexOf(document.activeElement as HTMLElement);
  if (!step || at < 0) return;
  event.preventDefault();
  all[(at + step + all.length) % all.length]?.focus();
};
</script>

<template>
  <DialogBox
    :title="tr('chooseAMove')"
    width="min(1120px, 96vw)"
    @opened="find?.focus()"
    @close="emit('close')"
  >
    <div class="tools">
      <ElInput
        ref="find"
        v-model="search"
        class="find"
        type="search"
        :placeholder="tr('searchMoves')"
        :aria-label="tr('searchMoves')"
      />
      <ElCheckbox v-model="ableOnly">{{ tr('onlyWhatPilotAndAircraft') }}</ElCheckbox>
      <span class="quiet" role="status">{{ counted(shown.length, 'move') }}</span>
    </div>
    <div class="groups" @keydown="along">
      <section v-for="g in groups" :key="g.purpose" :aria-label="PURPOSES[g.purpose]">
        <h3>{{ PURPOSES[g.purpose] }}</h3>
        <div class="moves">
          <button
            v-for="p in g.moves"
            :key="p.move.kind"
            class="move"
            :class="{ here: p.move.kind === current, hard: whyNot(p) }"
            :aria-current="p.move.kind === current"
            @click="pick(p.move.kind)"
          >
            <MovePicture :flown="p.trajectory" :subject="shot.facts.aim" />
            <b>{{ phrase(p.move.name) }}</b>
            <span class="says">{{ phrase(p.move.says) }}</span>
            <span v-if="whyNot(p)" class="why">{{ whyNot(p) }}</span>
          </button>
        </div>
      </section>
      <p v-if="groups.length === 0" class="quiet">
        {{ tr('noMoveMatchesClearThe', { ableOnly: ableOnly ? ` ${tr('orShowTheMovesBeyond')}` : '' }) }}
      </p>
    </div>
  </DialogBox>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding-bottom: 8px;
}
.find {
  width: 240px;
}
h3 {
  margin: 10px 0 5px;
}
.moves {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 8px;
}
.move {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 2px;
  padding: 6px 9px 9px;
  text-align: start;
  color: var(--chalk);
  background: var(--slab-2);
  border: 1px solid var(--line);
  cursor: pointer;
  font: inherit;
  clip-path: polygon(0 0, calc(100% - 12px) 0, 100% 12px, 100% 100%, 0 100%);
}
.move:hover {
  background: var(--slab-3);
}
.move.here {
  border-color: var(--pick);
  box-shadow: inset 0 -3px 0 var(--pick);
}
.move:focus-visible {
  outline: 2px solid var(--pick);
  outline-offset: -3px;
}
.move.hard :deep(.thumb) {
  opacity: 0.55;
}
.says {
  font-size: 13px;
  color: var(--chalk-2);
}
.why {
  font-size: 13px;
  color: var(--care);
}
</style>

<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { clockText } from '@core/time';
import { SCOPE_OF } from '@core/checks';
import { computed, ref } from 'vue';
import PickField from '../../parts/PickField.vue';
import { dateText, MOMENT_WORDS } from '../../format';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import AnswerLog from './AnswerLog.vue';
import CheckLine from './CheckLine.vue';
import GoPane from './GoPane.vue';
import SheetEdit from './SheetEdit.vue';
import type { Ready } from './useChecks';
import { tr } from './messages';

/** One sheet for each moment of the day: read aloud, answered with a thumb. */
const props = defineProps<{ ready: Ready }>();
const film = useFilm();
const selection = useSelection();
const editing = ref(false);
const r = props.ready;
const scope = computed(() => SCOPE_OF[r.moment.value]);
const place = computed(() => r.place.value?.location ?? null);
const flights = computed(() =>
  r.flights.value.map((f, i) => ({
    value: i,
    label: tr('valueNameAtStartMs', {
      value: i + 1,
      name: film.get('pack', f.packId ?? '')?.name ?? tr('noPack'),
      startMs: clockText(f.startMs, place.value?.zone ?? 'UTC'),
    }),
  })),
);
const shots = computed(() =>
  r.shots.value.map((s) => ({
    value: s.facts.shot.id,
    label: `${s.number} ${s.facts.shot.title || tr('untitled')}`,
  })),
);
const about = computed(() =>
  scope.value === 'day' ? dateText(place.value?.date ?? '') : (place.value?.name ?? ''),
);
const print = (): void => window.print();
/** Arrows go from line to line, wherever on one the focus is. */
const along = (event: KeyboardEvent): void => {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (by === 0 || (event.target as HTMLElement).matches('input')) return;
  const lines = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[data-check]')];
  const next = lines[lines.findIndex((l) => l.contains(event.target as Node)) + by];
  if (next) {
    event.preventDefault();
    event.stopPropagation();
    next.focus();
  }
};
</script>

<template>
  <div class="cols">
    <nav class="moments no-print" :aria-label="tr('moments')">
      <button
        v-for="s in r.sheets.value"
        :key="s.moment"
        :aria-current="s.moment === r.moment.value"
        @click="
          r.moment.value = s.moment;
          editing = false;
        "
      >
        <span>{{ MOMENT_WORDS[s.moment] }}</span><span v-if="s.failed > 0" class="count not">{{
          tr('linesFail', { failed: s.failed })
        }}</span
        ><span v-else-if="s.open > 0" class="count">{{ tr('openOpen', { open: s.open }) }}</span
        ><span v-else class="count">{{ tr('done') }}</span>
      </button>
    </nav>
    <section class="sheet" :aria-label="MOMENT_WORDS[r.moment.value]">
      <header>
        <h2>
          {{ MOMENT_WORDS[r.moment.value] }} <span class="quiet" dir="auto">{{ about }}</span>
        </h2>
        <span class="do no-print">
          <PickField
            v-if="(scope === 'flight' || r.moment.value === 'launch-point') && flights.length > 0"
            :label="tr('flight')"
            :value="r.flightN.value"
            :options="flights"
            :save="
              (v) => {
                r.flightN.value = v;
              }
            "
          />
          <PickField
            v-if="scope === 'take' && shots.length > 0"
            :label="tr('shot')"
            :value="r.context.value?.shot?.facts.shot.id ?? ''"
            :options="shots"
            :save="(v) => selection.pick(v)"
          />
          <ElButton class="btn" @click="print">{{ tr('print') }}</ElButton>
          <ElButton class="btn" :aria-pressed="editing" @click="editing = !editing">
            {{ editing ? tr('doneUpper') : tr('changeThisSheet') }}
          </ElButton>
        </span>
      </header>
      <SheetEdit v-if="editing" :moment="r.moment.value" />
      <ul v-else @keydown="along">
        <CheckLine
          v-for="l in r.sheet.value?.lines ?? []"
          :key="`${r.moment.value}${l.id}`"
          :line="l"
          :answer="(verdict, reason) => r.answer(l, verdict, reason)"
        />
        <li v-if="(r.sheet.value?.lines.length ?? 0) === 0" class="quiet none">
          {{
            tr('nothingToLookAtHere', {
              scope:
                scope === 'flight' ? tr('noFlightIsPlannedAt') : scope === 'take' ? tr('noShotIsAtThis') : '',
            })
          }}
        </li>
      </ul>
      <AnswerLog :ready="ready" />
    </section>
    <GoPane
      v-if="r.go.value"
      :go="r.go.value"
      :of="r.go.value.of"
      :flights="r.flightGo.value"
      :picked="r.flightN.value"
      @pick="
        (i) => {
          r.flightN.value = i;
        }
      "
    />
  </div>
</template>

<style scoped>
.cols {
  display: grid;
  grid-template-columns: 208px minmax(0, 1fr) 300px;
  gap: 18px;
  align-items: start;
}
.moments {
  display: grid;
  gap: 1px;
}
.moments,
.cols > :last-child {
  position: sticky;
  top: 0;
}
.moments button {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: baseline;
  text-align: left;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  padding: 6px 8px;
  min-height: 38px;
  cursor: pointer;
  color: var(--chalk-2);
}
.moments button[aria-current='true'] {
  border-left-color: var(--pick);
  background: var(--pick-dim);
  color: var(--chalk);
  font-weight: 620;
}
.count {
  font-size: 12px;
  font-stretch: 84%;
  white-space: nowrap;
}
.count.not {
  color: var(--stop);
}
button[aria-current='true'] .count {
  color: var(--chalk);
}
.sheet {
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
  justify-content: space-between;
  margin-bottom: 4px;
}
h2 {
  font-size: 17px;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: end;
}
.do > :deep(.field) {
  width: 190px;
}
.none {
  padding: 12px 0;
}
@media (max-width: 1099px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
  .moments,
  .cols > :last-child {
    position: static;
  }
  .sheet {
    order: 2;
  }
  .moments {
    display: flex;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .moments button {
    flex: none;
    border-left: 0;
    border-bottom: 4px solid transparent;
    display: grid;
  }
  .moments button[aria-current='true'] {
    border-bottom-color: var(--pick);
  }
}
@media print {
  .cols {
    display: block;
  }
}
</style>

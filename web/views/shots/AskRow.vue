<script setup lang="ts">
import { inSentence, listText, phrase } from '../../format';
import { freeKnobs, solveShot, targetIn, TARGETS, type Target, type TargetFigure } from '@core/shot';
import type { DerivedShot } from '@core/film';
import { computed, shallowRef, watch } from 'vue';
import { useMessages } from '../../composables/useMessages';
import NumberField from '../../parts/NumberField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Fault } from '../../sync/validation';
import { tr } from './messages';

const { text } = useMessages();

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const facts = computed(() => props.shot.facts);
/** A derived figure is asked for in round numbers; the exact one is in its sum. */
const rounded = (x: number): number => Number(x.toPrecision(x < 1 ? 2 : 3));
/** What a figure is shown as: a share of the frame in per cent. */
const scaleOf = (t: TargetFigure): number => (t.id === 'fill' ? 100 : 1);
/** What gives way follows from the move and from what is given, not from its numbers: asked anew only when those change. */
const gives = shallowRef<Partial<Record<Target, string>>>({});
watch(
  () => `${facts.value.shot.id}|${facts.value.shot.move.kind}|${facts.value.shot.move.locked.join()}`,
  () => {
    gives.value = Object.fromEntries(
      TARGETS.map((t) => [t.id, inSentence(phrase(freeKnobs(facts.value, t.id)[0]?.label)) ?? '']),
    );
  },
  { immediate: true },
);
const figures = computed(() =>
  TARGETS.flatMap((t) => {
    const now = targetIn(facts.value, t.id);
    // What nothing bears on is not offered; what is only held fast by the person is.
    const idle = !gives.value[t.id] && facts.value.shot.move.locked.length === 0;
    return now === null || !Number.isFinite(now) || idle
      ? []
      : [{ ...t, now, gives: gives.value[t.id] ?? '' }];
  }),
);
/** Asks for a figure; the first free number that reaches it gives way. */
const ask = (target: Target, wanted: number): readonly Fault[] => {
  if (!(wanted > 0)) return [{ path: '', say: tr('moreThanNothingIsNeeded') }];
  // What is shown here is a picture behind; what is changed is the shot as it stands.
  const now = derivedFilm.shotNow(facts.value.shot.id)?.facts ?? facts.value;
  const solved = solveShot(now, target, wanted);
  if (!solved.ok) return [{ path: '', say: text(solved.reason) }];
  const { shot } = now;
  const changed = Object.keys(solved.value)
    .filter((id) => solved.value[id] !== shot.move.values[id])
    .map((id) => now.move?.parameters.find((p) => p.id === id)?.label ?? id);
  selection.say(
    tr('reachedByChanged', { changed: listText(changed.map((name) => inSentence(phrase(name)))) }),
  );
  return film.edit(
    'shot',
    shot.id,
    { move: { ...(film.get('shot', shot.id) ?? shot).move, values: solved.value } },
    tr('askForAFigure'),
  );
};
const asks = Object.fromEntries(TARGETS.map((t) => [t.id, (v: number) => ask(t.id, v)])) as Record<
  Target,
  (v: number) => readonly Fault[]
>;
</script>

<template>
  <section v-if="figures.length > 0" class="ask" :aria-label="tr('askForAFigureUpper')">
    <h3>{{ tr('askFor') }}</h3>
    <div
      v-for="f in figures"
      :key="f.id"
      :title="f.gives ? tr('changesGivesWhatIsGiven', { gives: f.gives }) : tr('everythingThatBearsOnIt')"
    >
      <NumberField
        :label="phrase(f.label)"
        :value="rounded(f.now)"
        :scale="scaleOf(f)"
        :quantity="f.quantity"
        :save="asks[f.id]"
      />
      <span class="gives">{{ f.gives ? tr('byGives', { gives: f.gives }) : tr('allGiven') }}</span>
    </div>
  </section>
</template>

<style scoped>
.ask {
  display: grid;
  grid-template-columns: 62px repeat(6, minmax(0, 1fr));
  gap: 4px 10px;
  align-items: start;
  border-top: 1px solid var(--line);
  margin-top: 6px;
  padding-top: 6px;
}
h3 {
  padding-top: 22px;
}
.gives {
  font-size: 11px;
  font-stretch: 82%;
  color: var(--chalk-3);
}
@media (max-width: 700px) {
  .ask {
    grid-template-columns: repeat(3, 1fr);
  }
  h3 {
    grid-column: 1 / -1;
    padding: 0;
  }
}
</style>

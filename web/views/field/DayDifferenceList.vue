<script setup lang="ts">
import type { DayDifference } from '@core/field';
import { computed } from 'vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

/** How a day differs from another: what drops out, what fits now, what moves, what lands with more or less. */
const props = defineProps<{ difference: DayDifference; none: string }>();
const derivedFilm = useDerivedFilm();
const numbered = (ids: readonly string[]): string =>
  ids
    .flatMap((id) => {
      const shot = derivedFilm.derived?.shots.get(id);
      return shot ? [`${shot.number} ${shot.facts.shot.title}`.trim()] : [];
    })
    .join(', ');
/** Minutes from which on a shot is flown on another day. */
const ANOTHER_DAY = 720;
const by = (minutes: number): string =>
  Math.abs(minutes) >= ANOTHER_DAY ? tr('toAnotherDay') : tr('byMinutesMin', { minutes });
const lines = computed(() => {
  const { dropped, gained, moved, charge } = props.difference;
  const riskier = charge.filter((c) => c.points < 0);
  const safer = charge.filter((c) => c.points > 0);
  const most = (list: typeof riskier): number => Math.max(...list.map((c) => Math.abs(c.points)));
  return [
    dropped.length > 0 ? { sign: 'stop', say: tr('droppedNumbered', { numbered: numbered(dropped) }) } : null,
    gained.length > 0 ? { sign: 'good', say: tr('fitsNowNumbered', { numbered: numbered(gained) }) } : null,
    moved.length > 0
      ? {
          sign: 'note',
          say: tr('movedMoved', {
            moved: moved.map((m) => `${numbered([m.id])} ${by(m.minutes)}`).join(', '),
          }),
        }
      : null,
    riskier.length > 0
      ? {
          sign: 'care',
          say: tr('landsWithUpToMost', { most: most(riskier), numbered: numbered(riskier.map((c) => c.id)) }),
        }
      : null,
    safer.length > 0
      ? {
          sign: 'good',
          say: tr('landsWithUpToMostMore', { most: most(safer), numbered: numbered(safer.map((c) => c.id)) }),
        }
      : null,
  ].filter((l) => l !== null);
});
</script>

<template>
  <ul v-if="lines.length > 0">
    <li v-for="l in lines" :key="l.say" :class="l.sign">{{ l.say }}</li>
  </ul>
  <p v-else>{{ none }}</p>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
li {
  border-left: 4px solid var(--chalk-3);
  padding-left: 10px;
}
li.stop {
  border-color: var(--stop);
}
li.care {
  border-color: var(--care);
}
li.good {
  border-color: var(--verdigris);
}
</style>

<script setup lang="ts">
import { useMessages } from '../../composables/useMessages';
import { CHECKS } from '@core/checks';
import { computed } from 'vue';
import { MOMENT_WORDS, whenText } from '../../format';
import Disclosure from '../../parts/Disclosure.vue';
import { useFilm } from '../../stores/film';
import type { Ready } from './useChecks';
import { tr } from './messages';

/** Everything that was answered about the places of a day, newest first: who, when, why. */
const props = defineProps<{ ready: Ready }>();
const film = useFilm();
const WORDS = {
  get passed() {
    return tr('passed');
  },
  get failed() {
    return tr('failed');
  },
  get waived() {
    return tr('waived');
  },
  get open() {
    return tr('openedAgain');
  },
} as const;
const MOST = 60;
const { text } = useMessages();
const names = computed(
  () =>
    new Map([
      ...CHECKS.map((k): [string, string] => [
        k.code,
        typeof k.prompt === 'function' ? k.code.replace(/-/g, ' ') : text(k.prompt),
      ]),
      ...film.list('check').map((o): [string, string] => [o.id, o.name]),
      ...props.ready.sheets.value.flatMap((s) =>
        s.lines.map((l): [string, string] => [l.id, text(l.prompt)]),
      ),
    ]),
);
const log = computed(() => {
  const ids = new Set(props.ready.context.value?.places.map((p) => p.location.id));
  return film
    .list('answer')
    .filter((a) => ids.has(a.locationId) && !a.checkId.startsWith('bag:'))
    .sort((a, b) => b.utcMs - a.utcMs || (a.id < b.id ? 1 : -1))
    .map((a) => ({
      ...a,
      asks: names.value.get(a.checkId) ?? a.checkId,
      shot: film.get('shot', a.shotId ?? '')?.title ?? '',
    }));
});
</script>

<template>
  <Disclosure v-if="log.length > 0" class="log no-print" :label="tr('whatWasAnswered')" :count="log.length">
    <ul>
      <li v-for="a in log.slice(0, MOST)" :key="a.id">
        <span class="quiet"
          >{{ whenText(a.utcMs) }}, {{ MOMENT_WORDS[a.moment] }}{{ a.shot ? `, ${a.shot}` : '' }}:</span
        >
        <span dir="auto">{{ a.asks }}</span> <b>{{ WORDS[a.verdict] }}</b><template v-if="a.reason"
          >: “{{ a.reason }}”</template
        ><template v-if="a.who"> · {{ a.who }}</template>
      </li>
    </ul>
    <p v-if="log.length > MOST" class="quiet">{{ tr('andLogBefore', { log: log.length - MOST }) }}</p>
  </Disclosure>
</template>

<style scoped>
.log {
  border-top: 2px solid var(--line);
  margin-top: 10px;
  padding-top: 6px;
  font-size: 12.5px;
}
li {
  border-top: 1px solid var(--line);
  padding: 2px 0;
}
</style>

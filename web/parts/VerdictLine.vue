<script setup lang="ts">
import { verdictText, type Verdict } from '@core/verdict';
import { computed } from 'vue';
import { useMessages } from '../composables/useMessages';
import { useDerivedFilm } from '../stores/derived-film';
import { tr } from './messages';

const props = defineProps<{ verdict: Verdict; most?: number }>();
const { text, loaded } = useMessages();
const derivedFilm = useDerivedFilm();
const named = computed(() =>
  props.verdict.state === 'not'
    ? props.verdict.reasons.slice(0, props.most ?? 1).map(({ subject, say }) => ({
        about:
          subject.kind === 'shot' ? `${derivedFilm.derived?.shots.get(subject.id)?.number ?? ''} · ` : '',
        say: text(say),
      }))
    : [],
);
</script>

<template>
  <div class="verdict" :class="verdict.state" role="status">
    <p v-if="loaded && verdict.state !== 'unknown'" class="headline">{{ text(verdictText(verdict)) }}</p>
    <p v-else class="headline waiting">
      <span class="sr">{{ tr('notKnownYet') }}</span>
    </p>
    <p v-for="(r, i) in named" :key="i" class="reason">{{ r.about }}{{ r.say }}</p>
  </div>
</template>

<style scoped>
.verdict {
  padding-left: 10px;
  border-left: 4px solid var(--chalk);
}
.verdict.not {
  border-color: var(--stop);
}
.verdict.warnings {
  border-color: var(--care);
}
.verdict.unknown {
  border-color: var(--line);
}
.headline {
  font-size: 16px;
  font-weight: 640;
  margin: 0;
  min-height: 22px;
}
.waiting {
  width: 190px;
  border-radius: 3px;
  background: var(--bench);
}
.reason {
  margin: 2px 0 0;
  color: var(--chalk-2);
  font-size: 14px;
}
</style>

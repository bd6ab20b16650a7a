<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { useMessages } from '../../composables/useMessages';
import type { Go, GoFigure } from '@core/checks';
import { messageKey } from '@core/messages';
import { tr } from './messages';

/** What is written here comes to; the pilot decides. */
defineProps<{
  go: GoFigure;
  of: 'flight' | 'place';
  flights: readonly {
    readonly index: number;
    readonly pack: string;
    readonly go: Go;
    readonly reasons: GoFigure['reasons'];
  }[];
  picked: number;
}>();
defineEmits<{ pick: [index: number] }>();
const WORDS = {
  get go() {
    return tr('go');
  },
  get wait() {
    return tr('wait');
  },
  get 'no-go'() {
    return tr('noGo');
  },
} as const;
const MOST = 7;
const { text } = useMessages();
</script>

<template>
  <aside class="figure" :class="`is-${go.go}`" :aria-label="tr(`goOf.${of}`)">
    <p class="label">{{ tr(`byWhatIsWritten.${of}`) }}</p>
    <p class="word" role="status">{{ WORDS[go.go] }}</p>
    <ul>
      <li v-for="r in go.reasons.slice(0, MOST)" :key="messageKey(r.say)" :class="r.weight">
        <b>{{ WORDS[r.weight] }}</b> {{ text(r.say) }}
      </li>
    </ul>
    <p v-if="go.reasons.length > MOST" class="quiet">
      {{ tr('andReasonsMore', { reasons: go.reasons.length - MOST }) }}
    </p>
    <p v-if="go.reasons.length === 0" class="quiet">{{ tr('nothingThatWasLookedAt') }}</p>
    <div v-if="flights.length > 0" class="flights" role="group" :aria-label="tr('flightsHere')">
      <ElButton
        v-for="f in flights"
        :key="f.index"
        class="btn"
        :class="`of-${f.go}`"
        :aria-pressed="picked === f.index"
        :title="f.reasons[0] ? text(f.reasons[0].say) : ''"
        @click="$emit('pick', f.index)"
      >
        {{ f.index + 1 }} <span class="unit">{{ f.pack }}</span> <b>{{ WORDS[f.go] }}</b>
      </ElButton>
    </div>
    <p class="faint">
      {{ tr('itCountsWhatWasEntered') }}
    </p>
  </aside>
</template>

<style scoped>
.figure {
  background: var(--bench);
  padding: 10px 14px 12px;
  display: grid;
  gap: 6px;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.word {
  font-size: 40px;
  line-height: 1;
  font-stretch: 116%;
  font-weight: 720;
}
.is-no-go .word {
  color: var(--stop);
}
.is-wait .word {
  color: var(--care);
}
.is-go .word {
  color: var(--verdigris);
}
ul {
  display: grid;
  gap: 4px;
  font-size: 13px;
}
li b {
  font-stretch: 84%;
  font-size: 12px;
  margin-right: 4px;
}
li.no-go b {
  color: var(--stop);
}
li.wait b {
  color: var(--care);
}
.faint {
  font-size: 12px;
}
.flights {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.flights .btn[aria-pressed='true'] {
  border-color: var(--pick);
  background: var(--pick-dim);
}
.of-no-go b {
  color: var(--stop);
}
.of-wait b {
  color: var(--care);
}
.of-go b {
  color: var(--verdigris);
}
.btn[aria-pressed='true'] b {
  color: var(--chalk);
}
@media (max-width: 1099px) {
  .word {
    font-size: 30px;
  }
  li:nth-child(n + 4) {
    display: none;
  }
  .btn {
    min-width: 0;
  }
}
@media print {
  .figure {
    clip-path: none;
    border: 1px solid;
    break-inside: avoid;
  }
  .flights {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import { useMessages } from '../../composables/useMessages';
import type { SheetLine } from '@core/checks';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { whenText } from '../../format';
import MarkSign from '../../parts/MarkSign.vue';
import type { Verdict } from './useChecks';
import { tr } from './messages';

/** A line of a sheet: what is looked at, what was found, and what somebody says to it. */
const props = defineProps<{ line: SheetLine; answer: (verdict: Verdict, reason?: string) => string }>();
const WORDS = {
  get passed() {
    return tr('passLower');
  },
  get care() {
    return tr('care');
  },
  get failed() {
    return tr('failLower');
  },
  get waived() {
    return tr('waived');
  },
  get open() {
    return tr('open');
  },
} as const;
const { text } = useMessages();
const protects = computed(() => text(props.line.protects));
const waiving = ref(false);
const reason = ref('');
const fault = ref('');
const field = useTemplateRef<InstanceType<typeof ElInput>>('field');
watch(
  () => props.line.status,
  () => {
    waiving.value = false;
    fault.value = '';
  },
);
const say = (verdict: Verdict): void => {
  fault.value = props.answer(verdict);
};
const ask = async (): Promise<void> => {
  waiving.value = true;
  reason.value = '';
  await nextTick();
  field.value?.focus();
};
const waive = (): void => {
  fault.value = props.answer('waived', reason.value);
};
const KEYS: Readonly<Record<string, () => void>> = {
  p: () => say('passed'),
  f: () => say('failed'),
  w: () => void ask(),
  o: () => say('open'),
};
const pressed = (event: KeyboardEvent): void => {
  const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key.toLowerCase()];
  if (!act || (event.target as HTMLElement).matches('input')) return;
  // What found its answer by itself is not passed by hand.
  if (event.key.toLowerCase() === 'p' && props.line.result?.verdict === 'fail') return;
  event.preventDefault();
  event.stopPropagation();
  act();
};
</script>

<template>
  <li
    class="line"
    :class="line.status"
    :data-check="line.id"
    :data-standing="line.status"
    tabindex="0"
    @keydown="pressed"
  >
    <span class="state" aria-hidden="true" />
    <div class="what">
      <p class="asks">
        <MarkSign v-if="line.status === 'failed'" :severity="line.safety ? 'stop' : 'care'" /><span
          dir="auto"
          >{{ text(line.prompt) }}</span
        >
      </p>
      <p v-if="line.result" class="found">
        <b v-if="line.status !== 'passed'">{{ WORDS[line.status] }}:</b> {{ text(line.result.say) }}
      </p>
      <p class="more">
        <span v-if="protects" class="faint">{{ tr('againstProtects', { protects }) }}</span>
        <span v-if="line.answer" class="log"
          >{{
            WORDS[
              line.answer.verdict === 'passed'
                ? 'passed'
                : line.answer.verdict === 'failed'
                  ? 'failed'
                  : 'waived'
            ]
          }}<template v-if="line.answer.reason">: “{{ line.answer.reason }}”</template
          ><template v-if="line.answer.who">, {{ line.answer.who }}</template
          >, {{ whenText(line.answer.utcMs) }}</span
        >
      </p>
      <form v-if="waiving" class="why no-print" @submit.prevent="waive">
        <ElInput
          ref="field"
          v-model="reason"
          maxlength="500"
          :aria-label="tr('whyItIsWaived')"
          :placeholder="tr('whyItMayGoOn')"
          @keydown.esc.stop="waiving = false"
        /><ElButton class="btn lead" native-type="submit">{{ tr('waive') }}</ElButton
        ><ElButton class="btn" @click="waiving = false">{{ tr('cancel') }}</ElButton>
      </form>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </div>
    <span class="do no-print">
      <template v-if="!line.result || line.result.verdict === 'care'">
        <ElButton
          class="btn yes"
          :aria-pressed="line.status === 'passed'"
          :title="'P'"
          @click="say(line.status === 'passed' ? 'open' : 'passed')"
        >
          {{ tr('pass') }}
        </ElButton>
        <ElButton
          v-if="!line.result"
          class="btn"
          :aria-pressed="line.status === 'failed'"
          :title="'F'"
          @click="say(line.status === 'failed' ? 'open' : 'failed')"
        >
          {{ tr('fail') }}
        </ElButton>
      </template>
      <ElButton
        v-if="line.status === 'failed' || (line.status === 'open' && !line.result)"
        class="btn"
        title="W"
        @click="ask"
      >
        {{ tr('waive') }}
      </ElButton>
      <ElButton v-if="line.status === 'waived'" class="btn" :title="'O'" @click="say('open')">
        {{ tr('reopen') }}
      </ElButton>
    </span>
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 8px minmax(0, 1fr) auto;
  gap: 0 12px;
  border-top: 1px solid var(--line);
  padding: 7px 0;
  align-items: start;
}
.state {
  align-self: stretch;
  border: 1px solid var(--chalk-3);
  background: none;
}
.passed .state {
  background: var(--verdigris);
  border-color: var(--verdigris);
}
.care .state {
  background: linear-gradient(to bottom right, var(--care) 50%, transparent 50%);
  border-color: var(--care);
}
.failed .state {
  background: var(--stop);
  border-color: var(--stop);
}
.waived .state {
  background: repeating-linear-gradient(0deg, var(--chalk-2) 0 3px, transparent 3px 6px);
}
.asks {
  font-weight: 620;
  display: flex;
  gap: 7px;
  align-items: center;
}
.passed .asks {
  font-weight: 460;
  color: var(--chalk-2);
}
.found {
  font-size: 13px;
}
.failed .found {
  color: var(--stop);
}
.more {
  font-size: 12px;
  font-stretch: 88%;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
.log {
  color: var(--chalk-2);
}
.do {
  display: flex;
  gap: 5px;
}
.btn[aria-pressed='true'] {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.why {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 5px;
}
.why .el-input {
  --el-input-height: var(--touch);
  flex: 1 1 200px;
}
@media (max-width: 1099px) {
  .line {
    grid-template-columns: 8px minmax(0, 1fr);
  }
  .do {
    grid-column: 2;
    margin-top: 6px;
  }
  .do .btn {
    min-width: 92px;
    justify-content: center;
  }
}
@media print {
  .line {
    break-inside: avoid;
  }
  .state {
    width: 14px;
    height: 14px;
    align-self: start;
  }
}
</style>

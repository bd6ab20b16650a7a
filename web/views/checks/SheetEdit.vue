<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import { useMessages } from '../../composables/useMessages';
import type { Entity, CheckMoment, OwnCheck } from '@core/model';
import { CHECKS, checksOf, checksOff, moveCheck, switchCheck } from '@core/checks';
import { computed, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** One's own checks of a moment, the order of all of them, and those that are switched off. */
const props = defineProps<{ moment: CheckMoment }>();
const film = useFilm();
const selection = useSelection();
const { text } = useMessages();
const own = computed(() => film.list('check'));
const listed = computed(() =>
  checksOf(props.moment, own.value).map((k) => ({
    code: k.check.code,
    own: k.own,
    safety: k.check.safety,
    protects: text(k.check.protects),
    asks: typeof k.check.prompt === 'function' ? k.check.code.replace(/-/g, ' ') : text(k.check.prompt),
  })),
);
const off = computed(() =>
  checksOff(props.moment, own.value).map((o) => {
    const check = CHECKS.find((k) => k.code === o.builtIn);
    if (!check) return { id: o.id, code: o.id, name: o.name, protects: o.protects };
    const name = typeof check.prompt === 'function' ? check.code.replace(/-/g, ' ') : text(check.prompt);
    return { id: o.id, code: check.code, name, protects: text(check.protects) };
  }),
);
const draft = ref('');
const protects = ref('');
const fault = ref('');
const put = (label: string, rows: readonly OwnCheck[]): void => {
  const faults = film.commit(
    label,
    rows.map((r) => ({ kind: 'check', id: r.id, after: r })),
  );
  fault.value = faults[0]?.say ?? '';
};
const move = (code: string, by: -1 | 1): void =>
  put(tr('orderOfChecks'), moveCheck(props.moment, own.value, code, by, uuid));
const turn = (code: string, isOff: boolean): void => {
  const row = switchCheck(own.value, code, isOff, uuid);
  if (!row) return;
  put(isOff ? tr('switchCheckOff') : tr('switchCheckOn'), [row]);
  selection.say(isOff ? tr('switchedOffOnEveryFilm') : tr('switchedOnAgain'));
};
const add = (): void => {
  if (draft.value.trim() === '') {
    fault.value = tr('sayWhatIsToBe');
    return;
  }
  const value: Entity<'check'> = {
    id: uuid(),
    builtIn: '',
    name: draft.value.trim(),
    moment: props.moment,
    protects: protects.value.trim(),
    position: '',
    off: false,
    notes: '',
    retired: false,
  };
  put(tr('newCheckLower'), [value]);
  if (fault.value === '') {
    draft.value = '';
    protects.value = '';
  }
};
const remove = (code: string): void => {
  film.remove(tr('deleteCheck'), [{ kind: 'check', id: code }]);
};
</script>

<template>
  <div class="edit">
    <ul>
      <li v-for="(l, i) in listed" :key="l.code" :data-check="l.code">
        <span
          ><b dir="auto">{{ l.asks }}</b> <span class="faint">{{ l.protects }}</span></span
        >
        <span class="do">
          <ElButton
            class="btn"
            :disabled="i === 0"
            :aria-label="tr('earlierAsks', { asks: l.asks })"
            @click="move(l.code, -1)"
          >
            {{ tr('earlier') }}</ElButton><ElButton
            class="btn"
            :disabled="i === listed.length - 1"
            :aria-label="tr('laterAsks', { asks: l.asks })"
            @click="move(l.code, 1)"
          >
            {{ tr('later') }}
          </ElButton>
          <ElButton
            v-if="l.own"
            class="btn"
            :aria-label="tr('deleteAsks', { asks: l.asks })"
            @click="remove(l.code)"
          >
            {{ tr('delete') }}
          </ElButton>
          <ElButton
            v-else
            class="btn"
            :aria-label="tr('switchOffAsks', { asks: l.asks })"
            :title="l.safety ? tr('itProtectsProtects', { protects: l.protects }) : ''"
            @click="turn(l.code, true)"
          >
            {{ l.safety ? tr('switchOffItProtects') : tr('switchOff') }}
          </ElButton>
        </span>
      </li>
    </ul>
    <form @submit.prevent="add">
      <ElInput
        v-model="draft"
        maxlength="200"
        :aria-label="tr('newCheck')"
        :placeholder="tr('aCheckOfYourOwn')"
      /><ElInput
        v-model="protects"
        maxlength="500"
        :aria-label="tr('againstWhat')"
        :placeholder="tr('againstWhatMayStayEmpty')"
      /><ElButton class="btn lead" native-type="submit">{{ tr('addIt') }}</ElButton>
    </form>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <template v-if="off.length > 0"
      ><h3>{{ tr('switchedOff') }}</h3>
      <ul>
        <li v-for="o in off" :key="o.id">
          <span dir="auto"
            >{{ o.name }} <span class="faint">{{ o.protects }}</span></span
          ><span class="do"
            ><ElButton
              class="btn"
              :aria-label="tr('switchOnName', { name: o.name })"
              @click="turn(o.code, false)"
            >
              {{ tr('switchOn') }}
            </ElButton></span
          >
        </li>
      </ul></template
    >
    <p class="quiet">{{ tr('orderOwnChecksAndWhat') }}</p>
  </div>
</template>

<style scoped>
.edit {
  display: grid;
  gap: 10px;
}
li {
  display: flex;
  gap: 6px 12px;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  border-top: 1px solid var(--line);
  padding: 5px 0;
}
li > span:first-child {
  flex: 1 1 240px;
  min-width: 0;
}
.faint {
  font-size: 12px;
}
.do {
  display: flex;
  gap: 5px;
  flex-wrap: wrap;
}
form {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
form .el-input {
  --el-input-height: var(--touch);
  flex: 1 1 220px;
}
</style>

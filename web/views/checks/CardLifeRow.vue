<script setup lang="ts">
import { ElInput } from '../../parts/element';
import { ElButton } from '../../parts/element-button';
import { type Entity, CARD_SPOTS, type CardAct, type CardSpot } from '@core/model';
import type { CardLife, CardState } from '@core/cards';
import { computed, ref } from 'vue';
import { fixed, inSentence, whenText } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import { logCard, takesReason } from '../../composables/card-log';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** One card: what is on it, how often that was copied, where it is; what happens to it is told here. */
const props = defineProps<{
  card: { readonly id: string; readonly name: string; readonly nominalGB: number };
  life: CardLife;
  state: CardState;
  planned: number;
}>();
const film = useFilm();
const selection = useSelection();
const WORDS = {
  get empty() {
    return tr('empty');
  },
  get 'in-aircraft'() {
    return tr('inTheAircraft');
  },
  get holds() {
    return tr('notCopied');
  },
  get copied() {
    return tr('copiedOnce');
  },
  get safe() {
    return tr('copied');
  },
  get formatted() {
    return tr('formattedLower');
  },
} as const;
const SPOTS: Readonly<Record<CardSpot, string>> = {
  get bag() {
    return tr('inTheBag');
  },
  get aircraft() {
    return tr('inAnAircraft');
  },
  get case() {
    return tr('inTheCardCase');
  },
  get reader() {
    return tr('inTheReader');
  },
  get computer() {
    return tr('inTheComputer');
  },
};
/** Each aircraft is a place of its own. */
const spots = computed(() =>
  CARD_SPOTS.flatMap((s): { value: string; label: string }[] =>
    s === 'aircraft'
      ? film
          .list('aircraft')
          .filter((a) => !a.retired || a.id === props.life.aircraftId)
          .map((a) => ({ value: a.id, label: tr('inName', { name: a.name }) }))
      : [{ value: s, label: SPOTS[s] }],
  ),
);
const spot = computed(() =>
  props.life.spot === 'aircraft'
    ? (props.life.aircraftId ?? film.list('aircraft').find((a) => !a.retired)?.id ?? 'bag')
    : props.life.spot,
);
const ACTS: Readonly<Record<CardAct, string>> = {
  get put() {
    return tr('put');
  },
  get record() {
    return tr('recordedLower');
  },
  get copy() {
    return tr('copied');
  },
  get format() {
    return tr('formattedLower');
  },
  get correct() {
    return tr('setRight');
  },
};
const word = computed(() =>
  props.state === 'copied' && props.life.copies > 1
    ? tr('copiedCopiesTimes', { copies: props.life.copies })
    : props.state === 'safe'
      ? tr('copiedCopiesTimes', { copies: props.life.copies })
      : props.state === 'in-aircraft' && props.life.usedGB > 0
        ? tr('inTheAircraftNotCopied')
        : WORDS[props.state],
);
const share = (gb: number): string => `${Math.min(100, (gb / props.card.nominalGB) * 100).toFixed(2)}%`;
const reason = ref('');
const asking = ref('');
/** What was asked for and not entered, to be entered with a reason. */
const wanted = ref<{ act: CardAct; gb: number }>({ act: 'format', gb: 0 });
const entering = ref<'' | 'record' | 'correct'>('');
const gb = ref(0);
const log = computed(() =>
  film
    .list('cardMove')
    .filter((m) => m.cardId === props.card.id)
    .sort((a, b) => b.utcMs - a.utcMs || (a.id < b.id ? 1 : -1))
    .slice(0, 4),
);
const placeText = (m: Entity<'cardMove'>): string => {
  if (m.aircraftId)
    return tr('inNameLower', { name: film.get('aircraft', m.aircraftId)?.name ?? tr('anAircraft') });
  return m.spot ? inSentence(SPOTS[m.spot]) : '';
};
/** What was entered: put somewhere, or done, with how much where that says something, and why it was waived. */
const logText = (m: Entity<'cardMove'>): string => {
  const what = m.act === 'put' ? placeText(m) : ACTS[m.act];
  const much = m.act === 'record' || m.act === 'correct' ? ` ${fixed(m.gb, 1)} GB` : '';
  const why = m.waiver ? `, “${m.waiver}”` : '';
  return `${whenText(m.utcMs)}: ${what}${much}${why}`;
};

/** Enters what happened; what cannot have happened is said and not entered. */
const tell = (act: CardAct, more: Partial<Entity<'cardMove'>> = {}): boolean => {
  const fault = logCard(film, props.card.id, act, more);
  asking.value = fault;
  wanted.value = { act, gb: more.gb ?? 0 };
  if (fault === '') {
    reason.value = '';
    entering.value = '';
    selection.say(`${props.card.name}: ${ACTS[act]}.`);
  }
  return fault === '';
};
const put = (value: string): void => {
  const own = CARD_SPOTS.find((s) => s === value);
  tell('put', own ? { spot: own } : { spot: 'aircraft', aircraftId: value });
};
const canWaive = computed(
  () => asking.value !== '' && takesReason(film, props.card.id, wanted.value.act, wanted.value.gb),
);
const enter = (kind: 'record' | 'correct'): void => {
  entering.value = entering.value === kind ? '' : kind;
  gb.value = kind === 'correct' ? props.life.usedGB : 0;
  asking.value = '';
};
</script>

<template>
  <li class="life" :data-card="card.name" :data-state="state">
    <div class="top">
      <b class="name" dir="auto">{{ card.name }}</b>
      <span class="state" :class="state">{{ word }}</span>
      <span class="figures"
        ><b>{{ fixed(life.usedGB, 1) }}</b
        ><span class="unit">{{ tr('gbOnIt') }}</span
        ><template v-if="planned > 0">
          <b class="plan">+{{ fixed(planned / 1e9, 1) }}</b
          ><span class="unit">{{ tr('planned') }}</span></template
        >
        <span class="quiet">{{ tr('ofNominalGB', { nominalGB: card.nominalGB }) }}</span></span
      >
    </div>
    <span class="bar" aria-hidden="true"
      ><i class="used" :class="state" :style="{ width: share(life.usedGB) }" /><i
        class="planned"
        :style="{ width: share(planned / 1e9) }" /><i class="free"
    /></span>
    <div class="do no-print">
      <PickField
        :label="tr('whereNameIs', { name: card.name })"
        bare
        :value="spot"
        :options="spots"
        :save="put"
      />
      <ElButton
        class="btn"
        :aria-label="tr('recordedOntoName', { name: card.name })"
        @click="enter('record')"
      >
        {{ tr('recorded') }}
      </ElButton>
      <ElButton
        class="btn"
        :aria-label="tr('nameCopiedOnceMore', { name: card.name })"
        :disabled="life.usedGB === 0"
        @click="tell('copy')"
      >
        {{ tr('copiedOnceMore') }}
      </ElButton>
      <ElButton class="btn" :aria-label="tr('nameFormatted', { name: card.name })" @click="tell('format')">
        {{ tr('formatted') }}
      </ElButton>
      <ElButton
        class="btn bare"
        :aria-label="tr('setRightWhatIsOn', { name: card.name })"
        @click="enter('correct')"
      >
        {{ tr('setRightUpper') }}
      </ElButton>
    </div>
    <form v-if="entering" class="ask" @submit.prevent="tell(entering, { gb })">
      <NumberField
        :label="entering === 'record' ? tr('recordedOntoIt') : tr('onItNow')"
        :value="gb"
        quantity="gigabytes"
        :save="
          (v) => {
            gb = v;
          }
        "
      /><ElButton class="btn lead" native-type="submit">{{ tr('enter') }}</ElButton>
    </form>
    <form v-if="asking" class="ask" @submit.prevent="tell(wanted.act, { gb: wanted.gb, waiver: reason })">
      <p class="fault" role="alert">{{ asking }}</p>
      <template v-if="canWaive"
        ><ElInput
          v-model="reason"
          maxlength="500"
          :aria-label="
            wanted.act === 'format'
              ? tr('whyNameMayBeFormatted', { name: card.name })
              : tr('whyFootageOnNameMay', { name: card.name })
          "
          :placeholder="tr('whyItMayGoAll')"
        /><ElButton class="btn" native-type="submit" :disabled="reason.trim() === ''">
          {{ wanted.act === 'format' ? tr('formattedAllTheSame') : tr('setRightAllTheSame') }}
        </ElButton></template
      >
    </form>
    <p v-if="life.waived" class="waived">
      {{
        tr('givenUpGbGBShort', {
          gb: fixed(life.waived.gb, 1),
          utcMs: whenText(life.waived.utcMs),
          reason: life.waived.reason,
        })
      }}
    </p>
    <p v-if="log.length > 0" class="faint">{{ log.map(logText).join(' · ') }}</p>
  </li>
</template>

<style scoped>
.life {
  border-top: 1px solid var(--line);
  padding: 8px 0;
  display: grid;
  gap: 5px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
.name {
  font-size: 16px;
  font-stretch: 104%;
  min-width: 74px;
}
.state {
  border-left: 5px solid var(--chalk-3);
  padding-left: 7px;
  font-weight: 620;
}
.state.holds {
  border-color: var(--stop);
  color: var(--stop);
}
.state.copied {
  border-color: var(--care);
  color: var(--care);
}
.state.safe,
.state.formatted {
  border-color: var(--verdigris);
}
.figures {
  margin-left: auto;
}
.figures .plan,
.figures .quiet {
  margin-left: 8px;
}
.plan {
  color: var(--verdigris);
}
.bar {
  display: flex;
  height: 15px;
  background: var(--bench);
  border: 1px solid var(--line);
  position: relative;
  overflow: hidden;
}
.used {
  background: repeating-linear-gradient(-45deg, var(--chalk-3) 0 2px, var(--slab-3) 2px 5px);
}
.used.safe {
  background: var(--slab-3);
}
.planned {
  background: var(--verdigris);
}
.free {
  position: absolute;
  right: 0;
  top: 0;
  bottom: 0;
  width: 12.7%;
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, transparent 3px 6px);
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}
.do > :deep(.field) {
  width: 158px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: end;
}
.ask > :deep(.field) {
  width: 150px;
}
.ask > .el-input {
  --el-input-height: var(--touch);
  flex: 1 1 180px;
}
.waived {
  font-size: 12.5px;
  color: var(--care);
}
.faint {
  font-size: 12px;
  font-stretch: 88%;
}
</style>

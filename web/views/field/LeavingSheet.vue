<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { missingAt } from '@core/field';
import { computed } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { counted, PRIORITY_WORDS } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** What is still missing at the location, and whether it could still be flown, before anyone drives off. */
const props = defineProps<{ nowMs: number; nextLocation: string }>();
const emit = defineEmits<{ close: []; go: [shotId: string]; leave: [] }>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const { text } = useMessages();
const missing = computed(() =>
  store.input && derivedFilm.derived && selection.place
    ? missingAt(store.input, derivedFilm.derived, selection.place, props.nowMs).map((m) => ({
        ...m,
        shot: derivedFilm.derived?.shots.get(m.shotId) ?? null,
        packs: m.packIds.map((id) => store.get('pack', id)?.name ?? '').join(', '),
      }))
    : [],
);
const possible = computed(() => missing.value.filter((m) => m.lightFromMs !== null && m.packIds.length > 0));
</script>

<template>
  <DialogBox
    :title="tr('leavingName', { name: selection.place?.location.name ?? '' })"
    width="min(640px, 96vw)"
    @close="emit('close')"
  >
    <p v-if="missing.length === 0" class="lead">{{ tr('everyShotHereIsDone') }}</p>
    <template v-else>
      <p class="lead">
        {{
          tr('shotsNotDonePossible', {
            shots: counted(missing.length, 'shot'),
            possible:
              possible.length === 0
                ? tr('noneCanBeFlownAny')
                : tr('possibleCanStillBeFlown', { possible: possible.length }),
          })
        }}
      </p>
      <ul>
        <li v-for="m in missing" :key="m.shotId" :class="{ open: possible.includes(m) }">
          <ElButton class="btn" @click="emit('go', m.shotId)">
            {{ m.shot?.number }} {{ m.shot?.facts.shot.title || tr('untitled') }}
          </ElButton>
          <span class="quiet">{{ m.shot ? PRIORITY_WORDS[m.shot.facts.shot.priority] : '' }}</span>
          <p>
            {{ text(m.say)
            }}<template v-if="m.packs && m.lightFromMs !== null">
              {{ ` ${tr('packsPacks', { packs: m.packs })}` }}</template
            >
          </p>
        </li>
      </ul>
    </template>
    <p class="quiet">
      {{ tr('theListForLeavingIs') }} <RouterLink :to="{ name: 'checks' }">{{ tr('checks') }}</RouterLink>.
    </p>
    <div class="acts">
      <ElButton class="btn lead" @click="emit('leave')">
        {{ nextLocation ? tr('goOnToNextLocation', { nextLocation }) : tr('endTheDay') }}
      </ElButton>
      <ElButton class="btn" @click="emit('close')">{{ tr('stayHere') }}</ElButton>
    </div>
  </DialogBox>
</template>

<style scoped>
.lead {
  font-size: 19px;
}
ul {
  list-style: none;
  margin: 12px 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
li {
  border-left: 4px solid var(--line);
  padding-left: 10px;
}
li.open {
  border-color: var(--verdigris);
}
li p {
  margin: 2px 0 0;
}
.btn {
  min-height: 46px;
  font-size: 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
}
</style>

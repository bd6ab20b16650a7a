<script setup lang="ts">
import { clipFaults, matchClips, type CardMatch, type ClipFile, type ClipMatch } from '@core/card-match';
import type { ShotLine } from '@core/handover';
import { counted } from '../../format';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { readClips } from '../../exchange/clip-files';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** The clips of a card beside the takes that were noted: which is which, what is missing, what nobody planned. */
const props = defineProps<{ lines: readonly ShotLine[] }>();
const store = useFilm();
const selection = useSelection();
const progress = ref<{ readonly done: number; readonly all: number } | null>(null);
const clips = shallowRef<readonly ClipFile[] | null>(null);
let stop: AbortController | null = null;
onBeforeUnmount(() => stop?.abort());

const read = async (event: Event): Promise<void> => {
  const field = event.target as HTMLInputElement;
  const files = [...(field.files ?? [])];
  field.value = '';
  stop?.abort();
  const mine = (stop = new AbortController());
  progress.value = { done: 0, all: files.length };
  chosen.value = new Map();
  const found = await readClips(
    files,
    (done, all) => {
      progress.value = { done, all };
    },
    mine.signal,
  );
  if (mine !== stop) return;
  progress.value = null;
  if (!mine.signal.aborted) clips.value = found;
};
const takes = computed(() =>
  props.lines.flatMap((l) =>
    l.flown.map((t) => ({
      id: t.id,
      utcMs: t.utcMs,
      lengthS: l.takeS,
      fps: l.captureFps,
      widthPx: l.shot.facts.mode?.widthPx ?? null,
    })),
  ),
);
const match = computed<CardMatch | null>(() => clips.value && matchClips(clips.value, takes.value));
/** What a person put right: take by clip; null for a clip of none. */
const chosen = ref<ReadonlyMap<string, string | null>>(new Map());
const lineOf = (takeId: string): ShotLine | undefined =>
  props.lines.find((l) => l.flown.some((t) => t.id === takeId));
const nameOf = (takeId: string): string => {
  const line = lineOf(takeId);
  if (!line) return '';
  return tr('shotNumberTakeFindIndexTitle', {
    number: line.number,
    findIndex: line.flown.findIndex((t) => t.id === takeId) + 1,
    title: line.title,
  });
};
const options = computed(() => [
  { value: null, label: tr('noTake') },
  ...takes.value.map((t) => ({ value: t.id as string | null, label: nameOf(t.id) })),
]);
const FAULTS = {
  get 'too-short'() {
    return tr('shorterThanTheCutNeeds');
  },
  get 'wrong-rate'() {
    return tr('otherFrameRateThanPlanned');
  },
  get 'wrong-size'() {
    return tr('otherSizeThanPlanned');
  },
} as const;
const rows = computed(() => {
  const m = match.value;
  if (!m || !clips.value) return [];
  const found = new Map(m.pairs.map((p) => [p.clip.name, p]));
  return [...clips.value]
    .sort((a, b) => a.endMs - b.endMs)
    .map((clip) => {
      const pair = found.get(clip.name);
      const takeId = chosen.value.has(clip.name)
        ? (chosen.value.get(clip.name) ?? null)
        : (pair?.take.id ?? null);
      const take = takes.value.find((t) => t.id === takeId);
      const whole: ClipMatch | null = take ? { clip, take, confidence: 1 } : null;
      const needed = takeId ? (lineOf(takeId)?.shot.facts.wantedS ?? 0) : 0;
      return {
        clip,
        takeId,
        confidence: chosen.value.has(clip.name) ? null : (pair?.confidence ?? null),
        faults: whole ? clipFaults(whole, needed).map((f) => FAULTS[f]) : [],
      };
    });
});
const pick = (clip: string, takeId: string | null): void => {
  const next = new Map(chosen.value);
  // A take has one clip: another that had it has none now.
  for (const r of rows.value) if (takeId !== null && r.takeId === takeId) next.set(r.clip.name, null);
  chosen.value = next.set(clip, takeId);
};
const missing = computed(() => {
  const used = new Set(rows.value.map((r) => r.takeId));
  return takes.value.filter((t) => !used.has(t.id));
});
const never = computed(() => props.lines.filter((l) => l.flown.length === 0));
const apply = (): void => {
  const named = rows.value.flatMap((r) => (r.takeId ? [[r.takeId, r.clip.name] as const] : []));
  const faults = store.commit(
    tr('clipNames'),
    named.flatMap(([id, clip]) => {
      const now = store.get('take', id);
      return now && now.clip !== clip ? [{ kind: 'take' as const, id, after: { ...now, clip } }] : [];
    }),
  );
  selection.say(faults[0]?.say ?? tr('takesNamed', { takes: counted(named.length, 'take') }));
};
</script>

<template>
  <section class="sheet" aria-labelledby="card-title">
    <header>
      <h2 id="card-title">{{ tr('cardToShots') }}</h2>
      <span class="acts">
        <label class="btn file"
          >{{ tr('chooseTheCardsFolder') }}<input type="file" webkitdirectory multiple @change="read"
        /></label>
        <label class="btn file"
          >{{ tr('chooseClips')
          }}<input type="file" multiple accept="video/mp4,video/quicktime,.mp4,.mov,.m4v" @change="read"
        /></label>
      </span>
    </header>
    <p class="quiet">
      {{ tr('onlyHeadersAreReadHere') }}
    </p>
    <p v-if="progress" class="progress">
      <progress :value="progress.done" :max="Math.max(1, progress.all)" :aria-label="tr('clipsRead')" />
      {{ tr('doneOfAll', { done: progress.done, all: progress.all }) }}
      <button class="btn" @click="stop?.abort()">{{ tr('cancel') }}</button>
    </p>
    <template v-if="match && rows.length > 0">
      <p role="status">
        {{
          tr('clipsRowsMatchedTakesWithout', {
            clips: counted(rows.length, 'clip'),
            rows: rows.filter((r) => r.takeId).length,
            takes: counted(missing.length, 'take'),
            shots: counted(never.length, 'shot'),
            clockOffsetS:
              Math.abs(match.clockOffsetS) < 1
                ? tr('right')
                : `${Math.abs(match.clockOffsetS).toFixed(0)} s ${match.clockOffsetS > 0 ? tr('slow') : tr('fast')}`,
          })
        }}
      </p>
      <ul class="rows">
        <li v-for="r in rows" :key="r.clip.name" :class="{ none: !r.takeId, faulty: r.faults.length > 0 }">
          <span class="clip"
            ><b dir="auto">{{ r.clip.name }}</b>
            <span class="quiet"
              ><Fig v-if="r.clip.lengthS !== null" :value="r.clip.lengthS" quantity="seconds" /><template
                v-else
                >{{ tr('lengthUnknown') }}</template
              ><template v-if="r.clip.fps !== null">{{
                tr('replaceFps', { replace: r.clip.fps.toFixed(2).replace(/\.?0+$/, '') })
              }}</template></span
            ></span
          >
          <PickField
            :label="tr('takeOfName', { name: r.clip.name })"
            bare
            :value="r.takeId"
            :options="options"
            :save="(v) => pick(r.clip.name, v)"
          />
          <span class="sure quiet">{{
            r.confidence === null
              ? r.takeId
                ? tr('byHand')
                : ''
              : tr('confidenceSure', { confidence: Math.round(r.confidence * 100) })
          }}</span>
          <span v-if="r.faults.length > 0" class="why">{{ r.faults.join(', ') }}</span>
        </li>
      </ul>
      <p v-for="t in missing" :key="t.id" class="why">
        {{ tr('noClipForNameOf', { nameOf: nameOf(t.id) }) }}
      </p>
      <button class="btn lead" :disabled="rows.every((r) => !r.takeId)" @click="apply">
        {{ tr('nameTheTakes') }}
      </button>
    </template>
    <p v-else-if="clips && !progress" role="status">{{ tr('noClipInThereMP4') }}</p>
  </section>
</template>

<style scoped>
.sheet {
  background: var(--slab);
  padding: 14px 18px 16px;
  margin-bottom: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.file input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
.file:focus-within {
  outline: 2px solid var(--pick);
}
.progress {
  display: flex;
  align-items: center;
  gap: 10px;
}
.rows {
  list-style: none;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) minmax(180px, 1.4fr) 84px;
  gap: 2px 10px;
  align-items: center;
  padding: 5px 0 5px 9px;
  border-top: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.rows li.none {
  border-left-color: var(--chalk-3);
}
.rows li.faulty {
  border-left-color: var(--care);
}
.clip .quiet {
  display: block;
  font-size: 13px;
}
.sure {
  font-size: 13px;
}
.why {
  color: var(--care);
  font-size: 13.5px;
}
.rows .why {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .rows li {
    grid-template-columns: 1fr;
  }
}
</style>

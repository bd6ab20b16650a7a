import { clipFaults, matchClips, type CardMatch, type ClipFile } from '@core/card-match';
import type { FootageLine } from '@core/handover';
import { computed, onBeforeUnmount, ref, shallowRef, type Ref } from 'vue';
import { readClips } from '../../exchange/clip-files';
import { clipPicture } from '../../exchange/clip-pictures';
import { counted } from '../../format';
import { useFilm } from '../../stores/film';
import { useReadClips, type ReadClip } from '../../stores/read-clips';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** What is being done with the clips, and how far it is. */
export interface CardWork {
  readonly what: 'write' | 'read' | 'picture';
  readonly done: number;
  readonly all: number;
}

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

/** What is wrong with a clip as the take of a shot, in words. */
export const faultsOf = (clip: ClipFile, takeId: string, line: FootageLine): readonly string[] => {
  const take = { ...notedTake(line, takeId), id: takeId };
  return clipFaults({ clip, take, confidence: 1 }, line.shot.facts.wantedS).map((f) => FAULTS[f]);
};

const notedTake = (line: FootageLine, id: string) => ({
  id,
  utcMs: line.flown.find((t) => t.id === id)?.utcMs ?? 0,
  lengthS: line.takeS,
  fps: line.captureFps,
  widthPx: line.shot.facts.mode?.widthPx ?? null,
});

/** Clips of a card beside the noted takes: read, matched, put right by hand, and named. */
export const useCardMatch = (lines: Ref<readonly FootageLine[]>) => {
  const store = useFilm();
  const selection = useSelection();
  const readStore = useReadClips();
  const work = ref<CardWork | null>(null);
  const clips = shallowRef<readonly ClipFile[] | null>(null);
  const fault = ref('');
  /** The takes have the names of their clips: the list has done its work. */
  const applied = ref(false);
  let files: ReadonlyMap<string, File> = new Map();
  let stop: AbortController | null = null;
  const cancel = (): void => {
    stop?.abort();
    work.value = null;
  };
  onBeforeUnmount(cancel);
  /** Begins some work; what was begun before ends. */
  const begin = (): AbortSignal => {
    cancel();
    fault.value = '';
    applied.value = false;
    return (stop = new AbortController()).signal;
  };

  const takes = computed(() => lines.value.flatMap((l) => l.flown.map((t) => notedTake(l, t.id))));
  const lineOf = (takeId: string): FootageLine | undefined =>
    lines.value.find((l) => l.flown.some((t) => t.id === takeId));
  const match = computed<CardMatch | null>(() => clips.value && matchClips(clips.value, takes.value));
  /** What a person put right: take by clip; null for a clip of none. */
  const chosen = ref<ReadonlyMap<string, string | null>>(new Map());
  const rows = computed(() => {
    const pairs = new Map(match.value?.pairs.map((p) => [p.clip.name, p]));
    return [...(clips.value ?? [])]
      .sort((a, b) => a.endMs - b.endMs)
      .map((clip) => {
        const pair = pairs.get(clip.name);
        const byHand = chosen.value.has(clip.name);
        const takeId = byHand ? (chosen.value.get(clip.name) ?? null) : (pair?.take.id ?? null);
        const line = takeId === null ? undefined : lineOf(takeId);
        return {
          clip,
          takeId,
          confidence: byHand ? null : (pair?.confidence ?? null),
          faults: takeId !== null && line ? faultsOf(clip, takeId, line) : [],
        };
      });
  });
  const missing = computed(() => {
    const used = new Set(rows.value.map((r) => r.takeId));
    return takes.value.filter((t) => !used.has(t.id));
  });

  const read = async (given: readonly File[]): Promise<void> => {
    const signal = begin();
    work.value = { what: 'read', done: 0, all: given.length };
    chosen.value = new Map();
    const found = await readClips(
      given,
      (done, all) => {
        if (!signal.aborted) work.value = { what: 'read', done, all };
      },
      signal,
    );
    if (signal.aborted) return;
    work.value = null;
    files = new Map(found.map((f) => [f.clip.name, f.file]));
    clips.value = found.map((f) => f.clip);
  };
  /** Makes a card by itself and reads it. */
  const readMade = async (
    make: (signal: AbortSignal, told: (done: number, all: number) => void) => Promise<File[]>,
  ): Promise<void> => {
    const signal = begin();
    try {
      const made = await make(signal, (done, all) => {
        if (!signal.aborted) work.value = { what: 'write', done, all };
      });
      if (!signal.aborted) await read(made);
    } catch {
      if (!signal.aborted) fault.value = tr('clipsCannotBeWritten');
    } finally {
      if (!signal.aborted) work.value = null;
    }
  };
  const pick = (clip: string, takeId: string | null): void => {
    const next = new Map(chosen.value);
    // A take has one clip: another that had it has none now.
    for (const r of rows.value) if (takeId !== null && r.takeId === takeId) next.set(r.clip.name, null);
    chosen.value = next.set(clip, takeId);
  };

  const pictures = async (named: readonly (readonly [string, ClipFile])[]): Promise<void> => {
    const signal = begin();
    applied.value = true;
    const found = new Map<string, ReadClip>();
    for (const [i, [takeId, clip]] of named.entries()) {
      work.value = { what: 'picture', done: i, all: named.length };
      const file = files.get(clip.name);
      found.set(takeId, { ...clip, picture: file ? await clipPicture(file) : null });
      if (signal.aborted) return;
      readStore.keep(found);
    }
    work.value = null;
  };
  const apply = async (): Promise<void> => {
    const named = rows.value.flatMap((r) => (r.takeId ? [[r.takeId, r.clip] as const] : []));
    const faults = store.commit(
      tr('clipNames'),
      named.flatMap(([id, { name }]) => {
        const now = store.get('take', id);
        return now && now.clip !== name ? [{ kind: 'take' as const, id, after: { ...now, clip: name } }] : [];
      }),
    );
    selection.say(faults[0]?.say ?? tr('takesNamed', { takes: counted(named.length, 'take') }));
    if (faults.length === 0) await pictures(named);
  };
  return {
    work,
    fault,
    applied,
    clips,
    match,
    rows,
    takes,
    missing,
    lineOf,
    read,
    readMade,
    pick,
    apply,
    cancel,
  };
};

import { onBeforeUnmount, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { useActs } from '../composables/useShotCommands';
import { useBulk } from '../composables/useBulkEdit';
import { useListing } from '../stores/list-filters';
import { useLooking, type Facet } from '../stores/selection';
import { useReckoning } from '../stores/derived-film';

const FACETS: Readonly<Record<string, Facet>> = { 1: 'move', 2: 'cut', 3: 'exposure' };
const GOES: Readonly<Record<string, string>> = {
  b: 'bench',
  s: 'board',
  j: 'job',
  p: 'places',
  l: 'plan',
  i: 'light',
  f: 'flights',
  r: 'ready',
  k: 'kit',
};
const GO_MS = 1500;

/** A place where keys are typed or belong to the control itself. */
const ownsKeys = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input, textarea, select, [role="slider"], [role="combobox"], [contenteditable]') ||
    target.closest('.el-select, .el-slider') !== null);

/** The application's keys, alive while a film is open. */
export const useKeys = (): void => {
  const router = useRouter();
  const acts = useActs();
  const looking = useLooking();
  const listing = useListing();
  const bulk = useBulk();
  const reckoning = useReckoning();
  let goingUntil = 0;

  const onBench = (): boolean => router.currentRoute.value.name === 'bench';
  const place = (by: number): void => {
    const list = reckoning.locations;
    const at = list.findIndex((l) => l.id === looking.place?.location.id);
    const next = list[at + by];
    if (next) looking.pickPlace(next.id);
  };
  const newSlate = (): void => {
    const id = looking.place?.location.id;
    if (id) acts.addShot(id);
  };
  const picked = (act: (id: string) => void) => (): void => {
    if (looking.shotId) act(looking.shotId);
  };

  const removeChosen = (): void => {
    if (listing.picked.length > 1) {
      bulk.remove(listing.picked);
      listing.clear();
    } else if (looking.shotId) acts.deleteShot(looking.shotId);
  };
  const BENCH: Readonly<Record<string, () => void>> = {
    n: newSlate,
    j: () => looking.step(1),
    k: () => looking.step(-1),
    arrowdown: () => looking.step(1),
    arrowup: () => looking.step(-1),
    p: () => {
      looking.previewing = !looking.previewing;
    },
    x: picked((id) => listing.toggle(id)),
    f: () => {
      listing.toolsShown = !listing.toolsShown;
    },
    o: () => {
      looking.coverageShown = !looking.coverageShown;
    },
    v: () => {
      looking.varietyShown = !looking.varietyShown;
    },
    c: picked(acts.copyShot),
    delete: () => removeChosen(),
    backspace: () => removeChosen(),
    'alt+arrowup': picked((id) => acts.shiftShot(id, -1)),
    'alt+arrowdown': picked((id) => acts.shiftShot(id, 1)),
  };
  const ANYWHERE: Readonly<Record<string, () => void>> = {
    '?': () => {
      looking.keysShown = !looking.keysShown;
    },
    t: () => {
      looking.theme = looking.theme === 'dusk' ? 'noon' : 'dusk';
    },
    q: () => void router.push({ name: 'quick' }),
    '[': () => place(-1),
    ']': () => place(1),
    g: () => {
      goingUntil = Date.now() + GO_MS;
    },
    escape: () => {
      if (looking.keysShown) looking.keysShown = false;
      else if (listing.picked.length > 0) listing.clear();
      else looking.previewing = false;
    },
  };

  const history = (event: KeyboardEvent): boolean => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return false;
    const key = event.key.toLowerCase();
    if (key === 'z') {
      if (event.shiftKey) acts.redo();
      else acts.undo();
      return true;
    }
    if (key === 'y') {
      acts.redo();
      return true;
    }
    return false;
  };
  const actFor = (event: KeyboardEvent): (() => void) | undefined => {
    const key = event.key.toLowerCase();
    const goal = Date.now() < goingUntil ? GOES[key] : undefined;
    if (goal) {
      goingUntil = 0;
      return () => void router.push({ name: goal });
    }
    const facet = FACETS[event.key];
    if (facet && onBench())
      return () => {
        looking.facet = facet;
      };
    return (
      (onBench() ? BENCH[(event.altKey ? 'alt+' : '') + key] : undefined) ??
      (event.altKey ? undefined : ANYWHERE[key])
    );
  };
  const pressed = (event: KeyboardEvent): void => {
    if (event.defaultPrevented) return;
    const typing = ownsKeys(event.target);
    // A field undoes its own typing; everything typed is saved as it goes, so the film's undo serves fields too.
    if (history(event)) {
      event.preventDefault();
      return;
    }
    if (typing) {
      if (event.key === 'Escape' && event.target instanceof HTMLElement) event.target.blur();
      return;
    }
    if (event.ctrlKey || event.metaKey) return;
    const act = actFor(event);
    if (act) {
      event.preventDefault();
      act();
    }
  };

  onMounted(() => window.addEventListener('keydown', pressed));
  onBeforeUnmount(() => window.removeEventListener('keydown', pressed));
};

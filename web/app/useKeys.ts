import { onBeforeUnmount, onMounted } from 'vue';
import { useRouter } from 'vue-router';
import { useShotCommands } from '../composables/useShotCommands';
import { useBulkEdit } from '../composables/useBulkEdit';
import { useListFilters } from '../stores/list-filters';
import { useSelection, type Facet } from '../stores/selection';
import { useDerivedFilm } from '../stores/derived-film';
import { viewAfterG } from './views';

const FACETS: Readonly<Record<string, Facet>> = { 1: 'move', 2: 'cut', 3: 'exposure' };
const GO_MS = 1500;

/** A place where keys are typed or belong to the control itself. */
const ownsKeys = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input, textarea, select, [role="slider"], [role="combobox"], [contenteditable]') ||
    target.closest('.el-select, .el-slider, .el-dialog') !== null);

/** The application's keys, alive while a film is open. */
export const useKeys = (): void => {
  const router = useRouter();
  const acts = useShotCommands();
  const selection = useSelection();
  const listing = useListFilters();
  const bulk = useBulkEdit();
  const derivedFilm = useDerivedFilm();
  let goingUntil = 0;

  const onShots = (): boolean => router.currentRoute.value.name === 'shots';
  const place = (by: number): void => {
    const list = derivedFilm.locations;
    const at = list.findIndex((l) => l.id === selection.place?.location.id);
    const next = list[at + by];
    if (next) selection.pickPlace(next.id);
  };
  const newShot = (): void => {
    const id = selection.place?.location.id;
    if (id) acts.addShot(id);
  };
  const picked = (act: (id: string) => void) => (): void => {
    if (selection.shotId) act(selection.shotId);
  };

  const removeChosen = (): void => {
    if (listing.picked.length > 1) {
      bulk.remove(listing.picked);
      listing.clear();
    } else if (selection.shotId) acts.deleteShot(selection.shotId);
  };
  const SHOTS: Readonly<Record<string, () => void>> = {
    n: newShot,
    j: () => selection.step(1),
    k: () => selection.step(-1),
    arrowdown: () => selection.step(1),
    arrowup: () => selection.step(-1),
    p: () => {
      selection.previewing = !selection.previewing;
    },
    m: picked(() => {
      selection.previewing = false;
      selection.facet = 'move';
      selection.movesShown = true;
    }),
    x: picked((id) => listing.toggle(id)),
    f: () => {
      listing.toolsShown = !listing.toolsShown;
    },
    o: () => {
      selection.coverageShown = !selection.coverageShown;
    },
    v: () => {
      selection.varietyShown = !selection.varietyShown;
    },
    c: picked(acts.copyShot),
    delete: () => removeChosen(),
    backspace: () => removeChosen(),
    'alt+arrowup': picked((id) => acts.shiftShot(id, -1)),
    'alt+arrowdown': picked((id) => acts.shiftShot(id, 1)),
  };
  const ANYWHERE: Readonly<Record<string, () => void>> = {
    '?': () => {
      selection.keysShown = !selection.keysShown;
    },
    t: () => {
      selection.theme = selection.theme === 'dusk' ? 'noon' : 'dusk';
    },
    q: () => void router.push({ name: 'calculators' }),
    '[': () => place(-1),
    ']': () => place(1),
    g: () => {
      goingUntil = Date.now() + GO_MS;
    },
    escape: () => {
      if (selection.keysShown) selection.keysShown = false;
      else if (listing.picked.length > 0) listing.clear();
      else selection.previewing = false;
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
    const goal = Date.now() < goingUntil ? viewAfterG(key) : undefined;
    if (goal) {
      goingUntil = 0;
      return () => void router.push({ name: goal });
    }
    const facet = FACETS[event.key];
    if (facet && onShots())
      return () => {
        selection.facet = facet;
      };
    return (
      (onShots() ? SHOTS[(event.altKey ? 'alt+' : '') + key] : undefined) ??
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

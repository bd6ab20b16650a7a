import { onScopeDispose, ReactiveEffect, shallowRef, type Ref } from 'vue';

const waiting = new Map<object, () => void>();
let pumping = false;

/** A window that is covered may be given a picture once a second, or none, without being called hidden. */
const NO_PICTURE_MS = 100;

/** Runs after the next picture is on the screen, or a moment later where none comes. */
const afterPaint = (act: () => void): void => {
  if (document.hidden) {
    setTimeout(act);
    return;
  }
  const once = (): void => {
    cancelAnimationFrame(picture);
    clearTimeout(late);
    act();
  };
  const picture = requestAnimationFrame(() => {
    clearTimeout(late);
    late = setTimeout(once);
  });
  let late = setTimeout(once, NO_PICTURE_MS);
};

const pump = (): void => {
  const next = waiting.entries().next().value;
  pumping = next !== undefined;
  if (!next) return;
  waiting.delete(next[0]);
  // The following one first: whatever this act leads to must not stop the line.
  afterPaint(pump);
  next[1]();
};

/** Puts an act in the line of what may come a moment later: one of them after each picture, each only once at a time. */
export const defer = (who: object, act: () => void): void => {
  if (waiting.has(who)) return;
  waiting.set(who, act);
  if (!pumping) {
    pumping = true;
    afterPaint(pump);
  }
};

/** Takes an act out of the line, where it still stands in it. */
export const cancelDeferred = (who: object): void => {
  waiting.delete(who);
};

/**
 * A value that follows its source when its turn comes. Panes that hang on the whole film take turns, so that no single frame
 * carries all of them; each then shows the newest there is.
 */
export const useDeferred = <T>(source: () => T): Readonly<Ref<T>> => {
  const shown = shallowRef() as Ref<T>;
  const follow = new ReactiveEffect(() => {
    shown.value = source();
  });
  // Not a watcher: that would ask the source at each change, and asking it is what takes the time.
  follow.scheduler = () =>
    defer(shown, () => {
      if (follow.dirty) follow.run();
    });
  follow.run();
  onScopeDispose(() => {
    follow.stop();
    cancelDeferred(shown);
  });
  return shown;
};

import { onBeforeUnmount, shallowRef } from 'vue';
import type * as Library from './drag-library';
import { whenIdle } from './idle';

type Registered = () => void;

const library = shallowRef<typeof Library | null>(null);
let asked: Promise<void> | null = null;

/** Dragging comes after the first view: nobody drags what is not yet there. */
const load = (): Promise<void> =>
  (asked ??= new Promise((resolve) => {
    whenIdle(() => {
      void import('./drag-library').then((dnd) => {
        library.value = dnd;
        resolve();
      });
    });
  }));

/**
 * Registers elements with the drag library once it is there, in place of what was registered before; lets go of them with the
 * component.
 */
export const useDragging = (): ((register: (dnd: typeof Library) => Registered) => void) => {
  let stop: Registered = () => undefined;
  let turn = 0;
  onBeforeUnmount(() => {
    turn += 1;
    stop();
  });
  return (register) => {
    turn += 1;
    const mine = turn;
    stop();
    stop = () => undefined;
    const begin = (): void => {
      if (mine === turn && library.value) stop = register(library.value);
    };
    if (library.value) begin();
    else void load().then(begin);
  };
};

import type { Name } from '@core/messages';
import { computed, shallowRef, type ComputedRef } from 'vue';
import { useFilm } from '../stores/film';
import type * as Engine from './message-engine';

const engine = shallowRef<typeof Engine | null>(null);

/** Loads sentences and formatter; the first view comes before them, and shows them as soon as they are there. */
export const loadMessages = async (): Promise<void> => {
  engine.value ??= await import('./message-engine');
  performance.mark('messages');
};

/** Writes messages of the core in the units of the open film, and follows them when they change; empty until loaded. */
export const useMessages = (): {
  readonly text: (message: Name) => string;
  readonly loaded: ComputedRef<boolean>;
} => {
  const film = useFilm();
  return {
    text: (message) =>
      typeof message === 'string'
        ? message
        : (engine.value?.formatterFor(film.film?.units ?? 'metric').text(message) ?? ''),
    loaded: computed(() => engine.value !== null),
  };
};

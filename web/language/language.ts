import { ref } from 'vue';

/** Languages of the interface, each by its own name. A further one is an entry here and a file beside each English one. */
export const LANGUAGES = [
  { code: 'en', name: 'English' },
  { code: 'de', name: 'Deutsch' },
] as const;
export type Language = (typeof LANGUAGES)[number]['code'];

const LANGUAGE_KEY = 'dusk-language';

const known = (tag: string | null | undefined): Language | undefined =>
  LANGUAGES.find((l) => l.code === tag?.slice(0, 2))?.code;

/** What was chosen on this device, else the first language of the browser that is known here. */
const preferred = (): Language => {
  const { localStorage, navigator } = globalThis as Partial<typeof globalThis>;
  return known(localStorage?.getItem(LANGUAGE_KEY)) ?? navigator?.languages?.map(known).find(Boolean) ?? 'en';
};

/** The language everything is written in. It changes only once its texts are there. */
export const language = ref<Language>('en');

type Loader = (language: Language) => Promise<unknown>;
const loaders = new Set<Loader>();
let wanted: Language = preferred();
const pending = new Set<Promise<unknown>>();

/** Registers texts that are loaded when the language is: at once, and again after each change. */
export const onLanguage = (load: Loader): void => {
  loaders.add(load);
  const loading = load(wanted).finally(() => pending.delete(loading));
  pending.add(loading);
};

const show = (): void => {
  language.value = wanted;
  (globalThis as Partial<typeof globalThis>).document?.documentElement.setAttribute('lang', wanted);
};

/** Waits for the texts of everything that is about to be shown. What cannot be loaded stays English. */
export const loadLanguage = async (): Promise<void> => {
  while (pending.size > 0) await Promise.allSettled(pending);
  show();
};

/** Changes the language of everything, and keeps it on this device. */
export const setLanguage = async (next: Language): Promise<void> => {
  wanted = next;
  localStorage.setItem(LANGUAGE_KEY, next);
  await Promise.allSettled([...loaders].map((load) => load(next)));
  show();
};

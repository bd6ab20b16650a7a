import { ref, type Ref } from 'vue';
import { registerSW } from 'virtual:pwa-register';

const ready = ref(false);
let update: ((reload?: boolean) => Promise<void>) | undefined;

/** Looks for a new version this often while a page stays open, ms. */
const LOOK_MS = 30 * 60_000;

/** Registers the worker that keeps the application on this device, once a page. A new version is offered, never forced. */
export const useServiceWorker = (): {
  readonly ready: Ref<boolean>;
  readonly take: () => void;
  readonly later: () => void;
} => {
  if (!update && import.meta.env.PROD)
    update = registerSW({
      onNeedRefresh: () => {
        ready.value = true;
      },
      onRegisteredSW: (_url, registration) => {
        setInterval(() => void registration?.update().catch(() => undefined), LOOK_MS);
      },
    });
  return {
    ready,
    take: () => void update?.(true),
    later: () => {
      ready.value = false;
    },
  };
};

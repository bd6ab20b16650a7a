import type { TakeRating } from '@core/model';
import { onBeforeUnmount, onMounted } from 'vue';

const RATINGS: Readonly<Record<string, TakeRating>> = { 1: 'good', 2: 'maybe', 3: 'no-good' };

/** Keys of the flying card: arrows go along the order of flying, R says it is recording, 1 to 3 judge a take. */
export const useFieldKeys = (acts: {
  readonly by: (n: number) => void;
  readonly judge: (rating: TakeRating) => void;
  readonly record: () => void;
}): void => {
  const pressed = (event: KeyboardEvent): void => {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
    const rating = RATINGS[event.key];
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const recorded = event.key.toLowerCase() === 'r';
    if (!rating && step === 0 && !recorded) return;
    event.preventDefault();
    if (recorded) acts.record();
    else if (rating) acts.judge(rating);
    else acts.by(step);
  };
  onMounted(() => {
    window.addEventListener('keydown', pressed);
  });
  onBeforeUnmount(() => {
    window.removeEventListener('keydown', pressed);
  });
};

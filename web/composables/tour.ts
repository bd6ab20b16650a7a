import { ref } from 'vue';

const KEY = 'dusk-tour';

/** The tour of the page is open. */
export const touring = ref(false);

/** Begins the tour, if this device has not seen it, or whenever it is asked for. */
export const startTour = (asked = false): void => {
  if (asked || localStorage.getItem(KEY) === null) touring.value = true;
};
/** Ended or skipped: it does not come again by itself. */
export const endTour = (): void => {
  touring.value = false;
  localStorage.setItem(KEY, 'seen');
};

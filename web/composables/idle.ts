/** A busy page, or one that is not drawn, may never be idle: then it runs all the same. */
const LATEST_MS = 1000;

/** Runs when the page has nothing else to do. */
export const whenIdle = (act: () => void): void => {
  if ('requestIdleCallback' in window) requestIdleCallback(act, { timeout: LATEST_MS });
  else setTimeout(act, 200);
};

/** Resolves when the page has nothing else to do. */
export const idle = (): Promise<void> => new Promise((resolve) => whenIdle(resolve));

/** By then the first view stands, or waits for the application; what nobody looks at may be fetched, ms. */
const FIRST_VIEW_MS = 3000;

/** Resolves when the first view stands and the page has nothing else to do. */
export const afterFirstView = (): Promise<void> =>
  new Promise((resolve) => setTimeout(() => whenIdle(resolve), FIRST_VIEW_MS));

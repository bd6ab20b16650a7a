/** Runs when the page has nothing else to do. */
export const whenIdle = (act: () => void): void => {
  if ('requestIdleCallback' in window) requestIdleCallback(act);
  else setTimeout(act, 200);
};

/** Resolves when the page has nothing else to do. */
export const idle = (): Promise<void> => new Promise((resolve) => whenIdle(resolve));

/**
 * Whether the panel of a time picker was the last thing a person reached for. The panel's lists are scrolled by the library too –
 * when it opens without a value to the present time, when it closes, when its value changes from elsewhere – and each scroll is told
 * as a choice. Only a scroll by hand is one.
 */
let reached = false;
const PANEL = '.el-time-panel';
const inPanel = (event: Event): boolean => event.target instanceof Element && !!event.target.closest(PANEL);

for (const kind of ['pointerdown', 'keydown'] as const)
  window.addEventListener(kind, (event) => (reached = inPanel(event)), { capture: true });
for (const kind of ['wheel', 'touchmove'] as const)
  window.addEventListener(kind, (event) => (reached ||= inPanel(event)), { capture: true, passive: true });

/** The value changed from elsewhere: what the lists are scrolled to from now on nobody chose. */
export const panelLeft = (): void => {
  reached = false;
};

/** Whether what a picker says while `event` is handled was chosen by a person. */
export const chosen = (event: Event | undefined): boolean => event?.type !== 'scroll' || reached;

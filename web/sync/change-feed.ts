import type { LoggedChange } from '@contract';

/** What arrives from the server while a page is open. */
export interface ChangeHandlers {
  readonly change: (change: LoggedChange) => void;
  /** Too much was missed, or another database is in its place: everything must be read again. */
  readonly reset: () => void;
  /** The connection stands. */
  readonly open: () => void;
}

/** Subscribes to the changes after a sequence; what is missed while the connection is down arrives once it is back. */
export const subscribeToChanges = (since: number, handlers: ChangeHandlers): EventSource => {
  const events = new EventSource(`/api/events?since=${since}`);
  events.addEventListener('change', (event) => {
    handlers.change(JSON.parse((event as MessageEvent<string>).data) as LoggedChange);
  });
  events.addEventListener('reset', handlers.reset);
  events.addEventListener('open', handlers.open);
  return events;
};

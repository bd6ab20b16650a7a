import type { LoggedChange } from '@contract';

/** What is told by the server while a page is open. */
export interface NewsHands {
  readonly change: (change: LoggedChange) => void;
  /** Too much was missed, or another database is in its place: everything is to be read anew. */
  readonly reset: () => void;
  /** The line stands, or stands again. */
  readonly open: () => void;
}

/** Listens to the changes after a sequence; what is missed while the line is down is told once it stands again. */
export const listenTo = (since: number, hands: NewsHands): EventSource => {
  const events = new EventSource(`/api/events?since=${since}`);
  events.addEventListener('change', (event) => {
    hands.change(JSON.parse((event as MessageEvent<string>).data) as LoggedChange);
  });
  events.addEventListener('reset', hands.reset);
  events.addEventListener('open', hands.open);
  return events;
};

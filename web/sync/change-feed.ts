import type { LoggedChange } from '@contract';

/** What arrives from the server while a page is open. */
export interface ChangeHandlers {
  readonly change: (change: LoggedChange) => void;
  /** Too much was missed, or another database is in its place: everything must be read again. */
  readonly reset: () => void;
  /** The connection stands. */
  readonly open: () => void;
}

/** When a device may have its network again, and whether its page is looked at. @returns ends the listening */
export type Waking = (act: {
  readonly online: () => void;
  readonly seen: () => void;
  readonly hidden: () => void;
}) => () => void;

const pageWaking: Waking = ({ online, ...act }) => {
  const seen = (): void => {
    if (document.hidden) act.hidden();
    else act.seen();
  };
  window.addEventListener('online', online);
  document.addEventListener('visibilitychange', seen);
  return () => {
    window.removeEventListener('online', online);
    document.removeEventListener('visibilitychange', seen);
  };
};

/** The server says every 20 s that it is there; a connection that says nothing for twice that is dead, whatever it looks like. */
const SILENCE_MS = 45_000;
/** A browser has six connections to one address: a page nobody looks at gives its own back. */
const UNSEEN_MS = 10_000;
/** Wait before a connection that was refused is tried again. */
const REFUSED_MS = 4000;

/**
 * The changes after a sequence; what is missed while the connection is down arrives once it is back. The browser's own
 * reconnecting waits longer with each failure, gives up on a refusal, and does not notice a device that slept: this one begins
 * anew when the network is back, the page is seen again, or nothing was heard for too long. A page that is not looked at listens
 * no more, and catches up when it is.
 */
export class ChangeFeed {
  private events: EventSource | undefined;
  private heardAtMs = 0;
  private readonly watch: ReturnType<typeof setInterval>;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private unseen: ReturnType<typeof setTimeout> | undefined;
  private readonly asleep: () => void;

  constructor(
    private since: number,
    private readonly handlers: ChangeHandlers,
    waking: Waking = pageWaking,
  ) {
    this.connect();
    this.watch = setInterval(this.renewIfSilent, SILENCE_MS / 3);
    this.asleep = waking({ online: this.online, seen: this.seen, hidden: this.hidden });
  }

  close(): void {
    this.events?.close();
    clearInterval(this.watch);
    clearTimeout(this.retry);
    clearTimeout(this.unseen);
    this.asleep();
  }

  private readonly connect = (): void => {
    clearTimeout(this.retry);
    this.events?.close();
    const events = new EventSource(`/api/events?since=${this.since}`);
    this.events = events;
    this.heard();
    events.addEventListener('change', (event) => {
      const change = JSON.parse((event as MessageEvent<string>).data) as LoggedChange;
      this.heard();
      this.since = Math.max(this.since, change.sequence);
      this.handlers.change(change);
    });
    events.addEventListener('beat', this.heard);
    events.addEventListener('reset', this.handlers.reset);
    events.addEventListener('open', () => {
      this.heard();
      this.handlers.open();
    });
    events.addEventListener('error', () => {
      if (events.readyState === EventSource.CLOSED && events === this.events)
        this.retry = setTimeout(this.connect, REFUSED_MS);
    });
  };

  private readonly heard = (): void => {
    this.heardAtMs = Date.now();
  };

  private readonly online = (): void => {
    // Unseen it waits for being looked at.
    if (this.events) this.connect();
  };

  private readonly hidden = (): void => {
    clearTimeout(this.unseen);
    this.unseen = setTimeout(() => {
      clearTimeout(this.retry);
      this.events?.close();
      this.events = undefined;
    }, UNSEEN_MS);
  };

  private readonly seen = (): void => {
    clearTimeout(this.unseen);
    if (this.events) this.renewIfSilent();
    else this.connect();
  };

  private readonly renewIfSilent = (): void => {
    if (this.events && Date.now() - this.heardAtMs > SILENCE_MS) this.connect();
  };
}

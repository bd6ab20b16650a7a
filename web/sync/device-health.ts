import { shallowReactive } from 'vue';

/** What of this device keeps it from storing or telling the time; nothing where all is well. */
export interface DeviceHealth {
  /** What is changed here cannot be stored on this device: it has no room, or its browser does not let it. */
  storage: 'full' | 'refused' | null;
  /** Changes that were kept here and had not been sent are gone: the browser cleared them. Since when they were kept, UTC ms. */
  clearedSinceMs: number | null;
  /** How far its clock is ahead of the computer's, ms; 0 while they agree well enough. */
  clockAheadMs: number;
  /** Its clock stands before the moment a film was stored here: that moment, UTC ms. */
  clockBeforeMs: number | null;
}

export const deviceHealth = shallowReactive<DeviceHealth>({
  storage: null,
  clearedSinceMs: null,
  clockAheadMs: 0,
  clockBeforeMs: null,
});

/** Clocks that differ by less are the same: times are read to the minute. */
const CLOCK_TOLERANCE_MS = 90_000;
/** An answer that took longer says too little of the moment it was given. */
const LONG_ANSWER_MS = 10_000;

/**
 * Compares this device's clock with that of the application, at the middle of question and answer.
 * @param date of the answer, as HTTP writes it
 */
export const noteServerTime = (date: string | null, sentMs: number, receivedMs: number): void => {
  const serverMs = date === null ? NaN : Date.parse(date);
  if (Number.isNaN(serverMs) || receivedMs - sentMs > LONG_ANSWER_MS || receivedMs < sentMs) return;
  const aheadMs = (sentMs + receivedMs) / 2 - serverMs;
  deviceHealth.clockAheadMs = Math.abs(aheadMs) > CLOCK_TOLERANCE_MS ? aheadMs : 0;
  deviceHealth.clockBeforeMs = null;
};

/** Without the application only what was stored before says that a clock was set back. */
export const noteStoredTime = (storedMs: number, nowMs: number): void => {
  deviceHealth.clockBeforeMs = nowMs < storedMs - CLOCK_TOLERANCE_MS ? storedMs : null;
};

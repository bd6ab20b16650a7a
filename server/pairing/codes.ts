import { randomInt } from 'node:crypto';

/** Letters and digits that nobody mistakes for one another. */
const ALPHABET = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const LENGTH = 8;
/** How long a code can be used, ms. */
export const CODE_LIFE_MS = 300_000;
/** Wrong tries, from wherever, after which the code that is open is withdrawn. */
const MOST_WRONG = 20;

/** What became of a code that was entered. */
export type Entered = 'right' | 'wrong' | 'used' | 'expired';

export interface OpenCode {
  readonly code: string;
  readonly untilMs: number;
}

const clean = (text: string): string => text.toUpperCase().replace(/[^0-9A-Z]/g, '');

/** One code at a time: for one device, for five minutes. */
export class PairingCodes {
  private open: OpenCode | null = null;
  private wrong = 0;
  /** Codes of this run that are over, so that who comes too late is told so. */
  private readonly over = new Map<string, 'used' | 'expired'>();

  constructor(private readonly now: () => number = Date.now) {}

  /** Makes a code; the one before is void. */
  issue(): OpenCode {
    this.close('expired');
    const code = Array.from({ length: LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
    this.open = { code, untilMs: this.now() + CODE_LIFE_MS };
    this.wrong = 0;
    return this.open;
  }

  /** The code that can be used now. */
  current(): OpenCode | null {
    if (this.open && this.now() >= this.open.untilMs) this.close('expired');
    return this.open;
  }

  /** Uses a code up; case, blanks and hyphens do not matter. */
  enter(text: string): Entered {
    const code = clean(text);
    const open = this.current();
    if (open?.code === code) {
      this.close('used');
      return 'right';
    }
    const before = this.over.get(code);
    if (before) return before;
    this.wrong += 1;
    if (this.wrong >= MOST_WRONG) this.close('expired');
    return 'wrong';
  }

  private close(why: 'used' | 'expired'): void {
    if (this.open) this.over.set(this.open.code, why);
    this.open = null;
  }
}

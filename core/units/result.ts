/** An answer, or the reason why there is none: words a pilot understands, or data a message is made from. */
export type Result<T, R = string> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: R };

export const found = <T>(value: T): { readonly ok: true; readonly value: T } => ({ ok: true, value });

export const none = <R>(reason: R): { readonly ok: false; readonly reason: R } => ({ ok: false, reason });

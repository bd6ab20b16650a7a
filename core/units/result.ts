/** An answer, or the reason in words a pilot understands why there is none. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly reason: string };

export const found = <T>(value: T): Result<T> => ({ ok: true, value });

export const none = (reason: string): { readonly ok: false; readonly reason: string } => ({
  ok: false,
  reason,
});

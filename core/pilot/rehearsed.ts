import type { Practice } from '../model';

/** How often a shot was rehearsed, and the best mark of it; null where none has one. */
export const rehearsedOf = (
  practice: readonly Practice[],
  shotId: string,
): { readonly tries: number; readonly best: number | null } => {
  const own = practice.filter((p) => p.shotId === shotId && p.handling === 'simulator');
  const marks = own.flatMap((p) => (p.mark === null ? [] : [p.mark]));
  return {
    tries: own.reduce((sum, p) => sum + p.tries, 0),
    best: marks.length > 0 ? Math.max(...marks) : null,
  };
};

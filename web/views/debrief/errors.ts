import { tr } from './messages';

/** A share as how much more or less than planned: “6 % more”. */
export const errorText = (share: number): string => {
  const percent = Math.round(Math.abs(share) * 100);
  return share > 0 || percent === 0 ? tr('percentMore', { percent }) : tr('percentLess', { percent });
};

/** A share with its sign, for a column. */
export const signed = (share: number | null): string =>
  share === null ? '–' : `${share < 0 ? '−' : '+'}${Math.round(Math.abs(share) * 100)} %`;

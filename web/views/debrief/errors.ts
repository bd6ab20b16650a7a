import { tr } from './messages';

/** A share as how much more or less than planned: “6 % more”. */
export const errorText = (share: number): string => {
  const percent = Math.round(Math.abs(share) * 100);
  return share > 0 || percent === 0 ? tr('percentMore', { percent }) : tr('percentLess', { percent });
};

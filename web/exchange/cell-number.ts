/**
 * A number as tables write it: decimal point or comma, groups of thousands, a per cent sign where per cent are meant.
 * @returns NaN where it is none
 */
export const numberIn = (text: string, percent = false): number => {
  const bare = text
    .trim()
    .replace(percent ? /\s*%$/ : /$^/, '')
    .replace(/[\s\u00a0\u202f'’]/g, '');
  const last = Math.max(bare.lastIndexOf(','), bare.lastIndexOf('.'));
  const mark = bare[last];
  // The last mark is the decimal one where both are there; alone and once it is decimal too.
  const other = mark === ',' ? '.' : ',';
  const grouped = bare.includes(',') && bare.includes('.');
  const plain = grouped ? bare.replaceAll(other, '').replace(',', '.') : bare.replace(',', '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain) ? Number(plain) : NaN;
};

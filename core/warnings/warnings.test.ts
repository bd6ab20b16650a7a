import { plainText } from '../messages';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bySeverity, worst, type Severity, type Warning } from './types';

const warning = (severity: Severity, n: number): Warning => ({
  code: `w${n}`,
  severity,
  subject: { kind: 'film' },
  say: plainText('x.'),
  why: plainText('y'),
  cures: [],
});
const list = fc
  .array(fc.constantFrom<Severity>('stop', 'care', 'note'), { maxLength: 12 })
  .map((l) => l.map(warning));

describe('warnings', () => {
  it('are put gravest first, the order within a severity kept, none lost', () => {
    fc.assert(
      fc.property(list, (warnings) => {
        const sorted = bySeverity(warnings);
        expect([...sorted].sort((a, b) => a.code.localeCompare(b.code))).toEqual(
          [...warnings].sort((a, b) => a.code.localeCompare(b.code)),
        );
        for (const severity of ['stop', 'care', 'note'] as const)
          expect(sorted.filter((w) => w.severity === severity)).toEqual(
            warnings.filter((w) => w.severity === severity),
          );
        const ranks = sorted.map((w) => ['stop', 'care', 'note'].indexOf(w.severity));
        expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
      }),
    );
  });
  it('have a worst, or none', () => {
    expect(worst([warning('note', 1), warning('stop', 2)])).toBe('stop');
    expect(worst([])).toBeNull();
  });
});

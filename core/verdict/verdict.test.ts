import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { message } from '../messages';
import { said } from '../testing';
import type { Severity, Warning } from '../warnings';
import { verdictOf, verdictText, type JudgedShot } from './verdict';

const warning = (code: string, severity: Severity, id = 's'): Warning => ({
  code,
  severity,
  subject: { kind: 'shot', id },
  say: message('plain', { text: code }),
  why: message('plain', { text: '' }),
  cures: [],
});
const shot = (id: string, more: Partial<JudgedShot> = {}): JudgedShot => ({
  id,
  done: false,
  unfit: false,
  found: [],
  ...more,
});
const severities = fc.constantFrom<Severity>('stop', 'care', 'note');
const shots = fc.array(
  fc.record({
    unfit: fc.boolean(),
    done: fc.boolean(),
    found: fc.array(
      severities.map((s) => warning(`x.${s}`, s)),
      { maxLength: 3 },
    ),
  }),
  { maxLength: 6 },
);

describe('the verdict', () => {
  it('never says that something fits which a stop or a flight it lacks keeps from being flown', () => {
    fc.assert(
      fc.property(shots, fc.array(severities, { maxLength: 2 }), (list, common) => {
        const judged = list.map((s, i) => shot(String(i), s));
        const all = common.map((s) => warning(`y.${s}`, s));
        const verdict = verdictOf(judged, all);
        const left = judged.filter((s) => !s.done);
        const kept =
          left.some((s) => s.unfit || s.found.some((w) => w.severity === 'stop')) || common.includes('stop');
        expect(verdict.state === 'not').toBe(left.length > 0 && kept);
        if (verdict.state === 'fits') expect(verdict.warnings).toBe(0);
        expect(verdict.failing).toBeLessThanOrEqual(verdict.shots);
        if (verdict.state === 'not' && common.includes('stop'))
          expect(verdict.reasons.length).toBeGreaterThan(0);
      }),
    );
  });
  it('of a film is no better than that of any part of it, and a shot more never makes it better', () => {
    const rank = { nothing: 3, done: 3, fits: 2, warnings: 1, not: 0, unknown: 0 } as const;
    fc.assert(
      fc.property(shots, (list) => {
        const judged = list.map((s, i) => shot(String(i), { ...s, done: false }));
        const whole = verdictOf(judged).state;
        for (const s of judged) expect(rank[whole]).toBeLessThanOrEqual(rank[verdictOf([s]).state]);
      }),
    );
  });
  it('is not known before everything it depends on is', () =>
    expect(verdictOf([shot('a', { unfit: true })], [], false).state).toBe('unknown'));
  it('names reasons once, the place’s before the shots’, and why a shot is in no flight', () => {
    const place = { ...warning('place', 'stop'), subject: { kind: 'location' as const, id: 'l' } };
    const left = warning('budget.no-pack', 'care', 'b');
    const verdict = verdictOf(
      [
        shot('a', { found: [warning('late', 'stop', 'a'), warning('late', 'stop', 'a')] }),
        shot('b', { unfit: true, found: [warning('other', 'care', 'b'), left] }),
        shot('c', { done: true, unfit: true }),
      ],
      [place],
    );
    expect(verdict.reasons.map((r) => r.say.values['text'])).toEqual(['place', 'late', 'budget.no-pack']);
    expect(verdict).toMatchObject({ shots: 2, failing: 2, state: 'not' });
  });
  it('is a sentence in every state', () => {
    const one = [shot('a')];
    const texts = [
      verdictOf([]),
      verdictOf(one),
      verdictOf([...one, shot('b')]),
      verdictOf([shot('a', { found: [warning('c', 'care')] })]),
      verdictOf([shot('a', { unfit: true }), shot('b')]),
      verdictOf([shot('a', { unfit: true }), shot('b', { unfit: true })]),
      verdictOf(one, [warning('s', 'stop')]),
      verdictOf([shot('a', { done: true })]),
    ].map((v) => said(verdictText(v)));
    expect(texts).toEqual([
      'Nothing planned yet',
      'The shot fits',
      'All 2 shots fit',
      'The shot fits, 1 warning',
      '1 of 2 shots does not fit',
      '2 of 2 shots do not fit',
      'Does not fit',
      'Every shot is done',
    ]);
  });
});

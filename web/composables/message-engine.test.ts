import { sayFaults } from '@contract';
import { measured, message } from '@core/messages';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { counted, dateText, fixed, inSentence, phrase, write } from '../format';
import { language, setLanguage } from '../language';
import { formatterFor } from './message-engine';

describe('what is said in German', () => {
  beforeAll(async () => {
    vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });
    await setLanguage('de');
  });
  afterAll(async () => {
    await setLanguage('en');
    vi.unstubAllGlobals();
  });

  const say = (code: string, values: Parameters<typeof message>[1]): string =>
    formatterFor('metric').text(message(code, values));

  it('keeps units as they are, and names those that are words', () => {
    expect(language.value).toBe('de');
    const seconds = measured(14, 'seconds', 0);
    expect(say('field.hold', { seconds, sticks: 'slow' })).toBe('Halte 14 s still, Knüppel auf „langsam“.');
    expect(say('exposure.wait', { stops: measured(1.5, 'stops', 1) })).toContain('1,5 Blenden');
    expect(formatterFor('imperial').quantity(measured(10, 'metres'))).toBe('33 ft');
    expect(write(1.234, 'wattHours')).toEqual({ number: '1,23', unit: 'Wh' });
  });

  it('translates words of the core, never what a person wrote', () => {
    expect(say('set-sticks.say', { handling: 'fast' })).toContain('„schnell“');
    expect(say('site.launch-under.say', { spot: 'Golden', under: 'Stop' })).toBe('Golden liegt unter Stop.');
    expect(say('simpler-cure.say.2', { toLowerCase: 'push in' })).toContain('Heranfahrt');
    expect(phrase('A move nobody has translated')).toBe('A move nobody has translated');
  });

  it('says what is wrong with a field by its name, its limit in the units that are shown', () => {
    const low = { keyword: 'minimum', instancePath: '/massG', schemaPath: '', params: { limit: 20 } };
    const write = (units: 'metric' | 'imperial') => formatterFor(units).text;
    expect(sayFaults([low], write('metric'))[0]?.say).toBe('Masse muss mindestens 20 g sein.');
    expect(sayFaults([low], write('imperial'))[0]?.say).toBe('Masse muss mindestens 0,7 oz sein.');
    expect(sayFaults([low])[0]?.say).toBe('Mass must be 20 g or more.');
    const share = { ...low, keyword: 'maximum', instancePath: '/health', params: { limit: 1 } };
    expect(sayFaults([share])[0]?.say).toBe('Health must be 100 % or less.');
  });

  it('writes numbers, days and what is counted as the language does', () => {
    expect([counted(1, 'pack'), counted(2, 'pack')]).toEqual(['1 Akku', '2 Akkus']);
    expect([fixed(-0.04, 1), fixed(NaN), fixed(2.5, 1)]).toEqual(['0,0', '–', '2,5']);
    expect(dateText('2027-05-14')).toMatch(/^Fr\.? 14\. Mai 2027$/);
    expect(inSentence('Heranfahrt')).toBe('Heranfahrt');
  });
});

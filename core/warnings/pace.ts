import { measured, message } from '../messages';
import { STROBE_CROSSING_S } from '../pace';
import type { Cure } from './types';
import { onShot, type ShotContext, type ShotRule } from './context';

/** Every rate is linear in the speed, so the speed for a wanted crossing follows at once. */
const slowerCure = (c: ShotContext, wantedS: number): Cure[] => {
  const { shot, pace } = c.facts;
  const id = shot.move.values['speedMs'] !== undefined ? 'speedMs' : 'rateDegS';
  const now = shot.move.values[id];
  if (now === undefined) return [];
  const value = Math.floor(((now * pace.crossingS) / wantedS) * 100) / 100;
  if (value < 0.1) return [{ say: message('slower-cure.say') }];
  return [
    {
      say: message('slower-cure.say.2', {
        speed: measured(value, id === 'rateDegS' ? 'degreesPerSecond' : 'speed'),
      }),
      set: {
        entity: 'shot',
        id: shot.id,
        fields: { move: { ...shot.move, values: { ...shot.move.values, [id]: value } } },
      },
    },
  ];
};

export const frantic: ShotRule = (c) =>
  c.facts.band !== 'frantic' && c.facts.band !== 'fast'
    ? null
    : {
        code: 'pace.fast',
        severity: c.facts.band === 'frantic' ? 'care' : 'note',
        subject: onShot(c),
        say: message('pace.fast.say', {
          of: c.facts.pace.of,
          crossing: measured(c.facts.pace.crossingS, 'seconds', 1),
        }),
        why: message('pace.fast.why', { guide: STROBE_CROSSING_S }),
        cures: slowerCure(c, STROBE_CROSSING_S),
      };

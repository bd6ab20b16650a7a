import { STROBE_CROSSING_S } from '../pace';
import type { Cure } from './types';
import { speedText } from './say';
import { onShot, type ShotContext, type ShotRule } from './context';

/** The edge rate is linear in the speed, so the speed for a wanted crossing follows at once. */
const slowerCure = (c: ShotContext, wantedS: number): Cure[] => {
  const { shot, pace, film } = c.facts;
  const id = shot.move.values['speedMs'] !== undefined ? 'speedMs' : 'rateDegS';
  const now = shot.move.values[id];
  if (now === undefined) return [];
  const value = Math.floor(((now * pace.edgeCrossingS) / wantedS) * 100) / 100;
  if (value < 0.1) return [{ say: 'Fly higher or tilt the camera up a little.' }];
  return [
    {
      say: `Fly it at ${speedText(value, id === 'rateDegS' ? value : undefined, film.units)} for a gentle pace.`,
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
        say: `The near ground crosses the frame in ${c.facts.pace.edgeCrossingS.toFixed(1)} s at the fastest moment.`,
        why: `Under ${STROBE_CROSSING_S} s a pan or slide begins to strobe at 24–30 frames a second; low and fast reads as frantic.`,
        cures: slowerCure(c, STROBE_CROSSING_S),
      };

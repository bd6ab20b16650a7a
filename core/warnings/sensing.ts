import { measured, message, type Message } from '../messages';
import { isSensingOff } from '../shot';
import type { Severity } from './types';
import { onShot, type ShotContext, type ShotRule } from './context';

/** Walking pace, m/s: without sensing nobody flies faster near things. */
const WALK_MS = 1.5;
/** From this level on a move is practised enough to be flown without sensing. */
const PRACTISED = 3;

/** The gravest reason not to switch sensing off for a shot; null where there is none. */
const against = ({ facts, hands }: ShotContext): Message | null => {
  const speed = facts.trajectory?.peakSpeedMs ?? 0;
  if (facts.shot.usage.people !== 'none') return message('sensing.off.people');
  if (speed > WALK_MS)
    return message('sensing.off.fast', {
      speed: measured(speed, 'speed', 1),
      walk: measured(WALK_MS, 'speed', 1),
    });
  return hands && hands.level >= PRACTISED ? null : message('sensing.off.unpractised');
};

/** Obstacle sensing switched off: a deliberate choice at walking pace, practised, away from people. */
export const sensingOff: ShotRule = (c) => {
  const { shot } = c.facts;
  if (!isSensingOff(c.facts)) return null;
  const reason = against(c);
  const severity: Severity = reason ? 'care' : 'note';
  return {
    code: reason ? 'sensing.off-against' : 'sensing.off',
    severity,
    subject: onShot(c),
    say: reason ?? message('sensing.off.say'),
    why: message('sensing.off.why'),
    cures: [
      {
        say: message('sensing.off.cure'),
        set: { entity: 'shot', id: shot.id, fields: { sensing: null } },
      },
    ],
  };
};

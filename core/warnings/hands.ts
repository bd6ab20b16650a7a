import { measured, message } from '../messages';
import { addsNothing, initialValues, moveOf, NOTHING_ADDED } from '../moves';
import { LEVEL_WORDS } from '../pilot';
import { simplerMove } from '../story';
import type { Cure } from './types';
import { onShot, type ShotContext, type ShotRule } from './context';

/** The same place flown by a simpler move: numbers that both have are kept. */
const simplerCure = (c: ShotContext): Cure[] => {
  const { shot, move } = c.facts;
  if (!addsNothing(shot.move.added))
    return [
      {
        say: message('simpler-cure.say'),
        set: { entity: 'shot', id: shot.id, fields: { move: { ...shot.move, added: NOTHING_ADDED } } },
      },
    ];
  const simpler = moveOf(simplerMove(shot.move.kind) ?? '');
  if (!simpler || !move) return [];
  const labels = new Map(move.parameters.map((p) => [p.id, p.label]));
  const kept = Object.fromEntries(
    Object.entries(shot.move.values).filter(([id, v]) =>
      simpler.parameters.some((p) => p.id === id && p.label === labels.get(id) && v >= p.min && v <= p.max),
    ),
  );
  return [
    {
      say: message('simpler-cure.say.2', { toLowerCase: simpler.name.toLowerCase() }),
      set: {
        entity: 'shot',
        id: shot.id,
        fields: {
          move: {
            ...shot.move,
            kind: simpler.kind,
            added: NOTHING_ADDED,
            values: { ...initialValues(simpler.parameters), ...kept },
          },
        },
      },
    },
  ];
};

/** From this level on a move is flown with ease, however many inputs it takes. */
const STEADY = 3;

/** More inputs at one moment than the pilot has practised. */
export const manyInputs: ShotRule = (c) => {
  const { trajectory, film, move } = c.facts;
  const practised = film.preferences.practisedInputs;
  if (!trajectory || !move || trajectory.simultaneous <= practised || (c.hands && c.hands.level >= STEADY))
    return null;
  const level = c.hands
    ? message('move.inputs.level', {
        pilot: c.hands.pilot.name,
        practised: LEVEL_WORDS[c.hands.level] ?? LEVEL_WORDS[0],
      })
    : '';
  return {
    code: 'move.inputs',
    severity: 'note',
    subject: onShot(c),
    say: message('move.inputs.say', { simultaneous: trajectory.simultaneous, practised, level }),
    why: message('move.inputs.why'),
    cures: [...simplerCure(c), { say: message('move.inputs.cure') }],
  };
};

/** Fewer takes than the pilot's record asks for to have one keeper. */
export const fewTakes: ShotRule = (c) => {
  const { hands } = c;
  const { shot } = c.facts;
  if (!hands || shot.records === 'stills' || shot.takes >= hands.takes || shot.priority === 'could')
    return null;
  return {
    code: 'takes.few',
    severity: 'note',
    subject: onShot(c),
    say: message('takes.few.say', {
      takes: shot.takes,
      pilot: hands.pilot.name,
      rate: measured(hands.rate * 100, 'percent', 0),
      takes2: hands.takes,
    }),
    why: message('takes.few.why'),
    cures: [
      {
        say: message('takes.few.cure', { takes: hands.takes }),
        set: { entity: 'shot', id: shot.id, fields: { takes: hands.takes } },
      },
    ],
  };
};

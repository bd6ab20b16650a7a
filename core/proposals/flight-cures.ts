import { measured, message, plainText, type Message } from '../messages';
import type { Cure } from '../warnings';
import { FilmDeriver, type DerivedFilm } from '../film';
import { takesOf, titleOr } from '../shot';
import type { FilmInput, Location, Shot } from '../model';
import { toEnd, type Steps } from '../units';

interface Idea {
  readonly cure: Cure;
  readonly input: FilmInput;
}

const shotIdea = (input: FilmInput, shot: Shot, fields: Partial<Shot>, say: Message): Idea => ({
  cure: { say, set: { entity: 'shot', id: shot.id, fields } },
  input: { ...input, shots: input.shots.map((s) => (s.id === shot.id ? { ...s, ...fields } : s)) },
});

const placeIdea = (input: FilmInput, location: Location, fields: Partial<Location>, say: Message): Idea => ({
  cure: { say, set: { entity: 'location', id: location.id, fields } },
  input: {
    ...input,
    locations: input.locations.map((l) => (l.id === location.id ? { ...l, ...fields } : l)),
  },
});

const packIdeas = (input: FilmInput, shot: Shot): Idea[] => {
  const mine = input.kit.packs.filter(
    (p) => !p.retired && shot.aircraftId !== null && p.aircraftIds.includes(shot.aircraftId),
  );
  const home = mine
    .filter((p) => input.film.leftHome.includes(p.id))
    .map((p): Idea => {
      const leftHome = input.film.leftHome.filter((id) => id !== p.id);
      return {
        cure: {
          say: message('cure.pack-ideas.say', { pack: p.name }),
          set: { entity: 'film', id: input.film.id, fields: { leftHome } },
        },
        input: { ...input, film: { ...input.film, leftHome } },
      };
    });
  const low = mine
    .filter((p) => p.charge < 0.97)
    .map((p): Idea => ({
      cure: {
        say: message('cure.pack-ideas.say.2', { pack: p.name, charge: Math.round(p.charge * 100) }),
        set: { entity: 'pack', id: p.id, fields: { charge: 1 } },
      },
      input: {
        ...input,
        kit: { ...input.kit, packs: input.kit.packs.map((x) => (x === p ? { ...p, charge: 1 } : x)) },
      },
    }));
  return [...low, ...home];
};

const minutesLater = (clock: string, by: number): string | null => {
  const [h, m] = clock.split(':').map(Number);
  const total = (h ?? 0) * 60 + (m ?? 0) + by;
  return total < 0 || total >= 1440
    ? null
    : `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
};

const windowIdeas = (input: FilmInput, location: Location): Idea[] =>
  [15, 30, 60].flatMap((by) => {
    const windowEnd = minutesLater(location.windowEnd, by);
    const windowStart = minutesLater(location.windowStart, -by);
    return [
      ...(windowEnd === null
        ? []
        : [
            placeIdea(
              input,
              location,
              { windowEnd },
              message('cure.stay', { by: measured(by, 'minutes', 0), until: windowEnd }),
            ),
          ]),
      ...(windowStart === null
        ? []
        : [
            placeIdea(
              input,
              location,
              { windowStart },
              message('cure.begin', { by: measured(by, 'minutes', 0), start: windowStart }),
            ),
          ]),
    ];
  });

/** Other shots of which a take less is tried: each is a whole day worked out. */
const OTHERS_TRIED = 12;

/** Ideas from the cheapest to the dearest. */
const ideasFor = (input: FilmInput, shot: Shot, location: Location): Idea[] => {
  const fewer =
    takesOf(shot) > 1
      ? [
          shotIdea(
            input,
            shot,
            { takes: shot.takes - 1 },
            message('cure.fewer-takes', { takes: shot.takes - 1 }),
          ),
        ]
      : [];
  const others = input.shots
    .filter(
      (s) =>
        s.locationId === shot.locationId &&
        s.id !== shot.id &&
        s.aircraftId === shot.aircraftId &&
        takesOf(s) > 1 &&
        s.priority !== 'must',
    )
    .slice(0, OTHERS_TRIED)
    .map((s) =>
      shotIdea(input, s, { takes: s.takes - 1 }, message('cure.fewer-takes-of', { shot: titleOr(s.title) })),
    );
  const launches = input.features
    .filter(
      (f) =>
        f.locationId === location.id && f.kind === 'launch' && f.id !== (shot.launchId ?? location.launchId),
    )
    .map((f) =>
      shotIdea(
        input,
        shot,
        { launchId: f.id },
        message('cure.launch-from', { launch: f.name ? plainText(f.name) : message('cure.launch-other') }),
      ),
    );
  const { preferences } = input.film;
  const reserve = [0.25, 0.2]
    .filter((r) => r < preferences.reserveShare - 1e-9)
    .map((reserveShare): Idea => ({
      cure: {
        say: message('cure.reserve.say', {
          round: Math.round(reserveShare * 100),
          round2: Math.round(preferences.reserveShare * 100),
        }),
        set: { entity: 'film', id: input.film.id, fields: { preferences: { ...preferences, reserveShare } } },
      },
      input: { ...input, film: { ...input.film, preferences: { ...preferences, reserveShare } } },
    }));
  return [
    ...packIdeas(input, shot),
    ...fewer,
    ...launches,
    ...others,
    ...windowIdeas(input, location),
    ...reserve,
  ];
};

/** Most cures offered for a shot. */
const OFFERED = 4;

const musts = (derived: DerivedFilm): number =>
  [...derived.shots.values()].filter((s) => s.facts.shot.priority === 'must' && s.flightIndex !== null)
    .length;
const flownCount = (derived: DerivedFilm): number =>
  [...derived.shots.values()].filter((s) => s.flightIndex !== null).length;

/** Whether a shot is flown within its window. */
const inTime = (derived: DerivedFilm, id: string): boolean => {
  const shot = derived.shots.get(id);
  return (
    shot !== undefined && shot.flightIndex !== null && !shot.warnings.some((w) => w.code === 'light.window')
  );
};

/**
 * What would bring a shot that does not fit into the day, cheapest first. Each was tried: the shot is flown in its window with
 * it, no must is lost and nothing else falls out. In small steps, for who must not be kept waiting.
 * @param reckoner remembers between questions what does not change
 */
export function* cureSteps(
  input: FilmInput,
  derived: DerivedFilm,
  shotId: string,
  reckoner = new FilmDeriver(),
): Steps<Cure[]> {
  const shot = input.shots.find((s) => s.id === shotId);
  const location = input.locations.find((l) => l.id === shot?.locationId);
  if (!shot || !location) return [];
  const [before, count] = [musts(derived), flownCount(derived)];
  const cures: Cure[] = [];
  for (const idea of ideasFor(input, shot, location)) {
    const would = yield* reckoner.steps(idea.input);
    if (inTime(would, shotId) && musts(would) >= before && flownCount(would) >= count) cures.push(idea.cure);
    if (cures.length === OFFERED) break;
  }
  return cures;
}

/** The same at once. */
export const curesFor = (...asked: Parameters<typeof cureSteps>): Cure[] => toEnd(cureSteps(...asked));

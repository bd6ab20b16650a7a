import { initialValues, moveOf, NOTHING_ADDED } from '../moves';
import {
  newRow,
  type Aircraft,
  type Film,
  type Kit,
  type Location,
  type Pilot,
  type Shot,
  type Subject,
} from '../model';
import { levelsOf, type Experience } from './experience';
import { kitOfClass, type AircraftClass } from './classes';
import type { FilmTemplate } from './templates';

/** What a person chose before the film begins. */
export interface StarterChoice {
  readonly name: string;
  readonly template: FilmTemplate;
  /** Class whose kit is entered with it; null flies what the owner has. */
  readonly craft: AircraftClass | null;
  readonly timelineFps: number;
  /** The pilot who is entered with it; null flies with those of the owner. */
  readonly pilot: { readonly name: string; readonly experience: Experience } | null;
  /** Aircraft of the owner, first choice first. */
  readonly owned: readonly Aircraft[];
  /** Where it is filmed; null leaves that open, and no light is worked out until it is known. */
  readonly at: { readonly latitude: number; readonly longitude: number } | null;
  readonly zone: string;
  /** Day of the shoot, YYYY-MM-DD. */
  readonly date: string;
}

/** Rows a film begins with. */
export interface StarterFilm {
  readonly film: Film;
  readonly locations: readonly Location[];
  readonly subjects: readonly Subject[];
  readonly shots: readonly Shot[];
  readonly kit: Partial<Pick<Kit, 'aircraft' | 'packs' | 'cards' | 'filters' | 'pilots'>>;
}

const locationOf = (choice: StarterChoice, filmId: string, id: string): Location =>
  newRow('location', {
    id,
    filmId,
    name: 'First location',
    position: 'a0',
    placed: choice.at !== null,
    latitude: choice.at?.latitude ?? 0,
    longitude: choice.at?.longitude ?? 0,
    zone: choice.zone,
    elevationM: 0,
    date: choice.date,
    mainsHz: 50,
  });

const subjectOf = (template: FilmTemplate, locationId: string, id: string): Subject | null => {
  if (!template.subject) return null;
  const { northM, name, kind, heightM, widthM, headingDeg = 90, speedMs = 0 } = template.subject;
  return newRow('subject', {
    id,
    locationId,
    ...{ name, kind, heightM, widthM, headingDeg, speedMs },
    xM: 0,
    yM: northM,
  });
};

/**
 * The rows of a film begun from a template: film, one location, its subject, the shots, and the kit of a class where none is
 * owned. Pure: ids and the date are given.
 * @param newId makes an id for each row
 */
export const starterFilm = (choice: StarterChoice, newId: () => string): StarterFilm => {
  const { template, craft, timelineFps } = choice;
  const kit = craft ? kitOfClass(craft, timelineFps, newId) : null;
  const aircraft = kit?.aircraft ?? choice.owned[0] ?? null;
  const camera = aircraft?.cameras[0];
  const mode = camera?.modes.find((m) => m.fps === timelineFps) ?? camera?.modes[0];
  const pilot = choice.pilot
    ? newRow('pilot', { id: newId(), name: choice.pilot.name, levels: levelsOf(choice.pilot.experience) })
    : null;
  const film = newRow('film', {
    id: newId(),
    pilotId: pilot?.id ?? null,
    name: choice.name,
    purpose: template.shots.length > 0 ? template.about : '',
    cutLengthS: template.cutLengthS,
    timelineFps,
    aspect: template.aspect,
    stillsWanted: template.stills > 0,
    stillsCount: template.stills,
  });
  if (template.shots.length === 0)
    return { film, locations: [], subjects: [], shots: [], kit: listsOf(kit, pilot) };
  const location = locationOf(choice, film.id, newId());
  const subject = subjectOf(template, location.id, newId());
  const shots = template.shots.map((s, i) =>
    newRow('shot', {
      id: newId(),
      locationId: location.id,
      position: `a${i.toString(36)}`,
      title: s.title,
      subjectId: subject?.id ?? null,
      role: s.role,
      priority: s.priority,
      wants: s.wants ?? 'any',
      aircraftId: aircraft?.id ?? null,
      cameraId: camera?.id ?? '',
      modeId: mode?.id ?? '',
      cut: { by: 'seconds', beats: 0, segments: [{ timelineS: s.seconds, speedFactor: 1, endFactor: null }] },
      move: {
        kind: s.kind,
        values: { ...initialValues(moveOf(s.kind)?.parameters ?? []), ...s.values },
        reversed: false,
        added: { ...NOTHING_ADDED },
        points: [],
        locked: [],
      },
    }),
  );
  return { film, locations: [location], subjects: subject ? [subject] : [], shots, kit: listsOf(kit, pilot) };
};

const listsOf = (kit: ReturnType<typeof kitOfClass> | null, pilot: Pilot | null): StarterFilm['kit'] => ({
  ...(kit ? { aircraft: [kit.aircraft], packs: kit.packs, cards: kit.cards, filters: kit.filters } : {}),
  ...(pilot ? { pilots: [pilot] } : {}),
});

import { kitOnLocation } from '../day';
import type { Vec3 } from '../geometry';
import { launchOf } from '../location';
import type { ExposureChoice } from '../exposure';
import type { DerivedFilm, DerivedShot } from '../film';
import type { FilmInput, Take } from '../model';
import { boardOf, useOf, USE_WORDS } from '../story';
import { exposurePlan } from '../light-timeline';
import { filterNameOf, locationLight, secondsOf, takesOf } from '../shot';

/** A film with everything worked out about it: what every sheet and table is made of. */
export interface Handover {
  readonly input: FilmInput;
  readonly derived: DerivedFilm;
}

/** How far a shot is. */
export type ShotStatus = 'done' | 'planned' | 'unfit';

/** A shot as sheets and tables tell it. Seconds, watt-hours and bytes are those of the plan. */
export interface ShotLine {
  readonly shot: DerivedShot;
  /** Where it is launched from. */
  readonly launch: Vec3;
  readonly id: string;
  readonly number: number;
  /** Place in the cut, from 1. */
  readonly cut: number;
  readonly title: string;
  readonly location: string;
  readonly zone: string;
  readonly date: string;
  /** Number of its flight at the location, from 1; null where it is in none. */
  readonly flight: number | null;
  readonly takeOffMs: number | null;
  readonly startMs: number | null;
  readonly pack: string;
  readonly card: string;
  readonly aircraft: string;
  readonly camera: string;
  /** Focal length as on a full frame, with its zoom, mm. */
  readonly lensMm: number | null;
  readonly resolution: string;
  readonly captureFps: number | null;
  readonly move: string;
  readonly takes: number;
  readonly timelineS: number;
  /** Where it starts in the cut, s. */
  readonly cutFromS: number;
  /** Along the path of the move, s. */
  readonly moveS: number;
  /** On the card for one take, s. */
  readonly takeS: number;
  readonly airS: number;
  readonly energyWh: number;
  readonly bytes: number;
  readonly exposure: { readonly aperture: number; readonly shutterS: number; readonly iso: number } | null;
  readonly filter: string;
  readonly usage: string;
  readonly status: ShotStatus;
  /** Takes of it, in the order they were flown. */
  readonly flown: readonly Take[];
}

const named = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((x) => x.id === id)?.name ?? '';

/** When, on what pack and on what card it is flown. */
const flown = (
  { input, derived }: Handover,
  shot: DerivedShot,
  cards: ReadonlyMap<unknown, string | null>,
) => {
  const { facts } = shot;
  const flight = derived.places.get(facts.location.id)?.flights[shot.flightIndex ?? -1];
  if (!flight) return { flight: null, takeOffMs: null, startMs: null, pack: '', card: '' };
  return {
    flight: (shot.flightIndex ?? 0) + 1,
    takeOffMs: flight.startMs,
    startMs: flight.shotMs[facts.shot.id] ?? null,
    pack: named(input.kit.packs, flight.packId),
    card: named(input.kit.cards, cards.get(flight) ?? null),
  };
};

/** What it is recorded with. */
const recordedWith = ({ facts }: DerivedShot) => {
  const { camera, mode, shot, aircraft } = facts;
  return {
    aircraft: aircraft?.name ?? '',
    camera: camera?.name ?? '',
    lensMm: camera ? Math.round(camera.equivalentMm * Math.max(1, shot.zoom)) : null,
    resolution: mode ? `${mode.widthPx}×${mode.heightPx}` : '',
    captureFps: mode?.fps ?? null,
  };
};

type Exposed = Pick<ShotLine, 'exposure' | 'filter'>;
/** What is known of a shot without its exposure, which takes the light of every minute. */
export type FootageLine = Omit<ShotLine, keyof Exposed>;

const settingOf = (choice: ExposureChoice | null): ShotLine['exposure'] =>
  choice && { aperture: choice.aperture, shutterS: choice.shutterS, iso: choice.iso };

/** Settings to dial in for each flown shot: the same plan of exposure the card in the field goes by, with the flight's filter. */
const exposures = ({ input, derived }: Handover): ReadonlyMap<string, Exposed> => {
  const along = kitOnLocation(input.kit, input.film);
  return new Map(
    [...derived.places.values()].flatMap((place) => {
      if (!place.light || !Number.isFinite(place.windowFromMs)) return [];
      const lit = locationLight(place.location, place.light, input.readings, input.film.preferences);
      return exposurePlan(place, derived.shots, along, lit).flatMap((f) =>
        f.rows.map(({ shotId, start: { choice } }): [string, Exposed] => {
          const filter = derived.shots.get(shotId)?.filter;
          return [
            shotId,
            {
              exposure: settingOf(choice),
              filter: filter ? filterNameOf(input.kit.filters, filter.filterId, filter.stops) : '',
            },
          ];
        }),
      );
    }),
  );
};

const asked = ({ facts }: DerivedShot) => ({
  title: facts.shot.title,
  location: facts.location.name,
  zone: facts.location.zone,
  date: facts.location.date,
  move: facts.move?.name ?? '',
  takes: takesOf(facts.shot),
  timelineS: secondsOf(facts.segments),
  moveS: facts.trajectory?.totalS ?? NaN,
  takeS: facts.trajectory ? facts.seconds.recordedTakeS : NaN,
  airS: facts.seconds.airS,
  energyWh: facts.energy?.totalWh ?? NaN,
  bytes: facts.bytes,
  usage: USE_WORDS[useOf(facts.shot.usage)],
});

/** Launch point of the flight a shot is in; its own, or the location's, where it is in none. Each is looked for once. */
const launches = ({ input, derived }: Handover): ((shot: DerivedShot) => Vec3) => {
  const known = new Map<string, Vec3>();
  return ({ facts, flightIndex }) => {
    const { location, shot } = facts;
    const flight = derived.places.get(location.id)?.flights[flightIndex ?? -1];
    if (flight) return flight.launch.at;
    const key = `${location.id} ${shot.launchId}`;
    const at = known.get(key) ?? launchOf(input.features, input.terrain?.get(location.id), location, shot).at;
    known.set(key, at);
    return at;
  };
};

const statusOf = ({ done, unfit }: DerivedShot): ShotStatus => (done ? 'done' : unfit ? 'unfit' : 'planned');

/** Every shot in list order. */
export const footageLines = (whole: Handover): readonly FootageLine[] => {
  const { input, derived } = whole;
  const board = new Map(boardOf(derived, input.groundShots).places.map((p) => [p.id, p]));
  const launchAt = launches(whole);
  const cards = new Map<unknown, string | null>(
    derived.budget.cards.byFlight.map((l) => [l.flight, l.cardId ?? null]),
  );
  return derived.order.flatMap((id): FootageLine[] => {
    const shot = derived.shots.get(id);
    const cut = board.get(id);
    if (!shot || !cut) return [];
    return [
      {
        shot,
        id,
        number: shot.number,
        cut: cut.cut,
        cutFromS: cut.fromS,
        ...asked(shot),
        ...flown(whole, shot, cards),
        ...recordedWith(shot),
        launch: launchAt(shot),
        status: statusOf(shot),
        flown: input.takes.filter((t) => t.shotId === id).sort((a, b) => a.utcMs - b.utcMs),
      },
    ];
  });
};

/** The same with the settings of each flown shot. */
export const shotLines = (whole: Handover): readonly ShotLine[] => {
  const settings = exposures(whole);
  return footageLines(whole).map((l) => ({
    ...l,
    ...(settings.get(l.id) ?? { exposure: null, filter: '' }),
  }));
};

/** Sorts behind every instant; a difference of two is still a number. */
const LAST = Number.MAX_SAFE_INTEGER;

/** Lines in the order they are flown; what is in no flight comes last, in list order. */
export const inFlyingOrder = (lines: readonly ShotLine[]): readonly ShotLine[] =>
  [...lines].sort((a, b) => (a.startMs ?? LAST) - (b.startMs ?? LAST) || a.number - b.number);

/** Lines in the order of the cut. */
export const inCutOrder = <L extends Pick<ShotLine, 'cut'>>(lines: readonly L[]): readonly L[] =>
  [...lines].sort((a, b) => a.cut - b.cut);

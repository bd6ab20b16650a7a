import type { ExposureChoice } from '../exposure';
import { lightJob, settingsAround, sunMinutes } from '../light-timeline';
import { filterNameOf, locationLight } from '../shot';
import { MINUTE_MS } from '../time';
import { inFlyingOrder, shotLines, type Handover, type ShotLine } from './lines';

/** A day runs late or early by so much without anybody planning anew, min. */
const AROUND_MIN = 10;

/** What to dial in for a shot at a minute. */
export interface ExposureMinute {
  readonly line: ShotLine;
  readonly utcMs: number;
  /** Light of the scene at ISO 100. */
  readonly ev100: number;
  /** null where no setting bears that light. */
  readonly choice: ExposureChoice | null;
  readonly filter: string;
  /** It is planned to be in the air at that minute. */
  readonly planned: boolean;
}

/** Settings of every planned shot minute by minute, from ten minutes before it is flown until ten after, in flying order. */
export const exposureMinutes = (whole: Handover): readonly ExposureMinute[] => {
  const { input, derived } = whole;
  const { filters } = input.kit;
  return inFlyingOrder(shotLines(whole)).flatMap((line): ExposureMinute[] => {
    const { shot, startMs } = line;
    const place = derived.places.get(shot.facts.location.id);
    const job = lightJob(shot, { filters });
    if (!place?.light || !job || startMs === null) return [];
    const lit = locationLight(place.location, place.light, input.readings, input.film.preferences);
    const endMs = startMs + line.airS * 1000;
    const around = AROUND_MIN * MINUTE_MS;
    const { minutes } = sunMinutes(lit, startMs - around, endMs + around);
    const isPlanned = (utcMs: number): boolean => utcMs + MINUTE_MS > startMs && utcMs <= endMs;
    const settings = settingsAround(
      lit,
      job,
      minutes,
      Math.max(0, minutes.findIndex(isPlanned)),
      line.exposure,
      input.film.preferences.settingRegretStops,
    );
    const on = shot.filter;
    const filter = on ? filterNameOf(filters, on.filterId, on.stops) : '';
    return settings.map((at) => ({ ...at, line, filter, planned: isPlanned(at.utcMs) }));
  });
};

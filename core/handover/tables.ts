import { lifeOf } from '../cards';
import { boardOf, type GroundPlace } from '../story';
import { clockText, dateIn } from '../time';
import { writeShutter } from '../units';
import { exposureMinutes, type ExposureMinute } from './exposure-minutes';
import { inCutOrder, inFlyingOrder, shotLines, type Handover, type ShotLine } from './lines';

/** What stands in a cell; null for what is not known. */
export type TableCell = string | number | null;

/** A table that leaves the application. Figures are in SI or in the unit their heading names. */
export interface HandoverTable {
  readonly id: string;
  readonly name: string;
  readonly heads: readonly string[];
  readonly rows: (whole: Handover) => readonly (readonly TableCell[])[];
}

interface Column<T> {
  readonly head: string;
  readonly cell: (row: T, whole: Handover) => TableCell;
}

const rounded = (value: number, digits: number): number | null =>
  Number.isFinite(value) ? Number(value.toFixed(digits)) : null;
const clock = (ms: number | null, zone: string): string => (ms === null ? '' : clockText(ms, zone));

const STATUS = { done: 'done', planned: 'planned', unfit: 'does not fit' } as const;

const SHOT: readonly Column<ShotLine>[] = [
  { head: 'Shot', cell: (l) => l.number },
  { head: 'Place in the cut', cell: (l) => l.cut },
  { head: 'Title', cell: (l) => l.title },
  { head: 'Location', cell: (l) => l.location },
  { head: 'Date', cell: (l) => l.date },
  { head: 'Flight', cell: (l) => l.flight },
  { head: 'Take-off', cell: (l) => clock(l.takeOffMs, l.zone) },
  { head: 'Begins', cell: (l) => clock(l.startMs, l.zone) },
  { head: 'Move', cell: (l) => l.move },
  { head: 'Role', cell: (l) => l.shot.facts.shot.role },
  { head: 'Priority', cell: (l) => l.shot.facts.shot.priority },
  { head: 'Light wanted', cell: (l) => l.shot.facts.shot.wants },
  { head: 'Takes', cell: (l) => l.takes },
  { head: 'Seconds in the cut', cell: (l) => rounded(l.timelineS, 2) },
  { head: 'Seconds a take', cell: (l) => rounded(l.takeS, 1) },
  { head: 'Seconds in the air', cell: (l) => rounded(l.airS, 1) },
  { head: 'Energy Wh', cell: (l) => rounded(l.energyWh, 2) },
  { head: 'Recorded GB', cell: (l) => rounded(l.bytes / 1e9, 3) },
  { head: 'Aircraft', cell: (l) => l.aircraft },
  { head: 'Pack', cell: (l) => l.pack },
  { head: 'Card', cell: (l) => l.card },
  { head: 'Lens mm', cell: (l) => l.lensMm },
  { head: 'Resolution', cell: (l) => l.resolution },
  { head: 'Capture fps', cell: (l) => l.captureFps },
  { head: 'Aperture', cell: (l) => (l.exposure ? `f/${l.exposure.aperture}` : '') },
  { head: 'Shutter', cell: (l) => (l.exposure ? writeShutter(l.exposure.shutterS) : '') },
  { head: 'ISO', cell: (l) => l.exposure?.iso ?? null },
  { head: 'Filter', cell: (l) => l.filter },
  { head: 'Usage', cell: (l) => l.usage },
  { head: 'Clips', cell: (l) => l.flown.flatMap((t) => t.clip || []).join(' ') },
  { head: 'Status', cell: (l) => STATUS[l.status] },
  { head: 'Notes', cell: (l) => l.shot.facts.shot.notes },
];

const table = <T>(
  id: string,
  name: string,
  columns: readonly Column<T>[],
  rowsOf: (whole: Handover) => readonly T[],
): HandoverTable => ({
  id,
  name,
  heads: columns.map((c) => c.head),
  rows: (whole) => rowsOf(whole).map((row) => columns.map((c) => c.cell(row, whole))),
});

type TakeRow = Handover['input']['takes'][number];
const takeTime = (t: TakeRow, { input }: Handover): { date: string; clock: string } => {
  const zone = input.locations.find((l) => l.id === t.locationId)?.zone ?? 'UTC';
  return { date: dateIn(t.utcMs, zone), clock: clockText(t.utcMs, zone) };
};
const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((x) => x.id === id)?.name ?? '';

const TAKE: readonly Column<TakeRow>[] = [
  { head: 'Date', cell: (t, w) => takeTime(t, w).date },
  { head: 'Time', cell: (t, w) => takeTime(t, w).clock },
  { head: 'Shot', cell: (t, w) => w.derived.shots.get(t.shotId)?.number ?? null },
  { head: 'Title', cell: (t, w) => w.derived.shots.get(t.shotId)?.facts.shot.title ?? '' },
  { head: 'Rating', cell: (t) => t.rating },
  { head: 'Reason', cell: (t) => t.reason ?? '' },
  { head: 'Reversed', cell: (t) => (t.reversed ? 'yes' : 'no') },
  { head: 'Pack', cell: (t, w) => nameIn(w.input.kit.packs, t.packId) },
  { head: 'Card', cell: (t, w) => nameIn(w.input.kit.cards, t.cardId) },
  { head: 'Clip', cell: (t) => t.clip },
  { head: 'Notes', cell: (t) => t.notes },
];

interface FlightRow {
  readonly place: NonNullable<ReturnType<Handover['derived']['places']['get']>>;
  readonly index: number;
}
const flightOf = ({ place, index }: FlightRow) => {
  const flight = place.flights[index];
  if (!flight) throw new Error('a row without its flight');
  return flight;
};
const FLIGHT: readonly Column<FlightRow>[] = [
  { head: 'Date', cell: (r) => r.place.location.date },
  { head: 'Location', cell: (r) => r.place.location.name },
  { head: 'Flight', cell: (r) => r.index + 1 },
  { head: 'Take-off', cell: (r) => clock(flightOf(r).startMs, r.place.location.zone) },
  { head: 'Landing', cell: (r) => clock(flightOf(r).endMs, r.place.location.zone) },
  { head: 'Minutes', cell: (r) => rounded(flightOf(r).seconds / 60, 1) },
  { head: 'Energy Wh', cell: (r) => rounded(flightOf(r).usedWh, 2) },
  { head: 'Aircraft', cell: (r, w) => nameIn(w.input.kit.aircraft, flightOf(r).aircraftId) },
  { head: 'Pack', cell: (r, w) => nameIn(w.input.kit.packs, flightOf(r).packId) },
  {
    head: 'Card',
    cell: (r, w) =>
      nameIn(
        w.input.kit.cards,
        w.derived.budget.cards.byFlight.find((l) => l.flight === flightOf(r))?.cardId ?? null,
      ),
  },
  {
    head: 'Shots',
    cell: (r, w) =>
      flightOf(r)
        .stops.map((s) => w.derived.shots.get(s.shotId)?.number ?? '')
        .join(' '),
  },
];

const MINUTE: readonly Column<ExposureMinute>[] = [
  { head: 'Date', cell: (m) => m.line.date },
  { head: 'Location', cell: (m) => m.line.location },
  { head: 'Time', cell: (m) => clock(m.utcMs, m.line.zone) },
  { head: 'Shot', cell: (m) => m.line.number },
  { head: 'Title', cell: (m) => m.line.title },
  { head: 'Planned', cell: (m) => (m.planned ? 'yes' : 'no') },
  { head: 'EV', cell: (m) => rounded(m.ev100, 1) },
  { head: 'Aperture', cell: (m) => (m.choice ? `f/${m.choice.aperture}` : '') },
  { head: 'Shutter', cell: (m) => (m.choice ? writeShutter(m.choice.shutterS) : '') },
  { head: 'ISO', cell: (m) => m.choice?.iso ?? null },
  { head: 'Filter', cell: (m) => m.filter },
];

interface StockRow {
  readonly line: ShotLine;
  /** Its take with a clip; null for what is planned. */
  readonly take: TakeRow | null;
}
/** Words people search for: what moves, where, in which light, how. */
const keywordsOf = ({ line }: StockRow, { input }: Handover): string => {
  const { shot, subject } = line.shot.facts;
  const light = shot.wants === 'any' ? '' : shot.wants.replaceAll('-', ' ');
  const words = [subject?.name ?? '', line.location, line.move, light, 'aerial', input.film.name];
  return [...new Set(words.map((w) => w.trim().toLowerCase()).filter(Boolean))].join(', ');
};
const releasesOf = ({ line }: StockRow): string => {
  const { people, property } = line.shot.facts.shot.usage;
  const wanted = [people === 'release-wanted' ? 'people' : '', property === 'single' ? 'property' : ''];
  return wanted.filter(Boolean).join(', ');
};
const STOCK: readonly Column<StockRow>[] = [
  { head: 'Clip', cell: (r) => r.take?.clip ?? '' },
  { head: 'Title', cell: (r) => r.line.title },
  {
    head: 'Description',
    cell: (r) =>
      [r.line.title, r.line.move, r.line.location, r.line.shot.facts.shot.notes].filter(Boolean).join('. '),
  },
  { head: 'Keywords', cell: keywordsOf },
  { head: 'Use', cell: (r) => r.line.usage },
  { head: 'Release wanted of', cell: releasesOf },
  { head: 'Location', cell: (r) => r.line.location },
  { head: 'Date', cell: (r, w) => (r.take ? takeTime(r.take, w).date : r.line.date) },
  { head: 'Seconds', cell: (r) => rounded(r.line.takeS, 1) },
  { head: 'Resolution', cell: (r) => r.line.resolution },
  { head: 'Frames per second', cell: (r) => r.line.captureFps },
  { head: 'Status', cell: (r) => (r.take ? r.take.rating : 'planned') },
];
/** Every good or possible take by itself; a shot without one as it is planned. */
const stockRows = (whole: Handover): readonly StockRow[] =>
  inCutOrder(shotLines(whole)).flatMap((line): StockRow[] => {
    const takes = line.flown.filter((t) => t.rating !== 'no-good');
    return takes.length > 0 ? takes.map((take) => ({ line, take })) : [{ line, take: null }];
  });

const GROUND: readonly Column<GroundPlace>[] = [
  { head: 'Place in the cut', cell: (p) => p.cut },
  { head: 'Title', cell: (p) => p.title },
  { head: 'Location', cell: (p, w) => nameIn(w.input.locations, p.ground.locationId) },
  { head: 'Role', cell: (p) => p.role },
  { head: 'Seconds in the cut', cell: (p) => rounded(p.timelineS, 2) },
  { head: 'Filmed by', cell: (p) => p.ground.filmedBy },
  { head: 'Status', cell: (p) => (p.ground.done ? 'done' : 'planned') },
  { head: 'Notes', cell: (p) => p.ground.notes },
];
const groundPlaces = ({ input, derived }: Handover): readonly GroundPlace[] =>
  boardOf(derived, input.groundShots).places.filter((p) => p.ground !== null);

type PackRow = Handover['input']['kit']['packs'][number];
const PACK: readonly Column<PackRow>[] = [
  { head: 'Pack', cell: (p) => p.name },
  { head: 'Aircraft', cell: (p, w) => p.aircraftIds.map((id) => nameIn(w.input.kit.aircraft, id)).join(' ') },
  { head: 'Rated Wh', cell: (p) => rounded(p.ratedWh, 1) },
  { head: 'Health %', cell: (p) => rounded(p.health * 100, 0) },
  { head: 'Cycles', cell: (p) => p.cycles },
  { head: 'Retired', cell: (p) => (p.retired ? 'yes' : 'no') },
];

type CardRow = Handover['input']['kit']['cards'][number];
const CARD: readonly Column<CardRow>[] = [
  { head: 'Card', cell: (c) => c.name },
  { head: 'Size GB', cell: (c) => rounded(c.nominalGB, 1) },
  { head: 'On it GB', cell: (c, w) => rounded(lifeOf(c, w.input.kit.cardMoves).usedGB, 2) },
  { head: 'Copies', cell: (c, w) => lifeOf(c, w.input.kit.cardMoves).copies },
  { head: 'Retired', cell: (c) => (c.retired ? 'yes' : 'no') },
];

/** Every table there is. A new one is one entry here. */
export const HANDOVER_TABLES: readonly HandoverTable[] = [
  table('shots-flying', 'Shots in flying order', SHOT, (w) => inFlyingOrder(shotLines(w))),
  table('shots-cut', 'Shots in cut order', SHOT, (w) => inCutOrder(shotLines(w))),
  table('ground-shots', 'Ground shots', GROUND, groundPlaces),
  table('takes', 'Takes', TAKE, (w) => [...w.input.takes].sort((a, b) => a.utcMs - b.utcMs)),
  table('stock', 'Stock set', STOCK, stockRows),
  table('flights', 'Flights', FLIGHT, (w) =>
    [...w.derived.places.values()].flatMap((place) => place.flights.map((_, index) => ({ place, index }))),
  ),
  table('exposure-minutes', 'Exposure by minute', MINUTE, exposureMinutes),
  table('packs', 'Battery packs', PACK, (w) => w.input.kit.packs),
  table('cards', 'Cards', CARD, (w) => w.input.kit.cards),
];

import type { Handover } from '@core/handover';
import { kitOnLocation } from '@core/day';
import { exposurePlan, type FlightExposure, type SettingAt } from '@core/light-timeline';
import { filterNameOf, locationLight } from '@core/shot';
import { clockText, dayText } from '@core/time';
import { writeShutter } from '@core/units';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { document, own } from './pdf';
import type { Paper } from './names';

const settingText = ({ choice }: SettingAt): string =>
  choice
    ? `f/${Math.round(choice.aperture * 10) / 10}  ${writeShutter(choice.shutterS)}  ISO ${choice.iso}`
    : 'no setting';

/** Stops over the time of a shot, with their sign; nothing under a tenth. */
const driftText = (stops: number): string =>
  Math.abs(stops) < 0.1 ? '' : `${stops > 0 ? '+' : '−'}${Math.abs(stops).toFixed(1)}`;

const flightOf = (whole: Handover, flight: FlightExposure, zone: string): Content[] => {
  const { input, derived } = whole;
  const filter = (n: number): string => {
    const part = flight.parts[n];
    return part ? filterNameOf(input.kit.filters, part.filterId, part.stops) : '';
  };
  const pack = input.kit.packs.find((p) => p.id === flight.flight.packId)?.name ?? '–';
  return [
    {
      text: [
        { text: `Flight ${flight.index + 1}`, bold: true },
        `   take-off ${clockText(flight.flight.startMs, zone)}, pack `,
        own(pack),
        `, filter ${filter(0)}`,
      ],
      margin: [0, 8, 0, 2],
    },
    {
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [30, '*', 110, 110, 26, 78],
        body: [
          ['Time', 'Shot', 'At the start', 'At the end', 'EV', 'Filter'].map((text) => ({
            text,
            style: 'head',
          })),
          ...flight.rows.map((r): Content[] => {
            const shot = derived.shots.get(r.shotId);
            const [start, end] = [settingText(r.start), settingText(r.end)];
            return [
              clockText(r.start.utcMs, zone),
              own(`${shot?.number ?? ''} ${shot?.facts.shot.title || 'untitled'}`),
              start,
              end === start ? '=' : end,
              driftText(r.end.ev100 - r.start.ev100),
              `${r.lands ? 'Land and change: ' : ''}${filter(r.part)}${r.holds ? '' : ' (does not hold)'}`,
            ];
          }),
        ],
      },
      layout: 'lightHorizontalLines',
    },
  ];
};

/** What to dial in for each shot in the order of flying: settings at its start and its end, filters, and when to land for another one. */
export const exposureSheet = (whole: Handover, paper: Paper): TDocumentDefinitions => {
  const { input, derived } = whole;
  const kit = kitOnLocation(input.kit, input.film);
  const places = [...derived.places.values()].filter((p) => p.light && Number.isFinite(p.windowFromMs));
  const content = places.flatMap((place): Content[] => {
    if (!place.light) return [];
    const lit = locationLight(place.location, place.light, input.readings, input.film.preferences);
    const flights = exposurePlan(place, derived.shots, kit, lit);
    return [
      own(place.location.name, 'heading'),
      {
        text: `${dayText(place.location.date)}, ${place.location.mainsHz} Hz mains. “=” stands where nothing changes.`,
        style: 'quiet',
      },
      ...(flights.length === 0
        ? [{ text: 'No flight is planned here.', style: 'quiet' }]
        : flights.flatMap((f) => flightOf(whole, f, place.location.zone))),
    ];
  });
  return document(whole.input.film.name, 'Exposure and filters', paper, [
    ...content,
    {
      text: 'A forecast of light. Check the histogram before the first take.',
      style: 'quiet',
      margin: [0, 12, 0, 0],
    },
  ]);
};

import type { ErrorObject } from 'ajv';

/** Words for fields whose own name would not be understood. */
const LABELS: Readonly<Record<string, string>> = {
  latitude: 'Latitude',
  longitude: 'Longitude',
  zone: 'Time zone',
  date: 'Date',
  windowStart: 'Window start',
  windowEnd: 'Window end',
  windMs: 'Wind',
  gustMs: 'Gusts',
  windFromDeg: 'Wind direction',
  temperatureC: 'Temperature',
  visibilityM: 'Visibility',
  elevationM: 'Elevation',
  ceilingM: 'Ceiling',
  returnHeightM: 'Return height',
  heightM: 'Height',
  widthM: 'Width',
  xM: 'Place east',
  yM: 'Place north',
  baseM: 'Foot',
  usedGB: 'Used',
  nominalGB: 'Size',
  writeMBs: 'Write speed',
  massKg: 'Mass',
  rotorDiameterM: 'Rotor diameter',
  packWh: 'Pack energy',
  ratedWh: 'Rated energy',
  hoverMinutes: 'Hover minutes',
  cruiseMinutes: 'Cruise minutes',
  maxSpeedMs: 'Top speed',
  windLimitMs: 'Wind limit',
  radiusM: 'Radius',
  speedMs: 'Speed',
  timelineFps: 'Timeline rate',
  tempoBpm: 'Tempo',
  cutLengthS: 'Cut length',
  factor: 'Filter factor',
  isoBase: 'Base ISO',
  isoCeiling: 'ISO ceiling',
  equivalentMm: 'Equivalent focal length',
  megabitsPerS: 'Bit rate',
  timelineS: 'Timeline seconds',
  speedFactor: 'Speed factor',
  setupS: 'Set-up',
  lengthM: 'Length',
  startM: 'Start',
  endM: 'End',
  distanceM: 'Distance',
  ev100: 'EV',
};

const plain = (field: string): string =>
  LABELS[field] ??
  (field.charAt(0).toUpperCase() + field.slice(1))
    .replace(/(Ms2|DegS|Deg|Ms|M|S)$/, '')
    .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

const limitText = (params: Record<string, unknown>): string => String(params['limit']);

const SAY: Readonly<Record<string, (label: string, params: Record<string, unknown>) => string>> = {
  minimum: (l, p) => `${l} must be ${limitText(p)} or more.`,
  maximum: (l, p) => `${l} must be ${limitText(p)} or less.`,
  exclusiveMinimum: (l, p) => `${l} must be more than ${limitText(p)}.`,
  exclusiveMaximum: (l, p) => `${l} must be less than ${limitText(p)}.`,
  minLength: (l) => `${l} must not be empty.`,
  maxLength: (l, p) => `${l} is too long: at most ${limitText(p)} characters.`,
  minItems: (l, p) => `${l} needs at least ${limitText(p)}.`,
  maxItems: (l, p) => `${l} may have at most ${limitText(p)}.`,
  type: (l, p) => `${l} must be a ${String(p['type'])}.`,
  enum: (l) => `${l} is none of the choices.`,
  const: (l, p) => `${l} must be ${String(p['allowedValue'])}.`,
  pattern: (l) => `${l} is not written as expected.`,
  required: (_, p) => `${plain(String(p['missingProperty']))} is missing.`,
  additionalProperties: (_, p) => `“${String(p['additionalProperty'])}” is not a field known here.`,
};

/** Keywords that only repeat what a deeper error says. */
const NOISE = new Set(['if', 'allOf', 'anyOf']);

/** Turns validation errors into sentences with the field they are about. */
export const sayFaults = (
  errors: readonly ErrorObject[] | null | undefined,
): { path: string; say: string }[] => {
  const list = errors ?? [];
  const kept = list.filter((e) => !NOISE.has(e.keyword));
  return (kept.length > 0 ? kept : list).map((error) => {
    const field =
      error.instancePath
        .split('/')
        .filter((part) => part !== '' && !/^\d+$/.test(part))
        .at(-1) ?? '';
    const label = field === '' ? 'This' : plain(field);
    return {
      path: error.instancePath,
      say: SAY[error.keyword]?.(label, error.params) ?? `${label} ${error.message ?? 'is not valid'}.`,
    };
  });
};

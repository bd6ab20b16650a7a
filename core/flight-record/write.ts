import XMLBuilder from 'fast-xml-builder';
import type { RecordRow } from '../model';
import type { FlightRecord } from './record';

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** A record as lines of a table, as the published schema `flight-record` says: places to a centimetre, heights to a decimetre. */
export const recordRows = ({ points }: FlightRecord): readonly RecordRow[] =>
  points.map((p) => ({
    time: new Date(p.utcMs).toISOString(),
    latitude: rounded(p.latitude, 7),
    longitude: rounded(p.longitude, 7),
    heightM: p.heightM === null ? null : rounded(p.heightM, 1),
    chargePercent: p.share === null ? null : rounded(100 * p.share, 1),
  }));

/**
 * A record as a track of GPX 1.1.
 * @param elevationM of the place of take-off above sea level: a track tells heights above it
 */
export const recordGpx = ({ points }: FlightRecord, name: string, elevationM: number): string =>
  new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true }).build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Dusk Slate',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      trk: {
        name,
        trkseg: {
          trkpt: points.map((p) => ({
            '@lat': p.latitude.toFixed(7),
            '@lon': p.longitude.toFixed(7),
            ...(p.heightM === null ? {} : { ele: rounded(elevationM + p.heightM, 1) }),
            time: new Date(p.utcMs).toISOString(),
          })),
        },
      },
    },
  });

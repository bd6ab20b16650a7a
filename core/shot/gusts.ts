import { SHEAR, windSpeedAt } from '../air';
import type { Aircraft, Film, Location } from '../model';

/** Gusts at a height against what an aircraft is rated for. */
export interface GustFacts {
  readonly gustMs: number;
  readonly heightM: number;
  /** Share of the rated wind. */
  readonly share: number;
  readonly weight: 'none' | 'care' | 'stop';
}

/** How gusts at a height above ground weigh on an aircraft. */
export const gustsOn = (
  aircraft: Pick<Aircraft, 'windLimitMs'>,
  location: Pick<Location, 'gustMs' | 'windMs' | 'terrain'>,
  heightM: number,
  { gustCareShare, gustStopShare }: Pick<Film['preferences'], 'gustCareShare' | 'gustStopShare'>,
): GustFacts => {
  const gustMs = windSpeedAt(Math.max(location.gustMs, location.windMs), heightM, SHEAR[location.terrain]);
  const share = gustMs / aircraft.windLimitMs;
  return {
    gustMs,
    heightM,
    share,
    weight: share > gustStopShare ? 'stop' : share > gustCareShare ? 'care' : 'none',
  };
};

import type { UnitSystem } from '@core/units';
import { tokenColour } from '../design/token-colour';

/** Colours of the plan from the theme in force, so that the map wears the same as everything else. */
export interface Inks {
  readonly bench: string;
  readonly slab: string;
  readonly slab2: string;
  readonly slab3: string;
  readonly line: string;
  readonly chalk: string;
  readonly chalk2: string;
  readonly chalk3: string;
  readonly pick: string;
  readonly stop: string;
  readonly care: string;
  readonly note: string;
  readonly hatch: string;
  readonly verdigris: string;
  readonly noon: boolean;
  readonly font: string;
}

/** How the plan is drawn: its colours, and the units its heights are written in. */
export interface MapLook extends Inks {
  readonly units: UnitSystem;
}

export const inksNow = (): Inks => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => tokenColour(`--${name}`);
  return {
    bench: of('bench'),
    slab: of('slab'),
    slab2: of('slab-2'),
    slab3: of('slab-3'),
    line: of('line'),
    chalk: of('chalk'),
    chalk2: of('chalk-2'),
    chalk3: of('chalk-3'),
    pick: of('pick'),
    stop: of('stop'),
    care: of('care'),
    note: of('note'),
    hatch: of('hatch'),
    verdigris: of('verdigris'),
    noon: document.documentElement.dataset['theme'] === 'noon',
    font: style.getPropertyValue('--font').trim() || 'sans-serif',
  };
};

/** A colour with an opacity. */
export const thin = (colour: string, opacity: number): string => {
  const hex = /^#([0-9a-f]{6})$/i.exec(colour)?.[1];
  if (!hex) return colour;
  const n = parseInt(hex, 16);
  return `rgba(${n >> 16}, ${(n >> 8) & 255}, ${n & 255}, ${opacity})`;
};

import { describe, expect, it } from 'vitest';
import { solveExposure, type ExposureTask } from '../exposure';
import { simpleTask } from '../exposure/fixtures';
import type { ShotContext } from './context';
import { exposureOff } from './light';

const task = (more: Partial<ExposureTask>): ExposureTask =>
  simpleTask({ isoCeiling: 100, fixed: { shutterS: 1 / 50 }, ...more });
const said = (t: ExposureTask) =>
  exposureOff({
    facts: { shot: { id: 's' } },
    light: { exposure: solveExposure(t) },
  } as unknown as ShotContext);

describe('a finding about exposure', () => {
  // f/4, 1/50 at ISO 100 are for a scene of log2(16 · 50).
  it.each([
    [-0.2, -1, 0.8, 'over'],
    [0.2, 1, 0.8, 'under'],
    [2, 0, 2, 'over'],
    [-2, -1, 1, 'under'],
  ])('a setting %d stops from the middle where %d is wanted is %d %s', (off, biasStops, stops, side) => {
    const finding = said(task({ sceneEv100: Math.log2(800) + off, biasStops }));
    expect(finding?.code).toBe(`exposure.${side}`);
    expect(finding?.say.values).toEqual({
      errorStops: { quantity: 'stops', value: expect.closeTo(stops, 9), digits: 1 },
      isErrorStops: side === 'over' ? 'yes' : 'no',
    });
  });
  it('nothing is said of what comes out as wanted', () => {
    expect(said(task({ sceneEv100: Math.log2(800) - 1, biasStops: -1 }))).toBeNull();
  });
});

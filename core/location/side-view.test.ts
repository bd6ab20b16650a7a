import { describe, expect, it } from 'vitest';
import { vec } from '../geometry';
import { homeWay } from './side-view';

describe('the way home of a lost signal', () => {
  it('goes up to the return height above the launch point, across, and down', () => {
    expect(homeWay(vec(50, 0, 12), vec(0, 0, 7), 40)).toEqual([
      vec(50, 0, 12),
      vec(50, 0, 47),
      vec(0, 0, 47),
      vec(0, 0, 7),
    ]);
  });
  it('stays as high as it is where that is more', () => {
    expect(homeWay(vec(50, 0, 90), vec(0, 0, 7), 40).map((p) => p.z)).toEqual([90, 90, 90, 7]);
  });
});

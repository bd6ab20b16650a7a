import { demoFilm } from '../../demo';

/** The demo film's shots over and over until there are `count` of them, each with an id of its own. */
export const manyShots = (count: number) => {
  const { shots } = demoFilm();
  return Array.from({ length: count }, (_, i) => {
    const like = shots[i % shots.length];
    if (!like) throw new Error('no shots');
    return {
      ...like,
      id: `e0000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      position: `a${String(i).padStart(4, '0')}x`,
    };
  });
};

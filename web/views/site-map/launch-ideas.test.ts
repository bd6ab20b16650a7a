import type { LaunchIdea } from '@core/location';
import { describe, expect, it } from 'vitest';
import { ref } from 'vue';
import { useLaunchIdeas, type Around } from './useLaunchIdeas';

const idea = (xM: number): LaunchIdea => ({ xM, yM: 2.04 }) as LaunchIdea;

/** Ideas of a plan whose searches are answered, or fail, when the test says so. */
const planned = () => {
  const asked: { place: string; around: Around | undefined; give: (found: LaunchIdea[] | Error) => void }[] =
    [];
  const added: unknown[][] = [];
  const plan = { placeId: ref('A'), said: ref(''), add: (...what: unknown[]) => void added.push(what) };
  const search = (place: string, around?: Around): Promise<LaunchIdea[]> =>
    new Promise((resolve, reject) => {
      asked.push({ place, around, give: (found) => (Array.isArray(found) ? resolve(found) : reject(found)) });
    });
  const ideas = useLaunchIdeas(plan as never, () => ({ x: 5, y: 6 }), search);
  return { plan, asked, added, ideas, shown: () => ideas.ideas.value.map((i) => i.xM) };
};

describe('ideas of where to launch from', () => {
  it('are searched over the whole location, or about the launch point; one of them is taken, to ten centimetres', async () => {
    const { plan, asked, added, ideas, shown } = planned();
    const near = ideas.suggest(true);
    expect([ideas.thinking.value, asked[0]!.place, asked[0]!.around]).toEqual([
      true,
      'A',
      { x: 5, y: 6, halfM: 80 },
    ]);
    asked[0]!.give([idea(1), idea(3.14159)]);
    await near;
    expect([ideas.thinking.value, shown(), plan.said.value]).toEqual([false, [1, 3.14159], '']);
    ideas.take(7);
    expect(added).toEqual([]);
    ideas.take(1);
    expect(added).toEqual([['stand', 'point', [{ xM: 3.1, yM: 2 }]]]);
    expect(shown()).toEqual([]);
    const none = ideas.suggest(false);
    expect(asked[1]!.around).toBeUndefined();
    asked[1]!.give([]);
    await none;
    expect(ideas.kind.value).toBe('launch');
    expect(plan.said.value).toMatch(/^No launch point found/);
  });
  it('of a location that was left, or asked for before, are not shown; a search that fails claims nothing', async () => {
    const { plan, asked, ideas, shown } = planned();
    const left = ideas.suggest(false);
    plan.placeId.value = 'B';
    expect(ideas.thinking.value).toBe(false);
    asked[0]!.give([idea(1)]);
    await left;
    expect(shown()).toEqual([]);
    const [first, second] = [ideas.suggest(false), ideas.suggest(false)];
    asked[2]!.give([idea(2)]);
    await second;
    asked[1]!.give([]);
    await first;
    expect([shown(), ideas.thinking.value, plan.said.value]).toEqual([[2], false, '']);
    const broken = ideas.suggest(false);
    asked[3]!.give(new Error('gone'));
    await expect(broken).rejects.toThrow('gone');
    expect([ideas.thinking.value, shown(), plan.said.value]).toEqual([false, [], '']);
  });
});

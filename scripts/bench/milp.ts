import loadHighs from 'highs';
import type { PlanProblem, Way } from '../../core/scheduler/types';

/** A flight found by trying every order and direction: what it costs, and when it may be launched. */
interface Column {
  readonly set: number;
  readonly seconds: number;
  readonly wattHours: number;
  readonly from: number;
  readonly to: number;
  readonly weight: number;
}

/** Every flight any pack could fly, by depth first; of those with the same shots only such as nothing beats in all respects. */
const columnsOf = (p: PlanProblem): Column[] => {
  const bySet = new Map<number, Column[]>();
  const most = Math.max(0, ...p.packs.map((k) => k.usableWh));
  const go = (
    set: number,
    here: Way | null,
    seconds: number,
    wattHours: number,
    from: number,
    to: number,
    settings: readonly string[],
    weight: number,
  ): void => {
    if (here) {
      const home = p.home(here.to);
      const made = {
        set,
        seconds: seconds + home.seconds + p.landing.seconds,
        wattHours: wattHours + home.wattHours + p.landing.wattHours,
        from,
        to,
        weight,
      };
      if (made.wattHours <= most) {
        const list = bySet.get(set) ?? [];
        if (
          !list.some(
            (c) =>
              c.seconds <= made.seconds &&
              c.wattHours <= made.wattHours &&
              c.from <= made.from &&
              c.to >= made.to,
          )
        )
          bySet.set(set, [
            ...list.filter(
              (c) =>
                !(
                  made.seconds <= c.seconds &&
                  made.wattHours <= c.wattHours &&
                  made.from <= c.from &&
                  made.to >= c.to
                ),
            ),
            made,
          ]);
      }
    }
    p.shots.forEach((s, i) => {
      const both = settings.filter((x) => s.settings.includes(x));
      if (set & (1 << i) || both.length === 0) return;
      for (const way of s.ways) {
        const leg = p.leg(here?.to ?? null, way.from);
        const start = seconds + leg.seconds;
        const end = start + s.performS;
        const wh = wattHours + leg.wattHours + s.performWh;
        const [a, b] = [Math.max(from, s.earliestS - start), Math.min(to, s.latestS - end)];
        if (wh <= most && a <= b) go(set | (1 << i), way, end, wh, a, b, both, weight + s.weight);
      }
    });
  };
  go(
    0,
    null,
    p.takeoff.seconds,
    p.takeoff.wattHours,
    0,
    BIG,
    [...new Set(p.shots.flatMap((s) => s.settings))],
    0,
  );
  return [...bySet.values()].flat();
};

type Objective = 'weight' | 'flights' | 'airborne';
/** No launch is later than this: the latest shot must end by 4,500 s, and three flights follow. */
const BIG = 6000;
const sum = (terms: readonly (readonly [number, string])[]): string =>
  terms
    .filter(([c]) => Math.abs(c) > 1e-12)
    .map(([c, name]) => `${c < 0 ? '-' : '+'} ${Math.abs(c)} ${name}`)
    .join(' ') || '0 z';

/** The day as a mixed-integer program: which flight is flown as which, on which pack, launched when. */
const modelOf = (
  p: PlanProblem,
  columns: readonly Column[],
  aim: Objective,
  least: { weight?: number; flights?: number },
): string => {
  const turns = p.packs.map((_, f) => f);
  const y = (c: number, f: number): string => `y${c}_${f}`;
  const all = turns.flatMap((f) => columns.map((c, i) => ({ c, f, name: y(i, f) })));
  const flown = (f: number): [number, string][] => columns.map((_, i) => [1, y(i, f)]);
  const rows = [
    ...p.shots.map(
      (_, s) => `${sum(all.filter(({ c }) => c.set & (1 << s)).map(({ name }) => [1, name]))} <= 1`,
    ),
    ...turns.flatMap((f) => [
      `${sum(flown(f))} <= 1`,
      `${sum([...columns.map((c, i): [number, string] => [c.wattHours, y(i, f)]), ...p.packs.map((k, n): [number, string] => [-k.usableWh, `p${f}_${n}`])])} <= 0`,
      `${sum(p.packs.map((_, n) => [1, `p${f}_${n}`]))} <= 1`,
      `${sum([[1, `l${f}`], ...columns.map((c, i): [number, string] => [-c.from, y(i, f)])])} >= 0`,
      `${sum([[1, `l${f}`], ...columns.map((c, i): [number, string] => [BIG - c.to, y(i, f)])])} <= ${BIG}`,
      ...(f > 0
        ? [
            `${sum([...flown(f), ...flown(f - 1).map(([c, n]): [number, string] => [-c, n])])} <= 0`,
            `${sum([[1, `l${f}`], [-1, `l${f - 1}`], ...columns.map((c, i): [number, string] => [-c.seconds, y(i, f - 1)]), ...flown(f).map(([, n]): [number, string] => [-BIG, n])])} >= ${p.swapS - BIG}`,
          ]
        : []),
    ]),
    ...p.packs.map((_, n) => `${sum(turns.map((f) => [1, `p${f}_${n}`]))} <= 1`),
    ...(least.weight === undefined
      ? []
      : [`${sum(all.map(({ c, name }) => [c.weight, name]))} >= ${least.weight - 0.5}`]),
    ...(least.flights === undefined
      ? []
      : [`${sum(all.map(({ name }) => [1, name]))} <= ${least.flights + 0.5}`]),
  ];
  const goal = all.map(({ c, name }): [number, string] => [
    aim === 'weight' ? c.weight : aim === 'flights' ? 1 : c.seconds,
    name,
  ]);
  const binaries = [
    ...all.map(({ name }) => name),
    ...turns.flatMap((f) => p.packs.map((_, n) => `p${f}_${n}`)),
  ];
  return `${aim === 'weight' ? 'Maximize' : 'Minimize'}\n obj: ${sum(goal)}\nSubject To\n${rows.map((r, i) => ` r${i}: ${r}`).join('\n')}\nBounds\n${turns.map((f) => ` 0 <= l${f} <= ${BIG}`).join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`;
};

/** Optimum by an independent exact method: every flight by trial, the day by a mixed-integer solver, aim after aim. */
export const milp = async (): Promise<
  (p: PlanProblem) => { weight: number; flights: number; airborneS: number }
> => {
  const highs = await loadHighs();
  return (p) => {
    const columns = columnsOf(p);
    if (columns.length === 0) return { weight: 0, flights: 0, airborneS: 0 };
    const solve = (aim: Objective, least: { weight?: number; flights?: number }): number => {
      const answer = highs.solve(modelOf(p, columns, aim, least), {
        mip_rel_gap: 0,
        mip_abs_gap: 1e-6,
        output_flag: false,
      } as never) as { Status: string; ObjectiveValue: number };
      if (answer.Status !== 'Optimal') throw new Error(`the solver says ${answer.Status}`);
      return answer.ObjectiveValue;
    };
    const weight = Math.round(solve('weight', {}));
    const flights = Math.round(solve('flights', { weight }));
    return { weight, flights, airborneS: solve('airborne', { weight, flights }) };
  };
};

/** Optimum by trying rows of such flights on packs, left off only where what is missing could not make up for it any more (branch and bound). */
export const byTrial = (p: PlanProblem): { weight: number; flights: number; airborneS: number } => {
  const columns = columnsOf(p).sort((a, b) => b.weight - a.weight || a.seconds - b.seconds);
  const restOf = (set: number): number =>
    p.shots.reduce((sum, s, i) => (set & (1 << i) ? sum : sum + s.weight), 0);
  let best = { weight: 0, flights: 0, airborneS: 0 };
  const go = (
    set: number,
    used: number,
    ready: number,
    weight: number,
    flights: number,
    airborneS: number,
  ): void => {
    if (
      weight > best.weight ||
      (weight === best.weight &&
        (flights < best.flights || (flights === best.flights && airborneS < best.airborneS)))
    )
      best = { weight, flights, airborneS };
    const most = weight + restOf(set);
    if (
      most < best.weight ||
      flights === p.packs.length ||
      (most === best.weight &&
        (flights + 1 > best.flights || (flights + 1 === best.flights && airborneS >= best.airborneS)))
    )
      return;
    for (const c of columns) {
      if (c.set & set) continue;
      const launch = Math.max(ready, c.from);
      if (launch > c.to + 1e-9) continue;
      p.packs.forEach((pack, k) => {
        if (!(used & (1 << k)) && c.wattHours <= pack.usableWh + 1e-9)
          go(
            set | c.set,
            used | (1 << k),
            launch + c.seconds + p.swapS,
            weight + c.weight,
            flights + 1,
            airborneS + c.seconds,
          );
      });
    }
  };
  go(0, 0, 0, 0, 0, 0);
  return best;
};

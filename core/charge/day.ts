import type { Charger, Pack } from '../model';
import { chargeCurve, chargedShare, slotMinutes, type ChargeCurve } from './curve';

/** A pack on a charger, seconds of whatever clock the day is told by. */
export interface ChargeRun {
  readonly chargerId: string;
  readonly slot: number;
  readonly packId: string;
  readonly fromS: number;
  readonly toS: number;
  readonly fromShare: number;
  readonly toShare: number;
  /** The source had no more to give. */
  readonly dry: boolean;
}

interface Job {
  readonly pack: Pack;
  readonly curve: ChargeCurve;
  /** Share of what the charger draws that arrives in the battery. */
  readonly efficiency: number;
  readonly readyS: number;
  readonly fromShare: number;
  fromS: number;
  toS: number;
  toShare: number;
  dry: boolean;
}
interface Slot {
  readonly charger: Charger;
  readonly index: number;
  readonly jobs: Job[];
}

const whOf = (pack: Pack): number => pack.ratedWh * pack.health;
const drawOf = (job: Job): number => ((job.toShare - job.fromShare) * whOf(job.pack)) / job.efficiency;

/**
 * Packs through a day: put on a charger when they come down, taken off when they fly. In turn, one slot of a charger gives at
 * a time; a source that runs dry ends a charge where it is. Packs are put on in the order they come.
 */
export class ChargeDay {
  private readonly slots: Slot[];
  /** Share of each pack that is on no charger. */
  private readonly held = new Map<string, number>();

  /** @param coolS seconds a pack cools before it is put on */
  constructor(
    chargers: readonly Charger[],
    private readonly coolS: number,
  ) {
    this.slots = chargers.flatMap((charger) =>
      Array.from({ length: charger.manner === 'in-turn' ? 1 : charger.slots }, (_, index) => ({
        charger,
        index,
        jobs: [],
      })),
    );
  }

  private inReach: ReadonlySet<string> | null = null;

  /** Moves to where only some chargers are: what hangs on the others is taken off. */
  reach(chargerIds: ReadonlySet<string>, atS: number): void {
    this.inReach = chargerIds;
    for (const { charger, jobs } of this.slots)
      if (!chargerIds.has(charger.id))
        for (const job of [...jobs]) if (job.toS > atS) this.take(job.pack.id, atS);
  }

  /** Whether a pack is on a charger and gains by staying there after a second. */
  charging(packId: string, atS: number): boolean {
    const on = this.jobOf(packId);
    return on !== null && on.job.toS > atS && on.job.toShare > this.shareAt(packId, atS);
  }

  private leftOf(charger: Charger): number {
    if (charger.sourceWh === 0 && charger.source !== 'bank') return Infinity;
    return (
      charger.sourceWh -
      this.slots
        .filter((s) => s.charger === charger)
        .reduce((sum, s) => sum + s.jobs.reduce((wh, j) => wh + drawOf(j), 0), 0)
    );
  }

  private timed(job: Job, before: Job | undefined, leftWh: number): void {
    job.fromS = Math.max(job.readyS, before?.toS ?? -Infinity);
    job.toShare = Math.min(1, job.fromShare + Math.max(0, leftWh * job.efficiency) / whOf(job.pack));
    job.dry = job.toShare < 1;
    job.toS = job.fromS + slotMinutes(job.curve, job.fromShare, job.toShare) * 60;
  }

  /** A pack comes down with a share left: it goes to the slot that would have it full first, or lies where there is none. */
  put(pack: Pack, share: number, atS: number): void {
    this.held.set(pack.id, share);
    let best: { slot: Slot; job: Job } | null = null;
    for (const slot of this.slots) {
      if (this.inReach && !this.inReach.has(slot.charger.id)) continue;
      if (
        slot.charger.aircraftIds.length > 0 &&
        !slot.charger.aircraftIds.some((id) => pack.aircraftIds.includes(id))
      )
        continue;
      const job: Job = {
        pack,
        curve: chargeCurve(pack, slot.charger),
        efficiency: slot.charger.efficiency,
        readyS: atS + this.coolS,
        fromShare: share,
        fromS: 0,
        toS: 0,
        toShare: share,
        dry: false,
      };
      this.timed(job, slot.jobs.at(-1), this.leftOf(slot.charger));
      if (
        job.toShare > share &&
        (!best ||
          job.toShare > best.job.toShare + 1e-9 ||
          (job.toShare > best.job.toShare - 1e-9 && job.toS < best.job.toS))
      )
        best = { slot, job };
    }
    best?.slot.jobs.push(best.job);
  }

  private jobOf(packId: string): { slot: Slot; job: Job } | null {
    for (const slot of this.slots) {
      const job = slot.jobs.findLast((j) => j.pack.id === packId);
      if (job) return { slot, job };
    }
    return null;
  }

  private at(job: Job, atS: number): number {
    return atS >= job.toS ? job.toShare : chargedShare(job.curve, job.fromShare, (atS - job.fromS) / 60);
  }

  /** Share of a pack at a second: what it came down with, or has been given since. */
  shareAt(packId: string, atS: number): number {
    const on = this.jobOf(packId);
    const held = this.held.get(packId) ?? 0;
    return on && atS > on.job.fromS ? Math.max(held, this.at(on.job, atS)) : held;
  }

  /** Second from which on a pack has a share; Infinity when it never will. */
  readyAt(packId: string, share: number): number {
    if ((this.held.get(packId) ?? 0) >= share - 1e-9) return -Infinity;
    const on = this.jobOf(packId);
    if (!on || on.job.toShare < share - 1e-9) return Infinity;
    return on.job.fromS + slotMinutes(on.job.curve, on.job.fromShare, share) * 60;
  }

  /** Takes a pack off its charger; what waits behind it moves up. @returns its share */
  take(packId: string, atS: number): number {
    const share = this.shareAt(packId, atS);
    const on = this.jobOf(packId);
    this.held.set(packId, share);
    if (!on || atS >= on.job.toS) return share;
    const { slot, job } = on;
    const at = slot.jobs.indexOf(job);
    const behind = slot.jobs.splice(at);
    behind.shift();
    if (atS > job.fromS) slot.jobs.push(Object.assign(job, { toS: atS, toShare: share, dry: false }));
    for (const next of behind) {
      this.timed(next, slot.jobs.at(-1), this.leftOf(slot.charger));
      slot.jobs.push(next);
    }
    return share;
  }

  /** Every charge there was or will be. */
  get runs(): ChargeRun[] {
    return this.slots.flatMap(({ charger, index, jobs }) =>
      jobs.map((j) => ({
        chargerId: charger.id,
        slot: index,
        packId: j.pack.id,
        fromS: j.fromS,
        toS: j.toS,
        fromShare: j.fromShare,
        toShare: j.toShare,
        dry: j.dry,
      })),
    );
  }
}

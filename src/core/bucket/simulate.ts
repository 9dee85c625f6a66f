import type { Assumptions } from '../assumptions';
import type { BucketSystem, ZoneId } from '../model';
import { Bucket, type Dipping, type Medium, gramsOf } from './bucket';
import { type Grain, grainsOf } from './grains';

/** Hard grit of one typical size on a square metre of panel. */
interface GritLoad {
  readonly grainUm: number;
  readonly loadGm2: number;
}

/** A zone, or a section of one, that is washed from the bucket, in the order of work. */
export interface Washed {
  readonly zoneId: ZoneId;
  readonly areaM2: number;
  readonly grit: readonly GritLoad[];
  /** Time on the zone. */
  readonly seconds: number;
  /** Liquid that stays on the panel, L. */
  readonly leavesL: number;
}

/** How somebody works with buckets. */
export interface BucketHabit {
  readonly system: BucketSystem;
  readonly guards: boolean;
  readonly washL: number;
  readonly rinseL: number;
  readonly waterC: number;
  /** Zones before which the rinse water is poured away and fresh taken. */
  readonly freshBefore: readonly ZoneId[];
  /** How hard this hand is on the grit, against common practice. */
  readonly hand: { readonly releases: number; readonly stirs: number; readonly wrings: number };
}

export const commonHand = { releases: 1, stirs: 1, wrings: 1 } as const;

export type BucketName = 'wash' | 'rinse' | 'second-rinse';

/** A bucket as it stands after a dip. */
interface BucketState {
  readonly name: BucketName;
  readonly litres: number;
  readonly depthM: number;
  readonly suspendedG: number;
  readonly settledG: number;
}

/** One round: the medium is dipped, and wipes its share of a zone. */
interface Round {
  /** Seconds of washing before it. */
  readonly atS: number;
  readonly areaM2: number;
  /** Grit that comes to the panel with the medium, and what of that came out of the water. */
  readonly carriedG: number;
  readonly fromWaterG: number;
  /** Grit that the medium takes off the panel. */
  readonly pickedG: number;
}

/** A round with its zone, and the buckets as they stand after it. */
export interface Dip extends Round {
  readonly zoneId: ZoneId;
  readonly buckets: readonly BucketState[];
  /** Panel washed, and grit brought back to it, up to and with this round. */
  readonly washedM2: number;
  readonly broughtG: number;
}

export interface BucketRun {
  readonly system: BucketSystem;
  readonly dips: readonly Dip[];
  readonly carriedG: number;
  readonly pickedG: number;
  readonly byZone: Readonly<Partial<Record<ZoneId, number>>>;
  /** Zone before which fresh water is due: on the one before it too much came out of it. */
  readonly freshDue: ZoneId | null;
}

/** The grain classes of a wash. */
export interface Grains {
  readonly all: readonly Grain[];
  /** Grit of a zone by grain class on one square metre. */
  readonly on: (zone: Washed) => Float64Array;
}

/** All grain classes that the zones hold, side by side. */
export function grainsIn(zones: readonly Washed[], waterC: number, a: Assumptions): Grains {
  const sizes = [...new Set(zones.flatMap(({ grit }) => grit.map(({ grainUm }) => grainUm)))];
  const all = sizes.flatMap((size) => grainsOf(size, waterC, a));
  const classes = sizes.length > 0 ? all.length / sizes.length : 0;
  return {
    all,
    on: ({ grit }) => {
      const grams = new Float64Array(all.length);
      for (const { grainUm, loadGm2 } of grit) {
        const from = sizes.indexOf(grainUm) * classes;
        for (let k = 0; k < classes; k++) grams[from + k]! += loadGm2 / classes;
      }
      return grams;
    },
  };
}

/** The buckets in the order in which the medium comes to them; the wash bucket last. */
const namesOf = (system: BucketSystem): readonly BucketName[] => {
  switch (system) {
    case 'many-towels':
    case 'one-guarded':
      return ['wash'];
    case 'two-buckets':
      return ['rinse', 'wash'];
    case 'three-buckets':
      return ['rinse', 'second-rinse', 'wash'];
  }
};

class Simulation {
  private readonly buckets: Map<BucketName, Bucket>;
  private readonly medium: Medium;
  private readonly sinks: Float64Array;
  private seconds = 0;
  /** Grit that went out with water that was changed, and with towels that did not come back. */
  private goneG = 0;

  constructor(
    private readonly habit: BucketHabit,
    grains: Grains,
    private readonly a: Assumptions,
  ) {
    this.sinks = Float64Array.from(grains.all, ({ sinksMs }) => sinksMs);
    this.buckets = new Map(namesOf(habit.system).map((name) => [name, this.fresh(name)]));
    this.medium = { litres: 0, grit: new Float64Array(this.sinks.length) };
  }

  private fresh(name: BucketName): Bucket {
    const { washL, rinseL } = this.habit;
    return new Bucket(name === 'wash' ? washL : rinseL, this.sinks, this.a.bucketAcross);
  }

  private get guarded(): boolean {
    return this.habit.guards || this.habit.system === 'one-guarded';
  }

  /** @param laysL what the medium is to lay on the panel next */
  private dipping(name: BucketName, laysL: number): Dipping {
    const { a, guarded } = this;
    const { releases, stirs, wrings } = this.habit.hand;
    return {
      releases: Math.min(1, (guarded ? a.guardReleases : a.rinseReleases) * releases),
      stirs: Math.min(1, (guarded ? a.guardStirs : a.openStirs) * stirs),
      // Wrung each time; out of the wash bucket it takes along what it is to lay.
      leavesL: a.mediumWrung * wrings + (name === 'wash' ? laysL : 0),
    };
  }

  changeRinse(): void {
    for (const [name, bucket] of this.buckets) {
      if (name === 'wash') continue;
      this.goneG += gramsOf(bucket.suspended) + gramsOf(bucket.settled);
      this.buckets.set(name, this.fresh(name));
    }
  }

  /** Through all buckets, over a stretch of panel, and back. */
  round({ leavesL, seconds, areaM2 }: Washed, onPanel: Float64Array, area: number): Round {
    const { medium } = this;
    const dry = this.habit.system === 'many-towels';
    if (dry) this.takeFresh();
    const before = Float64Array.from(medium.grit);
    const share = area / areaM2;
    for (const [name, bucket] of this.buckets) {
      bucket.settleUntil(this.seconds);
      bucket.dip(medium, this.dipping(name, leavesL * share));
    }
    const carriedG = gramsOf(medium.grit);
    const kept = this.keptFrom(before);
    let pickedG = 0;
    for (let k = 0; k < onPanel.length; k++) {
      const picked = onPanel[k]! * area * this.a.dirtLifted;
      medium.grit[k]! += picked;
      pickedG += picked;
    }
    medium.litres = Math.max(0, medium.litres - leavesL * share);
    const atS = this.seconds;
    this.seconds += seconds * share;
    return { atS, areaM2: area, carriedG, fromWaterG: Math.max(0, carriedG - kept), pickedG };
  }

  /** A towel that has wiped goes away; the next is fresh. */
  private takeFresh(): void {
    this.goneG += gramsOf(this.medium.grit);
    this.medium.grit.fill(0);
    this.medium.litres = 0;
  }

  /** What of the medium's grit was never released on the way through the buckets. */
  private keptFrom(before: Float64Array): number {
    let keeps = 1;
    for (const name of this.buckets.keys()) keeps *= 1 - this.dipping(name, 0).releases;
    return gramsOf(before) * keeps;
  }

  states(): readonly BucketState[] {
    return [...this.buckets].map(([name, bucket]) => ({
      name,
      litres: bucket.litres,
      depthM: bucket.depthM,
      suspendedG: gramsOf(bucket.suspended),
      settledG: gramsOf(bucket.settled),
    }));
  }

  /** Grit on the medium, in the buckets, and gone: all that was ever picked up. */
  heldG(): number {
    const inBuckets = [...this.buckets.values()].reduce(
      (sum, { suspended, settled }) => sum + gramsOf(suspended) + gramsOf(settled),
      0,
    );
    return inBuckets + gramsOf(this.medium.grit) + this.goneG;
  }
}

function freshDue(dips: readonly Dip[], a: Assumptions): ZoneId | null {
  const over = dips.findIndex(({ fromWaterG, areaM2 }) => fromWaterG / areaM2 > a.carriedMost);
  const next = over < 0 ? undefined : dips.slice(over).find(({ zoneId }) => zoneId !== dips[over]!.zoneId);
  return next?.zoneId ?? null;
}

/** Goes through the zones, round by round. */
function* roundsOf(
  zones: readonly Washed[],
  simulation: Simulation,
  grains: Grains,
  { habit, a }: Setting,
): Generator<readonly [Washed, Round]> {
  let last: ZoneId | null = null;
  for (const zone of zones) {
    if (zone.zoneId !== last && habit.freshBefore.includes(zone.zoneId)) simulation.changeRinse();
    last = zone.zoneId;
    const onPanel = grains.on(zone);
    const rounds = Math.max(1, Math.ceil(zone.areaM2 / a.dipArea - 1e-9));
    for (let r = 0; r < rounds; r++) yield [zone, simulation.round(zone, onPanel, zone.areaM2 / rounds)];
  }
}

interface Setting {
  readonly habit: BucketHabit;
  readonly a: Assumptions;
}

/**
 * Grit in buckets and medium over a wash, dip by dip: what comes off the panels, what settles, what
 * is stirred up, and what comes back to the paint. A simulation to compare habits, not a promise.
 * @returns the run, and what the whole holds at its end (for whoever checks that no grit is lost)
 */
export function simulateBuckets(
  zones: readonly Washed[],
  habit: BucketHabit,
  a: Assumptions,
): BucketRun & { readonly heldG: number } {
  const grains = grainsIn(zones, habit.waterC, a);
  const simulation = new Simulation(habit, grains, a);
  const dips: Dip[] = [];
  const byZone: Partial<Record<ZoneId, number>> = {};
  let [washedM2, broughtG] = [0, 0];
  for (const [{ zoneId }, round] of roundsOf(zones, simulation, grains, { habit, a })) {
    washedM2 += round.areaM2;
    broughtG += round.carriedG;
    dips.push({ ...round, zoneId, buckets: simulation.states(), washedM2, broughtG });
    byZone[zoneId] = (byZone[zoneId] ?? 0) + round.carriedG;
  }
  return {
    system: habit.system,
    dips,
    carriedG: broughtG,
    pickedG: dips.reduce((sum, dip) => sum + dip.pickedG, 0),
    byZone,
    freshDue: freshDue(dips, a),
    heldG: simulation.heldG(),
  };
}

/** What such a wash brings back to the paint in all, g; the same as `simulateBuckets` finds, sooner. */
export function carriedBack(zones: readonly Washed[], habit: BucketHabit, grains: Grains, a: Assumptions): number {
  let carriedG = 0;
  for (const [, round] of roundsOf(zones, new Simulation(habit, grains, a), grains, { habit, a }))
    carriedG += round.carriedG;
  return carriedG;
}

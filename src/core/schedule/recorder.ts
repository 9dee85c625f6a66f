import type { Lap } from '../passes';
import type { StandingPlace } from '../rules';
import type { ZoneId } from '../model';
import { type Crew, type Step, type StepKind } from './crew';

/** What is done in one go: rinsing, wetting and wiping, drying or finishing behind, finishing glass, or putting something onto the clean car. */
export type PassAct = 'flush' | 'wipe' | 'dry' | 'glass' | 'protect';

/** A part of a zone in a pass; of 0 is the zone as a whole. */
export interface PassPart {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly of: number;
  /** Of what is left of this act on the zone. */
  readonly share: number;
}

/** A pass as it stands on the clock. */
export interface PlannedPass {
  /** From 1, in the order in which hands come to them. */
  readonly number: number;
  readonly act: PassAct;
  /** null for what is gone over at once. */
  readonly lap: Lap | null;
  readonly place: StandingPlace | null;
  readonly worker: number;
  readonly parts: readonly PassPart[];
  readonly areaM2: number;
  /** Seconds by hand. */
  readonly handS: number;
}

/** Notes passes while they are put on the clock. */
export class Recorder {
  private readonly passes: PlannedPass[] = [];

  constructor(readonly crew: Crew) {}

  /** @returns its number for now; they are put in order at the end */
  note(pass: Omit<PlannedPass, 'number'>): number {
    this.passes.push({ ...pass, number: this.passes.length + 1 });
    return this.passes.length;
  }

  /** Steps and passes, numbered in the order in which hands come to them. */
  inOrder(): { readonly steps: readonly Step[]; readonly passes: readonly PlannedPass[] } {
    const hands: ReadonlySet<StepKind> = new Set(['flush', 'wipe', 'dry', 'glass', 'protect']);
    const steps = [...this.crew.steps].sort((p, q) => p.startS - q.startS || p.worker - q.worker);
    const place = new Map<number, number>();
    for (const { pass, kind } of steps)
      if (pass !== null && hands.has(kind) && !place.has(pass)) place.set(pass, place.size + 1);
    for (const { number } of this.passes) if (!place.has(number)) place.set(number, place.size + 1);
    return {
      steps: steps.map((step) => (step.pass === null ? step : { ...step, pass: place.get(step.pass)! })),
      passes: this.passes
        .map((pass) => ({ ...pass, number: place.get(pass.number)! }))
        .sort((p, q) => p.number - q.number),
    };
  }
}

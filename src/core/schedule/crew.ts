import type { ZoneId } from '../model';
import type { Kit } from '../rules';

export const stepKinds = [
  'setup',
  'flush',
  'pretreat',
  'spray',
  'wait',
  'wipe',
  'finish',
  'dry',
  'glass',
  'pack',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** One thing that one worker does without a break. */
export interface Step {
  readonly kind: StepKind;
  readonly zoneId: ZoneId | null;
  /** Part of the zone, from 1; 0 where the zone is done as a whole, and for what concerns no zone. */
  readonly section: number;
  /** What is set up, for set-up steps. */
  readonly kit: Kit | 'glass' | null;
  readonly worker: number;
  readonly startS: number;
  readonly endS: number;
}

export interface Task extends Pick<Step, 'kind' | 'zoneId' | 'section' | 'kit'> {
  readonly seconds: number;
}

/** Clocks of the workers; what is done next goes to whoever is free first. */
export class Crew {
  readonly steps: Step[] = [];
  private readonly clocks: number[];

  constructor(workers: number) {
    this.clocks = new Array<number>(workers).fill(0);
  }

  firstFree(): number {
    return this.clocks.indexOf(Math.min(...this.clocks));
  }

  now(worker: number): number {
    return this.clocks[worker]!;
  }

  /** All wait for the last, e.g. before the first wipe after the flush. */
  meet(): void {
    this.clocks.fill(Math.max(...this.clocks));
  }

  do(worker: number, { seconds, kind, zoneId, section, kit }: Task): number {
    const startS = this.now(worker);
    const endS = startS + seconds;
    if (seconds > 0) this.steps.push({ kind, zoneId, section, kit, worker, startS, endS });
    this.clocks[worker] = endS;
    return endS;
  }

  waitUntil(worker: number, time: number, { zoneId, section }: Pick<Step, 'zoneId' | 'section'>): void {
    this.do(worker, { zoneId, section, kind: 'wait', kit: null, seconds: Math.max(0, time - this.now(worker)) });
  }

  elapsed(): number {
    return Math.max(...this.clocks);
  }
}

import type { ZoneId } from '../model';
import type { Guarding, Kit } from '../rules';

export const stepKinds = [
  'setup',
  'walk',
  'refill',
  'flush',
  'pretreat',
  'spray',
  'wait',
  'rinse-before',
  'wipe',
  'rinse-off',
  'finish',
  'dry',
  'glass',
  'protect',
  'pack',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** One thing that one worker does without a break. */
export interface Step {
  readonly kind: StepKind;
  readonly zoneId: ZoneId | null;
  /** Part of the zone, from 1; 0 where the zone is done as a whole, and for what concerns no zone. */
  readonly section: number;
  /** Number of the pass that it belongs to; null for set-up and packing. */
  readonly pass: number | null;
  /** What is set up, for set-up steps. */
  readonly kit: Kit | 'glass' | Guarding | null;
  readonly worker: number;
  readonly startS: number;
  readonly endS: number;
}

export interface Task extends Pick<Step, 'kind' | 'zoneId' | 'section' | 'kit' | 'pass'> {
  readonly seconds: number;
}

/** Less is rounding. */
const LEAST_WAIT_S = 1e-4;

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

  /** All wait for the last, e.g. before the first wipe after the rinse. */
  meet(): void {
    this.clocks.fill(Math.max(...this.clocks));
  }

  do(worker: number, { seconds, kind, zoneId, section, pass, kit }: Task): number {
    const startS = this.now(worker);
    const endS = startS + seconds;
    if (seconds > 0) this.steps.push({ kind, zoneId, section, pass, kit, worker, startS, endS });
    this.clocks[worker] = endS;
    return endS;
  }

  waitUntil(worker: number, time: number, of: Pick<Step, 'zoneId' | 'section' | 'pass'>): void {
    const seconds = time - this.now(worker);
    if (seconds > LEAST_WAIT_S) this.do(worker, { ...of, kind: 'wait', kit: null, seconds });
  }

  elapsed(): number {
    return Math.max(...this.clocks);
  }
}

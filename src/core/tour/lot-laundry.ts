import type { LotLaundry, TowelRole } from '../model';
import { type LaundryGroup, groupOf } from '../towel';

/** Towels on their way round: used, gathered until there is a load of their kind, washed one load at a time, clean again. */
export class Laundry {
  private readonly waiting = new Map<LaundryGroup, TowelRole[]>();
  private readonly washing: { readonly readyMin: number; readonly roles: readonly TowelRole[] }[] = [];
  private freeMin = 0;
  /** That came back while there was work. */
  loads = 0;

  constructor(private readonly machine: LotLaundry) {}

  /** A towel has done its work at a time; times never go back. */
  used(role: TowelRole, atMin: number): void {
    const group = groupOf[role];
    const waiting = [...(this.waiting.get(group) ?? []), role];
    const { load, minutes } = this.machine;
    if (waiting.length < load) {
      this.waiting.set(group, waiting);
      return;
    }
    this.waiting.set(group, []);
    this.freeMin = Math.max(this.freeMin, atMin) + minutes;
    this.washing.push({ readyMin: this.freeMin, roles: waiting });
  }

  /** Towels that are clean again by a time, each told once. */
  backBy(atMin: number): readonly TowelRole[] {
    const back: TowelRole[] = [];
    while (this.washing[0] && this.washing[0].readyMin <= atMin) {
      back.push(...this.washing.shift()!.roles);
      this.loads++;
    }
    return back;
  }
}

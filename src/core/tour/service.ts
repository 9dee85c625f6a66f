import { resolveAssumptions } from '../assumptions';
import { atHour } from '../edit';
import type { Job } from '../model';
import { type Plan, planAlone } from '../planning';
import type { Stocks, Turn } from './problem';
import { stockKinds, takenFrom } from './stocks';

/** A plan at one hour: how long the visit takes then, and what it takes out of the van. */
interface AtHour {
  readonly plan: Plan;
  /** Infinity where the car cannot be washed then. */
  readonly minutes: number;
  readonly takes: Stocks;
}

const HOURS = 24;
/** Nothing is known of any hour that would do: it may take no time at all, until it is looked at. */
const UNKNOWN_MIN = 1;

/** Standard deviations from the middle for a share of a normal distribution (Abramowitz and Stegun 26.2.23, to 0.0005). */
export function deviationsFor(share: number): number {
  const p = Math.min(share, 1 - share);
  const t = Math.sqrt(-2 * Math.log(Math.max(p, 1e-9)));
  const z =
    t - (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3);
  return share >= 0.5 ? z : -z;
}

/** What was read off a panel holds for the hour at which it was. */
const isRead = ({ site, readings }: Job): boolean => site.panelC !== null || Object.keys(readings).length > 0;

/** Nothing of a plan hangs on the hour: no sun, and the same air all day. */
const isSteady = (job: Job): boolean =>
  job.weather === null && (job.site.indoors || (job.site.shade && job.site.shadeHours.length === 0)) && !isRead(job);

/** In the shade, and with the same air all day, one hour is like the other. */
const isShaded = (job: Job): boolean => job.weather === null && job.site.shade && job.site.sunWm2 === 0 && !isRead(job);
const SHADED = -1;

/**
 * How long a stop takes by the hour at which it is begun. Some hours are planned at first; what lies between is reckoned in
 * proportion, until somebody is to be there then. Beside an hour at which it cannot be done, one is taken to be as quick as the quickest.
 */
export class Service {
  private readonly hours = new Map<number, AtHour>();
  private readonly isSteady: boolean;
  private readonly slower: number;
  /** Which plan holds at an hour. */
  private readonly planOf: readonly number[];
  private minutes: readonly number[];

  /** @param confidence share of days on which it should take no longer */
  constructor(
    readonly job: Job,
    readonly confidence: number,
  ) {
    this.isSteady = isSteady(job);
    this.slower = Math.exp(
      deviationsFor(confidence) * Math.log(resolveAssumptions(job.choices.assumptions).spreadUsage),
    );
    this.planOf = Array.from({ length: HOURS + 1 }, (_, hour) =>
      this.isSteady ? 0 : isShaded(atHour(job, hour)) ? SHADED : hour,
    );
    this.minutes = this.told();
  }

  private hourOf(atMin: number): number {
    return Math.floor(atMin / 60);
  }

  knows(atMin: number): boolean {
    return this.hours.has(this.planOf[this.hourOf(atMin)]!);
  }

  /** Plans the hour of a time. */
  learn(atMin: number): AtHour {
    const hour = this.planOf[this.hourOf(atMin)]!;
    const known = this.hours.get(hour);
    if (known) return known;
    const job = this.at(atMin);
    const plan = planAlone(job);
    const minutes =
      plan.method === 'decline' ? Infinity : plan.slot.value + (plan.timeline.elapsedS / 60) * (this.slower - 1);
    const found = { plan, minutes, takes: takenFrom(plan, job) };
    this.hours.set(hour, found);
    this.minutes = this.told();
    return found;
  }

  /** The job as it is begun at a time. */
  at(atMin: number): Job {
    return this.isSteady ? this.job : atHour(this.job, this.hourOf(atMin));
  }

  /** Minutes by the hour: as they are known, and in between in proportion. */
  private told(): readonly number[] {
    const known = Array.from({ length: HOURS }, (_, hour) => this.hours.get(this.planOf[hour]!)?.minutes ?? null);
    const quickest = Math.min(
      ...known.flatMap((minutes) => (minutes !== null && Number.isFinite(minutes) ? [minutes] : [])),
      Infinity,
    );
    const unknown = Number.isFinite(quickest) ? quickest : UNKNOWN_MIN;
    let before = -1;
    return known.map((minutes, hour) => {
      if (minutes !== null) {
        before = hour;
        return minutes;
      }
      const after = known.findIndex((one, i) => i > hour && one !== null);
      const [low, high] = [known[before] ?? known[after] ?? unknown, known[after] ?? known[before] ?? unknown];
      // Beside an hour at which it cannot be done nobody knows, until it is looked at.
      if (!Number.isFinite(low) || !Number.isFinite(high)) return unknown;
      return before < 0 || after < 0 ? low : low + ((high - low) * (hour - before)) / (after - before);
    });
  }

  /** Hours at which it can be begun from one on and is done by another, for all that is known. */
  hoursLeft(fromHour: number, untilHour = Infinity): number {
    let count = 0;
    for (let hour = Math.floor(fromHour); hour < HOURS; hour++)
      if (Math.max(hour, fromHour) + this.minutes[hour]! / 60 <= Math.min(untilHour, Number.MAX_VALUE)) count++;
    return count;
  }

  /** At once, or at a later hour that is over sooner. */
  turns(atMin: number): readonly Turn[] {
    const found: Turn[] = [];
    let soonest = Infinity;
    const offer = (beginMin: number, minutes: number): void => {
      const endMin = beginMin + minutes;
      if (endMin >= soonest) return;
      soonest = endMin;
      found.push({ beginMin, endMin });
    };
    const now = Math.floor(atMin / 60);
    if (now >= HOURS) return [];
    offer(atMin, this.minutes[now]!);
    if (!this.isSteady) for (let hour = now + 1; hour < HOURS; hour++) offer(hour * 60, this.minutes[hour]!);
    return found;
  }

  /** The most that it takes at any hour that is known to do; nothing as long as none is. */
  takes(): Stocks {
    const all = [...this.hours.values()].filter(({ minutes }) => Number.isFinite(minutes)).map(({ takes }) => takes);
    return stockKinds.map((_kind, i) => Math.max(0, ...all.map((takes) => takes[i]!)));
  }
}

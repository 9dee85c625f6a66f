import { cooledC, minutesAbove } from '../mix';
import type { PlanningContext } from '../rules';
import type { Realised } from './realise';

/** Hot flush water in its vessel: how it cools, and how long it is hot enough. */
export interface HotWater {
  readonly startC: number;
  readonly minutes: number;
  /** After those minutes of work. */
  readonly thenC: number;
  /** Below this the coldest flushed panel would turn it to slush. */
  readonly leastC: number;
  /** Minutes until then; null: the air is no colder than that. */
  readonly lastsMin: number | null;
}

/** Only where something is flushed hot. */
export function hotWaterOf({ choice, mix }: Realised, { a, job, zones }: PlanningContext): HotWater | null {
  const flushed = zones.filter(({ zone }) => choice.picks.get(zone.id)?.treatment.startsWith('hot-pump/'));
  const filling = mix.mixes.find(({ content }) => content === 'water')?.fills[0]?.totalMl ?? 0;
  if (flushed.length === 0 || filling <= 0) return null;
  const leastC = Math.max(...flushed.map(({ panel }) => panel.leastLiquidC(a.flushFilm * a.rinseLow, a.slushC)));
  const { airC } = job.site;
  return {
    startC: a.hotLiquidC,
    minutes: a.hotHoldMin,
    thenC: cooledC(a.hotLiquidC, airC, filling, a.hotHoldMin * 60, a),
    leastC,
    lastsMin: minutesAbove(leastC, a.hotLiquidC, airC, filling, a),
  };
}

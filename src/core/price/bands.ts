import { assumptionTable, resolveAssumptions } from '../assumptions';
import { type Job, type SoilBand, type SoilLevel, type ZoneSoil, cleanlinessOf, soilLevels } from '../model';
import { byEye } from '../soil';
import { zonesIn } from '../vehicle';

const MOST_LEVEL = soilLevels.at(-1)!;
/** Grit as it lies on the lower half of a car that was on gravel (judged). */
const GRIT: SoilLevel = 2;

function stepped(soil: ZoneSoil, steps: 1 | -1): ZoneSoil {
  const { deposits, ...rest } = byEye(soil);
  const level = (from: SoilLevel): SoilLevel => Math.max(0, Math.min(MOST_LEVEL, from + steps)) as SoilLevel;
  return { ...rest, deposits: deposits.map((one) => ({ ...one, level: level(one.level) })) };
}

/** Forecast to get dirty so many times as fast. */
export function dirtierBy(times: number, job: Job): Job {
  const { soilPace } = resolveAssumptions(job.choices.assumptions);
  const { min, max } = assumptionTable.soilPace;
  return {
    ...job,
    choices: {
      ...job.choices,
      assumptions: { ...job.choices.assumptions, soilPace: Math.min(max, Math.max(min, soilPace * times)) },
    },
  };
}

/** What was seen by a step of the scale, what is only forecast by as much as a forecast is off. */
function byAStep(job: Job, steps: 1 | -1): Job {
  const { spreadForecast } = resolveAssumptions(job.choices.assumptions);
  const soil = Object.fromEntries(Object.entries(job.soil).map(([zone, seen]) => [zone, stepped(seen, steps)]));
  return dirtierBy(spreadForecast ** steps, { ...job, soil });
}

/** Grit on the lower half, on top of what is there. */
function gritty(job: Job): Job {
  const lower = zonesIn(job).filter(({ cleanliness }) => cleanliness >= cleanlinessOf.lowers);
  const soil = { ...job.soil };
  for (const { id } of lower) {
    const { deposits, spots, ...rest } = byEye(soil[id] ?? { deposits: [], spots: {} });
    soil[id] = {
      ...rest,
      spots,
      deposits: [...deposits.filter(({ kind }) => kind !== 'grit'), { kind: 'grit', level: GRIT }],
    };
  }
  return { ...job, soil };
}

/** The job as it is if the car turns out otherwise than expected. */
export const inBand: Readonly<Record<SoilBand, (job: Job) => Job>> = {
  lighter: (job) => byAStep(job, -1),
  heavier: (job) => byAStep(job, 1),
  gritty,
};

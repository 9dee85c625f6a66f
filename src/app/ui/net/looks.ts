import type { Job, SoilLevel, Zone, ZoneId, ZonePlan, ZoneSoil } from '@esmero/core';
import { levelName, soilMark, soilName, spotName, treatmentName } from '@esmero/messages';
import { type Looks, type ZoneLook, isFlushed, plainLook, treatmentFill, treatmentMark } from './zone-look';

const worstOf = (soil: ZoneSoil): SoilLevel =>
  soil.deposits.reduce<SoilLevel>((worst, { level }) => (level > worst ? level : worst), 0);

const spotTotal = (soil: ZoneSoil): number =>
  Object.values(soil.spots).reduce((sum, count) => sum + count, 0);

/** "road film 3, dust 1; 6 insect splashes" */
export function soilWords(soil: ZoneSoil | undefined): string {
  if (!soil) return 'not looked at';
  const deposits = soil.deposits.map(({ kind, level }) =>
    level === 0 ? 'clean' : `${soilName[kind]} ${level}, ${levelName[level]}`,
  );
  const spots = Object.entries(soil.spots).map(
    ([kind, count]) => `${count} ${spotName[kind as keyof typeof spotName]}`,
  );
  return [...(deposits.length ? deposits : ['clean']), ...spots].join('; ');
}

function soilLook(soil: ZoneSoil | undefined): ZoneLook {
  const says = soilWords(soil);
  if (!soil) return { ...plainLook, fill: 'unseen', says };
  const level = worstOf(soil);
  const kinds = soil.deposits.filter((deposit) => deposit.level > 0).map(({ kind }) => soilMark[kind]);
  const spots = spotTotal(soil) > 0 ? ` +${spotTotal(soil)}` : '';
  return {
    ...plainLook,
    fill: `soil-${level}`,
    mark: `${level}${kinds.length ? ` ${kinds.join('·')}` : ''}${spots}`,
    says,
  };
}

/** Soil as it was seen. */
export const soilLooks = (zones: readonly Zone[], soil: Job['soil']): Looks =>
  new Map(zones.map(({ id }) => [id, soilLook(soil[id])]));

/** The letter of a treatment, with a stroke before it for a flush. */
export const markOf = (treatment: ZonePlan['treatment']): string => {
  const fill = treatmentFill(treatment) as keyof typeof treatmentMark;
  return `${isFlushed(treatment) ? '↓' : ''}${treatmentMark[fill]}`;
};

function treatmentLook({ treatment, option }: ZonePlan, fixed: boolean): ZoneLook {
  return {
    fill: treatmentFill(treatment),
    flushed: isFlushed(treatment),
    mark: `${markOf(treatment)}${fixed ? ' ·' : ''}`,
    says: `${treatmentName(treatment)}${fixed ? ', fixed by hand' : ''}${option ? `, index ${option.marring.index.toFixed(1)}` : ''}`,
    faded: false,
  };
}

/** What is done where. */
export const treatmentLooks = (plans: Iterable<ZonePlan>, fixed: Job['choices']['fixed']): Looks =>
  new Map([...plans].map((plan) => [plan.zone.id, treatmentLook(plan, plan.zone.id in fixed)]));

/** Treatments with the order of work written on the zones. */
export function orderLooks(plans: Iterable<ZonePlan>, order: readonly ZoneId[]): Looks {
  const place = new Map(order.map((id, i) => [id, i + 1]));
  return new Map(
    [...plans].map((plan) => {
      const look = treatmentLook(plan, false);
      const number = place.get(plan.zone.id);
      return [
        plan.zone.id,
        { ...look, mark: number ? String(number) : look.mark, says: number ? `number ${number}, ${look.says}` : look.says },
      ];
    }),
  );
}

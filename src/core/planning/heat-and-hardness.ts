import { type MixPurpose, partsOf } from '../model';
import type { Verdict } from '../reasons';
import { type Option, type PlanningContext, type SoiledZone, contactRules, loosenedBy } from '../rules';
import type { Realised } from './realise';

interface Worked {
  readonly soiled: SoiledZone;
  readonly option: Option;
}

const hottest = (worked: readonly Worked[]): number => Math.max(...worked.map(({ soiled }) => soiled.panel.panelC));
const idsOf = (worked: readonly Worked[]) => worked.map(({ soiled }) => soiled.zone.id);

/** No label of what is laid on the zone says how warm is too warm. */
const isUnlabelled = ({ treatment }: Option, { recipes }: PlanningContext): boolean =>
  contactRules[partsOf(treatment).contact].purposes.some(
    (purpose: MixPurpose) => recipes[purpose]?.product.maxPanelC === null,
  );

/** mg of dissolved solids that dried water leaves on a square metre. */
const residueOn = ({ soiled: { zone }, option }: Worked, { a }: PlanningContext): number =>
  (a.waterHardness * option.moisture.evaporatedMl) / 1000 / zone.areaM2;

/** What is said about hot panels, and about water that dries on them. */
export function heatAndHardness(context: PlanningContext, realised: Realised | null): Verdict[] {
  const { a } = context;
  const worked = context.zones.flatMap((soiled): Worked[] => {
    const option = realised?.choice.picks.get(soiled.zone.id);
    return option ? [{ soiled, option }] : [];
  });
  const cooled = worked.filter(({ option }) => loosenedBy(option.treatment) === 'mist');
  const warm = worked.filter(
    ({ soiled, option }) => soiled.panel.panelC > a.practicePanelC && isUnlabelled(option, context),
  );
  const spotted = worked.filter((one) => one.option.ofBody && residueOn(one, context) > a.residueLimit);
  return [
    ...(cooled.length > 0 ? [{ code: 'cooled-first', zones: idsOf(cooled), hottestC: hottest(cooled) } as const] : []),
    ...(warm.length > 0
      ? [
          {
            code: 'warm-by-practice',
            zones: idsOf(warm),
            hottestC: hottest(warm),
            practiceC: a.practicePanelC,
          } as const,
        ]
      : []),
    ...(spotted.length > 0
      ? [
          {
            code: 'residue',
            zones: idsOf(spotted),
            mostMgM2: Math.max(...spotted.map((one) => residueOn(one, context))),
            limitMgM2: a.residueLimit,
          } as const,
        ]
      : []),
  ];
}

import { lazy, recent } from '../cache';
import { type Working, partsOf } from '../model';
import { contactRules } from './contacts';
import { type PlanningContext, type SoiledZone, oncePerSharedContext } from './context';
import { flushedFor, isRinsedTooSoon, rinsedInPass } from './flushed';
import { flushRules } from './flushes';
import { rinsedFirst, withAirFirst, withRinseFirst } from './dirt-limit';
import { standingGates } from './gates';
import { type Option, type Shut, type ZoneOptions } from './option';
import { loosenedBy } from './treatment';
import { goingOn } from './going-on';
import { type Variant, workedOut } from './worked-out';

/** A panel that is not warm is not cooled. */
const isNeedless = ({ panel }: SoiledZone, treatment: Working, { a, job }: PlanningContext): boolean =>
  loosenedBy(treatment) === 'mist' &&
  panel.panelC <= a.mistFromC &&
  !Object.values(job.choices.fixed).includes(treatment);

function variantsOn(soiled: SoiledZone, context: PlanningContext): readonly Variant[] {
  const after = flushedFor(soiled, context);
  return context.treatments
    .filter((treatment) => !isNeedless(soiled, treatment, context))
    .flatMap((treatment) => {
      const { flush, contact } = partsOf(treatment);
      const rule = contactRules[contact];
      return flushRules[flush].amounts.flatMap((amount): Variant[] => {
        const first = after(treatment, amount);
        const inPass = rinsedInPass(soiled, first, context).map((coming) => after(treatment, amount, coming));
        return [...(isRinsedTooSoon(soiled, first, context) ? [] : [first]), ...inPass].map((flushed) => ({
          treatment,
          amount,
          flushed,
          rule,
          standing: standingGates(soiled, flushed, rule, context),
        }));
      });
    });
}

const workOut = (soiled: SoiledZone, variant: Variant, context: PlanningContext): Option =>
  workedOut(soiled, variant, context);

/** Of one treatment the amount of rinse that is open and costs least; where none is, the one that the fewest things forbid. */
function bestAmounts(options: readonly Option[]): readonly Option[] {
  const best = new Map<Working, Option>();
  for (const option of options) {
    const known = best.get(option.treatment);
    if (
      !known ||
      option.gates.length < known.gates.length ||
      (option.gates.length === known.gates.length && option.cost < known.cost)
    )
      best.set(option.treatment, option);
  }
  return [...best.values()];
}

/** Every treatment on offer on one zone, worked out in full with the best amount of rinse, and with everything that forbids it. */
export const optionsOn = (soiled: SoiledZone, context: PlanningContext): readonly Option[] =>
  bestAmounts(variantsOn(soiled, context).map((variant) => workOut(soiled, variant, context)));

/** Nothing forbids this treatment on the zone, with one amount of rinse or another. */
export const isOpen = (soiled: SoiledZone, treatment: Working, context: PlanningContext): boolean =>
  variantsOn(soiled, { ...context, treatments: [treatment] }).some(
    (variant) => variant.standing.length === 0 && workOut(soiled, variant, context).gates.length === 0,
  );

interface Sorted extends Omit<ZoneOptions, 'zoneId' | 'explain'> {
  readonly explain: () => readonly Option[];
}

/** Another amount of rinse does the same and takes no more of anything. */
const isBeaten = (option: Option, all: readonly Option[]): boolean =>
  all.some(
    (other) =>
      other !== option &&
      other.treatment === option.treatment &&
      other.cost <= option.cost &&
      other.use.every((use, b) => use <= option.use[b]!) &&
      (other.cost < option.cost || all.indexOf(other) < all.indexOf(option)),
  );

/** What may be chosen on a zone; what anything forbids is only worked out as far as that. */
function sorted(soiled: SoiledZone, context: PlanningContext): Sorted {
  const [open, shut]: [Option[], Map<Working, Shut>] = [[], new Map()];
  const forbid = (one: Shut): void => {
    const known = shut.get(one.treatment);
    if (!known || one.gates.length < known.gates.length) shut.set(one.treatment, one);
  };
  for (const variant of variantsOn(soiled, context)) {
    if (variant.standing.length > 0) {
      forbid({ treatment: variant.treatment, gates: variant.standing });
      continue;
    }
    const option = workOut(soiled, variant, context);
    if (option.gates.length > 0) forbid(option);
    else open.push(option);
  }
  const options = open.filter((option) => !isBeaten(option, open));
  const forbidden = [...shut.values()].filter(
    ({ treatment }) => !options.some((option) => option.treatment === treatment),
  );
  const crackles = rinsedFirst(soiled, context);
  const may = crackles ? withRinseFirst(options, crackles) : withAirFirst(soiled, options, context);
  return { options: may.options, shut: [...forbidden, ...may.shut], explain: lazy(() => optionsOn(soiled, context)) };
}

/** Zones with their soil that are kept: a car, and what was painted on it of late. */
const KEPT = 120;

/** Left and right are mirror images: where they are equally dirty and equally warm, one is worked out for both. */
const sortKey = ({ zone, soil, panel }: SoiledZone): string =>
  `${zone.id.replace(/^right-/, 'left-')}/${panel.sunWm2}/${panel.panelC}/${JSON.stringify(soil)}`;

const sorting = oncePerSharedContext(() =>
  recent(
    KEPT,
    (soiled: SoiledZone, { rinsedS }: PlanningContext) =>
      `${sortKey(soiled)}/${JSON.stringify(rinsedS.get(soiled.zone.id))}`,
    sorted,
  ),
);

/** What may be chosen on every zone, begun or not. */
export function zoneOptions(context: PlanningContext): readonly ZoneOptions[] {
  const sort = sorting(context);
  return context.zones.map((soiled) => {
    const { id: zoneId } = soiled.zone;
    const begun = context.begun.zones.get(zoneId);
    const may = sort(soiled, context);
    return { zoneId, ...may, options: begun ? goingOn(soiled, may, begun, context) : may.options };
  });
}

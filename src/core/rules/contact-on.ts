import type { Assumptions } from '../assumptions';
import { brushOn } from './brush';
import { type ContactRule, type Contacted } from './contacts';
import type { PlanningContext, SoiledZone } from './context';
import type { Flushed } from './flushed';

/** Sprayed film against common practice, without the product's own: habit, heat and cold. */
function sprayFactor({ panel }: SoiledZone, { a, job: { choices, site } }: PlanningContext): number {
  const habit = choices.spray === 'thin' ? a.sprayThin : choices.spray === 'liberal' ? a.sprayLiberal : 1;
  const hot = 1 + a.filmHotPerK * Math.max(0, panel.panelC - a.filmHotFromC);
  const cold = choices.cold === 'plenty' ? 1 : 1 - a.filmColdPerK * Math.max(0, a.filmColdFromC - site.airC);
  return habit * hot * Math.max(a.filmColdLeast, cold);
}

/**
 * What a mix encapsulates against one at the strength of its label: it rises ever more slowly with the concentrate,
 * and stops a little above (our judgement).
 * @param strength concentrate against the label’s; 1 gives 1
 */
export function strengthFactor(strength: number, { strengthCurve, strengthMost }: Assumptions): number {
  return Math.min(strengthMost, (1 - Math.exp(-strengthCurve * strength)) / (1 - Math.exp(-strengthCurve)));
}

/** What a contact comes to on a zone, under the habits that count and the day's heat or cold. */
export function contactOn(
  soiled: SoiledZone,
  rule: ContactRule,
  { loadGm2, standsUm, strength: standing }: Pick<Flushed, 'loadGm2' | 'standsUm' | 'strength'>,
  context: PlanningContext,
): Contacted {
  const {
    a,
    recipes,
    job: { choices },
  } = context;
  const product = rule.sprays ? (recipes[rule.sprays]?.product.filmFactor ?? 1) : 1;
  const filmFactor = product * sprayFactor(soiled, context);
  const { dwell, wiping, bucket, medium, guards, dryTouch } = choices;
  const common = rule.contact({ loadGm2, filmFactor, dwell, wiping, bucket, medium, guards, dryTouch }, a);
  // What a rinse has left standing on the panel thins the mix; with product in it, by less.
  const firstUm = common.layers[0].film;
  const laid = recipes[rule.purposes[0]!]?.relativeStrength ?? 1;
  const strength = (laid * firstUm + standing * standsUm) / (firstUm + standsUm);
  const contact = { ...common, encapsulation: Math.min(1, common.encapsulation * strengthFactor(strength, a)) };
  // Lubricated, a soft brush works no harder than a towel does.
  return brushOn(soiled.zone, context)
    ? { ...contact, pressure: Math.min(contact.pressure, a.pressureScrub), wipeRate: contact.wipeRate * a.rateBrush }
    : contact;
}

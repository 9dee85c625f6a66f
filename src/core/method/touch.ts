import { type ContactRule, type Contacted } from './contacts';
import type { Scene, SoiledZone } from './scene';

const PAINTED_OR_GLASS = 3;

/** Sprayed film against common practice, without the product's own: school, heat and cold. */
function sprayFactor({ panel }: SoiledZone, { a, job: { choices, site } }: Scene): number {
  const school = choices.spray === 'thin' ? a.sprayThin : choices.spray === 'liberal' ? a.sprayLiberal : 1;
  const hot = 1 + a.filmHotPerK * Math.max(0, panel.panelC - a.filmHotFromC);
  const cold = choices.cold === 'plenty' ? 1 : 1 - a.filmColdPerK * Math.max(0, a.filmColdFromC - site.airC);
  return school * hot * Math.max(a.filmColdLeast, cold);
}

/** Wheels, grille and badges may get a soft brush. */
export const isBrushed = ({ zone: { id, cleanliness } }: SoiledZone, { job: { choices } }: Scene): boolean =>
  choices.brush === 'lubricated' && (cleanliness > PAINTED_OR_GLASS || id === 'grille' || id === 'badges');

/** What a contact comes to on a zone, under the schools that count and the day's heat or cold. */
export function touch(soiled: SoiledZone, rule: ContactRule, loadGm2: number, scene: Scene): Contacted {
  const {
    a,
    recipes,
    job: { choices },
  } = scene;
  const product = rule.sprays ? (recipes[rule.sprays]?.product.filmFactor ?? 1) : 1;
  const filmFactor = product * sprayFactor(soiled, scene);
  const { dwell, wiping, bucket } = choices;
  const contact = rule.contact({ loadGm2, filmFactor, dwell, wiping, bucket }, a);
  return isBrushed(soiled, scene)
    ? { ...contact, pressure: a.pressureScrub, wipeRate: contact.wipeRate * a.rateBrush }
    : contact;
}

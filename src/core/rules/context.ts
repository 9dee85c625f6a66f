import { type Assumptions, resolveAssumptions } from '../assumptions';
import { recent } from '../cache';
import { type Recipes, cooledC, fillingMl, recipesOf } from '../mix';
import type { Job, TowelBatch, TowelRole, Working, Zone, ZoneId } from '../model';
import { type SoilState, soilOn } from '../soil';
import { type Panel, panelsOf } from '../surface';
import { type RolesAtHand, rolesAtHand } from '../towel';
import { hiddenInScope, zonesIn } from '../vehicle';
import { type GearAtHand, gearOf, availableTreatments } from './available-treatments';
import { choicesOf } from './habits';
import { limitOf } from './marring';
import { type StartState, freshStart } from './start-state';

/** A zone with what lies on it. */
export interface SoiledZone {
  readonly zone: Zone;
  readonly soil: SoilState;
  readonly panel: Panel;
}

/** What every treatment on every zone rests on besides the soil: painting leaves it as it is. */
interface SharedContext {
  readonly a: Assumptions;
  readonly gear: GearAtHand;
  readonly carriedC: number;
  /** Hot flush water when a filling is nearly used up. */
  readonly hotC: number;
  /** What the largest pump sprayer is filled with, mL. */
  readonly tankMl: number;
  readonly panels: ReadonlyMap<Zone, Panel>;
  readonly totalAreaM2: number;
  readonly recipes: Recipes;
  /** That van and site have the kit for. */
  readonly treatments: readonly Working[];
  readonly limit: number;
  readonly roles: RolesAtHand;
  /** First batch of each role on hand: what a fraction of a side is reckoned with. */
  readonly typicalTowel: Readonly<Partial<Record<TowelRole, TowelBatch>>>;
}

/** A job with everything looked up once that every zone and treatment asks for. */
export interface PlanningContext extends SharedContext {
  /** With the choices that count: wishes and finish are worked in. */
  readonly job: Job;
  readonly zones: readonly SoiledZone[];
  /** What was done and opened before this plan. */
  readonly begun: StartState;
  /** Zones on which a clock has shown a rinse to come too soon. */
  readonly rinsedS: RinsedS;
}

/** Seconds from the pre-rinse of a zone to what comes onto it next. */
interface Rinsed {
  /** Rinsed with the whole car; null where that was not tried. */
  readonly roundS: number | null;
  /** That has failed more than once, and is not tried any more. */
  readonly isInPassOnly: boolean;
  /** Rinsed in its pass; null where that was not tried. */
  readonly inPassS: number | null;
}
export type RinsedS = ReadonlyMap<ZoneId, Rinsed>;

/** More than stray light falls straight on the panel. */
export const isInSun = ({ panel }: SoiledZone, { a, job }: PlanningContext): boolean =>
  !job.site.shade && panel.sunWm2 > a.inSunWm2;

/** On the client's word no index is too high; every other gate stands. */
const NO_LIMIT = 100;

const tankOf = ({ vessels }: Job): number =>
  Math.max(0, ...vessels.filter(({ kind }) => kind === 'pump-sprayer').map(fillingMl));

/** A filling of hot water cools in the largest sprayer while it is used. */
function hotAfter(job: Job, a: Assumptions): number {
  const { site } = job;
  const filling = tankOf(job);
  return filling > 0 ? cooledC(a.hotLiquidC, site.airC, filling, a.hotHoldMin * 60, a) : a.hotLiquidC;
}

/** The job without its soil, its budgets and all that is only written down. */
const sharedKey = (job: Job): string =>
  JSON.stringify({
    ...job,
    id: null,
    name: null,
    client: null,
    note: null,
    soil: null,
    since: null,
    marks: null,
    pictures: null,
    signed: null,
    weather: null,
    run: null,
    consent: job.consent !== null,
    site: { ...job.site, minutes: 0, waterL: 0, captureL: 0 },
    towels: job.towels.map((batch) => ({ ...batch, clean: batch.clean > 0 })),
  });

/** All that decides how warm a panel is and how fast a film leaves it: neither gear nor budgets nor approach. */
function parkedKey({ vehicle, scope, site, date, hour, readings, choices: { assumptions } }: Job): string {
  const { airC, humidity, windMs, sunWm2, shade, panelC, headingDeg, latitudeDeg, longitudeDeg, utcOffsetH } = site;
  return JSON.stringify([
    vehicle,
    hiddenInScope({ vehicle, scope }).map(({ id }) => id),
    airC,
    humidity,
    windMs,
    sunWm2,
    shade,
    panelC,
    headingDeg,
    latitudeDeg,
    longitudeDeg,
    utcOffsetH,
    date,
    hour,
    readings,
    assumptions,
  ]);
}

/** Parked cars that are kept. */
const PARKED = 16;
const parkedPanels = recent(PARKED, parkedKey, (job: Job) =>
  panelsOf(zonesIn(job), job, resolveAssumptions(job.choices.assumptions)),
);

function sharedContextFor(job: Job): SharedContext {
  const a = resolveAssumptions(job.choices.assumptions);
  const [gear, recipes, panels] = [gearOf(job), recipesOf(job, a), parkedPanels(job)];
  return {
    a,
    gear,
    carriedC: job.site.liquidC,
    hotC: hotAfter(job, a),
    tankMl: tankOf(job),
    // A map of its own: what is known for one ground is not known for another.
    panels: new Map(panels),
    totalAreaM2: [...panels.keys()].reduce((sum, { areaM2 }) => sum + areaM2, 0),
    recipes,
    treatments: availableTreatments({ job, gear, recipes }),
    limit: job.consent ? NO_LIMIT : limitOf(job.choices.approach, a),
    roles: rolesAtHand(job.towels),
    typicalTowel: Object.fromEntries(
      [...job.towels]
        .reverse()
        .filter((b) => b.clean > 0)
        .map((batch) => [batch.role, batch]),
    ),
  };
}

/** Grounds that are kept, those last stood on: the job on the desk and the changes asked about. */
const KEPT = 8;
const sharedContextOf = recent(KEPT, sharedKey, sharedContextFor);

/** A towel that is open is at hand as much as a clean one. */
const withOpen = (job: Job, { towels }: StartState): Job =>
  towels.length === 0
    ? job
    : {
        ...job,
        towels: job.towels.map((batch) =>
          towels.some((open) => open.batch.id === batch.id && open.left > 0)
            ? { ...batch, clean: batch.clean + 1 }
            : batch,
        ),
      };

const noClock: RinsedS = new Map();

/** What there is to plan for; zones that are done already are not in it. */
export function contextOf(given: Job, begun: StartState = freshStart, rinsedS: RinsedS = noClock): PlanningContext {
  const job = { ...given, choices: choicesOf(given) };
  const ground = sharedContextOf(withOpen(job, begun));
  const zones = [...ground.panels]
    .filter(([zone]) => !begun.done.has(zone.id))
    .map(([zone, panel]) => ({ zone, soil: soilOn(zone, job, ground.a), panel }));
  return { ...ground, job, zones, begun, rinsedS };
}

/** Works something out once for all scenes that stand on the same ground. */
export function oncePerSharedContext<T>(work: (context: PlanningContext) => T): (context: PlanningContext) => T {
  const known = new WeakMap<PlanningContext['panels'], { readonly answer: T }>();
  return (context) => {
    const found = known.get(context.panels) ?? { answer: work(context) };
    known.set(context.panels, found);
    return found.answer;
  };
}

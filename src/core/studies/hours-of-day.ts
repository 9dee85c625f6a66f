import { atHour } from '../edit';
import type { Job, ZoneId } from '../model';
import { type PlanningContext, type SoiledZone, contactRules, contextOf, dryingOf } from '../rules';
import { sunAt } from '../sun';
import type { Study } from './study';

/** Hours of the day that are looked at, half an hour apart. */
const FIRST_H = 6;
const LAST_H = 21;
const STEP_H = 0.5;

/** Panels that stand for the car: level, facing either side, ahead and behind. */
const dayPanels = [
  'roof',
  'bonnet',
  'left-front-door-upper',
  'right-front-door-upper',
  'rear-face',
] as const satisfies readonly ZoneId[];

/** A panel at one time of the day. */
export interface PanelHour {
  readonly hour: number;
  readonly panelC: number;
  /** Until a waterless film dries by itself, s; null: it stays wet for an hour. */
  readonly openS: number | null;
  readonly sunWm2: number;
  /** Some product is within its limit, and the smallest section can be done before it dries. */
  readonly workable: boolean;
}

interface PanelDay {
  readonly zoneId: ZoneId;
  readonly hours: readonly PanelHour[];
}

/** What to do about panels that cannot be worked at the hour of the job. */
export type HoursAdvice =
  | { readonly code: 'now' }
  /** In the shade these would do at once. */
  | { readonly code: 'shade'; readonly zones: readonly ZoneId[] }
  /** The next time at which all panels would do. */
  | { readonly code: 'wait'; readonly hour: number }
  | { readonly code: 'not-this-day' };

export interface HoursOfDay {
  readonly advice: readonly HoursAdvice[];
  readonly panels: readonly PanelDay[];
  /** Altitude of the sun, degrees, at the same times. */
  readonly sunDeg: readonly { readonly hour: number; readonly altitudeDeg: number }[];
  /** Warmest panel that the waterless product allows; null without one. */
  readonly maxPanelC: number | null;
}

function panelHour(soiled: SoiledZone, hour: number, context: PlanningContext): PanelHour {
  const { a, recipes, job } = context;
  const { panel, soil, zone } = soiled;
  const product = recipes.waterless?.product;
  const touching = { loadGm2: soil.totalGm2, filmFactor: product?.filmFactor ?? 1, ...job.choices };
  const { openS, sectionM2 } = dryingOf(
    soiled,
    { standsUm: 0, panelC: panel.panelC },
    contactRules.waterless.contact(touching, a),
    context,
  );
  const fits = sectionM2 >= Math.min(zone.areaM2, a.leastSection) - 1e-9;
  return {
    hour,
    panelC: panel.panelC,
    openS,
    sunWm2: panel.sunWm2,
    workable: panel.panelC <= (product?.maxPanelC ?? Infinity) && fits,
  };
}

const shaded = (job: Job): Job => ({
  ...job,
  readings: {},
  site: { ...job.site, shade: true, sunWm2: 0, panelC: null },
});

/** The panels of a job as it stands. */
const panelsNow = (job: Job): ReadonlyMap<ZoneId, PanelHour> => {
  const context = contextOf(job);
  const shown = context.zones.filter(({ zone }) => (dayPanels as readonly ZoneId[]).includes(zone.id));
  return new Map(shown.map((soiled) => [soiled.zone.id, panelHour(soiled, job.hour, context)]));
};

function adviceFor(
  job: Job,
  hours: readonly number[],
  panels: ReadonlyMap<ZoneId, readonly PanelHour[]>,
): readonly HoursAdvice[] {
  const now = panelsNow(job);
  const hot = [...now].filter(([, { workable }]) => !workable).map(([id]) => id);
  if (hot.length === 0) return [{ code: 'now' }];
  const cooler = panelsNow(shaded(job));
  const helped = hot.filter((id) => cooler.get(id)!.workable);
  const later = hours.find((hour, i) => hour > job.hour && [...panels.values()].every((list) => list[i]!.workable));
  return [
    ...(helped.length > 0 && !job.site.shade ? [{ code: 'shade', zones: helped } as const] : []),
    later === undefined ? { code: 'not-this-day' } : { code: 'wait', hour: later },
  ];
}

/** Temperature and open time of the panels over the day of the job, at its place, parked as it is. */
export function* hoursOfDay(job: Job): Study<HoursOfDay> {
  const hours = Array.from({ length: (LAST_H - FIRST_H) / STEP_H + 1 }, (_, i) => FIRST_H + i * STEP_H);
  const panels = new Map<ZoneId, PanelHour[]>();
  let maxPanelC: number | null = null;
  for (const [i, hour] of hours.entries()) {
    const context = contextOf(atHour(job, hour));
    maxPanelC = context.recipes.waterless?.product.maxPanelC ?? null;
    for (const soiled of context.zones) {
      const { id } = soiled.zone;
      if (!(dayPanels as readonly ZoneId[]).includes(id)) continue;
      panels.set(id, [...(panels.get(id) ?? []), panelHour(soiled, hour, context)]);
    }
    yield (i + 1) / hours.length;
  }
  return {
    advice: adviceFor(job, hours, panels),
    panels: [...panels].map(([zoneId, list]) => ({ zoneId, hours: list })),
    sunDeg: hours.map((hour) => ({ hour, altitudeDeg: sunAt(job.site, job.date, hour).altitudeDeg })),
    maxPanelC,
  };
}

import { defaultAssumptions as a } from '../assumptions';
import { type Job, type Zone, type ZoneId, partsOf } from '../model';
import { type Option, type PlanningContext, type SoiledZone, contactRules } from '../rules';
import { contextOf } from '../rules/context';
import type { Plan } from '../planning';
import type { Step } from '../schedule';

/**
 * A finished schedule gone through in small steps of time with nothing but the physics: a panel, what is laid on it
 * and when. Written from the model, apart from the code that plans; it knows neither windows nor waits.
 */

/** Of one step, s. */
const STEP_S = 1;
const SIGMA = 5.670374419e-8;
/** Heat of evaporation, J/kg, and heat capacity of water, J/gK. */
const [LATENT, WATER] = [2.45e6, 4.186];

const saturated = (c: number): number => 610.94 * Math.exp((17.625 * c) / (c + 243.04));
const density = (c: number, humidity: number): number => (saturated(c) * humidity) / (461.5 * (c + 273.15));
const fourth = (c: number): number => (c + 273.15) ** 4;

/** Steel, aluminium, plastic, glass: J/m²K. */
const capacities: Readonly<Record<Zone['surface'], number>> = {
  paint: 3100,
  'bright-metal': 3100,
  'wheel-finish': 2200,
  'bare-plastic': 4500,
  rubber: 4500,
  glass: 8000,
};

const absorbs = { white: 0.3, silver: 0.45, mid: 0.7, dark: 0.85, black: 0.95 } as const;

const absorbed = ({ surface }: Zone, { vehicle }: Job): number =>
  surface === 'paint'
    ? absorbs[vehicle.colour]
    : surface === 'bare-plastic' || surface === 'rubber'
      ? absorbs.black
      : absorbs.silver;

/** A panel as it is at a second. */
class Wet {
  film = 0;
  airUm = 0;
  private water: { readonly since: number } | null = null;
  private readonly h: number;
  private readonly level: number;
  private readonly capacity: number;
  private readonly sun: number;
  private readonly skyC: number;

  constructor(
    private readonly zone: Zone,
    private readonly job: Job,
    sunWm2: number,
    public panelC: number,
    public now: number,
  ) {
    const { site } = job;
    this.h = 5.7 + 3.8 * Math.min(5, site.windMs);
    this.level = Math.max(0, Math.cos((zone.tiltDeg * Math.PI) / 180));
    this.capacity = capacities[zone.surface];
    this.sun = absorbed(zone, job) * sunWm2;
    this.skyC = site.airC - (site.shade ? 3 : 12);
  }

  private get holdUp(): number {
    return 70 + (250 - 70) * this.level;
  }

  /** Rinse water that stands by itself: half of it runs off an upright panel in a minute. */
  private waterHeld(seconds: number): number {
    const coated = this.zone.surface === 'paint' && this.job.vehicle.finish === 'coated';
    const most =
      (a.waterHeldVertical + (a.waterHeldLevel - a.waterHeldVertical) * this.level) * (coated ? a.waterHeldCoated : 1);
    return most * (1 - (1 - this.level) * (1 - 0.5 ** (seconds / a.waterHalfS)));
  }

  private warm(um: number, liquidC: number): void {
    const heat = this.capacity + WATER * this.film;
    this.panelC = (heat * this.panelC + WATER * um * liquidC) / (heat + WATER * um);
  }

  rinse(um: number, liquidC: number): void {
    this.warm(um, liquidC);
    this.film = Math.min(this.film + um, this.holdUp, this.waterHeld(0));
    this.water = { since: this.now };
  }

  lay(um: number, liquidC: number): void {
    this.warm(um, liquidC);
    this.film = Math.min(this.film + um, this.holdUp);
    this.water = null;
  }

  /** Lets time go by. @param see what is looked at on the way */
  until(time: number, see: (wet: Wet) => void = () => undefined): void {
    const { airC, humidity } = this.job.site;
    const mass = this.h / (1.2 * 1005 * 0.87 ** (2 / 3));
    while (this.now < time - 1e-9) {
      const step = Math.min(STEP_S, time - this.now);
      const leaves =
        this.film > 0
          ? Math.min(Math.max(0, mass * (density(this.panelC, 1) - density(airC, humidity))), this.film / 1000 / step)
          : 0;
      const gain = this.sun + this.h * (airC - this.panelC) + 0.9 * SIGMA * (fourth(this.skyC) - fourth(this.panelC));
      this.panelC += ((gain - LATENT * leaves) / (this.capacity + WATER * this.film)) * step;
      this.film -= 1000 * leaves * step;
      this.airUm += 1000 * leaves * step;
      if (this.film < 1e-3) this.film = 0;
      this.now += step;
      if (this.water) this.film = Math.min(this.film, this.waterHeld(this.now - this.water.since));
      see(this);
    }
  }
}

/** What a replay finds wrong. */
export interface Found {
  readonly zoneId: ZoneId;
  readonly what: 'too-hot' | 'dried' | 'froze' | 'too-soon' | 'index' | 'stands' | 'air';
  readonly told: number;
  readonly really: number;
}

const middle = ({ startS, endS }: Step): number => (startS + endS) / 2;

/** How much of the dirt’s harm is left on a part: by what the mix holds in suspension there, and by the film. */
interface Touch {
  readonly film: number;
  readonly encapsulation: number;
}

/** Share of each deposit’s harm that film and mix leave. */
const leaves = ({ marring }: Option, { film, encapsulation }: Touch): readonly number[] =>
  marring.terms.map(
    ({ grainUm }) => (1 - encapsulation) * (1 - a.lubricityMost * (1 - Math.exp(-film / (a.lubricityGrain * grainUm)))),
  );

/** The index of the worst part: what is told is told of one of them, and the others stand to that one as film and mix do. */
function worstIndex(option: Option, parts: readonly Touch[]): number {
  const { terms, index: told } = option.marring;
  if (terms.length === 0) return told;
  const left = parts.map((part) => leaves(option, part));
  const worstIf = (toldOf: readonly number[]): number =>
    Math.max(
      ...left.map((really) => {
        const exposure = terms.reduce((sum, term, k) => sum + (term.exposure * really[k]!) / toldOf[k]!, 0);
        return 100 * (1 - Math.exp(-exposure));
      }),
    );
  const lubricates = ({ film }: Touch): number => 1 - Math.exp(-film / (a.lubricityGrain * terms[0]!.grainUm));
  const may = left.filter((_one, i) => Math.abs(lubricates(parts[i]!) - terms[0]!.lubrication) < 0.02);
  return may.map(worstIf).reduce((p, q) => (Math.abs(q - told) < Math.abs(p - told) ? q : p), Infinity);
}

/** What the mix of a treatment holds in suspension where so much water thins it. */
function encapsulationOn(
  { treatment, dwellS, filmUm, laidMl }: Option,
  standsUm: number,
  firstUm: number,
  { recipes }: PlanningContext,
): number {
  const { contact, flush } = partsOf(treatment);
  const rule = contactRules[contact];
  const strongest = recipes[rule.purposes[0]!]?.relativeStrength ?? 1;
  const standing = flush !== 'none' && laidMl.water > 0 ? (recipes.water?.relativeStrength ?? 0) : 0;
  const first = firstUm > 0 ? firstUm : filmUm;
  const strength = (strongest * first + standing * standsUm) / (first + standsUm);
  const factor = Math.min(
    a.strengthMost,
    (1 - Math.exp(-a.strengthCurve * strength)) / (1 - Math.exp(-a.strengthCurve)),
  );
  return Math.min(1, rule.encapsulation(dwellS, a) * factor);
}

function replayPart(
  { zone, panel }: SoiledZone,
  option: Option,
  laidMl: Option['laidMl'],
  steps: readonly Step[],
  context: PlanningContext,
): { readonly found: readonly Found[]; readonly touch: Touch; readonly standsUm: number; readonly airUm: number } {
  const { job, recipes, carriedC } = context;
  const found: Found[] = [];
  const note = (what: Found['what'], told: number, really: number): void =>
    void found.push({ zoneId: zone.id, what, told, really });
  // What is done again counts from the last time.
  const of = (kind: Step['kind']): Step | undefined => [...steps].reverse().find((step) => step.kind === kind);
  const [flush, spray, wipe, off, before] = [
    of('flush'),
    of('spray'),
    of('wipe')!,
    of('rinse-off'),
    of('rinse-before'),
  ];
  const towel = of('finish') ?? of('dry');
  const first = flush?.endS ?? spray?.startS ?? wipe.startS;
  const wet = new Wet(zone, job, panel.sunWm2, panel.panelC, first);
  let frozen = false;
  const cold = (seen: Wet): void => {
    if (!frozen && seen.film > 0 && seen.panelC <= 0) {
      frozen = true;
      note('froze', 0, seen.now - first);
    }
  };
  if (flush && option.rinseLM2 > 0) {
    const hot = option.treatment.startsWith('hot-pump')
      ? context.hotC
      : option.treatment.startsWith('steam')
        ? a.steamC
        : carriedC;
    wet.rinse(option.rinseLM2 * 1000, hot);
  }
  const product = spray ?? before ?? wipe;
  wet.until(product.startS, cold);
  if (option.blown) wet.film *= 1 - a.blownOff;
  const standsUm = wet.film;
  const area = zone.areaM2;
  const films = {
    first: spray ? Math.max(0, option.filmUm - (laidMl.wash + laidMl.shampoo) / area) : 0,
    hand: spray ? (laidMl.wash + laidMl.shampoo) / area : option.filmUm,
  };
  const mostC = Math.min(
    ...(['waterless', 'foam', 'presoak', 'wash', 'shampoo'] as const).map((purpose) =>
      laidMl[purpose] > 0 ? (recipes[purpose]?.product.maxPanelC ?? Infinity) : Infinity,
    ),
  );
  if (wet.panelC > mostC + 0.05) note('too-hot', mostC, wet.panelC);
  const rinses = before !== undefined || off !== undefined;
  const mist = new Wet(zone, job, panel.sunWm2, wet.panelC, wet.now);
  mist.film = wet.film;
  if (spray) {
    const starts = wet.film;
    // Where the section is sprayed last and wiped last.
    wet.lay(films.first, carriedC);
    wet.until((before ?? wipe).startS, cold);
    if (wet.film <= 0) note('dried', option.drying.windowS, (before ?? wipe).startS - spray.startS);
    if ((before ?? wipe).startS - spray.startS < option.dwellS - 1e-6)
      note('too-soon', option.dwellS, wipe.startS - spray.startS);
    // The point in the middle tells the index.
    mist.film = starts;
    mist.lay(films.first, carriedC);
    mist.until(mist.now + middle(wipe) - middle(spray));
  }
  const most = Math.max(mist.film, option.filmUm);
  const film = Math.min(
    mist.film + films.hand,
    Math.max(70 + 180 * Math.max(0, Math.cos((zone.tiltDeg * Math.PI) / 180)), most),
  );
  const touch = { film, encapsulation: encapsulationOn(option, standsUm, films.first, context) };
  if (films.hand > 0) {
    wet.until(wipe.startS, cold);
    wet.lay(films.hand, carriedC);
    mist.lay(films.hand, carriedC);
  }
  if (towel && !rinses) {
    wet.until(towel.endS, cold);
    if (wet.film <= 0) note('dried', option.drying.lastS, towel.endS - wipe.startS);
    mist.until(mist.now + middle(towel) - middle(wipe));
  }
  return { found, touch, standsUm, airUm: mist.airUm };
}

const isNear = (told: number, really: number, share: number, least: number): boolean =>
  Math.abs(told - really) <= Math.max(share * Math.abs(really), least);

/** What was done before a plan in mid-run. */
export interface Past {
  /** On the clock of the plan: at seconds before 0. */
  readonly steps: readonly Step[];
  /** The plan by which that was done. */
  readonly plan: Plan;
}

/**
 * What a replay of all of a plan’s schedule finds; what the plan tells itself is not found again. In mid-run that is of
 * zones that go on with the treatment they had.
 */
export function replay(plan: Plan, job: Job, past?: Past): readonly Found[] {
  const context = contextOf(job);
  const late = new Set(plan.timeline.late.map(({ zoneId }) => zoneId));
  return plan.zones.flatMap(({ zone, option }): readonly Found[] => {
    const soiled = context.zones.find((one) => one.zone.id === zone.id);
    if (!option || !soiled) return [];
    const before = past?.plan.zones.find((one) => one.zone.id === zone.id)?.option ?? option;
    if (before.treatment !== option.treatment) return [];
    const own = [...(past?.steps ?? []), ...plan.timeline.steps].filter(
      (step) => step.zoneId === zone.id && !['walk', 'wait', 'refill'].includes(step.kind),
    );
    const sections = [...new Set(own.filter(({ kind }) => kind === 'wipe').map(({ section }) => section))];
    const parts = sections.map((section) =>
      replayPart(
        soiled,
        option,
        before.laidMl,
        own.filter((step) => step.section === section || step.section === 0),
        context,
      ),
    );
    if (parts.length === 0) return [];
    const found = parts
      .flatMap((part) => part.found)
      .filter(({ what }) => !(late.has(zone.id) && (what === 'dried' || what === 'froze')));
    const index = own.some(({ kind }) => kind === 'rinse-before')
      ? option.marring.index
      : worstIndex(
          option,
          parts.map(({ touch }) => touch),
        );
    const openM2 = zone.areaM2 * (1 - (option.rest?.begun.done.wipe ?? 0));
    const standsMl = (parts.reduce((sum, { standsUm }) => sum + standsUm, 0) / parts.length) * openM2;
    return [
      ...found,
      ...(isNear(option.marring.index, index, 0.01, 0.05)
        ? []
        : [{ zoneId: zone.id, what: 'index' as const, told: option.marring.index, really: index }]),
      ...(isNear(option.standsMl, standsMl, 0.02, 0.5 * zone.areaM2)
        ? []
        : [{ zoneId: zone.id, what: 'stands' as const, told: option.standsMl, really: standsMl }]),
    ];
  });
}

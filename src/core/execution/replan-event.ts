import { assumptionTable, resolveAssumptions } from '../assumptions';
import { leaving, withChange } from '../edit';
import {
  type Job,
  type ReplanEvent,
  type SoilLevel,
  type WeatherChange,
  type ZoneId,
  habitAnswers,
  soilLevels,
} from '../model';
import { type StartState, choicesOf } from '../rules';
import { byEye } from '../soil';
import { clearSkyWm2, sunAt } from '../sun';
import type { Remaining } from './remaining';

/** How much of the sun a cloud lets through, and how hard it blows when it does: judged. */
const THROUGH_CLOUD = 0.3;
const WIND_MS = 5;
const CALM_MS = 0.5;
const RAIN_HUMIDITY = 0.95;

/** Panels warm and cool with the sun: what was read off them before no longer counts. */
const unread = (job: Job, site: Partial<Job['site']>): Job => ({
  ...job,
  site: { ...job.site, ...site, panelC: null },
  readings: {},
});

const outdoors = ({ date, hour, site, choices }: Job): number =>
  clearSkyWm2(sunAt(site, date, hour).altitudeDeg, resolveAssumptions(choices.assumptions));

function weathered(job: Job, weather: WeatherChange): Job {
  switch (weather) {
    case 'sun':
      return unread(job, { shade: false, sunWm2: outdoors(job) });
    case 'cloud':
      return unread(job, { sunWm2: outdoors(job) * THROUGH_CLOUD });
    case 'wind':
      return { ...job, site: { ...job.site, windMs: Math.max(job.site.windMs, WIND_MS) } };
    case 'calm':
      return { ...job, site: { ...job.site, windMs: Math.min(job.site.windMs, CALM_MS) } };
    case 'rain':
      return unread(job, { sunWm2: outdoors(job) * THROUGH_CLOUD ** 2, humidity: RAIN_HUMIDITY });
  }
}

const stepped = (level: SoilLevel, steps: number): SoilLevel =>
  soilLevels[Math.min(soilLevels.length - 1, Math.max(0, level + steps))]!;

/** A zone that is worse or lighter than marked; one that nobody looked at has a film of dust on it. */
function soiled(job: Job, zone: ZoneId, steps: 1 | -1): Job {
  const seen = job.soil[zone] ?? { deposits: [], spots: {} };
  const deposits = seen.deposits.length > 0 ? seen.deposits : [{ kind: 'dust', level: 0 } as const];
  const changed = deposits
    .map(({ kind, level }) => ({ kind, level: stepped(level, steps) }))
    .filter(({ level }) => level > 0);
  return { ...job, soil: { ...job.soil, [zone]: { ...byEye(seen), deposits: changed } } };
}

/** On top of whatever was chosen, for the rest of the run. */
const wishing = (job: Job, wishes: Job['wishes']): Job => ({ ...job, wishes: { ...job.wishes, ...wishes } });

/** The next of a scale, or its end. The approaches begin with the most careful one. */
const after = <T>(scale: readonly T[], now: T): T => scale[Math.min(scale.length - 1, scale.indexOf(now) + 1)]!;
const before = <T>(scale: readonly T[], now: T): T => scale[Math.max(0, scale.indexOf(now) - 1)]!;

/** Where a towel drags, sections are so much smaller from then on (judged). */
const SMALLER = 0.7;

/** More is sprayed, and less at a time. */
function wetter(job: Job): Job {
  const { largestSection } = resolveAssumptions(job.choices.assumptions);
  const more = wishing(job, { spray: after(habitAnswers.spray, choicesOf(job).spray) });
  return {
    ...more,
    choices: {
      ...more.choices,
      assumptions: {
        ...more.choices.assumptions,
        largestSection: Math.max(assumptionTable.largestSection.min, largestSection * SMALLER),
      },
    },
  };
}

/** What crackles is grit of level 2 at least, besides what was marked. */
function gritty(job: Job, zone: ZoneId): Job {
  const seen = job.soil[zone] ?? { deposits: [], spots: {} };
  const [known, others] = [
    seen.deposits.find(({ kind }) => kind === 'grit'),
    seen.deposits.filter(({ kind }) => kind !== 'grit'),
  ];
  const level = known && known.level > 2 ? known.level : 2;
  return { ...job, soil: { ...job.soil, [zone]: { ...byEye(seen), deposits: [...others, { kind: 'grit', level }] } } };
}

const without = <K, V>(map: ReadonlyMap<K, V>, key: K): ReadonlyMap<K, V> =>
  new Map([...map].filter(([one]) => one !== key));

/** A zone to be done from the beginning. */
const anew = (begun: StartState, zone: ZoneId): StartState => ({
  ...begun,
  ticked: without(begun.ticked, zone),
  zones: without(begun.zones, zone),
  done: new Set([...begun.done].filter((one) => one !== zone)),
});

/** What somebody who leaves was at is left to the other; towels go on in the other’s pile, numbered after it. */
function handedOver(begun: StartState): StartState {
  const { towels, zones, inHand } = begun;
  const last = Math.max(0, ...towels.filter(({ worker }) => worker === 0).map(({ number }) => number));
  return {
    ...begun,
    towels: towels.map((towel) =>
      towel.worker === 0 ? towel : { ...towel, worker: 0, number: last + towel.number, slot: null },
    ),
    zones: new Map(
      [...zones].map(([id, zone]) => [id, { ...zone, wet: zone.wet.map((one) => ({ ...one, worker: 0 })) }]),
    ),
    inHand: inHand.map((one) => ({ ...one, worker: 0 })),
  };
}

/** What is left, after a turn of events. */
export function afterEvent({ job, begun }: Remaining, turn: ReplanEvent): Remaining {
  switch (turn.kind) {
    case 'towel-out':
    case 'side-full':
      // Reckoned with where the towels were counted.
      return { job, begun };
    case 'again':
      return { job, begun: anew(begun, turn.zone) };
    case 'workers':
      return {
        job: { ...job, site: { ...job.site, workers: turn.workers } },
        begun: turn.workers === 1 ? handedOver(begun) : begun,
      };
    case 'panels':
      return { job: withChange(job, { code: 'cool-panels', panelC: turn.panelC }), begun };
    case 'soil':
      return { job: soiled(job, turn.zone, turn.steps), begun };
    case 'weather':
      return { job: weathered(job, turn.weather), begun };
    case 'mix-left':
      return {
        job,
        begun: {
          ...begun,
          vessels: begun.vessels.map((one) => (one.content === turn.purpose ? { ...one, ml: turn.ml } : one)),
        },
      };
    case 'product-out':
      return {
        job: {
          ...job,
          products: job.products.map((product) => ({
            ...product,
            uses: product.uses.filter(({ purpose }) => purpose !== turn.purpose),
          })),
        },
        begun: { ...begun, vessels: begun.vessels.filter(({ content }) => content !== turn.purpose) },
      };
    case 'water-left':
      return { job: { ...job, site: { ...job.site, waterL: turn.litres } }, begun };
    case 'drags':
      return { job: wetter(job), begun };
    case 'smears':
      return { job: wishing(job, { dwell: after(habitAnswers.dwell, choicesOf(job).dwell) }), begun };
    case 'crackles':
      return { job: gritty(job, turn.zone), begun };
    case 'new-marks':
      return {
        job: wishing(job, { approach: before(habitAnswers.approach, choicesOf(job).approach), dirtLimit: 'only-dust' }),
        begun,
      };
    case 'leave':
      return { job: leaving(job, turn.zones), begun };
  }
}

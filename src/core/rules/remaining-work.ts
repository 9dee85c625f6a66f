import { type MixPurpose, type RunAct, careUses, mixPurposes } from '../model';
import { type NeedMoment, type TowelNeed, part } from '../towel';
import { isWhileDrying } from './care';
import type { PlanningContext } from './context';
import { type Laid, type Option, type Sprayed, vectorOf } from './option';
import { type BegunZone, secondsSince } from './start-state';
import { usageOf } from './usage';

/** With which act a mix is laid; null for what is laid with the wash. Glass that is finished in its pass is part of that. */
export function actFor(purpose: MixPurpose, { work }: Pick<Option, 'work'>): RunAct | null {
  if (purpose === 'glass') return work.glass > 0 ? 'glass' : null;
  const use = careUses.find((one) => one === purpose);
  if (!use) return null;
  return isWhileDrying(use) ? 'dry' : 'protect';
}

const sources = ['water', 'supply', 'line', 'bay'] as const;

/** Done to this share, the rest is rounding. */
const ALL = 1 - 1e-9;

/** Nothing is left to do with this treatment, given what is done already. */
export const isThrough = ({ work }: Option, done: Readonly<Record<RunAct, number>>): boolean =>
  done.wipe >= ALL &&
  (work.glass === 0 || done.glass >= ALL) &&
  done.dry >= ALL &&
  (work.protect === 0 || done.protect >= ALL);

function laidRest(option: Option, { done }: BegunZone, wetShare: number): Laid {
  const laid = { ...option.laidMl };
  const source = sources.find((one) => laid[one] > 0);
  if (source) laid[source] = (laid[source] - option.rinsedMl) * (1 - done.flush) + option.rinsedMl * (1 - done.wipe);
  for (const purpose of mixPurposes) {
    const act = actFor(purpose, option);
    laid[purpose] *= 1 - (act ? done[act] : done.wipe + wetShare);
  }
  return laid;
}

/** What is left of a need; where a zone is lifted and nobody comes behind any more, that part is finished by itself. */
function needsLeft(need: TowelNeed, { done }: BegunZone): readonly TowelNeed[] {
  if (need.moment !== 'pass' || need.use === 'wash') return [part(need, 1 - done[actOf[need.moment]])];
  return [part(need, 1 - done.wipe), { ...part(need, done.wipe - done.dry), moment: 'dry' }];
}

/** What a moment of towels is done with. */
const actOf = { pass: 'wipe', dry: 'dry', glass: 'glass', protect: 'protect' } as const satisfies Record<
  NeedMoment,
  RunAct
>;

const isSomething = ({ dirtG, liquidMl, reachShare }: TowelNeed): boolean =>
  dirtG > 1e-9 || liquidMl > 1e-9 || reachShare > 1e-9;

/**
 * What is left of a treatment on a zone where part of it is done: as much less work, liquid and towel.
 * @param option all of the zone
 */
export function restOf(option: Option, begun: BegunZone, context: PlanningContext): Option {
  const { done } = begun;
  const sections = done.wipe >= ALL ? 0 : Math.max(1, Math.round(option.sections * (1 - done.wipe)));
  const wet = begun.wet.slice(0, sections);
  const wetShare = wet.length / option.sections;
  const { work, moisture } = option;
  const [unwiped, unwetted] = [1 - done.wipe, Math.max(0, 1 - done.wipe - wetShare)];
  const left = {
    flush: work.flush * (1 - done.flush),
    pretreat: work.pretreat * unwetted,
    spray: work.spray * unwetted,
    rinseBefore: work.rinseBefore * unwiped,
    wipe: work.wipe * unwiped,
    rinseOff: work.rinseOff * unwiped,
    finish: work.finish * (1 - done.dry),
    glass: work.glass * (1 - done.glass),
    protect: work.protect * (1 - done.protect),
  };
  const laidMl = laidRest(option, begun, wetShare);
  const rinseMl = option.runoffMl - moisture.runoffMl;
  // Water that stood after the rinse goes on running off until somebody wipes.
  const passMl = (moisture.runoffMl + Math.max(0, rinseMl * done.flush - begun.ranOffMl)) * unwiped;
  const runoffMl = rinseMl * (1 - done.flush) + passMl;
  const needs = option.needs.flatMap((need) => needsLeft(need, begun)).filter(isSomething);
  const usage = usageOf(laidMl, runoffMl, left, needs, context);
  return {
    ...option,
    sections,
    rest: {
      begun,
      of: option.sections,
      wet: wet.map(({ at }): Sprayed => {
        const startS = -secondsSince(at, context.begun);
        return { startS, endS: Math.min(0, startS + (work.spray * (1 + context.a.walking)) / option.sections) };
      }),
      unfinished: done.dry < ALL ? (done.wipe - done.dry) / (1 - done.dry) : 0,
    },
    work: left,
    laidMl,
    runoffMl,
    needs,
    rinsedMl: option.rinsedMl * unwiped,
    rinsedBeforeMl: option.rinsedBeforeMl * unwiped,
    washSides: option.washSides * unwiped,
    usage,
    use: vectorOf(usage),
    standsMl: option.standsMl * unwiped,
    moisture: {
      laidMl: moisture.laidMl * unwiped,
      runoffMl: passMl,
      washMl: moisture.washMl * unwiped,
      evaporatedMl: moisture.evaporatedMl * unwiped,
      finishMl: moisture.finishMl * unwiped,
    },
  };
}

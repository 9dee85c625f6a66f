import { andList } from './and-list';
import { capital } from './capital';
import {
  type CarePlan,
  type Clocks,
  type Hand,
  type HandMove,
  type Option,
  type PassAct,
  type Plan,
  type PlannedPass,
  type SpotPlan,
  type Step,
  type Task,
  handMovesIn,
  hasJet,
  loosenedBy,
} from '@esmero/core';
import { type ReplanEvent, type TowelRole, type WeatherChange, type ZoneId } from '@esmero/model';
import { goesText } from './soil';
import { isBehind, passHeading, passTitle } from './passes';
import { fixed, type Units } from './units';
import { ranges } from './sheet';
import { clock } from './units';
import { contentName, gearName, oneSpot, oneTowel, spotName, zoneName } from './words';

const actVerb: Readonly<Record<PassAct, string>> = {
  flush: 'Pre-rinse, do not touch',
  wipe: 'Wash and finish',
  dry: 'Dry',
  glass: 'Finish the glass',
  protect: 'Put on',
};

/** What is done in a task that wipes nothing. */
function verbFor(task: Task): string {
  if (task.lap === 'blow-out') return 'Blow out, touch nothing';
  return isBehind(task) ? 'Finish behind' : actVerb[task.act];
}

/** "Left lowers and sill": a task in a few words, to be read from two metres. */
export function taskHeading(task: Task): string {
  if (task.act === 'wipe') return passHeading(task);
  return `${verbFor(task)}: ${passHeading(task)}`;
}

/** "Roof, left half". */
export function taskText(task: Task): string {
  if (task.act === 'wipe') return passTitle(task);
  return `${verbFor(task)}: ${passTitle(task)}`;
}

/** "Wash towel 2: turn to side 3, then 4; done after that." */
export function moveText({ role, towel, how, sides, done }: HandMove): string {
  const [first, ...more] = sides;
  const rest = more.length > 0 ? `, then ${ranges(more)}` : '';
  const end = done ? '; done after that' : '';
  switch (how) {
    case 'fresh':
      return `Fresh ${oneTowel[role]} ${towel}: side ${first}${rest}${end}`;
    case 'turned':
      // Opened for a car before this one: its first side has not been turned away.
      return `${capital(oneTowel[role])} ${towel}: ${first === 1 ? '' : 'turn to '}side ${first}${rest}${end}`;
    case 'same':
      return `${capital(oneTowel[role])} ${towel}: carry on with side ${first}${rest}${end}`;
    case 'demoted':
      return `${capital(oneTowel[role])} ${towel} reused for dirtier panels: side ${first}${rest}${end}`;
  }
}

const zonesIn = ({ parts }: Task): ReadonlySet<ZoneId> => new Set(parts.map(({ zoneId }) => zoneId));

/** With what a pass is wetted. */
function liquidFor({ zones }: Plan, task: Task): string {
  const own = zonesIn(task);
  const laid = zones.find(({ zone }) => own.has(zone.id))?.option?.laidMl;
  const sprayed = (['presoak', 'foam', 'waterless'] as const).find((content) => (laid?.[content] ?? 0) > 0);
  return sprayed ? contentName[sprayed].toLowerCase() : '';
}

/** The nozzle that a rinse or a mist takes. */
function flushText({ zones }: Plan, { parts }: PlannedPass): string {
  const found = zones.find(
    ({ zone, option }) =>
      option && parts.some(({ zoneId }) => zoneId === zone.id) && (option.work.flush > 0 || option.rinseLM2 > 0),
  )?.option;
  const [treatment, injected] = [
    found?.treatment,
    (found?.laidMl.degreaser ?? 0) > 0 && found?.cleaner?.purpose !== 'degreaser',
  ];
  switch (treatment && loosenedBy(treatment)) {
    case 'mist':
      return 'Mist nozzle: a fine mist, let it cool the panel';
    case 'steam':
      return injected
        ? 'Steam with degreaser along the seam, lay the gun down'
        : 'Steam along the seam, lay the gun down';
    case 'air':
      return 'Air gun: blow the seams out, from the top down, never into the car';
    default:
      return treatment && hasJet(treatment)
        ? 'Flat jet, a hand’s breadth away or more: pre-rinse, let it run off'
        : 'Stream nozzle: pre-rinse, let it run off';
  }
}

/** Foam has a nozzle of its own; a spray is a fine one. */
function nozzleFor(plan: Plan, task: Task): string {
  const liquid = liquidFor(plan, task);
  return liquid === '' ? '' : liquid === contentName.foam.toLowerCase() ? ', foam nozzle' : ', mist nozzle';
}

/** After the rinse of one of its zones what stands there is blown off. */
function isBlown({ zones }: Plan, task: Task): boolean {
  const own = zonesIn(task);
  return zones.some(({ zone, option }) => own.has(zone.id) && option?.blown);
}

/** "Wheel cleaner, work it in with the wheel brush, leave it for 60 s". */
function cleanerText(here: readonly Option[]): string | null {
  const used = here.flatMap(({ cleaner }) => (cleaner && !cleaner.left ? [cleaner] : []));
  if (used.length === 0) return null;
  const names = [...new Set(used.map(({ purpose }) => contentName[purpose]))].join(' and ');
  const brushes = [...new Set(here.flatMap(({ brush }) => (brush ? [gearName[brush]] : [])))];
  return `${capital(names.toLowerCase())}, ${brushes.length > 0 ? `work it in with the ${andList(brushes)}, ` : ''}leave it for ${clock(Math.max(...used.map(({ dwellS }) => dwellS)))}; never let it dry`;
}

/** "Tar and sap lifter on 3 tar spots, two goes of 60 s, soft wet brush". */
function spotText({ kind, count, purpose, rounds, dwellS, brush }: SpotPlan): string {
  const goes = `${rounds === 2 ? 'two goes of ' : ''}${clock(dwellS / rounds)}`;
  return `${contentName[purpose]} on ${count} ${count === 1 ? oneSpot[kind] : spotName[kind]}, ${goes}${brush ? ', soft wet brush' : ''}`;
}

/** Spots of one kind on several panels of a pass are told once. */
function together(spots: readonly SpotPlan[]): readonly SpotPlan[] {
  const kinds = new Map<string, SpotPlan>();
  for (const one of spots) {
    const known = kinds.get(`${one.kind}/${one.purpose}`);
    kinds.set(
      `${one.kind}/${one.purpose}`,
      known ? { ...known, count: known.count + one.count, brush: known.brush || one.brush } : one,
    );
  }
  return [...kinds.values()];
}

/** What is laid on ahead of the wipe: cleaner, bug remover, and each kind of spot with its own. */
function spotsText({ zones }: Plan, { parts }: PlannedPass): string {
  const here = zones
    .filter(({ zone }) => parts.some(({ zoneId }) => zoneId === zone.id))
    .flatMap(({ option }) => option ?? []);
  const bugs = here.flatMap((option) => (option.bugs && !option.bugs.left ? [option.bugs] : []));
  const [first] = [...bugs].sort((p, q) => q.rounds - p.rounds);
  const spots = together(here.flatMap((option) => option.spots.filter(({ left }) => left === null))).map(spotText);
  const cleaner = cleanerText(here);
  const lifted = first
    ? [`${contentName[first.purpose]} on the bugs, ${goesText(first)}${first.brush ? ', soft wet brush' : ''}`]
    : [];
  return [...(cleaner ? [cleaner] : []), ...lifted, ...spots].join('; ');
}

/** "Topper: one press a panel, spread, buff". */
function careText({ zones }: Plan, { parts }: PlannedPass): string {
  const cares = zones.flatMap(({ zone, option }) =>
    option?.care && parts.some(({ zoneId }) => zoneId === zone.id) ? [option.care] : [],
  );
  const [first] = cares;
  if (!first) return '';
  const name = contentName[first.use];
  switch (first.use) {
    case 'trim-dressing':
    case 'tyre-dressing':
      return `${name}: a little on the towel, work it in, wipe off what is too much`;
    default:
      return `${name}: ${pressesText(cares)}, spread, turn the towel, buff`;
  }
}

/** Droppings that are left alone keep a hand’s breadth round them. */
function keepsOff({ zones }: Plan, { act, parts }: PlannedPass | Task): string[] {
  const left =
    act === 'wipe' &&
    zones.some(
      ({ zone, option }) =>
        parts.some(({ zoneId }) => zoneId === zone.id) &&
        option?.spots.some(({ kind, left: why }) => kind === 'droppings' && why !== null),
    );
  return left ? ['Leave the droppings, and a hand’s breadth round them'] : [];
}

/** "one press a panel", "one or two presses a panel". */
function pressesText(cares: readonly CarePlan[]): string {
  const presses = cares.map((one) => one.presses);
  const [least, most] = [Math.min(...presses), Math.max(...presses)];
  return most === 1
    ? 'one press a panel'
    : least === most
      ? `${most} presses a panel`
      : `${least} to ${most} presses a panel`;
}

/** "Wheel brush and tyre brush, wet and without weight. ": those that no cleaner was worked in with. */
function brushText({ zones }: Plan, { parts }: Task): string {
  const here = zones.flatMap(({ zone, option }) =>
    option?.brush && (!option.cleaner || option.cleaner.left) && parts.some(({ zoneId }) => zoneId === zone.id)
      ? [gearName[option.brush]]
      : [],
  );
  return here.length > 0 ? `${capital(andList([...new Set(here)]))}, wet and without weight. ` : '';
}

/** What a pass is for; all else may be done ahead of it. */
const isDoing = (kind: Step['kind']): boolean =>
  ['flush', 'wipe', 'rinse-off', 'finish', 'dry', 'glass', 'protect'].includes(kind);

/** Less is not told, s. */
const WORTH_S = 0.5;

/** What is waited for in a pass, by what was done last in it. */
function waitText({ act }: PlannedPass, last: Step['kind'] | undefined): string {
  if (act === 'dry') return 'Wait until it is lifted';
  switch (last) {
    case 'flush':
      return 'Let it cool';
    case 'pretreat':
      return 'Let it soak';
    case 'spray':
      return 'Let it dwell';
    default:
      return 'Wait';
  }
}

/** What is done in a pass, one thing after the other, in the order of the plan; what is wetted ahead has its place in it. */
export function stepsFor(plan: Plan, task: Task): readonly string[] {
  const { steps, passes } = plan.timeline;
  const own = steps.filter(({ pass, worker }) => worker === task.worker && pass !== null);
  const endS = Math.max(...own.filter(({ pass }) => pass === task.pass).map((step) => step.endS));
  const startS = Math.max(
    0,
    ...own.filter((step) => step.pass! < task.pass && isDoing(step.kind)).map((step) => step.endS),
  );
  const lines: string[] = keepsOff(plan, task);
  const lastBefore = (time: number, of: number): Step['kind'] | undefined =>
    own.filter(({ pass, kind, endS: to }) => pass === of && kind !== 'wait' && to <= time + 1e-6).at(-1)?.kind;
  const say = (line: string): void => {
    if (lines.at(-1) !== line) lines.push(line);
  };
  for (const { kind, pass, startS: from, endS: to } of own.filter(
    (step) => step.startS >= startS - 1e-6 && step.endS <= endS + 1e-6,
  )) {
    const of = passes.find(({ number }) => number === pass)!;
    const ahead = pass !== task.pass;
    if (kind === 'flush') say(`${flushText(plan, of)}${isBlown(plan, task) ? ', blow off standing water' : ''}`);
    else if (kind === 'pretreat') say(`${spotsText(plan, of)}${ahead ? `, ahead: ${passTitle(of)}` : ''}`);
    else if (kind === 'spray')
      say(
        ahead
          ? `Wet the next one: ${passTitle(of)}`
          : `Wet it with ${liquidFor(plan, task) || 'the mix'}${nozzleFor(plan, task)}`,
      );
    else if (kind === 'wait' && to - from >= WORTH_S)
      say(`${waitText(of, lastBefore(from, pass!))}, ${clock(to - from)}`);
    else if (kind === 'rinse-before') say('Rinse the foam off, from the top');
    else if (kind === 'rinse-off')
      say(isBlown(plan, task) ? 'Rinse it off, blow off standing water' : 'Rinse it off, before it dries');
    else if (kind === 'protect') say(careText(plan, of));
    else if (kind === 'wipe') say(`${brushText(plan, task)}Lift or wash, straight strokes without weight`);
    else if (kind === 'finish') say('Finish dry');
  }
  return lines;
}

const until = (at: number, now: number): string => clock(Math.max(0, (at - now) / 1000));

/** "dwells 0:40 more", then "ready", and how long until it is dry. */
export function clocksText({ readyAt, dryAt }: Clocks, now: number): string {
  const dwell = readyAt > now ? `dwells ${until(readyAt, now)} more` : 'ready to be washed';
  if (dryAt === null) return dwell;
  return dryAt > now ? `${dwell}, dries in ${until(dryAt, now)}` : `${dwell}; it may have dried: wet it again`;
}

export const handName = ({ worker }: Hand, people: number): string =>
  people === 1 ? '' : worker === 0 ? 'First person' : 'Second person';

/** Roles of the towels that this person uses in a pass. */
export function rolesFor({ towels }: Plan, task: Task): readonly TowelRole[] {
  return [...new Set(handMovesIn({ towels }, task.pass).map(({ role }) => role))];
}

export const weatherName: Readonly<Record<WeatherChange, string>> = {
  sun: 'The sun came out',
  cloud: 'Clouds came over',
  wind: 'The wind picked up',
  calm: 'The wind dropped',
  rain: 'It began to rain',
};

const listed = (zones: readonly ZoneId[]): string =>
  zones.length > 3 ? `${zones.length} panels` : zones.map(zoneName).join(', ');

/** What turned out otherwise, in a few words. */
export function turnText(turn: ReplanEvent, u: Units): string {
  switch (turn.kind) {
    case 'again':
      return `Once more: ${zoneName(turn.zone)}`;
    case 'towel-out':
      return `A ${oneTowel[turn.role]} is out`;
    case 'side-full':
      return `A side of the ${oneTowel[turn.role]} is full`;
    case 'workers':
      return turn.workers === 2 ? 'A second person came' : 'The second person left';
    case 'panels':
      return `Panels at ${u.temperature(turn.panelC)}`;
    case 'soil':
      return `${zoneName(turn.zone)} is ${turn.steps > 0 ? 'dirtier' : 'lighter'} than marked`;
    case 'weather':
      return weatherName[turn.weather];
    case 'mix-left':
      return `${contentName[turn.purpose]}: ${u.volume(turn.ml)} left`;
    case 'product-out':
      return `No more ${contentName[turn.purpose].toLowerCase()}`;
    case 'water-left':
      return `${u.water(turn.litres)} of water left`;
    case 'drags':
      return 'It drags: more liquid, smaller sections';
    case 'smears':
      return 'It smears: a longer dwell';
    case 'crackles':
      return `It crackles: ${zoneName(turn.zone)}`;
    case 'new-marks':
      return 'New marks: more careful from here on';
    case 'leave':
      return `For another time: ${listed(turn.zones)}`;
  }
}

/** "15:37 of work left (+1:20), 2 towels to open, 0.4 L to pour". */
export function replannedText({ totals }: Plan, leftS: number, beforeS: number | null, u: Units): string {
  const more = beforeS === null ? 0 : leftS - beforeS;
  const by = Math.abs(more) < 1 ? '' : ` (${more > 0 ? '+' : '−'}${clock(Math.abs(more))})`;
  return [
    `${clock(leftS)} of work left${by}`,
    `${fixed(totals.towels.value)} ${totals.towels.value === 1 ? 'towel' : 'towels'} to open`,
    ...(totals.litres.value > 0 ? [`${u.water(totals.litres.value)} to pour`] : []),
  ].join(', ');
}

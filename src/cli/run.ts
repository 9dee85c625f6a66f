import { parseArgs } from 'node:util';
import { DayPlanner, type Plan, dayMends, finish, helpOf, planJob, planLot, stockKinds } from '@esmero/core';
import { dealerLot, harbourDay } from '@esmero/demo';
import type { Job } from '@esmero/model';
import {
  type FilledUp,
  type Read,
  calc as answersTo,
  calcTopics,
  dayFormat,
  exampleShortJob,
  lotFormat,
  mixesCsv,
  readDay,
  readJob,
  readLot,
  readShortJob,
  shortJobFormat,
  stepsCsv,
  towelsCsv,
  writeDay,
  writeLot,
} from '@esmero/exchange';
import {
  type UnitSystem,
  assumedText,
  englishes,
  daySheet,
  lotSheet,
  planSheet,
  speak,
  unitSystems,
  unitsOf,
  unreadableText,
  verdictSentence,
  whatIfSentence,
} from '@esmero/messages';
import { templates } from './templates';

/** What the command line needs of its surroundings. */
export interface Surroundings {
  readFile(path: string): string;
  readInput(): string;
}

export interface Outcome {
  readonly out: string;
  readonly err: string;
  readonly code: 0 | 2;
}

const usage = `Usage:
  npm run --silent plan -- FILE.json [--format json|md|csv] [--units metric|us] [--english gb|us]
  npm run --silent plan -- --example
  npm run --silent plan -- --example day|lot
  npm run --silent calc -- ${calcTopics.join('|')} < INPUT.json
`;

const fine = (out: string): Outcome => ({ out, err: '', code: 0 });
const wrong = (err: string): Outcome => ({ out: '', err: err.endsWith('\n') ? err : `${err}\n`, code: 2 });

const planFormats = ['json', 'md', 'csv'] as const;
type PlanFormat = (typeof planFormats)[number];

const isOneOf = <T extends string>(list: readonly T[], value: string): value is T =>
  (list as readonly string[]).includes(value);

/** The plan file: the plan as the core made it, in an envelope of its own. */
const planJson = (plan: Plan): string =>
  `${JSON.stringify({ format: 'esmero-plan', version: 3, plan: { ...plan, begun: undefined } }, null, 2)}\n`;

const planTables = (plan: Plan): string =>
  [
    ['mixes', mixesCsv(plan)],
    ['towels', towelsCsv(plan)],
    ['steps', stepsCsv(plan)],
  ]
    .map(([name, table]) => `# ${name}\n${table}\n`)
    .join('\n');

/** Why parts are left out, or the whole car, and what would let them be done. */
function leftOut(job: Job, plan: Plan, units: UnitSystem): string {
  const u = unitsOf(units);
  const why = plan.verdicts.filter(({ code }) => leftCodes.has(code)).map((verdict) => verdictSentence(verdict, u));
  if (why.length === 0) return '';
  const help = finish(helpOf(job, plan)).map((one) => `  ${whatIfSentence(one, u)}`);
  return [
    ...(plan.method === 'decline' ? ['Not today.'] : []),
    ...why,
    ...(help.length > 0 ? ['What would help:', ...help] : []),
    '',
  ].join('\n');
}

const leftCodes: ReadonlySet<string> = new Set(['zones-blocked', 'parts-left', 'over-budget', 'missing']);

function written(job: Job, plan: Plan, format: PlanFormat, units: UnitSystem): string {
  switch (format) {
    case 'json':
      return planJson(plan);
    case 'md':
      return planSheet(job, plan, unitsOf(units));
    case 'csv':
      return planTables(plan);
  }
}

function said<T>(read: Read<T> & { ok: false }): Outcome {
  const { headline, details } = unreadableText(read.why);
  return wrong([headline, ...details.map((line) => `  ${line}`)].join('\n'));
}

function contentOf(path: string, around: Surroundings): Read<string> | Outcome {
  try {
    return { ok: true, value: around.readFile(path) };
  } catch (error) {
    return wrong(`The file ${path} cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
}

function plan(args: readonly string[], around: Surroundings): Outcome {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      format: { type: 'string', default: 'json' },
      units: { type: 'string', default: 'metric' },
      english: { type: 'string', default: 'gb' },
      example: { type: 'boolean', default: false },
    },
  });
  const { format, units, english } = values;
  const [path] = positionals;
  if (values.example) return fine(exampleOf(path));
  if (!path || positionals.length > 1) return wrong(usage);
  if (!isOneOf(planFormats, format)) return wrong(`--format is one of ${planFormats.join(', ')}.`);
  if (!isOneOf(unitSystems, units)) return wrong(`--units is one of ${unitSystems.join(', ')}.`);
  if (!isOneOf(englishes, english)) return wrong(`--english is one of ${englishes.join(', ')}.`);
  speak(english);
  const content = contentOf(path, around);
  if ('code' in content) return content;
  if (!content.ok) return said(content);
  if (content.value.includes(`"${dayFormat.name}"`)) return dayOf(content.value, format, units);
  if (content.value.includes(`"${lotFormat.name}"`)) return lotOf(content.value, format, units);
  const read = filledUp(content.value);
  if (!read.ok) return said(read);
  const { job, assumed } = read.value;
  const made = planJob(job);
  const notes = [...assumed.map((one) => `${assumedText(one)}\n`), leftOut(job, made, units)].join('');
  return { out: written(job, made, format, units), err: notes, code: 0 };
}

/** A file to start from: a job in a few words, a day or a lot. */
function exampleOf(what: string | undefined): string {
  if (what === 'day') return writeDay(harbourDay);
  return what === 'lot' ? writeLot(dealerLot) : exampleShortJob('harbour', 'courtyard');
}

/** A lot of cars, with what is short first and when. */
function lotOf(text: string, format: PlanFormat, units: UnitSystem): Outcome {
  const read = readLot(text);
  if (!read.ok) return said(read);
  if (format === 'csv') return wrong('A lot is printed as json or md.');
  const made = finish(planLot(read.value));
  if (format === 'md') return fine(lotSheet(read.value, made, unitsOf(units)));
  const { plans, productMl, ...rest } = made;
  return fine(
    `${JSON.stringify({ format: 'esmero-lot-plan', version: 1, plan: { ...rest, methods: plans.map(({ method }) => method), productMl: Object.fromEntries(productMl) } }, null, 2)}\n`,
  );
}

/** A day of stops in order, with what the van runs short of and what would mend it. */
function dayOf(text: string, format: PlanFormat, units: UnitSystem): Outcome {
  const read = readDay(text);
  if (!read.ok) return said(read);
  if (format === 'csv') return wrong('A day is printed as json or md.');
  const planner = new DayPlanner();
  const made = finish(planner.plan(read.value));
  const mends = finish(dayMends(read.value, made, planner));
  if (format === 'md') return fine(daySheet(read.value, made, mends, unitsOf(units)));
  const legs = made.legs.map(({ visit, ...leg }) => ({ ...leg, method: visit?.plan.method ?? null }));
  return fine(
    `${JSON.stringify({ format: 'esmero-day-plan', version: 1, stocks: stockKinds, plan: { ...made, legs }, mends: mends.map(({ change, plan: { endMin, cost, shortage } }) => ({ change, endMin, cost, shortage })) }, null, 2)}\n`,
  );
}

/** A job file, or a short one with all that it leaves open. */
function filledUp(text: string): Read<FilledUp> {
  if (text.includes(`"${shortJobFormat.name}"`)) return readShortJob(text, templates);
  const job = readJob(text);
  return job.ok ? { ok: true, value: { job: job.value, assumed: [] } } : job;
}

function calc([topic]: readonly string[], around: Surroundings): Outcome {
  if (topic === undefined || !isOneOf(calcTopics, topic)) return wrong(usage);
  const answered = answersTo(topic, around.readInput());
  return answered.ok ? fine(`${JSON.stringify(answered.value, null, 2)}\n`) : said(answered);
}

/** Runs one command; never throws for what a user can get wrong. */
export function run([command, ...args]: readonly string[], around: Surroundings): Outcome {
  try {
    if (command === 'plan') return plan(args, around);
    if (command === 'calc') return calc(args, around);
    return wrong(usage);
  } catch (error) {
    // parseArgs throws for options it does not know.
    return wrong(`${error instanceof Error ? error.message : String(error)}\n${usage}`);
  }
}

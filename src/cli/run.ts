import { parseArgs } from 'node:util';
import { type Job, type Plan, planJob } from '@esmero/core';
import { type Read, calc as answersTo, calcTopics, mixesCsv, readJob, stepsCsv, towelsCsv } from '@esmero/exchange';
import { type UnitSystem, planSheet, unitSystems, unitsOf, unreadableText } from '@esmero/messages';

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
  npm run --silent plan -- FILE.json [--format json|md|csv] [--units metric|us]
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

function written(job: Job, format: PlanFormat, units: UnitSystem): string {
  const plan = planJob(job);
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
    },
  });
  const { format, units } = values;
  const [path] = positionals;
  if (!path || positionals.length > 1) return wrong(usage);
  if (!isOneOf(planFormats, format)) return wrong(`--format is one of ${planFormats.join(', ')}.`);
  if (!isOneOf(unitSystems, units)) return wrong(`--units is one of ${unitSystems.join(', ')}.`);
  const content = contentOf(path, around);
  if ('code' in content) return content;
  if (!content.ok) return said(content);
  const job = readJob(content.value);
  return job.ok ? fine(written(job.value, format, units)) : said(job);
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

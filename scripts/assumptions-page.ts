import { type AssumptionGroup, type AssumptionKey, assumptionGroups, assumptionTable } from '../src/core';

const intro = `# Assumptions

Every constant of the computation that is not a law of nature or a definition. \`measured\` is
published physics or engineering data, \`practice\` a range of common practice, \`judged\` our own
judgement. A job may override each one within its bounds. This page is written by
\`npm run docs\` from \`src/core/assumptions/table.ts\`.
`;

const row = (key: AssumptionKey): string => {
  const { value, unit, origin, min, max, note } = assumptionTable[key];
  return `| \`${key}\` | ${value} | ${unit} | ${min} to ${max} | ${origin} | ${note} |`;
};

const section = (group: AssumptionGroup): string =>
  [
    `\n## ${group[0]!.toUpperCase()}${group.slice(1)}\n`,
    '| name | value | unit | bounds | origin | what it is |',
    '| --- | --- | --- | --- | --- | --- |',
    ...Object.keys(assumptionGroups[group]).map((key) => row(key as AssumptionKey)),
    '',
  ].join('\n');

/** The page that lists every constant with its source. */
export const assumptionsPage = (): string =>
  intro + (Object.keys(assumptionGroups) as AssumptionGroup[]).map(section).join('');

import { mkdirSync, writeFileSync } from 'node:fs';
import { backupFormat, collectionFormat, dayFormat, jobFormat, lotFormat } from '../src/exchange';
import { assumptionsPage } from './assumptions-page';
import { schemaOf } from './schema';

/** What `npm run docs` writes, by path; a test holds the committed files against it. */
export const generatedDocs = (): ReadonlyMap<string, string> => {
  const json = (value: object): string => `${JSON.stringify(value, null, 2)}\n`;
  return new Map([
    [
      'docs/formats/job.schema.json',
      json(schemaOf(jobFormat, 'JobDocument', 'Esmero job', { stamp: 'StampDocument' })),
    ],
    [
      'docs/formats/collection.schema.json',
      json(schemaOf(collectionFormat, 'CollectionDocument', 'Esmero collection')),
    ],
    ['docs/formats/day.schema.json', json(schemaOf(dayFormat, 'DayDocument', 'Esmero day of stops'))],
    ['docs/formats/lot.schema.json', json(schemaOf(lotFormat, 'LotDocument', 'Esmero lot of cars'))],
    ['docs/formats/backup.schema.json', json(schemaOf(backupFormat, 'BackupDocument', 'Manifest of an Esmero backup'))],
    ['docs/assumptions.md', assumptionsPage()],
  ]);
};

if (process.argv[1]?.endsWith('docs.ts')) {
  mkdirSync('docs/formats', { recursive: true });
  for (const [path, text] of generatedDocs()) writeFileSync(path, text);
}

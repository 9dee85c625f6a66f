import type { Job } from '@esmero/model';
import { jobFrom, jobVersion } from '@esmero/records';
import { jobMigrations } from './job-versions';
import { migrate } from './steps';

/** A document that this application or an older one has written, as a job of today. */
export const readDocument = (document: object, version: number): Job =>
  version === jobVersion ? jobFrom(document) : jobFrom(migrate(document, version, jobMigrations) as object);

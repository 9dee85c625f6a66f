export { jobs as demoJobs } from './jobs';
export * as demoLibrary from './library';

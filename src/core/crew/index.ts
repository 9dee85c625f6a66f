export { followed, isSameShare, joined, shareOf, withShared } from './shared-run';
export type { SharedRun } from './shared-run';

export { followed, isSameShare, joined, putBack, shareOf, takenFrom, withShared } from './shared-run';
export type { SharedRun } from './shared-run';

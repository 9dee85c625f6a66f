export { cheapestSelection, isFound, selecting, shortBudgets } from './selection';
export type { FacilitySet, Option, Selecting, Selection } from './selection';

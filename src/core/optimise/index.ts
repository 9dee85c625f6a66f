export { Relaxation, cheapest, flatten } from './relaxation';
export type { Item } from './relaxation';
export { cheapestSelection, isFound, selecting, shortBudgets } from './selection';
export type { FacilitySet, Option, Selecting, Selection } from './selection';

/** What the first page needs of the store: all but the means to keep and to read what is kept. */
export { briefOf } from './brief';
export { entryId } from './store';
export { tabs } from './tabs';

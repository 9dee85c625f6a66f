/** What the frame around every page needs, and nothing of the rest: the first page downloads no more. */
export { englishes, locale, speak } from './english';
export type { English } from './english';
export { unitSystems } from './unit-systems';
export type { UnitSystem } from './unit-systems';
export { frameText } from './screens/frame';
export { storeText } from './screens/store';

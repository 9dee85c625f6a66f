export { isUseful, learn, ratiosOf, withLearned, withoutLearned } from './learn';
export type { Learned, Lesson } from './learn';
export type { Estimate } from './estimate';
